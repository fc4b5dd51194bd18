// npm test: everything CI runs, in order, ending in one line. npm run check (--quick): the inner loop,
// without server and browser, of what changed: tools remember what they looked at last time (in
// .toile/checked, never asked by npm test), and tests are those that a change since main's last commit can
// touch.
import { spawnSync } from 'node:child_process';
import { readFileSync, rmSync } from 'node:fs';
import path from 'node:path';
import { stateDir } from './lib/paths.mjs';
import { CHROMIUM, ensureBuilt, ensureDebian, ensurePackages, POSTGRES } from './lib/setup.mjs';
import { ended, start } from './lib/run.mjs';

const quick = process.argv.includes('--quick');
let passed = 0;
let failed = 0;
const remembered = path.join(stateDir, 'checked');
/** A clone of the last commit alone has nothing to be compared with: then all units run. */
const hasBefore = spawnSync('git', ['rev-parse', '--verify', '--quiet', 'HEAD~1']).status === 0;
/** Arguments only of the inner loop. */
const ifQuick = (...args) => (quick ? args : []);

/**
 * Stages that do not wait for each other, two at a time; what each printed comes when it has ended, in one
 * piece.
 */
async function stages(list) {
  const waiting = [...list];
  const next = async () => {
    for (let one = waiting.shift(); one; one = waiting.shift()) {
      const { code, printed } = await heard(start('npx', one.command, { stdio: ['ignore', 'pipe', 'pipe'] }));
      console.log(`\n== ${one.name}${printed === '' ? '' : `\n${printed}`}`);
      if (code === 0) passed++;
      else failed++;
    }
  };
  await Promise.all([next(), next()]);
}

/** A process's exit code with all it printed. */
async function heard(child) {
  let printed = '';
  for (const stream of [child.stdout, child.stderr]) stream.on('data', (data) => (printed += String(data)));
  const code = await ended(child);
  return { code, printed: printed.replace(/^npm warn .*\n?/gm, '').trim() };
}

/**
 * Jest, its counts taken from its own report; a run that breaks before reporting counts as one failure. Gives
 * what failed, by file.
 */
async function jest(name, projects, { env = {}, workers = 2, files = [] } = {}) {
  console.log(`\n== ${name}`);
  const report = path.join(stateDir, 'jest.json');
  rmSync(report, { force: true });
  const code = await ended(
    start(
      'npx',
      [
        'jest',
        '--selectProjects',
        ...projects,
        '--json',
        `--outputFile=${report}`,
        '--silent',
        `--maxWorkers=${workers}`,
        '--reporters=default',
        '--testTimeout=180000',
        ...(files.length > 0 ? ['--runTestsByPath', ...files] : []),
        ...ifQuick(...(hasBefore ? ['--changedSince=HEAD~1'] : []), '--passWithNoTests'),
      ],
      {
        env: { ...process.env, ...env },
        stdio: ['ignore', 'ignore', 'inherit'],
      },
    ),
  );
  try {
    const told = JSON.parse(readFileSync(report, 'utf8'));
    const failures = told.testResults.filter(({ status }) => status === 'failed').map(failureOf);
    passed += told.numPassedTests;
    failed += failures.reduce((sum, one) => sum + one.failed, 0);
    if (failures.length === 0 && (code !== 0 || (told.numTotalTests === 0 && !quick))) failed++;
    return failures;
  } catch {
    failed++;
    return [];
  }
}

/** A file of tests that failed: how many passed and failed in it, and which. */
function failureOf({ name, assertionResults }) {
  const failing = assertionResults.filter(({ status }) => status === 'failed');
  return {
    file: name,
    passed: assertionResults.filter(({ status }) => status === 'passed').length,
    failed: Math.max(failing.length, 1),
    tests: failing.map(({ fullName }) => fullName),
  };
}

/**
 * Files of interface tests that may be tried a second time: where more fail it is not the machine that was
 * busy.
 */
const MOST_TRIED_AGAIN = 3;

/**
 * The interface's tests. What fails on a busy machine is tried once more, its whole file in studios set up
 * anew: a test that was half done has changed what it began from. What failed first stays printed, and is
 * named.
 */
async function interfaceTests(cluster) {
  const first = await inNewStudios(cluster, []);
  if (first.length === 0 || first.length > MOST_TRIED_AGAIN) return;
  for (const one of first) {
    passed -= one.passed;
    failed -= one.failed;
  }
  const second = await inNewStudios(
    cluster,
    first.map(({ file }) => file),
  );
  const still = new Set(second.flatMap(({ tests }) => tests));
  const again = second.some(({ tests }) => tests.length === 0) ? [] : first.flatMap(({ tests }) => tests);
  for (const test of again) if (!still.has(test)) console.log(`passed only when tried again: ${test}`);
}

/** How many files of interface tests run beside each other, each lot in studios of its own. */
const PLACES = 2;

/** Runs files of interface tests, or all, against servers of their own; gives what failed. */
async function inNewStudios(cluster, files) {
  const { withPlaces } = await import('./lib/places.mjs');
  const name = files.length > 0 ? 'interface, tried again' : 'interface';
  // In one place one file after the other: they share the demo's studio and its people.
  return withPlaces(cluster, PLACES, (env) => jest(name, ['e2e'], { env, workers: PLACES, files }));
}

ensurePackages();
// The longest first.
await stages([
  {
    name: 'lint',
    command: [
      ...['eslint', '.', '--max-warnings', '0'],
      ...ifQuick('--cache', '--cache-strategy', 'content', '--cache-location', path.join(remembered, 'lint')),
    ],
  },
  ...[
    'app',
    'server',
    'packages/core',
    'packages/contract',
    'packages/languages',
    'demo',
    'app/offline',
    'app/offline/page',
    'e2e',
    'bench',
  ].map((project) => ({
    name: `types: ${project}`,
    command: [
      ...['tsc', '-p', project, '--noEmit'],
      ...ifQuick('--incremental', '--tsBuildInfoFile', path.join(remembered, `${project}.types`)),
    ],
  })),
  {
    name: 'format',
    command: [
      ...['prettier', '--check', '--log-level', 'warn', '.'],
      ...ifQuick('--cache', '--cache-location', path.join(remembered, 'format')),
    ],
  },
  {
    name: 'import directions',
    command: [
      'depcruise',
      'packages',
      'server',
      'app',
      'demo',
      '--config',
      '.dependency-cruiser.cjs',
      '--output-type',
      'err',
    ],
  },
  { name: 'breakages have their places', command: ['tsx', 'scripts/breakages.mjs', '--check'] },
  { name: 'every message in every language', command: ['tsx', 'scripts/messages/index.ts'] },
  { name: 'published schemas', command: ['tsx', 'scripts/writeSchemas.ts', '--check'] },
]);
// The sweeps over all demo people, looks and kits take minutes: the inner loop goes without.
await jest(
  'unit',
  quick
    ? ['core', 'contract', 'languages', 'scripts', 'app']
    : ['core', 'contract', 'languages', 'scripts', 'demo', 'app'],
);

if (!quick) {
  ensureDebian([...POSTGRES, ...CHROMIUM]);
  const { testCluster } = await import('./lib/testCluster.mjs');
  const { cluster, env } = await testCluster();
  try {
    await jest('server', ['server'], { env });
    await ensureBuilt();
    await interfaceTests(cluster);
  } catch (error) {
    console.error(error.message);
    failed++;
  } finally {
    cluster.stop();
  }
}

console.log(`\n${passed} passed, ${failed} failed`);
process.exit(failed === 0 ? 0 : 1);
