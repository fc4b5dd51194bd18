// Two PostgreSQL servers of the drill's own: a primary, and a standby that has each commit before it is told.
import { existsSync, rmSync } from 'node:fs';
import path from 'node:path';
import {
  asOwner,
  initCluster,
  ownedFolder,
  ownerIds,
  pidOf,
  psqlAt,
  startCluster,
  writeOwned,
} from '../lib/cluster.mjs';
import { output } from '../lib/run.mjs';

/**
 * A server that does not run yet, in a folder and on a port. `superPassword` is the cluster's; `archive`
 * where it keeps its WAL.
 */
export function node({ bin, home, name, port, superPassword, archive = null }) {
  const data = path.join(home, name);
  const psql = psqlAt({ bin, port, password: superPassword });
  return {
    name,
    port,
    psql,
    init: () => initCluster({ bin, data, passwordFile: path.join(home, 'superuser'), home }),
    /** As deploy/postgresql/toile.conf has it. */
    start() {
      const options = {
        listen_addresses: '127.0.0.1',
        port,
        unix_socket_directories: home,
        wal_level: 'replica',
        max_wal_senders: 10,
        wal_keep_size: '1GB',
        hot_standby: 'on',
        synchronous_commit: 'on',
        max_connections: 200,
        ...archive,
      };
      startCluster({ bin, data, home, log: path.join(home, `${name}.log`), options });
    },
    /** Becomes a standby of another: whatever was here before is gone. */
    copyOf(primary) {
      rmSync(data, { recursive: true, force: true });
      const from = `host=127.0.0.1 port=${primary.port} user=postgres password=${superPassword}`;
      const how = ['-R', '-X', 'stream', '-c', 'fast'];
      asOwner(path.join(bin, 'pg_basebackup'), ['-D', data, ...how, '-d', from], home);
    },
    /**
     * A standby waits for nobody, so that it can go on alone the moment it is promoted: said beforehand,
     * since a server that has just been promoted is busy for seconds before it hears of it.
     */
    waitsForNobody() {
      psql("alter system set synchronous_standby_names = ''");
      psql('select pg_reload_conf()');
    },
    promote: () => psql('select pg_promote(true, 20)'),
    /**
     * From here on each commit is at the standby before it is told; waits until it is so. Asked for only once
     * the standby streams: until then every commit would wait for one there is none of.
     */
    async followed() {
      const until = async (state) => {
        for (let i = 0; psql(`select count(*) from pg_stat_replication where ${state}`) !== '1'; i++) {
          if (i > 300) throw new Error(`${name} is not followed by a standby: ${state}`);
          await new Promise((resolve) => setTimeout(resolve, 100));
        }
      };
      await until("state = 'streaming'");
      psql("alter system set synchronous_standby_names = '*'");
      psql('select pg_reload_conf()');
      await until("sync_state = 'sync'");
    },
    /** Gone at once, as when the power goes: the server and every process of its own. */
    kill() {
      const pid = pidOf(data);
      if (pid === null) return;
      const children = (output('pgrep', ['-P', String(pid)]) ?? '').split('\n').filter(Boolean).map(Number);
      for (const one of [pid, ...children])
        try {
          process.kill(one, 'SIGKILL');
        } catch {
          // It was gone already.
        }
    },
    stop() {
      if (pidOf(data) !== null && existsSync(`/proc/${pidOf(data)}`))
        asOwner(path.join(bin, 'pg_ctl'), ['stop', '-w', '-m', 'immediate', '-D', data], home);
    },
  };
}

/** An empty folder the postgres user can work in, with a password file in it. */
export function emptyHome(home, superPassword) {
  rmSync(home, { recursive: true, force: true });
  ownedFolder(home);
  writeOwned(path.join(home, 'superuser'), superPassword, ownerIds());
}
