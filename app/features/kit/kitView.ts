import {
  measuresInWords,
  msg,
  PRODUCT_KINDS,
  productFinder,
  productName,
  shelfLife,
  type Coverage,
  type Family,
  type Finish,
  type Kit,
  type Product,
  type ProductKind,
  type Texture,
  type Unit,
} from '@toile/core';

export type KitRow = {
  readonly product: Product;
  readonly units: readonly Unit[];
  readonly fact: string;
  readonly past: boolean;
};

export const STATES = ['owned', 'to use up', 'past or withdrawn', 'not owned'] as const;
export type KitState = (typeof STATES)[number];

/** What is looked for; an empty list lets everything through. */
export type KitFilter = {
  readonly kinds: readonly ProductKind[];
  readonly finishes: readonly Finish[];
  readonly textures: readonly Texture[];
  readonly coverages: readonly Coverage[];
  readonly families: readonly Family[];
  readonly states: readonly KitState[];
};
export const NO_FILTER: KitFilter = {
  kinds: [],
  finishes: [],
  textures: [],
  coverages: [],
  families: [],
  states: [],
};

/** How many wishes are set. */
export const wishesIn = (filter: KitFilter): number =>
  Object.values(filter).reduce((sum, list) => sum + list.length, 0);

const lets = <T>(wanted: readonly T[], has: T): boolean => wanted.length === 0 || wanted.includes(has);

/** Nearly out: fewer than this many measures left. */
const FEW_MEASURES = 6;

/** Products by kind, found by any word of their name and by wishes, each with the one fact that matters. */
export function kitRows(
  kit: Kit,
  typed: string,
  today: string,
  filter: KitFilter = NO_FILTER,
): { readonly kind: ProductKind; readonly rows: readonly KitRow[] }[] {
  const isFound = productFinder(typed);
  const unitsOf = new Map<string, Unit[]>();
  for (const unit of kit.units) listIn(unitsOf, unit.productId).push(unit);
  const groups = new Map<ProductKind, KitRow[]>();
  for (const product of [...kit.products].sort(inOrderOfUse)) {
    if (
      !lets(filter.kinds, product.kind) ||
      !lets(filter.finishes, product.finish) ||
      !lets(filter.textures, product.texture)
    )
      continue;
    if (!lets(filter.coverages, product.coverage) || !lets(filter.families, product.family)) continue;
    if (!isFound(product)) continue;
    const row = rowOf(product, unitsOf.get(product.id) ?? [], today);
    if (!lets(filter.states, row.state)) continue;
    listIn(groups, product.kind).push(row);
  }
  return [...groups].map(([kind, rows]) => ({ kind, rows }));
}

/** The list kept under a key, begun when there is none. */
function listIn<K, T>(lists: Map<K, T[]>, key: K): T[] {
  const list = lists.get(key) ?? [];
  lists.set(key, list);
  return list;
}

function rowOf(
  product: Product,
  units: readonly Unit[],
  today: string,
): KitRow & { readonly state: KitState } {
  const lives = units.map((u) => shelfLife(u, product, today));
  const past = units.length > 0 && lives.every((s) => s.state === 'past');
  // What is past its date is none that could be used.
  const left = units.reduce((sum, u, i) => sum + (lives[i]!.state === 'past' ? 0 : u.remainingMg), 0);
  const few = units.length > 0 && left < FEW_MEASURES * product.mgPerMeasure;
  const until = lives.flatMap((s) => (s.until !== null && s.state !== 'past' ? [s.until] : [])).sort()[0];
  const soon = lives.some((s) => s.state === 'soon');
  const fact = product.withdrawn
    ? msg`▲ withdrawn`
    : units.length === 0
      ? msg`not owned`
      : past
        ? msg`▲ past its date`
        : left <= 0
          ? msg`▲ used up`
          : few
            ? msg`▲ nearly out`
            : until
              ? msg`until ${until.slice(0, 7)}`
              : msg`unopened`;
  const state: KitState =
    product.withdrawn || past
      ? 'past or withdrawn'
      : units.length === 0
        ? 'not owned'
        : few || soon
          ? 'to use up'
          : 'owned';
  return { product, units, fact, past: past || product.withdrawn || few, state };
}

/** Kinds as they come at the chair, then maker, line and shade. */
function inOrderOfUse(a: Product, b: Product): number {
  return (
    PRODUCT_KINDS.indexOf(a.kind) - PRODUCT_KINDS.indexOf(b.kind) ||
    productName(a).localeCompare(productName(b), 'en', { numeric: true })
  );
}

/** '12 pumps, 2.1 g' */
export function leftInWords(
  unit: Pick<Unit, 'remainingMg'>,
  product: Pick<Product, 'measure' | 'mgPerMeasure'>,
): string {
  const measures = Math.floor(unit.remainingMg / product.mgPerMeasure);
  const weight =
    unit.remainingMg >= 1000
      ? `${(unit.remainingMg / 1000).toFixed(1)} g`
      : msg`${Math.round(unit.remainingMg)} mg`;
  return `${measuresInWords(measures, product.measure)}, ${weight}`;
}
