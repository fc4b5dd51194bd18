import { CHROMIUM, ensureBuilt, ensureDebian, ensurePackages, POSTGRES } from './setup.mjs';
import { ended } from './run.mjs';

/** Serves a fresh demo from the tests' cluster while some work goes on with its address. */
export async function withServedDemo(database, work) {
  ensurePackages();
  ensureDebian([...POSTGRES, ...CHROMIUM]);
  const { ensureCluster, ensureDatabase, freePort } = await import('./cluster.mjs');
  const { startServer, writeDemo } = await import('./serve.mjs');
  await ensureBuilt();
  const cluster = await ensureCluster('test', {
    fsync: 'off',
    synchronous_commit: 'off',
    full_page_writes: 'off',
    max_connections: 200,
  });
  cluster.psql(`drop database if exists ${database} with (force)`);
  const urls = ensureDatabase(cluster, database);
  const { studios } = writeDemo();
  const port = await freePort(26200);
  const server = await startServer({ ...urls, port, studios });
  try {
    return await work(`http://127.0.0.1:${port}`, cluster, urls);
  } finally {
    server.kill('SIGTERM');
    await ended(server);
    cluster.stop();
  }
}
