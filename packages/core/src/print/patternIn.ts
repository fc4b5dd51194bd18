import {
  boxOf,
  intersectRegions,
  type Box,
  type PatternForm,
  type Point,
  type Polygon,
  type Region,
} from '../face';

const turned = ([x, y]: Point, degrees: number): Point => {
  const a = (degrees * Math.PI) / 180;
  return [x * Math.cos(a) - y * Math.sin(a), x * Math.sin(a) + y * Math.cos(a)];
};

const round =
  ([cx, cy]: Point, degrees: number) =>
  ([x, y]: Point): Point => {
    const [x2, y2] = turned([x - cx, y - cy], degrees);
    return [cx + x2, cy + y2];
  };

/**
 * Thin bars inside a region, `gap` apart and turned by an angle. Cut while they lie flat, the region turned
 * against them: a sweep from top to bottom meets them one by one then, where slanted ones all lie across it.
 */
function bars(region: Region, angle: number, gap: number, width: number): Region {
  const [left, top, right, bottom] = boxOf(region.flat());
  const centre: Point = [(left + right) / 2, (top + bottom) / 2];
  const reach = Math.hypot(right - left, bottom - top) / 2 + gap;
  const count = Math.ceil(reach / gap);
  const flat = Array.from({ length: 2 * count + 1 }, (_, i) =>
    bar(centre[0], centre[1] + (i - count) * gap, reach, width / 2),
  );
  const against = region.map((polygon) => polygon.map(round(centre, -angle)));
  return intersectRegions(flat, against).map((polygon) => polygon.map(round(centre, angle)));
}

/** Small outlines on a staggered grid over a box. */
function scattered(
  [left, top, right, bottom]: Box,
  gap: number,
  make: (x: number, y: number) => Polygon[],
): Polygon[] {
  const marks: Polygon[] = [];
  for (let row = 0, y = top + gap / 3; y < bottom; y += gap, row++)
    for (let x = left + (row % 2 ? gap / 2 : gap / 4); x < right; x += gap) marks.push(...make(x, y));
  return marks;
}

const dot = (x: number, y: number, r: number): Polygon =>
  Array.from({ length: 8 }, (_, i): Point => [
    x + r * Math.cos((i * Math.PI) / 4),
    y + r * Math.sin((i * Math.PI) / 4),
  ]);
const bar = (x: number, y: number, rx: number, ry: number): Polygon => [
  [x - rx, y - ry],
  [x + rx, y - ry],
  [x + rx, y + ry],
  [x - rx, y + ry],
];

/**
 * A layer kind's pattern cut to a region, as outlines in its mm: drawn alike on any paper, without fill
 * patterns of the medium. Crossed lines lie over each other: filled as one path, by winding.
 */
export function patternIn(region: Region, pattern: PatternForm): Region {
  const filled = region.filter((polygon) => polygon.length > 2);
  if (filled.length === 0 || pattern.form === 'plain') return [];
  const marks = (make: (x: number, y: number) => Polygon[]): Region =>
    intersectRegions(scattered(boxOf(filled.flat()), pattern.gap, make), filled);
  switch (pattern.form) {
    case 'lines':
      return bars(filled, pattern.angle, pattern.gap, pattern.width);
    case 'cross':
      return [0, 90].flatMap((more) => bars(filled, pattern.angle + more, pattern.gap, pattern.width));
    case 'dots':
      return marks((x, y) => [dot(x, y, pattern.radius)]);
    case 'plus':
      return marks((x, y) => [bar(x, y, 0.8, 0.15), bar(x, y, 0.15, 0.8)]);
  }
}
