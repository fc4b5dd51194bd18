// What every drill of failing parts begins with: how often, what it runs on, and a folder, ports and
// passwords of its own.
import { randomBytes } from 'node:crypto';
import { existsSync } from 'node:fs';
import { freePort } from '../lib/cluster.mjs';
import { clusterDir } from '../lib/paths.mjs';
import { ensureBuilt, ensureDebian, ensurePackages, POSTGRES } from '../lib/setup.mjs';
import { emptyHome } from './postgres.mjs';

/** One of Debian's packages, by a file it brings. */
export const program = (name, file) => ({ name, present: () => existsSync(file) });
const secret = () => randomBytes(18).toString('hex');

/** How many kills of each part were asked for (`--kills`); 3 where nothing is said. */
export function killsAsked() {
  const asked = process.argv.indexOf('--kills');
  const kills = asked < 0 ? 3 : Number(process.argv[asked + 1]);
  if (!Number.isInteger(kills) || kills < 1) throw new Error('--kills is a whole number from 1 on');
  return kills;
}

/**
 * Installs, builds, and makes room: an empty folder, `count` free ports from `firstPort` on, and passwords.
 */
export async function openGround({ name, programs, firstPort, count }) {
  ensurePackages();
  ensureDebian([
    ...POSTGRES,
    program('nginx-light', '/usr/sbin/nginx'),
    program('pgbouncer', '/usr/sbin/pgbouncer'),
    ...programs,
  ]);
  process.env.PATH = `${process.env.PATH}:/usr/sbin`;
  await ensureBuilt();
  const home = clusterDir(name);
  const superPassword = secret();
  emptyHome(home, superPassword);
  const ports = [];
  for (let first = firstPort; ports.length < count; first = ports.at(-1) + 1)
    ports.push(await freePort(first));
  return {
    home,
    ports,
    superPassword,
    replicationPassword: secret(),
    /** Of the roles of deploy/postgresql/roles.sql. */
    passwords: { toile_owner: secret(), toile_app: secret() },
    sessionSecret: secret() + secret(),
  };
}

/** The roles and the database, made on a primary, as deploy/postgresql/roles.sql does. */
export function makeDatabase({ psql }, passwords) {
  for (const [role, password] of Object.entries(passwords))
    psql(`create role ${role} login nosuperuser nobypassrls nocreatedb nocreaterole password '${password}'`);
  psql('create database toile owner toile_owner');
}
