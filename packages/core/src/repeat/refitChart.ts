import { deltaE2000, depthOf } from '../colour';
import type { Kit } from '../kit';
import {
  CHART_FORMAT,
  colourOfUse,
  forbidsOf,
  productsInWords,
  proposeProducts,
  type Chart,
  type ClientSnapshot,
  type FitContext,
  type Occasion,
  type Proposal,
  type Stamp,
  type Step,
} from '../look';
import { excludedBecause, setAside, skinTarget, wantedColour } from '../shade';
import { planFromWorn } from './planFromWorn';
import { acceptedRefit, NO_SIDE, notAsked, sideOf, type RefitChange } from './change';
import { chosenNextTime, DOSE_BY, goesTowards, wishedColour, type Chosen } from './learned';
import { reOrdered } from './reOrder';
import { rePlaced } from './rePlace';

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
 * A step is matched again only when that brings it closer by more than this: smaller is within reading noise.
 */
const WORTH_CHANGING = 0.5;

/**
 * The next version of a chart for a new date, from what was really worn. What the chair taught is carried;
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
  const planned = acceptedRefit(base, carried).steps;
  const coloured = planned.flatMap((step) => matched(step, worn, context));
  const placed = planned.flatMap((step) => rePlaced(step, client) ?? []);
  const wishes = worn.steps.flatMap(chosenChanges);
  const changes = [...carried, ...coloured, ...wishes, ...placed];
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
        difference: next ? differenceOf(plan, next) : 'the step falls away',
        before: sideOf(plan),
        after: sideOf(next),
        part: next
          ? { of: 'step', stepId: step.id, set: changedKeys(plan, next) }
          : { of: 'left out', stepId: step.id },
      },
    ];
  });
}

/** Only what differs, so that taking one change never takes back another. */
function changedKeys(before: Step, after: Step): Partial<Step> {
  const differs = (key: keyof Step): boolean => JSON.stringify(before[key]) !== JSON.stringify(after[key]);
  return Object.fromEntries(
    (Object.keys(after) as (keyof Step)[]).filter(differs).map((key) => [key, after[key]]),
  );
}

const same = (step: Step): string => step.use.map((u) => u.product.id).join();

function differenceOf(before: Step, after: Step): string {
  const [was, is] = [before.use, after.use].map((use) =>
    use.reduce((sum, u) => sum + u.parts * u.product.mgPerMeasure, 0),
  );
  const more = was && is !== undefined ? Math.round((is / was - 1) * 100) : 0;
  const minutes = after.handsOnMinutes + after.waitMinutes - before.handsOnMinutes - before.waitMinutes;
  return [
    same(before) === same(after) ? null : 'another product',
    more === 0 ? null : `${Math.abs(more)} % ${more > 0 ? 'more' : 'less'} product`,
    minutes === 0 ? null : `${Math.abs(minutes)} min ${minutes > 0 ? 'longer' : 'shorter'}`,
  ]
    .filter((part) => part !== null)
    .join(', ');
}

/**
 * What becomes of a step's product: kept, matched again, replaced, or exchanged for what was wished for at
 * the chair.
 */
function matched(plan: Step, worn: Chart, context: FitContext): RefitChange[] {
  const asksForNone = plan.wants.kinds.length === 0;
  if (plan.use.length === 0) return asksForNone ? [] : foundAnew(plan, worn, context);
  // A step that asks for nothing was done with something all the same: its like is what can stand in for it.
  const kinds = asksForNone ? [...new Set(plan.use.map((u) => u.product.kind))] : plan.wants.kinds;
  const step = { ...plan, wants: { ...plan.wants, kinds } };
  if (asksForNone && !blockedOf(step, context)) return [];
  const lab = colourOfUse(step.use);
  const wanted = wantedColour(step, context.client, context.contrast);
  const off = lab && wanted ? deltaE2000(lab, wanted) : null;
  const told = (
    kind: RefitChange['kind'],
    why: string,
    proposal: Proposal | null,
    difference = '',
  ): RefitChange => ({
    id: `${step.id} product`,
    stepId: step.id,
    title: step.title,
    kind,
    why,
    difference,
    before: sideOf(step, off),
    after: proposal
      ? { words: productsInWords(proposal.use), lab: proposal.lab, deltaE: proposal.deltaE }
      : sideOf(step, off),
    part: proposal ? { of: 'step', stepId: step.id, set: { use: [...proposal.use] } } : null,
  });
  const ranked = proposeProducts(step, context);
  const best = ranked[0] ?? null;
  const blocked = blockedOf(step, context);
  const closer = (to: Proposal): string =>
    off !== null && to.deltaE !== null
      ? `${off.toFixed(1)} off becomes ${to.deltaE.toFixed(1)}`
      : 'another product';
  if (blocked && !best)
    return [told('keep', `${blocked}, and the kit has nothing else for it. Decide at the chair.`, null)];
  if (blocked && best) return [told('substitute', `${blocked}.`, best, closer(best))];
  const kept = saidOf(step, worn).find(({ wish }) => wish === 'keep');
  if (kept) return [told('keep', quoted(kept), null)];
  const learned = wished(step, worn, context);
  if (learned) return [told('learned', learned.why, learned.proposal, learned.difference)];
  const gain = best && off !== null && best.deltaE !== null ? off - best.deltaE : 0;
  if (!best || off === null || gain <= WORTH_CHANGING) {
    const why =
      off === null
        ? 'Nothing speaks against it.'
        : `Still ${off.toFixed(1)} off; nothing in the kit is closer by more than ${WORTH_CHANGING}.`;
    return [told('keep', why, null)];
  }
  const oldWanted = wantedColour(step, worn.client);
  const moved = oldWanted && wanted ? depthOf(wanted) - depthOf(oldWanted) : 0;
  const skin =
    Math.abs(moved) < 0.05
      ? 'The kit now has something closer'
      : `The skin is ${Math.abs(moved).toFixed(1)} steps ${moved > 0 ? 'deeper' : 'lighter'} than when this was chosen`;
  return [
    told(
      best.use.length > 1 || step.use.length > 1 ? 'remix' : 'substitute',
      `${skin}: ${closer(best)}.`,
      best,
      `${gain.toFixed(1)} closer`,
    ),
  ];
}

/** What speaks against using a step's products at all; null when nothing does. */
const blockedOf = (step: Step, context: FitContext): string | null =>
  step.use.map((u) => blockedBecause(u.product.id, step, context)).find((reason) => reason !== null) ?? null;

/**
 * What was seen last time took the product out of a step: the kit's best for what the step now asks that is not what it
 * was, and lies on the side of it that was asked for. Where there is none the old one is put back, with that said, unless
 * something speaks against it by now: then the step stays without.
 */
function foundAnew(step: Step, worn: Chart, context: FitContext): RefitChange[] {
  const was = worn.steps.find((s) => s.id === step.id);
  if (!was || was.use.length === 0) return [];
  const former = new Set(was.use.map((u) => u.product.id));
  const lab = colourOfUse(was.use);
  const asked = lab && wantedColour(step, context.client, context.contrast);
  const before = lab && wantedColour(was, context.client, context.contrast);
  const moves = asked && before ? Math.sign(depthOf(asked) - depthOf(before)) : 0;
  const goesThere = (p: Proposal): boolean =>
    moves === 0 || !lab || !p.lab || Math.sign(depthOf(p.lab) - depthOf(lab)) === moves;
  const next = proposeProducts(step, context).find(
    (p) => !p.use.some((u) => former.has(u.product.id)) && goesThere(p),
  );
  const told = { id: `${step.id} product`, stepId: step.id, title: step.title, before: sideOf(was) };
  if (!next) {
    const blocked = blockedOf(was, context);
    return [
      {
        ...told,
        kind: 'keep',
        why: blocked
          ? `${blocked}, and the kit has nothing else for it. Decide at the chair.`
          : 'The kit has nothing else for it, so it stays. Decide at the chair.',
        difference: '',
        after: sideOf(blocked ? step : was),
        part: blocked ? null : { of: 'step', stepId: step.id, set: { use: was.use } },
      },
    ];
  }
  return [
    {
      ...told,
      kind: 'substitute',
      why: 'Another product, after what was seen last time.',
      difference:
        lab && next.lab ? `${deltaE2000(lab, next.lab).toFixed(1)} from what it was` : 'another product',
      after: { words: productsInWords(next.use), lab: next.lab, deltaE: next.deltaE },
      part: { of: 'step', stepId: step.id, set: { use: [...next.use] } },
    },
  ];
}

const saidOf = (step: Step, worn: Chart): Chosen[] =>
  chosenNextTime(worn.steps.find((s) => s.id === step.id)?.done?.deviations ?? []);
const quoted = ({ wish, sentence }: Chosen): string =>
  `Chosen for next time: ${wish}.${sentence === '' ? '' : ` “${sentence}”`}`;

/**
 * The kit's nearest to the colour that was chosen for next time, when it goes that way far enough; another
 * product where that was chosen.
 */
function wished(
  step: Step,
  worn: Chart,
  context: FitContext,
): { readonly proposal: Proposal; readonly why: string; readonly difference: string } | null {
  const chosen = saidOf(step, worn);
  const lab = colourOfUse(step.use);
  const own = new Set(step.use.map((u) => u.product.id));
  const other = chosen.find(({ wish }) => wish === 'other product');
  if (other) {
    const next = proposeProducts(step, context).find((p) => !p.use.some((u) => own.has(u.product.id)));
    return next ? { proposal: next, why: quoted(other), difference: 'another product' } : null;
  }
  const wish = wishedColour(step, lab, chosen);
  if (!lab || !wish) return null;
  const next = proposeProducts({ ...step, shade: { lab: [...wish.lab] } }, context).find(
    (p) => p.lab && goesTowards(lab, wish.lab, p.lab),
  );
  if (!next?.lab) return null;
  return {
    proposal: next,
    why: `${quoted(wish.chosen)} The kit’s nearest that is ${wish.chosen.wish}.`,
    difference: `${wish.chosen.wish} by ${deltaE2000(lab, next.lab).toFixed(1)}`,
  };
}

/** What was chosen of amount, place and presence: more, less, left out, another place. */
function chosenChanges(worn: Step): RefitChange[] {
  const { done, ...step } = worn;
  return chosenNextTime(done?.deviations ?? []).flatMap((chosen): RefitChange[] => {
    const told = {
      stepId: step.id,
      title: step.title,
      kind: 'learned' as const,
      why: quoted(chosen),
      before: NO_SIDE,
      after: NO_SIDE,
    };
    switch (chosen.wish) {
      case 'more':
      case 'less':
        return [
          {
            ...told,
            id: `${step.id} amount`,
            difference: `${chosen.wish === 'more' ? '30 % more' : 'a quarter less'} product`,
            part: { of: 'amount', stepId: step.id, by: DOSE_BY[chosen.wish] },
          },
        ];
      case 'leave out':
        return [
          {
            ...told,
            id: `${step.id} left out`,
            difference: 'the step falls away',
            after: sideOf(undefined),
            part: { of: 'left out', stepId: step.id },
          },
        ];
      case 'other place':
        return [
          { ...told, id: `${step.id} other place`, difference: 'place it on the face anew', part: null },
        ];
      default:
        return [];
    }
  });
}

function blockedBecause(productId: string, step: Step, context: FitContext): string | null {
  const product = context.kit.products.find((p) => p.id === productId);
  if (!product) return 'It is no longer in the kit';
  const reason = excludedBecause(product, step, context);
  return reason ? `${product.line} ${product.shade}: ${reason}` : null;
}
