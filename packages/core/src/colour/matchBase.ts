import type { Lab } from './lab';
import { buildMixTable, searchMixTable, type Mix, type Mixable, type MixTable, type MixTableOptions } from './mixTable';

export type BaseMatches = {
  /** Best single products, nearest first. */
  readonly singles: readonly Mix[];
  /** Best two-product mixes in whole pumps, nearest first. */
  readonly pairs: readonly Mix[];
};

export type MatchOptions = MixTableOptions & {
  readonly count?: number;
  /** A table built before from the same kit and options. */
  readonly table?: MixTable;
};

/** The best singles and pairs of a kit for a target colour. Empty lists for an empty kit. */
export function matchBase(target: Lab, kit: readonly Mixable[], options: MatchOptions = {}): BaseMatches {
  const { count = 4, table = buildMixTable(kit, options) } = options;
  return {
    singles: searchMixTable(table, target, { count, products: 1 }),
    pairs: searchMixTable(table, target, { count, products: 2 }),
  };
}

/** How a colour difference reads to an eye, in words. */
export function differenceInWords(deltaE: number): string {
  if (deltaE < 0.5) return 'not visible';
  if (deltaE < 1) return 'barely visible';
  if (deltaE < 2) return 'visible side by side';
  if (deltaE < 4) return 'visible';
  return 'plainly off';
}
