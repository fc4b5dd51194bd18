// npm run breakages [-- word]: puts small breakages into the code, one at a time, and says which the tests
// notice. What must hold whatever happens (outbox, idempotency, ledger, sessions, row security) is tried here
// by hand-made ones, where a mutation tool knows too little. --check only looks whether each still has its
// place.
import { readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { BREAKAGES } from './lib/breakageList.mjs';
import { root } from './lib/paths.mjs';
import { ended, output, start } from './lib/run.mjs';
import { ensureDebian, ensurePackages, POSTGRES } from './lib/setup.mjs';

/** How often what a breakage takes out of a file stands there: once, or the list needs mending. */
const placesOf = ({ file, from }) => readFileSync(path.join(root, file), 'utf8').split(from).length - 1;
if (process.argv.includes('--check')) {
  const lost = BREAKAGES.filter((b) => placesOf(b) !== 1);
  for (const b of lost) console.error(`${b.file}: “${b.from}” stands there ${placesOf(b)} times, not once.`);
  if (lost.length > 0) console.error('Mend scripts/lib/breakageList.mjs.');
  process.exit(lost.length === 0 ? 0 : 1);
}

const wanted = process.argv.slice(2).find((arg) => !arg.startsWith('--')) ?? '';
ensurePackages();
ensureDebian(POSTGRES);
const { transformSync } = await import('esbuild');
if (BREAKAGES.some((b) => placesOf(b) !== 1)) throw new Error('Run it with --check: the list needs mending.');
const files = [...new Set(BREAKAGES.map((b) => b.file))];
if (output('git', ['status', '--porcelain', '--', ...files], { cwd: root }) !== '')
  throw new Error('Commit or put aside your changes first: the sources are changed and put back.');

const { testCluster } = await import('./lib/testCluster.mjs');
const { cluster, env: server } = await testCluster();
const NONE = { put: () => undefined };
let broken = NONE;
for (const signal of ['SIGINT', 'SIGTERM'])
  process.on(signal, () => {
    broken.put();
    process.exit(1);
  });

const dropTemplate = () => {
  for (const name of ['toile_template', 'toile_template_making'])
    if (cluster.psql(`select 1 from pg_database where datname = '${name}'`) === '1')
      cluster.psql(`drop database ${name} with (force)`);
};

/** Whether the tests notice a breakage. */
async function noticed({ file, from, to, tests }) {
  const full = path.join(root, file);
  const before = readFileSync(full, 'utf8');
  // What does not even parse would be noticed by anything.
  transformSync(
    before.replace(from, () => to),
    { loader: 'ts' },
  );
  broken = { put: () => writeFileSync(full, before) };
  writeFileSync(
    full,
    before.replace(from, () => to),
  );
  if (file.includes('/migrations/')) dropTemplate();
  try {
    const [project, ...names] = tests;
    const code = await ended(
      start(
        'npx',
        [
          'jest',
          '--selectProjects',
          project,
          '--silent',
          '--bail',
          '--forceExit',
          '--testTimeout=30000',
          '--',
          ...names,
        ],
        {
          env: { ...process.env, ...server },
          stdio: 'ignore',
        },
      ),
    );
    return code !== 0;
  } finally {
    broken.put();
    broken = NONE;
    if (file.includes('/migrations/')) dropTemplate();
  }
}

const tally = new Map();
dropTemplate();
for (const breakage of BREAKAGES.filter((b) => `${b.topic} ${b.about}`.includes(wanted))) {
  const caught = await noticed(breakage);
  const [yes, all] = tally.get(breakage.topic) ?? [0, 0];
  tally.set(breakage.topic, [yes + (caught ? 1 : 0), all + 1]);
  console.log(`${caught ? 'caught ' : 'MISSED '} ${breakage.topic}: ${breakage.about}`);
}
cluster.stop();
let missed = 0;
for (const [topic, [yes, all]] of tally) {
  missed += all - yes;
  console.log(`${topic}: ${yes} of ${all} caught`);
}
process.exit(missed === 0 ? 0 : 1);
