import fc from 'fast-check';
import pg from 'pg';
import { pino } from 'pino';
import request, { type Response } from 'supertest';
import { newId, ROUTES, type ChartAnswer, type ClientAnswer, type RouteName } from '@toile/contract';
import { secondStudio, SIGN_INS } from '@toile/demo';
import { buildApp, type AppOptions } from '../src/app';
import { openLive, type Live } from '../src/charts/live';
import { inStudio, openDb, openPool } from '../src/db/connection';
import { marksOf, UNMARKED } from '../src/db/marks';
import { STUDIO_TABLES } from '../src/db/schema';
import { openStandby } from '../src/db/standby';
import { heldAnswers } from '../src/http/heldAnswers';
import { SOUND } from './fuzz/bodies';
import { demo, keyed, testServer, TODAY, type TestServer } from './testServer';

// Answers are held and given again: never an old one, whoever wrote what by whatever way.
let server: TestServer;
let superClient: pg.Client;
let live: Live;
const cookies: Partial<Record<Who, string>> = {};
type Who = 'owner' | 'assistant';

beforeAll(async () => {
  server = await testServer();
  const url = new URL(process.env.TOILE_TEST_SUPER_URL!);
  url.pathname = new URL(server.appUrl).pathname;
  superClient = new pg.Client({ connectionString: url.toString() });
  await superClient.connect();
  live = openLive(server.pool);
  for (const [who, { email, password }] of [
    ['owner', SIGN_INS[0]],
    ['assistant', SIGN_INS[2]],
  ] as const) {
    const { headers } = await request(server.app).post('/api/session').send({ email, password }).expect(200);
    cookies[who] = headers['set-cookie']![0]!.split(';')[0]!;
  }
});
afterAll(async () => {
  live.stop();
  await superClient.end();
  await server.stop();
});

/** Another process on the same database: it holds nothing yet. */
const serverProcess = (more: Partial<AppOptions> = {}) =>
  buildApp({
    pool: server.pool,
    live,
    logger: pino({ level: 'silent' }),
    sessionSecret: 'only for tests',
    webRoot: null,
    clock: () => new Date(`${TODAY}T08:00:00Z`),
    ...more,
  });
type Process = ReturnType<typeof serverProcess>;
const get = (app: Process, path: string, who: Who = 'owner', headers: Record<string, string> = {}) =>
  request(app)
    .get(path)
    .set({ cookie: cookies[who]!, ...headers });

const SECOND_STUDIO = secondStudio().studio.id;
const chart = demo.charts[0]!;
const client = demo.clients[0]!;
const look = demo.looks[0]!;
const HELD: Readonly<Partial<Record<RouteName, string>>> = {
  client: `/api/clients/${client.id}`,
  chart: `/api/charts/${chart.id}`,
  kit: '/api/kit',
  today: '/api/today',
  listLooks: '/api/looks',
  look: `/api/looks/${look.id}`,
  listPalettes: '/api/palettes',
};

/** Statements asked of the database meanwhile, but for those of the session. */
async function statements(work: () => Promise<unknown>): Promise<string[]> {
  const spy = jest.spyOn(pg.Client.prototype, 'query');
  try {
    await work();
    return spy.mock.calls
      .map((call): unknown => call[0])
      .flatMap((text) => (typeof text === 'string' && !/\bsessions\b/.test(text) ? [text] : []));
  } finally {
    spy.mockRestore();
  }
}
const tablesIn = (texts: readonly string[]) =>
  STUDIO_TABLES.filter((table) =>
    texts.some((text) => new RegExp(`(from|join) "?${table}\\b`, 'i').test(text)),
  );

test('every table of a studio leaves a mark when it is written, but for those that tell of requests or are made of another', async () => {
  const { rows } = await superClient.query<{ name: string }>(
    `select relname as name from pg_trigger t join pg_class c on c.oid = t.tgrelid
     where t.tgname = 'set_studio_mark' and tgdeferrable and tginitdeferred and tgenabled = 'O' order by 1`,
  );
  expect(rows.map(({ name }) => name)).toEqual(
    STUDIO_TABLES.filter((table) => !UNMARKED.some((one) => one === table)).sort(),
  );
});

test('the app can neither read nor write the marks but by their function', async () => {
  for (const statement of [
    'select * from studio_marks',
    "update studio_marks set marks = '{}'",
    'delete from studio_marks',
    `insert into studio_marks (studio_id) values ('${newId()}')`,
  ])
    await expect(server.pool.query(statement)).rejects.toThrow('permission denied');
});

test('a held answer asks nothing but the session and its marks; each table it was read from, once written, has it read again', async () => {
  // Something in each of the tables.
  await inStudio(server.db, demo.studio.id, (tx) =>
    tx
      .insertInto('retired_looks')
      .values({ studio_id: demo.studio.id, look_id: demo.looks[1]!.id })
      .execute(),
  );
  const { id, body } = SOUND.createIncident();
  await request(server.app)
    .post(`/api/clients/${id}/incidents`)
    .set({ cookie: cookies.owner!, ...keyed() })
    .send(body)
    .expect(201);
  await request(server.app)
    .put(ROUTES.updateStudioSettings.path)
    .set({ cookie: cookies.owner!, ...keyed(), 'if-match': '"0"' })
    .send(SOUND.updateStudioSettings().body)
    .expect(200);
  const found: Partial<Record<RouteName, readonly string[]>> = {};
  for (const [name, path] of Object.entries(HELD)) {
    const app = serverProcess();
    const first = await statements(() => get(app, path).expect(200));
    const tables = tablesIn(first);
    found[name as RouteName] = tables;
    const again = await statements(() => get(app, path).expect(200));
    expect({ name, again }).toEqual({ name, again: [] });
    for (const table of tables) {
      const touched = await superClient.query(
        `update ${table} set studio_id = studio_id where ctid = (select ctid from ${table} where studio_id = $1 limit 1)`,
        [demo.studio.id],
      );
      expect({ table, rows: touched.rowCount }).toEqual({ table, rows: 1 });
      const after = await statements(() => get(app, path).expect(200));
      expect({ name, table, read: after.length > 0 }).toEqual({ name, table, read: true });
    }
    // What it is not read from does not matter, nor does what a neighbour writes.
    let others = 0;
    for (const [table, studio] of [
      ...STUDIO_TABLES.filter((one) => !tables.includes(one)).map((one) => [one, demo.studio.id] as const),
      ...tables.map((one) => [one, SECOND_STUDIO] as const),
    ]) {
      const written = await superClient.query(
        `update ${table} set studio_id = studio_id where studio_id = $1`,
        [studio],
      );
      others += written.rowCount ?? 0;
    }
    expect(others).toBeGreaterThan(1);
    expect(await statements(() => get(app, path).expect(200))).toHaveLength(0);
  }
  // Seen at all: these read from as many.
  expect(Object.values(found).map((tables) => tables?.length)).toEqual([8, 2, 2, 11, 2, 2, 1]);
}, 60_000);

test('a transaction that is taken back leaves no mark, one that deletes does', async () => {
  const marks = async () => (await marksOf(server.db, demo.studio.id)).retired_looks;
  const before = await marks();
  await superClient.query('begin');
  await superClient.query('delete from retired_looks');
  await superClient.query('rollback');
  expect(await marks()).toBe(before);
  await superClient.query('delete from retired_looks where studio_id = $1', [demo.studio.id]);
  expect(await marks()).not.toBe(before);
});

const writes = (Object.keys(SOUND) as (keyof typeof SOUND)[]).filter(
  (name) => !/session|signIn|password|member|reset|invite|setUp|photograph/i.test(name),
);

test('after any writes each process answers as one that holds nothing, and whoever holds it is told what is new', async () => {
  const processes = [serverProcess(), serverProcess()];
  let taken = 0;
  const tags = new Map<string, { tag: string; text: string }>();
  await fc.assert(
    fc.asyncProperty(
      fc.array(
        fc.record({
          name: fc.constantFrom(...writes),
          by: fc.integer({ min: 0, max: 1 }),
          asked: fc.boolean(),
        }),
        { minLength: 1, maxLength: 5 },
      ),
      async (asked) => {
        for (const { name, by, asked: between } of asked) {
          const { id, body, revision } = SOUND[name]();
          const { method, path } = ROUTES[name];
          const address = path.replace(/:\w+/, id ?? '');
          const sent = request(processes[by]!)
            [method === 'PUT' ? 'put' : 'post'](address)
            .set({ cookie: cookies.owner!, ...keyed(), 'if-match': `"${revision ?? 1}"` });
          if ((await sent.send(body)).status < 300) taken++;
          if (between) await get(processes[1 - by]!, HELD.kit!);
        }
        const fresh = serverProcess();
        for (const path of Object.values(HELD))
          for (const who of ['owner', 'assistant'] as const) {
            const right = await get(fresh, path, who);
            for (const app of processes) {
              const given = await get(app, path, who);
              expect([path, given.status, given.text]).toEqual([path, right.status, right.text]);
            }
            const held = tags.get(`${path} ${who}`);
            if (held?.tag.startsWith('W/')) {
              const told = await get(processes[0]!, path, who, { 'if-none-match': held.tag });
              expect([path, told.status === 304 ? held.text : told.text]).toEqual([path, right.text]);
            }
            tags.set(`${path} ${who}`, { tag: right.headers.etag!, text: right.text });
          }
      },
    ),
    // The same writes in every run: a rare one does not fall on somebody else's change.
    { numRuns: 12, seed: 20310514 },
  );
  expect(taken).toBeGreaterThan(8);
}, 180_000);

test('what was acknowledged is read at once, whichever process is asked, while others write', async () => {
  const processes = [serverProcess(), serverProcess()];
  const path = `/api/charts/${chart.id}?version=${chart.version}`;
  const wrote = async (n: number): Promise<void> => {
    for (let i = 0; i < 6; i++) {
      const id = newId();
      const body = {
        id,
        version: chart.version,
        stepId: chart.steps[n % chart.steps.length]!.id,
        kind: 'done',
        at: `${TODAY}T07:0${i}:00Z`,
      };
      await request(processes[n % 2]!)
        .post(`/api/charts/${chart.id}/events`)
        .set({ cookie: cookies.owner!, ...keyed() })
        .send(body)
        .expect(201);
      for (const app of processes) {
        const { body: read } = (await get(app, path).expect(200)) as { body: ChartAnswer };
        expect(read.events.map((event) => event.id)).toContain(id);
      }
    }
  };
  await Promise.all([0, 1, 2, 3, 4].map(wrote));
}, 60_000);

test('what a role may not see is not held for it; a tag of another build or role is none', async () => {
  const app = serverProcess({ form: 'one' });
  const asOwner = (await get(app, HELD.client!)).body as ClientAnswer;
  const asAssistant = (await get(app, HELD.client!, 'assistant')).body as ClientAnswer;
  expect([asOwner.contact === null, asAssistant.contact]).toEqual([false, null]);
  const tag = (await get(app, '/api/kit')).headers.etag!;
  await get(app, '/api/kit', 'owner', { 'if-none-match': tag }).expect(304);
  await get(app, '/api/kit', 'assistant', { 'if-none-match': tag }).expect(200);
  await get(serverProcess({ form: 'two' }), '/api/kit', 'owner', { 'if-none-match': tag }).expect(200);
  await get(serverProcess({ form: 'one' }), '/api/kit', 'owner', { 'if-none-match': tag }).expect(304);
});

test('what is asked is told apart: each version of a chart, each client', async () => {
  const app = serverProcess();
  const two = demo.charts.find(({ version }) => version === 2)!;
  const versionOf = async (query: string): Promise<number> =>
    ((await get(app, `/api/charts/${two.id}${query}`).expect(200)).body as ChartAnswer).chart.version;
  // What was written before may have given it more versions.
  const { rows } = await superClient.query<{ newest: number }>(
    'select max(version) as newest from chart_versions where chart_id = $1',
    [two.id],
  );
  for (let again = 0; again < 2; again++) {
    expect([await versionOf('?version=1'), await versionOf('?version=2'), await versionOf('')]).toEqual([
      1,
      2,
      rows[0]!.newest,
    ]);
    const names = [];
    for (const { id } of demo.clients.slice(0, 3))
      names.push(((await get(app, `/api/clients/${id}`).expect(200)).body as ClientAnswer).id);
    expect(names).toEqual(demo.clients.slice(0, 3).map(({ id }) => id));
  }
});

test('Today is held for its minute and no longer', async () => {
  let at = Date.parse(`${TODAY}T08:00:10Z`);
  const app = serverProcess({ clock: () => new Date(at) });
  const asks = async () => (await statements(() => get(app, '/api/today').expect(200))).length;
  expect(await asks()).toBeGreaterThan(0);
  at += 49_999;
  expect(await asks()).toBe(0);
  at += 1;
  expect(await asks()).toBeGreaterThan(0);
  at = Date.parse(`${TODAY}T23:59:59Z`);
  await get(app, '/api/today');
  at += 1000;
  expect(((await get(app, '/api/today')).body as { date: string }).date > TODAY).toBe(true);
});

test('compressed for whoever takes it so, as it is for the others, the same either way', async () => {
  const app = serverProcess();
  const small = await get(app, '/api/kit', 'owner', { 'accept-encoding': 'gzip, br' }).expect(200);
  const plain = await get(app, '/api/kit', 'owner', { 'accept-encoding': 'identity' }).expect(200);
  expect([small.headers['content-encoding'], plain.headers['content-encoding']]).toEqual(['gzip', undefined]);
  expect(small.headers.vary?.toLowerCase()).toContain('accept-encoding');
  expect(small.text).toBe(plain.text);
  expect(Number(small.headers['content-length'])).toBeLessThan(plain.text.length / 3);
});

describe('a standby', () => {
  let copy: TestServer;
  let copyPool: pg.Pool;
  const quiet = pino({ level: 'silent' });
  const nameAt = async (app: Process): Promise<string> =>
    ((await get(app, HELD.client!).expect(200)).body as ClientAnswer).name;
  beforeAll(async () => {
    copy = await testServer();
    copyPool = openPool(copy.appUrl, () => undefined, 2);
  });
  afterAll(async () => {
    await copyPool.end();
    await copy.stop();
  });
  const superOfCopy = async (statement: string, values: unknown[] = []): Promise<void> => {
    const url = new URL(process.env.TOILE_TEST_SUPER_URL!);
    url.pathname = new URL(copy.appUrl).pathname;
    const one = new pg.Client({ connectionString: url.toString() });
    await one.connect();
    // As the standby's rows come: by no trigger.
    await one.query('set session_replication_role = replica');
    await one.query(statement, values);
    await one.end();
  };
  /** The copy comes as far as the database is. */
  const caughtUp = async (): Promise<void> => {
    const marks = await marksOf(server.db, demo.studio.id);
    await superOfCopy('update studio_marks set marks = $1 where studio_id = $2', [marks, demo.studio.id]);
  };

  test('is read from where it has come as far, and only there', async () => {
    await superOfCopy('update clients set name = $1 where id = $2', ['Read from the copy', client.id]);
    const app = serverProcess({ standby: openStandby(openDb(copyPool), quiet) });
    const here = await nameAt(app);
    expect(here).not.toBe('Read from the copy');
    // Held, and the copy is not asked.
    await caughtUp();
    expect(await nameAt(app)).toBe(here);
    const other = serverProcess({ standby: openStandby(openDb(copyPool), quiet) });
    expect(await nameAt(other)).toBe('Read from the copy');
    // Written here, and not there yet.
    await inStudio(server.db, demo.studio.id, (tx) =>
      tx.updateTable('clients').set({ name: 'Newer' }).where('id', '=', client.id).execute(),
    );
    expect(await nameAt(other)).toBe('Newer');
    await superOfCopy('update clients set name = $1 where id = $2', ['Newer', client.id]);
    await caughtUp();
    expect(await nameAt(serverProcess({ standby: openStandby(openDb(copyPool), quiet) }))).toBe('Newer');
  });

  test('that cannot be reached is left alone for a while, and nobody notices', async () => {
    const nowhere = new URL(copy.appUrl);
    nowhere.port = '1';
    const pool = openPool(nowhere.toString(), () => undefined, 1);
    let at = 0;
    const standby = openStandby(openDb(pool), quiet, () => at);
    const tries = jest.spyOn(pool, 'connect');
    const app = serverProcess({ standby });
    expect(await nameAt(app)).toBe('Newer');
    expect(tries).toHaveBeenCalledTimes(1);
    const again = (): Promise<Response> => get(app, HELD.kit!).expect(200).then();
    await again();
    expect(tries).toHaveBeenCalledTimes(1);
    at = 5000;
    await get(app, HELD.chart!).expect(200);
    expect(tries).toHaveBeenCalledTimes(2);
    await pool.end();
  });

  test.each([
    ['of another password', (url: URL) => (url.password = 'not-this-one')],
    ['a database that is none of ours', (url: URL) => (url.pathname = '/template1')],
    ['a database that is not there', (url: URL) => (url.pathname = '/nowhere')],
  ])('%s is passed over, and nobody notices', async (_, wrong) => {
    const url = new URL(copy.appUrl);
    wrong(url);
    const pool = openPool(url.toString(), () => undefined, 1);
    const said = jest.fn();
    const standby = openStandby(openDb(pool), { warn: said });
    const marks = await marksOf(server.db, demo.studio.id);
    expect(
      await standby.read(demo.studio.id, ['clients'], marks.clients!, () => Promise.resolve(1)),
    ).toBeNull();
    expect(said).toHaveBeenCalledTimes(1);
    await get(serverProcess({ standby }), HELD.kit!).expect(200);
    await pool.end();
  });

  test('what is wrong with the question is wrong there too, and nothing is written to it', async () => {
    await caughtUp();
    const standby = openStandby(openDb(copyPool), quiet);
    await get(serverProcess({ standby }), `/api/clients/${newId()}`).expect(404);
    const marks = await marksOf(server.db, demo.studio.id);
    await expect(
      standby.read(demo.studio.id, ['clients'], marks.clients!, (tx) =>
        tx.updateTable('clients').set({ name: 'x' }).where('id', '=', client.id).execute(),
      ),
    ).rejects.toThrow('read-only transaction');
  });
});

describe('what is held in memory', () => {
  const answer = (letters: number, state = 's') => ({
    state,
    etag: '""',
    text: Buffer.from('x'.repeat(letters)),
  });
  test('is only of its state, and the newest of what was asked', async () => {
    const held = heldAnswers();
    await held.put('a', answer(10, 'one'));
    expect([held.get('a', 'one')?.text.length, held.get('a', 'two'), held.get('b', 'one')]).toEqual([
      10,
      null,
      null,
    ]);
    await held.put('a', answer(20, 'two'));
    expect([held.get('a', 'one'), held.get('a', 'two')?.text.length]).toEqual([null, 20]);
  });
  test('stays within its bytes: what was longest not asked for goes, what is too long is not kept', async () => {
    const held = heldAnswers(1000);
    for (const name of ['a', 'b']) await held.put(name, answer(400));
    held.get('a', 's');
    await held.put('c', answer(400));
    expect(['a', 'b', 'c'].map((name) => held.get(name, 's') !== null)).toEqual([true, false, true]);
    expect(
      (await held.put('d', { ...answer(0), text: Buffer.from(newId().repeat(60)) })).gzip,
    ).not.toBeNull();
    expect(held.get('d', 's')).toBeNull();
  });
  test('is let go of after a quarter of an hour, however often it is asked for', async () => {
    let now = 1000;
    const held = heldAnswers(undefined, { now: () => now });
    await held.put('a', answer(10));
    now += 15 * 60_000;
    expect(held.get('a', 's')).not.toBeNull();
    now += 1;
    expect(held.get('a', 's')).toBeNull();
  });
  test('is compressed from a kilobyte on', async () => {
    const held = heldAnswers();
    expect((await held.put('a', answer(1023))).gzip).toBeNull();
    expect((await held.put('a', answer(1024))).gzip).not.toBeNull();
  });
});
