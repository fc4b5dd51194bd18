import {
  differenceD,
  EndType,
  FillRule,
  inflatePathsD,
  intersectD,
  JoinType,
  simplifyPathsD,
  unionD,
  type PathsD,
} from 'clipper2-ts';
import { signedArea, type Polygon } from './point';

/** A region of the face: outer outlines and, running the other way, holes. */
export type Region = readonly Polygon[];

// Three decimals: a micrometre, and coarse enough for the clipper's integers to absorb near-touching edges.
const DECIMALS = 3;

const toPaths = (region: Region): PathsD => region.map((polygon) => polygon.map(([x, y]) => ({ x, y })));
const fromPaths = (paths: PathsD): Region => paths.map((path) => path.map(({ x, y }) => [x, y] as const));

/** The part of a region inside another. */
export function intersectRegions(subject: Region, clip: Region): Region {
  return fromPaths(intersectD(toPaths(subject), toPaths(clip), FillRule.NonZero, DECIMALS));
}

/** A region without another. */
export function subtractRegion(subject: Region, clip: Region): Region {
  return fromPaths(differenceD(toPaths(subject), toPaths(clip), FillRule.NonZero, DECIMALS));
}

/**
 * Solid outlines merged into one region; self-crossing ones are mended. Each is turned the same way
 * first: a mirrored outline runs backwards and would cancel what it overlaps.
 */
export function uniteOutlines(outlines: readonly Polygon[]): Region {
  const turned = outlines.map((polygon) => (signedArea(polygon) < 0 ? [...polygon].reverse() : polygon));
  return fromPaths(unionD(toPaths(turned), [], FillRule.NonZero, DECIMALS));
}

/** Area in mm2 of a merged region, holes taken off. */
export function areaOf(region: Region): number {
  return Math.abs(region.reduce((sum, polygon) => sum + signedArea(polygon), 0));
}

/** An outline made larger all round by mm; of the largest piece should it fall apart. */
export function grown(outline: Polygon, mm: number): Polygon {
  const turned = signedArea(outline) < 0 ? [...outline].reverse() : outline;
  const pieces = fromPaths(
    inflatePathsD(toPaths([turned]), mm, JoinType.Round, EndType.Polygon, 2, DECIMALS),
  );
  return pieces.reduce(
    (best, piece) => (Math.abs(signedArea(piece)) > Math.abs(signedArea(best)) ? piece : best),
    pieces[0] ?? outline,
  );
}

/** The same outlines with points left out that lie within `mm` of where the line runs without them. */
export function simplified(region: Region, mm: number): Region {
  return fromPaths(simplifyPathsD(toPaths(region), mm, true));
}
