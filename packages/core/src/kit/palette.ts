import { Type, type Static } from '@sinclair/typebox';
import { hueOf } from '../colour';
import { msg } from '../messages';
import { closed, TextSchema, UuidSchema } from '../schema';
import { PRODUCT_KINDS, type Product } from './product';

const place = Type.Integer({ minimum: 0, maximum: 11 });

export const PanSchema = Type.Object({ row: place, column: place, productId: UuidSchema }, closed);
export type Pan = Static<typeof PanSchema>;

/** A compact: a grid of places, some of them with a pan. */
export const PaletteSchema = Type.Object(
  {
    id: UuidSchema,
    name: TextSchema,
    rows: Type.Integer({ minimum: 1, maximum: 12 }),
    columns: Type.Integer({ minimum: 1, maximum: 12 }),
    pans: Type.Array(PanSchema, { maxItems: 144 }),
  },
  closed,
);
export type Palette = Static<typeof PaletteSchema>;

export type Cell = { readonly row: number; readonly column: number };
const isAt = (pan: Cell, { row, column }: Cell): boolean => pan.row === row && pan.column === column;

/** The pan in a place, or null. */
export function panAt(palette: Palette, cell: Cell): Pan | null {
  return palette.pans.find((pan) => isAt(pan, cell)) ?? null;
}

/** 'B3': the row's letter and the column's number, as written on the label sheet. */
export function cellName({ row, column }: Cell): string {
  return `${String.fromCharCode(65 + row)}${column + 1}`;
}

/**
 * The palette with the pan of one place in another; two pans change places. Unchanged when there is none or
 * no such place.
 */
export function movePan(palette: Palette, from: Cell, to: Cell): Palette {
  const moved = panAt(palette, from);
  if (!moved || to.row < 0 || to.column < 0 || to.row >= palette.rows || to.column >= palette.columns)
    return palette;
  const pans = palette.pans.map((pan) =>
    pan === moved
      ? { ...pan, row: to.row, column: to.column }
      : isAt(pan, to)
        ? { ...pan, row: from.row, column: from.column }
        : pan,
  );
  return { ...palette, pans };
}

/** What is wrong with a palette, each with the place it concerns. Empty when all is well. */
export function paletteProblems(palette: Palette): { readonly cell: Cell; readonly message: string }[] {
  return palette.pans.flatMap((pan, i) => {
    const { row, column } = pan;
    const cell = { row, column };
    if (row >= palette.rows || column >= palette.columns)
      return [{ cell, message: msg`${cellName(pan)} is outside ${palette.rows} rows of ${palette.columns}` }];
    const twice = palette.pans.findIndex((other) => isAt(other, pan)) < i;
    if (twice) return [{ cell, message: msg`${cellName(pan)} holds two pans; a place holds one` }];
    const same = palette.pans.findIndex((other) => other.productId === pan.productId);
    return same < i
      ? [
          {
            cell,
            message: msg`The product in ${cellName(pan)} is already in ${cellName(palette.pans[same]!)}`,
          },
        ]
      : [];
  });
}

export const ARRANGEMENTS = ['order of use', 'light to dark'] as const;
export type Arrangement = (typeof ARRANGEMENTS)[number];

/** What pans are sorted by, first things first: their kind as it comes at the chair, lightness, hue. */
export function arrangementKey(
  { kind, lab }: Pick<Product, 'kind' | 'lab'>,
  by: Arrangement,
): readonly number[] {
  const light = lab ? [-lab[0], hueOf(lab)] : [101, 0];
  return by === 'light to dark' ? light : [PRODUCT_KINDS.indexOf(kind), ...light];
}

/** Things in the order of their keys, the first that differs deciding; equal ones keep theirs. */
export function byKeys<T>(list: readonly T[], keyOf: (one: T) => readonly number[]): T[] {
  const keys = new Map(list.map((one) => [one, keyOf(one)]));
  return [...list].sort((a, b) => {
    const [ka, kb] = [keys.get(a)!, keys.get(b)!];
    const differs = ka.findIndex((value, i) => value !== kb[i]);
    return differs < 0 ? 0 : ka[differs]! - kb[differs]!;
  });
}

/**
 * The pans laid out anew from the upper left, row by row: as they come at the chair, or light to dark. Equal
 * ones keep their order.
 */
export function arrangePalette(palette: Palette, products: readonly Product[], by: Arrangement): Palette {
  const byId = new Map(products.map((p) => [p.id, p]));
  const unknown = [101, 0];
  const inReadingOrder = [...palette.pans].sort((a, b) => a.row - b.row || a.column - b.column);
  const key = ({ productId }: Pan): readonly number[] => {
    const product = byId.get(productId);
    if (product) return arrangementKey(product, by);
    return by === 'light to dark' ? unknown : [99, ...unknown];
  };
  const pans = byKeys(inReadingOrder, key).map((pan, i) => ({
    ...pan,
    row: Math.floor(i / palette.columns),
    column: i % palette.columns,
  }));
  return { ...palette, pans };
}
