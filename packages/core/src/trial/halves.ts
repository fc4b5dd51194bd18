import { deltaE2000 } from '../colour';
import {
  areaOf,
  faceWarp,
  halfOutline,
  intersectRegions,
  outlineOf,
  SIDES,
  uniteOutlines,
  zoneOutline,
  ZONES,
  type Landmarks,
  type Polygon,
  type Side,
  type ZoneName,
} from '../face';
import { inSchoolsOf, substituted, colourOfUse, type Chart, type SchoolAnswers, type Step } from '../look';
import { msg, term } from '../messages';
import type { Substitute } from '../shade';
import { TRIAL_ZONES, type TrialZone } from './measures';

/** What one half is done otherwise than the chart says. */
export type Swap =
  | { readonly aspect: 'product' | 'tool' | 'technique' | 'step'; readonly steps: readonly SwappedStep[] }
  | { readonly aspect: 'school'; readonly answers: Partial<SchoolAnswers> };
/** A step of the chart and what stands for it; null where it is left out. */
export type SwappedStep = { readonly stepId: string; readonly other: Step | null };

const planOf = ({ steps }: Pick<Chart, 'steps'>): Step[] =>
  steps.filter((step) => step.variant === undefined);

/**
 * What one step is laid down with, a mix too, replaced as a whole; null for a step that uses nothing, or is
 * not in the plan.
 */
export function swapProduct(
  chart: Pick<Chart, 'steps'>,
  stepId: string,
  substitute: Pick<Substitute, 'parts' | 'doseFactor'>,
): Swap | null {
  const step = planOf(chart).find((one) => one.id === stepId);
  if (!step || step.use.length === 0) return null;
  return { aspect: 'product', steps: [{ stepId, other: substituted(step, () => true, substitute) }] };
}

/**
 * One step with another tool or technique, or left out; null for what the plan has not, or does so already.
 */
export function swapStep(
  chart: Pick<Chart, 'steps'>,
  stepId: string,
  how: { readonly tool: Step['tool'] } | { readonly technique: Step['technique'] } | 'left out',
): Swap | null {
  const step = planOf(chart).find((one) => one.id === stepId);
  if (!step) return null;
  if (how === 'left out') return { aspect: 'step', steps: [{ stepId, other: null }] };
  const same = 'tool' in how ? how.tool === step.tool : how.technique === step.technique;
  if (same) return null;
  return { aspect: 'tool' in how ? 'tool' : 'technique', steps: [{ stepId, other: { ...step, ...how } }] };
}

/** One question answered the other school's way; null where that changes no step of this chart. */
export function swapSchool(chart: Chart, answers: Partial<SchoolAnswers>): Swap | null {
  const swap: Swap = { aspect: 'school', answers };
  return changedSteps(chart, swap).length === 0 ? null : swap;
}

/** The chart's plan done the other way all over: what a trial that was won by the other becomes. */
export function otherWay(chart: Chart, swap: Swap): Chart {
  if (swap.aspect === 'school') return inSchoolsOf(chart, swap.answers).chart;
  const other = new Map(swap.steps.map((one) => [one.stepId, one.other]));
  return {
    ...chart,
    steps: chart.steps.flatMap((step) => {
      const to = other.get(step.id);
      return to === undefined ? [step] : to === null ? [] : [to];
    }),
  };
}

/**
 * The chart done the way it was when it was tried, where it was done the other way since; what was changed by
 * hand meanwhile stays. `tried` is the version both ways were worked from.
 */
export function hereWay(chart: Chart, tried: Chart, swap: Swap): Chart {
  const ways = waysBeside(tried, swap);
  const other = new Map(ways.others.map((step) => [step.id, step]));
  const now = new Map(planOf(chart).map((step) => [step.id, step]));
  const isOther = ({ here }: ComparedStep): boolean =>
    here !== null && sameStep(now.get(here.id) ?? null, other.get(here.id) ?? null);
  const back = ways.changed.filter(isOther).flatMap(({ here }) => here ?? []);
  if (back.length === 0) return chart;
  const restored = new Map(back.map((step) => [step.id, step]));
  const as = (step: Step): Step => restored.get(step.id) ?? step;
  const plan = planOf(tried).filter(({ id }) => now.has(id) || restored.has(id));
  if (swap.aspect !== 'school') {
    const missing = plan.filter(({ id }) => !now.has(id));
    return { ...chart, steps: amid(chart.steps.map(as), missing, plan) };
  }
  // The order itself was what was tried: it is as it was, and what came since follows what it followed.
  const known = new Set(plan.map(({ id }) => id));
  const came = chart.steps.filter(({ id }) => !known.has(id));
  const order = plan.map((step) => as(now.get(step.id) ?? step));
  const { answers } = swap;
  const kept = Object.entries(chart.schools).filter(([name]) => !(name in answers));
  const before = Object.entries(tried.schools).filter(([name]) => name in answers);
  const schools = { ...tried.schools, ...Object.fromEntries([...kept, ...before]) };
  return { ...chart, schools, steps: amid(order, came, chart.steps) };
}

/** Steps put among others, each after the nearest that comes before it in an order. */
function amid(steps: readonly Step[], put: readonly Step[], order: readonly Step[]): Step[] {
  return put.reduce<Step[]>(
    (soFar, step) => {
      const at = order.findIndex(({ id }) => id === step.id);
      const after = order
        .slice(0, at)
        .reverse()
        .find(({ id }) => soFar.some((one) => one.id === id));
      const place = after ? soFar.findIndex(({ id }) => id === after.id) + 1 : 0;
      return [...soFar.slice(0, place), step, ...soFar.slice(place)];
    },
    [...steps],
  );
}

/** What was done of a step at the chair is no part of how it is planned. */
function sameStep(one: Step | null, other: Step | null): boolean {
  const plan = (step: Step | null): string => {
    if (step === null) return '';
    const { done: _done, ...rest } = step;
    return JSON.stringify(rest);
  };
  return plan(one) === plan(other);
}

/** A step as the chart has it and as the other way has it; null where one of them has none. */
export type ComparedStep = { readonly here: Step | null; readonly other: Step | null };

/**
 * What really differs between a chart's plan and the other way: changed, left out, added, or worked at
 * another time.
 */
export function changedSteps(chart: Chart, swap: Swap): readonly ComparedStep[] {
  return waysBeside(chart, swap).changed;
}

/**
 * Both ways beside each other: what differs, the other's steps in its order, and which stand in the same
 * order in both.
 */
export function waysBeside(chart: Chart, swap: Swap) {
  const [plan, others] = [planOf(chart), planOf(otherWay(chart, swap))];
  const stay = inSameOrder(
    plan.map((step) => step.id),
    others.map((step) => step.id),
  );
  const other = new Map(others.map((step) => [step.id, step]));
  const here = new Set(plan.map((step) => step.id));
  const changed = [
    ...plan.flatMap((step): ComparedStep[] => {
      const to = other.get(step.id) ?? null;
      const same = to !== null && stay.has(step.id) && JSON.stringify(to) === JSON.stringify(step);
      return same ? [] : [{ here: step, other: to }];
    }),
    ...others.filter((step) => !here.has(step.id)).map((step) => ({ here: null, other: step })),
  ];
  return { changed, others, stay };
}

/** The most that stands in the same order in both lists: what is not in it was moved. */
function inSameOrder(one: readonly string[], other: readonly string[]): Set<string> {
  const longest = Array.from({ length: one.length + 1 }, () => new Array<number>(other.length + 1).fill(0));
  for (let i = one.length - 1; i >= 0; i--)
    for (let j = other.length - 1; j >= 0; j--)
      longest[i]![j] =
        one[i] === other[j]
          ? 1 + longest[i + 1]![j + 1]!
          : Math.max(longest[i + 1]![j]!, longest[i]![j + 1]!);
  const stay = new Set<string>();
  for (let i = 0, j = 0; i < one.length && j < other.length;)
    if (one[i] === other[j]) {
      stay.add(one[i]!);
      i++;
      j++;
    } else if (longest[i + 1]![j]! >= longest[i]![j + 1]!) i++;
    else j++;
  return stay;
}

/** Zones of the face a zone of a trial is made of. */
const MADE_OF: Readonly<Record<TrialZone, readonly ZoneName[]>> = {
  forehead: ['foreheadCentre', 'foreheadSide'],
  nose: ['noseBridge', 'noseSide', 'noseTip', 'ala'],
  cheek: ['apple', 'cheekboneTop', 'hollow'],
  underEye: ['underEye'],
  mouth: ['upperLipSkin', 'smileLine', 'upperLip', 'lowerLip'],
  chin: ['chin'],
  neck: ['neck'],
};
/**
 * A zone of a trial on a face, mm: the outlines of what it is made of, the largest first; of one half, or of
 * both.
 */
export function trialZoneOutlines(zone: TrialZone, landmarks: Landmarks, side?: Side): Polygon[] {
  const whole = MADE_OF[zone].flatMap((name) =>
    (ZONES[name].paired ? SIDES : (['left'] as const)).map((one) => zoneOutline(name, landmarks, one)),
  );
  if (!side) return whole;
  const warp = faceWarp(landmarks);
  const half = halfOutline(side).map(warp.toFace);
  return intersectRegions(uniteOutlines(whole), [half])
    .map((outline) => [...outline])
    .sort((one, other) => areaOf([other]) - areaOf([one]));
}
/** What covers so much of a zone, or lies in it with so much of itself, can be judged there. */
const ENOUGH = 0.2;

/**
 * Zones in which both ways can be judged: where what differs lies, or nearest. All of them for what is placed
 * nowhere in particular.
 */
export function zonesCompared(
  chart: Pick<Chart, 'steps' | 'client'>,
  changed: readonly ComparedStep[],
): TrialZone[] {
  const { landmarks, features } = chart.client;
  const placements = changed.flatMap(({ here, other }) => [
    ...(here?.placements ?? []),
    ...(other?.placements ?? []),
  ]);
  const laid = uniteOutlines(
    placements.flatMap((placement) =>
      outlineOf(placement, landmarks, features).flatMap(({ region }) => region),
    ),
  );
  const shares = TRIAL_ZONES.map((zone) => {
    const whole = uniteOutlines(trialZoneOutlines(zone, landmarks));
    const shared = areaOf(intersectRegions(laid, whole));
    return { zone, share: Math.max(shared / areaOf(whole), shared / Math.max(1, areaOf(laid))) };
  });
  const most = Math.max(...shares.map(({ share }) => share));
  if (most === 0) return [...TRIAL_ZONES];
  return shares.filter(({ share }) => share >= Math.min(ENOUGH, most)).map(({ zone }) => zone);
}

/** From here on two colours are seen to differ, CIEDE2000. */
const SEEN = 2;
const MUCH_MORE = 1.25;

/** What differs besides the thing that is asked, each a sentence: a difference may then be due to either. */
export function differsBesides(changed: readonly ComparedStep[], aspect: Swap['aspect']): string[] {
  const says = changed.flatMap(({ here, other }) => (here && other ? besides(here, other, aspect) : []));
  const steps =
    changed.length > 1 && aspect !== 'school' && aspect !== 'product'
      ? [msg`More than one step differs.`]
      : [];
  return [...new Set([...says, ...steps])];
}

function besides(here: Step, other: Step, aspect: Swap['aspect']): string[] {
  const [one, two] = [colourOfUse(here.use), colourOfUse(other.use)];
  const apart = one && two ? deltaE2000(one, two) : 0;
  const mg = (step: Step): number =>
    step.use.reduce((sum, use) => sum + use.parts * use.product.mgPerMeasure, 0);
  const [little, much] = [mg(here), mg(other)].sort((a, b) => a - b);
  const amounts = little! > 0 && much! > MUCH_MORE * little! && here.use.length > 0 && other.use.length > 0;
  const texture = (step: Step): string =>
    [...new Set(step.use.map((use) => use.product.texture))].sort().join(msg` and `);
  return [
    apart > SEEN ? msg`${here.title}: the shades differ by ${apart.toFixed(1)}, which is seen.` : null,
    amounts
      ? msg`${here.title}: of one ${(much! / little!).toFixed(1)} times as much lies there as of the other.`
      : null,
    aspect === 'product' && texture(here) !== texture(other)
      ? msg`${here.title}: one is ${texture(here)}, the other ${texture(other)}; both are worked with ${toolWords(here)}.`
      : null,
    aspect !== 'tool' && aspect !== 'school' && here.tool !== other.tool
      ? msg`${here.title}: the tools differ too.`
      : null,
    aspect !== 'technique' && aspect !== 'school' && here.technique !== other.technique
      ? msg`${here.title}: they are worked differently too.`
      : null,
    here.waitMinutes !== other.waitMinutes && aspect !== 'school'
      ? msg`${here.title}: they dry for different times.`
      : null,
  ].filter((words) => words !== null);
}
const toolWords = ({ tool }: Step): string => (tool === 'none' ? msg`no tool` : msg`the ${term(tool)}`);
