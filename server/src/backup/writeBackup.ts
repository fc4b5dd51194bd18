import { createHash } from 'node:crypto';
import { setImmediate } from 'node:timers/promises';
import { Zip, ZipDeflate } from 'fflate';
import { BUNDLE_TABLES, type BundleTable } from '@toile/contract';
import { inStudioAsItIs, type Db, type Tx } from '../db/connection';
import { CARRIED } from '../studio/tables';
import { BACKUP_FORMAT, MANIFEST, type Manifest } from './manifest';

/** Rows of one file in the zip: few enough that one is never large. */
const ROWS_A_FILE = 200;
/** Of deflate: past this it takes much longer and saves little of text like this. */
const LEVEL = 4;

/**
 * A whole studio as one zip of open documents, as it is at one moment; its pieces are given in order as they
 * are made. No password, session or link is in it. What is asked meanwhile is answered: each file gives way
 * to it.
 */
export async function writeBackup(
  db: Db,
  studioId: string,
  madeAt: Date,
  give: (piece: Uint8Array) => void,
): Promise<Manifest> {
  let failed: Error | null = null;
  const zip = new Zip((error, piece) => {
    if (error) failed = error;
    else give(piece);
  });
  const add = (name: string, text: string): string => {
    const bytes = Buffer.from(text);
    const entry = new ZipDeflate(name, { level: LEVEL });
    entry.mtime = madeAt;
    zip.add(entry);
    entry.push(bytes, true);
    if (failed) throw failed;
    return createHash('sha256').update(bytes).digest('hex');
  };
  return inStudioAsItIs(db, studioId, async (tx) => {
    const studio = await tx.selectFrom('studios').select(['id', 'name']).executeTakeFirstOrThrow();
    const files: Manifest['files'] = [];
    for (const table of BUNDLE_TABLES) {
      let number = 0;
      for await (const part of partsOf(tx, table)) {
        const name = `${table}/${String(++number).padStart(5, '0')}.json`;
        files.push({ name, table, rows: part.length, sha256: add(name, JSON.stringify(part)) });
        await setImmediate();
      }
    }
    const manifest: Manifest = { format: BACKUP_FORMAT, studio, madeAt: madeAt.toISOString(), files };
    add(MANIFEST, `${JSON.stringify(manifest, null, 1)}\n`);
    zip.end();
    return manifest;
  });
}

async function* partsOf(tx: Tx, table: BundleTable): AsyncIterable<readonly unknown[]> {
  const { giveOut, giveOutInParts } = CARRIED[table];
  if (giveOutInParts) return yield* giveOutInParts(tx);
  const rows = await giveOut(tx);
  for (let from = 0; from < rows.length; from += ROWS_A_FILE) yield rows.slice(from, from + ROWS_A_FILE);
}
