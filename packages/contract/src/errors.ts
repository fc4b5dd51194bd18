import { messagesIn } from '@toile/core';

/**
 * Every error a client can get: code, status and what it means. The code is the stable part; `title` is
 * what a person reads. Retired codes are never used again.
 */
export const ERRORS = messagesIn(['title'], {
  'bad-json': { status: 400, title: 'The request is not valid JSON.' },
  'bad-input': { status: 422, title: 'Some fields need another look.' },
  'bad-file': { status: 422, title: 'The file was not imported, and nothing has changed.' },
  'bad-id': { status: 404, title: 'There is nothing here by that id.' },
  'not-found': { status: 404, title: 'There is nothing here by that id.' },
  'no-such-route': { status: 404, title: 'There is no such address.' },
  'signed-out': { status: 401, title: 'Sign in to go on.' },
  'wrong-sign-in': { status: 401, title: 'Email and password do not fit together.' },
  'set-up-already': { status: 409, title: 'This installation is set up already. Sign in.' },
  'link-ended': { status: 410, title: 'This link was used, taken back or has ended. Ask for a new one.' },
  'last-owner': {
    status: 409,
    title: 'A studio keeps at least one owner. Make somebody else an owner first.',
  },
  'has-account': {
    status: 409,
    title: 'There is an account with this email already. Ask for an invitation to another address.',
  },
  'wrong-password': { status: 422, title: 'That is not the password you have now.' },
  'too-many-tries': { status: 429, title: 'Too many tries. Wait a few minutes and sign in again.' },
  'not-allowed': { status: 403, title: 'Your role in this studio does not include this.' },
  'wrong-origin': { status: 403, title: 'The request came from another site.' },
  'too-large': { status: 413, title: 'That is more than can be taken at once. Send less.' },
  'key-missing': { status: 400, title: 'A write needs an Idempotency-Key header.' },
  'key-reused': { status: 422, title: 'This Idempotency-Key was used for another request.' },
  'revision-missing': {
    status: 428,
    title: 'An edit needs an If-Match header with the revision it starts from.',
  },
  stale: { status: 409, title: 'Someone else saved in between. Compare both and save again.' },
  'already-there': { status: 409, title: 'Something with this id is already here.' },
  'judged-already': { status: 409, title: 'It was judged already; what was said then stays.' },
  sealed: { status: 409, title: 'Which side is which is sealed until it is judged.' },
  busy: { status: 503, title: 'The studio’s records cannot be reached just now. Try again in a moment.' },
  unexpected: { status: 500, title: 'Something went wrong on our side. Nothing was saved; try again.' },
} as const satisfies Record<string, { status: number; title: string }>);

export type ErrorCode = keyof typeof ERRORS;

/** One field that is wrong: its path and what to do. */
export type FieldProblem = {
  readonly path: string;
  readonly message: string;
  readonly line?: number;
  readonly column?: number;
};

/**
 * application/problem+json (RFC 9457), with our code and, where they help, fields and both versions of a
 * conflict.
 */
export type Problem = {
  readonly type: string;
  readonly code: ErrorCode;
  readonly status: number;
  readonly title: string;
  readonly detail?: string;
  readonly fields?: readonly FieldProblem[];
  readonly current?: unknown;
  readonly yours?: unknown;
};

/** A problem document for a code. */
export function problemOf(
  code: ErrorCode,
  more: Omit<Partial<Problem>, 'type' | 'code' | 'status' | 'title'> = {},
): Problem {
  const { status, title } = ERRORS[code];
  return { type: `urn:toile:problem:${code}`, code, status, title, ...more };
}
