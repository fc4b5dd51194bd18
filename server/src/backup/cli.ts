import { readFileSync, statSync } from 'node:fs';
import { mkdir } from 'node:fs/promises';
import path from 'node:path';
import { openDb, openPool } from '../db/connection';
import { migrate } from '../db/migrate';
import { backupTo, studioList } from './nightly';
import { restoreBackup } from './restore';
import { backupFile } from './rotation';

// backup FOLDER: every studio as a zip into the folder. restore FILE: a studio out of a zip.
const [what, where] = process.argv.slice(2);

const say = (line: string): void => void process.stdout.write(`${line}\n`);
const tell = (line: string): void => void process.stderr.write(`${line}\n`);

function setting(name: string): string {
  const value = process.env[name];
  if (!value) throw new Error(`the environment variable ${name} is not set`);
  return value;
}

async function main(): Promise<void> {
  if ((what !== 'backup' && what !== 'restore') || !where)
    throw new Error('Say what: backup FOLDER, or restore FILE.');
  await migrate(setting('TOILE_OWNER_URL'));
  const pool = openPool(setting('TOILE_APP_URL'), () => undefined);
  const db = openDb(pool);
  try {
    if (what === 'backup') {
      await mkdir(where, { recursive: true, mode: 0o700 });
      const now = new Date();
      const studios = await studioList(db);
      if (studios.length === 0) say('There is no studio here yet.');
      for (const studio of studios) {
        const file = path.join(where, backupFile(studio, now.toISOString().slice(0, 10)));
        await backupTo(db, studio.id, file, now);
        say(`${studio.name}: ${file}, ${(statSync(file).size / 1_000_000).toFixed(1)} MB`);
      }
      return;
    }
    const restored = await restoreBackup(db, new Uint8Array(readFileSync(where)), new Date());
    if (!restored.ok) {
      for (const { file, line, column, message } of restored.problems)
        tell(
          [file ?? where, line === undefined ? null : `line ${line}, column ${column}`, message]
            .filter(Boolean)
            .join(': '),
        );
      tell('Nothing was restored.');
      process.exitCode = 1;
      return;
    }
    say(`${restored.studio.name} is restored. Passwords are in no backup: each owner chooses one by`);
    for (const { email, path: link } of restored.links) say(`  ${email}  ${link}`);
    say('behind the address of the app, within a day, once.');
  } finally {
    await pool.end();
  }
}

main().catch((error: unknown) => {
  tell(error instanceof Error ? error.message : String(error));
  process.exit(1);
});
