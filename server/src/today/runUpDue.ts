import {
  clientRunUp,
  msg,
  partyRunUp,
  RUN_UP_WORDS,
  runUpState,
  runUpTasks,
  type RunUpKind,
  type ShopsOfPlan,
} from '@toile/core';
import type { DueItem, VisitAnswer } from '@toile/contract';

/** How far ahead of a visit its run-up begins, and how long after it it ends, days. */
export const RUN_UP_DAYS = { before: 56, after: 21 } as const;
/** Tasks that Today says in words of its own. */
const TOLD_OTHERWISE: readonly RunUpKind[] = ['reread', 'patchTest'];

/**
 * What of the run-up to each visit is to be done by now, in one line a visit, the late first. A trial has
 * none.
 */
export function runUpDue(visits: readonly VisitAnswer[], today: string): DueItem[] {
  return visits.flatMap((visit): DueItem[] => {
    // What is only asked for has no run-up yet, what was cancelled none any more.
    if (visit.state !== 'booked' && visit.state !== 'done') return [];
    const own = clientRunUp(visit.kind);
    if (own.length === 0) return [];
    const tasks = runUpTasks(visit.date, { bookedOn: visit.bookedOn })
      .filter(({ id }) => own.includes(id) && !TOLD_OTHERWISE.includes(id))
      .map((task) => ({ id: task.id, state: runUpState(task, visit.runUp.includes(task.id), today) }));
    const words = [
      ...tasks.filter(({ state }) => state === 'late').map(({ id }) => msg`late: ${lower(RUN_UP_WORDS[id])}`),
      ...tasks.filter(({ state }) => state === 'now').map(({ id }) => lower(RUN_UP_WORDS[id])),
    ];
    if (words.length === 0) return [];
    return [{ kind: 'run-up', words: `${visit.clientName}: ${words.join('; ')}`, clientId: visit.clientId }];
  });
}

/** What of a party's plan its run-up asks. */
export type PlanForRunUp = ShopsOfPlan & { readonly runUp?: readonly RunUpKind[] };

type Party = {
  readonly id: string;
  readonly name: string;
  readonly date: string;
  /** What of its run-up was done, and where there are shops; null: nothing is planned yet. */
  readonly plan: PlanForRunUp | null;
};

/** What of the run-up to each party is to be done by now, in one line a party, the late first. */
export function partyRunUpDue(parties: readonly Party[], today: string): DueItem[] {
  return parties.flatMap(({ id, name, date, plan }): DueItem[] => {
    const tasks = partyRunUp(date, plan).map((task) => ({
      id: task.id,
      state: runUpState(task, plan?.runUp?.includes(task.id) ?? false, today),
    }));
    const words = [
      ...tasks
        .filter(({ state }) => state === 'late')
        .map((task) => msg`late: ${lower(RUN_UP_WORDS[task.id])}`),
      ...tasks.filter(({ state }) => state === 'now').map((task) => lower(RUN_UP_WORDS[task.id])),
    ];
    return words.length === 0
      ? []
      : [{ kind: 'run-up', words: `${name}: ${words.join('; ')}`, clientId: null, partyId: id }];
  });
}

const lower = (text: string): string => text.charAt(0).toLowerCase() + text.slice(1);
