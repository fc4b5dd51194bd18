import type { FlashGrade } from '../shade';
import type { Chart, Step } from '../look';
import { reviewChart } from '.';
import {
  added,
  DEEP,
  extra,
  onSkin,
  other,
  PRODUCTS,
  QUIET,
  scene,
  STEPS,
  type Guide,
  type Scene,
} from './review.testing';

const LOOSE = { texture: 'loose', finish: 'shimmer', ingredients: ['silica'] } as const;
/** A loose powder of silica on a deep skin, before a camera. */
const loose = (step: Partial<Step> = {}, from: Chart = QUIET): Scene =>
  other(
    'powder',
    { ...LOOSE, ingredients: [...LOOSE.ingredients] },
    { doseMgPerCm2: 1, ...step },
    onSkin(DEEP, from),
  );
const cast = ({ chart, kit }: Scene): readonly string[] =>
  reviewChart(chart, kit)
    .filter(({ rule }) => rule === 'white-cast')
    .map(({ message }) => message);
const powderOf = ({ chart }: Scene): Step => chart.steps.find(({ id }) => id === STEPS.powder.id)!;
/** The same with a step put behind the powder, or before it. */
const beside = (made: Scene, where: 'after' | 'before', step: Step): Scene => {
  const at = made.chart.steps.findIndex(({ id }) => id === STEPS.powder.id) + (where === 'after' ? 1 : 0);
  const { steps } = made.chart;
  return { ...made, chart: { ...made.chart, steps: [...steps.slice(0, at), step, ...steps.slice(at)] } };
};
const base = (...guides: Guide[]): Step => extra('Second base', 'base', 'base', PRODUCTS.base, guides);

test('what a flash throws back is said by how much, only before a camera and where skin was read', () => {
  expect(cast(loose())).toEqual([expect.stringMatching(/^Powder may turn \d+\.\d lighter in a flash\.$/)]);
  const { chart, kit } = loose();
  expect(
    cast(scene({ ...chart, occasion: { ...chart.occasion, lights: ['daylight'], camera: false } }, kit)),
  ).toEqual([]);
  expect(cast(scene({ ...chart, client: { ...chart.client, skin: {} } }, kit))).toEqual([]);
});

test('a base over most of it takes it out of the flash; one beside, before or on a corner of it does not', () => {
  expect(cast(beside(loose(), 'after', base('zone.noseSide')))).toEqual([]);
  expect(cast(beside(loose(), 'after', base('zone.wholeFace')))).toEqual([]);
  expect(cast(beside(loose(), 'after', base('zone.chin')))).toHaveLength(1);
  expect(cast(beside(loose(), 'before', base('zone.wholeFace')))).toHaveLength(1);
  const wide = loose({ placements: [{ guide: 'zone.wholeFace', side: 'both' }] });
  expect(cast(beside(wide, 'after', base('zone.chin')))).toHaveLength(1);
  expect(cast(beside(wide, 'after', base('zone.wholeFace')))).toEqual([]);
  // Only what covers: a blush laid over it is no base.
  const blush = extra('Blush over', 'sculpt', 'blush', PRODUCTS.blush, ['zone.noseSide']);
  expect(cast(beside(loose(), 'after', blush))).toHaveLength(1);
});

test('a lid and a lip are too small to look cast', () => {
  const on = (guide: Guide, role: Step['role']): Scene =>
    loose({ placements: [{ guide, side: 'both' }], role });
  expect(cast(on('zone.mobileLid', 'eye'))).toEqual([]);
  expect(cast(on('lips', 'lip'))).toEqual([]);
});

test('what the kit knows of its flash by now counts, not what was known when it was laid; as laid where it is gone', () => {
  const { chart, kit } = loose();
  const graded = (flashGrade: FlashGrade | undefined): Scene => ({
    chart,
    kit: {
      ...kit,
      products: kit.products.map((p) => (p.id === PRODUCTS.powder.id ? { ...p, flashGrade } : p)),
    },
  });
  expect(cast(graded(0))).toEqual([]);
  expect(cast(graded(3))).toHaveLength(1);
  const without = { ...kit, products: kit.products.filter(({ id }) => id !== PRODUCTS.powder.id) };
  expect(cast(scene(chart, without))).toHaveLength(1);
});

test('more of it, or more passes, throws back more; of a mix the worst speaks', () => {
  const lighter = (made: Scene): number =>
    Number(/(\d+\.\d) lighter/.exec(cast(made)[0] ?? '0.0 lighter')![1]);
  const doses = [0.05, 0.3, 0.6, 1, 2].map((doseMgPerCm2) => lighter(loose({ doseMgPerCm2 })));
  expect(doses).toEqual([...doses].sort((a, b) => a - b));
  expect(doses[0]).toBeLessThan(doses.at(-1)!);
  expect(lighter(loose({ doseMgPerCm2: 0.5, passes: 2 }))).toBe(lighter(loose({ doseMgPerCm2: 1 })));
  const made = loose();
  const powder = powderOf(made);
  const mixed = [
    { ...powder.use[0]!, product: { ...powder.use[0]!.product, id: PRODUCTS.base.id } },
    ...powder.use,
  ];
  const chart = {
    ...made.chart,
    steps: made.chart.steps.map((s) => (s.id === powder.id ? { ...s, use: mixed } : s)),
  };
  expect(lighter({ ...made, chart })).toBe(lighter(made));
});

test('added to a chart after everything else it is still seen', () => {
  const { chart, kit } = loose();
  const last = { ...powderOf({ chart, kit }), id: STEPS.clean.id };
  const quiet = added(last, 'spray', {
    ...onSkin(DEEP),
    steps: chart.steps.filter(({ id }) => id !== STEPS.powder.id),
  });
  expect(cast(scene(quiet, kit))).toHaveLength(1);
});
