import { FINISHES, TEXTURES, type ProductSnapshot } from '../kit';
import { falloutOf } from './fallout';

const laid = (
  L: number | null,
  finish: ProductSnapshot['finish'] = 'matte',
  texture: ProductSnapshot['texture'] = 'pressed',
): Pick<ProductSnapshot, 'finish' | 'texture' | 'lab'> => ({
  texture,
  finish,
  lab: L === null ? null : [L, 6, 8],
});
const skin = (L: number) => [L, 12, 18] as const;

test.each([
  [70, 34.9, 'some'],
  [70, 35, null],
  [70, 20, 'some'],
  // On deep skin what is no darker than the cheek is not seen on it; black is.
  [49.9, 34.9, 'some'],
  [49.8, 34.9, null],
  [42, 33, null],
  [38, 24, null],
  [38, 23, 'some'],
] as const)('on skin of L* %d pressed and matt of L* %d: %p', (L, shade, falls) => {
  expect(falloutOf(laid(shade), skin(L))).toBe(falls);
});

test('a dark shimmer is seen on any skin, loose powder falls whatever it is, cream does not', () => {
  for (const L of [80, 60, 45, 37]) {
    expect(falloutOf(laid(34.9, 'shimmer'), skin(L))).toBe('much');
    expect(falloutOf(laid(35, 'shimmer'), skin(L))).toBeNull();
    for (const finish of FINISHES) expect(falloutOf(laid(80, finish, 'loose'), skin(L))).toBe('much');
    for (const texture of TEXTURES.filter((one) => one !== 'pressed' && one !== 'loose'))
      for (const finish of FINISHES) expect(falloutOf(laid(15, finish, texture), skin(L))).toBeNull();
  }
});

test('of what is not read nothing is said but that loose falls; on skin that is not read dark is dark', () => {
  expect(falloutOf(laid(null), skin(70))).toBeNull();
  expect(falloutOf(laid(null, 'shimmer'), skin(70))).toBeNull();
  expect(falloutOf(laid(null, 'matte', 'loose'), null)).toBe('much');
  expect(falloutOf(laid(34.9), null)).toBe('some');
});

test('the darker a shadow and the lighter the skin, the more falls', () => {
  const rank = { much: 2, some: 1, none: 0 };
  const at = (L: number, shade: number) => rank[falloutOf(laid(shade), skin(L)) ?? 'none'];
  for (let L = 30; L < 90; L += 5)
    for (let shade = 10; shade < 60; shade += 5) {
      expect(at(L, shade)).toBeLessThanOrEqual(at(L + 5, shade));
      expect(at(L, shade + 5)).toBeLessThanOrEqual(at(L, shade));
    }
});
