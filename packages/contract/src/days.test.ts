import { CLIENT_RUN_UP, OCCASIONS, newGuest, newPlan, PARTY_EVENT_KINDS } from '@toile/core';
import { enquirySchema } from './enquiry';
import { AT, ID, letters, tryForms, type Row } from './forms.testing';
import { partyEventInputSchema, partyInputSchema } from './party';
import { readSheetFor, sheetForText, sheetLinkInputSchema } from './sheet';
import { runUpInputSchema, VISIT_STATES, visitInputSchema } from './visit';

const days: Row[] = [
  ['date', '', 'Choose a date'],
  ['date', undefined, 'Choose a date'],
  ['date', '2031-02-29', 'A date, as 2031-05-14'],
  ['date', '2032-02-29', null],
  ['date', '14.5.2031', 'A date, as 2031-05-14'],
];
const starts: Row[] = [
  ['startsAt', '', 'Choose a time'],
  ['startsAt', undefined, 'Choose a time'],
  ['startsAt', '24:00', 'A time, as 09:20'],
  ['startsAt', '23:59', null],
  ['startsAt', '19:60', 'A time, as 09:20'],
  ['startsAt', '9:20', 'A time, as 09:20'],
  ['startsAt', '09:20:00', 'A time, as 09:20'],
  ['startsAt', 'at 09:20', 'A time, as 09:20'],
];
const place: Row[] = [
  ['place', '', null],
  ['place', letters(200), null],
  ['place', letters(201), 'At most 200 letters'],
];
const zones: Row[] = [
  ['zone', undefined, 'required'],
  ['zone', 'Lisbon', 'A time zone, as Europe/Lisbon'],
  ['zone', 'Asia/Jakarta', null],
];

const ENQUIRY = {
  name: 'Ada Quill',
  phone: '',
  email: '',
  notes: '',
  date: '2031-07-02',
  startsAt: '08:00',
  place: 'Quay House',
  clientId: ID,
  visitId: ID,
  partyId: ID,
  kind: 'wedding',
  people: 4,
  zone: 'Europe/Lisbon',
};
const VISIT = {
  id: ID,
  clientId: ID,
  kind: 'trial',
  date: '2031-06-02',
  startsAt: '09:20',
  readyBy: '11:30',
  place: 'Quay House',
};
const OCCASION = { kind: 'gala', date: '2031-06-02', lights: ['led'], hoursToLast: 5, camera: true };
const PLAN = newPlan('morning', { place: 'Quay House', zone: 'Europe/Lisbon', artist: 'Ada' });
const PARTY = { id: ID, name: 'Quay House', date: '2031-06-02', place: '', notes: '', plan: PLAN };
const guest = (id: string) =>
  newGuest(id, { name: 'Bel', role: 'guest', readyBy: 690, faceMinutes: 40, hairMinutes: null }, PLAN);

const round = (id: string) => ({ id, place: 'home', from: 600, to: 700, minutes: 20, by: [] });

tryForms([
  [
    'an enquiry',
    enquirySchema,
    ENQUIRY,
    [
      ['name', '', 'Write a name'],
      ...days,
      ...starts,
      ...place,
      ...zones,
      ['clientId', 'x', 'must be a UUID'],
      ['clientId', undefined, 'required'],
      ['visitId', undefined, 'required'],
      ['partyId', undefined, 'required'],
      ...OCCASIONS.map((kind): Row => ['kind', kind, null]),
      ['kind', undefined, 'Choose what it is for'],
      ['kind', 'ball', 'Choose what it is for'],
      ['people', '', 'How many?'],
      ['people', null, 'How many?'],
      ['people', undefined, 'How many?'],
      ['people', 'a few', 'A number of people'],
      ['people', 1.5, 'A whole number'],
      ['people', 0, 'At least one'],
      ['people', 1, null],
      ['people', 200, null],
      ['people', 201, 'At most 200'],
    ],
  ],
  [
    'a visit',
    visitInputSchema,
    VISIT,
    [
      ['id', undefined, 'required'],
      ['clientId', undefined, 'required'],
      ...OCCASIONS.map((kind): Row => ['kind', kind, null]),
      ['kind', 'ball', 'Choose what it is for'],
      ['kind', undefined, 'Choose what it is for'],
      ...days,
      ...starts,
      ...place,
      ['readyBy', null, null],
      ['readyBy', '', null],
      ['readyBy', '25:00', 'A time, as 11:30'],
      ['partyId', null, null],
      ['partyId', 'x', 'must be a UUID'],
      ...VISIT_STATES.filter((state) => state !== 'cancelled').map((state): Row => ['state', state, null]),
      ['state', 'lost', 'state'],
      ['reason', letters(400), null],
      ['reason', letters(401), 'At most 400 letters'],
      ['occasion', null, null],
      ['occasion', OCCASION, null],
      ['occasion', { ...OCCASION, lights: ['moon'] }, 'occasion.lights'],
      ['occasion', 'gala', 'occasion'],
    ],
  ],
  [
    'a visit that was cancelled',
    visitInputSchema,
    { ...VISIT, state: 'cancelled', reason: 'Moved to June' },
    [
      ['reason', ' ', 'Say why it was cancelled'],
      ['reason', undefined, 'Say why it was cancelled'],
      ['reason', letters(401), 'At most 400 letters'],
    ],
  ],
  [
    'a task of the run-up',
    runUpInputSchema,
    { task: 'trial', done: true },
    [
      ...CLIENT_RUN_UP.map((task): Row => ['task', task, null]),
      ['task', 'cake', 'Say which task'],
      ['task', undefined, 'Say which task'],
      ['done', undefined, 'Say whether it is done'],
    ],
  ],
  [
    'a party',
    partyInputSchema,
    PARTY,
    [
      ['id', undefined, 'required'],
      ['name', ' ', 'Name the party'],
      ['name', letters(120), null],
      ['name', letters(121), 'At most 120 letters'],
      ...days,
      ...place,
      ['notes', letters(4000), null],
      ['notes', letters(4001), 'At most 4,000 letters'],
      ['plan', undefined, 'Say how the day is to go'],
      ['plan', { ...PLAN, zone: 'Lisbon' }, 'A time zone, as Europe/Lisbon'],
      ['plan', { ...PLAN, zone: 4 }, 'plan.zone'],
      ['plan', 'in the morning', 'plan'],
      ['plan', { ...PLAN, guests: 'many' }, 'plan.guests'],
      ['plan', { ...PLAN, guests: [guest('a'), guest('b')] }, null],
      ['plan', { ...PLAN, guests: [guest('a'), guest('a')] }, 'Somebody is there twice'],
      ['plan', { ...PLAN, guests: [guest('a')], rounds: [round('a')] }, 'Somebody is there twice'],
      ['plan', { ...PLAN, guests: [guest('a')], rounds: [round('b')] }, null],
    ],
  ],
  [
    'something told of a party’s day',
    partyEventInputSchema,
    { id: ID, kind: 'packed', item: 'once:wands', at: AT, into: 'Roll', device: 'Phone' },
    [
      ['id', undefined, 'required'],
      ...PARTY_EVENT_KINDS.map((kind): Row => ['kind', kind, null]),
      ['kind', undefined, 'Say what happened'],
      ['kind', 'lost', 'Say what happened'],
      ['item', '', 'Say of what'],
      ['item', undefined, 'Say of what'],
      ['item', letters(160), null],
      ['item', letters(161), 'At most 160 letters'],
      ['at', undefined, 'required'],
      ['at', '2031-05-14', 'an instant in UTC'],
      ['into', undefined, null],
      ['into', '', 'into'],
      ['into', letters(60), null],
      ['into', letters(61), 'At most 60 letters'],
      ['device', undefined, null],
      ['device', letters(60), null],
      ['device', letters(61), 'At most 60 letters'],
    ],
  ],
  [
    'a link to a call sheet',
    sheetLinkInputSchema,
    { id: ID, whom: 'whole', secret: letters(32), days: 7 },
    [
      ['id', undefined, 'required'],
      ['whom', undefined, 'Say whom it is for'],
      ['whom', 'hands:1', null],
      ['whom', 'person:1', null],
      ['whom', `person:${letters(60)}`, null],
      ['whom', `person:${letters(61)}`, 'whole, hands:… or person:…'],
      ['whom', 'person:', 'whole, hands:… or person:…'],
      ['whom', 'wholesale', 'whole, hands:… or person:…'],
      ['whom', 'the whole', 'whole, hands:… or person:…'],
      ['secret', letters(31), 'is not a secret of 32 letters'],
      ['days', 1, null],
      ['days', 30, null],
      ['days', 2, 'one of 1, 7, 30'],
      ['days', undefined, 'required'],
    ],
  ],
]);

test.each([
  [{ kind: 'whole' }, 'whole'],
  [{ kind: 'hands', id: 'a:b' }, 'hands:a:b'],
  [{ kind: 'person', id: ID }, `person:${ID}`],
] as const)('whom a sheet is for stands in an address and is read back: %j', (whom, text) => {
  expect(sheetForText(whom)).toBe(text);
  expect(readSheetFor(text)).toEqual(whom);
});

test.each(['', 'everybody', 'hands', 'hands:', `hands:${letters(61)}`, 'xhands:1', 'wholex'])(
  '“%s” says nobody',
  (text) => expect(readSheetFor(text)).toBeNull(),
);
