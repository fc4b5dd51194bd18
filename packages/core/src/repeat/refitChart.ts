import { deltaE2000, depthOf } from '../colour';
import type { Kit } from '../kit';
import {
  CHART_FORMAT,
  contextOf,
  forbidsOf,
  type Chart,
  type ClientSnapshot,
  type FitContext,
  type Occasion,
  type Stamp,
} from '../look';
import { msg } from '../messages';
import { setAside, skinTarget } from '../shade';
import { askedAgain } from './askedAgain';
import { acceptedRefit, notAsked, sideOf, type RefitChange } from './change';
import { changedKeys, differenceOf } from './difference';
import { keptApart } from './apartAgain';
import { matched } from './matchAgain';
import { planFromWorn } from './planFromWorn';
import { reOrdered } from './reOrder';
import { rePlaced } from './rePlace';
import { chosenChanges } from './wishes';

export type Refit = {
  /**
   * The next version with nothing taken yet: the plan as it was, for the new day and the client as she is.
   */
  readonly base: Chart;
  /** What is kept and proposed, in the order it is taken. */
  readonly changes: readonly RefitChange[];
  /**
   * The next version with everything taken that needs no asking: an order is proposed and waits for a yes.
   */
  readonly chart: Chart;
  /** How her skin has moved since the chart was made; null when either was never read. */
  readonly drift: { readonly deltaE: number; readonly stepsDeeper: number } | null;
};

/**
 * The next version of a chart for a new date, from what was really worn. What the chair taught is carried;
 * what the client's face, skin and day ask now and did not is done, and what they ask no longer taken back;
 * steps whose colour no longer agrees with the newest reading are matched again; products that cannot be used
 * are replaced; places that leave the limits of the face as it is now are moved; the order follows what now
 * speaks for another. Each is a change of its own that can be refused.
 */
export function refitChart(
  worn: Chart,
  client: ClientSnapshot,
  kit: Kit,
  occasion: Occasion,
  stamp: Stamp & { readonly version: number },
): Refit {
  const base: Chart = {
    ...worn,
    format: CHART_FORMAT,
    id: stamp.id,
    version: stamp.version,
    parent: stamp.version - 1,
    author: stamp.author,
    at: stamp.at,
    reason: stamp.reason,
    client,
    occasion,
    steps: worn.steps.map(({ done: _done, ...plan }) => plan),
    findings: [],
  };
  const context: FitContext = {
    client,
    kit: { ...kit, products: setAside(kit.products).sound },
    date: occasion.date,
    occasion,
    forbids: forbidsOf(worn),
    contrast: worn.schools.contrast,
  };
  const carried = carriedChanges(worn);
  const asked = askedAgain(acceptedRefit(base, carried), worn, kit);
  const planned = acceptedRefit(base, [...carried, ...asked]).steps;
  // What comes has just been chosen for.
  const had = new Set(worn.steps.map(({ id }) => id));
  const then: FitContext = { ...contextOf(worn, kit), kit: context.kit, date: context.date };
  const matches = planned
    .filter(({ id }) => had.has(id))
    .flatMap((step) => matched(step, worn, context, then));
  const asMatched = acceptedRefit(base, [...carried, ...asked, ...matches], notAsked(matches)).steps;
  const coloured = keptApart(matches, worn.steps, asMatched, context);
  const placed = planned.flatMap((step) => rePlaced(step, client) ?? []);
  const wishes = worn.steps.flatMap(chosenChanges);
  const changes = [...carried, ...asked, ...coloured, ...wishes, ...placed];
  const ordered = reOrdered(acceptedRefit(base, changes), worn, kit);
  const all = [...changes, ...ordered];
  const [before, now] = [skinTarget(worn.client.skin), skinTarget(client.skin)];
  return {
    base,
    changes: all,
    chart: acceptedRefit(base, all, notAsked(all)),
    drift:
      before && now ? { deltaE: deltaE2000(before, now), stepsDeeper: depthOf(now) - depthOf(before) } : null,
  };
}

/** What was done otherwise at the chair, as changes of the plan; what was only noted is carried as a note. */
function carriedChanges(worn: Chart): RefitChange[] {
  const { steps, carried } = planFromWorn(worn);
  return worn.steps.flatMap((step): RefitChange[] => {
    const told = carried.filter((c) => c.stepId === step.id).map((c) => c.what);
    if (told.length === 0) return [];
    const { done: _done, ...plan } = step;
    const next = steps.find((s) => s.id === step.id);
    return [
      {
        id: `${step.id} carried`,
        stepId: step.id,
        title: step.title,
        kind: 'carried',
        why: told.join('; ').replace(/\.?”?$/, (end) => (end === '.”' ? end : `${end}.`)),
        difference: next ? differenceOf(plan, next) : msg`the step falls away`,
        before: sideOf(plan),
        after: sideOf(next),
        part: next
          ? { of: 'step', stepId: step.id, set: changedKeys(plan, next) }
          : { of: 'left out', stepId: step.id },
      },
    ];
  });
}
