import {
  newId,
  newSecret,
  sharePath,
  type Problem,
  type ShareAnswer,
  type ShareDays,
  type StudioSettingsAnswer,
} from '@toile/contract';
import { inStudio } from '../src/db/connection';
import { asBytes, demo, keyed, noteOf, testServer, TODAY, type TestServer } from './testServer';

let server: TestServer;
let now = new Date(`${TODAY}T08:00:00Z`);
beforeAll(async () => void (server = await testServer({ clock: () => now })));
afterAll(() => server.stop());

const chart = demo.charts.filter((c) => c.client.name === 'Isaura Penhallow').at(-1)!;
const person = demo.clients.find((c) => c.name === 'Isaura Penhallow')!;
const share = async (more: { days?: ShareDays; cautions?: boolean } = {}) => {
  const artist = await server.signedIn('artist');
  const secret = newSecret();
  const body = { id: newId(), version: chart.version, secret, days: 7, cautions: false, ...more };
  const made = (await artist.post(`/api/charts/${chart.id}/shares`).set(keyed()).send(body).expect(201))
    .body as ShareAnswer;
  return { artist, made, path: sharePath(demo.studio.id, secret), secret };
};

test('days on it are told as the studio tells them, and are its own', async () => {
  const owner = await server.signedIn('owner');
  const { settings, revision } = (await owner.get('/api/settings').expect(200)).body as StudioSettingsAnswer;
  await owner
    .put('/api/settings')
    .set({ ...keyed(), 'if-match': `"${revision}"` })
    .send({ ...settings, zone: 'Pacific/Auckland', manner: { days: 'month day' } })
    .expect(200);
  try {
    // In Greenwich it ends on the 21st, there it is the 22nd by then.
    now = new Date(`${TODAY}T13:00:00Z`);
    const { path, artist } = await share();
    const { text } = await server.agent().get(path).expect(200);
    expect(text).toContain('This link ends on Thu May 22, 2031.');
    expect(text.replace(/<[^>]*>/g, ' ')).not.toMatch(/\d{4}-\d{2}-\d{2}/);
    const { body } = await asBytes(artist.get(`/api/charts/${chart.id}/print?as=svg&paper=a4`)).expect(200);
    expect((body as Buffer).toString()).toMatch(
      /(Mon|Tue|Wed|Thu|Fri|Sat|Sun) [A-Z][a-z]{2} \d{1,2}, 20\d\d · version/,
    );
  } finally {
    now = new Date(`${TODAY}T08:00:00Z`);
    const there = (await owner.get('/api/settings').expect(200)).body as StudioSettingsAnswer;
    await owner
      .put('/api/settings')
      .set({ ...keyed(), 'if-match': `"${there.revision}"` })
      .send(settings)
      .expect(200);
  }
});

test('whoever has the link sees the chart, without an account, contact or health', async () => {
  const { path, made } = await share();
  const { text, headers } = await server.agent().get(path).expect(200);
  expect(text).toContain('Isaura Penhallow');
  expect(text).toContain('This link ends on Wed 21 May 2031.');
  expect(headers['content-security-policy']).toContain("default-src 'none'");
  expect(headers['cache-control']).toBe('no-store');
  expect(made).toMatchObject({ cautions: false, revokedAt: null });
  for (const hidden of [person.phone, person.email, 'Mind:'].filter(Boolean))
    expect(text).not.toContain(hidden);
});

test('cautions are shown only when it was chosen', async () => {
  const { path } = await share({ cautions: true });
  const { text } = await server.agent().get(path).expect(200);
  expect(text.includes('Mind:')).toBe(chart.client.sensitivities.length > 0);
});

test('where cautions are shown they are those noted by now, of a chart that was written before', async () => {
  const [shown, hidden] = [await share({ cautions: true }), await share()];
  const note = (sensitivities: readonly string[]) => noteOf(server, person.id, sensitivities);
  await note([...person.sensitivities, 'colophony']);
  const printed = async (cautions: 'yes' | 'no'): Promise<string> => {
    const { body } = await shown.artist
      .get(`/api/charts/${chart.id}/print?as=svg&version=${chart.version}&cautions=${cautions}`)
      .buffer(true)
      .expect(200);
    return (body as Buffer).toString();
  };
  try {
    expect((await server.agent().get(shown.path).expect(200)).text).toMatch(/Mind: .*colophony/);
    expect((await server.agent().get(hidden.path).expect(200)).text).not.toContain('colophony');
    expect(await printed('yes')).toMatch(/Mind: .*colophony/);
    expect(await printed('no')).not.toContain('colophony');
  } finally {
    await note(person.sensitivities);
  }
  expect((await server.agent().get(shown.path).expect(200)).text).not.toContain('colophony');
});

test('it ends by itself, and at once when it is taken back; both look like a link that never was', async () => {
  const { path, artist, made } = await share({ days: 1 });
  now = new Date(`${TODAY}T07:59:59Z`);
  await server.agent().get(path).expect(200);
  now = new Date('2031-05-15T08:00:01Z');
  const ended = await server.agent().get(path).expect(404);
  now = new Date(`${TODAY}T08:00:00Z`);
  await artist.post(`/api/shares/${made.id}/revocations`).set(keyed()).send({}).expect(200);
  const revoked = await server.agent().get(path).expect(404);
  const unknown = await server.agent().get(sharePath(demo.studio.id, newSecret())).expect(404);
  expect(ended.text).toBe(unknown.text);
  expect(revoked.text).toBe(unknown.text);
  await server.agent().get('/s/nonsense').expect(404);
});

test('the secret is in no record, and a link of another studio’s id opens nothing', async () => {
  const { secret } = await share();
  const stored = await inStudio(server.db, demo.studio.id, async (tx) =>
    JSON.stringify([
      await tx.selectFrom('shares').selectAll().execute(),
      await tx.selectFrom('idempotency').selectAll().execute(),
    ]),
  );
  expect(stored).toContain('"version"');
  expect(stored).not.toContain(secret);
  const other = (await server.signedIn('stranger')).get('/api/session');
  const { studio } = (await other.expect(200)).body as { studio: { id: string } };
  await server.agent().get(sharePath(studio.id, secret)).expect(404);
});

test('what cannot be is said by field, and an assistant shares nothing', async () => {
  const artist = await server.signedIn('artist');
  const body = { id: newId(), version: chart.version, secret: 'short', days: 365, cautions: false };
  const problem = (await artist.post(`/api/charts/${chart.id}/shares`).set(keyed()).send(body).expect(422))
    .body as Problem;
  expect(problem.fields!.map((f) => f.path).sort()).toEqual(['days', 'secret']);
  await artist
    .post(`/api/charts/${chart.id}/shares`)
    .set(keyed())
    .send({ ...body, secret: newSecret(), days: 7, version: 99 })
    .expect(404);
  const assistant = await server.signedIn('assistant');
  await assistant.get(`/api/charts/${chart.id}/shares`).expect(403);
});
