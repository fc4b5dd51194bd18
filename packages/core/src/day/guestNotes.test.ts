import { speaksOfCare } from '.';

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
