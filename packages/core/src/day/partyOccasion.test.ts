import { usualOccasion } from '../look';
import { newPlan, PARTY_TEMPLATES } from './newPlan';
import { OCCASION_OF_TEMPLATE, occasionOfParty } from './partyOccasion';

const DATE = '2031-06-14';
const party = (kinds: readonly Parameters<typeof usualOccasion>[0][], place = 'Quay House') => ({
  date: DATE,
  place,
  visits: kinds.map((kind) => ({ kind })),
});
const begun = (template: (typeof PARTY_TEMPLATES)[number]) =>
  newPlan(template, {
    place: 'Quay House',
    zone: 'Europe/Lisbon',
    artist: 'Runa',
    kind: OCCASION_OF_TEMPLATE[template],
  });

test.each([
  ['morning', 'wedding', 10],
  ['evening', 'gala', 6],
  ['portraits', 'portrait', 3],
] as const)('a party begun as %s is for a %s, unless more is known', (template, kind, hours) => {
  const occasion = occasionOfParty(party([]), begun(template));
  expect(occasion).toMatchObject({ kind, hoursToLast: hours, asked: false, date: DATE, place: 'Quay House' });
});

test('what is booked goes before what it was begun as, a trial aside', () => {
  expect(occasionOfParty(party(['trial', 'portrait', 'wedding']), begun('evening')).kind).toBe('portrait');
  expect(occasionOfParty(party(['trial']), begun('evening')).kind).toBe('gala');
});

test('what was said goes before all, on the day the party has now', () => {
  const said = { ...usualOccasion('other', '2031-01-01'), asked: true, place: 'Elsewhere' };
  expect(occasionOfParty(party(['wedding']), { ...begun('morning'), occasion: said })).toEqual({
    ...said,
    date: DATE,
  });
});

test('of a party nothing is said of, a party; a place nobody wrote is none', () => {
  for (const plan of [null, {}, { occasion: null }])
    expect(occasionOfParty(party([], ''), plan)).toEqual(usualOccasion('party', DATE));
});
