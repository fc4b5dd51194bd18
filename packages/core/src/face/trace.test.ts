import fc from 'fast-check';
import {
  inferLandmarks,
  landmarksOf,
  LANDMARKS,
  measure,
  otherSide,
  questionTaps,
  questionTrace,
  sideDifferences,
  sourcesOf,
  TAPPED_LANDMARKS,
  tapsInMm,
  TEMPLATE,
  type Landmarks,
  type Point,
  type TappedLandmark,
  type Taps,
} from '.';
import { anyFace, EIGHT_FACES } from './face.testing';

const tapsOf = (landmarks: Landmarks, place: (p: Point) => Point = (p) => p): Taps =>
  Object.fromEntries(TAPPED_LANDMARKS.map((name) => [name, place(landmarks[name])]));
const gap = (p: Point, q: Point): number => Math.hypot(p[0] - q[0], p[1] - q[1]);
const meanGap = (a: Landmarks, b: Landmarks): number =>
  LANDMARKS.reduce((sum, name) => sum + gap(a[name], b[name]), 0) / LANDMARKS.length;

/** A picture of a face: turned, scaled and moved. */
const picture = (landmarks: Landmarks, turnDegrees: number, pixelsPerMm: number): Taps => {
  const a = (turnDegrees * Math.PI) / 180;
  return tapsOf(landmarks, ([x, y]) => [
    400 + pixelsPerMm * (x * Math.cos(a) - y * Math.sin(a)),
    300 + pixelsPerMm * (x * Math.sin(a) + y * Math.cos(a)),
  ]);
};

test('taps on a turned picture of any size give the face back, one length setting the scale', () => {
  fc.assert(
    fc.property(
      anyFace,
      fc.double({ min: -12, max: 12, noNaN: true }),
      fc.double({ min: 1.5, max: 8, noNaN: true }),
      (measurements, turn, size) => {
        const face = inferLandmarks(measurements);
        const scale = { from: 'pupil_left', to: 'pupil_right', mm: measure('pupilDistance', face) } as const;
        const taps = tapsInMm(picture(face, turn, size), scale);
        for (const name of TAPPED_LANDMARKS) expect(gap(taps[name]!, face[name])).toBeLessThan(2);
        expect(questionTaps(taps)).toEqual([]);
      },
    ),
    { numRuns: 25, seed: 5 },
  );
});

test('twenty-five taps bring the whole face nearer than the twelve measurements do', () => {
  const faces = Object.values(EIGHT_FACES).slice(1);
  const errors = faces.map((measurements) => {
    const face = inferLandmarks({ ...measurements, eyeWidth: 30, lipToChin: 36 });
    const byTaps = landmarksOf({ measurements: {}, taps: tapsOf(face) });
    const byFive = landmarksOf({
      measurements: {
        faceLength: measure('faceLength', face),
        cheekboneWidth: measure('cheekboneWidth', face),
      },
    });
    return { taps: meanGap(byTaps, face), tape: meanGap(byFive, face) };
  });
  const mean = (pick: (e: (typeof errors)[number]) => number): number =>
    errors.reduce((s, e) => s + pick(e), 0) / errors.length;
  expect(mean((e) => e.taps)).toBeLessThan(mean((e) => e.tape));
  expect(mean((e) => e.taps)).toBeLessThan(1.2);
});

test('a face drawn from taps goes through the taps, and skipped ones are inferred', () => {
  const face = inferLandmarks(EIGHT_FACES.square!);
  const { gnathion: _, ...some } = tapsOf(face);
  const traced = landmarksOf({ measurements: {}, taps: some });
  for (const name of Object.keys(some) as TappedLandmark[])
    expect(gap(traced[name], face[name])).toBeLessThan(1);
  expect(gap(traced.gnathion, face.gnathion)).toBeLessThan(4);
});

test('each landmark says where it comes from', () => {
  const likeness = inferLandmarks(EIGHT_FACES.long!);
  const sources = sourcesOf({ measurements: { noseWidth: 30 }, taps: { pupil_left: [31, 0] }, likeness });
  expect(sources).toMatchObject({
    pupil_left: 'tapped',
    ala_left: 'measured',
    ala_right: 'measured',
    gonion_left: 'from another face',
  });
  expect(sourcesOf({ measurements: {} }).gonion_left).toBe('inferred');
});

test('another face is a start that gives way to what is measured', () => {
  const start = inferLandmarks(EIGHT_FACES.long!);
  expect(meanGap(landmarksOf({ measurements: {}, likeness: start }), start)).toBeLessThan(
    meanGap(TEMPLATE, start) * 0.5,
  );
  const measured = landmarksOf({ measurements: { faceLength: 178 }, likeness: start });
  expect(Math.abs(measure('faceLength', measured) - 178)).toBeLessThan(0.6);
});

test('swapped, impossible and stray taps are questioned, not taken in silence', () => {
  const taps = tapsOf(TEMPLATE);
  expect(
    questionTaps({ ...taps, gonion_left: taps.gonion_right!, gonion_right: taps.gonion_left! })
      .map((q) => q.message)
      .join(),
  ).toContain('swapped');
  expect(
    questionTaps({ ...taps, subnasale: [0, 110] })
      .map((q) => q.message)
      .join(),
  ).toContain('below');
  expect(questionTaps({ ...taps, mentolateral_left: [40, 100] }).map((q) => q.name)).toContain(
    'mentolateral_left',
  );
  expect(
    questionTrace({
      measurements: {},
      taps: { ...taps, zygion_left: taps.zygion_right!, zygion_right: taps.zygion_left! },
    }).join(),
  ).toContain('crossed');
  expect(questionTrace({ measurements: { noseLength: 3 } }).join()).toContain('30 to 70 mm');
  expect(questionTrace({ measurements: {}, taps })).toEqual([]);
});

test('what sets the scale must be there', () => {
  const taps = tapsOf(TEMPLATE);
  const scale = { from: 'pupil_left', to: 'pupil_right', mm: 62 } as const;
  expect(() => tapsInMm({ ...taps, pupil_left: undefined } as Taps, scale)).toThrow('both pupils');
  expect(() =>
    tapsInMm({ pupil_left: [1, 0], pupil_right: [-1, 0] }, { ...scale, from: 'gnathion' }),
  ).toThrow('the underside of the chin');
  expect(() => tapsInMm(taps, { ...scale, mm: 0 })).toThrow('more than nothing');
});

test('sides that differ are said as the client’s own', () => {
  const face = inferLandmarks({ browGapLeft: 16.5, browGapRight: 21, mouthTilt: 3 });
  expect(
    sideDifferences(face)
      .map((d) => d.words)
      .join(' '),
  ).toMatch(/client’s right brow sits .* higher/);
  expect(
    sideDifferences(face)
      .map((d) => d.words)
      .join(' '),
  ).toMatch(/client’s left mouth corner sits (2\.9|3\.0) mm higher/);
  expect(sideDifferences(TEMPLATE)).toEqual([]);
  expect(otherSide('gonion_left')).toBe('gonion_right');
  expect(otherSide('cupid_peak_left')).toBe('cupid_peak_left');
});
