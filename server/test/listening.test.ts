import type pg from 'pg';
import { openLive } from '../src/charts/live';
import { openPool } from '../src/db/connection';
import { testServer, type TestServer } from './testServer';

// A lost connection tells of it more than once, and sometimes after it was let go: none of that may end the
// process.
let server: TestServer;
beforeAll(async () => void (server = await testServer()));
afterAll(() => server.stop());

const pause = (ms: number): Promise<void> => new Promise((resolve) => setTimeout(resolve, ms));

/** Listens on a pool of its own; the connections it took, one after the other. */
async function listening(first: (client: pg.PoolClient) => void = () => undefined) {
  const pool = openPool(server.appUrl, () => undefined);
  const taken: pg.PoolClient[] = [];
  const connect = pool.connect.bind(pool);
  jest.spyOn(pool, 'connect').mockImplementation(async () => {
    const client = await connect();
    if (taken.push(client) === 1) first(client);
    return client;
  });
  const live = openLive(pool);
  const ended = new Set<() => void>();
  const follow = (): void =>
    live.follow(['a chart'], {
      on: (_: 'close', end: () => void) => ended.add(end),
      write: () => true,
      end: () => undefined,
    } as never);
  follow();
  while (taken.length < 1) await pause(5);
  await pause(50);
  return {
    live,
    pool,
    taken,
    stop: async () => {
      live.stop();
      ended.forEach((end) => end());
      await pool.end();
    },
  };
}

test('a connection that tells twice that it is lost is let go once, and another takes its place', async () => {
  const { taken, pool, stop } = await listening();
  const [held] = taken;
  held!.emit('error', new Error('terminating connection'));
  held!.emit('error', new Error('Connection terminated unexpectedly'));
  while (taken.length < 2) await pause(10);
  await pause(50);
  expect(pool.totalCount).toBe(1);
  held!.emit('error', new Error('and once more'));
  await pause(50);
  expect(taken).toHaveLength(2);
  await stop();
});

test('one that is lost after it was stopped says so to nobody', async () => {
  const { live, taken, pool, stop } = await listening();
  live.stop();
  taken[0]!.emit('error', new Error('terminating connection'));
  await pause(1_500);
  expect(taken).toHaveLength(1);
  expect(pool.totalCount).toBe(0);
  await stop();
});

test('one that is lost, or refuses, before it listens is given back, and it is tried again', async () => {
  for (const how of ['lost', 'refused'] as const) {
    const { taken, pool, stop } = await listening((client) => {
      if (how === 'lost') client.emit('error', new Error('terminating connection'));
      jest.spyOn(client, 'query').mockImplementation(() => {
        if (how === 'lost') client.emit('error', new Error('terminating connection'));
        return Promise.reject(new Error(how)) as never;
      });
    });
    while (taken.length < 2) await pause(10);
    await pause(50);
    expect(pool.totalCount).toBe(1);
    await stop();
  }
});
