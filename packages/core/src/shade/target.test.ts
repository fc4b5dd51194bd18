import * as fc from 'fast-check';
import { chromaOf, depthOf, hueOf, skinByZone, type Lab } from '../colour';
import { PLAIN_FEATURES, type Features } from '../face';
import { skinTarget } from './skinTarget';
import { wantedColour } from './target';

const FAIREST: Lab = [84, 6, 13];
const MEDIUM: Lab = [60, 13, 19];
const DEEP: Lab = [33, 12, 13];
const wanted = (
  role: 'contour' | 'highlight' | 'conceal' | 'base',
  depthSteps: number,
  skin: Lab,
  features: Partial<Features> = {},
): Lab =>
  wantedColour(
    { role, shade: { relative: { to: 'skin', depthSteps } } },
    { skin: skinByZone(skin), features: { ...PLAIN_FEATURES, ...features } },
  )!;
/** Steps from what a base is matched to on such skin. */
const stepsFrom = (skin: Lab, lab: Lab): number => depthOf(lab) - depthOf(skinTarget(skinByZone(skin))!);

test.each([
  ['deep', DEEP, 1, -3],
  ['medium', MEDIUM, 0.9, -2],
  ['very fair', FAIREST, 0.75, -3],
] as const)(
  'on %s skin a shadow is as deep as asked, its colour quieter and cooler by the depth',
  (_, skin, quieter, cooler) => {
    const shadow = wanted('contour', 2, skin);
    // Taken as deep without being a shadow: what a base of that depth would be.
    const base = wanted('base', 2, skin);
    expect(stepsFrom(skin, shadow)).toBeCloseTo(2, 1);
    expect(shadow[0]).toBeCloseTo(base[0], 6);
    expect(chromaOf(shadow) / chromaOf(base)).toBeCloseTo(quieter, 6);
    expect(hueOf(shadow) - hueOf(base)).toBeCloseTo(cooler, 4);
  },
);

test.each([
  ['contour', 3, true],
  ['highlight', -3, true],
  ['conceal', -1, true],
  ['conceal', 1, false],
  ['base', 1, false],
] as const)('%s of %d steps is drawn nearer on lined skin: %s', (role, steps, nearer) => {
  const plain = Math.abs(stepsFrom(MEDIUM, wanted(role, steps, MEDIUM)));
  const lined = Math.abs(stepsFrom(MEDIUM, wanted(role, steps, MEDIUM, { age: 'mature' })));
  if (nearer) expect(lined).toBeLessThan(plain - 0.1);
  else expect(lined).toBeCloseTo(plain, 9);
});

test('no steps and no undertone is the skin itself; nothing read asks for nothing', () => {
  expect(wanted('base', 0, MEDIUM)).toEqual(skinTarget(skinByZone(MEDIUM)));
  const who = { skin: {}, features: PLAIN_FEATURES };
  expect(wantedColour({ role: 'base', shade: { relative: { to: 'skin', depthSteps: 1 } } }, who)).toBeNull();
  expect(wantedColour({ role: 'base', shade: null }, who)).toBeNull();
  expect(wantedColour({ role: 'lip', shade: { lab: [40, 30, 10] } }, who)).toEqual([40, 30, 10]);
  expect(wantedColour({ role: 'lip', shade: null, outright: [50, 1, 2] }, who)).toEqual([50, 1, 2]);
});

test('a deeper colour for the eye is never asked lighter than a lighter one, on any skin', () => {
  const lab = fc.tuple(
    fc.double({ min: 15, max: 85, noNaN: true }),
    fc.double({ min: 2, max: 20, noNaN: true }),
    fc.double({ min: 2, max: 25, noNaN: true }),
  );
  fc.assert(
    fc.property(lab, lab, fc.constantFrom(FAIREST, MEDIUM, DEEP), (one, other, skin) => {
      const ask = (shade: Lab): number =>
        depthOf(
          wantedColour(
            { role: 'eye', shade: { lab: shade }, placements: [{ guide: 'lid', side: 'both' }] },
            { skin: skinByZone(skin), features: PLAIN_FEATURES },
          )!,
        );
      const [light, deep] = depthOf(one) <= depthOf(other) ? [one, other] : [other, one];
      expect(ask(deep)).toBeGreaterThanOrEqual(ask(light) - 1e-9);
    }),
    { numRuns: 200 },
  );
});
