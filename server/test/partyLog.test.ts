import type { Agent } from 'supertest';
import {
  instantAt,
  matchAllergens,
  productName,
  type Chart,
  type PartyEvent,
  type PartyPlan,
  stepsOfVariant,
} from '@toile/core';
import {
  newId,
  type PackingAnswer,
  type PartyAnswer,
  type PartyLogAnswer,
  type Problem,
  type VisitMinutesAnswer,
} from '@toile/contract';
import { demo, keyed, noteOf, testServer, type TestServer } from './testServer';

let server: TestServer;
let artist: Agent;
let owner: Agent;
beforeAll(async () => {
  server = await testServer();
  [artist, owner] = [await server.signedIn('artist'), await server.signedIn('owner')];
});
afterAll(() => server.stop());

const party = demo.parties[0]!;
const plan = party.plan!;
const log = async (agent: Agent = artist): Promise<PartyLogAnswer> =>
  (await agent.get(`/api/parties/${party.id}/log`).expect(200)).body as PartyLogAnswer;
const tell = (agent: Agent, event: Partial<PartyEvent>) =>
  agent
    .post(`/api/parties/${party.id}/log`)
    .set(keyed())
    .send({ id: newId(), kind: 'packed', item: 'once:wands', at: '2031-05-14T07:00:00Z', ...event });

test('two phones pack at once: every tick arrives, once, by whom it was', async () => {
  const items = Array.from({ length: 30 }, (_, i) => `unit:${i}`);
  const answers = await Promise.all(
    items.flatMap((item) => [tell(artist, { item, into: 'Roll' }), tell(owner, { item, kind: 'unpacked' })]),
  );
  expect(new Set(answers.map((a) => a.status))).toEqual(new Set([201]));
  const { events } = await log();
  for (const item of items)
    expect(
      events
        .filter((e) => e.item === item)
        .map((e) => [e.kind, e.by])
        .sort(),
    ).toEqual([
      ['packed', 'Teodor Marsh'],
      ['unpacked', 'Runa Castellane'],
    ]);
  const again = await tell(artist, { id: events[0]!.id }).expect(409);
  expect((again.body as Problem).code).toBe('already-there');
  expect((await log()).events).toHaveLength(events.length);
});

test.each([
  ['a kind there is none of', { kind: 'lost' }, 'kind'],
  ['nothing in particular', { item: '' }, 'item'],
  ['no instant', { at: '09:20' }, 'at'],
  ['whose hands it was, said by the sender', { by: 'Somebody' }, 'by'],
  ['a case with a name as long as a song', { into: 'x'.repeat(61) }, 'into'],
])('%s is refused by its field', async (_, event, path) => {
  const answer = await tell(artist, event as Partial<PartyEvent>).expect(422);
  expect(JSON.stringify((answer.body as Problem).fields)).toContain(path);
});

const CHART = demo.charts.filter(({ id }) => id === demo.charts[0]!.id).at(-1)!;
/** The party with a guest who has this chart, on this day. */
async function withChart(
  date: string,
  chart: Chart = CHART,
): Promise<{ chartId: string; steps: Chart['steps']; version: number }> {
  const current = (await artist.get(`/api/parties/${party.id}`).expect(200)).body as PartyAnswer;
  const guests: PartyPlan['guests'] = plan.guests.map((guest, i) =>
    i === 0 ? { ...guest, chartId: chart.id } : guest,
  );
  const { name, place, notes } = current;
  await artist
    .put(`/api/parties/${party.id}`)
    .set({ ...keyed(), 'if-match': String(current.revision) })
    .send({ id: party.id, name, date, place, notes, plan: { ...plan, guests } })
    .expect(200);
  return { chartId: chart.id, steps: chart.steps, version: chart.version };
}
const tick = (chartId: string, version: number, stepId: string, at: string, kind = 'done') =>
  artist
    .post(`/api/charts/${chartId}/events`)
    .set(keyed())
    .send({ id: newId(), version, stepId, kind, at })
    .expect(201);

test('ticks at the chair on the day itself say how far a face has come; those of another day do not', async () => {
  const { chartId, steps, version } = await withChart('2031-06-14');
  const at = (minute: number): string => instantAt(plan.zone, '2031-06-14', minute).toISOString();
  await tick(chartId, version, steps[0]!.id, '2031-05-10T09:00:00Z');
  expect((await log()).chairs).toEqual({});
  await tick(chartId, version, steps[0]!.id, at(540));
  await tick(chartId, version, steps[1]!.id, at(547));
  const { [chartId]: ticks } = (await log()).chairs;
  expect(ticks).toMatchObject({
    firstAt: at(540),
    lastAt: at(547),
    doneCount: 2,
    stepCount: stepsOfVariant(steps, null).length,
  });
  expect(ticks!.minutesLeft).toBeGreaterThan(0);
  await tick(chartId, version, steps[1]!.id, at(548), 'undone');
  expect((await log()).chairs[chartId]).toMatchObject({ doneCount: 1, lastAt: at(540) });
});

test('of several ways to do a step one is worked: a face is ready once that is done, whatever the others are', async () => {
  const last = CHART.steps.filter((step) => step.variant === undefined).at(-1)!;
  const evening = { ...last, id: newId(), variant: 'evening', instead: last.id, handsOnMinutes: 40 };
  const chart: Chart = {
    ...CHART,
    id: newId(),
    version: 1,
    parent: null,
    variants: [{ id: 'evening', name: 'Evening' }],
    steps: [...CHART.steps.filter((step) => step.variant === undefined), evening],
  };
  await artist.post('/api/charts').set(keyed()).send({ chart, visitId: null }).expect(201);
  await withChart('2031-06-14', chart);
  const at = (minute: number): string => instantAt(plan.zone, '2031-06-14', minute).toISOString();
  const others = chart.steps.filter((step) => step !== evening && step.id !== last.id);
  for (const [i, step] of others.entries()) await tick(chart.id, 1, step.id, at(540 + i));
  const now = async () => (await log()).chairs[chart.id]!;
  expect(await now()).toMatchObject({
    doneCount: others.length,
    stepCount: others.length + 1,
    minutesLeft: last.handsOnMinutes,
  });
  await tick(chart.id, 1, evening.id, at(600));
  expect(await now()).toMatchObject({
    doneCount: others.length + 1,
    stepCount: others.length + 1,
    minutesLeft: 0,
  });
  await tick(chart.id, 1, evening.id, at(601), 'undone');
  await tick(chart.id, 1, last.id, at(602));
  expect(await now()).toMatchObject({
    doneCount: others.length + 1,
    stepCount: others.length + 1,
    minutesLeft: 0,
  });
});

test('a chart saved anew while it is worked keeps how far the face has come', async () => {
  const chart: Chart = {
    ...CHART,
    id: newId(),
    version: 1,
    parent: null,
    variants: [],
    steps: CHART.steps.filter((step) => step.variant === undefined),
  };
  await artist.post('/api/charts').set(keyed()).send({ chart, visitId: null }).expect(201);
  await withChart('2031-06-14', chart);
  const at = (minute: number): string => instantAt(plan.zone, '2031-06-14', minute).toISOString();
  const [first, second, third] = chart.steps;
  await tick(chart.id, 1, first!.id, at(540));
  await tick(chart.id, 1, second!.id, at(547));
  const next = { ...chart, steps: chart.steps.filter((step) => step !== second) };
  await artist
    .post(`/api/charts/${chart.id}/versions`)
    .set(keyed())
    .send({ parent: 1, reason: 'Without it', chart: next })
    .expect(201);
  const now = async () => (await log()).chairs[chart.id]!;
  expect(await now()).toMatchObject({ doneCount: 1, stepCount: next.steps.length, firstAt: at(540) });
  await tick(chart.id, 2, third!.id, at(555));
  expect(await now()).toMatchObject({ doneCount: 2, firstAt: at(540), lastAt: at(555) });
  // What was changed since it was laid is to be done again, here as at the chair.
  const other = next.steps.map((step) => (step === third ? { ...step, passes: step.passes + 1 } : step));
  await artist
    .post(`/api/charts/${chart.id}/versions`)
    .set(keyed())
    .send({ parent: 2, reason: 'Once more', chart: { ...next, steps: other } })
    .expect(201);
  expect(await now()).toMatchObject({ doneCount: 1, firstAt: at(540), lastAt: at(540) });
});

test('what is packed is what the charts take, and the bag is by its guest', async () => {
  const { chartId } = await withChart('2031-06-14');
  const { body } = await artist.get(`/api/parties/${party.id}/packing?today=2031-05-14`).expect(200);
  const list = body as PackingAnswer;
  const used = demo.charts
    .filter(({ id }) => id === chartId)
    .at(-1)!
    .steps.flatMap((step) => step.use);
  const units = used.flatMap((use) => (use.unitId ? [`unit:${use.unitId}`] : []));
  expect(units.length).toBeGreaterThan(3);
  // Whoever has a visit booked with a chart has that one; the first guest the one that was named.
  const { visits } = (await artist.get(`/api/parties/${party.id}`)).body as PartyAnswer;
  const with_ = plan.guests.filter(
    (guest, i) => i === 0 || visits.some((visit) => visit.clientId === guest.clientId && visit.chartId),
  );
  expect(list.bags.map((bag) => bag.key)).toEqual(with_.map((guest) => `bag:${guest.id}`));
  expect(list.without).toEqual(plan.guests.filter((guest) => !with_.includes(guest)).map(({ name }) => name));
  expect(list.products.length + list.short.length).toBeGreaterThan(0);
  await artist.get(`/api/parties/${party.id}/packing?today=soon`).expect(422);
});

test('what is noted of somebody since their chart was written is in no bag of theirs', async () => {
  const { chartId } = await withChart('2031-06-14');
  const { steps, client } = demo.charts.filter(({ id }) => id === chartId).at(-1)!;
  const bag = async (): Promise<string> => {
    const { body } = await artist.get(`/api/parties/${party.id}/packing?today=2031-05-14`).expect(200);
    return (body as PackingAnswer).bags.find(({ key }) => key === `bag:${plan.guests[0]!.id}`)!.detail;
  };
  const [lip] = steps.flatMap(({ role, use }) => (role === 'lip' ? use.map(({ product }) => product) : []));
  const ingredient = lip!.ingredients.find((one) => matchAllergens([one], [one]).length > 0)!;
  expect(await bag()).toContain(productName(lip!));
  const note = (sensitivities: readonly string[]) => noteOf(server, client.id, sensitivities);
  await note([ingredient]);
  expect(await bag()).not.toContain(productName(lip!));
  expect(await bag()).not.toContain(ingredient);
  const { body } = await artist.get(`/api/parties/${party.id}/packing?today=2031-05-14`).expect(200);
  expect((body as PackingAnswer).barred.join('; ')).toContain(`${productName(lip!)} contains`);
  await note(client.sensitivities);
  expect(await bag()).toContain(productName(lip!));
});

test('past visits are told as planned and as they went; nobody’s name who was made up is in it', async () => {
  const { body } = await artist.get('/api/timings/visits?today=2031-05-14').expect(200);
  const timed = body as VisitMinutesAnswer;
  const past = demo.parties.filter(({ plan }) => plan?.timetable);
  expect(timed).toHaveLength(past.reduce((n, { plan }) => n + plan!.timetable!.visits.length, 0));
  const mean = (worker: string): number => {
    const mine = timed.filter((one) => one.worker === worker && one.look !== 'hair');
    return mine.reduce((sum, one) => sum + one.realMinutes / one.plannedMinutes, 0) / mine.length;
  };
  expect(mean('Teodor Marsh')).toBeGreaterThan(mean('Runa Castellane') + 0.05);
  for (const { plan } of past)
    for (const { name } of plan!.guests) expect(JSON.stringify(timed)).not.toContain(name);
  // Before those days there was nothing to learn from.
  expect((await artist.get('/api/timings/visits?today=2030-01-01').expect(200)).body).toEqual([]);
  await artist.get('/api/timings/visits?today=2031-02-30').expect(422);
});
