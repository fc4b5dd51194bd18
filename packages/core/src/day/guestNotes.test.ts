import { guestsFromText, minorWithoutPage, speaksOfCare } from '.';

test.each([
  'latex allergy',
  'Allergies: nuts',
  'allergic to lanolin',
  'very sensitive skin',
  'reacts to fragrance',
  'had a reaction to glue',
  'no parking. Allergic to latex',
  'Allergies: no nuts',
  'cold sore last week',
  'lash extensions',
])('“%s” is to be noted of a client', (notes) => expect(speaksOfCare(notes)).toBe(true));

test.each([
  '',
  'needs glasses',
  'no allergies',
  'not allergic',
  'no known allergies',
  'Allergies: none',
  'Allergies: N/A',
  '07700 900123',
  'touch up',
  'first photos',
])('“%s” is not', (notes) => expect(speaksOfCare(notes)).toBe(false));

test.each([
  ['Tila (17)', true],
  ['Tila (18)', false],
  ['Tila, 17 years old, bridesmaid', true],
  ['Tila aged 13', true],
  ['Pip, flower girl', true],
  ['Pip, flower girl, 5', true],
  ['Gran (Edith), age 82', false],
  ['Tila, 45 min', false],
  ['Tila', false],
])('“%s”: a guardian is to be asked: %s', (line, asked) => {
  const [guest] = guestsFromText(line).guests;
  expect(minorWithoutPage({ ...guest!, clientId: null })).toBe(asked);
  // Their own page says it, and knows whether somebody was.
  expect(minorWithoutPage({ ...guest!, clientId: 'x' })).toBe(false);
});

test.each([
  ['16 yo', true],
  ['is 16 years old', true],
  ['friends for 16 years', false],
  ['lashes (16)', false],
  ['age 18, sister is age 15', true],
])('“%s” noted by hand is of a minor: %s', (notes, asked) =>
  expect(minorWithoutPage({ clientId: null, role: 'guest', notes })).toBe(asked),
);
