import type { Kit } from '../kit';
import type { Chart, Step } from '../look';
import { reviewChart } from '.';
import {
  KIT,
  PRODUCTS,
  QUIET,
  scene,
  STEPS,
  withFeatures,
  without,
  withStep,
  step,
  type Scene,
} from './review.testing';

const EVENING = { variants: [{ id: 'evening', name: 'Evening' }] };
/** The chart with a step that stands for another in the evening, beside it. */
const evening = (chart: Chart, instead: Step, more: Partial<Step>): Chart => {
  const own = { ...instead, id: OTHER_ID, variant: 'evening', instead: instead.id, ...more };
  const steps = chart.steps.flatMap((one) => (one.id === instead.id ? [one, own] : [one]));
  return { ...chart, ...EVENING, steps };
};
/** Of a step that came later: ids are alike only by chance. */
const OTHER_ID = '0190b000-0000-7000-8000-000000000001';
const of = (rule: string, { chart, kit }: Scene) => reviewChart(chart, kit).filter((f) => f.rule === rule);
const one = (chart: Chart): Scene => scene(chart);

describe('what a variant raises', () => {
  const bold = { doseMgPerCm2: 8 };
  test('is said of its own steps, besides what the plan raises', () => {
    const rules = (chart: Chart): readonly string[] => reviewChart(chart, KIT).map((f) => f.rule);
    const heavy = evening(QUIET, STEPS.base, bold);
    const alone = withStep('base', bold);
    const more = rules(heavy).filter((rule) => !rules(QUIET).includes(rule));
    expect(more.length).toBeGreaterThan(0);
    for (const rule of more) expect(rules(alone)).toContain(rule);

    for (const f of reviewChart(heavy, KIT).filter((f) => more.includes(f.rule)))
      expect(f.stepIds).toContain(OTHER_ID);
  });

  test('of the common steps nothing is said twice', () => {
    const bleeding = withFeatures({ lines: ['lip'] }, without('liner'));
    const both = evening(bleeding, STEPS.blush, { title: 'Blush at night' });
    expect(of('lip-bleeds', one(both))).toHaveLength(of('lip-bleeds', one(bleeding)).length);
    expect(of('lip-bleeds', one(bleeding))).toHaveLength(1);
  });

  test('a variant without a step of its own raises nothing', () => {
    expect(reviewChart({ ...QUIET, ...EVENING }, KIT)).toEqual(reviewChart(QUIET, KIT));
  });

  test('what was accepted stands behind what was not, and each of those by how grave it is', () => {
    const chart = evening(withFeatures({ lines: ['lip'] }, without('liner', 'spray')), STEPS.base, bold);
    const found = reviewChart(chart, KIT);
    expect(found.length).toBeGreaterThan(2);
    const [first] = found;
    const accepted = reviewChart(
      {
        ...chart,
        findings: [
          {
            rule: first!.rule,
            severity: first!.severity,
            stepIds: [...first!.stepIds],
            answer: 'accepted',
            why: 'Asked for',
          },
        ],
      },
      KIT,
    );
    expect(accepted.at(-1)).toMatchObject({ rule: first!.rule, accepted: 'Asked for' });
    expect(accepted.slice(0, -1).every((f) => f.accepted === null)).toBe(true);
    const RANK = ['stop', 'caution', 'note'];
    const ranks = found.map(({ severity }) => RANK.indexOf(severity));
    expect(ranks).toEqual([...ranks].sort((a, b) => a - b));
  });
});

describe('a liner against lips that bleed', () => {
  const bleeding = withFeatures({ lines: ['lip'] }, without('liner'));
  const lined = (chart: Chart, kit = KIT): Chart | undefined =>
    of('lip-bleeds', scene(chart, kit))[0]?.fix?.apply(chart);
  const linersIn = (chart: Chart | undefined) => chart?.steps.filter(({ role }) => role === 'lip line') ?? [];

  test('goes before its lip, in its phase, and settles it', () => {
    const next = lined(bleeding)!;
    const [liner, ...more] = linersIn(next);
    expect(more).toEqual([]);
    expect(liner).toMatchObject({
      phase: 'lips',
      title: 'Line the lips',
      placements: [{ guide: 'lipLine', side: 'both' }],
    });
    expect(liner!.use[0]!.product.kind).toBe('lip liner');
    expect(next.steps.findIndex(({ id }) => id === liner!.id)).toBe(
      next.steps.findIndex(({ id }) => id === STEPS.lip.id) - 1,
    );
    expect(of('lip-bleeds', one(next))).toEqual([]);
    expect(liner).not.toHaveProperty('variant');
  });

  test('is added for a variant’s lip too, as that variant’s, each of its own lip’s colour', () => {
    const red = {
      ...PRODUCTS.lip,
      id: PRODUCTS.lip.id.replace(/.$/, '9'),
      lab: [38, 50, 25] as [number, number, number],
    };
    const other = step('Red lip', 'lips', 'lip', red, ['lips']);
    const both: Chart = {
      ...bleeding,
      ...EVENING,
      steps: [...bleeding.steps, { ...other, id: OTHER_ID, variant: 'evening', instead: STEPS.lip.id }],
    };
    // The kit's own would be a ring round the red.
    expect(of('lip-bleeds', scene(both, KIT))[0]!.fix).toBeNull();
    const redLiner = { ...PRODUCTS.liner, id: red.id.replace(/9$/, '8'), shade: 'Red', lab: red.lab };
    const kit: Kit = {
      products: [...KIT.products, redLiner],
      units: [...KIT.units, { ...KIT.units[0]!, id: red.id.replace(/9$/, '7'), productId: redLiner.id }],
    };
    const [first, second, ...more] = linersIn(lined(both, kit));
    expect(more).toEqual([]);
    expect([first!.variant, second!.variant]).toEqual([undefined, 'evening']);
    expect(first!.shade).not.toEqual(second!.shade);
    expect(second!.use[0]!.product.shade).toBe('Red');
    expect(new Set([first!.id, second!.id]).size).toBe(2);
  });

  test('a balm takes none; without a liner in the kit nothing is offered', () => {
    const balm = step('Balm', 'clean', 'lip', PRODUCTS.lip, ['lips'], {
      wants: { kinds: ['prep'] },
    });
    const next = lined({ ...bleeding, steps: [balm, ...bleeding.steps] });
    expect(linersIn(next)).toHaveLength(1);
    expect(next!.steps[0]!.id).toBe(balm.id);
    const kit = { ...KIT, products: KIT.products.filter(({ kind }) => kind !== 'lip liner') };
    expect(of('lip-bleeds', scene(bleeding, kit))[0]!.fix).toBeNull();
  });
});
