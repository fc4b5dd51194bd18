import { Type, type Static } from '@sinclair/typebox';
import { COVERAGES, type Coverage } from '../colour';
import { TOOLS } from './doseFor';
import { closed, DateSchema, LabSchema, oneOf, oneOfNumbers, TextSchema, UuidSchema } from '../schema';

export const PRODUCT_KINDS = [
  'prep',
  'primer',
  'corrector',
  'base',
  'adjuster',
  'concealer',
  'powder',
  'contour',
  'bronzer',
  'blush',
  'highlight',
  'brow',
  'shadow',
  'liner',
  'mascara',
  'lashes',
  'lip liner',
  'lip colour',
  'spray',
] as const;
export type ProductKind = (typeof PRODUCT_KINDS)[number];
export const COVERAGE_WORDS = Object.keys(COVERAGES) as readonly Coverage[];
export const FINISHES = ['matte', 'natural', 'satin', 'dewy', 'shimmer'] as const;
export type Finish = (typeof FINISHES)[number];
export const TEXTURES = ['liquid', 'cream', 'stick', 'loose', 'pressed', 'gel', 'pencil'] as const;
export type Texture = (typeof TEXTURES)[number];
/** Pressed or loose: what cream and liquid are set with, and drag on. */
export const isPowder = ({ texture }: { readonly texture: Texture }): boolean =>
  texture === 'pressed' || texture === 'loose';
export const FAMILIES = ['silicone', 'water', 'oil', 'wax', 'alcohol', 'powder'] as const;
export type Family = (typeof FAMILIES)[number];
export const MEASURES = ['pump', 'drop', 'dot', 'swipe', 'rice-grain'] as const;
export type Measure = (typeof MEASURES)[number];

const description = {
  maker: TextSchema,
  line: TextSchema,
  shade: Type.String({ maxLength: 200, description: 'empty for what comes in none, as most care' }),
  kind: oneOf(PRODUCT_KINDS),
  lab: Type.Union([LabSchema, Type.Null()], {
    description: 'colour of a thick layer; null for what has none',
  }),
  coverage: oneOf(COVERAGE_WORDS),
  finish: oneOf(FINISHES),
  texture: oneOf(TEXTURES),
  family: oneOf(FAMILIES),
  ingredients: Type.Array(TextSchema, { maxItems: 200 }),
  measure: oneOf(MEASURES),
  mgPerMeasure: Type.Number({ exclusiveMinimum: 0, maximum: 5000 }),
};

const tintingStrength = Type.Number({
  exclusiveMinimum: 0,
  maximum: 20,
  description: 'how strongly it tints in a mix; 1 until a test mix says otherwise',
});

/** The parts of a measure that can be taken: a whole one, half a pump, a quarter. */
export const SMALLEST_SHARES = [1, 0.5, 0.25] as const;

/** How a product wears and is taken; what is not stated is unknown, never 'no'. */
const properties = {
  wearHours: Type.Optional(
    Type.Number({ minimum: 0, maximum: 48, description: 'hours it is known to hold' }),
  ),
  waterproof: Type.Optional(Type.Boolean({ description: 'holds in tears, sweat and rain; tubing counts' })),
  transferProof: Type.Optional(
    Type.Boolean({ description: 'stays when it is kissed, eaten with or rubbed' }),
  ),
  tool: Type.Optional(oneOf(TOOLS, 'what it is laid with when the step says nothing else')),
  smallestShare: Type.Optional(
    oneOfNumbers(SMALLEST_SHARES, 'the smallest share of a measure that can be taken'),
  ),
};

const flashGrade = Type.Optional(
  oneOfNumbers([0, 1, 2, 3], 'how strongly it throws a flash back, by the studio’s own photos'),
);
const eyeSafe = Type.Boolean({ description: 'meant for the eye area' });

/** A product as a chart remembers it: enough to repeat or replace it when the kit has moved on. */
export const ProductSnapshotSchema = Type.Object(
  {
    id: UuidSchema,
    ...description,
    ...properties,
    tintingStrength: Type.Optional(tintingStrength),
    eyeSafe: Type.Optional(eyeSafe),
    flashGrade,
  },
  closed,
);
export type ProductSnapshot = Static<typeof ProductSnapshotSchema>;

/** A product of a studio's kit. */
export const ProductSchema = Type.Object(
  {
    id: UuidSchema,
    ...description,
    ...properties,
    tintingStrength,
    monthsAfterOpening: Type.Integer({ minimum: 1, maximum: 60 }),
    withdrawn: Type.Boolean(),
    singleUse: Type.Boolean(),
    eyeSafe,
    flashGrade,
  },
  closed,
);
export type Product = Static<typeof ProductSchema>;

/** One bottle, pan or stick that is owned. */
export const UnitSchema = Type.Object(
  {
    id: UuidSchema,
    productId: UuidSchema,
    openedOn: Type.Union([DateSchema, Type.Null()]),
    remainingMg: Type.Number({ minimum: 0, maximum: 1e7 }),
    place: Type.String({ maxLength: 120 }),
  },
  closed,
);
export type Unit = Static<typeof UnitSchema>;

export type Kit = { readonly products: readonly Product[]; readonly units: readonly Unit[] };

/** What a chart keeps of a product; what is as usual or unknown is not written. */
export function snapshotOf(product: Product): ProductSnapshot {
  const {
    monthsAfterOpening: _months,
    withdrawn: _withdrawn,
    singleUse: _single,
    tintingStrength,
    ...kept
  } = product;
  const stated = Object.fromEntries(
    Object.entries(kept).filter(([, value]) => value !== undefined),
  ) as typeof kept;
  return tintingStrength === 1 ? stated : { ...stated, tintingStrength };
}

/** What stays wet until it is set or dries. A spray is not laid as a layer. */
export const isWet = ({ texture, kind }: Pick<ProductSnapshot, 'texture' | 'kind'>): boolean =>
  (texture === 'liquid' || texture === 'cream' || texture === 'stick' || texture === 'gel') &&
  kind !== 'spray';

type Named = Pick<Product, 'maker' | 'line' | 'shade'>;

/** 'Maker Line Shade', as it is said at the chair. */
export const productName = (product: Named): string => `${product.maker} ${shadeName(product)}`;

/** 'Line Shade', where who makes it is plain; the line alone of what comes in no shades. */
export const shadeName = ({ line, shade }: Pick<Named, 'line' | 'shade'>): string =>
  shade === '' ? line : `${line} ${shade}`;

const WITHOUT_SHADE: readonly ProductKind[] = ['prep', 'primer', 'spray', 'mascara', 'lashes'];
/** Whether products of a kind are told apart by their shades: a moisturiser comes in none. */
export const needsShade = (kind: ProductKind): boolean => !WITHOUT_SHADE.includes(kind);

/** Whether two may be stirred together: families agree, and nothing pressed is scraped into what is wet. */
export function mayBeStirred(a: Stirred, b: Stirred): boolean {
  const scraped = (one: Stirred, other: Stirred): boolean => one.texture === 'pressed' && isWet(other);
  return familiesAgree(a.family, b.family) && !scraped(a, b) && !scraped(b, a);
}
type Stirred = Pick<Product, 'family' | 'texture' | 'kind'>;

/**
 * Whether two families may be stirred together or laid over each other wet: like meets like, oil meets wax.
 */
export function familiesAgree(a: Family, b: Family): boolean {
  if (a === b || a === 'powder' || b === 'powder') return true;
  const fatty: readonly Family[] = ['oil', 'wax'];
  return fatty.includes(a) && fatty.includes(b);
}
