import { featuresAtAge, minorInWords, minorityOn, photographRefused } from '.';
import { PLAIN_FEATURES } from '../face';

const DAY = '2031-05-14';
const born = (birthYear: number | null, age = PLAIN_FEATURES.age) => ({
  birthYear,
  features: { ...PLAIN_FEATURES, age },
});

test.each([
  [null, null],
  [2031, 'child'],
  [2019, 'child'],
  [2018, 'minor'],
  [2014, 'minor'],
  [2013, 'perhaps'],
  [2012, null],
  [1950, null],
] as const)('born in %s, on a day of 2031: %s', (year, minority) => {
  expect(minorityOn(DAY, born(year))).toBe(minority);
  // On the first day of the next year it is a year older.
  expect(minorityOn('2032-01-01', born(year === null ? null : year + 1))).toBe(minority);
});

test('what is noted of the face is enough; a year makes a child of no grown face, and takes none away', () => {
  expect(minorityOn(DAY, born(null, 'child'))).toBe('child');
  expect(minorityOn(DAY, born(1990, 'child'))).toBe('child');
  const { features } = born(2020, 'adult');
  expect(featuresAtAge(features, 2020, DAY)).toEqual({ ...features, age: 'child' });
  for (const [year, age] of [
    [2018, 'young'],
    [null, 'adult'],
    [1990, 'mature'],
    [2020, 'child'],
  ] as const) {
    const noted = { ...features, age };
    expect(featuresAtAge(noted, year, DAY)).toBe(noted);
  }
});

test('said before any work: consent that is missing, that is there, or that may be needed', () => {
  const words = (year: number | null, guardianConsent = '', age = PLAIN_FEATURES.age) =>
    minorInWords(DAY, { ...born(year, age), guardianConsent });
  expect(words(2020)).toBe('A minor, born in 2020: a guardian’s consent is needed and not noted.');
  expect(words(2015)).toBe('A minor, born in 2015: a guardian’s consent is needed and not noted.');
  expect(words(null, '', 'child')).toBe('A minor: a guardian’s consent is needed and not noted.');
  expect(words(2013)).toMatch(/^Born in 2013, perhaps not of age yet: ask/);
  expect(words(2013, 'Ines Moor')).toBe('A minor, born in 2013. Consent: Ines Moor.');
  expect(words(1990, 'Ines Moor')).toBe('A minor. Consent: Ines Moor.');
  expect(words(1990)).toBeNull();
  expect(words(null)).toBeNull();
});

test('a photograph needs a yes, and of a minor a guardian’s', () => {
  const refused = (
    year: number | null,
    photos?: 'none' | 'may be shown',
    guardianConsent = '',
    age = PLAIN_FEATURES.age,
  ) => photographRefused(DAY, { ...born(year, age), guardianConsent, consult: photos ? { photos } : {} });
  expect(refused(1990)).toBe('not asked');
  expect(refused(1990, 'none')).toBe('refused');
  expect(refused(1990, 'may be shown')).toBeNull();
  expect(refused(null, 'may be shown')).toBeNull();
  expect(refused(2014, 'may be shown')).toBe('no guardian');
  expect(refused(2013, 'may be shown')).toBeNull();
  expect(refused(null, 'may be shown', '', 'child')).toBe('no guardian');
  expect(refused(2014, 'may be shown', 'Ines Moor')).toBeNull();
  expect(refused(2014, 'none', 'Ines Moor')).toBe('refused');
});
