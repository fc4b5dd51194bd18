import fc from 'fast-check';
import { withoutName } from './withoutPerson';

const NAME = 'Ada Móor';
const near = fc.array(
  fc.constantFrom('Ada', 'ADA', 'Móor', 'Ada Móor', 'Adam', 'moors', ' ', '-', ',', '’s', '3', 'x'),
  {
    maxLength: 12,
  },
);

test('a name goes wherever it stands as a word, and is left inside of other words', () => {
  // The same said with a pattern that looks behind, which the app may not use.
  const parts = /(?<![\p{L}\p{N}])(?:Ada Móor|Ada|Móor)(?![\p{L}\p{N}])/giu;
  fc.assert(
    fc.property(near, (words) => {
      const text = words.join('');
      expect(withoutName(NAME)(text)).toBe(text.replace(parts, 'Somebody'));
    }),
    { numRuns: 2000 },
  );
});

test('of a name with signs in it the signs are only signs; a part of two letters is left', () => {
  expect(withoutName('A.B. (Mo) Quist')('A.B. (Mo) Quist, Quist; axb. mo')).toBe(
    'Somebody, Somebody; axb. mo',
  );
  expect(withoutName('')('Nobody')).toBe('Nobody');
});

test('a space too many in a name makes no part of it; three letters are a part, two are not', () => {
  expect(withoutName(' Ada  Li ')('Ada Li, ada, Li.')).toBe('Somebody Li, Somebody, Li.');
  expect(withoutName('Li')('Li came')).toBe('Li came');
  expect(withoutName('Bo Li')('Bo Li came, Bo too')).toBe('Somebody came, Bo too');
});
