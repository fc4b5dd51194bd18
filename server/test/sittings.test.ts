import type { Agent } from 'supertest';
import type { Chart, Deviation } from '@toile/core';
import { newId, type ChartAnswer, type ChartWearAnswer } from '@toile/contract';
import { demo, keyed, testServer, type TestServer } from './testServer';

// A chart that is saved anew while it is worked, and what stands of it.
const NOW = new Date('2031-05-14T18:00:00Z');
let server: TestServer;
let artist: Agent;
beforeAll(async () => {
  server = await testServer({ clock: () => NOW });
  artist = await server.signedIn('artist');
});
afterAll(() => server.stop());

const from: Chart = demo.charts.find((c) => c.steps.some((s) => s.use.length > 0))!;
const HOUR = 3_600_000;
const ago = (hours: number): string => new Date(NOW.getTime() - hours * HOUR).toISOString();

const read = async (id: string, version?: number): Promise<ChartAnswer> =>
  (await artist.get(`/api/charts/${id}${version ? `?version=${version}` : ''}`).expect(200))
    .body as ChartAnswer;
const tell = (id: string, version: number, stepId: string, more: object = {}) =>
  artist
    .post(`/api/charts/${id}/events`)
    .set(keyed())
    .send({ id: newId(), version, stepId, at: ago(0), kind: 'done', ...more });
const save = async (id: string, change: (chart: Chart) => Chart): Promise<ChartAnswer> => {
  const { chart } = await read(id);
  const sent = { parent: chart.version, reason: 'Meanwhile', chart: change(chart) };
  return (await artist.post(`/api/charts/${id}/versions`).set(keyed()).send(sent).expect(201))
    .body as ChartAnswer;
};
async function anew(): Promise<Chart> {
  const chart = { ...from, id: newId() };
  const { body } = await artist.post('/api/charts').set(keyed()).send({ chart, visitId: null }).expect(201);
  return (body as ChartAnswer).chart;
}
const same = (chart: Chart): Chart => chart;

test('what is the same work in it stands, what was changed does not, and nothing is told twice', async () => {
  const { id, steps } = await anew();
  const [one, two, three] = steps;
  await tell(id, 1, one!.id, { at: ago(1) }).expect(201);
  await tell(id, 1, two!.id, { at: ago(0.9) }).expect(201);
  const second = await save(id, (chart) => ({
    ...chart,
    steps: chart.steps.map((step) =>
      step.id === one!.id ? { ...step, passes: step.passes + 1 } : { ...step, note: 'Meanwhile' },
    ),
  }));
  expect(second.events).toEqual([]);
  expect(second.carried!.map((event) => event.stepId)).toEqual([two!.id]);
  // What a phone still tells with the version before stands too.
  await tell(id, 1, three!.id).expect(201);
  await tell(id, 2, one!.id).expect(201);
  const now = await read(id);
  expect(now.events.map((event) => event.stepId)).toEqual([one!.id]);
  expect(now.carried!.map((event) => event.stepId)).toEqual([two!.id, three!.id]);
  expect((await read(id, 1)).carried).toBeUndefined();
  expect((await read(id, 1)).events).toHaveLength(3);
});

test('of a sitting that was over when it was saved nothing stands', async () => {
  const { id, steps } = await anew();
  await tell(id, 1, steps[0]!.id, { at: ago(8.1) }).expect(201);
  expect((await save(id, same)).carried).toBeUndefined();
  await tell(id, 2, steps[1]!.id, { at: ago(7.9) }).expect(201);
  // The second is of the sitting the first began.
  expect((await save(id, same)).carried!.map((event) => event.stepId)).toEqual([steps[0]!.id, steps[1]!.id]);
});

test('two phones that told a step with two versions can be put in order', async () => {
  const { id, steps } = await anew();
  const stepId = steps[0]!.id;
  const { body: first } = await tell(id, 1, stepId, { device: 'a', seen: null }).expect(201);
  await save(id, same);
  const skipped: Deviation = { kind: 'skipped', note: '' };
  const told = { kind: 'deviation', deviation: skipped, device: 'b' };
  const { body: other } = await tell(id, 2, stepId, { ...told, seen: null }).expect(201);
  const settles = [(first as { id: string }).id, (other as { id: string }).id];
  await tell(id, 2, stepId, { device: 'b', settles }).expect(201);
  await tell(id, 2, steps[1]!.id, { settles }).expect(422);
});

test('how it wore is told of what was really laid, also before it was saved anew', async () => {
  const { id, steps } = await anew();
  const base = steps.find((step) => step.role === 'base' && step.variant === undefined)!;
  const product = { ...base.use[0]!.product, id: newId(), line: 'Quite Another' };
  const use = [{ ...base.use[0]!, unitId: null, product }];
  await tell(id, 1, base.id, { at: ago(3) }).expect(201);
  const deviation = { kind: 'other product', use, note: '' };
  await tell(id, 1, base.id, { at: ago(3), kind: 'deviation', deviation }).expect(201);
  const { chart } = await save(id, same);
  const sent = {
    id: newId(),
    version: chart.version,
    appliedAt: ago(2.5),
    at: ago(0.1),
    zones: { nose: 'holds' },
  };
  const { body } = await artist.post(`/api/charts/${id}/wear`).set(keyed()).send(sent).expect(201);
  const { checks } = body as ChartWearAnswer;
  expect(JSON.stringify(checks.at(-1)!.worn)).toContain('Quite Another');
});
