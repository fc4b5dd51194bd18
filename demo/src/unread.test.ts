import {
  colourDrawn,
  depthOf,
  skinTarget,
  chartSheet,
  colourSeries,
  fitLook,
  inferLandmarks,
  matchShades,
  PLAIN_FEATURES,
  readChart,
  readKitCsv,
  reviewChart,
  sculptShades,
  skinByZone,
  substitute,
  usualOccasion,
  withOwnKit,
  writeChart,
  type ClientSnapshot,
  type FittedLook,
  type Kit,
  type Lab,
  type Product,
  type SheetOp,
} from '@toile/core';
import { KITS } from './corpus/ground';
import { idFor } from './ids';
import { skinAt } from './products';
import { STARTER_LOOKS } from './starterLooks';

// A kit as a first list has it: names and kinds, no colours. What is not read is not known, on whomever.
const LIST = `Brand,Product name,Shade,Category
A,Day Cream,clear,Moisturiser
A,Grip,clear,Primer
B,True Base,1N,Foundation
B,True Base,4N,Foundation
B,True Base,7N,Foundation
B,True Base,10W,Foundation
B,Hide,2,Concealer
B,Hide,5,Concealer
B,Peach,medium,Colour corrector
C,Fine,translucent,Setting powder
C,Shape,medium,Contour
C,Sun,1,Bronzer
C,Flush,peony,Blusher
C,Flush Cream,rose,Cream blush
C,Gleam,champagne,Highlighter
D,Brow,brown,Brow pencil
D,Lid,taupe,Eyeshadow
D,Lid,espresso,Eyeshadow
D,Line,black,Eyeliner
D,Long,black,Mascara
D,Strip,natural,False lashes
E,Edge,nude,Lip liner
E,Kiss,rose,Lipstick
E,Kiss,berry,Lipstick
F,Hold,clear,Setting spray`;
const kitOf = (list: string): Kit => {
  const rows = readKitCsv(list, { owned: true }).rows;
  expect(rows.flatMap((row) => row.problems)).toEqual([]);
  return {
    products: rows.map(({ product }, i): Product => ({ ...product!, id: idFor(`unread ${i}`) })),
    units: rows.map(({ unit }, i) => ({ ...unit!, id: idFor(`unit ${i}`), productId: idFor(`unread ${i}`) })),
  };
};
const UNREAD = kitOf(LIST);
/** How much is drawn on a sheet, in its parts. */
const drawn = (ops: readonly SheetOp[]): number =>
  ops.reduce((sum, op) => sum + (op.op === 'part' || op.op === 'group' ? drawn(op.ops) : 1), 0);
const AS_SKIN = ['base', 'concealer', 'corrector'];
const DEPTHS = [3, 6.5, 9, 12, 15, 18, 21];

/** One face for all skins: what is placed on it is worked out once. */
const FACE = inferLandmarks({});
const someone = (depth: number): ClientSnapshot => {
  const [L, a, b] = skinAt(depth, 'neutral');
  return {
    id: idFor('unread client'),
    name: 'Someone',
    landmarks: FACE,
    features: PLAIN_FEATURES,
    skin: skinByZone([L, a + 2, b - 0.8] as Lab),
    readingId: null,
    sensitivities: [],
  };
};
const STAMP = { id: idFor('unread chart'), author: 'Ada', at: '2031-05-01T09:00:00Z', reason: '' };
const fitted = (look: (typeof STARTER_LOOKS)[number], depth: number, kit: Kit): FittedLook =>
  fitLook(look, someone(depth), kit, usualOccasion('wedding', '2031-05-14'), STAMP);

test('no base, concealer or corrector whose colour nobody has read is put on anybody', () => {
  for (const look of STARTER_LOOKS)
    for (const depth of DEPTHS) {
      const { chart, gaps, proposals, notes } = fitted(look, depth, UNREAD);
      const bound = chart.steps.flatMap(({ use }) => use.map(({ product }) => product.kind));
      expect([look.name, depth, bound.filter((kind) => AS_SKIN.includes(kind))]).toEqual([
        look.name,
        depth,
        [],
      ]);
      for (const step of chart.steps.filter(({ wants }) => wants.kinds.includes('base'))) {
        expect(gaps[step.id]!.words).toBe(
          `${step.title}: none of 4 at hand has its colour read, so nobody can say what suits. Read their pans, or choose by eye.`,
        );
        // An eye may choose: all of them are there to be taken.
        expect(proposals[step.id]!.length).toBe(4);
        for (const { reasons } of proposals[step.id]!) expect(reasons).toContain('its colour is not read');
      }
      // Once for all of it beside the chart, with how many wait.
      const [told, ...again] = notes.filter((note) => /no colour read/.test(note));
      expect(again).toEqual([]);
      for (const { title } of chart.steps.filter(({ id }) => (gaps[id]?.unread ?? 0) > 0))
        expect(told!.toLowerCase()).toContain(`${title.toLowerCase()} (`);
      // What is empty is said, not passed over.
      const said = reviewChart(chart, UNREAD).filter(({ rule }) => rule === 'no-product');
      expect(said.length).toBeGreaterThan(0);
    }
});

test('of several that are to be a colour none is taken by the order of the list; the only one is, and says so', () => {
  const several = fitted(STARTER_LOOKS[0]!, 12, UNREAD);
  const bound = (fit: FittedLook, kind: string): readonly string[] => [
    ...new Set(
      fit.chart.steps.flatMap(({ use }) =>
        use.filter(({ product }) => product.kind === kind).map(({ product }) => product.shade),
      ),
    ),
  ];
  expect(bound(several, 'blush')).toEqual([]);
  expect(bound(several, 'lip colour')).toEqual([]);
  expect(bound(several, 'shadow')).toEqual([]);
  const oneOfEach = kitOf(
    LIST.split('\n')
      .filter((row) => !/rose|espresso|berry/.test(row) || /Lipstick/.test(row) === /rose/.test(row))
      .filter((row) => !/Cream blush|espresso|berry/.test(row))
      .join('\n'),
  );
  const single = fitted(STARTER_LOOKS[0]!, 12, oneOfEach);
  expect([bound(single, 'blush'), bound(single, 'lip colour'), bound(single, 'shadow')]).toEqual([
    ['peony'],
    ['rose'],
    ['taupe'],
  ]);
  const blush = single.chart.steps.find(({ use }) => use.some(({ product }) => product.kind === 'blush'))!;
  expect(single.proposals[blush.id]![0]!.reasons).toContain('its colour is not read');
  const asked = withOwnKit(STARTER_LOOKS[0]!, someone(12), oneOfEach, '2031-05-14').find(
    ({ role }) => role === 'blush',
  )!;
  expect([asked.met, asked.ours, asked.words]).toEqual([
    'far',
    null,
    'C Flush peony: its colour is not read, so nobody can say how far off it is.',
  ]);
  const onlyBase = kitOf(
    LIST.split('\n')
      .filter((row) => !/True Base,(4N|7N|10W)/.test(row))
      .join('\n'),
  );
  expect(bound(fitted(STARTER_LOOKS[0]!, 12, onlyBase), 'base')).toEqual([]);
});

test('what has no colour to be read is taken as before: powder, mascara, brow, spray, primer', () => {
  const kinds = new Set(
    DEPTHS.flatMap((depth) =>
      fitted(STARTER_LOOKS[0]!, depth, UNREAD).chart.steps.flatMap(({ use }) =>
        use.map(({ product }) => product.kind),
      ),
    ),
  );
  for (const kind of ['prep', 'primer', 'powder', 'brow', 'mascara', 'spray'] as const)
    expect([kind, kinds.has(kind)]).toEqual([kind, true]);
});

test('matching and sculpting say what is not read, and fall over nothing', () => {
  for (const depth of DEPTHS)
    for (const kit of [
      UNREAD,
      kitOf(
        LIST.split('\n')
          .filter((row) => !/Flush Cream/.test(row))
          .join('\n'),
      ),
    ]) {
      const context = {
        client: someone(depth),
        kit,
        date: '2031-05-14',
        occasion: usualOccasion('wedding', '2031-05-14'),
      };
      const matches = matchShades(context);
      expect([matches.singles, matches.pairs, matches.triples]).toEqual([[], [], []]);
      expect(matches.limits).toContain(
        '4 at hand have no colours read: a swatch of each, and they can be matched.',
      );
      for (const kind of ['contour', 'bronzer', 'blush', 'highlight'] as const) {
        const ranking = sculptShades(kind, context);
        expect([kind, ranking.candidates, ranking.mix]).toEqual([kind, [], null]);
        expect(ranking.ruledOut.map(({ why }) => why)).toContain('its colour is not read');
      }
    }
});

test('what an eye chose of them is a chart like any other: reviewed, painted, put on paper, replaced', () => {
  for (const look of STARTER_LOOKS.slice(0, 6))
    for (const depth of [3, 12, 21]) {
      const { chart, proposals } = fitted(look, depth, UNREAD);
      const chosen = {
        ...chart,
        steps: chart.steps.map((step) =>
          step.use.length > 0 ? step : { ...step, use: [...(proposals[step.id]?.at(-1)?.use ?? [])] },
        ),
      };
      // But for the powder that says it is clear: on tan and deep skin it is ash, and not to be had.
      const lacks = chosen.steps.filter(({ use, wants }) => use.length === 0 && wants.kinds.length > 0);
      expect([depth, lacks.filter(({ role }) => role !== 'powder' || depth < 12)]).toEqual([depth, []]);
      const rules = reviewChart(chosen, UNREAD).map(({ rule }) => rule);
      // Nothing is said of a colour nobody knows.
      for (const rule of [
        'base-off-skin',
        'base-off-neck',
        'concealer-mask',
        'chalky-blush',
        'lid-off',
        ...(lacks.length === 0 ? ['no-product'] : []),
      ])
        expect([look.name, depth, rules]).not.toContain(rule);
      expect(
        drawn(
          chartSheet(chosen, { paper: 'a4', colour: true, measure: (text, size) => text.length * size * 0.5 })
            .ops,
        ),
      ).toBeGreaterThan(20);
      for (const { steps } of colourSeries(chosen, UNREAD))
        expect(steps.flatMap(({ use }) => use)).toEqual([]);
      const context = { client: chosen.client, kit: UNREAD, date: '2031-05-14', occasion: chosen.occasion };
      for (const { product } of chosen.steps.flatMap(({ use }) => use))
        for (const one of substitute(product, context)) expect(one.deltaE).toBeNull();
      expect(readChart(writeChart(chosen)).ok).toBe(true);
    }
});

test('what has no product, or none that is read, is drawn as it is asked for on this skin, never in one colour for all', () => {
  const NOTHING: Kit = { products: [], units: [] };
  let drawnAsSkin = 0;
  for (const look of STARTER_LOOKS)
    for (const depth of DEPTHS)
      for (const kit of [UNREAD, NOTHING]) {
        const { chart } = fitted(look, depth, kit);
        const skin = skinTarget(chart.client.skin)!;
        for (const step of chart.steps) {
          const lab = colourDrawn(step, chart.client);
          const deeper = lab ? depthOf(lab) - depthOf(skin) : 0;
          const where = [look.name, depth, step.title, deeper.toFixed(1)];
          if (['base', 'conceal', 'powder'].includes(step.role)) {
            expect([...where, Math.abs(deeper) < 3]).toEqual([...where, true]);
            drawnAsSkin++;
          }
          if (step.role === 'contour') expect([...where, deeper > 0.5]).toEqual([...where, true]);
          if (step.role === 'highlight') expect([...where, deeper < 0.5]).toEqual([...where, true]);
        }
      }
  expect(drawnAsSkin).toBeGreaterThan(400);
});

test('where what is read is out of range, that others are not read is said', () => {
  const fair: Product = {
    ...KITS.demo.products.find(({ kind }) => kind === 'base')!,
    id: idFor('fair'),
    lab: [84, 6, 14],
  };
  const kit: Kit = {
    products: [...UNREAD.products, fair],
    units: [
      ...UNREAD.units,
      { id: idFor('fair unit'), productId: fair.id, openedOn: null, remainingMg: 30_000, place: '' },
    ],
  };
  const { chart, gaps } = fitted(STARTER_LOOKS[0]!, 18, kit);
  const base = chart.steps.find(({ wants }) => wants.kinds.includes('base'))!;
  expect(base.use).toEqual([]);
  expect(gaps[base.id]!.words).toMatch(/lighter.* 4 more at hand have no colour read: read first\.$/);
});

test('one that is read and in range is taken, whatever else is not read; and a kit that is read stays as it was', () => {
  for (const depth of DEPTHS) {
    const asIs = fitted(STARTER_LOOKS[0]!, depth, KITS.demo);
    const beside = fitted(STARTER_LOOKS[0]!, depth, {
      products: [...UNREAD.products, ...KITS.demo.products],
      units: [...UNREAD.units, ...KITS.demo.units],
    });
    const bound = ({ chart }: FittedLook) =>
      chart.steps
        .filter(({ wants }) => wants.kinds.some((kind) => AS_SKIN.includes(kind)))
        .map(({ use }) => use.map(({ product }) => product.id));
    expect([depth, bound(beside)]).toEqual([depth, bound(asIs)]);
  }
});
