import { ACCESS_NEEDS, PLAIN_FEATURES } from '@toile/core';
import { cautionsNoted } from './cautions';

const NOTHING: Parameters<typeof cautionsNoted>[0] = {
  sensitivities: [],
  features: PLAIN_FEATURES,
  birthYear: null,
  guardianConsent: '',
  consult: {},
  notes: '',
};
const cautions = (more: Partial<typeof NOTHING>) => cautionsNoted({ ...NOTHING, ...more });

test('where nothing is noted there is nothing to mind', () => {
  expect(cautions({})).toEqual([]);
  expect(
    cautions({ consult: { usual: 'Balm and mascara', conditions: 'None' }, notes: 'Likes tea' }),
  ).toEqual([]);
});

test('what was said in the first talk is quoted, with what is usually done about it', () => {
  const [said, ...others] = cautions({ consult: { keepHealth: true, conditions: 'A stye, left eye' } });
  expect(others).toEqual([]);
  expect(said).toMatch(/^“A stye, left eye”: look first/);
});

test('what is disliked is quoted, whether or not anybody knows a word of it', () => {
  expect(cautions({ consult: { disliked: 'Glitter, and small talk' } })).toEqual([
    'Never again, as said: “Glitter, and small talk”.',
  ]);
});

test('extensions said of are to be noted; once they are noted it is said once', () => {
  const consult = { keepHealth: true, treatments: 'Lash extensions' };
  expect(cautions({ consult })).toEqual([expect.stringMatching(/^“Lash extensions”: .*Note “extensions”/)]);
  expect(cautions({ consult, features: { ...PLAIN_FEATURES, lashes: 'extensions' } })).toEqual([
    expect.stringMatching(/^Wears lash extensions/),
  ]);
});

test('a child without a guardian’s word is said, and with it the word', () => {
  const features = { ...PLAIN_FEATURES, age: 'child' as const };
  expect(cautions({ features })).toEqual([expect.stringContaining('not noted')]);
  expect(cautions({ features, guardianConsent: 'Ada Moor' })).toEqual(['A minor. Consent: Ada Moor.']);
});

test('a minor is told by the year of birth too, by the day of whoever reads it', () => {
  const on = (birthYear: number, day: string) => cautionsNoted({ ...NOTHING, birthYear }, day);
  expect(on(2020, '2031-05-14')).toEqual([
    'A minor, born in 2020: a guardian’s consent is needed and not noted.',
  ]);
  expect(on(2013, '2031-05-14')[0]).toMatch(/perhaps not of age yet/);
  expect(on(2013, '2032-01-01')).toEqual([]);
});

test('what makes it easier is minded, each once; a tremor is said among the features', () => {
  expect(cautions({ consult: { access: [] } })).toEqual([]);
  const all = cautions({
    consult: { access: [...ACCESS_NEEDS] },
    features: { ...PLAIN_FEATURES, headTremor: true },
  });
  expect(all).toHaveLength(ACCESS_NEEDS.length);
  expect(new Set(all).size).toBe(all.length);
  expect(all.filter((caution) => /tremor/i.test(caution))).toHaveLength(1);
  const upright = cautions({
    consult: { access: ['cannot recline', 'breaks'] },
    features: { ...PLAIN_FEATURES, cannotRecline: true },
  });
  expect(upright.map((caution) => caution.split(':')[0])).toEqual(['Cannot recline', 'Needs breaks']);
  expect(cautions({ features: { ...PLAIN_FEATURES, cannotRecline: true } })).toEqual([upright[0]]);
  expect(cautions({ consult: { access: ['sees little'] } })).toEqual([
    'Sees little: say what comes before touching.',
  ]);
});
