import { chromaOf, depthOf, hueOf, labOfHue, lightnessAtDepth, neutralSkinAt, type Lab } from '../colour';
import { PLAIN_FEATURES } from '../face';
import { wantedColour } from '.';
import { missesOf } from './ranges';

const skinOf = (depth: number): Lab => {
  const L = lightnessAtDepth(depth);
  const { chroma, hue } = neutralSkinAt(L);
  return labOfHue(L, chroma, hue);
};
const wanted = (lab: Lab, skin: Lab): Lab =>
  wantedColour(
    { role: 'lip', shade: { lab } },
    { skin: { cheek: skin, neck: skin }, features: PLAIN_FEATURES },
  )!;
const DEPTHS = Array.from({ length: 206 }, (_, i) => 1.5 + i / 10);
const LIPS: readonly (readonly [string, Lab])[] = [
  ['a rose nude', [56, 30, 16]],
  ['a beige nude', [62, 22, 16]],
  ['a baby pink', [70, 28, 4]],
  ['a bright coral', [60, 50, 32]],
  ['a classic red', [42, 56, 32]],
  ['a brick', [42, 40, 22]],
  ['a wine', [28, 34, 10]],
];

describe.each(LIPS)('%s', (_, lab) => {
  test('is in range on every skin, keeps its hue, and is never taken lighter than the look has it', () => {
    for (const depth of DEPTHS) {
      const skin = skinOf(depth);
      const lip = wanted(lab, skin);
      const by = { skin, features: PLAIN_FEATURES, undertone: 'neutral', contrast: 'soft' } as const;
      const misses = missesOf('lip', { own: lip, shown: lip, finish: 'satin' }, by, 'find');
      expect([depth, misses.filter(({ part }) => part === 'depth')]).toEqual([depth, []]);
      expect(hueOf(lip)).toBeCloseTo(hueOf(lab), 6);
      expect(depthOf(lip)).toBeGreaterThanOrEqual(depthOf(lab) - 1e-9);
      expect(chromaOf(lip)).toBeGreaterThanOrEqual(chromaOf(lab) - 1e-9);
    }
  });

  test('does not jump from one skin to the next', () => {
    // Where skin counts as deep a nude may be a little less lighter than it: seven tenths of a step.
    const depths = DEPTHS.map((depth) => depthOf(wanted(lab, skinOf(depth))));
    const jumps = depths.slice(1).map((depth, i) => Math.abs(depth - depths[i]!));
    expect(Math.max(...jumps)).toBeLessThan(1);
  });
});

test('what is plainly a colour stays it on deep skin, a nude goes with the skin', () => {
  const ebony = skinOf(20);
  expect(wanted([42, 56, 32], ebony)).toEqual([42, 56, 32]);
  expect(depthOf(wanted([56, 30, 16], ebony))).toBeCloseTo(19.5, 1);
  expect(depthOf(wanted([60, 50, 32], ebony))).toBeGreaterThan(depthOf([60, 50, 32]) + 2);
});
