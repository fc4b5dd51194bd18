/** What some texts are known by: patterns as texts, so that a published schema says them too. */
export const UUID_PATTERN = '^[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}$';

const LEAP_YEAR = '(?:\\d\\d(?:0[48]|[2468][048]|[13579][26])|(?:[02468][048]|[13579][26])00)';
const DAY = `(?:\\d{4}-(?:(?:0[13578]|1[02])-(?:0[1-9]|[12]\\d|3[01])|(?:0[469]|11)-(?:0[1-9]|[12]\\d|30)|02-(?:0[1-9]|1\\d|2[0-8]))|${LEAP_YEAR}-02-29)`;
/**
 * Days of the Gregorian calendar only, so that whoever reads the published schema refuses 31 February too.
 */
export const DATE_PATTERN = `^${DAY}$`;
/** An instant in UTC: such a day, and a time of it. No leap seconds: no clock here tells them. */
export const INSTANT_PATTERN = `^${DAY}T(?:[01]\\d|2[0-3]):[0-5]\\d:[0-5]\\d(?:\\.\\d+)?Z$`;
