import { lastDayToBuy, type BuyingOptions } from './runUp';

/** What a face takes of a product, by whom and when: minutes of the day. */
export type Take = {
  readonly productId: string;
  readonly person: string;
  /** Whose hands; null before anybody is planned for it. */ readonly worker: string | null;
  readonly place: string;
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

/** Hands that work out of the same units, in turn. */
export type Sharing = {
  readonly workers: readonly string[];
  readonly persons: readonly string[];
  readonly units: readonly string[];
  /** Their units hold what their faces take. */ readonly covered: boolean;
};

export type PackedProduct = {
  readonly productId: string;
  readonly needMg: number;
  readonly haveMg: number;
  readonly shortMg: number;
  /** Units to take along, opened ones first, as few as cover it and as every pair of hands needs one of. */
  readonly units: readonly string[];
  /** Which hands have which of them; one entry where one unit can go round. */
  readonly sharing: readonly Sharing[];
  /** Units not taken, and why. */
  readonly left: readonly { readonly unit: string; readonly because: 'past' | 'withdrawn' }[];
  readonly buy: number;
  /** The last day to order what is short; null: nothing is. */ readonly buyBy: string | null;
};

/**
 * A product that would be enough, but not where it is wanted: at one time, or each where the others are not.
 */
export type Shared = {
  readonly productId: string;
  readonly workers: readonly string[];
  readonly how: 'at once' | 'apart';
};

/** Taken along above what is planned: wet products vary more. */
const MARGIN = { wet: 0.25, powder: 0.15 } as const;

/**
 * Products of a party: how much of each with a margin, which units, what is short and by when to buy it so
 * that there is time to check its shade.
 */
export function packProducts(
  date: string,
  takes: readonly Take[],
  products: readonly PackProduct[],
  units: readonly PackUnit[],
  buying: BuyingOptions = {},
): PackedProduct[] {
  return products.flatMap((product): PackedProduct[] => {
    const mine = takes.filter((take) => take.productId === product.id);
    if (mine.length === 0) return [];
    const factor = 1 + (product.powder ? MARGIN.powder : MARGIN.wet);
    const needOf = (some: readonly Take[]): number => factor * takenOf(some);
    const needMg = needOf(mine);
    const own = units.filter((unit) => unit.productId === product.id);
    const reason = (unit: PackUnit): 'past' | 'withdrawn' | null =>
      unit.withdrawn ? 'withdrawn' : unit.usableUntil !== null && unit.usableUntil < date ? 'past' : null;
    const good = own.filter((unit) => reason(unit) === null && unit.mg > 0);
    const haveMg = good.reduce((sum, unit) => sum + unit.mg, 0);
    const shortMg = Math.max(0, needMg - haveMg);
    const sharing = shareOut(handsTogether(mine), good, needOf);
    const without = sharing.filter(({ units: some }) => some.length === 0).length;
    return [
      {
        productId: product.id,
        needMg,
        haveMg,
        shortMg,
        units: sharing.flatMap(({ units: some }) => some),
        sharing,
        left: own.flatMap((unit) => {
          const because = reason(unit);
          return because ? [{ unit: unit.id, because }] : [];
        }),
        buy: shortMg > 0 ? Math.max(Math.ceil(shortMg / product.unitMg), without) : 0,
        buyBy: shortMg > 0 ? lastDayToBuy(date, buying) : null,
      },
    ];
  });
}

/** Mg some takes are without a margin: of each face at least a measure. */
function takenOf(takes: readonly Take[]): number {
  const faces = new Map<string, number>();
  for (const take of takes) faces.set(take.person, (faces.get(take.person) ?? 0) + take.mg);
  const measure = Math.max(0, ...takes.map((take) => take.measureMg ?? 0));
  return [...faces.values()].reduce((sum, mg) => sum + Math.max(mg, measure), 0);
}

/**
 * Whether one unit can go from take to take: never two at once, and from one pair of hands to others only
 * where both work. What keeps it from that, else null.
 */
function keptApart(takes: readonly Take[]): Shared['how'] | null {
  const inTurn = [...takes].sort((a, b) => a.start - b.start || a.end - b.end);
  let apart: Shared['how'] | null = null;
  for (const [i, next] of inTurn.entries()) {
    // Of one pair of hands no two takes are at once: a face takes a product in several steps.
    const before = inTurn.slice(0, i).filter((one) => one.worker !== next.worker);
    if (before.some((one) => one.end > next.start)) return 'at once';
    const last = inTurn[i - 1];
    if (last && last.worker !== next.worker && last.place !== next.place) apart = 'apart';
  }
  return apart;
}

/**
 * Takes by hands that can work out of one unit, in as few groups as are found by adding whoever begins first
 * first.
 */
function handsTogether(takes: readonly Take[]): readonly (readonly Take[])[] {
  const planned = takes.filter((take) => take.worker !== null);
  const hands = [...new Set([...planned].sort((a, b) => a.start - b.start).map((take) => take.worker))];
  const groups: (readonly Take[])[] = [];
  for (const worker of hands) {
    const own = planned.filter((take) => take.worker === worker);
    const found = groups.findIndex((group) => keptApart([...group, ...own]) === null);
    if (found < 0) groups.push(own);
    else groups[found] = [...groups[found]!, ...own];
  }
  // Nobody knows yet with whom these are done.
  const open = takes.filter((take) => take.worker === null);
  const [first = [], ...rest] = groups;
  return [[...first, ...open], ...rest];
}

/** Units for each group of hands, whoever takes most first; none takes so many that another has none. */
function shareOut(
  groups: readonly (readonly Take[])[],
  units: readonly PackUnit[],
  needOf: (takes: readonly Take[]) => number,
): Sharing[] {
  const byNeed = [...groups].sort((a, b) => needOf(b) - needOf(a));
  let there = units;
  return byNeed.map((takes, i): Sharing => {
    const needMg = needOf(takes);
    const others = byNeed.length - 1 - i;
    const most = Math.max(1, there.length - others);
    const taken = fewestUnits(there, needMg, most);
    there = there.filter((unit) => !taken.includes(unit));
    return {
      workers: [...new Set(takes.flatMap(({ worker }) => worker ?? []))],
      persons: [...new Set(takes.map(({ person }) => person))],
      units: taken.map(({ id }) => id),
      covered: taken.reduce((sum, unit) => sum + unit.mg, 0) >= needMg,
    };
  });
}

/**
 * As few units as cover a need, opened ones first among as few; never more than `most`, the fullest where
 * that is too few.
 */
function fewestUnits(units: readonly PackUnit[], needMg: number, most: number): readonly PackUnit[] {
  const bySize = [...units].sort((a, b) => b.mg - a.mg || Number(b.opened) - Number(a.opened));
  let sum = 0;
  const covering = bySize.findIndex((unit) => (sum += unit.mg) >= needMg) + 1;
  if (covering === 0 || covering > most) return openedFirst(bySize.slice(0, most));
  const chosen: PackUnit[] = [];
  for (const unit of openedFirst(units)) {
    if (chosen.length === covering) break;
    const rest = bySize
      .filter((one) => one !== unit && !chosen.includes(one))
      .slice(0, covering - chosen.length - 1);
    const reached = [...chosen, unit, ...rest].reduce((total, one) => total + one.mg, 0);
    if (reached >= needMg) chosen.push(unit);
  }
  return chosen;
}

const openedFirst = (units: readonly PackUnit[]): readonly PackUnit[] =>
  [...units].sort((a, b) => Number(b.opened) - Number(a.opened) || b.mg - a.mg);

/**
 * Products there is enough of, but not where they are wanted: somebody’s units do not hold what their faces
 * take. To be decanted, doubled or planned one after the other.
 */
export function sharedAtOnce(takes: readonly Take[], packed: readonly PackedProduct[]): Shared[] {
  return packed.flatMap(({ productId, shortMg, sharing }): Shared[] => {
    if (shortMg > 0 || sharing.length < 2 || sharing.every(({ covered }) => covered)) return [];
    const mine = takes.filter((take) => take.productId === productId && take.worker !== null);
    return [
      {
        productId,
        workers: sharing.flatMap(({ workers }) => workers),
        how: keptApart(mine) ?? 'apart',
      },
    ];
  });
}

/**
 * Clean ones of a tool for faces at these times, each of which takes so many: the most that are in use or
 * being cleaned at once. A cycle of null: washed at home, so that none is used twice. One more is taken as a
 * spare.
 */
export function toolsAtOnce(
  faces: readonly { readonly start: number; readonly end: number; readonly count: number }[],
  cycleMinutes: number | null,
): { readonly clean: number; readonly spare: number } {
  const until = ({ end }: { readonly end: number }): number =>
    cycleMinutes === null ? Infinity : end + cycleMinutes;
  const wantedAt = (minute: number): number =>
    faces
      .filter((face) => face.start <= minute && minute < until(face))
      .reduce((sum, { count }) => sum + count, 0);
  return {
    clean: Math.max(0, ...faces.map(({ start }) => wantedAt(start))),
    spare: faces.length > 0 ? 1 : 0,
  };
}

/** Used once: so many a face, and spares. */
const DISPOSABLES = { wands: 4, lipTools: 3, spatulas: 1, capes: 1, cotton: 4, gloves: 1 } as const;
export type Disposable = keyof typeof DISPOSABLES;

/** How many faces there are, and how many of them take mascara and lips. */
export type FacesToServe = { readonly faces: number; readonly lashes: number; readonly lips: number };

/**
 * Disposables for so many faces: a fifth more, half as much again where there is no shop, at least two more.
 */
export function disposablesFor(
  { faces, lashes, lips }: FacesToServe,
  { shop = true }: { readonly shop?: boolean } = {},
): Record<Disposable, number> {
  const share = shop ? 1.2 : 1.5;
  const count = (name: Disposable, served: number): number => {
    const plain = DISPOSABLES[name] * served;
    return Math.max(Math.ceil(plain * share - 1e-9), plain + 2);
  };
  return {
    wands: count('wands', lashes),
    lipTools: count('lipTools', lips),
    spatulas: count('spatulas', faces),
    capes: count('capes', faces),
    cotton: count('cotton', faces),
    gloves: count('gloves', faces),
  };
}
