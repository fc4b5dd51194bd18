import fc from 'fast-check';
import { PLAIN_FEATURES, type Features } from '../face';
import {
  mindedNow,
  PATCH_RESULTS,
  patchMinded,
  patchSpeaksAgainst,
  patchState,
  type PatchMinded,
  type PatchResult,
  type PatchTest,
} from '.';

const LAID = '2031-05-10T10:00:00Z';
const TODAY = '2031-05-12';
const after = (hours: number): Date => new Date(Date.parse(LAID) + hours * 3_600_000);
const read = (hours: number, result: PatchResult) => ({
  at: after(hours).toISOString(),
  by: 'Ada',
  result,
  note: '',
});
const laid = (...readings: PatchTest['readings']): PatchTest => ({
  id: '0190a000-0000-7000-8000-000000000001',
  clientId: '0190a000-0000-7000-8000-000000000002',
  productId: '0190a000-0000-7000-8000-000000000003',
  product: 'Glue',
  unitId: null,
  place: 'inner arm',
  plannedFor: '2031-05-10',
  laidAt: LAID,
  readings,
  note: '',
});
const planned = (plannedFor: string): PatchTest => ({ ...laid(), laidAt: null, plannedFor });
const stateAt = (test: PatchTest, hours: number) => patchState(test, after(hours), TODAY);

test.each([
  ['2031-05-11', true],
  ['2031-05-12', false],
  ['2031-05-13', false],
])('planned for %s and not laid on the 12th is late: %s', (day, late) =>
  expect(patchState(planned(day), after(0), TODAY)).toEqual({ is: 'planned', late }),
);

test.each<[string, PatchTest, number, object]>([
  ['just laid', laid(), 0, { is: 'laid', dueAt: after(24), late: false }],
  ['a minute before it is due', laid(), 24 - 1 / 60, { is: 'laid', dueAt: after(24), late: false }],
  ['when it is due', laid(), 24, { is: 'laid', dueAt: after(24), late: true }],
  ['read too early', laid(read(19.9, 'clear')), 20, { is: 'laid', dueAt: after(24), late: false }],
  ['read early enough', laid(read(20, 'clear')), 21, { is: 'clear so far', dueAt: after(48), late: false }],
  ['clear at 24 hours', laid(read(24, 'clear')), 30, { is: 'clear so far', dueAt: after(48), late: false }],
  ['not read again', laid(read(24, 'clear')), 50, { is: 'clear so far', dueAt: after(48), late: true }],
  [
    'too early for the second',
    laid(read(24, 'clear'), read(43.9, 'clear')),
    44,
    { is: 'clear so far', dueAt: after(48), late: false },
  ],
  ['clear at 44 hours', laid(read(24, 'clear'), read(44, 'clear')), 45, { is: 'clear' }],
  ['read only at 48 hours', laid(read(48, 'clear')), 50, { is: 'clear' }],
  ['unsure', laid(read(24, 'unsure')), 30, { is: 'unsure' }],
  ['unsure, then clear at 48', laid(read(24, 'unsure'), read(48, 'clear')), 50, { is: 'clear' }],
  ['clear, then unsure', laid(read(24, 'clear'), read(48, 'unsure')), 50, { is: 'unsure' }],
  ['reacted at once', laid(read(0.5, 'reacted')), 1, { is: 'reacted' }],
  ['reacted, then clear', laid(read(24, 'reacted'), read(48, 'clear')), 60, { is: 'reacted' }],
])('%s', (_, test, hours, state) => expect(stateAt(test, hours)).toEqual(state));

const readings = fc.array(
  fc.record({
    hours: fc.double({ min: 0, max: 100, noNaN: true }),
    result: fc.constantFrom(...PATCH_RESULTS),
  }),
  { maxLength: 6 },
);

test('a reaction stands whatever else was read, in any order, and nothing unread or early is ever clear', () => {
  fc.assert(
    fc.property(readings, fc.double({ min: 0, max: 200, noNaN: true }), (all, now) => {
      const test = laid(...all.map(({ hours, result }) => read(hours, result)));
      const { is } = stateAt(test, now);
      expect(is).toBe(stateAt({ ...test, readings: [...test.readings].reverse() }, now).is);
      if (all.some(({ result }) => result === 'reacted')) return expect(is).toBe('reacted');
      // A second way: the longest clear hour that nothing unsure came after.
      const latest = Math.max(...test.readings.map(({ at }) => Date.parse(at)));
      const ending = test.readings.filter(({ at }) => Date.parse(at) === latest);
      const hours = (latest - Date.parse(LAID)) / 3_600_000;
      if (is === 'clear')
        expect([ending.every(({ result }) => result === 'clear'), hours >= 44]).toEqual([true, true]);
      if (ending.some(({ result }) => result === 'unsure')) expect(is).toBe('unsure');
      if (is === 'laid') expect(ending.length === 0 || hours < 20).toBe(true);
    }),
  );
});

test('of a product tested twice the later test counts, but a reaction stands; who was not tested is not told of', () => {
  const first = { ...laid(read(48, 'reacted')), id: 'a', plannedFor: '2031-01-01' };
  const second = { ...laid(read(48, 'clear')), id: 'b', plannedFor: '2031-05-10' };
  const verdict = (...tests: PatchTest[]) =>
    patchMinded(tests, after(50), TODAY).map((one) => [one.verdict, one.on]);
  expect(verdict(second, first)).toEqual([['reacted', '2031-01-01']]);
  expect(verdict({ ...first, readings: [read(24, 'unsure')] }, second)).toEqual([['clear', '2031-05-10']]);
  expect(verdict(second, { ...planned('2031-06-01'), id: 'c' })).toEqual([['missing', '2031-06-01']]);
  expect(patchMinded([], after(0), TODAY)).toEqual([]);
});

test.each([
  ['reacted', /reacted in the patch test of 2031-05-10/],
  ['unsure', /was not clear/],
  ['missing', /without a result/],
  ['clear so far', null],
  ['clear', null],
] as const)('%s speaks against it: %s', (verdict, says) => {
  const minded: PatchMinded[] = [{ productId: 'x', product: 'Glue', verdict, on: '2031-05-10' }];
  const against = patchSpeaksAgainst(minded, 'x');
  if (says) expect(against).toMatch(says);
  else expect(against).toBeNull();
  expect(patchSpeaksAgainst(minded, 'y')).toBeNull();
  expect(patchSpeaksAgainst(undefined, 'x')).toBeNull();
});

describe('what is noted after a chart was written', () => {
  const features = PLAIN_FEATURES;
  const chart = { client: { sensitivities: ['latex'], name: 'Someone', features }, steps: [] };
  const old: PatchMinded = { productId: 'x', product: 'Glue', verdict: 'missing', on: '2031-05-10' };

  test('is minded when it is worked; what was minded stays, and nothing new changes nothing', () => {
    const noted = { sensitivities: ['mica', 'latex'], patchTests: [], features };
    expect(mindedNow(chart, noted).client).toEqual({
      sensitivities: ['latex', 'mica'],
      name: 'Someone',
      features,
    });
    expect(mindedNow(chart, { ...noted, sensitivities: [] }).client.sensitivities).toEqual(['latex']);
    expect(mindedNow(chart, { ...noted, sensitivities: ['latex'] })).toBe(chart);
  });

  test.each<[string, Partial<Features>]>([
    ['lenses', { lenses: true }],
    ['a tremor', { headTremor: true }],
    ['lash extensions', { lashes: 'extensions' }],
    ['that it is a child', { age: 'child' }],
  ])('%s that came since are minded, and once minded are not dropped', (_what, came) => {
    const now = { sensitivities: ['latex'], patchTests: [], features: { ...features, ...came } };
    const minded = mindedNow(chart, now);
    expect(minded.client.features).toEqual({ ...features, ...came });
    expect(mindedNow(minded, { ...now, features })).toBe(minded);
    // Of the rest of a face a chart keeps what it was made for.
    const otherwise: Features = { ...features, hair: 'curls', lashes: 'full' };
    expect(mindedNow(chart, { ...now, features: otherwise })).toBe(chart);
  });

  test('a test counts by what it says now, and one only the chart knows of is kept', () => {
    const made = { ...chart, client: { ...chart.client, patchTests: [old] } };
    const now: PatchMinded = { ...old, verdict: 'clear' };
    const other: PatchMinded = { ...old, productId: 'y' };
    const minds = (patchTests: PatchMinded[]) => mindedNow(made, { sensitivities: [], patchTests, features });
    expect(minds([now]).client.patchTests).toEqual([now]);
    expect(minds([other]).client.patchTests).toEqual([other, old]);
    expect(minds([old])).toBe(made);
    expect(minds([])).toBe(made);
  });
});

test('what is suspected after an incident is left alone, however clear its test was; a reaction says more', () => {
  const own = laid();
  const told = [{ productId: own.productId, product: 'Glue' }];
  const incidents = [
    { on: '2031-06-01', suspected: told },
    { on: '2031-05-01', suspected: told },
  ];
  const minded = (...tests: PatchTest[]) => patchMinded(tests, after(50), TODAY, incidents);
  expect(minded()).toEqual([{ ...told[0], verdict: 'suspected', on: '2031-06-01' }]);
  expect(patchSpeaksAgainst(minded(), own.productId)).toBe('is left alone since the incident of 2031-06-01');
  for (const test of [own, laid(read(48, 'clear')), laid(read(48, 'unsure')), planned('2031-05-11')])
    expect(minded(test).map((one) => one.verdict)).toEqual(['suspected']);
  expect(minded(laid(read(24, 'reacted'))).map((one) => one.verdict)).toEqual(['reacted']);
  const other = { ...laid(read(48, 'clear')), productId: own.clientId };
  expect(minded(other).map((one) => one.verdict)).toEqual(['clear', 'suspected']);
});
