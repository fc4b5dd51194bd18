import { newGuest, newPlan, type PartyPlan } from '@toile/core';
import {
  newId,
  pathTo,
  type PartyAnswer,
  type PartyInput,
  type PartySummary,
  type Problem,
  type TodayAnswer,
} from '@toile/contract';
import type { Agent, Response } from 'supertest';
import { withBooked } from '../src/parties/charts';
import { testServer, type TestServer } from './testServer';

let server: TestServer;
let owner: Agent;
beforeAll(async () => {
  server = await testServer();
  owner = await server.signedIn('owner');
});
afterAll(() => server.stop());

function planWith(names: readonly string[]): PartyPlan {
  const plan = newPlan('morning', { place: 'Quay House', zone: 'Europe/Lisbon', artist: 'Runa' });
  const pasted = { role: 'guest', readyBy: 700, faceMinutes: null, hairMinutes: null } as const;
  return { ...plan, guests: names.map((name, i) => newGuest(`g${i}`, { name, ...pasted }, plan)) };
}
const inputWith = (change: Partial<PartyInput> = {}): PartyInput => ({
  id: newId(),
  name: 'Brack wedding',
  date: '2027-06-12',
  place: 'Quay House',
  notes: '',
  plan: planWith(['Ada', 'Be']),
  ...change,
});
const create = (body: object): Promise<Response> =>
  Promise.resolve(owner.post('/api/parties').set('idempotency-key', newId()).send(body));
const update = (id: string, revision: number, body: object): Promise<Response> =>
  Promise.resolve(
    owner
      .put(pathTo('party', { id }))
      .set({ 'idempotency-key': newId(), 'if-match': `"${revision}"` })
      .send(body),
  );

test('a party is kept with its plan and found by date with its people counted', async () => {
  const input = inputWith();
  const made = await create(input);
  expect(made.status).toBe(201);
  expect(made.body).toMatchObject({ revision: 1, peopleCount: 2, plan: input.plan });
  const { body } = await owner.get(pathTo('party', { id: input.id })).expect(200);
  expect((body as PartyAnswer).plan).toEqual(input.plan);
  const list = (await owner.get('/api/parties').expect(200)).body as PartySummary[];
  expect(list.find((one) => one.id === input.id)).toMatchObject({ peopleCount: 2, date: '2027-06-12' });
  expect((await create(input)).status).toBe(409);
});

test('of two who change it at once one is kept, the other is shown what is there', async () => {
  const input = inputWith();
  await create(input);
  const both = await Promise.all(
    ['Cy', 'Dot'].map((name) => update(input.id, 1, { ...input, plan: planWith([name]) })),
  );
  expect(both.map((answer) => answer.status).sort()).toEqual([200, 409]);
  const kept = both.find((answer) => answer.status === 200)!.body as PartyAnswer;
  const refused = both.find((answer) => answer.status === 409)!.body as Problem;
  expect(refused.code).toBe('stale');
  expect(refused.current).toMatchObject({ revision: 2, plan: kept.plan });
});

test.each([
  ['a zone that is none', { zone: 'Europe/Atlantis' }, 'plan'],
  [
    'a minute past two days',
    { hands: [{ ...planWith([]).hands[0]!, arrives: 5000 }] },
    'plan.hands.0.arrives',
  ],
  ['people twice', { guests: [...planWith(['Ada']).guests, ...planWith(['Ada']).guests] }, 'plan'],
  ['something unknown', { nonsense: 1 }, 'plan.nonsense'],
])('%s is refused beside its field and nothing is kept', async (_, change, path) => {
  const input = inputWith();
  const answer = await create({ ...input, plan: { ...input.plan, ...change } });
  expect(answer.status).toBe(422);
  expect((answer.body as Problem).fields?.map((field) => field.path)).toContain(path);
  await owner.get(pathTo('party', { id: input.id })).expect(404);
});

test('another studio neither sees nor changes it', async () => {
  const input = inputWith();
  await create(input);
  const stranger = await server.signedIn('stranger');
  await stranger.get(pathTo('party', { id: input.id })).expect(404);
  const { status } = await stranger
    .put(pathTo('party', { id: input.id }))
    .set({ 'idempotency-key': newId(), 'if-match': '"1"' })
    .send({ ...input, name: 'Mine' });
  expect(status).toBe(404);
  expect((await owner.get(pathTo('party', { id: input.id }))).body).toMatchObject({
    name: 'Brack wedding',
    revision: 1,
  });
});

test('a chart of the day goes before one of a trial for it, in whichever order they are booked', () => {
  const trial = { clientId: 'a', chartId: 'tried', kind: 'trial' } as const;
  const day = { clientId: 'a', chartId: 'worn', kind: 'wedding' } as const;
  const chartOf = (...visits: Parameters<typeof withBooked>[1][number][]) =>
    withBooked({ id: 'p', date: '2031-06-14', plan: null }, visits).booked.get('a');
  expect([chartOf(trial, day), chartOf(day, trial)]).toEqual(['worn', 'worn']);
  expect([chartOf(trial, { ...day, chartId: null }), chartOf()]).toEqual(['tried', undefined]);
});

test('Today tells the parties of three weeks in order, whether anybody of them is a client or not', async () => {
  const made = await Promise.all(
    (['2031-06-04', '2031-05-14', '2031-05-13', '2031-06-05', '2031-05-20'] as const).map(async (date, i) => {
      const id = newId();
      const plan = i === 4 ? { ...planWith([]), hands: [] } : planWith(['Ada', 'Be', 'Cy']);
      expect((await create(inputWith({ id, date, name: `On ${date}`, plan }))).status).toBe(201);
      return id;
    }),
  );
  const { parties } = (await owner.get('/api/today').expect(200)).body as TodayAnswer;
  const told = parties!.filter(({ id }) => made.includes(id));
  expect(told.map(({ date, peopleCount, begins }) => [date, peopleCount, begins])).toEqual([
    ['2031-05-14', 3, '07:30'],
    ['2031-05-20', 0, null],
    ['2031-06-04', 3, '07:30'],
  ]);
  expect(told[0]).toMatchObject({ id: made[1], name: 'On 2031-05-14', place: 'Quay House' });
});

test('Today says to buy on the last day with a shop, as long as nothing can be bought there', async () => {
  const [id, name] = [newId(), 'Skerry wedding'];
  const input = inputWith({
    id,
    name,
    date: '2031-06-20',
    plan: { ...planWith(['Ada']), noShop: true, lastShop: '2031-05-14' },
  });
  await create(input);
  const told = async (): Promise<string[]> =>
    ((await owner.get('/api/today').expect(200)).body as TodayAnswer).due
      .filter((one) => one.partyId === id)
      .map(({ words }) => words);
  expect(await told()).toEqual([`${name}: buy what is short`]);
  const bought: PartyPlan = { ...input.plan!, runUp: ['buy'] };
  expect((await update(id, 1, { ...input, plan: bought })).status).toBe(200);
  expect(await told()).toEqual([]);
  expect((await update(id, 2, { ...input, plan: { ...input.plan, noShop: false } })).status).toBe(200);
  expect(await told()).toEqual([]);
});
