// npm run late [-- seed [file ...]]: the interface's tests with every answer late, by chance and not in the
// order it was asked for: what is done in between is seen here, not on somebody's phone in a cellar. Files by
// their names, as src/team; without, all of them.
import { ended, start } from './lib/run.mjs';
import { CHROMIUM, ensureBuilt, ensureDebian, ensurePackages, POSTGRES } from './lib/setup.mjs';

const [seed = '1', ...files] = process.argv.slice(2);
if (!(Number(seed) > 0)) throw new Error('The first word is the seed: npm run late -- 7 src/team');
ensurePackages();
ensureDebian([...POSTGRES, ...CHROMIUM]);
const { testCluster } = await import('./lib/testCluster.mjs');
const { withPlaces } = await import('./lib/places.mjs');
await ensureBuilt();
const { cluster } = await testCluster();
try {
  process.exitCode = await withPlaces(cluster, 1, (env) =>
    ended(
      start(
        'npx',
        ['jest', '--selectProjects', 'e2e', '--testTimeout=600000', '--maxWorkers=1', '--', ...files],
        {
          env: { ...process.env, ...env, TOILE_LATE_ANSWERS: seed, TOILE_PATIENCE_MS: '60000' },
        },
      ),
    ),
  );
} finally {
  cluster.stop();
}
