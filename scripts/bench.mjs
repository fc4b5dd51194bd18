// npm run bench: rows with a ratio against a named peer or brute force, measured in the same run.
import path from 'node:path';
import { stateDir } from './lib/paths.mjs';
import { ended, start } from './lib/run.mjs';
import { withServedDemo } from './lib/served.mjs';

const code = await withServedDemo('toile_bench', async (url, cluster, urls) => {
  const { ensureDatabase, freePort } = await import('./lib/cluster.mjs');
  const { startServer, writeDemo } = await import('./lib/serve.mjs');
  // A second process over the same database: what is told from one to the other is measured between real
  // processes.
  const port = await freePort(26250);
  const metricsPort = await freePort(26270);
  const holds = path.join(stateDir, 'bench.holds');
  const second = await startServer({
    ...urls,
    port,
    studios: [],
    watched: { metricsPort, holds },
  });
  const [whole, copy] = ['toile_bench_whole', 'toile_bench_copy'].map((name) => {
    cluster.psql(`drop database if exists ${name} with (force)`);
    return ensureDatabase(cluster, name);
  });
  // The same demo in a database that stays as small as it is, for what is asked of one that grows.
  cluster.psql('drop database if exists toile_bench_still with (force)');
  const stillUrls = ensureDatabase(cluster, 'toile_bench_still');
  const stillPort = await freePort(26290);
  const still = await startServer({ ...stillUrls, port: stillPort, studios: writeDemo().studios });
  const env = {
    ...process.env,
    TOILE_STILL_URL: `http://127.0.0.1:${stillPort}`,
    TOILE_STILL_APP_URL: stillUrls.appUrl,
    TOILE_PG_BIN: cluster.bin,
    TOILE_SUPER_URL: cluster.superUrl,
    TOILE_WHOLE: JSON.stringify(whole),
    TOILE_COPY: JSON.stringify(copy),
    TOILE_URL: url,
    TOILE_APP_URL: urls.appUrl,
    TOILE_SECOND_URL: `http://127.0.0.1:${port}`,
    TOILE_SECOND_HOLDS: holds,
    TOILE_SECOND_METRICS_URL: `http://127.0.0.1:${metricsPort}/metrics`,
  };
  const ending = await ended(start('npx', ['tsx', 'bench/src/main.ts'], { env }));
  for (const one of [second, still]) {
    one.kill('SIGTERM');
    await ended(one);
  }
  return ending;
});
process.exit(code);
