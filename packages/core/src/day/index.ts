export * from './instance';
export { checkDay } from './checkDay';
export { wholeDay, type OpenDay } from './wholeDay';
export { judgeDay, type DayConflict, type Judged, type PersonDay, type DayRule } from './judgeDay';
export { planDay, Planning, type PlanOptions, type PlanProgress } from './planDay';
export { explainDay, type Explained, type ExplainOptions } from './explain';
export { causesOf, drop, wordsFor, type DayCause } from './causes';
export { changedDay, isNobodyYet, type DayChange } from './changes';
export { waysOut, type WayOut } from './waysOut';
export { keyOf as visitKey } from './laidOut';
export {
  COME_BEFORE_MINUTES,
  simulateDay,
  STRAYS,
  USUAL_STAYS,
  wilson,
  type Certainty,
  type Simulated,
  type Stays,
} from './simulate';
export { LEAST_TIMED, ownMinutes, type OwnMinutes } from './ownMinutes';
export { oneMoreBuys, type OneMore, type OneMoreOptions } from './oneMore';
export { calmDay, type CalmOptions } from './calmDay';
export { placeSlack, type Slacked } from './placeSlack';
export {
  replanDay,
  pushDay,
  changesBetween,
  CHANGES,
  type Change,
  type Replan,
  type Replanned,
} from './replan';
export { learnMinutes, type Learned, type Timed } from './learnMinutes';
export {
  packProducts,
  sharedAtOnce,
  toolsAtOnce,
  disposablesFor,
  type Disposable,
  type PackedProduct,
  type PackUnit,
  type Shared,
  type Take,
} from './packParty';
export { packParty, type PackingList, type PackingOptions, type ShortOf, type Thing } from './packingList';
export {
  CLIENT_RUN_UP,
  clientRunUp,
  RUN_UP_WORDS,
  runUpState,
  runUpTasks,
  workingDaysBefore,
  type RunUpKind,
  type RunUpTask,
  type RunUpState,
  PARTY_RUN_UP,
  lastDayToBuy,
  partyRunUp,
  RUN_UP_KINDS,
  type ShopsOfPlan,
} from './runUp';
export {
  dayOfPlan,
  faceOf,
  GUEST_ROLES,
  hairOf,
  PartyPlanSchema,
  ROLE_WEIGHTS,
  WORK_ORDERS,
  type Guest,
  type GuestRole,
  type Hands,
  type PartyPlan,
} from './party';
export {
  PARTY_EVENT_KINDS,
  packedThings,
  PartyEventSchema,
  visitTimes,
  type Packed,
  type PartyEvent,
  type PartyEventKind,
  type VisitTimes,
} from './partyLog';
export {
  runningDay,
  seenVisits,
  type ChairTicks,
  type RunningDay,
  type RunningVisit,
  type SeenVisit,
  type VisitState,
  standsIn,
} from './onTheDay';
export { callSheet, type TouchUpsOf } from './callSheet';
export { sheetInManner, type CallSheet, type SheetFor, type SheetPart, type SheetRow } from './sheet';
export { timedVisits, type WentVisit } from './timedVisits';
export { partyCalendar } from './partyCalendar';
export { minorWithoutPage, speaksOfCare } from './guestNotes';
export { guestsFromText, type PastedGuest, type PasteProblem } from './guestsFromText';
export {
  planAnew,
  changedPlan,
  DEFAULT_HANDS,
  newPlan,
  guestOfClient,
  guestAsClient,
  newGuest,
  lighterOf,
  withFaceMinutes,
  PARTY_TEMPLATES,
  usualReadyBy,
  type PartyTemplate,
} from './newPlan';
export { OCCASION_OF_TEMPLATE, occasionOfParty } from './partyOccasion';
export { studioCalendar, type CalendarTask, type CalendarVisit } from './studioCalendar';
