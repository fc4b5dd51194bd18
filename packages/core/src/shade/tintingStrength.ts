import { deltaE2000, labUnder, mixSpectra, reconstructSpectrum, type Lab } from '../colour';

export type TintingCalibration = {
  /** Tinting strength of the product against the one it was mixed with, taken as 1. */
  readonly strength: number;
  /** How far the mix predicted with this strength is from the mix that was read, CIEDE2000. */
  readonly deltaE: number;
  /** The same with a strength of 1, as it was before. */
  readonly before: number;
};

/** Strengths looked at: a fifteenth to fifteen times. */
const RANGE = Math.log(15);

/**
 * The tinting strength at which a 1:1 mix by weight of two products comes out as it was read. One test mix is
 * enough for the single-constant model; the difference left says how well the model holds for this pair.
 */
export function calibrateTinting(product: Lab, mixedWith: Lab, readMix: Lab): TintingCalibration {
  const [own, other] = [product, mixedWith].map((lab) => reconstructSpectrum(lab, 'D65', 'oxide').spectrum);
  const off = (logStrength: number): number => {
    const mixed = mixSpectra([
      { spectrum: own!, parts: 1, tintingStrength: Math.exp(logStrength) },
      { spectrum: other!, parts: 1 },
    ]);
    return deltaE2000(readMix, labUnder(mixed, 'D65'));
  };
  // A coarse scan first: the difference can have more than one valley. Then golden sections.
  const steps = 60;
  let at = 0;
  for (let i = 0; i <= steps; i++)
    if (off(-RANGE + (2 * RANGE * i) / steps) < off(-RANGE + (2 * RANGE * at) / steps)) at = i;
  let low = -RANGE + (2 * RANGE * Math.max(0, at - 1)) / steps;
  let high = -RANGE + (2 * RANGE * Math.min(steps, at + 1)) / steps;
  const golden = (Math.sqrt(5) - 1) / 2;
  for (let round = 0; round < 40; round++) {
    const [a, b] = [high - golden * (high - low), low + golden * (high - low)];
    if (off(a) < off(b)) high = b;
    else low = a;
  }
  const best = (low + high) / 2;
  return { strength: Math.exp(best), deltaE: off(best), before: off(0) };
}
