import Papa from 'papaparse';
import { msg } from '../messages';
import { roleTold } from './guestRoleWords';

/** What a column of a table of people holds. */
type Column = 'name' | 'role' | 'ready' | 'face' | 'hair' | 'work';
const HEADERS: readonly (readonly [column: Column, told: RegExp])[] = [
  ['name', /^(?:full |first )?name$|^who$|^person$|^guest$|^client$/],
  ['role', /^role$|^relation(?:ship)?$|^part$|^title$/],
  ['ready', /^(?:ready|needed|done|finish(?:ed)?)(?: by| at)?(?: time)?$|^time$|^ready time$|^by$/],
  ['face', /^(?:make ?up|mua|face|beauty)(?: (?:min(?:ute)?s?|time|length))?$/],
  ['hair', /^hair(?: (?:min(?:ute)?s?|time|length))?$/],
  ['work', /^(?:services?|treatments?|booked|booking|what|work|hair (?:and |or )?(?:make ?up|face|mua?))$/],
];

export type TableLine = {
  readonly line: number;
  readonly text: string;
  /** What stands in columns nobody here reads, each by its header. */
  readonly notes?: string;
};

const plain = (cell: string): string =>
  cell
    .toLowerCase()
    .replace(/[^\p{L}\d]+/gu, ' ')
    .trim();
const columnOf = (cell: string): Column | null =>
  HEADERS.find(([, told]) => told.test(plain(cell)))?.[0] ?? null;
/** A column for whatever there is to say. */
const NOTES = /^(?:notes?|comments?|remarks?|info|other)$/;
/** Nothing is done: an empty cell, a stroke, a no. */
const NOTHING = /^(?:[-–—]*|no?|none|n\/?a|0|x?✗)$/i;
const YES = /^(?:yes|y|x|✓|✔|true|1)$/i;

/**
 * A list that is a table: its first line names a column of names and at least one more that is known. Each
 * row is told as a line of a list would tell it, so that both are read by one rule; other columns are notes.
 * Null where it is no table.
 */
export function guestTable(text: string): readonly TableLine[] | null {
  const first = text.split(/\r?\n/).find((line) => line.trim() !== '');
  const delimiter = ['\t', '|', ';', ','].find((mark) => first?.includes(mark));
  if (delimiter === undefined) return null;
  const rows = Papa.parse<string[]>(text, { delimiter })
    .data.map((cells, i) => ({ line: i + 1, cells: cells.map((cell) => cell.trim()) }))
    // A line of strokes under a header is drawn.
    .filter(({ cells }) => cells.some((cell) => !/^:?-*:?$/.test(cell)));
  const [header, ...body] = rows;
  const names = header?.cells ?? [];
  const columns = names.map(columnOf);
  const known = new Set(columns.filter((column) => column !== null));
  if (!known.has('name') || known.size < 2) return null;
  const at = (column: Column): number => columns.indexOf(column);
  return body.map(({ line, cells }) => {
    /** Who it is, told in a column for anything. */
    const role = cells.find((cell, i) => columns[i] === null && roleTold(cell) !== null);
    const text = rowAsLine((column) => cells[at(column)] ?? (column === 'role' ? (role ?? '') : ''), known);
    const notes = names.flatMap((name, i) => {
      const cell = cells[i];
      if (columns[i] !== null || !cell || (cell === role && at('role') < 0)) return [];
      return [name === '' || NOTES.test(plain(name)) ? cell : `${name}: ${cell}`];
    });
    return { line, text, notes: notes.join('. ') };
  });
}

function rowAsLine(cell: (column: Column) => string, known: ReadonlySet<Column>): string {
  const service = (column: 'face' | 'hair'): string => {
    const told = cell(column);
    if (NOTHING.test(told)) return '';
    return YES.test(told) ? column : `${column} ${told.replace(/\s*(?:minutes?|mins?|m)$/i, '')}`;
  };
  const [face, hair] = [service('face'), service('hair')];
  // A column for the face with nothing in it says so only where there is hair to be done.
  const bare = known.has('face') && face === '' && hair !== '';
  const ready = cell('ready');
  // 'Orr, Helen' is one name.
  const name = cell('name').replace(/^([^,]+),\s*(.+)$/, '$2 $1');
  return [name, cell('role'), ready, cell('work'), hair, bare ? msg`no makeup` : face]
    .filter((part) => part !== '')
    .join(', ');
}
