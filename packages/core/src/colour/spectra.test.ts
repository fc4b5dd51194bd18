import fc from 'fast-check';
import {
  filmOver,
  ILLUMINANTS,
  illuminantWeights,
  labToXyz,
  labUnder,
  layerOver,
  mixSpectra,
  absorptionOverScattering,
  reflectanceOf,
  reconstructSpectrum,
  scatteringFor,
  WHITE_D65,
  xyzToLab,
  type Lab,
} from '.';
import { skinLab } from './skinLab.testing';

const SKIN: Lab = [66, 12, 20];
const at = (spectrum: Float64Array): number[] =>
  [380, 430, 480, 530, 580, 630, 680, 730].map((nm) => spectrum[(nm - 380) / 10]!);
const expectNear = (actual: readonly number[], expected: readonly number[], tolerance: number): void => {
  expect(actual).toHaveLength(expected.length);
  actual.forEach((value, i) => expect(Math.abs(value - expected[i]!)).toBeLessThan(tolerance));
};

test.each([
  ['D65', 0.95018, 1.08768],
  ['D50', 0.96395, 0.82398],
  ['A', 1.09826, 0.35557],
  ['D55', 0.95651, 0.92078],
  ['F11', 1.0092, 0.64215],
  ['LED', 1.00969, 0.67954],
] as const)('the white of %s', (name, X, Z) => {
  expectNear(illuminantWeights(name).white, [X, 1, Z], 1.5e-4);
});

test('the D65 white of CIELAB is the white of the spectra', () =>
  expectNear(WHITE_D65, illuminantWeights('D65').white, 1e-12));

test('CIELAB to XYZ under D65', () => expectNear(labToXyz(SKIN), [0.370999, 0.353238, 0.243133], 1e-5));

test('CIELAB round-trips through XYZ', () => {
  fc.assert(
    fc.property(skinLab, (lab) => expectNear(xyzToLab(labToXyz(lab)), lab, 1e-9)),
    { seed: 1 },
  );
});

test('reconstructions match the known curves', () => {
  expectNear(
    at(reconstructSpectrum(SKIN).spectrum),
    [0.21586, 0.21633, 0.23103, 0.2848, 0.40913, 0.49921, 0.51119, 0.51159],
    1e-4,
  );
  expectNear(
    at(reconstructSpectrum(SKIN, 'D65', 'oxide').spectrum),
    [0.16801, 0.22202, 0.2264, 0.28695, 0.41517, 0.47915, 0.46531, 0.48073],
    5e-4,
  );
  expectNear(
    at(reconstructSpectrum(SKIN, 'D65', 'skin').spectrum),
    [0.10111, 0.17351, 0.28201, 0.30291, 0.32175, 0.56787, 0.62865, 0.66363],
    5e-4,
  );
});

test.each([
  ['smooth', 68.295, 15.558, 23.368],
  ['oxide', 68.279, 15.001, 23.47],
  ['skin', 68.217, 19.422, 21.727],
] as const)('the %s reconstruction seen under incandescent light', (method, L, a, b) => {
  expectNear(labUnder(reconstructSpectrum(SKIN, 'D65', method).spectrum, 'A'), [L, a, b], 0.05);
});

test('every reconstruction has exactly the colour it was asked for, under the reading’s own light', () => {
  fc.assert(
    fc.property(
      skinLab,
      fc.constantFrom(...ILLUMINANTS),
      fc.constantFrom('skin', 'oxide', 'smooth'),
      (lab, light, method) => {
        const { spectrum } = reconstructSpectrum(lab, light, method);
        expect(spectrum.every((r) => r > 0 && r < 1)).toBe(true);
        expectNear(labUnder(spectrum, light), lab, 1e-6);
      },
    ),
    { numRuns: 150, seed: 2 },
  );
});

test('a colour no surface can have is refused with its value', () => {
  expect(() => reconstructSpectrum([100, 80, 80])).toThrow('100.00 80.00 80.00');
});

test('K/S and back', () => {
  expect(absorptionOverScattering(0.6)).toBeCloseTo(0.13333333, 8);
  expect(absorptionOverScattering(0.2)).toBeCloseTo(1.6, 12);
  expect(reflectanceOf((0.13333333333 + 1.6) / 2)).toBeCloseTo(0.29045461, 7);
});

test.each([
  [0.2, 0.4, 0.5, 0.33409281],
  [0.2, 0.4, 1, 0.37739771],
  [0, 0.4, 0.5, 0.2754472],
  [0.8, 0.4, 0.5, 0.55975635],
  [0.05, 0.1, 0.3, 0.09744707],
  [0.3, 0.4, 0, 0.3],
  [0.2, 0.4, 50, 0.4],
])('a film over %d with masstone %d and SX %d', (ground, masstone, sx, expected) => {
  expect(Math.abs(filmOver(ground, masstone, sx) - expected)).toBeLessThan(1e-7);
});

test('two films of one product are one film of their summed strength', () => {
  const unit = fc.double({ min: 0.02, max: 0.95, noNaN: true });
  const sx = fc.double({ min: 0, max: 4, noNaN: true });
  fc.assert(
    fc.property(unit, unit, sx, sx, (ground, masstone, s, t) => {
      expect(filmOver(filmOver(ground, masstone, s), masstone, t)).toBeCloseTo(
        filmOver(ground, masstone, s + t),
        9,
      );
    }),
    { seed: 3 },
  );
});

test('mixing two smooth spectra', () => {
  const light = reconstructSpectrum([63, 11.2, 16.5]).spectrum;
  const deep = reconstructSpectrum([41, 8, 6]).spectrum;
  const mixed = (a: number, b: number): Lab =>
    labUnder(
      mixSpectra([
        { spectrum: light, parts: a },
        { spectrum: deep, parts: b },
      ]),
      'D65',
    );
  expectNear(mixed(1, 1), [48.364, 8.772, 8.558], 0.01);
  expectNear(mixed(1, 3), [44.222, 8.331, 7.023], 0.01);
});

test('the order of parts does not matter and amounts must be real', () => {
  const a = { spectrum: reconstructSpectrum([70, 8, 18]).spectrum, parts: 2 };
  const b = { spectrum: reconstructSpectrum([45, 12, 16]).spectrum, parts: 1, tintingStrength: 1.4 };
  expectNear([...mixSpectra([a, b])], [...mixSpectra([b, a])], 1e-12);
  expect(() => mixSpectra([{ ...a, parts: 0 }])).toThrow('not all zero');
  expect(() => mixSpectra([a, { ...b, parts: -1 }])).toThrow('zero or more');
});

test('coverage class to scattering power, and a film of it over other skin', () => {
  const masstone = reconstructSpectrum(SKIN).spectrum;
  const sx = scatteringFor(masstone, 'medium');
  expect(Math.abs(sx - 0.60116)).toBeLessThan(1e-3);
  const skin = reconstructSpectrum([52, 13, 17]).spectrum;
  expectNear(labUnder(layerOver(skin, { masstone, sx }), 'D65'), [63.182, 9.455, 16.518], 0.02);
  expectNear(labUnder(layerOver(skin, { masstone, sx: sx / 2 }), 'D65'), [60.094, 9.546, 14.886], 0.02);
});
