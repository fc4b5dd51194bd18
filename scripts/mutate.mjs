// npm run mutate -- <topic> [...]: mutation testing of core's topics, or `contract`, `app` (view-models and
// outbox). Without a topic: all. A topic is judged by its own tests alone: what only another topic's tests
// would notice counts as missed. npm run mutate -- --changed: what differs from main's last commit. --lines
// 60: so many lines of each topic, drawn by chance (--seed 2: others), where the whole would take hours.
// Writes .toile/mutation/<topic>.json and prints score and survivors.
import { mkdirSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { plain } from '../jest.config.mjs';
import { root, stateDir } from './lib/paths.mjs';
import { ended, output, start } from './lib/run.mjs';
import { ensureDebian, ensurePackages, POSTGRES } from './lib/setup.mjs';

ensurePackages();
const CORE = path.join(root, 'packages/core/src');
const topics = readdirSync(CORE, { withFileTypes: true })
  .filter((entry) => entry.isDirectory())
  .map((entry) => entry.name);
const LINES = numberAfter('--lines');
const SEED = numberAfter('--seed') ?? 1;
/** A test that takes longer while all that runs is counted is not asked: what only it notices counts as missed. */
const SLOWEST_MS = 12_000;
const NOT_CODE = ['!**/*.test.ts', '!**/*.test.tsx', '!**/*.testing.ts', '!**/index.ts'];
/** What is mutated and by which tests it is judged: files, and the tests' files or a Jest configuration. */
function plan(topic) {
  if (topics.includes(topic))
    return {
      mutate: [`packages/core/src/${topic}/**/*.ts`, ...NOT_CODE],
      tests: testsIn(`packages/core/src/${topic}`),
    };
  if (topic === 'contract')
    return {
      mutate: ['packages/contract/src/**/*.ts', ...NOT_CODE],
      tests: testsIn('packages/contract/src'),
    };
  if (topic === 'server')
    return {
      mutate: [
        'server/src/today/due.ts',
        'server/src/session/passwords.ts',
        'server/src/charts/events.ts',
        'server/src/db/connection.ts',
      ],
      needsDatabase: true,
      config: {
        ...plain(topic, 'server'),
        testMatch: [
          'api',
          'barredDue',
          'lostDatabase',
          'password',
          'starting',
          'studioFile',
          'timings',
          'today',
        ].map((name) => `<rootDir>/test/${name}.test.ts`),
      },
    };
  if (topic === 'app')
    return {
      mutate: [
        'app/features/**/*View.ts',
        'app/features/words/*.ts',
        'app/data/*.ts',
        'app/workers/intern.ts',
        'app/workers/rpc.ts',
        ...NOT_CODE,
      ],
      config: {
        ...JSON.parse(
          output('node', ['-p', "JSON.stringify(require('./app/jest.config.js'))"], { cwd: root }),
        ),
        rootDir: 'app',
        // The preset says so too, which Stryker does not see.
        testEnvironment: 'jsdom',
      },
    };
  throw new Error(`there is no topic “${topic}”: ${[...topics, 'contract', 'server', 'app'].join(', ')}`);
}

/** The tests of a folder, by their paths from the root. */
function testsIn(folder) {
  return output('git', ['ls-files', '--', `:(glob)${folder}/**/*.test.ts`])
    .split('\n')
    .filter(Boolean);
}

/** How the tests are worked: what is pure in one bundle, the rest by Jest. */
function worked({ tests, config }) {
  if (tests !== undefined) return { testRunner: 'bundled', bundled: { files: tests, slowestMs: SLOWEST_MS } };
  return {
    testRunner: 'jest',
    // Alone: what the whole list of projects asks for is not to be mixed in.
    jest: { projectType: 'custom', config: { ...config, projects: [] }, enableFindRelatedTests: false },
  };
}

/** The number after a flag; null where it is not there. */
function numberAfter(flag) {
  const at = process.argv.indexOf(flag);
  if (at < 0) return null;
  const number = Number(process.argv[at + 1]);
  if (!Number.isInteger(number) || number < 1) throw new Error(`${flag} is a whole number from 1 on`);
  return number;
}

/** Lines that say something, of files by their patterns. */
function linesOf(patterns) {
  const wanted = patterns.filter((one) => !one.startsWith('!')).map((one) => `:(glob)${one}`);
  return output('git', ['ls-files', '--', ...wanted])
    .split('\n')
    .filter((file) => /\.tsx?$/.test(file) && !/\.test(ing)?\.tsx?$|\/index\.ts$/.test(file))
    .flatMap((file) =>
      readFileSync(path.join(root, file), 'utf8')
        .split('\n')
        .flatMap((text, i) =>
          /^\s*(?:\/?\*|\/\/|import |export \*|[\])}>;,]*$)/.test(text) ? [] : [`${file}:${i + 1}-${i + 1}`],
        ),
    );
}

/** So many of a list, drawn by a seed (mulberry32). */
function drawn(list, count, seed) {
  let state = seed;
  const next = () => {
    state = (state + 0x6d2b79f5) | 0;
    let t = Math.imul(state ^ (state >>> 15), 1 | state);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
  return list
    .map((one) => [next(), one])
    .sort(([a], [b]) => a - b)
    .slice(0, count)
    .map(([, one]) => one);
}

async function mutate(topic, only) {
  const { mutate: files, needsDatabase = false, ...how } = plan(topic);
  const folder = path.join(stateDir, 'mutation');
  mkdirSync(folder, { recursive: true });
  const report = path.join(folder, `${topic}.json`);
  const settings = path.join(folder, `${topic}.config.json`);
  writeFileSync(
    settings,
    JSON.stringify({
      ...worked(how),
      plugins: [
        '@stryker-mutator/jest-runner',
        path.join(root, 'scripts/lib/strykerWords.mjs'),
        path.join(root, 'scripts/lib/strykerBundled.mjs'),
      ],
      ignorers: ['words'],
      coverageAnalysis: 'perTest',
      mutate: only ?? (LINES === null ? files : drawn(linesOf(files), LINES, SEED)),
      warnings: { unknownOptions: false },
      reporters: ['json', 'clear-text', 'progress-append-only'],
      clearTextReporter: { logTests: false, reportTests: false, reportMutants: false, allowColor: false },
      jsonReporter: { fileName: report },
      tempDirName: path.join(stateDir, 'stryker'),
      ignorePatterns: ['app/dist', 'app/public', 'docs', '.toile', 'coverage'],
      concurrency: 2,
      // A slow machine is no test that bites: only what never ends is caught by time.
      timeoutMS: how.tests === undefined ? 120_000 : 20_000,
      dryRunTimeoutMinutes: 15,
      allowEmpty: true,
    }),
  );
  const database = needsDatabase ? await databaseForTests() : null;
  const code = await ended(
    start('npx', ['stryker', 'run', settings], {
      stdio: ['ignore', 'inherit', 'inherit'],
      env: { ...process.env, ...database?.env },
    }),
  );
  await database?.cluster.stop();
  if (code !== 0) throw new Error(`mutation testing of ${topic} ended with ${code}`);
  return summary(topic, JSON.parse(readFileSync(report, 'utf8')));
}

/** A server of PostgreSQL for tests; loaded here, since most topics need none. */
async function databaseForTests() {
  ensureDebian([...POSTGRES]);
  const { testCluster } = await import('./lib/testCluster.mjs');
  return testCluster();
}

/** Caught, survived and the share that was caught, with where each survivor stands. */
function summary(topic, { files }) {
  const mutants = Object.entries(files).flatMap(([file, { mutants: all }]) =>
    all.map((m) => ({ file, ...m })),
  );
  const of = (...states) => mutants.filter((m) => states.includes(m.status));
  const timedOut = of('Timeout').length;
  const [caught, missed] = [of('Killed').length + timedOut, of('Survived', 'NoCoverage')];
  const score = caught + missed.length === 0 ? null : (100 * caught) / (caught + missed.length);
  return {
    topic,
    caught,
    missed: missed.length,
    timedOut,
    score,
    survivors: missed.map(
      (m) => `${m.file}:${m.location.start.line} ${m.mutatorName}: ${m.replacement?.split('\n')[0] ?? ''}`,
    ),
  };
}

const asked = process.argv
  .slice(2)
  .filter((arg, i, all) => !arg.startsWith('--') && !['--lines', '--seed'].includes(all[i - 1]));
const results = [];
if (process.argv.includes('--changed')) {
  const changed = output('git', ['diff', '--name-only', 'HEAD~1', '--', 'packages/core/src'])
    .split('\n')
    .filter((file) => /\.ts$/.test(file) && !/\.test(ing)?\.ts$|index\.ts$/.test(file));
  const byTopic = Map.groupBy ? Map.groupBy(changed, (file) => file.split('/')[3]) : new Map();
  if (!Map.groupBy)
    for (const file of changed)
      byTopic.set(file.split('/')[3], [...(byTopic.get(file.split('/')[3]) ?? []), file]);
  for (const [topic, files] of byTopic) if (topics.includes(topic)) results.push(await mutate(topic, files));
} else
  for (const topic of asked.length > 0 ? asked : [...topics, 'contract', 'server', 'app'])
    results.push(await mutate(topic));

for (const { topic, caught, missed, timedOut, score, survivors } of results) {
  console.log(
    `\n${topic}: ${score === null ? 'nothing to change' : `${score.toFixed(1)} % of ${caught + missed} caught, ${timedOut} by time`}`,
  );
  for (const line of survivors) console.log(`  ${line}`);
}
