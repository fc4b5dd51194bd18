import { addDays, type PracticeEvent } from '@toile/core';
import type { StudioBundle } from '@toile/contract';
import { idFor } from './ids';

/**
 * Two months of practice of the assistant's, getting better at one skill, shared; and a skill for this week.
 */
export function practised(today: string): StudioBundle['practiceEvents'] {
  const account = (email: string): string => idFor(`account ${email}`);
  const assistant = account('mina@quayside.example');
  const misses = [6.2, 5.1, 5.6, 4.4, 4.8, 3.6, 3.9, 2.7, 3.1, 2.2, 2.6, 1.9];
  const gradeOf = (miss: number): 'again' | 'near' | 'good' =>
    miss > 4.5 ? 'again' : miss > 2.5 ? 'near' : 'good';
  const attempts = misses.map((miss, i): PracticeEvent => ({
    id: idFor(`practice contour ${i}`),
    at: `${addDays(today, -60 + 5 * i)}T19:${String(10 + i)}:00Z`,
    by: 'Wilhelmina Fry',
    kind: 'attempt',
    skill: 'contour',
    seed: i,
    level: 0,
    score: Math.round(100 * 2 ** -((miss / 3) ** 2)),
    grade: gradeOf(miss),
    miss,
    first: `${Math.round(miss)} mm towards the hollow: smile, find the edge of the bone, and stay on it.`,
  }));
  const shared: PracticeEvent = {
    id: idFor('practice contour shared'),
    at: `${addDays(today, -30)}T19:00:00Z`,
    by: 'Wilhelmina Fry',
    kind: 'shared',
    skill: 'contour',
    shared: true,
  };
  const week: PracticeEvent = {
    id: idFor('practice week'),
    at: `${addDays(today, -1)}T08:00:00Z`,
    by: 'Runa Castellane',
    kind: 'week',
    skill: 'nose',
    from: addDays(today, -1),
  };
  return [
    ...[...attempts, shared].map((event) => ({ accountId: assistant, event })),
    { accountId: account('runa@quayside.example'), event: week },
  ];
}
