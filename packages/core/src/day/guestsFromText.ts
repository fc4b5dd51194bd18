import { CHILD_UNDER } from '../care';
import { msg } from '../messages';
import { BULLET, eachOfSeveral } from './eachOfSeveral';
import { roleBeside, roleTold, tellsOccupation } from './guestRoleWords';
import { guestTable, type TableLine } from './guestTable';
import { BETWEEN_PARTS, readyByOf, timesIn } from './guestTimes';
import {
  ageAsNoted,
  takeAges,
  takeMinutes,
  takeNumbersToCall,
  takePronouns,
  takeServices,
  USUAL_HAIR,
  type GuestLine,
} from './guestWork';
import type { GuestRole } from './party';
import { rolesUnderHeadings } from './roleHeadings';
import { isNobody, servedIn, type Served } from './serviceLists';

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
  const table = guestTable(text);
  const raws = table ? [] : text.split(/\r?\n/);
  const { served, taken } = servedIn(raws);
  /** The first line with anything in it: there people are greeted. */
  const opening = raws.findIndex((raw) => raw.trim() !== '') + 1;
  const under = rolesUnderHeadings(raws.map((raw, i) => (isTalk(raw, i + 1 === opening) ? '' : raw)));
  const lines: readonly TableLine[] =
    table ??
    raws.flatMap((line, i) =>
      taken.has(i) || under[i] === 'heading'
        ? []
        : eachOfSeveral(line).map((one) => ({ line: i + 1, text: one })),
    );
  for (const { line, text: raw, notes = '' } of lines) {
    if (raw.trim() === '' || isTalk(raw, line === opening)) continue;
    const say = (message: string): void => void problems.push({ line, text: raw.trim(), message });
    const heading = under[line - 1] ?? null;
    const guest = guestOf(unnumbered(raw), notes, heading === 'heading' ? null : heading);
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
  for (const one of served) {
    const at = indexByName(guests, one.name);
    const known = guests[at];
    const faces = served.some(({ face }) => face);
    if (known) guests[at] = asServed(known, one, faces);
    else if (already.has(one.name.toLocaleLowerCase()))
      problems.push({
        line: one.line + 1,
        text: one.name,
        message: msg`${one.name} is on the list already.`,
      });
    else guests.push(asServed({ ...NOBODY_YET, name: one.name }, one, true));
  }
  return { guests, problems };
}

const NOBODY_YET = {
  role: 'guest',
  readyBy: null,
  faceMinutes: null,
  hairMinutes: null,
  notes: '',
} as const satisfies Omit<PastedGuest, 'name'>;

/**
 * Somebody with what lists by service say is done. `alone` says whether who is in one of hair and in none of
 * faces has hair alone: where there is one of faces, and of whoever stands nowhere else.
 */
function asServed(guest: PastedGuest, { hair, face }: Served, alone: boolean): PastedGuest {
  return {
    ...guest,
    hairMinutes: hair ? (guest.hairMinutes ?? USUAL_HAIR) : guest.hairMinutes,
    faceMinutes: alone && !face ? (guest.faceMinutes ?? 0) : guest.faceMinutes,
  };
}

/** Where somebody stands by the whole name, or by a first name only one has; -1 where nobody does. */
function indexByName(guests: readonly PastedGuest[], name: string): number {
  const told = name.toLocaleLowerCase();
  const whole = guests.findIndex((one) => one.name.toLocaleLowerCase() === told);
  if (whole >= 0) return whole;
  const first = guests.flatMap((one, i) => (one.name.toLocaleLowerCase().split(' ')[0] === told ? [i] : []));
  return first.length === 1 ? first[0]! : -1;
}

/** A line without its bullet or number: "2 Ada" is the second; "2 bridesmaids" are two. */
function unnumbered(line: string): string {
  const bare = line.replace(BULLET, '').trim();
  const without = bare.replace(/^\d{1,2}\s+(?=\p{Lu})/u, '');
  return roleTold(without.split(/[,;:(]|\s[-–—]\s/)[0]!) === null ? without : bare;
}

/** One line's person, or what is wrong with it. */
function guestOf(text: string, more: string, under: GuestRole | null): PastedGuest | string {
  const line: GuestLine = { rest: text, role: null, age: null, face: null, hair: null, notes: [] };
  takeNumbersToCall(line);
  takePronouns(line);
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
  /** What somebody is there for: kept, since as a guest it is lost. */
  const occupations: string[] = [];
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
    if (name === null && HAPPENS.test(part)) {
      line.notes.push(part);
      continue;
    }
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
      if (tellsOccupation(part)) occupations.push(part);
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
  const odd = noName(name) ?? (readyBy === null && line.face === null ? endsInNumber(name) : null);
  if (odd) return odd;
  // A child's number by itself is how old they are.
  const ofChild = line.role === 'child' && number !== null && Number(number) < CHILD_UNDER;
  const age = line.age ?? (ofChild ? Number(number) : null);
  const young = age !== null && age < CHILD_UNDER;
  if (number !== null && !young) {
    if (!bareMinutes(Number(number), text))
      return Number(number) >= 5 && Number(number) <= 12
        ? msg`"${number}" may be a time, an age or minutes: write "${number}:00", "age ${number}" or "${number} min".`
        : msg`"${number}" may be an age or minutes: write "age ${number}" or "${number} min".`;
    line.face = Number(number);
  }
  const aged = age === null ? [] : [ageAsNoted(age)];
  const told = occupations.filter((occupation) => occupation !== name);
  const notes = [...aged, ...told, ...line.notes, more].filter((note) => note !== '').join('. ');
  if (notes.length > LONGEST_NOTES) return msg`Notes have at most ${LONGEST_NOTES} letters.`;
  return {
    name,
    // Made up as a child whatever part is played, but for whose day it is.
    role: young && line.role !== 'star' ? 'child' : (line.role ?? under ?? 'guest'),
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
const POLITE =
  /^(?:please|pls|each|(?:so |many )?thanks?(?: you)?(?: so much| a lot| again)?|cheers|x{1,3})[!. x]*$/i;
/** Said before a list, and after it. */
const OPENING = /^(?:hi|hiya|hello|hey|dear|good (?:morning|afternoon|evening))\b/i;
const CLOSING =
  /^(?:(?:lots of )?love(?:,| x| from)|(?:kind |best |warm )?regards\b|see you\b|can['’]?t wait\b|looking forward\b|speak soon\b|let me know\b)/i;
/** What happens at a time, written small: nobody's name. */
const HAPPENS = /^(?:the )?(?:ceremony|photos?|photographs?|church|speech|mass|lunch|dinner|first look)\b/;
/** "MC", "DJ": letters are nobody's name. */
const NO_NAME = /^\p{Lu}{2,3}$/u;
/** "Jo x2", "the two grandmas". */
const SEVERAL =
  /(?:^|\s)(?:[x×] ?\d|\d ?[x×])(?=\s|$)|^(?:the )?(?:two|three|four|five|six|both|all|\d{1,2}) |\b(?:people|persons|pax)\b/iu;

/** A line that speaks to whoever reads the list and tells of nobody. */
function isTalk(line: string, first: boolean): boolean {
  const plain = line.trim();
  if (POLITE.test(plain)) return true;
  if (/\d/.test(plain)) return false;
  if (CLOSING.test(plain)) return plain.split(/[,–—:()]|\s-\s/).every((part) => roleTold(part) === null);
  return first && OPENING.test(plain) && !/[,;:–—].*\p{L}/u.test(plain);
}

/** What is done to somebody, said after a name or a role. */
const WORK =
  'touch[ -]?ups?|trial|airbrush|(?:false )?lashes|(?:light|natural|full|soft)(?: look| face| glam)?|glam|up-?do|blow ?-?dry|styling|tbc|tba';
const WORK_AFTER = new RegExp(`^(\\p{L}.*?) (${WORK})$`, 'iu');
const WORK_ALONE = new RegExp(`^(?:${WORK})$`, 'i');
/** Words of names that are written small. */
const SMALL =
  /^(?:van|von|der|den|de|del|della|di|da|dos|das|du|la|le|bin|ibn|binti|al|el|y|e|zu|ten|ter|af|av|of)$/;

/** A number behind such a word counts people. */
const COUNTED =
  /^(?:model|person|lady|girl|boy|table|extra|client|artist|look|no|number|suite|room|mum|mother|sister)$/i;

/** What to ask of a name that ends in a number nobody is called by: "ada 11"; null of any other. */
function endsInNumber(name: string): string | null {
  const [, before = '', number] = /(\S+) (\d{1,2})$/.exec(name) ?? [];
  if (number === undefined || Number(number) < 5 || COUNTED.test(before) || roleTold(name) !== null)
    return null;
  return msg`"${number}" may be a time or minutes: write "${number}:00" or "${number} min".`;
}

/** Why words are hardly one person's name; null where they may be. */
function noName(name: string): string | null {
  if (/\S\s+(?:&|\+|and)\s+\S/i.test(name)) return msg`"${name}" may be two people: one a line.`;
  if (SEVERAL.test(name)) return msg`"${name}" may be more than one: one a line, each by name.`;
  const words = name.split(/\s+/);
  const small = words.slice(1).filter((word) => /^\p{Ll}/u.test(word) && !SMALL.test(word));
  // Names are written small too, but not in sentences.
  const sentence = isNobody(name) || /[!?]/.test(name) || (/^\p{Ll}/u.test(name) && words.length >= 4);
  return sentence || (/^\p{Lu}/u.test(name) && small.length >= 2)
    ? msg`"${name}" reads as no name: begin with one.`
    : null;
}
