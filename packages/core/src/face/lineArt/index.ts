import { faceModel, withEyesClosed } from '../faceModel';
import { PLAIN_FEATURES, type Features } from '../features';
import type { LandmarkName, Landmarks } from '../landmarks';
import type { Eyes } from '../outlineOf';
import { ageLinesInk } from './ageLines';
import { beardInk } from './beard';
import { browsInk } from './brows';
import { closedEyesInk, eyesInk } from './eyes';
import { hairInk } from './hair';
import { earInk, faceInk, neckInk } from './head';
import type { Ink } from './ink';
import { lipsInk, mouthInk } from './mouth';
import { noseInk } from './nose';

export { pathOf, type Ink, type InkFill } from './ink';

/** The drawing, split so that placed colour can be painted on the skin and under the fine lines. */
export type LineArt = {
  /** Hair behind, neck, ears and the skin of the face. */
  readonly ground: readonly Ink[];
  /** Eyes, brows, nose, mouth, lines and hair: drawn over placed colour. */
  readonly lines: readonly Ink[];
  /** x, y, width and height that hold head, neck and shoulders, in mm. */
  readonly viewBox: readonly [number, number, number, number];
};

type Kept = { readonly [eyes in Eyes]?: LineArt };
const cache = new WeakMap<Landmarks, WeakMap<Features, Kept>>();

/**
 * Draws a client's face from her landmarks and features, as filled paths in mm, her eyes open or closed. Kept
 * per face.
 */
export function lineArt(
  landmarks: Landmarks,
  features: Features = PLAIN_FEATURES,
  eyes: Eyes = 'open',
): LineArt {
  let byFeatures = cache.get(landmarks);
  if (!byFeatures) cache.set(landmarks, (byFeatures = new WeakMap()));
  const kept = byFeatures.get(features);
  const art = kept?.[eyes] ?? draw(landmarks, features, eyes);
  byFeatures.set(features, { ...kept, [eyes]: art });
  return art;
}

function draw(landmarks: Landmarks, features: Features, eyes: Eyes): LineArt {
  const face = faceModel(landmarks, features);
  const hair = hairInk(face);
  const top = landmarks.vertex[1] - 18;
  const bottom = landmarks.sternal_notch[1] + 9;
  const eyesDrawn = eyes === 'open' ? eyesInk(face) : closedEyesInk(withEyesClosed(face));
  return {
    ground: [
      ...hair.behind,
      ...neckInk(face),
      ...(features.hair === 'covered' ? [] : earInk(face)),
      ...faceInk(face),
      ...lipsInk(face),
    ],
    lines: [
      ...eyesDrawn,
      ...noseInk(face),
      ...mouthInk(face),
      ...ageLinesInk(face),
      ...beardInk(face),
      ...browsInk(face),
      ...hair.front,
    ],
    viewBox: [-104, top, 208, bottom - top],
  };
}

export const INSETS = ['right eye', 'left eye', 'lips'] as const;
export type Inset = (typeof INSETS)[number];

/** The part of a face an inset shows, in mm: x, y, width, height. */
export function insetBox(inset: Inset, landmarks: Landmarks): readonly [number, number, number, number] {
  const box = (names: readonly LandmarkName[], margin: number): readonly [number, number, number, number] => {
    const xs = names.map((name) => landmarks[name][0]);
    const ys = names.map((name) => landmarks[name][1]);
    const [left, top] = [Math.min(...xs) - margin, Math.min(...ys) - margin];
    return [left, top, Math.max(...xs) + margin - left, Math.max(...ys) + margin - top];
  };
  if (inset === 'lips')
    return box(['mouth_corner_left', 'mouth_corner_right', 'cupid_peak_left', 'lip_low_c'], 8);
  const side = inset === 'left eye' ? 'left' : 'right';
  return box([`brow_inner_${side}`, `brow_tail_${side}`, `brow_arch_${side}`, `lid_lo_mid_${side}`], 7);
}
