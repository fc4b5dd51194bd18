import {
  halfOf,
  intersectRegions,
  placementArea,
  SIDES,
  subtractRegion,
  TEMPLATE,
  uniteOutlines,
  type Placement,
  type Point,
  type Region,
  type Side,
} from '../face';
import { listed } from '../listed';
import type { Chart, Step } from '../look';
import { msg, term } from '../messages';
import { changedSteps, trialZoneOutlines, waysBeside, type ComparedStep, type Swap } from './halves';
import type { TrialZone } from './measures';
import { trialZoneWords } from './outlook';

type TwoWaysOf = {
  /** The variant's name in the chart, by which the chair leads through both ways. */
  readonly variant: string;
  readonly newId: () => string;
};
export type HalfFaceOf = TwoWaysOf & {
  /** The side that is worked as the chart says. */ readonly here: Side;
};

/**
 * The chart with both ways worked in a variant: each step that differs becomes two, one a half of the face,
 * the side said in its title; all else is the same. Throws a RangeError where nothing differs or there is no
 * room for a variant.
 */
export function withHalves(chart: Chart, swap: Swap, { here, ...of }: HalfFaceOf): Chart {
  const half = (side: Side) => (step: Step) => ({
    title: msg`Client’s ${term(side)}`,
    placements: step.placements.flatMap((placement) => halfOf(placement, side) ?? []),
    note: '',
    share: 0.5,
  });
  return withTwoWays(chart, swap, {
    ...of,
    here: half(here),
    there: half(here === 'left' ? 'right' : 'left'),
  });
}

/** One side of one place, where the other way lies. */
export type OtherPlace = { readonly zone: TrialZone; readonly side: Side };

/**
 * The chart with the other way worked on one side of each of some places and its own everywhere else, in a
 * variant. Only for what is local: what lies beside it is not to do with it. Throws a RangeError as
 * `withHalves` does, and where the other way would lie nowhere.
 */
export function withPlaces(
  chart: Chart,
  swap: Swap,
  { other, ...of }: TwoWaysOf & { readonly other: readonly OtherPlace[] },
): Chart {
  const { landmarks, features } = chart.client;
  const there = regionOf(other);
  const beside = besideOf(there);
  const area = (placements: readonly Placement[]): number =>
    placements.reduce((sum, one) => sum + placementArea(one, landmarks, features), 0);
  const cut = (without: Region, title: string, note: string) => (step: Step) => {
    const placements = step.placements
      .map((placement) => cutAway(placement, without))
      .filter((placement) => area([placement]) > LEAST_CM2);
    const whole = area(step.placements);
    // What lies nowhere in particular is shared.
    return { title, note, placements, share: whole > LEAST_CM2 ? area(placements) / whole : 0.5 };
  };
  const lies = changedSteps(chart, swap).some(({ here, other: way }) =>
    [here, way].some((step) => step && cut(beside, '', '')(step).placements.length > 0),
  );
  if (!lies) throw new RangeError('What differs does not lie in those places');
  const where = SIDES.flatMap((side) => {
    const zones = other.filter((one) => one.side === side).map(({ zone }) => trialZoneWords(zone));
    return zones.length === 0 ? [] : [msg`on the client’s ${term(side)} ${listed(zones)}`];
  }).join('; ');
  return withTwoWays(chart, swap, {
    ...of,
    here: cut(there, msg`Not everywhere`, msg`Not ${where}.`),
    there: cut(beside, msg`Only in places`, msg`Only ${where}.`),
  });
}

/**
 * Primer, corrector and powder stay where they are laid and do nothing beside it: only they may be tried
 * place by place.
 */
export const isLocal = (changed: readonly ComparedStep[]): boolean =>
  changed.length > 0 &&
  changed.every(({ here, other }) =>
    [here, other].every(
      (step) => step === null || step.phase === 'prime' || step.role === 'correct' || step.role === 'powder',
    ),
  );

/** Smaller than this nothing is laid, cm2. */
const LEAST_CM2 = 0.2;
/** The canonical face with room all round, mm. */
const BOX = { x: 160, top: -170, bottom: 310 } as const;

/** Where the other way lies, canonical mm; where places share an edge, the one named first has it. */
const regionOf = (places: readonly OtherPlace[]): Region =>
  uniteOutlines(places.flatMap(({ zone, side }) => trialZoneOutlines(zone, TEMPLATE, side)));

/**
 * All of the canonical face that lies beside a region, in pieces without holes: what is wiped off a placement
 * is a list of plain outlines. It is cut into strips through the middle of each outline, so that none lies
 * whole inside a strip.
 */
function besideOf(region: Region): Region {
  const middles = region.map((outline) => {
    const ys = outline.map(([, y]) => y);
    return (Math.min(...ys) + Math.max(...ys)) / 2;
  });
  const cuts = [BOX.top, ...middles.sort((a, b) => a - b), BOX.bottom];
  return cuts.slice(1).flatMap((to, i) => {
    const from = cuts[i]!;
    const strip: Point[] = [
      [-BOX.x, from],
      [BOX.x, from],
      [BOX.x, to],
      [-BOX.x, to],
    ];
    return to > from ? subtractRegion([strip], intersectRegions(region, [strip])) : [];
  });
}

const cutAway = (placement: Placement, region: Region): Placement => ({
  ...placement,
  without: [...(placement.without ?? []), ...region.map((outline) => [...outline])],
});

/**
 * What of a step is worked one way: where it is said to lie, and what share of it that is; nothing laid
 * anywhere is left out.
 */
type Cut = (step: Step) => {
  readonly title: string;
  /** Put before the step's own. */ readonly note: string;
  readonly placements: readonly Placement[];
  readonly share: number;
};

function withTwoWays(
  chart: Chart,
  swap: Swap,
  { variant, newId, here, there }: TwoWaysOf & { readonly here: Cut; readonly there: Cut },
): Chart {
  const { changed, others, stay } = waysBeside(chart, swap);
  if (changed.length === 0) throw new RangeError('Both ways are the same');
  if (chart.variants.length >= 12) throw new RangeError('A chart holds twelve variants: take one out');
  const byStep = (which: (one: ComparedStep) => Step | null): Map<string, Step> =>
    new Map(changed.flatMap((one) => which(one) ?? []).map((step) => [step.id, step]));
  const [asOther, asHere] = [byStep(({ other }) => other), byStep((one) => one.here)];
  const part = (step: Step, cut: Cut, always = false): Step[] => {
    const { title, note, placements, share } = cut(step);
    if (!always && step.placements.length > 0 && placements.length === 0) return [];
    const { done: _done, ...plan } = step;
    const id = newId();
    return [
      {
        ...plan,
        id,
        variant,
        // A step only the other way has stands for none of the plan's: for itself.
        instead: asHere.has(step.id) ? step.id : id,
        title: `${title}: ${plan.title}`.slice(0, 200),
        note: [note, plan.note]
          .filter((words) => words !== '')
          .join(' ')
          .slice(0, MOST_NOTE),
        placements: [...placements],
        use: plan.use.map((use) => ({ ...use, parts: measures(use.parts * share) })),
        handsOnMinutes: Math.round(plan.handsOnMinutes * 10 * share) / 10,
      },
    ];
  };
  // What the other way works at another time comes after the nearest step before it that both work in the
  // same order.
  const moved = new Map<string | null, Step[]>();
  let after: string | null = null;
  for (const step of others)
    if (stay.has(step.id)) after = step.id;
    else moved.set(after, [...(moved.get(after) ?? []), ...part(step, there)]);
  const steps = chart.steps.flatMap((step): Step[] => {
    if (step.variant !== undefined) return [step];
    const [first, second] = [asHere.get(step.id), stay.has(step.id) ? asOther.get(step.id) : undefined];
    const other = second ? part(second, there) : [];
    // Something stands for a step that differs, or the plan's own would be worked all over.
    return [
      step,
      ...(first ? part(first, here, other.length === 0) : []),
      ...other,
      ...(moved.get(step.id) ?? []),
    ];
  });
  return {
    ...chart,
    variants: [...chart.variants, { id: variant, name: nameFor(chart) }],
    steps: [...(moved.get(null) ?? []), ...steps],
  };
}

/** Letters a note may have. */
const MOST_NOTE = 4000;
const HALF_FACE = 'Half-face trial';
function nameFor({ variants }: Pick<Chart, 'variants'>): string {
  const taken = new Set(variants.map((one) => one.name));
  let name = term(HALF_FACE);
  for (let n = 2; taken.has(name); n++) name = `${term(HALF_FACE)} ${n}`;
  return name;
}

/** Measures go to a quarter, and never to nothing. */
const QUARTER = 0.25;
const measures = (parts: number): number => Math.max(QUARTER, Math.round(parts / QUARTER) * QUARTER);
