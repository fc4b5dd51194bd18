import { standardNormal, type Random } from '../math';
import { faceWarp } from '../face/faceWarp';
import { attachEars, conditionLandmarks } from '../face/inferLandmarks';
import { LANDMARKS, landmarksFrom, TEMPLATE, type Landmarks } from '../face/landmarks';
import {
  measure,
  MEASUREMENT_NAMES,
  questionMeasurements,
  termsOf,
  type Measurements,
} from '../face/measurements';
import { COORDINATES, priorCovariance } from '../face/prior';

/** How far invented faces spread: at 1 one in ten would be refused. */
const SPREAD = 0.8;
const FACT_SD_MM = 0.3;
const LEAST_JACOBIAN = 0.3;
const TRIES = 12;

let root: Float64Array | null = null;

/** The lower triangle L of L L' = covariance, row-major (Cholesky), with a little on the diagonal. */
function priorRoot(): Float64Array {
  if (root) return root;
  const n = COORDINATES;
  const a = priorCovariance().slice();
  for (let i = 0; i < n; i++) a[i * n + i]! += 1e-4;
  const l = new Float64Array(n * n);
  for (let i = 0; i < n; i++) {
    for (let j = 0; j <= i; j++) {
      let sum = a[i * n + j]!;
      for (let k = 0; k < j; k++) sum -= l[i * n + k]! * l[j * n + k]!;
      l[i * n + j] = i === j ? Math.sqrt(sum) : sum / l[j * n + j]!;
    }
  }
  root = l;
  return l;
}

/**
 * An invented face, nobody's: drawn from how faces vary and bent to facts in mm where some are asked
 * (Matheron's rule). Null when none of a dozen draws is a likely face that `accepts` takes. The same seed is
 * the same face.
 */
export function practiceFace(
  random: Random,
  facts: Measurements = {},
  accepts: (landmarks: Landmarks) => boolean = () => true,
): Landmarks | null {
  for (let tries = 0; tries < TRIES; tries++) {
    const face = bentTo(facts, drawn(random));
    const measured = Object.fromEntries(MEASUREMENT_NAMES.map((name) => [name, measure(name, face)]));
    if (questionMeasurements(measured).length > 0) continue;
    if (faceWarp(face).smallestJacobian() > LEAST_JACOBIAN && accepts(face)) return face;
  }
  return null;
}

/** A face as the variation alone draws it. */
function drawn(random: Random): Landmarks {
  const l = priorRoot();
  const z = Float64Array.from({ length: COORDINATES }, () => standardNormal(random));
  const moved = (row: number): number => {
    let sum = 0;
    for (let k = 0; k <= row; k++) sum += l[row * COORDINATES + k]! * z[k]!;
    return SPREAD * sum;
  };
  const index = new Map(LANDMARKS.map((name, i) => [name, i]));
  return landmarksFrom((name) => [
    TEMPLATE[name][0] + moved(2 * index.get(name)!),
    TEMPLATE[name][1] + moved(2 * index.get(name)! + 1),
  ]);
}

/** The face moved as little as likely so that it has the facts, the pupils' middle back at the origin. */
function bentTo(facts: Measurements, face: Landmarks): Landmarks {
  const given = MEASUREMENT_NAMES.flatMap((name) => {
    const value = facts[name];
    return value === undefined
      ? []
      : [{ terms: termsOf(name), difference: value - measure(name, face), sd: FACT_SD_MM }];
  });
  const bent = given.length > 0 ? conditionLandmarks(given) : TEMPLATE;
  const whole = landmarksFrom((name) => [
    face[name][0] + bent[name][0] - TEMPLATE[name][0],
    face[name][1] + bent[name][1] - TEMPLATE[name][1],
  ]);
  const [dx, dy] = ([0, 1] as const).map((axis) => (whole.pupil_left[axis] + whole.pupil_right[axis]) / 2);
  return attachEars(landmarksFrom((name) => [whole[name][0] - dx!, whole[name][1] - dy!]));
}
