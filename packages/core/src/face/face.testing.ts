import fc from 'fast-check';
import { canonicalMeasure, type Measurements } from '.';

/** Eight faces of plainly different proportions, in mm. */
export const EIGHT_FACES: Readonly<Record<string, Measurements>> = {
  average: {},
  round: { cheekboneWidth: 140, faceLength: 168, jawWidth: 116, chinWidth: 34 },
  square: { jawWidth: 120, chinWidth: 42, faceLength: 176, foreheadWidth: 104 },
  heart: { jawWidth: 94, chinWidth: 24, templeWidth: 130, foreheadWidth: 104, upperLip: 12, lowerLip: 13 },
  long: { faceLength: 200, upperLip: 6, lowerLip: 7, foreheadHeight: 60 },
  diamond: { jawWidth: 95, foreheadWidth: 88, templeWidth: 115 },
  triangle: { jawWidth: 116, foreheadWidth: 88, templeWidth: 115, noseWidth: 39 },
  asymmetric: { browGapLeft: 16.5, browGapRight: 21, lidShowLeft: 2, lidShowRight: 4.5 },
};

const near = (name: keyof Measurements, spread: number) =>
  fc.double({
    min: canonicalMeasure(name) * (1 - spread),
    max: canonicalMeasure(name) * (1 + spread),
    noNaN: true,
  });

/** Faces as different as people are: about two standard deviations each way. */
export const anyFace = fc.record({
  faceLength: near('faceLength', 0.08),
  foreheadHeight: near('foreheadHeight', 0.1),
  noseLength: near('noseLength', 0.1),
  cheekboneWidth: near('cheekboneWidth', 0.07),
  templeWidth: near('templeWidth', 0.06),
  jawWidth: near('jawWidth', 0.09),
  chinWidth: near('chinWidth', 0.2),
  pupilDistance: near('pupilDistance', 0.07),
  mouthWidth: near('mouthWidth', 0.1),
  noseWidth: near('noseWidth', 0.12),
  browGapLeft: near('browGapLeft', 0.12),
  browGapRight: near('browGapRight', 0.12),
});
