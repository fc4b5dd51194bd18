import { messages, msg, plural, type Refit, type RefitChange } from '@toile/core';

/** Changes that are a choice; the rest is only told. */
export const isChoice = (change: RefitChange): boolean => change.part !== null;

/** '3 changes, 14 kept'. */
export function summaryOf(changes: readonly RefitChange[]): string {
  const choices = changes.filter(isChoice).length;
  const kept = changes.filter((c) => c.kind === 'keep').length;
  return msg`${plural(choices)`${choices} change|${choices} changes`}, ${kept} kept`;
}

/** What each kind of change is called. */
export const KIND_WORDS: Readonly<Record<RefitChange['kind'], string>> = messages({
  keep: 'kept',
  carried: 'as worn',
  learned: 'as chosen',
  asked: 'asked anew',
  remix: 'mixed anew',
  substitute: 'replaced',
  without: 'left without',
  're-place': 'placed anew',
  're-order': 'ordered anew',
});

/** Why a version was made, when nothing else was written. */
export function reasonFor(refit: Refit, date: string): string {
  const drift = refit.drift;
  const moved =
    drift && Math.abs(drift.stepsDeeper) >= 0.15
      ? msg`; skin ${Math.abs(drift.stepsDeeper).toFixed(1)} steps ${drift.stepsDeeper > 0 ? msg`deeper` : msg`lighter`}`
      : '';
  return msg`Repeated as worn for ${date}${moved}`;
}
