import { readFileSync } from 'node:fs';
import { createServer } from 'node:http';
import { pino } from 'pino';
import { buildApp } from './app';
import { openLive } from './charts/live';
import { backUpNightly } from './backup/nightly';
import { backupSettings } from './backup/settings';
import { openDb, openPool } from './db/connection';
import { migrate } from './db/migrate';
import { hasStudio, importStudio } from './studio/importStudio';

function setting(name: string): string {
  const value = process.env[name];
  if (!value) throw new Error(`the environment variable ${name} is not set`);
  return value;
}

/** Passwords by email out of a file of sign-ins, as the demo has them; none where no file is named. */
function passwordsFrom(file: string | undefined): ReadonlyMap<string, string> {
  if (!file) return new Map();
  const signIns = JSON.parse(readFileSync(file, 'utf8')) as { email: string; password: string }[];
  return new Map(signIns.map(({ email, password }) => [email, password]));
}

/** Migrates, loads the demo studio once if one is named, listens, and stops cleanly on a signal. */
async function main(): Promise<void> {
  const logger = pino({ level: process.env.TOILE_LOG ?? 'info' });
  await migrate(setting('TOILE_OWNER_URL'));
  const pool = openPool(setting('TOILE_APP_URL'), (error) =>
    logger.error({ code: error.name }, 'idle connection lost'),
  );
  const passwords = passwordsFrom(process.env.TOILE_SIGN_INS);
  for (const file of (process.env.TOILE_STUDIOS ?? '').split(':').filter(Boolean)) await loadOnce(file);
  const live = openLive(pool);
  const app = buildApp({
    pool,
    logger,
    live,
    sessionSecret: setting('TOILE_SESSION_SECRET'),
    webRoot: process.env.TOILE_WEB_ROOT ?? null,
  });
  const nightly = backupSettings(process.env);
  const stopBackups = nightly ? backUpNightly(openDb(pool), nightly, logger) : null;
  const server = createServer(app);
  const port = Number(setting('TOILE_PORT'));
  server.listen(port, '127.0.0.1', () => {
    logger.info({ port }, 'listening');
    process.send?.('listening');
  });

  async function loadOnce(file: string): Promise<void> {
    const db = openDb(pool);
    const text = readFileSync(file, 'utf8');
    const { studio } = JSON.parse(text) as { studio: { id: string } };
    if (await hasStudio(db, studio.id)) return;
    const result = await importStudio(db, text, passwords);
    if (!result.ok)
      throw new Error(
        `${file}: ${result.problems.map((p) => `line ${p.line}, column ${p.column}: ${p.path} ${p.message}`).join('\n')}`,
      );
  }

  let stopping = false;
  const stop = (): void => {
    if (stopping) return;
    stopping = true;
    live.stop();
    stopBackups?.();
    server.close(() => void pool.end().then(() => process.exit(0)));
    server.closeIdleConnections();
    setTimeout(() => process.exit(1), 5000).unref();
  };
  process.on('SIGTERM', stop);
  process.on('SIGINT', stop);
  process.on('disconnect', stop);
}

main().catch((error: unknown) => {
  process.stderr.write(
    `${error instanceof Error ? `${error.message}${error.cause ? `\n${String(error.cause)}` : ''}` : String(error)}\n`,
  );
  process.exit(1);
});
