import { msg } from '../messages';
import type { Lab } from './lab';
import { buildMixTable, searchMixTable, type Mix, type MixTable, type MixTableOptions } from './mixTable';
import type { Mixable } from './predictMixes';

export type BaseMatches = {
  /** Best single products, nearest first. */
  readonly singles: readonly Mix[];
  /** Best two-product mixes in whole pumps, nearest first. */
  readonly pairs: readonly Mix[];
  /**
   * Best three-product mixes that gain enough over the best of the others; none when the table holds no
   * triples.
   */
  readonly triples: readonly Mix[];
};

export type MatchOptions = MixTableOptions & {
  readonly count?: number;
  /** A table built before from the same kit and options. */
  readonly table?: MixTable;
  /** Only what holds this product, by its index in the kit. */
  readonly must?: number;
};

/**
 * A third product in the bowl must bring the match closer by this; less is not seen and one more ratio to
 * keep.
 */
export const TRIPLE_GAIN = 0.3;

/** The best singles, pairs and triples of a kit for a target colour. Empty lists for an empty kit. */
export function matchBase(target: Lab, kit: readonly Mixable[], options: MatchOptions = {}): BaseMatches {
  const { count = 4, table = buildMixTable(kit, options), must } = options;
  const search = (products: 1 | 2 | 3): Mix[] => searchMixTable(table, target, { count, products, must });
  const [singles, pairs] = [search(1), search(2)];
  const best = Math.min(singles[0]?.deltaE ?? Infinity, pairs[0]?.deltaE ?? Infinity);
  return { singles, pairs, triples: search(3).filter((mix) => mix.deltaE <= best - TRIPLE_GAIN) };
}

/** How a colour difference reads to an eye, in words. */
export function differenceInWords(deltaE: number): string {
  if (deltaE < 0.5) return msg`not visible`;
  if (deltaE < 1) return msg`barely visible`;
  if (deltaE < 2) return msg`visible side by side`;
  if (deltaE < 4) return msg`visible`;
  return msg`plainly off`;
}
