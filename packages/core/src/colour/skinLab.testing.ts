import fc from 'fast-check';

/** Colours that skin and bases have, light to deep, for property tests. */
export const skinLab = fc.tuple(
  fc.double({ min: 24, max: 84, noNaN: true }),
  fc.double({ min: 5, max: 15, noNaN: true }),
  fc.double({ min: 7, max: 22, noNaN: true }),
);
