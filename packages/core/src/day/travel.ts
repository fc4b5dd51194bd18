import type { PartyDay } from './instance';

/**
 * When someone whose hands are free at a minute can work at another place: packs, takes the next departure,
 * unpacks. Infinity when there is no way or no later departure.
 */
export function arrivalAt(day: PartyDay, from: string, to: string, free: number): number {
  if (from === to) return free;
  const way = day.travel.find((one) => one.from === from && one.to === to);
  if (!way) return Infinity;
  let leave = free + (way.pack ?? 0);
  if (way.departures) leave = Math.min(...way.departures.filter((at) => at >= leave), Infinity);
  return leave + way.minutes + (way.unpack ?? 0);
}

/** The last minute to stop by, to start at another place in time; -Infinity when there is no way. */
export function stopBy(day: PartyDay, from: string, to: string, start: number): number {
  if (from === to) return start;
  const way = day.travel.find((one) => one.from === from && one.to === to);
  if (!way) return -Infinity;
  let leave = start - way.minutes - (way.unpack ?? 0);
  if (way.departures) leave = Math.max(...way.departures.filter((at) => at <= leave), -Infinity);
  return leave - (way.pack ?? 0);
}
