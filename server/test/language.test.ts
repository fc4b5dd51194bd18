import request from 'supertest';
import { languageNow, msg } from '@toile/core';
import { inLanguage, languageAsked } from '../src/http/language';
import { printed } from '../src/print/jobs';
import { demo, testServer, type TestServer } from './testServer';

// Every request is told in the language of whoever asks, whatever others are told in meanwhile.
let server: TestServer;
beforeAll(async () => void (server = await testServer()));
afterAll(() => server.stop());

const WRONG = { email: 'nobody@example.org', password: 'wrong wrong wrong' };
const ENGLISH = 'Email and password do not fit together.';
const INDONESIAN = 'Surel dan sandi tidak cocok.';

describe('which language an answer is in', () => {
  test.each([
    ['nothing', {}, ENGLISH],
    ['its browser’s', { 'accept-language': 'id-ID,id;q=0.9,en;q=0.8' }, INDONESIAN],
    ['its browser’s second', { 'accept-language': 'jv,id;q=0.9' }, INDONESIAN],
    ['its browser’s, by weight', { 'accept-language': 'id;q=0.3,en;q=0.8' }, ENGLISH],
    ['none that is spoken here', { 'accept-language': 'fr' }, ENGLISH],
    [
      'its device’s before its browser’s',
      { 'accept-language': 'en', cookie: 'a=b; toile-language=id' },
      INDONESIAN,
    ],
    ['its device’s English', { 'accept-language': 'id', cookie: 'toile-language=en' }, ENGLISH],
    ['a cookie that names no language', { 'accept-language': 'id', cookie: 'toile-language=xx' }, ENGLISH],
    ['a cookie of another name', { cookie: 'not-toile-language=id' }, ENGLISH],
  ])('%s', async (_asks, headers, title) => {
    const answer = await request(server.app).post('/api/session').set(headers).send(WRONG).expect(401);
    expect(answer.body).toMatchObject({ code: 'wrong-sign-in', title });
    expect(answer.headers.vary).toMatch(/Cookie/);
    expect(answer.headers.vary).toMatch(/Accept-Language/);
  });

  test('a form’s messages beside their fields', async () => {
    const artist = await server.signedIn('artist');
    const sent = await artist
      .post('/api/clients')
      .set({ 'idempotency-key': '0196a4b0-0000-7000-8000-000000000001', cookie: 'toile-language=id' })
      .send({ id: '0196a4b0-0000-7000-8000-000000000002', name: '' });
    expect(sent.status).toBe(422);
    expect(sent.body.title).toBe('Beberapa isian perlu dilihat lagi.');
    expect(sent.body.fields).toContainEqual({ path: 'name', message: 'Tulis nama' });
  });

  test('a page behind a link is its reader’s', async () => {
    const page = (language: string) =>
      request(server.app).get('/s/nonsense').set('accept-language', language).expect(404);
    expect((await page('en')).text).toContain('<html lang="en">');
    const told = (await page('id')).text;
    expect(told).toContain('<html lang="id">');
    expect(told).toContain('Tautan ini tidak menunjukkan apa pun');
  });
});

test('what is held for one reader is not given to one of another language', async () => {
  const owner = await server.signedIn('owner');
  const today = (language: string) =>
    owner.get('/api/today?zone=Europe/Lisbon').set('accept-language', language).expect(200);
  const english = await today('en');
  const indonesian = await today('id');
  const words = ({ body }: typeof english): string =>
    JSON.stringify(body.due.map((one: { words: string }) => one.words));
  expect(words(english)).toMatch(/skin|patch test|shelf life/);
  expect(words(indonesian)).not.toMatch(/skin last read|patch test|shelf life/);
  expect(english.headers.etag).not.toBe(indonesian.headers.etag);
  // Held by now, and asked again.
  expect(words(await today('en'))).toBe(words(english));
  expect(words(await today('id'))).toBe(words(indonesian));
  await owner
    .get('/api/today?zone=Europe/Lisbon')
    .set({ 'accept-language': 'id', 'if-none-match': english.headers.etag! })
    .expect(200);
});

test('a hundred at once are each told in their own', async () => {
  const asked = Array.from({ length: 100 }, (_, i) => (i % 3 === 0 ? 'id' : 'en'));
  const titles = await Promise.all(
    asked.map(async (language) => {
      const answer = await request(server.app).get('/api/nowhere').set('accept-language', language);
      return answer.body.title as string;
    }),
  );
  expect(titles).toEqual(
    asked.map((language) => (language === 'id' ? 'Tidak ada alamat itu.' : 'There is no such address.')),
  );
});

test('work goes on in the language it began in, and what begins without one is English', async () => {
  const told = async (): Promise<string[]> => {
    await new Promise((resolve) => setTimeout(resolve, 5));
    return [languageAsked(), languageNow(), msg`Sign in to go on.`];
  };
  // Nobody asks last, when Indonesian was told just before.
  const [english, indonesian, nobody] = await Promise.all([
    inLanguage('en', told),
    inLanguage('id', told),
    told(),
  ]);
  expect(indonesian).toEqual(['id', 'id', 'Masuk untuk melanjutkan.']);
  expect([english, nobody]).toEqual([
    ['en', 'en', 'Sign in to go on.'],
    ['en', 'en', 'Sign in to go on.'],
  ]);
});

test('a chart is printed in the language of whoever prints it', async () => {
  const job = {
    kind: 'chart',
    chart: demo.charts[0]!,
    as: 'svg',
    paper: 'a4',
    colour: true,
    cautions: true,
  } as const;
  const said = async (language: 'en' | 'id'): Promise<string> =>
    String(await inLanguage(language, () => printed(job)));
  expect(await said('en')).toContain('Left and right are the client’s own');
  expect(await said('id')).toContain('Kiri dan kanan adalah milik klien');
});
