import { shiftDepth, skinTarget, type Lab } from '@toile/core';
import { broken, sound, type Case } from './case';
import {
  all,
  asIs,
  coloured,
  copied,
  shaded,
  SKIN_NAMES,
  skinNamed,
  withProduct,
  withStep,
  at,
} from './ground';

const HARBOUR = 'Harbour Morning';
const LOOK_OF = [HARBOUR, 'Lamplight', 'Choir Loft', 'Glasshouse', 'Plain Cloth', 'First Ferry'] as const;
const contour = 'Contour the cheek';

/** Every role goes the right way and keeps its range; what shows is judged, not the bottle. */
export const DIRECTION: readonly Case[] = [
  ...SKIN_NAMES.map((skin, i) =>
    sound(
      'direction',
      `${LOOK_OF[i % 6]} fitted to ${skin} skin from a full kit raises nothing`,
      { skin, look: LOOK_OF[i % 6]! },
      asIs,
    ),
  ),
  ...(['milk', 'olive', 'cedar', 'jet'] as const).map((skin) =>
    broken(
      'direction',
      `a contour two steps lighter than ${skin} skin is a mistake`,
      { skin, look: HARBOUR },
      shaded(contour, -2),
      ['contour-too-light'],
      ['contour-does-nothing'],
    ),
  ),
  broken(
    'direction',
    'a contour four steps lighter than deep skin, as a poor kit once proposed',
    { skin: 'walnut', look: 'Choir Loft' },
    shaded('A little shadow on the cheek', -4),
    ['contour-too-light'],
    ['cool-contour-on-deep'],
  ),
  ...(['shell', 'honey', 'ebony'] as const).map((skin) =>
    broken(
      'direction',
      `a contour half a step deeper than ${skin} skin does nothing`,
      { skin, look: HARBOUR },
      shaded(contour, 0.4),
      ['contour-does-nothing'],
    ),
  ),
  ...(['sand', 'moss', 'russet'] as const).map((skin) =>
    broken(
      'direction',
      `six steps of contrast on ${skin} skin are a stripe`,
      { skin, look: HARBOUR },
      shaded(contour, 6.4),
      ['contrast-on-mature'],
      ['cool-contour-on-deep'],
    ),
  ),
  ...(['rose', 'amber', 'ebony'] as const).map((skin) =>
    sound(
      'direction',
      `two and a half steps deeper on ${skin} skin are the soft school`,
      { skin, look: HARBOUR },
      shaded(contour, 2.5),
    ),
  ),
  sound(
    'direction',
    'three steps deeper are the bold school',
    { skin: 'honey', look: 'Lamplight' },
    shaded(contour, 3.2),
  ),
  broken(
    'direction',
    'four and a half steps on lined skin are too much for anybody',
    { skin: 'oat', look: HARBOUR, features: { age: 'mature' } },
    shaded(contour, 5.2),
    ['contrast-on-mature'],
  ),
  ...(['milk', 'honey', 'walnut'] as const).map((skin) =>
    broken(
      'direction',
      `a light a step and a half deeper than ${skin} skin looks like dirt`,
      { skin, look: HARBOUR },
      shaded('Light on the high points', 1.5),
      ['light-deeper'],
    ),
  ),
  broken(
    'direction',
    'a light as deep as the skin does not show',
    { skin: 'cedar', look: HARBOUR },
    shaded('Light on the high points', -0.1),
    ['light-does-nothing'],
  ),
  sound(
    'direction',
    'a light two and a half steps lighter, gold on deep skin',
    { skin: 'russet', look: HARBOUR },
    coloured('Light on the high points', [46, 19, 28]),
  ),
  ...(['rose', 'moss', 'ebony'] as const).map((skin) =>
    broken(
      'direction',
      `a powder four steps deeper than ${skin} skin is a patch`,
      { skin, look: HARBOUR },
      shaded('Set where it moves', 4, { coverage: 'light' }),
      ['powder-patch'],
    ),
  ),
  ...(['honey', 'russet', 'jet'] as const).map((skin) =>
    broken(
      'direction',
      `a concealer four steps lighter than ${skin} skin is a mask`,
      { skin, look: HARBOUR },
      shaded('Conceal under the eye', -4.5, { coverage: 'full' }),
      ['concealer-mask', 'grey-cast'],
      ['concealer-mask', 'grey-cast'],
    ),
  ),
  broken(
    'direction',
    'a concealer two steps deeper than the skin round a mark is a stain',
    { skin: 'sand', look: 'Choir Loft' },
    shaded('Conceal under the eye', 2, { coverage: 'full' }),
    ['concealer-halo'],
  ),
  sound(
    'direction',
    'a concealer one step lighter brightens',
    { skin: 'olive', look: HARBOUR },
    shaded('Conceal under the eye', -1.1),
  ),
  ...(['cedar', 'walnut', 'jet'] as const).map((skin) =>
    broken(
      'direction',
      `a pale nude on ${skin} skin is chalk`,
      { skin, look: HARBOUR },
      coloured('Lip', [78, 9, 9]),
      ['chalky-lip'],
      ['lip-for-long'],
    ),
  ),
  broken(
    'direction',
    'a lip the colour of concealer on light skin is chalk',
    { skin: 'rose', look: HARBOUR },
    coloured('Lip', [88, 4, 10]),
    ['chalky-lip'],
  ),
  sound(
    'direction',
    'a nude a little deeper than her own lip',
    { skin: 'walnut', look: HARBOUR },
    coloured('Lip', [32, 24, 14]),
  ),
  sound(
    'direction',
    'a bright red on deep skin is right, lighter than the skin or not',
    { skin: 'ebony', look: HARBOUR },
    coloured('Lip', [38, 52, 32]),
  ),
  ...(['cedar', 'ebony'] as const).map((skin) =>
    broken(
      'direction',
      `a pale pink blush turns to chalk on ${skin} skin`,
      { skin, look: HARBOUR },
      coloured('Blush, lifted', [80, 18, 6]),
      ['chalky-blush'],
    ),
  ),
  broken(
    'direction',
    'a blush of the skin’s own colour does not show',
    { skin: 'olive', look: HARBOUR },
    shaded('Blush, lifted', 0),
    ['blush-hardly-shows'],
  ),
  broken(
    'direction',
    'a plum blush laid thick on very fair skin is a painted cheek',
    { skin: 'milk', look: HARBOUR },
    all(
      coloured('Blush, lifted', [30, 36, 4], { coverage: 'medium' }),
      withStep('Blush, lifted', () => ({ doseMgPerCm2: 0.8 })),
    ),
    ['heavy-blush'],
  ),
  sound(
    'direction',
    'plum on deep skin',
    { skin: 'jet', look: HARBOUR },
    coloured('Blush, lifted', [30, 38, 2]),
  ),
  sound(
    'direction',
    'cool pink on very fair skin',
    { skin: 'milk', look: HARBOUR },
    coloured('Blush, lifted', [72, 26, 6]),
  ),
  broken(
    'direction',
    'black brows on fair hair are borrowed',
    { skin: 'shell', look: HARBOUR, features: { hairTone: 'fair' } },
    coloured('Brows', [14, 1, 1]),
    ['brow-off-hair'],
  ),
  broken(
    'direction',
    'straw brows on black hair are borrowed',
    { skin: 'cedar', look: HARBOUR, features: { hairTone: 'black' } },
    coloured('Brows', [56, 6, 18]),
    ['brow-off-hair'],
  ),
  sound(
    'direction',
    'grey brows drawn in flint',
    { skin: 'russet', look: HARBOUR, features: { hairTone: 'grey' } },
    coloured('Brows', [48, 1, 3]),
  ),
  broken(
    'direction',
    'a socket shade lighter than the lid is no shadow',
    { skin: 'walnut', look: HARBOUR },
    shaded('Socket and outer third', -3),
    ['lid-off'],
    ['eye-colours-alike'],
  ),
  broken(
    'direction',
    'black in the socket of very fair skin is a patch',
    { skin: 'milk', look: HARBOUR },
    coloured('Socket and outer third', [14, 0, 0]),
    ['lid-off'],
  ),
  broken(
    'direction',
    'a base two and a half steps too light is a mask',
    { skin: 'amber', look: HARBOUR },
    shaded('Base', -2.5),
    ['base-off-skin'],
    ['base-off-neck'],
  ),
  broken(
    'direction',
    'a base of the right depth and the wrong undertone',
    { skin: 'olive', look: 'Choir Loft' },
    withProduct('Base', (_, chart) => ({
      lab: [...pinker(skinTarget(chart.client.skin)!)],
      coverage: 'full',
    })),
    ['base-off-skin'],
    ['base-off-neck'],
  ),
  sound(
    'direction',
    'a base within a difference of one',
    { skin: 'moss', look: HARBOUR },
    shaded('Base', 0.2),
  ),
  sound(
    'direction',
    'two bases by design: a deeper edge beside the base',
    { skin: 'honey', look: HARBOUR },
    edge(1.6),
  ),
  broken(
    'direction',
    'an edge four steps deeper than the base is a stripe',
    { skin: 'honey', look: HARBOUR },
    edge(4.2),
    ['base-joint'],
  ),
  broken(
    'direction',
    'a liner three steps lighter than its lip leaves a ring',
    { skin: 'rose', look: HARBOUR, features: { lines: ['lip'] } },
    coloured('Line the lips', [72, 22, 14]),
    ['liner-off-lip'],
  ),
  broken(
    'direction',
    'an orange liner round a plum lip leaves a ring',
    { skin: 'sand', look: HARBOUR, features: { lines: ['lip'] } },
    all(coloured('Lip', [44, 36, -6]), coloured('Line the lips', [42, 34, 34])),
    ['liner-off-lip'],
  ),
  broken(
    'direction',
    'a bronzer lighter than the skin',
    { skin: 'cedar', look: HARBOUR },
    bronzed(shiftDepth(skinNamed('cedar'), -1.5)),
    ['bronzer-off'],
  ),
  sound(
    'direction',
    'a bronzer a step and a half deeper and a little warmer',
    { skin: 'honey', look: HARBOUR },
    bronzed(shiftDepth(skinNamed('honey'), 2.4, { undertone: 'warm' })),
  ),
];

function pinker([L, a, b]: Lab): Lab {
  return [L, a + 7, b - 7];
}

function edge(steps: number) {
  return copied('Base', (step, chart) => ({
    title: 'Deeper edge',
    shade: { relative: { to: 'skin', depthSteps: 1.5 } },
    placements: at('zone.jawline', 'zone.temple'),
    use: step.use.slice(0, 1).map((u) => ({
      ...u,
      parts: 0.5,
      product: { ...u.product, lab: [...shiftDepth(skinTarget(chart.client.skin)!, steps)] },
    })),
  }));
}

function bronzed(lab: Lab) {
  return all(
    copied('Blush, lifted', (step) => ({
      title: 'Warmth',
      role: 'bronze',
      shade: null,
      wants: { kinds: ['bronzer'] },
      placements: at('bronzeHairline'),
      doseMgPerCm2: 0.4,
      use: step.use.map((u) => ({
        ...u,
        product: { ...u.product, kind: 'bronzer', lab: [...lab], coverage: 'medium', finish: 'natural' },
      })),
    })),
  );
}
