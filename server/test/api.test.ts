import { documentHash, fitLook, PLAIN_FEATURES, readChart, simulatedPan, type Chart } from '@toile/core';
import { ERRORS, newId, type ChartAnswer, type ClientAnswer, type Problem } from '@toile/contract';
import { inStudio } from '../src/db/connection';
import { migrate, MIGRATIONS } from '../src/db/migrate';
import { demo, keyed, testServer, TODAY, type TestServer } from './testServer';

let server: TestServer;
beforeAll(async () => void (server = await testServer()));
afterAll(() => server.stop());

const bride = demo.clients.find((c) => c.name === 'Isaura Penhallow')!;
const chartOf = (name: string): Chart => demo.charts.filter((c) => c.client.name === name).at(-1)!;
const newClient = (more: object = {}) => ({
  id: newId(),
  name: 'Ilse Moor',
  phone: '',
  email: '',
  birthYear: null,
  guardianConsent: '',
  sensitivities: [],
  notes: '',
  features: PLAIN_FEATURES,
  measurements: {},
  ...more,
});
const countRows = (table: 'clients' | 'audit' | 'chart_versions' | 'charts' | 'idempotency' | 'readings') =>
  inStudio(server.db, demo.studio.id, async (tx) =>
    Number(
      (
        await tx
          .selectFrom(table)
          .select((eb) => eb.fn.countAll<string>().as('n'))
          .executeTakeFirstOrThrow()
      ).n,
    ),
  );

describe('the door', () => {
  test('wrong password and unknown account get the same answer', async () => {
    const wrong = await server
      .agent()
      .post('/api/session')
      .send({ email: 'runa@quayside.example', password: 'no' })
      .expect(401);
    const unknown = await server
      .agent()
      .post('/api/session')
      .send({ email: 'nobody@quayside.example', password: 'no' })
      .expect(401);
    expect(wrong.body).toEqual(unknown.body);
    expect(wrong.headers['content-type']).toContain('application/problem+json');
  });

  test('too many wrong tries are stopped', async () => {
    const limited = await testServer({ signInLimit: { windowMs: 60_000, tries: 3 } });
    const agent = limited.agent();
    const attempt = () => agent.post('/api/session').send({ email: 'runa@quayside.example', password: 'no' });
    for (let i = 0; i < 3; i++) await attempt().expect(401);
    const stopped = await attempt().expect(429);
    expect((stopped.body as Problem).code).toBe('too-many-tries');
    await limited.stop();
  });

  test('nothing is shown to the signed-out, and signing out is signing out', async () => {
    await server.agent().get('/api/clients').expect(401);
    // Asking who is signed in is no error where nobody is.
    expect((await server.agent().get('/api/session').expect(200)).body).toBeNull();
    const agent = await server.signedIn('artist');
    expect((await agent.get('/api/session').expect(200)).body).toMatchObject({
      role: 'artist',
      studio: { name: demo.studio.name },
    });
    await agent.delete('/api/session').expect(204);
    await agent.get('/api/clients').expect(401);
    expect((await agent.get('/api/session').expect(200)).body).toBeNull();
  });

  test('passwords are kept as argon2id', async () => {
    const { rows } = await server.pool.query<{ password_hash: string }>('select password_hash from accounts');
    for (const { password_hash } of rows) expect(password_hash).toMatch(/^\$argon2id\$v=19\$m=19456,t=2/);
  });

  test('a write from another site is refused', async () => {
    const agent = await server.signedIn('owner');
    await agent
      .post('/api/clients')
      .set({ ...keyed(), origin: 'https://elsewhere.example' })
      .send(newClient())
      .expect(403);
  });

  test('pages come with a strict policy', async () => {
    const { headers } = await server.agent().get('/healthz').expect(200);
    expect(headers['content-security-policy']).toContain("script-src 'self';");
    expect(headers['content-security-policy']).toContain("frame-ancestors 'none'");
    expect(headers['x-content-type-options']).toBe('nosniff');
  });
});

describe('roles', () => {
  test('an assistant works a chart but sees no contact data and edits nothing', async () => {
    const mina = await server.signedIn('assistant');
    const client = (await mina.get(`/api/clients/${bride.id}`).expect(200)).body as ClientAnswer;
    expect(client.contact).toBeNull();
    expect(JSON.stringify(client)).not.toContain(bride.phone);
    const look = demo.looks[0]!;
    await mina
      .post('/api/looks')
      .set(keyed())
      .send({ look: { ...look, version: 2, parent: 1 } })
      .expect(403);
    await mina.post('/api/clients').set(keyed()).send(newClient()).expect(403);
    const chart = chartOf('Ignace Dovrel');
    await mina
      .post(`/api/charts/${chart.id}/versions`)
      .set(keyed())
      .send({ parent: 1, reason: '', chart })
      .expect(403);
    await mina
      .post(`/api/charts/${chart.id}/events`)
      .set(keyed())
      .send({ id: newId(), version: 1, stepId: chart.steps[0]!.id, kind: 'done', at: `${TODAY}T09:00:00Z` })
      .expect(201);
  });
});

describe('clients', () => {
  test.each([
    ['part of a name', 'penh', 'Isaura Penhallow'],
    ['without the accent', 'sola', 'Søla Vestergård'],
    ['with another accent', 'Véster', 'Søla Vestergård'],
    ['a slip', 'Tandeka', 'Thandeka Moor'],
    ['two letters swapped', 'Zenoiba', 'Zenobia Achterberg'],
  ])('found by %s', async (_, typed, name) => {
    const agent = await server.signedIn('artist');
    const { body } = await agent.get('/api/clients').query({ query: typed }).expect(200);
    expect(body[0].name).toContain(name === 'Isaura Penhallow' ? 'Penhallow' : name);
  });

  test('signs of a pattern are letters, not patterns', async () => {
    const agent = await server.signedIn('artist');
    expect((await agent.get('/api/clients').query({ query: '%' }).expect(200)).body).toEqual([]);
    expect(
      (await agent.get('/api/clients').query({ query: "'; drop table clients" }).expect(200)).body,
    ).toEqual([]);
  });

  test('what is wrong is said by field, and nothing is written', async () => {
    const agent = await server.signedIn('artist');
    const before = await countRows('clients');
    const { body } = await agent
      .post('/api/clients')
      .set(keyed())
      .send(newClient({ name: '', email: 'x', measurements: { noseLength: 3 } }))
      .expect(422);
    const fields = (body as Problem).fields!.map((f) => f.path).sort();
    expect(fields).toEqual(['email', 'measurements.noseLength', 'name']);
    expect(await countRows('clients')).toBe(before);
  });

  test('a write sent twice lands once and is answered the same; another body under its key is refused', async () => {
    const agent = await server.signedIn('artist');
    const key = keyed();
    const body = newClient();
    const audits = await countRows('audit');
    const [first, second] = await Promise.all([
      agent.post('/api/clients').set(key).send(body),
      agent.post('/api/clients').set(key).send(body),
    ]);
    expect([first.status, second.status]).toEqual([201, 201]);
    expect(second.body).toEqual(first.body);
    expect(await countRows('audit')).toBe(audits + 1);
    expect(
      (
        await agent
          .post('/api/clients')
          .set(key)
          .send({ ...body, name: 'Other' })
          .expect(422)
      ).body.code,
    ).toBe('key-reused');
    await agent.post('/api/clients').send(newClient()).expect(400);
  });

  test('a failed write leaves its key free to try again', async () => {
    const agent = await server.signedIn('artist');
    const key = keyed();
    const body = newClient();
    const keys = await countRows('idempotency');
    await agent
      .post('/api/clients')
      .set(key)
      .send({ ...body, name: '' })
      .expect(422);
    expect(await countRows('idempotency')).toBe(keys);
    await agent.post('/api/clients').set(key).send(body).expect(201);
  });

  test('an edit from an old revision gets both versions', async () => {
    const agent = await server.signedIn('artist');
    const body = newClient();
    await agent.post('/api/clients').set(keyed()).send(body).expect(201);
    const put = (revision: string, name: string) =>
      agent
        .put(`/api/clients/${body.id}`)
        .set({ ...keyed(), 'if-match': revision })
        .send({ ...body, name });
    const saved = await put('"1"', 'Ilse Moor-Tull').expect(200);
    expect(saved.headers.etag).toBe('"2"');
    const stale = (await put('"1"', 'Ilse Tull').expect(409)).body as Problem;
    expect(stale).toMatchObject({
      code: 'stale',
      current: { name: 'Ilse Moor-Tull', revision: 2 },
      yours: { name: 'Ilse Tull' },
    });
    await agent.put(`/api/clients/${body.id}`).set(keyed()).send(body).expect(428);
  });
});

describe('readings', () => {
  test('samples are kept as taken, the outlier is left out of the mean', async () => {
    const agent = await server.signedIn('artist');
    const cheek = [
      [60, 12, 18],
      [60.4, 12.1, 18.2],
      [59.7, 11.8, 17.9],
      [52, 15, 24],
    ];
    const { body } = await agent
      .post(`/api/clients/${bride.id}/readings`)
      .set(keyed())
      .send({ id: newId(), at: `${TODAY}T09:00:00Z`, source: 'typed', zones: { cheek } })
      .expect(201);
    expect(body.zones.cheek).toEqual(cheek);
    expect(body.skin.cheek[0]).toBeCloseTo(60.03, 1);
  });

  test('the stand-in reader gives the simulated skin and says that it is simulated', async () => {
    const agent = await server.signedIn('artist');
    const { body } = await agent
      .post('/api/reader/samples')
      .send({ clientId: bride.id, zone: 'cheek' })
      .expect(200);
    expect(body).toMatchObject({ simulated: true, illuminant: 'D65' });
    expect(
      Math.abs(body.lab[0] - demo.simulatedSkins.find((s) => s.clientId === bride.id)!.skin.cheek![0]),
    ).toBeLessThan(3);
    await agent.post('/api/reader/samples').send({ clientId: bride.id, zone: 'elbow' }).expect(422);
  });

  test('held to a product it gives its colour, made up once where nobody has read it; never another studio’s', async () => {
    const agent = await server.signedIn('artist');
    const touch = (of: Record<string, unknown>, by = agent) => by.post('/api/reader/samples').send(of);
    const known = demo.products.find(({ lab }) => lab !== null)!;
    const { body } = await touch({ productId: known.id }).expect(200);
    expect(Math.abs(body.lab[0] - known.lab![0])).toBeLessThan(8);
    const fresh = { ...known, id: newId(), shade: 'Unread', lab: null };
    await agent.post('/api/products').set(keyed()).send(fresh).expect(201);
    const touches = await Promise.all([1, 2, 3].map(() => touch({ productId: fresh.id }).expect(200)));
    for (const { body } of touches) expect(Math.abs(body.lab[0] - simulatedPan(fresh)[0])).toBeLessThan(8);
    await touch({ productId: newId() }).expect(404);
    await touch({ productId: known.id, clientId: bride.id, zone: 'cheek' }).expect(422);
    await touch({ productId: known.id }, await server.signedIn('stranger')).expect(404);
  });
});

describe('charts', () => {
  const save = async (
    agent: Awaited<ReturnType<TestServer['signedIn']>>,
    chart: Chart,
    parent: number,
    reason = '',
  ) => agent.post(`/api/charts/${chart.id}/versions`).set(keyed()).send({ parent, reason, chart });

  test('a new version keeps author, time, reason, parent and hash; the old one stays as it was', async () => {
    const agent = await server.signedIn('artist');
    const chart = chartOf('Morwenna Penhallow');
    const changed = {
      ...chart,
      steps: chart.steps.map((s, i) => (i === 0 ? { ...s, note: 'warm hands' } : s)),
      author: 'Someone else',
      at: '2001-01-01T00:00:00Z',
    };
    const answer = (await save(agent, changed, 1, 'warmer')).body as ChartAnswer;
    expect(answer.chart).toMatchObject({
      version: 2,
      parent: 1,
      author: 'Teodor Marsh',
      reason: 'warmer',
      at: `${TODAY}T08:00:00.000Z`,
    });
    expect(answer.chart.hash).toBe(documentHash(answer.chart));
    expect(answer.versions.map((v) => v.version)).toEqual([2, 1]);
    const old = (await agent.get(`/api/charts/${chart.id}?version=1`).expect(200)).body as ChartAnswer;
    expect(old.chart.steps[0]!.note).toBe(chart.steps[0]!.note);
  });

  test('two people saving from the same version: the second gets both', async () => {
    const agent = await server.signedIn('owner');
    const chart = chartOf('Leocadia Brandt');
    const answers = await Promise.all([save(agent, chart, 1, 'a'), save(agent, chart, 1, 'b')]);
    expect(answers.map((a) => a.status).sort()).toEqual([201, 409]);
    const stale = answers.find((a) => a.status === 409)!.body as Problem;
    expect(stale).toMatchObject({ code: 'stale', current: { version: 2 }, yours: { version: 1 } });
  });

  test('a chart that is not whole is refused by path', async () => {
    const agent = await server.signedIn('owner');
    const chart = chartOf('Leocadia Brandt');
    const body = (
      await agent
        .post(`/api/charts/${chart.id}/versions`)
        .set(keyed())
        .send({ parent: 2, reason: '', chart: { ...chart, steps: [{ ...chart.steps[0], tool: 'hammer' }] } })
        .expect(422)
    ).body as Problem;
    expect(body.fields!.map((f) => f.path).join()).toContain('chart.steps.0.tool');
  });

  test('deviations at the chair come back in order; unknown steps and versions are refused', async () => {
    const agent = await server.signedIn('assistant');
    const chart = chartOf('Thandeka Moor');
    const [step] = chart.steps;
    const send = (more: object) =>
      agent
        .post(`/api/charts/${chart.id}/events`)
        .set(keyed())
        .send({ id: newId(), version: 1, stepId: step!.id, at: `${TODAY}T09:00:00Z`, ...more });
    await send({ kind: 'deviation', deviation: { kind: 'amount', measures: 2, note: '' } }).expect(201);
    await send({ kind: 'done' }).expect(201);
    await send({ kind: 'deviation' }).expect(422);
    await send({ kind: 'done', stepId: newId() }).expect(422);
    await send({ kind: 'done', version: 9 }).expect(404);
    const { events } = (await agent.get(`/api/charts/${chart.id}`).expect(200)).body as ChartAnswer;
    expect(events.slice(-2).map((e) => e.kind)).toEqual(['deviation', 'done']);
    expect(events.at(-1)!.by).toBe('Wilhelmina Fry');
    // A version after it knows which one was worked by.
    const editor = await server.signedIn('artist');
    const next = (await save(editor, chart, 1)).body as ChartAnswer;
    expect(next.events).toEqual([]);
    expect(next.versions.map(({ version, worked }) => [version, worked])).toEqual([
      [2, false],
      [1, true],
    ]);
  });

  test('exported and imported into another studio it is the same chart, with its client and no contact', async () => {
    const agent = await server.signedIn('owner');
    const chart = chartOf('Ignace Dovrel');
    const file = await agent.get(`/api/charts/${chart.id}/export`).expect(200);
    expect(file.headers['content-disposition']).toContain('attachment');
    expect(readChart(file.text).ok).toBe(true);
    const stranger = await server.signedIn('stranger');
    const { chart: there } = (
      await stranger.post('/api/charts/import').set(keyed()).send({ text: file.text }).expect(201)
    ).body as ChartAnswer;
    expect(there.steps).toEqual(chart.steps);
    expect(there).toMatchObject({
      version: 1,
      parent: null,
      author: 'Odile Vantongeren',
      client: { name: 'Ignace Dovrel' },
    });
    const client = (await stranger.get(`/api/clients/${chart.client.id}`).expect(200)).body as ClientAnswer;
    expect(client).toMatchObject({ name: 'Ignace Dovrel', contact: { phone: '', email: '' } });
    expect(
      (await stranger.post('/api/charts/import').set(keyed()).send({ text: file.text }).expect(409)).body
        .code,
    ).toBe('already-there');
  });

  test('a broken file is refused with where and why, and nothing changes', async () => {
    const stranger = await server.signedIn('stranger');
    const text = JSON.stringify(chartOf('Morwenna Penhallow'), null, 2);
    const before = (await stranger.get('/api/clients').expect(200)).body;
    const cut = (
      await stranger
        .post('/api/charts/import')
        .set(keyed())
        .send({ text: text.slice(0, 900) })
        .expect(422)
    ).body as Problem;
    expect(cut).toMatchObject({
      code: 'bad-file',
      fields: [
        {
          line: expect.any(Number),
          column: expect.any(Number),
          message: expect.stringContaining('Not JSON'),
        },
      ],
    });
    const wrong = (
      await stranger
        .post('/api/charts/import')
        .set(keyed())
        .send({ text: text.replace('"role": "base"', '"role": "paint"') })
        .expect(422)
    ).body as Problem;
    expect(wrong.fields![0]).toMatchObject({
      path: expect.stringMatching(/^\/steps\/\d+\/role$/),
      message: expect.stringContaining('found "paint"'),
    });
    expect((await stranger.get('/api/clients').expect(200)).body).toEqual(before);
  });

  test('a first version is bound to a visit of the same client', async () => {
    const agent = await server.signedIn('artist');
    const reading = demo.readings.find(
      (r) => r.clientId === demo.clients.find((c) => c.name === 'Philippa Renn')!.id,
    )!;
    const visit = demo.visits.find((v) => v.clientId === reading.clientId)!;
    const source = chartOf('Ignace Dovrel');
    const snapshot = { ...source.client, id: reading.clientId, name: 'Philippa Renn' };
    const { chart } = fitLook(
      demo.looks[2]!,
      snapshot,
      { products: demo.products, units: demo.units },
      source.occasion,
      {
        id: newId(),
        author: '',
        at: `${TODAY}T08:00:00Z`,
        reason: '',
      },
    );
    const body = { chart: { ...chart, author: 'x' }, visitId: visit.id };
    await agent
      .post('/api/charts')
      .set(keyed())
      .send({ ...body, visitId: demo.visits.find((v) => v.clientId === bride.id)!.id })
      .expect(404);
    await agent.post('/api/charts').set(keyed()).send(body).expect(201);
    const today = (await agent.get('/api/today').expect(200)).body;
    expect(today.visits.find((v: { id: string }) => v.id === visit.id).chartId).toBe(chart.id);
  });
});

describe('bad requests', () => {
  test.each([
    [
      'malformed JSON',
      (a: Awaited<ReturnType<TestServer['signedIn']>>) =>
        a
          .post('/api/clients')
          .set({ ...keyed(), 'content-type': 'application/json' })
          .send('{"name":'),
      400,
    ],
    [
      'an oversize body',
      (a: Awaited<ReturnType<TestServer['signedIn']>>) =>
        a
          .post('/api/clients')
          .set(keyed())
          .send({ notes: 'x'.repeat(3_000_000) }),
      413,
    ],
    ['an id that is none', (a: Awaited<ReturnType<TestServer['signedIn']>>) => a.get('/api/clients/42'), 404],
    [
      'an unknown id',
      (a: Awaited<ReturnType<TestServer['signedIn']>>) => a.get(`/api/charts/${newId()}`),
      404,
    ],
    [
      'an address that is none',
      (a: Awaited<ReturnType<TestServer['signedIn']>>) => a.get('/api/lipstick'),
      404,
    ],
  ])('%s gets a problem, never a stack trace', async (_, ask, status) => {
    const answer = await ask(await server.signedIn('owner'));
    expect(answer.status).toBe(status);
    expect(answer.headers['content-type']).toContain('application/problem+json');
    expect(Object.keys(ERRORS)).toContain(answer.body.code);
    expect(answer.text).not.toMatch(/ at .*\.(ts|js|mjs):\d/);
  });
});

describe('looks, visits, parties, today', () => {
  test('looks count on version by version', async () => {
    const agent = await server.signedIn('owner');
    const look = demo.looks[1]!;
    await agent
      .post('/api/looks')
      .set(keyed())
      .send({ look: { ...look, version: 3, parent: 2 } })
      .expect(409);
    await agent
      .post('/api/looks')
      .set(keyed())
      .send({ look: { ...look, version: 2, parent: 1, name: 'Lamplight, softer' } })
      .expect(201);
    expect((await agent.get(`/api/looks/${look.id}`).expect(200)).body.look).toMatchObject({
      version: 2,
      name: 'Lamplight, softer',
    });
    const same = look.steps.map((s) => ({ ...s, id: look.steps[0]!.id }));
    await agent
      .post('/api/looks')
      .set(keyed())
      .send({ look: { ...look, version: 3, parent: 2, steps: same } })
      .expect(422);
  });

  test('a booked visit is on today’s list and what is due is told', async () => {
    const agent = await server.signedIn('artist');
    const visit = {
      id: newId(),
      clientId: bride.id,
      kind: 'trial',
      date: TODAY,
      startsAt: '15:00',
      place: 'Quayside Room',
    };
    await agent.post('/api/visits').set(keyed()).send(visit).expect(201);
    await agent
      .post('/api/visits')
      .set(keyed())
      .send({ ...visit, id: newId(), startsAt: '25:00' })
      .expect(422);
    const { body } = await agent.get('/api/today').expect(200);
    expect(body.visits[0]).toMatchObject({ id: visit.id, clientName: 'Isaura Penhallow' });
    expect(body.due.map((d: { words: string }) => d.words).join()).toContain(
      'Søla Vestergård: ask for the patch test result (fragrance, latex)',
    );
  });

  test('a party holds its visits', async () => {
    const agent = await server.signedIn('artist');
    const { body } = await agent.get(`/api/parties/${demo.parties[0]!.id}`).expect(200);
    expect(body.plan.guests).toHaveLength(14);
    expect(body.peopleCount).toBe(14);
  });
});

test('migrations have run and run only once', async () => {
  expect(await migrate(server.ownerUrl)).toEqual([]);
  expect(Object.keys(MIGRATIONS).length).toBeGreaterThan(0);
});
