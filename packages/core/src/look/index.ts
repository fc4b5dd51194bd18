export {
  ChartSchema,
  DEVIATIONS,
  forbidsOf,
  DeviationSchema,
  LandmarksSchema,
  LookSchema,
  OCCASIONS,
  OccasionSchema,
  PHASES,
  SCHOOLS,
  SkinSchema,
  TECHNIQUES,
  type Chart,
  type ClientSnapshot,
  type Deviation,
  type Look,
  type LookStep,
  type Occasion,
  type Phase,
  type Shade,
  type Step,
  type Use,
} from './document';
export {
  areaOfStep,
  colourOfUse,
  excludedBecause,
  proposeProducts,
  ratioInWords,
  productsInWords,
  wantedColour,
  type FitContext,
  type Proposal,
} from './propose';
export { fitLook, inOrder, phaseOrder, type FittedLook, type Stamp } from './fitLook';
export { asWorn, planFromWorn, type ChairEvent } from './asWorn';
export { refitChart, type Refit, type RefitChange } from './refitChart';
export { diffCharts, type ChartDifference } from './diffCharts';
export { nextVersion } from './nextVersion';
export { takenFromUnits, usedInStep } from './amountsUsed';
export { substituteInChart } from './substituteInChart';
export { lookFromChart, PARTS, type LookChoices, type PartOfLook } from './lookFromChart';
export { duplicatedStep, mergedStep, movedStep, newStep, splitStep, withoutStep, withStep } from './editSteps';
export { adviseSchools, SCHOOL_ANSWERS, SCHOOL_QUESTIONS, withSchool, type School, type SchoolAdvice, type SchoolAnswers } from './schools';
