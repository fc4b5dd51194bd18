import { assert, property, stringMatching, subarray, uniqueArray } from 'fast-check';
import { SENSITIVITIES } from '@toile/core';
import { inOwnWords, knownByName, noted, onlyAsWritten } from './sensitivities';

test('what was noted is shown and noted again as it was', () => {
  const word = stringMatching(/^[a-z]{2,9}( [a-z]{2,9})?$/);
  assert(
    property(subarray([...SENSITIVITIES]), uniqueArray(word, { maxLength: 4 }), (known, words) => {
      const list = noted(known, words.join(', '));
      expect(noted(knownByName(list), inOwnWords(list))).toEqual(list);
    }),
  );
});

test('half-typed words, blanks and stray commas leave nothing empty and nothing twice', () => {
  expect(noted([], '')).toEqual([]);
  expect(noted([], ' almonds , ,tea tree,')).toEqual(['almonds', 'tea tree']);
  expect(noted(['latex'], 'latex glue, latex')).toEqual(['latex', 'latex glue']);
});

test('what is only looked for as it is written is told, and nothing else', () => {
  expect(onlyAsWritten('')).toEqual([]);
  expect(onlyAsWritten('kiwi, latex glue, red dye, none')).toEqual([]);
  expect(onlyAsWritten('kiwi, guaiazulene, hay fever')).toEqual(['guaiazulene', 'hay fever']);
});
