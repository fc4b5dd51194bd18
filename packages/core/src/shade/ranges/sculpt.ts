import { chromaOf, deltaE2000, depthOf, hueOf, neutralSkinAt, type Lab } from '../../colour';
import { msg } from '../../messages';
import {
  ashOf,
  chromaShare,
  depth,
  hueTurn,
  isDeep,
  isLined,
  isVeryFair,
  steps,
  when,
  type Judge,
} from './judge';

/** Steps on lined skin are eased to this share. */
export const LINED_EASE = 0.8;
/** Steps the schools ask of a contour, a bronzer and a light where a step says nothing itself. */
export const SCHOOL_STEPS = {
  soft: { contour: 2, bronzer: 1.3, light: -2 },
  bold: { contour: 3, bronzer: 1.8, light: -3 },
} as const;

/** A shadow: deeper by what was asked, never grey, on very fair skin never warm. */
export const contour: Judge = (seen, wearer, how, asked) => {
  const { skin, features, contrast } = wearer;
  const lined = isLined(features);
  const [own, shown] = [depth(seen.own, skin), depth(seen.shown, skin)];
  const want = Math.max(0.8, asked ?? SCHOOL_STEPS[contrast].contour) * (lined ? LINED_EASE : 1);
  // In the pan it is what was asked; how much of it a film shows is a matter of dose, down to where nothing
  // is seen.
  const low = how === 'propose' ? Math.max(0.6, 0.4 * want) : 0.45;
  const lowOwn = how === 'propose' ? Math.max(0.8, 0.8 * want) : 0.8;
  const high =
    how === 'propose'
      ? Math.max(lined ? 2 : contrast === 'bold' ? 3.5 : 2.5, want) + 0.35
      : lined
        ? 3
        : contrast === 'bold'
          ? 4.3
          : 3.7;
  const highOwn = how === 'propose' ? (lined ? 3.6 : 4.2) : 5;
  const fair = isVeryFair(skin);
  const warm = hueOf(seen.own) > 67 && chromaShare(seen.own, skin) > (how === 'propose' ? 1.15 : 1.25);
  return [
    ...when(own < -0.2, {
      part: 'depth',
      name: 'lighter than the skin',
      over: -own,
      words: msg`is ${steps(own)} lighter than the skin: a shadow is deeper`,
    }),
    ...when(own >= -0.2 && (own < lowOwn || shown < low), {
      part: 'depth',
      name: 'does nothing',
      over: Math.max(lowOwn - own, low - shown, 0.01),
      words:
        own < lowOwn
          ? msg`is only ${steps(Math.max(0, own))} deeper than the skin, too little to set anything back`
          : msg`shows only ${steps(Math.max(0, shown))} deeper at this dose`,
    }),
    ...when(shown > high || own > highOwn, {
      part: 'depth',
      name: 'stripe',
      over: Math.max(shown - high, own - highOwn),
      words: msg`shows ${steps(shown)} deeper than the skin, ${steps(own)} in the pan: a stripe${lined ? msg` on lined skin` : ''}`,
    }),
    ...(own > 0
      ? ashOf(
          seen,
          wearer,
          fair ? 0.4 : how === 'propose' ? 0.62 : 0.55,
          fair ? 0.2 : how === 'propose' ? 0.5 : 0.4,
          msg`reads grey`,
        )
      : []),
    ...when(fair && own > 0 && warm, {
      part: 'hue',
      name: 'orange',
      over: chromaShare(seen.own, skin) - 1,
      words: msg`is warm for skin this fair: it turns orange`,
    }),
  ];
};

/** Warmth: a little deeper, with colour, golden or rosy as her undertone bears it. */
export const bronzer: Judge = (seen, wearer, how) => {
  const { skin, undertone } = wearer;
  const [own, shown] = [depth(seen.own, skin), depth(seen.shown, skin)];
  const turn = hueTurn(neutralSkinAt(seen.own[0]).hue, hueOf(seen.own));
  const golden = turn > 4;
  const pink = turn < -4;
  const strict = how === 'propose';
  return [
    ...when(own < -0.2, {
      part: 'depth',
      name: 'lighter than the skin',
      over: -own,
      words: msg`is ${steps(own)} lighter than the skin`,
    }),
    ...when(own >= -0.2 && (own < (strict ? 0.8 : 0.4) || shown < (strict ? 0.3 : 0.12)), {
      part: 'depth',
      name: 'does nothing',
      over: Math.max(0.8 - own, 0.3 - shown, 0.01),
      words: msg`shows only ${steps(Math.max(0, shown))} deeper than the skin`,
    }),
    ...when(shown > (strict ? 2.1 : 2.7) || own > (strict ? 4.2 : 5.2), {
      part: 'depth',
      name: 'heavy',
      over: Math.max(shown - 2.1, own - 4.2),
      words: msg`shows ${steps(shown)} deeper than the skin, ${steps(own)} in the pan: mud`,
    }),
    ...(own > 0
      ? ashOf(seen, wearer, strict ? 0.75 : 0.65, strict ? 0.7 : 0.5, msg`reads grey where warmth is wanted`)
      : []),
    ...when(undertone === 'cool' && golden && turn > (strict ? 5 : 6), {
      part: 'hue',
      name: 'orange',
      over: turn,
      words: msg`is golden on a pink undertone: it looks orange`,
    }),
    ...when(undertone === 'olive' && pink, {
      part: 'hue',
      name: 'ash',
      over: -turn,
      words: msg`is pink on an olive undertone: it looks grey`,
    }),
    ...when(isVeryFair(skin) && own > 0 && hueOf(seen.own) > 68 && chromaShare(seen.own, skin) > 1.3, {
      part: 'hue',
      name: 'orange',
      over: chromaShare(seen.own, skin) - 1,
      words: msg`is golden for skin this fair: it may turn orange`,
    }),
  ];
};

/** A flush: shows against her own colour, neither chalky nor heavy. */
export const blush: Judge = (seen, { skin }, how) => {
  const [own, shown] = [depth(seen.own, skin), depth(seen.shown, skin)];
  const deep = isDeep(skin);
  const strict = how === 'propose';
  const low = deep ? (strict ? -0.7 : -1.4) : strict ? -1 : -1.7;
  const shows = deltaE2000(seen.shown, skin);
  const strength = deltaE2000(seen.own, skin);
  const faint = strength < (strict ? 8 : 6) || shows < (strict ? 2 : 1.2);
  return [
    ...when(shown < low || (deep && own < (strict ? -2.2 : -3.2) - (chromaOf(seen.own) > 38 ? 1.6 : 0)), {
      part: 'depth',
      name: 'chalk',
      over: Math.max(low - shown, 0.1),
      words: msg`shows ${steps(shown)} lighter than the skin: chalky`,
    }),
    ...when(shown > (strict ? 3 : 3.5), {
      part: 'depth',
      name: 'heavy',
      over: shown - 3,
      words: msg`shows ${steps(shown)} deeper than the skin: heavy`,
    }),
    ...when(faint, {
      part: 'chroma',
      name: 'hardly shows',
      over: Math.max(0.01, 8 - strength),
      words: msg`is near the skin’s own colour and hardly shows`,
    }),
  ];
};

/** The lightest a light can be on this skin: very fair skin has little left above it. */
const leastLight = (skin: Lab, strict: boolean): number => {
  const room = depthOf(skin) - 2.2;
  return -Math.min(strict ? 1.2 : 0.5, Math.max(0.2, (strict ? 0.5 : 0.25) * room));
};

/** A share of the skin’s chroma from which on a light is as warm as the skin. */
const AS_WARM = 0.9;

/** Light: lighter than the skin, and on deep skin never icy. */
export const light: Judge = (seen, wearer, how) => {
  const { skin } = wearer;
  const own = depth(seen.own, skin);
  const strict = how === 'propose';
  const least = leastLight(skin, strict);
  const most = strict ? -4.6 : -7;
  const icy = isDeep(skin) ? (strict ? 0.75 : 0.6) : skin[0] < 60 ? 0.4 : 0;
  const share = chromaOf(seen.own) / Math.max(6, chromaOf(skin));
  // Copper is warm as the skin is: it may be too much of a light, icy it is not.
  const pale = isDeep(skin) && share < AS_WARM;
  return [
    ...when(own > 0.2, {
      part: 'depth',
      name: 'deeper than the skin',
      over: own,
      words: msg`is ${steps(own)} deeper than the skin: light deeper than skin looks like dirt`,
    }),
    ...when(own <= 0.2 && own > least, {
      part: 'depth',
      name: 'does nothing',
      over: own - least,
      words: msg`is only ${steps(own)} lighter than the skin: it does not show`,
    }),
    ...when(own < most, {
      part: 'depth',
      name: pale ? 'ash' : 'mask',
      over: most - own,
      words: msg`is ${steps(own)} lighter than the skin${
        pale ? msg`: icy, and ash on deep skin` : isDeep(skin) ? msg`: a stripe, however warm` : ''
      }`,
    }),
    ...when(own < 0 && share < icy, {
      part: 'chroma',
      name: 'ash',
      over: icy - share,
      words: msg`is icy: on this depth it reads as ash, gold or rose gold does not`,
    }),
  ];
};
