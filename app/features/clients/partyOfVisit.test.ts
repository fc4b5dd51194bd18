import type { PartySummary, VisitInput } from '@toile/contract';
import { ofKind, ofParty, partiesToChoose } from './partyOfVisit';

const party = (id: string, date: string): PartySummary => ({
  id,
  name: id,
  date,
  place: 'Quay House',
  peopleCount: 3,
});
const visit = (change: Partial<VisitInput> = {}): VisitInput => ({
  id: 'v',
  clientId: 'c',
  kind: 'wedding',
  date: '',
  startsAt: '08:00',
  readyBy: null,
  place: '',
  partyId: null,
  state: 'booked',
  reason: '',
  occasion: null,
  ...change,
});

test('offered are the next parties, from today on, and the one chosen whenever it is', () => {
  const days = ['13', '14', '20', '19', '21', '22', '23', '24', '25'].map((day) =>
    party(day, `2031-05-${day}`),
  );
  const offered = (chosen: string | null): string[] =>
    partiesToChoose(days, chosen, '2031-05-14').map(({ id }) => id);
  expect(offered(null)).toEqual(['14', '19', '20', '21', '22', '23']);
  expect(offered('20')).toEqual(['14', '19', '20', '21', '22', '23']);
  expect(offered('13')).toEqual(['13', '14', '19', '20', '21', '22', '23']);
  expect(offered('25')[0]).toBe('25');
  expect(partiesToChoose([], null, '2031-05-14')).toEqual([]);
});

test('a visit for a party is on its day and at its place, but for a trial and a place already said', () => {
  const wedding = party('p', '2031-06-14');
  expect(ofParty(visit(), wedding)).toMatchObject({ partyId: 'p', date: '2031-06-14', place: 'Quay House' });
  expect(ofParty(visit({ place: 'Mill' }), wedding).place).toBe('Mill');
  expect(ofParty(visit({ kind: 'trial', date: '2031-05-20' }), wedding)).toMatchObject({
    partyId: 'p',
    date: '2031-05-20',
    place: '',
  });
  expect(ofParty(visit({ partyId: 'p', date: '2031-06-14' }), undefined)).toMatchObject({
    partyId: null,
    date: '2031-06-14',
  });
});

test('what is no trial any more is on its party’s day, unless another was said', () => {
  const wedding = party('p', '2031-06-14');
  const trial = ofParty(visit({ kind: 'trial' }), wedding);
  expect(ofKind(trial, 'wedding', [wedding])).toMatchObject({ kind: 'wedding', date: '2031-06-14' });
  expect(ofKind({ ...trial, date: '2031-05-20' }, 'wedding', [wedding]).date).toBe('2031-05-20');
  expect(ofKind(visit({ kind: 'trial' }), 'gala', [wedding])).toEqual(visit({ kind: 'gala' }));
});
