import { deltaE2000, skinByZone, type Lab } from '../colour';
import { isFlushed } from './flushed';

/** Skin from very fair to very deep. */
const SKINS: readonly Lab[] = [
  [84, 6, 14],
  [74, 9, 16],
  [64, 12, 20],
  [54, 13, 21],
  [44, 13, 19],
  [34, 11, 14],
  [25, 8, 9],
];
const moved = ([L, a, b]: Lab, by: Lab): Lab => [L + by[0], a + by[1], b + by[2]];
const withCheek = (skin: Lab, by: Lab) => {
  const zones = skinByZone(skin);
  return { ...zones, cheek: moved(zones.forehead!, by) };
};

test.each(SKINS.map((lab) => [lab] as const))(
  'on %s a cheek that is redder is; deeper, yellower or lighter is not',
  (lab) => {
    expect(isFlushed(skinByZone(lab))).toBe(false);
    expect(isFlushed(withCheek(lab, [-4, 13, -2]))).toBe(true);
    expect(isFlushed(withCheek(lab, [-12, 1, 0]))).toBe(false);
    expect(isFlushed(withCheek(lab, [0, 0, 14]))).toBe(false);
    expect(isFlushed(withCheek(lab, [12, -1, 0]))).toBe(false);
    expect(isFlushed(withCheek(lab, [0, -12, 0]))).toBe(false);
  },
);

test('a part counts from five steps on, measured against the rest of the face alone', () => {
  const rest: Lab = [66, 12, 18];
  const around = { forehead: rest, chin: rest, mouthSide: rest };
  const redder = (by: number): Lab => [66, 12 + by, 18];
  const edge = Array.from({ length: 400 }, (_, i) => 2 + i / 20).find(
    (by) => deltaE2000(rest, redder(by)) > 5,
  )!;
  expect(isFlushed({ ...around, cheek: redder(edge) })).toBe(true);
  expect(isFlushed({ ...around, cheek: redder(edge - 0.06) })).toBe(false);
});

test('nothing is said where cheeks or the rest were not read', () => {
  expect(isFlushed({})).toBe(false);
  expect(isFlushed({ cheek: [60, 30, 20] })).toBe(false);
  expect(isFlushed({ forehead: [66, 12, 18], neck: [66, 12, 18] })).toBe(false);
  expect(isFlushed({ cheek: [60, 30, 18], chin: [66, 12, 18] })).toBe(true);
});
