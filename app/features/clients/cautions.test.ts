import { PLAIN_FEATURES } from '@toile/core';
import { cautionsNoted } from './cautions';

const NOTHING: Parameters<typeof cautionsNoted>[0] = {
  sensitivities: [],
  features: PLAIN_FEATURES,
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
