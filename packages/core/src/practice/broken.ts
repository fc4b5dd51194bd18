import { depthOf, shiftDepth, skinByZone, type Lab } from '../colour';
import { placeInShort, type Features, type Landmarks, type Placement } from '../face';
import type { ProductKind, ProductSnapshot } from '../kit';
import { usualOccasion, type Chart, type Step } from '../look';
import { shuffled, type Random } from '../math';
import { messagesIn, msg, plural, term } from '../messages';
import { reviewChart, RULES, type ReviewFinding } from '../review';
import { practiceProduct } from './practiceProduct';

/**
 * A small chart with one thing wrong in it: what was done, as it is read, and the practices to choose from.
 */
export type BrokenChart = {
  /** What is known of the face, in words; null where nothing matters. */ readonly face: string | null;
  readonly steps: readonly { readonly id: string; readonly words: string }[];
  readonly placements: readonly { readonly placement: Placement; readonly role: Step['role'] }[];
  readonly choices: readonly { readonly id: string; readonly words: string }[];
  /** Ids of the practices that are broken: one or two. */ readonly right: readonly string[];
  /** What the review says of it. */ readonly says: readonly string[];
};

type Plan = { readonly steps: readonly Step[]; readonly features: Features };
type Breakage = { readonly face?: string; readonly does: (plan: Plan, skin: Lab) => Plan };
const CHOICES = 5;

const uuid = (n: number): string => `00000000-0000-7000-8000-${String(n).padStart(12, '0')}`;
const product = (
  n: number,
  kind: ProductKind,
  lab: Lab | null,
  more: Partial<ProductSnapshot> = {},
): ProductSnapshot => practiceProduct(uuid(n), kind, lab, more);

/** The steps of a plain face, by what they are: what they are called is said in somebody's language. */
const IDS = {
  clean: uuid(501),
  primer: uuid(502),
  base: uuid(503),
  concealer: uuid(504),
  contour: uuid(505),
  blush: uuid(506),
  light: uuid(507),
  powder: uuid(508),
} as const;
type Named = keyof typeof IDS;

type Made = Partial<Pick<Step, 'waitMinutes' | 'doseMgPerCm2' | 'passes' | 'tool'>>;
function step(
  name: Named,
  title: string,
  phase: Step['phase'],
  role: Step['role'],
  placements: Step['placements'],
  laid: ProductSnapshot | null,
  made: Made = {},
): Step {
  return {
    id: IDS[name],
    title,
    phase,
    role,
    shade: null,
    wants: { kinds: laid ? [laid.kind] : [] },
    placements,
    doseMgPerCm2: laid ? 0.4 : 0,
    passes: 1,
    tool: 'small brush',
    technique: 'press',
    handsOnMinutes: 2,
    waitMinutes: 0,
    note: '',
    use: laid ? [{ unitId: null, product: laid, parts: 1, measure: laid.measure }] : [],
    ...made,
  };
}

type Guided = Extract<Placement, { guide: unknown }>;
const at = (guide: Guided['guide'], params?: Guided['params']): Guided => ({
  guide,
  side: 'both',
  ...(params ? { params } : {}),
});

/** A plain face as it is usually worked: nothing in it is remarkable. */
function sound(skin: Lab): readonly Step[] {
  const powder = { texture: 'pressed', family: 'powder', coverage: 'sheer', finish: 'matte' } as const;
  return [
    step('clean', msg`Clean`, 'clean', 'care', [], null),
    step('primer', msg`Primer`, 'prime', 'care', [at('zone.wholeFace')], product(2, 'primer', null), {
      waitMinutes: 2,
    }),
    step(
      'base',
      msg`Base`,
      'base',
      'base',
      [at('zone.wholeFace'), at('zone.neck')],
      product(3, 'base', skin, { coverage: 'light' }),
    ),
    step(
      'concealer',
      msg`Concealer`,
      'conceal',
      'conceal',
      [at('zone.underEye')],
      product(4, 'concealer', skin),
      {
        doseMgPerCm2: 0.3,
      },
    ),
    step(
      'contour',
      msg`Contour`,
      'sculpt',
      'contour',
      [at('cheekContour')],
      product(5, 'contour', shiftDepth(skin, 2, { undertone: 'neutral' }), { finish: 'matte' }),
    ),
    step('blush', msg`Blush`, 'sculpt', 'blush', [at('blushLifted')], product(6, 'blush', flushed(skin))),
    step(
      'light',
      term('Light', 'layer'),
      'sculpt',
      'highlight',
      [at('cheekboneLight')],
      product(7, 'highlight', shiftDepth(skin, -2), { finish: 'satin' }),
    ),
    step(
      'powder',
      msg`Powder`,
      'set',
      'powder',
      [at('zone.underEye'), at('zone.noseSide')],
      product(8, 'powder', skin, powder),
      { doseMgPerCm2: 0.3 },
    ),
  ];
}
/** A cheek a little deeper and redder than the skin round it. */
const flushed = (skin: Lab): Lab => {
  const [L, a, b] = shiftDepth(skin, 1.2);
  return [L, a + 10, b - 2];
};

const change =
  (name: Named, to: (step: Step) => Partial<Step>) =>
  (plan: Plan): Plan => ({
    ...plan,
    steps: plan.steps.map((one) => (one.id === IDS[name] ? { ...one, ...to(one) } : one)),
  });
const laid = (name: Named, more: (product: ProductSnapshot) => Partial<ProductSnapshot>) =>
  change(name, (one) => ({
    use: one.use.map((use) => ({ ...use, product: { ...use.product, ...more(use.product) } })),
  }));
const features =
  (more: Partial<Features>) =>
  (plan: Plan): Plan => ({ ...plan, features: { ...plan.features, ...more } });

/**
 * Ways to go against the practice of the trade. One that adds no finding, or more than two, is passed over.
 */
export const BREAKAGES: readonly Breakage[] = messagesIn(
  ['face'],
  [
    {
      does: change('contour', () => ({ placements: [at('cheekContour', { liftMm: -9 })] })),
    },
    {
      does: change('blush', () => ({ placements: [at('blushLifted', { liftMm: -10 })] })),
    },
    {
      does: laid('contour', () => ({ finish: 'shimmer' })),
    },
    {
      does: laid('contour', ({ lab }) => ({ lab: lab ? [lab[0] + 12, lab[1], lab[2]] : null })),
    },
    {
      does: (plan, skin) => laid('concealer', () => ({ lab: [...shiftDepth(skin, -4)] }))(plan),
    },
    {
      does: change('primer', () => ({ waitMinutes: 0 })),
    },
    {
      does: laid('primer', () => ({ family: 'oil' })),
    },
    {
      does: change('base', () => ({ doseMgPerCm2: 1, passes: 2 })),
    },
    {
      does: change('concealer', () => ({ passes: 4 })),
    },
    { does: (plan) => ({ ...plan, steps: afterPowder(plan.steps, 'blush') }) },
    { does: (plan) => ({ ...plan, steps: afterPowder(plan.steps, 'contour') }) },
    {
      face: 'A mature skin.',
      does: (plan) => laid('light', () => ({ finish: 'shimmer' }))(features({ age: 'mature' })(plan)),
    },
    {
      face: 'Lines under the eyes.',
      does: (plan) =>
        change('powder', () => ({ doseMgPerCm2: 1, waitMinutes: 4 }))(
          features({ lines: ['under eye'] })(plan),
        ),
    },
    {
      does: (plan, skin) => laid('base', () => ({ lab: [...shiftDepth(skin, 2)] }))(plan),
    },
    {
      does: (plan, skin) => laid('light', () => ({ lab: [...shiftDepth(skin, 3)] }))(plan),
    },
    { does: (plan) => ({ ...plan, steps: plan.steps.filter(({ id }) => id !== IDS.clean) }) },
  ],
);

/** The powder goes over the whole face first, and what is cream on top of it. */
function afterPowder(steps: readonly Step[], name: Named): readonly Step[] {
  const one = steps.find(({ id }) => id === IDS[name])!;
  const others = steps
    .filter((step) => step !== one)
    .map((step) => (step.id === IDS.powder ? { ...step, placements: [at('zone.wholeFace')] } : step));
  return [...others, { ...one, phase: 'powder' }];
}

function chartOf({ steps, features: face }: Plan, landmarks: Landmarks, skin: Lab): Chart {
  return {
    format: 'toile.chart/2',
    id: uuid(900),
    version: 1,
    parent: null,
    author: msg`Practice`,
    at: '2030-01-01T09:00:00Z',
    reason: '',
    look: { id: uuid(901), version: 1, name: msg`Practice` },
    client: {
      id: uuid(902),
      name: msg`Nobody`,
      landmarks,
      features: face,
      skin: skinByZone(skin),
      readingId: null,
      sensitivities: [],
    },
    occasion: usualOccasion('other', '2030-01-01'),
    schools: { eyesOrFace: 'face first', contour: 'over base', concealer: 'over base', contrast: 'soft' },
    variants: [],
    steps: [...steps],
    findings: [],
  };
}

/** What a step did, as somebody reads it: what, of which kind, how much, where, and the wait after. */
function told(
  { title, use, placements, passes, waitMinutes, doseMgPerCm2 }: Step,
  { landmarks, face, skin }: { readonly landmarks: Landmarks; readonly face: Features; readonly skin: Lab },
): string {
  const of = use[0]?.product;
  const facts = [
    of
      ? [term(of.finish), term(of.texture), of.family === 'powder' ? null : msg`${term(of.family)} based`]
          .filter(Boolean)
          .join(', ')
      : null,
    of?.lab ? stepsFrom(of.lab, skin) : null,
    use.length > 0 && doseMgPerCm2 * passes >= 0.9 ? msg`laid thick` : null,
    passes > 1 ? msg`${passes} layers` : null,
    placements.length > 0
      ? placements.map((place) => placeInShort(place, landmarks, face)).join(msg`, and `)
      : null,
    waitMinutes > 0 ? msg`then ${waitMinutes} min left alone` : null,
  ].filter((words) => words !== null);
  return facts.length > 0 ? `${title}: ${facts.join('; ')}` : title;
}

function stepsFrom(lab: Lab, skin: Lab): string | null {
  const steps = Math.round((depthOf(lab) - depthOf(skin)) * 2) / 2;
  const [n, way] = [Math.abs(steps), steps > 0 ? msg`deeper` : msg`lighter`];
  return steps === 0 ? msg`as deep as the skin` : plural(n)`${n} step ${way}|${n} steps ${way}`;
}
/** What the review newly says of a face when one thing is done so, beside all that it finds then. */
export function breaks(
  { does }: Breakage,
  landmarks: Landmarks,
  face: Features,
  skin: Lab,
): { readonly plan: Plan; readonly fresh: readonly ReviewFinding[]; readonly rules: ReadonlySet<string> } {
  const sane: Plan = { steps: sound(skin), features: face };
  const before = new Set(reviewChart(chartOf(sane, landmarks, skin), null).map(({ rule }) => rule));
  const plan = does(sane, skin);
  const found = reviewChart(chartOf(plan, landmarks, skin), null);
  return {
    plan,
    fresh: found.filter(({ rule }) => !before.has(rule)),
    rules: new Set([...before, ...found.map(({ rule }) => rule)]),
  };
}

/**
 * A chart in which one practice is broken, or two that go together; null for a face none of the breakages
 * show on.
 */
export function brokenChart(
  landmarks: Landmarks,
  face: Features,
  skin: Lab,
  random: Random,
): BrokenChart | null {
  for (const breakage of shuffled(BREAKAGES, random)) {
    const { plan, fresh, rules } = breaks(breakage, landmarks, face, skin);
    const right = [...new Set(fresh.map(({ rule }) => rule))];
    if (right.length < 1 || right.length > 2) continue;
    const others = shuffled(LIKELY, random).filter((id) => !rules.has(id));
    const ids = shuffled([...right, ...others.slice(0, CHOICES - right.length)], random);
    return {
      face: breakage.face ?? null,
      steps: plan.steps.map((one) => ({ id: one.id, words: told(one, { landmarks, face, skin }) })),
      placements: plan.steps.flatMap(({ placements, role }) =>
        placements.map((placement) => ({ placement, role })),
      ),
      choices: ids.map((id) => ({ id, words: RULES.find((rule) => rule.id === id)!.name })),
      right,
      says: right.map((id) => fresh.find(({ rule }) => rule === id)!.message),
    };
  }
  return null;
}

/**
 * Practices that are offered beside the broken one: of the same steps, so that none is ruled out by what is
 * not there.
 */
const LIKELY = [
  'in-the-hollow',
  'blush-on-contour',
  'shine-in-contour',
  'contour-too-light',
  'concealer-mask',
  'concealer-halo',
  'grey-cast',
  'out-of-limits',
  'wet-on-wet',
  'family-conflict',
  'heavy-base',
  'too-many-layers-under-eye',
  'cream-over-powder',
  'shimmer-on-mature',
  'thick-powder-on-lines',
  'base-off-skin',
  'light-deeper',
  'clean-first',
] as const;
