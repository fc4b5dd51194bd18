import { addDays } from '../calendar';
import { workingDaysBefore } from './runUp';

/** What a face takes of a product, by whom and when: minutes of the day. */
export type Take = {
  readonly productId: string;
  readonly person: string;
  readonly worker: string;
  readonly start: number;
  readonly end: number;
  /** Milligrams that leave the unit, with what the tool keeps. */ readonly mg: number;
  /** One measure, of which a face takes at least one. */ readonly measureMg?: number;
};

export type PackUnit = {
  readonly id: string;
  readonly productId: string;
  readonly mg: number;
  readonly opened: boolean;
  /** Its last good day, YYYY-MM-DD. */ readonly usableUntil: string | null;
  readonly withdrawn?: boolean;
};

export type PackProduct = { readonly id: string; readonly powder: boolean; readonly unitMg: number };

export type PackedProduct = {
  readonly productId: string;
  readonly needMg: number;
  readonly haveMg: number;
  readonly shortMg: number;
  /** Units to take along, opened ones first, as few as cover it. */ readonly units: readonly string[];
  /** Units not taken, and why. */
  readonly left: readonly { readonly unit: string; readonly because: 'past' | 'withdrawn' }[];
  readonly buy: number;
  /** The last day to order what is short; null: nothing is. */ readonly buyBy: string | null;
};

/** Two artists want the same product at the same time and there is one unit of it. */
export type Shared = {
  readonly productId: string;
  readonly workers: readonly string[];
  readonly from: number;
  readonly to: number;
};

/** Taken along above what is planned: wet products vary more. */
const MARGIN = { wet: 0.25, powder: 0.15 } as const;
const SHADE_CHECK_DAYS = 2;
const DELIVERY_WORKING_DAYS = 5;

export type PackOptions = {
  readonly deliveryWorkingDays?: number;
  /** The last day with a shop before the place is out of reach. */ readonly lastShop?: string | null;
};

/**
 * Products of a party: how much of each with a margin, which units, what is short and by when to buy it so
 * that there is time to check its shade.
 */
export function packProducts(
  date: string,
  takes: readonly Take[],
  products: readonly PackProduct[],
  units: readonly PackUnit[],
  { deliveryWorkingDays = DELIVERY_WORKING_DAYS, lastShop = null }: PackOptions = {},
): PackedProduct[] {
  return products.flatMap((product): PackedProduct[] => {
    const mine = takes.filter((take) => take.productId === product.id);
    if (mine.length === 0) return [];
    const faces = new Map<string, number>();
    for (const take of mine) faces.set(take.person, (faces.get(take.person) ?? 0) + take.mg);
    const measure = Math.max(0, ...mine.map((take) => take.measureMg ?? 0));
    const taken = [...faces.values()].reduce((sum, mg) => sum + Math.max(mg, measure), 0);
    const needMg = taken * (1 + (product.powder ? MARGIN.powder : MARGIN.wet));
    const own = units.filter((unit) => unit.productId === product.id);
    const reason = (unit: PackUnit): 'past' | 'withdrawn' | null =>
      unit.withdrawn ? 'withdrawn' : unit.usableUntil !== null && unit.usableUntil < date ? 'past' : null;
    const good = own.filter((unit) => reason(unit) === null);
    const haveMg = good.reduce((sum, unit) => sum + unit.mg, 0);
    const shortMg = Math.max(0, needMg - haveMg);
    const ordered = workingDaysBefore(addDays(date, -SHADE_CHECK_DAYS), deliveryWorkingDays);
    return [
      {
        productId: product.id,
        needMg,
        haveMg,
        shortMg,
        units: fewestUnits(good, needMg),
        left: own.flatMap((unit) => {
          const because = reason(unit);
          return because ? [{ unit: unit.id, because }] : [];
        }),
        buy: Math.ceil(shortMg / product.unitMg),
        buyBy: shortMg > 0 ? (lastShop !== null && lastShop < ordered ? lastShop : ordered) : null,
      },
    ];
  });
}

/** As few units as cover a need, opened ones first among as few. */
function fewestUnits(units: readonly PackUnit[], needMg: number): string[] {
  const bySize = [...units].sort((a, b) => b.mg - a.mg || Number(b.opened) - Number(a.opened));
  let sum = 0;
  const fewest = bySize.findIndex((unit) => (sum += unit.mg) >= needMg) + 1 || bySize.length;
  const preferred = [...units].sort((a, b) => Number(b.opened) - Number(a.opened) || b.mg - a.mg);
  const chosen: PackUnit[] = [];
  for (const unit of preferred) {
    if (chosen.length === fewest) break;
    const rest = bySize
      .filter((one) => one !== unit && !chosen.includes(one))
      .slice(0, fewest - chosen.length - 1);
    const reached = [...chosen, unit, ...rest].reduce((total, one) => total + one.mg, 0);
    if (reached >= needMg || fewest === bySize.length) chosen.push(unit);
  }
  return chosen.map((unit) => unit.id);
}

/** Products wanted by two artists at once with fewer units to give: to be decanted, doubled or swapped. */
export function sharedAtOnce(takes: readonly Take[], packed: readonly PackedProduct[]): Shared[] {
  return packed.flatMap(({ productId, units }): Shared[] => {
    const mine = takes.filter((take) => take.productId === productId);
    const moments = [...new Set(mine.map((take) => take.start))].sort((a, b) => a - b);
    for (const moment of moments) {
      const working = mine.filter((take) => take.start <= moment && moment < take.end);
      const workers = [...new Set(working.map((take) => take.worker))];
      if (workers.length > Math.max(1, units.length)) {
        const to = Math.min(...working.map((take) => take.end));
        return [{ productId, workers, from: moment, to }];
      }
    }
    return [];
  });
}

/**
 * Clean sets of a tool for faces at these times: the most that are in use or being cleaned at once. A cycle of
 * null: washed at home, so one a face. One more is taken as a spare.
 */
export function toolSets(
  faces: readonly { readonly start: number; readonly end: number }[],
  cycleMinutes: number | null,
): { readonly sets: number; readonly spare: number } {
  const busy = faces.map(
    ({ start, end }) => [start, cycleMinutes === null ? Infinity : end + cycleMinutes] as const,
  );
  const sets = Math.max(0, ...busy.map(([at]) => busy.filter(([from, to]) => from <= at && at < to).length));
  return { sets, spare: faces.length > 0 ? 1 : 0 };
}

/** Used once: so many a face, and spares. */
const DISPOSABLES = { wands: 4, lipTools: 3, spatulas: 1, capes: 1, cotton: 4, gloves: 1 } as const;
export type Disposable = keyof typeof DISPOSABLES;

/** Disposables for a number of faces: a fifth more, half as much again where there is no shop, at least two more. */
export function disposablesFor(
  faces: number,
  { shop = true }: { readonly shop?: boolean } = {},
): Record<Disposable, number> {
  const share = shop ? 1.2 : 1.5;
  const count = (each: number): number => Math.max(Math.ceil(each * faces * share - 1e-9), each * faces + 2);
  return {
    wands: count(DISPOSABLES.wands),
    lipTools: count(DISPOSABLES.lipTools),
    spatulas: count(DISPOSABLES.spatulas),
    capes: count(DISPOSABLES.capes),
    cotton: count(DISPOSABLES.cotton),
    gloves: count(DISPOSABLES.gloves),
  };
}
