import { MORNINGS, smallDay } from './day.testing';
import {
  causesOf,
  drop,
  explainDay,
  planDay,
  waysOut,
  wordsFor,
  type DayCause,
  type PartyDay,
  type WayOut,
} from '.';

const tight = smallDay({ a: { readyBy: 545 }, b: { readyBy: 550 } });

test('what is possible needs no reason', () =>
  expect(explainDay(smallDay())).toMatchObject({
    possible: true,
    causes: [],
    words: 'Everybody can be ready in time.',
  }));

test('two who cannot both be ready are named with the minutes that are missing', () => {
  const found = explainDay(tight);
  expect(found).toMatchObject({ possible: false, sure: true });
  expect(found.late).toBe(planDay(tight).objective.late);
  expect(found.words).toContain('A and B cannot all be ready');
  expect(found.words).toContain(`${found.late} minutes are missing`);
});

test('one who cannot be ready even with the house to herself', () => {
  const day = smallDay({ a: { readyBy: 520 } });
  const found = explainDay(day);
  expect(found.alone).toEqual([
    { person: 'a', until: 540, words: 'A needs until 09:00 even if everyone waits.' },
  ]);
  expect(found.causes).toEqual([{ kind: 'readyBy', person: 'a' }]);
});

test('whoever may be late is never told to need the house to themselves', () => {
  const day = smallDay({ a: { readyBy: 520, weights: { late: 0, short: 3, early: 1, wait: 1 } } });
  expect(explainDay(day).alone).toEqual([]);
});

test.each(MORNINGS.filter(({ best }) => best.late > 0).map(({ day }) => [day.id, day] as const))(
  '%s: leave any one cause out and it works, leave none out and it does not',
  (_, day) => {
    const found = explainDay(day);
    expect(found.possible).toBe(false);
    expect(found.causes.length).toBeGreaterThan(0);
    for (const cause of found.causes) {
      const rest = found.causes.filter((one) => one !== cause);
      // Everything but the reason is out of the way already; without this one too, all are on time.
      const others = allBut(day, rest);
      expect({ without: wordsFor(day, cause), late: planDay(others, { work: 300 }).objective.late }).toEqual({
        without: wordsFor(day, cause),
        late: 0,
      });
    }
    expect(planDay(allBut(day, found.causes), { work: 300 }).objective.late).toBeGreaterThan(0);
  },
);

/** The day with all that may be in the way dropped but some causes. */
function allBut(day: PartyDay, kept: readonly DayCause[]): PartyDay {
  const names = kept.map((cause) => JSON.stringify(cause));
  return causesOf(day)
    .filter((cause) => !names.includes(JSON.stringify(cause)))
    .reduce(drop, day);
}

test('every way out offered makes the day possible, and is said in words', () => {
  for (const day of [
    tight,
    MORNINGS.find(({ day: one, best }) => best.late > 0 && one.people.length === 4)!.day,
  ]) {
    const offered: WayOut[] = [];
    for (const way of waysOut(day)) offered.push(way);
    expect(offered.length).toBeGreaterThan(0);
    for (const way of offered) {
      expect(way.words).toMatch(/\S/);
      expect({ words: way.words, late: planDay(way.day, { work: 200 }).objective.late }).toEqual({
        words: way.words,
        late: 0,
      });
    }
  }
});

test('beginning earlier moves who comes with the artists, and not the ferry', () => {
  const earlier = [...waysOut(tight)].find((way) => way.changes[0]!.kind === 'earlier')!;
  expect(earlier.day.workers[0]!.arrives).toBeLessThan(480);
  expect(earlier.day.people.every((person) => person.from < 480)).toBe(true);
});

test('where nothing by itself is enough, two together are told', () => {
  const day = smallDay({ a: { readyBy: 540 }, b: { readyBy: 540 } });
  const four: PartyDay = {
    ...day,
    people: [
      ...day.people,
      ...day.people.map((person) => ({
        ...person,
        id: `${person.id}2`,
        name: `${person.name}2`,
        ways: person.ways.map((way) => ({
          ...way,
          tasks: way.tasks.map((task) => ({ ...task, id: `${task.id}2` })),
        })),
      })),
    ],
  };
  const offered = [...waysOut(four)];
  expect(offered.length).toBeGreaterThan(0);
  for (const way of offered) {
    expect(way.changes.length).toBe(2);
    expect(planDay(way.day, { work: 200 }).objective.late).toBe(0);
  }
});
