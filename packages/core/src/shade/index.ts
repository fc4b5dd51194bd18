export { DEFAULT_WEIGHTS, faceColour, skinTarget, type Skin, type TargetWeights } from './skinTarget';
export { isColoured, mixTableOf, type Coloured } from './mixTables';
export { filteredBecause, sensitivitiesOf, unitToTake, unusableBecause, type ShadeClient, type ShadeContext, type ShadeFilter } from './usable';
export { besideInWords, doseForCoverage, layOver, mixedOptics, opticsOf, type Optics } from './optics';
export { differenceUnder, ILLUMINANT_OF, LIGHTS, type LightName } from './lights';
export { areaOfZones, BASE_KINDS, matchable, matchShades, whyNot, type MatchWishes, type ShadeMatch, type ShadeMatches, type ShadePart } from './matchShades';
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
export { SCULPT_KINDS, sculptShades, type SculptCandidate, type SculptKind, type SculptRanking } from './sculptShades';
export { flashback, FLASHBACK_WARNING, flashGradeOf, scatteredBack, type FlashGrade, type FlashLayer, type Flashback } from './flashback';
export { needsSubstitute, substitute, type Substitute, type SubstituteOptions } from './substitute';
export { identifyPan, type PanGuess, type PanIdentification } from './identifyPan';
export { GAP_FROM, shadeMap, type ShadeGap, type ShadeMap, type ShadePoint } from './shadeMap';
