import type { Kit } from '../../kit';
import { amountAsked } from '../amountAsked';
import {
  forbidsOf,
  type Adaptation,
  type Chart,
  type ClientSnapshot,
  type Occasion,
  type Step,
} from '../document';
import { withOccasion } from '../occasion';
import { layingRank } from '../phaseOrder';
import { proposeProducts } from '../propose';
import { contextOf } from '../studioContext';
import { adaptedStep, adaptedTo, derivedId } from './adaptLook';
import { DAY_ADAPTERS, DAY_ADDERS } from './day';
import type { AdaptTo } from './adapter';
import { withoutAdaptations } from './refuse';

export type FollowedDay = {
  readonly chart: Chart;
  /** What the day now asks and did not before. */
  readonly come: readonly Adaptation[];
  /** What it asked and asks no longer. */
  readonly gone: readonly Adaptation[];
};

const DAY_IDS: ReadonlySet<string> = new Set([...DAY_ADAPTERS, ...DAY_ADDERS].map(({ id }) => id));
const isOfDay = ({ id }: Pick<Adaptation, 'id'>): boolean => DAY_IDS.has(id);
const keyOf = ({ id, stepId }: Pick<Adaptation, 'id' | 'stepId'>): string => `${id} ${stepId}`;

/**
 * A chart made for another occasion, as far as the day itself decides: what the old day had changed of its
 * steps is taken back, what the new one asks is done, each by name as when it was fitted. What was refused
 * stays refused, what was changed by hand stays, and products stay but for a step that is added.
 */
export function followDay(chart: Chart, occasion: Occasion, kit: Kit): FollowedDay {
  const next = withOccasion(chart, occasion);
  const before = chart.adaptations ?? [];
  // Refused on one step it may still be wanted on another.
  const refused = new Set(before.filter((a) => isOfDay(a) && a.refused).map(keyOf));
  const to = adaptedTo(
    { name: chart.look.name, forbids: forbidsOf(chart), schools: chart.schools, steps: chart.steps },
    chart.client,
    occasion,
  );
  const made: Adaptation[] = [];
  const added = before.filter((a) => isOfDay(a) && a.change === 'added' && !a.refused);
  const standing = withDaySteps(next, added, refused, to, made);
  const here = new Set(chart.steps.map(({ id }) => id));
  const steps = standing.map((step) => {
    const mine = before.filter((a) => isOfDay(a) && a.stepId === step.id && a.change === 'changed');
    const now = adaptedToDay(withoutAdaptations(step, mine), to, refused, made);
    return here.has(step.id) ? inAmountAsked(step, now, chart.client) : bound(now, next, kit);
  });
  const kept = before.filter((a) => !isOfDay(a) || a.refused);
  const had = before.filter((a) => isOfDay(a) && !a.refused && here.has(a.stepId));
  const adaptations = [...kept, ...made];
  const { adaptations: _old, ...rest } = next;
  return {
    chart: { ...rest, steps, ...(adaptations.length > 0 ? { adaptations } : {}) },
    come: made.filter((a) => !had.some((b) => keyOf(b) === keyOf(a))),
    gone: had.filter((a) => !made.some((b) => keyOf(b) === keyOf(a))),
  };
}

/** A step that was just added, with the kit's best product for it. */
function bound(step: Step, chart: Chart, kit: Kit): Step {
  return { ...step, use: [...(proposeProducts(step, contextOf(chart, kit))[0]?.use ?? [])] };
}

/**
 * The products of a step in the amount it asks for now, where they stood in the amount it asked for before.
 */
export function inAmountAsked(before: Step, now: Step, client: ClientSnapshot): Step {
  if (before.doseMgPerCm2 === now.doseMgPerCm2 && before.passes === now.passes) return now;
  const [was, is] = [amountAsked(before, client), amountAsked(now, client)];
  const untouched = was !== null && before.use.every((u, i) => u.parts === was.use[i]?.parts);
  return untouched && is ? { ...now, use: [...is.use] } : now;
}

/** The step as the day asks for it; what that changes is added to `made`. */
function adaptedToDay(step: Step, to: AdaptTo, refused: ReadonlySet<string>, made: Adaptation[]): Step {
  const asks = (id: string): boolean => DAY_IDS.has(id) && !refused.has(keyOf({ id, stepId: step.id }));
  const adapted = adaptedStep(step, to, asks);
  made.push(...adapted.made);
  return adapted.step;
}

/** The steps, without those only the old day asked for, and with those the new one asks for. */
function withDaySteps(
  chart: Chart,
  added: readonly Adaptation[],
  refused: ReadonlySet<string>,
  to: AdaptTo,
  made: Adaptation[],
): readonly Step[] {
  const rank = layingRank(chart.schools);
  const ofOldDay = new Map(added.map((a) => [a.stepId, a]));
  let steps: readonly Step[] = chart.steps.filter((step) => !ofOldDay.has(step.id));
  for (const adder of DAY_ADDERS) {
    adder.add(steps, to).forEach((asked, n) => {
      const id = derivedId(chart.look.id, `${adder.id} ${n}`);
      if (refused.has(keyOf({ id: adder.id, stepId: id }))) return;
      made.push({ id: adder.id, stepId: id, change: 'added', words: asked.words, why: asked.why });
      // One that was there already keeps its product and its place.
      const there = chart.steps.find((step) => step.id === id);
      const plan = { ...asked.step, id };
      const step: Step = there ?? { ...plan, use: [] };
      const place = there
        ? chart.steps.slice(0, chart.steps.indexOf(there)).filter((s) => !ofOldDay.has(s.id)).length
        : steps.findIndex((s) => rank(s) > rank(step));
      const at = place < 0 ? steps.length : place;
      steps = [...steps.slice(0, at), step, ...steps.slice(at)];
    });
  }
  return steps;
}
