import ICAL from 'ical.js';
import { studioCalendar, type CalendarVisit } from '.';

const visit = (more: Partial<CalendarVisit> = {}): CalendarVisit => ({
  id: '0190-visit',
  clientName: 'Søla, of the Long Water; née Ångström-Þórsdóttir, and so on until the line is long',
  kind: 'wedding',
  date: '2027-06-12',
  startsAt: '09:20',
  readyBy: '11:30',
  place: 'Quay House\r\nEND:VCALENDAR',
  state: 'booked',
  revision: 4,
  ...more,
});
const made = new Date('2027-06-01T10:00:00Z');
const read = (text: string): ICAL.Event[] =>
  new ICAL.Component(ICAL.parse(text) as never)
    .getAllSubcomponents('vevent')
    .map((one) => new ICAL.Event(one));
const one = (more: Partial<CalendarVisit>, zone: string | null): ICAL.Event =>
  read(studioCalendar([visit(more)], [], zone, made))[0]!;

test.each([
  ['Europe/Lisbon', '2027-03-28', '08:20'],
  ['Europe/Lisbon', '2027-10-31', '09:20'],
  ['America/St_Johns', '2027-07-01', '11:50'],
  ['Pacific/Kiritimati', '2027-07-01', '19:20'],
])('in %s on %s it is read back at the hour it was meant', (zone, date, inUtc) => {
  const event = one({ date }, zone);
  expect(event.startDate.toJSDate().toISOString().slice(11, 16)).toBe(inUtc);
  expect(event.duration.toSeconds()).toBe(130 * 60);
});

test('a studio without a zone has wall clocks, which no reader shifts', () => {
  const event = one({ startsAt: '23:40', readyBy: null }, null);
  expect(event.startDate.toString()).toBe('2027-06-12T23:40:00');
  expect(event.startDate.zone?.tzid).toBe('floating');
  expect(event.endDate.toString()).toBe('2027-06-13T00:40:00');
});

test('names and places stay text whatever is in them; a change is told by its sequence', () => {
  const event = one({}, 'Europe/Lisbon');
  expect(event.summary).toBe(`${visit().clientName}, wedding`);
  expect(event.location).toBe('Quay House\nEND:VCALENDAR');
  expect([event.uid, event.sequence]).toEqual(['visit/0190-visit@toile', 4]);
});

test('cancelled visits are not in it, asked ones say so, tasks are days', () => {
  const text = studioCalendar(
    [visit({ state: 'cancelled' }), visit({ id: 'b', state: 'asked', clientName: 'Ada' })],
    [{ uid: 'b/pack', by: '2027-06-30', words: 'Ada: pack' }],
    'Europe/Lisbon',
    made,
  );
  const [asked, task, ...none] = read(text);
  expect(none).toEqual([]);
  expect(asked!.summary).toBe('Ada, wedding (asked for)');
  expect([task!.startDate.isDate, task!.startDate.toString(), task!.endDate.toString()]).toEqual([
    true,
    '2027-06-30',
    '2027-07-01',
  ]);
});
