import {
  deltaE2000,
  depthOf,
  lightnessAtDepth,
  matchBase,
  shiftDepth,
  undertoneOf,
  type Lab,
  type Undertone,
} from '../colour';
import type { Product, ProductKind } from '../kit';
import { isColoured, mixTableOf, spreadToStir } from './mixTables';

export type ShadePoint = {
  readonly product: Product;
  /** Shade steps. */ readonly depth: number;
  /** Degrees from neutral skin of that depth: pinker below zero, yellower above. */
  readonly hueOffset: number;
};
export type ShadeGap = {
  readonly depth: number;
  readonly undertone: Undertone;
  readonly lab: Lab;
  /** How far off the nearest single product and the nearest mix are. */
  readonly nearest: number;
  readonly nearestMix: number;
};
export type ShadeMap = { readonly points: readonly ShadePoint[]; readonly gaps: readonly ShadeGap[] };

/** A skin nearer than this to some mix is served. */
export const GAP_FROM = 1.5;
const DEPTHS = [4, 5.5, 7, 8.5, 10, 11.5, 13, 14.5, 16, 17.5, 19, 20.5] as const;
const UNDERTONES: readonly Undertone[] = ['cool', 'neutral', 'warm', 'olive'];

/** Where each base lies by depth and hue, and which skins neither a product nor a mix of two comes near. */
export function shadeMap(products: readonly Product[], kinds: readonly ProductKind[] = ['base']): ShadeMap {
  const bases = products.filter(isColoured).filter((p) => kinds.includes(p.kind) && !p.withdrawn);
  const points = bases.map((product) => ({
    product,
    depth: depthOf(product.lab),
    hueOffset: undertoneOf(product.lab).hueOffset,
  }));
  const table = bases.length === 0 ? null : mixTableOf(spreadToStir(bases), 2);
  const gaps = DEPTHS.flatMap((depth) =>
    UNDERTONES.flatMap((undertone): ShadeGap[] => {
      const lab = shiftDepth([lightnessAtDepth(depth), 12, 18], 0, { undertone });
      const nearest = Math.min(...bases.map((p) => deltaE2000(lab, p.lab)));
      const pair = table ? (matchBase(lab, [], { table, count: 1 }).pairs[0]?.deltaE ?? Infinity) : Infinity;
      const nearestMix = Math.min(nearest, pair);
      return nearestMix > GAP_FROM ? [{ depth, undertone, lab, nearest, nearestMix }] : [];
    }),
  );
  return { points, gaps };
}
