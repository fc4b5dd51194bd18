import { deltaE2000, depthOf, type Lab } from '../colour';
import { causeNamed } from '../faults';
import {
  basesFace,
  besideItsLip,
  bringsBaseTo,
  colourOfUse,
  EXACT_BY_POWDER,
  productsInWords,
  proposeProducts,
  toolInstead,
  type Chart,
  type FitContext,
  type Proposal,
  type Step,
} from '../look';
import { msg, term } from '../messages';
import { skinTarget, wantedColour } from '../shade';
import { withArticle } from '../withArticle';
import { barredOf, blockedOf, goneOf } from './blocked';
import { productChange, sideOf, type RefitChange } from './change';
import { inKit, lacks, newlyLacking } from './lacking';
import { goesTowards, towards } from './learned';
import { asOnSkinOf, isOther, wished, type Wish } from './wishes';

/**
 * A step is matched again only when that brings it closer by more than this: smaller is within reading noise.
 */
const WORTH_CHANGING = 0.5;

/**
 * What becomes of a step's product: kept, matched again, replaced, or exchanged for what was wished for at
 * the chair. `then` is what it was chosen for, by the kit and the day of now.
 */
export function matched(plan: Step, worn: Chart, context: FitContext, then: FitContext): RefitChange[] {
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
    id: productChange(step.id),
    stepId: step.id,
    title: step.title,
    kind,
    why,
    difference: [difference, proposal && withTool(laidWith(step, proposal, context))]
      .filter(Boolean)
      .join('; '),
    before: sideOf(step, off),
    after: proposal
      ? { words: productsInWords(proposal.use), lab: proposal.lab, deltaE: proposal.deltaE }
      : sideOf(step, off),
    part: proposal ? { of: 'step', stepId: step.id, set: laidWith(step, proposal, context) } : null,
  });
  const ranked = proposeProducts(step, context);
  // What is in no case any more is not replaced by what is in none either.
  const isGone = goneOf(step, context).length > 0;
  const isAtHand = ({ use }: Proposal): boolean => use.every(({ unitId }) => unitId !== null);
  const best = (isGone ? ranked.find(isAtHand) : ranked[0]) ?? null;
  const blocked = blockedOf(step, context);
  const closer = (to: Proposal): string =>
    off !== null && to.deltaE !== null && off.toFixed(1) !== to.deltaE.toFixed(1)
      ? msg`${off.toFixed(1)} off becomes ${to.deltaE.toFixed(1)}`
      : msg`another product`;
  if (blocked && !best && barredOf(step, context))
    return [
      {
        ...told(
          'without',
          msg`${blocked}, and the kit has nothing else for it: the step has no product until one is found.`,
          null,
        ),
        after: sideOf({ ...step, use: [] }),
        part: { of: 'step', stepId: step.id, set: { use: [] } },
      },
    ];
  if (blocked && !best)
    return [told('keep', msg`${blocked}, and the kit has nothing else for it. Decide at the chair.`, null)];
  const wish = wished(step, worn, context);
  if (blocked && wish?.proposal)
    return [told('learned', `${blocked}. ${wish.why}`, wish.proposal, wish.difference)];
  if (blocked && best) return [told('substitute', withUnmet(`${blocked}.`, wish), best, closer(best))];
  if (wish?.isSo) return [told('keep', wish.why, null)];
  if (wish?.proposal) return [told('learned', wish.why, wish.proposal, wish.difference)];
  const lacking = newlyLacking(step, worn, context, then);
  if (lacking && best && isOther(best, step) && !inKit(best, context).some((p) => lacks(p, lacking, context)))
    return [told(kindOf(best, step), withUnmet(`${lacking.words}.`, wish), best, closer(best))];
  if (!lacking && isForTheBase(step, worn, context))
    return [
      told('keep', withUnmet(msg`It was taken for the base, and still brings it to the skin.`, wish), null),
    ];
  const gain = best && off !== null && best.deltaE !== null ? off - best.deltaE : 0;
  if (!best || off === null || gain <= WORTH_CHANGING) {
    const why = lacking
      ? msg`${lacking.words}, and the kit has nothing better for it.`
      : off === null
        ? msg`Nothing speaks against it.`
        : msg`Still ${off.toFixed(1)} off; nothing in the kit is closer by more than ${WORTH_CHANGING}.`;
    return [told('keep', withUnmet(why, wish), null)];
  }
  const why = withUnmet(`${whyCloser(step, worn, context)}: ${closer(best)}.`, wish);
  const nearer = told(kindOf(best, step), why, best, msg`${gain.toFixed(1)} closer`);
  return [hasMoved(step, worn, context) ? nearer : { ...nearer, onlyIfAsked: true }];
}

/**
 * Whether what a step asks for is another colour than when its product was chosen. Where it is not, what was
 * worn was chosen, perhaps on purpose: something nearer waits for a yes.
 */
function hasMoved(step: Step, worn: Chart, { client, contrast }: FitContext): boolean {
  const { was, is } = askedThenAndNow(step, worn, { client, contrast });
  return !was || !is || deltaE2000(was, is) >= SAME_COLOUR;
}

/** What of a step changes with its product: its tool too, where it suited what was and not what comes. */
function laidWith(step: Step, { use }: Proposal, { client }: FitContext): Partial<Step> {
  const next = { use: [...use] };
  const suited = toolInstead(step, client) === null;
  const instead = suited ? toolInstead({ ...step, ...next }, client) : null;
  return instead ? { ...next, tool: instead.tool, technique: instead.technique } : next;
}

const withTool = ({ tool }: Partial<Step>): string | null =>
  tool === undefined ? null : msg`with ${withArticle(term(tool))}`;

/** What a step asked of the skin it was chosen for, and what it asks, perhaps otherwise, of that of now. */
function askedThenAndNow(
  step: Step,
  worn: Chart,
  { client, contrast }: Pick<FitContext, 'client' | 'contrast'>,
): { readonly was: Lab | null; readonly is: Lab | null } {
  const then = worn.steps.find(({ id }) => id === step.id) ?? step;
  return {
    was: wantedColour(then, worn.client, contrast),
    is: wantedColour(step, client, contrast),
  };
}

/** What becomes of a step, with what was chosen for it and cannot be had. */
const withUnmet = (why: string, wish: Wish | null): string => (wish ? `${why} ${wish.why}` : why);

/** Whether a powder was taken to bring the base to the skin, and does so on the skin of now. */
function isForTheBase(step: Step, worn: Chart, { client }: FitContext): boolean {
  const taken = worn.adaptations?.some(
    (a) => a.id === EXACT_BY_POWDER && a.stepId === step.id && a.refused !== true,
  );
  const base = worn.steps.find((one) => basesFace(one) && one.variant === undefined && one.use.length > 0);
  const [laid, skin] = [base && colourOfUse(base.use), skinTarget(client.skin)];
  return taken === true && !!laid && skin !== null && bringsBaseTo(skin, laid, step);
}

const kindOf = (next: Proposal, step: Step): 'remix' | 'substitute' =>
  next.use.length > 1 || step.use.length > 1 ? 'remix' : 'substitute';

/** Depth and colour of skin that differ by less are within reading noise. */
const SAME_STEPS = 0.05;
const SAME_COLOUR = 0.5;

/** What has moved since a step's colour was chosen: the skin, what is asked of it, or only the kit. */
function whyCloser(step: Step, worn: Chart, { client, contrast }: FitContext): string {
  const { was, is } = askedThenAndNow(step, worn, { client, contrast });
  if (!was || !is || deltaE2000(was, is) < SAME_COLOUR) return msg`The kit now has something closer`;
  const [before, now] = [worn.client, client].map(({ skin }) => skinTarget(skin));
  const moved = before && now ? depthOf(now) - depthOf(before) : 0;
  const by = depthOf(is) - depthOf(was);
  if (Math.abs(moved) >= SAME_STEPS && moved * by >= 0)
    return msg`The skin is ${Math.abs(moved).toFixed(1)} steps ${moved > 0 ? msg`deeper` : msg`lighter`} than when this was chosen`;
  return Math.abs(by) >= SAME_STEPS
    ? msg`What is asked here is ${Math.abs(by).toFixed(1)} steps ${by > 0 ? msg`deeper` : msg`lighter`} than when this was chosen`
    : msg`The skin here is of another colour than when this was chosen, ${deltaE2000(was, is).toFixed(1)} from it`;
}

/** So much nearer is seen, CIEDE2000. */
const NEARER = 0.3;

/**
 * A step that had no product, for which the kit has one now: offered, since the look was worn without. A
 * liner is offered where it is no ring round the lip that was worn.
 */
function foundSince(step: Step, worn: Chart, context: FitContext): RefitChange[] {
  const fits = besideItsLip(step, worn.steps);
  const found = proposeProducts(step, context).find(
    (one) => one.use.every(({ unitId }) => unitId !== null) && fits(one),
  );
  if (!found) return [];
  return [
    {
      id: productChange(step.id),
      stepId: step.id,
      title: step.title,
      kind: 'substitute',
      why: msg`It had no product; the kit has one for it now.`,
      difference: withTool(laidWith(step, found, context)) ?? '',
      before: sideOf(step),
      after: { words: productsInWords(found.use), lab: found.lab, deltaE: found.deltaE },
      part: { of: 'step', stepId: step.id, set: laidWith(step, found, context) },
      onlyIfAsked: true,
    },
  ];
}

/**
 * What was seen last time took the product out of a step: the kit's best for what the step now asks that is
 * not what it was, is what its cure asks for and goes the way its cure goes. Where there is none the old one
 * is put back, with that said, unless something speaks against it by now: then the step stays without.
 */
function foundAnew(step: Step, worn: Chart, context: FitContext): RefitChange[] {
  const was = worn.steps.find((s) => s.id === step.id);
  if (!was) return [];
  if (was.use.length === 0) return foundSince(step, worn, context);
  const former = new Set(was.use.map((u) => u.product.id));
  const lab = asOnSkinOf(was, worn, context);
  const another = (was.done?.deviations ?? []).flatMap(
    ({ fault }) => (fault && causeNamed(fault.seen, fault.cause)?.cause.another) ?? [],
  );
  const colour = another.find((one) => one.colour !== undefined)?.colour;
  const to = lab && colour && colour !== 'nearer' ? towards(step.role, colour, lab) : null;
  const asked = wantedColour(step, context.client, context.contrast);
  const goesThere = ({ lab: next }: Proposal): boolean => {
    if (!lab || !next) return true;
    if (to) return goesTowards(lab, to, next);
    return colour !== 'nearer' || !asked || deltaE2000(next, asked) < deltaE2000(lab, asked) - NEARER;
  };
  const snapshots = was.use.map(({ product }) => product);
  const suits = ({ use }: Proposal): boolean =>
    another.every((one) => !one.suits || use.every(({ product }) => one.suits!(product, snapshots)));
  const next = proposeProducts(to ? { ...step, outright: to } : step, context).find(
    (p) => !p.use.some((u) => former.has(u.product.id)) && suits(p) && goesThere(p),
  );
  const told = { id: productChange(step.id), stepId: step.id, title: step.title, before: sideOf(was) };
  if (!next) {
    const blocked = blockedOf(was, context);
    return [
      {
        ...told,
        kind: 'keep',
        why: blocked
          ? msg`${blocked}, and the kit has nothing else for it. Decide at the chair.`
          : msg`The kit has nothing else for it, so it stays. Decide at the chair.`,
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
      why: msg`Another product, after what was seen last time.`,
      difference:
        lab && next.lab
          ? msg`${deltaE2000(lab, next.lab).toFixed(1)} from what it was`
          : msg`another product`,
      after: { words: productsInWords(next.use), lab: next.lab, deltaE: next.deltaE },
      part: { of: 'step', stepId: step.id, set: { use: [...next.use] } },
    },
  ];
}
