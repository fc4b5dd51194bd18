import { createWriteStream } from 'node:fs';
import { mkdir, readdir, rename, rm } from 'node:fs/promises';
import path from 'node:path';
import { finished } from 'node:stream/promises';
import { sql } from 'kysely';
import type { Logger } from 'pino';
import type { Db } from '../db/connection';
import { oneAtATime } from '../db/locks';
import { backupFile, toLetGo } from './rotation';
import { writeBackup } from './writeBackup';

export type BackupSettings = {
  readonly folder: string;
  /** Days kept of each studio. */
  readonly keep: number;
  /** The hour of the machine's day after which the day's backup is written. */
  readonly hour: number;
};

/** How often it is looked whether a backup is due, ms. */
const LOOK_MS = 10 * 60_000;
const dayOf = (at: Date): string =>
  [at.getFullYear(), at.getMonth() + 1, at.getDate()].map((n) => String(n).padStart(2, '0')).join('-');

/** Every studio of the installation. */
export async function studioList(db: Db): Promise<{ readonly id: string; readonly name: string }[]> {
  const { rows } = await sql<{ id: string; name: string }>`select id, name from studio_list()`.execute(db);
  return rows;
}

/** Writes one studio's backup to a file, whole or not at all: it gets its name when it is complete. */
export async function backupTo(db: Db, studioId: string, file: string, at: Date): Promise<void> {
  const making = `${file}.making`;
  const out = createWriteStream(making, { mode: 0o600 });
  try {
    // Asked for before it is filled: an error of the disk is not lost while rows are read.
    const written = finished(out);
    written.catch(() => undefined);
    await writeBackup(db, studioId, at, (piece) => void out.write(piece));
    out.end();
    await written;
    await rename(making, file);
  } catch (error) {
    out.destroy();
    await rm(making, { force: true });
    throw error;
  }
}

/**
 * Writes the day's backup of every studio that has none yet and lets the oldest go; nothing before the hour.
 * One server of many does it, the others find it done. What was written is given by name.
 */
export async function backUpIfDue(
  db: Db,
  { folder, keep, hour }: BackupSettings,
  at: Date,
): Promise<string[]> {
  if (at.getHours() < hour) return [];
  await mkdir(folder, { recursive: true, mode: 0o700 });
  return db.transaction().execute(async (tx) => {
    await oneAtATime(tx, 'nightly backup');
    const written: string[] = [];
    for (const studio of await studioList(db)) {
      const file = backupFile(studio, dayOf(at));
      if ((await readdir(folder)).includes(file)) continue;
      await backupTo(db, studio.id, path.join(folder, file), at);
      written.push(file);
    }
    for (const old of toLetGo(await readdir(folder), keep)) await rm(path.join(folder, old));
    return written;
  });
}

/** Looks every some minutes whether a backup is due; gives how to stop it. */
export function backUpNightly(db: Db, settings: BackupSettings, logger: Logger): () => void {
  let busy = false;
  const look = async (): Promise<void> => {
    if (busy) return;
    busy = true;
    try {
      for (const file of await backUpIfDue(db, settings, new Date())) logger.info({ file }, 'backed up');
    } catch (error) {
      logger.error({ type: error instanceof Error ? error.name : typeof error }, 'backup failed');
    } finally {
      busy = false;
    }
  };
  const timer = setInterval(() => void look(), LOOK_MS);
  timer.unref();
  void look();
  return () => clearInterval(timer);
}
