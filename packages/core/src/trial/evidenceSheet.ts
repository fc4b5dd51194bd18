import { capital } from '../capital';
import { toldDay, type Manner } from '../calendar';
import { msg, term } from '../messages';
import { TRIAL_ZONES } from './measures';
import { trialZoneWords } from './outlook';
import type { TrialRecord } from './questions';
import { trialNow } from './trial';
import { asCounted, decisionWords, trialWords } from './trialWords';
import { verdictOf } from './verdict';
import { hoursAt, wornTold, type WearCheck } from './wearCheck';

/** What was tried on one client and how it wore, to be put on paper. */
export type EvidenceSheet = {
  readonly title: string;
  readonly whom: string;
  readonly lead: readonly string[];
  readonly parts: readonly {
    readonly title: string;
    readonly rows: readonly { readonly time: string; readonly what: string; readonly detail: string }[];
  }[];
  readonly foot: readonly string[];
};

type Told = {
  readonly name: string;
  readonly trials: readonly TrialRecord[];
  readonly wears: readonly WearCheck[];
  /** The day an instant is where the studio is. */ readonly dayOf: (instant: string) => string;
  readonly days: Manner['days'];
};

/**
 * Everything of one client's trials and wears, the newest first; a trial that is not judged stays sealed here
 * too.
 */
export function evidenceSheet({ name, trials, wears, dayOf, days }: Told): EvidenceSheet {
  const day = (text: string): string => toldDay(text, days, true);
  const tried = [...trials]
    .sort((one, other) => other.trial.draw.at.localeCompare(one.trial.draw.at))
    .map(({ trial, events }) => {
      const now = trialNow(trial, events);
      const judged = now.state === 'judged' || now.state === 'decided';
      const decided = now.decided
        ? ` ${decisionWords(trial.question, now.decided, verdictOf([asCounted(trial, now)]))}`
        : '';
      return {
        time: '',
        what: `${day(trial.date)}: ${trial.question.text}`,
        detail: judged
          ? `${trialWords(trial, now)}${decided}`
          : now.state === 'ended'
            ? msg`Ended without a verdict.`
            : msg`Not judged yet: sealed.`,
      };
    });
  const wearings = [...new Set(wears.map(({ appliedAt, chartId }) => `${appliedAt} ${chartId}`))]
    .sort()
    .reverse()
    .map((key) => wears.filter(({ appliedAt, chartId }) => `${appliedAt} ${chartId}` === key));
  const worn = wearings.map((checks) => ({
    time: '',
    what: `${day(dayOf(checks[0]!.appliedAt))}: ${wornWords(checks)}`,
    detail: [...checks]
      .sort((one, other) => hoursAt(one) - hoursAt(other))
      .map(lookWords)
      .join(' '),
  }));
  return {
    title: msg`Trials and wear`,
    whom: name,
    lead: [],
    parts: [
      { title: msg`Half-face trials`, rows: tried },
      { title: msg`How it wore`, rows: worn },
    ],
    foot: [
      ...(tried.length + worn.length === 0 ? [msg`Nothing was tried or looked at yet.`] : []),
      msg`One face: what held here may not hold on another. Nothing here is a diagnosis; the maker’s directions come first.`,
    ],
  };
}

/** What stood on the face, each once. */
function wornWords(checks: readonly WearCheck[]): string {
  const lines = [...new Set(checks.flatMap(({ worn }) => Object.values(worn)))];
  return lines.length === 0 ? msg`worn` : lines.map(wornTold).join(', ');
}

/** One look: 'After 4.0 h, by the client: nose needs a touch-up. Touched up: nose. Meal.' */
function lookWords(check: WearCheck): string {
  const looked = TRIAL_ZONES.flatMap((zone) => {
    const state = check.zones[zone];
    return state ? [{ zone, state }] : [];
  });
  const failing = looked.filter(({ state }) => state !== 'holds');
  const seen =
    looked.length === 0
      ? msg`no place said`
      : failing.length === 0
        ? looked.length === 1
          ? msg`${trialZoneWords(looked[0]!.zone)} holds`
          : msg`all ${looked.length} places hold`
        : [
            failing.map(({ zone, state }) => `${trialZoneWords(zone)} ${term(state)}`).join(', '),
            ...(failing.length < looked.length ? [msg`the rest holds`] : []),
          ].join('; ');
  const touched = check.touched.map(trialZoneWords);
  return [
    msg`After ${hoursAt(check).toFixed(1)} h, by ${check.judge === 'client' ? msg`the client` : check.by}: ${seen}.`,
    touched.length > 0 ? msg`Touched up: ${touched.join(', ')}.` : null,
    check.marks.length > 0 ? `${capital(check.marks.map((one) => term(one)).join(', '))}.` : null,
    check.stings ? msg`It stung and was taken off.` : null,
  ]
    .filter((words) => words !== null)
    .join(' ');
}
