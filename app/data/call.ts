import {
  addressOf,
  newId,
  ROUTES,
  type AnswerOf,
  type BodyOf,
  type CurrentOf,
  type EditName,
  type ParamsOf,
  type Problem,
  type QueryOf,
  type ReadName,
  type RouteName,
  type StaleName,
  type WriteName,
} from '@toile/contract';
import { msg } from '@toile/core';
import { forgetEarly, takeEarly } from './early';

/** An answer that was an error: its words are for the reader, its problem for the form. */
export class CallError extends Error {
  readonly problem: Problem | null;
  constructor(message: string, problem: Problem | null) {
    super(message);
    this.problem = problem;
  }
}

type Free<T> = Record<never, never> extends T ? true : false;
/** What a route must be given: its ids, its body, and the revision an edit starts from. */
export type CallOptions<N extends RouteName> = {
  readonly query?: QueryOf<N>;
  /** Kept by whoever may send the same write again. */
  readonly idempotencyKey?: string;
} & (Free<ParamsOf<N>> extends true ? { readonly params?: ParamsOf<N> } : { readonly params: ParamsOf<N> }) &
  (N extends WriteName ? { readonly body: BodyOf<N> } : { readonly body?: undefined }) &
  (N extends EditName ? { readonly revision: number } : { readonly revision?: undefined });

type Request = {
  readonly params?: Readonly<Record<string, string>>;
  readonly query?: Readonly<Record<string, string | undefined>>;
  readonly body?: unknown;
  readonly revision?: number;
  readonly idempotencyKey?: string;
};

/**
 * Calls a route of the contract. Throws a CallError with what to do when it is refused or cannot be reached.
 */
export async function call<N extends RouteName>(
  name: N,
  ...[options]: Free<CallOptions<N>> extends true ? [options?: CallOptions<N>] : [options: CallOptions<N>]
): Promise<AnswerOf<N>> {
  // Here an answer gets its type: the server's handler of this route is held to the same one.
  return (await request(name, options ?? {})) as AnswerOf<N>;
}

/** Reads a route by its name, its ids and what is asked. Throws as `call` does. */
export async function readAt<N extends ReadName>(
  name: N,
  params: ParamsOf<N> | null,
  query?: QueryOf<N>,
): Promise<AnswerOf<N>> {
  return (await request(name, { params: params ?? {}, query })) as AnswerOf<N>;
}

/** A picture, of the route that answers with one. Throws as `call` does. */
export async function pictureAt(name: 'photograph', params: ParamsOf<'photograph'>): Promise<Blob> {
  const response = await answered(name, { params });
  if (response.ok) return response.blob();
  throw await errorFrom(response);
}

async function request(name: RouteName, options: Request): Promise<unknown> {
  const response = await answered(name, options);
  if (response.status === 204) return undefined;
  if (response.ok) return response.json();
  throw await errorFrom(response);
}

async function answered(name: RouteName, options: Request): Promise<Response> {
  const { method, path } = ROUTES[name];
  const headers: Record<string, string> = {};
  if (method !== 'GET') {
    headers['idempotency-key'] = options.idempotencyKey ?? newId();
    forgetEarly();
  }
  if (options.revision !== undefined) headers['if-match'] = `"${options.revision}"`;
  if (options.body !== undefined) headers['content-type'] = 'application/json';
  const address = addressOf(path, options.params, options.query);
  try {
    return await ((method === 'GET' ? takeEarly(address) : undefined) ??
      fetch(address, {
        method,
        headers,
        body: options.body === undefined ? undefined : JSON.stringify(options.body),
      }));
  } catch {
    throw new CallError(msg`The studio cannot be reached. Check the connection and try again.`, null);
  }
}

/** What is there, when a write came second to someone else's; null for any other error. */
export function currentOf<N extends StaleName>(_name: N, error: unknown): CurrentOf<N> | null {
  if (!(error instanceof CallError) || error.problem?.code !== 'stale') return null;
  return error.problem.current as CurrentOf<N>;
}

const whenSignedOut = new Set<() => void>();

/**
 * Tells whenever a call is refused because nobody is signed in any more: a session ended elsewhere, or by its
 * time. Gives what ends the telling.
 */
export function onSignedOut(tell: () => void): () => void {
  whenSignedOut.add(tell);
  return () => void whenSignedOut.delete(tell);
}

async function errorFrom(response: Response): Promise<CallError> {
  try {
    const problem = (await response.json()) as Problem;
    if (problem.code === 'signed-out') for (const tell of whenSignedOut) tell();
    return new CallError([problem.title, problem.detail].filter(Boolean).join(' '), problem);
  } catch {
    return new CallError(msg`The studio did not answer. Try again in a moment.`, null);
  }
}

/** The messages of a refused write by field path. */
export function fieldErrors(error: unknown): Record<string, string> {
  if (!(error instanceof CallError)) return {};
  return Object.fromEntries((error.problem?.fields ?? []).map((f) => [f.path, f.message]));
}
