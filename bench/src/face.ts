import {
  faceWarp,
  inferLandmarks,
  LANDMARKS,
  lineArt,
  outlineOf,
  PLAIN_FEATURES,
  TEMPLATE,
  type Point,
} from '@toile/core';
import { medianMs, ms, row, type Row } from './measure';

/** The warp of 500 points both ways, against an inverse by plain search, and what a handle costs. */
export function faceRows(): Row[] {
  const landmarks = inferLandmarks({ faceLength: 190, jawWidth: 112, noseWidth: 36 });
  const warp = faceWarp(landmarks);
  const points = Array.from({ length: 500 }, (_, i): Point => [
    ((i * 37) % 120) - 60,
    ((i * 53) % 200) - 100,
  ]);
  const warped = points.map(warp.toFace);
  const forward = medianMs(() => points.forEach((p) => warp.toFace(p)));
  const back = medianMs(() => warped.forEach((p) => warp.toCanonical(p)));
  const searched = medianMs(() => warped.slice(0, 50).forEach((p) => searchInverse(warp.toFace, p)), 3) * 10;
  let n = 0;
  const fresh = medianMs(() => void faceWarp(inferLandmarks({ faceLength: 170 + (n = (n + 1) % 30) })), 7);
  const handle = medianMs(
    () =>
      void outlineOf({ guide: 'cheekContour', side: 'both', params: { reach: 90 + (n++ % 20) } }, landmarks),
  );
  const drawing = lineArt(TEMPLATE, PLAIN_FEATURES);
  const bytes = [...drawing.ground, ...drawing.lines].reduce((sum, ink) => sum + ink.d.length, 0);
  return [
    row('warp of 500 points to canonical', back, 'search by halving steps', searched),
    {
      what: 'warp of 500 points to the face',
      ours: ms(forward),
      peer: `${LANDMARKS.length} landmarks`,
      ratio: '',
    },
    { what: 'landmarks inferred and warp fitted', ours: ms(fresh), peer: '', ratio: '' },
    {
      what: 'cheek contour redrawn at a handle’s move',
      ours: ms(handle),
      peer: 'a frame 16.7 ms',
      ratio: `${(16.7 / handle).toFixed(1)} x`,
    },
    { what: 'path data of one drawing', ours: `${(bytes / 1000).toFixed(0)} kB`, peer: '', ratio: '' },
  ];
}

/** The inverse without derivatives: steps halved until nothing nearer is found. */
function searchInverse(toFace: (p: Point) => Point, target: Point): Point {
  let best: Point = target;
  let error = Infinity;
  for (let step = 8; step > 1e-6;) {
    let improved = false;
    for (const [dx, dy] of [
      [0, 0],
      [step, 0],
      [-step, 0],
      [0, step],
      [0, -step],
    ] as const) {
      const p: Point = [best[0] + dx, best[1] + dy];
      const at = toFace(p);
      const distance = Math.hypot(at[0] - target[0], at[1] - target[1]);
      if (distance < error) {
        [best, error, improved] = [p, distance, true];
      }
    }
    if (!improved) step /= 2;
  }
  return best;
}
