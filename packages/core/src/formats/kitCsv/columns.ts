/**
 * The columns of a kit file in the order they are written, with what else they may be called in files from
 * elsewhere.
 */
export const KIT_COLUMNS = {
  maker: ['brand', 'brand name', 'manufacturer', 'house'],
  line: ['range', 'product', 'name', 'product name'],
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
  kind: ['type', 'category', 'product type', 'product category'],
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
  place: ['case', 'where', 'location'],
} as const satisfies Record<string, readonly string[]>;
export type KitColumn = keyof typeof KIT_COLUMNS;
export const KIT_COLUMN_NAMES = Object.keys(KIT_COLUMNS) as readonly KitColumn[];
/** Without these there is no product. */
export const NEEDED_COLUMNS: readonly KitColumn[] = ['maker', 'line', 'shade', 'kind'];

/** Which header of the file holds which column; a column without a header is not in the file. */
export type ColumnMapping = { readonly [column in KitColumn]?: string };

/** The columns that say something of a unit rather than of a product. */
export const UNIT_COLUMNS = ['opened on', 'remaining mg', 'place'] as const satisfies readonly KitColumn[];

const plain = (text: string): string =>
  text
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, ' ')
    .trim();

/** The column each header most likely holds, by its name. */
export function guessMapping(headers: readonly string[]): ColumnMapping {
  const mapping: { [column in KitColumn]?: string } = {};
  for (const column of KIT_COLUMN_NAMES) {
    const names = [plain(column), ...KIT_COLUMNS[column]];
    const taken = Object.values(mapping);
    const header = names.flatMap((name) => headers.filter((h) => plain(h) === name && !taken.includes(h)))[0];
    if (header !== undefined) mapping[column] = header;
  }
  return mapping;
}
