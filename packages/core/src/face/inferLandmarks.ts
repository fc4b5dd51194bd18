import { solveInPlace } from '../math';
import { LANDMARKS, landmarksFrom, TEMPLATE, type LandmarkName, type Landmarks } from './landmarks';
import { canonicalMeasure, MEASUREMENT_NAMES, termsOf, type Measurements } from './measurements';
import { COORDINATES, priorCovariance } from './prior';

/** A fact about a face: a weighted sum of landmark coordinates has this value, give or take `sd` mm. */
export type Observation = {
  readonly terms: readonly (readonly [name: LandmarkName, axis: 0 | 1, weight: number])[];
  /** Value minus what the template has, in mm. */
  readonly difference: number;
  readonly sd: number;
};

/** A tape's error in mm; smaller trusts the numbers more and bends the rest of the face further. */
const TAPE_SD = 0.3;
const PIN_SD = 0.01;

const INDEX = new Map(LANDMARKS.map((name, i) => [name, i]));

/**
 * The likeliest face for some measurements in mm, the rest inferred from how faces vary.
 * No measurements at all give the template exactly. The pupils' midpoint stays at the origin.
 */
export function inferLandmarks(measurements: Measurements): Landmarks {
  return attachEars(conditionLandmarks(observationsOf(measurements)));
}

/** Measurements as facts for the conditioning. */
export function observationsOf(measurements: Measurements): Observation[] {
  return MEASUREMENT_NAMES.flatMap((name): Observation[] => {
    const value = measurements[name];
    return value === undefined
      ? []
      : [{ terms: termsOf(name), difference: value - canonicalMeasure(name), sd: TAPE_SD }];
  });
}

/**
 * Gaussian conditioning of the template on any observations (Rasmussen and Williams, 2006, eq. 2.25):
 * u = K A' (A K A' + S)^-1 y over landmark displacements u.
 */
export function conditionLandmarks(given: readonly Observation[]): Landmarks {
  const observations = [...given, ...PINS];
  const m = observations.length;
  const k = priorCovariance();
  // K A': one column per observation.
  const spread = new Float64Array(COORDINATES * m);
  observations.forEach(({ terms }, column) => {
    for (const [name, axis, weight] of terms) {
      const source = coordinate(name, axis);
      for (let row = 0; row < COORDINATES; row++)
        spread[row * m + column]! += weight * k[row * COORDINATES + source]!;
    }
  });
  const gram = new Float64Array(m * m);
  observations.forEach(({ terms, sd }, row) => {
    for (let column = 0; column < m; column++) {
      for (const [name, axis, weight] of terms)
        gram[row * m + column]! += weight * spread[coordinate(name, axis) * m + column]!;
    }
    gram[row * m + row]! += sd * sd;
  });
  const y = solveInPlace(
    gram,
    Float64Array.from(observations, (o) => o.difference),
    m,
  );
  const moved = (row: number): number => {
    let sum = 0;
    for (let column = 0; column < m; column++) sum += spread[row * m + column]! * y[column]!;
    return sum;
  };
  return landmarksFrom((name) => [
    TEMPLATE[name][0] + moved(coordinate(name, 0)),
    TEMPLATE[name][1] + moved(coordinate(name, 1)),
  ]);
}

function coordinate(name: LandmarkName, axis: 0 | 1): number {
  return 2 * INDEX.get(name)! + axis;
}

/** The groove above the lip keeps its height within this: a long nose pushes the mouth down, not into it. */
const GROOVE_SD = 1.3;

const PINS: readonly Observation[] = [
  ...([0, 1] as const).map((axis): Observation => ({
    terms: [
      ['pupil_left', axis, 1],
      ['pupil_right', axis, 1],
    ],
    difference: 0,
    sd: PIN_SD,
  })),
  {
    terms: [
      ['lip_dip', 1, 1],
      ['subnasale', 1, -1],
    ],
    difference: 0,
    sd: GROOVE_SD,
  },
];

/** Ears hang on cheekbone and jaw: left free they are what makes a warp kink. */
export function attachEars(landmarks: Landmarks): Landmarks {
  return landmarksFrom((name) => {
    for (const side of ['left', 'right'] as const) {
      const anchor = name === `ear_top_${side}` ? 'zygion' : name === `ear_lobe_${side}` ? 'jaw_ramus' : null;
      if (!anchor) continue;
      const [x, y] = landmarks[`${anchor}_${side}`];
      const [ax, ay] = TEMPLATE[`${anchor}_${side}`];
      const [ex, ey] = TEMPLATE[name];
      return [x + ex - ax, y + ey - ay];
    }
    return landmarks[name];
  });
}
