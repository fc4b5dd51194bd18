// PostgreSQL decided on by Patroni over etcd, by deploy/patroni/patroni.yml: on loopback, each "machine" a
// folder and three ports.
import { closeSync, openSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { ownedFolder, ownerIds, pidOf, psqlAt, writeOwned } from '../lib/cluster.mjs';
import { root } from '../lib/paths.mjs';
import { ended, output, start } from '../lib/run.mjs';

/** Starts a program as the user PostgreSQL runs as; what it says is kept beside what it keeps. */
const startAs = (command, args, cwd) => {
  const as = ownerIds() ? ['runuser', '-u', 'postgres', '--'] : [];
  const [program, ...rest] = [...as, command, ...args];
  const log = openSync(path.join(cwd, `${command}.log`), 'a');
  const child = start(program, rest, { stdio: ['ignore', log, log], cwd, detached: true });
  closeSync(log);
  return child;
};
const pause = (ms) => new Promise((resolve) => setTimeout(resolve, ms));

/** Ends a process and whatever it started, at once. */
function killTree(pid) {
  const children = (output('pgrep', ['-P', String(pid)]) ?? '').split('\n').filter(Boolean).map(Number);
  // The one that would start them anew first.
  try {
    process.kill(pid, 'SIGKILL');
  } catch {
    // It was gone already.
  }
  for (const child of children) killTree(child);
}

/** What Patroni keeps who is the primary in. */
export function etcd({ home, port, peerPort }) {
  const data = path.join(home, 'etcd');
  const at = `http://127.0.0.1:${port}`;
  const peer = `http://127.0.0.1:${peerPort}`;
  let child = null;
  return {
    address: `127.0.0.1:${port}`,
    start() {
      child = startAs(
        'etcd',
        [
          ...['--name', 'drill', '--data-dir', data, '--unsafe-no-fsync', '--log-level', 'error'],
          ...['--listen-client-urls', at, '--advertise-client-urls', at],
          ...['--listen-peer-urls', peer, '--initial-advertise-peer-urls', peer],
          ...['--initial-cluster', `drill=${peer}`],
        ],
        home,
      );
    },
    async kill() {
      if (!child) return;
      killTree(child.pid);
      await ended(child);
    },
  };
}

/** A machine: Patroni and the PostgreSQL it looks after. `ports` are PostgreSQL's and Patroni's. */
export function machine({ home, name, ports, etcdAddress, superPassword, replicationPassword, bin }) {
  const [port, apiPort] = ports;
  const folder = path.join(home, name);
  const data = path.join(folder, 'data');
  const config = path.join(folder, 'patroni.yml');
  const sockets = path.join(folder, 'sockets');
  const api = `http://127.0.0.1:${apiPort}`;
  let child = null;
  return {
    name,
    port,
    apiPort,
    psql: psqlAt({ bin, port, password: superPassword }),
    prepare() {
      for (const one of [folder, sockets]) ownedFolder(one);
      const filled = {
        NAME: name,
        SELF: '127.0.0.1',
        PORT: port,
        API_PORT: apiPort,
        ETCD: etcdAddress,
        DATA: data,
        HOME: folder,
        SOCKETS: sockets,
        NETWORK: '127.0.0.1/32',
        ARCHIVE_MODE: 'off',
        API_PASSWORD: superPassword,
        SUPER_PASSWORD: superPassword,
        REPLICATION_PASSWORD: replicationPassword,
      };
      const text = Object.entries(filled).reduce(
        (all, [key, value]) => all.replaceAll(`@${key}@`, String(value)),
        readFileSync(path.join(root, 'deploy/patroni/patroni.yml'), 'utf8').replace(
          /bin_dir: .*/,
          `bin_dir: ${bin}`,
        ),
      );
      writeOwned(config, text, ownerIds());
    },
    start() {
      child = startAs('patroni', [config], folder);
    },
    /** What this machine's Patroni answers for `/primary`, `/replica`, `/sync`: 200 where it is that. */
    async is(what) {
      try {
        return (await fetch(`${api}/${what}`, { signal: AbortSignal.timeout(1000) })).status === 200;
      } catch {
        return false;
      }
    },
    /** Hands the primary over, as before work on a machine; to whoever has no password it is refused. */
    async handOver(leader, candidate) {
      const stranger = await fetch(`${api}/switchover`, { method: 'POST', body: '{}' });
      if (stranger.status !== 401) throw new Error(`a stranger was answered ${stranger.status}`);
      const answer = await fetch(`${api}/switchover`, {
        method: 'POST',
        headers: { authorization: `Basic ${Buffer.from(`toile:${superPassword}`).toString('base64')}` },
        body: JSON.stringify({ leader, candidate }),
      });
      if (!answer.ok) throw new Error(`handing over was answered ${answer.status}: ${await answer.text()}`);
    },
    /** Only the server dies. */
    killPostgres() {
      const pid = pidOf(data);
      if (pid !== null) killTree(pid);
    },
    /** The power goes. */
    async killAll() {
      const pid = pidOf(data);
      if (child) killTree(child.pid);
      if (pid !== null) killTree(pid);
      if (child) await ended(child);
      child = null;
    },
  };
}

/**
 * Waits until one of two machines is the primary and the other has each commit before it is told; gives both,
 * the primary first.
 */
export async function settled(machines, patienceMs = 60_000) {
  for (const until = Date.now() + patienceMs; Date.now() < until; await pause(200))
    for (const [one, other] of [machines, [...machines].reverse()])
      if ((await one.is('primary')) && (await other.is('sync'))) return [one, other];
  throw new Error('no primary with a standby');
}

/** Keeps the pooler at the primary, by deploy/pgbouncer/follow-primary.sh. */
export function follower({ home, template, ini, pidfile, machines }) {
  const script = path.join(home, 'follow-primary.sh');
  writeOwned(script, readFileSync(path.join(root, 'deploy/pgbouncer/follow-primary.sh'), 'utf8'), ownerIds());
  const nodes = machines.map(({ port, apiPort }) => `127.0.0.1:${port}:${apiPort}`);
  const child = startAs('sh', [script, template, ini, pidfile, ...nodes], home);
  return { stop: () => killTree(child.pid) };
}
