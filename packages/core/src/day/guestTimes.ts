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

/** A time by itself, six groups: "12:30 pm", "1 pm", "noon". */
const TIME = String.raw`(?:(\d{1,2})[:.h](\d{2})\s*(am|pm|a\.m\.|p\.m\.)?(?!\d|[.:]\d)|(\d{1,2})\s*(am|pm)\b|(noon|midday)\b)`;
/** An hour alone, where the word before it says that it is one: "by 11", "ready for 12". */
const HOUR = String.raw`(\d{1,2})\b(?![:.]?\d)(?!\s*(?:[ap]\.?m|m|mins?|minutes?|h|hrs?|hours?|%|people|yrs?|years?)\b)`;
const READY = 'ready|done|finished|needed';
const ALONE = String.raw`(?:\b(${READY})\b\s*)?(?:\b(by|at|for)\b\s*|@\s*)?\b${TIME}`;
const BY_HOUR = String.raw`(?:\b(${READY})\s+(?:by\s+|for\s+|at\s+)?|\b(by|at)\s+|@\s*)${HOUR}`;
/** From one time to another: "9.00-10.00", "9-10am". */
const SPAN = String.raw`(?:\bfrom\s+)?\b(?:\d{1,2}-|\d{1,2}[:.h]\d{2}\s*(?:[ap]m)?\s*(?:[-–—]|to|until|till)\s*|\d{1,2}\s*[ap]m\s*(?:[-–—]|to|until|till)\s*)${TIME}`;

/** Hours alone on both sides, after a colon, a comma or a bracket: ": 11 - 12", "(10.15 to 11)". */
const SPAN_OF_HOURS = String.raw`([:,(]\s*)(\d{1,2})(?:[:.h](\d{2}))?\s*(?:[-–—]|to)\s*(\d{1,2})(?:[:.h](\d{2}))?\s*(am|pm)?(?=\s*(?:$|[,;)]))`;
/** A longer one is no time in a chair; it may be minutes from this to that. */
const LONGEST_SPAN = 150;

const COMING = 'arriv(?:es?|ing)|comes?|coming|there|here|free|available|not before';
/** What goes before a time that is not simply when somebody is to be ready. */
const WORDS_BEFORE = new RegExp(
  String.raw`\b(?:(${COMING})|leav(?:es?|ing)|until|till|starts?|begins?|photos?|photographs?|pictures|portraits|ceremony|church|mass|speech|stage|call|car|taxi|bus|train|boat|flight|lunch|dinner|picked up|collected|first look)(?: (?:from|at|by|is|for|only))*$`,
  'i',
);
const WORDS_AFTER = /^(?:for|to|because|as|so|when|then|before|after|until|till)\b/;

/** The minute of a day that six groups of `TIME` tell; null where it is none. */
function minuteTold(groups: readonly (string | undefined)[]): number | null {
  const [hours, minutes, half, bareHours, bareHalf, noon] = groups;
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

/** The one time of a part, and where it stands; null with none or more. */
function onlyTime(
  part: string,
): { readonly minute: number; readonly at: number; readonly end: number } | null {
  const whole = [...part.matchAll(new RegExp(TIME, 'gi'))].map((match) => ({
    minute: minuteTold(match.slice(1)),
    at: match.index,
    end: match.index + match[0].length,
  }));
  const hours = [...part.matchAll(new RegExp(String.raw`\b(by|at|for|from)\s+${HOUR}`, 'gi'))].map(
    (match) => ({
      minute: minuteTold([undefined, undefined, undefined, match[2]]),
      at: match.index + match[0].length - match[2]!.length,
      end: match.index + match[0].length,
    }),
  );
  const [one, ...more] = [...whole, ...hours];
  return one && more.length === 0 && one.minute !== null ? { ...one, minute: one.minute } : null;
}

/**
 * The times of a line, what is left of it, and what tells more about a time than that somebody is to be ready
 * then ("leaves 11.45 for the church", "9-10am"), for the notes: whole, but for a name before it.
 */
export function timesIn(line: string): {
  readonly rest: string;
  readonly times: readonly TimeTold[];
  readonly notes: readonly string[];
} {
  const times: TimeTold[] = [];
  const notes: string[] = [];
  const taken = (text: string, pattern: string, found: (match: RegExpExecArray) => boolean): string => {
    let rest = '';
    let at = 0;
    for (const match of text.matchAll(new RegExp(pattern, 'gi'))) {
      if (!found(match)) continue;
      rest += `${text.slice(at, match.index)} , `;
      at = match.index + match[0].length;
    }
    return rest + text.slice(at);
  };
  const ready = (minute: number | null, plainly: boolean): boolean => {
    if (minute !== null) times.push({ minute, for: 'ready', plainly });
    return minute !== null;
  };
  /** What is left of a part. */
  const withoutWords = (part: string, first: boolean): string => {
    const time = onlyTime(part);
    if (!time) return part;
    const before = WORDS_BEFORE.exec(part.slice(0, time.at).trim());
    const after = WORDS_AFTER.test(part.slice(time.end).trim());
    if (before === null && !after) return part;
    // Of the first part the name stays: 'Eric Church 10:00' is one, 'Ada leaves 10:00' has one.
    const from = first && before && /^\p{Ll}/u.test(before[0]) ? before.index : 0;
    if (first && from === 0) return part;
    times.push({ minute: time.minute, for: before?.[1] === undefined ? 'said' : 'coming', plainly: false });
    notes.push(part.slice(from).trim());
    return part.slice(0, from);
  };
  const withoutSpans = taken(line, SPAN, (match) => {
    if (!ready(minuteTold(match.slice(1)), false)) return false;
    notes.push(match[0].trim());
    return true;
  });
  const withoutHours = taken(
    withoutSpans,
    SPAN_OF_HOURS,
    ([whole, before, from, fromPast, to, past, half]) => {
      const [begins, ends] = [
        minuteTold([from, fromPast ?? '00', undefined]),
        minuteTold([to, past ?? '00', half]),
      ];
      if (begins === null || ends === null || (Number(to) < 5 && half === undefined)) return false;
      const long = (ends - begins + 12 * 60) % (12 * 60);
      if (long === 0 || long > LONGEST_SPAN) return false;
      notes.push(whole.slice(before!.length).trim());
      return ready(ends, false);
    },
  );
  const kept = withoutHours
    .split(new RegExp(`(${BETWEEN_PARTS})`))
    .map((part, i) => (i % 2 === 0 ? withoutWords(part, i === 0) : part))
    .join('');
  const plain = (told: string | undefined, by: string | undefined): boolean =>
    told !== undefined || by?.toLowerCase() === 'by';
  const withoutTimes = taken(kept, ALONE, ([, told, by, ...time]) =>
    ready(minuteTold(time), plain(told, by)),
  );
  const rest = taken(withoutTimes, BY_HOUR, ([, told, by, hour]) =>
    ready(minuteTold([undefined, undefined, undefined, hour]), plain(told, by)),
  );
  const told = times.length === 0 ? bareTime(rest) : null;
  if (!told) return { rest, times, notes };
  return { rest: told.rest, times: [{ minute: told.minute, for: 'ready', plainly: false }], notes };
}

/** Four figures that end the first part of a line, or are one: "noor 1230"; none of a room or a flat. */
const BARE = /^(?:(.*\p{L})\s+)?((?:0[5-9]|1\d|2[0-3])[0-5][05])$/u;
const OF_A_PLACE = /(?:^|\s)(?:room|rm|flat|apt|apartment|suite|unit|no|number)\.?$/i;
function bareTime(line: string): { readonly minute: number; readonly rest: string } | null {
  const parts = line.split(new RegExp(`(${BETWEEN_PARTS})`));
  for (const [i, part] of parts.entries()) {
    const [, before = '', figures] = BARE.exec(part.trim()) ?? [];
    if (figures === undefined || (before !== '' && i > 0) || OF_A_PLACE.test(before)) continue;
    const minute = 60 * Number(figures.slice(0, 2)) + Number(figures.slice(2));
    return { minute, rest: parts.with(i, before).join('') };
  }
  return null;
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
