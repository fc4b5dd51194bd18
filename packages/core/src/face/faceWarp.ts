import { solveInPlace } from '../math';
import { LANDMARKS, TEMPLATE, type LandmarkName, type Landmarks } from './landmarks';
import type { Point } from './point';

// Taken out of the global once: these run in the innermost loops.
const { log, abs, min, max, hypot } = Math;

/** Coordinates are divided by this before the spline, so that its matrix is well scaled. */
const UNIT_MM = 100;
/** Lid creases live in an eye's own frame; in the warp they would cause nearly all near-folds. */
const DRIVERS: readonly LandmarkName[] = LANDMARKS.filter((name) => !name.startsWith('crease_'));
const GRID_MM = 4;

export type FaceWarp = {
  /** Canonical mm to this face's mm. */
  readonly toFace: (p: Point) => Point;
  /** This face's mm to canonical mm, to 1e-6 mm. Throws a RangeError where the warp folds. */
  readonly toCanonical: (p: Point) => Point;
  /** The smallest Jacobian determinant over head and neck: 1 is undistorted, at 0 the face would fold. */
  readonly smallestJacobian: () => number;
  /** Whether no part of the face comes near folding (smallest determinant over 0.1). */
  readonly isFoldFree: () => boolean;
};

type Spline = { readonly weights: Float64Array; readonly affine: Float64Array; readonly identity: boolean };

const cache = new WeakMap<Landmarks, FaceWarp>();

/**
 * The smooth map from the canonical face to this one: a thin-plate spline (Bookstein, 1989) on 97 landmarks.
 */
export function faceWarp(landmarks: Landmarks): FaceWarp {
  let warp = cache.get(landmarks);
  if (!warp) cache.set(landmarks, (warp = buildWarp(landmarks)));
  return warp;
}

function buildWarp(landmarks: Landmarks): FaceWarp {
  let lambda = 0;
  let spline = fit(landmarks, lambda);
  let smallest = smallestJacobian(spline);
  // Contradictory landmarks are smoothed until the face no longer folds.
  for (let round = 0; round < 8 && smallest < 0.1; round++) {
    lambda = lambda === 0 ? 1e-4 : lambda * 3;
    spline = fit(landmarks, lambda);
    smallest = smallestJacobian(spline);
  }
  return {
    toFace: (p) => evaluate(spline, p),
    toCanonical: (p) => invert(spline, p),
    smallestJacobian: () => smallest,
    isFoldFree: () => smallest > 0.1,
  };
}

const DX = Float64Array.from(DRIVERS, (name) => TEMPLATE[name][0] / UNIT_MM);
const DY = Float64Array.from(DRIVERS, (name) => TEMPLATE[name][1] / UNIT_MM);
const N = DRIVERS.length;

/** U(r) = r^2 log r of the squared distance. */
const kernel = (r2: number): number => (r2 < 1e-18 ? 0 : 0.5 * r2 * log(r2));

function fit(landmarks: Landmarks, lambda: number): Spline {
  const size = N + 3;
  const matrix = new Float64Array(size * size);
  const rhs = new Float64Array(size * 2);
  let largest = 0;
  for (let i = 0; i < N; i++) {
    for (let j = 0; j < N; j++)
      matrix[i * size + j] = kernel((DX[i]! - DX[j]!) ** 2 + (DY[i]! - DY[j]!) ** 2);
    matrix[i * size + i]! += lambda;
    for (const [k, value] of [1, DX[i]!, DY[i]!].entries()) {
      matrix[i * size + N + k] = value;
      matrix[(N + k) * size + i] = value;
    }
    const [x, y] = landmarks[DRIVERS[i]!];
    rhs[2 * i] = x / UNIT_MM - DX[i]!;
    rhs[2 * i + 1] = y / UNIT_MM - DY[i]!;
    largest = max(largest, abs(rhs[2 * i]!), abs(rhs[2 * i + 1]!));
  }
  if (largest === 0) return { weights: new Float64Array(2 * N), affine: new Float64Array(6), identity: true };
  solveInPlace(matrix, rhs, size, 2);
  return { weights: rhs.slice(0, 2 * N), affine: rhs.slice(2 * N), identity: false };
}

function evaluate(spline: Spline, p: Point): Point {
  if (spline.identity) return p;
  const x = p[0] / UNIT_MM;
  const y = p[1] / UNIT_MM;
  const { weights, affine } = spline;
  let u = affine[0]! + affine[2]! * x + affine[4]! * y;
  let v = affine[1]! + affine[3]! * x + affine[5]! * y;
  for (let i = 0; i < N; i++) {
    const dx = x - DX[i]!;
    const dy = y - DY[i]!;
    const k = kernel(dx * dx + dy * dy);
    u += weights[2 * i]! * k;
    v += weights[2 * i + 1]! * k;
  }
  return [(x + u) * UNIT_MM, (y + v) * UNIT_MM];
}

/** du/dx, du/dy, dv/dx, dv/dy of the whole map at a canonical point. */
function jacobian(spline: Spline, p: Point): readonly [number, number, number, number] {
  const x = p[0] / UNIT_MM;
  const y = p[1] / UNIT_MM;
  const { weights, affine } = spline;
  let ux = 1 + affine[2]!;
  let uy = affine[4]!;
  let vx = affine[3]!;
  let vy = 1 + affine[5]!;
  for (let i = 0; i < N; i++) {
    const dx = x - DX[i]!;
    const dy = y - DY[i]!;
    const r2 = dx * dx + dy * dy;
    if (r2 < 1e-18) continue;
    const g = log(r2) + 1;
    ux += weights[2 * i]! * g * dx;
    uy += weights[2 * i]! * g * dy;
    vx += weights[2 * i + 1]! * g * dx;
    vy += weights[2 * i + 1]! * g * dy;
  }
  return [ux, uy, vx, vy];
}

/** Newton from the target itself, steps held to 10 mm. */
function invert(spline: Spline, target: Point): Point {
  if (spline.identity) return target;
  let p: Point = target;
  for (let round = 0; round < 60; round++) {
    const [fx, fy] = evaluate(spline, p);
    const [ex, ey] = [target[0] - fx, target[1] - fy];
    if (abs(ex) + abs(ey) < 1e-9) return p;
    const [a, b, c, d] = jacobian(spline, p);
    const det = a * d - b * c;
    if (abs(det) < 1e-9) break;
    const stepX = (d * ex - b * ey) / det;
    const stepY = (a * ey - c * ex) / det;
    const shrink = min(1, 10 / max(1e-12, hypot(stepX, stepY)));
    p = [p[0] + stepX * shrink, p[1] + stepY * shrink];
  }
  const [fx, fy] = evaluate(spline, p);
  if (hypot(target[0] - fx, target[1] - fy) < 1e-6) return p;
  throw new RangeError(
    `toCanonical: no place on the canonical face maps to ${target[0].toFixed(1)}, ${target[1].toFixed(1)} mm; is it far outside the head?`,
  );
}

function smallestJacobian(spline: Spline): number {
  if (spline.identity) return 1;
  let smallest = Infinity;
  for (let y = -120; y <= 184; y += GRID_MM) {
    const reach = y < 110 ? 72 : 56;
    for (let x = -reach; x <= reach; x += GRID_MM) {
      const [a, b, c, d] = jacobian(spline, [x, y]);
      smallest = min(smallest, a * d - b * c);
    }
  }
  return smallest;
}
