import {
  deltaE2000,
  differenceInWords,
  labUnder,
  matchBase,
  reconstructSpectrum,
  type Coverage,
  type Lab,
  type Mix,
} from '../colour';
import { zoneArea, type ZoneName } from '../face';
import { productName, shadeName, smallestMg, type Product, type ProductKind, type Unit } from '../kit';
import { msg, plural, term } from '../messages';
import { withArticle } from '../withArticle';
import { differenceUnder, type LightName } from './lights';
import { isColoured, mixTableOf, nearestToStir, type Coloured } from './mixTables';
import { besideInWords, doseForCoverage, layOver, mixedOptics } from './optics';
import type { CostPart } from './answers';
import { colourToBuy } from './gap';
import { bySmallestShare, judgeFor, membersOf, type StepJudge } from './matchStep';
import { setAside } from './possibleColour';
import { BASE_WITHIN } from './ranges';
import type { ShadeAsk } from './skinRole';
import { DEFAULT_WEIGHTS, skinTarget, type TargetWeights } from './skinTarget';
import { isUnread } from './unread';
import {
  excludedBecause,
  filteredBecause,
  unitToTake,
  unusableBecause,
  type ShadeContext,
  type ShadeFilter,
} from './usable';

export type MatchWishes = {
  readonly weights?: TargetWeights;
  readonly filter?: ShadeFilter;
  /** Every answer holds this product. */
  readonly pin?: string;
  /** How much is to be covered; null lays a usual thin layer. */
  readonly coverage?: Coverage | null;
  /** Where it goes. */
  readonly zones?: readonly ZoneName[];
  /** Kinds that may stand for the match. */
  readonly kinds?: readonly ProductKind[];
  readonly count?: number;
};

export type ShadePart = { readonly product: Product; readonly unit: Unit | null; readonly pumps: number };

export type ShadeMatch = {
  readonly parts: readonly ShadePart[];
  /** Colour in the bowl. */
  readonly lab: Lab;
  /** Colour on her skin at the dose asked. */
  readonly onSkin: Lab;
  /** CIEDE2000 of the bowl's colour to the target, daylight. */
  readonly deltaE: number;
  /** What it is ranked by, and its parts by name: the cost fitting asks too. */
  readonly cost: number;
  readonly costs: readonly CostPart[];
  /** The same under every light; all but daylight are relative and of low confidence. */
  readonly under: Readonly<Record<LightName, number>>;
  readonly amount: {
    readonly onFaceMg: number;
    /** In the measures. */ readonly takenMg: number;
    readonly neededMg: number;
    readonly ml: number;
    readonly measures: readonly number[];
  };
  /** What speaks for or against it, in short phrases. */
  readonly notes: readonly string[];
};

export type ShadeMatches = {
  /** The colour matched; null when nothing of her skin has been read. */
  readonly target: Lab | null;
  readonly singles: readonly ShadeMatch[];
  readonly pairs: readonly ShadeMatch[];
  readonly triples: readonly ShadeMatch[];
  /** Products that were compared. */
  readonly compared: number;
  /** Mixes that were predicted. */
  readonly mixes: number;
  /** What limits the answer, in sentences. */
  readonly limits: readonly string[];
};

/** A base and what may be stirred into it. */
export const BASE_KINDS: readonly ProductKind[] = ['base', 'adjuster'];
export const MATCH_ZONES: readonly ZoneName[] = ['wholeFace', 'neck'];
/** A thin layer as it is usually worn, mg/cm2: one to two pumps a face. */
const USUAL_DOSE = 0.55;
/** Bases weigh a little more than water. */
const MG_PER_ML = 1050;
/**
 * Beyond this many products triples are searched among the nearest only: their number grows with the cube.
 */
const MOST_FOR_TRIPLES = 72;
const RUNNING_OUT = 1.5;

/** Products of the kit that can be matched for this client with these wishes, in the kit's order. */
export function matchable(context: ShadeContext, wishes: MatchWishes): Coloured[] {
  const { filter = {}, kinds = BASE_KINDS } = wishes;
  return context.kit.products.filter(isColoured).filter((product) => {
    if (
      !kinds.includes(product.kind) ||
      excludedBecause(product, askFor(wishes, USUAL_DOSE), context) !== null
    )
      return false;
    // Wishes of texture and finish are for what is worn, not for the drop stirred into it.
    if (product.kind !== 'adjuster' && filteredBecause(product, filter) !== null) return false;
    return filter.unowned === true || unitToTake(product, context) !== null;
  });
}

/** A base as it is matched where no chart says a step: over these zones, laid with a damp sponge. */
function askFor({ zones = MATCH_ZONES, kinds = BASE_KINDS }: MatchWishes, doseMgPerCm2: number): ShadeAsk {
  return {
    role: 'base',
    title: term('base'),
    shade: { relative: { to: 'skin', depthSteps: 0 } },
    wants: { kinds: [...kinds], mix: true },
    placements: zones.map((zone) => ({ guide: `zone.${zone}` as const, side: 'both' as const })),
    doseMgPerCm2,
    passes: 1,
    tool: 'damp sponge',
  };
}

/**
 * Best single, pairs and triples in whole measures for face, neck and decollete by weight, by the one cost
 * that fitting asks too: exhaustive over all mixes the families allow. A triple is shown only where it brings
 * the colour nearer.
 */
export function matchShades(
  context: ShadeContext,
  wishes: MatchWishes = {},
  onProgress?: (share: number) => void,
): ShadeMatches {
  const target = skinTarget(context.client.skin, wishes.weights ?? DEFAULT_WEIGHTS);
  const { sound, aside } = setAside(context.kit.products);
  const kinds = wishes.kinds ?? BASE_KINDS;
  const unread = sound.filter(
    (p) => kinds.includes(p.kind) && isUnread(p) && unitToTake(p, context) !== null,
  ).length;
  const told = [
    ...aside
      .filter(({ product }) => kinds.includes(product.kind))
      .map(({ product, why }) => msg`${productName(product)} is set aside. ${why}`),
    ...(unread > 0
      ? [
          plural(
            unread,
          )`${unread} at hand has no colour read: a swatch of it, and it can be matched.|${unread} at hand have no colours read: a swatch of each, and they can be matched.`,
        ]
      : []),
  ];
  const products = matchable({ ...context, kit: { ...context.kit, products: sound } }, wishes);
  const nothing = { target, singles: [], pairs: [], triples: [], compared: products.length, mixes: 0 };
  if (!target) return { ...nothing, limits: [msg`Nothing of the skin has been read yet.`, ...told] };
  if (products.length === 0)
    return { ...nothing, limits: [msg`No product of the kit meets these wishes.`, ...told] };
  const limits: string[] = [...told];
  let searched: readonly Coloured[] = products;
  if (products.length > MOST_FOR_TRIPLES) {
    const nearest = nearestToStir(products, target, MOST_FOR_TRIPLES);
    // What is asked for by name is tried, however far it is.
    const asked = products.filter(({ id }) => id === wishes.pin && !nearest.some((one) => one.id === id));
    searched = [...nearest, ...asked];
    limits.push(
      msg`Mixes were searched among the ${MOST_FOR_TRIPLES} nearest of ${products.length} products.`,
    );
  }
  const table = mixTableOf(bySmallestShare(searched), 3, onProgress);
  const pinned = wishes.pin === undefined ? undefined : searched.findIndex((p) => p.id === wishes.pin);
  if (pinned === -1) return { ...nothing, limits: [msg`The pinned product does not meet these wishes.`] };
  const { count = 4 } = wishes;
  const found = matchBase(target, [], { table, count: 60, must: pinned });
  const judge = judgeMatches(context, wishes, target, searched);
  const ranked = (mixes: readonly Mix[]): ShadeMatch[] =>
    mixes
      .map(judge)
      .sort((a, b) => a.cost - b.cost)
      .slice(0, count);
  const answer = {
    singles: ranked(found.singles),
    pairs: ranked(found.pairs),
    triples: ranked(found.triples),
  };
  const nearest = [...answer.singles, ...answer.pairs].sort((a, b) => a.cost - b.cost)[0];
  if (nearest && nearest.deltaE > BASE_WITHIN)
    limits.push(
      msg`Nothing here matches: the nearest is ${nearest.deltaE.toFixed(1)} off, over ${BASE_WITHIN} is a mask. Buy a base, ${colourToBuy(target)}.`,
    );
  return { target, ...answer, compared: products.length, mixes: table.length, limits };
}

/** Skin area of some zones on this client, cm2. */
export function areaOfZones(
  zones: readonly ZoneName[],
  client: Pick<ShadeContext['client'], 'landmarks'>,
): number {
  return zones.reduce((sum, zone) => sum + zoneArea(zone, client.landmarks), 0);
}

function judgeMatches(
  context: ShadeContext,
  wishes: MatchWishes,
  target: Lab,
  products: readonly Coloured[],
): (mix: Mix) => ShadeMatch {
  const byId = new Map(products.map((p) => [p.id, p]));
  const skin = reconstructSpectrum(target, 'D65', 'skin').spectrum;
  const judges = new Map<number, StepJudge>();
  const judgeAt = (dose: number): StepJudge => {
    let held = judges.get(dose);
    if (!held) judges.set(dose, (held = judgeFor(askFor(wishes, dose), context)));
    return held;
  };
  return (mix) => {
    const members = mix.parts
      .map(({ id, pumps }) => ({ product: byId.get(id)!, pumps }))
      .sort((a, b) => b.pumps * smallestMg(b.product) - a.pumps * smallestMg(a.product));
    const optics = mixedOptics(
      members.map(({ product, pumps }) => ({ product, mg: pumps * smallestMg(product) })),
    );
    const dose = wishes.coverage ? Number(doseForCoverage(optics, wishes.coverage).toFixed(2)) : USUAL_DOSE;
    const { need, judge } = judgeAt(dose);
    const answer = judge(membersOf(mix, byId, need), mix.lab, mix.deltaE);
    const parts = answer.parts.map(({ product, unit }) => ({
      product,
      unit,
      pumps: members.find((m) => m.product.id === product.id)!.pumps,
    }));
    const measures = answer.parts.map((p) => p.measures);
    return {
      parts,
      lab: mix.lab,
      onSkin: labUnder(layOver(skin, optics, dose), 'D65'),
      deltaE: mix.deltaE,
      cost: answer.cost,
      costs: answer.costs,
      under: differenceUnder(skin, optics.masstone),
      amount: {
        onFaceMg: need.onFaceMg,
        takenMg: answer.madeMg,
        neededMg: need.takenMg,
        ml: answer.madeMg / MG_PER_ML,
        measures,
      },
      notes: [
        msg`${differenceInWords(mix.deltaE)} by daylight${mix.deltaE > BASE_WITHIN ? msg`: a mask` : ''}`,
        ...answer.costs
          .filter((c) => !['colour', 'stock', 'mix', 'waste'].includes(c.part))
          .map((c) => c.words),
        ...stockNotes(parts, measures),
        ...heavy(dose),
      ],
    };
  };
}

function stockNotes(parts: readonly ShadePart[], measures: readonly number[]): string[] {
  return parts.flatMap(({ product, unit }, i) => {
    const name = shadeName(product);
    if (!unit) return [msg`${name} is not in the kit`];
    const needs = measures[i]! * product.mgPerMeasure;
    return [
      ...(unit.openedOn === null ? [msg`${name} would be opened`] : []),
      ...(unit.remainingMg < needs
        ? [msg`not enough ${name} left`]
        : unit.remainingMg < RUNNING_OUT * needs
          ? [msg`${name} is nearly out`]
          : []),
    ];
  });
}

const heavy = (dose: number): string[] =>
  dose > 1.5 ? [msg`needs a heavy layer, ${dose.toFixed(1)} mg/cm²`] : [];

/**
 * Why a product is not the answer: what rules it out, or how far off it is alone and at its best in a mix.
 */
export function whyNot(productId: string, context: ShadeContext, wishes: MatchWishes = {}): string {
  const product = context.kit.products.find((p) => p.id === productId);
  if (!product) return msg`It is not in this studio’s kit.`;
  const name = productName(product);
  const { kinds = BASE_KINDS, filter = {} } = wishes;
  if (!kinds.includes(product.kind))
    return msg`${name} is ${withArticle(term(product.kind))}; looked for: ${kinds.map((one) => term(one)).join(msg` or `)}.`;
  if (!isColoured(product))
    return msg`${name} has no colour noted. Read one swatch of it and it can be matched.`;
  const ruledOut =
    unusableBecause(product, context) ??
    (product.kind === 'adjuster' ? null : filteredBecause(product, filter));
  if (ruledOut) return `${name}: ${ruledOut}.`;
  if (!filter.unowned && !unitToTake(product, context))
    return msg`${name} is not in any case: no unit of it can be used.`;
  const all = matchShades(context, { ...wishes, pin: undefined, count: 1 });
  const own = matchShades(context, { ...wishes, pin: productId, count: 1 });
  if (!all.target) return all.limits[0]!;
  const best = Math.min(...[...all.singles, ...all.pairs, ...all.triples].map((m) => m.deltaE));
  const mixed = [...own.pairs, ...own.triples].sort((a, b) => a.deltaE - b.deltaE)[0];
  const alone =
    product.kind === 'adjuster'
      ? msg`An adjuster is never worn alone`
      : msg`Alone it is ${deltaE2000(all.target, product.lab).toFixed(1)} off: ${besideInWords(all.target, product.lab)}`;
  const inMix = mixed
    ? msg`Its best mix, ${mixed.parts.map((p) => `${p.pumps} ${shadeName(p.product)}`).join(' : ')}, is ${mixed.deltaE.toFixed(1)} off`
    : msg`Nothing in the kit may be stirred into it`;
  return msg`${alone}. ${inMix}; the best of all is ${best.toFixed(1)}.`;
}
