import { messagesIn, msg, term } from '../messages';
import { TEMPLATE, type LandmarkName, type Landmarks } from './landmarks';

/** A measurement in mm as a weighted sum of landmark coordinates. */
type Definition = {
  readonly label: string;
  /** Where the tape goes, in words. */
  readonly how: string;
  readonly terms: readonly (readonly [name: LandmarkName, axis: 0 | 1, weight: number])[];
  /** Plausible range in mm: outside it the number is questioned. */
  readonly range: readonly [number, number];
};

const width = (
  name:
    'hairline_corner' | 'temple' | 'zygion' | 'gonion' | 'mentolateral' | 'pupil' | 'ala' | 'mouth_corner',
): Definition['terms'] => [
  [`${name}_left`, 0, 1],
  [`${name}_right`, 0, -1],
];
const height = (top: LandmarkName, bottom: LandmarkName): Definition['terms'] => [
  [bottom, 1, 1],
  [top, 1, -1],
];

export const MEASUREMENTS = messagesIn(['label', 'how'], {
  faceLength: {
    label: 'Face length',
    how: 'from the middle of the hairline straight down to the underside of the chin',
    terms: height('hairline_c', 'gnathion'),
    range: [130, 230],
  },
  foreheadHeight: {
    label: 'Forehead height',
    how: 'from the middle of the hairline to between the brows',
    terms: height('hairline_c', 'glabella'),
    range: [28, 85],
  },
  noseLength: {
    label: 'Nose length',
    how: 'from the hollow between the eyes to where the nose meets the lip',
    terms: height('nasion', 'subnasale'),
    range: [30, 70],
  },
  cheekboneWidth: {
    label: 'Cheekbone width',
    how: 'across the face at the widest point of the cheekbones',
    terms: width('zygion'),
    range: [95, 170],
  },
  templeWidth: {
    label: 'Temple width',
    how: 'across the forehead at the temples',
    terms: width('temple'),
    range: [85, 160],
  },
  jawWidth: {
    label: 'Jaw width',
    how: 'from jaw corner to jaw corner',
    terms: width('gonion'),
    range: [70, 150],
  },
  chinWidth: {
    label: 'Chin width',
    how: 'across the flat of the chin',
    terms: width('mentolateral'),
    range: [12, 60],
  },
  pupilDistance: {
    label: 'Between the pupils',
    how: 'from pupil to pupil, looking straight ahead',
    terms: width('pupil'),
    range: [44, 80],
  },
  mouthWidth: {
    label: 'Mouth width',
    how: 'from corner to corner, lips at rest',
    terms: width('mouth_corner'),
    range: [30, 75],
  },
  noseWidth: {
    label: 'Nose width',
    how: 'across the wings of the nose',
    terms: width('ala'),
    range: [20, 55],
  },
  browGapLeft: {
    label: 'Brow gap, client’s left',
    how: 'from the lash line up to the brow’s highest point',
    terms: height('brow_arch_left', 'lid_up_mid_left'),
    range: [8, 36],
  },
  browGapRight: {
    label: 'Brow gap, client’s right',
    how: 'from the lash line up to the brow’s highest point',
    terms: height('brow_arch_right', 'lid_up_mid_right'),
    range: [8, 36],
  },
  lidShowLeft: {
    label: 'Lid showing, client’s left',
    how: 'how much lid shows above the lashes with the eye open; 0 when it is hidden',
    terms: height('crease_mid_left', 'lid_up_mid_left'),
    range: [0.3, 10],
  },
  lidShowRight: {
    label: 'Lid showing, client’s right',
    how: 'how much lid shows above the lashes with the eye open; 0 when it is hidden',
    terms: height('crease_mid_right', 'lid_up_mid_right'),
    range: [0.3, 10],
  },
  foreheadWidth: {
    label: 'Forehead width',
    how: 'between the corners of the hairline',
    terms: width('hairline_corner'),
    range: [60, 140],
  },
  eyeWidth: {
    label: 'Eye width',
    how: 'from inner to outer corner',
    terms: [
      ['eye_outer_left', 0, 0.5],
      ['eye_inner_left', 0, -0.5],
      ['eye_outer_right', 0, -0.5],
      ['eye_inner_right', 0, 0.5],
    ],
    range: [20, 38],
  },
  eyeOpening: {
    label: 'Eye opening',
    how: 'from lash line to lash line at the pupil',
    terms: [
      ['lid_lo_mid_left', 1, 0.5],
      ['lid_up_mid_left', 1, -0.5],
      ['lid_lo_mid_right', 1, 0.5],
      ['lid_up_mid_right', 1, -0.5],
    ],
    range: [5, 16],
  },
  lowerThird: {
    label: 'Lower third',
    how: 'from under the nose to the underside of the chin',
    terms: height('subnasale', 'gnathion'),
    range: [40, 95],
  },
  upperLip: {
    label: 'Upper lip',
    how: 'from the peak of the bow to where the lips meet',
    terms: [
      ['stomion', 1, 1],
      ['cupid_peak_left', 1, -0.5],
      ['cupid_peak_right', 1, -0.5],
    ],
    range: [2, 18],
  },
  lowerLip: {
    label: 'Lower lip',
    how: 'from where the lips meet to the lower edge',
    terms: height('stomion', 'lip_low_c'),
    range: [3, 20],
  },
  lipToChin: {
    label: 'Lip to chin',
    how: 'from the lower edge of the lip to the underside of the chin',
    terms: height('lip_low_c', 'gnathion'),
    range: [18, 55],
  },
  eyeTilt: {
    label: 'Client’s left eye higher',
    how: 'how much higher the client’s left outer eye corner sits than the right; below zero when it sits lower',
    terms: [
      ['eye_outer_right', 1, 1],
      ['eye_outer_left', 1, -1],
    ],
    range: [-6, 6],
  },
  mouthTilt: {
    label: 'Client’s left mouth corner higher',
    how: 'how much higher the client’s left mouth corner sits than the right; below zero when it sits lower',
    terms: [
      ['mouth_corner_right', 1, 1],
      ['mouth_corner_left', 1, -1],
    ],
    range: [-7, 7],
  },
  jawDifference: {
    label: 'Client’s left jaw further out',
    how: 'how much further from the middle the client’s left jaw corner stands than the right; below zero when it stands nearer',
    terms: [
      ['gonion_left', 0, 1],
      ['gonion_right', 0, 1],
    ],
    range: [-9, 9],
  },
} as const satisfies Record<string, Definition>);

export type MeasurementName = keyof typeof MEASUREMENTS;
/** Measurements in mm; any may be missing. */
export type Measurements = { readonly [name in MeasurementName]?: number };
export const MEASUREMENT_NAMES = Object.keys(MEASUREMENTS) as readonly MeasurementName[];

/** The twelve worth asking for, in the order a tape finds them. */
export const ASKED_MEASUREMENTS = [
  'faceLength',
  'foreheadHeight',
  'noseLength',
  'cheekboneWidth',
  'templeWidth',
  'jawWidth',
  'chinWidth',
  'pupilDistance',
  'mouthWidth',
  'noseWidth',
  'browGapLeft',
  'browGapRight',
] as const satisfies readonly MeasurementName[];

/** The terms of a measurement as plain data. */
export function termsOf(name: MeasurementName): Definition['terms'] {
  return MEASUREMENTS[name].terms;
}

/** What a measurement is on a face, in mm. */
export function measure(name: MeasurementName, landmarks: Landmarks): number {
  return termsOf(name).reduce((sum, [landmark, axis, weight]) => sum + weight * landmarks[landmark][axis], 0);
}

/** What a measurement is on the canonical face. */
export function canonicalMeasure(name: MeasurementName): number {
  return measure(name, TEMPLATE);
}

export type MeasurementQuestion = { readonly name: MeasurementName; readonly message: string };

/** Numbers that no face is likely to have, each with what to check. Empty when all are plausible. */
export function questionMeasurements(measurements: Measurements): MeasurementQuestion[] {
  const questions: MeasurementQuestion[] = [];
  for (const name of MEASUREMENT_NAMES) {
    const value = measurements[name];
    if (value === undefined) continue;
    const { label, range } = MEASUREMENTS[name];
    if (!(value >= range[0] && value <= range[1])) {
      questions.push({
        name,
        message: msg`${term(label)} of ${value} mm is outside ${range[0]} to ${range[1]} mm. Measure again, in millimetres.`,
      });
    }
  }
  const { jawWidth, cheekboneWidth, faceLength, foreheadHeight, noseLength } = measurements;
  if (jawWidth !== undefined && cheekboneWidth !== undefined && jawWidth > cheekboneWidth * 1.12) {
    questions.push({
      name: 'jawWidth',
      message: msg`A jaw of ${jawWidth} mm under cheekbones of ${cheekboneWidth} mm is unlikely. Were the two swapped?`,
    });
  }
  if (
    faceLength !== undefined &&
    foreheadHeight !== undefined &&
    noseLength !== undefined &&
    foreheadHeight + noseLength > faceLength * 0.8
  ) {
    questions.push({
      name: 'faceLength',
      message: msg`Forehead and nose leave only ${Math.round(faceLength - foreheadHeight - noseLength)} mm of the face. Check the face length.`,
    });
  }
  return questions;
}
