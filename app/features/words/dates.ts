const dayMs = 86_400_000;
const atNoon = (date: string): Date => new Date(`${date.slice(0, 10)}T12:00:00Z`);

/** 'Wed 25 Nov', with the year when it is not the reader's own. */
export function dayInWords(date: string, now: Date = new Date()): string {
  const day = atNoon(date);
  const year = day.getUTCFullYear() === now.getUTCFullYear() ? undefined : 'numeric';
  return day.toLocaleDateString('en-GB', { weekday: 'short', day: 'numeric', month: 'short', year, timeZone: 'UTC' }).replace(',', '');
}

/** 'today', 'tomorrow', 'in 9 days', '3 weeks ago', '8 months ago'. */
export function howFar(date: string, now: Date = new Date()): string {
  const days = Math.round((atNoon(date).getTime() - atNoon(now.toISOString()).getTime()) / dayMs);
  if (days === 0) return 'today';
  if (days === 1) return 'tomorrow';
  if (days === -1) return 'yesterday';
  const size = Math.abs(days);
  const span = size < 21 ? `${size} days` : size < 60 ? `${Math.round(size / 7)} weeks` : `${Math.round(size / 30.4)} months`;
  return days > 0 ? `in ${span}` : `${span} ago`;
}

/** 'Wed 25 Nov, in 2 days'. */
export const dayAndDistance = (date: string): string => `${dayInWords(date)}, ${howFar(date)}`;

/** Today as YYYY-MM-DD. */
export const todayText = (now: Date = new Date()): string => now.toISOString().slice(0, 10);
