import {
  chromaOf,
  DEEP_SKIN_L,
  deltaE2000,
  depthInWords,
  depthOf,
  differenceInWords,
  hueOf,
  labUnder,
  matchBase,
  neutralSkinAt,
  reconstructSpectrum,
  shiftDepth,
  undertoneOf,
  type Lab,
  type Mix,
  type Spectrum,
} from '../colour';
import { productName, propertiesOf, smallestMg, type Product, type ProductKind, type Unit } from '../kit';
import { dayOf, type Day } from './day';
import { flashback, flashGradeOf } from './flashback';
import { needsMissed } from './needs';
import { isColoured, mixTableOf, type Coloured } from './mixTables';
import { layOver, mixedOptics, opticsOf } from './optics';
import { measuresInWords, measuresToCover, MOST_TAKEN, needOf, roundsToCover, type Need } from './portions';
import { missesOf, type Miss, type Wearer } from './ranges';
import { shadeRoleOf, type ShadeAsk, type ShadeRole } from './skinRole';
import { skinTarget } from './skinTarget';
import { wantedColour } from './target';
import { excludedBecause, unitToTake, type ShadeContext } from './usable';

/** The parts of the one cost, in units of colour difference. */
export const COST_PARTS = ['colour', 'depth', 'texture', 'finish', 'skin', 'day', 'face', 'stock', 'mix', 'waste'] as const;
export type CostPart = { readonly part: (typeof COST_PARTS)[number]; readonly units: number; readonly words: string };

export type AnswerPart = { readonly product: Product; readonly unit: Unit | null; /** Measures, in its smallest shares. */ readonly measures: number };

/** A product or a mix as the answer to a step. */
export type ShadeAnswer = {
  readonly parts: readonly AnswerPart[];
  /** In the pan or the bowl; null for what has no colour. */
  readonly lab: Lab | null;
  /** Predicted on her skin at the planned dose. */
  readonly shown: Lab | null;
  /** CIEDE2000 of the pan's colour to what is asked, daylight. */
  readonly deltaE: number | null;
  /** Shade steps against her skin (positive deeper), in the pan and as it shows. */
  readonly steps: { readonly own: number; readonly shown: number } | null;
  readonly need: Need;
  readonly madeMg: number;
  /** What it is ranked by: the sum of its parts. Lower is better. */
  readonly cost: number;
  readonly costs: readonly CostPart[];
  /** How it leaves the range of its role; empty for what is proposed. */
  readonly misses: readonly Miss[];
};

/** What to do where the kit has nothing that does it. */
export type StepGap = {
  /** 'Nothing in the kit does this: …', with how far the nearest is. */
  readonly words: string;
  readonly nearest: ShadeAnswer | null;
  /** What stirred into the nearest would do it; null where no mix is thinkable. */
  readonly mixNeeds: string | null;
  /** What to buy. */
  readonly buy: string | null;
};

export type StepMatch = {
  readonly role: ShadeRole | null;
  readonly target: Lab | null;
  /** In range, best first. */
  readonly answers: readonly ShadeAnswer[];
  /** Usable but out of range, nearest first. */
  readonly outside: readonly ShadeAnswer[];
  readonly gap: StepGap | null;
  /** Products of the kinds asked that cannot be used at all, with why. */
  readonly ruledOut: readonly { readonly product: Product; readonly why: string }[];
};

/** What missing a wish costs, in units of colour difference. */
const COST = {
  texture: 0.8,
  powderEarly: 1.4,
  finish: 1.2,
  unopened: 0.15,
  notOwned: 2.5,
  short: 1.2,
  mix: 0.3,
  adjuster: 0.25,
  waste: 0.4,
  tooMuch: 1.5,
  depth: 1.6,
  flash: 3,
} as const;
/** Mixes looked at by their cost after the table has ranked them by colour. */
const MIXES_JUDGED = 24;
/** Kinds that may be stirred together where no single does it. */
const MIXABLE: readonly ProductKind[] = ['base', 'concealer', 'contour', 'bronzer', 'blush', 'powder', 'lip colour', 'highlight'];
/** Roles judged by how deep they show; the others by how near they come. */
const BY_DEPTH: readonly (ShadeRole | null)[] = ['contour', 'bronzer'];

/** Lids and lips are too small to look cast in a flash. */
const TOO_SMALL_TO_CAST: readonly ShadeAsk['role'][] = ['brow', 'eye', 'liner', 'lash', 'lip', 'lip line'];

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
  readonly judge: (members: Members, lab: Lab | null, deltaE?: number | null) => ShadeAnswer;
  /** An answer with what shows on her skin. */
  readonly seen: (answer: ShadeAnswer) => ShadeAnswer;
};

/** Roles whose range, when something is proposed, is one of the pan's own colour: no film has to be worked out. */
const BY_OWN: readonly ShadeRole[] = ['base', 'deeper edge', 'lighter centre', 'brow', 'lid', 'socket', 'light'];

type OnSkin = { readonly skin: Lab | null; readonly ground: Spectrum | null; readonly wearer: Wearer | null };
const skins = new WeakMap<ShadeContext, OnSkin>();

/** Her skin as colours are judged on it: once for a context. */
function skinOf(context: ShadeContext): OnSkin {
  let held = skins.get(context);
  if (!held) {
    const { client, contrast = 'soft' } = context;
    const skin = skinTarget(client.skin);
    const wearer = skin ? { skin, undertone: undertoneOf(client.skin.neck ?? skin).undertone, features: client.features, contrast } : null;
    skins.set(context, (held = { skin, wearer, ground: skin ? reconstructSpectrum(skin, 'D65', 'skin').spectrum : null }));
  }
  return held;
}

/** The one cost: how near a product or mix comes to what the step asks on this client that day, by named parts. */
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
    const coloured = members.flatMap(({ product, measures }) => (isColoured(product) ? [{ product, mg: measures * product.mgPerMeasure }] : []));
    return coloured.length === 0 ? lab : labUnder(layOver(ground, coloured.length === 1 ? opticsOf(coloured[0]!.product) : mixedOptics(coloured), dose), 'D65');
  };
  const missesIn = (members: Members, lab: Lab | null, shown: Lab | null): readonly Miss[] =>
    role && wearer && lab && shown ? missesOf(role, { own: lab, shown, finish: leadOf(members).finish }, wearer, 'propose', asked) : [];
  return {
    role,
    target,
    wearer,
    need,
    misses: (members, lab) => missesIn(members, lab, byFilm ? shownOf(members, lab) : lab),
    seen: (answer) => {
      if (byFilm) return answer;
      const shown = shownOf(answer.parts, answer.lab);
      return {
        ...answer,
        shown,
        steps: skin && answer.lab && shown ? { own: depthOf(answer.lab) - depthOf(skin), shown: depthOf(shown) - depthOf(skin) } : null,
      };
    },
    judge: (members, lab, given) => {
      const deltaE = given !== undefined ? given : target && lab ? deltaE2000(target, lab) : null;
      // Where the film decides nothing it is worked out for the answers alone, by `seen`.
      const shown = byFilm ? shownOf(members, lab) : lab;
      const steps = skin && lab && shown ? { own: depthOf(lab) - depthOf(skin), shown: depthOf(shown) - depthOf(skin) } : null;
      const parts = members.map(({ product, measures }): AnswerPart => ({ product, measures, unit: unitToTake(product, context) }));
      const madeMg = members.reduce((sum, { product, measures }) => sum + measures * product.mgPerMeasure, 0);
      const costs = [
        ...(TOO_SMALL_TO_CAST.includes(ask.role) ? [] : flashCosts(members, ground, dose, day)),
        ...colourCosts(role, target, lab, steps, deltaE, wearer),
        ...worstOf(members.map(({ product }) => costsOf(product))),
        ...mixCosts(members),
        ...amountCosts(members, madeMg, need),
        ...stockCosts(parts),
      ];
      return { parts, lab, shown, deltaE, steps, need, madeMg, cost: costs.reduce((sum, c) => sum + c.units, 0), costs, misses: missesIn(members, lab, shown) };
    },
  };
}

const leadOf = (members: readonly { readonly product: Product; readonly measures: number }[]): Product =>
  members.reduce((a, b) => (b.measures * b.product.mgPerMeasure > a.measures * a.product.mgPerMeasure ? b : a)).product;

/** Of each part the member that costs most: a mix is as shiny as its shiniest. */
function worstOf(lists: readonly (readonly CostPart[])[]): CostPart[] {
  const worst = new Map<string, CostPart>();
  for (const cost of lists.flat()) {
    const key = `${cost.part} ${cost.words}`;
    if (!worst.has(key) || worst.get(key)!.units < cost.units) worst.set(key, cost);
  }
  return [...worst.values()];
}

function colourCosts(
  role: ShadeRole | null,
  target: Lab | null,
  lab: Lab | null,
  steps: ShadeAnswer['steps'],
  deltaE: number | null,
  wearer: Wearer | null,
): CostPart[] {
  if (!target || !lab || deltaE === null) return [];
  if (steps && wearer && BY_DEPTH.includes(role)) {
    const wanted = depthOf(target) - depthOf(wearer.skin);
    // Hue and strength apart from depth: against the target's at this lightness.
    const turn = deltaE2000(lab, atLightness(target, lab[0]));
    const by = steps.shown - 0.95 * wanted;
    return [
      {
        part: 'depth',
        units: COST.depth * Math.abs(by),
        words: `shows ${Math.abs(steps.shown).toFixed(1)} steps ${steps.shown >= 0 ? 'deeper' : 'lighter'}, ${wanted.toFixed(1)} asked`,
      },
      { part: 'colour', units: 0.6 * turn, words: `${turn.toFixed(1)} off in hue and strength` },
    ];
  }
  return [{ part: 'colour', units: deltaE, words: `${deltaE.toFixed(1)} off, ${differenceInWords(deltaE)}` }];
}

/** A colour's hue and relative strength at another lightness, as skin would carry it. */
function atLightness(lab: Lab, L: number): Lab {
  const hue = ((hueOf(lab) + neutralSkinAt(L).hue - neutralSkinAt(lab[0]).hue) * Math.PI) / 180;
  const chroma = (chromaOf(lab) / neutralSkinAt(lab[0]).chroma) * neutralSkinAt(L).chroma;
  return [L, chroma * Math.cos(hue), chroma * Math.sin(hue)];
}

function productCosts(product: Product, ask: ShadeAsk, context: ShadeContext): CostPart[] {
  const { textures, finishes } = ask.wants;
  return [
    ...(!textures || textures.includes(product.texture)
      ? []
      : [{ part: 'texture' as const, units: COST.texture, words: `${product.texture}, not ${textures.join(' or ')}` }]),
    ...(!finishes || finishes.includes(product.finish)
      ? []
      : [{ part: 'finish' as const, units: COST.finish, words: `${product.finish}, not ${finishes.join(' or ')}` }]),
    ...(ask.phase === 'sculpt' && !textures && (product.texture === 'pressed' || product.texture === 'loose')
      ? [{ part: 'texture' as const, units: COST.powderEarly, words: 'a powder, before anything is set' }]
      : []),
    ...(product.kind === 'adjuster' ? [] : needsMissed(product, context).map(({ of, cost, words }) => ({ part: of, units: cost, words }))),
  ];
}

/** What a camera's flash would throw back, by the studio's own photos or the model. */
function flashCosts(members: readonly { readonly product: Product }[], ground: Spectrum | null, dose: number, day: Day | null): CostPart[] {
  const grade = members.map(({ product }) => flashGradeOf(product)).reduce((a, b) => (b > a ? b : a));
  if (!ground || !day?.camera || grade === 0 || dose === 0) return [];
  const { deltaL, cast } = flashback(ground, [{ grade, doseMgPerCm2: dose }]);
  return cast ? [{ part: 'day', units: COST.flash, words: `may turn ${deltaL.toFixed(1)} lighter in a flash` }] : [];
}

function mixCosts(members: readonly { readonly product: Product; readonly measures: number }[]): CostPart[] {
  if (members.length === 1) return [];
  const guessed = members.some(({ product }) => product.kind === 'adjuster' && product.tintingStrength === 1);
  return [
    { part: 'mix', units: COST.mix * (members.length - 1), words: `mix ${ratioOf(members.map((m) => m.measures))}` },
    ...(guessed ? [{ part: 'mix' as const, units: COST.adjuster, words: 'an adjuster whose strength nobody has tried' }] : []),
  ];
}

function ratioOf(measures: readonly number[]): string {
  const quarters = measures.map((m) => Math.round(m * 4));
  const gcd = (a: number, b: number): number => (b === 0 ? a : gcd(b, a % b));
  const divisor = quarters.reduce(gcd);
  return quarters.map((q) => q / divisor).join(' : ');
}

function amountCosts(members: readonly { readonly product: Product; readonly measures: number }[], madeMg: number, { takenMg }: Need): CostPart[] {
  if (takenMg <= 0) return [];
  const times = madeMg / takenMg;
  if (times <= 1.1) return [];
  const [only] = members;
  const least = members.length === 1 && only!.measures === propertiesOf(only!.product).smallestShare;
  const made = members.map((m) => measuresInWords(m.measures, m.product.measure)).join(' and ');
  const why =
    times <= MOST_TAKEN
      ? ''
      : least
        ? '; it is the least it can be taken in'
        : members.length === 1
          ? '; one fewer does not cover it'
          : '; smaller measures do not give this mix';
  return [
    {
      part: 'waste',
      units: COST.waste * (Math.min(times, 4) - 1.1) + (times > MOST_TAKEN && members.length > 1 ? COST.tooMuch : 0),
      words: `${made} ${members.length === 1 && only!.measures <= 1 ? 'holds' : 'hold'} ${Math.round(madeMg)} mg, ${Math.round(takenMg)} needed${why}`,
    },
  ];
}

function stockCosts(parts: readonly AnswerPart[]): CostPart[] {
  const notOwned = parts.filter(({ unit }) => unit === null);
  if (notOwned.length > 0) return [{ part: 'stock', units: COST.notOwned, words: 'not in the kit' }];
  const short = parts.some(({ unit, product, measures }) => unit !== null && unit.remainingMg < measures * product.mgPerMeasure);
  return [
    ...(short ? [{ part: 'stock' as const, units: COST.short, words: 'not enough left' }] : []),
    ...(parts.some(({ unit }) => unit?.openedOn === null) ? [{ part: 'stock' as const, units: COST.unopened, words: 'would be opened' }] : []),
  ];
}

/**
 * The kit's answer to a step on this client that day, the same for fitting, matching, sculpting and substituting: what cannot be used is ruled out with
 * why, what leaves the range of its role is not proposed, the rest is ranked by one cost. Where nothing is left the gap is told.
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
  const seen = target !== null && usable.some((p) => p.lab !== null) ? usable.filter((p) => p.lab !== null) : usable;
  const measured = seen.map((product) => ({ product, measures: need.takenMg > 0 ? measuresToCover(product, need.takenMg) : 1 }));
  const kept = measured.filter((member) => stepJudge.misses([member], member.product.lab).length === 0);
  const inRange = kept.map((member) => judge([member], member.product.lab)).sort(byCost);
  const wantsMixes =
    target !== null && (ask.wants.mix === true || (!inRange.some(isOwned) && role !== null && ask.wants.kinds.some((k) => MIXABLE.includes(k))));
  const mixes = wantsMixes ? mixesOf(ask, usable, context, stepJudge, target) : [];
  // The best of both kinds is always among them: a single bottle is quicker, a mix often nearer.
  const answers =
    mixes.length === 0
      ? inRange.slice(0, count)
      : [...inRange.slice(0, Math.ceil(count / 2)), ...mixes.sort(byCost).slice(0, Math.ceil(count / 2))].sort(byCost);
  const isGap = !answers.some(isOwned) && ask.wants.kinds.length > 0;
  const outside =
    isGap || options.outside === true
      ? measured
          .filter((member) => !kept.includes(member))
          .map((member) => judge([member], member.product.lab))
          .sort((a, b) => overall(a) - overall(b) || a.cost - b.cost)
      : [];
  return {
    role,
    target,
    answers: answers.map(stepJudge.seen),
    outside: outside.map(stepJudge.seen),
    ruledOut,
    gap: isGap ? gapOf(ask, role, target, answers[0] ?? null, outside.filter(isOwned)) : null,
  };
}

/** What has to be bought first comes after all that is at hand. */
const byCost = (a: ShadeAnswer, b: ShadeAnswer): number => Number(!isOwned(a)) - Number(!isOwned(b)) || a.cost - b.cost;

/** Whether every part of an answer is in a case. */
export const isOwned = ({ parts }: Pick<ShadeAnswer, 'parts'>): boolean => parts.every(({ unit }) => unit !== null);

const overall = ({ misses }: ShadeAnswer): number => misses.reduce((sum, m) => sum + (m.part === 'depth' ? m.over : 2 * m.over), 0);

/** Steps deeper in the pan that a film needs to show what is asked: mixes are searched there too. */
const FILM_STEPS = [0.5, 1.2] as const;

function mixesOf(ask: ShadeAsk, usable: readonly Product[], context: ShadeContext, judge: StepJudge, target: Lab): ShadeAnswer[] {
  const adjusters = ask.wants.mix === true && ask.wants.kinds.includes('base') ? adjustersOf(ask, context) : [];
  const owned = [...usable, ...adjusters].filter(isColoured).filter((p) => unitToTake(p, context) !== null);
  if (owned.length < 2) return [];
  if (!BY_DEPTH.includes(judge.role)) return pairsOf(owned, target, judge);
  return FILM_STEPS.flatMap((steps) => pairsOf(owned, shiftDepth(target, steps), judge)).map((answer) => ({
    ...answer,
    deltaE: answer.lab ? deltaE2000(target, answer.lab) : null,
  }));
}

/** What may be stirred into a base: white, yellow, blue, red. */
function adjustersOf(ask: ShadeAsk, context: ShadeContext): Product[] {
  const stirred = { ...ask, wants: { kinds: ['adjuster' as const] } };
  return context.kit.products.filter((p) => p.kind === 'adjuster' && excludedBecause(p, stirred, context) === null);
}

/** Pairs in whole smallest shares that cover the need and keep the range: ranked by colour first, judged by the whole cost after. */
function pairsOf(owned: readonly Coloured[], target: Lab, { need, judge, misses }: StepJudge): ShadeAnswer[] {
  const { pairs } = matchBase(target, [], { table: mixTableOf(bySmallestShare(owned), 2), count: MIXES_JUDGED });
  const byId = new Map(owned.map((p) => [p.id, p]));
  return pairs.flatMap((mix) => {
    const members = membersOf(mix, byId, need);
    return misses(members, mix.lab).length > 0 ? [] : [judge(members, mix.lab, mix.deltaE)];
  });
}

/** Products as the mix search takes them: a part is the smallest share that can be taken. */
export const bySmallestShare = (products: readonly Coloured[]): Coloured[] => products.map((p) => ({ ...p, mgPerMeasure: smallestMg(p) }));

/** A mix of the table in as many rounds as cover the need, the most of it first. */
export function membersOf(mix: Mix, byId: ReadonlyMap<string, Product>, need: Need): { readonly product: Product; readonly measures: number }[] {
  const members = mix.parts.map(({ id, pumps }) => ({ product: byId.get(id)!, shares: pumps }));
  const perRound = members.reduce((sum, { product, shares }) => sum + shares * smallestMg(product), 0);
  const rounds = roundsToCover(perRound, need.takenMg);
  return members
    .sort((a, b) => b.shares * smallestMg(b.product) - a.shares * smallestMg(a.product))
    .map(({ product, shares }) => ({ product, measures: shares * rounds * propertiesOf(product).smallestShare }));
}

/** A colour in words to buy by: 'about depth 17.5 (tan), L* 38, a* 9, b* 12, red-brown'. */
export function colourToBuy([L, a, b]: Lab): string {
  const lab: Lab = [L, a, b];
  const turn = hueOf(lab) - neutralSkinAt(L).hue;
  const tone = L < DEEP_SKIN_L && turn < 0 ? ', red-brown' : turn < -6 ? ', rosy' : turn > 6 ? ', golden' : '';
  return `about depth ${depthOf(lab).toFixed(1)} (${depthInWords(depthOf(lab))}), L* ${Math.round(L)}, a* ${Math.round(a)}, b* ${Math.round(b)}${tone}`;
}

function gapOf(ask: ShadeAsk, role: ShadeRole | null, target: Lab | null, notOwned: ShadeAnswer | null, outside: readonly ShadeAnswer[]): StepGap {
  const [nearest] = outside;
  const kind = ask.wants.kinds.join(' or ');
  const finish = ask.wants.finishes ? `${ask.wants.finishes.join(' or ')} ` : role === 'contour' ? 'matte ' : '';
  const what = ask.title ? ask.title.toLowerCase() : `this ${kind}`;
  if (notOwned) {
    const wanted = notOwned.parts.map((p) => productName(p.product)).join(' with ');
    const instead = nearest ? ` The nearest at hand, ${nearest.parts.map((p) => productName(p.product)).join(' with ')}, ${nearest.misses[0]!.words}.` : '';
    return {
      words: `Nothing at hand does this: ${what} wants ${wanted}, which is in no case.${instead}`,
      nearest: nearest ?? null,
      mixNeeds: null,
      buy: wanted,
    };
  }
  if (!nearest)
    return {
      words: `Nothing in the kit suits ${what}: no ${kind} can be used. Choose something or leave it out.`,
      nearest: null,
      mixNeeds: null,
      buy: target ? `a ${finish}${kind}, ${colourToBuy(target)}` : `a ${finish}${kind}`,
    };
  const miss = nearest.misses[0]!;
  const name = nearest.parts.map((p) => productName(p.product)).join(' with ');
  const asks = target ? target : nearest.lab!;
  const other: Lab | null = nearest.lab && target ? opposite(target, nearest.lab) : null;
  const mixable = other !== null && ask.wants.kinds.some((k) => MIXABLE.includes(k));
  return {
    words: `Nothing in the kit does this: ${what} has no ${kind} in range. The nearest, ${name}, ${miss.words}.`,
    nearest,
    mixNeeds: mixable ? `${name} half and half with one ${colourToBuy(other)}` : null,
    buy: `a ${finish}${kind}, ${colourToBuy(asks)}`,
  };
}

/** The colour that half and half with another lands on the target, to first order; null where no surface could. */
function opposite(target: Lab, lab: Lab): Lab | null {
  const other: Lab = [2 * target[0] - lab[0], 2 * target[1] - lab[1], 2 * target[2] - lab[2]];
  return other[0] > 5 && other[0] < 96 ? other : null;
}
