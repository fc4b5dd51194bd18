import type { GuestRole } from './party';

/** Minutes of hair where nobody says how many. */
export const USUAL_HAIR = 40;

/** What is understood so far of a line about somebody; what is understood is taken out of `rest`. */
export type GuestLine = {
  rest: string;
  role: GuestRole | null;
  /** Years, where they are told. */ age: number | null;
  face: number | null;
  hair: number | null;
  notes: string[];
};

const FACE = 'face|make-?\\s?up|mua|mup?';
/** So written it is a name. */
const IS_NAME = /(?:^|\s)Mu[ap]?(?=\s|$)/;
const MINUTES = 'minutes?|mins?|m';

/** Lengths as they are said; the longer first. */
const IN_WORDS: readonly (readonly [told: string, minutes: number])[] = [
  [String.raw`\b(?:an|one|1) hour and a half\b|\b1(?: 1/2|½) ?(?:hours?|hrs?|h)\b`, 90],
  [String.raw`\b(?:three|3) quarters of an hour\b`, 45],
  [String.raw`\b(?:a )?quarter of an hour\b`, 15],
  [String.raw`(?:\bhalf(?: an?)?|(?:^|[^\d])1/2(?: an)?|½) ?(?:hour|hr|h)\b`, 30],
  [String.raw`\b(?:an|one) hour\b`, 60],
];

/** Takes out what matches and `found` takes. */
function take(line: GuestLine, pattern: RegExp, found: (match: RegExpExecArray) => boolean): void {
  let left = '';
  let at = 0;
  for (const match of line.rest.matchAll(pattern)) {
    if (!found(match)) continue;
    left += `${line.rest.slice(at, match.index)} , `;
    at = match.index + match[0].length;
  }
  line.rest = left + line.rest.slice(at);
}

/** Minutes of face and hair, as numbers or as they are said. */
export function takeMinutes(line: GuestLine): void {
  const set = (what: string | undefined, minutes: number): boolean => {
    if (what !== undefined && IS_NAME.test(what)) return false;
    if (what !== undefined && /^hair/i.test(what)) line.hair = minutes;
    else line.face = minutes;
    return true;
  };
  const what = `(${FACE}|hair)`;
  for (const [told, minutes] of IN_WORDS) take(line, new RegExp(told, 'gi'), () => set(undefined, minutes));
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
    // What stands behind a point is the end of a time: "9.45 M" is no forty-five minutes.
    new RegExp(`(^|[^\\w.:])(\\d{1,3})\\s*(?:${MINUTES})\\b(?:\\s*(?:of |for )?\\s*${what}\\b)?`, 'gi'),
    ([, , minutes, told]) => set(told, Number(minutes)),
  );
}

/** A number to call is none of the minutes; it stands in the notes. */
export function takeNumbersToCall(line: GuestLine): void {
  take(line, /(^|[^\w:.])(\+?\(?\d[\d ()-]{7,17}\d)(?![\w:])/g, ([, , told = '']) => {
    if (told.replace(/\D/g, '').length < 8) return false;
    line.notes.push(told);
    return true;
  });
}

/** How somebody is spoken of is kept whole: "she/her". */
export function takePronouns(line: GuestLine): void {
  take(
    line,
    /\b(?:she|he|they)\s*\/\s*(?:her|him|them|they)(?:\s*\/\s*(?:hers|his|theirs))?\b/gi,
    ([told]) => {
      line.notes.push(told.replace(/\s/g, ''));
      return true;
    },
  );
}

/** How old somebody is, as people write it. */
const AGE =
  /\bage[d]?:?\s*(\d{1,2})\b|\((\d{1,2})\)|\b(\d{1,2})\s*(?:-\s*)?(?:yrs?|years?|y\/?o)\b(?:[ -]old)?/gi;
const yearsIn = ([, aged, bracket, years]: readonly string[]): number => Number(aged ?? bracket ?? years);

/** The age a line tells. */
export function takeAges(line: GuestLine): void {
  take(line, AGE, (match) => {
    line.age = yearsIn(match);
    return true;
  });
}

/** Notes have other numbers and other years: only what is said to be an age is one. */
const AGE_SAID = /\bage[d]?:?\s*(\d{1,2})\b|\b(\d{1,2})\s*-?\s*(?:(?:yrs?|years?)[ -]old|y\/?o)\b/gi;

/** The youngest age, years, that notes tell of; null where they tell none. */
export function ageInNotes(notes: string): number | null {
  const ages = [...notes.matchAll(AGE_SAID)].map(([, aged, old]) => Number(aged ?? old));
  return ages.length === 0 ? null : Math.min(...ages);
}

/** How an age stands in the notes: `ageInNotes` reads it again. */
export const ageAsNoted = (years: number): string => `age ${years}`;

/** What is done: hair, face, both, one of them only. */
export function takeServices(line: GuestLine): void {
  const and = '\\s*(?:&|and|\\+)\\s*';
  // Initials, written large: "M only", "(H)".
  take(line, /(^|[,;\t()|/]|\s[-–—])\s*([HM])(?: only)?\s*(?=$|[,;\t)|/]|\s[-–—]\s)/g, ([told, , letter]) => {
    if (letter === 'H') line.hair ??= USUAL_HAIR;
    if (letter === 'H' && told.endsWith('only')) line.face = 0;
    return true;
  });
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
