import { msg, term } from '../messages';
import { distance } from './point';
import type { Landmarks, Side } from './landmarks';

export const FACE_SHAPES = ['oval', 'round', 'square', 'oblong', 'heart', 'diamond', 'triangle'] as const;
export type FaceShapeName = (typeof FACE_SHAPES)[number];

/** Length, forehead, jaw and chin over cheekbone width; turn of the jaw corner in degrees. */
type Ratios = readonly [length: number, forehead: number, jaw: number, chin: number, turn: number];

const CENTRES: Record<FaceShapeName, Ratios> = {
  oval: [1.37, 0.845, 0.78, 0.215, 27],
  round: [1.2, 0.845, 0.825, 0.235, 27],
  square: [1.29, 0.87, 0.875, 0.325, 38],
  oblong: [1.55, 0.86, 0.8, 0.23, 26],
  heart: [1.37, 0.895, 0.72, 0.165, 21],
  diamond: [1.33, 0.775, 0.71, 0.17, 22],
  triangle: [1.32, 0.785, 0.875, 0.27, 34],
};
const SPREAD: Ratios = [0.075, 0.035, 0.045, 0.04, 5];
/** Below this share of the vote two shapes are named. */
const CLEAR = 0.6;

export type FaceShape = {
  readonly shape: FaceShapeName;
  readonly second: FaceShapeName;
  /** Share of the best shape among all seven, 0 to 1. */
  readonly certainty: number;
  /** 'oval', or 'between oval and heart' when it is not clear. */
  readonly words: string;
  /** The two facts that speak loudest, in words. */
  readonly reasons: readonly string[];
};

/** Names a face's shape from five ratios of its landmarks; the naming is a convention, not a finding. */
export function faceShape(landmarks: Landmarks): FaceShape {
  const ratios = ratiosOf(landmarks);
  const scores = FACE_SHAPES.map((shape) => {
    const distance2 = CENTRES[shape].reduce((sum, mu, i) => sum + ((ratios[i]! - mu) / SPREAD[i]!) ** 2, 0);
    return { shape, score: Math.exp(-distance2 / 4) };
  }).sort((a, b) => b.score - a.score);
  const total = scores.reduce((sum, s) => sum + s.score, 0);
  const [best, next] = [scores[0]!, scores[1]!];
  const certainty = total > 0 ? best.score / total : 1 / FACE_SHAPES.length;
  return {
    shape: best.shape,
    second: next.shape,
    certainty,
    words: certainty >= CLEAR ? term(best.shape) : msg`between ${term(best.shape)} and ${term(next.shape)}`,
    reasons: reasonsFor(ratios),
  };
}

function ratiosOf(l: Landmarks): Ratios {
  const span = (name: 'zygion' | 'hairline_corner' | 'temple' | 'gonion' | 'mentolateral'): number =>
    l[`${name}_left`][0] - l[`${name}_right`][0];
  const cheek = span('zygion');
  return [
    (l.gnathion[1] - l.hairline_c[1]) / cheek,
    (span('hairline_corner') + span('temple')) / 2 / cheek,
    span('gonion') / cheek,
    span('mentolateral') / cheek,
    (jawTurn(l, 'left') + jawTurn(l, 'right')) / 2,
  ];
}

function jawTurn(l: Landmarks, side: Side): number {
  const [a, b, c] = [l[`jaw_ramus_${side}`], l[`gonion_${side}`], l[`mentolateral_${side}`]];
  const dot = (b[0] - a[0]) * (c[0] - b[0]) + (b[1] - a[1]) * (c[1] - b[1]);
  return (Math.acos(Math.max(-1, Math.min(1, dot / (distance(a, b) * distance(b, c))))) * 180) / Math.PI;
}

function reasonsFor(ratios: Ratios): string[] {
  const average = CENTRES.oval;
  const facts = [
    msg`${ratios[0].toFixed(2)} times as long as the cheekbones are wide`,
    msg`forehead ${ratios[1] > average[1] ? msg`broad` : msg`narrow`} against the cheekbones (${ratios[1].toFixed(2)})`,
    msg`jaw ${ratios[2] > average[2] ? msg`broad` : msg`narrow`} against the cheekbones (${ratios[2].toFixed(2)})`,
    msg`chin ${ratios[3] > average[3] ? msg`broad` : msg`pointed`} (${ratios[3].toFixed(2)} of the cheekbones)`,
    msg`jaw corners ${ratios[4] > average[4] ? msg`marked` : msg`soft`} (${Math.round(ratios[4])} degrees)`,
  ];
  return facts
    .map((fact, i) => ({ fact, z: Math.abs(ratios[i]! - average[i]!) / SPREAD[i]! }))
    .sort((a, b) => b.z - a.z)
    .slice(0, 2)
    .map(({ fact }) => fact);
}
