export {
  aSideAt,
  chanceOfALeft,
  drawPlaces,
  drawSides,
  type Draw,
  type PlaceDraw,
  type SidesDrawn,
} from './draw';
export {
  TRIAL_JUDGES,
  TRIAL_MEASURE_NAMES,
  TRIAL_MEASURES,
  TRIAL_ZONES,
  type Judge,
  type TrialMeasure,
  type TrialZone,
} from './measures';
export {
  changedSteps,
  differsBesides,
  hereWay,
  otherWay,
  swapProduct,
  swapSchool,
  swapStep,
  trialZoneOutlines,
  zonesCompared,
  type ComparedStep,
  type Swap,
} from './halves';
export { isLocal, withHalves, withPlaces, type OtherPlace } from './withHalves';
export { BETTER_WORDS, GRADE_WORDS, questionOf } from './question';
export {
  ANSWERS,
  questionLook,
  TRIAL_ASPECTS,
  TRIAL_CHOICES,
  TRIAL_SCOPES,
  TrialEventSchema,
  TrialFileSchema,
  trialNow,
  TrialSchema,
  TrialToldSchema,
  type Decided,
  type OpenNow,
  type Question,
  type Trial,
  type TrialAspect,
  type TrialChoice,
  type TrialEvent,
  type TrialNow,
  type TrialScope,
  type TrialTold,
} from './trial';
export {
  NOT_BLIND,
  questionsSoFar,
  type GroupShare,
  type QuestionMark,
  type QuestionSoFar,
  type TrialRecord,
} from './questions';
export {
  asCounted,
  asksReason,
  decisionWords,
  followsCount,
  trialWords,
  verdictInWords,
  wayAt,
} from './trialWords';
export {
  compareHalves,
  comparePlaces,
  type Compared,
  type Declared,
  type SeenHalf,
  type TouchedUp,
  type ZoneCompared,
} from './compareHalves';
export { signTest, signFlipTest, signedRankTest, middleDifference, type Exact } from './exactTests';
export { drawTest } from './drawTest';
export { evidence, evidenceOf, trialsNeeded, type Outcome, type TrialsNeeded } from './evidence';
export { shareOf, shrunkShares, type Counted, type Share } from './shares';
export { verdictOf, type QuestionTrial, type Verdict, type VerdictWords } from './verdict';
export { turnbull, holdBand, type Mass, type Wear } from './wear';
export {
  guessedCurve,
  asPrior,
  wearCurve,
  holdChance,
  holdsAt,
  goodHours,
  dueMinutes,
  type Curve,
  type Holds,
} from './wearCurve';
export {
  touchUpTimes,
  worthTouchUps,
  type TouchUpOptions,
  type TouchUps,
  type WearEvent,
  type WornZone,
} from './touchUpTimes';
export {
  failureRate,
  faded,
  chanceGreater,
  changeWorth,
  speaksAgain,
  amountProposal,
  type FailureRate,
  type Refused,
  type Strength,
  type Worn,
} from './proposals';
export {
  checkTimes,
  hoursAt,
  MOST_HOURS,
  WEAR_JUDGES,
  WEAR_MARKS,
  WEAR_STATES,
  WearCheckSchema,
  stepOnZone,
  wornByZone,
  wornTold,
  zoneWears,
  type WearCheck,
  type WearMark,
  type WearState,
  type ZoneWear,
} from './wearCheck';
export {
  chartOutlook,
  touchUpDue,
  touchUpLines,
  touchUpPlan,
  touchUpWhen,
  type TouchUp,
  type TouchUpPlan,
} from './touchUpPlan';
export { SKIN_GROUPS, skinGroupOf, type SkinGroup } from './skinGroup';
export {
  climateTold,
  settingWords,
  WEAR_CLIMATES,
  wearSettingOf,
  WearSettingSchema,
  type PlaceSetting,
  type WearClimate,
  type WearSetting,
} from './wearSetting';
export {
  isAlike,
  outlookWords,
  trialZoneWords,
  wearOutlook,
  type WornNow,
  type ZoneOutlook,
} from './outlook';
export { byGroup, countOf, groupWears, quartersOf, type WearGroup } from './wearGroups';
export {
  LEARNED_ANSWERS,
  LearnedAnswerSchema,
  learnedProposals,
  MOST_LEARNED,
  refusedOf,
  silenced,
  type LearnedAnswer,
  type LearnedFrom,
  type StudioDecision,
} from './learned';
export { writeWearCsv } from './wearCsv';
export { asHabit, habitProposals, workedHabits, type WorkedHabit } from './habits';
export type { LearnedProposal } from './learnedProposal';
export {
  colourSeen,
  freshColour,
  LEAST_TOUCHES,
  noShiftUnder,
  shiftInWords,
  type ColourSamples,
} from './colourHalves';
export { evidenceSheet, type EvidenceSheet } from './evidenceSheet';
