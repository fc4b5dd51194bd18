export { instantAt, minuteAt } from './instant';
export { addDays, addMonths, dayIn, daysBetween, isDay, isZone } from './day';
export { clock, minuteOfDay } from './clock';
export { iCalendar, type CalendarEvent, type CalendarTime } from './iCalendar';
