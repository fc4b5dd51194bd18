import { DEEP_SKIN_L, depthInWords, depthOf, hueOf, neutralSkinAt, type Lab } from '../colour';
import { productName, type ProductKind } from '../kit';
import type { ShadeAnswer, StepGap } from './answers';
import type { ShadeAsk, ShadeRole } from './skinRole';

/** Kinds that may be stirred together where no single does it. */
const MIXABLE: readonly ProductKind[] = ['base', 'concealer', 'contour', 'bronzer', 'blush', 'powder', 'lip colour', 'highlight'];

/** Whether a step's kinds can be stirred together at all. */
export const isMixable = (ask: ShadeAsk): boolean => ask.wants.kinds.some((k) => MIXABLE.includes(k));

/** A colour in words to buy by: 'about depth 17.5 (tan), L* 38, a* 9, b* 12, red-brown'. */
export function colourToBuy([L, a, b]: Lab): string {
  const lab: Lab = [L, a, b];
  const turn = hueOf(lab) - neutralSkinAt(L).hue;
  const tone = L < DEEP_SKIN_L && turn < 0 ? ', red-brown' : turn < -6 ? ', rosy' : turn > 6 ? ', golden' : '';
  return `about depth ${depthOf(lab).toFixed(1)} (${depthInWords(depthOf(lab))}), L* ${Math.round(L)}, a* ${Math.round(a)}, b* ${Math.round(b)}${tone}`;
}

/** Why nothing does a step, with the nearest, what stirred into it would do it, and what to buy. `outside` is nearest first, all at hand. */
export function gapOf(ask: ShadeAsk, role: ShadeRole | null, target: Lab | null, notOwned: ShadeAnswer | null, outside: readonly ShadeAnswer[]): StepGap {
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
  const mixable = other !== null && isMixable(ask);
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
