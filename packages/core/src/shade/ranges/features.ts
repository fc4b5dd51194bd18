import { chromaOf, depthOf, hueOf, lightnessAtDepth, type Lab } from '../../colour';
import type { Features } from '../../face';
import { clamp } from '../../math';
import { msg, term } from '../../messages';
import { depth, hueTurn, isDeep, isVeryFair, steps, when, type Judge } from './judge';

/** Her bare lip as far as it can be guessed without a reading: redder and a little deeper than the skin. */
export function bareLip([L, a, b]: Lab): Lab {
  return [L - 5, a + 9, b - 1];
}

/**
 * On deep skin a lip is told from a nude by chroma beside lightness: a dusty rose is chalk there, mahogany of
 * as much chroma is not. Up to the first it is a nude, from the second on plainly a colour of its own.
 */
const SATURATION_ON_DEEP = [0.72, 0.92] as const;
/** On other skin by chroma beside that of her own lip, and so much more. */
const NUDE_CHROMA = 1.35;
const BOLD_BY = 10;
/** Steps a lip of its own colour may be lighter than a nude on deep skin before it stands off. */
export const BOLD_LIGHTER = 6;

/** How far a lip colour is one of its own on this skin and no nude, 0 to 1. */
export function boldnessOfLip(lab: Lab, skin: Lab): number {
  const [nude, bold] = SATURATION_ON_DEEP;
  return isDeep(skin)
    ? clamp((chromaOf(lab) / lab[0] - nude) / (bold - nude), 0, 1)
    : clamp((chromaOf(lab) - NUDE_CHROMA * chromaOf(bareLip(skin))) / BOLD_BY, 0, 1);
}

/** Brow hair by the tone of the hair. A guess from a word: brows are often a step deeper. */
export const BROW_HAIR: Readonly<Record<Features['hairTone'], Lab>> = {
  fair: [55, 6, 17],
  red: [42, 14, 22],
  brown: [35, 7, 12],
  black: [21, 2, 3],
  grey: [48, 1, 3],
};

/** Steps dark hair is deeper than the skin it grows on, at least: brown on deep skin is nearly black. */
const DEEPER_THAN_SKIN = { black: 1, brown: 3 } as const;

/** Brow hair as it is on this skin: brown and black are seen on any, and brown is no deeper than black. */
export function browHair({ hairTone }: Pick<Features, 'hairTone'>, skin: Lab): Lab {
  const hair = BROW_HAIR[hairTone];
  if (hairTone !== 'black' && hairTone !== 'brown') return hair;
  const onSkin = depthOf(skin) + DEEPER_THAN_SKIN[hairTone];
  const most = Math.max(depthOf(BROW_HAIR.black), depthOf(skin) + DEEPER_THAN_SKIN.black);
  const depth = hairTone === 'brown' ? Math.min(onSkin, most) : onSkin;
  return depthOf(hair) < depth ? [lightnessAtDepth(depth), hair[1], hair[2]] : hair;
}

/** A brow colour beside her brow hair. */
export const brow: Judge = ({ own }, { skin, features }, how) => {
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
      words: msg`is ${steps(off)} ${off > 0 ? msg`deeper` : msg`lighter`} than ${term(features.hairTone)} brow hair`,
    }),
    ...when(dark && depth(own, skin) < -0.3, {
      part: 'depth',
      name: 'lighter than the skin',
      over: -depth(own, skin),
      words: msg`is lighter than the skin on dark hair`,
    }),
    ...when(features.hairTone === 'grey' && warmth > (how === 'propose' ? 10 : 14), {
      part: 'hue',
      name: 'borrowed brows',
      over: warmth / 10,
      words: msg`is warm against grey hair`,
    }),
  ];
};

/** A lid colour beside her lid. */
export const lid: Judge = ({ own }, { skin, contrast }, how) => {
  const off = depth(own, skin);
  const slack = how === 'propose' ? 0 : 0.8;
  const most = (contrast === 'bold' ? 8 : 6) + slack;
  return [
    ...when(off < -4.2 - 2 * slack && !isVeryFair(skin), {
      part: 'depth',
      name: 'chalk',
      over: -4.2 - off,
      words: msg`is ${steps(off)} lighter than the lid: chalky`,
    }),
    ...when(off > most + 2, {
      part: 'depth',
      name: 'patch',
      over: off - most,
      words: msg`is ${steps(off)} deeper than the lid: a patch`,
    }),
  ];
};

/** A shadow in the socket: deeper than the lid. */
export const socket: Judge = ({ own }, { skin, contrast }, how) => {
  const off = depth(own, skin);
  const strict = how === 'propose';
  const most = (contrast === 'bold' ? 9 : 6) + (strict ? 0.2 : 1.5);
  return [
    ...when(off < (strict ? 0.8 : 0.3), {
      part: 'depth',
      name: 'does nothing',
      over: 0.8 - off,
      words:
        off < 0
          ? msg`is ${steps(off)} lighter than the lid: no shadow`
          : msg`is only ${steps(off)} deeper than the lid`,
    }),
    ...when(off > most, {
      part: 'depth',
      name: 'patch',
      over: off - most,
      words: msg`is ${steps(off)} deeper than the lid: a patch`,
    }),
  ];
};

/** A lip colour beside her own lip: neither chalk nor paler than the lip under it. */
export const lip: Judge = ({ own, shown }, { skin }, how) => {
  const strict = how === 'propose';
  const bare = bareLip(skin);
  const lighter = -depth(shown, skin);
  const bold = boldnessOfLip(own, skin);
  const chalk = isDeep(skin) ? (strict ? 0.9 : 1.2) : strict ? 1.6 : 2.1;
  const most = chalk + (isDeep(skin) ? BOLD_LIGHTER * bold : bold > 0 ? Infinity : 0);
  const dull = chromaOf(own) < (strict ? 0.85 : 0.65) * chromaOf(bare);
  const turn = Math.abs(hueTurn(hueOf(bare), hueOf(own)));
  return [
    ...when(lighter > most, {
      part: 'depth',
      name: 'chalk',
      over: lighter - most,
      words:
        bold < 1
          ? msg`shows ${steps(lighter)} lighter than the skin: chalk`
          : msg`shows ${steps(lighter)} lighter than the skin: it stands off deep skin`,
    }),
    ...when(dull && turn < 60 && depth(own, bare) < 2, {
      part: 'chroma',
      name: 'chalk',
      over: 1 - chromaOf(own) / chromaOf(bare),
      words: msg`has less colour than the lip itself: it looks pale`,
    }),
  ];
};
