export { asUsed } from './asUsed';
export { asWorn } from './asWorn';
export { comfortCues, minutesSat } from './comfortCues';
export { takenFromUnits, usedInStep } from './amountsUsed';
export { conflictsOf, type Conflict } from './conflicts';
export {
  EVENT_KINDS,
  recordedBy,
  RecordedEventSchema,
  type ChairEvent,
  type EventKind,
  type RecordedEvent,
  type Told,
} from './event';
export { eventWithoutWords, SOMEBODY, withoutName, withoutPerson } from './withoutPerson';
export { lastWorn } from './lastWorn';
export { productsMet } from './productsMet';
export { nextStep, type NextStep, type RunningWait } from './nextStep';
export {
  driedBetween,
  isSettled,
  lastDryAt,
  nextAfter,
  progressOf,
  variantWorked,
  waitsAt,
  type Drying,
  type DryingStep,
  type Progress,
} from './progress';
export {
  atChair,
  carriedInto,
  goesOn,
  isSameWork,
  lastToldAt,
  SITTING_APART_HOURS,
  sittingsOf,
  stillOnFace,
  type Sitting,
  type SittingChoice,
  type ToldOf,
} from './sittings';
export {
  ownTimings,
  withOwnTimings,
  workOf,
  workSamples,
  type OwnTiming,
  type Work,
  type WorkSample,
} from './timings';
