import {
  depthOf,
  hueOf,
  layerOver,
  mixSpectra,
  reconstructSpectrum,
  scatteringFor,
  type Coverage,
  type Lab,
  type Spectrum,
} from '../colour';
import { msg } from '../messages';
import type { Coloured } from './mixTables';

/** A product or mix as the layer model sees it: its masstone and its scattering per mg/cm2. */
export type Optics = { readonly masstone: Spectrum; readonly scattering: number };

const kept = new Map<string, Optics>();

/** The optics a product's colour and coverage class stand for; worked out once for each colour and class. */
export function opticsOf({ lab, coverage }: { readonly lab: Lab; readonly coverage: Coverage }): Optics {
  const key = `${lab.join()} ${coverage}`;
  let optics = kept.get(key);
  if (!optics) {
    const masstone = reconstructSpectrum(lab, 'D65', 'oxide').spectrum;
    optics = { masstone, scattering: scatteringFor(masstone, coverage) };
    if (kept.size > 2000) kept.clear();
    kept.set(key, optics);
  }
  return optics;
}

/** Optics of products stirred together: K and S add up by weight. `mg` in any one unit. */
export function mixedOptics(parts: readonly { readonly product: Coloured; readonly mg: number }[]): Optics {
  const optics = parts.map(({ product }) => opticsOf(product));
  const total = parts.reduce((sum, part) => sum + part.mg, 0);
  return {
    masstone: mixSpectra(
      parts.map(({ product, mg }, i) => ({
        spectrum: optics[i]!.masstone,
        parts: mg,
        tintingStrength: product.tintingStrength,
      })),
    ),
    scattering: parts.reduce((sum, { mg }, i) => sum + (mg / total) * optics[i]!.scattering, 0),
  };
}

/** A dose of something over what is there. */
export function layOver(background: Spectrum, optics: Optics, doseMgPerCm2: number): Spectrum {
  return layerOver(background, { masstone: optics.masstone, sx: optics.scattering * doseMgPerCm2 });
}

/** Thinnest and thickest layer that is ever advised, in mg/cm2. */
const DOSES = { least: 0.1, most: 2.5 } as const;

/** The dose at which something covers as a class does, in mg/cm2, held between what can be laid at all. */
export function doseForCoverage({ masstone, scattering }: Optics, coverage: Coverage): number {
  return Math.min(DOSES.most, Math.max(DOSES.least, scatteringFor(masstone, coverage) / scattering));
}

/**
 * How one colour lies beside another, in words: '0.6 steps deeper, yellower'. 'the same' when nothing is to
 * be said.
 */
export function besideInWords(wanted: Lab, lab: Lab): string {
  const steps = depthOf(lab) - depthOf(wanted);
  const hue = ((hueOf(lab) - hueOf(wanted) + 540) % 360) - 180;
  const chroma = Math.hypot(lab[1], lab[2]) - Math.hypot(wanted[1], wanted[2]);
  const words = [
    ...(Math.abs(steps) >= 0.15
      ? [msg`${Math.abs(steps).toFixed(1)} steps ${steps > 0 ? msg`deeper` : msg`lighter`}`]
      : []),
    ...(Math.abs(hue) >= 3 ? [hue > 0 ? msg`yellower` : msg`pinker`] : []),
    ...(Math.abs(chroma) >= 1.5 ? [chroma > 0 ? msg`stronger` : msg`duller`] : []),
  ];
  return words.join(', ') || msg`the same`;
}
