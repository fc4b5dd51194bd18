import * as fc from 'fast-check';
import type { TodayParty, VisitAnswer } from '@toile/contract';
import { comingDays } from './comingDays';

const visit = (id: string, date: string): VisitAnswer => ({
  id,
  clientId: id,
  clientName: id,
  partyId: null,
  kind: 'wedding',
  date,
  startsAt: '09:00',
  readyBy: null,
  place: '',
  chartId: null,
  state: 'booked',
  occasion: null,
  partyOccasion: null,
  bookedOn: '2031-01-01',
  reason: '',
  runUp: [],
  revision: 1,
});
const party = (id: string, date: string): TodayParty => ({
  id,
  name: id,
  date,
  place: '',
  peopleCount: 4,
  begins: '07:30',
});
const nextOf = (visits: readonly VisitAnswer[], parties: readonly TodayParty[]): string | null => {
  const { next } = comingDays({ visits, parties });
  return next === null ? null : next.kind === 'visit' ? next.visit.id : next.party.id;
};

test('next is who is booked first, or a party nobody is booked before', () => {
  expect(nextOf([], [])).toBeNull();
  expect(nextOf([visit('v', '2031-05-16')], [])).toBe('v');
  expect(nextOf([], [party('p', '2031-05-16')])).toBe('p');
  expect(nextOf([visit('v', '2031-05-16')], [party('p', '2031-05-15')])).toBe('p');
  expect(nextOf([visit('v', '2031-05-16')], [party('p', '2031-05-16')])).toBe('v');
  expect(nextOf([visit('v', '2031-05-16')], [party('p', '2031-05-17')])).toBe('v');
});

test('a party on the day of who is next is told with them, and not again', () => {
  const { next, days } = comingDays({
    visits: [visit('v', '2031-05-16'), visit('w', '2031-05-16')],
    parties: [party('p', '2031-05-16'), party('q', '2031-05-18')],
  });
  expect(next).toMatchObject({ kind: 'visit', parties: [{ id: 'p' }] });
  expect(
    days.map(({ date, visits, parties }) => [date, visits.map(({ id }) => id), parties.map(({ id }) => id)]),
  ).toEqual([
    ['2031-05-16', ['w'], []],
    ['2031-05-18', [], ['q']],
  ]);
});

test('whatever is to come is told once, in order of its days', () => {
  const dates = fc
    .array(fc.integer({ min: 10, max: 28 }), { maxLength: 8 })
    .map((days) => days.sort((a, b) => a - b).map((day) => `2031-05-${day}`));
  fc.assert(
    fc.property(dates, dates, (visitDates, partyDates) => {
      const visits = visitDates.map((date, i) => visit(`v${i}`, date));
      const parties = partyDates.map((date, i) => party(`p${i}`, date));
      const { next, days } = comingDays({ visits, parties });
      const first = next === null ? [] : next.kind === 'visit' ? [next.visit, ...next.parties] : [next.party];
      const rest = days.flatMap((day) => [...day.parties, ...day.visits]);
      expect([...first, ...rest].map(({ id }) => id).sort()).toEqual(
        [...visits, ...parties].map(({ id }) => id).sort(),
      );
      expect(days.map(({ date }) => date)).toEqual([...new Set(rest.map(({ date }) => date))]);
      for (const one of first) expect(rest.every(({ date }) => date >= one.date)).toBe(true);
    }),
    { seed: 3, numRuns: 300 },
  );
});
