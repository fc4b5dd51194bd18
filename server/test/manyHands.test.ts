import fc from 'fast-check';
import { takenFromUnits, type ChairEvent, type Chart } from '@toile/core';
import { newId, type ChartAnswer } from '@toile/contract';
import type { Agent } from 'supertest';
import { inStudio } from '../src/db/connection';
import { demo, keyed, testServer, type TestServer } from './testServer';

// What several devices do in one moment, against a real database.
let server: TestServer;
let phones: Agent[];
beforeAll(async () => {
  server = await testServer();
  phones = [
    await server.signedIn('artist'),
    await server.signedIn('owner'),
    await server.signedIn('assistant'),
  ];
});
afterAll(() => server.stop());

const chart: Chart = demo.charts.find((c) => c.steps.some((s) => s.use.some((u) => u.unitId !== null)))!;
const steps = chart.steps.filter((s) => s.use.some((u) => u.unitId !== null));

/** What the ledger has of a step, mg taken by unit. */
const written = (stepId: string): Promise<Map<string, number>> =>
  inStudio(server.db, demo.studio.id, async (tx) => {
    const rows = await tx
      .selectFrom('unit_ledger')
      .select((eb) => ['unit_id', eb.fn.sum<number>('mg').as('mg')])
      .where('chart_id', '=', chart.id)
      .where('version', '=', chart.version)
      .where('step_id', '=', stepId)
      .groupBy('unit_id')
      .execute();
    return new Map(rows.map((r) => [r.unit_id, -r.mg]));
  });
const eventsOf = async (stepId: string): Promise<ChairEvent[]> => {
  const { body } = await phones[0]!.get(`/api/charts/${chart.id}?version=${chart.version}`).expect(200);
  return (body as ChartAnswer).events.filter((e) => e.stepId === stepId);
};
const tell = (phone: number, stepId: string, more: object) =>
  phones[phone]!.post(`/api/charts/${chart.id}/events`)
    .set(keyed())
    .send({ id: newId(), version: chart.version, stepId, at: '2031-05-14T10:00:00Z', ...more });

/** The same chart once more, as its first version: nothing was told of it. */
async function ofItsOwn(): Promise<Chart> {
  const { body } = await phones[0]!
    .post('/api/charts')
    .set(keyed())
    .send({ chart: { ...chart, id: newId() }, visitId: null })
    .expect(201);
  return (body as ChartAnswer).chart;
}

test('one step ticked on three phones at once is taken from the kit once', async () => {
  const step = steps[0]!;
  const answers = await Promise.all(
    [0, 1, 2, 0, 1, 2].map((phone) => tell(phone, step.id, { kind: 'done' })),
  );
  expect(answers.map((a) => a.status)).toEqual(Array(6).fill(201));
  for (const [unit, mg] of await written(step.id)) {
    const planned = step.use
      .filter((u) => u.unitId === unit)
      .reduce((sum, u) => sum + u.parts * u.product.mgPerMeasure, 0);
    expect(mg).toBeCloseTo(planned, 6);
  }
  expect((await written(step.id)).size).toBeGreaterThan(0);
});

test('whatever many hands record of one step at once, the ledger says what the events say', async () => {
  const deed = fc.oneof(
    fc.constant({ kind: 'done' }),
    fc.constant({ kind: 'undone' }),
    fc
      .integer({ min: 1, max: 6 })
      .map((measures) => ({ kind: 'deviation', deviation: { kind: 'amount', measures, note: '' } })),
  );
  await fc.assert(
    fc.asyncProperty(
      fc.integer({ min: 0, max: steps.length - 1 }),
      fc.array(fc.tuple(fc.nat(2), deed), { minLength: 2, maxLength: 8 }),
      async (n, deeds) => {
        const step = steps[n]!;
        const answers = await Promise.all(deeds.map(([phone, more]) => tell(phone, step.id, more)));
        expect(answers.map((a) => a.status)).toEqual(deeds.map(() => 201));
        const should = takenFromUnits(chart, step.id, [await eventsOf(step.id)]);
        const is = await written(step.id);
        for (const unit of new Set([...should.keys(), ...is.keys()]))
          expect(is.get(unit) ?? 0).toBeCloseTo(should.get(unit) ?? 0, 5);
      },
    ),
    { numRuns: 25, endOnFailure: true },
  );
});

test('steps of one chart ticked at once all land, and wait for no other in a ring', async () => {
  const answers = await Promise.all(
    steps.flatMap((step) => [0, 1, 2].map((phone) => tell(phone, step.id, { kind: 'done' }))),
  );
  expect(answers.every((a) => a.status === 201)).toBe(true);
});

test('an event told again under another key is one event, and takes nothing more', async () => {
  const step = steps.at(-1)!;
  const body = {
    id: newId(),
    version: chart.version,
    stepId: step.id,
    at: '2031-05-14T10:00:00Z',
    kind: 'done',
  };
  const send = () => phones[0]!.post(`/api/charts/${chart.id}/events`).set(keyed()).send(body);
  await send().expect(201);
  const before = await written(step.id);
  const again = await send().expect(409);
  expect((again.body as { code: string }).code).toBe('already-there');
  expect(await written(step.id)).toEqual(before);
  expect((await eventsOf(step.id)).filter((e) => e.id === body.id)).toHaveLength(1);
});

test('a step told again with the next version is taken again at another sitting, not at the same', async () => {
  const step = steps[0]!;
  const newest = await ofItsOwn();
  const saved = await phones[0]!
    .post(`/api/charts/${newest.id}/versions`)
    .set(keyed())
    .send({ parent: newest.version, reason: 'Again', chart: newest })
    .expect(201);
  const { version } = (saved.body as ChartAnswer).chart;
  const told = (phone: number, more: object) =>
    phones[phone]!.post(`/api/charts/${newest.id}/events`)
      .set(keyed())
      .send({ id: newId(), version: 1, stepId: step.id, at: '2031-05-14T10:00:00Z', ...more })
      .expect(201);
  // What the step takes of each unit, with whatever version it was told.
  const taken = (): Promise<Map<string, number>> =>
    inStudio(server.db, demo.studio.id, async (tx) => {
      const rows = await tx
        .selectFrom('unit_ledger')
        .select((eb) => ['unit_id', eb.fn.sum<number>('mg').as('mg')])
        .where('chart_id', '=', newest.id)
        .where('step_id', '=', step.id)
        .groupBy('unit_id')
        .execute();
      return new Map(rows.map((r) => [r.unit_id, -r.mg]));
    });
  const planned = takenFromUnits(newest, step.id, [
    [{ id: newId(), stepId: step.id, at: '2031-05-14T10:00:00Z', by: 'Teodor Marsh', kind: 'done' }],
  ]);
  expect(planned.size).toBeGreaterThan(0);
  const isTakenOver = async (before: Map<string, number>, times: number) => {
    const after = await taken();
    for (const [unit, mg] of planned)
      expect((after.get(unit) ?? 0) - (before.get(unit) ?? 0)).toBeCloseTo(times * mg, 6);
  };
  const none = await taken();
  const first = newId();
  await told(0, { id: first, kind: 'done' });
  await isTakenOver(none, 1);
  await told(1, { kind: 'done', version, at: '2031-05-14T11:00:00Z' });
  await isTakenOver(none, 1);
  await told(0, { kind: 'done', version, at: '2031-06-20T10:00:00Z' });
  await isTakenOver(none, 2);
  // Taken back it is that of its own sitting: by the clock, or as it was said.
  await told(0, { kind: 'undone', version, at: '2031-06-20T10:05:00Z' });
  await isTakenOver(none, 1);
  await told(0, { kind: 'undone', version, at: '2031-06-21T10:00:00Z', sitting: first });
  await isTakenOver(none, 0);
  const anew = newId();
  await told(0, {
    id: anew,
    kind: 'done',
    version,
    at: '2031-06-21T10:01:00Z',
    sitting: anew,
  });
  await isTakenOver(none, 1);
});

test('a step that is other work in the next version is taken as that says, besides what was laid before', async () => {
  const step = steps[0]!;
  const first = await ofItsOwn();
  const told = (version: number, at: string) =>
    phones[0]!
      .post(`/api/charts/${first.id}/events`)
      .set(keyed())
      .send({ id: newId(), version, stepId: step.id, at, kind: 'done' })
      .expect(201);
  const takenOf = async (version: number): Promise<number> => {
    const rows = await inStudio(server.db, demo.studio.id, (tx) =>
      tx
        .selectFrom('unit_ledger')
        .select('mg')
        .where('chart_id', '=', first.id)
        .where('version', '=', version)
        .where('step_id', '=', step.id)
        .execute(),
    );
    return -rows.reduce((sum, { mg }) => sum + mg, 0);
  };
  await told(1, '2031-05-14T10:00:00Z');
  const once = await takenOf(1);
  expect(once).toBeGreaterThan(0);
  const doubled = first.steps.map((one) =>
    one.id === step.id ? { ...one, use: one.use.map((use) => ({ ...use, parts: use.parts * 2 })) } : one,
  );
  await phones[0]!
    .post(`/api/charts/${first.id}/versions`)
    .set(keyed())
    .send({ parent: 1, reason: 'More', chart: { ...first, steps: doubled } })
    .expect(201);
  await told(2, '2031-05-14T10:30:00Z');
  expect(await takenOf(2)).toBeCloseTo(2 * once, 6);
  expect(await takenOf(1)).toBeCloseTo(once, 6);
});

test('more taken than was counted leaves nothing, not less', async () => {
  const step = steps.find((s) => s.id !== steps[0]!.id)!;
  const unitId = step.use.find((u) => u.unitId !== null)!.unitId!;
  const count = { id: newId(), remainingMg: 0.5, note: 'nearly out' };
  await phones[0]!.post(`/api/units/${unitId}/counts`).set(keyed()).send(count).expect(201);
  await tell(0, step.id, { kind: 'undone' }).expect(201);
  await phones[0]!
    .post(`/api/units/${unitId}/counts`)
    .set(keyed())
    .send({ ...count, id: newId() })
    .expect(201);
  await tell(0, step.id, { kind: 'done' }).expect(201);
  const { body } = await phones[0]!.get(`/api/units/${unitId}/ledger`).expect(200);
  expect((body as { remainingMg: number }).remainingMg).toBe(0);
  expect((body as { entries: { mg: number }[] }).entries[0]!.mg).toBeLessThan(-0.5);
});
