const formats = new Map<string, Intl.DateTimeFormat>();

/**
 * The clock and calendar of a zone as parts; a format takes long to make and is always the same. Throws a
 * RangeError for no zone.
 */
export function zoneFormat(timeZone: string): Intl.DateTimeFormat {
  const known = formats.get(timeZone);
  if (known) return known;
  const made = new Intl.DateTimeFormat('en-GB', {
    timeZone,
    hourCycle: 'h23',
    year: 'numeric',
    month: '2-digit',
    day: '2-digit',
    hour: '2-digit',
    minute: '2-digit',
    second: '2-digit',
  });
  formats.set(timeZone, made);
  return made;
}
