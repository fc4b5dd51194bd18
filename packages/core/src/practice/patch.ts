import { signedArea, centreOf, distanceToLine, resample, type Point, type Polygon } from '../face/point';
import { msg } from '../messages';
import { softOverlap, type SoftPatch } from './softOverlap';
import { COARSE, joined, scoreOfMiss, type Grade } from './score';

/** A patch's Dice this far from whole is worth half. */
const HALF_OFF = 0.4;
/**
 * The grid patches are laid over each other on: so many cells along the side of a square as large as the
 * patch.
 */
const CELLS = 24;
/** Nearer than this a patch's middle is where it should be, mm. */
const THERE_MM = 1.5;
/** A patch between these shares of what is asked is of its size. */
const SIZE = { least: 0.8, most: 1.25 } as const;

/**
 * How a drawn patch misses the one asked for; all in the half's own frame, x out from the midline, y down.
 */
export type PatchMiss = {
  readonly dice: number;
  /** From the middle asked for to the middle drawn, mm: out and down are positive. */
  readonly outMm: number;
  readonly downMm: number;
  /** The drawn area as a share of the one asked for. */ readonly size: number;
  /** Mean distance between the two edges, both ways, mm. */ readonly edgeMm: number;
  /** Where the drawn edge is farthest from the asked one. */ readonly at: Point;
  /** What would be left of the miss were its middle right: 1 less the Dice of the shifted patch. */
  readonly elsewise: number;
};

export type PatchWords = {
  /** Where it is right and what to go by. */ readonly cure: string;
  /** What lies each way: out, in, down, up. */ readonly towards: readonly [
    out: string,
    inwards: string,
    down: string,
    up: string,
  ];
};

const closed = (outline: Polygon): Point[] => resample([...outline, outline[0]!], 1);

/** Throws a RangeError for an outline that holds nothing. */
export function patchMiss(drawn: SoftPatch, wanted: SoftPatch): PatchMiss {
  const [own, asked] = [Math.abs(signedArea(drawn.outline)), Math.abs(signedArea(wanted.outline))];
  if (drawn.outline.length < 3 || own < 1) throw new RangeError('patchMiss: draw all the way round');
  const grid = Math.sqrt(asked) / CELLS;
  const [edge, border] = [closed(drawn.outline), closed(wanted.outline)];
  // Middles of the edges, by even steps: where a hand drew faster does not count for less.
  const [middle, right] = [centreOf(edge), centreOf(border)];
  const [outMm, downMm] = [middle[0] - right[0], middle[1] - right[1]];
  const off = edge.map((p) => distanceToLine(p, border));
  const left = border.map((p) => distanceToLine(p, edge));
  const worst = off.reduce((most, one, i) => (one > off[most]! ? i : most), 0);
  const mean = (values: readonly number[]): number =>
    values.reduce((sum, one) => sum + one, 0) / values.length;
  const shifted = drawn.outline.map(([x, y]): Point => [x - outMm, y - downMm]);
  return {
    dice: softOverlap(drawn, wanted, grid).dice,
    outMm,
    downMm,
    size: own / asked,
    edgeMm: (mean(off) + mean(left)) / 2,
    at: edge[worst]!,
    elsewise: 1 - softOverlap({ ...drawn, outline: shifted }, wanted, grid).dice,
  };
}

/** A patch's score and grade by how much of it lies where it should; a broken limit caps it. */
export function scorePatch(
  { dice }: PatchMiss,
  { breachMm = 0, coarse = false }: { readonly breachMm?: number; readonly coarse?: boolean } = {},
): { readonly score: number; readonly grade: Grade } {
  const score = scoreOfMiss(1 - dice, HALF_OFF * (coarse ? COARSE : 1));
  return joined([{ part: 'patch', score, weight: 1 }], breachMm);
}

const mm = (value: number): string => msg`${Math.round(Math.abs(value))} mm`;

/**
 * The worst of a patch first, where it lies or how large it is, with one cure; and one thing that was right.
 */
export function patchFeedback(
  miss: PatchMiss,
  grade: Grade,
  { towards, cure }: PatchWords,
  breach: string | null,
): { readonly first: string; readonly well: string | null } {
  const away = Math.hypot(miss.outMm, miss.downMm);
  const there = away <= THERE_MM;
  const sized = miss.size >= SIZE.least && miss.size <= SIZE.most;
  const well = there
    ? msg`Its middle is where it should be.`
    : sized
      ? msg`It has the size it should.`
      : null;
  if (breach) return { first: breach, well };
  if (grade === 'sure') return { first: msg`It lies where it should, as large as it should.`, well: null };
  // What moving it would mend, against what would be left.
  const place = !there && 1 - miss.dice - miss.elsewise >= miss.elsewise;
  if (place) {
    const [out, inwards, down, up] = towards;
    const ways = [
      { by: miss.outMm, words: miss.outMm > 0 ? out : inwards },
      { by: miss.downMm, words: miss.downMm > 0 ? down : up },
    ]
      .filter(({ by }) => Math.abs(by) >= Math.max(1, away / 3))
      .sort((a, b) => Math.abs(b.by) - Math.abs(a.by));
    return {
      first: `${ways.map(({ by, words }) => `${mm(by)} ${words}`).join(', ')}: ${cure}`,
      well: sized ? msg`It has the size it should.` : null,
    };
  }
  if (!sized)
    return {
      first:
        miss.size < 1
          ? msg`It is ${sizeWords(miss.size)} of the size: let it fade out to where the skin begins again.`
          : msg`It is ${sizeWords(miss.size)} the size: begin from its middle, and stop sooner.`,
      well: there ? well : null,
    };
  return {
    first: msg`Its edge is ${miss.edgeMm.toFixed(1)} mm off on average: ${cure}`,
    well: there ? well : null,
  };
}

function sizeWords(size: number): string {
  if (size > 1) return msg`${size.toFixed(1)} times`;
  return size < 0.3
    ? msg`a quarter`
    : size < 0.42
      ? msg`a third`
      : size < 0.58
        ? msg`half`
        : size < 0.72
          ? msg`two thirds`
          : msg`three quarters`;
}
