// npm run backup [-- --to FOLDER]: every studio of one's own installation as a zip. npm run restore -- --from
// FILE: a studio out of a zip. With --demo: of the demo's database instead.
import { existsSync } from 'node:fs';
import path from 'node:path';
import { backupDir } from './lib/paths.mjs';
import { ensureBuilt, ensureDebian, ensurePackages, POSTGRES } from './lib/setup.mjs';
import { run } from './lib/run.mjs';

const argument = (name) => {
  const at = process.argv.indexOf(name);
  return at < 0 ? null : (process.argv[at + 1] ?? null);
};
const restoring = process.argv.includes('--restore');
const where = restoring ? argument('--from') : (argument('--to') ?? backupDir);
if (!where || (restoring && !existsSync(where))) {
  console.error(where ? `There is no file ${where}.` : 'Say from which file: npm run restore -- --from FILE');
  process.exit(1);
}
ensurePackages();
ensureDebian(POSTGRES);
const { ensureCluster, ensureDatabase } = await import('./lib/cluster.mjs');
await ensureBuilt();
const cluster = await ensureCluster('demo');
const database = ensureDatabase(cluster, process.argv.includes('--demo') ? 'toile' : 'toile_own');
try {
  run('node', ['.toile/backup.mjs', restoring ? 'restore' : 'backup', path.resolve(where)], {
    env: { ...process.env, TOILE_OWNER_URL: database.ownerUrl, TOILE_APP_URL: database.appUrl },
  });
} catch (error) {
  process.exitCode = error.code ?? 1;
} finally {
  if (cluster.started) cluster.stop();
}
