import { inferLandmarks, PLAIN_FEATURES, zoneOutline, type GuideName, type ZoneName } from '../face';
import type { ProductKind } from '../kit';
import { fitLook, type Step } from '../look';
import { client, KIT, LOOK, OCCASION, STAMP } from '../look/look.testing';
import { comfortCues, minutesSat } from './comfortCues';

const [BASE] = fitLook(LOOK, client(), KIT, OCCASION, STAMP).chart.steps as [Step, ...Step[]];
const LANDMARKS = inferLandmarks({});
const CLIENT = { landmarks: LANDMARKS, features: PLAIN_FEATURES };
const laid = (kind: ProductKind): Step['use'] => [
  { ...BASE.use[0]!, product: { ...BASE.use[0]!.product, kind } },
];
const step = (role: Step['role'], guides: readonly GuideName[], more: Partial<Step> = {}): Step => ({
  ...BASE,
  role,
  tool: 'small brush',
  use: laid('base'),
  placements: guides.map((guide) => ({ guide, side: 'both' })),
  ...more,
});
const cues = (one: Step, minutes = 0): string[] => comfortCues(one, CLIENT, minutes);
const UNDER = 'Look up and away from the brush.';
const CORNER = 'Look away from the brush.';
const OPEN = 'Eyes open and straight ahead while it is placed.';
const CLOSED = 'Eyes closed and the brows relaxed while the lid is filled.';
const DOWN = 'Look down; the lid is lifted, never tugged.';
const UP = 'Look up for the lower lashes.';

test.each<[string, Step, readonly string[]]>([
  ['a base', step('base', ['zone.wholeFace']), []],
  ['contour', step('contour', ['cheekContour']), []],
  ['a brow', step('brow', ['brow']), []],
  ['concealer under the eyes', step('conceal', ['zone.underEye']), [UNDER]],
  ['a corrector there', step('correct', ['correctUnderEye']), [UNDER]],
  ['a lower line', step('eye', ['lowerLine']), [UNDER]],
  ['the inner corner', step('highlight', ['innerCornerLight']), [CORNER]],
  ['its zone', step('conceal', ['zone.innerCorner']), [CORNER]],
  ['both', step('conceal', ['zone.innerCorner', 'zone.underEye']), [UNDER]],
  ['the socket', step('eye', ['socket']), [OPEN]],
  ['the lid', step('eye', ['lid']), [CLOSED]],
  ['lid and crease', step('eye', ['zone.mobileLid', 'zone.crease']), [OPEN, CLOSED]],
  ['a primer on the lid', step('care', ['zone.mobileLid']), []],
  ['liner', step('liner', ['liner']), ['Look straight ahead, then rest the lid; stop at stinging.']],
  [
    'between the lashes',
    step('liner', ['tightLine']),
    ['Look down; the lid is lifted, never tugged; stop at stinging.'],
  ],
  ['mascara', step('lash', ['lashes'], { use: laid('mascara') }), [DOWN]],
  ['mascara placed nowhere', step('lash', [], { use: laid('mascara') }), [DOWN]],
  ['lower lashes', step('lash', ['lowerLashes'], { use: laid('mascara') }), [UP]],
  ['upper and lower', step('lash', ['lashes', 'lowerLashes'], { use: laid('mascara') }), [DOWN, UP]],
  [
    'lashes with glue',
    step('lash', ['lashes'], { use: laid('lashes') }),
    ['Eyes closed and still until the glue holds; stop at stinging.'],
  ],
  ['lips', step('lip', ['lips']), ['Lips relaxed and a little apart.']],
  ['lip line', step('lip line', ['lipLine']), ['Lips relaxed and a little apart.']],
  [
    'airbrush',
    step('base', ['zone.wholeFace'], { tool: 'airbrush' }),
    ['Eyes and mouth closed, ear-rings off, a cape on; keep air moving.'],
  ],
  [
    'a mist',
    step('care', [], { tool: 'none', use: laid('spray') }),
    ['Eyes and mouth closed while it is sprayed and until it is dry; keep air moving.'],
  ],
  [
    'a spray by airbrush',
    step('care', [], { tool: 'airbrush', use: laid('spray') }),
    ['Eyes and mouth closed, ear-rings off, a cape on; keep air moving.'],
  ],
])('%s', (_, one, said) => expect(cues(one)).toEqual(said));

test.each<[ZoneName, Step['role'], readonly string[]]>([
  ['underEye', 'conceal', [UNDER]],
  ['innerCorner', 'highlight', [CORNER]],
  ['mobileLid', 'eye', [CLOSED]],
  ['apple', 'blush', []],
])('drawn by hand over the %s it is asked the same', (zone, role, said) => {
  const outline = zoneOutline(zone, LANDMARKS, 'left').map(([x, y]): [number, number] => [x, y]);
  expect(cues(step(role, [], { placements: [{ outline, featherMm: 2, side: 'left' }] }))).toEqual(said);
});

test('a break is due from an hour on before care, offered from an hour and a half on whatever is worked', () => {
  const [care, base] = [step('care', [], { use: [] }), step('base', ['zone.wholeFace'])];
  const due = ['A break is due: water, and a stretch.'];
  expect([59, 60, 89, 90].map((minutes) => cues(care, minutes))).toEqual([[], due, due, due]);
  const offered = ['Long in the chair: offer a break.'];
  expect([59, 60, 89, 90].map((minutes) => cues(base, minutes))).toEqual([[], [], [], offered]);
});

describe('how long somebody has sat', () => {
  const at = (minutes: number) => new Date(Date.UTC(2031, 4, 14, 8) + minutes * 60_000).toISOString();
  const done = (minutes: number, took = 5, ticked = true): Step => ({
    ...BASE,
    handsOnMinutes: took,
    waitMinutes: 30,
    done: {
      ticked,
      at: at(minutes),
      by: 'Ada',
      deviations: ticked ? [] : [{ kind: 'skipped', note: '' }],
    },
  });
  test.each<[string, readonly Step[], number]>([
    ['nothing told', [BASE], 0],
    ['one step', [done(10)], 5],
    [
      'from before the first to the last, waits that were woven in counted once',
      [done(5), done(25), done(15)],
      25,
    ],
    ['a step skipped counts as told', [done(5), done(20, 5, false)], 20],
    ['opened again it does not', [done(5), { ...done(20), done: { ...done(20).done!, ticked: false } }], 5],
    ['two hours apart is one sitting', [done(0), done(120)], 125],
    ['further apart it is another', [done(0), done(121), done(131, 9)], 15],
    ['a day later only that day', [done(0), done(60), done(1500, 7), done(1510)], 17],
  ])('%s', (_, steps, minutes) => expect(minutesSat(steps)).toBe(minutes));
});
