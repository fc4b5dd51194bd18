import { CHILD_UNDER } from '../care';
import { msg } from '../messages';
import { BULLET, eachOfSeveral } from './eachOfSeveral';
import { roleBeside, roleTold } from './guestRoleWords';
import { guestTable, type TableLine } from './guestTable';
import { BETWEEN_PARTS, readyByOf, timesIn } from './guestTimes';
import type { GuestRole } from './party';

/** One line of a pasted list, as far as it was understood. */
export type PastedGuest = {
  readonly name: string;
  readonly role: GuestRole;
  readonly readyBy: number | null;
  /** Null: what is usual for whoever it is; 0: hair alone. */ readonly faceMinutes: number | null;
  readonly hairMinutes: number | null;
  /** What is said of them and is none of that, in its own words: what they must not have, whom to ask. */
  readonly notes: string;
};
export type PasteProblem = { readonly line: number; readonly text: string; readonly message: string };

const USUAL_HAIR = 40;
const LONGEST_NAME = 120;
const LONGEST_NOTES = 1000;
/**
 * People out of a pasted list, one a line: a name, and in any order, divided by commas, dashes, brackets or
 * colons, who it is, a time to be ready by, and minutes ("Ada Morrow, bride, 12:30, hair 50, face 60"; "MOB
 * Helen (11.30am) - hair and make-up"); several after one role ("Bridesmaids: Cy, Di and Eve"); or a table
 * with a header, a column each. What else is said of somebody is kept as a note. What may be a name, a time
 * or a second role and is not plain, and people who are `onList` already, are named; no word is dropped.
 */
export function guestsFromText(
  text: string,
  onList: readonly string[] = [],
): {
  readonly guests: PastedGuest[];
  readonly problems: PasteProblem[];
} {
  const guests: PastedGuest[] = [];
  const problems: PasteProblem[] = [];
  const seen = new Set<string>();
  const already = new Set(onList.map((one) => one.toLocaleLowerCase()));
  const lines: readonly TableLine[] =
    guestTable(text) ??
    text.split(/\r?\n/).flatMap((line, i) => eachOfSeveral(line).map((one) => ({ line: i + 1, text: one })));
  for (const { line, text: raw, notes = '' } of lines) {
    if (raw.trim() === '') continue;
    const say = (message: string): void => void problems.push({ line, text: raw.trim(), message });
    const guest = guestOf(raw.replace(BULLET, '').trim(), notes);
    const key = typeof guest === 'string' ? '' : guest.name.toLocaleLowerCase();
    if (typeof guest === 'string') say(guest);
    else if (guest.name.length > LONGEST_NAME) say(msg`A name has at most ${LONGEST_NAME} letters.`);
    else if (seen.has(key)) say(msg`${guest.name} is there twice.`);
    else if (already.has(key)) say(msg`${guest.name} is on the list already.`);
    else {
      seen.add(key);
      guests.push(guest);
    }
  }
  return { guests, problems };
}

/** What is understood of a line so far. */
type Line = {
  rest: string;
  role: GuestRole | null;
  /** An age says so. */ young: boolean;
  face: number | null;
  hair: number | null;
  notes: string[];
};

/** One line's person, or what is wrong with it. */
function guestOf(text: string, more: string): PastedGuest | string {
  const line: Line = { rest: text, role: null, young: false, face: null, hair: null, notes: [] };
  takeNumbersToCall(line);
  takeMinutes(line);
  const times = timesIn(line.rest);
  line.rest = times.rest;
  line.notes.push(...times.notes);
  takeAges(line);
  takeServices(line);
  const readyBy = readyByOf(times.times);
  if (readyBy === undefined) return msg`There are two times in this line: leave the one to be ready by.`;
  let name: string | null = null;
  let roleAsTold: string | null = null;
  const parts = line.rest
    .split(new RegExp(BETWEEN_PARTS))
    .map((part) => part.trim().replace(/^[-–—]+\s+|\s+[-–—]+$/g, ''))
    // What is done stands after whom it is done to: it is nobody's name.
    .flatMap((part) => WORK_AFTER.exec(part)?.slice(1) ?? part);
  for (const part of parts) {
    if (/^[-–—.:&+]*$/.test(part)) {
      if (/[–—]/.test(part) && name === null) return msg`Begin with a name.`;
      continue;
    }
    const bare = /^\d{1,3}$/.exec(part);
    const role = roleTold(part);
    const beside: ReturnType<typeof roleBeside> = name === null ? roleBeside(part) : null;
    if (bare && line.face === null) {
      if (!bareMinutes(Number(part), text))
        return msg`"${part}" may be an age or minutes: write "age ${part}" or "${part} min".`;
      line.face = Number(part);
    } else if (role !== null && line.role !== null && line.role !== role && roleAsTold !== null)
      return msg`"${roleAsTold}" and "${part}" are two roles: leave one.`;
    else if (role !== null) {
      roleAsTold ??= part;
      line.role = role;
    } else if (beside !== null) {
      name = beside.name;
      line.role = beside.role;
      roleAsTold = part;
    } else if (name === null && /\p{L}/u.test(part) && !WORK_ALONE.test(part)) name = part;
    else if (name === null && !WORK_ALONE.test(part)) return msg`Begin with a name.`;
    else if (SOME_NAMES.test(part)) return msg`"${part}" may be two people: one a line.`;
    else if (MAY_BE_ASKED.test(part) && !WORK_ALONE.test(part))
      return msg`"${part}" is neither a role, a time as 11:30, nor minutes as "hair 40".`;
    else line.notes.push(part);
  }
  // Nobody's name is known yet: she is the bridesmaid, or the second of them.
  name ??= roleAsTold;
  if (name === null) return msg`Begin with a name.`;
  const odd = noName(name);
  if (odd) return odd;
  const notes = [...line.notes, more].filter((note) => note !== '').join('. ');
  if (notes.length > LONGEST_NOTES) return msg`Notes have at most ${LONGEST_NOTES} letters.`;
  return {
    name,
    // Made up as a child whatever part is played, but for whose day it is.
    role: line.young && line.role !== 'star' ? 'child' : (line.role ?? 'guest'),
    readyBy,
    faceMinutes: line.face,
    hairMinutes: line.hair,
    notes,
  };
}

/** What may be somebody else's name, or a time or minutes that are none: to be put right, and no note. */
const MAY_BE_ASKED =
  /^\p{Lu}[\p{L}'’-]*(?: \p{Lu}[\p{L}'’-]*){0,2}$|^\d{1,2}[:.h]\d*|^\d{1,3} ?[ap]m$|^\d+$/u;

/** "Bel and Coco". */
const SOME_NAMES =
  /^\p{Lu}[\p{L}'’-]*(?: \p{Lu}[\p{L}'’-]*)?(?: (?:and|&|\+) \p{Lu}[\p{L}'’-]*(?: \p{Lu}[\p{L}'’-]*)?)+$/u;

const OF_AGE = /\b(?:great-?)?(?:grand(?:mother|father|ma|pa|mum|dad)|gran|granny|nan|nana)\b/i;
/** Whether a number by itself can be minutes of a face: round, and nobody's age. */
const bareMinutes = (number: number, text: string): boolean =>
  number > 0 && number % 5 === 0 && !OF_AGE.test(text);

/** What is done to somebody, said after a name or a role. */
const WORK =
  'touch[ -]?ups?|trial|airbrush|(?:false )?lashes|(?:light|natural|full|soft)(?: look| face| glam)?|glam|up-?do|blow ?-?dry|styling|tbc|tba';
const WORK_AFTER = new RegExp(`^(\\p{L}.*?) (${WORK})$`, 'iu');
const WORK_ALONE = new RegExp(`^(?:${WORK})$`, 'i');
/** Words of names that are written small. */
const SMALL =
  /^(?:van|von|der|den|de|del|della|di|da|dos|das|du|la|le|bin|ibn|binti|al|el|y|e|zu|ten|ter|af|av|of)$/;

/** Why words are hardly one person's name; null where they may be. */
function noName(name: string): string | null {
  if (/\S\s+(?:&|\+|and)\s+\S/i.test(name)) return msg`"${name}" may be two people: one a line.`;
  const words = name.split(/\s+/);
  const small = words.slice(1).filter((word) => /^\p{Ll}/u.test(word) && !SMALL.test(word));
  return /^\p{Lu}/u.test(name) && small.length >= 2 ? msg`"${name}" reads as no name: begin with one.` : null;
}

const FACE = 'face|make-?\\s?up|mua|mup?';
/** So written it is a name. */
const IS_NAME = /(?:^|\s)Mu[ap]?(?=\s|$)/;
const MINUTES = 'minutes?|mins?|m';

/** Takes out what matches and `found` takes. */
function take(line: Line, pattern: RegExp, found: (match: RegExpExecArray) => boolean): void {
  let left = '';
  let at = 0;
  for (const match of line.rest.matchAll(pattern)) {
    if (!found(match)) continue;
    left += `${line.rest.slice(at, match.index)} , `;
    at = match.index + match[0].length;
  }
  line.rest = left + line.rest.slice(at);
}

function takeMinutes(line: Line): void {
  const set = (what: string | undefined, minutes: number): boolean => {
    if (what !== undefined && IS_NAME.test(what)) return false;
    if (what !== undefined && /^hair/i.test(what)) line.hair = minutes;
    else line.face = minutes;
    return true;
  };
  const what = `(${FACE}|hair)`;
  // Hours first: the minutes after them are theirs.
  take(
    line,
    new RegExp(
      `\\b(?:${what}\\s*)?([1-4])\\s*(?:h|hrs?|hours?)\\s*(?:(\\d{1,2})\\s*(?:(?:${MINUTES})\\b)?)?(?:\\s+${what})?(?!\\w)`,
      'gi',
    ),
    ([, before, hours, more, after]) => set(before ?? after, Number(hours) * 60 + Number(more ?? 0)),
  );
  take(
    line,
    new RegExp(`\\b${what}\\s*:?\\s*(\\d{1,3})\\b\\s*(?:(?:${MINUTES})\\b)?(?![:.h]?\\d)`, 'gi'),
    ([, told, minutes]) => set(told, Number(minutes)),
  );
  take(
    line,
    new RegExp(`\\b(\\d{1,3})\\s*(?:${MINUTES})\\b(?:\\s*(?:of |for )?\\s*${what}\\b)?`, 'gi'),
    ([, minutes, told]) => set(told, Number(minutes)),
  );
}

/** A number to call is none of the minutes; it stands in the notes. */
function takeNumbersToCall(line: Line): void {
  take(line, /(^|[^\w:.])(\+?\(?\d[\d ()-]{7,17}\d)(?![\w:])/g, ([, , told = '']) => {
    if (told.replace(/\D/g, '').length < 8) return false;
    line.notes.push(told);
    return true;
  });
}

function takeAges(line: Line): void {
  const pattern =
    /\bage[d]?:?\s*(\d{1,2})\b|\((\d{1,2})\)|\b(\d{1,2})\s*(?:-\s*)?(?:yrs?|years?|y\/?o)\b(?:[ -]old)?/gi;
  take(line, pattern, ([, aged, bracket, years]) => {
    if (Number(aged ?? bracket ?? years) < CHILD_UNDER) line.young = true;
    return true;
  });
}

function takeServices(line: Line): void {
  const and = '\\s*(?:&|and|\\+)\\s*';
  take(line, new RegExp(`\\b(?:no|without|not?) hair\\b|\\b(?:${FACE}) only\\b`, 'gi'), () => {
    line.hair = null;
    return true;
  });
  take(line, new RegExp(`\\b(?:no|without) (?:${FACE})\\b|\\bhair only\\b`, 'gi'), () => {
    line.hair ??= USUAL_HAIR;
    line.face = 0;
    return true;
  });
  take(
    line,
    new RegExp(
      `\\bhair${and}(?:${FACE})\\b|\\b(?:${FACE})${and}hair\\b|\\bh${and}mu?\\b(?!\\p{L})|\\bhmua?\\b`,
      'giu',
    ),
    () => {
      line.hair ??= USUAL_HAIR;
      return true;
    },
  );
  take(line, /(^|[,;\t(|/]|\s[-–—]|\s)\s*hair\s*(?=$|[,;\t)|/]|\s[-–—]\s)/gi, () => {
    line.hair ??= USUAL_HAIR;
    return true;
  });
  take(
    line,
    new RegExp(`(^|[,;\\t(|/]|\\s[-–—]|\\s)\\s*(?:${FACE})\\s*(?=$|[,;\\t)|/]|\\s[-–—]\\s)`, 'gi'),
    ([told]) => !IS_NAME.test(told),
  );
}
