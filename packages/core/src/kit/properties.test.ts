import { propertiesOf, proposedProperties, smallestMg, unstated } from '.';
import { product } from '../look/look.testing';

const mascara = (line: string, more = {}) =>
  product(1, 'mascara', [12, 0, 0], { line, shade: 'black', texture: 'cream', measure: 'swipe', ...more });

test.each([
  ['Waterproof', true],
  ['tubing', true],
  ['Water resistant', true],
  ['Not waterproof', false],
  ['non-waterproof', false],
  ['Stand', false],
])('“%s” proposes waterproof %s, to be confirmed', (line, waterproof) => {
  expect(proposedProperties(mascara(line)).waterproof).toBe(waterproof);
  expect(unstated(mascara(line))).toContain('waterproof');
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

test('full mattes are expected to hold longest, gloss shortest', () => {
  const hours = (finish: 'matte' | 'dewy', coverage: 'full' | 'sheer') =>
    proposedProperties(product(3, 'lip colour', [50, 30, 15], { finish, coverage })).wearHours;
  expect(hours('matte', 'full')).toBeGreaterThan(hours('dewy', 'sheer'));
});
