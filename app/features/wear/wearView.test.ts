import {
  guessedCurve,
  holdChance,
  type TrialZone,
  type WearCheck,
  type ZoneOutlook,
  type WearGroup,
} from '@toile/core';
import { checkWords, heldRows, hoursWords, inZone, instantOf, weakestOf, wornSince } from './wearView';

const check = (more: Partial<WearCheck>): WearCheck => ({
  id: '0190a000-0000-7000-8000-000000000001',
  chartId: 'chart',
  version: 1,
  clientId: 'ada',
  appliedAt: '2031-05-14T08:00:00Z',
  at: '2031-05-14T12:30:00Z',
  judge: 'artist',
  by: 'Runa',
  zones: {},
  touched: [],
  marks: [],
  stings: false,
  worn: {},
  ...more,
});

test.each<[Partial<WearCheck>, string]>([
  [{ zones: { nose: 'holds', cheek: 'holds' } }, 'holds'],
  [{ zones: { nose: 'starting', cheek: 'holds' } }, 'nose starting; the rest holds'],
  [{ zones: { nose: 'needs a touch-up', mouth: 'starting' } }, 'nose needs a touch-up, mouth starting'],
  [{ touched: ['mouth', 'nose'] }, 'touched up: mouth, nose'],
  [{ zones: { chin: 'holds' }, marks: ['meal', 'tears'] }, 'holds; meal, tears'],
  [{ stings: true }, '▲ stings'],
])('%j reads %s', (more, words) => expect(checkWords(check(more))).toBe(words));
test('hours are since it was put on', () => expect(hoursWords(check({}))).toBe('4.5 h'));

const outlook = (zone: TrialZone, median: number, hours: number): ZoneOutlook => {
  const curve = guessedCurve(median, 20);
  return {
    zone,
    curve,
    holds: holdChance(curve, hours),
    setting: { skin: null, climate: null },
    alike: 12,
    own: 0,
    product: 12,
    all: 12,
  };
};

test.each<[string, readonly string[], string | null, string | null]>([
  ['nothing known', [], null, null],
  ['ticked this morning', [], '2031-05-14T08:00:00Z', '2031-05-14T08:00:00Z'],
  ['ticked last week', [], '2031-05-07T08:00:00Z', null],
  [
    'told of this day, ticked before',
    ['2031-05-14T09:00:00Z'],
    '2031-05-14T08:00:00Z',
    '2031-05-14T09:00:00Z',
  ],
  [
    'ticked anew after what was told',
    ['2031-05-13T09:00:00Z'],
    '2031-05-14T08:00:00Z',
    '2031-05-14T08:00:00Z',
  ],
  ['still to come', ['2031-05-15T09:00:00Z'], null, null],
])('worn since: %s', (_, told, tick, since) =>
  expect(
    wornSince(
      { checks: told.map((appliedAt) => check({ appliedAt })), lastTickAt: tick },
      new Date('2031-05-14T13:00:00Z'),
    ),
  ).toBe(since),
);

test('the weakest zone speaks; of nothing nothing does', () => {
  expect(weakestOf([outlook('cheek', 12, 8), outlook('nose', 5, 8), outlook('chin', 9, 8)])?.zone).toBe(
    'nose',
  );
  expect(weakestOf([])).toBeNull();
});

test('a time of a day is of the studio’s zone, there and back, on the night the clocks change too', () => {
  for (const date of ['2031-05-14', '2031-03-30', '2031-10-26'])
    for (const time of ['00:30', '09:05', '13:59', '23:59']) {
      const instant = instantOf('Europe/Lisbon', date, time);
      expect(inZone('Europe/Lisbon', new Date(instant!), date)).toBe(time);
    }
  expect(instantOf('Europe/Lisbon', '2031-05-14', '')).toBeNull();
  expect(instantOf('Europe/Lisbon', 'soon', '09:00')).toBeNull();
});

test('every product in every place it was looked at is a row, the most looked-at first', () => {
  const wear = (zone: TrialZone, worn: string | null, count: number, bad: number | null): WearGroup => ({
    zone,
    worn,
    own: false,
    skin: null,
    climate: null,
    good: 4,
    bad,
    count,
    weight: count,
  });
  const rows = heldRows(
    [
      wear('nose', 'Veil', 2, 6),
      wear('nose', 'Gauze', 1, null),
      wear('mouth', 'Kiss', 1, null),
      wear('chin', null, 1, null),
    ],
    8,
  );
  expect(rows.map(({ zone, worn, wears }) => [zone, worn, wears])).toEqual([
    ['nose', 'Veil', 2],
    ['nose', 'Gauze', 1],
    ['mouth', 'Kiss', 1],
  ]);
  expect(rows[0]!.outlook.holds.mean).toBeLessThan(rows[1]!.outlook.holds.mean);
});

test('asked of some skin and some days, a row counts what was worn there and is as sure as that', () => {
  const wear = (skin: WearGroup['skin'], climate: WearGroup['climate'], bad: number | null): WearGroup => ({
    zone: 'nose',
    worn: 'Veil',
    own: false,
    skin,
    climate,
    good: bad === null ? 10 : 2,
    bad,
    count: 6,
    weight: 6,
  });
  const history = [wear('oily', 'hot', 4), wear('dry', 'mild', null), wear('dry', 'hot', null)];
  const asked = (skin: WearGroup['skin'], climate: WearGroup['climate']): [number, number] => {
    const [row] = heldRows(history, 8, { skin, climate });
    return [row!.wears, row!.outlook.holds.mean];
  };
  expect(asked(null, null)[0]).toBe(18);
  expect(asked('dry', null)[0]).toBe(12);
  expect(asked('dry', 'mild')[0]).toBe(6);
  expect(asked('normal', 'wet')[0]).toBe(0);
  expect(asked(null, 'hot')[0]).toBe(12);
  expect(asked('oily', 'hot')[1]).toBeLessThan(0.5);
  expect(asked('dry', 'hot')[1]).toBeGreaterThan(0.7);
});
