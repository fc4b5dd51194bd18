export {
  chromaOf,
  hueOf,
  labOfHue,
  labToHex,
  labToSrgb,
  srgbToLab,
  labToXyz,
  linearChannel,
  meanLab,
  WHITE_D65,
  xyzToLab,
  type Lab,
  type Rgb,
  type Xyz,
} from './lab';
export { clearestInk, contrastRatio, hexToSrgb, over, relativeLuminance } from './contrast';
export { deltaE2000, deltaE2000Many } from './deltaE2000';
export {
  ILLUMINANTS,
  illuminantWeights,
  labUnder,
  xyzUnder,
  type Illuminant,
  type Observer,
  type Spectrum,
} from './illuminants';
export { BANDS as BANDS_36 } from './spectralTables';
export { reconstructSpectrum, type Reconstruction, type SpectrumMethod } from './reconstructSpectrum';
export {
  absorptionOverScattering,
  COVERAGES,
  filmMap,
  filmOver,
  layerOver,
  mixSpectra,
  reflectanceOf,
  scatteringFor,
  type Coverage,
  type Film,
  type MixPart,
} from './kubelkaMunk';
export {
  DEEP_SKIN_L,
  depthInWords,
  depthOf,
  healthyChromaAt,
  ita,
  lightnessAtDepth,
  neutralSkinAt,
  shiftDepth,
  UNDERTONE_HUE,
  undertoneOf,
  UNDERTONES,
  VERY_FAIR_SKIN_L,
  type Undertone,
  type UndertoneReading,
} from './depth';
export { driftBetween, summariseReadings, type Drift, type SampleSummary } from './readings';
export {
  buildMixTable,
  pumpRatios,
  searchMixTable,
  type Mix,
  type MixTable,
  type MixTableOptions,
} from './mixTable';
export type { Mixable } from './predictMixes';
export { COLOUR_WORDS, COLOUR_WORD_NAMES, nearestColourWord, type ColourWord } from './colourWords';
export { differenceInWords, matchBase, TRIPLE_GAIN, type BaseMatches, type MatchOptions } from './matchBase';
export {
  isPlausibleSkin,
  simulateSample,
  SKIN_ZONE_NAMES,
  SKIN_ZONES,
  skinByZone,
  type SkinZone,
} from './simulatedReader';
