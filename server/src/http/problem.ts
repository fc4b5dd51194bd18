import { problemOf, type ErrorCode, type Problem } from '@toile/contract';

/** An answer that is an error of the catalogue; thrown anywhere below a handler. */
export class ProblemError extends Error {
  readonly problem: Problem;
  constructor(code: ErrorCode, more: Parameters<typeof problemOf>[1] = {}) {
    super(`${code}${more?.detail ? `: ${more.detail}` : ''}`);
    this.problem = problemOf(code, more);
  }
}

/** One field that cannot be so, and what to do about it. */
export const wrong = (path: string, message: string): ProblemError =>
  new ProblemError('bad-input', { fields: [{ path, message }] });

/** The value, or 404 when there is none: another studio's row looks exactly like no row. */
export function found<T>(value: T | undefined | null): T {
  if (value === undefined || value === null) throw new ProblemError('not-found');
  return value;
}
