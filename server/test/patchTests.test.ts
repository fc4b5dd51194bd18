import type { Agent } from 'supertest';
import { newId, type ClientAnswer, type PatchTestAnswer, type Problem } from '@toile/contract';
import { productName } from '@toile/core';
import { demo, keyed, testServer, type TestServer } from './testServer';

const client = demo.clients[0]!;
const [product, other] = demo.products;
const LAID = '2031-05-12T09:00:00Z';
let server: TestServer;
let artist: Agent;
let assistant: Agent;
beforeAll(async () => {
  server = await testServer();
  artist = await server.signedIn('artist');
  assistant = await server.signedIn('assistant');
});
afterAll(() => server.stop());

const planned = async (more: object = {}): Promise<PatchTestAnswer> =>
  (
    await artist
      .post(`/api/clients/${client.id}/patch-tests`)
      .set(keyed())
      .send({ id: newId(), productId: product!.id, place: 'inner arm', plannedFor: '2031-05-12', ...more })
      .expect(201)
  ).body as PatchTestAnswer;
const sentBack = ({ clientId: _c, product: _p, revision: _r, readings, ...test }: PatchTestAnswer) => ({
  ...test,
  readings: readings.map(({ by: _by, ...reading }) => reading),
});
const put = (test: PatchTestAnswer, more: object, by = artist) =>
  by
    .put(`/api/patch-tests/${test.id}`)
    .set({ ...keyed(), 'if-match': String(test.revision) })
    .send({ ...sentBack(test), ...more });
const reading = (at: string, result: string) => ({ at, result, note: '' });

test('a test is planned, laid by one, read by another, and each reading says by whom', async () => {
  const test = await planned();
  expect(test).toMatchObject({
    product: productName(product!),
    clientId: client.id,
    laidAt: null,
    readings: [],
  });
  const laid = (await put(test, { laidAt: LAID }).expect(200)).body as PatchTestAnswer;
  const once = (await put(laid, { readings: [reading('2031-05-13T09:00:00Z', 'clear')] }).expect(200))
    .body as PatchTestAnswer;
  const twice = (
    await put(
      once,
      { readings: [reading('2031-05-13T09:00:00Z', 'clear'), reading('2031-05-14T09:00:00Z', 'reacted')] },
      assistant,
    ).expect(200)
  ).body as PatchTestAnswer;
  expect(twice.readings.map(({ by, result }) => [by, result])).toEqual([
    ['Teodor Marsh', 'clear'],
    ['Wilhelmina Fry', 'reacted'],
  ]);
  const { patchTests } = (await artist.get(`/api/clients/${client.id}`).expect(200)).body as ClientAnswer;
  expect(patchTests).toContainEqual(twice);
});

test('what was read stays: it can be added to, not turned, not taken away', async () => {
  const test = await planned({ laidAt: LAID, readings: [reading('2031-05-13T09:00:00Z', 'reacted')] });
  for (const readings of [
    [],
    [reading('2031-05-13T09:00:00Z', 'clear')],
    [reading('2031-05-13T10:00:00Z', 'reacted')],
  ]) {
    const answer = await put(test, { readings });
    expect([answer.status, (answer.body as Problem).fields?.[0]?.path]).toEqual([422, 'readings[0]']);
  }
});

test.each([
  ['a product that is not here', { productId: newId() }, 404, undefined],
  [
    'a unit of another product',
    { unitId: demo.units.find((u) => u.productId !== product!.id)!.id },
    404,
    undefined,
  ],
  ['no place we know', { place: 'knee' }, 422, 'place'],
  ['a day that is none', { plannedFor: '2031-02-30' }, 422, 'plannedFor'],
  [
    'read before it was laid',
    { laidAt: LAID, readings: [reading('2031-05-11T09:00:00Z', 'clear')] },
    422,
    'readings[0].at',
  ],
  [
    'read without being laid',
    { readings: [reading('2031-05-13T09:00:00Z', 'clear')] },
    422,
    'readings[0].at',
  ],
  [
    'seen in other words',
    { laidAt: LAID, readings: [reading('2031-05-13T09:00:00Z', 'itchy')] },
    422,
    'readings[0].result',
  ],
])('%s is refused', async (_, more, status, path) => {
  const answer = await artist
    .post(`/api/clients/${client.id}/patch-tests`)
    .set(keyed())
    .send({ id: newId(), productId: product!.id, place: 'inner arm', plannedFor: '2031-05-12', ...more });
  expect([answer.status, (answer.body as Problem).fields?.[0]?.path]).toEqual([status, path]);
});

test('a test stays with its product, and of two who read it at once the second sees what is there', async () => {
  const test = await planned({ laidAt: LAID });
  expect((await put(test, { productId: other!.id })).body).toMatchObject({ fields: [{ path: 'productId' }] });
  const both = await Promise.all(
    ['clear', 'unsure'].map((result) => put(test, { readings: [reading('2031-05-13T09:00:00Z', result)] })),
  );
  const [won, lost] = [...both].sort((a, b) => a.status - b.status);
  expect([won!.status, lost!.status]).toEqual([200, 409]);
  expect((lost!.body as Problem).current).toEqual(won!.body);
});
