import { clock } from '../calendar';
import type { GUIDE_NAMES } from '../face';
import { fitLook, type Chart } from '../look';
import { snapshotOf } from '../kit';
import { client, id, KIT, LOOK, OCCASION, product, STAMP } from '../look/look.testing';
import { TRIAL_ZONES } from './measures';
import { chartOutlook, touchUpDue, touchUpLines, touchUpPlan, touchUpWhen } from './touchUpPlan';
import { worthTouchUps } from './touchUpTimes';
import { wearOutlook } from './outlook';
import { wornByZone } from './wearCheck';
import type { WearGroup } from './wearGroups';

type GuideName = (typeof GUIDE_NAMES)[number];
const BASED = fitLook(LOOK, client(), KIT, OCCASION, STAMP).chart;
const LIP: Chart['steps'][number] = {
  ...BASED.steps[0]!,
  id: id(290),
  role: 'lip',
  placements: [{ guide: 'lips', side: 'both' }],
  use: [
    {
      product: snapshotOf(product(90, 'lip colour', [45, 40, 20])),
      unitId: null,
      parts: 1,
      measure: 'swipe',
    },
  ],
};
const POWDER: Chart['steps'][number] = {
  ...LIP,
  id: id(291),
  role: 'powder',
  placements: [{ guide: 'tZonePowder', side: 'both' }],
  use: [{ ...LIP.use[0]!, product: snapshotOf(product(91, 'powder', [80, 4, 12])) }],
};
const FITTED: Chart = { ...BASED, steps: [...BASED.steps, LIP] };
const day = (hoursToLast: number, begins?: string): Chart => ({
  ...FITTED,
  occasion: { ...FITTED.occasion, hoursToLast, begins },
});
const planOf = (chart: Chart, wears: readonly WearGroup[]) => touchUpPlan(chart, chartOutlook(chart, wears));
const worn = wornByZone(FITTED);
/** So many wears in which a zone was gone between two hours. */
const gone = (zone: 'nose' | 'mouth', good: number, bad: number | null, count = 30): WearGroup => ({
  zone,
  worn: worn[zone] ?? '',
  own: false,
  skin: null,
  climate: null,
  good,
  bad,
  count,
  weight: count,
});

test.each([2, 4, 6, 8, 10, 12, 16])(
  'on a day of %d hours the visits are those of the exact search, in its hours',
  (hours) => {
    const chart = day(hours);
    const { visits } = planOf(chart, []);
    const outlook = wearOutlook([], { worn }, hours);
    const allowed = Array.from({ length: (hours * 60) / 15 }, (_, i) => (i + 1) * 15);
    const zones = outlook.map(({ zone, curve }) => ({ zone, curve, weight: 1 / outlook.length }));
    const { atMinutes } = worthTouchUps(zones, hours * 60, allowed, { costMinutes: 10, most: 3 });
    expect(visits.map(({ minutes }) => minutes)).toEqual(atMinutes);
    expect(visits.length).toBeLessThanOrEqual(3);
    for (const visit of visits) {
      expect(visit.minutes > 0 && visit.minutes <= hours * 60).toBe(true);
      expect(visit.zones.length).toBeGreaterThan(0);
      expect(visit.does).toHaveLength(visit.zones.length);
      for (const words of visit.does) expect(words).toMatch(/^[A-Z].*\.$/);
    }
  },
);

test('where it has a beginning it is by the clock, past midnight too; where it has none, by hours on', () => {
  expect(touchUpWhen(planOf(day(12), []))).toMatch(/^Touch up (once|twice|3 times): \d+ h( \d\d min)? on/);
  expect(touchUpWhen(planOf(day(12, '09:00'), []))).toMatch(/^Touch up (once|twice|3 times): 1\d:\d\d/);
  expect(touchUpWhen(planOf(day(12, '21:00'), []))).toMatch(/: (0\d|2[0-3]):\d\d/);
});

test('what holds anyway is not touched up, and then nothing is carried; with nothing on the skin there is no plan', () => {
  const holding = TRIAL_ZONES.flatMap((zone): WearGroup[] =>
    worn[zone]
      ? [
          {
            zone,
            worn: worn[zone],
            own: false,
            skin: null,
            climate: null,
            good: 12,
            bad: null,
            count: 60,
            weight: 60,
          },
        ]
      : [],
  );
  const held = planOf(day(4), holding);
  expect(held).toEqual({ visits: [], bag: [] });
  expect(touchUpWhen(held)).toBe('No touch-up is worth its minutes.');
  expect(planOf({ ...day(12), steps: [] }, [])).toEqual({ visits: [], bag: [] });
});

test('the zone the studio saw go first is named first, and its product is carried', () => {
  for (const [zone, words] of [
    ['nose', /^Nose: blot,/],
    ['mouth', /^Mouth: blot,/],
  ] as const) {
    const other = zone === 'nose' ? 'mouth' : 'nose';
    const { visits } = planOf(day(10), [gone(zone, 1, 2), gone(other, 12, null)]);
    expect(visits[0]!.zones[0]).toBe(zone);
    expect(visits[0]!.does[0]).toMatch(words);
    // What goes early is seen to before what goes late.
    expect(visits[0]!.minutes).toBeLessThanOrEqual(
      planOf(day(10), [gone(zone, 8, 10)]).visits[0]?.minutes ?? 600,
    );
  }
});

test('what is carried is of the chart itself, once each, with tissues and a clean puff; no health word is in it', () => {
  const chart: Chart = { ...day(12), client: { ...FITTED.client, sensitivities: ['lanolin'] } };
  const plan = planOf({ ...chart, steps: [...BASED.steps, POWDER] }, []);
  expect(plan.bag).toEqual(expect.arrayContaining(['blotting sheets', 'tissues', 'a clean puff']));
  expect(new Set(plan.bag).size).toBe(plan.bag.length);
  // A puff is for powder: where none is carried, or only the mouth is seen to, there is none.
  expect(planOf({ ...chart, steps: BASED.steps }, []).bag).not.toContain('a clean puff');
  const mouth = planOf({ ...day(12), steps: [LIP] }, []);
  expect(new Set(mouth.visits.flatMap(({ zones }) => zones))).toEqual(new Set(['mouth']));
  expect(mouth.bag).toEqual(expect.arrayContaining(['blotting sheets', 'tissues']));
  expect(mouth.bag).not.toContain('a clean puff');
  expect(JSON.stringify(plan)).not.toMatch(/lanolin/);
});

test('what every visit asks alike is said once, what differs by its hour; nothing of it is lost', () => {
  const visit = (minutes: number, ...does: string[]) => ({
    minutes,
    at: minutes === 180 ? null : '17:30',
    zones: [],
    does,
  });
  expect(touchUpLines({ visits: [], bag: [] })).toEqual([]);
  expect(touchUpLines({ visits: [visit(180, 'Nose: blot.')], bag: [] })).toEqual(['Nose: blot.']);
  expect(touchUpLines({ visits: [visit(180, 'Nose: blot.'), visit(300, 'Nose: blot.')], bag: [] })).toEqual([
    'Each time: Nose: blot.',
  ]);
  expect(
    touchUpLines({ visits: [visit(180, 'Nose: blot.'), visit(300, 'Nose: blot.', 'Mouth: dab.')], bag: [] }),
  ).toEqual(['3 h on: Nose: blot.', '17:30: Nose: blot.', '17:30: Mouth: dab.']);
});

test('at an hour that is given what is due is what holds least by then; the longer it was worn, the more, and never nothing', () => {
  const chart = day(12);
  const outlook = chartOutlook(chart, []);
  const due = (hours: number): string[] => touchUpDue(chart, outlook, hours);
  const counts = [0.5, 2, 4, 6, 8, 10].map((hours) => due(hours).length);
  expect(counts[0]).toBe(1);
  expect([...counts].sort((a, b) => a - b)).toEqual(counts);
  expect(counts.at(-1)).toBeGreaterThan(2);
  // The same as the plan's own first visit, at its own hour.
  const [first] = touchUpPlan(chart, outlook).visits;
  expect(due(first!.minutes / 60)).toEqual(first!.does);
  const early = chartOutlook(chart, [gone('nose', 0.5, 1)]);
  expect(touchUpDue(chart, early, 1)[0]).toMatch(/^Nose: /);
  expect(touchUpDue({ ...chart, steps: [] }, [], 5)).toEqual([]);
});

describe('with what lies there, and not with whatever is of its kind', () => {
  const laid = (
    n: number,
    role: Chart['steps'][number]['role'],
    kind: Parameters<typeof product>[1],
    guide: GuideName,
    more: Parameters<typeof product>[3] = {},
  ): Chart['steps'][number] => ({
    ...FITTED.steps[0]!,
    id: `0190a000-0000-7000-8000-${String(n).padStart(12, '0')}`,
    role,
    placements: [{ guide, side: 'both' }],
    use: [
      {
        unitId: null,
        parts: 1,
        measure: 'swipe',
        product: snapshotOf(product(n, kind, [60, 20, 15], { line: `Line ${n}`, ...more })),
      },
    ],
  });
  const base = laid(700, 'base', 'base', 'zone.wholeFace');
  const due = (...steps: Chart['steps'][number][]): string => duesOf({ ...day(14), steps: [base, ...steps] });
  const duesOf = (chart: Chart): string => touchUpDue(chart, chartOutlook(chart, []), 14).join(' ');

  test('a lid’s powder is none for shine; of two the one that lies there', () => {
    const lid = laid(701, 'powder', 'powder', 'zone.mobileLid');
    expect(due(lid)).toMatch(/Nose: blot, and leave it at that\./);
    const eye = laid(702, 'powder', 'powder', 'zone.underEye');
    const face = laid(703, 'powder', 'powder', 'tZonePowder');
    expect(due(lid, eye)).toMatch(/Nose: blot, then press a little Ordway Line 702/);
    expect(due(lid, eye, face)).toMatch(/Nose: blot, then press a little Ordway Line 703/);
    expect(due(lid, eye, face)).toMatch(/Chin: blot, then press a little Ordway Line 703/);
  });

  test('a concealer of spots is none for under the eyes', () => {
    const spot = laid(704, 'conceal', 'concealer', 'zone.ala');
    expect(due(spot)).toMatch(/Under the eyes: tap smooth with a clean finger, no more powder\./);
    expect(due(spot, laid(705, 'conceal', 'concealer', 'underEyeLight'))).toMatch(/a dot of Ordway Line 705/);
  });

  test('a lip colour worn as blush is the cheek’s, and what is on the lips the mouth’s', () => {
    const cheek = laid(706, 'blush', 'lip colour', 'blushFull');
    const told = due(cheek, laid(707, 'lip', 'lip colour', 'lips'));
    expect(told).toMatch(/where it has gone, Ordway Line 706/);
    expect(told).toMatch(/Mouth: blot, then Ordway Line 707/);
  });

  test('nothing the client must not have is named, nor carried', () => {
    const powder = laid(708, 'powder', 'powder', 'tZonePowder', { ingredients: ['talc', 'lanolin'] });
    const chart = { ...day(14), steps: [base, powder] };
    expect(duesOf(chart)).toMatch(/Line 708/);
    expect(JSON.stringify(planOf(chart, []))).toMatch(/Line 708/);
    const minded = { ...chart, client: { ...chart.client, sensitivities: ['lanolin'] } };
    // Neither theirs nor any other: whether it suits is not known.
    expect(duesOf(minded)).not.toMatch(/press a little/);
    expect(JSON.stringify(planOf(minded, []))).not.toMatch(/Line 708|lanolin/);
  });
});

test('an hour on is told in hours and minutes, and whoever knows when it is ready tells it by the clock', () => {
  const on = (minutes: number) =>
    touchUpWhen({ visits: [{ minutes, at: null, zones: [], does: [] }], bag: [] });
  expect([15, 60, 165, 600].map(on)).toEqual([
    'Touch up once: 15 min on.',
    'Touch up once: 1 h on.',
    'Touch up once: 2 h 45 min on.',
    'Touch up once: 10 h on.',
  ]);
  const chart = day(12, '09:00');
  const minutes = planOf(chart, []).visits.map((visit) => visit.minutes);
  for (const readyBy of [0, 9 * 60 + 5, 22 * 60 + 30]) {
    const { visits } = touchUpPlan(chart, chartOutlook(chart, []), readyBy);
    expect(visits.map(({ at }) => at)).toEqual(minutes.map((one) => clock(readyBy + one)));
  }
});
