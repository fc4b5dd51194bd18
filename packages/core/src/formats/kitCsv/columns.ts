import { kindsTold } from '../../kit';

/**
 * The columns of a kit file in the order they are written, with what else they may be called in files from
 * elsewhere.
 */
export const KIT_COLUMNS = {
  maker: ['brand', 'brand name', 'manufacturer', 'house'],
  line: ['range', 'product', 'name', 'product name', 'item', 'item name'],
  shade: [
    'colour',
    'color',
    'shade colour',
    'shade color',
    'shade name',
    'shade name number',
    'shade number',
    'tone',
    'number',
  ],
  kind: ['type', 'category', 'product type', 'product category', 'subcategory', 'sub category', 'item type'],
  'L*': ['l', 'lab l', 'lightness'],
  'a*': ['a', 'lab a'],
  'b*': ['b', 'lab b'],
  coverage: [],
  finish: [],
  texture: ['form'],
  family: ['base type'],
  ingredients: ['inci', 'ingredient list', 'inci list', 'contains'],
  measure: ['dose unit'],
  'mg per measure': ['mg per pump', 'mg'],
  'tinting strength': ['strength'],
  'months after opening': ['pao', 'period after opening', 'shelf life', 'months'],
  'eye safe': ['eyes'],
  'single use': ['disposable'],
  withdrawn: ['discontinued'],
  'flash grade': ['flashback'],
  'wear hours': ['wear', 'hours', 'lasts'],
  waterproof: ['water proof', 'tubing'],
  'transfer proof': ['transferproof', 'kiss proof'],
  'smallest share': ['smallest measure', 'half pump'],
  tool: ['applicator'],
  'opened on': ['opened', 'open date', 'date opened', 'opened date', 'opening date', 'first used'],
  'remaining mg': [
    'remaining',
    'left',
    'left mg',
    'amount left',
    'amount remaining',
    'how much is left',
    'how much left',
    'fill level',
  ],
  place: ['case', 'where', 'location', 'drawer', 'box', 'bag', 'kept in'],
  quantity: [
    'qty',
    'count',
    'how many',
    'pieces',
    'pcs',
    'stock',
    'in stock',
    'owned',
    'have',
    'number owned',
  ],
  size: ['volume', 'net weight', 'weight', 'contents', 'net', 'full size'],
} as const satisfies Record<string, readonly string[]>;
export type KitColumn = keyof typeof KIT_COLUMNS;
export const KIT_COLUMN_NAMES = Object.keys(KIT_COLUMNS) as readonly KitColumn[];
/** Said in files from elsewhere; ours have a line for each unit, with what is left of it. */
const ONLY_READ: readonly KitColumn[] = ['quantity', 'size'];
/** The columns of a file as it is written. */
export const WRITTEN_COLUMNS = KIT_COLUMN_NAMES.filter((column) => !ONLY_READ.includes(column));
/** Without these there is no product. */
export const NEEDED_COLUMNS: readonly KitColumn[] = ['maker', 'line', 'shade', 'kind'];

/** Which header of the file holds which column; a column without a header is not in the file. */
export type ColumnMapping = { readonly [column in KitColumn]?: string };

/**
 * The columns that say of each row whether it is owned. A place does not: what lies somewhere is, but few
 * write down where everything lies.
 */
export const UNIT_COLUMNS = ['opened on', 'remaining mg', 'quantity'] as const satisfies readonly KitColumn[];

const plain = (text: string): string =>
  text
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, ' ')
    .trim();

/**
 * The column each header most likely holds, by its name; of several that may hold the kind the one under
 * which most of the first rows say one ("Category: Face; Subcategory: Foundation").
 */
export function guessMapping(
  headers: readonly string[],
  rows: readonly (readonly string[])[] = [],
): ColumnMapping {
  const mapping: { [column in KitColumn]?: string } = {};
  for (const column of KIT_COLUMN_NAMES) {
    const names = [plain(column), ...KIT_COLUMNS[column]];
    const taken = Object.values(mapping);
    const header = names.flatMap((name) => headers.filter((h) => plain(h) === name && !taken.includes(h)))[0];
    if (header !== undefined) mapping[column] = header;
  }
  const taken = Object.entries(mapping).flatMap(([column, header]) => (column === 'kind' ? [] : [header]));
  const kinds = headers.filter(
    (h) => [plain('kind'), ...KIT_COLUMNS.kind].includes(plain(h)) && !taken.includes(h),
  );
  const says = (header: string): number =>
    rows.filter((cells) => kindsTold(cells[headers.indexOf(header)] ?? '').length === 1).length;
  if (mapping.kind === undefined) return mapping;
  const most = kinds.reduce((best, header) => (says(header) > says(best) ? header : best), mapping.kind);
  return { ...mapping, kind: most };
}
