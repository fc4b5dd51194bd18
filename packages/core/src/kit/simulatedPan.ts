import { lightnessAtDepth, type Lab } from '../colour';
import { seededRandom, seedFromText } from '../math';
import type { Product, ProductKind } from './product';

type Range = {
  readonly L: readonly [number, number];
  readonly a: readonly [number, number];
  readonly b: readonly [number, number];
};

const COLOURS: Partial<Record<ProductKind, Range>> = {
  corrector: { L: [55, 78], a: [14, 26], b: [16, 30] },
  adjuster: { L: [88, 94], a: [-1, 2], b: [1, 6] },
  blush: { L: [40, 66], a: [24, 40], b: [4, 22] },
  highlight: { L: [74, 88], a: [2, 8], b: [8, 20] },
  brow: { L: [20, 48], a: [4, 9], b: [6, 15] },
  shadow: { L: [24, 78], a: [2, 18], b: [2, 20] },
  liner: { L: [12, 30], a: [0, 5], b: [0, 6] },
  mascara: { L: [10, 16], a: [-1, 1], b: [-1, 1] },
  'lip liner': { L: [34, 56], a: [18, 34], b: [8, 20] },
  'lip colour': { L: [32, 58], a: [22, 42], b: [6, 24] },
};
const CLEAR: Range = { L: [80, 92], a: [-1, 2], b: [1, 8] };
/** Steps of depth between which made-up bases and what goes with them lie. */
const AS_SKIN: readonly ProductKind[] = ['base', 'concealer', 'powder', 'contour', 'bronzer'];
const DEPTHS = { from: 4, to: 19 } as const;

/**
 * The colour the stand-in reader sees of a product nobody has read: made up once and for all from its id, as
 * such a thing may be. CIELAB under D65.
 */
export function simulatedPan({ id, kind }: Pick<Product, 'id' | 'kind'>): Lab {
  const random = seededRandom(seedFromText(id));
  const between = ([from, to]: readonly [number, number]): number => from + (to - from) * random();
  if (AS_SKIN.includes(kind))
    return [lightnessAtDepth(between([DEPTHS.from, DEPTHS.to])), between([9, 13]), between([14, 20])];
  const { L, a, b } = COLOURS[kind] ?? CLEAR;
  return [between(L), between(a), between(b)];
}
