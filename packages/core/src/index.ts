export * from './care';
export * from './colour';
export * from './face';
export * from './formats';
export * from './kit';
export * from './look';
export * from './render';
export * from './shade';
export { seededRandom, seedFromText, standardNormal, clamp, lerp, type Random } from './math';
