import { idFor } from '../ids';
import { broken, sound, type Case } from './case';
import {
  all,
  asIs,
  at,
  copied,
  KITS,
  movedTo,
  onChart,
  SKIN_NAMES,
  withProduct,
  withStep,
  type KitName,
} from './ground';

const HARBOUR = 'Harbour Morning';
const params = (which: string, change: object) =>
  withStep(which, (s) => ({
    placements: s.placements.map((p) => ('guide' in p ? { ...p, params: { ...p.params, ...change } } : p)),
  }));
const OTHER_KITS = (Object.keys(KITS) as KitName[]).filter((name) => name !== 'full');

export const PLACES: readonly Case[] = [
  broken(
    'places',
    'a contour that passes the pupil line',
    { skin: 'honey', look: HARBOUR },
    params('Contour the cheek', { reach: 160 }),
    ['out-of-limits'],
    ['blush-on-contour', 'in-the-hollow'],
  ),
  broken(
    'places',
    'a contour sunk into the hollow',
    { skin: 'cedar', look: HARBOUR },
    params('Contour the cheek', { liftMm: -6 }),
    ['in-the-hollow', 'out-of-limits'],
    ['in-the-hollow', 'out-of-limits'],
  ),
  sound(
    'places',
    'a contour a millimetre higher',
    { skin: 'sand', look: HARBOUR },
    params('Contour the cheek', { liftMm: 1 }),
  ),
  broken(
    'places',
    'blush on the contour',
    { skin: 'rose', look: HARBOUR },
    params('Blush, lifted', { liftMm: -8 }),
    ['blush-on-contour'],
  ),
  broken(
    'places',
    'light on the contour',
    { skin: 'moss', look: HARBOUR },
    withStep('Light on the high points', () => ({ placements: at('cheekContour') })),
    ['light-in-shadow'],
    ['blush-on-contour'],
  ),
  sound('places', 'light clear of the lifted blush', { skin: 'walnut', look: HARBOUR }, asIs),
  broken(
    'places',
    'blush on one side only',
    { skin: 'amber', look: HARBOUR },
    withStep('Blush, lifted', () => ({ placements: [{ guide: 'blushLifted', side: 'left' }] })),
    ['mirror-check'],
  ),
  broken(
    'places',
    'sides that differ by six millimetres',
    { skin: 'oat', look: HARBOUR },
    withStep('Blush, lifted', () => ({
      placements: [
        { guide: 'blushLifted', side: 'left' },
        { guide: 'blushLifted', side: 'right', params: { liftMm: 6 } },
      ],
    })),
    ['uneven-sides'],
    ['out-of-limits'],
  ),
  broken(
    'places',
    'nothing on the lower lashes, and a line along them',
    { skin: 'jet', look: 'Glasshouse', forbids: { finishes: [], kinds: [], places: ['lower lash line'] } },
    copied('Socket and outer third', () => ({ title: 'Lower line', placements: at('lowerLine') })),
    ['forbidden-place'],
  ),
  broken(
    'places',
    'no liner flick, and one drawn',
    { skin: 'honey', look: HARBOUR, forbids: { finishes: [], kinds: [], places: ['liner flick'] } },
    withStep('Liner', () => ({ placements: at('liner') })),
    ['forbidden-place'],
  ),
  broken(
    'places',
    'brows pointed by the look, drawn as they grow',
    { skin: 'shell', look: HARBOUR, forbids: { finishes: [], kinds: [], shapes: ['brow pointed'] } },
    withStep('Brows', () => ({ placements: at('brow') })),
    ['forbidden-place'],
  ),
  sound(
    'places',
    'the fit points the brows, bares the lower lashes and stops the flick',
    {
      skin: 'olive',
      look: 'Glasshouse',
      forbids: {
        finishes: [],
        kinds: [],
        places: ['lower lash line', 'liner flick'],
        shapes: ['brow pointed'],
      },
    },
    asIs,
  ),
  broken(
    'places',
    'a shimmer in a look that forbids it',
    { skin: 'sand', look: 'Plain Cloth' },
    withProduct('Even the skin', () => ({ finish: 'shimmer' })),
    ['forbidden-finish'],
    ['base-for-long', 'shine-on-texture'],
  ),
  broken(
    'places',
    'a layer without a place',
    { skin: 'russet', look: HARBOUR },
    withStep('Lip', () => ({ placements: [] })),
    ['no-place'],
  ),
];

export const AMOUNTS: readonly Case[] = [
  broken(
    'amounts',
    'four pumps and one where one is needed',
    { skin: 'honey', look: 'Plain Cloth' },
    withStep('base', (s) => ({ use: s.use.map((u) => ({ ...u, parts: 5 })) })),
    ['more-than-needed'],
    ['base-off-skin', 'base-off-neck'],
  ),
  sound('amounts', 'the half pumps that cover the face', { skin: 'honey', look: 'Plain Cloth' }, asIs),
  sound(
    'amounts',
    'half a pump more than is needed',
    { skin: 'cedar', look: HARBOUR },
    withStep('base', (s) => ({
      use: s.use.length === 1 ? s.use.map((u) => ({ ...u, parts: u.parts + 0.5 })) : s.use,
    })),
  ),
  broken(
    'amounts',
    'a layer without a dose',
    { skin: 'rose', look: HARBOUR },
    withStep('Lip', () => ({ doseMgPerCm2: 0 })),
    ['no-dose'],
  ),
  broken(
    'amounts',
    'less left in the bottle than the day needs',
    { skin: 'moss', look: HARBOUR },
    ({ chart, kit }) => ({
      chart,
      kit: {
        ...kit,
        units: kit.units.map((u) =>
          chart.steps.some((s) => s.role === 'base' && s.use.some((x) => x.unitId === u.id))
            ? { ...u, remainingMg: 20 }
            : u,
        ),
      },
    }),
    ['not-enough'],
  ),
];

export const ORDER: readonly Case[] = [
  broken(
    'order',
    'nothing is cleaned first',
    { skin: 'sand', look: HARBOUR },
    onChart((chart) => ({ ...chart, steps: chart.steps.filter((s) => s.phase !== 'clean') })),
    ['clean-first'],
    ['matte-lip-unprepared'],
  ),
  broken(
    'order',
    'loose dark shadow over a finished base',
    { skin: 'honey', look: HARBOUR },
    withProduct('Socket and outer third', () => ({ texture: 'loose' })),
    ['eyes-first'],
  ),
  sound(
    'order',
    'loose dark shadow when the eyes come first',
    { skin: 'honey', look: 'Glasshouse' },
    withProduct('Socket and outer third', () => ({ texture: 'loose' })),
  ),
  broken(
    'order',
    'the glue gets no time',
    { skin: 'amber', look: 'Lamplight' },
    withStep('Lash band', () => ({ waitMinutes: 0 })),
    ['glue-not-tacky'],
  ),
  broken(
    'order',
    'two hours in the chair without a break',
    { skin: 'walnut', look: 'Lamplight' },
    withStep('Lash band', () => ({ handsOnMinutes: 90 })),
    ['long-in-the-chair'],
  ),
  sound('order', 'brows before the base', { skin: 'jet', look: HARBOUR }, movedTo('Brows', 'before', 'Base')),
  sound(
    'order',
    'the lip while the powder settles',
    { skin: 'shell', look: HARBOUR },
    movedTo('Lip', 'after', 'Set where it moves'),
  ),
  broken(
    'order',
    'a wand that goes back into the tube',
    { skin: 'olive', look: HARBOUR },
    withStep('Curl and mascara', () => ({ tool: 'small brush' })),
    ['shared-tools'],
  ),
  broken(
    'order',
    'the chart ends without a last look',
    { skin: 'cedar', look: HARBOUR },
    onChart((chart) => ({
      ...chart,
      steps: chart.steps.map((s) => (s.phase === 'finish' ? { ...s, phase: 'set' as const } : s)),
    })),
    ['no-last-look'],
  ),
];

export const KIT_CASES: readonly Case[] = [
  ...OTHER_KITS.flatMap((kit, k) =>
    [0, 4, 8, 12]
      .map((n, i) => ({
        ...sound(
          'kit',
          `${SKIN_NAMES[(n + k) % SKIN_NAMES.length]} skin from the ${kit} kit: in range, or the gap is said`,
          {
            skin: SKIN_NAMES[(n + k) % SKIN_NAMES.length]!,
            look: [HARBOUR, 'Lamplight', 'Choir Loft', 'Glasshouse'][i]!,
            kit,
          },
          asIs,
        ),
        // They own one shadow, or lip, for some skins: that both steps take it is told by the fit.
        also: kit === 'tiny' || kit === 'unowned gaps' ? ['eye-colours-alike', 'lips-alike'] : [],
      }))
      .map((one) =>
        // What the messy kit has no other mascara for is rightly told.
        one.setting.kit === 'messy' ? { ...one, also: ['mascara-for-tears'] } : one,
      ),
  ),
  broken(
    'kit',
    'a product withdrawn since',
    { skin: 'honey', look: HARBOUR },
    ({ chart, kit }) => ({
      chart,
      kit: {
        ...kit,
        products: kit.products.map((p) =>
          chart.steps.some((s) => s.role === 'lip' && s.use[0]?.product.id === p.id)
            ? { ...p, withdrawn: true }
            : p,
        ),
      },
    }),
    ['withdrawn'],
  ),
  broken(
    'kit',
    'past its shelf life by the day',
    { skin: 'rose', look: HARBOUR },
    ({ chart, kit }) => ({
      chart,
      kit: {
        ...kit,
        units: kit.units.map((u) =>
          chart.steps.some((s) => s.title === 'Curl and mascara' && s.use[0]?.unitId === u.id)
            ? { ...u, openedOn: '2029-01-01' }
            : u,
        ),
      },
    }),
    ['past-its-date'],
  ),
  broken(
    'kit',
    'a bottle that is in no case',
    { skin: 'cedar', look: HARBOUR },
    ({ chart, kit }) => ({
      chart,
      kit: {
        ...kit,
        units: kit.units.filter(
          (u) => !chart.steps.some((s) => s.title === 'Lip' && s.use[0]?.product.id === u.productId),
        ),
      },
    }),
    ['gone-from-kit'],
  ),
  broken(
    'kit',
    'a colour no surface can have stops nothing and is told',
    { skin: 'moss', look: HARBOUR },
    withProduct('Blush, lifted', () => ({ lab: [90, 70, -40] })),
    ['set-aside'],
  ),
  broken(
    'kit',
    'a step nobody has chosen a product for',
    { skin: 'jet', look: HARBOUR },
    all(withStep('Lip', () => ({ use: [] }))),
    ['no-product'],
  ),
  sound(
    'kit',
    'an impossible product beside the good ones changes nothing',
    { skin: 'amber', look: HARBOUR },
    ({ chart, kit }) => ({
      chart,
      kit: {
        ...kit,
        products: [
          ...kit.products,
          { ...kit.products[0]!, id: idFor('impossible beside'), lab: [100, 50, 50] },
        ],
      },
    }),
  ),
];
