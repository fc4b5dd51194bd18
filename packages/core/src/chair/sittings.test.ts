import fc from 'fast-check';
import { fitLook, type Chart, type Step } from '../look';
import { client, id, KIT, LOOK, OCCASION, STAMP } from '../look/look.testing';
import {
  atChair,
  carriedInto,
  isSameWork,
  lastWorn,
  SITTING_APART_HOURS,
  sittingsOf,
  stillOnFace,
  type RecordedEvent,
} from '.';

const fitted: Chart = fitLook(LOOK, client(), KIT, OCCASION, STAMP).chart;
const [base, second] = fitted.steps as [Step, Step, ...Step[]];
const START = Date.parse('2031-05-14T09:00:00Z');
const HOUR = 3_600_000;
const at = (hours: number): string => new Date(START + hours * HOUR).toISOString();
let n = 0;
const event = (hours: number, more: Partial<RecordedEvent> = {}): RecordedEvent =>
  ({ id: id(9000 + n++), stepId: base.id, at: at(hours), by: 'Ada', kind: 'done', ...more }) as RecordedEvent;
const NOTHING = { goOnWith: null, left: null };

describe('sittings', () => {
  test('a night lies between two, and no pause within one', () => {
    const apart = (hours: number): number => sittingsOf([event(0), event(hours)]).length;
    expect(apart(0)).toBe(1);
    expect(apart(SITTING_APART_HOURS)).toBe(1);
    expect(apart(SITTING_APART_HOURS + 0.01)).toBe(2);
    expect(sittingsOf([])).toEqual([]);
    // A long day is one sitting while it goes on.
    expect(sittingsOf([0, 7, 14, 21].map((hours) => event(hours)))).toHaveLength(1);
  });

  test('what is not recorded yet has no id, and goes by the clock alone', () => {
    const nameless = ({ id: _id, ...more }: RecordedEvent) => more;
    const [first, second_, late] = [event(0), event(1), event(30)].map(nameless);
    expect(sittingsOf([first!, second_!, late!])).toEqual([[first, second_], [late]]);
  });

  test('what an event says of its sitting goes before the clock', () => {
    const trial = event(0);
    const late = event(30, { sitting: trial.id });
    const begun = event(1);
    const again = { ...begun, sitting: begun.id };
    expect(sittingsOf([trial, late])).toEqual([[trial, late]]);
    expect(sittingsOf([trial, again])).toEqual([[trial], [again]]);
    // What comes after goes on with whichever was told of last.
    const after = event(1.5);
    expect(sittingsOf([trial, again, after])).toEqual([[trial], [again, after]]);
    const day = event(24);
    const mended = event(25, { sitting: trial.id });
    expect(sittingsOf([trial, day, mended])).toEqual([[day], [trial, mended]]);
    // By a clock that runs behind, too; and what puts two in order is of theirs.
    const early = event(-50, { sitting: trial.id });
    expect(sittingsOf([trial, early])).toEqual([[trial, early]]);
    const order = event(-50, { settles: [trial.id, day.id] });
    expect(sittingsOf([trial, day, order])).toEqual([[trial, order], [day]]);
    // Of one that is not among them: together, and apart from the rest.
    const strange = [event(40, { sitting: id(1) }), event(90, { sitting: id(1) })];
    expect(sittingsOf([trial, ...strange])).toEqual([[trial], strange]);
  });

  const told = fc
    .array(fc.record({ hours: fc.integer({ min: 0, max: 400 }), named: fc.option(fc.nat(20)) }), {
      maxLength: 14,
    })
    .map((all) => {
      const events = all.map(({ hours }) => event(hours / 4));
      return events.map((one, i) => {
        const { named } = all[i]!;
        return named === null ? one : { ...one, sitting: events[named % events.length]!.id };
      });
    });

  test('each is of one sitting, none is empty, and within each the order of arrival stands', () => {
    fc.assert(
      fc.property(told, (events) => {
        const sittings = sittingsOf(events);
        expect(sittings.flat()).toHaveLength(events.length);
        expect(new Set(sittings.flat())).toEqual(new Set(events));
        for (const sitting of sittings) {
          expect(sitting.length).toBeGreaterThan(0);
          const places = sitting.map((one) => events.indexOf(one));
          expect(places).toEqual([...places].sort((a, b) => a - b));
        }
      }),
    );
  });

  test('by the clock alone they are the gaps, whichever phone’s arrived first', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 0, max: 400 }), { minLength: 1, maxLength: 14 }),
        fc.nat(),
        (quarters, turn) => {
          const events = quarters.map((one) => event(one / 4));
          const turned = [...events.slice(turn % events.length), ...events.slice(0, turn % events.length)];
          const ofIds = (all: readonly RecordedEvent[]) =>
            sittingsOf(all).map((sitting) => sitting.map((one) => one.id).sort());
          expect(ofIds(turned)).toEqual(ofIds(events));
          const sorted = [...quarters].sort((a, b) => a - b);
          const gaps = sorted
            .slice(1)
            .filter((one, i) => (one - sorted[i]!) / 4 > SITTING_APART_HOURS).length;
          expect(ofIds(events)).toHaveLength(gaps + 1);
        },
      ),
    );
  });
});

describe('at the chair', () => {
  const trial = [event(0), event(0.5, { stepId: second.id })];

  test('a chart nobody worked is open, one that is being worked goes on, an old one begins anew', () => {
    expect(atChair([], START, NOTHING)).toEqual({ events: [], before: null, next: undefined });
    expect(atChair(trial, START + 2 * HOUR, NOTHING)).toEqual({
      events: trial,
      before: null,
      next: undefined,
    });
    expect(atChair(trial, START + 8.5 * HOUR, NOTHING).events).toEqual(trial);
    expect(atChair(trial, START + 8.6 * HOUR, NOTHING)).toEqual({
      events: [],
      before: trial,
      next: undefined,
    });
    const today = event(400);
    expect(atChair([...trial, today], START + 401 * HOUR, NOTHING).events).toEqual([today]);
  });

  test('gone on with, what is told next is of that sitting; left, it begins one', () => {
    const goOn = { goOnWith: trial[1]!.id, left: null };
    const later = START + 400 * HOUR;
    const stands = atChair(trial, later, goOn);
    expect(stands).toEqual({ events: trial, before: null, next: trial[1]!.id });
    const noted = event(400, { sitting: trial[1]!.id });
    expect(atChair([...trial, noted], later, goOn).events).toEqual([...trial, noted]);
    expect(atChair(trial, later, { goOnWith: id(1), left: null }).events).toEqual([]);

    const left = { goOnWith: null, left: trial[1]!.id };
    const now = START + HOUR;
    expect(atChair(trial, now, left)).toEqual({ events: [], before: trial, next: 'begins' });
    const first = event(1);
    const begun = { ...first, sitting: first.id };
    expect(atChair([...trial, begun], now, left)).toEqual({ events: [begun], before: null, next: undefined });
  });
});

describe('a version saved while its chart is worked', () => {
  const other: Step['use'] = [
    { ...base.use[0]!, product: { ...base.use[0]!.product, id: id(999), line: 'Other' } },
  ];
  const saved = (hours: number, change: (step: Step) => Step): Chart => ({
    ...fitted,
    version: 2,
    at: at(hours),
    steps: fitted.steps.map(change),
  });
  const same = (step: Step): Step => step;

  test('steps that are the same work in it keep what was told of them, those that are not do not', () => {
    const events = [event(0), event(0.1, { stepId: second.id })];
    const earlier = [{ chart: fitted, events }];
    expect(carriedInto(saved(1, same), earlier)).toEqual(events);
    const changed = saved(1, (step) => (step.id === base.id ? { ...step, use: other } : step));
    expect(carriedInto(changed, earlier)).toEqual([events[1]]);
    const gone = { ...fitted, at: at(1), steps: fitted.steps.filter(({ id }) => id !== second.id) };
    expect(carriedInto(gone, earlier)).toEqual([events[0]]);
    expect(carriedInto(saved(1, same), [])).toEqual([]);
  });

  test('only of the sitting that went on when it was saved, also what another phone tells of it later', () => {
    const before = event(-100);
    const now = event(0);
    const late = event(2, { stepId: second.id });
    const earlier = [{ chart: fitted, events: [before, now, late] }];
    expect(carriedInto(saved(1, same), earlier)).toEqual([now, late]);
    expect(carriedInto(saved(2 + SITTING_APART_HOURS, same), earlier)).toEqual([now, late]);
    expect(carriedInto(saved(2.1 + SITTING_APART_HOURS, same), earlier)).toEqual([]);
  });

  test('on the face is still what was told before: but for what was changed while it was worked', () => {
    const events = [event(-100), event(0), event(0.1, { stepId: second.id })];
    const earlier = [{ chart: fitted, events }];
    const change = (step: Step): Step => (step.id === base.id ? { ...step, use: other } : step);
    expect(stillOnFace(saved(1, same), earlier)).toEqual(events);
    expect(stillOnFace(saved(1, change), earlier)).toEqual([events[0], events[2]]);
    // Changed the day after, it stood as it was.
    expect(stillOnFace(saved(30, change), earlier)).toEqual(events);
  });

  test('words, minutes and tools make no other work; products, amounts, places, layers and variants do', () => {
    const place = { ...base.placements[0]!, side: 'left' as const };
    for (const like of [
      { title: 'Else' },
      { note: 'Else' },
      { handsOnMinutes: 99 },
      { waitMinutes: 9 },
      { done: { ticked: true, at: at(0), by: 'Ada', deviations: [] } },
    ])
      expect(isSameWork(base, { ...base, ...like })).toBe(true);
    for (const unlike of [
      { id: second.id },
      { use: other },
      { use: base.use.map((one) => ({ ...one, parts: one.parts + 1 })) },
      { use: base.use.map((one) => ({ ...one, unitId: null })) },
      { use: [] },
      { placements: [place] },
      { placements: [] },
      { passes: base.passes + 1 },
      { role: second.role },
      { variant: 'evening' },
      { instead: second.id },
    ])
      expect(isSameWork(base, { ...base, ...unlike })).toBe(false);
  });
});

describe('as it was worn last', () => {
  const said = (hours: number, deviation: Extract<RecordedEvent, { kind: 'deviation' }>['deviation']) =>
    event(hours, { kind: 'deviation', deviation } as Partial<RecordedEvent>);
  const more = { kind: 'amount' as const, measures: 3, note: '' };
  const calmer = { kind: 'next time' as const, nextTime: 'calmer' as const, note: '' };
  const done = (events: readonly RecordedEvent[]) => lastWorn(fitted, events).steps[0]!.done;

  test('of two sittings it is the last, with what was said since', () => {
    const trial = [event(0), said(0.1, more)];
    expect(done(trial)).toMatchObject({ ticked: true, at: at(0), deviations: [more] });
    expect(done([...trial, event(500)])).toEqual({ ticked: true, at: at(500), by: 'Ada', deviations: [] });
    expect(done([...trial, said(30, calmer)])).toMatchObject({ ticked: true, deviations: [more, calmer] });
    expect(done([...trial, event(500), said(530, calmer)])).toMatchObject({
      at: at(500),
      deviations: [calmer],
    });
  });

  test('a step the last sitting did not come to is as it was the time before', () => {
    const worn = lastWorn(fitted, [event(0), event(0.1, { stepId: second.id }), event(500)]);
    expect(worn.steps.slice(0, 2).map(({ done }) => done?.at)).toEqual([at(500), at(0.1)]);
    expect(worn.steps.slice(2)).toEqual(fitted.steps.slice(2));
  });

  test('taken back at a later sitting it is taken back there alone; never done it keeps what was said', () => {
    expect(done([event(0), event(500), event(500.1, { kind: 'undone' })])).toMatchObject({
      ticked: true,
      at: at(0),
    });
    expect(done([said(0, calmer), said(500, more)])).toMatchObject({
      ticked: false,
      deviations: [calmer, more],
    });
    expect(done([])).toBeUndefined();
  });
});
