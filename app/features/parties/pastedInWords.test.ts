import { guestsFromText } from '@toile/core';
import { pastedInWords } from './pastedInWords';

test.each([
  ['Bride: Ada Morrow 12.30pm', 'Ada Morrow · whose day it is · ready by 12:30'],
  ['MOB Helen (11:30) - hair and make-up', 'Helen · needed first · ready by 11:30 · hair 40 min'],
  ['Be Lund, hair only', 'Be Lund · guest · no face · hair 40 min'],
  ['Cy, usher, face 25', 'Cy · attendant · face 25 min'],
  ['Pip, flower girl, no nuts', 'Pip · child · “no nuts”'],
])('%s is shown as it was understood', (line, words) => {
  expect(guestsFromText(line).guests.map(pastedInWords)).toEqual([words]);
});
