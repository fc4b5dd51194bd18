import {
  asksReason,
  checkTimes,
  followsCount,
  msg,
  questionLook,
  questionsSoFar,
  trialNow,
  type TrialEvent,
  type TrialRecord,
  type TrialTold,
} from '@toile/core';
import type { FieldProblem } from '@toile/contract';
import type { Tx } from '../db/connection';
import { ProblemError, wrong } from '../http/problem';
import { trialRecords } from './trialRows';

/** A phone's clock may be ahead by so much, ms. */
const AHEAD_MS = 10 * 60_000;

/** What cannot be told now, by field. */
export function questionTold(
  { trial, events }: TrialRecord,
  told: TrialTold,
  now: Date,
  pathOf: (path: string) => string = (path) => `event.${path}`,
): void {
  const { appliedAt, looks, state, stung, judgedAt } = trialNow(trial, events);
  const at = (problem: FieldProblem): ProblemError => wrong(pathOf(problem.path), problem.message);
  const ahead = (instant: string): boolean => Date.parse(instant) > now.getTime() + AHEAD_MS;
  if (judgedAt !== null && told.kind !== 'decided' && told.kind !== 'opened')
    throw new ProblemError('judged-already');
  switch (told.kind) {
    case 'opened':
      return;
    case 'applied': {
      if (ahead(told.appliedAt)) throw at({ path: 'appliedAt', message: msg`This is still to come` });
      const [first] = looks;
      const late = first && checkTimes({ appliedAt: told.appliedAt, at: first.lookedAt });
      if (late) throw at({ path: 'appliedAt', message: msg`It was looked at before that already` });
      return;
    }
    case 'looked': {
      if (ahead(told.lookedAt)) throw at({ path: 'lookedAt', message: msg`This is still to come` });
      const problem = questionLook(appliedAt, told);
      if (problem) throw at(problem);
      return;
    }
    case 'ended':
      if (told.why.trim() === '') throw at({ path: 'why', message: msg`Say why it was ended` });
      return;
    case 'judged':
      if (looks.length === 0 && stung === null)
        throw at({ path: 'kind', message: msg`Nobody has looked at it yet: there is nothing to judge` });
      return;
    case 'decided':
      if (state === 'drawn' || state === 'worn') throw new ProblemError('sealed');
  }
}

/**
 * What was told, as the caller's; a decision is set beside the count, and asked for its reason where it goes
 * against it.
 */
export async function byCaller(
  tx: Tx,
  { trial, events }: TrialRecord,
  told: TrialTold,
  by: string,
): Promise<TrialEvent> {
  if (told.kind !== 'decided') return { ...told, by };
  const { verdict } = questionsSoFar(await trialRecords(tx, { question: trial.question.key }))[0]!;
  const count = { outcome: trialNow(trial, events).compared.outcome, verdict };
  const asked = asksReason(told.choice, told.scope, count);
  if (asked !== null && told.reason.trim() === '') throw wrong('event.reason', asked);
  return { ...told, by, follows: followsCount(told.choice, told.scope, count) };
}
