import {
  type Problem,
  type SessionAnswer,
  type StudioSettingsAnswer,
  type LookSummary,
} from '@toile/contract';
import { readLook } from '@toile/core';
import { askOwner } from '../src/setup/askOwner';
import { nobodyYet, setUp, starterLooksAt } from '../src/setup/studio';
import { hashPassword } from '../src/session/passwords';
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

describe('the first owner by a command that asks', () => {
  /** Answers in a row; what was asked and said comes back. */
  const scripted = (answers: readonly string[]) => {
    const left = [...answers];
    const heard: string[] = [];
    const hidden: string[] = [];
    return {
      heard,
      hidden,
      run: () =>
        askOwner(
          (question, isHidden) => {
            heard.push(question);
            if (isHidden) hidden.push(question);
            const next = left.shift();
            return next === undefined ? Promise.reject(new Error('no more answers')) : Promise.resolve(next);
          },
          (line) => void heard.push(`▲ ${line}`),
          'Europe/Lisbon',
        ),
    };
  };
  const good = ['Reed and Rush', '', 'Ines Marlow', 'ines@reed.example', PASSWORD, PASSWORD];

  test('asked one after the other; the machine’s zone is taken where none is said, and no password is shown', async () => {
    const { run, hidden, heard } = scripted(good);
    const { manner: _manner, ...plain } = owner;
    expect(await run()).toMatchObject(plain);
    expect(hidden).toEqual(['Password, at least 12 letters', 'The same again']);
    expect(heard.filter((line) => line.startsWith('▲'))).toEqual([]);
  });

  test('what is wrong is said and asked again, by the rules of the first page', async () => {
    const { run, heard } = scripted([
      ...[
        '',
        'Reed and Rush',
        'Europe/Nowhere',
        'Europe/Paris',
        ' ',
        'Ines Marlow',
        'ines',
        'ines@reed.example',
      ],
      ...['short', PASSWORD, 'three small lamps', PASSWORD, PASSWORD],
    ]);
    expect(await run()).toMatchObject({
      zone: 'Europe/Paris',
      email: 'ines@reed.example',
      password: PASSWORD,
    });
    expect(heard.filter((line) => line.startsWith('▲'))).toEqual([
      '▲ Name the studio',
      '▲ A time zone, as Europe/Lisbon',
      '▲ Write your name',
      '▲ This is not an email address',
      expect.stringMatching(/12 letters/),
      '▲ These were not the same. Once more.',
    ]);
  });

  test('answers that end set up nothing; those that do not, the studio, and a second one is refused', async () => {
    const server = await testServer({}, []);
    try {
      await expect(scripted(good.slice(0, 3)).run()).rejects.toThrow('no more answers');
      expect(await nobodyYet(server.db)).toBe(true);
      const body = await scripted(good).run();
      await setUp(server.db, body, await hashPassword(body.password), new Date());
      expect(await nobodyYet(server.db)).toBe(false);
      await server.agent().post('/api/session').send({ email: owner.email, password: PASSWORD }).expect(200);
      await expect(setUp(server.db, body, 'x', new Date())).rejects.toThrow('set-up-already');
    } finally {
      await server.stop();
    }
  });
});
