import { BANDS_36 } from '../../colour';
import { msg } from '../../messages';

/** Which columns of a table hold a colour, in the order they are taken. */
export type Columns =
  | { readonly kind: 'LAB' | 'XYZ'; readonly at: readonly number[] }
  /** One column for each of our bands; where the table ends before them, its last one again. */
  | { readonly kind: 'spectra'; readonly at: readonly number[] };

/**
 * Wavelengths, nm, that a spectrum must have; those beyond are taken as the last it has (ASTM E308, 7.3.2.2).
 */
const FROM_NM = 400;
const TO_NM = 700;
const STEP_NM = 10;
const SPECTRAL = /^(?:SPECTRAL|SPECTRAL_?NM|NM|R|LAMBDA)_?(\d{3,4})$/;

/**
 * The columns of colour, spectra before CIELAB before XYZ: a spectrum needs no guess at what the surface
 * would be in daylight. Where there are none, in words what is missing.
 */
export function columnsOf(names: readonly string[]): Columns | string {
  const all = (wanted: readonly string[]): number[] | null => {
    const at = wanted.map((name) => names.indexOf(name));
    return at.every((i) => i >= 0) ? at : null;
  };
  const bands = new Map<number, number>();
  names.forEach((name, i) => {
    const nm = Number(SPECTRAL.exec(name)?.[1]);
    if (Number.isFinite(nm)) bands.set(nm, i);
  });
  const spectra = spectralColumns(bands);
  if (spectra) return { kind: 'spectra', at: spectra };
  const lab = all(['LAB_L', 'LAB_A', 'LAB_B']);
  if (lab) return { kind: 'LAB', at: lab };
  const xyz = all(['XYZ_X', 'XYZ_Y', 'XYZ_Z']);
  if (xyz) return { kind: 'XYZ', at: xyz };
  return bands.size > 0
    ? msg`The spectra have ${bands.size} bands from ${Math.min(...bands.keys())} to ${Math.max(...bands.keys())} nm: every ten from ${FROM_NM} to ${TO_NM} are needed.`
    : msg`The needed columns are missing: LAB_L LAB_A LAB_B, or XYZ_X XYZ_Y XYZ_Z, or spectral values from ${FROM_NM} to ${TO_NM} nm by ${STEP_NM}.`;
}

function spectralColumns(bands: ReadonlyMap<number, number>): number[] | null {
  for (let nm = FROM_NM; nm <= TO_NM; nm += STEP_NM) if (!bands.has(nm)) return null;
  let first = FROM_NM;
  while (bands.has(first - STEP_NM)) first -= STEP_NM;
  let last = TO_NM;
  while (bands.has(last + STEP_NM)) last += STEP_NM;
  return Array.from({ length: BANDS_36 }, (_, i) => {
    const nm = 380 + STEP_NM * i;
    return bands.get(Math.min(last, Math.max(first, nm)))!;
  });
}
