import type { Side } from '../face';
import { msg, plural, term } from '../messages';
import { trialZoneWords } from './outlook';
import type { Compared } from './compareHalves';
import { aSideAt } from './draw';
import type { TrialZone } from './measures';
import { BETTER_WORDS } from './question';
import type { Decided, Question, Trial, TrialChoice, OpenNow, TrialScope } from './trial';
import { verdictOf, type QuestionTrial, type Verdict } from './verdict';

const ONE_DRAW = 'One face and one draw: a better side cannot be ruled out. Swap sides next time.';
const OWN_DRAWS =
  'Each place had a draw of its own, so a better side is no matter; it is one face all the same.';
const fraction = (value: number): string => Math.abs(value).toFixed(1).replace(/^0/, '');

/**
 * What one trial showed once it is opened: 'Here Veil stayed less shiny (nose 1.1, forehead .3 of a grade on
 * average over 8 h)'; never more than one face and one draw can say.
 */
export function trialWords(
  trial: Pick<Trial, 'question' | 'declared' | 'draw'>,
  { compared, stung }: Pick<OpenNow, 'compared' | 'stung'>,
): string {
  const { question, declared } = trial;
  if (stung === 'both') return msg`Both halves stung and were taken off: nothing was compared.`;
  if (stung !== null && !('aSide' in trial.draw))
    return msg`It stung on the client’s ${term(stung)}, where both ways lay, and was taken off: nothing was compared.`;
  if (stung !== null)
    return msg`${wayAt(trial, stung)} stung and was taken off, which counts against it. ${term(ONE_DRAW)}`;
  if (compared.outcome === null)
    return msg`Nothing was compared: no place was looked at on both halves by whoever was to judge.`;
  const unit = declared.measure === 'colour' ? '' : msg` of a grade`;
  const zones = compared.zones.flatMap((one) =>
    one.difference === null ? [] : [{ ...one, difference: one.difference }],
  );
  const hours = Math.max(0, ...zones.map((one) => one.untilHour ?? 0));
  const over = hours > 0 ? msg` on average over ${hours.toFixed(0)} h` : msg`, fresh`;
  if (compared.outcome === 0)
    return msg`Here they hardly differed: ${term(declared.measure)}, ${fraction(compared.difference ?? 0)}${unit}${over}, where ${fraction(declared.margin)} counts. ${'aSide' in trial.draw ? msg`One face and one draw.` : msg`One face.`}`;
  const better = compared.outcome > 0 ? question.a : question.b;
  const towards = compared.outcome;
  const where = zones
    .map(({ zone, difference }) => {
      const said = difference * towards < 0 ? msg`against it ` : '';
      return `${zoneWords(zone)} ${said}${fraction(difference)}`;
    })
    .join(', ');
  const how = msg`Here ${better.words} ${BETTER_WORDS[declared.measure]}`;
  if ('aSide' in trial.draw) return `${how} (${where}${unit}${over}). ${term(ONE_DRAW)}`;
  const ahead = zones.filter(({ difference }) => difference * towards > 0).length;
  return msg`${how} in ${ahead} of ${zones.length} places (${where}${unit}${over}). ${term(OWN_DRAWS)}`;
}

const zoneWords = (zone: string): string => {
  const known = (['forehead', 'nose', 'cheek', 'underEye', 'mouth', 'chin', 'neck'] as const).find(
    (z) => z === zone,
  );
  return known ? trialZoneWords(known) : zone;
};

/** What was on a side; of a place where each had a draw of its own. */
export function wayAt(
  { question, draw, declared }: Pick<Trial, 'question' | 'draw' | 'declared'>,
  side: Side,
  zone: TrialZone = declared.zones[0]!,
): string {
  return side === aSideAt(draw, zone) ? question.a.words : question.b.words;
}
export const wayOf = (question: Question, which: 'a' | 'b'): string => question[which].words;

/** A decision as it is counted: better, worse and equal halves of the question so far, and what they say. */
export type Count = { readonly outcome: Compared['outcome']; readonly verdict: Verdict };

/**
 * Whether a decision goes with the count: for this client with the trial itself, for more of them with the
 * question's trials. Wanting more, or either, goes with anything that is not yet told apart.
 */
export function followsCount(choice: TrialChoice, scope: TrialScope, { outcome, verdict }: Count): boolean {
  const told =
    scope === 'client'
      ? outcome === null
        ? 0
        : outcome
      : verdict.towards === null
        ? 0
        : verdict.towards === 'a'
          ? 1
          : -1;
  if (choice === 'more') return true;
  if (choice === 'either')
    return told === 0 || (scope !== 'client' && verdict.words !== 'clear' && verdict.words !== 'settled');
  return told === (choice === 'a' ? 1 : -1) || told === 0;
}

/** Evidence from which on a decision for more than one client needs no reason. */
const FOR_MORE = 3;

/**
 * Why a decision is asked for its reason; null when it needs none. It is never refused for what it decides.
 */
export function asksReason(choice: TrialChoice, scope: TrialScope, count: Count): string | null {
  if (choice === 'more') return null;
  if (!followsCount(choice, scope, count)) return msg`This goes against the count: say why`;
  if (scope !== 'client' && count.verdict.evidence < FOR_MORE)
    return msg`Too few to tell for more than this client: say why`;
  return null;
}

/** 'Decided for B against the count (A 4 of 5): dislikes the feel of A. Mara Oduya.' */
export function decisionWords(
  question: Question,
  { choice, scope, follows, reason, by }: Decided,
  { counts }: Pick<Verdict, 'counts'>,
): string {
  const what =
    choice === 'more'
      ? msg`More trials first`
      : choice === 'either'
        ? msg`Either will do`
        : msg`Decided for ${wayOf(question, choice)}`;
  const where = scope === 'client' ? '' : scope === 'studio' ? msg`, for everybody` : msg`, for such skin`;
  const leads = counts.better >= counts.worse ? 'a' : 'b';
  const against = follows
    ? ''
    : counts.trials > 1
      ? msg` against the count (${wayOf(question, leads)} ${Math.max(counts.better, counts.worse)} of ${counts.trials})`
      : msg` against what was seen`;
  return `${what}${where}${against}${reason === '' ? '' : `: ${reason}`}. ${by}.`;
}

/** A trial as its question counts it; one that is not judged yet keeps the place of its draw. */
export function asCounted(trial: Trial, now: OpenNow): QuestionTrial {
  const counts = now.judgedAt !== null || now.stung !== null;
  return {
    aSide: 'aSide' in trial.draw ? trial.draw.aSide : null,
    outcome: counts ? now.compared.outcome : null,
    leftMinusRight: counts ? now.compared.leftMinusRight : null,
  };
}

/** What the trials of one question say so far, in a few sentences. */
export function verdictInWords(question: Question, trials: readonly QuestionTrial[]): string[] {
  const { words, towards, counts, share, needed, sideHabit } = verdictOf(trials);
  const { better, worse, ties, trials: n } = counts;
  if (n === 0) return [msg`None has been judged yet.`];
  const leads = towards === 'b' ? 'b' : 'a';
  const [most, name] = [Math.max(better, worse), wayOf(question, leads)];
  const [low, high] = leads === 'a' ? [share.low, share.high] : [1 - share.high, 1 - share.low];
  const mean = leads === 'a' ? share.mean : 1 - share.mean;
  const of10 = (value: number): number => Math.round(10 * value);
  const count = msg`${name} did better on ${most} of ${n}${ties > 0 ? msg`, ${ties} alike` : ''}.`;
  const next = msg`On the next such client about ${of10(mean)} of 10 (${of10(low)} to ${of10(high)}).`;
  const verdict: Record<Verdict['words'], string> = {
    'too few to tell': msg`Too few to tell.`,
    leaning: msg`Leaning that way; luck can still do that.`,
    clear: msg`Clear.`,
    settled: msg`Settled.`,
    'hardly differ': msg`They hardly differ: choose by price and comfort.`,
  };
  const more =
    words === 'too few to tell' || words === 'leaning'
      ? needed.atBest === null
        ? [msg`More trials will hardly tell.`]
        : [
            msg`${plural(needed.atBest)`At best ${needed.atBest} more trial makes it clear|At best ${needed.atBest} more trials make it clear`}${
              needed.evenChance === null
                ? msg`; with an even chance more than 40: choose by price and comfort.`
                : msg`; with an even chance ${needed.evenChance}.`
            }`,
          ]
      : [];
  const habit =
    sideHabit && sideHabit.p < 0.1
      ? [
          msg`The client’s ${term(sideHabit.side)} came out better in ${sideHabit.of} of ${sideHabit.decided}, whatever was on it: look at your light and your chair.`,
        ]
      : [];
  return [count, next, verdict[words], ...more, ...habit];
}
