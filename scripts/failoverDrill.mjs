// npm run drill:failover [-- --kills 5]: as the drill, with who is the primary decided by Patroni over etcd
// and the pooler kept at it, all by the files of deploy/, and nginx with TLS. The server of the primary dies,
// its whole machine goes, etcd goes, the primary is handed over, while callers write. Ends what it started,
// and removes what it made.
import { rmSync } from 'node:fs';
import { pooler, proxy } from './drill/before.mjs';
import { endedBy } from './drill/ending.mjs';
import { killsAsked, makeDatabase, openGround, program } from './drill/ground.mjs';
import { etcd, follower, machine, settled } from './drill/patroni.mjs';
import { killInTurn } from './drill/rounds.mjs';
import { serversThrough } from './drill/servers.mjs';
import { overTls, tlsSite } from './drill/tls.mjs';
import { writers } from './drill/writers.mjs';
import { writeDemo } from './lib/serve.mjs';
import { postgresBin } from './lib/setup.mjs';

const KILLS = killsAsked();
const CALLERS = 7;
const CALM_MS = 1500;
/** How long etcd stays away: longer than Patroni's lease lasts, ms. */
const AWAY_MS = 8000;
/** How long callers may be refused, ms. A machine that is gone is given up when its lease has run out. */
const LIMITS = { 'its server': 5000, 'its machine': 10_000, etcd: 1000, 'handed over': 5000 };

const pause = (ms) => new Promise((resolve) => setTimeout(resolve, ms));

const ground = await openGround({
  name: 'failoverDrill',
  programs: [
    program('patroni', '/usr/bin/patroni'),
    program('python3-etcd', '/usr/lib/python3/dist-packages/etcd'),
    program('etcd-server', '/usr/bin/etcd'),
    program('curl', '/usr/bin/curl'),
    program('openssl', '/usr/bin/openssl'),
  ],
  firstPort: 24910,
  count: 14,
});
const { home, passwords } = ground;
const [poolPort, webPort, tlsPort, redirectPort, etcdPort, peerPort, ...rest] = ground.ports;

const store = etcd({ home, port: etcdPort, peerPort });
const machines = ['a', 'b'].map((name, i) =>
  machine({
    ...ground,
    name,
    ports: rest.slice(i * 2, i * 2 + 2),
    etcdAddress: store.address,
    bin: postgresBin(),
  }),
);
const pool = pooler({ home, port: poolPort, database: 'toile', users: Object.entries(passwords) });
const servers = serversThrough({
  ...ground,
  poolPort,
  ports: rest.slice(4, 6),
  metricsPorts: rest.slice(6, 8),
});
let front = null;
let following = null;
const stopAll = endedBy(async () => {
  front?.stop();
  servers.stop();
  following?.stop();
  pool.stop();
  for (const one of machines) await one.killAll();
  await store.kill();
  rmSync(home, { recursive: true, force: true });
});

/** The primary first, once there is a standby that has each commit. */
const now = () => settled(machines);
const PARTS = {
  'its server': async () => {
    const [primary] = await now();
    primary.killPostgres();
    await pause(CALM_MS);
    await now();
  },
  'its machine': async () => {
    const [primary] = await now();
    await primary.killAll();
    await pause(LIMITS['its machine']);
    primary.start();
    await now();
  },
  etcd: async () => {
    await now();
    await store.kill();
    await pause(AWAY_MS);
    store.start();
    await pause(CALM_MS);
    await now();
  },
  'handed over': async () => {
    const [primary, standby] = await now();
    await primary.handOver(primary.name, standby.name);
    await pause(CALM_MS);
    await now();
  },
};

let code = 1;
try {
  store.start();
  await pause(1000);
  for (const one of machines) {
    one.prepare();
    one.start();
    for (let i = 0; one === machines[0] && !(await one.is('primary')); i++) {
      if (i > 150) throw new Error('no primary came up');
      await pause(200);
    }
  }
  const [primary, standby] = await now();
  makeDatabase(primary, passwords);
  pool.start(primary.port, standby.port);
  following = follower({ home, ...pool.files, machines });
  await pause(800);
  const { studios, signIns } = writeDemo();
  for (const [i, port] of servers.ports.entries()) await servers.serve(port, i === 0 ? studios : []);
  let cert = '';
  const site = (folder) => {
    const made = tlsSite({ folder, servers: servers.ports, tlsPort, redirectPort });
    cert = made.cert;
    return made.file;
  };
  front = proxy({ home, port: webPort, servers: servers.ports, site });
  await pause(500);
  console.log(`over TLS: ${await overTls({ cert, tlsPort, redirectPort, ...signIns[0] })}`);
  const calling = writers({ url: `http://127.0.0.1:${webPort}`, ...signIns[0], many: CALLERS });
  await calling.start();
  code = await killInTurn({
    parts: PARTS,
    kills: KILLS,
    calmMs: CALM_MS,
    limits: LIMITS,
    calling,
    psql: async (sql) => (await now())[0].psql(sql, 'toile'),
    heldFrom: servers.heldFrom,
  });
} catch (error) {
  console.error(error);
} finally {
  await stopAll();
}
process.exit(code);
