import {
  DEEP_SKIN_L,
  depthInWords,
  depthOf,
  hueOf,
  nearestColourWord,
  neutralSkinAt,
  type Lab,
} from '../colour';
import { productName, type Product, type ProductKind } from '../kit';
import { msg, plural, term } from '../messages';
import { withArticle } from '../withArticle';
import type { ShadeAnswer, StepGap, StepMatch } from './answers';
import { impossibleBecause } from './possibleColour';
import type { ShadeAsk, ShadeRole } from './skinRole';

/** Kinds that may be stirred together where no single does it. */
const MIXABLE: readonly ProductKind[] = [
  'base',
  'concealer',
  'contour',
  'bronzer',
  'blush',
  'powder',
  'lip colour',
  'highlight',
];

/** Whether a step's kinds can be stirred together at all. */
export const isMixable = (ask: ShadeAsk): boolean => ask.wants.kinds.some((k) => MIXABLE.includes(k));

/** What is bought by its own colour; the rest is bought by how deep a skin it is for. */
const BY_OWN_COLOUR: readonly ShadeAsk['role'][] = [
  'blush',
  'eye',
  'liner',
  'brow',
  'lash',
  'lip',
  'lip line',
  'adornment',
];

/**
 * A colour in words to buy by: 'about depth 17.5 (tan), L* 38, a* 9, b* 12, red-brown' for what is of the
 * skin, 'brick, L* 40, a* 34, b* 26' for what is not.
 */
export function colourToBuy([L, a, b]: Lab, role: ShadeAsk['role'] = 'base'): string {
  const lab: Lab = [L, a, b];
  const read = msg`L* ${Math.round(L)}, a* ${Math.round(a)}, b* ${Math.round(b)}`;
  if (BY_OWN_COLOUR.includes(role)) return `${term(nearestColourWord(lab))}, ${read}`;
  const turn = hueOf(lab) - neutralSkinAt(L).hue;
  const tone =
    L < DEEP_SKIN_L && turn < 0 ? msg`, red-brown` : turn < -6 ? msg`, rosy` : turn > 6 ? msg`, golden` : '';
  return msg`about depth ${depthOf(lab).toFixed(1)} (${depthInWords(depthOf(lab))}), ${read}${tone}`;
}

type GapAsked = {
  readonly ask: ShadeAsk;
  readonly role: ShadeRole | null;
  readonly target: Lab | null;
  /** The best that would have to be bought. */
  readonly notOwned: ShadeAnswer | null;
  /** At hand, their colours not read: which of them it is would be a guess. */
  readonly unread: readonly Product[];
  /** At hand and not looked at, since others are read: how many. */
  readonly passedOver: number;
  /** At hand but out of range, nearest first. */
  readonly outside: readonly ShadeAnswer[];
  readonly ruledOut: StepMatch['ruledOut'];
  /** What must not be in what is bought. */
  readonly minded: readonly string[];
};

/** The commonest reasons why products cannot be used, with how many: 'contains mica (12), used up (2)'. */
function reasonsInWords(ruledOut: StepMatch['ruledOut']): string {
  const count = new Map<string, number>();
  for (const { why } of ruledOut) count.set(why, (count.get(why) ?? 0) + 1);
  return [...count]
    .sort(([, a], [, b]) => b - a)
    .slice(0, 2)
    .map(([why, n]) => msg`${why.replace(/\.$/, '')} (${n} of ${ruledOut.length})`)
    .join(', ');
}

/** Why nothing does a step, with the nearest, what stirred into it would do it, and what to buy. */
export function gapOf(asked: GapAsked): StepGap {
  const { ask } = asked;
  const gap = unnamedGap(asked);
  const what = ask.title ?? msg`This ${ask.wants.kinds.map((one) => term(one)).join(msg` or `)}`;
  return { ...gap, words: `${what}: ${gap.why}` };
}

function unnamedGap({
  ask,
  role,
  target,
  notOwned,
  unread,
  passedOver,
  outside,
  ruledOut,
  minded,
}: GapAsked): Omit<StepGap, 'words'> {
  const [nearest] = outside;
  const kind = ask.wants.kinds.map((one) => term(one)).join(msg` or `);
  const { finishes, coverages, families } = ask.wants;
  const finish = [
    finishes?.map((one) => term(one)).join(msg` or `) ?? (role === 'contour' ? term('matte') : ''),
    coverages ? msg`${coverages.map((one) => term(one)).join(msg` or `)} covering` : '',
    ask.tool === 'airbrush' ? term('liquid') : '',
    families ? msg`${families.map((one) => term(one)).join(msg` or `)} based` : '',
  ]
    .filter((words) => words !== '')
    .map((words) => `${words} `)
    .join('');
  const without = [...new Set(minded)].map((one) => term(one));
  const free = without.length > 0 ? msg`, free of ${without.join(', ')}` : '';
  const more =
    passedOver > 0
      ? plural(
          passedOver,
        )` ${passedOver} more at hand has no colour read: read first.| ${passedOver} more at hand have no colour read: read first.`
      : '';
  if (unread.length > 0) {
    const [only, ...others] = unread;
    const whose =
      others.length === 0
        ? msg`${productName(only!)} has no colour read`
        : msg`none of ${unread.length} at hand has its colour read`;
    return {
      why: msg`${whose}, so nobody can say what suits. Read ${others.length === 0 ? msg`its pan` : msg`their pans`}, or choose by eye.`,
      nearest: null,
      mixNeeds: null,
      buy: null,
      unread: unread.length,
    };
  }
  if (notOwned) {
    const wanted = notOwned.parts.map((p) => productName(p.product)).join(msg` with `);
    const instead = nearest
      ? msg` The nearest at hand, ${nearest.parts.map((p) => productName(p.product)).join(msg` with `)}, ${nearest.misses[0]!.words}.`
      : '';
    return {
      why: msg`nothing at hand does this. It wants ${wanted}, which is in no case.${instead}`,
      nearest: nearest ?? null,
      mixNeeds: null,
      buy: wanted,
      unread: 0,
    };
  }
  if (!nearest)
    return {
      why: msg`no ${kind} of the kit can be used${ruledOut.length > 0 ? `: ${reasonsInWords(ruledOut)}` : ''}. Choose something or leave it out.`,
      nearest: null,
      mixNeeds: null,
      buy: `${some(ask.wants.kinds, finish)}${target ? `, ${colourToBuy(target, ask.role)}` : ''}${free}`,
      unread: 0,
    };
  const miss = nearest.misses[0]!;
  const name = nearest.parts.map((p) => productName(p.product)).join(msg` with `);
  const asks = target ?? nearest.lab;
  const other = nearest.lab && target ? opposite(target, nearest.lab, ask.wants.kinds[0]!) : null;
  const mixable = other !== null && isMixable(ask);
  return {
    why: msg`nothing in the kit does this. The nearest, ${name}, ${miss.words}.${more}`,
    nearest,
    mixNeeds: mixable ? msg`${name} half and half with one ${colourToBuy(other, ask.role)}` : null,
    buy: `${some(ask.wants.kinds, finish)}${asks ? `, ${colourToBuy(asks, ask.role)}` : ''}${free}`,
    unread: 0,
  };
}

/**
 * 'a matte contour', 'an adjuster', 'lashes', 'something for the brows': what is bought, as it is asked for
 * in a shop.
 */
function some(kinds: readonly ProductKind[], finish: string): string {
  const [kind] = kinds;
  if (kinds.length === 1 && kind === 'lashes') return msg`${finish}lashes`;
  if (kinds.length === 1 && (kind === 'brow' || kind === 'prep'))
    return kind === 'brow' ? msg`a ${finish}brow product` : msg`something ${finish}to prepare with`;
  const words = `${finish}${kinds.map((one) => term(one)).join(msg` or `)}`;
  return withArticle(words);
}

/** What is further from the target than this is stirred into nothing: the target itself is bought. */
const OPPOSITE_WITHIN_STEPS = 4;

/**
 * The colour that half and half with another lands on the target, to first order; null where nobody makes
 * such a product, or would stir it in.
 */
function opposite(target: Lab, lab: Lab, kind: ProductKind): Lab | null {
  const other: Lab = [2 * target[0] - lab[0], 2 * target[1] - lab[1], 2 * target[2] - lab[2]];
  if (other[0] <= 5 || other[0] >= 96 || impossibleBecause(kind, other) !== null) return null;
  return Math.abs(depthOf(other) - depthOf(target)) > OPPOSITE_WITHIN_STEPS ? null : other;
}
