import { CHILD_UNDER } from '../care';
import { msg } from '../messages';
import { BULLET, eachOfSeveral } from './eachOfSeveral';
import { roleBeside, roleTold } from './guestRoleWords';
import { guestTable, type TableLine } from './guestTable';
import { BETWEEN_PARTS, readyByOf, timesIn } from './guestTimes';
import {
  ageAsNoted,
  takeAges,
  takeMinutes,
  takeNumbersToCall,
  takeServices,
  type GuestLine,
} from './guestWork';
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

const LONGEST_NAME = 120;
const LONGEST_NOTES = 1000;

/**
 * People out of a pasted list, one a line: a name, and in any order, divided by commas, dashes, brackets or
 * colons, who it is, a time to be ready by, and minutes ("Ada Morrow, bride, 12:30, hair 50, face 60"; "MOB
 * Helen (11.30am) - hair and make-up"); several with one role ("Bridesmaids: Cy, Di and Eve") or each with
 * their own in brackets; or a table with a header, a column each. What else is said of somebody is kept as a
 * note. What may be a name, a time or a second role and is not plain, and people who are `onList` already,
 * are named; no word but thanks is dropped.
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

/** One line's person, or what is wrong with it. */
function guestOf(text: string, more: string): PastedGuest | string {
  const line: GuestLine = { rest: text, role: null, age: null, face: null, hair: null, notes: [] };
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
  /** A number by itself, until it is known what it is of. */
  let number: string | null = null;
  const parts = line.rest
    .split(new RegExp(BETWEEN_PARTS))
    .map((part) => part.trim().replace(/^[-–—]+\s+|\s+[-–—]+$/g, ''));
  for (const whole of parts) {
    const [head, work] = WORK_AFTER.exec(whole)?.slice(1) ?? [];
    // What is done stands after whom it is done to, and is nobody's name; of anything else it is a part.
    const apart: boolean = head !== undefined && (name === null || roleTold(head) !== null);
    const part: string = apart ? head! : whole;
    if (apart && work !== undefined) line.notes.push(work);
    if (/^[-–—.:&+]*$/.test(part)) {
      if (/[–—]/.test(part) && name === null) return msg`Begin with a name.`;
      continue;
    }
    if (POLITE.test(part)) continue;
    const role = roleTold(part);
    const beside: ReturnType<typeof roleBeside> = name === null ? roleBeside(part) : null;
    if (/^\d{1,3}$/.test(part) && line.face === null && number === null) number = part;
    else if (role !== null && line.role !== null && line.role !== role && roleAsTold !== null) {
      // Whose day it is has no second part; a bridesmaid may be a sister too.
      if (line.role === 'star' || role === 'star')
        return msg`"${roleAsTold}" and "${part}" are two roles: leave one.`;
      line.notes.push(part);
    } else if (role !== null) {
      roleAsTold ??= part;
      line.role = role;
    } else if (beside !== null) {
      name = beside.name;
      line.role = beside.role;
      roleAsTold = part;
    } else if (name === null && /\p{L}/u.test(part) && !WORK_ALONE.test(part)) name = part;
    else if (name === null && !WORK_ALONE.test(part)) return msg`Begin with a name.`;
    else if (SOME_NAMES.test(part)) return msg`"${part}" may be two people: one a line.`;
    else if (MAY_BE_ASKED.test(part) && !NO_NAME.test(part) && !WORK_ALONE.test(part))
      return msg`"${part}" is neither a role, a time as 11:30, nor minutes as "hair 40".`;
    else line.notes.push(part);
  }
  // Nobody's name is known yet: she is the bridesmaid, or the second of them.
  name ??= roleAsTold;
  if (name === null) return msg`Begin with a name.`;
  const odd = noName(name);
  if (odd) return odd;
  // A child's number by itself is how old they are.
  const ofChild = line.role === 'child' && number !== null && Number(number) < CHILD_UNDER;
  const age = line.age ?? (ofChild ? Number(number) : null);
  const young = age !== null && age < CHILD_UNDER;
  if (number !== null && !young) {
    if (!bareMinutes(Number(number), text))
      return msg`"${number}" may be an age or minutes: write "age ${number}" or "${number} min".`;
    line.face = Number(number);
  }
  const aged = age === null ? [] : [ageAsNoted(age)];
  const notes = [...aged, ...line.notes, more].filter((note) => note !== '').join('. ');
  if (notes.length > LONGEST_NOTES) return msg`Notes have at most ${LONGEST_NOTES} letters.`;
  return {
    name,
    // Made up as a child whatever part is played, but for whose day it is.
    role: young && line.role !== 'star' ? 'child' : (line.role ?? 'guest'),
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

/** Said to whoever reads the list. */
const POLITE = /^(?:please|pls|thanks?(?: you)?|x{1,3})$/i;
/** "MC", "DJ": letters are nobody's name. */
const NO_NAME = /^\p{Lu}{2,3}$/u;
/** "Jo x2", "the two grandmas". */
const SEVERAL = /(?:^|\s)(?:[x×] ?\d|\d ?[x×])(?=\s|$)|^(?:the )?(?:two|three|four|five|both|all) /iu;

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
  if (SEVERAL.test(name)) return msg`"${name}" may be more than one: one a line, each by name.`;
  const words = name.split(/\s+/);
  const small = words.slice(1).filter((word) => /^\p{Ll}/u.test(word) && !SMALL.test(word));
  return /^\p{Lu}/u.test(name) && small.length >= 2 ? msg`"${name}" reads as no name: begin with one.` : null;
}
