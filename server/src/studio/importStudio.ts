import { readDocument, type DocumentProblem } from '@toile/core';
import {
  BUNDLE_TABLES,
  emptyBundle,
  StudioBundleSchema,
  type BundleTable,
  type StudioBundle,
} from '@toile/contract';
import { inStudio, type Db, type Tx } from '../db/connection';
import { hashPassword } from '../session/passwords';
import { CARRIED, type TakingIn } from './tables';

export type ImportResult =
  | { readonly ok: true; readonly name: string }
  | { readonly ok: false; readonly problems: readonly DocumentProblem[] };

/**
 * Takes in a whole studio from its open JSON, all or nothing. Problems say line, column and what was
 * expected. Passwords are no part of the file: `passwords` has those that are known, by email; whoever has
 * none cannot sign in until one is set.
 */
export async function importStudio(
  db: Db,
  text: string,
  passwords: ReadonlyMap<string, string> = new Map(),
): Promise<ImportResult> {
  const read = readDocument(text, StudioBundleSchema);
  if (!read.ok) return read;
  await importBundle(db, { ...emptyBundle(read.document.studio), ...read.document }, passwords);
  return { ok: true, name: read.document.studio.name };
}

/** Takes in a studio that was read and is sound, all or nothing. */
export async function importBundle(
  db: Db,
  bundle: StudioBundle,
  passwords: ReadonlyMap<string, string> = new Map(),
): Promise<void> {
  const known = bundle.people.flatMap(({ email }) =>
    passwords.has(email) ? [[email, passwords.get(email)!] as const] : [],
  );
  const passwordHashes = new Map(
    await Promise.all(known.map(async ([email, password]) => [email, await hashPassword(password)] as const)),
  );
  const into: TakingIn = { studioId: bundle.studio.id, passwordHashes };
  await inStudio(db, bundle.studio.id, async (tx) => {
    await tx.insertInto('studios').values(bundle.studio).execute();
    for (const table of BUNDLE_TABLES) await takeIn(tx, table, bundle, into);
  });
}

const takeIn = <T extends BundleTable>(
  tx: Tx,
  table: T,
  bundle: StudioBundle,
  into: TakingIn,
): Promise<void> => CARRIED[table].takeIn(tx, bundle[table], into);

/** Whether a studio is already here. */
export async function hasStudio(db: Db, studioId: string): Promise<boolean> {
  return inStudio(
    db,
    studioId,
    async (tx) => (await tx.selectFrom('studios').select('id').executeTakeFirst()) !== undefined,
  );
}
