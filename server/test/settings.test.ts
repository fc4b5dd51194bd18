import type { Problem, StudioSettingsAnswer } from '@toile/contract';
import { keyed, testServer, type TestServer } from './testServer';

let server: TestServer;
beforeAll(async () => void (server = await testServer()));
afterAll(() => server.stop());

test('a studio grades the rules its own way; only its owner, from the revision shown', async () => {
  const owner = await server.signedIn('owner');
  expect((await owner.get('/api/settings').expect(200)).body).toEqual({
    settings: { ruleGrades: {} },
    revision: 0,
  });
  const put = (revision: number, ruleGrades: object) =>
    owner
      .put('/api/settings')
      .set({ ...keyed(), 'if-match': String(revision) })
      .send({ ruleGrades });
  await put(0, { 'heavy-base': 'off' }).expect(200);
  await put(0, {}).expect(409);
  await put(1, { 'heavy-base': 'note', allergen: 'stop' }).expect(200);
  expect((await owner.get('/api/settings')).body).toEqual({
    settings: { ruleGrades: { 'heavy-base': 'note', allergen: 'stop' } },
    revision: 2,
  });
  await put(2, { 'no-such-rule': 'off' }).expect(422);
  await put(2, { allergen: 'loud' }).expect(422);
  const artist = await server.signedIn('artist');
  await artist
    .put('/api/settings')
    .set({ ...keyed(), 'if-match': '2' })
    .send({ ruleGrades: {} })
    .expect(403);
  const stranger = await server.signedIn('stranger');
  expect((await stranger.get('/api/settings')).body.revision).toBe(0);
});

test('a studio has its way in questions schools answer differently, and only answers a school allows', async () => {
  const owner = await server.signedIn('owner');
  const { revision } = (await owner.get('/api/settings')).body;
  const put = (at: number, schools: unknown) =>
    owner
      .put('/api/settings')
      .set({ ...keyed(), 'if-match': String(at) })
      .send({ ruleGrades: {}, schools });
  await put(revision, { mist: 'powder, then spray', eyesOrFace: 'eyes first' }).expect(200);
  expect((await owner.get('/api/settings')).body.settings.schools).toEqual({
    mist: 'powder, then spray',
    eyesOrFace: 'eyes first',
  });
  const refused = await put(revision + 1, { eyesOrFace: 'lips first' }).expect(422);
  expect(refused.body.fields[0].path).toBe('schools');
  await put(revision + 1, { moon: 'full' }).expect(422);
});

test('how things are told is kept, and what is no manner is refused by its field', async () => {
  const owner = await server.signedIn('owner');
  const { revision } = (await owner.get('/api/settings').expect(200)).body as StudioSettingsAnswer;
  const put = (manner: object, at = revision) =>
    owner.put('/api/settings').set(keyed()).set('if-match', `"${at}"`).send({ ruleGrades: {}, manner });
  for (const [manner, field] of [
    [{ days: 'month year' }, 'manner.days'],
    [{ clock: '13 hours' }, 'manner.clock'],
    [{ firstWeekday: 'Someday' }, 'manner.firstWeekday'],
    [{ temperature: 'K' }, 'manner.temperature'],
  ] as const) {
    const refused = (await put(manner).expect(422)).body as Problem;
    expect(refused.fields?.map(({ path }) => path)).toEqual([field]);
  }
  await put({ weeks: 7 }).expect(422);
  const kept = (await put({ days: 'month day', clock: '12 hours' }).expect(200)).body as StudioSettingsAnswer;
  expect(kept.settings.manner).toEqual({ days: 'month day', clock: '12 hours' });
});
