import type { Landmarks } from '@toile/core';

/** The box of a face in mm: a little above the hairline to a little under the chin. */
export function faceBox(landmarks: Landmarks): readonly [number, number, number, number] {
  const top = landmarks.hairline_c[1] - 26;
  const bottom = landmarks.gnathion[1] + 14;
  return [-88, top, 176, bottom - top];
}
