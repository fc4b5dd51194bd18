import { problemOf, type ErrorCode, type Problem } from '@toile/contract';

/** An answer that is an error of the catalogue; thrown anywhere below a handler. */
export class ProblemError extends Error {
  readonly problem: Problem;
  constructor(code: ErrorCode, more: Parameters<typeof problemOf>[1] = {}) {
    super(`${code}${more?.detail ? `: ${more.detail}` : ''}`);
    this.problem = problemOf(code, more);
  }
}

/** The value, or 404 when there is none: another studio's row looks exactly like no row. */
export function found<T>(value: T | undefined | null): T {
  if (value === undefined || value === null) throw new ProblemError('not-found');
  return value;
}
