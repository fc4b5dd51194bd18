import type { Agent } from 'supertest';
import { compactFrom, compactNotes, type Compact } from '@toile/core';
import { newId, type CompactAnswer, type Problem, type SampleAnswer } from '@toile/contract';
import { compactSides } from '../src/lessons/compactPdf';
import { asBytes, demo, keyed, noteOf, testServer, type TestServer } from './testServer';

let server: TestServer;
let artist: Agent;
beforeAll(async () => {
  server = await testServer({ signInLimit: { windowMs: 1000, tries: 1e6 } });
  artist = await server.signedIn('artist');
});
afterAll(() => server.stop());

const chart = demo.charts.find(({ client, id }) => {
  const own = demo.compacts[0]!;
  return id !== own.chartId && client.id !== own.clientId;
})!;
const put = (more: Partial<Compact> = {}): Compact => ({
  ...compactFrom(
    chart,
    chart.steps.filter(({ variant }) => !variant).map(({ id }) => id),
    { perWeek: 3, rows: 2, columns: 3, by: 'order of use' },
    { id: newId(), tins: Array.from({ length: 6 }, newId), today: '2031-05-14' },
  ).compact,
  ...more,
});
const make = (compact: Compact, version = chart.version) =>
  artist.post(`/api/charts/${chart.id}/compacts`).set(keyed()).send({ compact, version });
const change = (compact: Compact, revision: number) =>
  artist
    .put(`/api/compacts/${compact.id}`)
    .set(keyed())
    .set('if-match', `"${revision}"`)
    .send({ compact, version: chart.version });

test('kept, listed with its chart, changed from the revision that was seen, and refused from an older one', async () => {
  const compact = put();
  const made = (await make(compact).expect(201)).body as CompactAnswer;
  expect(made).toMatchObject({
    compact,
    chartId: chart.id,
    version: chart.version,
    revision: 1,
    madeBy: 'Teodor Marsh',
  });
  const list = (await artist.get(`/api/charts/${chart.id}/compacts`).expect(200)).body as CompactAnswer[];
  expect(list.map((one) => one.compact.id)).toEqual([compact.id]);
  const renamed = { ...compact, name: 'For the weekend', perWeek: 2 };
  const changed = (await change(renamed, 1).expect(200)).body as CompactAnswer;
  expect(changed).toMatchObject({ revision: 2, compact: { name: 'For the weekend', perWeek: 2 } });
  const stale = (await change(compact, 1).expect(409)).body as Problem;
  expect(stale.code).toBe('stale');
  await make(compact).expect(409);
});

test('two who change one at once: one is told', async () => {
  const compact = put();
  await make(compact).expect(201);
  const answers = await Promise.all(
    [1, 2, 3, 4].map((perWeek) => change({ ...compact, perWeek }, 1).then(({ status }) => status)),
  );
  expect(answers.sort()).toEqual([200, 409, 409, 409]);
});

test.each<readonly [string, (compact: Compact) => Compact, RegExp]>([
  [
    'a step of another chart',
    (one) => ({ ...one, stepIds: [newId()] }),
    /not one of this version|none of these/,
  ],
  [
    'a pan with what no step lays',
    (one) => ({
      ...one,
      tins: [{ ...one.tins[0]!, pans: [{ row: 0, column: 0, productId: newId() }] }],
    }),
    /none of these steps/,
  ],
  [
    'a place outside its tin',
    (one) => ({ ...one, tins: [{ ...one.tins[0]!, rows: 1, columns: 1 }] }),
    /outside/,
  ],
  ['no tin', (one) => ({ ...one, tins: [] }), /one to six tins/],
  ['thirty times a week', (one) => ({ ...one, perWeek: 30 }), /times a week/],
])('%s is refused in words, and nothing is kept', async (_, broken, says) => {
  const before = (await artist.get(`/api/charts/${chart.id}/compacts`)).body as CompactAnswer[];
  const refused = (await make(broken(put())).expect(422)).body as Problem;
  expect(JSON.stringify(refused)).toMatch(says);
  expect((await artist.get(`/api/charts/${chart.id}/compacts`)).body).toHaveLength(before.length);
});

test('labels and card are PDFs; the card names every pan by its place and what it is for', async () => {
  const compact = put();
  await make(compact).expect(201);
  for (const query of ['as=labels', 'as=card&paper=letter', 'as=card&paper=a4']) {
    const { body } = await asBytes(artist.get(`/api/compacts/${compact.id}/print?${query}`)).expect(200);
    expect((body as Buffer).subarray(0, 5).toString()).toBe('%PDF-');
  }
  await artist.get(`/api/compacts/${compact.id}/print?as=poster`).expect(422);
  const sides = compactSides(compact, chart, 'day month');
  const { pans, beside } = compactNotes(compact, chart);
  expect(sides).toHaveLength(compact.tins.length + 1);
  const lines = sides.flatMap((side) => side.lines);
  for (const { called, steps } of pans)
    expect(lines.some((line) => line.startsWith(`${called} `) && line.endsWith(steps.join(', ')))).toBe(true);
  for (const { name } of beside) expect(lines.some((line) => line.startsWith(name))).toBe(true);
  const secret = demo.clients.find(({ id }) => id === chart.client.id)!;
  for (const words of [secret.phone, secret.email, secret.notes, ...secret.sensitivities])
    if (words) expect(lines.join(' ')).not.toContain(words);
});

test('the stand-in reader is held to a pan of a tin, and reads what the chart remembers of it', async () => {
  const compact = put();
  await make(compact).expect(201);
  const pan = compact.tins[0]!.pans[0]!;
  const sent = { pan: { paletteId: compact.tins[0]!.id, row: pan.row, column: pan.column } };
  const { lab } = (await artist.post('/api/reader/samples').send(sent).expect(200)).body as SampleAnswer;
  const { product } = chart.steps.flatMap(({ use }) => use).find((use) => use.product.id === pan.productId)!;
  expect(Math.hypot(...lab.map((value, i) => value - product.lab![i]!))).toBeLessThan(8);
  await artist
    .post('/api/reader/samples')
    .send({ pan: { paletteId: compact.tins[0]!.id, row: 11, column: 11 } })
    .expect(404);
});

test('erased, a client’s compacts are gone', async () => {
  const own = demo.compacts[0]!;
  const person = demo.clients.find(({ id }) => id === own.clientId)!;
  const owner = await server.signedIn('owner');
  await owner
    .post(`/api/clients/${person.id}/erasures`)
    .set(keyed())
    .send({ name: person.name, charts: 'kept without the person' })
    .expect(200);
  const list = await artist.get(`/api/charts/${own.chartId}/compacts`).expect(200);
  expect(list.body).toEqual([]);
  await artist.get(`/api/compacts/${own.compact.id}/print`).expect(404);
});

test('of what was noted since nothing is put in a tin, and what lies in one has no label any more', async () => {
  const compact = put();
  await make(compact).expect(201);
  const steps = chart.steps.filter(({ id }) => compact.stepIds.includes(id));
  const { productId } = compact.tins.flatMap(({ pans }) => pans)[0]!;
  const { product } = steps.flatMap(({ use }) => use).find((one) => one.product.id === productId)!;
  const person = demo.clients.find(({ id }) => id === chart.client.id)!;
  const note = (sensitivities: readonly string[]) => noteOf(server, person.id, sensitivities);
  const labels = async (): Promise<number> =>
    asBytes(artist.get(`/api/compacts/${compact.id}/print?as=labels`)).then(
      ({ body }) => (body as Buffer).length,
    );
  const whole = await labels();
  await note([...person.sensitivities, product.ingredients[0]!]);
  try {
    const refused = (await make(put()).expect(422)).body as Problem;
    expect(refused.fields?.[0]?.message).toMatch(/holds .*: contains .*\. Take it out$/);
    expect(await labels()).toBeLessThan(whole);
    // A change of its name is not held up by it, and loses nothing.
    await change({ ...compact, name: 'Renamed' }, 1).expect(200);
  } finally {
    await note(person.sensitivities);
  }
  await make(put()).expect(201);
});
