import type { Agent } from 'supertest';
import { newId, type ClientAnswer, type Problem, type TodayAnswer, type VisitAnswer } from '@toile/contract';
import { usualOccasion, type Occasion } from '@toile/core';
import { demo, keyed, testServer, TODAY, type TestServer } from './testServer';

const [client, other] = demo.clients;
const rainy: Occasion = {
  ...usualOccasion('wedding', TODAY),
  asked: true,
  hoursToLast: 12,
  conditions: ['rain', 'wind'],
  begins: '11:30',
  ends: '23:30',
};

let server: TestServer;
let artist: Agent;
beforeAll(async () => {
  server = await testServer();
  artist = await server.signedIn('artist');
});
afterAll(() => server.stop());

const booked = async (more: object = {}): Promise<VisitAnswer> => {
  const sent = {
    id: newId(),
    clientId: client!.id,
    kind: 'wedding',
    date: TODAY,
    startsAt: '09:00',
    ...more,
  };
  return (await artist.post('/api/visits').set(keyed()).send(sent).expect(201)).body as VisitAnswer;
};
/** A visit as it is sent back: without what the server alone says. */
const sentBack = (
  {
    chartId: _c,
    clientName: _n,
    revision: _r,
    bookedOn: _b,
    runUp: _u,
    partyOccasion: _p,
    ...visit
  }: VisitAnswer,
  more: object = {},
) => ({
  ...visit,
  ...more,
});
const put = (visit: VisitAnswer, more: object, revision = visit.revision) =>
  artist
    .put(`/api/visits/${visit.id}`)
    .set({ ...keyed(), 'if-match': String(revision) })
    .send(sentBack(visit, more));
const onToday = async (): Promise<string[]> =>
  ((await artist.get('/api/today').expect(200)).body as TodayAnswer).visits.map((visit) => visit.id);
const codeOf = ({ status, body }: { status: number; body: unknown }) => [status, (body as Problem).code];

test('a visit is asked for, booked, moved, cancelled with why, and brought back', async () => {
  const visit = await booked({ state: 'asked' });
  expect(visit).toMatchObject({ state: 'asked', reason: '', occasion: null, revision: 1 });
  const moved = (await put(visit, { state: 'booked', date: '2031-05-16', startsAt: '10:30' }).expect(200))
    .body as VisitAnswer;
  expect(moved).toMatchObject({ state: 'booked', date: '2031-05-16', startsAt: '10:30', revision: 2 });
  expect(await onToday()).toContain(visit.id);
  const cancelled = (await put(moved, { state: 'cancelled', reason: 'Put off to the autumn' }).expect(200))
    .body as VisitAnswer;
  expect(await onToday()).not.toContain(visit.id);
  const hers = (await artist.get(`/api/clients/${client!.id}`).expect(200)).body as ClientAnswer;
  expect(hers.visits.find((v) => v.id === visit.id)).toMatchObject({ reason: 'Put off to the autumn' });
  const back = (await put(cancelled, { state: 'booked' }).expect(200)).body as VisitAnswer;
  expect(back).toMatchObject({ state: 'booked', reason: '' });
  expect(await onToday()).toContain(visit.id);
});

test.each([
  ['cancelled without why', { state: 'cancelled' }, 'reason'],
  ['a day that is none', { date: '2031-02-30' }, 'date'],
  ['a time that is none', { startsAt: '25:00' }, 'startsAt'],
  ['no state of ours', { state: 'perhaps' }, 'state'],
  ['an occasion half said', { occasion: { kind: 'wedding' } }, 'occasion'],
  ['an occasion out of this world', { occasion: { ...rainy, hoursToLast: 25 } }, 'occasion.hoursToLast'],
  ['a misspelt field', { plase: 'Quay' }, ''],
])('%s is told beside its field, and nothing changes', async (_, more, path) => {
  const visit = await booked();
  const answer = await put(visit, more);
  expect(codeOf(answer)).toEqual([422, 'bad-input']);
  expect((answer.body as Problem).fields!.map((f) => f.path)[0]).toContain(path);
  expect((await put(visit, {}).expect(200)).body).toMatchObject({ ...sentBack(visit), revision: 2 });
});

test('a visit stays with its client, and names only parties of the studio', async () => {
  const visit = await booked();
  expect((await put(visit, { clientId: other!.id })).body).toMatchObject({ fields: [{ path: 'clientId' }] });
  expect(codeOf(await put(visit, { partyId: newId() }))).toEqual([404, 'not-found']);
});

test('of ten who move it at once one does, and each other sees what is there beside what was sent', async () => {
  const visit = await booked();
  const answers = await Promise.all(
    Array.from({ length: 10 }, (_, i) => put(visit, { startsAt: `10:0${i}` })),
  );
  const [won] = answers.filter((a) => a.status === 200);
  expect(answers.filter((a) => a.status === 409)).toHaveLength(9);
  for (const lost of answers.filter((a) => a.status === 409))
    expect((lost.body as Problem).current).toEqual(won!.body);
});

test('what was asked for a chart stays with the visit it is for; what is only usual does not', async () => {
  const from = demo.charts.find((chart) => chart.client.id === client!.id && chart.version === 1)!;
  const make = async (visit: VisitAnswer, occasion: Occasion): Promise<void> => {
    const chart = { ...from, id: newId(), format: 'toile.chart/2', occasion, hash: undefined };
    await artist.post('/api/charts').set(keyed()).send({ chart, visitId: visit.id }).expect(201);
  };
  const visit = await booked();
  await make(visit, usualOccasion('wedding', TODAY));
  const hers = async () =>
    ((await artist.get(`/api/clients/${client!.id}`)).body as ClientAnswer).visits.find(
      (v) => v.id === visit.id,
    )!;
  expect(await hers()).toMatchObject({ occasion: null, revision: 1 });
  await make(visit, rainy);
  expect(await hers()).toMatchObject({ occasion: rainy, revision: 2 });
});

describe('the run-up to a visit', () => {
  const tick = (visit: VisitAnswer, task: string, done: boolean) =>
    artist.post(`/api/visits/${visit.id}/run-up`).set(keyed()).send({ task, done });

  test('is ticked and taken back; ticked twice it is ticked once, by ten at once too', async () => {
    const visit = await booked();
    expect(visit).toMatchObject({ bookedOn: TODAY, runUp: [] });
    await Promise.all(Array.from({ length: 10 }, () => tick(visit, 'brows', true).expect(200)));
    expect((await tick(visit, 'agree', true).expect(200)).body).toMatchObject({ runUp: ['brows', 'agree'] });
    expect((await tick(visit, 'brows', false).expect(200)).body).toMatchObject({ runUp: ['agree'] });
    // It stands in nobody's way who changes the visit.
    expect((await put(visit, { place: 'Quay' }).expect(200)).body).toMatchObject({ runUp: ['agree'] });
  });

  test.each([
    ['a task that is none', { task: 'dance', done: true }, 'task'],
    ['one of the party', { task: 'callSheet', done: true }, 'task'],
    ['nothing said', { task: 'brows' }, 'done'],
  ])('%s is refused', async (_, body, path) => {
    const visit = await booked();
    const answer = await artist.post(`/api/visits/${visit.id}/run-up`).set(keyed()).send(body);
    expect([answer.status, (answer.body as Problem).fields?.[0]?.path]).toEqual([422, path]);
  });
});
