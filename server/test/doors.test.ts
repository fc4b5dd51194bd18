import { sql } from 'kysely';
import request from 'supertest';
import { pino } from 'pino';
import { buildApp } from '../src/app';
import { openLive } from '../src/charts/live';
import { tidy } from '../src/db/tidy';
import { openMetrics } from '../src/http/metrics';
import { SESSION_ENDS_DAYS } from '../src/http/register';
import { keyed, testServer, type TestServer } from './testServer';

const LIMIT = { windowMs: 60_000, tries: 3 };
let server: TestServer;
beforeAll(async () => void (server = await testServer({ signInLimit: LIMIT })));
afterAll(() => server.stop());
afterEach(() => sql`delete from tries`.execute(server.db));

/** A second process over the same database. */
const second = () =>
  buildApp({
    pool: server.pool,
    live: openLive(server.pool),
    logger: pino({ level: 'silent' }),
    sessionSecret: 'only for tests',
    webRoot: null,
    signInLimit: LIMIT,
  });
const RUNA = 'runa@quayside.example';
const tried = (app: Parameters<typeof request>[0], email: string, password = 'wrong words') =>
  request(app).post('/api/session').send({ email, password });

describe('tries at the door', () => {
  test('are counted for all processes together, each exactly once however many come at once', async () => {
    const apps = [server.app, second()];
    const codes = await Promise.all(
      Array.from({ length: 12 }, (_, i) => tried(apps[i % 2]!, RUNA).then(({ status }) => status)),
    );
    expect(codes.filter((status) => status === 401)).toHaveLength(3);
    expect(codes.filter((status) => status === 429)).toHaveLength(9);
  });

  test('of one account lock nobody else of the same address out, written large or small', async () => {
    for (let i = 0; i < 3; i++) await tried(server.app, RUNA).expect(401);
    await tried(server.app, ' RUNA@quayside.example ').expect(429);
    await tried(server.app, 'teodor@quayside.example', 'wrong').expect(401);
    await server.signedIn('artist');
  });

  test('that succeed are not counted', async () => {
    for (let i = 0; i < 8; i++) await server.signedIn('owner');
    for (let i = 0; i < 3; i++) await tried(server.app, RUNA).expect(401);
    await tried(server.app, RUNA).expect(429);
  });

  test('from one address against many accounts are stopped too, and those against one from everywhere', async () => {
    const many = await Promise.all(
      Array.from({ length: 34 }, (_, i) =>
        tried(server.app, `somebody${i}@quayside.example`).then((r) => r.status),
      ),
    );
    expect(many.filter((status) => status === 401)).toHaveLength(30);
    await sql`delete from tries`.execute(server.db);
    const from = await Promise.all(
      Array.from({ length: 34 }, (_, i) =>
        tried(server.app, RUNA)
          .set('x-forwarded-for', `203.0.113.${i}`)
          .then((r) => r.status),
      ),
    );
    expect(from.filter((status) => status === 401)).toHaveLength(30);
  });

  test('keep neither address nor name, and are let go of when they are over', async () => {
    await tried(server.app, RUNA).expect(401);
    const { rows } = await sql<{ key: string }>`select key from tries`.execute(server.db);
    expect(rows).toHaveLength(3);
    expect(JSON.stringify(rows)).not.toMatch(/runa|127\.0\.0|::/);
    await sql`update tries set ends = now() - interval '1 second' where key like 'sign-in account%'`.execute(
      server.db,
    );
    expect((await tidy(server.db)).tries).toBe(1);
    await tried(server.app, RUNA).expect(401);
  });

  test('begin anew once their time is over', async () => {
    for (let i = 0; i < 3; i++) await tried(server.app, RUNA).expect(401);
    await tried(server.app, RUNA).expect(429);
    await sql`update tries set ends = now() - interval '1 second'`.execute(server.db);
    await tried(server.app, RUNA).expect(401);
  });
});

describe('before anything is read', () => {
  const large = { name: 'x'.repeat(200_000) };
  test('of whoever is not signed in little is taken, wherever it is sent', async () => {
    for (const path of [
      '/api/clients',
      '/api/kit/import',
      '/api/looks/import',
      '/api/nowhere',
      '/api/charts',
    ])
      await request(server.app).post(path).set(keyed()).send(large).expect(413);
    await request(server.app).post('/api/clients').set(keyed()).send({ name: 'x' }).expect(401);
    await request(server.app).put('/api/settings').set(keyed()).send(large).expect(413);
  });

  test('of whoever is signed in as much as the route takes', async () => {
    const agent = await server.signedIn('owner');
    await agent.post('/api/clients').set(keyed()).send(large).expect(422);
    await agent
      .post('/api/clients')
      .set(keyed())
      .send({ name: 'x'.repeat(3_000_000) })
      .expect(413);
  });
});

describe('a session', () => {
  test('ends for good after so many days, however often it is used', async () => {
    const agent = await server.signedIn('owner');
    await agent.get('/api/clients').expect(200);
    const since = (daysAgo: number) =>
      sql`update sessions set sess = jsonb_set(sess::jsonb, '{since}', to_jsonb(${new Date(
        Date.now() - daysAgo * 86_400_000,
      ).toISOString()}::text))::json`.execute(server.db);
    await since(SESSION_ENDS_DAYS - 0.01);
    await agent.get('/api/clients').expect(200);
    await since(SESSION_ENDS_DAYS + 0.01);
    await agent.get('/api/clients').expect(401);
  });

  test('is kept alive now and then, not with every request', async () => {
    const agent = await server.signedIn('assistant');
    const expiry = async (): Promise<string> => {
      const { rows } = await sql<{ expire: Date }>`
        select expire from sessions where sess -> 'caller' ->> 'email' = 'mina@quayside.example'
        order by expire desc limit 1`.execute(server.db);
      return rows[0]!.expire.toISOString();
    };
    const back = () => sql`update sessions set expire = expire - interval '1 day'`.execute(server.db);
    await back();
    const before = await expiry();
    await agent.get('/api/clients').expect(200);
    const kept = await expiry();
    expect(kept > before).toBe(true);
    await back();
    const again = await expiry();
    await agent.get('/api/clients').expect(200);
    expect(await expiry()).toBe(again);
  });

  test('that has ended is let go of, one that goes on is not', async () => {
    const agent = await server.signedIn('artist');
    await sql`insert into sessions (sid, sess, expire) values ('over', '{}', now() - interval '1 minute')`.execute(
      server.db,
    );
    expect((await tidy(server.db)).sessions).toBe(1);
    await agent.get('/api/clients').expect(200);
  });
});

describe('told to whoever looks after it', () => {
  test('each answer names its request, by the name it came with or one of its own', async () => {
    const named = await request(server.app).get('/healthz').set('x-request-id', 'from-before-us-42');
    expect(named.headers['x-request-id']).toBe('from-before-us-42');
    for (const wrong of ['short', 'with space here', 'x'.repeat(65)]) {
      const { headers } = await request(server.app).get('/healthz').set('x-request-id', wrong);
      expect(headers['x-request-id']).toMatch(/^[0-9a-f-]{36}$/);
    }
  });

  test('requests by route, never by address; the pool, and what waits', async () => {
    const metrics = openMetrics({ pool: server.pool, listeners: () => 4, waiting: () => 2 });
    const app = buildApp({
      pool: server.pool,
      live: openLive(server.pool),
      logger: pino({ level: 'silent' }),
      sessionSecret: 'only for tests',
      webRoot: null,
      metrics,
    });
    await request(app).get('/api/clients/0190a000-0000-7000-8000-000000000001').expect(401);
    await request(app).get('/api/nowhere-at-all').expect(404);
    await metrics.timeJob('chart', () => Promise.resolve(1));
    for (const source of ['memory', 'memory', 'standby'] as const) metrics.heldFrom(source);
    const text = await metrics.text();
    expect(text).toContain(
      'toile_request_seconds_count{method="GET",route="/api/clients/:id",status="401"} 1',
    );
    expect(text).toMatch(/toile_request_seconds_count\{method="GET",route="none",status="404"\} 1/);
    expect(text).toContain('toile_job_seconds_count{kind="chart"} 1');
    expect(text).toContain('toile_held_answers_total{source="memory"} 2');
    expect(text).toContain('toile_held_answers_total{source="standby"} 1');
    expect(text).toMatch(/^toile_live_lines 4$/m);
    expect(text).toMatch(/^toile_jobs_waiting 2$/m);
    expect(text).not.toMatch(/0190a000|nowhere-at-all/);
  });
});
