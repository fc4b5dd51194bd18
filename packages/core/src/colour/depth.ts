import { messages, term } from '../messages';
import { chromaOf, hueOf, labToXyz, type Lab } from './lab';

/** Individual typology angle in degrees (Chardon, Cretois and Hourseau, 1991): high is light. */
export function ita(lab: Lab): number {
  return (Math.atan2(lab[0] - 50, lab[2]) * 180) / Math.PI;
}

const LOG_STEP = 0.055;
const LINEAR_STEP = 2.7861;
const DEPTH_AT_50 = -Math.log10(labToXyz([50, 0, 0])[1]) / LOG_STEP;

/** Highlights stop here: lighter than this nothing reads as skin. */
export const LIGHTEST_SKIN = 92;

/**
 * Depth on our own scale, in shade steps: 0 is white, about 4 very light skin, about 21 very deep. One step
 * multiplies luminance by 10^-0.055 down to L* 50 and is 2.786 L* below, so equal steps look
 * equal across all depths.
 */
export function depthOf(lab: Lab): number {
  if (lab[0] >= 50) return -Math.log10(labToXyz([lab[0], 0, 0])[1]) / LOG_STEP;
  return DEPTH_AT_50 + (50 - lab[0]) / LINEAR_STEP;
}

/** The L* at a depth: the inverse of {@link depthOf}. */
export function lightnessAtDepth(depth: number): number {
  if (depth > DEPTH_AT_50) return Math.max(0, 50 - (depth - DEPTH_AT_50) * LINEAR_STEP);
  const y = 10 ** (-LOG_STEP * Math.max(0, depth));
  return 116 * Math.cbrt(y) - 16;
}

export const UNDERTONES = ['cool', 'neutral', 'warm', 'olive', 'red'] as const;
/** 'red' is said of deep skin alone: redder than its depth asks, and warm to the trade. */
export type Undertone = (typeof UNDERTONES)[number];

/** L* under which skin is deep, and above which it is very fair. */
export const DEEP_SKIN_L = 46;
export const VERY_FAIR_SKIN_L = 72;

/** The hue and chroma our scale expects of neutral skin at a lightness: undertone is the distance from it. */
export function neutralSkinAt(L: number): { hue: number; chroma: number } {
  return {
    hue: 58 + 0.06 * (L - 55) - 0.55 * Math.max(0, 45 - L),
    chroma: 15 + 10 * Math.exp(-(((L - 55) / 16) ** 2)) - 0.28 * Math.max(0, 42 - L),
  };
}

export type UndertoneReading = {
  readonly undertone: Undertone;
  /** Degrees of hue away from neutral skin of this depth: above zero is yellower. */
  readonly hueOffset: number;
  /**
   * How far from the nearest border between two names: 'sure' over 2 degrees, otherwise 'near the border'.
   */
  readonly confidence: 'sure' | 'near the border';
};

/** Degrees of hue from neutral skin at which cool and warm begin, and olive. */
const COOL_FROM = -3;
const WARM_FROM = 3;
const OLIVE_FROM = 6;
/** Very light skin has so little colour that olive is said of it only well past the border. */
const SURE = 2;

/**
 * Undertone of a skin colour relative to its depth; read on the neck where it can be. A proposal. Deep skin
 * that is redder than its depth asks is 'red', never 'cool'; olive is yellow with less red and less colour
 * than its depth asks, and is said of very fair skin only when it is sure.
 */
export function undertoneOf(lab: Lab): UndertoneReading {
  const neutral = neutralSkinAt(lab[0]);
  const hueOffset = hueOf(lab) - neutral.hue;
  const dull = neutral.chroma - chromaOf(lab);
  const needs = lab[0] > VERY_FAIR_SKIN_L ? SURE : 0;
  const olive = hueOffset > OLIVE_FROM + needs && dull > 1 + needs / 4;
  const undertone: Undertone =
    hueOffset < COOL_FROM
      ? lab[0] < DEEP_SKIN_L
        ? 'red'
        : 'cool'
      : hueOffset <= WARM_FROM
        ? 'neutral'
        : olive
          ? 'olive'
          : 'warm';
  const borders = [
    hueOffset - COOL_FROM,
    hueOffset - WARM_FROM,
    ...(hueOffset > WARM_FROM && dull > 0.5 ? [hueOffset - OLIVE_FROM] : []),
  ];
  return {
    undertone,
    hueOffset,
    confidence: Math.min(...borders.map(Math.abs)) > SURE ? 'sure' : 'near the border',
  };
}

export type ShiftOptions = {
  /** Turn the result's hue to this undertone at its new depth instead of keeping the skin's own offset. */
  readonly undertone?: Undertone;
};

/** How far an undertone lies from neutral skin of its depth: degrees of hue, and chroma. */
export const UNDERTONE_HUE: Readonly<Record<Undertone, { readonly hue: number; readonly chroma: number }>> = {
  cool: { hue: -6, chroma: -0.5 },
  neutral: { hue: 0, chroma: 0 },
  warm: { hue: 6, chroma: 1 },
  olive: { hue: 10, chroma: -2 },
  red: { hue: -6, chroma: 0.5 },
};

/**
 * The colour a number of shade steps deeper (positive) or lighter (negative) than this skin. Hue and
 * chroma follow what neutral skin does over that range, so two steps deeper on deep skin
 * is redder, not merely darker. Lightness is capped at {@link LIGHTEST_SKIN}.
 */
export function shiftDepth(lab: Lab, steps: number, options: ShiftOptions = {}): Lab {
  const L = Math.min(Math.max(lab[0], LIGHTEST_SKIN), lightnessAtDepth(depthOf(lab) + steps));
  const from = neutralSkinAt(lab[0]);
  const to = neutralSkinAt(L);
  const offset = options.undertone
    ? UNDERTONE_HUE[options.undertone]
    : { hue: hueOf(lab) - from.hue, chroma: chromaOf(lab) - from.chroma };
  const hue = ((to.hue + offset.hue) * Math.PI) / 180;
  const chroma = Math.max(0, to.chroma + offset.chroma);
  return [L, chroma * Math.cos(hue), chroma * Math.sin(hue)];
}

const DEPTH_WORDS: readonly (readonly [number, string])[] = messages(
  [
    [5, 'very light'],
    [7.5, 'light'],
    [10, 'light medium'],
    [12.5, 'medium'],
    [15, 'tan'],
    [18, 'deep'],
  ],
  'skin',
);

/** A depth in words. */
export function depthInWords(depth: number): string {
  return DEPTH_WORDS.find(([below]) => depth < below)?.[1] ?? term('very deep', 'skin');
}

/**
 * The chroma healthy skin of this person's undertone would have at another lightness: the curve of neutral
 * skin, moved by how far her own colour lies off it. Ash is what falls well under it.
 */
export function healthyChromaAt(L: number, skin: Lab): number {
  const own = chromaOf(skin) - neutralSkinAt(skin[0]).chroma;
  return Math.max(4, neutralSkinAt(L).chroma + own);
}
