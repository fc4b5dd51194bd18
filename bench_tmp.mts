import { withServedDemo } from './scripts/lib/served.mjs';
import { readRows } from './bench/src/reads';
import { loadRows } from './bench/src/load';
import { growthRows } from './bench/src/growth';
import { print } from './bench/src/measure';
await withServedDemo('look_tmp', async (url: string, cluster: any, urls: any) => {
  const { freePort } = await import('./scripts/lib/cluster.mjs');
  const { startServer } = await import('./scripts/lib/serve.mjs');
  process.env.TOILE_SUPER_URL = cluster.superUrl;
  const port = await freePort(26250), mp = await freePort(26270);
  process.env.TOILE_METRICS_PORT = String(mp);
  const second = await startServer({ ...urls, port, studios: [] });
  const which = process.argv[2] ?? 'rlg';
  if (which.includes('r')) print(await readRows(url, urls.appUrl));
  if (which.includes('l')) print(await loadRows(`http://127.0.0.1:${port}`, `http://127.0.0.1:${mp}/metrics`));
  if (which.includes('g')) print(await growthRows(url, urls.appUrl));
  second.kill('SIGTERM');
});
