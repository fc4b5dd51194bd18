import type { Features, Occasion } from '@toile/core';
import { broken, sound, type Case } from './case';
import {
  all,
  asIs,
  at,
  DAY,
  onChart,
  PORTRAIT,
  SKIN_NAMES,
  withFeatures,
  withOccasion,
  withProduct,
  withStep,
  without,
} from './ground';

const HARBOUR = 'Harbour Morning';
const finish = (which: string, to: 'matte' | 'natural' | 'satin' | 'dewy' | 'shimmer') =>
  withProduct(which, () => ({ finish: to }));
const HOT: Occasion = {
  kind: 'party',
  date: DAY,
  lights: ['daylight', 'led'],
  hoursToLast: 7,
  camera: false,
  conditions: ['heat', 'humidity', 'dancing'],
};

/** People as they come: the fit looks at each and leaves nothing to find. */
const PEOPLE: readonly (readonly [string, Partial<Features>])[] = [
  ['oily forehead, nose and chin', { oily: ['forehead', 'nose', 'chin'] }],
  ['oily everywhere', { oily: ['forehead', 'nose', 'chin', 'cheeks', 'lids'] }],
  [
    'dry and lined skin',
    { dry: true, age: 'mature', lines: ['forehead', 'crow’s feet', 'under eye', 'smile'] },
  ],
  ['hooded lids, one more than the other', { lids: { left: 'hooded', right: 'partly hooded' } }],
  ['sparse brows', { brows: 'sparse' }],
  ['tattooed brows and black hair', { brows: 'tattooed', hairTone: 'black' }],
  ['a beard and oily skin', { beard: true, oily: ['forehead', 'nose'] }],
  ['a head tremor', { headTremor: true, age: 'mature', lines: ['forehead', 'smile'] }],
  ['contact lenses', { lenses: true }],
  ['textured skin', { texture: 'textured' }],
  ['lip lines', { lines: ['lip'] }],
  ['a blurred lip edge on one side', { right: { lipEdge: 'blurred' } }],
  ['narrow temples', { narrowTemples: true }],
  ['deep-set eyes and fair hair', { eyes: 'deep-set', hairTone: 'fair' }],
  ['round eyes and red hair', { eyes: 'round', hairTone: 'red' }],
  ['a child', { age: 'child', hairTone: 'fair' }],
  ['lash extensions', { lashes: 'extensions' }],
  ['someone who cannot lie back', { cannotRecline: true }],
  [
    'lids without a crease',
    { lids: { left: 'without a crease', right: 'without a crease' }, lashes: 'straight', hairTone: 'black' },
  ],
];

export const CLIENT: readonly Case[] = [
  ...PEOPLE.map(([who, features], i) =>
    sound(
      'client',
      `the fit looks at ${who}`,
      {
        skin: SKIN_NAMES[(i * 3) % SKIN_NAMES.length]!,
        look: ['Harbour Morning', 'Lamplight', 'Choir Loft'][i % 3]!,
        features,
      },
      asIs,
    ),
  ),
  broken(
    'client',
    'no mattifier where the skin is oily',
    { skin: 'honey', look: HARBOUR, features: { oily: ['forehead'] } },
    without('Primer where it needs it'),
    ['no-primer-on-oily'],
  ),
  broken(
    'client',
    'a dewy primer where the skin is oily',
    { skin: 'sand', look: HARBOUR, features: { oily: ['nose'] } },
    finish('Primer where it needs it', 'dewy'),
    ['no-primer-on-oily'],
  ),
  broken(
    'client',
    'oily skin that nothing sets',
    { skin: 'cedar', look: HARBOUR, features: { oily: ['forehead', 'nose'] } },
    without('Set where it moves'),
    ['not-set-on-oily'],
    ['set-too-late'],
  ),
  broken(
    'client',
    'oily cheeks left out',
    { skin: 'rose', look: HARBOUR, features: { oily: ['cheeks'] } },
    all(
      withStep('Set where it moves', () => ({ placements: at('zone.chin') })),
      withStep('Primer where it needs it', () => ({ placements: at('zone.noseBridge') })),
    ),
    ['oily-zone-left-out'],
  ),
  broken(
    'client',
    'a dewy base on oily skin',
    { skin: 'olive', look: HARBOUR, features: { oily: ['forehead', 'chin'] } },
    finish('Base', 'dewy'),
    ['dewy-base-on-oily'],
    ['base-for-long'],
  ),
  broken(
    'client',
    'a matte base on dry skin',
    { skin: 'shell', look: HARBOUR, features: { dry: true } },
    finish('Base', 'matte'),
    ['matte-on-dry'],
  ),
  broken(
    'client',
    'a matte base where the chin alone is dry',
    { skin: 'moss', look: HARBOUR, features: { dryZones: ['chin'] } },
    finish('Base', 'matte'),
    ['matte-on-dry'],
  ),
  sound(
    'client',
    'a satin base on dry cheeks',
    { skin: 'amber', look: HARBOUR, features: { dryZones: ['cheeks', 'chin'] } },
    finish('Base', 'satin'),
  ),
  sound(
    'client',
    'a satin base on dry skin',
    { skin: 'shell', look: HARBOUR, features: { dry: true } },
    finish('Base', 'satin'),
  ),
  broken(
    'client',
    'shimmer on textured cheeks',
    { skin: 'moss', look: HARBOUR, features: { texture: 'textured' } },
    finish('Light on the high points', 'shimmer'),
    ['shine-on-texture'],
  ),
  broken(
    'client',
    'shimmer on mature lids',
    { skin: 'walnut', look: HARBOUR, features: { age: 'mature' } },
    finish('Lid', 'shimmer'),
    ['shimmer-on-mature'],
    ['eyes-first'],
  ),
  broken(
    'client',
    'a contour that shines',
    { skin: 'honey', look: HARBOUR },
    finish('Contour the cheek', 'shimmer'),
    ['shine-in-contour'],
  ),
  sound(
    'client',
    'a bronzed lid that shimmers on a young one',
    { skin: 'honey', look: 'Lamplight', features: { age: 'young' } },
    finish('Lid', 'shimmer'),
  ),
  broken(
    'client',
    'lip lines and no liner',
    { skin: 'rose', look: HARBOUR, features: { lines: ['lip'] } },
    all(onChart((chart) => ({ ...chart, steps: chart.steps.filter((s) => s.role !== 'lip line') }))),
    ['lip-bleeds'],
  ),
  broken(
    'client',
    'a contour and a band on a child',
    { skin: 'sand', look: 'Lamplight' },
    withFeatures({ age: 'child' }),
    ['light-touch-for-children'],
    ['light-touch-for-children'],
  ),
  broken(
    'client',
    'a fine line with a tremor',
    { skin: 'milk', look: HARBOUR },
    withFeatures({ headTremor: true }),
    ['steady-hand'],
  ),
  broken(
    'client',
    'mascara on lash extensions',
    { skin: 'amber', look: HARBOUR },
    withFeatures({ lashes: 'extensions' }),
    ['lash-extensions'],
  ),
  broken(
    'client',
    'forehead contour on narrow temples',
    { skin: 'cedar', look: HARBOUR },
    withFeatures({ narrowTemples: true }),
    ['narrow-temples'],
  ),
  broken(
    'client',
    'the outer wedge on crow’s feet',
    { skin: 'olive', look: HARBOUR, features: { lines: ['crow’s feet'] } },
    withStep('Conceal under the eye', () => ({ placements: at('outerWedge') })),
    ['wedge-on-crows-feet'],
  ),
  broken(
    'client',
    'a shining light beside lined eyes',
    { skin: 'honey', look: HARBOUR, features: { lines: ['crow’s feet'] } },
    all(
      finish('Light on the high points', 'dewy'),
      withStep('Light on the high points', () => ({
        placements: at('zone.temple', 'cheekboneLight', 'zone.foreheadSide'),
      })),
    ),
    ['light-on-lines'],
    ['contrast-of-light-on-lined', 'blush-on-contour'],
  ),
  broken(
    'client',
    'loose glitter with lenses',
    { skin: 'jet', look: 'Glasshouse', features: { lenses: true } },
    withProduct('Bronze on the lid', () => ({ texture: 'loose', finish: 'shimmer' })),
    ['lenses'],
  ),
];

export const DAY_CASES: readonly Case[] = [
  ...(['milk', 'moss', 'ebony'] as const).map((skin) =>
    sound('day', `a hot and humid party on ${skin} skin`, { skin, look: 'Lamplight', occasion: HOT }, asIs),
  ),
  ...(['shell', 'amber', 'jet'] as const).map((skin) =>
    sound(
      'day',
      `a one-hour portrait of ${skin} skin`,
      { skin, look: 'Choir Loft', occasion: PORTRAIT },
      asIs,
    ),
  ),
  broken(
    'day',
    'a plain mascara at a wedding prints',
    { skin: 'honey', look: HARBOUR },
    withProduct('Curl and mascara', () => ({ line: 'Stand', waterproof: false })),
    ['mascara-for-tears'],
  ),
  sound(
    'day',
    'a plain mascara for a one-hour portrait',
    { skin: 'honey', look: HARBOUR, occasion: PORTRAIT },
    withProduct('Curl and mascara', () => ({ line: 'Stand', waterproof: false })),
  ),
  broken(
    'day',
    'a name is not a property: what says waterproof and is stated not to be',
    { skin: 'rose', look: HARBOUR },
    withProduct('Curl and mascara', () => ({ line: 'Waterproof look', waterproof: false })),
    ['mascara-for-tears'],
  ),
  broken(
    'day',
    'nine hours and nothing fixes it',
    { skin: 'sand', look: HARBOUR },
    without('spray'),
    ['no-spray-for-long'],
    ['no-last-look'],
  ),
  sound(
    'day',
    'an hour and nothing fixes it',
    { skin: 'sand', look: HARBOUR, occasion: PORTRAIT },
    withStep('spray', () => ({ use: [], wants: { kinds: [] } })),
  ),
  broken(
    'day',
    'twelve hours under a soft spray',
    { skin: 'cedar', look: HARBOUR },
    all(
      withProduct('spray', () => ({ finish: 'dewy' })),
      withOccasion({ hoursToLast: 12 }),
    ),
    ['hydrating-spray-for-long'],
    ['base-for-long'],
  ),
  broken(
    'day',
    'a sheer lip through a wedding meal',
    { skin: 'moss', look: HARBOUR },
    all(
      withProduct('Lip', () => ({ coverage: 'sheer', wearHours: 1, transferProof: false })),
      withStep('Lip', () => ({ note: '' })),
    ),
    ['lip-for-long'],
  ),
  sound(
    'day',
    'a sheer lip that is packed for touch-ups',
    { skin: 'moss', look: HARBOUR },
    withProduct('Lip', () => ({ coverage: 'light', wearHours: 1, transferProof: false })),
  ),
  broken(
    'day',
    'a base of three hours for a day of nine',
    { skin: 'olive', look: HARBOUR },
    withProduct('Base', () => ({ wearHours: 3 })),
    ['base-for-long'],
  ),
  broken(
    'day',
    'dew in the heat',
    { skin: 'amber', look: HARBOUR, occasion: HOT },
    withProduct('Base', () => ({ finish: 'dewy', wearHours: 9 })),
    ['dewy-in-heat'],
    ['shine-everywhere'],
  ),
  broken(
    'day',
    'a matte lip on dry lips without balm',
    { skin: 'walnut', look: HARBOUR },
    all(
      withProduct('Lip', () => ({ finish: 'matte' })),
      withStep('Clean and calm', () => ({ note: '' })),
    ),
    ['matte-lip-unprepared'],
  ),
  broken(
    'day',
    'the light everywhere',
    { skin: 'honey', look: HARBOUR },
    all(
      ...(['Base', 'Blush, lifted', 'Light on the high points', 'Set where it moves'] as const).map((which) =>
        withProduct(which, () => ({ finish: 'dewy' })),
      ),
    ),
    ['shine-everywhere'],
    ['base-for-long'],
  ),
  ...(['milk', 'moss', 'jet'] as const).flatMap((skin) => [
    broken(
      'day',
      `a wet lip in the wind on ${skin} skin`,
      { skin, look: HARBOUR },
      all(
        withOccasion({ conditions: ['wind'] }),
        withProduct('Lip', () => ({ finish: 'dewy' })),
      ),
      ['gloss-in-wind'],
    ),
    sound(
      'day',
      `a wet lip on a still day on ${skin} skin`,
      { skin, look: HARBOUR },
      all(
        withOccasion({ conditions: [] }),
        withProduct('Lip', () => ({ finish: 'dewy' })),
      ),
    ),
  ]),
  sound(
    'day',
    'harmony without a word of metal',
    { skin: 'jet', look: 'Lamplight' },
    withOccasion({ metal: 'gold' }),
  ),
];
