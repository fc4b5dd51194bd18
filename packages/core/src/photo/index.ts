export {
  after,
  faceInPicture,
  mapped,
  toFrame,
  turnedRound,
  type Affine,
  type FaceTaps,
} from './faceInPicture';
export { holdsCameraNotes, withoutCameraNotes } from './cameraNotes';
export { MOST_MEGAPIXELS, pictureSize, questionPicture, type PictureSize } from './pictureSize';
export { bareMean, meanInside, zoneMeans, type LinearRgb, type Picture, type ZoneMean } from './zoneMeans';
export {
  FaceTapsSchema,
  KEPT_PHOTOGRAPHS,
  PHOTO_LIGHTS,
  PhotographSchema,
  type Photograph,
  type PhotoLight,
} from './photograph';
export { gradeOfCast, whiteCast, type WhiteCast } from './whiteCast';
export {
  blindResult,
  blindRound,
  ENOUGH_REPEATS,
  type BlindAnswers,
  type BlindCard,
  type BlindSeen,
} from './blindRound';
export { productGrades, type ProductGrade, type ZoneCast } from './productGrades';
