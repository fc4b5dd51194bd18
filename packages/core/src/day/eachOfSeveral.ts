import { roleTold } from './guestRoleWords';

/** "1. ", "2)", "- ", "• " before a line. */
export const BULLET = /^\s*(?:\d{1,3}\)\s*|\d{1,3}\.(?:\s+|(?=\p{L}))|[-*•–]\s*(?=[\p{L}\d]))/u;

/** "3 ", "2 x ", "the three " before whom it counts. */
const COUNT = String.raw`(?:(?:\d{1,2}\s*[x×]?|(?:the )?(?:two|three|four|five|six))\s+)?`;
/** "Bridesmaids x3:", "The bridesmaids -", "2 bridesmaids -", and who they are. */
const ROLE_FIRST = new RegExp(
  String.raw`^\s*${COUNT}(\p{L}[\p{L}’' -]*?s)\s*(?:[x×]\s*\d{1,2}|\(\d{1,2}\)|\d{1,2})?\s*(?::|\s[-–—]\s)\s*(.+)$`,
  'iu',
);
/** "2 mums (Helen & Ines) 35 min each". */
const ROLE_AND_BRACKET = new RegExp(String.raw`^\s*${COUNT}(\p{L}[\p{L}’' -]*?s)\s*\(([^()]+)\)(.*)$`, 'iu');
/** "Flower girls Pip & Posy": a role of up to three words, and names right after it. */
const ROLE_THEN_NAMES = new RegExp(
  String.raw`^\s*${COUNT}(\p{L}+(?:[’' -]\p{L}+){0,2}?s)\s+(\p{Lu}.+)$`,
  'iu',
);
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
  for (const pattern of [ROLE_FIRST, ROLE_THEN_NAMES]) {
    const [, role, rest] = pattern.exec(plain) ?? [];
    if (role === undefined || rest === undefined || roleTold(role) === null) continue;
    const [, told = '', ofEach = ''] = OF_EACH.exec(rest) ?? [];
    // Brackets at the end are the last one's.
    const whole = namesIn(roleTold(role) === 'child' ? withAges(rest) : rest);
    const names = whole ?? namesIn(told);
    const each = whole ? '' : ofEach;
    if (names) return names.map((one) => ofRole(role, one, each));
  }
  const [, role, bracket = '', rest = ''] = ROLE_AND_BRACKET.exec(plain) ?? [];
  const inBracket = role !== undefined && roleTold(role) !== null ? namesIn(bracket) : null;
  if (inBracket) return inBracket.map((one) => ofRole(role!, one, rest));
  for (const mark of plain.matchAll(BEFORE_ROLE)) {
    const after = plain.slice(mark.index + mark[0].length);
    const [whole = '', told] = ROLE.exec(after) ?? [];
    const names = told !== undefined && roleTold(told) !== null ? namesIn(plain.slice(0, mark.index)) : null;
    // Who has a role of their own is none of those the last one counts.
    if (names?.every(({ own }) => roleTold(own.slice(1, -1)) === null))
      return names.map(
        ({ name, own }) => `${name} (${told}) ${own}${after.slice(whole.length).replace(/^\)/, '')}`,
      );
  }
  return eachByBrackets(plain) ?? eachWithTime(plain) ?? [line];
}

/** A name, and when they are to be ready. */
const NAME_AND_TIME =
  /^(\p{Lu}[\p{L}'’-]*(?: \p{Lu}[\p{L}'’-]*){0,2})\s*(?:[-–@]|at|by)?\s*(\d{1,2})([:.h]\d{2})?\s*([ap]m)?$/u;
/** What else has a number behind it: "Hair 40", "Room 12". */
const NUMBERED = /^(?:hair|make-?up|face|mua?|room|table|flat|suite|floor|chair|age|look)\b/i;
/** An hour alone is one of a morning: a small number counts something. */
const isHour = ([, , hour, minutes, half]: readonly (string | undefined)[]): boolean =>
  minutes !== undefined || half !== undefined ? Number(hour) < 24 : Number(hour) >= 5 && Number(hour) <= 12;
/** "Jess 10, Tess 10.30, Bess 11.15": each with a time, of which one at least is plainly one; else null. */
function eachWithTime(line: string): readonly string[] | null {
  const each = line
    .split(/\s*[,;]\s*/)
    .filter((part) => part !== '')
    .map((part) => (NUMBERED.test(part) ? null : NAME_AND_TIME.exec(part)));
  if (each.length < 2 || !each.some((one) => one?.[3] !== undefined || one?.[4] !== undefined)) return null;
  const lines = each.map((one) =>
    one && isHour(one) ? `${one[1]}, ${one[2]}${one[3] ?? (one[4] ? '' : ':00')}${one[4] ?? ''}` : null,
  );
  return lines.every((one) => one !== null) ? lines : null;
}

/** "Pip 6, Posy 9": children, each with how old they are; anything else as it is. */
const withAges = (names: string): string =>
  names.replace(/(\p{L}) (\d{1,2})(?=\s*(?:[,&+]|and\b|$))/gu, '$1 ($2)');

const ofRole = (role: string, { name, own }: Named, each: string): string =>
  `${role}: ${name}${own === '' ? '' : ` ${own}`}${each}`;

/**
 * "Ada (bride), Bel, Coco (bridesmaids)": each with the bracket behind the name, or the next that tells a
 * role of several; null where somebody has none.
 */
function eachByBrackets(line: string): readonly string[] | null {
  const all = namesIn(line);
  const ofSeveral = (own: string): boolean => /s\)$/i.test(own) && roleTold(own.slice(1, -1)) !== null;
  const each = all?.map(({ name, own }, i) => {
    const next = own === '' ? all.slice(i).find((one) => one.own !== '')?.own : own;
    return next !== undefined && (own !== '' || ofSeveral(next)) ? `${name} ${next}` : null;
  });
  return each?.every((one) => one !== null) ? each : null;
}

/** Names joined by commas, strokes, "and", "&" or "+", at least two; null where one of them is none. */
type Named = {
  readonly name: string;
  /** What is said of them in brackets. */ readonly own: string;
};
export function namesIn(words: string): readonly Named[] | null {
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
