export { instantAt, minuteAt } from './instant';
export { addDays, addMonths, dayIn, daysBetween, isDay, isZone } from './day';
export { clock, minuteOfDay } from './clock';
export { dayOrderOf, dayTold, monthTold, type DayOrder } from './dayTold';
export { iCalendar, type CalendarEvent, type CalendarTime } from './iCalendar';
export {
  AMOUNTS_FIRST,
  CLOCKS,
  DAY_ORDERS,
  FIRST_WEEKDAYS,
  inCelsius,
  TEMPERATURE_UNITS,
  toldClock,
  toldDay,
  toldHours,
  USUAL_MANNER,
  weekOf,
  type Manner,
} from './manner';
