import { seededRandom, type Random } from '../math';
import { judgeDay, planDay, type PartyDay } from '.';
import { randomDay, smallDay } from './day.testing';
import type { DayAnswer } from './instance';
import { chairName, whoseName } from './named';

const chairs = (...kinds: readonly PartyDay['chairs'][number]['kind'][]): PartyDay => ({
  ...smallDay(),
  chairs: kinds.map((kind, i) => ({ id: `c${i}`, place: 'house', kind })),
});

test('a chair is called as the plan calls it, or by what it is for, where, and which of several', () => {
  const day = chairs('makeup', 'hair', 'makeup', 'any');
  expect(day.chairs.map(({ id }) => chairName(day, id))).toEqual([
    'make-up chair 1 at House',
    'the hair chair at House',
    'make-up chair 2 at House',
    'the chair at House',
  ]);
  const called = { ...day, chairs: day.chairs.map((chair, i) => ({ ...chair, name: `Seat ${i}` })) };
  expect(chairName(called, 'c2')).toBe('Seat 2');
  expect(chairName(day, 'c9')).toBe('a chair that is not there');
});

test('a visit is somebody’s by name, or of a round of touch-ups by its hour', () => {
  const day: PartyDay = {
    ...smallDay(),
    rounds: [{ id: 'r1', place: 'house', from: 615, to: 660, by: { m1: 10 } }],
  };
  expect(['a', 'r1'].map((id) => whoseName(day, id))).toEqual(['A', 'Touch-ups from 10:15']);
});

/** A day whose every id is marked, so that one shows wherever it is told. */
function marked(day: PartyDay): PartyDay {
  const ids = [
    ...[day.people, day.workers, day.chairs, day.places, day.rounds].flatMap((all) =>
      all.map(({ id }) => id),
    ),
    ...day.people.flatMap(({ ways }) => ways.flatMap(({ tasks }) => tasks.map(({ id }) => id))),
  ];
  const text = ids.reduce((so, id) => so.replaceAll(`"${id}"`, `"§${id}"`), JSON.stringify(day));
  return JSON.parse(text) as PartyDay;
}

/** A timetable put out of order at random: later, earlier, in other hands and chairs, doubled, left out. */
function shaken(timetable: DayAnswer, day: PartyDay, random: Random): DayAnswer {
  const of = <T extends { readonly id: string }>(all: readonly T[]): string =>
    all[Math.floor(random() * all.length)]!.id;
  return {
    ...timetable,
    visits: timetable.visits.flatMap((visit) => {
      const moved = {
        ...visit,
        start: random() < 0.6 ? visit.start + Math.round(60 * (random() - 0.5)) : visit.start,
        worker: random() < 0.2 ? of(day.workers) : visit.worker,
        chair: random() < 0.3 ? of(day.chairs) : visit.chair,
        minutes: random() < 0.1 ? visit.minutes + 5 : visit.minutes,
      };
      const once = random();
      return once < 0.1 ? [] : once < 0.2 ? [moved, moved] : [moved];
    }),
  };
}

test('whatever is wrong with a timetable is told by names, never by an id', () => {
  const random = seededRandom(11);
  const rules = new Set<string>();
  for (const people of [3, 5, 8])
    for (let n = 0; n < 4; n++) {
      const day = marked(randomDay(random, people));
      const found = planDay(day, { work: 30 });
      for (let k = 0; k < 25; k++)
        for (const { rule, message } of judgeDay(day, shaken(found, day, random)).conflicts) {
          rules.add(rule);
          expect(message).not.toContain('§');
          expect(message).not.toMatch(/undefined|NaN|null/);
        }
    }
  // It was shaken enough to be told of most rules.
  expect([...rules].sort()).toEqual(
    expect.arrayContaining(['chair', 'grid', 'hands', 'minutes', 'once', 'skill', 'window'].sort()),
  );
});
