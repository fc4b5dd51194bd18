import {
  type Problem,
  type SessionAnswer,
  type StudioSettingsAnswer,
  type LookSummary,
} from '@toile/contract';
import { readLook } from '@toile/core';
import { starterLooksAt } from '../src/setup/routes';
import { testServer, type TestServer } from './testServer';

const PASSWORD = 'three small lanterns';
const owner = {
  studio: 'Reed and Rush',
  zone: 'Europe/Lisbon',
  manner: { days: 'month day', clock: '12 hours' },
  name: 'Ines Marlow',
  email: 'ines@reed.example',
  password: PASSWORD,
};

describe('an installation nobody has set up', () => {
  let server: TestServer;
  beforeEach(async () => {
    server = await testServer({}, []);
  });
  afterEach(() => server.stop());

  test('is set up once: studio, owner, zone and looks to begin with; then the page is gone', async () => {
    const agent = server.agent();
    expect((await agent.get('/api/setup').expect(200)).body).toEqual({ needed: true });
    const { body } = await agent.post('/api/setup').send(owner).expect(201);
    expect(body as SessionAnswer).toMatchObject({
      name: 'Ines Marlow',
      role: 'owner',
      studio: { name: 'Reed and Rush' },
    });
    // Signed in at once.
    const { settings } = (await agent.get('/api/settings').expect(200)).body as StudioSettingsAnswer;
    expect(settings).toMatchObject({ zone: owner.zone, manner: owner.manner });
    const looks = (await agent.get('/api/looks').expect(200)).body as LookSummary[];
    expect(looks.length).toBe(starterLooksAt(new Date()).length);
    expect((await server.agent().get('/api/setup')).body).toEqual({ needed: false });
    const again = await server
      .agent()
      .post('/api/setup')
      .send({ ...owner, email: 'other@reed.example' });
    expect([again.status, (again.body as Problem).code]).toEqual([409, 'set-up-already']);
    await server.agent().post('/api/session').send({ email: owner.email, password: PASSWORD }).expect(200);
  });

  test('of ten who set it up at once one does', async () => {
    const answers = await Promise.all(
      Array.from({ length: 10 }, (_, i) =>
        server
          .agent()
          .post('/api/setup')
          .send({ ...owner, email: `p${i}@reed.example` }),
      ),
    );
    expect(answers.map((one) => one.status).sort()).toEqual([201, ...Array.from({ length: 9 }, () => 409)]);
    const { rows } = await server.pool.query('select (select count(*) from accounts) as n');
    expect(rows).toEqual([{ n: '1' }]);
  });

  test.each([
    ['a short password', { password: 'short' }, 'password'],
    ['no zone of this world', { zone: 'Europe/Atlantis' }, 'zone'],
    ['no email', { email: 'ines' }, 'email'],
    ['no name', { name: ' ' }, 'name'],
  ])('%s is told beside its field, and nothing is there', async (_, change, path) => {
    const answer = await server
      .agent()
      .post('/api/setup')
      .send({ ...owner, ...change });
    expect(answer.status).toBe(422);
    expect((answer.body as Problem).fields?.map((field) => field.path)).toEqual([path]);
    expect((await server.agent().get('/api/setup')).body).toEqual({ needed: true });
  });
});

test('every look that ships is a whole document with an id of its own', () => {
  const looks = starterLooksAt(new Date('2031-05-14T08:00:00Z'));
  expect(looks.length).toBeGreaterThanOrEqual(12);
  expect(new Set(looks.map((look) => look.id)).size).toBe(looks.length);
  for (const look of looks) expect(readLook(JSON.stringify(look)).ok).toBe(true);
});
