export { frameOf, maskOf, maskOfShape, type Frame, type Mask } from './mask';
export { SIX, toSixBands, xyzRows } from './sixBands';
export {
  develop,
  filmTable,
  layFilm,
  type FilmTable,
  type PaintLayer,
  type Rectangle,
  type Surface,
} from './paint';
export { faceGround, paintedSteps, paintFace, paintLayerOf, type FaceGround, type Seen } from './faceScene';
