import { roleTold } from './guestRoleWords';

/** "1. ", "2)", "- ", "• " before a line. */
export const BULLET = /^\s*(?:\d{1,3}\)\s*|\d{1,3}\.(?:\s+|(?=\p{L}))|[-*•–]\s*(?=[\p{L}\d]))/u;

/** "Bridesmaids x3:", "The bridesmaids -", and who they are. */
const ROLE_FIRST =
  /^\s*(\p{L}[\p{L}’' -]*?s)\s*(?:[x×]\s*\d{1,2}|\(\d{1,2}\)|\d{1,2})?\s*(?::|\s[-–—]\s)\s*(.+)$/iu;
/** What may stand between names and their role. */
const BEFORE_ROLE = /\s*[,:(]\s*|\s+[-–—]\s+/g;
const ROLE = /^(?:all )?(\p{L}+(?:[’' -]\p{L}+)*s)(?=\s*(?:[),;:]|$)|\s+[-–—]\s)/iu;
/** A name, and in brackets what is said of whoever has it. */
const NAME = /^(\p{Lu}[\p{L}'’-]*(?: \p{Lu}[\p{L}'’-]*){0,2})\s*(\([^()]*\))?$/u;
/** What is said after them is said of each. */
const OF_EACH = /^(.*?)(\s+[-–—]\s+.*|\s*\([^()]*\)\s*)?$/;

/**
 * The lines of several people told in one, each by name with their role ("Bridesmaids x3: Ada, Bel & Coco -
 * make-up", "Ada, Bel and Coco - bridesmaids", "Ada (bride), Bel (mum)"); any other line as it is.
 */
export function eachOfSeveral(line: string): readonly string[] {
  const plain = line.replace(BULLET, '');
  const [, role, rest] = ROLE_FIRST.exec(plain) ?? [];
  if (role !== undefined && rest !== undefined && roleTold(role) !== null) {
    const [, told = '', ofEach = ''] = OF_EACH.exec(rest) ?? [];
    // Brackets at the end are the last one's where others have some too.
    const names = namesIn(rest) ?? namesIn(told);
    const each = names && names.some(({ own }) => own !== '') ? '' : ofEach;
    if (names) return names.map(({ name, own }) => `${role}: ${name}${own === '' ? '' : ` ${own}`}${each}`);
  }
  for (const mark of plain.matchAll(BEFORE_ROLE)) {
    const after = plain.slice(mark.index + mark[0].length);
    const [whole = '', told] = ROLE.exec(after) ?? [];
    const names = told !== undefined && roleTold(told) !== null ? namesIn(plain.slice(0, mark.index)) : null;
    if (names)
      return names.map(
        ({ name, own }) => `${name} (${told}) ${own}${after.slice(whole.length).replace(/^\)/, '')}`,
      );
  }
  const each = namesIn(plain);
  return each?.every(({ own }) => own !== '') ? each.map(({ name, own }) => `${name} ${own}`) : [line];
}

/** Names joined by commas, strokes, "and", "&" or "+", at least two; null where one of them is none. */
function namesIn(words: string): readonly { readonly name: string; readonly own: string }[] | null {
  // What stands in brackets parts nothing.
  const names = words
    .trim()
    .split(/(?:\s*[,/]\s*(?:and\s+|&\s*)?|\s+(?:and|&|\+)\s+)(?![^()]*\))/)
    .filter((name) => name !== '');
  const told = names.map((name) => NAME.exec(name));
  return names.length > 1 && told.every((match) => match !== null)
    ? told.map(([, name = '', own = '']) => ({ name, own }))
    : null;
}
