import { mkdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { pathToFileURL } from 'node:url';
import { root, stateDir } from './paths.mjs';
import { run, start } from './run.mjs';

/** Writes the demo studios dated around today and gives their files. */
export function writeDemo() {
  const folder = path.join(stateDir, 'demo');
  mkdirSync(folder, { recursive: true });
  run('node', ['.toile/writeDemo.mjs', folder, new Date().toISOString().slice(0, 10)]);
  return {
    studios: [path.join(folder, 'quayside.json'), path.join(folder, 'millrace.json')],
    signIns: JSON.parse(readFileSync(path.join(folder, 'sign-ins.json'), 'utf8')),
  };
}

/** What a server is told of its database, its port and the studios it takes in at its first start. */
export function serverEnv({ ownerUrl, appUrl, sessionSecret, port, studios, log }) {
  return {
    ...process.env,
    TOILE_OWNER_URL: ownerUrl,
    TOILE_APP_URL: appUrl,
    TOILE_SESSION_SECRET: sessionSecret,
    TOILE_PORT: String(port),
    TOILE_STUDIOS: studios.join(':'),
    // Written beside the studios: a studio's own file holds no password.
    ...(studios.length > 0 ? { TOILE_SIGN_INS: path.join(path.dirname(studios[0]), 'sign-ins.json') } : {}),
    TOILE_LOG: log,
  };
}

/** What a bench asks of a server: a port for its metrics, and a file of how long its event loop was held. */
const watchedEnv = ({ metricsPort, holds }) => ({
  TOILE_METRICS_PORT: String(metricsPort),
  TOILE_HOLDS: holds,
  NODE_OPTIONS: `--import=${pathToFileURL(path.join(root, 'bench/src/holds.mjs'))}`,
});

/** Starts the built server and resolves once it listens. */
export async function startServer({
  ownerUrl,
  appUrl,
  sessionSecret,
  port,
  studios,
  log = 'warn',
  webRoot = path.join(root, 'app/dist'),
  backups = null,
  watched = null,
}) {
  const env = {
    ...serverEnv({ ownerUrl, appUrl, sessionSecret, port, studios, log }),
    NODE_ENV: 'production',
    TOILE_WEB_ROOT: webRoot,
    ...(backups ? { TOILE_BACKUP_DIR: backups } : {}),
    ...(watched ? watchedEnv(watched) : {}),
  };
  // In a process group of its own: Ctrl-C reaches this script first, which stops it in order.
  const child = start('node', ['.toile/server.mjs'], {
    env,
    stdio: ['ignore', 'inherit', 'inherit', 'ipc'],
    detached: true,
  });
  await new Promise((resolve, reject) => {
    child.once('message', resolve);
    child.once('exit', (code) => reject(new Error(`the server ended with ${code} before it listened`)));
  });
  return child;
}
