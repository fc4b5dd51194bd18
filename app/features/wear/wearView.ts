import {
  checkTimes,
  clock,
  hoursAt,
  instantAt,
  minuteAt,
  msg,
  term,
  TRIAL_ZONES,
  trialZoneWords,
  wearOutlook,
  type Chart,
  type PlaceSetting,
  type WearCheck,
  type ZoneOutlook,
  type WearGroup,
} from '@toile/core';
import type { ChartWearAnswer } from '@toile/contract';

/** Hours a chart's day lasts. */
export const hoursOf = (chart: Pick<Chart, 'occasion'>): number => chart.occasion.hoursToLast;

/** The zone whose hold is least likely: faces fail together, so the weakest speaks. */
export function weakestOf(outlook: readonly ZoneOutlook[]): ZoneOutlook | null {
  return outlook.reduce<ZoneOutlook | null>(
    (weakest, one) => (weakest === null || one.holds.mean < weakest.holds.mean ? one : weakest),
    null,
  );
}

/** One look in a line: '4.5 h: nose starting, mouth touch up; meal'. */
export function checkWords(check: WearCheck): string {
  const said = TRIAL_ZONES.flatMap((zone) => {
    const state = check.zones[zone];
    return state && state !== 'holds' ? [`${trialZoneWords(zone)} ${term(state)}`] : [];
  });
  const held = TRIAL_ZONES.filter((zone) => check.zones[zone] === 'holds').length;
  return [
    said.length > 0 ? said.join(', ') : held > 0 ? msg`holds` : '',
    said.length > 0 && held > 0 ? msg`the rest holds` : '',
    check.touched.length > 0 ? msg`touched up: ${check.touched.map(trialZoneWords).join(', ')}` : '',
    check.marks.map((one) => term(one)).join(', '),
    check.stings ? msg`▲ stings` : '',
  ]
    .filter((words) => words !== '')
    .join('; ');
}
export const hoursWords = (check: Pick<WearCheck, 'appliedAt' | 'at'>): string =>
  `${hoursAt(check).toFixed(1)} h`;

/**
 * When what is worn now was put on, as far as anybody knows: by the looks told or the last tick at the chair,
 * whichever is later; null when that was on another day.
 */
export function wornSince(
  { checks, lastTickAt }: Pick<ChartWearAnswer, 'checks' | 'lastTickAt'>,
  now: Date,
): string | null {
  const known = [...checks.map((check) => check.appliedAt), ...(lastTickAt ? [lastTickAt] : [])];
  const last = known.reduce<string | null>(
    (latest, at) => (latest === null || Date.parse(at) > Date.parse(latest) ? at : latest),
    null,
  );
  return last !== null && checkTimes({ appliedAt: last, at: now.toISOString() }) === null ? last : null;
}

/** An instant as a day and a clock of a zone, and back; null for what is none. */
export function inZone(zone: string, at: Date, day: string): string {
  return clock(((minuteAt(zone, day, at) % 1440) + 1440) % 1440);
}
export function instantOf(zone: string, day: string, time: string): string | null {
  const match = /^(\d{2}):(\d{2})$/.exec(time);
  if (!match || !/^\d{4}-\d{2}-\d{2}$/.test(day)) return null;
  return instantAt(zone, day, Number(match[1]) * 60 + Number(match[2])).toISOString();
}

export type HeldRow = {
  readonly worn: string;
  readonly zone: string;
  readonly wears: number;
  readonly outlook: ZoneOutlook;
};

/**
 * Every product in every zone that was looked at, the most looked-at first: how it holds to an hour on some
 * skin and days, or on any.
 */
export function heldRows(
  history: readonly WearGroup[],
  hours: number,
  { skin, climate }: PlaceSetting = { skin: null, climate: null },
): HeldRow[] {
  const pairs = new Map<string, WearGroup>();
  for (const one of history) if (one.worn !== null) pairs.set(`${one.zone} ${one.worn}`, one);
  return [...pairs.values()]
    .flatMap(({ zone, worn }): HeldRow[] => {
      // Nobody in particular: of what stands here on anyone.
      const setting = { skin: skin === null ? {} : { [zone]: skin }, climate };
      const [outlook] = wearOutlook(history, { worn: { [zone]: worn! }, setting }, hours);
      return outlook ? [{ worn: worn!, zone: trialZoneWords(zone), wears: outlook.alike, outlook }] : [];
    })
    .sort((a, b) => b.wears - a.wears || (a.worn < b.worn ? -1 : 1));
}
