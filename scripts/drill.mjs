// npm run drill [-- --kills 100]: nginx, two servers, pgbouncer, a primary and a standby that has each commit before it is told,
// all on loopback; callers write without a pause while one part after another is killed. Says what was acknowledged, lost and
// doubled, and the longest any caller was refused. Ends what it started, and removes what it made.
import { randomBytes } from 'node:crypto';
import { existsSync, rmSync } from 'node:fs';
import { pooler, proxy } from './drill/before.mjs';
import { endedBy } from './drill/ending.mjs';
import { emptyHome, node } from './drill/postgres.mjs';
import { killInTurn } from './drill/rounds.mjs';
import { serversThrough } from './drill/servers.mjs';
import { writers } from './drill/writers.mjs';
import { clusterDir } from './lib/paths.mjs';
import { ensureBuilt, ensureDebian, ensurePackages, POSTGRES, postgresBin } from './lib/setup.mjs';

const asked = process.argv.indexOf('--kills');
const KILLS = asked < 0 ? 3 : Number(process.argv[asked + 1]);
if (!Number.isInteger(KILLS) || KILLS < 1) throw new Error('--kills is a whole number from 1 on');
const CALLERS = 7;
/** Between one kill and the next callers write undisturbed for so long, ms. */
const CALM_MS = 1500;
/** How long callers may be refused, ms. */
const LIMITS = { server: 1000, pooler: 1000, primary: 5000 };

ensurePackages();
ensureDebian([
  ...POSTGRES,
  { name: 'nginx-light', present: () => existsSync('/usr/sbin/nginx') },
  { name: 'pgbouncer', present: () => existsSync('/usr/sbin/pgbouncer') },
]);
process.env.PATH = `${process.env.PATH}:/usr/sbin`;
await ensureBuilt();
const { freePort } = await import('./lib/cluster.mjs');
const { writeDemo } = await import('./lib/serve.mjs');
const pause = (ms) => new Promise((resolve) => setTimeout(resolve, ms));

const home = clusterDir('drill');
const secret = () => randomBytes(18).toString('hex');
const superPassword = secret();
const passwords = { toile_owner: secret(), toile_app: secret() };
emptyHome(home, superPassword);
const bin = postgresBin();
const ports = [];
for (let first = 24710; ports.length < 8; first = ports.at(-1) + 1) ports.push(await freePort(first));
const [portA, portB, poolPort, webPort, ...rest] = ports;

let primary = node({ bin, home, name: 'a', port: portA, superPassword });
let standby = node({ bin, home, name: 'b', port: portB, superPassword });
const pool = pooler({ home, port: poolPort, database: 'toile', users: Object.entries(passwords) });
const servers = serversThrough({
  poolPort,
  passwords,
  sessionSecret: secret() + secret(),
  ports: rest.slice(0, 2),
  metricsPorts: rest.slice(2),
});
let front = null;
const stopAll = endedBy(async () => {
  front?.stop();
  servers.stop();
  pool.stop();
  for (const one of [primary, standby]) one.stop();
  rmSync(home, { recursive: true, force: true });
});

/** Each part that is killed, and what an operator's tools do about it. */
const PARTS = {
  server: (round) => servers.restart(servers.ports[round % servers.ports.length]),
  pooler: () => pool.kill(),
  primary: async () => {
    primary.kill();
    // What decides on the primary does this: the standby takes over, and the pooler is told.
    standby.promote();
    pool.turnTo(standby.port, primary.port);
    await pause(CALM_MS);
    [primary, standby] = [standby, primary];
    standby.copyOf(primary);
    standby.start();
    standby.waitsForNobody();
    await primary.followed();
  },
};

let code = 1;
try {
  primary.init();
  primary.start();
  for (const [role, password] of Object.entries(passwords))
    primary.psql(
      `create role ${role} login nosuperuser nobypassrls nocreatedb nocreaterole password '${password}'`,
    );
  primary.psql('create database toile owner toile_owner');
  standby.copyOf(primary);
  standby.start();
  standby.waitsForNobody();
  await primary.followed();
  pool.start(primary.port, standby.port);
  await pause(300);
  const { studios, signIns } = writeDemo();
  for (const [i, port] of servers.ports.entries()) await servers.serve(port, i === 0 ? studios : []);
  front = proxy({ home, port: webPort, servers: servers.ports });
  await pause(500);
  const calling = writers({ url: `http://127.0.0.1:${webPort}`, ...signIns[0], many: CALLERS });
  await calling.start();
  code = await killInTurn({
    parts: PARTS,
    kills: KILLS,
    calmMs: CALM_MS,
    limits: LIMITS,
    calling,
    psql: (sql) => primary.psql(sql, 'toile'),
    heldFrom: servers.heldFrom,
  });
} catch (error) {
  console.error(error);
} finally {
  await stopAll();
}
process.exit(code);
