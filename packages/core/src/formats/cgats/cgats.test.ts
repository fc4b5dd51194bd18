import fc from 'fast-check';
import {
  BANDS_36,
  deltaE2000,
  illuminantWeights,
  isPlausibleSkin,
  labUnder,
  reconstructSpectrum,
  type Lab,
} from '../../colour';
import { skinLab } from '../../colour/skinLab.testing';
import { readCgats, writeCgats, type CgatsReading } from '.';

const D65_LINE = 'WEIGHTING_FUNCTION "ILLUMINANT, D65"';
const LAB_COLUMNS = 'SAMPLE_ID SAMPLE_NAME LAB_L LAB_A LAB_B';
const table = (rows: readonly string[], said: readonly string[], columns = LAB_COLUMNS): string[] => [
  ...said,
  'BEGIN_DATA_FORMAT',
  columns,
  'END_DATA_FORMAT',
  'BEGIN_DATA',
  ...rows,
  'END_DATA',
];
const file = (rows: readonly string[], said: readonly string[] = [D65_LINE], columns = LAB_COLUMNS): string =>
  ['CGATS.17', ...table(rows, said, columns)].join('\r\n');

type Read = Extract<CgatsReading, { readonly ok: true }>;
function read(text: string): Read {
  const reading = readCgats(text);
  if (!reading.ok) throw new Error(reading.problems.map((p) => `${p.line}: ${p.message}`).join(' '));
  return reading;
}
const refusal = (text: string): readonly { readonly line: number; readonly message: string }[] => {
  const reading = readCgats(text);
  if (reading.ok) throw new Error('expected problems');
  return reading.problems;
};
const only = (text: string): Lab => {
  const { samples } = read(text);
  expect(samples).toHaveLength(1);
  return samples[0]!.lab;
};
/**
 * Skins as the app knows them, each with a spectrum of its own; as light and red at once as to give back all
 * red is none.
 */
const skin = skinLab
  .map((lab): Lab => lab)
  .filter((lab) => isPlausibleSkin(lab))
  .map((lab) => ({ lab, ...reconstructSpectrum(lab, 'D65', 'skin') }))
  .filter(({ spectrum, method }) => method === 'skin' && spectrum.every((r) => r < 0.9));
const nmOf = (band: number): number => 380 + 10 * band;

test('what is written is read back by zone, its light and observer declared', () => {
  const zones = {
    forehead: [
      [62, 12, 18],
      [62.4, 11.9, 18.2],
    ] as Lab[],
    underEye: [[56, 13, 15]] as Lab[],
  };
  const text = writeCgats(zones, { at: '2031-05-14T09:20:00Z' });
  const { samples, tables, leftOut } = read(text);
  expect(tables).toEqual([{ illuminant: 'D65', observer: 2, stated: true, samples: 3, from: 'LAB' }]);
  expect(samples.map((s) => s.zone)).toEqual(['forehead', 'forehead', 'underEye']);
  expect(samples[2]!.lab).toEqual([56, 13, 15]);
  expect(leftOut).toEqual([]);
});

// CIE 15:2004 table T.3 and ASTM E308: the whites of the ten-degree observer.
test.each([
  ['D65', 0.94811, 1.07304],
  ['D50', 0.9672, 0.81427],
  ['D55', 0.95799, 0.90926],
  ['A', 1.11144, 0.352],
] as const)('the white of %s for ten degrees', (light, x, z) => {
  const { white } = illuminantWeights(light, 10);
  expect(Math.abs(white[0] - x)).toBeLessThan(5e-4);
  expect(white[1]).toBeCloseTo(1, 12);
  expect(Math.abs(white[2] - z)).toBeLessThan(5e-4);
});

test.each([
  ['D50', 2],
  ['D50', 10],
  ['D65', 10],
  ['D65', 2],
] as const)('of any skin, %s for %i degrees is brought to daylight', (light, observer) => {
  const said = [
    `WEIGHTING_FUNCTION "ILLUMINANT, ${light}"`,
    `WEIGHTING_FUNCTION "OBSERVER, ${observer} degree"`,
  ];
  const scaled = (values: readonly number[], by: number): string => values.map((v) => v * by).join(' ');
  let apart = 0;
  fc.assert(
    fc.property(skin, ({ lab, spectrum }) => {
      const there = labUnder(spectrum, light, observer);
      apart = Math.max(apart, deltaE2000(there, lab));
      expect(deltaE2000(only(file([`1 a ${there.join(' ')}`], said)), lab)).toBeLessThan(0.02);
      // The same by XYZ, computed here by hand, in percent and as shares.
      const w = illuminantWeights(light, observer);
      const xyz = [w.x, w.y, w.z].map((weights) => weights.reduce((sum, v, i) => sum + v * spectrum[i]!, 0));
      for (const by of [100, 1])
        expect(
          deltaE2000(
            only(file([`1 a ${scaled(xyz, by)}`], said, 'SAMPLE_ID SAMPLE_NAME XYZ_X XYZ_Y XYZ_Z')),
            lab,
          ),
        ).toBeLessThan(0.02);
    }),
    { seed: 7, numRuns: 60 },
  );
  // Taken for daylight as they stand they would be told wrongly, but where they are that.
  if (light === 'D65' && observer === 2) expect(apart).toBeLessThan(1e-6);
  else expect(apart).toBeGreaterThan(0.5);
});

describe('spectra', () => {
  const columns = (from: number, to: number, name: (nm: number) => string): string =>
    [
      'SAMPLE_ID',
      'SAMPLE_NAME',
      ...Array.from({ length: BANDS_36 }, (_, i) => nmOf(i))
        .filter((nm) => nm >= from && nm <= to)
        .map(name),
    ].join(' ');
  const row = (spectrum: Float64Array, from: number, to: number, by: number): string =>
    `1 Neck ${[...spectrum]
      .filter((_, i) => nmOf(i) >= from && nmOf(i) <= to)
      .map((r) => (r * by).toFixed(6))
      .join(' ')}`;

  test.each([
    ['36 bands, shares', 380, 730, 1, (nm: number) => `SPECTRAL_NM_${nm}`, 0.005],
    ['36 bands, percent', 380, 730, 100, (nm: number) => `NM${nm}`, 0.005],
    ['31 bands, shares', 400, 700, 1, (nm: number) => `SPECTRAL_${nm}`, 0.12],
    ['31 bands, percent', 400, 700, 100, (nm: number) => `spectral_nm${nm}`, 0.12],
    ['33 bands', 390, 710, 100, (nm: number) => `R_${nm}`, 0.12],
  ] as const)('%s of any skin', (_name, from, to, by, name, within) => {
    fc.assert(
      fc.property(skin, ({ lab, spectrum }) => {
        // Under which light a spectrum was measured makes no difference to it.
        for (const said of [[], [D65_LINE], ['WEIGHTING_FUNCTION "OBSERVER, 10 degree"']])
          expect(
            deltaE2000(only(file([row(spectrum, from, to, by)], said, columns(from, to, name))), lab),
          ).toBeLessThan(within);
      }),
      { seed: 8, numRuns: 40 },
    );
  });

  test('count before CIELAB computed from them: they need no guess', () => {
    const spectrum = reconstructSpectrum([52, 12, 18], 'D65', 'oxide').spectrum;
    const both = `${columns(380, 730, (nm) => `NM_${nm}`)} LAB_L LAB_A LAB_B`;
    const text = file([`${row(spectrum, 380, 730, 1)} ${labUnder(spectrum, 'D50').join(' ')}`], [], both);
    expect(deltaE2000(only(text), [52, 12, 18])).toBeLessThan(0.005);
    expect(read(text).tables[0]!.from).toBe('spectra');
  });

  test.each([
    ['a band missing', columns(400, 700, (nm) => `NM_${nm === 550 ? 555 : nm}`), /31 bands from 400 to 700/],
    [
      'too short',
      columns(410, 700, (nm) => `NM_${nm}`),
      /30 bands from 410 to 700 nm: every ten from 400 to 700/,
    ],
    [
      'every twenty',
      columns(400, 700, (nm) => `NM_${nm % 20 === 0 ? nm : `x${nm}`}`),
      /16 bands from 400 to 700/,
    ],
  ])('%s is said, not guessed', (_name, names, words) => {
    const [problem] = refusal(file(['1 a 1'], [], names));
    expect(problem).toMatchObject({ line: 3, message: expect.stringMatching(words) });
  });
});

describe('what a file says of its light and its observer', () => {
  test.each([
    [[], 'D50', 2, false],
    [['ILLUMINATION_NAME "D65"'], 'D65', 2, true],
    [['illumination_name d65'], 'D65', 2, true],
    [['ILLUMINANT "D50"'], 'D50', 2, true],
    [
      ['MEASUREMENT_SOURCE "Illumination=D65\tObserverAngle=10_Degree WhiteBase=Abs Filter=No"'],
      'D65',
      10,
      true,
    ],
    [['MEASUREMENT_SOURCE "Illumination=D50 ObserverAngle=2_Degree"'], 'D50', 2, true],
    // A word of a sentence is no light.
    [['MEASUREMENT_SOURCE "hand held, with a lamp of its own, 45/0"'], 'D50', 2, false],
    [['INSTRUMENTATION "reader under A light C"'], 'D50', 2, false],
    [['# ILLUMINATION_NAME "A"'], 'D50', 2, false],
    [['KEYWORD "OBSERVER"', 'OBSERVER "10 degree"'], 'D50', 10, false],
    [['ILLUMINANT'], 'D50', 2, false],
    [['ILLUMINANT "D65/10"'], 'D65', 10, true],
    [['OBSERVER_ANGLE "2"'], 'D50', 2, false],
    [['OBSERVER "CIE 1964"', D65_LINE], 'D65', 10, true],
    // By what colours were computed counts, not which lamp was lit; said twice, what was said last.
    [[D65_LINE, 'ILLUMINATION_NAME "A"'], 'D65', 2, true],
    [['ILLUMINATION_NAME "A"', D65_LINE], 'D65', 2, true],
    [['ILLUMINANT "D50"', 'ILLUMINANT "D65"'], 'D65', 2, true],
    [['WEIGHTING_FUNCTION "OBSERVER, 2 degree"', 'OBSERVER "10"'], 'D50', 2, false],
  ] as const)('%j', (said, illuminant, observer, stated) => {
    expect(read(file(['1 a 62 12 18'], said)).tables).toEqual([
      { illuminant, observer, stated, samples: 1, from: 'LAB' },
    ]);
  });

  test.each([
    [['ILLUMINATION_NAME "A"'], 2, /under D50 or D65 can be used, and these are said to be under A\./],
    [['CREATED "2031"', 'WEIGHTING_FUNCTION "ILLUMINANT, F11"'], 3, /under F11/],
    [['ILLUMINANT "LED-B3"'], 2, /under LED-B3/],
    [['MEASUREMENT_SOURCE "Illumination=C ObserverAngle=2"'], 2, /under C\./],
    [[D65_LINE, 'OBSERVER "4 degree"'], 3, /observers of 2 and of 10 degrees are known, .* for 4\./],
  ] as const)('%j is refused by its line', (said, line, words) => {
    expect(refusal(file(['1 a 62 12 18'], said))).toEqual([{ line, message: expect.stringMatching(words) }]);
  });
});

describe('more than one table', () => {
  test('each is read under what is said before it', () => {
    const spectrum = reconstructSpectrum([40, 11, 16], 'D65', 'skin').spectrum;
    const text = [
      'CGATS.17',
      ...table(['1 Neck 40 11 16'], [D65_LINE]),
      ...table(
        [`1 "Left cheek" ${labUnder(spectrum, 'D50').join(' ')}`],
        ['WEIGHTING_FUNCTION "ILLUMINANT, D50"'],
      ),
    ].join('\n');
    const { samples, tables } = read(text);
    expect(tables.map(({ illuminant, samples: n }) => [illuminant, n])).toEqual([
      ['D65', 1],
      ['D50', 1],
    ]);
    expect(samples.map((s) => s.line)).toEqual([7, 14]);
    expect(deltaE2000(samples[1]!.lab, samples[0]!.lab)).toBeLessThan(0.02);
  });

  test('one without columns of its own has those of the one before', () => {
    const text = [...table(['1 a 62 12 18'], [D65_LINE]), 'BEGIN_DATA', '2 b 63 12 18', 'END_DATA'].join(
      '\n',
    );
    expect(read(text).samples.map((s) => s.lab[0])).toEqual([62, 63]);
  });

  test('one without colours is left out and said, unless there is no other', () => {
    const inks = table(['1 a 2 3 4'], [], 'SAMPLE_ID SAMPLE_NAME CMYK_C CMYK_M CMYK_Y');
    const { samples, leftOut } = read([...inks, ...table(['1 a 62 12 18'], [D65_LINE])].join('\n'));
    expect(samples).toHaveLength(1);
    expect(leftOut).toEqual([{ line: 2, message: expect.stringMatching(/needed columns are missing/) }]);
    expect(refusal(inks.join('\n'))).toEqual(leftOut);
  });

  test('what is wrong in the second keeps the first from being taken too', () => {
    const text = [...table(['1 a 62 12 18'], [D65_LINE]), ...table(['1 a 62 12'], [])].join('\n');
    expect(refusal(text)).toEqual([{ line: 12, message: '4 values, 5 expected.' }]);
  });
});

test.each([
  ['', 1, /empty/],
  ['hello', 1, /no BEGIN_DATA_FORMAT/],
  ['BEGIN_DATA_FORMAT\nLAB_L', 1, /BEGIN_DATA_FORMAT is never ended by END_DATA_FORMAT/],
  ['CGATS.17\nBEGIN_DATA_FORMAT\nLAB_L\nEND_DATA_FORMAT', 4, /no BEGIN_DATA line/],
  ['BEGIN_DATA_FORMAT\nLAB_L\nEND_DATA_FORMAT\nBEGIN_DATA\n1', 4, /BEGIN_DATA is never ended/],
  ['BEGIN_DATA\n1\nEND_DATA', 1, /no BEGIN_DATA_FORMAT/],
  [file(['1 a 2 3'], [], 'SAMPLE_ID CMYK_C CMYK_M CMYK_Y'), 3, /needed columns are missing: LAB_L/],
  [file(['1 a 62 12']), 7, /4 values, 5 expected/],
  [file(['1 a 62 12 x']), 7, /“x” is not a number/],
  [file(['1 a 62 -40 10']), 7, /is no skin/],
  [file(['1 a 150 12 18'], []), 6, /No surface has this colour/],
  [file([]), 6, /no samples/],
  [file(Array.from({ length: 2001 }, () => '1 a 62 12 18')), 6, /2001 samples; at most 2000/],
])('a file that cannot be used says where and why (%#)', (text, line, words) => {
  const [problem] = refusal(text);
  expect(problem!.line).toBe(line);
  expect(problem!.message).toMatch(words);
});

test('as many samples as are read at once are read, decimal commas and a mark of order too', () => {
  const rows = Array.from({ length: 2000 }, () => '1 a 62,5 12 18');
  const { samples } = read(`\uFEFF${file(rows)}`);
  expect(samples).toHaveLength(2000);
  expect(samples[1999]!.lab[0]).toBe(62.5);
});

test('whatever the text, it is read or refused by a line of it', () => {
  const lines = fc.array(
    fc.oneof(
      fc.constantFrom(
        'BEGIN_DATA_FORMAT',
        'END_DATA_FORMAT',
        'BEGIN_DATA',
        'END_DATA',
        LAB_COLUMNS,
        D65_LINE,
        '1 a 62 12 18',
        '1 a 62 12',
        'OBSERVER "10"',
        'ILLUMINANT',
        '"',
      ),
      fc.string({ maxLength: 12 }),
    ),
    { maxLength: 14 },
  );
  fc.assert(
    fc.property(lines, (some) => {
      const text = some.join('\n');
      const reading = readCgats(text);
      if (reading.ok) expect(reading.samples.length).toBeGreaterThan(0);
      else
        for (const { line } of reading.problems) {
          expect(line).toBeGreaterThanOrEqual(1);
          expect(line).toBeLessThanOrEqual(text.split(/\r\n|\r|\n/).length);
        }
    }),
    { seed: 9, numRuns: 600 },
  );
});
