import type { Agent } from 'supertest';
import { lessonFrom, stepsOfVariant, type Lesson } from '@toile/core';
import {
  lessonPath,
  newId,
  newSecret,
  type ChartAnswer,
  type LessonLinkAnswer,
  type Problem,
} from '@toile/contract';
import { cardSides, fitted } from '../src/lessons/card';
import { measureText } from '../src/print/fonts';
import { asBytes, demo, keyed, noteOf, testServer, type TestServer } from './testServer';

let now = new Date('2031-05-14T18:00:00Z');
let server: TestServer;
let artist: Agent;
beforeAll(async () => {
  server = await testServer({ clock: () => now, signInLimit: { windowMs: 1000, tries: 1e6 } });
  artist = await server.signedIn('artist');
});
afterAll(() => server.stop());
afterEach(() => void (now = new Date('2031-05-14T18:00:00Z')));

const chart = demo.charts.find(({ client }) => client.name === 'Morwenna Penhallow')!;
const client = demo.clients.find(({ id }) => id === chart.client.id)!;
const keep = stepsOfVariant(chart.steps, null)
  .filter(({ role }) => ['base', 'brow', 'lip'].includes(role))
  .map(({ id }) => id);
const body = (more: object = {}) => ({
  id: newId(),
  version: 1,
  minutes: 20,
  keep,
  secret: newSecret(),
  days: 30,
  ...more,
});
const make = (sent: object) => artist.post(`/api/charts/${chart.id}/lesson-links`).set(keyed()).send(sent);
const open = (secret: string) => server.agent().get(lessonPath(demo.studio.id, secret));

test('a link shows the lesson to whoever has it, and nothing that is not of it', async () => {
  const sent = body();
  const link = (await make(sent).expect(201)).body as LessonLinkAnswer;
  expect(link).toMatchObject({
    steps: keep.length,
    madeBy: 'Teodor Marsh',
    expiresAt: '2031-06-13T18:00:00.000Z',
  });
  const page = await open(sent.secret).expect(200);
  expect(page.get('cache-control')).toBe('no-store');
  expect(page.get('content-security-policy')).toContain("default-src 'none'");
  for (const id of keep) {
    const { title } = chart.steps.find((step) => step.id === id)!;
    expect(page.text).toContain(title);
  }
  expect(page.text).toContain('your left is on the left');
  const left = chart.steps.find(({ id, variant }) => !variant && !keep.includes(id))!;
  expect(page.text).not.toContain(`${left.title}</h2>`);
  for (const secret of [client.phone, client.email, client.notes, ...client.sensitivities])
    if (secret !== '') expect(page.text).not.toContain(secret);
  // What a studio writes is text, wherever it comes to stand.
  expect(page.text.match(/<script[^>]*>/gi)).toEqual(['<script src="/lesson-keep.js" defer>']);
  // Kept by its own phone alone, and by it no longer than the link lasts.
  expect(page.get('content-security-policy')).toMatch(/script-src 'self'; worker-src 'self'/);
  expect(page.get('toile-ends')).toBe('2031-06-13T18:00:00.000Z');
});

test('it ends by its day, stays where it was to stay, and is gone when it is taken back', async () => {
  const [month, always] = [body(), body({ days: 0 })];
  await make(month).expect(201);
  const kept = (await make(always).expect(201)).body as LessonLinkAnswer;
  expect(kept.expiresAt).toBeNull();
  now = new Date('2031-06-14T18:00:00Z');
  await open(month.secret).expect(404);
  now = new Date('2039-06-14T18:00:00Z');
  await open(always.secret).expect(200);
  await artist.post(`/api/lesson-links/${kept.id}/revocations`).set(keyed()).send({}).expect(200);
  const ended = await open(always.secret).expect(404);
  expect(ended.text).toContain('This link shows nothing');
  await open('x'.repeat(32)).expect(404);
});

test.each([
  ['no step', { keep: [] }, 'keep'],
  ['a step of another chart', { keep: [newId()] }, 'keep[0]'],
  ['no minutes', { minutes: 0 }, 'minutes'],
  ['days there are none of', { days: 7 }, 'days'],
  [
    'what cannot be done with the tools there are',
    {
      tools: [],
      keep: chart.steps
        .filter(({ tool, role, variant }) => role === 'powder' && tool === 'puff' && !variant)
        .map(({ id }) => id),
    },
    'keep',
  ],
  ['a tool there is none of', { tools: ['finger', 'hammer'] }, 'tools[1]'],
])('%s is told by its field', async (_, more, path) => {
  const answer = await make(body(more)).expect(422);
  expect((answer.body as Problem).fields![0]!.path).toBe(path);
});

test('on paper it is a PDF of one or two pages, of what was chosen or of what is proposed', async () => {
  for (const query of [`steps=${keep.join(',')}&minutes=20`, 'minutes=60&paper=letter', '']) {
    const pdf = await asBytes(artist.get(`/api/charts/${chart.id}/lesson?${query}`));
    const bytes = pdf.body as Buffer;
    expect(bytes.subarray(0, 5).toString()).toBe('%PDF-');
    const pages = (bytes.toString('latin1').match(/\/Type \/Page\b/g) ?? []).length;
    expect(pages).toBeGreaterThanOrEqual(1);
    expect(pages).toBeLessThanOrEqual(3);
  }
  await artist.get(`/api/charts/${chart.id}/lesson?minutes=none`).expect(422);
  await artist.get(`/api/charts/${chart.id}/lesson?steps=${newId()}`).expect(422);
});

describe('the card for a lid', () => {
  const lesson = (): Lesson => lessonFrom(chart, { minutes: 90 });
  const wide = (85 - 6) * (72 / 25.4);
  test('says each step with its numbers, and what the numbers are', () => {
    const [front, back] = cardSides(lesson());
    expect(front).toHaveLength(lesson().steps.length);
    expect(back).toEqual(lesson().things.map(({ number, name }) => `(${number}) ${name}`));
    for (const line of front) expect(line).toMatch(/^\d+\. /);
    expect(front.join()).not.toMatch(/as much as|client/);
  });

  test('is set as large as it fits, never over an edge; what does not fit is counted, not cut', () => {
    const many = (n: number): string[] =>
      Array.from({ length: n }, (_, i) => `${i + 1}. Something of a length that is usual`);
    let before = Infinity;
    for (const n of [1, 4, 8, 12, 20, 40, 80]) {
      const { size, lines } = fitted(many(n));
      expect(size).toBeLessThanOrEqual(before);
      before = size;
      expect((lines.length + 1) * size * 1.25).toBeLessThanOrEqual((54 - 6) * (72 / 25.4) + 1e-6);
      for (const line of lines) expect(measureText(line, size, false)).toBeLessThanOrEqual(wide + 1e-6);
      const shown = lines.filter((line) => /^\d+\. /.test(line)).length;
      const more = /^and (\d+) more/.exec(lines.at(-1)!);
      expect(shown + Number(more?.[1] ?? 0)).toBe(n);
    }
    expect(fitted(many(1)).size).toBe(8);
  });

  test('is one page, on either paper; another kind there is not', async () => {
    for (const paper of ['a4', 'letter']) {
      const pdf = await asBytes(
        artist.get(`/api/charts/${chart.id}/lesson?minutes=90&as=card&paper=${paper}`),
      );
      expect((pdf.body as Buffer).toString('latin1').match(/\/Type \/Page\b/g)).toHaveLength(1);
    }
    await artist.get(`/api/charts/${chart.id}/lesson?as=poster`).expect(422);
  });
});

test('a link says what is done with the tools the client has, and keeps saying it', async () => {
  const [asked, unasked] = [body({ tools: [] }), body()];
  await make(asked).expect(201);
  await make(unasked).expect(201);
  const [bare, usual] = [await open(asked.secret).expect(200), await open(unasked.secret).expect(200)];
  const base = chart.steps.find(({ role, variant }) => role === 'base' && !variant)!;
  expect(usual.text).toContain(`With the ${base.tool}`);
  expect(bare.text).not.toMatch(/With the (damp sponge|dense brush)/);
  expect(bare.text).toContain('With a finger');
  await artist.get(`/api/charts/${chart.id}/lesson?minutes=30&tools=`).expect(200);
  await artist.get(`/api/charts/${chart.id}/lesson?minutes=30&tools=finger,damp%20sponge`).expect(200);
  const wrong = await artist.get(`/api/charts/${chart.id}/lesson?tools=hammer`).expect(422);
  expect((wrong.body as Problem).fields![0]!.path).toBe('tools');
});

test('moved on to a newer version a link says what changed; not back, not when it is taken back', async () => {
  const sent = body({ days: 0 });
  const link = (await make(sent).expect(201)).body as LessonLinkAnswer;
  expect(link).toMatchObject({ version: 1, wasVersion: null });
  expect((await open(sent.secret)).get('toile-ends')).toBeUndefined();
  expect((await open(sent.secret)).text).not.toContain('What is new');
  const [first] = chart.steps.filter(({ id, use }) => keep.includes(id) && use.length > 0);
  const steps = chart.steps.map((step) =>
    step.id === first!.id
      ? {
          ...step,
          use: step.use.map((use) => ({ ...use, product: { ...use.product, shade: 'Tern <b>' } })),
        }
      : step,
  );
  const renew = (version: number) =>
    artist.post(`/api/lesson-links/${link.id}/renewals`).set(keyed()).send({ version });
  await renew(1).expect(422);
  await renew(2).expect(404);
  const newest = (await artist.get(`/api/charts/${chart.id}`).expect(200)).body as ChartAnswer;
  await artist
    .post(`/api/charts/${chart.id}/versions`)
    .set(keyed())
    .send({ parent: 1, reason: 'Autumn', chart: { ...newest.chart, version: 2, parent: 1, steps } })
    .expect(201);
  expect((await renew(2).expect(200)).body).toMatchObject({ version: 2, wasVersion: 1 });
  const page = await open(sent.secret).expect(200);
  expect(page.text).toContain('What is new');
  expect(page.text).toMatch(new RegExp(`${first!.title}: .*Tern &lt;b&gt;.* instead of `));
  await renew(2).expect(422);
  const month = body();
  const ending = (await make(month).expect(201)).body as LessonLinkAnswer;
  now = new Date('2031-06-14T18:00:00Z');
  await artist.post(`/api/lesson-links/${ending.id}/renewals`).set(keyed()).send({ version: 2 }).expect(410);
  await artist.post(`/api/lesson-links/${link.id}/revocations`).set(keyed()).send({}).expect(200);
  await renew(3).expect(410);
});

test('what was noted of the client since is asked: nothing goes out, or stays out there, that they must not have', async () => {
  const base = chart.steps.find(({ id, role }) => keep.includes(id) && role === 'base')!;
  const [ingredient] = base.use.flatMap(({ product }) => product.ingredients);
  const note = (sensitivities: readonly string[]) => noteOf(server, client.id, sensitivities);
  const before = body();
  await make(before).expect(201);
  expect((await open(before.secret).expect(200)).text).toContain(`${base.title}</h2>`);
  await note([...client.sensitivities, ingredient!]);
  try {
    const page = await open(before.secret).expect(200);
    expect(page.text).not.toContain(`${base.title}</h2>`);
    expect(page.text.toLowerCase()).not.toContain(`contains ${ingredient!.toLowerCase()}`);
    const refused = (await make(body({ keep: [base.id] })).expect(422)).body as Problem;
    expect(refused.fields?.[0]?.path).toBe('keep');
    await artist.get(`/api/charts/${chart.id}/lesson?steps=${base.id}`).expect(422);
  } finally {
    await note(client.sensitivities);
  }
  expect((await open(before.secret).expect(200)).text).toContain(`${base.title}</h2>`);
});

test('erased, a client’s lessons show nothing', async () => {
  const sent = body();
  await make(sent).expect(201);
  const owner = await server.signedIn('owner');
  await owner
    .post(`/api/clients/${client.id}/erasures`)
    .set(keyed())
    .send({ name: client.name, charts: 'kept without the person' })
    .expect(200);
  await open(sent.secret).expect(404);
});
