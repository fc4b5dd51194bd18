export { apartInWords, faceColour, partsApart, type FaceZone, type Skin } from './faceApart';
export { isFlushed } from './flushed';
export { DEFAULT_WEIGHTS, skinTarget, type TargetWeights } from './skinTarget';
export { isColoured, mixTableOf, type Coloured } from './mixTables';
export {
  allowedIn,
  barredBecause,
  barredIn,
  laidAtEyes,
  mindsLenses,
  mustSuitEyes,
  excludedBecause,
  filteredBecause,
  shedsInWords,
  unitToTake,
  unusableBecause,
  type Forbids,
  type LaidWhere,
  type ShadeClient,
  type ShadeContext,
  type ShadeFilter,
} from './usable';
export { besideInWords, doseForCoverage, layOver, mixedOptics, opticsOf, type Optics } from './optics';
export { differenceUnder, ILLUMINANT_OF, LIGHTS, type LightName } from './lights';
export {
  areaOfZones,
  BASE_KINDS,
  matchable,
  matchShades,
  whyNot,
  type MatchWishes,
  type ShadeMatch,
  type ShadeMatches,
  type ShadePart,
} from './matchShades';
export { calibrateTinting, type TintingCalibration } from './tintingStrength';
export {
  chooseCorrector,
  CORRECTOR_HUES,
  correctorHue,
  DISCOLOURATIONS,
  huesAgainst,
  readSpot,
  type Correction,
  type CorrectorChoice,
  type Discolouration,
  type SpotReading,
} from './correct';
export {
  CONDITIONS,
  dayOf,
  LONG_HOURS,
  METALS,
  OCCASION_LIGHTS,
  OCCASIONS,
  usualConditions,
  type Day,
  type DayAsked,
} from './day';
export { impossibleBecause, setAside } from './possibleColour';
export {
  BASE_WITHIN,
  bareLip,
  browHair,
  BROW_HAIR,
  chromaShare,
  isDeep,
  isLined,
  isVeryFair,
  LINED_EASE,
  missesOf,
  SCHOOL_STEPS,
  type Miss,
  type SeenColour,
  type Wearer,
} from './ranges';
export { askedSteps, isUnderEye, SHADE_ROLES, shadeRoleOf, type ShadeAsk, type ShadeRole } from './skinRole';
export { wantedColour } from './target';
export { holdsAtLeast, NEED_OF, needsMissed, type NeedMissed } from './needs';
export {
  areaOfStep,
  COVERS,
  measuresInWords,
  measuresToCover,
  MOST_MEASURES,
  MOST_TAKEN,
  needOf,
  ratioOfMeasures,
  roundsToCover,
  type Need,
  measureWord,
} from './portions';
export {
  COST_PARTS,
  type AnswerPart,
  type CostPart,
  type ShadeAnswer,
  type StepGap,
  type StepMatch,
} from './answers';
export { colourToBuy } from './gap';
export { isOwned, matchStep, type MatchStepOptions } from './matchStep';
export {
  SCULPT_KINDS,
  sculptAsk,
  sculptShades,
  type SculptCandidate,
  type SculptKind,
  type SculptRanking,
} from './sculptShades';
export {
  flashback,
  FLASHBACK_WARNING,
  flashGradeOf,
  scatteredBack,
  type FlashGrade,
  type FlashLayer,
  type Flashback,
} from './flashback';
export { needsSubstitute, substitute, type Substitute, type SubstituteOptions } from './substitute';
export { identifyPan, type PanGuess, type PanIdentification } from './identifyPan';
export { shadesToBuy, type ShadeToBuy } from './shadesToBuy';
export { GAP_FROM, shadeMap, type ShadeGap, type ShadeMap, type ShadePoint } from './shadeMap';
export { asLaid, isClear, shareSeen } from './clearPowder';
export { isUnread } from './unread';
