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

/** Thin bars over a box, `gap` apart and turned by an angle, as outlines. */
function bars([left, top, right, bottom]: Box, angle: number, gap: number, width: number): Polygon[] {
  const [cx, cy] = [(left + right) / 2, (top + bottom) / 2];
  const reach = Math.hypot(right - left, bottom - top) / 2 + gap;
  const count = Math.ceil(reach / gap);
  return Array.from({ length: 2 * count + 1 }, (_, i): Polygon => {
    const y = (i - count) * gap;
    return (
      [
        [-reach, y - width / 2],
        [reach, y - width / 2],
        [reach, y + width / 2],
        [-reach, y + width / 2],
      ] as const
    ).map((p) => {
      const [x2, y2] = turned(p, angle);
      return [cx + x2, cy + y2];
    });
  });
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
 * patterns of the medium.
 */
export function patternIn(region: Region, pattern: PatternForm): Region {
  const filled = region.filter((polygon) => polygon.length > 2);
  if (filled.length === 0 || pattern.form === 'plain') return [];
  const box = boxOf(filled.flat());
  const marks = (): Polygon[] => {
    switch (pattern.form) {
      case 'lines':
        return bars(box, pattern.angle, pattern.gap, pattern.width);
      case 'cross':
        return [
          ...bars(box, pattern.angle, pattern.gap, pattern.width),
          ...bars(box, pattern.angle + 90, pattern.gap, pattern.width),
        ];
      case 'dots':
        return scattered(box, pattern.gap, (x, y) => [dot(x, y, pattern.radius)]);
      case 'plus':
        return scattered(box, pattern.gap, (x, y) => [bar(x, y, 0.8, 0.15), bar(x, y, 0.15, 0.8)]);
    }
  };
  return intersectRegions(marks(), filled);
}
