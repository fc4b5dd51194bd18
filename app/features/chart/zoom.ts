import { outlineOf, type ClientSnapshot, type Step } from '@toile/core';

/** A box in mm round what a step touches, with room about it; the whole face for wide steps. */
export function zoomFor(
  step: Step,
  client: ClientSnapshot,
): readonly [number, number, number, number] | 'face' {
  // Without what has been adjusted, so that the frame keeps still while a handle is moved.
  const points = step.placements
    .map((p) => ('guide' in p ? { guide: p.guide, side: p.side } : p))
    .flatMap((p) => outlineOf(p, client.landmarks, client.features))
    .flatMap((s) => s.region.flat());
  if (points.length === 0) return 'face';
  const xs = points.map(([x]) => x);
  const ys = points.map(([, y]) => y);
  const [left, right, top, bottom] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
  if (right - left > 120 && bottom - top > 120) return 'face';
  const margin = 22;
  return [left - margin, top - margin, right - left + 2 * margin, bottom - top + 2 * margin];
}
