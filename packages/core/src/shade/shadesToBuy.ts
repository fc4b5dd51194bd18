import { buildMixTable, deltaE2000, matchBase, type Undertone } from '../colour';
import { mayBeStirred, type Product } from '../kit';
import { isColoured, mixableOf, spreadToStir, type Coloured } from './mixTables';
import { GAP_FROM, shadeMap, type ShadeGap } from './shadeMap';

/** A base that is not there, and how many more skins of the map are served with it. */
export type ShadeToBuy = Pick<ShadeGap, 'depth' | 'lab'> & {
  readonly undertone: Undertone;
  /** Skins nothing served before, by itself or stirred with what is there. */ readonly serves: number;
};

/** More than this is no shopping list. */
const MOST = 4;

/**
 * The bases to buy first: each serves the most skins of the map that are left, by itself or stirred with what
 * is there and what was chosen before it (greedy; of two that serve as many, the one whose skins were worst
 * off). Taken to be of the kind of base the kit has most of.
 */
export function shadesToBuy(products: readonly Product[]): ShadeToBuy[] {
  const bases = products.filter(isColoured).filter((p) => p.kind === 'base' && !p.withdrawn);
  const usual = usualOf(bases);
  if (!usual) return [];
  let left = shadeMap(bases).gaps;
  const owned = [...spreadToStir(bases)];
  const bought: ShadeToBuy[] = [];
  while (bought.length < MOST && left.length > 0) {
    const [best] = left
      .map((gap) => {
        const shade: Coloured = {
          ...usual,
          id: `${usual.id} ${gap.depth} ${gap.undertone}`,
          lab: [...gap.lab],
        };
        return { gap, shade, served: servedWith(shade, owned, left) };
      })
      .sort((a, b) => b.served.length - a.served.length || missed(b.served) - missed(a.served));
    const { gap, shade, served } = best!;
    bought.push({ depth: gap.depth, undertone: gap.undertone, lab: gap.lab, serves: served.length });
    owned.push(shade);
    left = left.filter((one) => !served.includes(one));
  }
  return bought;
}

const missed = (served: readonly ShadeGap[]): number => served.reduce((sum, one) => sum + one.nearestMix, 0);

/** Of some skins, those a shade comes near by itself or stirred with one that is there. */
function servedWith(shade: Coloured, owned: readonly Coloured[], skins: readonly ShadeGap[]): ShadeGap[] {
  const all = [shade, ...owned];
  const table = buildMixTable(all.map(mixableOf), {
    maxProducts: 2,
    mayMix: (i, j) => (i === 0 || j === 0) && mayBeStirred(all[i]!, all[j]!),
  });
  return skins.filter(
    ({ lab }) =>
      deltaE2000(lab, shade.lab) <= GAP_FROM ||
      (matchBase(lab, [], { table, count: 1 }).pairs[0]?.deltaE ?? Infinity) <= GAP_FROM,
  );
}

/** One of the family and texture most of the bases are of. */
function usualOf(bases: readonly Coloured[]): Coloured | null {
  const kindOf = ({ family, texture }: Coloured): string => `${family} ${texture}`;
  const count = (kind: string): number => bases.filter((one) => kindOf(one) === kind).length;
  return bases.reduce<Coloured | null>(
    (best, one) => (best === null || count(kindOf(one)) > count(kindOf(best)) ? one : best),
    null,
  );
}
