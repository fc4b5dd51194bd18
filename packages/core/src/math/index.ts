export { logGamma, logBeta, betaCdf, betaQuantile, quantileOf } from './beta';
export { solveInPlace } from './solve';
export { seededRandom, seedFromText, standardNormal, type Random } from './random';
export { clamp, lerp } from './clamp';
export { never } from './never';
export { median } from './median';
export { shuffled } from './shuffled';
