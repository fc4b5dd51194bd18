import {
  changedSteps,
  hereWay,
  otherWay,
  placementArea,
  reviewChart,
  SCHOOL_ANSWERS,
  SCHOOL_NAMES,
  stepsOfVariant,
  swapSchool,
  swapStep,
  withHalves,
  zonesCompared,
  fitLook,
  type Chart,
  type Kit,
  type Step,
  type Swap,
} from '@toile/core';
import { clientOf, KITS, WEDDING, type KitName, type Wearing } from './corpus/ground';
import { idFor } from './ids';
import { STARTER_LOOKS } from './starterLooks';
import { demoStudio } from './studio';

const { charts, products, units } = demoStudio('2031-05-14');
const ofDemo = [...new Map(charts.map((chart) => [chart.id, chart])).values()];
/** Nobody of the demo: other skins, faces and kits, other looks. */
const ELSEWHERE: readonly (Wearing & { readonly kit: KitName })[] = [
  { skin: 'milk', kit: 'tiny', features: { lids: { left: 'hooded', right: 'open' } } },
  { skin: 'moss', kit: 'one maker', measurements: { faceLength: 205 } },
  {
    skin: 'jet',
    kit: 'messy',
    features: { age: 'mature' },
    measurements: { cheekboneWidth: 150, jawWidth: 128 },
  },
];
const elsewhere = ELSEWHERE.flatMap(({ kit, ...wearing }, i) =>
  STARTER_LOOKS.filter((_, n) => n % 5 === i).map((look, n) => ({
    chart: fitLook(look, clientOf(wearing), KITS[kit], WEDDING, {
      id: idFor(`halves ${kit} ${n}`),
      author: '',
      at: '2031-05-01T09:00:00Z',
      reason: '',
    }).chart,
    kit: KITS[kit],
  })),
);
const newest = [...ofDemo, ...elsewhere.map(({ chart }) => chart)];
const kitOf = (chart: Chart): Kit => elsewhere.find((one) => one.chart === chart)?.kit ?? { products, units };

/** Every way there is to do one thing of a chart otherwise. */
function swapsOf(chart: Chart): Swap[] {
  const plan = stepsOfVariant(chart.steps, null);
  const steps = plan.flatMap((step) => [
    swapStep(chart, step.id, 'left out'),
    swapStep(chart, step.id, { tool: step.tool === 'finger' ? 'damp sponge' : 'finger' }),
    swapStep(chart, step.id, { technique: step.technique === 'press' ? 'stipple' : 'press' }),
  ]);
  const schools = SCHOOL_NAMES.flatMap((school) =>
    SCHOOL_ANSWERS[school].map((answer) => swapSchool(chart, { [school]: answer })),
  );
  return [...steps, ...schools].filter((swap) => swap !== null);
}
const trials = newest.flatMap((chart) => swapsOf(chart).map((swap) => ({ chart, swap })));
const ids = () => {
  let n = 0;
  return () => `0190a000-0000-7000-8000-${String(n++).padStart(12, '0')}`;
};
const halves = ({ chart, swap }: (typeof trials)[number], here: 'left' | 'right'): Chart =>
  withHalves(chart, swap, { variant: 'trial', here, newId: ids() });

test('there is much to try in every chart, of the demo and of others', () => {
  expect(elsewhere.length).toBeGreaterThanOrEqual(8);
  expect(newest.length).toBeGreaterThan(4);
  expect(trials.length).toBeGreaterThan(30 * newest.length);
});

test('each half is worked wholly and in the order of its own way; what is alike once', () => {
  const wrong = trials.flatMap((one) => {
    const { chart, swap } = one;
    const changed = new Map(
      changedSteps(chart, swap).flatMap(({ here, other }) => [[here?.id ?? other!.id, true]]),
    );
    const worked = stepsOfVariant(halves(one, 'right').steps, 'trial');
    const asOf = (side: string): string[] =>
      worked.flatMap((step) => {
        const half = /^Client’s (left|right): (.*)$/.exec(step.title);
        return half ? (half[1] === side ? [half[2]!] : []) : [step.title];
      });
    const titles = (steps: readonly Step[]): string[] =>
      stepsOfVariant(steps, null).map((step) => step.title);
    const alike = worked.filter((step) => step.variant === undefined);
    const bad =
      JSON.stringify(asOf('right')) !== JSON.stringify(titles(chart.steps)) ||
      JSON.stringify(asOf('left')) !== JSON.stringify(titles(otherWay(chart, swap).steps)) ||
      alike.some((step) => changed.has(step.id));
    return bad ? [`${chart.look.name} of ${chart.client.name}: ${JSON.stringify(swap).slice(0, 120)}`] : [];
  });
  expect(wrong).toEqual([]);
});

test('done the other way and back again it is the chart it was; what was changed by hand since is left as it is', () => {
  const plan = (chart: Chart): string => JSON.stringify(stepsOfVariant(chart.steps, null));
  const wrong = trials.flatMap(({ chart, swap }) => {
    const other = otherWay(chart, swap);
    const back = hereWay(other, chart, swap);
    const says = `${chart.look.name} of ${chart.client.name}: ${JSON.stringify(swap).slice(0, 120)}`;
    // Never gone the other way: nothing is put back over what somebody changed.
    const [changed] = changedSteps(chart, swap);
    const byHand = {
      ...chart,
      steps: chart.steps.map((step) =>
        step.id === changed?.here?.id ? { ...step, passes: step.passes + 1 } : step,
      ),
    };
    return [
      ...(plan(back) === plan(chart) ? [] : [says]),
      ...(plan(hereWay(byHand, chart, swap)) === plan(byHand) ? [] : [`by hand: ${says}`]),
    ];
  });
  expect(wrong).toEqual([]);
});

test('both halves together cover what the whole covered, and no half lies on the other', () => {
  const wrong = newest.flatMap((chart) =>
    stepsOfVariant(chart.steps, null).flatMap((step) => {
      const swap = swapStep(chart, step.id, { tool: step.tool === 'finger' ? 'puff' : 'finger' })!;
      const area = (some: Step): number =>
        some.placements.reduce(
          (sum, p) => sum + placementArea(p, chart.client.landmarks, chart.client.features),
          0,
        );
      const [one, other] = stepsOfVariant(halves({ chart, swap }, 'left').steps, 'trial').filter(
        (s) => s.variant,
      );
      const apart = Math.abs(area(one!) + area(other!) - area(step));
      return apart > 0.02 + 0.015 * area(step)
        ? [`${chart.client.name} ${step.title}: ${apart.toFixed(2)} cm²`]
        : [];
    }),
  );
  expect(wrong).toEqual([]);
});

test('a trial in a chart gives its plan nothing new to look over', () => {
  const found = (chart: Chart, kit: Kit): string[] =>
    reviewChart(chart, kit).map(
      ({ rule, message }) => `${rule}: ${message.replace(/Client’s (left|right): /g, '')}`,
    );
  const news = newest.flatMap((chart) => {
    const [swap] = swapsOf(chart);
    const kit = kitOf(chart);
    const before = new Set(found(chart, kit));
    return found(halves({ chart, swap: swap! }, 'left'), kit).filter((says) => !before.has(says));
  });
  expect(news).toEqual([]);
});

test('wherever something is laid there is a place to judge it', () => {
  const nowhere = newest.flatMap((chart) =>
    stepsOfVariant(chart.steps, null)
      .filter((step) => ['base', 'powder', 'conceal', 'blush', 'contour'].includes(step.role))
      .filter(
        (step) =>
          zonesCompared(chart, changedSteps(chart, swapStep(chart, step.id, 'left out')!)).length === 0,
      )
      .map((step) => `${chart.client.name}: ${step.title}`),
  );
  expect(nowhere).toEqual([]);
});
