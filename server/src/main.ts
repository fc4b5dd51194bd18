import { createHash } from 'node:crypto';
import { existsSync, readFileSync } from 'node:fs';
import { createServer } from 'node:http';
import { fileURLToPath } from 'node:url';
import { pino } from 'pino';
import { buildApp } from './app';
import { openLive } from './charts/live';
import { backUpNightly } from './backup/nightly';
import { openDb, openPool } from './db/connection';
import { migrate } from './db/migrate';
import { keepTidy } from './db/tidy';
import { openStandby } from './db/standby';
import { patiently } from './db/patiently';
import { readEnvironment } from './environment';
import { openMetrics, serveMetrics } from './http/metrics';
import { openPress, PRESS_HERE } from './print/press';
import { hasStudio, importStudio } from './studio/importStudio';

/** Passwords by email out of a file of sign-ins, as the demo has them; none where no file is named. */
function passwordsFrom(file: string | null): ReadonlyMap<string, string> {
  if (!file) return new Map();
  const signIns = JSON.parse(readFileSync(file, 'utf8')) as { email: string; password: string }[];
  return new Map(signIns.map(({ email, password }) => [email, password]));
}

/** Which build a program's one file is of. */
const buildOf = (file: string): string =>
  createHash('sha256').update(readFileSync(file)).digest('hex').slice(0, 12);

/** How long a start waits for its database, ms: longer than a failover takes. */
const START_MS = 60_000;

/** Migrates, loads the studios named once, listens, and stops cleanly on a signal. */
async function main(): Promise<void> {
  const told = readEnvironment(process.env);
  if (!told.ok) throw new Error(`The environment is not as it should be:\n  ${told.problems.join('\n  ')}`);
  const settings = told.value;
  const logger = pino({ level: settings.log });
  const waiting = { withinMs: START_MS, onWait: () => logger.warn('waiting for the database') };
  await patiently(() => migrate(settings.ownerUrl), waiting);
  const lost = (error: Error): void => logger.error({ code: error.name }, 'idle connection lost');
  const pool = openPool(settings.appUrl, lost, settings.connections);
  const listening = settings.listenUrl ? openPool(settings.listenUrl, lost, 1) : pool;
  const copy = settings.standbyUrl ? openPool(settings.standbyUrl, lost, settings.connections) : null;
  const passwords = passwordsFrom(settings.signIns);
  for (const file of settings.studios) await patiently(() => loadOnce(file), waiting);
  const live = openLive(listening);
  // Built beside the server; run from its sources, as while it is worked on, it prints in its own thread.
  const worker = fileURLToPath(new URL('./press.mjs', import.meta.url));
  const press = existsSync(worker) ? openPress(worker) : PRESS_HERE;
  const metrics = openMetrics({ pool, listeners: live.lines, waiting: press.waiting });
  const app = buildApp({
    pool,
    logger,
    live,
    press,
    metrics,
    sessionSecret: settings.sessionSecret,
    webRoot: settings.webRoot,
    ...(copy ? { standby: openStandby(openDb(copy), logger) } : {}),
    form: buildOf(fileURLToPath(import.meta.url)),
  });
  const stopBackups = settings.backups ? backUpNightly(openDb(pool), settings.backups, logger) : null;
  const stopTidying = keepTidy(openDb(pool), logger);
  const measures = settings.metricsPort === null ? null : serveMetrics(metrics, settings.metricsPort);
  const server = createServer(app);
  server.listen(settings.port, settings.host, () => {
    logger.info({ port: settings.port }, 'listening');
    process.send?.('listening');
  });

  async function loadOnce(file: string): Promise<void> {
    const db = openDb(pool);
    const text = readFileSync(file, 'utf8');
    const { studio } = JSON.parse(text) as { studio: { id: string } };
    if (await hasStudio(db, studio.id)) return;
    const result = await importStudio(db, text, passwords).catch(async (error: unknown) => {
      // Another process that started with this one was first.
      if (await hasStudio(db, studio.id)) return { ok: true } as const;
      throw error;
    });
    if (!result.ok)
      throw new Error(
        `${file}: ${result.problems.map((p) => `line ${p.line}, column ${p.column}: ${p.path} ${p.message}`).join('\n')}`,
      );
  }

  const ended = async (): Promise<void> => {
    await press.stop();
    if (listening !== pool) await listening.end();
    await copy?.end();
    await pool.end();
  };
  let stopping = false;
  const stop = (): void => {
    if (stopping) return;
    stopping = true;
    live.stop();
    stopBackups?.();
    stopTidying();
    measures?.close();
    server.close(() => void ended().then(() => process.exit(0)));
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
