import { backupSettings } from './backup/settings';
import type { BackupSettings } from './backup/nightly';

type Env = Readonly<Record<string, string | undefined>>;
const LOG_LEVELS = ['silent', 'fatal', 'error', 'warn', 'info', 'debug', 'trace'] as const;
const LEAST_SECRET = 32;

/** What a server process is told by its environment; docs/operations.md has the table. */
export type Environment = {
  readonly ownerUrl: string;
  readonly appUrl: string;
  readonly sessionSecret: string;
  readonly port: number;
  readonly host: string;
  readonly webRoot: string | null;
  readonly log: (typeof LOG_LEVELS)[number];
  /** Studio files that are taken in at the first start, and the passwords of the people in them. */
  readonly studios: readonly string[];
  readonly signIns: string | null;
  /** Connections a process holds to the database at most. */
  readonly connections: number;
  readonly backups: BackupSettings | null;
  /**
   * Where changes are listened for, past a pooler that shares connections out by transaction; else the app's
   * own address.
   */
  readonly listenUrl: string | null;
  /** A standby of the app's database that reads are taken from where it is as new; none otherwise. */
  readonly standbyUrl: string | null;
  /** Where this process tells of itself, on loopback. */
  readonly metricsPort: number | null;
};

/**
 * Reads the environment whole: everything that is wrong at once, each by its variable and with what to do. No
 * value that may be secret stands in what is said.
 */
export function readEnvironment(
  env: Env,
):
  | { readonly ok: true; readonly value: Environment }
  | { readonly ok: false; readonly problems: readonly string[] } {
  const problems: string[] = [];
  const text = (name: string): string => {
    const value = env[name] ?? '';
    if (value === '') problems.push(`${name} is not set`);
    return value;
  };
  const database = (name: string, needed = true): string => {
    const value = needed ? text(name) : (env[name] ?? '');
    const url = URL.canParse(value) ? new URL(value) : null;
    const sound =
      url && /^postgres(ql)?:$/.test(url.protocol) && url.username !== '' && url.pathname.length > 1;
    if (value !== '' && !sound)
      problems.push(
        `${name} is an address of PostgreSQL with a user and a database: postgres://user@host:5432/name`,
      );
    return value;
  };
  const whole = (name: string, usual: number | null, least: number, most: number): number => {
    const value = env[name] ?? '';
    if (value === '' && usual !== null) return usual;
    const number = /^\d+$/.test(value) ? Number(value) : NaN;
    if (!(number >= least && number <= most)) {
      problems.push(
        value === '' ? `${name} is not set` : `${name} is a whole number from ${least} to ${most}`,
      );
      return least;
    }
    return number;
  };
  const ownerUrl = database('TOILE_OWNER_URL');
  const appUrl = database('TOILE_APP_URL');
  const sessionSecret = text('TOILE_SESSION_SECRET');
  if (sessionSecret !== '' && sessionSecret.length < LEAST_SECRET)
    problems.push(
      `TOILE_SESSION_SECRET has at least ${LEAST_SECRET} letters: openssl rand -hex 32 makes one`,
    );
  const port = whole('TOILE_PORT', null, 1, 65535);
  const listenUrl = database('TOILE_LISTEN_URL', false) || null;
  const standbyUrl = database('TOILE_STANDBY_URL', false) || null;
  const metricsPort = env.TOILE_METRICS_PORT ? whole('TOILE_METRICS_PORT', null, 1, 65535) : null;
  const connections = whole('TOILE_DB_CONNECTIONS', 10, 2, 200);
  const asked = env.TOILE_LOG || 'info';
  const log = LOG_LEVELS.find((level) => level === asked);
  if (!log) problems.push(`TOILE_LOG is one of ${LOG_LEVELS.join(', ')}`);
  let backups: BackupSettings | null = null;
  try {
    backups = backupSettings(env);
  } catch (error) {
    problems.push(error instanceof Error ? error.message : String(error));
  }
  if (problems.length > 0) return { ok: false, problems };
  return {
    ok: true,
    value: {
      ownerUrl,
      appUrl,
      sessionSecret,
      port,
      host: env.TOILE_HOST || '127.0.0.1',
      webRoot: env.TOILE_WEB_ROOT || null,
      log: log ?? 'info',
      studios: (env.TOILE_STUDIOS ?? '').split(':').filter(Boolean),
      signIns: env.TOILE_SIGN_INS || null,
      connections,
      backups,
      listenUrl,
      standbyUrl,
      metricsPort,
    },
  };
}
