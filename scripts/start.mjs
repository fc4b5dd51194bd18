// npm start: installs what is missing, starts the database, builds, loads the demo, serves, and stops
// cleanly. npm start -- --own: the same with an empty installation of one's own, in a database of its own.
// npm run dev (--dev): the same with the app and the server reloading as files change.
import path from 'node:path';
import { backupDir, root } from './lib/paths.mjs';
import { ensureBuilt, ensureDebian, ensurePackages, POSTGRES } from './lib/setup.mjs';
import { ended, start } from './lib/run.mjs';

const dev = process.argv.includes('--dev');
const own = process.argv.includes('--own');
ensurePackages();
ensureDebian(POSTGRES);
const { ensureCluster, ensureDatabase, freePort } = await import('./lib/cluster.mjs');
const { serverEnv, startServer, writeDemo } = await import('./lib/serve.mjs');
await ensureBuilt();
const cluster = await ensureCluster('demo');
const database = ensureDatabase(cluster, own ? 'toile_own' : 'toile');
const { studios, signIns } = own ? { studios: [], signIns: [] } : writeDemo();
const port = await freePort(Number(process.env.PORT ?? 4600));

const children = [];
let stopping = false;
const stop = async (code) => {
  if (stopping) return;
  stopping = true;
  // Each child leads a process group: what it started goes with it.
  for (const child of children) if (child.exitCode === null) process.kill(-child.pid, 'SIGTERM');
  await Promise.all(children.map((child) => (child.exitCode === null ? ended(child) : null)));
  cluster.stop();
  console.log('Stopped.');
  process.exit(code);
};
process.on('SIGINT', () => void stop(0));
process.on('SIGTERM', () => void stop(0));

try {
  if (dev) await startDev();
  else children.push(await startServer({ ...database, port, studios, backups: own ? backupDir : null }));
} catch (error) {
  console.error(error.message);
  await stop(1);
}
for (const child of children) child.once('exit', (code) => void stop(code ?? 1));

console.log(`\nToile is at http://127.0.0.1:${dev ? port + 1 : port}\n`);
console.log(own ? 'Your own studio: the first page sets it up, once.' : 'Demo sign-ins:');
for (const { email, password, role, name } of signIns)
  console.log(`  ${email.padEnd(26)} ${password.padEnd(16)} ${name}, ${role}`);
console.log('\nCtrl-C stops it, the database too.');

async function startDev() {
  const env = serverEnv({ ...database, port, studios, log: 'info' });
  await (await import('./lib/workers.mjs')).watchWorkers();
  children.push(start('npx', ['tsx', 'watch', 'server/src/main.ts'], { env, detached: true }));
  const expo = { ...process.env, TOILE_API: `http://127.0.0.1:${port}`, EXPO_NO_TELEMETRY: '1' };
  children.push(
    start('npx', ['expo', 'start', '--web', '--port', String(port + 1), '--offline'], {
      cwd: path.join(root, 'app'),
      env: expo,
      detached: true,
    }),
  );
}
