import { createHash, randomBytes } from 'node:crypto';
import type { Agent } from 'supertest';
import { KEPT_PHOTOGRAPHS, readZip, zipText, type Photograph } from '@toile/core';
import {
  newId,
  newSecret,
  tokenOf,
  type ClientAnswer,
  type PhotographsAnswer,
  type Problem,
} from '@toile/contract';
import { writeBackup } from '../src/backup/writeBackup';
import { restoreBackup } from '../src/backup/restore';
import { inStudio } from '../src/db/connection';
import { agreedTo, jpeg, keepOne, photographOf } from './aPhotograph';
import { asBytes, demo, keyed, testServer, type TestServer } from './testServer';

let server: TestServer;
let artist: Agent;
let owner: Agent;
beforeEach(async () => {
  server = await testServer();
  artist = await server.signedIn('artist');
  owner = await server.signedIn('owner');
});
afterEach(() => server.stop());

const chart = demo.charts[0]!;
const { id: clientId } = chart.client;
const at = `/api/charts/${chart.id}/photographs`;
const keep = (more: object = {}, by: Agent = artist) =>
  by
    .post(at)
    .set(keyed())
    .send({ ...photographOf(), ...more });
const kept = async (): Promise<PhotographsAnswer> =>
  (await artist.get(at).expect(200)).body as PhotographsAnswer;
const pictures = (): Promise<number> =>
  inStudio(server.db, demo.studio.id, async (tx) =>
    Number(
      (
        await tx
          .selectFrom('photographs')
          .select((eb) => eb.fn.countAll<string>().as('n'))
          .executeTakeFirstOrThrow()
      ).n,
    ),
  );
const saying = (problem: unknown): string =>
  ((problem as Problem).fields ?? []).map(({ path, message }) => `${path}: ${message}`).join('; ');

test('kept only where the studio keeps them and the client agreed; then read again byte for byte, and dropped', async () => {
  expect(saying((await keep().expect(422)).body)).toMatch(/^picture: This studio keeps no photographs/);
  await agreedTo(server, clientId);
  const picture = jpeg({ padding: 5000 });
  const sent = photographOf({ picture: picture.toString('base64') });
  const answer = (await artist.post(at).set(keyed()).send(sent).expect(201)).body as PhotographsAnswer;
  const { picture: _letters, ...told } = sent;
  expect(answer).toMatchObject({
    keeps: true,
    photographs: [{ ...told, at: '2031-05-14T07:30:00.000Z', clientId }],
  });
  expect(await kept()).toEqual(answer);
  const read = await asBytes(artist.get(`/api/photographs/${sent.id}`)).expect(200);
  expect(read.headers['content-type']).toBe('image/jpeg');
  expect(read.headers['cache-control']).toBe('no-store');
  expect(Buffer.compare(read.body as Buffer, picture)).toBe(0);
  const after = await artist.post(`/api/photographs/${sent.id}/removals`).set(keyed()).send({}).expect(200);
  expect((after.body as PhotographsAnswer).photographs).toEqual([]);
  await artist.get(`/api/photographs/${sent.id}`).expect(404);
  await artist.post(`/api/photographs/${sent.id}/removals`).set(keyed()).send({}).expect(404);
});

test.each<[string, object, RegExp]>([
  ['no picture', { picture: Buffer.from('not a picture at all').toString('base64') }, /This is no JPEG/],
  ['letters that are none', { picture: '<svg/>' }, /a JPEG in base64/],
  [
    'a JPEG that stops',
    { picture: Buffer.from([0xff, 0xd8, 0xff, 0xd9]).toString('base64') },
    /no photograph that can be read/,
  ],
  [
    'eighty megapixels',
    { picture: jpeg({ width: 10_000, height: 8000 }).toString('base64') },
    /80 megapixels; up to 40/,
  ],
  ['where it was taken', { picture: jpeg({ exif: true }).toString('base64') }, /still says where and when/],
  [
    'too many bytes',
    { picture: jpeg({ padding: KEPT_PHOTOGRAPHS.bytes }).toString('base64') },
    /At most 1000 kB/,
  ],
  ['no taps', { taps: undefined }, /taps/],
  ['a tap that is none', { taps: { ...photographOf().taps, gnathion: [1] } }, /gnathion/],
  ['another light', { light: 'candle' }, /light/],
  ['a day instead of an instant', { at: '2031-05-14' }, /an instant in UTC/],
  ['something unknown', { skin: 'oily' }, /skin is not known here/],
])('refused, with what to do, and nothing kept: %s', async (_, more, words) => {
  await agreedTo(server, clientId);
  expect(JSON.stringify((await keep(more).expect(422)).body)).toMatch(words);
  expect(await pictures()).toBe(0);
});

test('an assistant sees and keeps them and drops none; another studio has no such photograph', async () => {
  const { id } = await keepOne(server, chart);
  const assistant = await server.signedIn('assistant');
  await assistant.get(`/api/photographs/${id}`).expect(200);
  await keep({}, assistant).expect(201);
  await assistant.post(`/api/photographs/${id}/removals`).set(keyed()).send({}).expect(403);
  const stranger = await server.signedIn('stranger');
  await stranger.get(`/api/photographs/${id}`).expect(404);
  await stranger.post(`/api/photographs/${id}/removals`).set(keyed()).send({}).expect(404);
  expect(await pictures()).toBe(2);
});

const saved = async (consult: object): Promise<void> => {
  const client = (await owner.get(`/api/clients/${clientId}`).expect(200)).body as ClientAnswer;
  const { id, name, birthYear, guardianConsent, sensitivities, notes, features, measurements, taps } = client;
  await owner
    .put(`/api/clients/${clientId}`)
    .set({ ...keyed(), 'if-match': `"${client.revision}"` })
    .send({
      id,
      name,
      birthYear,
      guardianConsent,
      sensitivities,
      notes,
      features,
      measurements,
      taps,
      ...consult,
    })
    .expect(200);
};

test('who agrees no longer has none: said at the table, or by link and taken over; anything else said leaves them', async () => {
  await keepOne(server, chart);
  await saved({ consult: { photos: 'may be shown', usual: 'Mascara' } });
  await saved({});
  expect(await pictures()).toBe(1);
  await saved({ consult: { photos: 'none' } });
  expect(await pictures()).toBe(0);
  expect(saying((await keep().expect(422)).body)).toMatch(/has not agreed/);

  await keepOne(server, chart);
  const [id, secret] = [newId(), newSecret()];
  await artist.post(`/api/clients/${clientId}/intakes`).set(keyed()).send({ id, secret }).expect(201);
  await server
    .agent()
    .post('/api/intake/send')
    .send({ token: tokenOf(demo.studio.id, secret), answers: { photos: 'none', usual: 'Nothing' } })
    .expect(204);
  const settle = (key: string) =>
    artist.post(`/api/intakes/${id}/settlements`).set(keyed()).send({ key, taken: true }).expect(200);
  await settle('usual');
  expect(await pictures()).toBe(1);
  await settle('photos');
  expect(await pictures()).toBe(0);
});

test('of a minor none is kept before a guardian’s consent is noted, whatever the child said', async () => {
  await agreedTo(server, clientId);
  const young = 2018;
  await saved({ birthYear: young, guardianConsent: '' });
  const before = await pictures();
  expect(saying((await keep().expect(422)).body)).toMatch(/guardian’s consent/);
  expect(await pictures()).toBe(before);
  await saved({ birthYear: young, guardianConsent: 'Ines Moor, by telephone' });
  await keep().expect(201);
  await saved({ birthYear: null, guardianConsent: '' });
  await keep().expect(201);
});

test('taken back while others are kept: at the end there is none, whoever came first', async () => {
  await agreedTo(server, clientId);
  const [, ...tries] = await Promise.all([
    saved({ consult: { photos: 'none' } }),
    ...Array.from({ length: 8 }, () => keep().then(({ status }) => status)),
  ]);
  expect(tries.every((status) => status === 201 || status === 422)).toBe(true);
  expect(await pictures()).toBe(0);
});

test('of a chart so many are kept, however many phones send at once', async () => {
  await agreedTo(server, clientId);
  const most = KEPT_PHOTOGRAPHS.ofChart;
  const statuses = await Promise.all(
    Array.from({ length: most + 6 }, () => keep().then(({ status }) => status)),
  );
  expect(statuses.filter((status) => status === 201)).toHaveLength(most);
  expect(await pictures()).toBe(most);
});

test('erased with the client, in their own data before that', async () => {
  const picture = randomBytes(3000).map((byte) => byte & 0x7f);
  const whole = Buffer.concat([jpeg().subarray(0, -2), picture, Buffer.from([0xff, 0xd9])]);
  const { id } = await keepOne(server, chart, { picture: whole.toString('base64') });
  const { body } = await asBytes(owner.get(`/api/clients/${clientId}/data`)).expect(200);
  const zip = readZip(body as Buffer, { files: 100, bytes: 50_000_000 });
  if (!zip.ok) throw new Error(zip.message);
  expect(Buffer.compare(Buffer.from(zip.files.get(`photographs/${id}.jpg`)!), whole)).toBe(0);
  const told = JSON.parse(zipText(zip.files.get('client.json')!)) as { photographs: Photograph[] };
  expect(told.photographs.map((one) => one.id)).toEqual([id]);
  expect((await owner.get(`/api/clients/${clientId}/erasures`).expect(200)).body).toMatchObject({
    photographs: 1,
  });
  const { name } = demo.clients.find((one) => one.id === clientId)!;
  await owner
    .post(`/api/clients/${clientId}/erasures`)
    .set(keyed())
    .send({ name, charts: 'kept without the person' })
    .expect(200);
  expect(await pictures()).toBe(0);
  await owner.get(`/api/photographs/${id}`).expect(404);
});

test('a backup holds them, in small parts, and gives them back as they were; the one text file does not', async () => {
  const sent = [];
  for (let i = 0; i < 23; i++) {
    const picture = randomBytes(200).map((byte) => byte & 0x7f);
    const bytes = Buffer.concat([jpeg().subarray(0, -2), picture, Buffer.from([0xff, 0xd9])]);
    sent.push(await keepOne(server, chart, { picture: bytes.toString('base64') }));
  }
  const pieces: Uint8Array[] = [];
  const manifest = await writeBackup(server.db, demo.studio.id, new Date(), (piece) => pieces.push(piece));
  const files = manifest.files.filter(({ table }) => table === 'photographs');
  expect(files.map(({ rows }) => rows)).toEqual([20, 3]);
  const text = (await owner.get('/api/studio/export').expect(200)).text;
  expect((JSON.parse(text) as { photographs: unknown[] }).photographs).toEqual([]);

  const empty = await testServer({}, []);
  try {
    const restored = await restoreBackup(empty.db, Buffer.concat(pieces), new Date());
    expect(restored.ok).toBe(true);
    const hashes = (of: TestServer) =>
      inStudio(of.db, demo.studio.id, async (tx) =>
        (await tx.selectFrom('photographs').selectAll().orderBy('id').execute()).map(
          ({ picture, ...rest }) => ({
            ...rest,
            picture: createHash('sha256').update(picture).digest('hex'),
          }),
        ),
      );
    const there = await hashes(empty);
    expect(there).toHaveLength(sent.length);
    expect(there).toEqual(await hashes(server));
  } finally {
    await empty.stop();
  }
});
