import fc from 'fast-check';
import {
  AGES,
  BROWS,
  COVERAGE_WORDS,
  DRY_ZONES,
  EYE_SHAPES,
  FAMILIES,
  FINISHES,
  inferLandmarks,
  LASHES,
  LIDS,
  LINES,
  OILY_ZONES,
  PLAIN_FEATURES,
  SENSITIVITIES,
  skinByZone,
  TEXTURES,
  type ClientSnapshot,
  type Kit,
  type Product,
} from '@toile/core';
import { KITS } from './corpus/ground';
import { idFor } from './ids';
import { skinAt } from './products';

/**
 * The same in every run: what is rarer is looked for by changing it, not by chance on somebody else’s change.
 */
export const SEED = 20310514;

/** Any of some values, and one of them. */
export const some = <T>(values: readonly T[]) => fc.subarray([...values]);
export const one = <T>(values: readonly T[]) => fc.constantFrom(...values);
/** Whatever may be noted of a face. */
const features = fc.record({
  lids: fc.record({ left: one(LIDS), right: one(LIDS) }),
  eyes: one(EYE_SHAPES),
  brows: one(BROWS),
  lashes: one(LASHES),
  age: one(AGES),
  lines: some(LINES),
  oily: some(OILY_ZONES),
  dryZones: some(DRY_ZONES),
  dry: fc.boolean(),
  lenses: fc.boolean(),
  headTremor: fc.boolean(),
  cannotRecline: fc.boolean(),
  beard: fc.boolean(),
  narrowTemples: fc.boolean(),
  texture: one(['smooth', 'textured'] as const),
});
/** Anybody: any face, any skin, whatever they mind. */
export const client: fc.Arbitrary<ClientSnapshot> = fc
  .record({
    features,
    depth: fc.double({ min: 1.5, max: 22, noNaN: true }),
    undertone: one(['cool', 'neutral', 'warm', 'olive'] as const),
    faceLength: fc.integer({ min: 150, max: 215 }),
    sensitivities: some([...SENSITIVITIES, 'none', 'something else']),
  })
  .map(({ features, depth, undertone, faceLength, sensitivities }) => ({
    id: idFor('any client'),
    name: 'Someone',
    landmarks: inferLandmarks({ faceLength }),
    features: { ...PLAIN_FEATURES, ...features },
    skin: skinByZone(skinAt(depth, undertone)),
    readingId: null,
    sensitivities,
  }));

/** Of each product what a kit may hold of it: from the least number to the greatest. */
const change: fc.Arbitrary<Partial<Product>> = fc.oneof(
  { weight: 3, arbitrary: fc.constant({}) },
  fc.record({ mgPerMeasure: one([0.001, 0.1, 1, 2, 20, 1000, 5000]) }),
  fc.record({
    mgPerMeasure: fc.double({ min: 0.5, max: 5000, noNaN: true }),
    tintingStrength: one([0.001, 0.1, 1, 20]),
    wearHours: one([0, 3, 48]),
    smallestShare: one([1, 0.5, 0.25] as const),
    coverage: one(COVERAGE_WORDS),
    finish: one(FINISHES),
    texture: one(TEXTURES),
    family: one(FAMILIES),
    eyeSafe: fc.boolean(),
    withdrawn: fc.boolean(),
    ingredients: one([[], ['Parfum', 'Lanolin', 'CI 75470'], ['Aqua']]),
  }),
  fc.record({
    lab: fc
      .tuple(
        fc.double({ min: 0, max: 100, noNaN: true }),
        fc.double({ min: -128, max: 128, noNaN: true }),
        fc.double({ min: -128, max: 128, noNaN: true }),
      )
      .map(([L, a, b]): Product['lab'] => [L, a, b]),
  }),
  fc.constant({ lab: null }),
);
export const FULL = KITS.demo;
/** Any kit made out of the demo’s: changed, thinned, used up. */
export const kit: fc.Arbitrary<Kit> = fc
  .record({
    changes: fc.array(change, { minLength: FULL.products.length, maxLength: FULL.products.length }),
    there: fc.array(fc.boolean(), { minLength: FULL.products.length, maxLength: FULL.products.length }),
    thinned: fc.boolean(),
    left: fc.array(one([0, 1, 50, 1e7, null]), {
      minLength: FULL.units.length,
      maxLength: FULL.units.length,
    }),
  })
  .map(({ changes, there, thinned, left }) => {
    const products = FULL.products
      .map((product, i): Product => ({ ...product, ...changes[i] }))
      .filter((_, i) => !thinned || there[i]);
    const units = FULL.units
      .map((unit, i) => ({ ...unit, remainingMg: left[i] ?? unit.remainingMg }))
      .filter(({ productId }) => products.some(({ id }) => id === productId));
    return { products, units };
  });
