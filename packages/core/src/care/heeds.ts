import { messages } from '../messages';
import type { Consult } from './consult';
import {
  ASKED_WORDS,
  ELSEWHERE,
  HEED_KINDS,
  HEED_WORDS,
  LONG_AGO,
  NO,
  NOT_A_NO,
  ON_THE_FACE,
  RETURNS,
  SOUNDS_ALIKE,
  STILL,
  type HeedKind,
} from './heedWords';

/** Something a client said that is minded before the work, and what is usually done about it. */
export type Heed = {
  readonly kind: HeedKind;
  /** In the client's words, one sentence or more. */
  readonly said: string;
  /** The trade's usual caution: it defers to whoever treats the client, and names no illness. */
  readonly advice: string;
};

const ADVICE: Readonly<Record<HeedKind, string>> = messages({
  'open or infected':
    'look first. Sore, open, burnt or infected skin is not worked over: round it, or wait. Single-use tools, nothing back into the kit; whoever treats it decides.',
  'easily broken':
    'not over skin that is broken, weeping or sore. Ask what it stands, patch test 24 to 48 hours before; whoever treats it decides.',
  'treated lately':
    'ask when. Soon after it the skin is left alone: whoever treated it says from when make-up may be worn.',
  thinned:
    'skin may be thin, dry or flaking. No scrub, strong acid, tape or wax, little rubbing; whoever prescribes it decides.',
  injected: 'ask when. No pressing or rubbing there until whoever treated it says so.',
  'eyes treated': 'nothing at the eyes until whoever treats them says so; stop at any stinging.',
  'lash extensions':
    'no mascara, curler, band, oil or rubbing there. Note “extensions” under lashes: charts mind it then.',
  'lashes or brows treated':
    'ask when. No oil or rubbing there at first; newly coloured brows may need nothing.',
  tan: 'read the skin again when it has settled; no self-tan after the last reading.',
});

/** What is over once it is long ago; what is open or comes back is asked about all the same. */
const PASSES: readonly HeedKind[] = [
  'treated lately',
  'injected',
  'eyes treated',
  'lash extensions',
  'lashes or brows treated',
  'tan',
];

/**
 * "No cold sores, styes or rashes": a list goes on as it began; a part that says something itself starts
 * anew.
 */
const BARE = /^(and |or |nor )?(\S+ ){0,3}\S+$/;
const SAYS_ITSELF =
  /\b(i|i'm|i've|my|had|have|has|get|got|is|are|was|a|an|just|only|last|yesterday|today|this|on|in|at|near|round|left|right|upper|lower|recent(ly)?|fresh)\b/;

const ASKED: readonly [HeedKind, RegExp] = ['treated lately', ASKED_WORDS];

type Talk = Pick<Consult, 'usual' | 'conditions' | 'treatments'>;

/**
 * What of a first talk, and of what else is noted, is to be minded before make-up is laid: sentences in which
 * something is named over which, or soon after which, nobody works without asking. What is denied, long over,
 * or said of another part of the body is not among them. A list of words, no finding: what it does not know
 * is still to be read. A year is long ago by `today`, YYYY-MM-DD; without it none is.
 */
export function heedsOf(talk: Talk, notes = '', today?: string): Heed[] {
  const found = new Map<HeedKind, string[]>();
  const year = today === undefined ? null : Number(today.slice(0, 4));
  const texts: readonly (readonly [string | undefined, boolean])[] = [
    [talk.conditions, false],
    [talk.treatments, true],
    [talk.usual, false],
    [notes, false],
  ];
  for (const [text, asked] of texts)
    for (const sentence of sentencesOf(text ?? ''))
      for (const kind of kindsIn(sentence, asked, year)) {
        const said = found.get(kind) ?? [];
        if (!said.includes(sentence)) found.set(kind, [...said, sentence]);
      }
  return HEED_KINDS.flatMap((kind) => {
    const said = found.get(kind);
    return said ? [{ kind, said: said.join('; '), advice: ADVICE[kind] }] : [];
  });
}

/** As one line of cautions. */
export const heedInWords = ({ said, advice }: Heed): string => `“${said}”: ${advice}`;

const sentencesOf = (text: string): string[] =>
  text
    .split(/[\n\r;!?]+|\.(?=\s|$)/)
    .map((sentence) => sentence.trim())
    .filter((sentence) => sentence !== '');

function kindsIn(sentence: string, asked: boolean, year: number | null): Set<HeedKind> {
  const kinds = new Set<HeedKind>();
  const plain = sentence.toLowerCase().replace(/[’‘`]/g, "'").replace(SOUNDS_ALIKE, ' ');
  let denied = false;
  for (const part of plain.split(/,| but | though | however | although /)) {
    const text = part.trim();
    const goesOn: boolean = denied && BARE.test(text) && !SAYS_ITSELF.test(text);
    denied = false;
    let rest = text;
    for (const [kind, words] of asked ? [...HEED_WORDS, ASKED] : HEED_WORDS) {
      if (words === ASKED_WORDS && kinds.size > 0) break;
      rest = rest.replace(words, (match: string, ...told: unknown[]) => {
        const at = told.find((one) => typeof one === 'number') ?? 0;
        if (goesOn || isDenied(rest.slice(0, at))) denied = true;
        else if (!isElsewhere(text, at) && !isOver(kind, text, year)) kinds.add(kind);
        return ' '.repeat(match.length);
      });
    }
    denied ||= goesOn;
  }
  return kinds;
}

function isDenied(before: string): boolean {
  const last = [...before.matchAll(NO)].at(-1);
  if (!last) return false;
  const between = before.slice(last.index + last[0].length);
  return !NOT_A_NO.test(between) && between.trim().split(/\s+/).length <= 8;
}
/** Of a list of things each has its own place: "waxed my legs and have a stye". */
function isElsewhere(text: string, at: number): boolean {
  const before = text.slice(0, at).lastIndexOf(' and ');
  const after = text.indexOf(' and ', at);
  const own = text.slice(before < 0 ? 0 : before, after < 0 ? text.length : after);
  return ELSEWHERE.test(own) && !ON_THE_FACE.test(text);
}
/** Whether a text names a year that was over a year ago when this one began. */
const namesOldYear = (text: string, year: number): boolean =>
  [...text.matchAll(/\b(19|20)\d\d\b/g)].some(([named]) => Number(named) <= year - 2);
const isOver = (kind: HeedKind, text: string, year: number | null): boolean =>
  (LONG_AGO.test(text) || (year !== null && namesOldYear(text, year))) &&
  !STILL.test(text) &&
  (PASSES.includes(kind) || (kind === 'open or infected' && !RETURNS.test(text)));
