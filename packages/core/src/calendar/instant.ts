import { partsOfDay } from './day';
import { zoneFormat } from './zoneFormat';

const MINUTE = 60_000;

/** What the clock of a zone reads at an instant, as milliseconds of the same reading in UTC. */
function readingIn(zone: string, instant: number): number {
  const part = Object.fromEntries(
    zoneFormat(zone)
      .formatToParts(instant)
      .map(({ type, value }) => [type, Number(value)]),
  );
  return Date.UTC(part.year!, part.month! - 1, part.day!, part.hour!, part.minute!, part.second!);
}

/**
 * The instant at which the clock of a zone reads a minute of a day (550 is 09:10). A reading that comes
 * twice, when clocks go back, is the first; one that never comes, when they go forward, is as much later.
 * Throws a RangeError for what is no date or zone.
 */
export function instantAt(zone: string, day: string, minute: number): Date {
  const [year, month, of] = partsOfDay(day);
  const wanted = Date.UTC(year, month - 1, of) + minute * MINUTE;
  const offsets = [wanted - 86_400_000, wanted + 86_400_000].map(
    (at) => readingIn(zone, at) - Math.floor(at / 1000) * 1000,
  );
  const found = offsets.map((offset) => wanted - offset).filter((at) => readingIn(zone, at) === wanted);
  return new Date(found.length > 0 ? Math.min(...found) : wanted - offsets[0]!);
}

/**
 * What the clock of a zone reads at an instant, as whole minutes since the midnight a day began with: 550 is
 * 09:10, 1450 is 00:10 of the day after, and the day before is below none. Throws a RangeError for what is no
 * date or zone.
 */
export function minuteAt(zone: string, day: string, instant: Date): number {
  const [year, month, of] = partsOfDay(day);
  return Math.floor((readingIn(zone, instant.getTime()) - Date.UTC(year, month - 1, of)) / MINUTE);
}
