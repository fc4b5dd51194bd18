import { COLOUR_WORD_NAMES, COLOUR_WORDS, deltaE2000, nearestColourWord, type Lab } from '.';

test('every word is its own, and no two are one colour', () => {
  expect([...COLOUR_WORD_NAMES].sort()).toEqual(Object.keys(COLOUR_WORDS).sort());
  for (const [i, one] of COLOUR_WORD_NAMES.entries()) {
    expect(nearestColourWord([...COLOUR_WORDS[one]])).toBe(one);
    for (const other of COLOUR_WORD_NAMES.slice(i + 1))
      expect(deltaE2000(COLOUR_WORDS[one], COLOUR_WORDS[other])).toBeGreaterThan(5);
  }
});

test.each<[string, Lab, string]>([
  ['a mascara', [12, 0, 0], 'black'],
  ['a dark brow', [35, 7, 12], 'brown'],
  ['a classic lip', [38, 46, 26], 'red'],
  ['a lip of deep rose', [40, 34, 4], 'berry'],
  ['an icy light', [88, 0, 2], 'champagne'],
  ['a smoky lid', [42, 1, -1], 'grey'],
  ['a lid of old gold', [58, 9, 34], 'gold'],
  ['a cheek of apricot', [68, 26, 30], 'peach'],
])('%s', (_, lab, word) => expect(nearestColourWord(lab)).toBe(word));
