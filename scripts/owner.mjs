// npm run owner: sets up the first studio of one's own installation and its owner, by asking.
import { ensureBuilt, ensureDebian, ensurePackages, POSTGRES } from './lib/setup.mjs';
import { run } from './lib/run.mjs';

ensurePackages();
ensureDebian(POSTGRES);
const { ensureCluster, ensureDatabase } = await import('./lib/cluster.mjs');
await ensureBuilt();
const cluster = await ensureCluster('demo');
const database = ensureDatabase(cluster, 'toile_own');
try {
  run('node', ['.toile/owner.mjs'], {
    env: { ...process.env, TOILE_OWNER_URL: database.ownerUrl, TOILE_APP_URL: database.appUrl },
  });
} catch (error) {
  process.exitCode = error.code ?? 1;
} finally {
  if (cluster.started) cluster.stop();
}
