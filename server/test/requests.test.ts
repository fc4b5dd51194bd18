import { PLAIN_FEATURES } from '@toile/core';
import { newId, type ClientAnswer, type Problem } from '@toile/contract';
import type { Agent } from 'supertest';
import { inStudio } from '../src/db/connection';
import { KEY_DAYS } from '../src/http/register';
import { demo, keyed, testServer, TODAY, type TestServer } from './testServer';

// What every request is held to, whatever it asks for.
let now = new Date(`${TODAY}T08:00:00Z`);
let server: TestServer;
let artist: Agent;
let owner: Agent;
beforeAll(async () => {
  server = await testServer({ clock: () => now });
  [artist, owner] = [await server.signedIn('artist'), await server.signedIn('owner')];
});
afterAll(() => server.stop());
afterEach(() => void (now = new Date(`${TODAY}T08:00:00Z`)));

const newClient = (more: object = {}) => ({
  id: newId(),
  name: 'Ilse Moor',
  notes: 'Left eye waters',
  features: PLAIN_FEATURES,
  measurements: {},
  ...more,
});
const keys = (): Promise<string[]> =>
  inStudio(server.db, demo.studio.id, async (tx) =>
    (await tx.selectFrom('idempotency').select('key').orderBy('key').execute()).map((r) => r.key),
  );

describe('unknown fields', () => {
  test('a misspelt field in an edit is named, and what it meant to leave alone is still there', async () => {
    const body = newClient();
    await artist.post('/api/clients').set(keyed()).send(body).expect(201);
    const { notes, ...others } = body;
    const refused = await artist
      .put(`/api/clients/${body.id}`)
      .set({ ...keyed(), 'if-match': '1' })
      .send({ ...others, note: notes })
      .expect(422);
    expect((refused.body as Problem).fields?.map((f) => f.message).join()).toContain(
      'note is not known here',
    );
    const kept: ClientAnswer = (await artist.get(`/api/clients/${body.id}`).expect(200)).body;
    expect(kept).toMatchObject({ notes: 'Left eye waters', revision: 1 });
  });

  test.each([
    [
      'POST',
      '/api/visits',
      {
        id: newId(),
        clientId: demo.clients[0]!.id,
        kind: 'trial',
        date: TODAY,
        startsAt: '09:00',
        ready: '11:00',
      },
      'ready',
    ],
    [
      'POST',
      '/api/units',
      { id: newId(), productId: demo.products[0]!.id, remainingMg: 3, openend: TODAY },
      'openend',
    ],
    ['POST', '/api/clients', newClient({ measurements: { faceLenght: 180 } }), 'faceLenght'],
    ['PUT', '/api/settings', { ruleGrades: {}, school: {} }, 'school'],
    [
      'POST',
      `/api/clients/${demo.clients[0]!.id}/readings`,
      {
        id: newId(),
        at: `${TODAY}T08:00:00Z`,
        source: 'typed',
        zones: { cheek: [[50, 12, 18]], elbow: [[50, 12, 18]] },
      },
      'elbow',
    ],
  ] as const)('%s %s refuses what it does not know', async (method, path, body, field) => {
    const asked =
      method === 'POST'
        ? owner.post(path).set(keyed())
        : owner.put(path).set({ ...keyed(), 'if-match': '0' });
    const answer = await asked.send(body).expect(422);
    expect(JSON.stringify((answer.body as Problem).fields)).toContain(field);
  });
});

describe('where a request comes from', () => {
  test.each(['null', 'https://elsewhere.example', 'not an address', 'file://', ''])(
    'a write from %p is refused',
    async (origin) => {
      const answer = await artist
        .post('/api/clients')
        .set(keyed())
        .set('origin', origin)
        .send(newClient())
        .expect(403);
      expect((answer.body as Problem).code).toBe('wrong-origin');
    },
  );

  test('from our own page, and from what sends none, it is taken', async () => {
    await artist
      .post('/api/clients')
      .set(keyed())
      .set('host', 'studio.example')
      .set('origin', 'http://studio.example')
      .send(newClient())
      .expect(201);
    await artist.post('/api/clients').set(keyed()).send(newClient()).expect(201);
  });

  test('reading is not writing', async () =>
    void (await artist.get('/api/clients').set('origin', 'null').expect(200)));
});

describe('one key, one write', () => {
  test('another account’s repeat never sees the answer', async () => {
    const key = keyed();
    const body = newClient();
    const mine = await artist.post('/api/clients').set(key).send(body).expect(201);
    const theirs = await owner.post('/api/clients').set(key).send(body).expect(422);
    expect((theirs.body as Problem).code).toBe('key-reused');
    expect(JSON.stringify(theirs.body)).not.toContain(body.name);
    expect((await artist.post('/api/clients').set(key).send(body).expect(201)).body).toEqual(mine.body);
  });

  test('the same edit from another revision is another write', async () => {
    const body = newClient();
    await artist.post('/api/clients').set(keyed()).send(body).expect(201);
    const key = keyed();
    const put = (revision: number) =>
      artist
        .put(`/api/clients/${body.id}`)
        .set({ ...key, 'if-match': String(revision) })
        .send(body);
    await put(1).expect(200);
    expect((await put(2).expect(422)).body.code).toBe('key-reused');
  });

  test('every write leaves a trace of who wrote what; a refused one and a repeat leave none', async () => {
    const traces = (subject: string) =>
      inStudio(server.db, demo.studio.id, (tx) =>
        tx.selectFrom('audit').select(['route', 'account_id']).where('subject', '=', subject).execute(),
      );
    const key = keyed();
    const body = newClient();
    await artist
      .post('/api/clients')
      .set(keyed())
      .send({ ...body, name: '' })
      .expect(422);
    expect(await traces(body.id)).toEqual([]);
    for (let i = 0; i < 2; i++) await artist.post('/api/clients').set(key).send(body).expect(201);
    const account = demo.people.find((p) => p.role === 'artist')!.id;
    expect(await traces(body.id)).toEqual([{ route: 'createClient', account_id: account }]);
  });

  test('the same key in another studio is another write', async () => {
    const stranger = await server.signedIn('stranger');
    const key = keyed();
    const body = newClient();
    await artist.post('/api/clients').set(key).send(body).expect(201);
    await stranger
      .post('/api/clients')
      .set(key)
      .send(newClient({ name: 'Ilse Tull' }))
      .expect(201);
  });

  test('keys are kept as long as anyone may send again, and not longer', async () => {
    const key = keyed();
    const body = newClient();
    const first = await artist.post('/api/clients').set(key).send(body).expect(201);
    now = new Date(now.getTime() + (KEY_DAYS - 1) * 86_400_000);
    expect((await artist.post('/api/clients').set(key).send(body).expect(201)).body).toEqual(first.body);
    expect(await keys()).toContain(key['idempotency-key']);
    now = new Date(now.getTime() + 2 * 86_400_000);
    await artist.post('/api/clients').set(keyed()).send(newClient()).expect(201);
    expect(await keys()).not.toContain(key['idempotency-key']);
    // Told again after all that time it is not the same write, and what it made is still there.
    expect((await artist.post('/api/clients').set(key).send(body).expect(409)).body.code).toBe(
      'already-there',
    );
  });

  test('many writes at once let go of old keys together without waiting for each other', async () => {
    const old = new Set<string>();
    for (let i = 0; i < 50; i++) {
      const key = keyed();
      await artist.post('/api/clients').set(key).send(newClient()).expect(201);
      old.add(key['idempotency-key']);
    }
    now = new Date(now.getTime() + (KEY_DAYS + 1) * 86_400_000);
    const answers = await Promise.all(
      Array.from({ length: 12 }, () => artist.post('/api/clients').set(keyed()).send(newClient())),
    );
    expect(answers.map((a) => a.status)).toEqual(Array(12).fill(201));
    expect((await keys()).filter((k) => old.has(k))).toEqual([]);
  });
});

describe('days', () => {
  const todayFor = async (agent: Agent, zone?: string): Promise<string> =>
    (await agent.get(`/api/today${zone ? `?zone=${zone}` : ''}`).expect(200)).body.date;

  test('today is the day of whoever asks, until the studio keeps to a zone', async () => {
    now = new Date('2031-05-14T22:30:00Z');
    expect(await todayFor(artist)).toBe('2031-05-14');
    expect(await todayFor(artist, 'Pacific/Auckland')).toBe('2031-05-15');
    expect(await todayFor(artist, 'America/Lima')).toBe('2031-05-14');
    expect(await todayFor(artist, 'Nowhere/At-all')).toBe('2031-05-14');
    await owner
      .put('/api/settings')
      .set({ ...keyed(), 'if-match': '0' })
      .send({ ruleGrades: {}, zone: 'Asia/Tokyo' })
      .expect(200);
    expect(await todayFor(artist, 'America/Lima')).toBe('2031-05-15');
    await owner
      .put('/api/settings')
      .set({ ...keyed(), 'if-match': '1' })
      .send({ ruleGrades: {}, zone: 'Mars/Olympus' })
      .expect(422);
  });

  test('a day that is none is refused by its field', async () => {
    const visit = {
      id: newId(),
      clientId: demo.clients[0]!.id,
      kind: 'trial',
      date: '2031-02-31',
      startsAt: '09:00',
    };
    const answer = await artist.post('/api/visits').set(keyed()).send(visit).expect(422);
    expect((answer.body as Problem).fields).toEqual([{ path: 'date', message: 'A date, as 2031-05-14' }]);
  });
});

test('a client of many years: the visit after the thousandth is booked and shown', async () => {
  const clientId = demo.clients[0]!.id;
  const visits = Array.from({ length: 1000 }, (_, i) => ({
    studio_id: demo.studio.id,
    id: newId(),
    client_id: clientId,
    party_id: null,
    kind: 'portrait' as const,
    date: `20${String(10 + (i % 20)).padStart(2, '0')}-03-0${1 + (i % 9)}`,
    starts_at: '09:00',
    ready_by: null,
    place: '',
    chart_id: null,
  }));
  await inStudio(server.db, demo.studio.id, (tx) => tx.insertInto('visits').values(visits).execute());
  const visit = { id: newId(), clientId, kind: 'trial', date: '2031-06-01', startsAt: '10:00' };
  const booked = await artist.post('/api/visits').set(keyed()).send(visit).expect(201);
  expect(booked.body).toMatchObject({ id: visit.id, date: '2031-06-01' });
  const shown: ClientAnswer = (await artist.get(`/api/clients/${clientId}`).expect(200)).body;
  expect(shown.visits.some((v) => v.id === visit.id)).toBe(true);
});

test.each([
  ['/api/session', 17_000],
  ['/api/setup', 17_000],
  ['/api/invites/open', 17_000],
  ['/api/invites/take', 17_000],
  ['/api/intake/open', 66_000],
  ['/api/intake/send', 66_000],
])('nobody who is not signed in is listened to for long: %s', async (path, letters) => {
  const answer = await server
    .agent()
    .post(path)
    .send({ token: 'x'.repeat(letters) });
  expect([answer.status, (answer.body as { code: string }).code]).toEqual([413, 'too-large']);
});

test('the longest answers of a first talk, in letters of four bytes, are still taken', async () => {
  const words = '𝄞'.repeat(500);
  const list = Array.from({ length: 40 }, () => '𝄞'.repeat(60));
  const answers = {
    usual: words,
    disliked: words,
    wished: words,
    keepHealth: true,
    conditions: words,
    treatments: words,
    sensitivities: list,
  };
  const answer = await server.agent().post('/api/intake/send').send({ token: 'none', answers });
  expect((answer.body as { code: string }).code).toBe('link-ended');
});
