import type { RequestHandler } from 'express';
import type { FieldProblem } from '@toile/contract';
import { msg } from '@toile/core';
import { ProblemError } from './problem';

/** Deeper than any document of ours goes, levels: whatever walks down it has room on its stack. */
const DEEPEST = 40;
/** Names that mean something to the language itself and nothing to us. */
const NOT_NAMES: ReadonlySet<string> = new Set(['__proto__', 'constructor', 'prototype']);
/** What PostgreSQL cannot keep: NUL, and half of a pair of code units. */
const UNKEPT = /\0|\p{Surrogate}/u;

/** Whether a text can be kept as it is. */
const isKeepable = (text: string): boolean => !UNKEPT.test(text);

/**
 * The first thing in a parsed JSON body that no field of ours can hold, with its path; null when there is
 * none. Walks without recursion: how deep a body goes is up to whoever sends it.
 */
export function unfitPart(body: unknown): FieldProblem | null {
  const waiting: { value: unknown; path: string; depth: number }[] = [{ value: body, path: '', depth: 0 }];
  for (let next = waiting.pop(); next; next = waiting.pop()) {
    const { value, path, depth } = next;
    if (typeof value === 'string' && !isKeepable(value))
      return { path, message: msg`This holds a character that cannot be kept. Type it again` };
    if (typeof value === 'number' && !(Math.abs(value) <= Number.MAX_SAFE_INTEGER))
      return { path, message: msg`This number is too large` };
    if (value === null || typeof value !== 'object') continue;
    if (depth === DEEPEST) return { path, message: msg`This goes deeper than ${DEEPEST} levels` };
    for (const key of Object.keys(value)) {
      const inner = Array.isArray(value) ? `${path}[${key}]` : path === '' ? key : `${path}.${key}`;
      if (NOT_NAMES.has(key) || !isKeepable(key))
        return { path, message: msg`${JSON.stringify(key).slice(0, 80)} is not known here` };
      waiting.push({ value: Reflect.get(value, key), path: inner, depth: depth + 1 });
    }
  }
  return null;
}

/** Turns away a body or a question that no route could keep, before anything looks at it. */
export const fitInput: RequestHandler = (req, _res, next) => {
  const unfit = unfitPart(req.body) ?? unfitPart({ ...req.query });
  if (unfit) throw new ProblemError('bad-input', { fields: [unfit] });
  next();
};
