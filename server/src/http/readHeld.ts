import { createHash } from 'node:crypto';
import type { Request, Response } from 'express';
import { ROUTES, type ParamsOf, type QueryOf, type ReadName, type Role } from '@toile/contract';
import { inStudio, type Tx } from '../db/connection';
import { marksOf, stateOf, type MarkedTable } from '../db/marks';
import type { HeldAnswer } from './heldAnswers';
import { languageAsked } from './language';
import { allowed, checkedParams, queryOf, type Answer, type Services } from './register';

/**
 * What the handler of a held answer is given: nothing else may decide what it answers. The rows are the
 * database's or a standby's that has come as far, so it only reads.
 */
export type HeldContext<N extends ReadName> = {
  readonly tx: Tx;
  readonly role: Role;
  readonly params: ParamsOf<N>;
  readonly query: QueryOf<N>;
};

const MINUTE_MS = 60_000;

/**
 * Registers a route whose answer hangs on the rows of the tables `of`, on what is asked and on the role of
 * who asks, and on nothing else. Every table that is read is among them: a test has the statements checked.
 * Given once it is held, and given again while no row of those tables was written; to whoever holds it
 * already it is not given again (304).
 */
export function readHeld<N extends ReadName>(
  services: Services,
  name: N,
  of: readonly MarkedTable[],
  handle: (context: HeldContext<N>) => Promise<Answer<N>>,
): void {
  register(services, name, of, () => ({ moment: '', more: {} }), handle);
}

/** The same for an answer that tells of the time as well: it is held for the minute it was given in. */
export function readHeldByMinute<N extends ReadName>(
  services: Services,
  name: N,
  of: readonly MarkedTable[],
  handle: (context: HeldContext<N> & { readonly now: Date }) => Promise<Answer<N>>,
): void {
  const minute = () => {
    const now = new Date(Math.floor(services.clock().getTime() / MINUTE_MS) * MINUTE_MS);
    return { moment: now.toISOString(), more: { now } };
  };
  register(services, name, of, minute, handle);
}

function register<N extends ReadName, More>(
  services: Services,
  name: N,
  of: readonly MarkedTable[],
  momentNow: () => { readonly moment: string; readonly more: More },
  handle: (context: HeldContext<N> & More) => Promise<Answer<N>>,
): void {
  services.app.get(ROUTES[name].path, async (req, res) => {
    const { studioId, role } = allowed(req, name);
    const params = checkedParams(req, name);
    const query = queryOf(req, name);
    const { moment, more } = momentNow();
    // Before the rows are read: if they are written in between, the answer is held as older than it is, and
    // read anew the next time.
    const rows = stateOf(req.marks ?? (await marksOf(services.db, studioId)), of);
    const state = `${rows}@${moment}`;
    const asked = JSON.stringify([name, studioId, role, params, query, languageAsked()]);
    const there = services.held.get(asked, state);
    if (there) {
      services.heldFrom('memory');
      return send(req, res, there);
    }
    const work = (tx: Tx): Promise<Answer<N>> => handle({ tx, role, params, query, ...more });
    const copied = await services.standby?.read(studioId, of, rows, work);
    services.heldFrom(copied ? 'standby' : 'database');
    const answer = copied ? copied.value : await inStudio(services.db, studioId, work);
    send(req, res, await services.held.put(asked, { state, ...told(answer, services.form, state, role) }));
  });
}

/**
 * An answer's text and its tag: the revision, where an edit would start from it, else one that says which
 * state of the rows was told to whom, by which build.
 */
function told<N extends ReadName>(answer: Answer<N>, form: string, state: string, role: Role) {
  if ('file' in answer) throw new Error('a file is not held');
  const text = Buffer.from('text' in answer ? answer.text : JSON.stringify(answer.body));
  const revision = 'text' in answer ? undefined : answer.revision;
  return {
    text,
    etag: revision === undefined ? `W/"${digest(form, role, languageAsked(), state)}"` : `"${revision}"`,
  };
}

const digest = (...parts: readonly string[]): string =>
  createHash('sha256').update(parts.join('|')).digest('base64url').slice(0, 22);

/** Gives an answer that is held; Express answers 304 to whoever has it by its tag. */
function send(req: Request, res: Response, { etag, text, gzip }: HeldAnswer): void {
  res.type('application/json').set('etag', etag).vary('accept-encoding');
  if (!gzip || req.acceptsEncodings(['gzip', 'identity']) !== 'gzip') return void res.send(text);
  res.set('content-encoding', 'gzip').send(gzip);
}
