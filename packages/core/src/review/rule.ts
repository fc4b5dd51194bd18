import { labUnder, reconstructSpectrum, type Lab, type SkinZone } from '../colour';
import { boxesTouch, boxOf, checkLimits, distanceToGuide, outlineOf, type Box, type LimitBreach, type PlacedShape, type Placement, type Point } from '../face';
import type { Kit, ProductSnapshot } from '../kit';
import type { Chart, Step } from '../look';
import { faceColour, isColoured, layOver, mixedOptics, skinTarget, type Coloured } from '../shade';

export const SEVERITIES = ['note', 'caution', 'stop'] as const;
/** 'note' whispers, 'caution' should be looked at, 'stop' can do harm. */
export type Severity = (typeof SEVERITIES)[number];

/** A change that puts a finding right. */
export type Fix = { readonly label: string; readonly apply: (chart: Chart) => Chart };

export type Found = {
  readonly steps: readonly Step[];
  /** What is wrong here and why, in a sentence. */
  readonly message: string;
  readonly fix?: Fix;
  /** Where on the face, in the client's mm. */
  readonly at?: Point;
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
  readonly skin: Lab | null;
  readonly zone: (zone: SkinZone) => Lab | null;
  readonly shapes: (step: Step) => readonly PlacedShape[];
  readonly touch: (one: Step, other: Step) => boolean;
  /** Steps before this one that lie under it, lowest first. */
  readonly under: (step: Step) => readonly Step[];
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

/** Where a placement lies on this client and which limits it breaks: kept, since a change of one step leaves the others as they are. */
export function placeOf(placement: Placement, client: Chart['client'], role: Step['role']): Places {
  const held = placesKept.get(placement);
  if (held && held.role === role && held.client.landmarks === client.landmarks && held.client.features === client.features) return held;
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

/** Gets a chart ready for the rules. */
export function reviewed(chart: Chart, kit: Kit | null): Reviewed {
  const steps = chart.steps.filter((s) => s.variant === undefined);
  const { skin } = chart.client;
  const shapes = remembered((step: Step) => step.placements.flatMap((p) => placeOf(p, chart.client, step.role).shapes));
  const boxes = remembered((step: Step): readonly Box[] => shapes(step).flatMap((shape) => shape.region.filter((r) => r.length > 0).map(boxOf)));
  const touch = (one: Step, other: Step): boolean => boxesTouch(boxes(one), boxes(other));
  const face = faceColour(skin);
  return {
    chart,
    steps,
    kit,
    skin: skinTarget(skin),
    zone: (zone) => skin[zone] ?? face,
    shapes,
    touch,
    under: (step) => steps.slice(0, steps.indexOf(step)).filter((s) => s.role !== 'care' && touch(s, step)),
    over: (ground, step) => {
      const parts = colouredParts(step);
      if (parts.length === 0) return null;
      return labUnder(layOver(reconstructSpectrum(ground, 'D65', 'skin').spectrum, mixedOptics(parts), step.doseMgPerCm2 * step.passes), 'D65');
    },
    products: (step) => step.use.map((u) => u.product),
  };
}

function remembered<T>(make: (step: Step) => T): (step: Step) => T {
  const held = new Map<Step, T>();
  return (step) => {
    let value = held.get(step);
    if (value === undefined) held.set(step, (value = make(step)));
    return value;
  };
}

/** What a step lays down, as the layer model takes it. */
export function colouredParts(step: Step): { product: Coloured; mg: number }[] {
  return step.use.flatMap((u) => {
    const product = { tintingStrength: 1, monthsAfterOpening: 12, withdrawn: false, singleUse: false, eyeSafe: false, ...u.product };
    return isColoured(product) ? [{ product, mg: u.parts * product.mgPerMeasure }] : [];
  });
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

export const isShiny = ({ finish }: Pick<ProductSnapshot, 'finish'>): boolean => finish === 'shimmer' || finish === 'dewy';
export const isPowder = ({ texture }: Pick<ProductSnapshot, 'texture'>): boolean => texture === 'pressed' || texture === 'loose';
export const isWet = ({ texture, kind }: Pick<ProductSnapshot, 'texture' | 'kind'>): boolean =>
  (texture === 'liquid' || texture === 'cream' || texture === 'stick' || texture === 'gel') && kind !== 'spray';
export const nameOf = ({ line, shade }: Pick<ProductSnapshot, 'line' | 'shade'>): string => `${line} ${shade}`;
export const chromaAt = (lab: Lab): number => Math.hypot(lab[1], lab[2]);
/** L* under which skin counts as deep, and above which as very fair. */
export const DEEP_L = 46;
export const VERY_FAIR_L = 72;

export const found = (steps: readonly Step[], message: string, fix?: Fix, at?: Point): Found => ({
  steps,
  message,
  ...(fix ? { fix } : {}),
  ...(at ? { at } : {}),
});
