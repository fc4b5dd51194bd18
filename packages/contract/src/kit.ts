import { array, boolean, mixed, number, object, string, type InferType } from 'yup';
import {
  COVERAGE_WORDS,
  FAMILIES,
  FINISHES,
  impossibleBecause,
  KIT_COLUMN_NAMES,
  MEASURES,
  msg,
  needsShade,
  paletteProblems,
  PaletteSchema,
  PRODUCT_KINDS,
  SMALLEST_SHARES,
  term,
  TEXTURES,
  TOOLS,
  type ColumnMapping,
  type Lab,
  type Palette,
  type Product,
  type Unit,
} from '@toile/core';
import { Value } from '@sinclair/typebox/value';
import { uuid } from './client';
import { day } from './shapes';
import { text } from './text';

const unknown = '${unknown} is not known here';
const name = (what: 'maker' | 'line') =>
  text()
    .required(() => msg`Write the ${term(what)}`)
    .max(200, () => msg`At most 200 letters`);
const oneOf = <T extends string>(
  words: readonly T[],
  what: 'kind' | 'coverage' | 'finish' | 'texture' | 'family' | 'measure',
) =>
  string()
    .oneOf([...words], () => msg`Choose a ${term(what)}`)
    .required(() => msg`Choose a ${term(what)}`);

const isLab = (value: unknown): value is Lab =>
  Array.isArray(value) &&
  value.length === 3 &&
  value.every((v) => typeof v === 'number' && Number.isFinite(v));

/** A surface colour typed or read: what CIELAB can hold at all. */
const surfaceLab = mixed<Lab>(isLab)
  .typeError(() => msg`Three numbers: L*, a* and b*`)
  .test(
    'surface',
    () => msg`No surface has this colour: L* is 0 to 100, a* and b* within 128 of 0`,
    (value) => {
      if (value === undefined || value === null) return true;
      return value[0] >= 0 && value[0] <= 100 && Math.abs(value[1]) <= 128 && Math.abs(value[2]) <= 128;
    },
  );

/** A product as it is added or changed. */
export const productInputSchema = object({
  id: uuid().required(),
  maker: name('maker'),
  line: name('line'),
  shade: text()
    .max(200, () => msg`At most 200 letters`)
    .default(''),
  kind: oneOf(PRODUCT_KINDS, 'kind'),
  lab: surfaceLab.nullable().defined(),
  coverage: oneOf(COVERAGE_WORDS, 'coverage'),
  finish: oneOf(FINISHES, 'finish'),
  texture: oneOf(TEXTURES, 'texture'),
  family: oneOf(FAMILIES, 'family'),
  ingredients: array()
    .of(
      text()
        .required()
        .max(200, () => msg`At most 200 letters each`),
    )
    .max(200, () => msg`At most 200`)
    .default([]),
  measure: oneOf(MEASURES, 'measure'),
  mgPerMeasure: number()
    .typeError(() => msg`A number of milligrams`)
    .moreThan(0, () => msg`More than 0 mg`)
    .max(5000, () => msg`At most 5000 mg`)
    .required(() => msg`How much one measure holds, in mg`),
  tintingStrength: number()
    .typeError(() => msg`A number`)
    .moreThan(0, () => msg`More than 0`)
    .max(20, () => msg`At most 20`)
    .default(1),
  monthsAfterOpening: number()
    .typeError(() => msg`A number of months`)
    .integer(() => msg`Whole months`)
    .min(1, () => msg`At least 1`)
    .max(60, () => msg`At most 60`)
    .required(() => msg`Months it is good for once opened`),
  withdrawn: boolean().default(false),
  singleUse: boolean().default(false),
  eyeSafe: boolean().default(false),
  flashGrade: number()
    .oneOf([0, 1, 2, 3], () => msg`From 0, nothing, to 3, plainly`)
    .optional(),
  wearHours: number()
    .typeError(() => msg`A number of hours`)
    .min(0, () => msg`Not less than nothing`)
    .max(48, () => msg`At most 48 hours`)
    .optional(),
  waterproof: boolean().optional(),
  transferProof: boolean().optional(),
  smallestShare: number()
    .oneOf([...SMALLEST_SHARES], () => msg`A whole measure, half or a quarter`)
    .optional(),
  tool: string()
    .oneOf([...TOOLS], () => msg`Choose a tool`)
    .optional(),
})
  .test(
    'possible',
    () => msg`cannot be`,
    function ({ kind, lab }) {
      const known = PRODUCT_KINDS.find((k) => k === kind);
      // What is no colour at all is said of by itself.
      const why = known && isLab(lab) ? impossibleBecause(known, lab) : null;
      return why === null || this.createError({ path: 'lab', message: why });
    },
  )
  .test(
    'told apart',
    () => msg`Write the ${term('shade')}`,
    function ({ kind, shade }) {
      const known = PRODUCT_KINDS.find((k) => k === kind);
      const told = shade !== '' || known === undefined || !needsShade(known);
      return told || this.createError({ path: 'shade' });
    },
  )
  .noUnknown(unknown);
export type ProductInput = Product;

/** A unit: one bottle, pan or stick that is owned. */
export const unitInputSchema = object({
  id: uuid().required(),
  productId: uuid().required(() => msg`Choose the product`),
  openedOn: day()
    .min(1, () => msg`A date, as 2031-05-14`)
    .nullable()
    .default(null),
  remainingMg: number()
    .typeError(() => msg`A number of milligrams`)
    .min(0, () => msg`Not less than nothing`)
    .max(1e7, () => msg`At most 10 kg`)
    .required(() => msg`How much is in it, in mg`),
  place: text()
    .default('')
    .max(120, () => msg`At most 120 letters`),
}).noUnknown(unknown);
export type UnitInput = Unit;

/** A correction by hand: how much is really left. */
export const countInputSchema = object({
  id: uuid().required(),
  remainingMg: number()
    .typeError(() => msg`A number of milligrams`)
    .min(0, () => msg`Not less than nothing`)
    .max(1e7, () => msg`At most 10 kg`)
    .required(() => msg`How much is left, in mg`),
  note: text()
    .default('')
    .max(200, () => msg`At most 200 letters`),
}).noUnknown(unknown);
export type CountInput = InferType<typeof countInputSchema>;

export const paletteInputSchema = object({
  palette: mixed<Palette>((value): value is Palette => Value.Check(PaletteSchema, value))
    .typeError(
      () => msg`A palette has a name, 1 to 12 rows and columns, and pans with row, column and product`,
    )
    .required()
    .test('places', 'doubled', function (value) {
      const first = value ? paletteProblems(value)[0] : undefined;
      return first ? this.createError({ message: first.message }) : true;
    }),
}).noUnknown(unknown);
export type PaletteInput = { palette: Palette };

/**
 * A kit file: its text, which header holds what, and whether rows that are wrong are left out or stop
 * everything.
 */
export const importKitSchema = object({
  text: string()
    .required(() => msg`Choose a file`)
    .max(6_000_000, () => msg`The file is larger than 6 MB. Split it.`),
  mapping: mixed<ColumnMapping>(
    (value): value is ColumnMapping =>
      value !== null &&
      typeof value === 'object' &&
      Object.entries(value).every(
        ([key, header]) => KIT_COLUMN_NAMES.some((c) => c === key) && typeof header === 'string',
      ),
  )
    .typeError(() => msg`A header for each column`)
    .required(),
  leaveOutWrong: boolean().default(false),
  owned: boolean().default(false),
}).noUnknown(unknown);
export type ImportKit = {
  text: string;
  mapping: ColumnMapping;
  leaveOutWrong: boolean;
  /** Where no column says anything of units: whether every row is something that is owned. */
  owned: boolean;
};

/** A substitute put in place of a product: in one chart, or in each of these. */
export const substitutionSchema = object({
  chartIds: array()
    .of(uuid().required())
    .min(1, () => msg`Choose at least one chart`)
    .max(500, () => msg`At most 500 charts at once`)
    .required(),
  parts: array()
    .of(
      object({
        productId: uuid().required(),
        unitId: uuid().required(),
        pumps: number()
          .integer()
          .min(1, () => msg`At least 1`)
          .max(12, () => msg`At most 12`)
          .required(),
      }).noUnknown(unknown),
    )
    .min(1, () => msg`At least one product`)
    .max(3, () => msg`At most three products`)
    .required(),
  doseFactor: number().min(0.1).max(10).default(1),
  reason: text()
    .default('')
    .max(2000, () => msg`At most 2000 letters`),
}).noUnknown(unknown);
export type SubstitutionInput = InferType<typeof substitutionSchema>;
