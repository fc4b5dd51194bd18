import Papa from 'papaparse';
import { dayOrderOf } from '../../calendar';
import { productName, type Kit, type Product } from '../../kit';
import { msg, term } from '../../messages';
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
  /** Whether any column says of each row whether it is owned: when it opened, what is left, how many. */
  readonly saysUnits: boolean;
  /** What is wrong with the file as a whole; with any of these there are no rows. */
  readonly problems: readonly string[];
};

/** Lines by which it is guessed what parts cells. */
const GUESSED_FROM = 50;
/** More rows, and pieces, than any studio owns: beyond it the file is something else. */
const MOST_ROWS = 20_000;

/**
 * Reads a kit from comma-, semicolon- or tab-separated text, with or without byte-order mark, decimal points
 * or commas. Each row becomes a product and perhaps a unit, or says what is wrong with it and in which
 * column. Nothing is decided here: the caller takes what it wants. A row has a unit, or as many as it says,
 * when it says anything of one; where no column says what is owned, every row has one if `owned` says that
 * these are. An amount that is not said is that of a full one, by its size where that is told.
 */
export function readKitCsv(
  text: string,
  options: { readonly mapping?: ColumnMapping; readonly kit?: Kit; readonly owned?: boolean } = {},
): KitCsv {
  const nothing = { headers: [], mapping: {}, rows: [], saysUnits: false };
  const bare = text.replace(/^\uFEFF/, '');
  // Empty lines mislead the guess; read whole they are kept, so that a line is told by its number.
  const { delimiter } = Papa.parse<string[]>(bare, {
    skipEmptyLines: 'greedy',
    delimitersToGuess: [',', ';', '\t', '|'],
    preview: GUESSED_FROM,
  }).meta;
  const parsed = Papa.parse<string[]>(bare, { delimiter });
  const lines = linesOf(parsed.data, options.mapping);
  const [header, ...body] = lines;
  if (!header)
    return { ...nothing, problems: [msg`The file is empty. Choose a CSV file with a header line.`] };
  const headers = header.cells.map((cell) => cell.trim());
  const quotes = parsed.errors.find((e) => e.type === 'Quotes');
  if (quotes)
    return {
      ...nothing,
      headers,
      problems: [
        msg`A quotation mark that opens in row ${(quotes.row ?? 0) + 1} never closes. Close it and try again.`,
      ],
    };
  const mapping =
    options.mapping ??
    guessMapping(
      headers,
      body.slice(0, GUESSED_FROM).map(({ cells }) => cells.map((cell) => cell.trim())),
    );
  if (body.length === 0)
    return { ...nothing, headers, mapping, problems: [msg`The file has a header and no rows.`] };
  if (body.length > MOST_ROWS)
    return {
      ...nothing,
      headers,
      mapping,
      problems: [msg`The file has ${body.length} rows; at most ${MOST_ROWS} are taken at once. Split it.`],
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
      problems: [msg`Say which column holds ${missing.map((column) => term(column, 'column')).join(', ')}.`],
    };
  const at = Object.fromEntries(
    KIT_COLUMN_NAMES.map((column) => [
      column,
      mapping[column] === undefined ? -1 : headers.indexOf(mapping[column]),
    ]),
  ) as Record<KitColumn, number>;
  const order = dayOrderOf(body.map(({ cells }) => cells[at['opened on']] ?? ''));
  const known = new Set((options.kit?.products ?? []).map(nameKey));
  const firstAt = new Map<string, { line: number; colour: string }>();
  const rows = body.map(({ cells, line }): KitCsvRow => {
    const row = readRow(
      order,
      (column) => (at[column] < 0 ? '' : unarmed((cells[at[column]] ?? '').trim())),
      line,
      !saysUnits && options.owned === true,
    );
    if (cells.slice(headers.length).some((cell) => cell.trim() !== ''))
      return {
        ...row,
        product: null,
        unit: null,
        problems: [
          ...row.problems,
          { column: headers[0]!, message: msg`${cells.length} cells, the header has ${headers.length}` },
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
          { column: 'L*', message: msg`another colour than the same product has in line ${earlier.line}` },
        ],
      };
    return { ...row, known: known.has(key) };
  });
  const pieces = rows.reduce((sum, { unitCount }) => sum + unitCount, 0);
  if (pieces > MOST_ROWS)
    return {
      headers,
      mapping,
      rows: [],
      saysUnits,
      problems: [msg`The file tells of ${pieces} pieces; at most ${MOST_ROWS} are taken at once. Split it.`],
    };
  return { headers, mapping, rows, saysUnits, problems: [] };
}

type CsvLine = { readonly cells: readonly string[]; readonly line: number };
/** Lines that may stand above the header: the name of the list, a date, whose it is. */
const MOST_ABOVE = 15;
/** A line is a header when so many of its cells are known by name. */
const KNOWN_CELLS = 2;

/**
 * The lines of a file that hold anything, the header first, each with where it stands (lines within quotation
 * marks count as one). What stands above the first line that is plainly a header is left out; where none is,
 * the first line is it.
 */
function linesOf(
  data: readonly (readonly string[])[],
  mapping: ColumnMapping | undefined,
): readonly CsvLine[] {
  const lines = data
    .map((cells, i): CsvLine => ({ cells, line: i + 1 }))
    .filter(({ cells }) => cells.some((cell) => cell.trim() !== ''));
  const isHeader = ({ cells }: CsvLine): boolean => {
    const headers = cells.map((cell) => cell.trim());
    return mapping
      ? Object.values(mapping).every((name) => headers.includes(name))
      : Object.keys(guessMapping(headers)).length >= KNOWN_CELLS;
  };
  const at = lines.slice(0, MOST_ABOVE).findIndex(isHeader);
  return at > 0 ? lines.slice(at) : lines;
}

/** A cell that would run as a formula elsewhere is written behind an apostrophe: taken off again here. */
const unarmed = (cell: string): string => cell.replace(/^'(?=[=+@])/, '');

/** What makes two rows one product. */
export function nameKey(product: Pick<Product, 'maker' | 'line' | 'shade' | 'kind'>): string {
  return `${productName(product)} ${product.kind}`.toLowerCase();
}
