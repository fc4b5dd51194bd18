import { createServer, get, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { pino } from 'pino';
import request from 'supertest';
import { newId } from '@toile/contract';
import { SIGN_INS } from '@toile/demo';
import { buildApp } from '../src/app';
import { openLive, type Live } from '../src/charts/live';
import { openPool } from '../src/db/connection';
import { demo, keyed, testServer, TODAY, type TestServer } from './testServer';

// Two servers over one database, each with its own connections: what is recorded at one is told by the other.
let first: TestServer;
let second: {
  readonly server: Server;
  readonly live: Live;
  readonly pool: ReturnType<typeof openPool>;
  readonly port: number;
};

beforeAll(async () => {
  first = await testServer();
  const pool = openPool(first.appUrl, () => undefined);
  const live = openLive(pool);
  const app = buildApp({
    pool,
    live,
    logger: pino({ level: 'silent' }),
    sessionSecret: 'only for tests',
    webRoot: null,
    clock: () => new Date(`${TODAY}T08:00:00Z`),
  });
  const server = createServer(app);
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  second = { server, live, pool, port: (server.address() as AddressInfo).port };
});
afterAll(async () => {
  second.live.stop();
  await new Promise((resolve) => {
    second.server.close(resolve);
    second.server.closeAllConnections();
  });
  await second.pool.end();
  await first.stop();
});

const chart = demo.charts.find((c) => c.client.name === 'Isaura Penhallow')!;

/** Follows a chart, or whatever has a line, at the second server: what it says. */
async function follow(
  path = `/api/charts/${chart.id}/live`,
): Promise<{ readonly said: { text: string }[]; readonly close: () => void }> {
  const [{ email, password }] = SIGN_INS;
  const signedIn = await request(`http://127.0.0.1:${second.port}`)
    .post('/api/session')
    .send({ email, password })
    .expect(200);
  const cookie = ([] as string[])
    .concat(signedIn.headers['set-cookie'] ?? [])
    .map((c) => c.split(';')[0])
    .join('; ');
  const said: { text: string }[] = [];
  return new Promise((resolve, reject) => {
    const asked = get({ host: '127.0.0.1', port: second.port, path, headers: { cookie } }, (res) => {
      expect(res.headers['content-type']).toContain('text/event-stream');
      res.setEncoding('utf8');
      res.on('data', (text: string) => {
        said.push({ text });
        if (text.includes(': open')) resolve({ said, close: () => asked.destroy() });
      });
      res.on('error', () => undefined);
    });
    asked.on('error', reject);
  });
}

const until = async (done: () => boolean): Promise<void> => {
  for (let i = 0; i < 1500 && !done(); i++) await new Promise((resolve) => setTimeout(resolve, 10));
};

test('a step ticked at one server is told by the other, once', async () => {
  const line = await follow();
  // The first follower opens the listening connection; a moment until it listens.
  await new Promise((resolve) => setTimeout(resolve, 300));
  const artist = await first.signedIn('artist');
  const version = demo.charts.filter((c) => c.id === chart.id).at(-1)!;
  const event = {
    id: newId(),
    version: version.version,
    stepId: version.steps[0]!.id,
    kind: 'done',
    at: `${TODAY}T08:00:00Z`,
  };
  await artist.post(`/api/charts/${chart.id}/events`).set(keyed()).send(event).expect(201);
  await until(() => line.said.some(({ text }) => text.includes('event: changed')));
  const told = line.said.filter(({ text }) => text.includes('event: changed'));
  expect(told).toHaveLength(1);
  line.close();
});

test('what is refused is not told, and a stranger gets no line', async () => {
  const line = await follow();
  const artist = await first.signedIn('artist');
  await artist
    .post(`/api/charts/${chart.id}/events`)
    .set(keyed())
    .send({ id: newId(), version: 99, stepId: newId(), kind: 'done', at: `${TODAY}T08:00:00Z` })
    .expect(404);
  await new Promise((resolve) => setTimeout(resolve, 200));
  expect(line.said.filter(({ text }) => text.includes('changed'))).toEqual([]);
  line.close();
  const stranger = await first.signedIn('stranger');
  await stranger.get(`/api/charts/${chart.id}/live`).expect(404);
  await first.agent().get(`/api/charts/${chart.id}/live`).expect(401);
});

test('an open party hears what is told of it and ticked at its chairs, and nothing of another', async () => {
  const artist = await first.signedIn('artist');
  const [party, other] = demo.parties;
  const plan = party!.plan!;
  const newest = demo.charts.filter((c) => c.id === chart.id).at(-1)!;
  const guests = plan.guests.map((guest, i) => (i === 0 ? { ...guest, chartId: chart.id } : guest));
  const { id, name, date, place, notes } = party!;
  await artist
    .put(`/api/parties/${id}`)
    .set({ ...keyed(), 'if-match': '1' })
    .send({ id, name, date, place, notes, plan: { ...plan, guests } })
    .expect(200);
  const line = await follow(`/api/parties/${id}/live`);
  await new Promise((resolve) => setTimeout(resolve, 300));
  const changes = (): number => line.said.filter(({ text }) => text.includes('event: changed')).length;
  const tell = (partyId: string) =>
    artist
      .post(`/api/parties/${partyId}/log`)
      .set(keyed())
      .send({ id: newId(), kind: 'began', item: `${guests[0]!.id} face`, at: `${TODAY}T08:00:00Z` })
      .expect(201);
  await tell(id);
  await until(() => changes() === 1);
  expect(changes()).toBe(1);
  await artist
    .post(`/api/charts/${chart.id}/events`)
    .set(keyed())
    .send({
      id: newId(),
      version: newest.version,
      stepId: newest.steps[1]!.id,
      kind: 'done',
      at: `${TODAY}T08:00:00Z`,
    })
    .expect(201);
  await until(() => changes() === 2);
  expect(changes()).toBe(2);
  await tell(other!.id);
  await new Promise((resolve) => setTimeout(resolve, 300));
  expect(changes()).toBe(2);
  line.close();
  await (await first.signedIn('stranger')).get(`/api/parties/${id}/live`).expect(404);
});
