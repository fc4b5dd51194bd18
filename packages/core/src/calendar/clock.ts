/** A minute of the day as a clock reads it: 550 is 09:10; past midnight the next day's hours. */
export function clock(minute: number): string {
  const whole = Math.round(minute);
  const hours = Math.floor((((whole % 1440) + 1440) % 1440) / 60);
  return `${String(hours).padStart(2, '0')}:${String(((whole % 60) + 60) % 60).padStart(2, '0')}`;
}

/** A time of a clock, HH:MM, in minutes of the day; null while it is none. */
export function minuteOfDay(time: string): number | null {
  const match = /^([01]\d|2[0-3]):([0-5]\d)$/.exec(time);
  return match ? Number(match[1]) * 60 + Number(match[2]) : null;
}
