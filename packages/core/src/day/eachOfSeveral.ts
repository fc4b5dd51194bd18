import { roleTold } from './guestRoleWords';

/** "1. ", "2)", "- ", "• " before a line. */
export const BULLET = /^\s*(?:\d{1,3}\)\s*|\d{1,3}\.(?:\s+|(?=\p{L}))|[-*•–]\s*(?=[\p{L}\d]))/u;

/** "Bridesmaids x3:", "The bridesmaids -", and who they are. */
const ROLE_FIRST =
  /^\s*(\p{L}[\p{L}’' -]*?s)\s*(?:[x×]\s*\d{1,2}|\(\d{1,2}\)|\d{1,2})?\s*(?::|\s[-–—]\s)\s*(.+)$/iu;
/** What may stand between names and their role. */
const BEFORE_ROLE = /\s*[,:(]\s*|\s+[-–—]\s+/g;
const ROLE = /^(?:all )?(\p{L}+(?:[’' -]\p{L}+)*s)(?=\s*(?:[),;:]|$)|\s+[-–—]\s)/iu;
const NAME = /^\p{Lu}[\p{L}'’-]*(?: \p{Lu}[\p{L}'’-]*){0,2}$/u;
/** What is said after them is said of each. */
const OF_EACH = /^(.*?)(\s+[-–—]\s+.*|\s*\(.*\)\s*)?$/;

/**
 * The lines of several people told in one, each by name with their role ("Bridesmaids x3: Ada, Bel & Coco -
 * make-up", "Ada, Bel and Coco - bridesmaids"); any other line as it is.
 */
export function eachOfSeveral(line: string): readonly string[] {
  const plain = line.replace(BULLET, '');
  const [, role, rest] = ROLE_FIRST.exec(plain) ?? [];
  if (role !== undefined && rest !== undefined && roleTold(role) !== null) {
    const [, told = '', ofEach = ''] = OF_EACH.exec(rest) ?? [];
    const names = namesIn(told);
    if (names) return names.map((name) => `${role}: ${name}${ofEach}`);
  }
  for (const mark of plain.matchAll(BEFORE_ROLE)) {
    const after = plain.slice(mark.index + mark[0].length);
    const [whole = '', told] = ROLE.exec(after) ?? [];
    const names = told !== undefined && roleTold(told) !== null ? namesIn(plain.slice(0, mark.index)) : null;
    if (names) return names.map((name) => `${name} (${told})${after.slice(whole.length).replace(/^\)/, '')}`);
  }
  return [line];
}

/** Names joined by commas, "and", "&" or "+", at least two; null where one of them is none. */
function namesIn(words: string): readonly string[] | null {
  const names = words
    .trim()
    .split(/\s*,\s*(?:and\s+|&\s*)?|\s+(?:and|&|\+)\s+/)
    .filter((name) => name !== '');
  return names.length > 1 && names.every((name) => NAME.test(name)) ? names : null;
}
