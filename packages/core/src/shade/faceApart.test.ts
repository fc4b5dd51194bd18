import fc from 'fast-check';
import { deltaE2000, skinByZone, type Lab, type SkinZone } from '../colour';
import { agreeing, apartInWords, faceColour, FACE_ZONES, partsApart } from './faceApart';
import { skinTarget, type Skin } from '.';

const DEPTHS = [92, 84, 76, 68, 60, 52, 44, 36, 28, 22];
const skinAt = (L: number): Record<SkinZone, Lab> => skinByZone([L, 8 + (90 - L) / 10, 12 + L / 10]);
/** A colour so far from another, in lightness. */
const deeperBy = (from: Lab, wanted: number, sign: 1 | -1): Lab => {
  let [low, high] = [0, 60];
  for (let i = 0; i < 40; i++) {
    const half = (low + high) / 2;
    if (deltaE2000(from, [from[0] + sign * half, from[1], from[2]]) < wanted) low = half;
    else high = half;
  }
  return [from[0] + sign * high, from[1], from[2]];
};
const near = (a: Lab, b: Lab): number => deltaE2000(a, b);

describe('an even face', () => {
  test.each(DEPTHS)('of any depth (L* %p) is told by all of its parts, and none is apart', (L) => {
    const skin = skinAt(L);
    expect(agreeing(skin)).toHaveLength(4);
    const mean = FACE_ZONES.map((zone) => skin[zone]);
    for (const c of [0, 1, 2] as const)
      expect(faceColour(skin)![c]).toBeCloseTo(mean.reduce((sum, lab) => sum + lab[c], 0) / 4, 9);
    expect(partsApart(skin, skinTarget(skin)!)).toEqual([]);
  });

  test('as faces vary by themselves, two to four apart, no part is said to be apart', () => {
    const jitter = fc.double({ min: -1.2, max: 1.2, noNaN: true });
    fc.assert(
      fc.property(
        fc.constantFrom(...DEPTHS),
        fc.array(fc.tuple(jitter, jitter, jitter), { minLength: 6, maxLength: 6 }),
        (L, moved) => {
          const skin = Object.fromEntries(
            Object.entries(skinAt(L)).map(([zone, lab], i) => {
              const [dL, da, db] = moved[i % 6]!;
              return [zone, [lab[0] + dL, lab[1] + da, lab[2] + db]];
            }),
          ) as Skin;
          expect(partsApart(skin, skinTarget(skin)!)).toEqual([]);
        },
      ),
    );
  });

  test('a face in the sun is told by itself, though the neck is of another colour', () => {
    for (const L of [60, 52, 44]) {
      const skin = {
        ...skinAt(L),
        neck: deeperBy(skinAt(L).cheek, 14, 1),
        decollete: deeperBy(skinAt(L).cheek, 14, 1),
      };
      expect(agreeing(skin)).toHaveLength(4);
    }
  });
});

describe('a face of two colours', () => {
  // Both ways about, on any depth, whichever part it is and however many.
  const cases = DEPTHS.flatMap((L) =>
    ([1, -1] as const)
      .filter((sign) => L + sign * 30 > 12 && L + sign * 30 < 98)
      .flatMap((sign) =>
        (['cheek', 'forehead', 'chin', 'mouthSide'] as const).map((zone) => [L, sign, zone] as const),
      ),
  );
  test.each(cases)('L* %p, %p: what agrees with the neck tells the face, not %s', (L, sign, zone) => {
    const even = skinAt(L);
    const skin = { ...even, [zone]: deeperBy(even.neck, 20, sign) };
    expect(agreeing(skin)).toHaveLength(3);
    expect(near(faceColour(skin)!, even.neck)).toBeLessThan(6);
    const apart = partsApart(skin, skinTarget(skin)!);
    expect(apart.map((part) => part.zone)).toEqual([zone]);
    expect(apartInWords(apart, skinTarget(skin)!)).toMatch(sign > 0 ? /lighter$/ : /deeper$/);
  });

  test('where most of it is another colour the base is still one that is somewhere: the neck’s', () => {
    const even = skinAt(50);
    const pale = deeperBy(even.neck, 27, 1);
    const skin = { ...even, forehead: pale, chin: pale, mouthSide: pale };
    const target = skinTarget(skin)!;
    expect(near(target, even.neck)).toBeLessThan(3);
    expect(
      partsApart(skin, target)
        .map(({ zone }) => zone)
        .sort(),
    ).toEqual(['chin', 'forehead', 'mouthSide']);
  });

  test('without neck and decollete the part most like the others is gone by', () => {
    const { cheek, forehead, chin } = skinAt(50);
    const pale = deeperBy(cheek, 27, 1);
    expect(near(faceColour({ cheek, forehead, chin, mouthSide: pale })!, cheek)).toBeLessThan(3);
    expect(near(faceColour({ cheek: pale, forehead, chin })!, forehead)).toBeLessThan(3);
    expect(faceColour({ cheek })).toEqual(cheek);
    expect(faceColour({})).toBeNull();
    expect(skinTarget({})).toBeNull();
  });

  test('ten is the bound of another colour, five of what is not met', () => {
    const even = skinAt(56);
    for (const sign of [1, -1] as const) {
      const at = (wanted: number): Skin => ({ ...even, forehead: deeperBy(even.neck, wanted, sign) });
      expect([agreeing(at(9.9)).length, agreeing(at(10.1)).length]).toEqual([4, 3]);
      const from = even.cheek;
      const apart = (wanted: number) => partsApart({ forehead: deeperBy(from, wanted, sign) }, from).length;
      expect([apart(4.95), apart(5.05)]).toEqual([0, 1]);
    }
  });
});

test('how a part differs is said by what differs most, the furthest part first', () => {
  const from: Lab = [60, 12, 18];
  const skin: Skin = {
    cheek: [58, 26, 17],
    forehead: [44, 12, 16],
    chin: [60, 11, 34],
    mouthSide: [60, 12, 18],
  };
  const parts = partsApart(skin, from);
  expect(parts.map(({ zone }) => zone)).toEqual(['forehead', 'cheek', 'chin']);
  expect(apartInWords(parts, from)).toBe(
    `the forehead is ${near(skin.forehead!, from).toFixed(1)} deeper, the cheek ${near(skin.cheek!, from).toFixed(1)} redder, the chin ${near(skin.chin!, from).toFixed(1)} yellower`,
  );
  expect(apartInWords(partsApart({ cheek: [61, 0, 17] }, from), from)).toMatch(/^the cheek is .* less red$/);
  expect(apartInWords(partsApart({ cheek: [61, 12, 4] }, from), from)).toMatch(/less yellow$/);
});
