import {
  fullMg,
  isPowder,
  productName,
  shelfLife,
  smallestMg,
  type Kit,
  type Product,
  type Tool,
  type Unit,
} from '../kit';
import { isOfTrial, setsSkin, toolsForFace, type Chart, type Step, type Use } from '../look';
import { allowedIn, barredIn } from '../shade';
import {
  disposablesFor,
  packProducts,
  sharedAtOnce,
  toolsAtOnce,
  type Disposable,
  type Shared,
  type Take,
} from './packParty';
import { capital } from '../capital';
import { listed } from '../listed';
import { messages, msg, plural, term } from '../messages';
import { touchUpWhen, type TouchUpPlan } from '../trial';
import { faceOf, placeOf, type Guest, type PartyPlan } from './party';
import { lastShopOf } from './runUp';

/** Something to be put in a case, by a key that stays the same when the list is made anew. */
export type Thing = { readonly key: string; readonly title: string; readonly detail: string };
export type ShortOf = {
  readonly productId: string;
  readonly name: string;
  readonly needMg: number;
  readonly haveMg: number;
  readonly buy: number;
  readonly buyBy: string;
  /** There is no time left to order it: it is swapped for something there is. */ readonly tooLate: boolean;
  /** Units that are there and do not count, and why. */
  readonly left: readonly ('past' | 'withdrawn')[];
};
export type PackingList = {
  /** Units to take along, by product. */ readonly products: readonly Thing[];
  readonly short: readonly ShortOf[];
  /** Steps whose product is no longer in the kit, by its name. */ readonly gone: readonly string[];
  /** What a chart uses and its person must not have, as it is minded now: who, what and why. */
  readonly barred: readonly string[];
  /** There is enough, but not where it is wanted; by the names of the product and of whose hands it is. */
  readonly shared: readonly {
    readonly productId: string;
    readonly name: string;
    readonly who: readonly string[];
    readonly how: Shared['how'];
  }[];
  readonly tools: readonly Thing[];
  readonly disposables: readonly Thing[];
  /** What each person keeps for touching up. */ readonly bags: readonly Thing[];
  /** Faces without a chart: nothing is packed for them. */ readonly without: readonly string[];
};

/** Laid with nothing that is packed, or with what is no set. */
const NO_SETS: ReadonlySet<Tool> = new Set<Tool>(['none', 'finger', 'airbrush', 'spoolie', 'spatula']);
/** Soft tools are used on one face and washed at home. */
const ONE_A_FACE: ReadonlySet<Tool> = new Set<Tool>(['damp sponge', 'puff']);
/** A brush used in powder alone is sprayed clean and dry again after so long, minutes. */
const SPRAY_MINUTES = 30;
/** Sponges and puffs: a tenth more than there are faces. */
const SOFT_SPARE = 0.1;
const DISPOSABLE_WORDS: Readonly<Record<Disposable, string>> = messages({
  wands: 'Mascara wands',
  lipTools: 'Lip tools',
  spatulas: 'Spatulas',
  capes: 'Cape covers',
  cotton: 'Cotton, pieces',
  gloves: 'Gloves, pairs',
});
/** What is in every bag, however it is called for. */
const ALWAYS_IN: readonly string[] = messages(['blotting sheets', 'tissues']);
/** Blotting sheets in a bag. */
const BLOTTING = 3;

export type PackingOptions = {
  /** YYYY-MM-DD: what must be ordered before it cannot be ordered any more. */ readonly today: string;
  /** What touching up each guest's face asks, by the guest's id. */
  readonly touchUps?: ReadonlyMap<string, TouchUpPlan>;
};

type Face = {
  readonly guest: Guest;
  readonly chart: Chart;
  /** Whose hands; null before anybody is planned for it. */ readonly worker: string | null;
  readonly place: string;
  readonly start: number;
  readonly end: number;
};

/**
 * Everything a party's faces need, from the charts of its people, the kit as it stands and the timetable
 * (which says who works beside whom): units by their key, what is short and by when to buy it, clean sets of
 * tools, what is used once, and a bag for touching up for each. `charts` by the guest's id.
 */
export function packParty(
  party: { readonly date: string },
  plan: PartyPlan,
  charts: ReadonlyMap<string, Chart>,
  kit: Kit,
  { today, touchUps }: PackingOptions,
): PackingList {
  const faces = plan.guests
    .filter((guest) => guest.faceMinutes > 0)
    .flatMap((guest): Face[] => {
      const chart = charts.get(guest.id);
      if (!chart) return [];
      const visit = plan.timetable?.visits.find((one) => one.of === guest.id && one.task === faceOf(guest));
      const start = visit?.start ?? guest.readyBy - guest.faceMinutes;
      return [
        {
          guest,
          // Nobody comes to a party as two halves.
          chart: { ...chart, steps: chart.steps.filter((step) => !isOfTrial(step)) },
          worker: visit?.worker ?? null,
          place: placeOf(plan, guest),
          start,
          end: start + (visit?.minutes ?? guest.faceMinutes),
        },
      ];
    });
  const inKit = kitFinder(kit);
  const uses = faces.flatMap((face) =>
    face.chart.steps.flatMap((step) => step.use.map((use) => ({ face, step, use, product: inKit(use) }))),
  );
  const barred = faces.flatMap(({ guest, chart }) =>
    barredIn(chart.steps, chart.client).map(
      ({ product, why }) => `${guest.name}: ${productName(product)} ${why}`,
    ),
  );
  const takes = uses.flatMap(({ face, use, product }): Take[] =>
    product
      ? [
          {
            productId: product.id,
            person: face.guest.id,
            worker: face.worker,
            place: face.place,
            start: face.start,
            end: face.end,
            mg: use.parts * use.product.mgPerMeasure,
            measureMg: smallestMg(product),
          },
        ]
      : [],
  );
  const products = [...new Set(takes.map((take) => take.productId))].map((id) =>
    kit.products.find((product) => product.id === id)!,
  );
  const packed = packProducts(
    party.date,
    takes,
    products.map((product) => ({ id: product.id, powder: isPowder(product), unitMg: fullMg(product) })),
    kit.units.map((unit) => packUnit(unit, kit, party.date)),
    { lastShop: lastShopOf(plan) },
  );
  const nameOf = (id: string): string => productName(products.find((product) => product.id === id)!);
  const unitOf = (id: string): Unit => kit.units.find((unit) => unit.id === id)!;
  const named = (all: readonly { readonly id: string; readonly name: string }[], ids: readonly string[]) =>
    ids.map((id) => all.find((one) => one.id === id)?.name ?? id);
  return {
    products: packed
      .flatMap(({ productId, sharing }) =>
        sharing.flatMap(({ units, persons, workers }) =>
          units.map((id): Thing => ({
            key: `unit:${id}`,
            title: nameOf(productId),
            detail: [
              unitOf(id).place,
              msg`for ${named(plan.guests, persons).join(', ')}`,
              // Where each has one of their own, it is put into their case.
              sharing.length > 1 ? msg`goes with ${listed(named(plan.hands, workers))}` : '',
            ]
              .filter((word) => word !== '')
              .join(' · '),
          })),
        ),
      )
      .sort(byTitle),
    short: packed.flatMap((one): ShortOf[] =>
      one.buyBy === null
        ? []
        : [
            {
              productId: one.productId,
              name: nameOf(one.productId),
              needMg: one.needMg,
              haveMg: one.haveMg,
              buy: one.buy,
              buyBy: one.buyBy,
              tooLate: one.buyBy < today,
              left: one.left.map(({ because }) => because),
            },
          ],
    ),
    gone: [
      ...new Set(uses.filter(({ product }) => !product).map(({ use }) => productName(use.product))),
    ].sort(),
    barred: [...new Set(barred)],
    shared: sharedAtOnce(takes, packed).map(({ productId, workers, how }) => ({
      productId,
      name: nameOf(productId),
      who: named(plan.hands, workers),
      how,
    })),
    tools: toolsFor(faces),
    disposables: faces.length === 0 ? [] : disposableThings(faces, plan.noShop !== true),
    bags: faces.map((face) => bagOf(face, touchUps?.get(face.guest.id))),
    without: plan.guests
      .filter((guest) => guest.faceMinutes > 0 && !charts.has(guest.id))
      .map((guest) => guest.name),
  };
}

const byTitle = (a: Thing, b: Thing): number => (a.title < b.title ? -1 : a.title > b.title ? 1 : 0);

/** The kit's product of a use: by its unit, else by its name and kind. */
function kitFinder(kit: Kit): (use: Use) => Product | null {
  const byId = new Map(kit.products.map((product) => [product.id, product]));
  const byUnit = new Map(kit.units.map((unit) => [unit.id, byId.get(unit.productId) ?? null]));
  const byName = new Map(kit.products.map((product) => [`${product.kind} ${productName(product)}`, product]));
  return ({ unitId, product }) =>
    (unitId === null ? null : (byUnit.get(unitId) ?? null)) ??
    byName.get(`${product.kind} ${productName(product)}`) ??
    null;
}

function packUnit(unit: Unit, kit: Kit, date: string) {
  const product = kit.products.find((one) => one.id === unit.productId);
  return {
    id: unit.id,
    productId: unit.productId,
    mg: unit.remainingMg,
    opened: unit.openedOn !== null,
    usableUntil: product ? shelfLife(unit, product, date).until : null,
    withdrawn: product?.withdrawn ?? false,
  };
}

/**
 * Clean ones of each tool: what each face takes by its chart, by the faces it is on at once at each place, or
 * for every face one of its own.
 */
function toolsFor(faces: readonly Face[]): Thing[] {
  const counted = faces.map((face) => ({
    face,
    tools: new Map(toolsForFace(face.chart.steps).map(({ tool, count }) => [tool, count])),
  }));
  const tools = [...new Set(counted.flatMap((one) => [...one.tools.keys()]))].filter(
    (tool) => !NO_SETS.has(tool),
  );
  return tools
    .map((tool): Thing => {
      const mine = counted.flatMap(({ face, tools: own }) => {
        const count = own.get(tool);
        return count === undefined ? [] : [{ ...face, count }];
      });
      const wet = mine.some(({ chart }) => chart.steps.some((step) => step.tool === tool && isWet(step)));
      const soft = ONE_A_FACE.has(tool);
      const places = [...new Set(mine.map(({ place }) => place))].map((place) =>
        toolsAtOnce(
          mine.filter((face) => face.place === place),
          wet || soft ? null : SPRAY_MINUTES,
        ),
      );
      const clean = places.reduce((sum, one) => sum + one.clean, 0);
      const more = soft
        ? Math.max(1, Math.ceil(clean * SOFT_SPARE))
        : places.reduce((sum, one) => sum + one.spare, 0);
      const each = [...new Set(mine.map(({ count }) => count))];
      const aFace =
        each.length === 1 ? plural(each[0]!)`one a face|${each[0]!} a face` : msg`by each face’s chart`;
      return {
        key: `tool:${tool}`,
        title: capital(term(tool)),
        detail: msg`${clean + more}: ${aFace}${soft ? '' : wet ? msg`, washed at home` : msg`, sprayed clean between faces`}, and ${more} spare`,
      };
    })
    .sort(byTitle);
}

const isWet = (step: Step): boolean => step.use.some(({ product }) => !isPowder(product));

function disposableThings(faces: readonly Face[], shop: boolean): Thing[] {
  const having = (laid: (step: Step) => boolean): number =>
    faces.filter(({ chart }) => chart.steps.some(laid)).length;
  const served: Readonly<Record<Disposable, number>> = {
    wands: having(({ use }) => use.some(({ product }) => product.kind === 'mascara')),
    lipTools: having(laysLips),
    spatulas: faces.length,
    capes: faces.length,
    cotton: faces.length,
    gloves: faces.length,
  };
  const counts = disposablesFor(
    { faces: faces.length, lashes: served.wands, lips: served.lipTools },
    { shop },
  );
  const names = Object.keys(DISPOSABLE_WORDS) as readonly Disposable[];
  return names.map((name) => ({
    key: `once:${name}`,
    title: DISPOSABLE_WORDS[name],
    detail:
      served[name] === 0
        ? msg`${counts[name]} to spare`
        : msg`${counts[name]} for ${plural(served[name])`${served[name]} face|${served[name]} faces`}${shop ? '' : msg`, more since there is no shop`}`,
  }));
}

const laysLips = ({ role, use }: Step): boolean => (role === 'lip' || role === 'lip line') && use.length > 0;

/**
 * What is kept at hand for one face, of what its person may have as the chart is minded now: its lip, its
 * powder, what its touch-ups ask beside them and when they
 * are, and glue where lashes are worn.
 */
function bagOf({ guest, chart }: Face, touchUps: TouchUpPlan | undefined): Thing {
  const of = (laid: (step: Step) => boolean): string[] => [
    ...new Set(chart.steps.filter(laid).flatMap((step) => allowedIn(step, chart.client).map(productName))),
  ];
  const powders = of(setsSkin);
  const lashes = of(({ use }) => use.some(({ product }) => product.kind === 'lashes'));
  return {
    key: `bag:${guest.id}`,
    title: msg`Touch-up bag: ${guest.name}`,
    detail: `${touchUps && touchUps.visits.length > 0 ? `${touchUpWhen(touchUps)} ` : ''}${[
      ...new Set([
        ...of(laysLips),
        ...powders.slice(0, 1),
        ...(powders.length > 0 ? [msg`a clean puff`] : []),
        ...(touchUps?.bag ?? []).filter((thing) => !ALWAYS_IN.includes(thing)),
        msg`${BLOTTING} blotting sheets`,
        ...(lashes.length > 0 ? [msg`lash glue`] : []),
        msg`tissues`,
      ]),
    ].join(', ')}`,
  };
}
