// Two PostgreSQL servers of the drill's own: a primary, and a standby that has each commit before it is told.
import { chownSync, existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { output, run } from '../lib/run.mjs';

const asRoot = process.getuid?.() === 0;
/** As root the server's programs run as the postgres user. */
const asOwner = (command, args, options = {}) =>
  asRoot ? run('runuser', ['-u', 'postgres', '--', command, ...args], options) : run(command, args, options);
const ownerIds = () => {
  const id = (flag) => Number(output('id', [flag, 'postgres']));
  return asRoot ? { uid: id('-u'), gid: id('-g') } : null;
};

/** A server that does not run yet, in a folder and on a port. `superPassword` is the cluster's. */
export function node({ bin, home, name, port, superPassword }) {
  const data = path.join(home, name);
  const env = { ...process.env, PGPASSWORD: superPassword };
  const psql = (sql, database = 'postgres') => {
    const result = output(
      path.join(bin, 'psql'),
      [
        '-h',
        '127.0.0.1',
        '-p',
        String(port),
        '-U',
        'postgres',
        '-d',
        database,
        '-v',
        'ON_ERROR_STOP=1',
        '-Atqc',
        sql,
      ],
      { env },
    );
    if (result === null) throw new Error(`${name}: SQL failed: ${sql.slice(0, 90)}`);
    return result.trim();
  };
  const quiet = { cwd: home, stdio: ['ignore', 'ignore', 'inherit'], env };
  return {
    name,
    port,
    psql,
    init() {
      asOwner(
        path.join(bin, 'initdb'),
        [
          '-D',
          data,
          '-U',
          'postgres',
          '-A',
          'scram-sha-256',
          `--pwfile=${path.join(home, 'superuser')}`,
          '-E',
          'UTF8',
          '--locale=C.UTF-8',
        ],
        quiet,
      );
    },
    /** As deploy/postgresql/toile.conf has it, without the archive, which is not tried here. */
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
      };
      const flags = Object.entries(options)
        .map(([key, value]) => `-c ${key}=${value}`)
        .join(' ');
      asOwner(
        path.join(bin, 'pg_ctl'),
        ['start', '-w', '-t', '60', '-D', data, '-l', path.join(home, `${name}.log`), '-o', flags],
        quiet,
      );
    },
    /** Becomes a standby of another: whatever was here before is gone. */
    copyOf(primary) {
      rmSync(data, { recursive: true, force: true });
      asOwner(
        path.join(bin, 'pg_basebackup'),
        [
          '-D',
          data,
          '-R',
          '-X',
          'stream',
          '-c',
          'fast',
          '-d',
          `host=127.0.0.1 port=${primary.port} user=postgres password=${superPassword}`,
        ],
        quiet,
      );
    },
    promote() {
      psql('select pg_promote(true, 20)');
      // Alone for now: a commit that waited for a standby there is none of would wait for ever.
      psql("alter system set synchronous_standby_names = ''");
      psql('select pg_reload_conf()');
    },
    /**
     * From here on each commit is at the standby before it is told; waits until it is so. Asked for only once the standby
     * streams: until then every commit would wait for one there is none of.
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
        asOwner(path.join(bin, 'pg_ctl'), ['stop', '-w', '-m', 'immediate', '-D', data], quiet);
    },
  };
}

function pidOf(data) {
  const file = path.join(data, 'postmaster.pid');
  if (!existsSync(file)) return null;
  return Number(readFileSync(file, 'utf8').split('\n')[0]) || null;
}

/** An empty folder the postgres user can work in, with a password file in it. */
export function emptyHome(home, superPassword) {
  rmSync(home, { recursive: true, force: true });
  mkdirSync(home, { recursive: true });
  const owner = ownerIds();
  if (owner) chownSync(home, owner.uid, owner.gid);
  writeOwned(path.join(home, 'superuser'), superPassword);
}

/** A file only the postgres user may read. */
export function writeOwned(file, text) {
  writeFileSync(file, text, { mode: 0o600 });
  const owner = ownerIds();
  if (owner) chownSync(file, owner.uid, owner.gid);
}

export const ownerName = asRoot ? 'postgres' : null;
