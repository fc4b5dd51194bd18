import fc from 'fast-check';
import { matchAllergens, mindedInShort, sensitivitiesFromText } from '.';

test.each([
  ['', []],
  [' almonds , ,tea tree,', ['almonds', 'tea tree']],
  ['latex; nickel', ['latex', 'nickel']],
  ['latex\nnickel\n', ['latex', 'nickel']],
  ['• latex • nickel', ['latex', 'nickel']],
  ['- latex\n- nickel', ['latex', 'nickel']],
  ['latex, coconut, and nickel.', ['latex', 'coconut', 'nickel']],
  ['latex, also wool', ['latex', 'wool']],
  ['Latex gives me a rash. Nickel too', ['Latex gives me a rash', 'Nickel too']],
  ['latex, latex', ['latex']],
  // What is part of a name divides nothing.
  ['1,2-hexanediol', ['1,2-hexanediol']],
  ['latex,1,2,4-trihydroxybenzene', ['latex,1,2,4-trihydroxybenzene']],
  ['E120,75470', ['E120', '75470']],
  ['C.I. 75470', ['C.I. 75470']],
  ['vit. E', ['vit. E']],
  ['salt-free', ['salt-free']],
  ['android paint', ['android paint']],
])('“%s” is %j', (typed, parts) => expect(sensitivitiesFromText(typed)).toEqual(parts));

test('what was divided is divided no further', () =>
  fc.assert(
    fc.property(fc.string({ unit: 'grapheme' }), (typed) => {
      const parts = sensitivitiesFromText(typed);
      for (const part of parts) expect(part.trim()).toBe(part);
      expect(new Set(parts).size).toBe(parts.length);
      expect(parts).not.toContain('');
    }),
  ));

test.each([
  ['latex gloves give me a rash', ['latex']],
  ['strawberries make my lips swell', ['strawberry']],
  ['latex', ['latex']],
  ['latex and marula', ['latex and marula']],
  ['that blue soap from the market', ['that blue soap from the market']],
])('“%s” is %j on a shelf', (noted, short) => expect(mindedInShort(noted)).toEqual(short));

test('what is minded of a sentence is minded of its parts', () => {
  const said = 'latex gloves give me a rash, coconut, and nickel; a reaction to carmine in 2019';
  for (const ingredient of ['natural rubber latex', 'Cocos Nucifera Oil', 'nickel', 'CI 75470'])
    expect(matchAllergens([ingredient], sensitivitiesFromText(said))).toHaveLength(1);
});
