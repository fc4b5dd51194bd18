/** A time told of somebody on a list. */
export type TimeTold = {
  readonly minute: number;
  /** When to be ready; when to be somewhere, ready; when somebody comes. */
  readonly for: 'ready' | 'said' | 'coming';
  /** Said in so many words: "ready by 12:30". */ readonly plainly: boolean;
};

/** What divides the parts of a line. */
export const BETWEEN_PARTS = String.raw`\s*[,;\t|/()[\]]\s*|\s+[-–—]+\s+|\s*:\s+|:$`;

/**
 * From one to before five without a nought before it is the afternoon: nobody is to be ready at two in the
 * night.
 */
const AFTERNOON = { from: 1, before: 5 } as const;

const TIME = String.raw`(?:(\d{1,2})[:.h](\d{2})\s*(am|pm|a\.m\.|p\.m\.)?(?![\d.:])|(\d{1,2})\s*(am|pm)\b|(noon|midday)\b)`;
const ALONE = String.raw`(?:\b(ready)\b\s*)?(?:\b(by|at|for)\b\s*|@\s*)?\b${TIME}`;

const COMING = 'arriv(?:es?|ing)|comes?|coming|there|here|free|available|not before';
/** What goes before a time that is not simply when somebody is to be ready. */
const WORDS_BEFORE = new RegExp(
  String.raw`\b(?:(${COMING})|leav(?:es?|ing)|until|till|starts?|begins?|photos?|photographs?|pictures|portraits|ceremony|church|mass|speech|stage|call|car|taxi|bus|train|boat|flight|lunch|dinner|picked up|collected|first look)(?: (?:from|at|by|is|for|only))*$`,
  'i',
);
const WORDS_AFTER = /^(?:for|to|because|as|so|when|then|before|after|until|till)\b/;

/** The minute of a day a match of `TIME` tells; null where it is none. */
function minuteTold(match: RegExpExecArray, first: number): number | null {
  const [hours, minutes, half, bareHours, bareHalf, noon] = match.slice(first);
  const told = hours ?? bareHours ?? '12';
  const after = noon ? 'pm' : (half ?? bareHalf)?.toLowerCase().replaceAll('.', '');
  let hour = Number(told);
  const past = Number(minutes ?? 0);
  if (past > 59 || hour > 23 || (after !== undefined && (hour > 12 || hour === 0))) return null;
  if (after === 'pm' && hour < 12) hour += 12;
  if (after === 'am' && hour === 12) hour = 0;
  if (after === undefined && !told.startsWith('0') && hour >= AFTERNOON.from && hour < AFTERNOON.before)
    hour += 12;
  return hour * 60 + past;
}

/**
 * The times of a line, what is left of it, and the parts that tell more about a time than that somebody is to
 * be ready then ("leaves 11.45 for the church"), for the notes: whole, but for a name before it.
 */
export function timesIn(line: string): {
  readonly rest: string;
  readonly times: readonly TimeTold[];
  readonly notes: readonly string[];
} {
  const times: TimeTold[] = [];
  const notes: string[] = [];
  /** What is left of a part. */
  const withoutWords = (part: string, first: boolean): string => {
    const found = [...part.matchAll(new RegExp(TIME, 'gi'))];
    const [match] = found;
    if (!match || found.length > 1) return part;
    const minute = minuteTold(match, 1);
    const before = WORDS_BEFORE.exec(part.slice(0, match.index).trim());
    const after = WORDS_AFTER.test(part.slice(match.index + match[0].length).trim());
    if (minute === null || (before === null && !after)) return part;
    // Of the first part the name stays: 'Eric Church 10:00' is one, 'Ada leaves 10:00' has one.
    const from = first ? (before && /^\p{Ll}/u.test(before[0]) ? before.index : 0) : 0;
    if (first && from === 0) return part;

    times.push({ minute, for: before?.[1] === undefined ? 'said' : 'coming', plainly: false });
    notes.push(part.slice(from).trim());
    return part.slice(0, from);
  };
  const parts = line.split(new RegExp(`(${BETWEEN_PARTS})`));
  const kept = parts.map((part, i) => (i % 2 === 0 ? withoutWords(part, i === 0) : part)).join('');
  let rest = '';
  let at = 0;
  for (const match of kept.matchAll(new RegExp(ALONE, 'gi'))) {
    const minute = minuteTold(match, 3);
    if (minute === null) continue;
    times.push({ minute, for: 'ready', plainly: match[1] !== undefined || match[2]?.toLowerCase() === 'by' });
    rest += `${kept.slice(at, match.index)} , `;
    at = match.index + match[0].length;
  }
  return { rest: rest + kept.slice(at), times, notes };
}

/**
 * When somebody is to be ready of the times told of them: the one time, or the one that says so; else the
 * first time they are to be somewhere. Null: none is told; undefined: more than one may be meant.
 */
export function readyByOf(times: readonly TimeTold[]): number | null | undefined {
  const ready = times.filter((time) => time.for === 'ready');
  const plain = ready.filter((time) => time.plainly);
  if (ready.length > 1) return plain.length === 1 ? plain[0]!.minute : undefined;
  if (ready.length === 1) return ready[0]!.minute;
  const said = times.filter((time) => time.for === 'said').map(({ minute }) => minute);
  return said.length > 0 ? Math.min(...said) : null;
}
