import type { PatchTest, RunUpKind } from '@toile/core';
import type { VisitAnswer } from '@toile/contract';
import { demo } from './testServer';
import { partyRunUpDue, runUpDue } from '../src/today/runUpDue';
import { whatIsDue as dueAt, type ClientCare, type OpenedUnits } from '../src/today/due';

const TODAY = '2031-05-14';
const NOW = new Date(`${TODAY}T12:00:00Z`);
const whatIsDue = (
  ...asked: [string, readonly VisitAnswer[], readonly ClientCare[], readonly OpenedUnits[]]
) => dueAt(...asked, NOW);
const visit = (clientId: string): VisitAnswer => ({
  id: clientId,
  clientId,
  clientName: '',
  kind: 'trial',
  date: TODAY,
  startsAt: '09:00',
  readyBy: null,
  place: '',
  partyId: null,
  chartId: null,
  revision: 1,
  state: 'booked',
  reason: '',
  occasion: null,
  partyOccasion: null,
  bookedOn: '2031-01-01',
  runUp: [],
});
const person = (id: string, more: Partial<ClientCare> = {}): ClientCare => ({
  id,
  name: id,
  sensitivities: [],
  birthYear: null,
  features: { age: 'adult' },
  guardianConsent: '',
  lastRead: `${TODAY}T07:00:00Z`,
  patchTests: [],
  ...more,
});
/** Units opened on some days, one each, good for a year; unopened ones are never counted. */
const kit = (...openedOn: (string | null)[]): OpenedUnits[] =>
  openedOn.flatMap((on) => (on === null ? [] : [{ openedOn: on, monthsAfterOpening: 12, units: 1 }]));

test('nothing is due when all is fresh', () =>
  expect(whatIsDue(TODAY, [visit('ada')], [person('ada')], kit('2031-01-01', null))).toEqual([]));

test('only people with a visit coming are minded', () => {
  expect(whatIsDue(TODAY, [], [person('ada', { sensitivities: ['latex'], lastRead: null })], kit())).toEqual(
    [],
  );
});

test('a minor for whom nobody has said yes is due, by the face or by the year; said yes, it is not', () => {
  const due = (more: Partial<ClientCare>): string[] =>
    whatIsDue(TODAY, [visit('ada')], [person('ada', more)], kit()).map(({ kind, words, clientId }) =>
      [kind, words, clientId].join(' | '),
    );
  const minor = ['consent | ada: a minor: get and note a guardian’s consent | ada'];
  expect(due({ birthYear: 2014 })).toEqual(minor);
  expect(due({ features: { age: 'child' } })).toEqual(minor);
  expect(due({ birthYear: 2013 })).toEqual([
    'consent | ada: perhaps not of age: ask for a guardian’s consent | ada',
  ]);
  expect(due({ birthYear: 2012 })).toEqual([]);
  expect(due({ birthYear: 2014, guardianConsent: 'Ines Moor' })).toEqual([]);
});

test('patch tests, old and missing readings, with whom they concern', () => {
  const due = whatIsDue(
    TODAY,
    [visit('ada'), visit('bo'), visit('cy')],
    [
      person('ada', { sensitivities: ['latex'] }),
      person('bo', { lastRead: '2031-04-20T12:00:00Z' }),
      person('cy', { lastRead: null }),
    ],
    kit(),
  );
  expect(due).toEqual([
    { kind: 'patch test', words: 'ada: ask for the patch test result (latex)', clientId: 'ada' },
    { kind: 're-read', words: 'bo: skin last read 24 days ago', clientId: 'bo' },
    { kind: 're-read', words: 'cy: skin not read yet', clientId: 'cy' },
  ]);
});

test.each([
  ['2031-04-30', false],
  ['2031-04-29', true],
])('a reading of %s is old: %s', (date, old) => {
  const due = whatIsDue(TODAY, [visit('ada')], [person('ada', { lastRead: `${date}T12:00:00Z` })], kit());
  expect(due.length === 1).toBe(old);
});

test('units past their date and near it are counted, one and many', () => {
  const words = (...opened: (string | null)[]): string[] =>
    whatIsDue(TODAY, [], [], kit(...opened)).map((d) => d.words);
  expect(words('2029-01-01')).toEqual(['1 unit is past the shelf life after opening']);
  expect(words('2029-01-01', '2029-02-01', '2030-06-01')).toEqual([
    '2 units are past the shelf life after opening',
    '1 unit runs out of shelf life within 30 days',
  ]);
});

const DAY_MS = 86_400_000;
const ago = (hours: number): string => new Date(NOW.getTime() - hours * (DAY_MS / 24)).toISOString();
const tested = (more: Partial<PatchTest>): PatchTest => ({
  id: 'test',
  clientId: 'ada',
  productId: demo.products[0]!.id,
  product: 'Quoin Band',
  unitId: null,
  place: 'inner arm',
  plannedFor: TODAY,
  laidAt: null,
  readings: [],
  note: '',
  ...more,
});
const read = (hours: number, result: PatchTest['readings'][number]['result']) => [
  { at: ago(hours), by: 'Runa', result, note: '' },
];

test.each<[string, Partial<PatchTest>, string | null]>([
  ['planned for tomorrow', { plannedFor: '2031-05-15' }, null],
  ['planned for today', {}, 'ada: lay the patch test of Quoin Band'],
  [
    'planned for yesterday',
    { plannedFor: '2031-05-13' },
    'ada: lay the patch test of Quoin Band, planned for 2031-05-13',
  ],
  ['laid this morning', { laidAt: ago(4) }, null],
  ['laid a day ago', { laidAt: ago(24) }, 'ada: read the patch test of Quoin Band'],
  ['read once', { laidAt: ago(30), readings: read(5, 'clear') }, null],
  [
    'not read again',
    { laidAt: ago(49), readings: read(24, 'clear') },
    'ada: read the patch test of Quoin Band',
  ],
  ['clear', { laidAt: ago(60), readings: read(10, 'clear') }, null],
  ['bad', { laidAt: ago(60), readings: read(10, 'reacted') }, 'ada: the patch test of Quoin Band reacted'],
  [
    'unsure',
    { laidAt: ago(60), readings: read(10, 'unsure') },
    'ada: the patch test of Quoin Band was not clear',
  ],
])('a patch test %s', (_, more, words) =>
  expect(
    whatIsDue(
      TODAY,
      [visit('ada')],
      [person('ada', { sensitivities: ['latex'], patchTests: [tested(more)] })],
      kit(),
    ),
  ).toEqual(words === null ? [] : [{ kind: 'patch test', words, clientId: 'ada' }]),
);

describe('the run-up', () => {
  const wedding = (date: string, more: Partial<VisitAnswer> = {}): VisitAnswer => ({
    ...visit('ada'),
    clientName: 'Ada',
    kind: 'wedding',
    date,
    ...more,
  });
  const words = (date: string, more: Partial<VisitAnswer> = {}): string[] =>
    runUpDue([wedding(date, more)], TODAY).map((item) => item.words);

  // The 14th of May is the day: what is due by its distance to the wedding.
  test.each<[string, RegExp | null]>([
    ['2031-07-10', null],
    ['2031-07-09', /^Ada: trial, in the season/],
    ['2031-06-11', /^Ada: late: no new skin care.*; trial, in the season/],
    ['2031-06-10', /^Ada: late: trial.*late: no new skin care|^Ada: late: no new skin care.*late: trial/],
  ])('to the wedding of %s', (date, says) => {
    const told = words(date);
    if (says) expect(told[0]).toMatch(says);
    else expect(told).toEqual([]);
  });

  test('what is done is not told, what was too late when it was booked is not held against anybody', () => {
    const all = words('2031-06-10');
    expect(all).toHaveLength(1);
    expect(words('2031-06-10', { runUp: ['trial', 'lastNew'] })).toEqual([]);
    expect(words('2031-06-10', { bookedOn: TODAY })).toEqual([]);
    expect(words('2031-06-10', { bookedOn: '2031-05-13' })).toEqual([
      'Ada: late: trial, in the season and with the tan planned for the day',
    ]);
  });

  test('a trial has none, nor has what was cancelled; after the day it is asked how it wore', () => {
    expect(words('2031-06-10', { kind: 'trial' })).toEqual([]);
    expect(words('2031-06-10', { kind: 'gala' })).toEqual([]);
    expect(words(TODAY, { kind: 'portrait' })[0]).toMatch(/^Ada: clean face/);
    expect(words('2031-06-10', { state: 'cancelled' })).toEqual([]);
    expect(words('2031-06-10', { state: 'asked' })).toEqual([]);
    expect(words('2031-05-13', { state: 'done' })).toHaveLength(1);
    expect(
      words('2031-05-13', { runUp: ['trial', 'lastNew', 'agree', 'brows', 'noTan', 'onTheDay'] }),
    ).toEqual(['Ada: ask how it wore']);
  });
});

test('a party’s own run-up: packing and call sheets when it is time, late when it was not done, gone when it was', () => {
  const due = (date: string, runUp: readonly RunUpKind[] = []) =>
    partyRunUpDue([{ id: 'p', name: 'Mill wedding', date, plan: { runUp } }], TODAY);
  expect(due('2031-06-30')).toEqual([]);
  expect(due('2031-05-16').map((item) => item.words)).toEqual([
    'Mill wedding: late: buy what is short; pack',
  ]);
  expect(due('2031-05-15', ['buy', 'pack']).map((item) => item.words)).toEqual([
    'Mill wedding: call sheets sent',
  ]);
  expect(due('2031-05-15', ['buy', 'pack', 'callSheet'])).toEqual([]);
  expect(due('2031-05-13', ['buy', 'pack', 'callSheet']).map((item) => item.words)).toEqual([
    'Mill wedding: ask how it wore',
  ]);
  // Where nothing can be bought any more after a day, that day.
  const island = { noShop: true, lastShop: '2031-05-14' };
  const buying = (plan: object) =>
    partyRunUpDue([{ id: 'p', name: 'Isle', date: '2031-06-20', plan }], TODAY).map((item) => item.words);
  expect(buying(island)).toEqual(['Isle: buy what is short']);
  expect(buying({ ...island, lastShop: '2031-05-13' })).toEqual(['Isle: late: buy what is short']);
  expect(buying({ ...island, noShop: false })).toEqual([]);
  expect(due('2031-05-16')[0]).toMatchObject({ partyId: 'p', clientId: null, kind: 'run-up' });
  expect(partyRunUpDue([{ id: 'p', name: 'Old', date: '2031-05-16', plan: null }], TODAY)).toHaveLength(1);
});
