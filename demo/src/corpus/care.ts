import type { Tool } from '@toile/core';
import { broken, sound, type Case } from './case';
import { all, asIs, onChart, stepOf, withClient, withFeatures, withProduct, withStep } from './ground';

const HARBOUR = 'Harbour Morning';
const noted = (...sensitivities: readonly string[]) =>
  withClient(() => ({ sensitivities: [...sensitivities] }));
const contains = (which: string, ...ingredients: readonly string[]) =>
  withProduct(which, () => ({ ingredients: [...ingredients] }));
/** Brushes in the stead of what is often latex. */
const NOT_OF_LATEX: Partial<Record<Tool, Tool>> = { 'damp sponge': 'dense brush', puff: 'loose brush' };
/** What stands for a list nobody doubts, so that only the case speaks. */
const plainLists = onChart((chart) => ({
  ...chart,
  steps: chart.steps.map((s) => ({
    ...s,
    tool: NOT_OF_LATEX[s.tool] ?? s.tool,
    use: s.use.map((u) => ({ ...u, product: { ...u.product, ingredients: ['glycerin', 'iron oxides'] } })),
  })),
}));
const meets = (sensitivity: string, which: string, ...ingredients: readonly string[]) =>
  all(plainLists, contains(which, 'water', ...ingredients), noted(sensitivity));

export const CARE: readonly Case[] = [
  broken(
    'allergens',
    'carmine by its colour index number',
    { skin: 'rose', look: HARBOUR },
    meets('carmine', 'Lip', 'CI 75470'),
    ['allergen'],
  ),
  broken(
    'allergens',
    'carmine as E 120',
    { skin: 'jet', look: HARBOUR },
    meets('carmine', 'Blush, lifted', 'E 120'),
    ['allergen'],
  ),
  broken(
    'allergens',
    'lanolin as adeps lanae',
    { skin: 'oat', look: HARBOUR },
    meets('lanolin', 'Lip', 'Adeps Lanae'),
    ['allergen'],
  ),
  broken(
    'allergens',
    'fragrance by one of its usual parts',
    { skin: 'shell', look: 'Choir Loft' },
    meets('fragrance', 'Base', 'Citronellol'),
    ['allergen'],
  ),
  broken(
    'allergens',
    'a nut oil by its Latin name',
    { skin: 'honey', look: HARBOUR },
    meets('nut oils', 'Clean and calm', 'Corylus Avellana Seed Oil'),
    ['allergen'],
  ),
  broken(
    'allergens',
    'said in her own words: allergic to almonds',
    { skin: 'cedar', look: HARBOUR },
    meets('Allergic to almonds', 'Clean and calm', 'Prunus Amygdalus Dulcis Oil'),
    ['allergen'],
  ),
  broken(
    'allergens',
    'said in her own words: wool',
    { skin: 'walnut', look: HARBOUR },
    meets('reacts to wool', 'Lip', 'Lanolin Alcohol'),
    ['allergen'],
  ),
  broken(
    'allergens',
    'a preservative that gives off formaldehyde',
    { skin: 'moss', look: HARBOUR },
    meets('formaldehyde', 'Base', 'DMDM Hydantoin'),
    ['allergen'],
  ),
  broken(
    'allergens',
    'latex in the lash glue',
    { skin: 'sand', look: 'Lamplight' },
    meets('latex', 'Lash band', 'natural rubber latex'),
    ['allergen'],
    ['patch-test'],
  ),
  broken(
    'allergens',
    'fibres with contact lenses',
    { skin: 'amber', look: HARBOUR },
    all(contains('Curl and mascara', 'water', 'nylon fibers'), withFeatures({ lenses: true })),
    ['lenses'],
  ),
  broken(
    'allergens',
    'the lip of the evening variant has it too',
    { skin: 'rose', look: HARBOUR },
    meets('lanolin', 'Evening lip', 'lanolin'),
    ['allergen'],
  ),
  broken(
    'allergens',
    'one half of a mix has it',
    { skin: 'olive', look: HARBOUR },
    all(plainLists, mixedWith('Parfum'), noted('fragrance')),
    ['allergen'],
    ['base-off-skin', 'more-than-needed', 'family-conflict'],
  ),
  broken(
    'allergens',
    'a sponge for someone who cannot have latex',
    { skin: 'honey', look: HARBOUR },
    all(noted('latex')),
    ['tool-allergen'],
    ['allergen'],
  ),
  broken(
    'allergens',
    'a list nobody has noted is unknown, not safe',
    { skin: 'cedar', look: HARBOUR },
    all(
      plainLists,
      withProduct('Lip', () => ({ ingredients: [] })),
      noted('fragrance'),
    ),
    ['unknown-ingredients'],
  ),
  broken(
    'allergens',
    'a band without a patch test',
    { skin: 'shell', look: 'Glasshouse' },
    all(
      plainLists,
      withStep('Lash band', () => ({ note: '' })),
      noted('nickel'),
    ),
    ['patch-test'],
  ),
  sound(
    'allergens',
    'latex-free is not latex',
    { skin: 'sand', look: HARBOUR },
    meets('latex', 'Base', 'latex-free adhesive'),
  ),
  sound(
    'allergens',
    'without fragrance is no fragrance',
    { skin: 'shell', look: HARBOUR },
    meets('fragrance', 'Base', 'free from parfum'),
  ),
  sound(
    'allergens',
    'contains no lanolin',
    { skin: 'walnut', look: HARBOUR },
    meets('lanolin', 'Lip', 'contains no lanolin'),
  ),
  sound(
    'allergens',
    'coconut is no nut oil',
    { skin: 'honey', look: HARBOUR },
    meets('nut oils', 'Clean and calm', 'Cocos Nucifera Oil'),
  ),
  sound(
    'allergens',
    'cellulose gum is no fibre',
    { skin: 'amber', look: HARBOUR },
    meets('fibres', 'Curl and mascara', 'cellulose gum'),
  ),
  sound(
    'allergens',
    'allantoin is no lanolin',
    { skin: 'oat', look: HARBOUR },
    meets('lanolin', 'Lip', 'allantoin'),
  ),
  sound(
    'allergens',
    'nothing noted, nothing found',
    { skin: 'jet', look: 'Lamplight' },
    contains('Lip', 'Parfum', 'Carmine'),
  ),
  sound(
    'allergens',
    'the fit keeps clear of latex and notes a latex-free sponge',
    { skin: 'shell', look: HARBOUR, sensitivities: ['latex', 'fragrance'] },
    asIs,
  ),
  sound(
    'allergens',
    'the fit keeps clear of wool in her own words',
    { skin: 'walnut', look: 'Lamplight', sensitivities: ['wool wax'] },
    asIs,
  ),
  sound(
    'allergens',
    'the fit keeps clear of carmine',
    { skin: 'moss', look: 'Glasshouse', sensitivities: ['carmine'] },
    asIs,
  ),
  broken(
    'allergens',
    'craft glitter at the eye',
    { skin: 'honey', look: 'Glasshouse' },
    withProduct('Bronze on the lid', () => ({ eyeSafe: false })),
    ['not-for-eyes'],
    ['eyes-first'],
  ),
];

function mixedWith(ingredient: string) {
  return onChart((chart) => {
    const base = stepOf(chart, 'Base');
    const [use] = base.use;
    const half = use!.parts / 2;
    const two = [
      { ...use!, parts: half },
      { ...use!, parts: half, product: { ...use!.product, ingredients: ['water', ingredient] } },
    ];
    return { ...chart, steps: chart.steps.map((s) => (s === base ? { ...s, use: two } : s)) };
  });
}
