export * from './calendar';
export * from './care';
export * from './chair';
export * from './colour';
export * from './day';
export * from './face';
export * from './faults';
export * from './formats';
export * from './kit';
export * from './lesson';
export * from './look';
export * from './order';
export * from './practice';
export * from './photo';
export * from './print';
export * from './render';
export * from './repeat';
export * from './review';
export * from './shade';
export * from './trial';
export { listed } from './listed';
export {
  languageNow,
  localeNow,
  messageKey,
  messages,
  messagesIn,
  msg,
  numberTold,
  plural,
  tellIn,
  term,
  type Telling,
} from './messages';
export { INSTANT_PATTERN, UUID_PATTERN } from './patterns';
export { plainWords } from './plainWords';
// Both fade: the one of looks is meant where nothing else is said.
export { faded } from './face';
export { seededRandom, seedFromText, standardNormal, clamp, lerp, type Random } from './math';
