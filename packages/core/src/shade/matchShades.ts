import { deltaE2000, differenceInWords, labUnder, matchBase, reconstructSpectrum, type Coverage, type Lab, type Mix } from '../colour';
import { zoneArea, type ZoneName } from '../face';
import { measuresFor, productName, type Product, type ProductKind, type Unit } from '../kit';
import { differenceUnder, type LightName } from './lights';
import { isColoured, mixTableOf, type Coloured } from './mixTables';
import { besideInWords, doseForCoverage, layOver, mixedOptics } from './optics';
import { DEFAULT_WEIGHTS, skinTarget, type TargetWeights } from './skinTarget';
import { filteredBecause, unitToTake, unusableBecause, type ShadeContext, type ShadeFilter } from './usable';

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
  /** The same under every light; all but daylight are relative and of low confidence. */
  readonly under: Readonly<Record<LightName, number>>;
  readonly amount: { readonly onFaceMg: number; readonly takenMg: number; readonly ml: number; readonly measures: readonly number[] };
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
const USUAL_DOSE = 0.6;
/** A damp sponge keeps a quarter. */
const KEPT_BY_TOOL = 0.25;
/** Bases weigh a little more than water. */
const MG_PER_ML = 1050;
/** Beyond this many products triples are searched among the nearest only: their number grows with the cube. */
const MOST_FOR_TRIPLES = 72;
const RUNNING_OUT = 1.5;

/** Products of the kit that can be matched for this client with these wishes, in the kit's order. */
export function matchable(context: ShadeContext, wishes: MatchWishes): Coloured[] {
  const { filter = {}, kinds = BASE_KINDS } = wishes;
  return context.kit.products.filter(isColoured).filter((product) => {
    if (!kinds.includes(product.kind) || unusableBecause(product, context) !== null) return false;
    // Wishes of texture and finish are for what is worn, not for the drop stirred into it.
    if (product.kind !== 'adjuster' && filteredBecause(product, filter) !== null) return false;
    return filter.unowned === true || unitToTake(product, context) !== null;
  });
}

/**
 * Best single, pairs and triples in whole measures for face, neck and decollete by weight: exhaustive over all mixes
 * the families allow. Ties within a tenth go to what is opened and sufficient.
 */
export function matchShades(context: ShadeContext, wishes: MatchWishes = {}, onProgress?: (share: number) => void): ShadeMatches {
  const target = skinTarget(context.client.skin, wishes.weights ?? DEFAULT_WEIGHTS);
  const products = matchable(context, wishes);
  const nothing = { target, singles: [], pairs: [], triples: [], compared: products.length, mixes: 0 };
  if (!target) return { ...nothing, limits: ['Nothing of her skin has been read yet.'] };
  if (products.length === 0) return { ...nothing, limits: ['No product of the kit meets these wishes.'] };
  const limits: string[] = [];
  let searched = products;
  if (products.length > MOST_FOR_TRIPLES) {
    searched = [...products].sort((a, b) => deltaE2000(target, a.lab) - deltaE2000(target, b.lab)).slice(0, MOST_FOR_TRIPLES);
    limits.push(`Mixes were searched among the ${MOST_FOR_TRIPLES} nearest of ${products.length} products.`);
  }
  const table = mixTableOf(searched, 3, onProgress);
  const pinned = wishes.pin === undefined ? undefined : searched.findIndex((p) => p.id === wishes.pin);
  if (pinned === -1) return { ...nothing, limits: ['The pinned product does not meet these wishes.'] };
  const { count = 4 } = wishes;
  const found = matchBase(target, [], { table, count: count + 2, must: pinned });
  const judge = judgeFor(context, wishes, target, searched);
  const ranked = (mixes: readonly Mix[]): ShadeMatch[] =>
    mixes
      .map(judge)
      .sort((a, b) => rank(a) - rank(b))
      .slice(0, count);
  return {
    target,
    singles: ranked(found.singles),
    pairs: ranked(found.pairs),
    triples: ranked(found.triples),
    compared: products.length,
    mixes: table.length,
    limits,
  };
}

/** Nearness, nudged by what would be opened or run out: never by more than a tenth. */
function rank({ deltaE, parts, notes }: ShadeMatch): number {
  const unopened = parts.filter(({ unit }) => unit?.openedOn === null).length;
  return deltaE + Math.min(0.1, 0.04 * unopened + (notes.some((n) => n.includes('not enough')) ? 0.06 : 0));
}

/** Skin area of some zones on this client, cm2. */
export function areaOfZones(zones: readonly ZoneName[], client: Pick<ShadeContext['client'], 'landmarks'>): number {
  return zones.reduce((sum, zone) => sum + zoneArea(zone, client.landmarks), 0);
}

function judgeFor(context: ShadeContext, wishes: MatchWishes, target: Lab, products: readonly Coloured[]): (mix: Mix) => ShadeMatch {
  const byId = new Map(products.map((p) => [p.id, p]));
  const skin = reconstructSpectrum(target, 'D65', 'skin').spectrum;
  const areaCm2 = areaOfZones(wishes.zones ?? MATCH_ZONES, context.client);
  return (mix) => {
    const members = mix.parts
      .map(({ id, pumps }) => ({ product: byId.get(id)!, pumps }))
      .sort((a, b) => b.pumps * b.product.mgPerMeasure - a.pumps * a.product.mgPerMeasure);
    const optics = mixedOptics(members.map(({ product, pumps }) => ({ product, mg: pumps * product.mgPerMeasure })));
    const dose = wishes.coverage ? doseForCoverage(optics, wishes.coverage) : USUAL_DOSE;
    const parts = members.map(({ product, pumps }) => ({ product, unit: unitToTake(product, context), pumps }));
    const amount = amountOf(parts, dose * areaCm2);
    return {
      parts,
      lab: mix.lab,
      onSkin: labUnder(layOver(skin, optics, dose), 'D65'),
      deltaE: mix.deltaE,
      under: differenceUnder(skin, optics.masstone),
      amount,
      notes: [`${differenceInWords(mix.deltaE)} by daylight`, ...stockNotes(parts, amount.measures), ...heavy(dose)],
    };
  };
}

/** Whole rounds of the ratio that give at least what is needed, and what that is in ml. */
function amountOf(parts: readonly ShadePart[], onFaceMg: number): ShadeMatch['amount'] {
  const perRound = parts.reduce((sum, { product, pumps }) => sum + pumps * product.mgPerMeasure, 0);
  const neededMg = onFaceMg / (1 - KEPT_BY_TOOL);
  const rounds = Math.max(1, measuresFor(neededMg, perRound));
  return { onFaceMg, takenMg: rounds * perRound, ml: (rounds * perRound) / MG_PER_ML, measures: parts.map(({ pumps }) => pumps * rounds) };
}

function stockNotes(parts: readonly ShadePart[], measures: readonly number[]): string[] {
  return parts.flatMap(({ product, unit }, i) => {
    const name = `${product.line} ${product.shade}`;
    if (!unit) return [`${name} is not in the kit`];
    const needs = measures[i]! * product.mgPerMeasure;
    return [
      ...(unit.openedOn === null ? [`${name} would be opened`] : []),
      ...(unit.remainingMg < needs ? [`not enough ${name} left`] : unit.remainingMg < RUNNING_OUT * needs ? [`${name} is nearly out`] : []),
    ];
  });
}

const heavy = (dose: number): string[] => (dose > 1.5 ? [`needs a heavy layer, ${dose.toFixed(1)} mg/cm²`] : []);

/** Why a product is not the answer: what rules it out, or how far off it is alone and at its best in a mix. */
export function whyNot(productId: string, context: ShadeContext, wishes: MatchWishes = {}): string {
  const product = context.kit.products.find((p) => p.id === productId);
  if (!product) return 'It is not in this studio’s kit.';
  const name = productName(product);
  const { kinds = BASE_KINDS, filter = {} } = wishes;
  if (!kinds.includes(product.kind)) return `${name} is a ${product.kind}; looked for: ${kinds.join(' or ')}.`;
  if (!isColoured(product)) return `${name} has no colour noted. Read one swatch of it and it can be matched.`;
  const ruledOut = unusableBecause(product, context) ?? (product.kind === 'adjuster' ? null : filteredBecause(product, filter));
  if (ruledOut) return `${name}: ${ruledOut}.`;
  if (!filter.unowned && !unitToTake(product, context)) return `${name} is not in any case: no unit of it can be used.`;
  const all = matchShades(context, { ...wishes, pin: undefined, count: 1 });
  const own = matchShades(context, { ...wishes, pin: productId, count: 1 });
  if (!all.target) return all.limits[0]!;
  const best = Math.min(...[...all.singles, ...all.pairs, ...all.triples].map((m) => m.deltaE));
  const mixed = [...own.pairs, ...own.triples].sort((a, b) => a.deltaE - b.deltaE)[0];
  const alone =
    product.kind === 'adjuster'
      ? 'An adjuster is never worn alone'
      : `Alone it is ${deltaE2000(all.target, product.lab).toFixed(1)} off: ${besideInWords(all.target, product.lab)}`;
  const inMix = mixed
    ? `Its best mix, ${mixed.parts.map((p) => `${p.pumps} ${p.product.line} ${p.product.shade}`).join(' : ')}, is ${mixed.deltaE.toFixed(1)} off`
    : 'Nothing in the kit may be stirred into it';
  return `${alone}. ${inMix}; the best of all is ${best.toFixed(1)}.`;
}
