import type { Side } from '../face';
import { leaning } from './draw';
import { evidence, trialsNeeded, type TrialsNeeded } from './evidence';
import { signTest } from './exactTests';
import { shareOf, type Share } from './shares';

/** A finished or unfinished trial of one question, in the order of the draws. */
export type QuestionTrial = {
  /** null where each place had a draw of its own: a fair coin by itself, which the next does not lean on. */
  readonly aSide: Side | null;
  readonly outcome: 1 | -1 | 0 | null;
  readonly leftMinusRight: number | null;
};

export type VerdictWords = 'too few to tell' | 'leaning' | 'clear' | 'settled' | 'hardly differ';

export type Verdict = {
  readonly words: VerdictWords;
  readonly towards: 'a' | 'b' | null;
  readonly counts: {
    readonly better: number;
    readonly worse: number;
    readonly ties: number;
    readonly trials: number;
  };
  readonly evidence: number;
  readonly share: Share;
  readonly needed: TrialsNeeded;
  /** A side that comes out better whatever is on it, with its exact chance; null under eight trials. */
  readonly sideHabit: {
    readonly side: Side;
    readonly of: number;
    readonly decided: number;
    readonly p: number;
  } | null;
};

/** Evidence from which a lean, a clear and a settled answer is spoken of. */
const LEANING = 3;
const CLEAR = 10;
const SETTLED = 20;
const HARDLY = 0.35;
const FEW = 8;

/** What many trials of one question say; it may be asked after every trial. */
export function verdictOf(trials: readonly QuestionTrial[]): Verdict {
  let surplus = 0;
  const outcomes = trials.flatMap(({ aSide, outcome }) => {
    if (aSide === null) return outcome === null ? [] : [{ won: outcome, chance: 1 / 2 }];
    const left = leaning(surplus);
    surplus += aSide === 'left' ? 1 : -1;
    if (outcome === null) return [];
    // The coin alone: A wins when the side that did better drew A.
    const better: Side = outcome > 0 === (aSide === 'left') ? 'left' : 'right';
    return [{ won: outcome, chance: better === 'left' ? left : 1 - left }];
  });
  const better = outcomes.filter(({ won }) => won > 0).length;
  const worse = outcomes.filter(({ won }) => won < 0).length;
  const ties = outcomes.length - better - worse;
  const decided = better + worse;
  const e = evidence(outcomes).at(-1) ?? 1;
  const words: VerdictWords =
    e >= SETTLED
      ? 'settled'
      : e >= CLEAR
        ? 'clear'
        : e >= LEANING
          ? 'leaning'
          : e <= HARDLY && decided >= FEW
            ? 'hardly differ'
            : 'too few to tell';
  const lefts = trials.flatMap(({ leftMinusRight }) => leftMinusRight ?? []);
  const habit = signTest(lefts);
  return {
    words,
    towards: better === worse ? null : better > worse ? 'a' : 'b',
    counts: { better, worse, ties, trials: outcomes.length },
    evidence: e,
    share: shareOf(better, ties, outcomes.length),
    needed: trialsNeeded(better, decided),
    sideHabit:
      habit.wins + habit.losses < FEW
        ? null
        : {
            side: habit.wins >= habit.losses ? 'left' : 'right',
            of: Math.max(habit.wins, habit.losses),
            decided: habit.wins + habit.losses,
            p: habit.p,
          },
  };
}
