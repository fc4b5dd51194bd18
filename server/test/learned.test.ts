import type { Agent } from 'supertest';
import { newId, type LearnedEvidenceAnswer, type Problem } from '@toile/contract';
import { demo, keyed, testServer, type TestServer } from './testServer';

let server: TestServer;
let artist: Agent;
beforeAll(async () => {
  server = await testServer({ signInLimit: { windowMs: 1000, tries: 1e6 } });
  artist = await server.signedIn('artist');
});
afterAll(() => server.stop());

const answer = (more: object = {}) => ({
  id: newId(),
  key: 'nose | Veil | Hours',
  answer: 'not now',
  words: 'Hours for Veil',
  failed: 3,
  worn: 4,
  strength: 'hint',
  ...more,
});
const say = (body: object, who = artist) => who.post('/api/learned').set(keyed()).send(body);
const learned = async (path = '/api/learned'): Promise<LearnedEvidenceAnswer> =>
  (await artist.get(path).expect(200)).body as LearnedEvidenceAnswer;

test('a client’s own wears are told apart, and only theirs', async () => {
  const { clientId } = demo.wearChecks[0]!;
  const [mine, all] = [await learned(`/api/learned?client=${clientId}`), await learned()];
  const count = (of: LearnedEvidenceAnswer, own: boolean): number =>
    of.wears.filter((one) => one.own === own).reduce((sum, one) => sum + one.count, 0);
  expect(count(all, true)).toBe(0);
  expect(count(mine, true)).toBeGreaterThan(0);
  expect(count(mine, true) + count(mine, false)).toBe(count(all, false));
});

test('how charts were worked is told beside it: an amount told at the chair, a step skipped, in this studio alone', async () => {
  const before = (await learned()).habits;
  const worked = new Set(demo.events.map((event) => event.chartId));
  const chart = demo.charts.find(({ id, steps }) => !worked.has(id) && steps.length > 4)!;
  const [more, left] = chart.steps.filter(({ use, variant }) => use.length === 1 && variant === undefined);
  const tell = (stepId: string, body: object) =>
    artist
      .post(`/api/charts/${chart.id}/events`)
      .set(keyed())
      .send({ id: newId(), version: chart.version, stepId, at: '2031-05-14T08:00:00Z', ...body })
      .expect(201);
  const planned = more!.use[0]!.parts;
  await tell(more!.id, { kind: 'deviation', deviation: { kind: 'amount', measures: planned * 2, note: '' } });
  expect((await learned()).habits).toHaveLength(before.length);
  await tell(more!.id, { kind: 'done' });
  await tell(left!.id, { kind: 'deviation', deviation: { kind: 'skipped', note: '' } });
  const { habits } = await learned();
  expect(habits).toHaveLength(before.length + 2);
  const mine = habits.filter(({ clientId }) => clientId === chart.client.id);
  expect(mine).toEqual(
    expect.arrayContaining([
      expect.objectContaining({ title: more!.title, ratio: 2, skipped: false, lookId: chart.look.id }),
      expect.objectContaining({ title: left!.title, ratio: null, skipped: true }),
    ]),
  );
  const stranger = await server.signedIn('stranger');
  expect(((await stranger.get('/api/learned').expect(200)).body as LearnedEvidenceAnswer).habits).toEqual([]);
});

test('an answer is kept with who gave it, and told to everybody of the studio', async () => {
  const given = answer();
  await say({ answer: given }).expect(201);
  const owner = await server.signedIn('owner');
  const { answers } = (await owner.get('/api/learned').expect(200)).body as LearnedEvidenceAnswer;
  expect(answers.at(-1)).toMatchObject({ ...given, by: 'Teodor Marsh' });
  await say({ answer: given }).expect(409);
});

test.each([
  ['a word there is none of', { answer: answer({ answer: 'perhaps' }) }],
  ['another’s name', { answer: answer({ by: 'Somebody' }) }],
  ['fewer than none', { answer: answer({ failed: -1 }) }],
  ['nothing', {}],
])('%s is refused by its field', async (_, body) => {
  const refused = await say(body).expect(422);
  expect((refused.body as Problem).fields![0]!.path).toMatch(/^answer/);
});

test('of a client there is none of, or of another studio, it is as if there were nobody', async () => {
  await artist.get(`/api/learned?client=${newId()}`).expect(404);
  await artist.get('/api/learned?client=nobody').expect(404);
  const stranger = await server.signedIn('stranger');
  await stranger.get(`/api/learned?client=${demo.clients[0]!.id}`).expect(404);
  expect(((await stranger.get('/api/learned').expect(200)).body as LearnedEvidenceAnswer).wears).toEqual([]);
});

test('an assistant sees what is learned and answers nothing', async () => {
  const assistant = await server.signedIn('assistant');
  await assistant.get('/api/learned').expect(200);
  await say({ answer: answer() }, assistant).expect(403);
});

test('decided for everybody, a question is told; decided otherwise since, the newest speaks', async () => {
  const trial = demo.trials.find(({ question }) => question.aspect === 'product')!;
  let day = 4;
  const decide = (choice: string, scope: string) =>
    artist
      .post(`/api/trials/${trial.id}/events`)
      .set(keyed())
      .send({
        event: {
          id: newId(),
          at: `2031-05-1${day++}T20:00:00Z`,
          kind: 'decided',
          choice,
          scope,
          reason: 'tried',
          neck: 'yes',
          camera: 'yes',
        },
        intoChart: false,
      })
      .expect(201);
  expect((await learned()).decisions).toEqual([]);
  await decide('b', 'studio');
  expect((await learned()).decisions.map(({ question, decided }) => [question.key, decided.choice])).toEqual([
    [trial.question.key, 'b'],
  ]);
  await decide('b', 'skinType');
  expect((await learned()).decisions).toMatchObject([{ skin: trial.skin, zones: trial.declared.zones }]);
  await decide('b', 'client');
  expect((await learned()).decisions).toEqual([]);
});
