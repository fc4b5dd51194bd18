import * as fc from 'fast-check';
import ICAL from 'ical.js';
import { iCalendar } from './iCalendar';

const MADE = new Date('2031-05-01T06:07:08.009Z');
const EVENT = {
  uid: 'a',
  sequence: 3,
  start: { at: new Date('2031-05-14T08:20:00Z') },
  end: { at: new Date('2031-05-14T09:05:30Z') },
  summary: 'Ada',
};
const lines = (text: string) => text.split('\r\n');

test('an event is written line by line, each ended', () => {
  expect(lines(iCalendar('party', MADE, [EVENT]))).toEqual([
    'BEGIN:VCALENDAR',
    'VERSION:2.0',
    'PRODID:-//Toile//party//EN',
    'BEGIN:VEVENT',
    'UID:a@toile',
    'SEQUENCE:3',
    'DTSTAMP:20310501T060708Z',
    'DTSTART:20310514T082000Z',
    'DTEND:20310514T090530Z',
    'SUMMARY:Ada',
    'END:VEVENT',
    'END:VCALENDAR',
    '',
  ]);
});

test('a place and a note are there where they are said', () => {
  const told = lines(
    iCalendar('studio', MADE, [{ ...EVENT, location: 'Room 4', description: 'Two flights up' }, EVENT]),
  );
  expect(told[2]).toBe('PRODID:-//Toile//studio//EN');
  expect(told.filter((line) => line === 'LOCATION:Room 4')).toHaveLength(1);
  expect(told.filter((line) => line === 'DESCRIPTION:Two flights up')).toHaveLength(1);
  expect(told.filter((line) => line === 'BEGIN:VEVENT')).toHaveLength(2);
  expect(told.some((line) => line === 'LOCATION:' || line === 'DESCRIPTION:')).toBe(false);
});

test('a day has no hour, and a wall clock no zone', () => {
  const told = lines(
    iCalendar('party', MADE, [
      { ...EVENT, start: { day: '2031-05-14' }, end: { day: '2031-05-15' } },
      { ...EVENT, start: { clock: '2031-05-14T09:20' }, end: { clock: '2031-05-14T10:05' } },
    ]),
  ).filter((line) => /^DT(START|END)/.test(line));
  expect(told).toEqual([
    'DTSTART;VALUE=DATE:20310514',
    'DTEND;VALUE=DATE:20310515',
    'DTSTART:20310514T092000',
    'DTEND:20310514T100500',
  ]);
});

test.each([
  ['a; b, c\\d', 'a\\; b\\, c\\\\d'],
  ['one\ntwo\r\nthree\rfour', 'one\\ntwo\\nthree\\nfour'],
  ['no\u0000\u0008\u000b\u001f\u007f marks\tbut a tab', 'no marks\tbut a tab'],
])('%j is written %j', (said, written) => {
  expect(lines(iCalendar('party', MADE, [{ ...EVENT, summary: said }]))).toContain(`SUMMARY:${written}`);
});

test.each([
  // SUMMARY: and 67 letters are 75 octets; one more begins another line.
  ['a'.repeat(67), ['SUMMARY:' + 'a'.repeat(67)]],
  ['a'.repeat(68), ['SUMMARY:' + 'a'.repeat(67), ' a']],
  ['a'.repeat(67 + 74), ['SUMMARY:' + 'a'.repeat(67), ' ' + 'a'.repeat(74)]],
  ['a'.repeat(67 + 75), ['SUMMARY:' + 'a'.repeat(67), ' ' + 'a'.repeat(74), ' a']],
  // A letter of three octets is not cut.
  ['a'.repeat(65) + '—b', ['SUMMARY:' + 'a'.repeat(65), ' —b']],
])('a line of %j is folded', (summary, written) => {
  const told = lines(iCalendar('party', MADE, [{ ...EVENT, summary }]));
  const at = told.findIndex((line) => line.startsWith('SUMMARY'));
  expect(told.slice(at, at + written.length + 1)).toEqual([...written, 'END:VEVENT']);
});

test('another reader finds what was said, whatever it is', () => {
  const words = fc.string({ unit: 'grapheme', maxLength: 120 });
  fc.assert(
    fc.property(words, words, (summary, description) => {
      const file = iCalendar('party', MADE, [{ ...EVENT, summary, description }]);
      for (const line of lines(file)) expect(new TextEncoder().encode(line).length).toBeLessThanOrEqual(75);
      const [event] = new ICAL.Component(ICAL.parse(file)).getAllSubcomponents('vevent');
      const plain = (text: string) =>
        [...text.replace(/\r\n?/g, '\n')].filter((c) => c >= ' ' || c === '\n' || c === '\t').join('');
      expect(event!.getFirstPropertyValue('summary') ?? '').toBe(plain(summary).replaceAll('\u007f', ''));
      expect(event!.getFirstPropertyValue('description') ?? '').toBe(
        plain(description).replaceAll('\u007f', ''),
      );
    }),
  );
});
