import fc from 'fast-check';
import { instantAt } from '../calendar';
import { seededRandom } from '../math';
import { MORNINGS } from './day.testing';
import type { DayAnswer, PartyDay } from './instance';
import { judgeDay } from './judgeDay';
import { keyOf } from './laidOut';
import { newGuest, newPlan } from './newPlan';
import { faceOf, type PartyPlan } from './party';
import { packedThings, visitTimes, type PartyEvent, type PartyEventKind } from './partyLog';
import { runningDay, seenVisits, standsIn, type SeenVisit } from './onTheDay';
import { Planning } from './planDay';
import { replanDay } from './replan';

const uuid = (n: number): string => `0190a000-0000-7000-8000-${String(n).padStart(12, '0')}`;
const DATE = '2031-06-14';
const ZONE = 'Europe/Lisbon';
const at = (minute: number): string => instantAt(ZONE, DATE, minute).toISOString();
let n = 0;
const told = (
  kind: PartyEventKind,
  item: string,
  minute: number,
  more: Partial<PartyEvent> = {},
): PartyEvent => ({
  id: uuid(n++),
  kind,
  item,
  at: at(minute),
  by: 'Runa',
  ...more,
});

test.each([
  [-1, 'before'],
  [0, 'on the day'],
  [1619, 'on the day'],
  [1620, 'after'],
])('minute %d of a party lies %s', (minute, where) => expect(standsIn(minute)).toBe(where));

describe('what was told of a visit', () => {
  test('two phones tell that it began: the first is meant', () =>
    expect(
      visitTimes([told('began', 'a a.face', 500), told('began', 'a a.face', 503)]).get('a a.face'),
    ).toEqual({
      beganAt: at(500),
      endedAt: null,
    }));
  test('taken back step by step: the end first, then the beginning', () => {
    const both = [told('began', 'a', 500), told('ended', 'a', 540)];
    expect(visitTimes([...both, told('undone', 'a', 541)]).get('a')).toEqual({
      beganAt: at(500),
      endedAt: null,
    });
    expect(visitTimes([...both, told('undone', 'a', 541), told('undone', 'a', 541)]).get('a')).toEqual({
      beganAt: null,
      endedAt: null,
    });
    expect(
      visitTimes([...both, told('undone', 'a', 541), told('undone', 'a', 541), told('began', 'a', 545)]).get(
        'a',
      ),
    ).toEqual({ beganAt: at(545), endedAt: null });
  });
  test('a thing lies where it was put last, and nowhere once it is out', () => {
    const first = told('packed', 'unit:1', 400, { into: 'Blue case' });
    expect(packedThings([first]).get('unit:1')).toEqual({ by: 'Runa', into: 'Blue case' });
    const again = told('packed', 'unit:1', 401, { into: 'Roll', by: 'Teodor' });
    expect(packedThings([first, again]).get('unit:1')).toEqual({ by: 'Teodor', into: 'Roll' });
    expect(packedThings([first, again, told('unpacked', 'unit:1', 402)]).size).toBe(0);
  });
});

describe('what is seen of a visit', () => {
  const start = newPlan('evening', { place: 'Hall', zone: ZONE, artist: 'Runa' });
  const guest = {
    ...newGuest('g', { name: 'Ada', role: 'guest', readyBy: 700, faceMinutes: 40, hairMinutes: null }, start),
    chartId: 'chart',
  };
  const key = keyOf('g', faceOf(guest));
  const visit = {
    of: 'g',
    task: faceOf(guest),
    worker: 'hands-1',
    chair: 'chair-1',
    start: 600,
    minutes: 40,
  };
  const plan: PartyPlan = {
    ...start,
    guests: [guest],
    timetable: { ways: {}, visits: [visit], boundLate: 0, boundCost: 0, proven: true },
  };
  const ticks = (doneCount: number) => ({
    chart: { firstAt: at(604), lastAt: at(630), doneCount, stepCount: 8, minutesLeft: 12 },
  });
  const seenBy = (events: PartyEvent[], chairs = {}): SeenVisit | undefined =>
    seenVisits(plan, DATE, events, chairs).get(key);
  test.each<[string, PartyEvent[], object, SeenVisit | undefined]>([
    ['nothing', [], {}, undefined],
    ['by hand', [told('began', key, 603)], {}, { began: 603, ended: null, left: null }],
    ['by ticks', [], ticks(5), { began: 604, ended: null, left: 12 }],
    ['all ticked', [], ticks(8), { began: 604, ended: 630, left: null }],
    [
      'a hand before ticks',
      [told('began', key, 601), told('ended', key, 650)],
      ticks(5),
      { began: 601, ended: 650, left: null },
    ],
    ['only its end', [told('ended', key, 660)], {}, { began: 620, ended: 660, left: null }],
    [
      'an end before its beginning',
      [told('began', key, 640), told('ended', key, 630)],
      {},
      { began: 640, ended: 641, left: null },
    ],
    ['of somebody else', [told('began', 'x x.face', 603)], {}, undefined],
  ])('%s', (_, events, chairs, seen) => expect(seenBy(events, chairs)).toEqual(seen));

  test('across midnight and a clock that is put back the minutes are those of the party’s clock', () => {
    const night = '2031-10-25';
    const of = (minute: number): PartyEvent => ({
      ...told('began', key, 0),
      at: instantAt(ZONE, night, minute).toISOString(),
    });
    for (const minute of [0, 600, 1439, 1440, 1500, 1620])
      expect(seenVisits(plan, night, [of(minute)], {}).get(key)?.began).toBe(minute);
  });
});

const planned = new Map<PartyDay, DayAnswer>();
const answerOf = (day: PartyDay): DayAnswer => {
  const known = planned.get(day);
  if (known) return known;
  // So much work and not so much time: the same timetable on every machine.
  const planning = new Planning(day, 1, false);
  for (const _ of planning.steps()) if (++planning.work > 300) break;
  const answer = planning.answer();
  planned.set(day, answer);
  return answer;
};

/**
 * A day as it really went up to a minute: each visit as long as `factor` makes it, in the order of the
 * timetable.
 */
function gone(day: PartyDay, answer: DayAnswer, now: number, factor: () => number): Map<string, SeenVisit> {
  const seen = new Map<string, SeenVisit>();
  const free = new Map<string, number>();
  for (const visit of [...answer.visits].sort((a, b) => a.start - b.start)) {
    const keys = [visit.worker, visit.of, visit.chair ?? ''];
    const began = Math.max(visit.start, ...keys.map((key) => free.get(key) ?? 0));
    const ended = began + Math.max(1, Math.round(visit.minutes * factor()));
    if (began > now) continue;
    seen.set(keyOf(visit.of, visit.task), { began, ended: ended <= now ? ended : null, left: null });
    const task = day.people.flatMap((p) => p.ways.flatMap((w) => w.tasks)).find((t) => t.id === visit.task);
    const tail = task?.tail ?? 0;
    free.set(visit.worker, ended + (day.workers.find((w) => w.id === visit.worker)?.sanitise ?? 0));
    free.set(visit.of, ended + tail);
    if (visit.chair) free.set(visit.chair, ended + day.chairWipe + (task?.holds ? tail : 0));
  }
  return seen;
}

describe.each(MORNINGS.map(({ day }) => [day.id, day] as const))('%s under way', (_, day) => {
  const from = Math.min(...day.workers.map((w) => w.arrives));
  const to = Math.max(...day.people.map((p) => p.readyBy));

  test('as planned it is behind nowhere, and nobody is later than planned', () => {
    const answer = answerOf(day);
    if (answer.unplaced.length > 0) return;
    const plannedLate = judgeDay(day, answer).people;
    for (let now = from; now <= to; now += 17) {
      const running = runningDay(
        day,
        answer,
        gone(day, answer, now, () => 1),
        now,
      );
      // What begins this very minute has not been told yet, and may begin on the next line of the grid.
      expect(running.behindMinutes).toBeLessThanOrEqual(day.grid);
      expect(running.lost).toEqual([]);
      for (const { person, minutes } of running.late)
        expect(minutes).toBeLessThanOrEqual((plannedLate[person]?.lateMinutes ?? 0) + day.grid);
    }
  });

  test('run late at any minute: what is past stays, nothing to come begins before now, and planned anew it is no later', () => {
    const answer = answerOf(day);
    if (answer.unplaced.length > 0) return;
    fc.assert(
      fc.property(fc.integer({ min: from, max: to }), fc.integer({ min: 1, max: 1e6 }), (now, seed) => {
        const random = seededRandom(seed);
        const seen = gone(day, answer, now, () => 0.8 + random() * 0.7);
        const running = runningDay(day, answer, seen, now);
        for (const one of running.visits) {
          const at_ = seen.get(keyOf(one.visit.of, one.visit.task));
          if (at_) {
            expect(one.start).toBe(at_.began);
            if (at_.ended !== null) expect(one.end).toBe(at_.ended);
            else expect(one.end).toBeGreaterThan(now);
          } else expect(one.start).toBeGreaterThanOrEqual(now);
        }
        const { repair, push } = replanDay(running.day, answer, { rounds: 40 });
        if (!repair) return;
        const judged = judgeDay(running.day, repair);
        const past = (key: string): boolean => seen.has(key);
        // What really happened may have broken a rest or a lunch: what is planned breaks none.
        expect(
          judged.conflicts.filter((c) => !c.about.some(past) && !c.about.every((id) => !id.includes(' '))),
        ).toEqual([]);
        for (const pin of running.day.pinned ?? []) {
          const visit = repair.visits.find((v) => v.of === pin.of && v.task === pin.task)!;
          expect([visit.start, visit.worker]).toEqual([pin.start, pin.worker]);
        }
        // Nobody is told of what they had or sit in, however far from its time it began.
        for (const { changes, tell } of push ? [repair, push] : [repair]) {
          expect(changes.filter(({ of, task }) => past(keyOf(of, task)))).toEqual([]);
          for (const id of tell) expect(changes.map(({ of }) => of)).toContain(id);
        }
        if (push) expect(repair.objective.late).toBeLessThanOrEqual(push.objective.late + 1e-9);
      }),
      { numRuns: 12, seed: 5, examples: [[592, 792_010]] },
    );
  });
});

describe('what has begun stays where it began, though it might have been done elsewhere', () => {
  const { day } = MORNINGS.find((one) => one.day.id === 'open-12-ferry')!;
  const elsewhere = day.people.filter(
    ({ ways }) => new Set(ways.flatMap(({ tasks }) => tasks.map(({ place }) => place))).size > 1,
  );
  const placeIn = (answer: Pick<DayAnswer, 'ways'>, person: PartyDay['people'][number]) =>
    person.ways.find(({ id }) => id === answer.ways[person.id])?.tasks[0]?.place;

  test('a face under way is held at its place, and no chair of that place is given twice', () => {
    const answer = answerOf(day);
    expect(elsewhere.length).toBeGreaterThan(0);
    for (const person of elsewhere) {
      const [first] = answer.visits.filter(({ of }) => of === person.id).sort((a, b) => a.start - b.start);
      const now = first!.start + 1;
      const running = runningDay(
        day,
        answer,
        gone(day, answer, now, () => 1),
        now,
      );
      const pin = running.day.pinned!.find(({ of }) => of === person.id)!;
      expect(pin.place).toBe(placeIn(answer, person));
      const { repair } = replanDay(running.day, answer, { rounds: 40 });
      expect(placeIn(repair!, person)).toBe(pin.place);
      const moved = {
        ...repair!,
        ways: { ...repair!.ways, [person.id]: otherWay(person, repair!.ways[person.id]!) },
      };
      expect(judgeDay(running.day, moved).conflicts.map(({ rule }) => rule)).toContain('pinned');
    }
  });

  test('where nobody says at which place it is held, a chair is kept for it at each', () => {
    const answer = answerOf(day);
    const now = 592;
    const random = seededRandom(792_010);
    const running = runningDay(
      day,
      answer,
      gone(day, answer, now, () => 0.8 + random() * 0.7),
      now,
    );
    const nowhere = { ...running.day, pinned: running.day.pinned!.map(({ place: _, ...pin }) => pin) };
    const { repair } = replanDay(nowhere, answer, { rounds: 40 });
    expect(judgeDay(nowhere, repair!).conflicts.filter(({ rule }) => rule === 'chair')).toEqual([]);
  });
});
const otherWay = (person: PartyDay['people'][number], way: string): string =>
  person.ways.find(
    ({ id, tasks }) =>
      id !== way && tasks[0]?.place !== person.ways.find((one) => one.id === way)?.tasks[0]?.place,
  )!.id;
