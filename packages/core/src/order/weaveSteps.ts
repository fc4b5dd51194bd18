import {
  boxesTouch,
  boxOf,
  isAtEyesOrLips,
  outlineOf,
  type Box,
  type Features,
  type Landmarks,
  type Placement,
} from '../face';
import type { Look, Step } from '../look';
import { fewestMoves, movedTasks, type OrderChoice } from './fewestMoves';
import { asGiven, weave, type Link, type Task, type Weave } from './weave';

export type TimedStep = {
  readonly stepId: string;
  readonly startMinutes: number;
  readonly endMinutes: number;
  /** When its wait is over; its end when it has none. */ readonly dryMinutes: number;
};

export type StepOrder = {
  readonly steps: readonly TimedStep[];
  readonly totalMinutes: number;
  readonly boundMinutes: number;
  readonly proven: boolean;
};

export type WovenSteps = {
  /** As the chart has them. */
  readonly given: StepOrder;
  /**
   * The one worth its moves: as short as the choices make it, in the fewest moves; as given where none pays.
   */
  readonly woven: StepOrder;
  /** What there is to choose, fewest moves first: each saves at least a minute more for a move more. */
  readonly choices: readonly StepChoice[];
  /** Waits that cost the most: minutes saved if one of them fell away, most first. */
  readonly savers: readonly { readonly stepId: string; readonly minutes: number }[];
};

/** An order to choose: minutes saved for steps moved. */
export type StepChoice = StepOrder & {
  readonly savedMinutes: number;
  readonly moves: number;
  /** The steps that leave their place. */
  readonly movedIds: readonly string[];
};

type Client = { readonly landmarks: Landmarks; readonly features: Features };

/** Phases worked on the skin of the face, one over the other: their order is the look's own. */
const ON_FACE: readonly Step['phase'][] = [
  'prep',
  'prime',
  'correct',
  'base',
  'conceal',
  'sculpt',
  'set',
  'powder',
];
const ON_EYES: readonly Step['phase'][] = ['eyes', 'lashes'];

/**
 * Minutes from the first touch to the last wait over, steps worked in the order they stand in: nothing is
 * looked for.
 */
export function minutesAsGiven(steps: readonly Step[], client: Client, schools: Look['schools']): number {
  const tasks = steps.map((step): Task => ({
    id: step.id,
    minutes: step.handsOnMinutes,
    tailMinutes: step.waitMinutes,
  }));
  return asGiven(tasks, inOrder(linksOf(steps, client, schools), steps.length)).totalMinutes;
}

/**
 * The steps of a chart with their waits filled by as few moves as save the most, for one pair of hands: what
 * lies over each other keeps its order and waits until it is dry; brows, eyes, lips and places that do not
 * touch are worked meanwhile, as far as the school lets them. `accepts` may refuse an order.
 */
export function weaveSteps(
  steps: readonly Step[],
  client: Client,
  schools: Look['schools'],
  accepts: (stepIds: readonly string[]) => boolean = () => true,
): WovenSteps {
  const tasks = steps.map((step): Task => ({
    id: step.id,
    minutes: step.handsOnMinutes,
    tailMinutes: step.waitMinutes,
  }));
  const links = linksOf(steps, client, schools);
  const shortest = weave(tasks, links);
  const idsOf = (order: readonly number[]): string[] => order.map((i) => steps[i]!.id);
  const found = fewestMoves(tasks, links, (order) => accepts(idsOf(order)));
  const given = timed(asGiven(tasks, inOrder(links, steps.length)), steps);
  const choices = found.map((choice): StepChoice => ({
    ...orderOf(choice, tasks, links, steps, shortest),
    savedMinutes: choice.savedMinutes,
    moves: choice.moves,
    movedIds: movedTasks(choice.order).map((i) => steps[i]!.id),
  }));
  const savers = steps
    .flatMap((step, i) => {
      if (step.waitMinutes === 0) return [];
      const without = weave(
        tasks.map((t, k) => (k === i ? { ...t, tailMinutes: 0 } : t)),
        links.map((l) => (l.from === i ? { ...l, lagMinutes: 0 } : l)),
      );
      const minutes = shortest.totalMinutes - without.totalMinutes;
      return minutes > 0.01 ? [{ stepId: step.id, minutes }] : [];
    })
    .sort((a, b) => b.minutes - a.minutes);
  const asItStands = {
    ...given,
    boundMinutes: shortest.boundMinutes,
    proven: shortest.proven && given.totalMinutes <= shortest.totalMinutes + 1e-9,
  };
  return { given, woven: choices.at(-1) ?? asItStands, choices, savers };
}

function orderOf(
  { order, totalMinutes }: OrderChoice,
  tasks: readonly Task[],
  links: readonly Link[],
  steps: readonly Step[],
  shortest: Weave,
): StepOrder {
  const chained = [
    ...links,
    ...order.slice(1).map((to, i): Link => ({ from: order[i]!, to, lagMinutes: 0 })),
  ];
  const placed = timed(asGiven(tasks, chained), steps);
  return {
    ...placed,
    totalMinutes,
    boundMinutes: shortest.boundMinutes,
    proven: shortest.proven && totalMinutes <= shortest.totalMinutes + 1e-9,
  };
}

/** The given order with every step after the one before it: nothing is woven. */
function inOrder(links: readonly Link[], n: number): Link[] {
  return [
    ...links,
    ...Array.from({ length: Math.max(0, n - 1) }, (_, i): Link => ({ from: i, to: i + 1, lagMinutes: 0 })),
  ];
}

function timed(weaveOf: Weave, steps: readonly Step[]): StepOrder {
  return {
    steps: weaveOf.order.map(({ task, startMinutes, endMinutes }) => ({
      stepId: steps[task]!.id,
      startMinutes,
      endMinutes,
      dryMinutes: endMinutes + steps[task]!.waitMinutes,
    })),
    totalMinutes: weaveOf.totalMinutes,
    boundMinutes: weaveOf.boundMinutes,
    proven: weaveOf.proven,
  };
}

/**
 * Which step must wait for which: cleaning where it stands among all, finishing after all, the face in its
 * order, eyes by the school, and drying where they touch.
 */
export function linksOf(steps: readonly Step[], client: Client, schools: Look['schools']): Link[] {
  const covers = steps.map((step) => coverOf(step, client));
  const links: Link[] = [];
  for (let j = 1; j < steps.length; j++) {
    for (let i = 0; i < j; i++) {
      const [first, then] = [steps[i]!, steps[j]!];
      const lower = passesBy(first, then) ? covers[i]!.atFeatures : covers[i]!.all;
      const upper = passesBy(then, first) ? covers[j]!.atFeatures : covers[j]!.all;
      const touch = then.phase === 'finish' || boxesTouch(lower, upper);
      if (touch || keepsOrder(first, then, schools))
        links.push({ from: i, to: j, lagMinutes: touch ? first.waitMinutes : 0 });
    }
  }
  return links;
}

/**
 * Brows, eyes, lashes and lips: what is laid over the face leaves them out, so they need not wait for it to
 * dry. What is laid on them (a primer or concealer of the lids, a balm) they lie upon.
 */
const FEATURES: readonly Step['role'][] = ['brow', 'eye', 'liner', 'lash', 'lip', 'lip line'];
const passesBy = (face: Step, feature: Step): boolean =>
  FEATURES.includes(feature.role) && (face.phase === 'clean' || ON_FACE.includes(face.phase));

function keepsOrder({ phase: first }: Step, { phase: then }: Step, schools: Look['schools']): boolean {
  // What is cleaned before others, or after them (what fell from the lids), is so for a reason.
  if (first === 'clean' || then === 'clean') return true;
  const both = (group: readonly Step['phase'][]): boolean => group.includes(first) && group.includes(then);
  // Lips come when the base is on: what is pressed round the mouth afterwards would smear them.
  if (['correct', 'base', 'conceal'].includes(first) && then === 'lips') return true;
  if (both(ON_FACE) || both(ON_EYES) || first === then) return true;
  // Eyes first: nothing is laid on the face before shadow has fallen. Face first: no shadow before the base
  // is there and set, so that what falls can be swept off.
  if (schools.eyesOrFace === 'eyes first')
    return (ON_EYES.includes(first) || first === 'brows') && ON_FACE.includes(then);
  return ['prep', 'prime', 'correct', 'base', 'conceal', 'set'].includes(first) && ON_EYES.includes(then);
}

/** Care placed nowhere (a moisturiser, a mist) goes all over the face; any other layer covers nothing. */
const ALL_OVER: Step['placements'] = [{ guide: 'zone.wholeFace', side: 'both' }];
const placesOf = ({ role, phase, placements }: Step): Step['placements'] =>
  placements.length === 0 && role === 'care' && ON_FACE.includes(phase) ? ALL_OVER : placements;

/** Boxes round what a step covers, a side each; and round those of its places that are at eyes or lips. */
type Cover = { readonly all: readonly Box[]; readonly atFeatures: readonly Box[] };

function coverOf(step: Step, { landmarks, features }: Client): Cover {
  const boxed = (placement: Placement) => ({
    boxes: outlineOf(placement, landmarks, features).flatMap((shape) =>
      shape.region.filter((polygon) => polygon.length > 0).map(boxOf),
    ),
    atFeature: isAtEyesOrLips({ placements: [placement] }),
  });
  const all = placesOf(step).map(boxed);
  return {
    all: all.flatMap(({ boxes }) => boxes),
    atFeatures: all.flatMap(({ boxes, atFeature }) => (atFeature ? boxes : [])),
  };
}
