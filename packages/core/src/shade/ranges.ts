import {
  chromaOf,
  deltaE2000,
  DEEP_SKIN_L,
  depthOf,
  healthyChromaAt,
  hueOf,
  lightnessAtDepth,
  neutralSkinAt,
  VERY_FAIR_SKIN_L,
  type Lab,
  type Undertone,
} from '../colour';
import { sidesWhere, type Features } from '../face';
import type { Finish } from '../kit';
import type { ShadeRole } from './skinRole';

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

/** How strict a judgement is: what is proposed keeps the trade's range, what is found has left it for certain. */
export type Strictness = 'propose' | 'find';

export const isLined = (features: Features): boolean => features.age === 'mature' || sidesWhere(features, ({ lines }) => lines.length > 1).length > 0;
export const isDeep = (skin: Lab): boolean => skin[0] < DEEP_SKIN_L;
export const isVeryFair = (skin: Lab): boolean => skin[0] > VERY_FAIR_SKIN_L;

/** Steps on lined skin are eased to this share. */
export const LINED_EASE = 0.8;
/** Steps the schools ask of a contour, a bronzer and a light where a step says nothing itself. */
export const SCHOOL_STEPS = { soft: { contour: 2, bronzer: 1.3, light: -2 }, bold: { contour: 3, bronzer: 1.8, light: -3 } } as const;

/** Her bare lip as far as it can be guessed without a reading: redder and a little deeper than the skin. */
export function bareLip([L, a, b]: Lab): Lab {
  return [L - 5, a + 9, b - 1];
}

/** Brow hair by the tone of the hair. A guess from a word: brows are often a step deeper. */
export const BROW_HAIR: Readonly<Record<Features['hairTone'], Lab>> = {
  fair: [55, 6, 17],
  red: [42, 14, 22],
  brown: [35, 7, 12],
  black: [21, 2, 3],
  grey: [48, 1, 3],
};

/** Her brow hair as it is seen on her skin: dark hair is never lighter than what it grows on. */
export function browHair(features: Features, skin: Lab): Lab {
  const hair = BROW_HAIR[features.hairTone];
  const dark = features.hairTone === 'black' || features.hairTone === 'brown';
  const deepest = depthOf(skin) + 1;
  return dark && depthOf(hair) < deepest ? [lightnessAtDepth(deepest), hair[1], hair[2]] : hair;
}

const steps = (n: number): string => `${Math.abs(n).toFixed(1)} step${Math.abs(n).toFixed(1) === '1.0' ? '' : 's'}`;
const hueTurn = (from: number, to: number): number => ((to - from + 540) % 360) - 180;

/**
 * How a colour leaves the range of its role on this skin; empty when it keeps it. Depth in shade steps against the skin, strength against the chroma that
 * healthy skin of this undertone has at the lightness that shows. Thresholds: the trade's ranges by role (docs/decisions/0010).
 */
export function missesOf(role: ShadeRole, seen: SeenColour, wearer: Wearer, how: Strictness, asked: number | null = null): Miss[] {
  return JUDGES[role](seen, wearer, how, asked);
}

type Judge = (seen: SeenColour, wearer: Wearer, how: Strictness, asked: number | null) => Miss[];

const depth = (lab: Lab, ground: Lab): number => depthOf(lab) - depthOf(ground);
const when = (condition: boolean, miss: Miss): Miss[] => (condition ? [miss] : []);

/** The share of the chroma that her own skin would have at this lightness. */
export function chromaShare(lab: Lab, skin: Lab): number {
  return chromaOf(lab) / healthyChromaAt(lab[0], skin);
}

/** Grey, by what shows and by what is in the pan: a film takes colour from the skin under it, a pan without colour cannot give any. */
function ashOf({ own, shown }: SeenColour, { skin }: Wearer, least: number, leastOwn: number, words: string): Miss[] {
  const share = chromaShare(shown, skin);
  const ownShare = chromaShare(own, skin);
  const lacking = Math.max(least - share, leastOwn - ownShare);
  return when(lacking > 0, {
    part: 'chroma',
    name: 'ash',
    over: lacking,
    words: `${words} (${Math.round(Math.min(share, ownShare) * 100)} % of the colour her skin would have)`,
  });
}

const contour: Judge = (seen, wearer, how, asked) => {
  const { skin, features, contrast } = wearer;
  const lined = isLined(features);
  const [own, shown] = [depth(seen.own, skin), depth(seen.shown, skin)];
  const want = Math.max(0.8, asked ?? SCHOOL_STEPS[contrast].contour) * (lined ? LINED_EASE : 1);
  // In the pan it is what was asked; how much of it a film shows is a matter of dose, down to where nothing is seen.
  const low = how === 'propose' ? Math.max(0.6, 0.4 * want) : 0.45;
  const lowOwn = how === 'propose' ? Math.max(0.8, 0.8 * want) : 0.8;
  const high = how === 'propose' ? Math.max(lined ? 2 : contrast === 'bold' ? 3.5 : 2.5, want) + 0.35 : lined ? 3 : contrast === 'bold' ? 4.3 : 3.7;
  const highOwn = how === 'propose' ? (lined ? 3.6 : 4.2) : 5;
  const fair = isVeryFair(skin);
  const warm = hueOf(seen.own) > 67 && chromaShare(seen.own, skin) > (how === 'propose' ? 1.15 : 1.25);
  return [
    ...when(own < -0.2, { part: 'depth', name: 'lighter than the skin', over: -own, words: `is ${steps(own)} lighter than her skin: a shadow is deeper` }),
    ...when(own >= -0.2 && (own < lowOwn || shown < low), {
      part: 'depth',
      name: 'does nothing',
      over: Math.max(lowOwn - own, low - shown, 0.01),
      words:
        own < lowOwn
          ? `is only ${steps(Math.max(0, own))} deeper than her skin, too little to set anything back`
          : `shows only ${steps(Math.max(0, shown))} deeper at this dose`,
    }),
    ...when(shown > high || own > highOwn, {
      part: 'depth',
      name: 'stripe',
      over: Math.max(shown - high, own - highOwn),
      words: `shows ${steps(shown)} deeper than her skin, ${steps(own)} in the pan: a stripe${lined ? ' on lined skin' : ''}`,
    }),
    ...(own > 0 ? ashOf(seen, wearer, fair ? 0.4 : how === 'propose' ? 0.62 : 0.55, fair ? 0.2 : how === 'propose' ? 0.5 : 0.4, 'reads grey') : []),
    ...when(fair && own > 0 && warm, {
      part: 'hue',
      name: 'orange',
      over: chromaShare(seen.own, skin) - 1,
      words: 'is warm for skin this fair: it turns orange',
    }),
  ];
};

const bronzer: Judge = (seen, wearer, how) => {
  const { skin, undertone } = wearer;
  const [own, shown] = [depth(seen.own, skin), depth(seen.shown, skin)];
  const turn = hueTurn(neutralSkinAt(seen.own[0]).hue, hueOf(seen.own));
  const golden = turn > 4;
  const pink = turn < -4;
  const strict = how === 'propose';
  return [
    ...when(own < -0.2, { part: 'depth', name: 'lighter than the skin', over: -own, words: `is ${steps(own)} lighter than her skin` }),
    ...when(own >= -0.2 && (own < (strict ? 0.8 : 0.4) || shown < (strict ? 0.3 : 0.12)), {
      part: 'depth',
      name: 'does nothing',
      over: Math.max(0.8 - own, 0.3 - shown, 0.01),
      words: `shows only ${steps(Math.max(0, shown))} deeper than her skin`,
    }),
    ...when(shown > (strict ? 2.1 : 2.7) || own > (strict ? 4.2 : 5.2), {
      part: 'depth',
      name: 'heavy',
      over: Math.max(shown - 2.1, own - 4.2),
      words: `shows ${steps(shown)} deeper than her skin, ${steps(own)} in the pan: mud`,
    }),
    ...(own > 0 ? ashOf(seen, wearer, strict ? 0.75 : 0.65, strict ? 0.7 : 0.5, 'reads grey where warmth is wanted') : []),
    ...when(undertone === 'cool' && golden && turn > (strict ? 5 : 6), {
      part: 'hue',
      name: 'orange',
      over: turn,
      words: 'is golden on a pink undertone: it looks orange',
    }),
    ...when(undertone === 'olive' && pink, { part: 'hue', name: 'ash', over: -turn, words: 'is pink on an olive undertone: it looks grey' }),
    ...when(isVeryFair(skin) && own > 0 && hueOf(seen.own) > 68 && chromaShare(seen.own, skin) > 1.3, {
      part: 'hue',
      name: 'orange',
      over: chromaShare(seen.own, skin) - 1,
      words: 'is golden for skin this fair: it may turn orange',
    }),
  ];
};

const blush: Judge = (seen, { skin }, how) => {
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
      words: `shows ${steps(shown)} lighter than her skin: chalky`,
    }),
    ...when(shown > (strict ? 3 : 3.5), { part: 'depth', name: 'heavy', over: shown - 3, words: `shows ${steps(shown)} deeper than her skin: heavy` }),
    ...when(faint, { part: 'chroma', name: 'hardly shows', over: Math.max(0.01, 8 - strength), words: 'is near her own colour and hardly shows' }),
  ];
};

/** The lightest a light can be on this skin: very fair skin has little left above it. */
const leastLight = (skin: Lab, strict: boolean): number => {
  const room = depthOf(skin) - 2.2;
  return -Math.min(strict ? 1.2 : 0.5, Math.max(0.2, (strict ? 0.5 : 0.25) * room));
};

const light: Judge = (seen, wearer, how) => {
  const { skin } = wearer;
  const own = depth(seen.own, skin);
  const strict = how === 'propose';
  const least = leastLight(skin, strict);
  const most = strict ? -4.6 : -7;
  const icy = isDeep(skin) ? (strict ? 0.75 : 0.6) : skin[0] < 60 ? 0.4 : 0;
  const share = chromaOf(seen.own) / Math.max(6, chromaOf(skin));
  return [
    ...when(own > 0.2, {
      part: 'depth',
      name: 'deeper than the skin',
      over: own,
      words: `is ${steps(own)} deeper than her skin: light deeper than skin looks like dirt`,
    }),
    ...when(own <= 0.2 && own > least, {
      part: 'depth',
      name: 'does nothing',
      over: own - least,
      words: `is only ${steps(own)} lighter than her skin: it does not show`,
    }),
    ...when(own < most, {
      part: 'depth',
      name: isDeep(skin) ? 'ash' : 'mask',
      over: most - own,
      words: `is ${steps(own)} lighter than her skin${isDeep(skin) ? ': icy, and ash on deep skin' : ''}`,
    }),
    ...when(own < 0 && share < icy, {
      part: 'chroma',
      name: 'ash',
      over: icy - share,
      words: 'is icy: on this depth it reads as ash, gold or rose gold does not',
    }),
  ];
};

const brighten: Judge = (seen, wearer, how) => {
  const { skin, features, contrast } = wearer;
  const strict = how === 'propose';
  const shown = depth(seen.shown, skin);
  const most = isDeep(skin) ? -1.5 : isLined(features) ? -1.2 : contrast === 'bold' ? -2.5 : -2;
  const slack = strict ? 0.15 : 0.45;
  return [
    ...when(shown > (strict ? -0.25 : 0.55), {
      part: 'depth',
      name: shown > 0 ? 'deeper than the skin' : 'does nothing',
      over: shown + 0.25,
      words: shown > 0 ? `shows ${steps(shown)} deeper than the skin round it` : `shows only ${steps(shown)} lighter`,
    }),
    ...when(shown < most - slack, {
      part: 'depth',
      name: 'mask',
      over: most - shown,
      words: `shows ${steps(shown)} lighter than the skin round it: a reverse mask`,
    }),
    ...ashOf(seen, wearer, strict ? 0.68 : 0.6, strict ? 0.55 : 0.45, 'reads grey'),
  ];
};

const cover: Judge = (seen, wearer, how) => {
  const { skin } = wearer;
  const shown = depth(seen.shown, skin);
  const [low, high] = how === 'propose' ? [-0.6, 0.4] : [-2.2, 0.85];
  return [
    ...when(shown < low, { part: 'depth', name: 'halo', over: low - shown, words: `shows ${steps(shown)} lighter than the skin round it: a halo` }),
    ...when(shown > high, { part: 'depth', name: 'deeper than the skin', over: shown - high, words: `shows ${steps(shown)} deeper than the skin round it` }),
    ...ashOf(seen, wearer, how === 'propose' ? 0.7 : 0.6, how === 'propose' ? 0.6 : 0.45, 'reads grey'),
  ];
};

const baseWithin =
  (low: number, high: number): Judge =>
  (seen, { skin }, how) => {
    const slack = how === 'propose' ? 0.1 : 0.5;
    const own = depth(seen.own, skin);
    return [
      ...when(own < low - slack, {
        part: 'depth',
        name: 'mask',
        over: low - own,
        words: `is ${own < 0 ? `${steps(own)} lighter` : `only ${steps(own)} deeper`}: the joint shows`,
      }),
      ...when(own > high + slack, {
        part: 'depth',
        name: 'stripe',
        over: own - high,
        words: `is ${own > 0 ? `${steps(own)} deeper` : `only ${steps(own)} lighter`}: the joint shows`,
      }),
    ];
  };

/** A base within this colour difference of the whole person is no mask. */
export const BASE_WITHIN = 2;

const base: Judge = ({ own, shown }, { skin }, how) => {
  const [inPan, onSkin] = [deltaE2000(own, skin), deltaE2000(shown, skin)];
  const off = how === 'propose' ? inPan > BASE_WITHIN : (inPan > BASE_WITHIN && onSkin > BASE_WITHIN + 0.2) || inPan > 3.6;
  const by = depth(own, skin);
  const way =
    Math.abs(by) >= 0.3
      ? `, ${steps(by)} ${by > 0 ? 'deeper' : 'lighter'}`
      : hueOf(own) > hueOf(skin) + 3
        ? ', yellower'
        : hueOf(own) < hueOf(skin) - 3
          ? ', pinker'
          : '';
  return when(off, {
    part: 'depth',
    name: 'mask',
    over: inPan - BASE_WITHIN,
    words: `is ${inPan.toFixed(1)} from her face, neck and decollete${way}: a mask, and a tide line at the jaw`,
  });
};

const powderOf =
  (low: number, high: number): Judge =>
  (seen, wearer, how) => {
    const { skin } = wearer;
    const strict = how === 'propose';
    const [own, shown] = [depth(seen.own, skin), depth(seen.shown, skin)];
    const [least, most] = strict ? [low - 0.05, high] : [low - 0.4, 1];
    // A sheer powder shows little on light skin whatever it is; far deeper in the pan it still catches in every pore.
    const tooDeep = shown > most || own > (strict ? 1.3 : 2.2);
    return [
      ...when(shown < least || own < (strict ? -7.5 : -14), {
        part: 'depth',
        name: isDeep(skin) || skin[0] < 55 ? 'ash' : 'cast',
        over: Math.max(least - shown, 0.05),
        words: `shows ${steps(shown)} lighter than her skin: ${isDeep(skin) || skin[0] < 55 ? 'ashy' : 'a cast'}`,
      }),
      ...when(tooDeep, {
        part: 'depth',
        name: 'patch',
        over: Math.max(shown - most, own - 1.3),
        words: `shows ${steps(shown)} deeper than her skin, ${steps(own)} in the pan: a patch`,
      }),
      ...ashOf(seen, wearer, strict ? 0.72 : 0.6, 0, 'reads grey'),
    ];
  };

const brow: Judge = ({ own }, { skin, features }, how) => {
  const hair = browHair(features, skin);
  const off = depth(own, hair);
  const most = how === 'propose' ? 2.6 : 3.7;
  const warmth = chromaOf(own) - chromaOf(hair);
  const dark = features.hairTone === 'black' || features.hairTone === 'brown';
  return [
    ...when(Math.abs(off) > most, {
      part: 'depth',
      name: 'borrowed brows',
      over: Math.abs(off) - most,
      words: `is ${steps(off)} ${off > 0 ? 'deeper' : 'lighter'} than ${features.hairTone} brow hair`,
    }),
    ...when(dark && depth(own, skin) < -0.3, {
      part: 'depth',
      name: 'lighter than the skin',
      over: -depth(own, skin),
      words: 'is lighter than her skin on dark hair',
    }),
    ...when(features.hairTone === 'grey' && warmth > (how === 'propose' ? 10 : 14), {
      part: 'hue',
      name: 'borrowed brows',
      over: warmth / 10,
      words: 'is warm against grey hair',
    }),
  ];
};

const lid: Judge = ({ own }, { skin, contrast }, how) => {
  const off = depth(own, skin);
  const slack = how === 'propose' ? 0 : 0.8;
  const most = (contrast === 'bold' ? 8 : 6) + slack;
  return [
    ...when(off < -4.2 - 2 * slack && !isVeryFair(skin), {
      part: 'depth',
      name: 'chalk',
      over: -4.2 - off,
      words: `is ${steps(off)} lighter than the lid: chalky`,
    }),
    ...when(off > most + 2, { part: 'depth', name: 'patch', over: off - most, words: `is ${steps(off)} deeper than the lid: a patch` }),
  ];
};

const socket: Judge = ({ own, finish }, { skin, contrast }, how) => {
  const off = depth(own, skin);
  const strict = how === 'propose';
  const most = (contrast === 'bold' ? 9 : 6) + (strict ? 0.2 : 1.5);
  const metal = finish === 'shimmer';
  return [
    ...when(off < (strict ? 0.8 : 0.3) && !metal, {
      part: 'depth',
      name: 'does nothing',
      over: 0.8 - off,
      words: off < 0 ? `is ${steps(off)} lighter than the lid: no shadow` : `is only ${steps(off)} deeper than the lid`,
    }),
    ...when(off > most, { part: 'depth', name: 'patch', over: off - most, words: `is ${steps(off)} deeper than the lid: a patch` }),
  ];
};

const lip: Judge = ({ own, shown }, { skin }, how) => {
  const strict = how === 'propose';
  const bare = bareLip(skin);
  const lighter = -depth(shown, skin);
  const pale = chromaOf(own) < 1.35 * chromaOf(bare);
  const most = isDeep(skin) ? (strict ? 0.9 : 1.2) : strict ? 1.6 : 2.1;
  const dull = chromaOf(own) < (strict ? 0.85 : 0.65) * chromaOf(bare);
  const turn = Math.abs(hueTurn(hueOf(bare), hueOf(own)));
  return [
    ...when(lighter > most && pale, { part: 'depth', name: 'chalk', over: lighter - most, words: `shows ${steps(lighter)} lighter than her skin: chalk` }),
    ...when(lighter > most + 6 && !pale && isDeep(skin), {
      part: 'depth',
      name: 'chalk',
      over: lighter - most,
      words: `shows ${steps(lighter)} lighter than her skin: it stands off deep skin`,
    }),
    ...when(dull && turn < 60 && depth(own, bare) < 2, {
      part: 'chroma',
      name: 'chalk',
      over: 1 - chromaOf(own) / chromaOf(bare),
      words: 'has less colour than her own lip: it looks pale',
    }),
  ];
};

const JUDGES: Readonly<Record<ShadeRole, Judge>> = {
  base,
  'deeper edge': baseWithin(1, 2.5),
  'lighter centre': baseWithin(-1.5, -0.5),
  cover,
  brighten,
  contour,
  bronzer,
  blush,
  light,
  powder: powderOf(-0.5, 0.5),
  'under-eye powder': powderOf(-1, 0.3),
  brow,
  lid,
  socket,
  lip,
};
