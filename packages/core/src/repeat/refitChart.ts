import { deltaE2000, depthOf } from '../colour';
import { productName, type Kit, type Product } from '../kit';
import {
  basesFace,
  bringsBaseTo,
  CHART_FORMAT,
  colourOfUse,
  contextOf,
  EXACT_BY_POWDER,
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
import { msg, term } from '../messages';
import { barredBecause, excludedBecause, needsMissed, setAside, skinTarget, wantedColour } from '../shade';
import { askedAgain } from './askedAgain';
import { changedKeys, differenceOf } from './difference';
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
  const coloured = planned
    .filter(({ id }) => had.has(id))
    .flatMap((step) => matched(step, worn, context, then));
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

/**
 * What becomes of a step's product: kept, matched again, replaced, or exchanged for what was wished for at
 * the chair. `then` is what it was chosen for, by the kit and the day of now.
 */
function matched(plan: Step, worn: Chart, context: FitContext, then: FitContext): RefitChange[] {
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
  if (blocked && best) return [told('substitute', `${blocked}.`, best, closer(best))];
  const kept = saidOf(step, worn).find(({ wish }) => wish === 'keep');
  if (kept) return [told('keep', quoted(kept), null)];
  const learned = wished(step, worn, context);
  if (learned) return [told('learned', learned.why, learned.proposal, learned.difference)];
  const lacking = newlyLacking(step, worn, context, then);
  if (lacking && best && isOther(best, step) && !inKit(best, context).some((p) => lacks(p, lacking, context)))
    return [told(kindOf(best, step), `${lacking.words}.`, best, closer(best))];
  if (!lacking && isForTheBase(step, worn, context))
    return [told('keep', msg`It was taken for the base, and still brings it to the skin.`, null)];
  const gain = best && off !== null && best.deltaE !== null ? off - best.deltaE : 0;
  if (!best || off === null || gain <= WORTH_CHANGING) {
    const why = lacking
      ? msg`${lacking.words}, and the kit has nothing better for it.`
      : off === null
        ? msg`Nothing speaks against it.`
        : msg`Still ${off.toFixed(1)} off; nothing in the kit is closer by more than ${WORTH_CHANGING}.`;
    return [told('keep', why, null)];
  }
  return [
    told(
      kindOf(best, step),
      `${whyCloser(step, worn, context)}: ${closer(best)}.`,
      best,
      msg`${gain.toFixed(1)} closer`,
    ),
  ];
}

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
const isOther = (next: Proposal, step: Step): boolean =>
  next.use.map((u) => u.product.id).join() !== step.use.map((u) => u.product.id).join();

/** Depth and colour of skin that differ by less are within reading noise. */
const SAME_STEPS = 0.05;
const SAME_COLOUR = 0.5;

/** What has moved since a step's colour was chosen: the skin, what is asked of it, or only the kit. */
function whyCloser(step: Step, worn: Chart, { client, contrast }: FitContext): string {
  const [was, is] = [worn.client, client].map((who) => wantedColour(step, who, contrast));
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

/**
 * What a step's products lack of what is asked now and was not: by the client, by the day, or by the step
 * itself.
 */
type Lacking = { readonly needs: ReadonlySet<string>; readonly step: Step; readonly words: string };

function newlyLacking(step: Step, worn: Chart, context: FitContext, then: FitContext): Lacking | null {
  const before = worn.steps.find(({ id }) => id === step.id);
  if (!before) return null;
  const found = inKit(step, context).flatMap((product) => {
    const known = new Set(missedBy(product, before, then).map(({ what }) => what));
    const missed = missedBy(product, step, context).filter(({ what }) => !known.has(what));
    return missed.length === 0 ? [] : [{ product, missed }];
  });
  if (found.length === 0) return null;
  return {
    needs: new Set(found.flatMap(({ missed }) => missed.map(({ what }) => what))),
    step,
    words: found
      .map(({ product, missed }) => `${productName(product)}: ${missed.map(({ words }) => words).join('; ')}`)
      .join('; '),
  };
}

const inKit = ({ use }: Pick<Step, 'use'> | Proposal, { kit }: FitContext): readonly Product[] =>
  use.flatMap((u) => kit.products.find(({ id }) => id === u.product.id) ?? []);

const lacks = (product: Product, { needs, step }: Lacking, context: FitContext): boolean =>
  missedBy(product, step, context).some(({ what }) => needs.has(what));

/**
 * What is asked of a product that it does not have: what it is made of and how it finishes, what client and
 * day ask.
 */
function missedBy(
  product: Product,
  { wants }: Step,
  context: FitContext,
): readonly { readonly what: string; readonly words: string }[] {
  if (product.kind === 'adjuster') return [];
  const has = <T extends string>(what: string, asked: readonly T[] | undefined, is: T) =>
    asked === undefined || asked.length === 0 || asked.includes(is)
      ? []
      : [{ what, words: msg`${term(is)}, not ${asked.map((one) => term(one)).join(msg` or `)}` }];
  return [
    ...has('finish', wants.finishes, product.finish),
    ...has('texture', wants.textures, product.texture),
    ...needsMissed(product, context),
  ];
}

/**
 * What speaks against using a step's products at all, first what the client must not meet, whether it is
 * still in the kit or not; null when nothing does.
 */
const blockedOf = (step: Step, context: FitContext): string | null =>
  barredOf(step, context) ??
  step.use.map((u) => blockedBecause(u.product.id, step, context)).find((reason) => reason !== null) ??
  null;

/** Which of a step's products its client must not meet there, and why; null when none. */
const barredOf = (step: Step, { client }: FitContext): string | null =>
  step.use
    .map(({ product }) => {
      const why = barredBecause(product, step, client);
      return why ? `${product.line} ${product.shade}: ${why}` : null;
    })
    .find((reason) => reason !== null) ?? null;

/**
 * What was seen last time took the product out of a step: the kit's best for what the step now asks that is
 * not what it was, and lies on the side of it that was asked for. Where there is none the old one is put
 * back, with that said, unless something speaks against it by now: then the step stays without.
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

const saidOf = (step: Step, worn: Chart): Chosen[] =>
  chosenNextTime(worn.steps.find((s) => s.id === step.id)?.done?.deviations ?? []);
const quoted = ({ wish, sentence }: Chosen): string =>
  msg`Chosen for next time: ${term(wish)}.${sentence === '' ? '' : ` “${sentence}”`}`;

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
    return next ? { proposal: next, why: quoted(other), difference: msg`another product` } : null;
  }
  const wish = wishedColour(step, lab, chosen);
  if (!lab || !wish) return null;
  const next = proposeProducts({ ...step, shade: { lab: [...wish.lab] } }, context).find(
    (p) => p.lab && goesTowards(lab, wish.lab, p.lab),
  );
  if (!next?.lab) return null;
  return {
    proposal: next,
    why: msg`${quoted(wish.chosen)} The kit’s nearest that is ${term(wish.chosen.wish)}.`,
    difference: msg`${term(wish.chosen.wish)} by ${deltaE2000(lab, next.lab).toFixed(1)}`,
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
            difference: msg`${chosen.wish === 'more' ? msg`30 % more` : msg`a quarter less`} product`,
            part: { of: 'amount', stepId: step.id, by: DOSE_BY[chosen.wish] },
          },
        ];
      case 'leave out':
        return [
          {
            ...told,
            id: `${step.id} left out`,
            difference: msg`the step falls away`,
            after: sideOf(undefined),
            part: { of: 'left out', stepId: step.id },
          },
        ];
      case 'other place':
        return [
          { ...told, id: `${step.id} other place`, difference: msg`place it on the face anew`, part: null },
        ];
      default:
        return [];
    }
  });
}

/**
 * Why a product cannot be used again. What it was used for is not asked: it was done with that, on purpose or
 * in a mix.
 */
function blockedBecause(productId: string, step: Step, context: FitContext): string | null {
  const product = context.kit.products.find((p) => p.id === productId);
  if (!product) return msg`It is no longer in the kit`;
  const usedAs = { ...step, wants: { ...step.wants, kinds: [product.kind] } };
  const reason = excludedBecause(product, usedAs, context);
  return reason ? `${product.line} ${product.shade}: ${reason}` : null;
}
