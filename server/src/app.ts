import { readFileSync } from 'node:fs';
import path from 'node:path';
import compression from 'compression';
import express, { type ErrorRequestHandler, type Express, type RequestHandler } from 'express';
import session from 'express-session';
import helmet from 'helmet';
import type pg from 'pg';
import type { Logger } from 'pino';
import { problemOf, type Problem } from '@toile/contract';
import { msg } from '@toile/core';
import { registerBackup } from './backup/routes';
import { registerLive, type Live } from './charts/live';
import { registerCharts } from './charts/routes';
import { registerCalendarFeed } from './care/calendarFeed';
import { registerErase } from './care/erase';
import { registerIncidents } from './care/incidents';
import { registerIntakes } from './care/intakes';
import { registerLearned } from './care/learned';
import { registerTrials } from './care/trials';
import { registerPhotographs } from './care/photographs';
import { registerWear } from './care/wear';
import { registerEnquiry } from './clients/enquiry';
import { registerClients } from './clients/routes';
import { isDatabaseAway, isUnkeepable, openDb } from './db/connection';
import type { Standby } from './db/standby';
import { fitInput } from './http/fitInput';
import { heldAnswers } from './http/heldAnswers';
import { answersInLanguage } from './http/language';
import { quietLog } from './http/log';
import type { Metrics } from './http/metrics';
import { ProblemError } from './http/problem';
import type { Services } from './http/register';
import { registerKit } from './kit/routes';
import { registerLooks } from './looks/routes';
import { registerPalettes } from './palettes/routes';
import { registerSheets } from './parties/sheets';
import { registerPartyLog } from './parties/log';
import { registerParties } from './parties/routes';
import { registerPatchTests } from './patchTests/routes';
import { registerEvidence } from './care/evidence';
import { registerTouchUps } from './care/touchUpCard';
import { registerCompacts } from './lessons/compacts';
import { registerLessons } from './lessons/routes';
import { registerPractice } from './practice/routes';
import { PRESS_HERE, type Press } from './print/press';
import { registerReadings } from './readings/routes';
import type { TryLimit } from './http/tries';
import { registerSession } from './session/routes';
import { sessionStore } from './session/store';
import { registerSetUp } from './setup/routes';
import { registerExport } from './studio/exportStudio';
import { registerSettings } from './studio/settings';
import { registerShares } from './shares/routes';
import { registerTimings } from './timings/routes';
import { registerToday } from './today/routes';
import { registerAudit } from './team/audit';
import { registerInvites } from './team/invites';
import { registerTeam } from './team/routes';
import { registerVisits } from './visits/routes';

export type AppOptions = {
  readonly pool: pg.Pool;
  readonly logger: Logger;
  readonly sessionSecret: string;
  /** Folder of the built app; null serves the API alone. */
  readonly webRoot: string | null;
  readonly clock?: () => Date;
  readonly random?: () => number;
  readonly signInLimit?: TryLimit;
  /** Tells open charts of changes; stopped by whoever made it. */
  readonly live: Live;
  /** Where requests are counted; nowhere when left out. */
  readonly metrics?: Metrics;
  /** Where paper and files are made; in the server's own thread when left out. */
  readonly press?: Press;
  /** Where reads are taken from that are as new there. */
  readonly standby?: Standby;
  /** Which build this is. */
  readonly form?: string;
};

const BODY_LIMIT = '2mb';
/** A kit of ten thousand rows, with room. */
const FILE_LIMIT = '8mb';
/** Where nobody is signed in yet. */
const DOORS = ['/api/session', '/api/setup', '/api/invites', '/api/wear/open', '/api/wear/send'];
const DOOR_LIMIT = '16kb';
/** Every answer of a first talk at its longest, in any script. */
const INTAKE_LIMIT = '64kb';
const SESSION_DAYS = 30;
/** When the database is away: how soon to ask again, seconds. */
const RETRY_SECONDS = '1';

/** The whole server as an Express app; it keeps no state of its own. */
export function buildApp(options: AppOptions): Express {
  const app = express();
  const press = options.press ?? PRESS_HERE;
  const timed: Metrics['timeJob'] = (kind, work) => options.metrics?.timeJob(kind, work) ?? work();
  const services: Services = {
    app,
    db: openDb(options.pool),
    clock: options.clock ?? (() => new Date()),
    random: options.random ?? Math.random,
    print: (job) => timed(job.kind, () => press.print(job)),
    held: heldAnswers(),
    heldFrom: (source) => options.metrics?.heldFrom(source),
    standby: options.standby ?? null,
    form: options.form ?? '',
  };
  app.disable('x-powered-by');
  app.set('trust proxy', 'loopback');
  app.use(quietLog(options.logger));
  if (options.metrics) app.use(options.metrics.time);
  app.use(
    helmet({
      hsts: false,
      contentSecurityPolicy: {
        useDefaults: false,
        directives: {
          defaultSrc: ["'self'"],
          scriptSrc: ["'self'"],
          workerSrc: ["'self'"],
          // Styles are written by the app's style sheets at run time.
          styleSrc: ["'self'", "'unsafe-inline'"],
          imgSrc: ["'self'", 'data:', 'blob:'],
          fontSrc: ["'self'"],
          connectSrc: ["'self'"],
          objectSrc: ["'none'"],
          baseUri: ["'self'"],
          formAction: ["'self'"],
          frameAncestors: ["'none'"],
        },
      },
    }),
  );
  app.use(compression());

  // Alive: this process answers. Ready: it can serve, for whoever shares out the callers.
  app.get('/healthz', (_req, res) => void res.json({ ok: true }));
  app.get('/readyz', async (_req, res) => {
    await options.pool.query('select 1');
    res.json({ ok: true });
  });

  // What is told in words: answers, and pages, cards and calendars behind a link.
  app.use(['/api', '/s', '/p', '/l', '/c'], answersInLanguage);
  app.use('/api', (req, res, next) => {
    res.set('cache-control', 'no-store');
    const origin = req.get('origin');
    if (origin !== undefined && req.method !== 'GET' && hostOf(origin) !== req.get('host'))
      throw new ProblemError('wrong-origin');
    next();
  });
  app.use('/api', asksForWhatIsNew);
  // Who asks comes before what is sent: of whoever is not signed in little is read.
  app.use(
    '/api',
    session({
      name: 'toile',
      secret: options.sessionSecret,
      resave: false,
      saveUninitialized: false,
      store: sessionStore(options.pool, options.logger),
      cookie: { httpOnly: true, sameSite: 'lax', secure: 'auto', maxAge: SESSION_DAYS * 86_400_000 },
    }),
  );
  app.use('/api/intake', express.json({ limit: INTAKE_LIMIT }));
  app.use(DOORS, express.json({ limit: DOOR_LIMIT }));
  const small = express.json({ limit: DOOR_LIMIT });
  app.use('/api', (req, res, next) => (req.session.caller ? next() : small(req, res, next)));
  for (const files of ['/api/kit/import', '/api/looks/import'])
    app.use(files, express.json({ limit: FILE_LIMIT }));
  app.use('/api', express.json({ limit: BODY_LIMIT }));
  app.use('/api', fitInput);
  registerSession(services, options.signInLimit ?? { windowMs: 15 * 60_000, tries: 10 });
  registerSetUp(services);
  registerTeam(services);
  registerInvites(services);
  registerAudit(services);
  registerToday(services);
  registerTimings(services);
  registerSettings(services);
  registerClients(services);
  registerEnquiry(services);
  registerIntakes(services);
  registerIncidents(services);
  registerPhotographs(services);
  registerWear(services);
  registerTrials(services);
  registerLearned(services);
  registerPractice(services);
  registerLessons(services);
  registerCompacts(services);
  registerEvidence(services);
  registerTouchUps(services);
  registerErase(services);
  registerCalendarFeed(services);
  registerReadings(services);
  registerLooks(services);
  registerKit(services);
  registerPalettes(services);
  registerCharts(services);
  registerLive(services, options.live);
  registerShares(services);
  registerExport(services);
  registerBackup(services);
  registerVisits(services);
  registerPatchTests(services);
  registerParties(services);
  registerPartyLog(services, options.live);
  registerSheets(services);
  app.use('/api', () => {
    throw new ProblemError('no-such-route');
  });
  if (options.webRoot) serveApp(app, options.webRoot);
  app.use(answerError(options.logger));
  return app;
}

/**
 * A page that sends the tag of what it holds asks only for what is new, though a browser adds to that that
 * nothing held may be given, which would count as a reload. A strong tag is the revision an edit starts from
 * and says nothing of the rest of an answer.
 */
const asksForWhatIsNew: RequestHandler = (req, _res, next) => {
  const tag = req.get('if-none-match');
  if (tag?.startsWith('W/')) delete req.headers['cache-control'];
  else delete req.headers['if-none-match'];
  next();
};

/**
 * The host an Origin header names; null for an opaque one, which a sandboxed page or a file sends as `null`.
 */
function hostOf(origin: string): string | null {
  return URL.canParse(origin) ? new URL(origin).host : null;
}

/**
 * Built files with a hash in their name are kept for good; every other address is the app's one page, with
 * 404 where the app has nothing.
 */
function serveApp(app: Express, root: string): void {
  const isPage = pagesOf(root);
  app.use(
    express.static(root, {
      index: false,
      setHeaders: (res, file) =>
        void (file.includes('_expo') && res.set('cache-control', 'public, max-age=31536000, immutable')),
    }),
  );
  app.get('/{*path}', (req, res) => {
    if (path.extname(req.path) !== '') throw new ProblemError('no-such-route');
    res
      .status(isPage(req.path) ? 200 : 404)
      .set('cache-control', 'no-cache')
      .sendFile(path.join(root, 'index.html'));
  });
}

/** Which addresses the built app has, as written beside it when it was built. */
function pagesOf(root: string): (address: string) => boolean {
  const listed: unknown = JSON.parse(readFileSync(path.join(root, 'pages.json'), 'utf8'));
  const patterns = Array.isArray(listed) ? listed.map((pattern) => new RegExp(String(pattern))) : [];
  return (address) => patterns.some((pattern) => pattern.test(address));
}

type BodyError = { readonly type?: string; readonly status?: number };

/** Turns anything thrown into a problem document; never a stack trace. */
function answerError(logger: Logger): ErrorRequestHandler {
  return (error: unknown, _req, res, next) => {
    if (res.headersSent) return next(error);
    const problem = problemFrom(error);
    // What the database turned away a schema let through: the sender is told, and so is whoever looks after
    // this.
    if (problem.status >= 500 || isUnkeepable(error))
      logger.error(
        {
          type: error instanceof Error ? error.name : typeof error,
          code: codeOf(error),
          where: error instanceof Error ? error.stack?.split('\n')[1]?.trim() : undefined,
        },
        problem.code,
      );
    if (problem.code === 'busy') res.set('retry-after', RETRY_SECONDS);
    res.status(problem.status).type('application/problem+json').send(JSON.stringify(problem));
  };
}

function problemFrom(error: unknown): Problem {
  if (error instanceof ProblemError) return error.problem;
  const { type, status } = (error ?? {}) as BodyError;
  if (type === 'entity.too.large') return problemOf('too-large');
  if (type === 'entity.parse.failed' || type === 'encoding.unsupported' || type === 'charset.unsupported')
    return problemOf('bad-json');
  if (status === 400) return problemOf('bad-json');
  if (codeOf(error) === '23505') return problemOf('already-there');
  if (isUnkeepable(error))
    return problemOf('bad-input', {
      detail: msg`Something in it is out of range, or names what is not there.`,
    });
  return problemOf(isDatabaseAway(error) ? 'busy' : 'unexpected');
}

function codeOf(error: unknown): string | undefined {
  return error !== null && typeof error === 'object' && 'code' in error && typeof error.code === 'string'
    ? error.code
    : undefined;
}
