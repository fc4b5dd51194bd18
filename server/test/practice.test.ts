import type { Agent } from 'supertest';
import { newId, type PracticeAnswer, type Problem } from '@toile/contract';
import { demo, keyed, testServer, type TestServer } from './testServer';

const now = new Date('2031-05-14T18:00:00Z');
let server: TestServer;
let artist: Agent;
let owner: Agent;
let assistant: Agent;
beforeAll(async () => {
  server = await testServer({ clock: () => now, signInLimit: { windowMs: 1000, tries: 1e6 } });
  [artist, owner, assistant] = [
    await server.signedIn('artist'),
    await server.signedIn('owner'),
    await server.signedIn('assistant'),
  ];
});
afterAll(() => server.stop());

const attempt = (more: object = {}) => ({
  id: newId(),
  at: '2031-05-14T17:00:00Z',
  kind: 'attempt',
  skill: 'jaw',
  seed: 4,
  level: 0,
  score: 71,
  grade: 'near',
  miss: 2.4,
  first: '2 mm towards the neck.',
  ...more,
});
const tell = (event: object, who = artist) => who.post('/api/practice').set(keyed()).send({ event });
const practice = async (who = artist): Promise<PracticeAnswer> =>
  (await who.get('/api/practice').expect(200)).body as PracticeAnswer;

test('an attempt is one’s own: nobody else is told of it until it is shared, and then only of that skill', async () => {
  await tell(attempt()).expect(201);
  await tell(attempt({ skill: 'nose' })).expect(201);
  expect((await practice()).events.map((event) => event.skill)).toEqual(['jaw', 'nose']);
  expect((await practice(owner)).events).toEqual([]);
  expect((await practice(owner)).team.filter(({ name }) => name === 'Teodor Marsh')).toEqual([]);
  await tell({ id: newId(), at: '2031-05-14T17:10:00Z', kind: 'shared', skill: 'jaw', shared: true }).expect(
    201,
  );
  expect((await practice(owner)).team.filter(({ name }) => name === 'Teodor Marsh')).toMatchObject([
    { skill: 'jaw', attempts: 1, last: { median: 2.4 } },
  ]);
  // One's own is among one's own, not among the team.
  expect((await practice()).team.map(({ name }) => name)).not.toContain('Teodor Marsh');
  await tell({ id: newId(), at: '2031-05-14T17:20:00Z', kind: 'shared', skill: 'jaw', shared: false }).expect(
    201,
  );
  expect((await practice(owner)).team.map(({ name }) => name)).not.toContain('Teodor Marsh');
});

test('what the demo’s assistant shares is seen; the week’s skill by everybody, set by whoever manages', async () => {
  const seen = await practice(owner);
  expect(seen.team).toMatchObject([{ name: 'Wilhelmina Fry', skill: 'contour', attempts: 12 }]);
  expect(seen.week).toMatchObject({ skill: 'nose', by: 'Runa Castellane' });
  const week = { id: newId(), at: '2031-05-14T17:30:00Z', kind: 'week', skill: 'brow', from: '2031-05-14' };
  await tell(week, assistant).expect(403);
  await tell(week, artist).expect(403);
  await tell(week, owner).expect(201);
  expect((await practice(assistant)).week).toMatchObject({ skill: 'brow', from: '2031-05-14' });
});

test.each([
  ['a skill there is none of', attempt({ skill: 'juggling' }), 'event.skill'],
  ['still to come', attempt({ at: '2031-05-14T19:00:00Z' }), 'event.at'],
  ['more than all', attempt({ score: 101 }), 'event'],
  ['another’s name', attempt({ by: 'Somebody' }), 'event'],
])('%s is refused by its field', async (_, event, path) => {
  const answer = await tell(event).expect(422);
  expect((answer.body as Problem).fields![0]!.path.startsWith(path)).toBe(true);
});

test('told twice it is there once', async () => {
  const one = attempt({ skill: 'liner' });
  await tell(one).expect(201);
  expect((await tell(one)).status).toBe(409);
  expect((await practice()).events.filter((event) => event.id === one.id)).toHaveLength(1);
});

test('one’s own attempts may be let go of, and only one’s own', async () => {
  await tell(attempt({ skill: 'liner' }), owner).expect(201);
  const forget = (body: object, who = artist) =>
    who.post('/api/practice/forgettings').set(keyed()).send(body);
  await forget({ skill: 'liner' }).expect(422);
  await forget({ skill: 'liner', sure: true }).expect(200);
  expect((await practice()).events.some((event) => event.skill === 'liner')).toBe(false);
  expect((await practice()).events.some((event) => event.skill === 'nose')).toBe(true);
  expect((await practice(owner)).events.some((event) => event.skill === 'liner')).toBe(true);
  await forget({ skill: null, sure: true }).expect(200);
  expect((await practice()).events.filter((event) => event.kind === 'attempt')).toEqual([]);
  expect((await practice(owner)).team).toMatchObject([{ name: 'Wilhelmina Fry' }]);
});

test('another studio sees nothing of it', async () => {
  const stranger = await server.signedIn('stranger');
  expect(await practice(stranger)).toEqual({ events: [], week: null, team: [] });
  expect(demo.practiceEvents.length).toBeGreaterThan(10);
});
