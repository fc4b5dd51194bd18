import { faceModel } from './faceModel';
import { PLAIN_FEATURES, type Features } from './features';
import {
  cheekLine,
  contourFinder,
  freeTriangle,
  type ContourFinder,
  GUIDES,
  type DrawnGuideName,
} from './guides';
import type { Landmarks, Side } from './landmarks';
import { outlineOf, type PlacedShape } from './outlineOf';
import type { Polygon, Polyline } from './point';

/** The chalk lines of a face: what placements follow and what they keep clear of. */
export type FaceGuides = {
  readonly cheekLine: Readonly<Record<Side, Polyline>>;
  /** The edge a smile shows and the hollow under it, with the gap between: both ways to find the contour. */
  readonly finder: Readonly<Record<Side, ContourFinder>>;
  readonly smileLine: Readonly<Record<Side, Polyline>>;
  /** The vertical under the outer rim of the iris, from eye to mouth. */
  readonly pupilLine: Readonly<Record<Side, Polyline>>;
  readonly eyeArea: Readonly<Record<Side, Polygon>>;
  readonly freeTriangle: Polygon;
  /** Each guide's shapes with nothing adjusted. */
  readonly placed: Readonly<Record<DrawnGuideName, readonly PlacedShape[]>>;
};

/** All guides and limits for one face, in its own mm. */
export function guides(landmarks: Landmarks, features: Features = PLAIN_FEATURES): FaceGuides {
  const face = faceModel(landmarks, features);
  const each = <T>(make: (side: Side) => T): Readonly<Record<Side, T>> => ({
    left: make('left'),
    right: make('right'),
  });
  const names = Object.keys(GUIDES) as DrawnGuideName[];
  const placed = Object.fromEntries(
    names.map((guide) => [guide, outlineOf({ guide, side: 'both' }, landmarks, features)]),
  ) as Record<DrawnGuideName, PlacedShape[]>;
  return {
    cheekLine: each((side) => cheekLine(face[side], face).map(face[side].toFace)),
    finder: each((side) => {
      const { toFace } = face[side];
      const { smileEdge, hollowLine, gap, gapMm } = contourFinder(face[side], face);
      return {
        smileEdge: smileEdge.map(toFace),
        hollowLine: hollowLine.map(toFace),
        gap: gap.map(toFace),
        gapMm,
      };
    }),
    smileLine: each((side) => face[side].smileLine.map(face[side].toFace)),
    pupilLine: each((side) => {
      const half = face[side];
      return [
        half.toFace([half.irisRim, half.at('lid_lo_mid')[1] + 3]),
        half.toFace([half.irisRim, half.at('mouth_corner')[1]]),
      ];
    }),
    eyeArea: each((side) => face[side].orbit.map(face[side].toFace)),
    freeTriangle: freeTriangle(face),
    placed,
  };
}
