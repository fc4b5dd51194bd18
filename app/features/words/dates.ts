import {
  dayIn,
  daysBetween,
  minuteOfDay,
  msg,
  toldClock,
  toldDay,
  toldHours,
  USUAL_MANNER,
  type Manner,
} from '@toile/core';
import { deviceZone } from '../../data/deviceZone';

/** The zone whose days are meant: the studio's once its settings are known, until then this device's. */
let studioZone: string | null = null;

/** Lets days be told in the studio's zone; null for the device's own. */
export function tellDaysIn(zone: string | null): void {
  studioZone = zone;
}

/** How days, hours, amounts and warmth are told: the studio's way once its settings are known. */
let studioManner: Manner = USUAL_MANNER;

/** Lets everything be told in a studio's manner; what it leaves out, or null, is as usual. */
export function tellInManner(manner: Partial<Manner> | null | undefined): void {
  studioManner = { ...USUAL_MANNER, ...manner };
}
export const mannerNow = (): Manner => studioManner;

/** A minute of the day, or an hour as HH:MM, as the studio tells it: '09:10' or '9:10 am'. */
export function hourInWords(at: number | string): string {
  const minute = typeof at === 'number' ? at : minuteOfDay(at);
  return minute === null ? String(at) : toldClock(minute, studioManner.clock);
}

/** Words of the computing with the hours in them as the studio tells them. */
export const withHours = (words: string): string => toldHours(words, studioManner.clock);

/** Words with every day in them as the studio writes days. */
export const withDays = (words: string): string =>
  words.replace(/\b\d{4}-\d{2}-\d{2}\b/g, (day) => dayInWords(day));

/** The zone days are told in just now. */
export const zoneOfDays = (): string => studioZone ?? deviceZone();

/** Today as YYYY-MM-DD, where the studio is. */
export const todayText = (now: Date = new Date()): string => dayIn(zoneOfDays(), now);

/** The day of a date or of an instant. */
const dayOf = (when: string): string => (when.length > 10 ? dayIn(zoneOfDays(), new Date(when)) : when);

/** 'Wed 25 Nov', with the year when it is not the reader's own. */
export function dayInWords(when: string, now: Date = new Date()): string {
  const day = dayOf(when);
  return toldDay(day, studioManner.days, day.slice(0, 4) !== todayText(now).slice(0, 4));
}

/** 'Wed 25 Nov, 14:05', where the studio is. */
export function instantInWords(when: string, now: Date = new Date()): string {
  const time = new Date(when).toLocaleTimeString('en-GB', {
    hour: '2-digit',
    minute: '2-digit',
    timeZone: zoneOfDays(),
  });
  return `${dayInWords(when, now)}, ${hourInWords(time)}`;
}

/** 'today', 'tomorrow', 'in 9 days', '3 weeks ago', '8 months ago'. */
export function howFar(when: string, now: Date = new Date()): string {
  const days = daysBetween(todayText(now), dayOf(when));
  if (days === 0) return msg`today`;
  if (days === 1) return msg`tomorrow`;
  if (days === -1) return msg`yesterday`;
  const size = Math.abs(days);
  const span =
    size < 21
      ? msg`${size} days`
      : size < 60
        ? msg`${Math.round(size / 7)} weeks`
        : msg`${Math.round(size / 30.4)} months`;
  return days > 0 ? msg`in ${span}` : msg`${span} ago`;
}

/** 'Wed 25 Nov, in 2 days'. */
export const dayAndDistance = (when: string): string => `${dayInWords(when)}, ${howFar(when)}`;
