import fc from 'fast-check';
import {
  ASKED_MEASUREMENTS,
  canonicalMeasure,
  faceWarp,
  inferLandmarks,
  LANDMARKS,
  measure,
  questionMeasurements,
  TEMPLATE,
  type Point,
} from '.';
import { anyFace, EIGHT_FACES } from './face.testing';

const gap = (p: Point, q: Point): number => Math.hypot(p[0] - q[0], p[1] - q[1]);

test('the canonical measures are those of the template', () => {
  expect(LANDMARKS).toHaveLength(103);
  expect(canonicalMeasure('faceLength')).toBeCloseTo(180.2, 9);
  expect(canonicalMeasure('cheekboneWidth')).toBe(132);
  expect(canonicalMeasure('eyeOpening')).toBeCloseTo(9.9, 9);
  expect(canonicalMeasure('browGapLeft')).toBeCloseTo(20.7, 9);
  expect(canonicalMeasure('lowerLip')).toBeCloseTo(10.1, 9);
});

test('no measurements, or average ones, give the template itself', () => {
  const average = Object.fromEntries(ASKED_MEASUREMENTS.map((name) => [name, canonicalMeasure(name)]));
  for (const measurements of [{}, average]) {
    const inferred = inferLandmarks(measurements);
    for (const name of LANDMARKS) expect(gap(inferred[name], TEMPLATE[name])).toBeLessThan(1e-9);
  }
  expect(faceWarp(TEMPLATE).toFace([12.3, 45.6])).toEqual([12.3, 45.6]);
  expect(faceWarp(TEMPLATE).smallestJacobian()).toBe(1);
});

test('inferred faces have the measurements they were given, to the tape’s error', () => {
  fc.assert(
    fc.property(anyFace, (measurements) => {
      const face = inferLandmarks(measurements);
      for (const name of ASKED_MEASUREMENTS)
        expect(Math.abs(measure(name, face) - measurements[name])).toBeLessThan(0.6);
      expect(
        gap(
          [0, 0],
          [(face.pupil_left[0] + face.pupil_right[0]) / 2, (face.pupil_left[1] + face.pupil_right[1]) / 2],
        ),
      ).toBeLessThan(0.01);
    }),
    { numRuns: 60, seed: 1 },
  );
});

test('a lower brow on one side moves that brow and hardly the other', () => {
  const face = inferLandmarks({
    browGapLeft: canonicalMeasure('browGapLeft') - 4,
    browGapRight: canonicalMeasure('browGapRight'),
  });
  expect(face.brow_arch_left[1] - TEMPLATE.brow_arch_left[1]).toBeGreaterThan(2.5);
  expect(Math.abs(face.brow_arch_right[1] - TEMPLATE.brow_arch_right[1])).toBeLessThan(1.5);
});

test('symmetric measurements keep the face symmetric', () => {
  const face = inferLandmarks({ jawWidth: 118, noseLength: 45, mouthWidth: 56 });
  for (const name of ['gonion', 'ala', 'brow_arch', 'mouth_corner'] as const) {
    expect(face[`${name}_left`][0]).toBeCloseTo(-face[`${name}_right`][0], 9);
    expect(face[`${name}_left`][1]).toBeCloseTo(face[`${name}_right`][1], 9);
  }
});

test.each(Object.entries(EIGHT_FACES))(
  'the %s face does not fold, and carries every driving landmark exactly',
  (_, measurements) => {
    const landmarks = inferLandmarks(measurements);
    const warp = faceWarp(landmarks);
    expect(warp.smallestJacobian()).toBeGreaterThan(0.3);
    expect(warp.isFoldFree()).toBe(true);
    for (const name of [
      'gonion_left',
      'eye_outer_right',
      'nose_tip',
      'cupid_peak_left',
      'ear_top_right',
    ] as const) {
      expect(gap(warp.toFace(TEMPLATE[name]), landmarks[name])).toBeLessThan(1e-8);
    }
  },
);

test('numbers no face has are questioned by name', () => {
  expect(questionMeasurements({ noseLength: 3 })[0]).toMatchObject({
    name: 'noseLength',
    message: expect.stringContaining('30 to 70 mm'),
  });
  expect(
    questionMeasurements({ jawWidth: 140, cheekboneWidth: 110 })
      .map((q) => q.message)
      .join(),
  ).toContain('swapped');
  expect(
    questionMeasurements({ faceLength: 140, foreheadHeight: 70, noseLength: 60 }).map((q) => q.name),
  ).toContain('faceLength');
  expect(questionMeasurements({ faceLength: 180, jawWidth: 105 })).toEqual([]);
  expect(questionMeasurements({ faceLength: Number.NaN })).toHaveLength(1);
});
