import { Type } from '@sinclair/typebox';
import { messages, msg } from '../messages';
import { closed, PointSchema } from '../schema';
import { conditionLandmarks, observationsOf, attachEars, type Observation } from './inferLandmarks';
import { LANDMARKS, splitName, TEMPLATE, type LandmarkName, type Landmarks } from './landmarks';
import { faceWarp } from './faceWarp';
import { MEASUREMENT_NAMES, questionMeasurements, termsOf, type Measurements } from './measurements';
import type { Point } from './point';

/**
 * The landmarks worth tapping on a photo, in an order the eye finds them: 25 taps make a better face than the
 * tape.
 */
export const TAPPED_LANDMARKS = [
  'pupil_right',
  'pupil_left',
  'eye_outer_right',
  'eye_inner_right',
  'eye_inner_left',
  'eye_outer_left',
  'brow_arch_right',
  'brow_arch_left',
  'hairline_c',
  'temple_right',
  'temple_left',
  'zygion_right',
  'zygion_left',
  'ala_right',
  'ala_left',
  'subnasale',
  'cupid_peak_left',
  'mouth_corner_right',
  'mouth_corner_left',
  'lip_low_c',
  'gonion_right',
  'gonion_left',
  'mentolateral_right',
  'mentolateral_left',
  'gnathion',
] as const satisfies readonly LandmarkName[];
export type TappedLandmark = (typeof TAPPED_LANDMARKS)[number];

/** Where to tap, in words. */
export const TAP_WORDS: Readonly<Record<TappedLandmark, string>> = messages({
  pupil_right: 'the middle of the client’s right pupil',
  pupil_left: 'the middle of the client’s left pupil',
  eye_outer_right: 'the outer corner of the client’s right eye',
  eye_inner_right: 'the inner corner of the client’s right eye',
  eye_inner_left: 'the inner corner of the client’s left eye',
  eye_outer_left: 'the outer corner of the client’s left eye',
  brow_arch_right: 'the highest point of the client’s right brow',
  brow_arch_left: 'the highest point of the client’s left brow',
  hairline_c: 'the middle of the hairline',
  temple_right: 'the client’s right temple, at the edge of the face',
  temple_left: 'the client’s left temple, at the edge of the face',
  zygion_right: 'the client’s right cheekbone, where the face is widest',
  zygion_left: 'the client’s left cheekbone, where the face is widest',
  ala_right: 'the outer edge of the client’s right nose wing',
  ala_left: 'the outer edge of the client’s left nose wing',
  subnasale: 'where the nose meets the lip',
  cupid_peak_left: 'the client’s left peak of the bow',
  mouth_corner_right: 'the client’s right mouth corner',
  mouth_corner_left: 'the client’s left mouth corner',
  lip_low_c: 'the lower edge of the lower lip, in the middle',
  gonion_right: 'the client’s right corner of the jaw',
  gonion_left: 'the client’s left corner of the jaw',
  mentolateral_right: 'the client’s right edge of the chin',
  mentolateral_left: 'the client’s left edge of the chin',
  gnathion: 'the underside of the chin',
});

/** Taps in face mm: origin between the pupils, x to the client's left. */
export type Taps = { readonly [name in TappedLandmark]?: Point };
/** Taps as documents hold them. */
export const TapsSchema = Type.Unsafe<Taps>(
  Type.Partial(Type.Object(Object.fromEntries(TAPPED_LANDMARKS.map((name) => [name, PointSchema]))), closed),
);
/** Taps as they fall on a picture, in its pixels. */
export type PictureTaps = Taps;

/** How far a tap is trusted, and another client's face taken as a start, in mm. */
const TAP_SD = 0.8;
const LIKENESS_SD = 2.5;

/** What a face is traced from: any of it may be missing. */
export type Trace = {
  readonly measurements: Measurements;
  readonly taps?: Taps;
  /** Another client's face to start from: trusted less than anything measured or tapped. */
  readonly likeness?: Landmarks | null;
};

export type Source = 'measured' | 'tapped' | 'from another face' | 'inferred';

/** The likeliest face for what was measured, tapped and started from. */
export function landmarksOf({ measurements, taps = {}, likeness = null }: Trace): Landmarks {
  const tapped = TAPPED_LANDMARKS.flatMap((name) => {
    const p: Point | undefined = taps[name];
    return p ? pointObservation(name, p, TAP_SD) : [];
  });
  const like = likeness
    ? LANDMARKS.flatMap((name) => pointObservation(name, likeness[name], LIKENESS_SD))
    : [];
  const given = [...observationsOf(measurements), ...tapped, ...like];
  return given.length === 0 ? TEMPLATE : attachEars(conditionLandmarks(given));
}

function pointObservation(name: LandmarkName, at: Point, sd: number): Observation[] {
  return ([0, 1] as const).map((axis) => ({
    terms: [[name, axis, 1]],
    difference: at[axis] - TEMPLATE[name][axis],
    sd,
  }));
}

/**
 * Where each landmark of a face comes from: what was tapped, what a measurement touches, what another face
 * gave, or the prior.
 */
export function sourcesOf({
  measurements,
  taps = {},
  likeness = null,
}: Trace): Readonly<Record<LandmarkName, Source>> {
  const measured = new Set(
    MEASUREMENT_NAMES.filter((name) => measurements[name] !== undefined).flatMap((name) =>
      termsOf(name).map(([landmark]) => landmark),
    ),
  );
  const sourceOf = (name: LandmarkName): Source => {
    if (name in taps) return 'tapped';
    if (measured.has(name)) return 'measured';
    return likeness ? 'from another face' : 'inferred';
  };
  return Object.fromEntries(LANDMARKS.map((name) => [name, sourceOf(name)])) as Record<LandmarkName, Source>;
}

/**
 * Taps on a picture as mm: turned so that the pupils are level, moved so that their midpoint is the origin,
 * and scaled by one length known in mm between two tapped places. Throws a RangeError that says which tap is
 * missing.
 */
export function tapsInMm(
  taps: PictureTaps,
  scale: { readonly from: TappedLandmark; readonly to: TappedLandmark; readonly mm: number },
): Taps {
  const { pupil_left: left, pupil_right: right } = taps;
  if (!left || !right)
    throw new RangeError('Tap both pupils: they say where the middle is and how the head is held.');
  const [from, to] = [taps[scale.from], taps[scale.to]];
  if (!from || !to)
    throw new RangeError(
      `Tap both ends of the length you know: ${TAP_WORDS[scale.from]} and ${TAP_WORDS[scale.to]}.`,
    );
  const pixels = Math.hypot(to[0] - from[0], to[1] - from[1]);
  if (!(pixels > 0) || !(scale.mm > 0))
    throw new RangeError('The length that sets the scale must be more than nothing.');
  const mmPerPixel = scale.mm / pixels;
  const turn = Math.atan2(left[1] - right[1], left[0] - right[0]);
  const [cos, sin] = [Math.cos(-turn), Math.sin(-turn)];
  const middle: Point = [(left[0] + right[0]) / 2, (left[1] + right[1]) / 2];
  return Object.fromEntries(
    Object.entries(taps).map(([name, p]) => {
      const [x, y] = [(p[0] - middle[0]) * mmPerPixel, (p[1] - middle[1]) * mmPerPixel];
      return [name, [round(x * cos - y * sin), round(x * sin + y * cos)]];
    }),
  );
}

const round = (value: number): number => Math.round(value * 100) / 100;

export type TapQuestion = { readonly name: TappedLandmark; readonly message: string };

/** Pairs whose client's left must lie to the viewer's right of the client's right. */
const PAIRS = [
  'pupil',
  'eye_inner',
  'eye_outer',
  'brow_arch',
  'temple',
  'zygion',
  'ala',
  'mouth_corner',
  'gonion',
  'mentolateral',
] as const;
/** From top to bottom of a face. */
const DOWNWARDS = [
  'hairline_c',
  'brow_arch_left',
  'pupil_left',
  'ala_left',
  'subnasale',
  'cupid_peak_left',
  'mouth_corner_left',
  'lip_low_c',
  'gnathion',
] as const;
/** A tap further than this from where the other taps expect it is questioned, in mm. */
const UNLIKELY_MM = 9;

/**
 * Taps no face is likely to have, each with what to check: sides swapped, order wrong, far from where the
 * others expect it.
 */
export function questionTaps(taps: Taps): TapQuestion[] {
  const questions: TapQuestion[] = [];
  for (const pair of PAIRS) {
    const [left, right] = [taps[`${pair}_left`], taps[`${pair}_right`]];
    if (left && right && left[0] <= right[0]) {
      questions.push({
        name: `${pair}_left`,
        message: msg`Left and right look swapped: the client’s left is on the right of the picture, unless it is mirrored.`,
      });
    }
  }
  const placed = DOWNWARDS.filter((name) => taps[name]);
  placed.slice(1).forEach((name, i) => {
    const above = placed[i]!;
    if (taps[name]![1] <= taps[above]![1])
      questions.push({
        name,
        message: msg`This should lie below ${TAP_WORDS[above]}. Were two taps swapped?`,
      });
  });
  if (questions.length > 0) return questions;
  const names = Object.keys(taps) as TappedLandmark[];
  for (const name of names) {
    const others = Object.fromEntries(Object.entries(taps).filter(([other]) => other !== name));
    const expected = landmarksOf({ measurements: {}, taps: others })[name];
    const off = Math.hypot(taps[name]![0] - expected[0], taps[name]![1] - expected[1]);
    if (off > UNLIKELY_MM && names.length > 6) {
      questions.push({
        name,
        message: msg`This lies ${Math.round(off)} mm from where the other taps expect it. Look again; keep it if the face is so.`,
      });
    }
  }
  return questions;
}

/** What speaks against a traced face as a whole; empty when it can be drawn and worked on. */
export function questionTrace(trace: Trace): string[] {
  const questions = questionMeasurements(trace.measurements).map((q) => q.message);
  const landmarks = landmarksOf(trace);
  const swapped = PAIRS.some((pair) => landmarks[`${pair}_left`][0] <= landmarks[`${pair}_right`][0]);
  if (swapped) questions.push(msg`Left and right are crossed: check the taps on both sides.`);
  else if (faceWarp(landmarks).smallestJacobian() < 0.1)
    questions.push(msg`These numbers together fold the face: check the last one changed.`);
  return questions;
}

/**
 * How much each pair differs between the client's sides, in mm: height and distance from the middle; the
 * largest first.
 */
export function sideDifferences(
  landmarks: Landmarks,
): readonly { readonly part: string; readonly words: string; readonly mm: number }[] {
  const parts: readonly (readonly [(typeof PAIRS)[number], string])[] = [
    ['brow_arch', 'brow'],
    ['eye_outer', msg`outer eye corner`],
    ['zygion', 'cheekbone'],
    ['mouth_corner', msg`mouth corner`],
    ['gonion', msg`jaw corner`],
  ];
  return parts
    .flatMap(([pair, part]) => {
      const [left, right] = [landmarks[`${pair}_left`], landmarks[`${pair}_right`]];
      const higher = right[1] - left[1];
      const wider = left[0] + right[0];
      return [
        {
          part,
          mm: Math.abs(higher),
          words: msg`The client’s ${higher > 0 ? msg`left` : msg`right`} ${part} sits ${Math.abs(higher).toFixed(1)} mm higher.`,
        },
        {
          part,
          mm: Math.abs(wider),
          words: msg`The client’s ${wider > 0 ? msg`left` : msg`right`} ${part} stands ${Math.abs(wider).toFixed(1)} mm further out.`,
        },
      ];
    })
    .filter(({ mm }) => mm >= 1)
    .sort((a, b) => b.mm - a.mm);
}

/** The other side's name of a paired landmark, for mirrored pictures. */
export function otherSide(name: TappedLandmark): TappedLandmark {
  const { base, side } = splitName(name);
  const other = side === null ? base : `${base}_${side === 'left' ? 'right' : 'left'}`;
  return (TAPPED_LANDMARKS as readonly string[]).includes(other) ? (other as TappedLandmark) : name;
}
