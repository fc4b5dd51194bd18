import type { PlacedShape, Point, Region } from '../face';

/** How a picture lies on the face: its size in pixels and the mm of its upper left corner. */
export type Frame = {
  readonly width: number;
  readonly height: number;
  readonly leftMm: number;
  readonly topMm: number;
  readonly pixelsPerMm: number;
};

/** Coverage from 0 to 1 over a rectangle of the picture. */
export type Mask = {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
  readonly cover: Float32Array;
};

/** A frame for a box in mm, its width in pixels given. */
export function frameOf(
  [left, top, widthMm, heightMm]: readonly [number, number, number, number],
  width: number,
): Frame {
  const pixelsPerMm = width / widthMm;
  return { width, height: Math.round(heightMm * pixelsPerMm), leftMm: left, topMm: top, pixelsPerMm };
}

/** A region in mm with soft edges as coverage; null when nothing of it is in the picture. */
export function maskOf(region: Region, featherMm: number, frame: Frame): Mask | null {
  const pixels = region.map((polygon) =>
    polygon.map(([x, y]): Point => [
      (x - frame.leftMm) * frame.pixelsPerMm,
      (y - frame.topMm) * frame.pixelsPerMm,
    ]),
  );
  const radius = Math.round((featherMm * frame.pixelsPerMm) / 3);
  const box = boxOf(pixels, 3 * radius + 1, frame);
  if (!box) return null;
  const cover = filled(pixels, box);
  for (let round = 0; round < 3 && radius > 0; round++) blur(cover, box.width, box.height, radius);
  return { ...box, cover };
}

type Box = Omit<Mask, 'cover'>;

function boxOf(polygons: readonly (readonly Point[])[], margin: number, frame: Frame): Box | null {
  let [left, top, right, bottom] = [Infinity, Infinity, -Infinity, -Infinity];
  for (const polygon of polygons)
    for (const [x, y] of polygon) {
      if (x < left) left = x;
      if (x > right) right = x;
      if (y < top) top = y;
      if (y > bottom) bottom = y;
    }
  const x = Math.max(0, Math.floor(left - margin));
  const y = Math.max(0, Math.floor(top - margin));
  const width = Math.min(frame.width, Math.ceil(right + margin)) - x;
  const height = Math.min(frame.height, Math.ceil(bottom + margin)) - y;
  return width > 0 && height > 0 ? { x, y, width, height } : null;
}

/**
 * Exact coverage of polygons by signed area: each edge adds what lies to its right to an accumulator, a
 * running sum along the rows gives coverage. Holes run the other way and take away.
 */
function filled(
  polygons: readonly (readonly Point[])[],
  { x: left, y: top, width, height }: Box,
): Float32Array {
  const stride = width + 2;
  const sums = new Float32Array(stride * height);
  for (const polygon of polygons) {
    for (let i = 0; i < polygon.length; i++) {
      const [x1, y1] = polygon[i]!;
      const [x2, y2] = polygon[(i + 1) % polygon.length]!;
      addEdge(sums, stride, width, height, x1 - left, y1 - top, x2 - left, y2 - top);
    }
  }
  const cover = new Float32Array(width * height);
  for (let row = 0; row < height; row++) {
    let sum = 0;
    for (let col = 0; col < width; col++) {
      sum += sums[stride * row + col]!;
      cover[width * row + col] = Math.min(1, Math.abs(sum));
    }
  }
  return cover;
}

function addEdge(
  sums: Float32Array,
  stride: number,
  width: number,
  height: number,
  x1: number,
  y1: number,
  x2: number,
  y2: number,
): void {
  if (y1 === y2) return;
  const direction = y1 < y2 ? 1 : -1;
  const [startX, startY, endX, endY] = y1 < y2 ? [x1, y1, x2, y2] : [x2, y2, x1, y1];
  const slope = (endX - startX) / (endY - startY);
  for (let row = Math.max(0, Math.floor(startY)); row < Math.min(height, Math.ceil(endY)); row++) {
    const from = Math.max(startY, row);
    const to = Math.min(endY, row + 1);
    const dy = (to - from) * direction;
    const clampX = (x: number): number => Math.max(0, Math.min(width, x));
    const [xa, xb] = [clampX(startX + slope * (from - startY)), clampX(startX + slope * (to - startY))];
    const [low, high] = xa < xb ? [xa, xb] : [xb, xa];
    const first = Math.floor(low);
    const last = Math.floor(high);
    if (first === last) {
      const right = first + 1 - (low + high) / 2;
      sums[stride * row + first]! += dy * right;
      sums[stride * row + first + 1]! += dy * (1 - right);
      continue;
    }
    // The edge crosses several pixels of the row: each gets the area right of it, as a running sum.
    const perPixel = dy / (high - low);
    let covered = 0;
    for (let col = first; col <= last; col++) {
      const a = Math.max(low, col);
      const b = Math.min(high, col + 1);
      const width1 = b - a;
      const area = perPixel * width1 * (col + 1 - (a + b) / 2);
      sums[stride * row + col]! += area + covered;
      covered = perPixel * width1 - area;
    }
    sums[stride * row + last + 1]! += covered;
  }
}

/** One round of a box blur in place, rows then columns; three rounds are close to a Gaussian. */
function blur(cover: Float32Array, width: number, height: number, radius: number): void {
  const line = new Float32Array(Math.max(width, height));
  const pass = (start: number, step: number, length: number): void => {
    for (let i = 0; i < length; i++) line[i] = cover[start + i * step]!;
    let sum = 0;
    for (let i = 0; i < Math.min(radius, length); i++) sum += line[i]!;
    for (let i = 0; i < length; i++) {
      if (i + radius < length) sum += line[i + radius]!;
      if (i - radius - 1 >= 0) sum -= line[i - radius - 1]!;
      cover[start + i * step] = sum / (2 * radius + 1);
    }
  };
  for (let row = 0; row < height; row++) pass(row * width, 1, width);
  for (let col = 0; col < width; col++) pass(col, width, height);
}

/** A placed shape as coverage: soft edges, and most product where its line starts. */
export function maskOfShape({ region, featherMm, line, fade }: PlacedShape, frame: Frame): Mask | null {
  const mask = maskOf(region, featherMm, frame);
  if (!mask || !line || line.length < 2 || (fade[0] === 1 && fade[1] === 1)) return mask;
  const { along, total } = measured(line);
  const { cover, width, height, x, y } = mask;
  for (let row = 0; row < height; row++)
    for (let col = 0; col < width; col++) {
      const at = width * row + col;
      if (cover[at]! < 1 / 512) continue;
      const p: Point = [
        (x + col + 0.5) / frame.pixelsPerMm + frame.leftMm,
        (y + row + 0.5) / frame.pixelsPerMm + frame.topMm,
      ];
      const t = along(p) / total;
      cover[at]! *= fade[0] + (fade[1] - fade[0]) * t;
    }
  return mask;
}

/** How far along a line the nearest point of it lies, in mm. */
function measured(line: readonly Point[]): { readonly along: (p: Point) => number; readonly total: number } {
  const lengths = line.slice(1).map(([x, y], i) => Math.hypot(x - line[i]![0], y - line[i]![1]));
  const starts = lengths.reduce<number[]>((sums, length) => [...sums, sums.at(-1)! + length], [0]);
  const along = ([px, py]: Point): number => {
    let [best, found] = [Infinity, 0];
    for (let i = 0; i < lengths.length; i++) {
      const [x1, y1] = line[i]!;
      const [x2, y2] = line[i + 1]!;
      const length = lengths[i]!;
      if (length === 0) continue;
      const t = Math.max(0, Math.min(1, ((px - x1) * (x2 - x1) + (py - y1) * (y2 - y1)) / (length * length)));
      const dx = x1 + t * (x2 - x1) - px;
      const dy = y1 + t * (y2 - y1) - py;
      if (dx * dx + dy * dy < best) {
        best = dx * dx + dy * dy;
        found = starts[i]! + t * length;
      }
    }
    return found;
  };
  return { along, total: starts.at(-1)! };
}
