import { deltaE2000, hueOf } from '../../colour';
import { msg } from '../../messages';
import { ashOf, depth, isDeep, isLined, steps, when, type Judge } from './judge';

/** A lighter concealer: no more than what reads as light, never a reverse mask. */
export const brighten: Judge = (seen, wearer, how) => {
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
      words:
        shown > 0
          ? msg`shows ${steps(shown)} deeper than the skin round it`
          : msg`shows only ${steps(shown)} lighter`,
    }),
    ...when(shown < most - slack, {
      part: 'depth',
      name: 'mask',
      over: most - shown,
      words: msg`shows ${steps(shown)} lighter than the skin round it: a reverse mask`,
    }),
    ...ashOf(seen, wearer, strict ? 0.68 : 0.6, strict ? 0.55 : 0.45, msg`reads grey`),
  ];
};

/** A concealer that vanishes into the skin round it. */
export const cover: Judge = (seen, wearer, how) => {
  const { skin } = wearer;
  const shown = depth(seen.shown, skin);
  const [low, high] = how === 'propose' ? [-0.6, 0.4] : [-2.2, 0.85];
  return [
    ...when(shown < low, {
      part: 'depth',
      name: 'halo',
      over: low - shown,
      words: msg`shows ${steps(shown)} lighter than the skin round it: a halo`,
    }),
    ...when(shown > high, {
      part: 'depth',
      name: 'deeper than the skin',
      over: shown - high,
      words: msg`shows ${steps(shown)} deeper than the skin round it`,
    }),
    ...ashOf(seen, wearer, how === 'propose' ? 0.7 : 0.6, how === 'propose' ? 0.6 : 0.45, msg`reads grey`),
  ];
};

/** A base that is meant to differ from the skin, between two borders in shade steps. */
export const baseWithin =
  (low: number, high: number): Judge =>
  (seen, { skin }, how, asked) => {
    const slack = how === 'propose' ? 0.1 : 0.5;
    const own = depth(seen.own, skin);
    // What a step asks for itself is never refused on the side of her skin: between the two the joint shows
    // least.
    const least = asked !== null && asked > 0 ? Math.min(low, asked) : low;
    const most = asked !== null && asked < 0 ? Math.max(high, asked) : high;
    return [
      ...when(own < least - slack, {
        part: 'depth',
        name: 'mask',
        over: least - own,
        words: msg`is ${own < 0 ? msg`${steps(own)} lighter` : msg`only ${steps(own)} deeper`}: the joint shows`,
      }),
      ...when(own > most + slack, {
        part: 'depth',
        name: 'stripe',
        over: own - most,
        words: msg`is ${own > 0 ? msg`${steps(own)} deeper` : msg`only ${steps(own)} lighter`}: the joint shows`,
      }),
    ];
  };

/** A base within this colour difference of the whole person is no mask. */
export const BASE_WITHIN = 2;

export const base: Judge = ({ own, shown }, { skin }, how) => {
  const [inPan, onSkin] = [deltaE2000(own, skin), deltaE2000(shown, skin)];
  const off =
    how === 'propose'
      ? inPan > BASE_WITHIN
      : (inPan > BASE_WITHIN && onSkin > BASE_WITHIN + 0.2) || inPan > 3.6;
  const by = depth(own, skin);
  const way =
    Math.abs(by) >= 0.3
      ? `, ${steps(by)} ${by > 0 ? msg`deeper` : msg`lighter`}`
      : hueOf(own) > hueOf(skin) + 3
        ? msg`, yellower`
        : hueOf(own) < hueOf(skin) - 3
          ? msg`, pinker`
          : '';
  return when(off, {
    part: 'depth',
    name: 'mask',
    over: inPan - BASE_WITHIN,
    words: msg`is ${inPan.toFixed(1)} from face, neck and decollete${way}: a mask, and a tide line at the jaw`,
  });
};

/** A setting powder between two borders in shade steps as it shows. */
export const powderOf =
  (low: number, high: number): Judge =>
  (seen, wearer, how) => {
    const { skin } = wearer;
    const strict = how === 'propose';
    const [own, shown] = [depth(seen.own, skin), depth(seen.shown, skin)];
    const [least, most] = strict ? [low - 0.05, high] : [low - 0.4, 1];
    // A sheer powder shows little on light skin whatever it is; far deeper in the pan it still catches in
    // every pore.
    const tooDeep = shown > most || own > (strict ? 1.3 : 2.2);
    return [
      ...when(shown < least || own < (strict ? -7.5 : -14), {
        part: 'depth',
        name: isDeep(skin) || skin[0] < 55 ? 'ash' : 'cast',
        over: Math.max(least - shown, 0.05),
        words: msg`shows ${steps(shown)} lighter than the skin: ${isDeep(skin) || skin[0] < 55 ? msg`ashy` : msg`a cast`}`,
      }),
      ...when(tooDeep, {
        part: 'depth',
        name: 'patch',
        over: Math.max(shown - most, own - 1.3),
        words: msg`shows ${steps(shown)} deeper than the skin, ${steps(own)} in the pan: a patch`,
      }),
      ...ashOf(seen, wearer, strict ? 0.72 : 0.6, 0, msg`reads grey`),
    ];
  };
