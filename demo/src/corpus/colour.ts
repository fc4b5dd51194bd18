import { shiftDepth, skinTarget, type Lab } from '@toile/core';
import { broken, sound, type Case } from './case';
import { all, coloured, copied, withOccasion, withProduct, withStep, at, type SkinName } from './ground';

const HARBOUR = 'Harbour Morning';
const contour = 'Contour the cheek';

/** A shadow some steps deeper than her skin with a share of its colour, turned by degrees. */
const shadow = (steps: number, share: number, turn = 0) =>
  withProduct(contour, (_, chart) => {
    const [L, a, b] = shiftDepth(skinTarget(chart.client.skin)!, steps);
    const [chroma, hue] = [Math.hypot(a, b) * share, Math.atan2(b, a) + (turn * Math.PI) / 180];
    return { lab: [L, chroma * Math.cos(hue), chroma * Math.sin(hue)] };
  });

const GREY_ON: readonly SkinName[] = ['sand', 'honey', 'moss', 'cedar', 'walnut', 'jet'];
const RED_BROWN_ON: readonly SkinName[] = ['cedar', 'russet', 'walnut', 'ebony', 'jet'];

/** Ash, warmth and undertone by what will show, never by a name. */
export const COLOUR: readonly Case[] = [
  ...GREY_ON.map((skin) =>
    broken(
      'ash and warmth',
      `a truly grey contour on ${skin} skin is ash`,
      { skin, look: HARBOUR },
      shadow(2.6, 0.1),
      ['cool-contour-on-deep'],
    ),
  ),
  ...RED_BROWN_ON.map((skin) =>
    sound(
      'ash and warmth',
      `a red-brown contour on ${skin} skin is right`,
      { skin, look: HARBOUR },
      shadow(2.4, 1.1, -14),
    ),
  ),
  sound(
    'ash and warmth',
    'a greyed taupe is right on very fair skin',
    { skin: 'milk', look: HARBOUR },
    shadow(3, 0.55, -4),
  ),
  sound(
    'ash and warmth',
    'a contour of the skin’s own hue',
    { skin: 'olive', look: HARBOUR },
    shadow(2.6, 1),
  ),
  sound(
    'ash and warmth',
    'a contour a little cooler than the skin',
    { skin: 'amber', look: HARBOUR },
    shadow(2.6, 0.85, -4),
  ),
  broken(
    'ash and warmth',
    'a golden-orange contour on very fair skin turns orange',
    { skin: 'milk', look: HARBOUR },
    coloured(contour, [70, 8, 30]),
    ['orange-on-fair'],
  ),
  broken(
    'ash and warmth',
    'a grey-blue concealer on medium skin',
    { skin: 'honey', look: HARBOUR },
    coloured('Conceal under the eye', [66, 1, -2], { coverage: 'full' }),
    ['grey-cast'],
    ['concealer-mask'],
  ),
  broken(
    'ash and warmth',
    'white powder on deep skin is ash',
    { skin: 'walnut', look: HARBOUR },
    coloured('Set where it moves', [92, 0, 3], { texture: 'loose' }),
    ['ashy-powder'],
    ['white-cast'],
  ),
  broken(
    'ash and warmth',
    'white powder on tan skin too',
    { skin: 'cedar', look: HARBOUR },
    coloured('Set where it moves', [92, 0, 3], { coverage: 'light' }),
    ['ashy-powder'],
    ['white-cast'],
  ),
  sound(
    'ash and warmth',
    'translucent powder on light skin is a film that does not show',
    { skin: 'shell', look: HARBOUR },
    coloured('Set where it moves', [90, 1, 4], { coverage: 'sheer' }),
  ),
  sound(
    'ash and warmth',
    'a powder of her own depth on very deep skin',
    { skin: 'jet', look: HARBOUR },
    withProduct('Set where it moves', (_, chart) => ({ lab: [...skinTarget(chart.client.skin)!] })),
  ),
  broken(
    'ash and warmth',
    'an icy pearl on very deep skin is ash',
    { skin: 'ebony', look: HARBOUR },
    coloured('Light on the high points', [90, 2, 6]),
    ['icy-light'],
  ),
  broken(
    'ash and warmth',
    'a silver light on deep skin is ash though of the right depth',
    { skin: 'russet', look: HARBOUR },
    withProduct('Light on the high points', (_, chart) => ({
      lab: [...grey(shiftDepth(skinTarget(chart.client.skin)!, -2.5))],
    })),
    ['icy-light'],
  ),
  sound(
    'ash and warmth',
    'rose gold on very deep skin',
    { skin: 'jet', look: HARBOUR },
    coloured('Light on the high points', [37, 18, 20]),
  ),
  sound(
    'ash and warmth',
    'pearl on very fair skin',
    { skin: 'milk', look: HARBOUR },
    coloured('Light on the high points', [91, 2, 7]),
  ),
  broken(
    'ash and warmth',
    'a golden bronzer on a pink undertone looks orange',
    { skin: 'rose', look: HARBOUR },
    bronze((skin) => turned(shiftDepth(skin, 2.4), 20)),
    ['bronzer-undertone'],
    ['orange-on-fair'],
  ),
  sound(
    'ash and warmth',
    'a rosy bronzer on a pink undertone',
    { skin: 'rose', look: HARBOUR },
    bronze((skin) => shiftDepth(skin, 2.4, { undertone: 'cool' })),
  ),
  broken(
    'ash and warmth',
    'a pink bronzer on olive greys',
    { skin: 'moss', look: HARBOUR },
    bronze((skin) => turned(shiftDepth(skin, 2.4), -24)),
    ['bronzer-undertone'],
  ),
  sound(
    'ash and warmth',
    'a golden bronzer on olive',
    { skin: 'moss', look: HARBOUR },
    bronze((skin) => shiftDepth(skin, 2.4, { undertone: 'warm' })),
  ),
  sound(
    'ash and warmth',
    'a red-brown bronzer on very deep skin',
    { skin: 'jet', look: HARBOUR },
    bronze((skin) => shiftDepth(skin, 2, { undertone: 'red' })),
  ),
  broken(
    'ash and warmth',
    'a scattering powder thrown back by the flash on deep skin',
    { skin: 'ebony', look: HARBOUR },
    all(
      withProduct('Set where it moves', () => ({
        texture: 'loose',
        ingredients: ['silica'],
        finish: 'matte',
      })),
      withStep('Set where it moves', () => ({ doseMgPerCm2: 0.9 })),
    ),
    ['white-cast'],
    ['thick-powder-on-lines'],
  ),
  sound(
    'ash and warmth',
    'the studio’s own flash photo clears a powder the model would suspect',
    { skin: 'ebony', look: HARBOUR },
    withProduct('Set where it moves', () => ({
      texture: 'loose',
      ingredients: ['silica'],
      finish: 'matte',
      flashGrade: 0,
    })),
  ),
  broken(
    'ash and warmth',
    'the studio’s own flash photo convicts one it would not',
    { skin: 'walnut', look: HARBOUR },
    all(
      withProduct('Set where it moves', () => ({ ingredients: ['talc'], flashGrade: 3 })),
      withStep('Set where it moves', () => ({ doseMgPerCm2: 0.6 })),
    ),
    ['white-cast'],
  ),
  sound(
    'ash and warmth',
    'without a camera nothing is thrown back',
    {
      skin: 'ebony',
      look: HARBOUR,
      occasion: { kind: 'other', date: '2031-05-14', lights: ['daylight'], hoursToLast: 5, camera: false },
    },
    withProduct('Set where it moves', () => ({ texture: 'loose', ingredients: ['silica'] })),
  ),
  broken(
    'ash and warmth',
    'silver on the lid of olive skin',
    { skin: 'olive', look: 'Glasshouse' },
    coloured('Bronze on the lid', [66, 0, 0], { finish: 'shimmer' }),
    ['metals-on-olive'],
    ['eyes-first'],
  ),
  sound(
    'ash and warmth',
    'gold on the lid of olive skin',
    { skin: 'olive', look: 'Glasshouse' },
    coloured('Bronze on the lid', [58, 11, 36], { finish: 'shimmer' }),
  ),
  sound(
    'ash and warmth',
    'a second light of candles asks nothing of a matte face',
    { skin: 'honey', look: 'Choir Loft' },
    withOccasion({ lights: ['candle'], camera: false }),
  ),
];

function grey([L]: Lab): Lab {
  return [L, 1, 1];
}

function turned([L, a, b]: Lab, degrees: number): Lab {
  const [chroma, hue] = [Math.hypot(a, b), Math.atan2(b, a) + (degrees * Math.PI) / 180];
  return [L, chroma * Math.cos(hue), chroma * Math.sin(hue)];
}

function bronze(of: (skin: Lab) => Lab) {
  return copied('Blush, lifted', (step, chart) => ({
    title: 'Warmth',
    role: 'bronze',
    shade: null,
    wants: { kinds: ['bronzer'] },
    placements: at('bronzeHairline'),
    doseMgPerCm2: 0.4,
    use: step.use.map((u) => ({
      ...u,
      product: {
        ...u.product,
        kind: 'bronzer',
        lab: [...of(skinTarget(chart.client.skin)!)],
        coverage: 'medium',
        finish: 'natural',
      },
    })),
  }));
}
