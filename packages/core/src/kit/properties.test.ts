import { propertiesOf, proposedProperties, smallestMg, unstated } from '.';
import { product } from '../look/look.testing';

const mascara = (line: string, more = {}) =>
  product(1, 'mascara', [12, 0, 0], { line, shade: 'black', texture: 'cream', measure: 'swipe', ...more });

// Lines as makers name them: what each lets expect of tears, of a day, of a kiss.
const NAMED: readonly (readonly [line: string, says: string])[] = [
  ['Waterproof', 'tears day'],
  ['water-proof', 'tears day'],
  ['Water resistant', 'tears day'],
  ['water-resistant', 'tears day'],
  ['sweatproof veil', 'tears day'],
  ['Tear proof', 'tears day'],
  ['tubing', 'tears day'],
  ['Long', 'day'],
  ['Longwear', 'day'],
  ['long-lasting', 'day'],
  ['Long Stay', 'day'],
  ['Veil 12 h', 'day'],
  ['24h cloth', 'day'],
  ['16-hour', 'day'],
  ['18 hrs', 'day'],
  ['all day', 'day'],
  ['All-Day', 'day'],
  ['Hold strong', 'day'],
  ['staying power', 'day'],
  ['transfer-proof', 'kiss'],
  ['Transfer resistant', 'kiss'],
  ['transfer free', 'kiss'],
  ['no-transfer', 'kiss'],
  ['Non transfer', 'kiss'],
  ['kissproof', 'kiss'],
  ['smudge-proof', 'kiss'],
  ['Berry stain', 'kiss'],
  ['Long-wear liquid', 'day kiss'],
  ['waterproof, kiss-proof', 'tears day kiss'],
  ['non-waterproof, long-lasting', 'day'],
  ['Not waterproof', ''],
  ['non-waterproof', ''],
  ['never tubing', ''],
  ['not so long', ''],
  ['not transfer-proof', ''],
  ['Stand', ''],
  ['Rainwater', ''],
  ['Longing', ''],
  ['Stained glass', ''],
  ['Belong', ''],
  ['Veil 8 h', ''],
  ['Shade 12', ''],
  ['No 12', ''],
  ['Household', ''],
];
test.each(NAMED)('“%s” lets expect: %s', (line, expected) => {
  // A mascara holds eight hours by its kind; ten where its name says that it lasts.
  const { waterproof, transferProof, wearHours } = proposedProperties(mascara(line));
  const said = [waterproof && 'tears', wearHours === 10 && 'day', transferProof && 'kiss'];
  expect(said.filter(Boolean).join(' ')).toBe(expected);
  expect([8, 10]).toContain(wearHours);
  expect(unstated(mascara(line))).toEqual(['wearHours', 'waterproof', 'transferProof', 'smallestShare']);
});

test('what is stated stands before what a name proposes', () => {
  const stated = mascara('Waterproof', { waterproof: false, wearHours: 3 });
  expect(propertiesOf(stated)).toMatchObject({ waterproof: false, wearHours: 3 });
  expect(unstated(stated)).toEqual(['transferProof', 'smallestShare']);
});

test('a pump can be halved, a swipe cannot, unless it is said otherwise', () => {
  expect(smallestMg(product(2, 'base', [60, 12, 18], { measure: 'pump', mgPerMeasure: 170 }))).toBe(85);
  expect(smallestMg(product(2, 'blush', [60, 32, 18], { measure: 'swipe', mgPerMeasure: 18 }))).toBe(18);
  expect(
    smallestMg(product(2, 'base', [60, 12, 18], { measure: 'pump', mgPerMeasure: 170, smallestShare: 1 })),
  ).toBe(170);
});

type Made = Parameters<typeof product>[3];
const HOURS: readonly (readonly [hours: number, kind: Parameters<typeof product>[1], made: Made])[] = [
  [2, 'lip colour', { finish: 'dewy', coverage: 'full' }],
  [2, 'lip colour', { finish: 'satin', coverage: 'sheer' }],
  [2, 'lip colour', { finish: 'matte', coverage: 'light' }],
  [4, 'lip colour', { finish: 'satin', coverage: 'medium' }],
  [6, 'lip colour', { finish: 'matte', coverage: 'medium' }],
  [4, 'spray', { finish: 'dewy' }],
  [8, 'spray', { finish: 'matte' }],
  [6, 'primer', { finish: 'dewy' }],
  [10, 'primer', { finish: 'matte' }],
  [8, 'powder', { texture: 'loose', finish: 'dewy', coverage: 'sheer' }],
  [8, 'shadow', { texture: 'pressed', finish: 'matte', coverage: 'opaque' }],
  [8, 'liner', { texture: 'pencil', finish: 'dewy' }],
  [5, 'base', { texture: 'liquid', finish: 'dewy', coverage: 'full' }],
  [10, 'base', { texture: 'liquid', finish: 'matte', coverage: 'full' }],
  [10, 'base', { texture: 'cream', finish: 'matte', coverage: 'opaque' }],
  [8, 'base', { texture: 'cream', finish: 'matte', coverage: 'medium' }],
  [6, 'base', { texture: 'cream', finish: 'matte', coverage: 'sheer' }],
  [6, 'base', { texture: 'liquid', finish: 'natural', coverage: 'sheer' }],
  [8, 'base', { texture: 'liquid', finish: 'satin', coverage: 'full' }],
];
test.each(HOURS)('%i hours are usual of a %s made so: %j', (hours, kind, made) => {
  const plain = product(3, kind, [50, 30, 15], { line: 'Plain', shade: 'one', ...made });
  expect(proposedProperties(plain).wearHours).toBe(hours);
  // A name that says so makes it ten at least.
  expect(proposedProperties({ ...plain, line: 'Long' }).wearHours).toBe(Math.max(10, hours));
});

test('a matte lip that lasts stays through a kiss, and nothing else does by its make', () => {
  const stays = (kind: Parameters<typeof product>[1], finish: 'matte' | 'satin', line: string): boolean =>
    proposedProperties(product(3, kind, [50, 30, 15], { finish, line, shade: 'one' })).transferProof;
  expect(stays('lip colour', 'matte', 'Long')).toBe(true);
  expect(stays('lip colour', 'matte', 'Plain')).toBe(false);
  expect(stays('lip colour', 'satin', 'Long')).toBe(false);
  expect(stays('base', 'matte', 'Long')).toBe(false);
});

test('each thing that is stated stands, true or false, and only what is not is asked for', () => {
  const said = product(3, 'lip colour', [50, 30, 15], {
    line: 'Waterproof stain',
    waterproof: false,
    transferProof: false,
    wearHours: 0,
    smallestShare: 0.25,
    measure: 'pump',
  });
  expect(propertiesOf(said)).toEqual({
    wearHours: 0,
    waterproof: false,
    transferProof: false,
    smallestShare: 0.25,
  });
  expect(unstated(said)).toEqual([]);
  expect(propertiesOf({ ...said, waterproof: undefined, transferProof: undefined })).toMatchObject({
    waterproof: true,
    transferProof: true,
  });
});
