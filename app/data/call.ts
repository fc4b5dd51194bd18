import { newId, pathTo, ROUTES, type Problem, type RouteName } from '@toile/contract';

/** An answer that was an error: its words are for the reader, its problem for the form. */
export class CallError extends Error {
  readonly problem: Problem | null;
  constructor(message: string, problem: Problem | null) {
    super(message);
    this.problem = problem;
  }
}

export type CallOptions = {
  readonly params?: Readonly<Record<string, string>>;
  readonly query?: Readonly<Record<string, string | undefined>>;
  readonly body?: unknown;
  /** Revision an edit starts from. */
  readonly revision?: number;
  /** Kept by whoever may send the same write again. */
  readonly idempotencyKey?: string;
};

/** Calls a route of the contract. Throws a CallError with what to do when it is refused or cannot be reached. */
export async function call<T>(name: RouteName, options: CallOptions = {}): Promise<T> {
  const { method } = ROUTES[name];
  const headers: Record<string, string> = {};
  if (method !== 'GET') headers['idempotency-key'] = options.idempotencyKey ?? newId();
  if (options.revision !== undefined) headers['if-match'] = `"${options.revision}"`;
  if (options.body !== undefined) headers['content-type'] = 'application/json';
  let response: Response;
  try {
    response = await fetch(pathTo(name, options.params, options.query), {
      method,
      headers,
      body: options.body === undefined ? undefined : JSON.stringify(options.body),
    });
  } catch {
    throw new CallError('The studio cannot be reached. Check the connection and try again.', null);
  }
  if (response.status === 204) return undefined as T;
  if (response.ok) return (await response.json()) as T;
  throw await errorFrom(response);
}

async function errorFrom(response: Response): Promise<CallError> {
  try {
    const problem = (await response.json()) as Problem;
    return new CallError([problem.title, problem.detail].filter(Boolean).join(' '), problem);
  } catch {
    return new CallError('The studio did not answer. Try again in a moment.', null);
  }
}

/** The messages of a refused write by field path. */
export function fieldErrors(error: unknown): Record<string, string> {
  if (!(error instanceof CallError)) return {};
  return Object.fromEntries((error.problem?.fields ?? []).map((f) => [f.path, f.message]));
}
