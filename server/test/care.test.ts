import ICAL from 'ical.js';
import {
  addDays,
  MOST_SENSITIVITIES,
  readChart,
  readZip,
  snapshotOf,
  SOMEBODY,
  zipText,
  type Chart,
  type Consult,
  type Incident,
} from '@toile/core';
import {
  feedPath,
  newId,
  newSecret,
  tokenOf,
  type ChartAnswer,
  type ClientAnswer,
  type ErasureAnswer,
  type IntakeAnswer,
  type Problem,
} from '@toile/contract';
import pg from 'pg';
import type { Agent } from 'supertest';
import { inStudio } from '../src/db/connection';
import { STUDIO_TABLES } from '../src/db/schema';
import { asBytes, demo, keyed, testServer, TODAY, type TestServer } from './testServer';

let server: TestServer;
let artist: Agent;
let owner: Agent;
let now = new Date(`${TODAY}T08:00:00Z`);
beforeAll(async () => {
  server = await testServer({ clock: () => now });
  artist = await server.signedIn('artist');
  owner = await server.signedIn('owner');
});
afterEach(() => void (now = new Date(`${TODAY}T08:00:00Z`)));
afterAll(() => server.stop());

/** Erased in the tests below. */
const GONE: string[] = [];
const WITH_CHARTS = [...new Set(demo.charts.map((chart) => chart.client.name))];
const named = (name: string) => demo.clients.find((c) => c.name === name)!;
const client = async (id: string): Promise<ClientAnswer> =>
  (await artist.get(`/api/clients/${id}`).expect(200)).body as ClientAnswer;
const post = (agent: Agent, path: string, body: object = {}) => agent.post(path).set(keyed()).send(body);

describe('a first talk by link', () => {
  const who = named('Renske Halloran');
  const asked = async (): Promise<{ id: string; token: string }> => {
    const [id, secret] = [newId(), newSecret()];
    await post(artist, `/api/clients/${who.id}/intakes`, { id, secret }).expect(201);
    return { id, token: tokenOf(demo.studio.id, secret) };
  };
  const send = (token: string, answers: object) =>
    server.agent().post('/api/intake/send').send({ token, answers });
  const told = async (id: string): Promise<IntakeAnswer> =>
    ((await artist.get(`/api/clients/${who.id}/intakes`)).body as IntakeAnswer[]).find((i) => i.id === id)!;
  const settle = (id: string, key: string, taken: boolean) =>
    post(artist, `/api/intakes/${id}/settlements`, { key, taken });
  const ANSWERS: Consult = {
    usual: 'Mascara, nothing else',
    hours: 12,
    lenses: true,
    access: ['tremor', 'breaks'],
    keepHealth: true,
    sensitivities: ['nickel'],
    conditions: 'Lids are sore in spring',
  };

  test('shows the studio and nothing that is kept; answers change nothing until a hand takes them over', async () => {
    const { id, token } = await asked();
    const before = await client(who.id);
    const shown = (await server.agent().post('/api/intake/open').send({ token }).expect(200)).body as object;
    expect(Object.keys(shown).sort()).toEqual(['expiresAt', 'studio']);
    expect(JSON.stringify(shown)).not.toContain('Renske');
    await send(token, ANSWERS).expect(204);
    expect(await told(id)).toMatchObject({ state: 'answered', answers: ANSWERS, settled: {} });
    expect(await client(who.id)).toEqual(before);
  });

  test('taken over answer by answer, each to where it belongs, the rest set aside', async () => {
    const { id, token } = await asked();
    await send(token, ANSWERS).expect(204);
    const before = await client(who.id);
    for (const key of ['lenses', 'access', 'sensitivities', 'conditions', 'hours'])
      await settle(id, key, true).expect(200);
    await settle(id, 'usual', false).expect(200);
    const after = await client(who.id);
    expect(after.features).toMatchObject({ lenses: true, headTremor: true });
    expect(after.sensitivities).toEqual([...before.sensitivities, 'nickel']);
    expect(after.consult).toEqual({
      access: ['tremor', 'breaks'],
      conditions: 'Lids are sore in spring',
      keepHealth: true,
      hours: 12,
    });
    expect(after.revision).toBe(before.revision + 5);
    expect((await told(id)).settled).toEqual({
      lenses: 'taken',
      access: 'taken',
      sensitivities: 'taken',
      conditions: 'taken',
      hours: 'taken',
      usual: 'set aside',
    });
    // Said again, also otherwise, it stays.
    await settle(id, 'usual', true).expect(200);
    expect((await client(who.id)).consult.usual).toBeUndefined();
    const wrong = await settle(id, 'wished', true);
    expect((wrong.body as Problem).fields).toEqual([{ path: 'key', message: 'This was not answered' }]);
  });

  test('two phones that take over at once do it once, and lose nothing of each other', async () => {
    const { id, token } = await asked();
    await send(token, { usual: 'a', disliked: 'b', wished: 'c' }).expect(204);
    const before = await client(who.id);
    const answers = await Promise.all(
      ['usual', 'disliked', 'wished', 'usual', 'disliked', 'wished'].map((key) => settle(id, key, true)),
    );
    expect(answers.map((a) => a.status)).toEqual([200, 200, 200, 200, 200, 200]);
    const after = await client(who.id);
    expect(after.consult).toMatchObject({ usual: 'a', disliked: 'b', wished: 'c' });
    expect(after.revision).toBe(before.revision + 3);
  });

  test('where a client’s list is full, a sensitivity more is refused in words; neither it nor another is lost', async () => {
    const there = await client(who.id);
    const { id: of, name, features, measurements, taps, likeness } = there;
    const keep = (sensitivities: readonly string[], revision: number) =>
      artist
        .put(`/api/clients/${of}`)
        .set({ ...keyed(), 'if-match': String(revision) })
        .send({ id: of, name, features, measurements, taps, likeness, sensitivities });
    const many = Array.from({ length: MOST_SENSITIVITIES - 1 }, (_, i) => `thing ${i}`);
    const full = (await keep(many, there.revision).expect(200)).body as ClientAnswer;
    const { id, token } = await asked();
    await send(token, { keepHealth: true, sensitivities: ['latex', 'nickel'] }).expect(204);
    const refused = (await settle(id, 'sensitivities', true).expect(422)).body as Problem;
    expect(refused.fields).toEqual([
      { path: 'key', message: expect.stringContaining('At most 200') as string },
    ]);
    expect(await told(id)).toMatchObject({ answers: { sensitivities: ['latex', 'nickel'] }, settled: {} });
    expect((await client(of)).sensitivities).toEqual(many);
    await keep([...many, 'one', 'two'], full.revision).expect(422);
    // One is taken out, and both find room.
    await keep(many.slice(1), full.revision).expect(200);
    await settle(id, 'sensitivities', true).expect(200);
    expect((await client(of)).sensitivities).toEqual([...many.slice(1), 'latex', 'nickel']);
    await keep(there.sensitivities, (await client(of)).revision).expect(200);
  });

  test('used once, also by ten at once; taken back, over, forged and unknown all look alike', async () => {
    const { token } = await asked();
    const all = await Promise.all(Array.from({ length: 10 }, (_, i) => send(token, { usual: `${i}` })));
    expect(all.map((a) => a.status).sort()).toEqual([204, ...Array.from({ length: 9 }, () => 410)]);
    const ended = await server.agent().post('/api/intake/open').send({ token }).expect(410);
    const revoked = await asked();
    await post(artist, `/api/intakes/${revoked.id}/revocations`).expect(200);
    const late = await asked();
    now = new Date('2031-05-28T08:00:01Z');
    for (const one of [
      revoked.token,
      late.token,
      tokenOf(demo.studio.id, newSecret()),
      tokenOf(newId(), newSecret()),
      'nonsense',
    ])
      expect((await server.agent().post('/api/intake/open').send({ token: one })).body).toEqual(ended.body);
    expect((await told(late.id)).state).toBe('ended');
  });

  test.each([
    ['words on health without consent', { conditions: 'sore' }, 'answers.conditions'],
    ['and with a no', { keepHealth: false, sensitivities: ['nickel'] }, 'answers.sensitivities'],
    ['hours nobody wears', { hours: 99 }, 'answers.hours'],
    ['an answer nobody asked for', { weight: 'x' }, 'answers.weight'],
    ['an answer as long as a book', { usual: 'x'.repeat(1001) }, 'answers.usual'],
  ])('%s are refused beside the field, and the link stays open', async (_, answers, path) => {
    const { token } = await asked();
    const answer = await send(token, answers);
    expect(answer.status).toBe(422);
    expect((answer.body as Problem).fields?.map((f) => f.path)).toContain(path);
    await server.agent().post('/api/intake/open').send({ token }).expect(200);
  });

  test('the secret is in no record; an edit that does not know of the talk leaves it', async () => {
    const secret = newSecret();
    await post(artist, `/api/clients/${who.id}/intakes`, { id: newId(), secret }).expect(201);
    const rows = await inStudio(server.db, demo.studio.id, async (tx) =>
      JSON.stringify(await Promise.all(STUDIO_TABLES.map((t) => tx.selectFrom(t).selectAll().execute()))),
    );
    expect(rows).not.toContain(secret);
    const there = await client(who.id);
    expect(Object.keys(there.consult).length).toBeGreaterThan(0);
    const { id, name, features, measurements, taps, likeness } = there;
    await artist
      .put(`/api/clients/${id}`)
      .set({ ...keyed(), 'if-match': String(there.revision) })
      .send({ id, name, features, measurements, taps, likeness })
      .expect(200);
    expect((await client(id)).consult).toEqual(there.consult);
  });
});

describe('an incident', () => {
  const chart = demo.charts.at(-1)!;
  const report = (agent: Agent, more: object) =>
    post(agent, `/api/clients/${chart.client.id}/incidents`, {
      id: newId(),
      on: TODAY,
      seen: 'Lids red and hot after an hour',
      ...more,
    });

  test('is written down with everything that was used, and what is left alone from then on', async () => {
    const product = chart.steps.flatMap((s) => s.use)[0]!.product;
    const assistant = await server.signedIn('assistant');
    const made = (
      await report(assistant, { chartId: chart.id, suspected: [product.id, product.id] }).expect(201)
    ).body as Incident;
    expect(made.chart?.id).toBe(chart.id);
    expect(made.used.map((u) => u.productId)).toContain(product.id);
    expect(made.suspected.map((s) => s.productId)).toEqual([product.id]);
    expect(made.by).toBe('Wilhelmina Fry');
    expect((await client(chart.client.id)).incidents[0]).toEqual(made);
  });

  test('with what was really laid on that day: another product, in the version that was worn', async () => {
    const versions = demo.charts.filter(({ id }) => id === chart.id);
    const [step] = chart.steps.filter(({ use, variant }) => use.length > 0 && variant === undefined);
    const other = demo.products.find(({ id }) => !JSON.stringify(versions).includes(id))!;
    const use = [{ unitId: null, product: snapshotOf(other), parts: 1, measure: other.measure }];
    const at = `${TODAY}T07:00:00Z`;
    await post(artist, `/api/charts/${chart.id}/events`, {
      id: newId(),
      version: chart.version,
      stepId: step!.id,
      kind: 'deviation',
      deviation: { kind: 'other product', use, note: '' },
      at,
    }).expect(201);
    const made = async (on: string) =>
      ((await report(artist, { chartId: chart.id, on }).expect(201)).body as Incident).used.map(
        ({ productId }) => productId,
      );
    expect(await made(TODAY)).toContain(other.id);
    // Later the chart is without what it laid then: what was met on that day is asked of the version worn.
    const gone = step!.use[0]!.product.id;
    const next: Chart = {
      ...chart,
      steps: chart.steps.map((one) => ({
        ...one,
        use: one.use.filter(({ product }) => product.id !== gone),
      })),
    };
    await post(artist, `/api/charts/${chart.id}/versions`, {
      parent: chart.version,
      reason: 'Without it',
      chart: next,
    }).expect(201);
    expect(await made(TODAY)).toEqual(expect.arrayContaining([gone, other.id]));
    // The newer version was worked the day before, and later on that day too: each day has its own.
    const yesterday = addDays(TODAY, -1);
    for (const day of [yesterday, TODAY])
      await post(artist, `/api/charts/${chart.id}/events`, {
        id: newId(),
        version: chart.version + 1,
        stepId: step!.id,
        kind: 'done',
        at: `${day}T07:30:00Z`,
      }).expect(201);
    expect(await made(yesterday)).not.toContain(gone);
    expect(await made(yesterday)).not.toContain(other.id);
    expect(await made(TODAY)).toEqual(expect.arrayContaining([gone, other.id]));
    const longAgo = await made('2031-01-02');
    expect(longAgo).not.toContain(gone);
    expect(longAgo).not.toContain(other.id);
  });

  test.each([
    ['no words', { seen: ' ' }, 422],
    ['no day of the calendar', { on: '2031-02-31' }, 422],
    ['a product nobody has', { suspected: [newId()] }, 404],
    [
      'a chart of somebody else',
      { chartId: demo.charts.find((c) => c.client.id !== chart.client.id)!.id },
      404,
    ],
  ])('%s is refused and nothing written', async (_, more, status) => {
    const before = (await client(chart.client.id)).incidents.length;
    expect((await report(artist, more)).status).toBe(status);
    expect((await client(chart.client.id)).incidents).toHaveLength(before);
  });
});

describe('a calendar by a secret link', () => {
  const fetchIt = (secret: string, studio = demo.studio.id) => server.agent().get(feedPath(studio, secret));
  const events = (text: string): ICAL.Event[] =>
    new ICAL.Component(ICAL.parse(text) as never)
      .getAllSubcomponents('vevent')
      .map((one) => new ICAL.Event(one));

  test('has the visits that stand at their hours there, and what is to be done for them by its day', async () => {
    const secret = newSecret();
    await post(artist, '/api/calendar', { secret }).expect(201);
    await owner
      .put('/api/settings')
      .set({ ...keyed(), 'if-match': '0' })
      .send({ ruleGrades: {}, zone: 'Europe/Lisbon' })
      .expect(200);
    const { text, headers } = await fetchIt(secret).expect(200);
    expect(headers['content-type']).toMatch(/^text\/calendar/);
    const told = events(text);
    const visit = demo.visits.find((v) => v.date > TODAY && (v.state ?? 'booked') === 'booked')!;
    const event = told.find((e) => e.uid === `visit/${visit.id}@toile`)!;
    expect(event.startDate.toJSDate().toISOString()).toBe(
      // Lisbon is an hour ahead of UTC in the demo's summer.
      `${visit.date}T${String(Number(visit.startsAt.slice(0, 2)) - 1).padStart(2, '0')}${visit.startsAt.slice(2)}:00.000Z`,
    );
    expect(told.some((e) => e.uid.startsWith('task/') && e.startDate.isDate)).toBe(true);
    const person = demo.clients.find((c) => c.id === visit.clientId)!;
    expect(event.summary).toContain(person.name);
    for (const c of demo.clients)
      for (const hidden of [c.phone, c.email, ...c.sensitivities].filter((word) => word.length > 4))
        expect(text).not.toContain(hidden);
  });

  test('renewed the old link ends at once; ended there is none; nobody else’s opens it', async () => {
    const [first, second] = [newSecret(), newSecret()];
    await post(artist, '/api/calendar', { secret: first }).expect(201);
    await post(artist, '/api/calendar', { secret: second }).expect(201);
    await fetchIt(first).expect(410);
    await fetchIt(second).expect(200);
    await fetchIt(second, newId()).expect(410);
    await server.agent().get('/c/nonsense').expect(410);
    expect((await artist.get('/api/calendar')).body).toEqual({ madeAt: now.toISOString() });
    await post(artist, '/api/calendar/endings').expect(200);
    expect((await artist.get('/api/calendar')).body).toEqual({ madeAt: null });
    await fetchIt(second).expect(410);
  });

  test('of somebody who is let in no longer it shows nothing', async () => {
    const secret = newSecret();
    const assistant = await server.signedIn('assistant');
    await post(assistant, '/api/calendar', { secret }).expect(201);
    await fetchIt(secret).expect(200);
    const member = demo.people.find((p) => p.role === 'assistant')!;
    const turn = (active: boolean, revision: number) =>
      owner
        .put(`/api/team/${member.id}`)
        .set({ ...keyed(), 'if-match': String(revision) })
        .send({ name: member.name, role: member.role, active })
        .expect(200);
    await turn(false, 1);
    await fetchIt(secret).expect(410);
    await turn(true, 2);
  });
});

describe('a client’s own data', () => {
  test('is one zip: the record, every version of every chart, the newest as a page', async () => {
    const who = named('Isaura Penhallow');
    const { body } = await asBytes(artist.get(`/api/clients/${who.id}/data`));
    const read = readZip(new Uint8Array(body as Buffer), { files: 200, bytes: 50_000_000 });
    if (!read.ok) throw new Error(read.message);
    const own = demo.charts.filter((c) => c.client.id === who.id);
    const names = [...read.files.keys()];
    expect(names.filter((n) => n.endsWith('.json'))).toHaveLength(1 + own.length);
    expect(names.filter((n) => n.endsWith('.pdf'))).toHaveLength(new Set(own.map((c) => c.id)).size);
    const record = JSON.parse(zipText(read.files.get('client.json')!)) as ClientAnswer;
    expect(record.contact).toEqual({ phone: who.phone, email: who.email });
    for (const [name, file] of read.files) {
      if (/^charts\/.*json$/.test(name)) expect(readChart(zipText(file)).ok).toBe(true);
      if (name.endsWith('.pdf')) expect(zipText(file.subarray(0, 5))).toBe('%PDF-');
    }
  });

  /** Every row of every table of every studio, as text: read as the owner of the database. */
  const everything = async (): Promise<string> => {
    const pool = new pg.Client({ connectionString: server.ownerUrl });
    await pool.connect();
    await pool.query("select set_config('toile.studio_id', $1, false)", [demo.studio.id]);
    const tables = await pool.query<{ name: string }>(
      "select table_name as name from information_schema.tables where table_schema = 'public' and table_type = 'BASE TABLE'",
    );
    const rows: string[] = [];
    for (const { name } of tables.rows) {
      const { rows: all } = await pool.query<{ row: string }>(
        `select row_to_json(t)::text as row from "${name}" t`,
      );
      rows.push(...all.map(({ row }) => `${name} ${row}`));
    }
    await pool.end();
    return rows.join('\n');
  };

  /** Where a word stands, each with what is around it. */
  const rowsWith = (rows: string, word: string): string[] =>
    rows
      .split('\n')
      .filter((row) => row.includes(word))
      .map(
        (row) =>
          `${row.split(' ')[0]}: ${row.slice(Math.max(0, row.indexOf(word) - 80), row.indexOf(word) + 80)}`,
      );

  test.each([
    ['kept without the person', 'Isaura Penhallow'],
    ['gone too', WITH_CHARTS.find((name) => name !== 'Isaura Penhallow')!],
  ] as const)('erased, charts %s: searched for in every table', async (charts, name) => {
    const who = named(name);
    const own = demo.charts.filter((c) => c.client.id === who.id);
    expect(own.length).toBeGreaterThan(0);
    // Answers are kept for repeats, and one of them names whoever is erased.
    const before = await client(who.id);
    const { id, features, measurements, taps, likeness, consult } = before;
    await artist
      .put(`/api/clients/${id}`)
      .set({ ...keyed(), 'if-match': String(before.revision) })
      .send({ id, name, notes: 'Her mole by the eye', features, measurements, taps, likeness, consult })
      .expect(200);
    await post(artist, `/api/clients/${id}/intakes`, { id: newId(), secret: newSecret() }).expect(201);
    const take = (await owner.get(`/api/clients/${id}/erasures`).expect(200)).body as ErasureAnswer;
    expect(take).toMatchObject({
      versions: own.length,
      charts: new Set(own.map((c) => c.id)).size,
      intakes: 1,
    });
    expect(await everything()).toContain(name);

    const refused = await post(owner, `/api/clients/${id}/erasures`, { name: 'Somebody else', charts });
    expect([refused.status, (refused.body as Problem).fields?.[0]?.path]).toEqual([422, 'name']);
    await post(artist, `/api/clients/${id}/erasures`, { name, charts }).expect(403);
    const events = await inStudio(server.db, demo.studio.id, (tx) =>
      tx
        .selectFrom('chair_events')
        .select('id')
        .where(
          'chart_id',
          'in',
          own.map((c) => c.id),
        )
        .orderBy('seq')
        .execute(),
    );
    await post(owner, `/api/clients/${id}/erasures`, { name, charts }).expect(200);
    GONE.push(name);

    const left = await everything();
    // What another client's own record says is theirs, and was told of before.
    const others = rowsWith(left, name).filter((row) => row.startsWith('clients: '));
    expect(others).toHaveLength(take.elsewhere.length);
    expect(rowsWith(left, name)).toHaveLength(others.length);
    for (const word of ['Her mole by the eye', who.phone, who.email].filter((w) => w.length > 4))
      expect(rowsWith(left, word)).toEqual([]);
    for (const { id: reading } of before.readings) expect(rowsWith(left, reading)).toEqual([]);
    if (charts === 'gone too') {
      await artist.get(`/api/clients/${id}`).expect(404);
      for (const chart of own) await artist.get(`/api/charts/${chart.id}`).expect(404);
      return;
    }
    await artist.get(`/api/clients/${id}`).expect(404);
    const first = (await artist.get(`/api/charts/${own[0]!.id}`).expect(200)).body as ChartAnswer;
    const nobody = await client(first.chart.client.id);
    expect(nobody.id).not.toBe(id);
    expect(nobody).toMatchObject({ name: SOMEBODY, sensitivities: [], readings: [], visits: [], notes: '' });
    for (const was of own) {
      const { chart } = (await artist.get(`/api/charts/${was.id}?version=${was.version}`).expect(200))
        .body as ChartAnswer;
      expect(chart.client).toMatchObject({ name: SOMEBODY, readingId: null, sensitivities: [] });
      const plain = (c: Chart) =>
        c.steps.map(({ use, placements, shade, tool }) => ({ use, placements, shade, tool }));
      expect(plain(chart)).toEqual(plain(was));
      const read = readChart(JSON.stringify(chart));
      expect(read.ok ? [] : read.problems).toEqual([]);
    }
    const kept = await inStudio(server.db, demo.studio.id, (tx) =>
      tx
        .selectFrom('chair_events')
        .select('id')
        .where(
          'chart_id',
          'in',
          own.map((c) => c.id),
        )
        .orderBy('seq')
        .execute(),
    );
    expect(kept).toEqual(events);
  });

  test('versions that are being saved while somebody is erased are kept whole without the person, or refused', async () => {
    const chart = demo.charts.find(
      (c) => c.client.name !== 'Isaura Penhallow' && !GONE.includes(c.client.name),
    )!;
    const { id, name } = chart.client;
    const newest = ((await artist.get(`/api/charts/${chart.id}`)).body as ChartAnswer).chart;
    const [erased, ...saved] = await Promise.all([
      post(owner, `/api/clients/${id}/erasures`, { name, charts: 'kept without the person' }),
      ...Array.from({ length: 6 }, (_, i) =>
        post(artist, `/api/charts/${chart.id}/versions`, {
          parent: newest.version,
          reason: `at once ${i}`,
          chart: newest,
        }),
      ),
    ]);
    expect(erased.status).toBe(200);
    const made = saved.filter(({ status }) => status === 201).length;
    expect(saved.every(({ status }) => [201, 409, 422].includes(status))).toBe(true);
    const { chart: left, versions } = (await artist.get(`/api/charts/${chart.id}`).expect(200))
      .body as ChartAnswer;
    expect(versions).toHaveLength(newest.version + made);
    expect(left.client.name).toBe(SOMEBODY);
    // Also by a phone that still has the chart open afterwards.
    const late = { parent: left.version, reason: '', chart: { ...newest, reason: '' } };
    await post(artist, `/api/charts/${chart.id}/versions`, late).expect(422);
    expect(rowsWith(await everything(), name)).toEqual([]);
  });

  test('the erasing function reaches into no other studio', async () => {
    const who = named('Ambrose Tull');
    await inStudio(server.db, newId(), async (tx) => {
      const { sql } = await import('kysely');
      await sql`select erase_client(${who.id})`.execute(tx);
    });
    expect((await client(who.id)).name).toBe('Ambrose Tull');
  });
});
