import fc from 'fast-check';
import { fitLook, type Chart, type ClientSnapshot, type Step } from '../look';
import { client, id, KIT, LOOK, OCCASION, product, STAMP } from '../look/look.testing';
import { compactFrom, compactNotes, lessonFrom, renewedCompact, withoutBarred, type Compact } from '.';

/** A home chart: a base, a blush, a shadow and a mascara, each with an ingredient of its own. */
const MADE = fitLook(LOOK, client(), KIT, OCCASION, STAMP).chart;
const laid = (
  n: number,
  role: Step['role'],
  kind: Parameters<typeof product>[1],
  more: Parameters<typeof product>[3],
): Step => {
  const one = product(n, kind, [60, 20, 15], { texture: 'cream', eyeSafe: true, ...more });
  return {
    ...MADE.steps[0]!,
    id: id(600 + n),
    title: `Step ${n}`,
    role,
    tool: 'finger',
    use: [{ product: one, parts: 1, unitId: null, measure: one.measure }],
    wants: { kinds: [kind] },
    handsOnMinutes: 2,
  };
};
const STEPS = [
  laid(1, 'base', 'base', { ingredients: ['lanolin'] }),
  laid(2, 'blush', 'blush', { ingredients: ['carmine'] }),
  laid(3, 'eye', 'shadow', { ingredients: ['talc'], texture: 'pressed' }),
  laid(4, 'lash', 'mascara', { ingredients: ['beeswax'], texture: 'liquid' }),
];
const chartOf = (who: Partial<ClientSnapshot> = {}, steps: readonly Step[] = STEPS): Chart => ({
  ...MADE,
  client: { ...MADE.client, ...who },
  steps: [...steps],
});
const features = (more: Partial<ClientSnapshot['features']>): Partial<ClientSnapshot> => ({
  features: { ...MADE.client.features, ...more },
});
const lesson = (chart: Chart, keep = chart.steps.map((s) => s.id)) =>
  lessonFrom(chart, { minutes: 60, keep });
const titles = (chart: Chart) =>
  lesson(chart)
    .steps.map((s) => s.title)
    .sort();
const TINS = Array.from({ length: 6 }, (_, i) => id(700 + i));
const compactOf = (chart: Chart): Compact =>
  compactFrom(
    chart,
    chart.steps.map((s) => s.id),
    { perWeek: 3, rows: 2, columns: 3, by: 'order of use' },
    { id: id(699), tins: TINS, today: '2031-05-14' },
  ).compact;
const pansOf = ({ tins }: Compact): readonly string[] =>
  tins.flatMap(({ pans }) => pans.map((pan) => pan.productId));

test.each<[string, Partial<ClientSnapshot>, readonly string[], string]>([
  ['lanolin', { sensitivities: ['lanolin'] }, ['Step 2', 'Step 3', 'Step 4'], 'contains lanolin'],
  ['bees', { sensitivities: ['bee products'] }, ['Step 1', 'Step 2', 'Step 3'], 'contains beeswax'],
  [
    'lash extensions',
    features({ lashes: 'extensions' }),
    ['Step 1', 'Step 2', 'Step 3'],
    'lash extensions are worn',
  ],
  [
    'a patch test that reacted',
    { patchTests: [{ productId: id(2), verdict: 'reacted', on: '2031-06-01' }] as never },
    ['Step 1', 'Step 3', 'Step 4'],
    'reacted in the patch test of 2031-06-01',
  ],
])(
  'of %s nothing is taught, kept by choice or not, and it is said to whoever puts it together',
  (_what, who, left, why) => {
    const chart = chartOf(who);
    expect(titles(chart)).toEqual(left);
    expect(
      lessonFrom(chart, { minutes: 60 })
        .steps.map((s) => s.title)
        .sort(),
    ).toEqual(left);
    const told = lesson(chart).left.filter((one) => !one.atHome);
    expect(told).toHaveLength(1);
    expect(told[0]!.why).toContain(why);
    // Nothing of it stands in what the client reads.
    const { left: _studio, ...read } = lesson(chart);
    expect(JSON.stringify(read)).not.toContain(why);
  },
);

test('at the eyes only what is meant for them, in lenses nothing that sheds; what is not stated is no reason', () => {
  const eye = (more: Parameters<typeof product>[3]) => [laid(3, 'eye', 'shadow', more)];
  expect(titles(chartOf({}, eye({ eyeSafe: false })))).toEqual([]);
  expect(titles(chartOf({}, eye({ eyeSafe: true })))).toEqual(['Step 3']);
  const unsaid = eye({}).map((s) => {
    const { eyeSafe: _not, ...rest } = s.use[0]!.product;
    return { ...s, use: [{ ...s.use[0]!, product: rest }] };
  });
  expect(titles(chartOf({}, unsaid))).toEqual(['Step 3']);
  const sheds = eye({ texture: 'loose', finish: 'shimmer' });
  expect(titles(chartOf(features({ lenses: true }), sheds))).toEqual([]);
  expect(titles(chartOf({}, sheds))).toEqual(['Step 3']);
  // On the cheek the same is nobody's matter.
  expect(
    titles(
      chartOf(features({ lenses: true }), [
        laid(3, 'blush', 'blush', { eyeSafe: false, texture: 'loose', finish: 'shimmer' }),
      ]),
    ),
  ).toEqual(['Step 3']);
});

test('a mix with one thing in it that is not for them is not taught', () => {
  const [base, blush] = STEPS as [Step, Step, ...Step[]];
  const mixed = { ...base, use: [...blush.use, ...base.use] };
  expect(titles(chartOf({ sensitivities: ['lanolin'] }, [mixed, blush]))).toEqual(['Step 2']);
});

test('nothing goes into a compact that is not for them; what was in it before is named, labelled no more, and taken out', () => {
  const before = compactOf(chartOf());
  expect(pansOf(before)).toEqual([id(1), id(2), id(3)]);
  const now = chartOf({ sensitivities: ['carmine'] });
  expect(pansOf(compactOf(now))).toEqual([id(1), id(3)]);
  const notes = compactNotes(before, now);
  expect(notes.pans.map(({ called, barred }) => [called, barred])).toEqual([
    ['A1', null],
    ['A3', null],
    ['A2', 'contains carmine'],
  ]);
  const cleared = withoutBarred(before, notes);
  expect(pansOf(cleared)).toEqual([id(1), id(3)]);
  expect(cleared.fills.map((fill) => fill.productId)).toEqual([id(1), id(3)]);
  expect(withoutBarred(cleared, compactNotes(cleared, now))).toEqual(cleared);
  // Nobody minds anything: it is as it was.
  expect(compactNotes(before, chartOf()).pans.every(({ barred }) => barred === null)).toBe(true);
  expect(withoutBarred(before, compactNotes(before, chartOf()))).toEqual(before);
});

test('for another season neither', () => {
  const before = compactOf(chartOf());
  const after = chartOf({ sensitivities: ['carmine'] });
  expect(pansOf(renewedCompact(before, chartOf(), after, '2031-11-01')!)).toEqual([id(1), id(3)]);
  expect(pansOf(renewedCompact(before, chartOf(), chartOf(), '2031-11-01')!)).toEqual(pansOf(before));
});

test('whatever is noted and whatever is chosen, nothing handed over has it in it', () => {
  const noted = fc.subarray(['lanolin', 'carmine', 'talc', 'bee products', 'nickel']);
  const chosen = fc.subarray(STEPS.map((s) => s.id));
  fc.assert(
    fc.property(noted, chosen, fc.boolean(), (sensitivities, keep, extensions) => {
      const chart = chartOf({ sensitivities, ...(extensions ? features({ lashes: 'extensions' }) : {}) });
      const held = { lanolin: 1, carmine: 2, talc: 3, 'bee products': 4, nickel: 0 } as const;
      const never: number[] = sensitivities.map((one) => held[one as keyof typeof held]);
      if (extensions) never.push(4);
      const taught = lesson(chart, keep).steps.map((s) => Number(s.title.slice(5)));
      expect(taught.sort()).toEqual(
        [1, 2, 3, 4].filter((n) => keep.includes(id(600 + n)) && !never.includes(n)),
      );
    }),
    { numRuns: 200 },
  );
});
