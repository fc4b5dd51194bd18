/** What is judged of a half, low number first. */
export const TRIAL_MEASURE_NAMES = [
  'shine',
  'creasing',
  'coverage',
  'transfer',
  'comfort',
  'camera',
  'flash',
  'colour',
] as const;
export type TrialMeasure = (typeof TRIAL_MEASURE_NAMES)[number];

export type TrialZone = 'forehead' | 'nose' | 'cheek' | 'underEye' | 'mouth' | 'chin' | 'neck';
export const TRIAL_ZONES: readonly TrialZone[] = [
  'forehead',
  'nose',
  'cheek',
  'underEye',
  'mouth',
  'chin',
  'neck',
];

/** Grades from none to the most, and whether much is good; colour is a CIEDE2000 from the fresh reading. */
export const TRIAL_MEASURES: Readonly<
  Record<TrialMeasure, { readonly most: number; readonly highIsGood: boolean; readonly margin: number }>
> = {
  coverage: { most: 4, highIsGood: true, margin: 0.5 },
  comfort: { most: 4, highIsGood: true, margin: 0.5 },
  camera: { most: 4, highIsGood: true, margin: 0.5 },
  flash: { most: 4, highIsGood: true, margin: 0.5 },
  shine: { most: 3, highIsGood: false, margin: 0.5 },
  creasing: { most: 3, highIsGood: false, margin: 0.5 },
  transfer: { most: 3, highIsGood: false, margin: 0.5 },
  colour: { most: 100, highIsGood: false, margin: 1 },
};

export const TRIAL_JUDGES = ['client', 'artist', 'other'] as const;
export type Judge = (typeof TRIAL_JUDGES)[number];
