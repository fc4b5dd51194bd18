// npm run fuzz [-- runs [seed]]: the server's fuzzer at length: 100,000 requests nobody should send, each run
// from another seed unless one is named.
import { ended, start } from './lib/run.mjs';
import { ensureDebian, ensurePackages, POSTGRES } from './lib/setup.mjs';
import { testCluster } from './lib/testCluster.mjs';

const [runs = '100000', seed = String(Date.now() % 2 ** 31)] = process.argv.slice(2);
ensurePackages();
ensureDebian(POSTGRES);
const { cluster, env } = await testCluster();
console.log(`${runs} requests, seed ${seed}`);
try {
  const jest = start('npx', ['jest', '--selectProjects', 'server', '--testTimeout=36000000', '--', 'fuzz'], {
    env: { ...process.env, ...env, TOILE_FUZZ_RUNS: runs, TOILE_FUZZ_SEED: seed },
    stdio: 'inherit',
  });
  process.exitCode = (await ended(jest)) ?? 1;
} finally {
  cluster.stop();
}
