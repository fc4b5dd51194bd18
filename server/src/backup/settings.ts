import type { BackupSettings } from './nightly';

/** A whole number of the environment between two; throws with the name of the variable when it is none. */
function whole(
  env: Readonly<Record<string, string | undefined>>,
  name: string,
  usual: number,
  least: number,
  most: number,
): number {
  const text = env[name];
  if (text === undefined || text === '') return usual;
  const value = Number(text);
  if (!Number.isInteger(value) || value < least || value > most)
    throw new Error(`${name} is a whole number from ${least} to ${most}, not ${text}`);
  return value;
}

/** How backups are written, out of the environment; null where no folder is named, and then none are. */
export function backupSettings(env: Readonly<Record<string, string | undefined>>): BackupSettings | null {
  const folder = env.TOILE_BACKUP_DIR;
  if (!folder) return null;
  return {
    folder,
    keep: whole(env, 'TOILE_BACKUP_KEEP', 14, 1, 3650),
    hour: whole(env, 'TOILE_BACKUP_HOUR', 3, 0, 23),
  };
}
