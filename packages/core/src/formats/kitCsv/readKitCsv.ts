import Papa from 'papaparse';
import { dayOrderOf } from '../../calendar';
import { productName, type Kit, type Product } from '../../kit';
import {
  guessMapping,
  KIT_COLUMN_NAMES,
  NEEDED_COLUMNS,
  UNIT_COLUMNS,
  type ColumnMapping,
  type KitColumn,
} from './columns';
import { readRow, type KitCsvRow } from './readRow';

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
