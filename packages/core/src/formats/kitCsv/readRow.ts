import { dayTold, isDay, monthTold, type DayOrder } from '../../calendar';
import type { Lab } from '../../colour';
import {
  amountTold,
  COVERAGE_WORDS,
  FAMILIES,
  finishTold,
  FINISHES,
  forEyesTold,
  fullMg,
  kindsTold,
  MEASURES,
  needsShade,
  PRODUCT_KINDS,
  SMALLEST_SHARES,
  textureTold,
  TEXTURES,
  TOOLS,
  usualForm,
  waterproofTold,
  type Product,
  type ProductKind,
  type Texture,
  type Unit,
} from '../../kit';
import { msg } from '../../messages';
import { impossibleBecause } from '../../shade';
import { coverageInCell, familyInCell, finishInCell, measureInCell, textureInCell } from './cellWords';
import type { KitColumn } from './columns';

export type NewProduct = Omit<Product, 'id'>;
export type NewUnit = Omit<Unit, 'id' | 'productId'>;
export type KitRowProblem = { readonly column: string; readonly message: string };
export type KitCsvRow = {
  /** Line of the file, the header being 1. */
  readonly line: number;
  readonly product: NewProduct | null;
  readonly unit: NewUnit | null;
  /** How many of that unit there are; 0 without one. */
  readonly unitCount: number;
  readonly problems: readonly KitRowProblem[];
  /** A product by this name is in the kit already: only its unit is added. */
  readonly known: boolean;
  /** The unit's amount was not said: it is taken as full. */
  readonly takenAsFull: boolean;
};

const LIST_SEPARATOR = /\s*[|;]\s*/;
/** As lists are printed: "1,2-Hexanediol" is one, and so is what has a comma in brackets. */
const PRINTED_SEPARATOR = /,(?![^()]*\))(?:\s+|(?=[a-z(]))/i;

/** Checks one row cell by cell; what is missing takes the default of its kind, what is wrong is said. */
export function readRow(
  order: DayOrder | null,
  cell: (column: KitColumn) => string,
  line: number,
  ownedAll: boolean,
): KitCsvRow {
  const problems: KitRowProblem[] = [];
  const wrong = (column: KitColumn, message: string): void => void problems.push({ column, message });
  const short = (column: KitColumn): string => {
    if (cell(column).length > 200) wrong(column, msg`is longer than 200 letters`);
    return cell(column);
  };
  const text = (column: KitColumn): string => {
    if (cell(column) === '') wrong(column, msg`is empty`);
    return short(column);
  };
  /** A word of ours, or what a list's own word means by it; what is usual where the cell is empty. */
  const word = <T extends string>(
    column: KitColumn,
    words: readonly T[],
    usual: T,
    meant: (value: string) => T | null,
  ): T => {
    const value = cell(column);
    if (value === '') return usual;
    const found = words.find((w) => w === value.toLowerCase()) ?? meant(value);
    if (found === null) wrong(column, msg`“${value}” is not one of ${words.join(', ')}`);
    return found ?? usual;
  };
  const number = (column: KitColumn, low: number, high: number, otherwise: number | null): number | null => {
    const value = cell(column);
    if (value === '') return otherwise;
    // As it stands on the jar: 12M.
    const bare = column === 'months after opening' ? value.replace(/\s*m(onths?|o)?\.?$/i, '') : value;
    const read = Number(bare.replace(/\s/g, '').replace(',', '.'));
    if (!Number.isFinite(read)) wrong(column, msg`“${value}” is not a number`);
    else if (read < low || read > high) wrong(column, msg`${value} is outside ${low} to ${high}`);
    return read;
  };
  const yes = (column: KitColumn): boolean => {
    const value = cell(column).toLowerCase();
    if (['yes', 'true', '1', 'x', 'y', '✓', '✔'].includes(value)) return true;
    if (!['', 'no', 'false', '0', 'n'].includes(value))
      wrong(column, msg`“${cell(column)}” is neither yes nor no`);
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
      msg`is missing: a colour has all three of L*, a*, b*, or none`,
    );
  const lab: Lab | null = given === 3 ? [L!, a!, b!] : null;
  const list = cell('ingredients');
  const ingredients = list
    .split(LIST_SEPARATOR.test(list) ? LIST_SEPARATOR : PRINTED_SEPARATOR)
    .map((i) => i.trim())
    .filter(Boolean);
  if (ingredients.some((i) => i.length > 200))
    wrong('ingredients', msg`has one longer than 200 letters: separate them by |`);
  if (ingredients.length > 200) wrong('ingredients', msg`are more than 200`);
  const grade = number('flash grade', 0, 3, null);
  const wearHours = number('wear hours', 0, 48, null);
  // What somebody calls it by kind is said of it; a maker's name for a line is not.
  const waterproof = maybe('waterproof') ?? (waterproofTold(cell('kind')) ? true : null);
  const transferProof = maybe('transfer proof');
  const share = number('smallest share', 0.25, 1, null);
  const smallestShare = SMALLEST_SHARES.find((s) => s === share);
  if (share !== null && smallestShare === undefined)
    wrong('smallest share', msg`${share} is not one of ${SMALLEST_SHARES.join(', ')}`);
  const toolWord = cell('tool').toLowerCase();
  const tool = TOOLS.find((t) => t === toolWord);
  if (toolWord !== '' && !tool) wrong('tool', msg`“${cell('tool')}” is not one of ${TOOLS.join(', ')}`);
  const kind = kindOf(cell('kind'), cell('line'), (message) => wrong('kind', message));
  const called = `${cell('kind')} ${cell('line')}`;
  const made = textureOf(kind, called);
  const texture = word('texture', TEXTURES, made ?? usualForm(kind).texture, (told) =>
    textureInCell(told, called),
  );
  const usual = usualForm(kind, texture);
  const product: NewProduct = {
    maker: text('maker'),
    line: text('line'),
    shade: needsShade(kind) ? text('shade') : short('shade'),
    kind,
    lab: lab === null ? null : [...lab],
    coverage: word('coverage', COVERAGE_WORDS, 'medium', coverageInCell),
    finish: word('finish', FINISHES, finishTold(called) ?? 'natural', finishInCell),
    texture,
    family: word('family', FAMILIES, usual.family, familyInCell),
    ingredients,
    measure: word('measure', MEASURES, usual.measure, measureInCell),
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
  const opened = openedTold === '' ? '' : (dayTold(openedTold, order) ?? monthTold(openedTold) ?? '');
  if (openedTold !== '' && !isDay(opened))
    wrong(
      'opened on',
      order === null && /^\d{1,2}\D\d{1,2}\D\d{2,4}$/.test(openedTold)
        ? msg`“${openedTold}” may be read two ways: write it as 2031-05-14`
        : msg`“${openedTold}” is not a date as 2031-05-14`,
    );
  const full = sizeMg(cell('size')) ?? fullMg(product);
  const remaining = remainingOf(cell('remaining mg'), full, (message) => wrong('remaining mg', message));
  const quantity = quantityOf(cell('quantity'), (message) => wrong('quantity', message));
  const place = cell('place');
  if (place.length > 120) wrong('place', msg`is longer than 120 letters`);
  const said = opened !== '' || remaining !== null || place !== '';
  const unitCount = quantity ?? (ownedAll || said ? 1 : 0);
  const owned = unitCount > 0;
  const unit: NewUnit | null = owned
    ? { openedOn: opened === '' ? null : opened, remainingMg: remaining ?? full, place }
    : null;
  const sound = problems.length === 0;
  return {
    line,
    product: sound ? product : null,
    unit: sound ? unit : null,
    unitCount: sound ? unitCount : 0,
    problems,
    known: false,
    takenAsFull: sound && owned && remaining === null,
  };
}

/**
 * What is left, mg, of what a full one holds; null where nothing is said, or it cannot be read, which is told
 * to `wrong`.
 */
function remainingOf(told: string, full: number, wrong: (message: string) => void): number | null {
  if (told === '') return null;
  const amount = amountTold(told);
  const mg = amount === null ? null : 'mg' in amount ? amount.mg : amount.share * full;
  if (mg === null) wrong(msg`“${told}” is no amount: write it as 6000, 6 g, 15 ml, 50 % or half`);
  else if (mg > MOST_MG) wrong(msg`${told} is more than ${MOST_MG / 1e6} kg`);
  else return mg;
  return null;
}
const MOST_MG = 1e7;

/** What a full one holds, mg, as a list says it ("30ml", "9 g / 0.3 oz"); null where it says no amount. */
function sizeMg(told: string): number | null {
  const [first = ''] = told.split(/\s*[/(|]\s*/);
  // A size without a unit may be of any.
  const amount = /[a-z]/i.test(first) ? amountTold(first) : null;
  return amount && 'mg' in amount && amount.mg > 0 && amount.mg <= MOST_MG ? amount.mg : null;
}

/** More of one product than this is a shop's list. */
const MOST_PIECES = 99;
const NONE = /^(?:no|none|n|false|✗|-|–|out(?: of stock)?|sold out)$/i;
const ONE = /^(?:yes|y|x|true|✓|✔|one|have|owned|in stock)$/i;
/** How many are owned; null where nothing is said, or it cannot be read, which is told to `wrong`. */
function quantityOf(told: string, wrong: (message: string) => void): number | null {
  if (told === '') return null;
  if (NONE.test(told)) return 0;
  if (ONE.test(told)) return 1;
  const pieces = Number(
    /^[x×]?\s*(\d{1,6})\s*(?:[x×]|pcs?\.?|pieces?|units?|bottles?|pans?)?$/i.exec(told)?.[1],
  );
  if (!Number.isInteger(pieces)) wrong(msg`“${told}” is no number of pieces: write it as 2`);
  else if (pieces > MOST_PIECES) wrong(msg`${told} is more than ${MOST_PIECES}`);
  else return pieces;
  return null;
}

/**
 * A kind by whatever it is called, by the product's own name where nothing is; told to `wrong` where it is
 * none or two.
 */
function kindOf(told: string, line: string, wrong: (message: string) => void): ProductKind {
  const kinds = kindsTold(told === '' ? line : told);
  if (kinds.length > 1) wrong(msg`“${told}” may be ${kinds.join(msg` or `)}: write one of them`);
  else if (kinds.length === 0)
    wrong(told === '' ? msg`is empty` : msg`“${told}” is not one of ${PRODUCT_KINDS.join(', ')}`);
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
