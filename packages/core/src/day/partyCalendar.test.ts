import ICAL from 'ical.js';
import { dayOfPlan, newGuest, newPlan, partyCalendar, planDay, type PartyPlan } from '.';

const party = { id: '0190-party', name: 'Brack; wedding', date: '2027-06-12', revision: 3 };
const NAMES = [
  'Ada Morrow',
  'Søla, of the Vestergård by the Long Water and the Longer Bridge, née Ångström-Þórsdóttir',
  'Be Lund',
];

function planned(zone: string, date = party.date): PartyPlan {
  const plan = newPlan('morning', { place: 'Quay House', zone, artist: 'Runa' });
  const guests = NAMES.map((name, i) =>
    newGuest(
      `g${i}`,
      { name, role: 'guest', readyBy: 700, faceMinutes: 30, hairMinutes: i === 0 ? 30 : null },
      plan,
    ),
  );
  const whole = { ...plan, guests };
  const { ways, visits } = planDay(dayOfPlan({ ...party, date }, whole), { work: 40 });
  return {
    ...whole,
    timetable: {
      ways: { ...ways },
      visits: visits.map((visit) => ({ ...visit })),
      boundLate: 0,
      boundCost: 0,
      proven: false,
    },
  };
}

const read = (text: string): ICAL.Event[] =>
  new ICAL.Component(ICAL.parse(text) as never)
    .getAllSubcomponents('vevent')
    .map((one) => new ICAL.Event(one));
const made = new Date('2027-06-01T10:00:00Z');

test.each([
  // The morning the clocks go forward, the morning they go back, and a plain one: nine there in UTC.
  ['Europe/Lisbon', '2027-03-28', '08:00'],
  ['Europe/Lisbon', '2027-10-31', '09:00'],
  ['Europe/Lisbon', '2027-01-10', '09:00'],
  ['Australia/Lord_Howe', '2027-07-01', '22:30'],
])('%s on %s is read back at the hour it was meant', (zone, date, nineInUtc) => {
  const plan = planned(zone, date);
  const nine = plan.timetable!.visits.map((visit, i) => ({ ...visit, start: i === 0 ? 540 : visit.start }));
  const text = partyCalendar(
    { ...party, date },
    { ...plan, timetable: { ...plan.timetable!, visits: nine } },
    made,
  );
  const first = read(text)[0]!;
  expect(first.startDate.toJSDate().toISOString().slice(11, 16)).toBe(nineInUtc);
});

test('every visit is one event with its own id, names whole, changes told by the revision', () => {
  const plan = planned('Europe/Lisbon');
  const events = read(partyCalendar(party, plan, made));
  expect(events.length).toBe(plan.timetable!.visits.length);
  expect(new Set(events.map((event) => event.uid)).size).toBe(events.length);
  expect(events.map((event) => event.summary)).toEqual(
    expect.arrayContaining([`${NAMES[1]}, face`, 'Ada Morrow, hair']),
  );
  expect(events.every((event) => event.sequence === 3)).toBe(true);
  expect(events[0]!.description).toContain('Brack; wedding');
  const lengths = plan.timetable!.visits.map((visit) => visit.minutes);
  expect(events.map((event) => event.duration.toSeconds() / 60)).toEqual(lengths);
});

test('lines end in CRLF and have at most 75 octets, letters whole', () => {
  const text = partyCalendar(party, planned('Europe/Lisbon'), made);
  expect(text.replace(/\r\n/g, '').includes('\n')).toBe(false);
  for (const line of text.split('\r\n')) {
    expect(Buffer.byteLength(line)).toBeLessThanOrEqual(75);
    expect(line).not.toContain('\uFFFD');
  }
});

test('of one pair of hands only theirs; without a timetable none', () => {
  const plan = planned('Europe/Lisbon');
  const hair = read(partyCalendar(party, plan, made, { hands: 'hair-1' }));
  expect(hair.map((event) => event.summary)).toEqual(['Ada Morrow, hair']);
  expect(read(partyCalendar(party, { ...plan, timetable: null }, made))).toEqual([]);
});
