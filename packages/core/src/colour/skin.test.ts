import fc from 'fast-check';
import { seededRandom } from '../math';
import {
  chromaOf,
  depthInWords,
  depthOf,
  driftBetween,
  isPlausibleSkin,
  ita,
  labToHex,
  lightnessAtDepth,
  meanLab,
  shiftDepth,
  simulateSample,
  SKIN_ZONES,
  skinByZone,
  summariseReadings,
  undertoneOf,
  type Lab,
} from '.';
import { skinLab } from './skinLab.testing';

test.each([
  [82, 3.994],
  [75, 5.75],
  [60, 10.017],
  [50, 13.359],
  [42, 16.23],
  [35, 18.743],
  [28, 21.255],
])('skin of L* %d has depth %d', (L, depth) =>
  expect(Math.abs(depthOf([L, 10, 15]) - depth)).toBeLessThan(0.002),
);

test.each([
  [75, 2.5, -9.1],
  [75, -2.5, 10.1],
  [60, 2.5, -7.6],
  [60, -2.5, 8.5],
])('from L* %d, %d steps change lightness by %d', (L, steps, change) => {
  expect(shiftDepth([L, 10, 17], steps)[0] - L).toBeCloseTo(change, 1);
});

test('depth and lightness are each other’s inverse and go one way', () => {
  fc.assert(
    fc.property(fc.double({ min: 5, max: 95, noNaN: true }), (L) => {
      expect(lightnessAtDepth(depthOf([L, 0, 0]))).toBeCloseTo(L, 6);
      expect(depthOf([L + 1, 0, 0])).toBeLessThan(depthOf([L, 0, 0]));
    }),
    { seed: 1 },
  );
});

test('no steps leave a skin as it is; steps keep its undertone', () => {
  fc.assert(
    fc.property(skinLab, fc.integer({ min: -3, max: 3 }), (lab, steps) => {
      shiftDepth(lab, 0).forEach((v, k) => expect(v).toBeCloseTo(lab[k]!, 6));
      const shifted = shiftDepth(lab, steps);
      if (chromaOf(shifted) > 4)
        expect(undertoneOf(shifted).hueOffset).toBeCloseTo(undertoneOf(lab).hueOffset, 4);
    }),
    { seed: 2 },
  );
});

test('a highlight is capped where skin ends', () => expect(shiftDepth([86, 5, 10], -4)[0]).toBe(92));

test('undertones relative to depth', () => {
  const of = (L: number, hue: number, chroma: number): string =>
    undertoneOf([L, chroma * Math.cos((hue * Math.PI) / 180), chroma * Math.sin((hue * Math.PI) / 180)])
      .undertone;
  expect(of(60, 50, 23)).toBe('cool');
  expect(of(60, 58, 23)).toBe('neutral');
  expect(of(60, 64, 26)).toBe('warm');
  expect(of(60, 68, 20)).toBe('olive');
  expect(undertoneOf([60, 14, 22]).confidence).toMatch(/sure|near the border/);
});

test('typology angle and depth words', () => {
  expect(ita([50, 0, 10])).toBe(0);
  expect(depthInWords(depthOf([82, 5, 12]))).toBe('very light');
  expect(depthInWords(depthOf([30, 10, 10]))).toBe('very deep');
});

test('an outlier is set aside, the rest averaged, and one more sample asked for', () => {
  const good: Lab[] = [
    [60, 12, 18],
    [60.4, 12.2, 18.1],
    [59.8, 11.9, 17.8],
  ];
  const summary = summariseReadings([...good, [52, 14, 22]])!;
  expect(summary.dropped).toEqual([false, false, false, true]);
  expect(summary.keptCount).toBe(3);
  summary.lab.forEach((v, k) =>
    expect(v).toBeCloseTo(meanLab(good.map((lab) => ({ lab, weight: 1 })))[k]!, 9),
  );
  expect(summary.moreNeeded).toBe(0);
  expect(summariseReadings(good.slice(0, 2))!.moreNeeded).toBe(1);
});

test('no samples give no summary, and two far ones are both kept', () => {
  expect(summariseReadings([])).toBeNull();
  expect(
    summariseReadings([
      [60, 10, 10],
      [70, 10, 10],
    ])!.dropped,
  ).toEqual([false, false]);
});

test('the stand-in reader lands within half a unit of the truth after eight samples', () => {
  const random = seededRandom(7);
  const truth: Lab = [55, 13, 18];
  const errors = Array.from({ length: 200 }, () => {
    const { lab } = summariseReadings(Array.from({ length: 8 }, () => simulateSample(truth, random)))!;
    return Math.hypot(lab[0] - 55, lab[1] - 13, lab[2] - 18) ** 2;
  });
  expect(Math.sqrt(errors.reduce((s, e) => s + e, 0) / errors.length)).toBeLessThan(0.5);
});

test('a made-up skin covers every zone and is plausible', () => {
  const zones = skinByZone([60, 13, 19]);
  expect(Object.keys(zones).sort()).toEqual([...SKIN_ZONES].sort());
  for (const zone of SKIN_ZONES) expect(isPlausibleSkin(zones[zone])).toBe(true);
  expect(isPlausibleSkin([60, -30, 10])).toBe(false);
  expect(isPlausibleSkin([99, 0, 0])).toBe(false);
});

test('drift says how far and which way', () => {
  const drift = driftBetween([60, 12, 18], shiftDepth([60, 12, 18], 0.8));
  expect(drift.stepsDeeper).toBeCloseTo(0.8, 6);
  expect(drift.deltaE).toBeGreaterThan(1);
});

test('swatches', () => {
  expect(labToHex([100, 0, 0])).toBe('#ffffff');
  expect(labToHex([0, 0, 0])).toBe('#000000');
});
