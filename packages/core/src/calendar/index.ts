export { addDays, addMonths, dayIn, daysBetween, isDay, isZone } from './day';
