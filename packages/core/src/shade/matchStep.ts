import { mindedInShort, toBeMinded } from '../care';
import {
  deltaE2000,
  depthOf,
  labUnder,
  matchBase,
  reconstructSpectrum,
  shiftDepth,
  undertoneOf,
  type Lab,
  type Mix,
  type Spectrum,
} from '../colour';
import { propertiesOf, smallestMg, type Product } from '../kit';
import { messagesIn } from '../messages';
import type { AnswerPart, CostPart, ShadeAnswer, StepMatch } from './answers';
import { dayOf } from './day';
import { asLaid, isClear, shareSeen } from './clearPowder';
import { gapOf, isMixable } from './gap';
import { isColoured, mixTableOf, nearestToStir, type Coloured } from './mixTables';
import { layOver, mixedOptics, opticsOf } from './optics';
import { measuresToCover, needOf, roundsToCover, type Need } from './portions';
import { missesOf, type Miss, type Wearer } from './ranges';
import { shadeRoleOf, type ShadeAsk, type ShadeRole } from './skinRole';
import { skinTarget } from './skinTarget';
import {
  amountCosts,
  BY_DEPTH,
  colourCosts,
  COST,
  flashCosts,
  mixCosts,
  productCosts,
  stockCosts,
  TOO_SMALL_TO_CAST,
  worstOf,
} from './stepCosts';
import { wantedColour } from './target';
import { isUnread, wouldGuess } from './unread';
import { excludedBecause, mindsLenses, unitToTake, type ShadeContext } from './usable';
import { worthStirring } from './worthStirring';

const UNREAD: CostPart = messagesIn(['words'], {
  part: 'colour',
  units: COST.unread,
  words: 'its colour is not read',
});

const AS_SKIN_ROUND_IT: CostPart = messagesIn(['words'], {
  part: 'depth',
  units: COST.asSkin,
  words: 'as deep as the skin round it: it covers, and does not brighten',
});

/** Mixes looked at by their cost after the table has ranked them by colour. */
const MIXES_JUDGED = 24;

export type MatchStepOptions = {
  readonly count?: number;
  /** Only these products. */
  readonly among?: (product: Product) => boolean;
  /** Also what is out of range, judged; otherwise only where nothing is in it. */
  readonly outside?: boolean;
};

type Members = readonly { readonly product: Product; readonly measures: number }[];

/** What judges every candidate for a step on this client: worked out once for the step. */
export type StepJudge = {
  readonly role: ShadeRole | null;
  readonly target: Lab | null;
  readonly wearer: Wearer | null;
  readonly need: Need;
  /** How a product or mix leaves the range of its role here; empty when it keeps it. */
  readonly misses: (members: Members, lab: Lab | null) => readonly Miss[];
  /** Whether a concealer that was to brighten covers all the same, as deep as the skin. */
  readonly matchesSkin: (members: Members, lab: Lab | null) => boolean;
  readonly judge: (members: Members, lab: Lab | null, deltaE?: number | null) => ShadeAnswer;
  /** An answer with what shows on her skin. */
  readonly seen: (answer: ShadeAnswer) => ShadeAnswer;
};

/**
 * Roles whose range, when something is proposed, is one of the pan's own colour: no film has to be worked
 * out.
 */
const BY_OWN: readonly ShadeRole[] = [
  'base',
  'deeper edge',
  'lighter centre',
  'brow',
  'lid',
  'socket',
  'light',
];

type OnSkin = { readonly skin: Lab | null; readonly ground: Spectrum | null; readonly wearer: Wearer | null };
const skins = new WeakMap<ShadeContext, OnSkin>();

/** Her skin as colours are judged on it: once for a context. */
function skinOf(context: ShadeContext): OnSkin {
  let held = skins.get(context);
  if (!held) {
    const { client, contrast = 'soft' } = context;
    const skin = skinTarget(client.skin);
    const wearer = skin
      ? {
          skin,
          undertone: undertoneOf(client.skin.neck ?? skin).undertone,
          features: client.features,
          contrast,
        }
      : null;
    skins.set(
      context,
      (held = { skin, wearer, ground: skin ? reconstructSpectrum(skin, 'D65', 'skin').spectrum : null }),
    );
  }
  return held;
}

/**
 * The one cost: how near a product or mix comes to what the step asks on this client that day, by named
 * parts.
 */
export function judgeFor(ask: ShadeAsk, context: ShadeContext): StepJudge {
  const { client } = context;
  const { skin, ground, wearer } = skinOf(context);
  const role = shadeRoleOf(ask);
  const target = wantedColour(ask, client, context.contrast ?? 'soft');
  const need = needOf(ask, client);
  const asked = ask.shade !== null && 'relative' in ask.shade ? ask.shade.relative.depthSteps : null;
  const dose = ask.doseMgPerCm2 * ask.passes;
  const day = context.occasion ? dayOf(context.occasion) : null;
  const memberCosts = new Map<string, readonly CostPart[]>();
  const costsOf = (product: Product): readonly CostPart[] => {
    let costs = memberCosts.get(product.id);
    if (!costs) memberCosts.set(product.id, (costs = productCosts(product, ask, context)));
    return costs;
  };
  const byFilm = role !== null && !BY_OWN.includes(role);
  const shownOf = (members: Members, lab: Lab | null): Lab | null => {
    if (!ground || !lab || dose === 0) return lab;
    const coloured = members.flatMap(({ product, measures }) => {
      const laid = asLaid(product);
      return isColoured(laid) ? [{ product: laid, mg: measures * product.mgPerMeasure }] : [];
    });
    return coloured.length === 0
      ? lab
      : labUnder(
          layOver(
            ground,
            coloured.length === 1 ? opticsOf(coloured[0]!.product) : mixedOptics(coloured),
            dose * shareSeen(members.map(({ product }) => product)),
          ),
          'D65',
        );
  };
  const missesAs = (
    of: ShadeRole | null,
    members: Members,
    lab: Lab | null,
    shown: Lab | null,
  ): readonly Miss[] =>
    of && wearer && lab && shown
      ? missesOf(
          of,
          { own: isAllClear(members) ? shown : lab, shown, finish: leadOf(members).finish },
          wearer,
          'propose',
          asked,
        )
      : [];
  const missesIn = (members: Members, lab: Lab | null, shown: Lab | null): readonly Miss[] =>
    missesAs(role, members, lab, shown);
  return {
    role,
    target,
    wearer,
    need,
    misses: (members, lab) => missesIn(members, lab, byFilm ? shownOf(members, lab) : lab),
    matchesSkin: (members, lab) =>
      role === 'brighten' &&
      ask.role === 'conceal' &&
      missesAs('cover', members, lab, shownOf(members, lab)).length === 0,
    seen: (answer) => {
      if (byFilm) return answer;
      const shown = shownOf(answer.parts, answer.lab);
      return {
        ...answer,
        shown,
        steps:
          skin && answer.lab && shown
            ? { own: depthOf(answer.lab) - depthOf(skin), shown: depthOf(shown) - depthOf(skin) }
            : null,
      };
    },
    judge: (members, lab, given) => {
      const clear = isAllClear(members);
      const deltaE = given !== undefined ? given : target && lab ? deltaE2000(target, lab) : null;
      // Where the film decides nothing it is worked out for the answers alone, by `seen`.
      const shown = byFilm ? shownOf(members, lab) : lab;
      const steps =
        skin && lab && shown
          ? { own: depthOf(lab) - depthOf(skin), shown: depthOf(shown) - depthOf(skin) }
          : null;
      const parts = members.map(({ product, measures }): AnswerPart => ({
        product,
        measures,
        unit: unitToTake(product, context),
      }));
      const madeMg = members.reduce((sum, { product, measures }) => sum + measures * product.mgPerMeasure, 0);
      const costs = [
        ...(TOO_SMALL_TO_CAST.includes(ask.role) ? [] : flashCosts(members, ground, dose, day)),
        ...colourCosts(role, target, lab, steps, deltaE, wearer),
        ...(target && members.some(({ product }) => isUnread(product)) ? [UNREAD] : []),
        ...worstOf(members.map(({ product }) => costsOf(product))),
        ...mixCosts(members),
        ...amountCosts(members, madeMg, need),
        ...stockCosts(parts),
      ];
      return {
        parts,
        lab: clear ? null : lab,
        shown,
        deltaE: clear ? null : deltaE,
        steps,
        need,
        madeMg,
        cost: costs.reduce((sum, c) => sum + c.units, 0),
        costs,
        misses: missesIn(members, lab, shown),
      };
    },
  };
}

/** In the pan a clear powder is white, and says nothing of what is seen. */
const isAllClear = (members: Members): boolean => members.every(({ product }) => isClear(product));

const leadOf = (members: readonly { readonly product: Product; readonly measures: number }[]): Product =>
  members.reduce((a, b) =>
    b.measures * b.product.mgPerMeasure > a.measures * a.product.mgPerMeasure ? b : a,
  ).product;

/**
 * The kit's answer to a step on this client that day, the same for fitting, matching, sculpting and
 * substituting: what cannot be used is ruled out with why, what leaves the range of its role is not proposed,
 * the rest is ranked by one cost. Where nothing is left, or only what nobody has read the colour of, the gap
 * is told.
 */
export function matchStep(ask: ShadeAsk, context: ShadeContext, options: MatchStepOptions = {}): StepMatch {
  const { count = 6, among = () => true } = options;
  const ofKind = context.kit.products.filter((p) => ask.wants.kinds.includes(p.kind) && among(p));
  const judged = ofKind.map((product) => ({ product, why: excludedBecause(product, ask, context) }));
  const usable = judged.flatMap(({ product, why }) => (why === null ? [product] : []));
  const ruledOut = judged.flatMap(({ product, why }) => (why === null ? [] : [{ product, why }]));
  const stepJudge = judgeFor(ask, context);
  const { role, target, need, judge } = stepJudge;
  // A step that asks for a colour takes nothing without one while there is something with.
  const seen =
    target !== null && usable.some((p) => p.lab !== null)
      ? usable.filter((p) => p.lab !== null || isClear(p))
      : usable;
  const measured = seen.map((product) => ({
    product,
    measures: need.takenMg > 0 ? measuresToCover(product, need.takenMg) : 1,
  }));
  const labOf = ({ product }: (typeof measured)[number]): Lab | null => asLaid(product).lab;
  const kept = measured.filter((member) => stepJudge.misses([member], labOf(member)).length === 0);
  const inRange = kept.map((member) => judge([member], labOf(member))).sort(byCost);
  const wantsMixes =
    target !== null &&
    (ask.wants.mix === true || (!inRange.some(isOwned) && role !== null && isMixable(ask)));
  const mixes = wantsMixes
    ? worthStirring(mixesOf(ask, usable, context, stepJudge, target), inRange.filter(isOwned))
    : [];
  // The best of both kinds is always among them: a single bottle is quicker, a mix often nearer.
  const stirred = mixes.slice(0, Math.ceil(count / 2));
  const asked = [...inRange.slice(0, count - stirred.length), ...stirred].sort(byCost);
  // What is dark is covered by the skin's own depth; lighter only brightens.
  const matching = asked.some(isOwned)
    ? []
    : measured.filter((m) => !kept.includes(m) && stepJudge.matchesSkin([m], labOf(m)));
  const answers = [...asked, ...matching.map((m) => asSkinRoundIt(judge([m], labOf(m))))].sort(byCost);
  const unread = answers.filter((a) => isOwned(a) && a.parts.some(({ product }) => isUnread(product)));
  const guess = wouldGuess(
    unread.map(({ parts }) => parts[0]!.product),
    target,
    role,
  );
  const isGap =
    ask.wants.kinds.length > 0 && !answers.some((a) => isOwned(a) && !(guess && unread.includes(a)));
  const outside =
    isGap || options.outside === true
      ? measured
          .filter((member) => !kept.includes(member) && !matching.includes(member))
          .map((member) => judge([member], labOf(member)))
          .sort((a, b) => overall(a) - overall(b) || a.cost - b.cost)
      : [];
  return {
    role,
    target,
    answers: answers.map(stepJudge.seen),
    outside: outside.map(stepJudge.seen),
    ruledOut,
    gap: isGap
      ? gapOf({
          ask,
          role,
          target,
          notOwned: guess ? null : (answers[0] ?? null),
          unread: guess ? unread.map(({ parts }) => parts[0]!.product) : [],
          passedOver: usable.filter(
            (p) => !seen.includes(p) && isUnread(p) && unitToTake(p, context) !== null,
          ).length,
          outside: outside.filter(isOwned),
          ruledOut,
          minded: [
            ...toBeMinded(context.client.sensitivities).flatMap(mindedInShort),
            ...(mindsLenses(context.client, ask) ? ['fibres'] : []),
          ],
        })
      : null,
  };
}

const asSkinRoundIt = (answer: ShadeAnswer): ShadeAnswer => ({
  ...answer,
  cost: answer.cost + AS_SKIN_ROUND_IT.units,
  costs: [AS_SKIN_ROUND_IT, ...answer.costs],
  misses: [],
});

/** What has to be bought first comes after all that is at hand. */
const byCost = (a: ShadeAnswer, b: ShadeAnswer): number =>
  Number(!isOwned(a)) - Number(!isOwned(b)) || a.cost - b.cost;

/** Whether every part of an answer is in a case. */
export const isOwned = ({ parts }: Pick<ShadeAnswer, 'parts'>): boolean =>
  parts.every(({ unit }) => unit !== null);

const overall = ({ misses }: ShadeAnswer): number =>
  misses.reduce((sum, m) => sum + (m.part === 'depth' ? m.over : 2 * m.over), 0);

/** Steps deeper in the pan that a film needs to show what is asked: mixes are searched there too. */
const FILM_STEPS = [0.5, 1.2] as const;

function mixesOf(
  ask: ShadeAsk,
  usable: readonly Product[],
  context: ShadeContext,
  judge: StepJudge,
  target: Lab,
): ShadeAnswer[] {
  const adjusters =
    ask.wants.mix === true && ask.wants.kinds.includes('base') ? adjustersOf(ask, context) : [];
  const owned = [...usable, ...adjusters].filter(isColoured).filter((p) => unitToTake(p, context) !== null);
  if (owned.length < 2) return [];
  if (!BY_DEPTH.includes(judge.role)) return pairsOf(owned, target, judge);
  const all = FILM_STEPS.flatMap((steps) => pairsOf(owned, shiftDepth(target, steps), judge));
  // The searches meet: a mix found by both is one.
  const each = new Map(all.map((answer) => [sameMix(answer), answer]));
  return [...each.values()].map((answer) => ({
    ...answer,
    deltaE: answer.lab ? deltaE2000(target, answer.lab) : null,
  }));
}

const sameMix = ({ parts }: ShadeAnswer): string =>
  parts.map(({ product, measures }) => `${product.id} ${measures}`).join();

/** What may be stirred into a base: white, yellow, blue, red. */
function adjustersOf(ask: ShadeAsk, context: ShadeContext): Product[] {
  const stirred = { ...ask, wants: { kinds: ['adjuster' as const] } };
  return context.kit.products.filter(
    (p) => p.kind === 'adjuster' && excludedBecause(p, stirred, context) === null,
  );
}

/**
 * Pairs in whole smallest shares that cover the need and keep the range: ranked by colour first, judged by
 * the whole cost after.
 */
function pairsOf(owned: readonly Coloured[], target: Lab, { need, judge, misses }: StepJudge): ShadeAnswer[] {
  const { pairs } = matchBase(target, [], {
    table: mixTableOf(bySmallestShare(nearestToStir(owned, target)), 2),
    count: MIXES_JUDGED,
  });
  const byId = new Map(owned.map((p) => [p.id, p]));
  return pairs.flatMap((mix) => {
    const members = membersOf(mix, byId, need);
    return misses(members, mix.lab).length > 0 ? [] : [judge(members, mix.lab, mix.deltaE)];
  });
}

/** Products as the mix search takes them: a part is the smallest share that can be taken. */
export const bySmallestShare = (products: readonly Coloured[]): Coloured[] =>
  products.map((p) => ({ ...p, mgPerMeasure: smallestMg(p) }));

/** A mix of the table in as many rounds as cover the need, the most of it first. */
export function membersOf(
  mix: Mix,
  byId: ReadonlyMap<string, Product>,
  need: Need,
): { readonly product: Product; readonly measures: number }[] {
  const members = mix.parts.map(({ id, pumps }) => ({ product: byId.get(id)!, shares: pumps }));
  const perRound = members.reduce((sum, { product, shares }) => sum + shares * smallestMg(product), 0);
  const rounds = roundsToCover(perRound, need.takenMg);
  return members
    .sort((a, b) => b.shares * smallestMg(b.product) - a.shares * smallestMg(a.product))
    .map(({ product, shares }) => ({
      product,
      measures: shares * rounds * propertiesOf(product).smallestShare,
    }));
}
