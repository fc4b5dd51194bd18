import { LANDMARKS, splitName, TEMPLATE, type LandmarkName } from './landmarks';
import type { Point } from './point';

// Taken out of the global once: these run in the innermost loops.
const { exp, sign } = Math;

/**
 * How landmarks vary between people, as the covariance of a Gaussian over displacements from the
 * template: smooth fields at three scales, mirror-symmetric with a smaller asymmetric part, global
 * scaling, and shifts and scalings of features as a whole. Numbers in mm; larger lets that part move more.
 */
const SMOOTH = [
  [9, 60],
  [2.2, 22],
  [0.5, 8],
] as const; // variance mm2, reach mm
const SMOOTH_ASYMMETRIC = [
  [0.8, 40],
  [0.4, 12],
] as const;
const GLOBAL_SCALING = 0.05;
const GROUP_SCALING: Point = [0.06, 0.15];

type Group = { readonly names: RegExp; readonly shift: number; readonly asymmetricShift: number };
const GROUPS: readonly Group[] = [
  { names: /^brow_/, shift: 2, asymmetricShift: 1.1 },
  { names: /^crease_/, shift: 1.3, asymmetricShift: 0.7 },
  { names: /^lid_up_/, shift: 0.6, asymmetricShift: 0.4 },
  { names: /^(eye_|lid_|pupil|crease_)/, shift: 0.6, asymmetricShift: 0.3 },
  { names: /^(nose_tip|subnasale|tip_side|ala|bridge_|smile_top)/, shift: 1.2, asymmetricShift: 0.3 },
  { names: /^(lip_|stomion|mouth_|cupid_|smile_low)/, shift: 1.2, asymmetricShift: 0.4 },
];

const gaussian = (p: Point, q: Point, terms: readonly (readonly [number, number])[]): number => {
  const d2 = (p[0] - q[0]) ** 2 + (p[1] - q[1]) ** 2;
  return terms.reduce((sum, [variance, reach]) => sum + variance * exp(-d2 / (2 * reach * reach)), 0);
};

let cached: Float64Array | null = null;

/** Number of coordinates: x and y of every landmark, landmark by landmark. */
export const COORDINATES = 2 * LANDMARKS.length;

/** The covariance matrix, COORDINATES squared, row-major; built once. */
export function priorCovariance(): Float64Array {
  cached ??= build();
  return cached;
}

function build(): Float64Array {
  const matrix = new Float64Array(COORDINATES * COORDINATES);
  LANDMARKS.forEach((a, i) => {
    LANDMARKS.forEach((b, j) => {
      for (const axis of [0, 1] as const) {
        matrix[(2 * i + axis) * COORDINATES + 2 * j + axis] = covariance(a, b, axis);
      }
    });
  });
  return matrix;
}

function covariance(a: LandmarkName, b: LandmarkName, axis: 0 | 1): number {
  const p = TEMPLATE[a];
  const q = TEMPLATE[b];
  const mirrored: Point = [-q[0], q[1]];
  // A symmetric face has odd sideways displacements and even vertical ones.
  const parity = axis === 0 ? -1 : 1;
  const symmetric = gaussian(p, q, SMOOTH) + parity * gaussian(p, mirrored, SMOOTH);
  const asymmetric = gaussian(p, q, SMOOTH_ASYMMETRIC) - parity * gaussian(p, mirrored, SMOOTH_ASYMMETRIC);
  const scaling = GLOBAL_SCALING ** 2 * p[axis] * q[axis];
  return (symmetric + asymmetric) / 2 + scaling + groupCovariance(a, b, axis);
}

function groupCovariance(a: LandmarkName, b: LandmarkName, axis: 0 | 1): number {
  let sum = 0;
  for (const group of GROUPS) {
    if (!group.names.test(a) || !group.names.test(b)) continue;
    const [offsetA, offsetB] = [offsetFromCentre(a, group, axis), offsetFromCentre(b, group, axis)];
    sum += GROUP_SCALING[axis] ** 2 * offsetA * offsetB;
    if (axis === 1) sum += group.shift ** 2 + sideOf(a) * sideOf(b) * group.asymmetricShift ** 2;
  }
  return sum;
}

/** +1 on the client's left, -1 on the right, 0 on the midline. */
function sideOf(name: LandmarkName): number {
  const { side } = splitName(name);
  return side === null ? 0 : side === 'left' ? 1 : -1;
}

const centres = new Map<string, Point>();

/** How far a landmark lies from the middle of its feature on its own side. */
function offsetFromCentre(name: LandmarkName, group: Group, axis: 0 | 1): number {
  const side = sign(TEMPLATE[name][0]);
  const key = `${group.names.source}|${side}`;
  let centre = centres.get(key);
  if (!centre) {
    const members = LANDMARKS.filter(
      (n) => group.names.test(n) && (side === 0 || sign(TEMPLATE[n][0]) === side),
    );
    const mean = (k: 0 | 1): number => members.reduce((s, n) => s + TEMPLATE[n][k], 0) / members.length;
    centre = [side === 0 ? 0 : mean(0), mean(1)];
    centres.set(key, centre);
  }
  return TEMPLATE[name][axis] - centre[axis];
}
