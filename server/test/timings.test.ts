import { newId } from '@toile/contract';
import { demo, keyed, testServer, type TestServer } from './testServer';

let server: TestServer;
beforeAll(async () => void (server = await testServer()));
afterAll(() => server.stop());

test('what the demo’s last chair shows is learned: eyes slower than planned, sculpting quicker', async () => {
  const owner = await server.signedIn('owner');
  const { body } = await owner.get('/api/timings').expect(200);
  const [teodor] = body as { by: string; timings: { work: string; factor: number; times: number }[] }[];
  expect(teodor!.by).toBe('Teodor Marsh');
  const eyes = teodor!.timings.find((t) => t.work === 'eyes');
  expect(eyes!.factor).toBeCloseTo(1.4, 1);
  expect(eyes!.times).toBeGreaterThanOrEqual(3);
  expect(teodor!.timings.find((t) => t.work === 'sculpt')!.factor).toBeCloseTo(0.8, 1);
});

test('another studio learns nothing from it', async () => {
  const stranger = await server.signedIn('stranger');
  expect((await stranger.get('/api/timings').expect(200)).body).toEqual([]);
});

test('what is ticked at the chair is learned from for whoever ticked it, once there is enough of it', async () => {
  const owner = await server.signedIn('owner');
  const chart = demo.charts.find(
    (c) =>
      c.steps.filter((s) => s.phase === 'eyes' && !s.variant).length >= 3 &&
      !demo.events.some((e) => e.chartId === c.id),
  )!;
  const eyes = chart.steps.filter((s) => s.phase === 'eyes' && !s.variant);
  let minute = 0;
  const tick = (stepId: string) =>
    owner
      .post(`/api/charts/${chart.id}/events`)
      .set(keyed())
      .send({
        id: newId(),
        version: chart.version,
        stepId,
        kind: 'done',
        at: new Date(Date.UTC(2031, 4, 14, 6) + minute * 60_000).toISOString(),
      })
      .expect(201);
  await tick(chart.steps[0]!.id);
  // Every step is worked in half its plan, once all before it has long dried.
  minute = 30;
  await tick(chart.steps[1]!.id);
  for (const [i, step] of eyes.entries()) {
    minute += step.handsOnMinutes / 2;
    await tick(step.id);
    const now = (await owner.get('/api/timings').expect(200)).body as {
      by: string;
      timings: { work: string; factor: number; times: number }[];
    }[];
    const own = now.find((p) => p.by === 'Runa Castellane')?.timings.find((t) => t.work === 'eyes');
    if (i < 2) expect(own).toBeUndefined();
    else expect(own).toMatchObject({ times: i + 1, factor: expect.closeTo(0.5, 1) });
  }
});
