import { createHash } from 'node:crypto';
import { existsSync, readFileSync, readdirSync, statSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { root, stateDir } from './paths.mjs';
import { output, run } from './run.mjs';

const stampFile = (name) => path.join(stateDir, `${name}.stamp`);
const isFresh = (name, stamp) =>
  existsSync(stampFile(name)) && readFileSync(stampFile(name), 'utf8') === stamp;
const mark = (name, stamp) => writeFileSync(stampFile(name), stamp);

/**
 * Installs packages when the lock file has changed: `npm ci` where the registry has all it lists, else `npm
 * install`.
 */
export function ensurePackages() {
  const stamp = hashOf([path.join(root, 'package-lock.json'), path.join(root, 'package.json')]);
  if (existsSync(path.join(root, 'node_modules/expo')) && isFresh('packages', stamp)) return;
  if (!existsSync(path.join(root, 'node_modules/expo'))) {
    console.log('Installing packages');
    if (output('npm', ['ci', '--no-audit', '--no-fund']) === null)
      run('npm', ['install', '--no-audit', '--no-fund', '--no-save']);
  } else {
    console.log('Updating packages');
    run('npm', ['install', '--no-audit', '--no-fund', '--no-save']);
  }
  mark('packages', stamp);
}

/** Installs Debian packages whose programs are missing. */
export function ensureDebian(wanted) {
  const missing = wanted.filter(({ present }) => !present()).map(({ name }) => name);
  if (missing.length === 0) return;
  console.log(`Installing ${missing.join(', ')}`);
  const sudo = process.getuid?.() === 0 ? [] : ['sudo', '-n'];
  const apt = (args) => {
    const [command, ...rest] = [...sudo, 'apt-get', ...args];
    run(command, rest, {
      env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
      stdio: ['ignore', 'ignore', 'inherit'],
    });
  };
  try {
    apt(['update', '-qq']);
    apt(['install', '-y', '-qq', '--no-install-recommends', ...missing]);
  } catch (error) {
    throw new Error(
      `${missing.join(' and ')} could not be installed. Install by hand: apt-get install ${missing.join(' ')}`,
      { cause: error },
    );
  }
}

/** The folder of PostgreSQL's own programs, newest first; null when there is no server. */
export function postgresBin() {
  const base = '/usr/lib/postgresql';
  if (!existsSync(base)) return null;
  const versions = readdirSync(base).sort((a, b) => Number(b) - Number(a));
  const found = versions.find((v) => existsSync(path.join(base, v, 'bin/initdb')));
  return found ? path.join(base, found, 'bin') : null;
}

const contrib = () => {
  const base = '/usr/share/postgresql';
  return (
    existsSync(base) &&
    readdirSync(base).some((v) => existsSync(path.join(base, v, 'extension/pg_trgm.control')))
  );
};
export const POSTGRES = [
  { name: 'postgresql', present: () => postgresBin() !== null },
  { name: 'postgresql-contrib', present: contrib },
];
export const CHROMIUM = [{ name: 'chromium', present: () => existsSync('/usr/bin/chromium') }];

/** Builds the app into app/dist and the server into .toile/server when their sources have changed. */
export async function ensureBuilt() {
  const shared = [...sources('packages'), ...sources('scripts'), path.join(root, 'package-lock.json')];
  const app = hashOf([...shared, ...sources('app')]);
  if (!isFresh('app', app) || !existsSync(path.join(root, 'app/dist/index.html'))) {
    console.log('Building the app (some minutes the first time)');
    await (await import('./workers.mjs')).buildWorkers();
    const env = {
      ...process.env,
      CI: '1',
      EXPO_OFFLINE: '1',
      EXPO_NO_TELEMETRY: '1',
      NODE_ENV: 'production',
    };
    run('npx', ['expo', 'export', '--platform', 'web', '--output-dir', 'dist'], {
      cwd: path.join(root, 'app'),
      env,
      stdio: ['ignore', 'ignore', 'inherit'],
    });
    writePages();
    askEarly();
    bundleServiceWorker();
    mark('app', app);
  }
  const server = hashOf([...shared, ...sources('server'), ...sources('demo')]);
  if (!isFresh('server', server)) {
    bundle('server/src/main.ts', 'server.mjs');
    bundle('server/src/print/pressWorker.ts', 'press.mjs');
    bundle('server/src/backup/cli.ts', 'backup.mjs');
    bundle('server/src/setup/cli.ts', 'owner.mjs');
    bundle('demo/src/write.ts', 'writeDemo.mjs');
    mark('server', server);
  }
}

/**
 * The addresses there are once it is built (the gallery is there only while it is worked on), as patterns,
 * for the server: it answers any other with 404 and the app's own page for it.
 */
function writePages() {
  const pages = readdirSync(path.join(root, 'app/app'), { recursive: true })
    .filter((file) => /\.tsx$/.test(file) && !/(^|\/)(_layout|gallery|\+.*)\.tsx$/.test(file))
    .map((file) => `/${file.replace(/\.tsx$/, '')}`.replace(/\/index$/, '') || '/')
    .map((address) => `^${address.replace(/\[\w+\]/g, '[^/]+')}/?$`);
  writeFileSync(path.join(root, 'app/dist/pages.json'), JSON.stringify(pages.sort()));
}

/**
 * What a page shows is asked for before its scripts are there; so are the scripts that the first of them
 * would ask for only when they run.
 */
function askEarly() {
  const web = '/_expo/static/js/web';
  const scripts = readdirSync(path.join(root, 'app/dist', web));
  const the = (what, is) => {
    const [one, ...others] = scripts.filter((file) => file.endsWith('.js')).filter(is);
    if (!one || others.length > 0) throw new Error(`expected one script ${what}`);
    return JSON.stringify(`${web}/${one}`);
  };
  const has = (words) => (file) =>
    readFileSync(path.join(root, 'app/dist', web, file), 'utf8').includes(words);
  bundleOffline('page/early.ts', 'early.js', [
    `--define:WORK_FILE=${the('of work, built of app/features/work.ts', (file) => /^work-/.test(file))}`,
    `--define:TODAY_FILE=${the('of Today', (file) => /^index-/.test(file) && has('Nothing is due')(file))}`,
  ]);
  const frames = scripts.filter((file) => /^_layout-\w+\.js$/.test(file));
  const ahead = frames
    .map((file) => `\n    <link rel="preload" as="script" href="${web}/${file}" />`)
    .join('');
  const page = path.join(root, 'app/dist/index.html');
  const html = readFileSync(page, 'utf8');
  writeFileSync(page, html.replace('<head>', `<head>\n    <script src="/early.js" async></script>${ahead}`));
}

/** Taken from app/offline into the built app, each in one file. */
function bundleOffline(entry, to, more = []) {
  run('npx', [
    'esbuild',
    `app/offline/${entry}`,
    '--bundle',
    '--format=iife',
    '--target=es2022',
    '--minify',
    '--legal-comments=none',
    ...more,
    `--outfile=app/dist/${to}`,
  ]);
}

/**
 * The service worker, with every built file and its hash in it; and what keeps a lesson on its client's
 * phone.
 */
function bundleServiceWorker() {
  const dist = path.join(root, 'app/dist');
  const files = readdirSync(dist, { recursive: true, withFileTypes: true })
    .filter((entry) => entry.isFile())
    .map((entry) => path.join(entry.parentPath ?? entry.path, entry.name))
    // A language other than the keys' is kept by whoever reads it, when it is read.
    .filter(
      (file) => !/\/(sw\.js|lesson-\w+\.js|metadata\.json|pages\.json|translator-\w+\.js)$|\.map$/.test(file),
    )
    .map((file) => ({
      url: `/${path.relative(dist, file)}`,
      // A script has its hash in its name: kept by its address alone, the browser finds it by itself.
      revision: file.startsWith(path.join(dist, '_expo'))
        ? null
        : createHash('sha256').update(readFileSync(file)).digest('hex').slice(0, 16),
    }));
  bundleOffline('sw.ts', 'sw.js', [
    `--define:BUILT_FILES=${JSON.stringify(files)}`,
    '--define:process.env.NODE_ENV="production"',
  ]);
  bundleOffline('lessonWorker.ts', 'lesson-worker.js');
  bundleOffline('page/lessonKeep.ts', 'lesson-keep.js');
}

function bundle(entry, to) {
  const externals = [
    '@node-rs/argon2',
    'pg',
    'pino',
    'pino-http',
    'express',
    'express-session',
    'connect-pg-simple',
    'helmet',
    'compression',
    'express-rate-limit',
    'kysely',
    'pdfkit',
    'piscina',
    'prom-client',
    'qrcode',
  ];
  run('npx', [
    'esbuild',
    entry,
    '--bundle',
    '--platform=node',
    '--format=esm',
    '--target=node20',
    '--main-fields=module,main',
    '--log-level=warning',
    `--outfile=.toile/${to}`,
    ...externals.map((e) => `--external:${e}`),
  ]);
}

/** Every source file below a folder, tests and build output left out. */
function sources(folder) {
  const found = [];
  const walk = (dir) => {
    for (const entry of readdirSync(dir, { withFileTypes: true })) {
      if (['node_modules', 'dist', '.expo', 'public'].includes(entry.name)) continue;
      const full = path.join(dir, entry.name);
      if (entry.isDirectory()) walk(full);
      else if (!/\.test\.tsx?$/.test(entry.name)) found.push(full);
    }
  };
  walk(path.join(root, folder));
  return found;
}

function hashOf(files) {
  const hash = createHash('sha256');
  for (const file of [...files].sort()) {
    if (!existsSync(file) || !statSync(file).isFile()) continue;
    hash.update(path.relative(root, file)).update('\0').update(readFileSync(file));
  }
  return hash.digest('hex');
}
