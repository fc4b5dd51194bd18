import fc from 'fast-check';
import { listed, listedFew } from './listed';

test.each([
  [[], ''],
  [['a'], 'a'],
  [['a', 'b'], 'a and b'],
  [['a', 'b', 'c'], 'a, b and c'],
])('%j is said as it is read out', (names, words) => expect(listed(names)).toBe(words));

test('a few are said whole; of many the first, and how many more, from the second that would be left out', () => {
  expect(listedFew(['a', 'b', 'c', 'd', 'e'])).toBe('a, b, c, d and e');
  expect(listedFew(['a', 'b', 'c', 'd', 'e', 'f'])).toBe('a, b, c, d and 2 more');
  expect(listedFew(['a', 'b', 'c'], 1)).toBe('a and 2 more');
  fc.assert(
    fc.property(
      fc.array(fc.stringMatching(/^[a-z]{1,8}$/), { maxLength: 60 }),
      fc.integer({ min: 1, max: 6 }),
      (names, most) => {
        const words = listedFew(names, most);
        const more = / and (\d+) more$/.exec(words);
        const shown = more ? names.length - Number(more[1]) : names.length;
        expect(shown).toBe(names.length <= most + 1 ? names.length : most);
        for (const name of names.slice(0, shown)) expect(words).toContain(name);
      },
    ),
  );
});
