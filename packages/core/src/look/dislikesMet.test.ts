import type { Lab } from '../colour';
import { dislikeInWords, dislikesMet, type Step } from '.';
import { client, id, LOOK, product, SKIN } from './look.testing';

const use = (lab: Lab | null, more: Parameters<typeof product>[3] = {}): Step['use'] => {
  const { monthsAfterOpening: _m, withdrawn: _w, singleUse: _s, ...kept } = product(1, 'base', lab, more);
  return [{ product: kept, parts: 1, unitId: null, measure: 'pump' }];
};
const step = (role: Step['role'], more: Partial<Step> = {}): Step => ({
  ...LOOK.steps[0]!,
  id: id(300),
  role,
  title: 'One step',
  wants: { kinds: [] },
  use: [],
  ...more,
});
const met = (said: string, one: Step, skin: Lab = SKIN): boolean =>
  dislikesMet(
    { steps: [step('care', { id: id(301), title: 'Care' }), one], client: client(skin) },
    said,
  ).some(({ stepIds }) => stepIds.includes(one.id));

test.each<[string, Step, Step]>([
  [
    'glitter',
    step('eye', { use: use([60, 10, 20], { finish: 'shimmer' }) }),
    step('eye', { use: use([60, 10, 20], { finish: 'satin' }) }),
  ],
  [
    'glitter',
    step('eye', { wants: { kinds: ['shadow'], finishes: ['shimmer'] } }),
    step('eye', { wants: { kinds: ['shadow'], finishes: ['shimmer', 'satin'] } }),
  ],
  [
    'shiny skin',
    step('base', { use: use(SKIN, { finish: 'dewy' }) }),
    step('base', { use: use(SKIN, { finish: 'natural' }) }),
  ],
  ['shiny skin', step('highlight'), step('care', { use: use(null, { finish: 'dewy' }) })],
  [
    'matte',
    step('base', { use: use(SKIN, { finish: 'matte' }) }),
    step('contour', { use: use(SKIN, { finish: 'matte' }) }),
  ],
  [
    'heavy foundation',
    step('base', { use: use(SKIN, { coverage: 'full' }) }),
    step('base', { use: use(SKIN, { coverage: 'medium' }) }),
  ],
  [
    'false lashes',
    step('lash', { wants: { kinds: ['lashes'] } }),
    step('lash', { wants: { kinds: ['mascara'] } }),
  ],
  [
    'mascara',
    step('lash', { wants: { kinds: ['mascara'] } }),
    step('lash', { wants: { kinds: ['lashes'] } }),
  ],
  ['eyeliner', step('liner'), step('lip line')],
  ['contouring', step('contour'), step('bronze')],
  ['bronzer', step('bronze'), step('contour')],
  ['blush', step('blush'), step('lip')],
  ['red lips', step('lip', { use: use([40, 50, 25]) }), step('lip', { use: use([50, 22, 14]) })],
  ['red lips', step('lip', { use: use([40, 36, 18]) }), step('blush', { use: use([40, 50, 25]) })],
  ['dark lips', step('lip', { use: use([28, 20, 8]) }), step('lip', { use: use([55, 20, 12]) })],
  [
    'lip gloss',
    step('lip', { use: use([55, 20, 12], { finish: 'dewy' }) }),
    step('lip', { use: use([55, 20, 12], { finish: 'satin' }) }),
  ],
  ['lipstick', step('lip'), step('blush')],
  ['smoky eyes', step('eye', { use: use([25, 3, 3]) }), step('eye', { use: use([60, 9, 16]) })],
  ['eyeshadow', step('eye'), step('liner')],
  ['drawn-on brows', step('brow'), step('lash')],
  ['powder', step('powder'), step('base')],
  [
    'setting spray',
    step('care', { wants: { kinds: ['spray'] } }),
    step('care', { wants: { kinds: ['prep'] } }),
  ],
  ['foundation', step('base'), step('conceal')],
  ['concealer', step('conceal'), step('base')],
  ['lip liner', step('lip line'), step('liner')],
  ['lip liner', step('lip line'), step('lip')],
  ['face gems', step('adornment'), step('highlight')],
])('“%s” is met by the one and not by the other', (said, one, other) => {
  expect(met(said, one)).toBe(true);
  expect(met(said, other)).toBe(false);
});

test('what is dark is so against the skin it lies on', () => {
  const plum = step('lip', { use: use([30, 14, 6]) });
  expect(met('dark lipstick', plum)).toBe(true);
  expect(met('dark lipstick', plum, [32, 10, 12])).toBe(false);
});

test('it is told in the client’s words, with where it is; nothing where nothing is', () => {
  const chart = {
    steps: [step('blush', { title: 'Cheek' }), step('blush', { id: id(302), title: 'Apple' })],
    client: client(),
  };
  const [one, ...more] = dislikesMet(chart, 'pink cheeks, being late');
  expect(more).toEqual([]);
  expect(dislikeInWords(one!)).toBe(
    'Never again, as said: “pink cheeks”. It is in cheek and apple. Ask, or choose otherwise.',
  );
  expect(dislikesMet(chart, undefined)).toEqual([]);
  expect(dislikesMet({ ...chart, steps: [] }, 'pink cheeks')).toEqual([]);
});
