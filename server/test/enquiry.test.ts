import {
  newId,
  type ClientAnswer,
  type EnquiryAnswer,
  type PartyAnswer,
  type Problem,
  type TodayAnswer,
} from '@toile/contract';
import type { Agent } from 'supertest';
import { keyed, testServer, type TestServer } from './testServer';

let server: TestServer;
let artist: Agent;
beforeAll(async () => {
  server = await testServer();
  artist = await server.signedIn('artist');
});
afterAll(() => server.stop());

const asked = (more: object = {}) => ({
  clientId: newId(),
  visitId: newId(),
  partyId: newId(),
  name: 'Perpetua Lisle',
  phone: '+00 555 0177',
  kind: 'wedding',
  date: '2031-05-24',
  startsAt: '07:30',
  place: 'Mill House',
  people: 1,
  notes: 'Found us by a friend',
  zone: 'Europe/Lisbon',
  ...more,
});
const send = (body: object) => artist.post('/api/enquiries').set(keyed()).send(body);

test('of one person: a client and a visit that is asked for, on Today, without a run-up yet', async () => {
  const body = asked();
  expect((await send(body).expect(201)).body as EnquiryAnswer).toEqual({
    clientId: body.clientId,
    visitId: body.visitId,
    partyId: null,
  });
  const client = (await artist.get(`/api/clients/${body.clientId}`).expect(200)).body as ClientAnswer;
  expect(client).toMatchObject({ name: 'Perpetua Lisle', contact: { phone: '+00 555 0177', email: '' } });
  expect(client.visits).toMatchObject([{ state: 'asked', date: '2031-05-24', startsAt: '07:30' }]);
  const today = (await artist.get('/api/today')).body as TodayAnswer;
  expect(today.visits.some((v) => v.id === body.visitId)).toBe(true);
  expect(today.due.filter((d) => d.clientId === body.clientId && d.kind === 'run-up')).toEqual([]);
});

test.each([
  ['wedding', 'star'],
  ['gala', 'guest'],
  ['portrait', 'guest'],
] as const)('of more people for a %s: a party, with whoever asked in it as %s', async (kind, role) => {
  const body = asked({ kind, people: 8 });
  const { partyId } = (await send(body).expect(201)).body as EnquiryAnswer;
  const party = (await artist.get(`/api/parties/${partyId}`).expect(200)).body as PartyAnswer;
  expect(party).toMatchObject({ name: `Perpetua Lisle, ${kind}`, date: body.date, place: 'Mill House' });
  expect(party.notes).toContain('8 people');
  expect(party.plan?.guests).toMatchObject([{ name: 'Perpetua Lisle', clientId: body.clientId, role }]);
  expect(party.plan?.zone).toBe('Europe/Lisbon');
  expect(party.visits.map((v) => v.id)).toEqual([body.visitId]);
});

test('sent by ten hands at once it is one; a late hour still makes a plan', async () => {
  const body = asked({ people: 3, startsAt: '23:50' });
  const all = await Promise.all(Array.from({ length: 10 }, () => send(body)));
  expect(all.map((a) => a.status).sort()).toEqual([201, ...Array.from({ length: 9 }, () => 409)]);
  const party = (await artist.get(`/api/parties/${body.partyId}`).expect(200)).body as PartyAnswer;
  expect(party.plan?.guests[0]?.readyBy).toBe(1439);
});

test.each([
  ['nobody', { name: ' ' }, 'name'],
  ['no day', { date: '' }, 'date'],
  ['a day that is none', { date: '2031-02-30' }, 'date'],
  ['no hour', { startsAt: 'nine' }, 'startsAt'],
  ['half a person', { people: 1.5 }, 'people'],
  ['a crowd', { people: 201 }, 'people'],
  ['no people', { people: 0 }, 'people'],
  ['a misspelt field', { palce: 'x' }, ''],
])('%s is told beside its field, and nothing is there', async (_, more, path) => {
  const body = asked(more);
  const answer = await send(body);
  expect(answer.status).toBe(422);
  expect((answer.body as Problem).fields?.map((f) => f.path)).toEqual([path]);
  await artist.get(`/api/clients/${body.clientId}`).expect(404);
});
