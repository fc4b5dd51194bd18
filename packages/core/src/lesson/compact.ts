import { Type, type Static } from '@sinclair/typebox';
import { addDays, addMonths } from '../calendar';
import {
  arrangementKey,
  byKeys,
  cellName,
  PanSchema,
  panAt,
  paletteProblems,
  productName,
  type Arrangement,
  type Cell,
  type Palette,
  type ProductSnapshot,
} from '../kit';
import { closed, DateSchema, TextSchema, UuidSchema } from '../schema';
import { MOST_STEPS, type Chart, type Step } from '../look';
import { messages, msg, term } from '../messages';
import { barredIn } from '../shade';
import { lessonFrom } from './lesson';

const side = Type.Integer({ minimum: 1, maximum: 12 });

/** What a client takes home to put a look on with: pans in tins, for some steps of one chart. */
export const CompactSchema = Type.Object(
  {
    id: UuidSchema,
    name: TextSchema,
    stepIds: Type.Array(UuidSchema, { minItems: 1, maxItems: MOST_STEPS }),
    perWeek: Type.Integer({ minimum: 1, maximum: 21, description: 'times it is put on in a week' }),
    tins: Type.Array(
      Type.Object(
        { id: UuidSchema, rows: side, columns: side, pans: Type.Array(PanSchema, { maxItems: 144 }) },
        closed,
      ),
      { minItems: 1, maxItems: 6 },
    ),
    fills: Type.Array(
      Type.Object(
        {
          productId: UuidSchema,
          mg: Type.Number({ minimum: 50, maximum: 100_000, description: 'what the pan held when filled' }),
          on: DateSchema,
        },
        closed,
      ),
      { maxItems: 144 },
    ),
  },
  closed,
);
export type Compact = Static<typeof CompactSchema>;

/** A place in a compact: which tin, and where in it. */
export type CompactPlace = { readonly tin: number } & Cell;

/** Only what stands in a pan by itself can be put in one. */
const IN_PANS: readonly ProductSnapshot['texture'][] = ['cream', 'stick', 'pressed'];
const NEVER: Readonly<Partial<Record<ProductSnapshot['kind'], string>>> = messages({
  mascara: 'a tube of its own, thrown away after three months or when the maker says',
  lashes: 'in their box',
  spray: 'in its bottle',
  prep: 'in its bottle',
  primer: 'in its tube',
});
/** Why something stays as it is; null for what goes in a pan. */
export function notInPan({ kind, texture }: Pick<ProductSnapshot, 'kind' | 'texture'>): string | null {
  const never = NEVER[kind];
  if (never) return never;
  if (IN_PANS.includes(texture)) return null;
  return texture === 'loose' ? msg`in its jar` : texture === 'pencil' ? msg`as a pencil` : msg`in its bottle`;
}

/** What a pan of 26 mm holds when it is full, mg: makers' usual, to be corrected by what was weighed in. */
const FULL_MG = { cream: 2000, stick: 2000, pressed: 1500 } as const;
export const fullOf = ({ texture }: Pick<ProductSnapshot, 'texture'>): number =>
  texture === 'cream' || texture === 'stick' || texture === 'pressed' ? FULL_MG[texture] : FULL_MG.pressed;

const IN_PURSE = 'in the purse already';
const NO_PLACE = 'there is no place left in its tins';

export type CompactAsk = {
  readonly perWeek: number;
  /** Of each tin. */ readonly rows: number;
  readonly columns: number;
  readonly by: Arrangement;
  /** Products by id that are in the client's purse already, as they are: they stay in it. */
  readonly has?: readonly string[];
};

/** Everything the kept steps lay, once each, in the order it is first used at home. */
function usedAtHome(chart: Chart, stepIds: readonly string[]): readonly ProductSnapshot[] {
  const lesson = lessonFrom(chart, { minutes: 180, keep: stepIds });
  const steps = lesson.steps.map(({ stepId }) => chart.steps.find(({ id }) => id === stepId)!);
  const products = new Map(
    steps.flatMap(({ use }) => use.map(({ product }) => [product.id, product] as const)),
  );
  return [...products.values()];
}

/**
 * A compact for some steps of a chart: what goes in a pan, laid out in as many tins as it takes, in order of
 * use or light to dark; and what stays in its own bottle, with why. `ids` are for the compact and each of six
 * tins.
 */
export function compactFrom(
  chart: Chart,
  stepIds: readonly string[],
  { perWeek, rows, columns, by, has = [] }: CompactAsk,
  { id, tins, today }: { readonly id: string; readonly tins: readonly string[]; readonly today: string },
): {
  readonly compact: Compact;
  readonly beside: readonly { readonly name: string; readonly why: string }[];
} {
  const used = usedAtHome(chart, stepIds);
  const whyBeside = (product: ProductSnapshot): string | null =>
    has.includes(product.id) ? term(IN_PURSE) : notInPan(product);
  const pans = used.filter((product) => whyBeside(product) === null);
  const ordered = by === 'order of use' ? pans : byKeys(pans, (product) => arrangementKey(product, by));
  const size = rows * columns;
  const needed = Math.max(1, Math.ceil(ordered.length / size));
  return {
    compact: {
      id,
      name: `${chart.client.name}, ${chart.look.name}`.slice(0, 200),
      stepIds: [...stepIds],
      perWeek,
      tins: tins.slice(0, needed).map((tinId, tin) => ({
        id: tinId,
        rows,
        columns,
        pans: ordered.slice(tin * size, (tin + 1) * size).map(({ id: productId }, i) => ({
          row: Math.floor(i / columns),
          column: i % columns,
          productId,
        })),
      })),
      fills: ordered
        .slice(0, tins.length * size)
        .map((product) => ({ productId: product.id, mg: fullOf(product), on: today })),
    },
    beside: [
      ...used.flatMap((product) => {
        const why = whyBeside(product);
        return why ? [{ name: productName(product), why }] : [];
      }),
      ...ordered.slice(tins.length * size).map((product) => ({
        name: productName(product),
        why: term(NO_PLACE),
      })),
    ],
  };
}

/** A tin as the grid it is, to be shown and moved about in like a palette. */
export function tinAsPalette({ name, tins }: Compact, tin: number): Palette {
  const { id, rows, columns, pans } = tins[tin]!;
  return { id, name: tins.length === 1 ? name : msg`${name}, tin ${tin + 1}`, rows, columns, pans };
}

/** 'B3' in the only tin, '2·B3' where there are several. */
export const placeName = ({ tins }: Pick<Compact, 'tins'>, { tin, ...cell }: CompactPlace): string =>
  tins.length === 1 ? cellName(cell) : `${tin + 1}·${cellName(cell)}`;

/**
 * The compact with the pan of one place in another, of the same tin or of another; two pans change places,
 * each under its own lid. Unchanged where there is no pan or no such place.
 */
export function movePanTo(compact: Compact, from: CompactPlace, to: CompactPlace): Compact {
  const [source, target] = [compact.tins[from.tin], compact.tins[to.tin]];
  if (!source || !target) return compact;
  const moved = panAt(tinAsPalette(compact, from.tin), from);
  const inside = to.row >= 0 && to.column >= 0 && to.row < target.rows && to.column < target.columns;
  if (!moved || !inside) return compact;
  const other = panAt(tinAsPalette(compact, to.tin), to);
  const placed = (productId: string, { row, column }: Cell) => ({ row, column, productId });
  return {
    ...compact,
    tins: compact.tins.map((tin, i) => ({
      ...tin,
      pans: [
        ...tin.pans.filter((pan) => pan !== moved && pan !== other),
        ...(i === to.tin ? [placed(moved.productId, to)] : []),
        ...(i === from.tin && other && other !== moved ? [placed(other.productId, from)] : []),
      ],
    })),
  };
}

/** A compact without what its client must not have, by its notes. */
export function withoutBarred(compact: Compact, { pans }: Pick<CompactNotes, 'pans'>): Compact {
  const out = new Set(pans.flatMap(({ barred, product }) => (barred === null ? [] : [product.id])));
  return {
    ...compact,
    tins: compact.tins.map((tin) => ({ ...tin, pans: tin.pans.filter((pan) => !out.has(pan.productId)) })),
    fills: compact.fills.filter(({ productId }) => !out.has(productId)),
  };
}

/**
 * What is wrong with a compact, in words; empty when all is well. `known`: products the chart's steps lay.
 */
export function compactProblems(compact: Compact, chart: Chart): string[] {
  const steps = chart.steps.filter(({ id }) => compact.stepIds.includes(id));
  const known = new Set(steps.flatMap(({ use }) => use.map(({ product }) => product.id)));
  const pans = compact.tins.flatMap((tin) => tin.pans);
  const strange = compact.stepIds.find((id) => !chart.steps.some((step) => step.id === id));
  const foreign = pans.find(({ productId }) => !known.has(productId));
  const twice = pans.find(({ productId }, i) => pans.findIndex((pan) => pan.productId === productId) < i);
  const ids = compact.tins.map(({ id }) => id);
  return [
    ...(strange ? [msg`A step is not one of this version`] : []),
    ...compact.tins.flatMap((_, tin) =>
      paletteProblems(tinAsPalette(compact, tin)).map(({ message }) => message),
    ),
    ...(foreign ? [msg`A pan holds what none of these steps lay`] : []),
    ...(twice ? [msg`A product lies in two pans`] : []),
    ...(new Set(ids).size < ids.length ? [msg`Two tins have one id`] : []),
  ];
}

export type PanNote = {
  readonly place: CompactPlace;
  /** As printed beside it: 'A1'. */ readonly called: string;
  readonly product: ProductSnapshot;
  readonly name: string;
  /** Steps it is used in, as they are called. */ readonly steps: readonly string[];
  readonly mgPerWeek: number;
  /** When it is to be filled again; null while nothing is known of its filling. */
  readonly refillOn: string | null;
  readonly because: 'used up' | 'past its time' | null;
  /** Why the client must not have it, by what is noted now: it is taken out. Null for what they may have. */
  readonly barred: string | null;
};
export type CompactNotes = {
  readonly pans: readonly PanNote[];
  readonly beside: readonly { readonly name: string; readonly why: string }[];
  /** Mixes by where their pans lie: 'Base: 2 of A1 with 1 of A2'. */ readonly mixes: readonly string[];
  readonly minds: readonly string[];
};

const DAYS_A_WEEK = 7;

/**
 * What there is to know of a compact: pan by pan what it is for and when it is to be filled again, what stays
 * beside it, the mixes. `months` says how long a product keeps once it is opened.
 */
export function compactNotes(
  compact: Compact,
  chart: Chart,
  months: ReadonlyMap<string, number> = new Map(),
): CompactNotes {
  const kept = compact.stepIds.flatMap((id) => chart.steps.find((step) => step.id === id) ?? []);
  const used = usedAtHome(chart, compact.stepIds);
  const order = new Map(used.map(({ id }, i) => [id, i]));
  const room = compact.tins.some(({ rows, columns, pans }) => pans.length < rows * columns);
  const places = new Map(
    compact.tins.flatMap(({ pans }, tin) =>
      pans.map(({ row, column, productId }) => [productId, { tin, row, column }] as const),
    ),
  );
  const notForThem = barredIn(kept, chart.client);
  const pans = [...places]
    .flatMap(([productId, place]): PanNote[] => {
      const barred = notForThem.find(({ product }) => product.id === productId);
      const product = used.find(({ id }) => id === productId) ?? barred?.product;
      if (!product) return [];
      const note = panNote(compact, kept, product, place, months.get(productId) ?? null);
      return [{ ...note, barred: barred?.why ?? null }];
    })
    .sort((a, b) => (order.get(a.product.id) ?? Infinity) - (order.get(b.product.id) ?? Infinity));
  return {
    pans,
    beside: used.flatMap((product) =>
      places.has(product.id)
        ? []
        : [
            {
              name: productName(product),
              why: notInPan(product) ?? (room ? msg`not put in a tin` : term(NO_PLACE)),
            },
          ],
    ),
    mixes: kept.flatMap((step) => mixOf(compact, step, places) ?? []),
    minds: MINDS,
  };
}

const MINDS: readonly string[] = messages([
  'Keep the lid each pan came with: it is moved to another tin under its lid, and so stays itself.',
  'Take creams out with a clean spatula, wipe a powder’s surface with a dry tissue. What is used at the eyes or lips is yours alone.',
  'What smells, sweats or changes colour is thrown away before its date; the maker’s directions come first.',
]);

function panNote(
  compact: Compact,
  steps: readonly Step[],
  product: ProductSnapshot,
  place: CompactPlace,
  months: number | null,
): Omit<PanNote, 'barred'> {
  const using = steps.filter(({ use }) => use.some((one) => one.product.id === product.id));
  const mgATime = using
    .flatMap(({ use }) => use)
    .reduce(
      (sum, one) => sum + (one.product.id === product.id ? one.parts * one.product.mgPerMeasure : 0),
      0,
    );
  const mgPerWeek = mgATime * compact.perWeek;
  const fill = compact.fills.find(({ productId }) => productId === product.id);
  const empty =
    fill && mgPerWeek > 0 ? addDays(fill.on, Math.floor((fill.mg / mgPerWeek) * DAYS_A_WEEK)) : null;
  const past = fill && months !== null ? addMonths(fill.on, months) : null;
  const refillOn = empty !== null && past !== null ? (past < empty ? past : empty) : (empty ?? past);
  return {
    place,
    called: placeName(compact, place),
    product,
    name: productName(product),
    steps: using.map(({ title }) => title),
    mgPerWeek,
    refillOn,
    because: refillOn === null ? null : refillOn === empty ? 'used up' : 'past its time',
  };
}

/** A step's mix by where its pans lie, as a note of its own; null for what is no mix. */
function mixOf(
  compact: Compact,
  { title, use }: Step,
  places: ReadonlyMap<string, CompactPlace>,
): string | null {
  if (use.length < 2) return null;
  const least = Math.min(...use.map(({ parts }) => parts));
  const parts = use.map(({ product, parts: amount }) => {
    const place = places.get(product.id);
    const share = Math.round((amount / least) * 10) / 10;
    return msg`${share} of ${place ? placeName(compact, place) : productName(product)}`;
  });
  const creams = use.every(({ product }) => places.has(product.id) && product.texture !== 'pressed');
  return `${title}: ${parts.join(msg` with `)}${creams ? msg`; stirred up once and kept in a pan of its own it is the same every day` : ''}`;
}
