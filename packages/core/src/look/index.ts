export {
  CHART_FORMAT,
  ChartSchema,
  MOST_LOOK_STEPS,
  MOST_STEPS,
  chartSchemaOf,
  ChartV1Schema,
  ChartV2Schema,
  DEVIATIONS,
  MOST_DOSE,
  NEXT_TIME,
  FLOWS,
  forbidsOf,
  DeviationSchema,
  LandmarksSchema,
  LookSchema,
  OccasionSchema,
  PHASES,
  SCHOOLS,
  SkinSchema,
  TECHNIQUES,
  type Adaptation,
  type Chart,
  type ClientSnapshot,
  type Deviation,
  type Look,
  type LookStep,
  type NextTime,
  type Occasion,
  type Phase,
  type Shade,
  type Step,
  type Use,
  StepSchema,
} from './document';
export {
  colouredParts,
  colourOfUse,
  shownOfStep,
  matchAndPropose,
  proposalOf,
  proposeProducts,
  ratioInWords,
  productsInWords,
  type FitContext,
  type Proposal,
} from './propose';
export {
  FORBIDDEN_PLACES,
  FORBIDDEN_PLACE_NAMES,
  prohibitionsOf,
  SHAPE_NAMES,
  SHAPES,
  withinProhibitions,
  type ForbiddenPlace,
  type Shape,
} from './prohibitions';
export { contextOf } from './studioContext';
export {
  adaptationInWords,
  ADAPTERS,
  adaptLook,
  refuseAdaptation,
  withoutAdaptations,
  type AdaptedLook,
  followDay,
  inAmountAsked,
  type FollowedDay,
  askedAnew,
  type AskedAnew,
  type MadeFor,
} from './adapt';
export { besideItsLip, noRingRound, offLip } from './linedLikeLips';
export { fitLook, gapInWords, gapsInWords, type FitOptions, type FittedLook, type Stamp } from './fitLook';
export {
  chosenApart,
  alikeInWords,
  comeOutAlike,
  nearEnough,
  isToldApart,
  pairsMeantApart,
  toldApart,
  wornColourOf,
  type ApartPair,
} from './coloursApart';
export { inOrder, layingRank, phaseOrder } from './phaseOrder';
export { diffCharts, type ChartDifference } from './diffCharts';
export { dislikeInWords, dislikesMet, type DislikeMet } from './dislikesMet';
export { nextVersion } from './nextVersion';
export { AFTER_AIRBRUSH, airbrushInWords, FLOW_DOSE, howInWords } from './howInWords';
export { amountAsked, type AmountAsked } from './amountAsked';
export { amountsInAll, toolsForFace, type AmountInAll, type ToolInAll } from './amountsInAll';
export {
  stepsOfVariant,
  isOfTrial,
  trialVariant,
  variedStep,
  withoutVariant,
  withVariant,
  workedIn,
} from './variants';
export { stepsUsing, substituted, substituteInChart, substituteRefused } from './substituteInChart';
export {
  lookFromChart,
  PARTS,
  stepsForLook,
  type LookChoices,
  type PartOfLook,
  type StepForLook,
} from './lookFromChart';
export {
  blankChart,
  blankLook,
  FROM_NOTHING,
  lookFromPattern,
  lookOnPattern,
  PATTERN_SKIN_NAMES,
  PATTERN_SKINS,
  patternClient,
  type PatternSkin,
} from './onPattern';
export {
  CARE_STEPS,
  duplicatedStep,
  mergedStep,
  notStirred,
  movedStep,
  newCareStep,
  newStep,
  type CareStep,
  orderedSteps,
  splitStep,
  withDeeperEdge,
  withoutStep,
  relaid,
  withStep,
} from './editSteps';
export {
  adviseSchools,
  fitInStudio,
  inSchoolsOf,
  SCHOOL_ANSWERS,
  SCHOOL_NAMES,
  SCHOOL_QUESTIONS,
  schoolsInWords,
  withSchool,
  type Answer,
  type School,
  type SchoolAdvice,
  type SchoolAnswers,
} from './schools';
export {
  ASKED_HOURS,
  hoursToHold,
  isAsked,
  occasionDifference,
  occasionInWords,
  usualOccasion,
  withOccasion,
} from './occasion';
export {
  colourSeries,
  FAR_OFF,
  SERIES_PARTS,
  SERIES_SCHEMES,
  withColourSeries,
  type ColourSeries,
  type SeriesPart,
  type SeriesScheme,
  type SeriesStep,
} from './colourSeries';
export { withOwnKit, MET, type OwnKitLine } from './withOwnKit';
export {
  COLOUR_TONES,
  colourOfWord,
  lookTakenDown,
  placesFor,
  usualTaken,
  type ColourTone,
  type TakenShade,
  type TakenStep,
} from './takenDown';
export { colourDrawn } from './colourDrawn';
export { laysBalm, NOTED, says } from './noteWords';
export { bringsBaseTo, EXACT_BY_POWDER } from './exactByPowder';
export { basesFace, hidesBeneath, primesSkin, setsSkin } from './ofSkin';
export { TOOLS_TO_MIND } from './toolsToMind';
export { falloutOf } from './fallout';
export { laidInPhase, SCULPTED } from './sculpted';
export { TOOL_FOR_TEXTURE, toolInstead, type ToolInstead } from './toolInstead';
