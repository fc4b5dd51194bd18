import fc from 'fast-check';
import { addDays, addMonths } from '../calendar';
import { cellName, TEXTURES, type Product } from '../kit';
import { fitLook, type Chart, type Step } from '../look';
import { client, id, kitOf, KIT, LOOK, OCCASION, product, STAMP } from '../look/look.testing';
import {
  compactFrom,
  compactNotes,
  compactProblems,
  movePanTo,
  notInPan,
  placeName,
  tinAsPalette,
  type Compact,
  type CompactPlace,
} from './compact';

const CHART: Chart = fitLook(LOOK, client(), KIT, OCCASION, STAMP).chart;
const BASE = CHART.steps[0]!;
const TODAY = '2031-05-14';
const IDS = { id: id(800), tins: Array.from({ length: 6 }, (_, i) => id(810 + i)), today: TODAY };
const ASK = { perWeek: 3, rows: 2, columns: 2, by: 'order of use' } as const;

const made = (n: number, kind: Product['kind'], L: number, more: Partial<Product> = {}): Product =>
  kitOf(product(n, kind, [L, 12, 16], { texture: 'cream', mgPerMeasure: 20, ...more })).products[0]!;
const CREAMS = {
  concealer: made(201, 'concealer', 70),
  contour: made(202, 'contour', 45, { texture: 'stick' }),
  blush: made(203, 'blush', 55),
  light: made(204, 'highlight', 80, { texture: 'pressed' }),
  lip: made(205, 'lip colour', 40),
};
const BOTTLE = made(206, 'base', 64, { texture: 'liquid' });
const MASCARA = made(207, 'mascara', 12, { texture: 'liquid', eyeSafe: true });
let n = 300;
const step = (
  title: string,
  phase: Step['phase'],
  role: Step['role'],
  ...laid: readonly (readonly [Product, number])[]
): Step => ({
  ...BASE,
  id: id(n++),
  title,
  phase,
  role,
  optional: undefined,
  variant: undefined,
  instead: undefined,
  wants: { kinds: laid.map(([one]) => one.kind) },
  use: laid.map(([one, parts]) => ({ unitId: null, product: one, parts, measure: one.measure })),
});
const STEPS = [
  step('Base', 'base', 'base', [BOTTLE, 2]),
  step('Concealer', 'conceal', 'conceal', [CREAMS.concealer, 1]),
  step('Contour', 'sculpt', 'contour', [CREAMS.contour, 1]),
  step('Cheek', 'sculpt', 'blush', [CREAMS.blush, 2], [CREAMS.lip, 1]),
  step('Light', 'sculpt', 'highlight', [CREAMS.light, 1]),
  step('Lashes', 'lashes', 'lash', [MASCARA, 1]),
  step('Lip', 'lips', 'lip', [CREAMS.lip, 1.5]),
];
const HOME: Chart = { ...CHART, steps: STEPS };
const ALL = STEPS.map(({ id: stepId }) => stepId);
const put = (more: Partial<Parameters<typeof compactFrom>[2]> = {}, stepIds = ALL) =>
  compactFrom(HOME, stepIds, { ...ASK, ...more }, IDS);
const laid = (compact: Compact) => compact.tins.flatMap(({ pans }) => pans.map(({ productId }) => productId));
const places = (compact: Compact): CompactPlace[] =>
  compact.tins.flatMap(({ rows, columns }, tin) =>
    Array.from({ length: rows * columns }, (_, i) => ({
      tin,
      row: Math.floor(i / columns),
      column: i % columns,
    })),
  );

test.each(TEXTURES.map((texture) => [texture, ['cream', 'stick', 'pressed'].includes(texture)] as const))(
  'what is %s goes in a pan: %p',
  (texture, goes) => {
    expect(notInPan({ kind: 'blush', texture }) === null).toBe(goes);
    for (const kind of ['mascara', 'lashes', 'spray', 'prep', 'primer'] as const)
      expect(notInPan({ kind, texture })).not.toBeNull();
  },
);

describe('put together', () => {
  test('in order of use: every pan once, tins filled row by row, the bottle and the tube beside', () => {
    const { compact, beside } = put();
    expect(compact.tins.map(({ pans }) => pans.length)).toEqual([4, 1]);
    expect(compact.tins[0]!.pans.map((pan) => cellName(pan))).toEqual(['A1', 'A2', 'B1', 'B2']);
    expect(new Set(laid(compact)).size).toBe(5);
    expect(laid(compact)[0]).toBe(CREAMS.concealer.id);
    expect(beside.map(({ why }) => why)).toEqual([
      'in its bottle',
      'a tube of its own, thrown away after three months or when the maker says',
    ]);
    expect(compactProblems(compact, HOME)).toEqual([]);
  });
  test('light to dark: by lightness', () => {
    const lightness = laid(put({ by: 'light to dark' }).compact).map(
      (productId) => Object.values(CREAMS).find((one) => one.id === productId)!.lab![0],
    );
    expect(lightness).toEqual([80, 70, 55, 45, 40]);
  });
  test('only what the kept steps lay; tins as large as are asked for; what has no place is said', () => {
    const some = put({}, [ALL[1]!, ALL[6]!]).compact;
    expect(laid(some).sort()).toEqual([CREAMS.concealer.id, CREAMS.lip.id].sort());
    expect(put({ rows: 3, columns: 3 }).compact.tins).toHaveLength(1);
    const { compact, beside } = compactFrom(
      HOME,
      ALL,
      { ...ASK, rows: 1, columns: 1 },
      { ...IDS, tins: IDS.tins.slice(0, 3) },
    );
    expect(compact.tins).toHaveLength(3);
    expect(compact.fills.map(({ productId }) => productId)).toEqual(laid(compact));
    expect(beside.filter(({ why }) => why.startsWith('there is no place left'))).toHaveLength(2);
  });
  test('what is in the purse already stays there, and no pan is filled with it', () => {
    const { compact, beside } = put({ has: [CREAMS.blush.id, CREAMS.light.id, BOTTLE.id] });
    expect(laid(compact)).toHaveLength(3);
    expect(beside.filter(({ why }) => why === 'in the purse already')).toHaveLength(3);
    expect(compact.fills.map(({ productId }) => productId).sort()).toEqual([...laid(compact)].sort());
    // A mix with what is in the purse is told by its name.
    expect(compactNotes(compact, HOME).mixes[0]).toMatch(/^Cheek: 2 of Ordway .* with 1 of [AB]\d$/);
  });
  test('nothing that goes in a pan: one empty tin, all of it beside', () => {
    const { compact, beside } = put({}, [ALL[0]!]);
    expect(compact.tins.map(({ pans }) => pans)).toEqual([[]]);
    expect(beside).toHaveLength(1);
  });
});

describe('moved about', () => {
  const compact = put().compact;
  const place = fc.constantFrom(...places(compact));
  test('nothing is lost, doubled or laid on another; one move back is as before', () => {
    fc.assert(
      fc.property(fc.array(fc.tuple(place, place), { maxLength: 20 }), (moves) => {
        const after = moves.reduce((now, [from, to]) => movePanTo(now, from, to), compact);
        return (
          compactProblems(after, HOME).length === 0 &&
          [...laid(after)].sort().join() === [...laid(compact)].sort().join()
        );
      }),
      { numRuns: 200 },
    );
    fc.assert(
      fc.property(place, place, (from, to) => {
        const there = movePanTo(compact, from, to);
        const again = there === compact ? compact : movePanTo(there, to, from);
        const whole = (one: Compact) =>
          one.tins.map(({ pans }) => [...pans].sort((a, b) => a.row - b.row || a.column - b.column));
        expect(whole(again)).toEqual(whole(compact));
      }),
    );
  });
  test('from an empty place, or to one that is not there: unchanged', () => {
    expect(movePanTo(compact, { tin: 1, row: 1, column: 1 }, { tin: 0, row: 0, column: 0 })).toBe(compact);
    for (const to of [
      { tin: 0, row: 2, column: 0 },
      { tin: 0, row: 0, column: -1 },
      { tin: 2, row: 0, column: 0 },
    ])
      expect(movePanTo(compact, { tin: 0, row: 0, column: 0 }, to)).toBe(compact);
  });
  test('places are named by their tin where there are several', () => {
    const at = { tin: 1, row: 1, column: 0 };
    expect(placeName(compact, at)).toBe('2·B1');
    expect(placeName({ tins: [compact.tins[0]!] }, { ...at, tin: 0 })).toBe('B1');
    expect(tinAsPalette(compact, 1).name).toMatch(/, tin 2$/);
  });
});

describe('what is wrong with one', () => {
  const compact = put().compact;
  const first = compact.tins[0]!;
  const withTin = (more: Partial<Compact['tins'][number]>): Compact => ({
    ...compact,
    tins: [{ ...first, ...more }, ...compact.tins.slice(1)],
  });
  test.each<readonly [string, Compact, RegExp]>([
    ['a foreign pan', withTin({ pans: [{ row: 0, column: 0, productId: id(999) }] }), /none of these steps/],
    ['a foreign step', { ...compact, stepIds: [...compact.stepIds, id(998)] }, /not one of this version/],
    [
      'two in a place',
      withTin({ pans: [first.pans[0]!, { ...first.pans[1]!, row: 0, column: 0 }] }),
      /holds two pans/,
    ],
    ['outside', withTin({ rows: 1 }), /outside/],
    ['in two tins', withTin({ pans: compact.tins[1]!.pans }), /two pans/],
    ['two tins of one id', withTin({ id: compact.tins[1]!.id }), /one id/],
  ])('%s', (_, wrong, says) => expect(compactProblems(wrong, HOME).join('; ')).toMatch(says));
});

describe('what there is to know', () => {
  const { compact } = put();
  const notes = compactNotes(compact, HOME);
  const panOf = (one: Product, of = notes) => of.pans.find(({ product: p }) => p.id === one.id)!;
  test('each pan: what it is for, all its steps, and when it is used up, counted by hand', () => {
    expect(panOf(CREAMS.lip).steps).toEqual(['Cheek', 'Lip']);
    // (1 + 1.5) measures of 20 mg, three times a week, out of 2,000 mg.
    expect(panOf(CREAMS.lip).mgPerWeek).toBe(150);
    expect(panOf(CREAMS.lip)).toMatchObject({
      refillOn: addDays(TODAY, Math.floor((2000 / 150) * 7)),
      because: 'used up',
    });
    expect(panOf(CREAMS.light).refillOn).toBe(addDays(TODAY, Math.floor((1500 / 60) * 7)));
    expect(notes.pans.map(({ called }) => called)).toEqual([
      ...new Set(notes.pans.map(({ called }) => called)),
    ]);
  });
  test('the months it keeps end it where they come first, and only then', () => {
    const months = new Map([
      [CREAMS.lip.id, 2],
      [CREAMS.light.id, 24],
    ]);
    const kept = compactNotes(compact, HOME, months);
    expect(panOf(CREAMS.lip, kept)).toMatchObject({ refillOn: '2031-07-14', because: 'past its time' });
    expect(panOf(CREAMS.light, kept).because).toBe('used up');
  });
  test('of what nobody said when it was filled nothing is known, and what is laid on by none lasts its months', () => {
    const months = new Map([[CREAMS.lip.id, 2]]);
    expect(panOf(CREAMS.lip, compactNotes({ ...compact, fills: [] }, HOME, months))).toMatchObject({
      refillOn: null,
      because: null,
    });
    const unused = {
      ...HOME,
      steps: HOME.steps.map((one) => ({ ...one, use: one.use.map((use) => ({ ...use, parts: 0 })) })),
    };
    expect(panOf(CREAMS.lip, compactNotes(compact, unused))).toMatchObject({ mgPerWeek: 0, refillOn: null });
    expect(panOf(CREAMS.lip, compactNotes(compact, unused, months))).toMatchObject({
      refillOn: '2031-07-14',
      because: 'past its time',
    });
  });
  test('used up on the very day it is past its time, it is used up', () => {
    const filled = (on: string) => ({
      ...compact,
      fills: compact.fills.map((fill) => (fill.productId === CREAMS.light.id ? { ...fill, on } : fill)),
    });
    for (const on of [TODAY, '2031-06-01']) {
      const months = new Map([[CREAMS.light.id, 6]]);
      const note = panOf(CREAMS.light, compactNotes(filled(on), HOME, months));
      const end = addMonths(on, 6);
      const out = addDays(on, Math.floor((1500 / 60) * 7));
      expect(note.refillOn).toBe(end < out ? end : out);
      expect(note.because).toBe(end < out ? 'past its time' : 'used up');
    }
  });
  test('twice as often is half as long', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 10 }), (perWeek) => {
        const day = (often: number) =>
          Date.parse(panOf(CREAMS.blush, compactNotes({ ...compact, perWeek: often }, HOME)).refillOn!) /
          86_400_000;
        const from = Date.parse(TODAY) / 86_400_000;
        return Math.abs((day(perWeek) - from) / 2 - (day(2 * perWeek) - from)) <= 1;
      }),
    );
  });
  test('a mix is a note by its pans; creams may be stirred up once, a bottle in it is named', () => {
    const [lip, blush] = [panOf(CREAMS.lip).called, panOf(CREAMS.blush).called];
    expect(notes.mixes).toEqual([
      `Cheek: 2 of ${blush} with 1 of ${lip}; stirred up once and kept in a pan of its own it is the same every day`,
    ]);
    const mixed: Chart = {
      ...HOME,
      steps: [...STEPS.slice(1), step('Base', 'base', 'base', [BOTTLE, 3], [CREAMS.concealer, 2])],
    };
    const steps = mixed.steps.map(({ id: stepId }) => stepId);
    const other = compactFrom(mixed, steps, ASK, IDS).compact;
    const said = compactNotes(other, mixed).mixes.find((words) => words.startsWith('Base'))!;
    expect(said).toMatch(/^Base: 1\.5 of Ordway .* with 1 of /);
    expect(said).not.toContain('stirred');
  });
  test('what was taken out of its tin stands beside, and no word is of health or contact', () => {
    const fewer: Compact = {
      ...compact,
      tins: [{ ...compact.tins[0]!, pans: compact.tins[0]!.pans.slice(1) }],
    };
    expect(compactNotes(fewer, HOME).beside.map(({ why }) => why)).toContain('not put in a tin');
    const health: Chart = {
      ...HOME,
      client: { ...HOME.client, sensitivities: ['lanolin of her own words'] },
      steps: HOME.steps.map((one) => ({ ...one, note: 'secret note' })),
    };
    const all = JSON.stringify({ ...compactNotes(compact, health), compact });
    expect(all).not.toMatch(/lanolin of her own|secret note/);
  });
});
