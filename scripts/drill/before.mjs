// What stands before and between: nginx, pgbouncer, with the files of deploy/ as they are shipped.
import { mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { ended, start } from '../lib/run.mjs';
import { root } from '../lib/paths.mjs';
import { ownerIds, writeOwned } from '../lib/cluster.mjs';

const owned = (file, text) => writeOwned(file, text, ownerIds());
/** pgbouncer, as PostgreSQL, does not run as root. */
const asWhom = process.getuid?.() === 0 ? ['-u', 'postgres'] : [];

const deployed = (file) => readFileSync(path.join(root, 'deploy', file), 'utf8');
const quiet = { stdio: ['ignore', 'ignore', 'ignore'] };

/** pgbouncer by deploy/pgbouncer/pgbouncer.ini, told where the primary is and where the standby. */
export function pooler({ home, port, database, users }) {
  const ini = path.join(home, 'pgbouncer.ini');
  const template = `${ini}.in`;
  const pidfile = path.join(home, 'pgbouncer.pid');
  const list = path.join(home, 'userlist.txt');
  let child = null;
  const text = deployed('pgbouncer/pgbouncer.ini')
    .replaceAll('@DATABASE@', database)
    .replace('listen_port = 6432', `listen_port = ${port}`)
    .replace('/etc/pgbouncer/userlist.txt', list)
    .replace('/var/log/postgresql/pgbouncer.log', path.join(home, 'pgbouncer.log'))
    .replace('/var/run/postgresql/pgbouncer.pid', pidfile);
  const write = (primaryPort, standbyPort) =>
    owned(
      ini,
      text
        .replaceAll('@PRIMARY@', '127.0.0.1')
        .replaceAll('@PORT@', String(primaryPort))
        .replaceAll('@STANDBY@', '127.0.0.1')
        .replaceAll('@STANDBY_PORT@', String(standbyPort)),
    );
  const run = () => {
    child = start('pgbouncer', [...asWhom, ini], quiet);
  };
  return {
    /** For what keeps it at the primary: deploy/pgbouncer/follow-primary.sh. */
    files: { template, ini, pidfile },
    start(primaryPort, standbyPort) {
      owned(template, text);
      owned(list, users.map(([name, password]) => `"${name}" "${password}"`).join('\n'));
      write(primaryPort, standbyPort);
      run();
    },
    /** The primary is elsewhere now, and the standby where it was. */
    turnTo(primaryPort, standbyPort) {
      write(primaryPort, standbyPort);
      child.kill('SIGHUP');
    },
    async kill() {
      child.kill('SIGKILL');
      await ended(child);
      run();
    },
    stop: () => child?.kill('SIGKILL'),
  };
}

/**
 * nginx by deploy/nginx/locations.conf, without TLS, before some servers; `site` may be the shipped one
 * beside it, with its own upstream.
 */
export function proxy({ home, port, servers, site = () => null }) {
  const folder = path.join(home, 'nginx');
  mkdirSync(folder, { recursive: true });
  const conf = path.join(folder, 'nginx.conf');
  const within = (name) => path.join(folder, name);
  writeFileSync(within('locations.conf'), deployed('nginx/locations.conf'));
  const shipped = site(folder);
  const upstream = `upstream toile { ${servers.map((one) => `server 127.0.0.1:${one} max_fails=0;`).join(' ')} keepalive 32; }`;
  const temporary = ['client_body', 'proxy', 'fastcgi', 'uwsgi', 'scgi'].map(
    (name) => `${name}_temp_path ${within(name)};`,
  );
  writeFileSync(
    conf,
    `daemon off; pid ${within('pid')}; error_log ${within('error.log')};
     events { worker_connections 512; }
     http {
       access_log off; ${temporary.join(' ')}
       ${shipped ? `include ${shipped};` : upstream}
       server { listen 127.0.0.1:${port}; include ${within('locations.conf')}; }
     }`,
  );
  const child = start('nginx', ['-e', within('error.log'), '-c', conf], quiet);
  return { stop: () => child.kill('SIGTERM') };
}
