import { faceModel } from '../faceModel';
import { PLAIN_FEATURES, type Features } from '../features';
import type { Landmarks } from '../landmarks';
import { eyesInk } from './eyes';
import { hairInk } from './hair';
import { earInk, faceInk, neckInk } from './head';
import type { Ink } from './ink';
import { beardInk, browsInk, linesInk, lipsInk, mouthInk, noseInk } from './middle';

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

const cache = new WeakMap<Landmarks, WeakMap<Features, LineArt>>();

/** Draws a client's face from her landmarks and features, as filled paths in mm. Kept per face. */
export function lineArt(landmarks: Landmarks, features: Features = PLAIN_FEATURES): LineArt {
  let byFeatures = cache.get(landmarks);
  if (!byFeatures) cache.set(landmarks, (byFeatures = new WeakMap()));
  let art = byFeatures.get(features);
  if (!art) byFeatures.set(features, (art = draw(landmarks, features)));
  return art;
}

function draw(landmarks: Landmarks, features: Features): LineArt {
  const face = faceModel(landmarks, features);
  const hair = hairInk(face);
  const top = landmarks.vertex[1] - 18;
  const bottom = landmarks.sternal_notch[1] + 9;
  return {
    ground: [...hair.behind, ...neckInk(face), ...(features.hair === 'covered' ? [] : earInk(face)), ...faceInk(face), ...lipsInk(face)],
    lines: [...eyesInk(face), ...noseInk(face), ...mouthInk(face), ...linesInk(face), ...beardInk(face), ...browsInk(face), ...hair.front],
    viewBox: [-104, top, 208, bottom - top],
  };
}
