import { matchAllergens, patchSpeaksAgainst, toBeMinded, type PatchMinded } from '../care';
import type { Coverage } from '../colour';
import { touchesEyes, type Features, type Landmarks } from '../face';
import {
  shelfLife,
  type Family,
  type Finish,
  type Kit,
  type Product,
  type ProductKind,
  type ProductSnapshot,
  type Texture,
  type Unit,
} from '../kit';
import { msg, term } from '../messages';
import { withArticle } from '../withArticle';
import { impossibleBecause } from './possibleColour';
import type { DayAsked } from './day';
import type { ShadeAsk } from './skinRole';
import type { Skin } from './faceApart';

/** What shades are chosen for: skin, what is known of the face, and what she must not meet. */
export type ShadeClient = {
  readonly skin: Skin;
  readonly features: Features;
  readonly landmarks: Landmarks;
  readonly sensitivities: readonly string[];
  /** What patch tests said of products; nothing for those nobody tested. */
  readonly patchTests?: readonly PatchMinded[];
};

/** Finishes and kinds a look does not allow. */
export type Forbids = { readonly finishes: readonly Finish[]; readonly kinds: readonly ProductKind[] };

/** Everything a product is judged against, the same for every screen. */
export type ShadeContext = {
  readonly client: ShadeClient;
  readonly kit: Kit;
  /** The day of use as YYYY-MM-DD. */
  readonly date: string;
  /** What the day brings; nothing is asked for it where it is not known. */
  readonly occasion?: DayAsked;
  /** What the look does not allow. */
  readonly forbids?: Forbids;
  /** The school's contrast; soft where it is not said. */
  readonly contrast?: 'soft' | 'bold';
};

/** Wishes a product must meet; an empty or missing list lets everything through. */
export type ShadeFilter = {
  readonly textures?: readonly Texture[];
  readonly finishes?: readonly Finish[];
  readonly coverages?: readonly Coverage[];
  readonly families?: readonly Family[];
  /** Also what is not owned. */
  readonly unowned?: boolean;
};

/**
 * What the cases hold on a day, whoever is made up: by product, the unit to take and whether every unit is
 * past.
 */
type Stock = {
  readonly taken: Map<string, Unit | null>;
  readonly byProduct: ReadonlyMap<string, readonly Unit[]>;
  readonly allPast: Map<string, boolean>;
};
const stocks = new WeakMap<readonly Unit[], Map<string, Stock>>();

function stockOf({ kit, date }: Pick<ShadeContext, 'kit' | 'date'>): Stock {
  let byDate = stocks.get(kit.units);
  if (!byDate) stocks.set(kit.units, (byDate = new Map()));
  let stock = byDate.get(date);
  if (!stock) {
    const byProduct = new Map<string, Unit[]>();
    for (const unit of kit.units) {
      const list = byProduct.get(unit.productId);
      if (list) list.push(unit);
      else byProduct.set(unit.productId, [unit]);
    }
    byDate.set(date, (stock = { taken: new Map(), byProduct, allPast: new Map() }));
  }
  return stock;
}

/** Why somebody must not meet a product anywhere; null when they may. */
function refusedBy(
  client: Pick<ShadeClient, 'sensitivities' | 'patchTests'>,
  { id, ingredients }: Pick<Product, 'id' | 'ingredients'>,
): string | null {
  const allergen = matchAllergens(ingredients, toBeMinded(client.sensitivities))[0];
  if (allergen) {
    const { ingredient, sensitivity } = allergen;
    return ingredient.toLowerCase() === sensitivity.toLowerCase()
      ? msg`contains ${ingredient}`
      : msg`contains ${ingredient} (${sensitivity})`;
  }
  return patchSpeaksAgainst(client.patchTests, id);
}

const unusableKept = new WeakMap<ShadeContext, Map<string, string | null>>();

/** Why a product must not or cannot be used on this client that day, whatever the step; null when it can. */
export function unusableBecause(product: Product, context: ShadeContext): string | null {
  let unusable = unusableKept.get(context);
  if (!unusable) unusableKept.set(context, (unusable = new Map()));
  let why = unusable.get(product.id);
  if (why === undefined) unusable.set(product.id, (why = ruledOutBecause(product, context)));
  return why;
}

function ruledOutBecause(product: Product, context: ShadeContext): string | null {
  if (product.withdrawn) return msg`withdrawn`;
  const impossible = impossibleBecause(product.kind, product.lab);
  if (impossible) return msg`set aside: ${impossible}`;
  const refused = refusedBy(context.client, product);
  if (refused) return refused;
  const { byProduct, allPast } = stockOf(context);
  const units = byProduct.get(product.id) ?? [];
  if (units.length === 0) return null;
  const key = `${product.id} ${product.monthsAfterOpening}`;
  let past = allPast.get(key);
  if (past === undefined)
    allPast.set(key, (past = units.every((unit) => shelfLife(unit, product, context.date).state === 'past')));
  if (past) return msg`every unit is past its shelf life`;
  return units.every((unit) => unit.remainingMg <= 0) ? msg`used up` : null;
}

/** Which wish a product does not meet, in words; null when it meets them all. */
export function filteredBecause(product: Product, filter: ShadeFilter): string | null {
  const misses = <T extends string>(wanted: readonly T[] | undefined, has: T): boolean =>
    wanted !== undefined && wanted.length > 0 && !wanted.includes(has);
  if (misses(filter.textures, product.texture)) return msg`its texture is ${term(product.texture)}`;
  if (misses(filter.finishes, product.finish)) return msg`its finish is ${term(product.finish)}`;
  if (misses(filter.coverages, product.coverage)) return msg`its coverage is ${term(product.coverage)}`;
  if (misses(filter.families, product.family)) return msg`its family is ${term(product.family)}`;
  return null;
}

/** The unit to take: opened before unopened, the one that ends soonest first; null when none can be used. */
export function unitToTake(product: Product, context: Pick<ShadeContext, 'kit' | 'date'>): Unit | null {
  const { taken: held, byProduct } = stockOf(context);
  const key = `${product.id} ${product.monthsAfterOpening}`;
  let taken = held.get(key);
  if (taken !== undefined) return taken;
  const order = (u: Unit): string =>
    `${u.openedOn === null ? 1 : 0} ${shelfLife(u, product, context.date).until ?? ''}`;
  const usable = (byProduct.get(product.id) ?? []).filter(
    (u) => u.remainingMg > 0 && shelfLife(u, product, context.date).state !== 'past',
  );
  taken = (usable.length > 1 ? usable.sort((a, b) => order(a).localeCompare(order(b))) : usable)[0] ?? null;
  held.set(key, taken);
  return taken;
}

const AT_EYES: readonly ShadeAsk['role'][] = ['eye', 'liner', 'lash'];
/** What is laid, and where: what is said of no place is judged by its kind of layer. */
export type LaidWhere = Pick<ShadeAsk, 'role'> & Partial<Pick<ShadeAsk, 'placements' | 'tool'>>;

/** Whether a step comes to the eyes, by its kind of layer or by where it lies. */
export const laidAtEyes = ({ role, placements = [] }: LaidWhere): boolean =>
  AT_EYES.includes(role) || touchesEyes(placements);
/** What covers and sets the skin is laid up to the lids by everybody: there it is judged as what it is. */
const UP_TO_THE_LIDS: readonly ProductKind[] = ['corrector', 'base', 'adjuster', 'concealer', 'powder'];

/**
 * The kind of layer a product is to what must not come to the eyes: a primer or a light on the lids is there,
 * whatever its step is called.
 */
const roleThere = (step: LaidWhere, kind: ProductKind): ShadeAsk['role'] =>
  !AT_EYES.includes(step.role) && laidAtEyes(step) && !UP_TO_THE_LIDS.includes(kind) ? 'eye' : step.role;
/** Whether nothing may shed in such a step: it comes to the eyes of somebody in contact lenses. */
export const mindsLenses = ({ features }: Pick<ShadeClient, 'features'>, step: LaidWhere): boolean =>
  features.lenses && laidAtEyes(step);
/** What of a product sheds into contact lenses, in words; null where nothing is known to. */
export function shedsInWords({
  texture,
  finish,
  ingredients,
}: Pick<Product, 'texture' | 'finish' | 'ingredients'>): string | null {
  if (texture === 'loose' && finish === 'shimmer') return msg`loose shimmer sheds into contact lenses`;
  const [fibres] = matchAllergens(ingredients, ['fibres']);
  return fibres ? msg`contains ${fibres.ingredient}: fibres shed into contact lenses` : null;
}

/** Whether a product of a kind has to be one that is meant for the eyes, in such a step. */
export const mustSuitEyes = (step: LaidWhere, kind: ProductKind): boolean =>
  AT_EYES.includes(roleThere(step, kind));

/**
 * Why a product cannot be used for a step at all, or null when it can: one rule for proposing, matching,
 * substituting and repeating.
 */
export function excludedBecause(
  product: Product,
  step: Pick<ShadeAsk, 'wants'> & LaidWhere,
  context: ShadeContext,
): string | null {
  if (!step.wants.kinds.includes(product.kind))
    return msg`${withArticle(term(product.kind))} is not what this step asks for`;
  const unusable = unusableBecause(product, context);
  if (unusable) return unusable;
  const { forbids } = context;
  if (forbids?.kinds.includes(product.kind)) return msg`the look allows no ${term(product.kind)}`;
  if (forbids?.finishes.includes(product.finish)) return msg`the look allows nothing ${term(product.finish)}`;
  if (step.role === 'contour' && (product.finish === 'shimmer' || product.finish === 'dewy'))
    return msg`${term(product.finish)}: shine undoes a shadow`;
  if (step.tool === 'airbrush' && product.texture !== 'liquid')
    return msg`${term(product.texture)}: an airbrush sprays what is liquid`;
  return refusedThere(context.client, product, step);
}

type Laid = Pick<Product, 'kind' | 'texture' | 'finish' | 'ingredients'> & { readonly eyeSafe?: boolean };

/**
 * Why somebody must not meet a product in such a step; null when they may. What is not stated of it is no
 * reason.
 */
function refusedThere(client: Pick<ShadeClient, 'features'>, product: Laid, step: LaidWhere): string | null {
  const { kind, eyeSafe } = product;
  if (eyeSafe === false && mustSuitEyes(step, kind)) return msg`not meant for the eye area`;
  const sheds = mindsLenses(client, step) ? shedsInWords(product) : null;
  if (sheds !== null) return sheds;
  return client.features.age === 'child' && kind === 'lashes' ? msg`no lashes on a child` : null;
}

/**
 * Why a product is not handed to somebody for such a step, whatever the kit and the day: by what is noted of
 * them and of what was laid when the chart was written; null when it may be.
 */
export function barredBecause(
  product: ProductSnapshot,
  step: LaidWhere,
  client: Pick<ShadeClient, 'sensitivities' | 'features' | 'patchTests'>,
): string | null {
  const extended = client.features.lashes === 'extensions' && OVER_LASHES.includes(product.kind);
  if (extended) return msg`lash extensions are worn`;
  return refusedBy(client, product) ?? refusedThere(client, product, step);
}

/** A product in a step that somebody must not meet there, and why. */
export type Barred<S> = { readonly step: S; readonly product: ProductSnapshot; readonly why: string };

/** Every product of some steps that is not handed to somebody, and why, in the order they are worked. */
export const barredIn = <S extends WithUse>(
  steps: readonly S[],
  client: Parameters<typeof barredBecause>[2],
): readonly Barred<S>[] =>
  steps.flatMap((step) =>
    step.use.flatMap(({ product }) => {
      const why = barredBecause(product, step, client);
      return why === null ? [] : [{ step, product, why }];
    }),
  );

type WithUse = LaidWhere & { readonly use: readonly { readonly product: ProductSnapshot }[] };

/** What of a step may be handed to somebody. */
export const allowedIn = (
  step: WithUse,
  client: Parameters<typeof barredBecause>[2],
): readonly ProductSnapshot[] =>
  step.use.flatMap(({ product }) => (barredBecause(product, step, client) === null ? [product] : []));

/** What is not laid on lash extensions. */
const OVER_LASHES: readonly ProductKind[] = ['mascara', 'lashes'];
