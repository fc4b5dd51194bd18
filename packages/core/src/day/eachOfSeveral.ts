import { roleTold } from './guestRoleWords';

/** "Bridesmaids x3:", "The bridesmaids -", and who they are. */
const SEVERAL =
  /^\s*(?:[-*•–]\s*)?(\p{L}[\p{L}’' -]*?s)\s*(?:[x×]\s*\d{1,2}|\(\d{1,2}\)|\d{1,2})?\s*(?::|\s[-–—]\s)\s*(.+)$/iu;
const NAME = /^\p{Lu}[\p{L}'’-]*(?: \p{Lu}[\p{L}'’-]*){0,2}$/u;
/** What is said after them is said of each. */
const OF_EACH = /^(.*?)(\s+[-–—]\s+.*|\s*\(.*\)\s*)?$/;

/**
 * The lines of several people told in one, each by name after their role ("Bridesmaids x3: Ada, Bel & Coco -
 * make-up"); any other line as it is.
 */
export function eachOfSeveral(line: string): readonly string[] {
  const [, role, rest] = SEVERAL.exec(line) ?? [];
  if (role === undefined || rest === undefined || roleTold(role) === null) return [line];
  const [, told = '', ofEach = ''] = OF_EACH.exec(rest) ?? [];
  const names = told.split(/\s*,\s*(?:and\s+|&\s*)?|\s+(?:and|&|\+)\s+/).filter((name) => name !== '');
  return names.length > 1 && names.every((name) => NAME.test(name))
    ? names.map((name) => `${role}: ${name}${ofEach}`)
    : [line];
}
