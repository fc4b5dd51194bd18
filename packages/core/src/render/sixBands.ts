import {
  illuminantWeights,
  labToXyz,
  layerOver,
  reconstructSpectrum,
  type Illuminant,
  type Lab,
  type Spectrum,
} from '../colour';
import { solveInPlace } from '../math';

/**
 * Reflectances in six bands, 400-440, 450-500, 510-540, 550-580, 590-610 and 620-690 nm: enough to paint
 * with. The cuts were searched for the smallest error under daylight, lamp, flash and LED alike
 * (docs/decisions/0005).
 */
export const SIX = 6;
const RANGES: readonly (readonly [first: number, last: number])[] = [
  [2, 6],
  [7, 12],
  [13, 16],
  [17, 20],
  [21, 23],
  [24, 31],
];

/**
 * A spectrum's mean in each of the six bands, weighed by how much the eye makes of each wavelength in
 * daylight.
 */
export function toSixBands(spectrum: Spectrum): Float64Array {
  const { x, y, z } = illuminantWeights('D65');
  return Float64Array.from(RANGES, ([first, last]) => {
    let [sum, total] = [0, 0];
    for (let i = first; i <= last; i++) {
      const weight = x[i]! + y[i]! + z[i]!;
      sum += weight * spectrum[i]!;
      total += weight;
    }
    return sum / total;
  });
}

/**
 * Skins and products the six-band weights are fitted on: light to deep, pink to yellow, and the strong
 * colours of lips and cheeks.
 */
function teachingSpectra(): Spectrum[] {
  const spectra: Spectrum[] = [];
  const add = (lab: Lab, as: 'skin' | 'oxide'): void =>
    void spectra.push(reconstructSpectrum(lab, 'D65', as).spectrum);
  for (let L = 28; L <= 80; L += 6.5)
    for (const [a, b] of [
      [8, 12],
      [12, 17],
      [15, 20],
      [10, 21],
    ] as const) {
      add([L, a, b], 'skin');
      add([L, a, b], 'oxide');
    }
  for (const L of [35, 50, 65])
    for (const [a, b] of [
      [35, 15],
      [28, 28],
      [24, 6],
    ] as const)
      add([L, a, b], 'oxide');
  // And what is really painted: thin films of the products over the skins.
  const bare = spectra.slice();
  for (let i = 0; i < bare.length; i++)
    for (const sx of [0.15, 0.5])
      spectra.push(layerOver(bare[i]!, { masstone: bare[(7 * i + 11) % bare.length]!, sx }));
  return spectra;
}

const rows = new Map<Illuminant, Float64Array>();

/**
 * Three rows of six weights that turn six bands into XYZ under a light: least squares on known spectra, each
 * weighed by 1/Y.
 */
export function xyzRows(illuminant: Illuminant): Float64Array {
  const held = rows.get(illuminant);
  if (held) return held;
  const w = illuminantWeights(illuminant);
  const normal = new Float64Array(SIX * SIX);
  const sides = [0, 1, 2].map(() => new Float64Array(SIX));
  for (const spectrum of teachingSpectra()) {
    const six = toSixBands(spectrum);
    const xyz = [w.x, w.y, w.z].map((weights) => weights.reduce((sum, v, i) => sum + v * spectrum[i]!, 0));
    const weight = 1 / (xyz[1]! * xyz[1]!);
    for (let i = 0; i < SIX; i++) {
      for (let k = 0; k < SIX; k++) normal[SIX * i + k]! += weight * six[i]! * six[k]!;
      sides.forEach((side, c) => (side[i]! += weight * six[i]! * xyz[c]!));
    }
  }
  // A trace of ridge: neighbouring bands of smooth spectra are nearly the same.
  for (let i = 0; i < SIX; i++) normal[SIX * i + i]! += 1e-7 * normal[SIX * i + i]!;
  const made = new Float64Array(3 * SIX);
  sides.forEach((side, c) => {
    solveInPlace(normal.slice(), side, SIX);
    made.set(side, SIX * c);
  });
  rows.set(illuminant, made);
  return made;
}

/** XYZ of display white and XYZ to linear sRGB, IEC 61966-2-1. */
const DISPLAY_WHITE = labToXyz([100, 0, 0], [0.9504559, 1, 1.0890578]);
const TO_RGB = [
  3.2404542, -1.5371385, -0.4985314, -0.969266, 1.8760108, 0.041556, 0.0556434, -0.2040259, 1.0572252,
] as const;

/** Three rows of six: six bands under a light, seen by an eye that has settled to it, as linear sRGB. */
export function rgbRows(illuminant: Illuminant): Float64Array {
  const xyz = xyzRows(illuminant);
  const { white } = illuminantWeights(illuminant);
  const made = new Float64Array(3 * SIX);
  for (let c = 0; c < 3; c++)
    for (let i = 0; i < SIX; i++)
      for (let k = 0; k < 3; k++)
        made[SIX * c + i]! += (TO_RGB[3 * c + k]! * xyz[SIX * k + i]! * DISPLAY_WHITE[k]!) / white[k]!;
  return made;
}
