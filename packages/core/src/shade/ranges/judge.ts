import {
  chromaOf,
  DEEP_SKIN_L,
  depthOf,
  healthyChromaAt,
  VERY_FAIR_SKIN_L,
  type Lab,
  type Undertone,
} from '../../colour';
import { sidesWhere, type Features } from '../../face';
import type { Finish } from '../../kit';
import { msg, plural } from '../../messages';

/** On whom a colour is judged. */
export type Wearer = {
  /** The skin it is judged against, as the base leaves it. */
  readonly skin: Lab;
  readonly undertone: Undertone;
  readonly features: Features;
  readonly contrast: 'soft' | 'bold';
};

/** A colour as it is: in the pan, and as the layer model predicts it on her skin at the planned dose. */
export type SeenColour = { readonly own: Lab; readonly shown: Lab; readonly finish: Finish };

/** One way in which a colour is wrong for a role on this skin. */
export type Miss = {
  readonly part: 'depth' | 'chroma' | 'hue';
  /** What the trade calls it. */
  readonly name:
    | 'does nothing'
    | 'lighter than the skin'
    | 'deeper than the skin'
    | 'stripe'
    | 'ash'
    | 'orange'
    | 'chalk'
    | 'mask'
    | 'halo'
    | 'cast'
    | 'patch'
    | 'heavy'
    | 'borrowed brows'
    | 'hardly shows';
  /** How far past the border: shade steps, or a share of chroma, or colour difference. */
  readonly over: number;
  /** In words that can follow the step's title: 'shows 0.3 steps lighter than her skin'. */
  readonly words: string;
};

/**
 * How strict a judgement is: what is proposed keeps the trade's range, what is found has left it for certain.
 */
export type Strictness = 'propose' | 'find';

export const isLined = (features: Features): boolean =>
  features.age === 'mature' || sidesWhere(features, ({ lines }) => lines.length > 1).length > 0;
export const isDeep = (skin: Lab): boolean => skin[0] < DEEP_SKIN_L;
export const isVeryFair = (skin: Lab): boolean => skin[0] > VERY_FAIR_SKIN_L;

/** '1.5 steps'. */
export const steps = (n: number): string => {
  const told = Math.abs(n).toFixed(1);
  return plural(Number(told))`${told} step|${told} steps`;
};
/** From one hue to another the short way, degrees. */
export const hueTurn = (from: number, to: number): number => ((to - from + 540) % 360) - 180;

/** What one role asks of a colour. */
export type Judge = (seen: SeenColour, wearer: Wearer, how: Strictness, asked: number | null) => Miss[];

/** Shade steps of a colour against a ground; positive is deeper. */
export const depth = (lab: Lab, ground: Lab): number => depthOf(lab) - depthOf(ground);
/** A miss where a condition holds. */
export const when = (condition: boolean, miss: Miss): Miss[] => (condition ? [miss] : []);

/** The share of the chroma that her own skin would have at this lightness. */
export function chromaShare(lab: Lab, skin: Lab): number {
  return chromaOf(lab) / healthyChromaAt(lab[0], skin);
}

/**
 * Grey, by what shows and by what is in the pan: a film takes colour from the skin under it, a pan without
 * colour cannot give any.
 */
export function ashOf(
  { own, shown }: SeenColour,
  { skin }: Wearer,
  least: number,
  leastOwn: number,
  words: string,
): Miss[] {
  const share = chromaShare(shown, skin);
  const ownShare = chromaShare(own, skin);
  const lacking = Math.max(least - share, leastOwn - ownShare);
  return when(lacking > 0, {
    part: 'chroma',
    name: 'ash',
    over: lacking,
    words: msg`${words} (${Math.round(Math.min(share, ownShare) * 100)} % of the colour the skin would have)`,
  });
}
