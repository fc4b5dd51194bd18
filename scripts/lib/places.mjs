import { ensureDatabase, freePort } from './cluster.mjs';
import { ended } from './run.mjs';
import { startServer, writeDemo } from './serve.mjs';
import { dropDatabases } from './testCluster.mjs';

/**
 * Serves new studios of the demo in so many places, each a server and a database of its own, beside an
 * installation nobody has set up yet, while some work goes on with what the interface's tests are told.
 */
export async function withPlaces(cluster, count, work) {
  const databases = Array.from({ length: count }, (_, i) => `toile_e2e_${i + 1}`);
  dropDatabases(cluster, [...databases, 'toile_empty']);
  const { studios } = writeDemo();
  const running = [];
  try {
    const emptyPort = await freePort(26180);
    running.push(
      await startServer({ ...ensureDatabase(cluster, 'toile_empty'), port: emptyPort, studios: [] }),
    );
    const places = [];
    for (const name of databases) {
      const { ownerUrl, appUrl, sessionSecret } = ensureDatabase(cluster, name);
      const port = await freePort(26100 + 10 * places.length);
      running.push(await startServer({ ownerUrl, appUrl, sessionSecret, port, studios }));
      places.push({
        TOILE_URL: `http://127.0.0.1:${port}`,
        TOILE_EMPTY_URL: `http://127.0.0.1:${emptyPort}`,
        // One test starts, kills and restarts a server of its own over the same database.
        TOILE_OWNER_URL: ownerUrl,
        TOILE_APP_URL: appUrl,
        TOILE_SESSION_SECRET: sessionSecret,
        TOILE_STUDIOS: studios.join(':'),
      });
    }
    return await work({ TOILE_PLACES: JSON.stringify(places) });
  } finally {
    for (const child of running) {
      child.kill('SIGTERM');
      await ended(child);
    }
  }
}
