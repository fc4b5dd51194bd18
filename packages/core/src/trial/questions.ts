import { asCounted, verdictInWords } from './trialWords';
import { shrunkShares, type Share } from './shares';
import { trialNow, type Question, type Trial, type TrialEvent, type TrialNow } from './trial';
import { SKIN_GROUPS, type SkinGroup } from './skinGroup';
import { verdictOf, type Verdict } from './verdict';

/** A trial with all that was told of it. */
export type TrialRecord = { readonly trial: Trial; readonly events: readonly TrialEvent[] };

/** One client's mark on a question's page: A better is positive; what nobody judged yet has none. */
export type QuestionMark = {
  readonly trialId: string;
  readonly clientId: string;
  readonly date: string;
  readonly state: TrialNow['state'];
  readonly outcome: 1 | -1 | 0 | null;
  readonly difference: number | null;
  /** Whether it is counted: an earlier one of the same client may stand for it. */ readonly counts: boolean;
};
/** How a kind of skin does, leaning on all of them; only where there is more than one kind. */
export type GroupShare = {
  readonly skin: SkinGroup;
  readonly better: number;
  readonly ties: number;
  readonly trials: number;
  readonly share: Share;
};
export type QuestionSoFar = {
  readonly question: Question;
  readonly marks: readonly QuestionMark[];
  readonly verdict: Verdict;
  readonly says: readonly string[];
  readonly groups: readonly GroupShare[];
  /**
   * Of those who judged and guessed where A was, how many were right; told apart by more than luck it was not
   * blind.
   */
  readonly guesses: { readonly right: number; readonly of: number };
};

/** So many right guesses of so many say that it was not blind in effect. */
export const NOT_BLIND = { right: 7, of: 8 } as const;

/**
 * The studio's questions, the one with the most trials first; trials in the order they were drawn. A client
 * is one unit: of repeated trials the first that was judged counts, since a trial may be repeated for what it
 * said; the others keep the place of their draw.
 */
export function questionsSoFar(records: readonly TrialRecord[]): QuestionSoFar[] {
  const byKey = new Map<string, TrialRecord[]>();
  for (const one of [...records].sort((a, b) => Date.parse(a.trial.draw.at) - Date.parse(b.trial.draw.at)))
    byKey.set(one.trial.question.key, [...(byKey.get(one.trial.question.key) ?? []), one]);
  return [...byKey.values()]
    .map(questionFrom)
    .sort((a, b) => b.marks.length - a.marks.length || (a.question.text < b.question.text ? -1 : 1));
}

function questionFrom(records: readonly TrialRecord[]): QuestionSoFar {
  const { question } = records[0]!.trial;
  const all = records.map(({ trial, events }) => {
    const now = trialNow(trial, events);
    return { trial, now, counted: asCounted(trial, now) };
  });
  const first = new Map<string, string>();
  for (const { trial, counted } of all)
    if (counted.outcome !== null && !first.has(trial.clientId)) first.set(trial.clientId, trial.id);
  const counted = all.map(({ trial, counted: one }) =>
    first.get(trial.clientId) === trial.id ? one : { ...one, outcome: null },
  );
  const groups = SKIN_GROUPS.flatMap((skin) => {
    const mine = all.flatMap(({ trial }, i) => (trial.skin === skin ? (counted[i]!.outcome ?? []) : []));
    const better = mine.filter((outcome) => outcome > 0).length;
    return mine.length === 0
      ? []
      : [{ skin, better, ties: mine.filter((outcome) => outcome === 0).length, trials: mine.length }];
  });
  const shares = groups.length > 1 ? shrunkShares(groups) : [];
  // Drawn place by place there is no one side to guess.
  const guessed = all.flatMap(({ trial: { draw }, now }) =>
    now.guess !== null && 'aSide' in draw ? [now.guess === draw.aSide] : [],
  );
  return {
    question,
    marks: all.map(({ trial, now, counted: { outcome } }) => ({
      trialId: trial.id,
      clientId: trial.clientId,
      date: trial.date,
      state: now.state,
      outcome,
      difference: outcome === null ? null : now.compared.difference,
      counts: first.get(trial.clientId) === trial.id,
    })),
    verdict: verdictOf(counted),
    says: verdictInWords(question, counted),
    groups: groups.length > 1 ? groups.map((group, i) => ({ ...group, share: shares[i]! })) : [],
    guesses: {
      right: guessed.filter((right) => right).length,
      of: guessed.length,
    },
  };
}
