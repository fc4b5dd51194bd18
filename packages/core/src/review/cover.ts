import { outlineOf, type Features, type Landmarks, type Placement, type Region } from '../face';

/**
 * Cells of the grid that places are compared on, mm; and what it spans, from the hairline to the decollete,
 * in the client's mm.
 */
export const CELL_MM = 2.5;
const LEFT = -105;
const TOP = -105;
const COLUMNS = 84;
const ROWS = 148;

const CELLS = COLUMNS * ROWS;
const WORDS = Math.ceil(CELLS / 32);

/** Which cells of the face a place covers, a bit each. */
export type Cover = { readonly bits: Uint32Array; readonly count: number };

export const NO_COVER: Cover = { bits: new Uint32Array(WORDS), count: 0 };

/**
 * Outlines, holes left out, as cells: scan lines through the middle of each row, by the winding rule, each
 * region for itself.
 */
export function coverOf(regions: readonly Region[]): Cover {
  const bits = new Uint32Array(WORDS);
  for (const region of regions) scan(region, bits);
  return { bits, count: countOf(bits) };
}

function scan(region: Region, bits: Uint32Array): void {
  const crossings = new Map<number, { x: number; way: number }[]>();
  for (const polygon of region) {
    for (let i = 0, j = polygon.length - 1; i < polygon.length; j = i++) {
      const [ax, ay] = polygon[j]!;
      const [bx, by] = polygon[i]!;
      if (ay === by) continue;
      const first = Math.max(0, Math.ceil((Math.min(ay, by) - TOP) / CELL_MM - 0.5));
      const last = Math.min(ROWS - 1, Math.floor((Math.max(ay, by) - TOP) / CELL_MM - 0.5 - 1e-9));
      for (let row = first; row <= last; row++) {
        const y = TOP + (row + 0.5) * CELL_MM;
        const crossing = { x: ax + ((y - ay) * (bx - ax)) / (by - ay), way: by > ay ? 1 : -1 };
        const own = crossings.get(row);
        if (own) own.push(crossing);
        else crossings.set(row, [crossing]);
      }
    }
  }
  for (const [row, own] of crossings) {
    own.sort((a, b) => a.x - b.x);
    let winding = 0;
    for (let k = 0; k + 1 < own.length; k++) {
      winding += own[k]!.way;
      if (winding === 0) continue;
      const from = Math.max(0, Math.ceil((own[k]!.x - LEFT) / CELL_MM - 0.5));
      const to = Math.min(COLUMNS - 1, Math.floor((own[k + 1]!.x - LEFT) / CELL_MM - 0.5));
      for (let cell = row * COLUMNS + from; cell <= row * COLUMNS + to; cell++)
        bits[cell >> 5]! |= 1 << (cell & 31);
    }
  }
}

function popCount(word: number): number {
  let v = word - ((word >>> 1) & 0x55555555);
  v = (v & 0x33333333) + ((v >>> 2) & 0x33333333);
  return (((v + (v >>> 4)) & 0x0f0f0f0f) * 0x01010101) >>> 24;
}

function countOf(bits: Uint32Array): number {
  let count = 0;
  for (let i = 0; i < WORDS; i++) count += popCount(bits[i]!);
  return count;
}

/** Several covers as one. */
export function united(covers: readonly Cover[]): Cover {
  if (covers.length === 1) return covers[0]!;
  const bits = new Uint32Array(WORDS);
  for (const cover of covers) for (let i = 0; i < WORDS; i++) bits[i]! |= cover.bits[i]!;
  return { bits, count: countOf(bits) };
}

/** Cells that both cover. */
export function shared(a: Cover, b: Cover): number {
  if (a.count === 0 || b.count === 0) return 0;
  let count = 0;
  for (let i = 0; i < WORDS; i++) {
    const both = a.bits[i]! & b.bits[i]!;
    if (both !== 0) count += popCount(both);
  }
  return count;
}

/** The most that weighted covers add up to in one cell, and which of them lie there. */
export function deepest(covers: readonly { readonly cover: Cover; readonly weight: number }[]): {
  readonly total: number;
  readonly there: readonly number[];
} {
  let best = { total: 0, cell: -1 };
  for (let word = 0; word < WORDS; word++) {
    const here = covers.filter(({ cover }) => cover.bits[word] !== 0);
    if (here.reduce((sum, { weight }) => sum + weight, 0) <= best.total) continue;
    for (let bit = 0; bit < 32; bit++) {
      const total = here.reduce(
        (sum, { cover, weight }) => sum + ((cover.bits[word]! >>> bit) & 1 ? weight : 0),
        0,
      );
      if (total > best.total) best = { total, cell: word * 32 + bit };
    }
  }
  const { cell } = best;
  return {
    total: best.total,
    there:
      cell < 0
        ? []
        : covers.flatMap(({ cover }, i) => ((cover.bits[cell >> 5]! >>> (cell & 31)) & 1 ? [i] : [])),
  };
}

/** The share of the smaller of two places that the other covers too, 0 to 1. */
export function shareOfSmaller(a: Cover, b: Cover): number {
  const least = Math.min(a.count, b.count);
  return least === 0 ? 0 : shared(a, b) / least;
}

type Kept = { readonly landmarks: Landmarks; readonly features: Features; readonly cover: Cover };
const kept = new WeakMap<Placement, Kept>();

/** What a placement covers on a face: kept, since a change of one step leaves the others as they are. */
export function placementCover(placement: Placement, landmarks: Landmarks, features: Features): Cover {
  const held = kept.get(placement);
  if (held && held.landmarks === landmarks && held.features === features) return held.cover;
  const cover = coverOf(outlineOf(placement, landmarks, features).map((shape) => shape.region));
  kept.set(placement, { landmarks, features, cover });
  return cover;
}
