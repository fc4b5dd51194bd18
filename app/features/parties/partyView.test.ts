import { clock, minuteOfDay, newGuest, newPlan, planDay, dayOfPlan, type PartyPlan } from '@toile/core';
import {
  groupsOf,
  helperWords,
  moved,
  planOf,
  proofWords,
  atRiskWords,
  sureWords,
  tellWords,
  timetableOf,
  withoutWords,
} from './partyView';

const begin = { place: 'Quay House', zone: 'Europe/Lisbon', artist: 'Runa' };
const blank = newPlan('morning', begin);
const guest = (id: string, name: string, hairMinutes: number | null) =>
  newGuest(id, { name, role: 'guest', readyBy: 690, faceMinutes: 35, hairMinutes }, blank);
const plan: PartyPlan = { ...blank, guests: [guest('a', 'Ada Morrow', 40), guest('b', 'Be Lund', null)] };
const answer = planDay(dayOfPlan({ id: 'p', date: '2031-06-14' }, plan), { work: 60 });
const timetable = timetableOf(answer);

test.each([
  ['09:05', 545],
  ['24:00', null],
  ['', null],
  ['9:05', null],
])('a field gives %s as %s', (time, minutes) => {
  expect(minuteOfDay(time)).toBe(minutes);
  if (minutes !== null) expect(clock(minutes)).toBe(time);
});

test('every visit stands once under who works, once under whom, and chairs hold theirs', () => {
  for (const view of ['hands', 'person', 'chair'] as const) {
    const keys = groupsOf(plan, timetable, view).flatMap((group) => group.rows.map((row) => row.key));
    expect([...keys].sort()).toEqual(timetable.visits.map((visit) => `${visit.of} ${visit.task}`).sort());
  }
});

test('a guest is told when to come, five minutes before, where, and how', () => {
  const first = timetable.visits.filter((visit) => visit.of === 'a').sort((x, y) => x.start - y.start)[0]!;
  const words = tellWords(plan, plan.guests[0]!, timetable.visits);
  expect(words).toContain(`Come at ${clock(first.start - 5)} at `);
  expect(words).toContain('ready by 11:30');
  expect(tellWords(plan, plan.guests[0]!, [])).toBe('nothing planned');
});

test('how good it is, is said no surer than it is known', () => {
  const known = (boundLate: number, boundCost: number, proven: boolean) => ({ boundLate, boundCost, proven });
  expect(proofWords({ late: 0, cost: 100 }, known(0, 100, true))).toBe(
    'Proven: there is no better timetable.',
  );
  expect(proofWords({ late: 0, cost: 100 }, known(0, 95, false))).toContain('at most 5 %');
  expect(proofWords({ late: 0, cost: 100 }, known(0, 0, false))).toBe('Everybody in time.');
  expect(proofWords({ late: 12, cost: 0 }, known(12, 0, true))).toContain(
    'proven: in all it cannot be less late',
  );
  expect(proofWords({ late: 12, cost: 0 }, known(12, 0, false))).toContain(
    'proven: in all it cannot be less late',
  );
  expect(proofWords({ late: 12, cost: 0 }, known(5, 0, false))).toContain(
    'a little less late may be possible',
  );
  expect(proofWords({ late: 12, cost: 0 }, known(0, 0, false))).toBe(
    'Somebody is late in the best timetable found so far.',
  );
  expect(proofWords({ late: 0, cost: 1000 }, known(0, 998, false))).toContain('hardly a better timetable');
});

test('a visit moved by hand takes the proof with it', () => {
  const visit = timetable.visits[0]!;
  const after = moved({ ...timetable, proven: true }, `${visit.of} ${visit.task}`, {
    start: visit.start + 5,
  });
  expect(after.proven).toBe(false);
  expect(after.visits[0]!.start).toBe(visit.start + 5);
  expect(after.visits.slice(1)).toEqual(timetable.visits.slice(1));
});

test('a party without a plan begins with those who have a visit', () => {
  const made = planOf(
    {
      id: 'p',
      revision: 1,
      name: 'Gala',
      date: '2031-06-14',
      place: 'Hall',
      notes: '',
      peopleCount: 1,
      plan: null,
      charts: {},
      visits: [
        {
          id: 'v',
          clientId: 'c',
          clientName: 'Cy Orr',
          kind: 'gala',
          date: '2031-06-14',
          startsAt: '17:00',
          readyBy: '18:30',
          place: 'Hall',
          partyId: 'p',
          chartId: null,
          revision: 1,
          state: 'booked',
          reason: '',
          occasion: null,
          partyOccasion: null,
          bookedOn: '2031-01-01',
          runUp: [],
        },
      ],
    },
    'Runa',
    'UTC',
  );
  expect(made.guests.map((one) => [one.name, one.clientId, one.readyBy])).toEqual([['Cy Orr', 'c', 1110]]);
});

test('how sure is told with what it rests on, and what one more buys beside how it is without', () => {
  const all = { share: 0.814, low: 0.79, high: 0.836 };
  expect(sureWords({ all, known: [] })).toBe(
    'Of 100 such days 81 have everybody in time (79 to 84). How far work strays from its minutes is the trade’s guess.',
  );
  const known = [
    { name: 'Runa', visits: 14 },
    { name: 'Teodor', visits: 3 },
  ];
  expect(sureWords({ all, known })).toMatch(
    /By how it went before for Runa \(14 timed visits\) and Teodor \(3 timed visits\); for the rest the trade’s guess\.$/,
  );
  expect(helperWords({ words: 'One more artist', all: { share: 0.93, low: 0.92, high: 0.94 } })).toBe(
    'One more artist: everybody in time on 93 of 100 (92 to 94).',
  );
  expect(withoutWords(all)).toBe('Without, made calm: everybody in time on 81 of 100 (79 to 84).');
});

test('who is most likely to be late is named: the least sure three, nobody of whom it is as good as sure', () => {
  const sure = (...shares: number[]) => ({
    people: Object.fromEntries(
      shares.map((share, i) => [
        plan.guests[i]?.id ?? `round ${i}`,
        { share, low: share, high: share, readyIn90: 600, lateMinutes: 1 },
      ]),
    ),
  });
  const names = plan.guests.map(({ name }) => name);
  expect(atRiskWords(sure(0.9, 1), plan)).toBeNull();
  expect(atRiskWords({ people: {} }, plan)).toBeNull();
  expect(atRiskWords(sure(0.899, 0.95), plan)).toBe(
    `Most likely to be late: ${names[0]} (in time on 90 of 100).`,
  );
  expect(atRiskWords(sure(0.62, 0.41), plan)).toBe(
    `Most likely to be late: ${names[1]} (in time on 41 of 100) and ${names[0]} (in time on 62 of 100).`,
  );
  const many = sure(...plan.guests.map(() => 0.8), 0.1, 0.2, 0.3);
  expect(atRiskWords(many, plan)!.match(/in time on/g)).toHaveLength(3);
  expect(atRiskWords(many, plan)).toContain('the touch-ups (in time on 10 of 100)');
});

test('hands that are away say so over their visits', () => {
  const away = [{ from: 540, to: 560, title: 'with the florist' }];
  const gone = { ...plan, hands: plan.hands.map((one, i) => (i === 0 ? { ...one, away } : one)) };
  const [first, second] = groupsOf(gone, timetable, 'hands');
  expect(first!.detail).toBe('there at 07:30, ready 07:55, away 09:00 to 09:20');
  expect(second!.detail).not.toContain('away');
});
