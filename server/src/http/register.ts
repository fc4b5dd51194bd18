import { createHash } from 'node:crypto';
import type { Express, Request, Response } from 'express';
import { ValidationError } from 'yup';
import {
  BODIES,
  isUuid,
  may,
  ROUTES,
  type AnswerOf,
  type BodyOf,
  type CurrentOf,
  type EditName,
  type FieldProblem,
  type FileAnswer,
  type ParamsOf,
  type QueryOf,
  type ReadName,
  type Route,
  type RouteName,
  type StaleName,
  type WriteName,
} from '@toile/contract';
import { canonicalJson, msg } from '@toile/core';
import { inStudio, type Db, type Tx } from '../db/connection';
import type { Standby } from '../db/standby';
import { tellAudit } from './audit';
import type { Caller } from './caller';
import type { HeldAnswers } from './heldAnswers';
import type { HeldFrom } from './metrics';
import type { PrintJob } from '../print/jobs';
import { ProblemError } from './problem';

/** What a handler is given to read with. */
export type ReadContext<N extends RouteName> = {
  readonly tx: Tx;
  readonly caller: Caller;
  readonly params: ParamsOf<N>;
  readonly query: QueryOf<N>;
  readonly now: Date;
  /** Where the app is reached, as the caller reached it: for codes that are printed. */
  readonly origin: string;
};

/** What a handler is given to write with: the body as its schema has it. */
export type WriteContext<N extends WriteName> = ReadContext<N> & {
  readonly body: BodyOf<N>;
  /** Revision an edit starts from, out of If-Match. */
  readonly revision: N extends EditName ? number : null;
  /** The error for whoever comes second: what is there, beside what was sent. */
  readonly stale: N extends StaleName ? (current: CurrentOf<N>, yours: unknown) => ProblemError : never;
};

/** A file to be saved. */
type FileOut = {
  readonly body: string | Buffer;
  readonly file: string;
  /** What the file is; JSON when nothing is said. */
  readonly type?:
    | 'text/csv'
    | 'text/plain'
    | 'text/calendar'
    | 'application/zip'
    | 'application/pdf'
    | 'image/svg+xml'
    | 'image/jpeg';
};
type JsonOut<Body> = {
  readonly status?: number;
  readonly body: Body;
  readonly subject?: string;
  readonly revision?: number;
};
/**
 * JSON that was put together already; that it is the answer of its route is tested, since no type can say so.
 */
type TextOut = { readonly text: string };
/** What a handler answers. */
export type Answer<N extends RouteName> =
  AnswerOf<N> extends FileAnswer ? FileOut : JsonOut<AnswerOf<N>> | TextOut;

export type Services = {
  readonly app: Express;
  readonly db: Db;
  readonly clock: () => Date;
  readonly random: () => number;
  /** Puts on paper and into files. */
  readonly print: (job: PrintJob) => Promise<Buffer>;
  readonly held: HeldAnswers;
  readonly heldFrom: (source: HeldFrom) => void;
  /** Where reads are taken from that are as new there; null without one. */
  readonly standby: Standby | null;
  /** Which build answers: what another has given is not taken for this one's. */
  readonly form: string;
};

/** However often it is used, a session ends so long after signing in, days. */
export const SESSION_ENDS_DAYS = 90;

/** Who is signed in; null when nobody is, or was signed in for too long. */
export function signedInAs(req: Request): Caller | null {
  const { caller, since } = req.session;
  const ends = Date.parse(since ?? '') + SESSION_ENDS_DAYS * 86_400_000;
  return caller && ends > Date.now() ? caller : null;
}

/** Who is signed in; 401 when nobody is. */
export function callerOf(req: Request): Caller {
  const caller = signedInAs(req);
  if (!caller) throw new ProblemError('signed-out');
  return caller;
}

/** Registers a route that only reads; `readHeld` is for what is read often and hangs on little. */
export function read<N extends ReadName>(
  services: Services,
  name: N,
  handle: (context: ReadContext<N>) => Promise<Answer<N>>,
): void {
  services.app.get(ROUTES[name].path, async (req, res) => {
    const caller = allowed(req, name);
    const params = checkedParams(req, name);
    const answer = await inStudio(services.db, caller.studioId, (tx) =>
      handle({
        tx,
        caller,
        params,
        query: queryOf(req, name),
        now: services.clock(),
        origin: originOf(req),
      }),
    );
    send(res, answer);
  });
}

/**
 * Registers a route that writes: body checked, studio's transaction, answered once per idempotency key,
 * and a row of audit, all or nothing.
 */
export function write<N extends WriteName>(
  services: Services,
  name: N,
  handle: (context: WriteContext<N>) => Promise<JsonOut<AnswerOf<N>>>,
): void {
  const { method, path } = ROUTES[name];
  services.app[method === 'PUT' ? 'put' : 'post'](path, async (req, res) => {
    const caller = allowed(req, name);
    const params = checkedParams(req, name);
    const key = req.get('idempotency-key');
    if (!key || key.length > 100) throw new ProblemError('key-missing');
    const body = await checkedBody(name, req.body);
    const revision = method === 'PUT' ? revisionOf(req) : null;
    const hash = createHash('sha256')
      .update(canonicalJson({ name, params, body: req.body as unknown, revision }))
      .digest('hex');
    const answer = await inStudio(services.db, caller.studioId, async (tx): Promise<JsonOut<unknown>> => {
      const now = services.clock();
      await pruneKeys(tx, now);
      const earlier = await claimKey(tx, caller, key, hash, now);
      if (earlier) return earlier;
      const context = {
        tx,
        caller,
        body,
        params,
        query: queryOf(req, name),
        revision,
        now,
        origin: originOf(req),
        stale,
      };
      const made = await handle(context as WriteContext<N>);
      await tellAudit(tx, caller, name, made.subject ?? null);
      await tx
        .updateTable('idempotency')
        .set({ status: made.status ?? 200, body: JSON.stringify(made.body) })
        .where('key', '=', key)
        .execute();
      return made;
    });
    send(res, answer);
  });
}

const stale = (current: unknown, yours: unknown): ProblemError =>
  new ProblemError('stale', { current, yours });

/**
 * How long a write may be told again and be the same write, days: longer than any chair stays without a
 * network.
 */
export const KEY_DAYS = 60;
/** Old keys let go of with each new one: more than come in, so that none pile up. */
const PRUNED_AT_ONCE = 20;

/** Lets go of keys nobody will send again; those another write is letting go of are left to it. */
async function pruneKeys(tx: Tx, now: Date): Promise<void> {
  await tx
    .deleteFrom('idempotency')
    .where('key', 'in', (eb) =>
      eb
        .selectFrom('idempotency')
        .select('key')
        .where('at', '<', new Date(now.getTime() - KEY_DAYS * 86_400_000))
        .orderBy('at')
        .limit(PRUNED_AT_ONCE)
        .forUpdate()
        .skipLocked(),
    )
    .execute();
}

/** Claims an idempotency key; a repeat by the same account waits for the first and gets its answer. */
async function claimKey(
  tx: Tx,
  caller: Caller,
  key: string,
  hash: string,
  now: Date,
): Promise<JsonOut<unknown> | null> {
  const claimed = await tx
    .insertInto('idempotency')
    .values({
      studio_id: caller.studioId,
      key,
      account_id: caller.accountId,
      request_hash: hash,
      status: null,
      body: null,
      at: now,
    })
    .onConflict((c) => c.columns(['studio_id', 'key']).doNothing())
    .returning('key')
    .executeTakeFirst();
  if (claimed) return null;
  const earlier = await tx
    .selectFrom('idempotency')
    .selectAll()
    .where('key', '=', key)
    .executeTakeFirstOrThrow();
  if (earlier.request_hash !== hash || earlier.account_id !== caller.accountId)
    throw new ProblemError('key-reused');
  return { status: earlier.status ?? 200, body: earlier.body };
}

/** Who asks, if the route is for them; throws what to answer otherwise. */
export function allowed(req: Request, name: RouteName): Caller {
  const caller = callerOf(req);
  const { needs } = ROUTES[name];
  if (needs && !may(caller.role, needs)) throw new ProblemError('not-allowed');
  return caller;
}

/** The ids of an address; throws when one is none. */
export function checkedParams<N extends RouteName>(req: Request, _name: N): ParamsOf<N> {
  const ids = Object.entries(req.params).map(([key, value]): [string, string] => {
    const text = String(value);
    if (!isUuid(text)) throw new ProblemError('bad-id');
    return [key, text];
  });
  // Express fills in exactly the names that stand in the path, which the type is made from.
  return Object.fromEntries(ids) as ParamsOf<N>;
}

/** What the route may be asked behind the ?; anything else there is passed over. */
export function queryOf<N extends RouteName>(req: Request, name: N): QueryOf<N> {
  const route: Route = ROUTES[name];
  const asked = (route.asks ?? []).map((key): [string, string | undefined] => {
    const value = req.query[key];
    return [key, typeof value === 'string' ? value : undefined];
  });
  return Object.fromEntries(asked) as QueryOf<N>;
}

function originOf(req: Request): string {
  return `${req.protocol}://${req.get('host') ?? 'localhost'}`;
}

function revisionOf(req: Request): number {
  const match = /^"?(\d+)"?$/.exec(req.get('if-match') ?? '');
  if (!match) throw new ProblemError('revision-missing');
  return Number(match[1]);
}

/**
 * More wrong fields than this nobody reads, and longer words either: an answer never grows with what was
 * sent.
 */
const MOST_FIELDS = 60;
const LONGEST_WORDS = 400;
const cut = (text: string): string =>
  text.length > LONGEST_WORDS ? `${text.slice(0, LONGEST_WORDS)}…` : text;

/** The body as its schema has it; otherwise every wrong field with its path. */
export async function checkedBody<N extends WriteName>(name: N, body: unknown): Promise<BodyOf<N>> {
  try {
    // Not stripped: an unknown field is a misspelt one, and dropping it would take what it meant to say for
    // left out.
    const value: BodyOf<N> = await BODIES[name].validate(body ?? {}, {
      abortEarly: false,
      stripUnknown: false,
    });
    return value;
  } catch (error) {
    // What a schema stumbles over (text asked to be trimmed that is a list) is as wrong as what it finds
    // wrong.
    if (!(error instanceof ValidationError))
      throw new ProblemError('bad-input', {
        detail: msg`Something in it is of another kind than it should be.`,
      });
    const inner = error.inner.length > 0 ? error.inner : [error];
    const fields = inner
      .slice(0, MOST_FIELDS)
      .map((e): FieldProblem => ({ path: cut(e.path ?? ''), message: cut(e.message) }));
    throw new ProblemError('bad-input', { fields });
  }
}

function send(res: Response, answer: FileOut | JsonOut<unknown> | TextOut): void {
  if ('text' in answer) return void res.type('application/json').send(answer.text);
  if ('file' in answer) {
    res
      .set('content-disposition', `attachment; filename="${answer.file}"`)
      .type(answer.type ?? 'application/json')
      .send(answer.body);
    return;
  }
  if (answer.revision !== undefined) res.set('etag', `"${answer.revision}"`);
  res.status(answer.status ?? 200).json(answer.body);
}
