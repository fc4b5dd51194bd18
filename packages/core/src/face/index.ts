export { centreOf, isInside, type Point, type Polygon, type Polyline } from './point';
export { boxesTouch, boxOf, type Box } from './box';
export { areaOf, intersectRegions, subtractRegion, uniteOutlines, type Region } from './region';
export { LANDMARKS, SIDES, TEMPLATE, type LandmarkName, type Landmarks, type Side } from './landmarks';
export {
  AGES,
  BROWS,
  EYE_SHAPES,
  FeaturesSchema,
  featuresOn,
  HAIR_STYLES,
  HAIR_TONES,
  LASHES,
  LIDS,
  LINES,
  LIP_EDGES,
  NOSES,
  DRY_ZONES,
  dryPatches,
  drynessInWords,
  FeaturesV1Schema,
  isDryAt,
  OILY_ZONES,
  type DryZone,
  PLAIN_FEATURES,
  sidesWhere,
  type Features,
  type Lid,
  type SidedFeatures,
} from './features';
export {
  ASKED_MEASUREMENTS,
  canonicalMeasure,
  measure,
  MEASUREMENT_NAMES,
  MEASUREMENTS,
  questionMeasurements,
  type MeasurementName,
  type MeasurementQuestion,
  type Measurements,
} from './measurements';
export { conditionLandmarks, inferLandmarks, type Observation } from './inferLandmarks';
export {
  landmarksOf,
  otherSide,
  questionTaps,
  questionTrace,
  sideDifferences,
  sourcesOf,
  TAP_WORDS,
  TapsSchema,
  TAPPED_LANDMARKS,
  tapsInMm,
  type PictureTaps,
  type Source,
  type TappedLandmark,
  type Taps,
  type Trace,
} from './trace';
export {
  canonicalOutline,
  drawnPlacement,
  isWipedAway,
  nudged,
  sideOfStroke,
  SNAP_MM,
  snapToGuide,
  wipe,
  type StrokePoint,
} from './freehand';
export { tapeLine } from './tapeLine';
export { cautionOf, EFFECTS, effectOf, effectsFor, usualPlacements, type Effect } from './effects';
export { faceWarp, type FaceWarp } from './faceWarp';
export { FACE_SHAPES, faceShape, type FaceShape, type FaceShapeName } from './faceShape';
export { faceModel, type FaceModel, type HalfFace } from './faceModel';
export { zoneArea, ZONE_NAMES, zoneOutline, ZONES, type ZoneName } from './zones';
export {
  freeTriangle,
  GUIDE_NAMES,
  GUIDE_PARAMETER_NAMES,
  GUIDE_PARAMETERS,
  guideNamed,
  GUIDES,
  guidesFor,
  faded,
  INITIAL_PARAMS,
  LAYER_KINDS,
  type GuideName,
  type GuideParameter,
  type GuideParams,
  type LayerKind,
} from './guides';
export {
  outlineOf,
  placementArea,
  placementKind,
  type Eyes,
  type PlacedShape,
  type Placement,
} from './outlineOf';
export {
  GUIDES_OF_SKIN,
  isAtEyesOrLips,
  isAtLips,
  isBelowTheJaw,
  liesOver,
  touchesEyes,
  type SkinPlace,
} from './skinPlaces';
export { halfCutTo, halfOf, halfOutline } from './halfFace';
export {
  describePlacement,
  placeInShort,
  placesInShort,
  placeNames,
  placesSentence,
  speakPlace,
  speakPlacement,
  zoneMostlyUnder,
} from './describePlacement';
export { contourFinder, isInHollow, type ContourFinder } from './guides';
export { narrowTemples, offNarrowTemples } from './narrowTemples';
export { offSides } from './offSides';
export { distanceToGuide } from './distanceToGuide';
export { EVEN_MM, mirroredOutline, symmetryOf, type Symmetry } from './symmetry';
export { checkLimits, LIMITS, withinLimits, type Limit, type LimitBreach } from './checkLimits';
export {
  insetBox,
  INSETS,
  lineArt,
  pathOf,
  type Inset,
  type Ink,
  type InkFill,
  type LineArt,
} from './lineArt';
export { guides, type FaceGuides } from './faceGuides';
export { LAYER_LOOKS, type LayerLook, type PatternForm } from './layerLooks';
export {
  generalSkin,
  PATTERN_INKS,
  PATTERN_STRENGTH,
  patternInk,
  skinInks,
  skinSpots,
  type SkinInks,
  type SkinSpot,
} from './skinDrawing';
