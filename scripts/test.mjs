// npm test: everything CI runs, in order, ending in one line. npm run check (--quick): the inner loop,
// without server and browser.
import { readFileSync, rmSync } from 'node:fs';
import path from 'node:path';
import { stateDir } from './lib/paths.mjs';
import { CHROMIUM, ensureBuilt, ensureDebian, ensurePackages, POSTGRES } from './lib/setup.mjs';
import { ended, start } from './lib/run.mjs';

const quick = process.argv.includes('--quick');
let passed = 0;
let failed = 0;

/** Stages that do not wait for each other, two at a time; what each printed comes when it has ended, in one piece. */
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

/** Jest, its counts taken from its own report; a run that breaks before reporting counts as one failure. */
async function jest(name, projects, env = {}, workers = 2) {
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
      ],
      {
        env: { ...process.env, ...env },
        stdio: ['ignore', 'ignore', 'inherit'],
      },
    ),
  );
  try {
    const { numPassedTests, numFailedTests, numFailedTestSuites, numTotalTests, testResults } = JSON.parse(
      readFileSync(report, 'utf8'),
    );
    const again = testResults.flatMap(({ assertionResults }) =>
      assertionResults.filter(({ invocations, status }) => invocations > 1 && status === 'passed'),
    );
    for (const { fullName } of again) console.log(`passed only when tried again: ${fullName}`);
    passed += numPassedTests;
    failed += Math.max(numFailedTests, numFailedTestSuites, code === 0 && numTotalTests > 0 ? 0 : 1);
  } catch {
    failed++;
  }
}

ensurePackages();
// The longest first.
await stages([
  { name: 'lint', command: ['eslint', '.', '--max-warnings', '0'] },
  ...[
    'app',
    'server',
    'packages/core',
    'packages/contract',
    'demo',
    'app/offline',
    'app/offline/page',
    'e2e',
    'bench',
  ].map((project) => ({
    name: `types: ${project}`,
    command: ['tsc', '-p', project, '--noEmit'],
  })),
  { name: 'format', command: ['prettier', '--check', '--log-level', 'warn', '.'] },
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
  { name: 'published schemas', command: ['tsx', 'scripts/writeSchemas.ts', '--check'] },
]);
// The sweeps over all demo people, looks and kits take minutes: the inner loop goes without.
await jest('unit', quick ? ['core', 'contract', 'app'] : ['core', 'contract', 'demo', 'app']);

if (!quick) {
  ensureDebian([...POSTGRES, ...CHROMIUM]);
  const { ensureDatabase, freePort } = await import('./lib/cluster.mjs');
  const { testCluster } = await import('./lib/testCluster.mjs');
  const { startServer, writeDemo } = await import('./lib/serve.mjs');
  const { cluster, database, env } = await testCluster();
  await jest('server', ['server'], env);

  let server = null;
  let empty = null;
  try {
    await ensureBuilt();
    const { studios } = writeDemo();
    const port = await freePort(46100);
    server = await startServer({ ...database, port, studios });
    // An installation nobody has set up yet, for its first start.
    const emptyPort = await freePort(46180);
    empty = await startServer({ ...ensureDatabase(cluster, 'toile_empty'), port: emptyPort, studios: [] });
    const { ownerUrl, appUrl, sessionSecret } = database;
    // One test starts, kills and restarts a server of its own over the same database.
    const own = {
      TOILE_OWNER_URL: ownerUrl,
      TOILE_APP_URL: appUrl,
      TOILE_SESSION_SECRET: sessionSecret,
      TOILE_STUDIOS: studios.join(':'),
    };
    // One after the other: they share the demo's studio and its people.
    const urls = {
      TOILE_URL: `http://127.0.0.1:${port}`,
      TOILE_EMPTY_URL: `http://127.0.0.1:${emptyPort}`,
    };
    await jest('interface', ['e2e'], { ...urls, ...own }, 1);
  } catch (error) {
    console.error(error.message);
    failed++;
  } finally {
    for (const child of [server, empty]) {
      if (!child) continue;
      child.kill('SIGTERM');
      await ended(child);
    }
    cluster.stop();
  }
}

console.log(`\n${passed} passed, ${failed} failed`);
process.exit(failed === 0 ? 0 : 1);
