import Papa from 'papaparse';
import { dayTold, dayOrderOf, isDay, type DayOrder } from '../calendar';
import type { Lab } from '../colour';
import {
  COVERAGE_WORDS,
  FAMILIES,
  finishTold,
  FINISHES,
  forEyesTold,
  fullMg,
  kindsTold,
  MEASURES,
  PRODUCT_KINDS,
  productName,
  SMALLEST_SHARES,
  textureTold,
  TEXTURES,
  TOOLS,
  usualForm,
  type Kit,
  type Product,
  type ProductKind,
  type Texture,
  type Unit,
} from '../kit';
import { impossibleBecause } from '../shade';

/**
 * The columns of a kit file in the order they are written, with what else they may be called in files from
 * elsewhere.
 */
export const KIT_COLUMNS = {
  maker: ['brand', 'brand name', 'manufacturer', 'house'],
  line: ['range', 'product', 'name', 'product name'],
  shade: ['colour', 'color', 'shade name', 'shade name number', 'shade number', 'tone', 'number'],
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
  'opened on': ['opened', 'open date', 'date opened', 'opening date'],
  'remaining mg': ['remaining', 'left', 'left mg'],
  place: ['case', 'where', 'location'],
} as const satisfies Record<string, readonly string[]>;
export type KitColumn = keyof typeof KIT_COLUMNS;
export const KIT_COLUMN_NAMES = Object.keys(KIT_COLUMNS) as readonly KitColumn[];
/** Without these there is no product. */
export const NEEDED_COLUMNS: readonly KitColumn[] = ['maker', 'line', 'shade', 'kind'];

/** Which header of the file holds which column; a column without a header is not in the file. */
export type ColumnMapping = { readonly [column in KitColumn]?: string };

export type NewProduct = Omit<Product, 'id'>;
export type NewUnit = Omit<Unit, 'id' | 'productId'>;
export type KitRowProblem = { readonly column: string; readonly message: string };
export type KitCsvRow = {
  /** Line of the file, the header being 1. */
  readonly line: number;
  readonly product: NewProduct | null;
  readonly unit: NewUnit | null;
  readonly problems: readonly KitRowProblem[];
  /** A product by this name is in the kit already: only its unit is added. */
  readonly known: boolean;
  /** The unit's amount was not said: it is taken as full. */
  readonly takenAsFull: boolean;
};
/** The columns that say something of a unit rather than of a product. */
const UNIT_COLUMNS = ['opened on', 'remaining mg', 'place'] as const satisfies readonly KitColumn[];
export type KitCsv = {
  readonly headers: readonly string[];
  readonly mapping: ColumnMapping;
  readonly rows: readonly KitCsvRow[];
  /** Whether any column says something of a unit: when it opened, what is left, where it is. */
  readonly saysUnits: boolean;
  /** What is wrong with the file as a whole; with any of these there are no rows. */
  readonly problems: readonly string[];
};

/** More rows than any studio owns: beyond it the file is something else. */
const MOST_ROWS = 20_000;
const LIST_SEPARATOR = /\s*[|;]\s*/;
/** As lists are printed: "1,2-Hexanediol" is one, and so is what has a comma in brackets. */
const PRINTED_SEPARATOR = /,(?![^()]*\))(?:\s+|(?=[a-z(]))/i;

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

/**
 * Reads a kit from comma-, semicolon- or tab-separated text, with or without byte-order mark, decimal points
 * or commas. Each row becomes a product and perhaps a unit, or says what is wrong with it and in which
 * column. Nothing is decided here: the caller takes what it wants. A row has a unit when it says anything of
 * one; where no column does, every row has one if `owned` says that these are hers. An amount that is not
 * said is that of a full one.
 */
export function readKitCsv(
  text: string,
  options: { readonly mapping?: ColumnMapping; readonly kit?: Kit; readonly owned?: boolean } = {},
): KitCsv {
  const nothing = { headers: [], mapping: {}, rows: [], saysUnits: false };
  const parsed = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), {
    skipEmptyLines: 'greedy',
    delimitersToGuess: [',', ';', '\t', '|'],
  });
  const [first, ...body] = parsed.data;
  if (!first || first.every((cell) => cell.trim() === ''))
    return { ...nothing, problems: ['The file is empty. Choose a CSV file with a header line.'] };
  const headers = first.map((cell) => cell.trim());
  const quotes = parsed.errors.find((e) => e.type === 'Quotes');
  if (quotes)
    return {
      ...nothing,
      headers,
      problems: [
        `A quotation mark that opens in row ${(quotes.row ?? 0) + 1} never closes. Close it and try again.`,
      ],
    };
  const mapping = options.mapping ?? guessMapping(headers);
  if (body.length === 0)
    return { ...nothing, headers, mapping, problems: ['The file has a header and no rows.'] };
  if (body.length > MOST_ROWS)
    return {
      ...nothing,
      headers,
      mapping,
      problems: [`The file has ${body.length} rows; at most ${MOST_ROWS} are taken at once. Split it.`],
    };
  const missing = NEEDED_COLUMNS.filter(
    (column) => mapping[column] === undefined || !headers.includes(mapping[column]),
  );
  const saysUnits = UNIT_COLUMNS.some(
    (column) => mapping[column] !== undefined && headers.includes(mapping[column]),
  );
  if (missing.length > 0)
    return {
      headers,
      mapping,
      rows: [],
      saysUnits,
      problems: [`Say which column holds ${missing.join(', ')}.`],
    };
  const at = Object.fromEntries(
    KIT_COLUMN_NAMES.map((column) => [
      column,
      mapping[column] === undefined ? -1 : headers.indexOf(mapping[column]),
    ]),
  ) as Record<KitColumn, number>;
  const order = dayOrderOf(body.map((cells) => cells[at['opened on']] ?? ''));
  const known = new Set((options.kit?.products ?? []).map(nameKey));
  const firstAt = new Map<string, { line: number; colour: string }>();
  const rows = body.map((cells, i): KitCsvRow => {
    const line = i + 2;
    const row = readRow(
      order,
      (column) => (at[column] < 0 ? '' : unarmed((cells[at[column]] ?? '').trim())),
      line,
      !saysUnits && options.owned === true,
    );
    if (cells.length !== headers.length && cells.length > headers.length)
      return {
        ...row,
        product: null,
        unit: null,
        problems: [
          ...row.problems,
          { column: headers[0]!, message: `${cells.length} cells, the header has ${headers.length}` },
        ],
      };
    if (!row.product) return row;
    const key = nameKey(row.product);
    const colour = JSON.stringify(row.product.lab);
    const earlier = firstAt.get(key);
    if (!earlier) firstAt.set(key, { line, colour });
    else if (earlier.colour !== colour)
      return {
        ...row,
        product: null,
        unit: null,
        problems: [
          { column: 'L*', message: `another colour than the same product has in line ${earlier.line}` },
        ],
      };
    return { ...row, known: known.has(key) };
  });
  return { headers, mapping, rows, saysUnits, problems: [] };
}

/** A cell that would run as a formula elsewhere is written behind an apostrophe: taken off again here. */
const unarmed = (cell: string): string => cell.replace(/^'(?=[=+@])/, '');

/** What makes two rows one product. */
export function nameKey(product: Pick<Product, 'maker' | 'line' | 'shade' | 'kind'>): string {
  return `${productName(product)} ${product.kind}`.toLowerCase();
}

/** Checks one row cell by cell; what is missing takes the default of its kind, what is wrong is said. */
function readRow(
  order: DayOrder | null,
  cell: (column: KitColumn) => string,
  line: number,
  ownedAll: boolean,
): KitCsvRow {
  const problems: KitRowProblem[] = [];
  const wrong = (column: KitColumn, message: string): void => void problems.push({ column, message });
  const text = (column: KitColumn): string => {
    const value = cell(column);
    if (value === '') wrong(column, 'is empty');
    if (value.length > 200) wrong(column, 'is longer than 200 letters');
    return value;
  };
  const word = <T extends string>(column: KitColumn, words: readonly T[], otherwise: T | null): T => {
    const value = cell(column).toLowerCase();
    const found = words.find((w) => w === value);
    if (found) return found;
    if (value === '' && otherwise !== null) return otherwise;
    wrong(column, value === '' ? 'is empty' : `“${cell(column)}” is not one of ${words.join(', ')}`);
    return otherwise ?? words[0]!;
  };
  const number = (column: KitColumn, low: number, high: number, otherwise: number | null): number | null => {
    const value = cell(column);
    if (value === '') return otherwise;
    // As it stands on the jar: 12M.
    const bare = column === 'months after opening' ? value.replace(/\s*m(onths?|o)?\.?$/i, '') : value;
    const read = Number(bare.replace(/\s/g, '').replace(',', '.'));
    if (!Number.isFinite(read)) wrong(column, `“${value}” is not a number`);
    else if (read < low || read > high) wrong(column, `${value} is outside ${low} to ${high}`);
    return read;
  };
  const yes = (column: KitColumn): boolean => {
    const value = cell(column).toLowerCase();
    if (['yes', 'true', '1', 'x', 'y', '✓', '✔'].includes(value)) return true;
    if (!['', 'no', 'false', '0', 'n'].includes(value))
      wrong(column, `“${cell(column)}” is neither yes nor no`);
    return false;
  };
  /** Yes, no, or not said. */
  const maybe = (column: KitColumn): boolean | null => (cell(column) === '' ? null : yes(column));
  const [L, a, b] = [
    number('L*', 0, 100, null),
    number('a*', -128, 128, null),
    number('b*', -128, 128, null),
  ];
  const given = [L, a, b].filter((v) => v !== null).length;
  if (given !== 0 && given !== 3)
    wrong(
      L === null ? 'L*' : a === null ? 'a*' : 'b*',
      'is missing: a colour has all three of L*, a*, b*, or none',
    );
  const lab: Lab | null = given === 3 ? [L!, a!, b!] : null;
  const list = cell('ingredients');
  const ingredients = list
    .split(LIST_SEPARATOR.test(list) ? LIST_SEPARATOR : PRINTED_SEPARATOR)
    .map((i) => i.trim())
    .filter(Boolean);
  if (ingredients.some((i) => i.length > 200))
    wrong('ingredients', 'has one longer than 200 letters: separate them by |');
  if (ingredients.length > 200) wrong('ingredients', 'are more than 200');
  const grade = number('flash grade', 0, 3, null);
  const wearHours = number('wear hours', 0, 48, null);
  const [waterproof, transferProof] = [maybe('waterproof'), maybe('transfer proof')];
  const share = number('smallest share', 0.25, 1, null);
  const smallestShare = SMALLEST_SHARES.find((s) => s === share);
  if (share !== null && smallestShare === undefined)
    wrong('smallest share', `${share} is not one of ${SMALLEST_SHARES.join(', ')}`);
  const toolWord = cell('tool').toLowerCase();
  const tool = TOOLS.find((t) => t === toolWord);
  if (toolWord !== '' && !tool) wrong('tool', `“${cell('tool')}” is not one of ${TOOLS.join(', ')}`);
  const kind = kindOf(cell('kind'), cell('line'), (message) => wrong('kind', message));
  const called = `${cell('kind')} ${cell('line')}`;
  const made = textureOf(kind, called);
  const texture = word('texture', TEXTURES, made ?? usualForm(kind).texture);
  const usual = usualForm(kind, texture);
  const product: NewProduct = {
    maker: text('maker'),
    line: text('line'),
    shade: text('shade'),
    kind,
    lab: lab === null ? null : [...lab],
    coverage: word('coverage', COVERAGE_WORDS, 'medium'),
    finish: word('finish', FINISHES, finishTold(called) ?? 'natural'),
    texture,
    family: word('family', FAMILIES, usual.family),
    ingredients,
    measure: word('measure', MEASURES, usual.measure),
    mgPerMeasure: number('mg per measure', 0.1, 5000, usual.mgPerMeasure)!,
    tintingStrength: number('tinting strength', 0.01, 20, 1)!,
    monthsAfterOpening: Math.round(number('months after opening', 1, 60, 12)!),
    withdrawn: yes('withdrawn'),
    singleUse: yes('single use'),
    eyeSafe: maybe('eye safe') ?? forEyesTold(called) ?? usual.eyeSafe,
    ...(grade === null ? {} : { flashGrade: Math.round(grade) as 0 | 1 | 2 | 3 }),
    ...(wearHours === null ? {} : { wearHours }),
    ...(waterproof === null ? {} : { waterproof }),
    ...(transferProof === null ? {} : { transferProof }),
    ...(smallestShare === undefined ? {} : { smallestShare }),
    ...(tool ? { tool } : {}),
  };
  const impossible = problems.length > 0 ? null : impossibleBecause(product.kind, product.lab);
  if (impossible) wrong('L*', impossible);
  const openedTold = cell('opened on');
  const opened = openedTold === '' ? '' : (dayTold(openedTold, order) ?? '');
  if (openedTold !== '' && !isDay(opened))
    wrong(
      'opened on',
      order === null && /^\d{1,2}\D\d{1,2}\D\d{2,4}$/.test(openedTold)
        ? `“${openedTold}” may be read two ways: write it as 2031-05-14`
        : `“${openedTold}” is not a date as 2031-05-14`,
    );
  const remaining = number('remaining mg', 0, 1e7, null);
  const place = cell('place');
  if (place.length > 120) wrong('place', 'is longer than 120 letters');
  const owned = ownedAll || opened !== '' || remaining !== null || place !== '';
  const unit: NewUnit | null = owned
    ? { openedOn: opened === '' ? null : opened, remainingMg: remaining ?? fullMg(product), place }
    : null;
  const sound = problems.length === 0;
  return {
    line,
    product: sound ? product : null,
    unit: sound ? unit : null,
    problems,
    known: false,
    takenAsFull: sound && owned && remaining === null,
  };
}

/** A kind by whatever it is called, by the product's own name where nothing is; told to `wrong` where it is none or two. */
function kindOf(told: string, line: string, wrong: (message: string) => void): ProductKind {
  const kinds = kindsTold(told === '' ? line : told);
  if (kinds.length > 1) wrong(`“${told}” may be ${kinds.join(' or ')}: write one of them`);
  else if (kinds.length === 0)
    wrong(told === '' ? 'is empty' : `“${told}” is not one of ${PRODUCT_KINDS.join(', ')}`);
  return kinds[0] ?? 'base';
}

/** Always of one texture, whatever else the name speaks of. */
const ONE_TEXTURE: ReadonlySet<ProductKind> = new Set<ProductKind>([
  'mascara',
  'lashes',
  'spray',
  'adjuster',
]);
const textureOf = (kind: ProductKind, called: string): Texture | null =>
  ONE_TEXTURE.has(kind) ? null : textureTold(called);

/**
 * The kit as CSV, a line for each unit and one for each product without; read back it gives the same kit.
 * Formulas are disarmed.
 */
export function writeKitCsv(kit: Kit): string {
  const yes = (value: boolean): string => (value ? 'yes' : 'no');
  const lines = kit.products.flatMap((p) => {
    const units: (Unit | null)[] = kit.units.filter((u) => u.productId === p.id);
    return (units.length > 0 ? units : [null]).map((u) => [
      p.maker,
      p.line,
      p.shade,
      p.kind,
      ...(p.lab ?? ['', '', '']),
      p.coverage,
      p.finish,
      p.texture,
      p.family,
      // One with a comma in it is not to be read as two.
      p.ingredients.join(' | ') + (p.ingredients.length === 1 && p.ingredients[0]!.includes(',') ? ' |' : ''),
      p.measure,
      p.mgPerMeasure,
      p.tintingStrength,
      p.monthsAfterOpening,
      yes(p.eyeSafe),
      yes(p.singleUse),
      yes(p.withdrawn),
      p.flashGrade ?? '',
      p.wearHours ?? '',
      p.waterproof === undefined ? '' : yes(p.waterproof),
      p.transferProof === undefined ? '' : yes(p.transferProof),
      p.smallestShare ?? '',
      p.tool ?? '',
      u?.openedOn ?? '',
      u?.remainingMg ?? '',
      u?.place ?? '',
    ]);
  });
  return (
    Papa.unparse(
      { fields: [...KIT_COLUMN_NAMES], data: lines },
      { newline: '\n', escapeFormulae: /^[=+@\t\r]/ },
    ) + '\n'
  );
}
