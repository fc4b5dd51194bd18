import type { Features } from '../face';
import type { Product, ProductKind } from '../kit';
import { client, kitOf, product } from '../look/look.testing';
import type { DayAsked } from './day';
import { needsMissed } from './needs';

const QUIET: DayAsked = { kind: 'other', lights: ['daylight'], hoursToLast: 5, camera: true, conditions: [] };
/** What is missed of a kind by a product on someone of these features, on this day. */
function missed(
  kind: ProductKind,
  more: Partial<Product>,
  features: Partial<Features>,
  day: Partial<DayAsked> = {},
): string[] {
  const it = product(1, kind, [60, 12, 18], more);
  return needsMissed(it, {
    client: client([64, 12, 19], { features }),
    kit: kitOf(it),
    date: '2031-05-14',
    occasion: { ...QUIET, ...day },
  }).map((m) => m.words);
}
const sided = (right: NonNullable<Features['right']>): Partial<Features> => ({ right });

type Asked = { readonly features?: Partial<Features>; readonly day?: Partial<DayAsked> };
/**
 * For each need: whom or what day it is for, who or what day is just short of it, what meets it, what does
 * not.
 */
const TABLE: readonly [string, ProductKind, Asked, Asked, Partial<Product>, Partial<Product>][] = [
  [
    'not noted as waterproof',
    'mascara',
    { day: { conditions: ['tears'] } },
    { day: { conditions: ['meals'] } },
    { waterproof: true },
    { waterproof: false },
  ],
  ['not noted as waterproof', 'liner', { day: { conditions: ['humidity'] } }, {}, { waterproof: true }, {}],
  [
    'holds fewer hours',
    'base',
    { day: { hoursToLast: 8 } },
    { day: { hoursToLast: 7.5 } },
    { wearHours: 8 },
    { wearHours: 7 },
  ],
  [
    'holds fewer hours',
    'base',
    { day: { hoursToLast: 14 } },
    { day: { hoursToLast: 5 } },
    { wearHours: 10 },
    { wearHours: 9 },
  ],
  [
    'matte shows every dry patch',
    'base',
    { features: { dryZones: ['chin'] } },
    { features: { dryZones: [] } },
    { finish: 'satin' },
    { finish: 'matte' },
  ],
  [
    'matte shows every dry patch',
    'concealer',
    { features: { dryZones: ['under the eyes', 'chin'] } },
    { features: { dryZones: ['chin', 'cheeks'] } },
    { finish: 'natural' },
    { finish: 'matte' },
  ],
  [
    'takes moisture from where skin is dry',
    'primer',
    { features: { dryZones: ['cheeks'] } },
    { features: { dryZones: ['cheeks'], oily: ['nose'] } },
    { finish: 'dewy' },
    { finish: 'matte' },
  ],
  [
    'takes moisture from where skin is dry',
    'primer',
    { features: { dryZones: ['cheeks'] } },
    // Said of the whole skin, once.
    { features: { dry: true } },
    { finish: 'natural' },
    { finish: 'satin' },
  ],
  [
    'dewy slides',
    'concealer',
    { day: { conditions: ['heat'] } },
    { day: { conditions: ['dancing'] } },
    { finish: 'natural' },
    { finish: 'dewy' },
  ],
  [
    'more than a short hour needs',
    'base',
    { day: { hoursToLast: 3, camera: false } },
    { day: { hoursToLast: 3.5, camera: false } },
    {},
    { coverage: 'full' },
  ],
  [
    'more than a short hour needs',
    'base',
    { day: { hoursToLast: 2, camera: false } },
    { day: { hoursToLast: 2 } },
    {},
    { coverage: 'opaque' },
  ],
  [
    'fades before the day ends',
    'blush',
    { day: { conditions: ['dancing'] } },
    {},
    { wearHours: 8 },
    { wearHours: 7 },
  ],
  [
    'gone after a meal',
    'lip colour',
    { day: { conditions: ['meals'] } },
    { day: { conditions: ['meals'], hoursToLast: 3 } },
    { transferProof: true, wearHours: 2 },
    { wearHours: 5 },
  ],
  [
    'a soft spray',
    'spray',
    { day: { conditions: ['tears'] } },
    {},
    { wearHours: 8, finish: 'natural' },
    { wearHours: 4 },
  ],
  [
    'does not mattify for the heat',
    'primer',
    { day: { conditions: ['heat'] } },
    { day: { conditions: ['tears'] } },
    { finish: 'matte' },
    { finish: 'satin' },
  ],
  [
    'against the metal',
    'highlight',
    { day: { metal: 'silver' } },
    {},
    { lab: [80, 10, 6] },
    { lab: [80, 6, 22] },
  ],
  [
    'against the metal',
    'shadow',
    { day: { metal: 'gold' } },
    {},
    { lab: [60, 6, 22], finish: 'satin' },
    { lab: [60, 10, 6], finish: 'satin' },
  ],
  ['takes moisture', 'primer', { features: { dry: true } }, {}, { finish: 'dewy' }, { finish: 'matte' }],
  [
    'where the skin is oily',
    'primer',
    { features: { oily: ['nose'] } },
    {},
    { finish: 'matte' },
    { finish: 'natural' },
  ],
  [
    'does not smooth texture',
    'primer',
    { features: { texture: 'textured' } },
    { features: { texture: 'smooth' } },
    { finish: 'satin' },
    { finish: 'dewy' },
  ],
  [
    'does not smooth texture',
    'primer',
    { features: sided({ texture: 'textured' }) },
    { features: sided({ lines: [] }) },
    { finish: 'satin' },
    { finish: 'dewy' },
  ],
  [
    'more than this skin needs',
    'spray',
    {},
    { features: { oily: ['chin'] } },
    { finish: 'natural' },
    { finish: 'matte' },
  ],
  ['every dry patch', 'base', { features: { dry: true } }, {}, { finish: 'satin' }, { finish: 'matte' }],
  [
    'skin that shines by itself',
    'base',
    { features: { oily: ['nose', 'chin'] } },
    { features: { oily: ['nose'] } },
    { finish: 'natural' },
    { finish: 'dewy' },
  ],
  [
    'gathers in lines',
    'base',
    { features: { lines: ['smile', 'forehead'] } },
    { features: { lines: ['smile'] } },
    { coverage: 'medium' },
    { coverage: 'full' },
  ],
  [
    'gathers in lines',
    'base',
    { features: { age: 'mature' } },
    { features: { age: 'adult' } },
    { coverage: 'sheer' },
    { coverage: 'opaque' },
  ],
  [
    'hairs of a beard',
    'base',
    { features: { beard: true } },
    {},
    { coverage: 'light' },
    { coverage: 'medium' },
  ],
  [
    'a light touch',
    'base',
    { features: { age: 'child' } },
    { features: { age: 'young' } },
    { coverage: 'sheer' },
    { coverage: 'medium' },
  ],
  ...(['mascara', 'liner'] as const).map((kind): (typeof TABLE)[number] => [
    'rubbed off a child',
    kind,
    { features: { age: 'child' }, day: { conditions: ['tears'] } },
    { features: { age: 'young' }, day: { conditions: ['tears'] } },
    { waterproof: false },
    { waterproof: true },
  ]),
  [
    'rubbed off a child',
    'lip colour',
    { features: { age: 'child' } },
    { features: { age: 'young' } },
    { transferProof: false },
    { transferProof: true },
  ],
  [
    'rubbed off a child',
    'spray',
    { features: { age: 'child' } },
    { features: { age: 'young' } },
    { wearHours: 7, finish: 'natural' },
    { wearHours: 8, finish: 'natural' },
  ],
  [
    'settles in lines',
    'highlight',
    { features: { texture: 'textured' } },
    {},
    { finish: 'satin' },
    { finish: 'shimmer' },
  ],
  [
    'settles in lines',
    'blush',
    { features: { age: 'mature' } },
    {},
    { finish: 'natural' },
    { finish: 'shimmer' },
  ],
  [
    'shine on skin that shines',
    'highlight',
    { features: { oily: ['cheeks'] } },
    { features: { oily: ['nose'] } },
    { finish: 'satin' },
    { finish: 'dewy' },
  ],
  [
    'lined lids',
    'shadow',
    { features: { lines: ['crow’s feet'] } },
    { features: { lines: ['smile'] } },
    { finish: 'satin' },
    { finish: 'shimmer' },
  ],
  [
    'sheds into contact lenses',
    'shadow',
    { features: { lenses: true } },
    {},
    { texture: 'pressed' },
    { texture: 'loose' },
  ],
  [
    'prints on oily lids',
    'shadow',
    { features: { oily: ['lids'] } },
    { features: { oily: ['nose'] } },
    { texture: 'pressed' },
    { texture: 'cream' },
  ],
  [
    'bleeds into lip lines',
    'lip colour',
    { features: { lines: ['lip'] } },
    {},
    { finish: 'matte', family: 'silicone' },
    { finish: 'matte', family: 'oil' },
  ],
  [
    'does not draw hairs',
    'brow',
    { features: { brows: 'sparse' } },
    {},
    { texture: 'pencil' },
    { texture: 'pressed' },
  ],
  [
    'sit on a tattoo',
    'brow',
    { features: sided({ brows: 'tattooed' }) },
    {},
    { texture: 'gel' },
    { texture: 'cream' },
  ],
];

test.each(TABLE)('%s: %s', (words, kind, on, off, meets, misses) => {
  const says = (more: Partial<Product>, { features = {}, day = {} }: Asked) =>
    missed(kind, more, features, day).some((m) => m.includes(words));
  expect({
    missedByIt: says(misses, on),
    metByIt: says(meets, on),
    askedOfOthers: says(misses, off),
  }).toEqual({
    missedByIt: true,
    metByIt: false,
    askedOfOthers: false,
  });
});

test('of a child no day asks for what holds: as wet, as long or as full of meals as it may be', () => {
  const hard: Partial<DayAsked> = { conditions: ['tears', 'heat', 'dancing', 'meals'], hoursToLast: 12 };
  for (const [kind, more] of [
    ['mascara', { waterproof: false }],
    ['liner', { waterproof: false }],
    ['lip colour', { transferProof: false, wearHours: 3 }],
    ['spray', { wearHours: 4, finish: 'dewy' }],
  ] as const) {
    expect(missed(kind, more, { age: 'adult' }, hard).length).toBeGreaterThan(0);
    expect(missed(kind, more, { age: 'child' }, hard)).toEqual([]);
  }
  // Dry skin asks for a soft spray, and no long day takes that back.
  expect(
    missed('spray', { finish: 'matte', wearHours: 4 }, { age: 'child', dry: true }, hard).join(),
  ).toContain('moisture');
});

test('nothing is asked of the day where none is known, and every miss says for what', () => {
  const it = product(1, 'mascara', [12, 0, 0], { waterproof: false });
  const context = { client: client(), kit: kitOf(it), date: '2031-05-14' };
  expect(needsMissed(it, context)).toEqual([]);
  expect(missed('mascara', {}, {}, { kind: 'wedding', conditions: ['tears'], hoursToLast: 9 })).toEqual([
    'not noted as waterproof (9 hours, tears)',
  ]);
});

test.each([
  ['spray', { dry: true }, {}, true],
  ['spray', {}, {}, false],
  // What has to hold comes before what is soft.
  ['spray', { dry: true }, { conditions: ['tears'], hoursToLast: 9 }, false],
  ['primer', { dry: true }, { conditions: ['tears'], hoursToLast: 9 }, true],
  ['primer', { dry: true }, {}, true],
  ['primer', {}, {}, false],
] as const)('a matte %s on %j on such a day (%j) takes moisture: %s', (kind, features, day, said) => {
  const conditions = 'conditions' in day ? [...day.conditions] : [];
  expect(missed(kind, { finish: 'matte' }, features, { ...day, conditions }).join()).toEqual(
    said ? expect.stringContaining('moisture') : expect.not.stringContaining('moisture'),
  );
});

test('full cover gathers in lines as a base, not as the little of a concealer', () => {
  const words = (kind: ProductKind, features: Partial<Features>): string =>
    missed(kind, { coverage: 'full' }, features).join();
  expect(words('base', { age: 'mature' })).toContain('gathers in lines');
  expect(words('base', { age: 'adult' })).not.toContain('gathers in lines');
  expect(words('concealer', { age: 'mature' })).not.toContain('full cover gathers');
});
