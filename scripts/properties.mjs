// npm run properties [-- times [path ...]]: every property of core, contract, languages and the demo at length:
// 10 times its runs, each time from other seeds. What fails one run in a thousand fails here, not on
// somebody's machine.
import { writeFileSync } from 'node:fs';
import path from 'node:path';
import { plain } from '../jest.config.mjs';
import { root, stateDir } from './lib/paths.mjs';
import { ended, start } from './lib/run.mjs';
import { ensurePackages } from './lib/setup.mjs';

ensurePackages();
const [times = '10', ...paths] = process.argv.slice(2);
if (!(Number(times) > 0)) throw new Error('The first word says how many times: npm run properties -- 10');
const project = (name, at) => ({
  ...plain(name, path.join(root, at)),
  moduleNameMapper: { '^fast-check$': path.join(root, 'scripts/lib/atLength.cjs') },
});
const config = path.join(stateDir, 'properties.json');
writeFileSync(
  config,
  JSON.stringify({
    rootDir: root,
    projects: [
      project('core', 'packages/core'),
      project('contract', 'packages/contract'),
      project('languages', 'packages/languages'),
      project('demo', 'demo'),
    ],
  }),
);
const jest = start(
  'npx',
  [
    'jest',
    '--config',
    config,
    '--testTimeout=36000000',
    '--reporters=default',
    ...(paths.length > 0 ? ['--', ...paths] : []),
  ],
  { env: { ...process.env, TOILE_PROPERTY_TIMES: times } },
);
process.exitCode = await ended(jest);
