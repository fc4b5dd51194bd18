import { depthOf, undertoneOf, type Lab, type SkinZone } from '../colour';
import {
  boxesTouch,
  boxOf,
  checkLimits,
  distanceToGuide,
  isAtEyesOrLips,
  isAtLips,
  outlineOf,
  type Box,
  type LimitBreach,
  type PlacedShape,
  type Placement,
  type Point,
  type Side,
} from '../face';
import type { Kit, ProductSnapshot } from '../kit';
import {
  colourOfUse,
  forbidsOf,
  proposeProducts,
  shownOfStep,
  type Chart,
  type FitContext,
  type Proposal,
  type Step,
} from '../look';
import { msg } from '../messages';
import {
  askedSteps,
  asLaid,
  dayOf,
  faceColour,
  impossibleBecause,
  isClear,
  missesOf,
  setAside,
  shadeRoleOf,
  shareSeen,
  skinTarget,
  type Day,
  type Miss,
  type ShadeRole,
  type Wearer,
} from '../shade';
import type { WearGroup } from '../trial';
import { NO_COVER, placementCover, shared, shareOfSmaller, united, type Cover } from './cover';

export const SEVERITIES = ['note', 'caution', 'stop'] as const;
/** 'note' whispers, 'caution' should be looked at, 'stop' can do harm. */
export type Severity = (typeof SEVERITIES)[number];

/** A change that puts a finding right. */
export type Fix = {
  /** What `apply` does. */
  readonly label: string;
  readonly apply: (chart: Chart) => Chart;
  /** Other ways to the same end, tried where the first would raise a finding of its own. */
  readonly others?: (chart: Chart) => readonly Way[];
};
/** A chart as another way leaves it; `does` says what it does where that is not what the fix’s label says. */
export type Way = { readonly chart: Chart; readonly does?: string };

export type Found = {
  readonly steps: readonly Step[];
  /** What is wrong here and why, in a sentence. */
  readonly message: string;
  readonly fix?: Fix;
  /** Where on the face, in the client's mm. */
  readonly at?: Point;
  /** How grave this one is, where it differs from its rule. */
  readonly severity?: Severity;
};

/** A practice of the trade as data and a predicate. */
export type Rule = {
  /** Stable name: findings and a studio's own grading refer to it. */
  readonly id: string;
  readonly name: string;
  readonly severity: Severity;
  /** Why the practice is what it is, for the list of rules. */
  readonly why: string;
  readonly find: (on: Reviewed) => readonly Found[];
};

/** A chart with what rules ask of it again and again, worked out once. */
export type Reviewed = {
  readonly chart: Chart;
  /** Steps that are worked as planned, without other variants. */
  readonly steps: readonly Step[];
  /** Null where the kit is not at hand: rules on stock are quiet then. */
  readonly kit: Kit | null;
  /** The studio's looked-at wears; none where they are not at hand: rules by evidence are quiet then. */
  readonly wears: readonly WearGroup[];
  readonly day: Day;
  readonly skin: Lab | null;
  readonly wearer: Wearer | null;
  /** Which cells of the face a step covers. */
  readonly cover: (step: Step) => Cover;
  /** Whether a step lies on any of a place. */
  readonly reaches: (step: Step, place: Placement) => boolean;
  /** Steps before this one that lie under it at the same spot, lowest first. */
  readonly below: (step: Step) => readonly Step[];
  /** The colour of a step's product or mix; null for what has none, and for what no surface can have. */
  readonly colour: (step: Step) => Lab | null;
  /** How a step's colour leaves the range of its role on this skin; empty where it keeps it or has none. */
  readonly misses: (step: Step) => readonly { readonly role: ShadeRole; readonly miss: Miss }[];
  /** Another product for a step from the kit, as a fix; undefined where the kit has nothing better. */
  readonly another: (step: Step, keeps?: (proposal: Proposal, best: Proposal) => boolean) => Fix | undefined;
  readonly zone: (zone: SkinZone) => Lab | null;
  readonly shapes: (step: Step) => readonly PlacedShape[];
  readonly touch: (one: Step, other: Step) => boolean;
  /** The colour of a step's product or mix laid on a ground at the step's dose; null for what has none. */
  readonly over: (ground: Lab, step: Step) => Lab | null;
  readonly products: (step: Step) => readonly ProductSnapshot[];
};

type Places = {
  readonly client: Chart['client'];
  readonly role: Step['role'];
  readonly shapes: readonly PlacedShape[];
  readonly breaches: readonly LimitBreach[];
  /** How far a stroke drawn by hand runs from the nearest guide of its kind, mm; null for guided places. */
  readonly fromGuideMm: number | null;
};
const placesKept = new WeakMap<Placement, Places>();

/**
 * Where a placement lies on this client and which limits it breaks: kept, since a change of one step leaves
 * the others as they are.
 */
export function placeOf(placement: Placement, client: Chart['client'], role: Step['role']): Places {
  const held = placesKept.get(placement);
  if (
    held &&
    held.role === role &&
    held.client.landmarks === client.landmarks &&
    held.client.features === client.features
  )
    return held;
  const made: Places = {
    client,
    role,
    shapes: outlineOf(placement, client.landmarks, client.features),
    breaches: checkLimits(placement, client.landmarks, client.features, role),
    fromGuideMm: role === 'care' ? null : distanceToGuide(placement, role, client.landmarks, client.features),
  };
  placesKept.set(placement, made);
  return made;
}

const ON_EYES: readonly Step['role'][] = ['brow', 'eye', 'liner', 'lash'];
const ON_LIPS: readonly Step['role'][] = ['lip line', 'lip'];
/**
 * What covers the face is led round brows, eyes and lips: only layers of one of these lie on each other. A
 * base that evens the lids is theirs.
 */
export const groupOf = (step: Pick<Step, 'role' | 'placements'>): 'eyes' | 'lips' | 'face' => {
  if (ON_EYES.includes(step.role)) return 'eyes';
  if (ON_LIPS.includes(step.role)) return 'lips';
  if (!isAtEyesOrLips(step)) return 'face';
  return isAtLips(step) ? 'lips' : 'eyes';
};
/** Places share a spot from this share of the smaller one on; less is an edge that melts. */
const SAME_SPOT = 0.15;

/** Gets a chart, or one of its variants, ready for the rules. */
export function reviewed(
  chart: Chart,
  kit: Kit | null,
  steps: readonly Step[] = chart.steps.filter((s) => s.variant === undefined),
  wears: readonly WearGroup[] = [],
): Reviewed {
  const { skin, features, landmarks } = chart.client;
  const shapes = remembered((step: Step) =>
    step.placements.flatMap((p) => placeOf(p, chart.client, step.role).shapes),
  );
  const boxes = remembered((step: Step): readonly Box[] =>
    shapes(step).flatMap((shape) => shape.region.filter((r) => r.length > 0).map(boxOf)),
  );
  const touch = (one: Step, other: Step): boolean => boxesTouch(boxes(one), boxes(other));
  const cover = remembered((step: Step): Cover =>
    step.placements.length === 0
      ? NO_COVER
      : united(step.placements.map((p) => placementCover(p, landmarks, features))),
  );
  const face = faceColour(skin);
  const target = skinTarget(skin);
  const { contrast } = chart.schools;
  const wearer: Wearer | null = target
    ? { skin: target, undertone: undertoneOf(skin.neck ?? target).undertone, features, contrast }
    : null;
  const colour = remembered((step: Step): { lab: Lab | null } => ({
    lab: step.use.every((u) => impossibleBecause(u.product.kind, u.product.lab) === null)
      ? colourOfUse(step.use)
      : null,
  }));
  const over = (ground: Lab, step: Step): Lab | null => shownOfStep(step, ground);
  const misses = remembered((step: Step): readonly { role: ShadeRole; miss: Miss }[] => {
    const role = shadeRoleOf(step);
    if (!role || !wearer || step.use.length === 0) return [];
    const clear = step.use.every((u) => isClear(u.product));
    // A clear powder has no colour, and is seen all the same.
    const shown = clear ? over(wearer.skin, seenOf(step)) : null;
    const own = clear ? shown : colour(step).lab;
    if (!own) return [];
    const lead = step.use.reduce((a, b) =>
      b.parts * b.product.mgPerMeasure > a.parts * a.product.mgPerMeasure ? b : a,
    ).product;
    return missesOf(
      role,
      { own, shown: shown ?? over(wearer.skin, step) ?? own, finish: lead.finish },
      wearer,
      'find',
      askedSteps(step),
    ).map((miss) => ({
      role,
      miss,
    }));
  });
  const context: FitContext = {
    client: chart.client,
    kit: kit ? { ...kit, products: setAside(kit.products).sound } : { products: [], units: [] },
    date: chart.occasion.date,
    occasion: chart.occasion,
    forbids: forbidsOf(chart),
    contrast,
  };
  return {
    chart,
    steps,
    kit,
    wears,
    day: dayOf(chart.occasion),
    skin: target,
    wearer,
    zone: (zone) => skin[zone] ?? face,
    shapes,
    touch,
    cover,
    reaches: (step, place) => shared(cover(step), placementCover(place, landmarks, features)) > 0,
    below: (step) =>
      steps
        .slice(0, steps.indexOf(step))
        .filter(
          (s) =>
            s.role !== 'care' &&
            groupOf(s) === groupOf(step) &&
            shareOfSmaller(cover(s), cover(step)) > SAME_SPOT,
        ),
    over,
    colour: (step) => colour(step).lab,
    misses,
    products: (step) => step.use.map((u) => u.product),
    another: (step, keeps = () => true) => {
      if (!kit) return undefined;
      const own = step.use.map((u) => u.product.id).join();
      const offered = remembered((s: Step) => {
        const owned = proposeProducts(s, context).filter(({ use }) => use.every((u) => u.unitId !== null));
        return owned.filter((p) => p.use.map((u) => u.product.id).join() !== own && keeps(p, owned[0]!));
      });
      const [first, ...rest] = offered(step);
      if (!first) return undefined;
      const put = (use: Proposal['use']) => changed(step.id, (s) => ({ ...s, use: [...use] }));
      const does = (use: Proposal['use']): string =>
        msg`Take ${use.map((u) => nameOf(u.product)).join(msg` with `)}`;
      return {
        label: does(first.use),
        apply: put(first.use),
        others: (chart) => rest.map(({ use }) => ({ chart: put(use)(chart), does: does(use) })),
      };
    },
  };
}

/** A step of clear powder as it is seen on skin. */
const seenOf = (step: Step): Step => ({
  ...step,
  doseMgPerCm2: step.doseMgPerCm2 * shareSeen(step.use.map((u) => u.product)),
  use: step.use.map((u) => ({ ...u, product: asLaid(u.product) })),
});

/** Share of a step's own place that another covers, 0 to 1. */
export function shareOn(on: Reviewed, step: Step, other: Step): number {
  const own = on.cover(step);
  return own.count === 0 ? 0 : shared(own, on.cover(other)) / own.count;
}

/** What a guide covers on one side of this face. */
export function guideCover(
  on: Reviewed,
  guide: Extract<Placement, { guide: unknown }>['guide'],
  side: Side,
): Cover {
  return placementCover(guidePlacement(guide, side), on.chart.client.landmarks, on.chart.client.features);
}
const guidePlacements = new Map<string, Placement>();
function guidePlacement(guide: Extract<Placement, { guide: unknown }>['guide'], side: Side): Placement {
  const key = `${guide} ${side}`;
  let held = guidePlacements.get(key);
  if (!held) guidePlacements.set(key, (held = { guide, side }));
  return held;
}

/** Depth of one colour against another, in shade steps: positive is deeper. */
export const stepsFrom = (lab: Lab, ground: Lab): number => depthOf(lab) - depthOf(ground);

function remembered<T extends object>(make: (step: Step) => T): (step: Step) => T {
  const held = new Map<Step, T>();
  return (step) => {
    let value = held.get(step);
    if (value === undefined) held.set(step, (value = make(step)));
    return value;
  };
}

/** The chart with one step changed. */
export function changed(stepId: string, change: (step: Step) => Step): (chart: Chart) => Chart {
  return (chart) => ({ ...chart, steps: chart.steps.map((s) => (s.id === stepId ? change(s) : s)) });
}

/** The chart with one step put right before or after another. */
export function moved(stepId: string, where: 'before' | 'after', otherId: string): (chart: Chart) => Chart {
  return (chart) => {
    const step = chart.steps.find((s) => s.id === stepId);
    if (!step) return chart;
    const rest = chart.steps.filter((s) => s.id !== stepId);
    const at = rest.findIndex((s) => s.id === otherId) + (where === 'after' ? 1 : 0);
    return { ...chart, steps: [...rest.slice(0, at), step, ...rest.slice(at)] };
  };
}

/** Proposals all of whose products have one of these finishes. */
export const finishIs =
  (...finishes: readonly string[]) =>
  ({ use }: Pick<Proposal, 'use'>): boolean =>
    use.every((u) => finishes.includes(u.product.finish));
export const isShiny = ({ finish }: Pick<ProductSnapshot, 'finish'>): boolean =>
  finish === 'shimmer' || finish === 'dewy';
export const nameOf = ({ line, shade }: Pick<ProductSnapshot, 'line' | 'shade'>): string =>
  `${line} ${shade}`;
export const chromaAt = (lab: Lab): number => Math.hypot(lab[1], lab[2]);

export const found = (steps: readonly Step[], message: string, fix?: Fix, at?: Point): Found => ({
  steps,
  message,
  ...(fix ? { fix } : {}),
  ...(at ? { at } : {}),
});
