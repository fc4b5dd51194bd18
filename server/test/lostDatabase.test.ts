import pg from 'pg';
import { newId, type Problem } from '@toile/contract';
import { isDatabaseAway } from '../src/db/connection';
import { demo, keyed, testServer, type TestServer } from './testServer';

// What a restart of PostgreSQL does to every connection: cut off with 57P01, idle or in the middle of a
// query.
let server: TestServer;
let superClient: pg.Client;
beforeAll(async () => {
  server = await testServer();
  superClient = new pg.Client({ connectionString: process.env.TOILE_TEST_SUPER_URL });
  await superClient.connect();
});
afterAll(async () => {
  await superClient.end();
  await server.stop();
});

const cutOff = async (): Promise<number> => {
  const { rowCount } = await superClient.query(
    'select pg_terminate_backend(pid) from pg_stat_activity where datname = $1 and usename = $2',
    [new URL(server.appUrl).pathname.slice(1), 'toile_app'],
  );
  return rowCount ?? 0;
};
const running = async (): Promise<number> => {
  const { rows } = await superClient.query<{ n: string }>(
    "select count(*) as n from pg_stat_activity where datname = $1 and usename = 'toile_app' and state = 'active'",
    [new URL(server.appUrl).pathname.slice(1)],
  );
  return Number(rows[0]!.n);
};

/**
 * What an answer is in the end. A connection that has just been cut off may still be handed out once: whoever
 * is told to try again does so.
 */
async function served(ask: () => PromiseLike<{ readonly status: number }>): Promise<number> {
  for (let tries = 0; tries < 5; tries++) {
    const { status } = await ask();
    if (status !== 503) return status;
  }
  return 503;
}

test('a connection lost in the middle of a query fails that query, not the process, and the next one is served', async () => {
  for (let round = 0; round < 5; round++) {
    const sleeping = [1, 2, 3].map(() =>
      server.pool.query('select pg_sleep(30)').then(
        () => null,
        (error: unknown) => error,
      ),
    );
    while ((await running()) < 3) await new Promise((resolve) => setTimeout(resolve, 10));
    expect(await cutOff()).toBeGreaterThanOrEqual(3);
    for (const error of await Promise.all(sleeping)) expect(isDatabaseAway(error)).toBe(true);
    expect((await server.pool.query<{ one: number }>('select 1 as one')).rows[0]!.one).toBe(1);
  }
});

test('a client that is checked out and idle when it is cut off ends nothing', async () => {
  const held = await server.pool.connect();
  await held.query('begin');
  await cutOff();
  await expect(held.query('select 1')).rejects.toThrow();
  held.release(true);
  expect((await server.pool.query('select 1')).rowCount).toBe(1);
});

test('what is asked meanwhile is served or told to try again, and served afterwards', async () => {
  const agent = await server.signedIn('owner');
  let cutting = true;
  const cutter = (async () => {
    while (cutting) {
      await cutOff();
      await new Promise((resolve) => setTimeout(resolve, 5));
    }
  })();
  const answers: { status: number; body: unknown }[] = [];
  for (let i = 0; i < 40; i++)
    answers.push(
      ...(await Promise.all([agent.get('/api/clients'), agent.get('/api/kit'), agent.get('/api/today')])),
    );
  cutting = false;
  await cutter;
  expect(new Set(answers.map((a) => a.status).filter((s) => s !== 200 && s !== 503))).toEqual(new Set());
  const refused = answers.filter((a) => a.status === 503).map((a) => (a.body as Problem).code);
  expect(refused.every((code) => code === 'busy')).toBe(true);
  expect(await served(() => agent.get('/api/clients'))).toBe(200);
  expect(await served(() => agent.post('/api/clients').set(keyed()).send({}))).toBe(422);
});

test('an answer that is out stays whole when the session cannot be kept alive behind it', async () => {
  const agent = await server.signedIn('owner');
  const owner = new pg.Client({ connectionString: server.ownerUrl });
  await owner.connect();
  await owner.query('revoke update on sessions from toile_app');
  try {
    const whole = (await agent.get('/api/kit').expect(200)).body as { products: object[] };
    expect(whole.products.length).toBeGreaterThan(100);
    for (let i = 0; i < 30; i++) {
      const answers = await Promise.all([agent.get('/api/kit'), agent.get('/api/clients')]);
      expect(answers.map((a) => a.status)).toEqual([200, 200]);
      expect(answers[0].body).toEqual(whole);
    }
  } finally {
    await owner.query('grant update on sessions to toile_app');
    await owner.end();
  }
});

test.each([
  [Object.assign(new Error('terminating connection'), { code: '57P01' }), true],
  [Object.assign(new Error('the database system is starting up'), { code: '57P03' }), true],
  [Object.assign(new Error('connection failure'), { code: '08006' }), true],
  [Object.assign(new Error('too many clients'), { code: '53300' }), true],
  [Object.assign(new Error('refused'), { code: 'ECONNREFUSED' }), true],
  [new Error('Connection terminated unexpectedly'), true],
  [new Error('timeout exceeded when trying to connect'), true],
  [Object.assign(new Error('disk full'), { code: '53100' }), true],
  [Object.assign(new Error('canceling statement due to statement timeout'), { code: '57014' }), true],
  [Object.assign(new Error('canceling statement due to lock timeout'), { code: '55P03' }), true],
  [Object.assign(new Error('deadlock detected'), { code: '40P01' }), true],
  [Object.assign(new Error('duplicate key'), { code: '23505' }), false],
  [Object.assign(new Error('value out of range'), { code: '22003' }), false],
  [Object.assign(new Error('no such table'), { code: '42P01' }), false],
  [Object.assign(new Error('a code of our own'), { code: '4040' }), false],
  [Object.assign(new Error('no such file'), { code: 'ENOENT' }), false],
  [new Error('steps is not iterable'), false],
  ['57P01', false],
  [null, false],
])('%p means that the database is away: %p', (error, away) => expect(isDatabaseAway(error)).toBe(away));

test('a write that reaches what has just become a standby is told to try again, and is kept then', async () => {
  const agent = await server.signedIn('owner');
  const id = newId();
  const { features, measurements } = demo.clients[0]!;
  const write = () =>
    agent
      .post('/api/clients')
      .set(keyed())
      .send({ id, name: 'Nia Sorrel', notes: '', features, measurements });
  const readOnly = async (on: boolean): Promise<void> => {
    await superClient.query(
      `alter role toile_app in database ${new URL(server.appUrl).pathname.slice(1)} set default_transaction_read_only = ${on}`,
    );
    await cutOff();
  };
  await readOnly(true);
  try {
    const told = await write();
    expect([told.status, told.headers['retry-after'], (told.body as Problem).code]).toEqual([
      503,
      '1',
      'busy',
    ]);
    await agent.get('/api/clients').expect(200);
  } finally {
    await readOnly(false);
  }
  expect(await served(write)).toBe(201);
});
