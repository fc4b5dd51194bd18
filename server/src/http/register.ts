import { createHash } from 'node:crypto';
import type { Express, Request, Response } from 'express';
import { ValidationError, type Schema } from 'yup';
import { isUuid, may, newId, ROUTES, type FieldProblem, type Role, type RouteName } from '@toile/contract';
import { canonicalJson } from '@toile/core';
import { inStudio, type Db, type Tx } from '../db/connection';
import { ProblemError } from './problem';

/** Who asks: kept in the session at sign-in. */
export type Caller = { readonly accountId: string; readonly studioId: string; readonly name: string; readonly email: string; readonly role: Role };

declare module 'express-session' {
  interface SessionData {
    caller?: Caller;
  }
}

export type Context<Body> = {
  readonly tx: Tx;
  readonly caller: Caller;
  readonly body: Body;
  readonly params: Readonly<Record<string, string>>;
  readonly query: Readonly<Record<string, string | undefined>>;
  /** Revision an edit starts from, out of If-Match; null where the route takes none. */
  readonly revision: number | null;
  readonly now: Date;
  /** Where the app is reached, as the caller reached it: for codes that are printed. */
  readonly origin: string;
};

/** What a handler answers; `file` makes it a download. */
export type Answer = {
  readonly status?: number;
  readonly body: unknown;
  readonly subject?: string;
  readonly revision?: number;
  readonly file?: string;
  /** What a file is; JSON when nothing is said. */
  readonly type?: 'text/csv' | 'text/plain' | 'application/pdf' | 'image/svg+xml';
};

export type Services = { readonly app: Express; readonly db: Db; readonly clock: () => Date; readonly random: () => number };

/** Who is signed in; 401 when nobody is. */
export function callerOf(req: Request): Caller {
  const { caller } = req.session;
  if (!caller) throw new ProblemError('signed-out');
  return caller;
}

/** Registers a route that only reads. */
export function read(services: Services, name: RouteName, handle: (context: Context<undefined>) => Promise<Answer>): void {
  const route = ROUTES[name];
  services.app.get(route.path, async (req, res) => {
    const caller = allowed(req, name);
    const params = checkedParams(req);
    const answer = await inStudio(services.db, caller.studioId, (tx) =>
      handle({ tx, caller, body: undefined, params, query: queryOf(req), revision: null, now: services.clock(), origin: originOf(req) }),
    );
    send(res, answer);
  });
}

/**
 * Registers a route that writes: body checked, studio's transaction, answered once per idempotency key,
 * and a row of audit, all or nothing.
 */
export function write<Body>(
  services: Services,
  name: RouteName,
  schema: Schema,
  handle: (context: Context<Body>) => Promise<Answer>,
  options: { edits?: boolean } = {},
): void {
  const route = ROUTES[name];
  const method = route.method === 'PUT' ? 'put' : 'post';
  services.app[method](route.path, async (req, res) => {
    const caller = allowed(req, name);
    const params = checkedParams(req);
    const key = req.get('idempotency-key');
    if (!key || key.length > 100) throw new ProblemError('key-missing');
    const body = await checkedBody<Body>(schema, req.body);
    const revision = options.edits ? revisionOf(req) : null;
    const hash = createHash('sha256')
      .update(canonicalJson({ name, params, body: req.body as unknown, revision }))
      .digest('hex');
    const answer = await inStudio(services.db, caller.studioId, async (tx): Promise<Answer> => {
      const now = services.clock();
      await pruneKeys(tx, now);
      const earlier = await claimKey(tx, caller, key, hash, now);
      if (earlier) return earlier;
      const made = await handle({ tx, caller, body, params, query: queryOf(req), revision, now, origin: originOf(req) });
      await tx
        .insertInto('audit')
        .values({ studio_id: caller.studioId, id: newId(), account_id: caller.accountId, route: name, subject: made.subject ?? null })
        .execute();
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

/** How long a write may be told again and be the same write, days: longer than any chair stays without a network. */
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
async function claimKey(tx: Tx, caller: Caller, key: string, hash: string, now: Date): Promise<Answer | null> {
  const claimed = await tx
    .insertInto('idempotency')
    .values({ studio_id: caller.studioId, key, account_id: caller.accountId, request_hash: hash, status: null, body: null, at: now })
    .onConflict((c) => c.columns(['studio_id', 'key']).doNothing())
    .returning('key')
    .executeTakeFirst();
  if (claimed) return null;
  const earlier = await tx.selectFrom('idempotency').selectAll().where('key', '=', key).executeTakeFirstOrThrow();
  if (earlier.request_hash !== hash || earlier.account_id !== caller.accountId) throw new ProblemError('key-reused');
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
export function checkedParams(req: Request): Record<string, string> {
  return Object.fromEntries(
    Object.entries(req.params).map(([key, value]) => {
      const text = String(value);
      if (!isUuid(text)) throw new ProblemError('bad-id');
      return [key, text];
    }),
  );
}

function queryOf(req: Request): Record<string, string | undefined> {
  return Object.fromEntries(Object.entries(req.query).map(([key, value]) => [key, typeof value === 'string' ? value : undefined]));
}

function originOf(req: Request): string {
  return `${req.protocol}://${req.get('host') ?? 'localhost'}`;
}

function revisionOf(req: Request): number {
  const match = /^"?(\d+)"?$/.exec(req.get('if-match') ?? '');
  if (!match) throw new ProblemError('revision-missing');
  return Number(match[1]);
}

/** The body as its schema has it; otherwise every wrong field with its path. */
export async function checkedBody<Body>(schema: Schema, body: unknown): Promise<Body> {
  try {
    // Not stripped: an unknown field is a misspelt one, and dropping it would take what it meant to say for left out.
    const value: Body = await schema.validate(body ?? {}, { abortEarly: false, stripUnknown: false });
    return value;
  } catch (error) {
    if (!(error instanceof ValidationError)) throw error;
    const inner = error.inner.length > 0 ? error.inner : [error];
    const fields = inner.map((e): FieldProblem => ({ path: e.path ?? '', message: e.message }));
    throw new ProblemError('bad-input', { fields });
  }
}

function send(res: Response, answer: Answer): void {
  if (answer.revision !== undefined) res.set('etag', `"${answer.revision}"`);
  if (answer.file !== undefined) {
    const body = Buffer.isBuffer(answer.body) ? answer.body : String(answer.body);
    res
      .set('content-disposition', `attachment; filename="${answer.file}"`)
      .type(answer.type ?? 'application/json')
      .send(body);
    return;
  }
  res.status(answer.status ?? 200).json(answer.body);
}
