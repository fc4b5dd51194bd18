// npm run drill [-- --kills 100]: nginx, two servers, pgbouncer, a primary and a standby that has each commit
// before it is told, all on loopback; callers write without a pause while one part after another is killed.
// Says what was acknowledged, lost and doubled, and the longest any caller was refused. Ends what it started,
// and removes what it made.
import { rmSync } from 'node:fs';
import { pooler, proxy } from './drill/before.mjs';
import { endedBy } from './drill/ending.mjs';
import { killsAsked, makeDatabase, openGround } from './drill/ground.mjs';
import { node } from './drill/postgres.mjs';
import { killInTurn } from './drill/rounds.mjs';
import { serversThrough } from './drill/servers.mjs';
import { writers } from './drill/writers.mjs';
import { writeDemo } from './lib/serve.mjs';
import { postgresBin } from './lib/setup.mjs';

const KILLS = killsAsked();
const CALLERS = 7;
/** Between one kill and the next callers write undisturbed for so long, ms. */
const CALM_MS = 1500;
/** How long callers may be refused, ms. */
const LIMITS = { server: 1000, pooler: 1000, primary: 5000 };
const pause = (ms) => new Promise((resolve) => setTimeout(resolve, ms));

const ground = await openGround({ name: 'drill', programs: [], firstPort: 24710, count: 8 });
const { home, passwords, superPassword } = ground;
const bin = postgresBin();
const [portA, portB, poolPort, webPort, ...rest] = ground.ports;

let primary = node({ bin, home, name: 'a', port: portA, superPassword });
let standby = node({ bin, home, name: 'b', port: portB, superPassword });
const pool = pooler({ home, port: poolPort, database: 'toile', users: Object.entries(passwords) });
const servers = serversThrough({
  ...ground,
  poolPort,
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
  makeDatabase(primary, passwords);
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
