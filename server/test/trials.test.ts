import type { Agent } from 'supertest';
import { Value } from '@sinclair/typebox/value';
import {
  aSideAt,
  changedSteps,
  drawPlaces,
  drawSides,
  readChart,
  stepsOfVariant,
  swapStep,
  TrialFileSchema,
  trialNow,
  type Chart,
  type Trial,
  zonesCompared,
} from '@toile/core';
import {
  newId,
  newSecret,
  tokenOf,
  type ChartAnswer,
  type OpenWearAnswer,
  type Problem,
  type QuestionsAnswer,
  type TrialAnswer,
  type TrialToldAnswer,
} from '@toile/contract';
import { inStudio } from '../src/db/connection';
import { demo, keyed, testServer, type TestServer } from './testServer';

const NOON = new Date('2031-05-14T18:00:00Z');
let now = NOON;
let server: TestServer;
let artist: Agent;
let owner: Agent;
beforeAll(async () => {
  server = await testServer({ clock: () => now, signInLimit: { windowMs: 1000, tries: 1e6 } });
  artist = await server.signedIn('artist');
  owner = await server.signedIn('owner');
});
afterAll(() => server.stop());
afterEach(() => void (now = NOON));

const PUT_ON = '2031-05-14T08:00:00Z';
const chart = demo.charts.find(({ client }) => client.name === 'Morwenna Penhallow')!;
const newest = async (id: string): Promise<Chart> =>
  ((await artist.get(`/api/charts/${id}`).expect(200)).body as ChartAnswer).chart;
const base = (of: Chart) => of.steps.find((step) => step.role === 'base' && !step.variant)!;
const bodyFor = (of: Chart, more: object = {}) => ({
  id: newId(),
  version: of.version,
  date: '2031-05-14',
  ask: { aspect: 'tool', stepId: base(of).id, tool: base(of).tool === 'finger' ? 'puff' : 'finger' },
  measure: 'shine',
  by: 'client',
  zones: ['forehead', 'nose'],
  hours: [2, 4, 8],
  ...more,
});
const declare = (of: Chart, more: object = {}) =>
  artist.post(`/api/charts/${of.id}/trials`).set(keyed()).send(bodyFor(of, more));
/** Charts in turn: one holds twelve unfinished trials. */
const CHARTS = [
  ...new Map(
    demo.charts.filter(({ client }) => client.name !== 'Rosalba Whitlow').map((of) => [of.id, of]),
  ).values(),
];
let turn = 0;
const drawn = async (of: Chart = CHARTS[turn++ % CHARTS.length]!, more: object = {}): Promise<TrialAnswer> =>
  (await declare(await newest(of.id), more).expect(201)).body as TrialAnswer;
const told = (id: string, event: object, intoChart = false, who = artist) =>
  who
    .post(`/api/trials/${id}/events`)
    .set(keyed())
    .send({ event: { id: newId(), at: PUT_ON, ...event }, intoChart });
const shine = (hour: number, left: number, right: number, more: object = {}) => ({
  kind: 'looked',
  judge: 'client',
  lookedAt: new Date(Date.parse(PUT_ON) + hour * 3_600_000).toISOString(),
  seen: [
    { zone: 'nose', side: 'left', measure: 'shine', value: left },
    { zone: 'nose', side: 'right', measure: 'shine', value: right },
  ],
  touched: [],
  marks: [],
  ...more,
});
const applied = { kind: 'applied', appliedAt: PUT_ON };
const rowOf = async (id: string): Promise<Trial> =>
  inStudio(server.db, demo.studio.id, async (tx) => {
    const row = await tx
      .selectFrom('trials')
      .select('document')
      .where('id', '=', id)
      .executeTakeFirstOrThrow();
    return row.document;
  });
const decided = (more: object = {}) => ({
  kind: 'decided',
  choice: 'a',
  scope: 'client',
  reason: '',
  neck: 'yes',
  camera: 'not looked at',
  ...more,
});

test('declared and drawn once: both halves are in the chart’s next version, the side is sealed', async () => {
  const before = await newest(chart.id);
  const answer = await drawn(chart);
  expect(answer).toMatchObject({ draw: null, chartHas: null, soFar: null, clientName: chart.client.name });
  expect(answer).not.toHaveProperty('swap');
  expect(JSON.stringify(answer)).not.toMatch(/aSide|chance|"seed"/);
  const after = await newest(chart.id);
  expect(after.version).toBe(before.version + 1);
  expect(answer.version).toBe(after.version);
  const sides = stepsOfVariant(after.steps, answer.variant).flatMap(
    (step) => /^Client’s (left|right): /.exec(step.title)?.[1] ?? [],
  );
  expect(sides.sort()).toEqual(['left', 'right']);
  const trial = await rowOf(answer.id);
  expect(trial.draw).toMatchObject({ seed: `${demo.studio.id}/${answer.id}`, by: 'Teodor Marsh' });
  expect(after.steps.filter((step) => step.variant === undefined)).toEqual(
    before.steps.filter((s) => s.variant === undefined),
  );
});

test('draws of one question lean on those before, also when two are made at once', async () => {
  const ask = { measure: 'coverage', hours: [1] };
  const charts = ['Ignace Dovrel', 'Leocadia Brandt'].map((name) =>
    demo.charts.find(({ client }) => client.name === name)!,
  );
  const tool = { aspect: 'tool', tool: 'spatula' };
  const made = await Promise.all(
    charts.map(async (of) => {
      const now = await newest(of.id);
      return declare(now, { ...ask, zones: ['nose'], ask: { ...tool, stepId: base(now).id } });
    }),
  );
  made.forEach((one) => expect(one.status).toBe(201));
  const rows = await Promise.all(made.map((one) => rowOf((one.body as TrialAnswer).id)));
  const byKey = new Map<string, Trial[]>();
  for (const row of rows) byKey.set(row.question.key, [...(byKey.get(row.question.key) ?? []), row]);
  for (const trials of byKey.values()) {
    const sorted = await inStudio(server.db, demo.studio.id, (tx) =>
      tx
        .selectFrom('trials')
        .select('document')
        .where('question_key', '=', trials[0]!.question.key)
        .orderBy('seq')
        .execute(),
    );
    sorted.forEach(({ document }, i) => {
      const earlier = sorted.slice(0, i).map((one) => aSideAt(one.document.draw, 'nose'));
      expect(document.draw).toMatchObject(drawSides(document.draw.seed, earlier));
    });
  }
});

test.each([
  ['nothing of that in the chart', { ask: { aspect: 'step', stepId: newId() } }, 'ask', 'nothing of that'],
  ['done that way already', 'same tool', 'ask', 'that way already'],
  ['a place where nothing differs', 'cheek only', 'zones[0]', 'does not lie there'],
  ['no place', { zones: [] }, 'zones', 'at least one place'],
  ['no hour', { hours: [] }, 'hours', 'at least one hour'],
  ['hours nobody wears', { hours: [4, 99] }, 'hours[1]', 'At most 24'],
  ['a measure there is none of', { measure: 'glow' }, 'measure', 'Say by what it is judged'],
  ['no day', { date: '2031-02-30' }, 'date', 'A date'],
  ['an aspect there is none of', { ask: { aspect: 'mood' } }, 'ask.aspect', 'what is compared'],
  [
    'a tool there is none of',
    { ask: { aspect: 'tool', stepId: newId(), tool: 'spoon' } },
    'ask.tool',
    'Choose a tool',
  ],
  [
    'two schools at once',
    { ask: { aspect: 'school', answers: { mist: 'powder, then spray', contrast: 'bold' } } },
    'ask.answers',
    'one question',
  ],
  [
    'a school there is none of',
    { ask: { aspect: 'school', answers: { weather: 'dry' } } },
    'ask.answers',
    'one question',
  ],
  ['a product from elsewhere', 'strange product', 'parts', 'not in this kit'],
  ['a draw that was made by hand', { draw: { aSide: 'left' } }, '', 'draw is not known here'],
] as const)('%s is refused and draws nothing', async (_, more, path, says) => {
  const of = await newest(chart.id);
  const change =
    more === 'same tool'
      ? { ask: { aspect: 'tool', stepId: base(of).id, tool: base(of).tool } }
      : more === 'cheek only'
        ? {
            ask: { aspect: 'step', stepId: of.steps.find((s) => s.role === 'lip' && !s.variant)!.id },
            zones: ['forehead'],
          }
        : more === 'strange product'
          ? {
              ask: {
                aspect: 'product',
                stepId: base(of).id,
                parts: [{ productId: newId(), unitId: newId(), pumps: 1 }],
                doseFactor: 1,
              },
            }
          : more;
  const answer = await declare(of, change).expect(422);
  const { fields } = answer.body as Problem;
  expect(fields!.some((field) => field.path === path && field.message.includes(says))).toBe(true);
  expect((await newest(chart.id)).version).toBe(of.version);
});

test('whoever saved in between is told of', async () => {
  const of = await newest(chart.id);
  const answer = await declare({ ...of, version: of.version - 1 }).expect(409);
  expect((answer.body as Problem).code).toBe('stale');
});

test('opened at the chair it is open to whoever opened it, and to nobody else', async () => {
  const { id } = await drawn();
  const opened = (await told(id, { kind: 'opened' }).expect(201)).body as TrialToldAnswer;
  expect(aSideAt(opened.trial.draw!, 'nose')).toMatch(/left|right/);
  expect(opened.trial.soFar).toBeNull();
  expect(((await owner.get(`/api/trials/${id}`).expect(200)).body as TrialAnswer).draw).toBeNull();
  expect(((await artist.get(`/api/trials/${id}`).expect(200)).body as TrialAnswer).draw).not.toBeNull();
});

test('worn, judged once while sealed, then opened; the file is what its schema says', async () => {
  const { id } = await drawn();
  await artist.get(`/api/trials/${id}/export`).expect(409);
  await told(id, applied).expect(201);
  await told(id, decided()).expect(409);
  await told(id, shine(4, 0, 2)).expect(201);
  const judged = (await told(id, { kind: 'judged', guess: 'left' }).expect(201)).body as TrialToldAnswer;
  const trial = await rowOf(id);
  expect(judged.trial.draw).toEqual(trial.draw);
  expect(trialNow(trial, judged.trial.events).compared.outcome).toBe(
    aSideAt(trial.draw, 'nose') === 'left' ? 1 : -1,
  );
  // Two verdicts at once and one after: the first stays.
  for (const again of await Promise.all([1, 2].map(() => told(id, { kind: 'judged', guess: 'right' }))))
    expect([again.status, (again.body as Problem).code]).toEqual([409, 'judged-already']);
  await told(id, shine(8, 0, 2)).expect(409);
  const file = JSON.parse((await artist.get(`/api/trials/${id}/export`).expect(200)).text) as unknown;
  expect(Value.Check(TrialFileSchema, file)).toBe(true);
});

test('of two verdicts at the same moment one is kept', async () => {
  const { id } = await drawn();
  await told(id, applied).expect(201);
  await told(id, shine(4, 1, 2)).expect(201);
  const both = await Promise.all(['left', 'right'].map((guess) => told(id, { kind: 'judged', guess })));
  expect(both.map(({ status }) => status).sort()).toEqual([201, 409]);
});

test.each([
  ['looked at before it was put on', shine(-1, 0, 1), 'event.lookedAt', 'before it was put on'],
  ['still to come', shine(12, 0, 1), 'event.lookedAt', 'still to come'],
  ['a grade there is not', shine(2, 0, 7), 'event.seen[1].value', '0 to 3'],
  ['nothing said', shine(2, 0, 0, { seen: [] }), 'event.seen', 'at least one place'],
  [
    'put on after it was looked at',
    { kind: 'applied', appliedAt: '2031-05-14T17:00:00Z' },
    'event.appliedAt',
    'looked at before',
  ],
  ['no reason to end it', { kind: 'ended', why: ' ' }, 'event.why', 'why it was ended'],
  ['another’s name on it', { ...applied, by: 'Somebody' }, 'event', ''],
])('%s is told by its field, and nothing is kept', async (_, event, path, says) => {
  const { id } = await drawn();
  await told(id, applied).expect(201);
  await told(id, shine(2, 1, 1)).expect(201);
  const answer = await told(id, event).expect(422);
  const { fields } = answer.body as Problem;
  expect(fields!.some((field) => field.path.startsWith(path) && field.message.includes(says))).toBe(true);
  expect(((await artist.get(`/api/trials/${id}`).expect(200)).body as TrialAnswer).events).toHaveLength(2);
});

test('a verdict on nothing is refused', async () => {
  const { id } = await drawn();
  await told(id, { kind: 'judged' }).expect(422);
});

test('the decision is hers: against the count with a reason, and into the chart by one touch', async () => {
  const { id, chartId, variant } = await drawn();
  const trial = await rowOf(id);
  const aBetter = aSideAt(trial.draw, 'nose') === 'left';
  await told(id, applied).expect(201);
  await told(id, shine(4, 0, 2)).expect(201);
  await told(id, { kind: 'judged' }).expect(201);
  const other = trial.chartHas === 'a' ? 'b' : 'a';
  const against = (aBetter ? 'a' : 'b') !== other;
  const silent = await told(id, decided({ choice: other }), true);
  expect(silent.status).toBe(against ? 422 : 201);
  if (against) expect((silent.body as Problem).fields![0]!.path).toBe('event.reason');
  const version = (await newest(chartId)).version;
  const answer = (await told(id, decided({ choice: other, reason: 'the feel of it' }), true).expect(201))
    .body as TrialToldAnswer;
  expect(answer.trial.events.at(-1)).toMatchObject({
    kind: 'decided',
    follows: !against,
    by: 'Teodor Marsh',
  });
  expect(answer.version).toBe(version + 1);
  const after = await newest(chartId);
  expect(after.variants.some((one) => one.id === variant)).toBe(false);
  expect(after.steps.some((step) => step.variant === variant)).toBe(false);
  const { swap } = trial;
  if (swap.aspect === 'school') throw new Error('a tool was tried');
  expect(base(after).tool).toBe(swap.steps[0]!.other!.tool);
  // The chart travels as any other.
  const file = await artist.get(`/api/charts/${chartId}/export`).expect(200);
  expect(readChart(file.text).ok).toBe(true);
});

test('an assistant looks and judges, and decides nothing', async () => {
  const assistant = await server.signedIn('assistant');
  const { id } = await drawn();
  await told(id, applied, false, assistant).expect(201);
  await told(id, shine(4, 1, 2), false, assistant).expect(201);
  await told(id, { kind: 'judged' }, false, assistant).expect(201);
  for (const into of [false, true]) await told(id, decided(), into, assistant).expect(403);
  await declare(await newest(chart.id)).expect(201);
  await assistant
    .post(`/api/charts/${chart.id}/trials`)
    .set(keyed())
    .send(bodyFor(await newest(chart.id)))
    .expect(403);
});

test('decided otherwise later, the chart goes back; what was changed by hand since is left alone', async () => {
  const { id, chartId } = await drawn();
  const { chartHas } = await rowOf(id);
  const before = base(await newest(chartId));
  await told(id, applied).expect(201);
  await told(id, shine(4, 1, 1)).expect(201);
  await told(id, { kind: 'judged' }).expect(201);
  const [own, other] = chartHas === 'a' ? (['a', 'b'] as const) : (['b', 'a'] as const);
  await told(id, decided({ choice: other }), true).expect(201);
  expect(base(await newest(chartId)).tool).not.toBe(before.tool);
  await told(id, decided({ choice: own }), true).expect(201);
  expect(base(await newest(chartId))).toEqual(before);
});

/** A trial that is worn, and the client's link to tell of it. */
const link = async () => {
  const trial = await drawn();
  const secret = newSecret();
  await artist
    .post(`/api/charts/${trial.chartId}/wear-links`)
    .set(keyed())
    .send({ id: newId(), version: trial.version, appliedAt: PUT_ON, secret, trialId: trial.id })
    .expect(201);
  return { trial, token: tokenOf(demo.studio.id, secret) };
};

test('a touch-up told by the client ends what is compared there', async () => {
  const { trial, token } = await link();
  const send = (at: string, left: number, right: number, touched: string[]) =>
    server
      .agent()
      .post('/api/trials/send')
      .send({
        token,
        id: newId(),
        at,
        seen: [
          { zone: 'nose', side: 'left', value: left },
          { zone: 'nose', side: 'right', value: right },
        ],
        touched,
      });
  await send('2031-05-14T10:00:00Z', 0, 1, ['nose']).expect(201);
  await send('2031-05-14T14:00:00Z', 3, 0, []).expect(201);
  await send('2031-05-14T14:30:00Z', 0, 0, ['elbow']).expect(422);
  const { events } = (await artist.get(`/api/trials/${trial.id}`).expect(200)).body as TrialAnswer;
  const row = await rowOf(trial.id);
  expect(trialNow(row, events).compared.zones.find(({ zone }) => zone === 'nose')).toMatchObject({
    pairs: 1,
    untilHour: 2,
  });
});

test('for everybody on too few it asks for a reason, and is never refused for what it decides', async () => {
  const { id } = await drawn();
  await told(id, applied).expect(201);
  await told(id, shine(4, 1, 1)).expect(201);
  await told(id, { kind: 'judged' }).expect(201);
  await told(id, decided({ scope: 'studio' })).expect(422);
  await told(id, decided({ scope: 'studio', reason: 'cheaper' })).expect(201);
  await told(id, decided({ choice: 'more' })).expect(201);
});

describe('a client on a phone of their own', () => {
  const send = (token: string, more: object = {}) =>
    server
      .agent()
      .post('/api/trials/send')
      .send({
        token,
        id: newId(),
        at: '2031-05-14T12:00:00Z',
        seen: [
          { zone: 'nose', side: 'left', value: 0 },
          { zone: 'nose', side: 'right', value: 2 },
        ],
        ...more,
      });

  test('is asked of both halves and told nothing of which is which', async () => {
    const { trial, token } = await link();
    const asks = (await server.agent().post('/api/wear/open').send({ token }).expect(200))
      .body as OpenWearAnswer;
    expect(asks.halves).toEqual({ measure: 'shine', zones: ['forehead', 'nose'], hours: [2, 4, 8] });
    expect(JSON.stringify(asks)).not.toMatch(/aSide|Ordway|swap|question/);
    const id = newId();
    await send(token, { id }).expect(201);
    // A bad network: the same look again.
    await send(token, { id }).expect(201);
    const after = (await artist.get(`/api/trials/${trial.id}`).expect(200)).body as TrialAnswer;
    expect(after.events.map((event) => [event.kind, event.by])).toEqual([
      ['applied', 'Teodor Marsh'],
      ['looked', trial.clientName],
    ]);
  });

  test.each([
    ['before it was put on', { at: '2031-05-14T07:00:00Z' }, 422],
    ['a grade there is not', { seen: [{ zone: 'nose', side: 'left', value: 9 }] }, 422],
    ['another measure', { seen: [{ zone: 'nose', side: 'left', value: 1, measure: 'comfort' }] }, 422],
    ['nothing', { seen: [] }, 422],
  ])('%s is refused', async (_, more, status) => {
    const { token } = await link();
    await send(token, more).expect(status);
  });

  test('a link for a plain wearing is none for halves, nor one of another chart; a judged trial takes no more', async () => {
    const secret = newSecret();
    const plain = { id: newId(), version: 1, appliedAt: PUT_ON, secret };
    await artist.post(`/api/charts/${chart.id}/wear-links`).set(keyed()).send(plain).expect(201);
    await send(tokenOf(demo.studio.id, secret)).expect(410);
    const { trial, token } = await link();
    const elsewhere = demo.charts.find(({ id }) => id !== trial.chartId)!;
    await artist
      .post(`/api/charts/${elsewhere.id}/wear-links`)
      .set(keyed())
      .send({ ...plain, id: newId(), secret: newSecret(), trialId: trial.id })
      .expect(404);
    await send(token).expect(201);
    await told(trial.id, { kind: 'judged' }).expect(201);
    await send(token).expect(409);
  });

  test('what stings ends it and counts against that half', async () => {
    const { trial, token } = await link();
    await send(token, { stings: 'left' }).expect(201);
    const after = (await artist.get(`/api/trials/${trial.id}`).expect(200)).body as TrialAnswer;
    expect(after.draw).not.toBeNull();
    expect(trialNow(await rowOf(trial.id), after.events)).toMatchObject({ state: 'ended', stung: 'left' });
  });
});

test('the year’s questions: three judged and three still sealed; judging one more moves the evidence', async () => {
  const asked = async () => {
    const { questions } = (await artist.get('/api/trials').expect(200)).body as QuestionsAnswer;
    return questions.find(({ question }) => question.text.includes('Long Hours'))!;
  };
  const before = await asked();
  expect(before.verdict.counts.trials).toBe(3);
  expect(before.verdict.words).toBe('too few to tell');
  const sealed = before.marks.filter((mark) => mark.state === 'worn');
  expect(sealed).toHaveLength(3);
  await told(sealed[0]!.trialId, { kind: 'judged' }).expect(201);
  const after = await asked();
  expect(after.verdict.words).toBe('leaning');
  expect(after.verdict.evidence).toBeGreaterThan(before.verdict.evidence);
});

test('erased, a client’s trials are gone and what is left says nothing of them', async () => {
  const { clientId, chartId } = demo.trials.at(-1)!;
  const { name } = demo.clients.find(({ id }) => id === clientId)!;
  const says = (await owner.get(`/api/clients/${clientId}/erasures`).expect(200)).body as { trials: number };
  expect(says.trials).toBe(1);
  await owner
    .post(`/api/clients/${clientId}/erasures`)
    .set(keyed())
    .send({ name, charts: 'kept without the person' })
    .expect(200);
  const left = await inStudio(server.db, demo.studio.id, (tx) =>
    tx.selectFrom('trials').select('id').where('client_id', '=', clientId).execute(),
  );
  expect(left).toEqual([]);
  expect((await artist.get(`/api/charts/${chartId}/trials`).expect(200)).body).toEqual([]);
  const { names } = (await artist.get('/api/trials').expect(200)).body as QuestionsAnswer;
  expect(Object.values(names)).not.toContain(name);
});

describe('each place with a draw of its own', () => {
  const powderOf = (of: Chart) =>
    of.steps.find((step) => step.role === 'powder' && !step.variant && step.placements.length > 0)!;
  const byPlaces = (of: Chart, more: object = {}) =>
    declare(of, {
      ask: { aspect: 'step', stepId: powderOf(of).id },
      design: 'places',
      zones: zonesCompared(of, changedSteps(of, swapStep(of, powderOf(of).id, 'left out')!)),
      ...more,
    });
  const POWDERED = demo.charts.find(
    ({ id, steps }) => id !== chart.id && steps.some((s) => s.role === 'powder' && s.placements.length > 1),
  )!;

  test('drawn once each by a fair coin, worked in a variant, sealed, judged, and counted beside the others', async () => {
    const of = await newest(POWDERED.id);
    const { id, declared, draw } = (await byPlaces(of).expect(201)).body as TrialAnswer;
    expect(declared.design).toBe('places');
    expect(declared.zones.length).toBeGreaterThan(1);
    expect(draw).toBeNull();
    const trial = await rowOf(id);
    expect(trial.draw).toMatchObject({ places: drawPlaces(trial.draw.seed, declared.zones) });
    const worked = stepsOfVariant((await newest(of.id)).steps, trial.variant);
    const titles = worked.map((step) => step.title).filter((title) => title.includes(powderOf(of).title));
    expect(titles.every((title) => /^(Not everywhere|Only in places): /.test(title))).toBe(true);
    await told(id, applied).expect(201);
    const seen = declared.zones.flatMap((zone) => {
      const good = aSideAt(trial.draw, zone);
      return (['left', 'right'] as const).map((side) => ({
        zone,
        side,
        measure: 'shine',
        value: side === good ? 0 : 3,
      }));
    });
    await told(id, { ...shine(4, 0, 0), seen }).expect(201);
    const judged = (await told(id, { kind: 'judged' }).expect(201)).body as TrialToldAnswer;
    expect(trialNow(trial, judged.trial.events).compared.outcome).toBe(1);
    const mark = judged.trial.soFar!.marks.find((one) => one.trialId === id)!;
    expect([mark.outcome, mark.counts]).toEqual([1, true]);
    const file = JSON.parse((await artist.get(`/api/trials/${id}/export`).expect(200)).text) as unknown;
    expect(Value.Check(TrialFileSchema, file)).toBe(true);
  });

  test.each([
    [
      'what is not local',
      (of: Chart) => ({ ask: bodyFor(of).ask, zones: ['forehead', 'nose'] }),
      /design.*stay where they are laid/,
    ],
    [
      'one place',
      (of: Chart) => ({
        zones: [zonesCompared(of, changedSteps(of, swapStep(of, powderOf(of).id, 'left out')!))[0]],
      }),
      /two places or more/,
    ],
    ['a design nobody knows', () => ({ design: 'quarters' }), /half or places/],
  ])('refused: %s', async (_, more, words) => {
    const of = await newest(POWDERED.id);
    const answer = await byPlaces(of, more(of)).expect(422);
    expect(JSON.stringify(answer.body)).toMatch(words);
    expect((await newest(of.id)).version).toBe(of.version);
  });

  test('the coin of the next whole face leans on whole faces alone', async () => {
    const of = await newest(POWDERED.id);
    await byPlaces(of).expect(201);
    const { id } = (
      await declare(await newest(of.id), {
        ask: { aspect: 'step', stepId: powderOf(of).id },
        zones: zonesCompared(of, changedSteps(of, swapStep(of, powderOf(of).id, 'left out')!)),
      }).expect(201)
    ).body as TrialAnswer;
    const trial = await rowOf(id);
    const earlier = await inStudio(server.db, demo.studio.id, (tx) =>
      tx
        .selectFrom('trials')
        .select('document')
        .where('question_key', '=', trial.question.key)
        .where('id', '!=', id)
        .orderBy('seq')
        .execute(),
    );
    const sides = earlier.flatMap(({ document: { draw } }) => ('aSide' in draw ? [draw.aSide] : []));
    expect(earlier.length).toBeGreaterThan(sides.length);
    expect(trial.draw).toMatchObject(drawSides(trial.draw.seed, sides));
  });
});
