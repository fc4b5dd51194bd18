import type { FaceModel, Side } from '../face';
import type { Polyline } from '../face/point';

/**
 * An outline on a face, mm, as placements of one side keep it: canonical, with the client's right mirrored
 * onto the left.
 */
export const laidOn = (
  { warp }: Pick<FaceModel, 'warp'>,
  side: Side,
  outline: Polyline,
): [number, number][] =>
  outline.map((p) => {
    const [x, y] = warp.toCanonical(p);
    return [side === 'right' ? -x : x, y];
  });
