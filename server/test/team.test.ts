import type { Agent, Response } from 'supertest';
import {
  newId,
  newSecret,
  tokenOf,
  type AuditLine,
  type DeviceAnswer,
  type MemberAnswer,
  type Problem,
  type SessionAnswer,
  type TeamAnswer,
} from '@toile/contract';
import { SIGN_INS } from '@toile/demo';
import { inStudio } from '../src/db/connection';
import { deviceInWords } from '../src/session/sessions';
import { demo, keyed, testServer, TODAY, type TestServer } from './testServer';

const PASSWORD = 'three small lanterns';
const DAY_MS = 86_400_000;
let server: TestServer;
let owner: Agent;
let now: number;
beforeEach(async () => {
  now = Date.parse(`${TODAY}T08:00:00Z`);
  server = await testServer({ clock: () => new Date(now), signInLimit: { windowMs: 60_000, tries: 1000 } });
  owner = await server.signedIn('owner');
});
afterEach(() => server.stop());

const codeOf = ({ status, body }: Response) => [status, (body as Partial<Problem>).code];
const team = async (): Promise<TeamAnswer> => (await owner.get('/api/team').expect(200)).body as TeamAnswer;
const member = async (email: string): Promise<MemberAnswer> =>
  (await team()).members.find((one) => one.email === email)!;
const [OWNER, ARTIST] = SIGN_INS;

async function invited(more: object = {}): Promise<{ id: string; token: string }> {
  const id = newId();
  const secret = newSecret();
  await owner
    .post('/api/team/invites')
    .set(keyed())
    .send({ id, email: 'new@studio.example', name: 'Noor', role: 'artist', secret, ...more })
    .expect(201);
  return { id, token: tokenOf(demo.studio.id, secret) };
}
const take = (token: string, more: object = {}) =>
  server
    .agent()
    .post('/api/invites/take')
    .send({ token, name: 'Noor Hale', password: PASSWORD, ...more });
const change = async (email: string, more: object, by = owner): Promise<Response> => {
  const { id, name, role, revision } = await member(email);
  return by
    .put(`/api/team/${id}`)
    .set({ ...keyed(), 'if-match': String(revision) })
    .send({ name, role, active: true, ...more });
};

describe('an invitation', () => {
  test('says what it is for, is taken up once, and signs whoever took it in with the role it names', async () => {
    const { token } = await invited();
    const open = await server.agent().post('/api/invites/open').send({ token }).expect(200);
    expect(open.body).toEqual({
      studio: demo.studio.name,
      email: 'new@studio.example',
      name: 'Noor',
      reset: false,
    });
    const agent = server.agent();
    const { body } = await agent
      .post('/api/invites/take')
      .send({ token, name: 'Noor Hale', password: PASSWORD })
      .expect(201);
    expect(body as SessionAnswer).toMatchObject({ name: 'Noor Hale', role: 'artist' });
    await agent.get('/api/clients').expect(200);
    expect(codeOf(await take(token))).toEqual([410, 'link-ended']);
    await server
      .agent()
      .post('/api/session')
      .send({ email: 'NEW@studio.example', password: PASSWORD })
      .expect(200);
    expect((await team()).invites[0]).toMatchObject({ state: 'used' });
  });

  test('of ten who take it up at once one does', async () => {
    const { token } = await invited();
    const answers = await Promise.all(Array.from({ length: 10 }, () => take(token)));
    expect(answers.map((a) => a.status).sort()).toEqual([201, ...Array.from({ length: 9 }, () => 410)]);
    expect((await team()).members.filter((m) => m.email === 'new@studio.example')).toHaveLength(1);
  });

  test.each([
    [
      'taken back',
      async (id: string) =>
        void (await owner.post(`/api/team/invites/${id}/revocations`).set(keyed()).send({}).expect(200)),
    ],
    ['over', async () => void (now += 7 * DAY_MS)],
  ])('that is %s looks like one that never was', async (_, end) => {
    const { id, token } = await invited();
    await end(id);
    const ended = await server.agent().post('/api/invites/open').send({ token });
    const never = await server
      .agent()
      .post('/api/invites/open')
      .send({ token: tokenOf(demo.studio.id, newSecret()) });
    expect([codeOf(ended), ended.body]).toEqual([[410, 'link-ended'], never.body]);
    expect(codeOf(await take(token))).toEqual([410, 'link-ended']);
  });

  test('holds to its last minute', async () => {
    const { token } = await invited();
    now += 7 * DAY_MS - 1;
    await take(token).expect(201);
  });

  test.each([
    ['of another studio', () => tokenOf(newId(), newSecret())],
    ['that is no token', () => 'hello'],
    ['with another studio before its secret', (token: string) => tokenOf(newId(), token.split('.')[1]!)],
  ])('forged, %s, opens nothing', async (_, forge) => {
    const { token } = await invited();
    expect(codeOf(await take(forge(token)))).toEqual([410, 'link-ended']);
  });

  test('is not made for somebody who is here, nor does it take over an account elsewhere', async () => {
    const here = await owner
      .post('/api/team/invites')
      .set(keyed())
      .send({ id: newId(), email: ARTIST.email, name: 'N', role: 'owner', secret: newSecret() });
    expect([here.status, (here.body as Problem).fields?.[0]?.path]).toEqual([422, 'email']);
    const { token } = await invited({ email: 'elsewhere@studio.example' });
    await server.pool.query('insert into accounts values ($1, $2, $3)', [
      newId(),
      'elsewhere@studio.example',
      'x',
    ]);
    expect(codeOf(await take(token))).toEqual([409, 'has-account']);
    // Nothing half written: the link is still open.
    expect((await team()).invites[0]).toMatchObject({ state: 'open' });
  });

  test('asks for a long password', async () => {
    const { token } = await invited();
    const answer = await take(token, { password: 'short' });
    expect([answer.status, (answer.body as Problem).fields?.[0]?.path]).toEqual([422, 'password']);
  });

  test('keeps no secret', async () => {
    const { token } = await invited();
    const rows = await inStudio(server.db, demo.studio.id, (tx) =>
      tx.selectFrom('invites').selectAll().execute(),
    );
    expect(rows).toHaveLength(1);
    const kept = JSON.stringify(rows);
    expect(kept).not.toContain(token.split('.')[1]);
  });
});

describe('somebody of the team', () => {
  test('who is let in no longer is out at once everywhere, signs in nowhere, and stays named on what they did', async () => {
    const theirs = await Promise.all([server.signedIn('artist'), server.signedIn('artist')]);
    const id = newId();
    await theirs[0]
      .post('/api/visits')
      .set(keyed())
      .send({ id, clientId: demo.clients[0]!.id, kind: 'trial', date: TODAY, startsAt: '15:00' })
      .expect(201);
    expect((await change(ARTIST.email, { active: false })).status).toBe(200);
    for (const agent of theirs) expect((await agent.get('/api/clients')).status).toBe(401);
    const { email, password } = ARTIST;
    expect(codeOf(await server.agent().post('/api/session').send({ email, password }))).toEqual([
      401,
      'wrong-sign-in',
    ]);
    const lines = (await owner.get('/api/audit').expect(200)).body as AuditLine[];
    expect(lines.find((line) => line.subject === id)?.by).toBe((await member(email)).name);
    expect((await change(email, { active: true })).status).toBe(200);
    await server.agent().post('/api/session').send({ email, password }).expect(200);
  });

  test('has a new role at once: what was open by the old one is shut', async () => {
    const theirs = await server.signedIn('artist');
    expect((await change(ARTIST.email, { role: 'assistant' })).status).toBe(200);
    expect((await theirs.get('/api/clients')).status).toBe(401);
    const again = await server.signedIn('artist');
    expect(codeOf(await again.post('/api/clients').set(keyed()).send({}))).toEqual([403, 'not-allowed']);
  });

  test('is the last owner until somebody else is: not by role, not by leaving, not by two at once', async () => {
    expect(codeOf(await change(OWNER.email, { role: 'artist' }))).toEqual([409, 'last-owner']);
    expect(codeOf(await change(OWNER.email, { active: false }))).toEqual([409, 'last-owner']);
    expect((await change(ARTIST.email, { role: 'owner' })).status).toBe(200);
    const second = await server.signedIn('artist');
    const both = await Promise.all([
      change(ARTIST.email, { role: 'artist' }, owner),
      change(OWNER.email, { role: 'artist' }, second),
    ]);
    // The second is refused, or is no owner any more when it comes.
    expect(both.filter((a) => a.status === 200)).toHaveLength(1);
    const owners = await inStudio(server.db, demo.studio.id, (tx) =>
      tx
        .selectFrom('memberships')
        .select('name')
        .where('role', '=', 'owner')
        .where('deactivated_at', 'is', null)
        .execute(),
    );
    expect(owners).toHaveLength(1);
  });

  test('gets a new password by a link of one day, which signs the old one out everywhere', async () => {
    const theirs = await server.signedIn('artist');
    const { id } = await member(ARTIST.email);
    const secret = newSecret();
    await owner.post(`/api/team/${id}/resets`).set(keyed()).send({ id: newId(), secret }).expect(201);
    const token = tokenOf(demo.studio.id, secret);
    await take(token, { password: 'a river of small boats' }).expect(201);
    expect((await theirs.get('/api/clients')).status).toBe(401);
    const { email, password } = ARTIST;
    expect((await server.agent().post('/api/session').send({ email, password })).status).toBe(401);
    await server.agent().post('/api/session').send({ email, password: 'a river of small boats' }).expect(200);
    expect(codeOf(await take(token))).toEqual([410, 'link-ended']);
    // The name is theirs as it was: a link for a password changes nothing else.
    expect((await member(email)).name).not.toBe('Noor Hale');
  });

  test('who left in between gets none', async () => {
    const { id } = await member(ARTIST.email);
    const secret = newSecret();
    await owner.post(`/api/team/${id}/resets`).set(keyed()).send({ id: newId(), secret }).expect(201);
    await change(ARTIST.email, { active: false });
    expect(codeOf(await take(tokenOf(demo.studio.id, secret)))).toEqual([410, 'link-ended']);
  });

  test('is changed from what is there: who comes second is shown it', async () => {
    const { id, revision, name } = await member(ARTIST.email);
    const put = (role: string) =>
      owner
        .put(`/api/team/${id}`)
        .set({ ...keyed(), 'if-match': String(revision) })
        .send({ name, role, active: true });
    await put('assistant').expect(200);
    expect((await put('owner').expect(409)).body).toMatchObject({
      code: 'stale',
      current: { role: 'assistant' },
    });
  });
});

describe('one’s own devices', () => {
  const device = (words: string): string =>
    ({
      phone:
        'Mozilla/5.0 (Linux; Android 14; K) AppleWebKit/537.36 (KHTML, like Gecko) Chrome/126.0.0.0 Mobile Safari/537.36',
      laptop: 'Mozilla/5.0 (X11; Linux x86_64; rv:127.0) Gecko/20100101 Firefox/127.0',
    })[words]!;

  test('are told apart, and one or all others are signed out', async () => {
    const { email, password } = ARTIST;
    const [phone, laptop] = await Promise.all(
      ['phone', 'laptop'].map(async (which) => {
        const agent = server.agent();
        await agent
          .post('/api/session')
          .set('user-agent', device(which))
          .send({ email, password })
          .expect(200);
        return agent;
      }),
    );
    const list = (await phone!.get('/api/session/devices').expect(200)).body as DeviceAnswer[];
    expect(list.map((d) => d.device).sort()).toEqual(['Chrome on Android', 'Firefox on Linux']);
    expect(list.filter((d) => d.here).map((d) => d.device)).toEqual(['Chrome on Android']);
    const other = list.find((d) => !d.here)!;
    await phone!.post('/api/session/endings').send({ id: other.id }).expect(200);
    expect((await laptop!.get('/api/clients')).status).toBe(401);
    const gone = await phone!.post('/api/session/endings').send({ id: other.id });
    expect(gone.status).toBe(404);
    const third = await server.signedIn('artist');
    await phone!.post('/api/session/endings').send({}).expect(200);
    expect([(await third.get('/api/clients')).status, (await phone!.get('/api/clients')).status]).toEqual([
      401, 200,
    ]);
    expect((await owner.get('/api/clients')).status).toBe(200);
  });

  test('of somebody else cannot be ended', async () => {
    const theirs = await server.signedIn('artist');
    const [mine] = (await owner.get('/api/session/devices')).body as DeviceAnswer[];
    expect((await theirs.post('/api/session/endings').send({ id: mine!.id })).status).toBe(404);
    expect((await owner.get('/api/clients')).status).toBe(200);
  });

  test.each([
    [undefined, 'an unknown device'],
    ['', 'an unknown device'],
    ['x'.repeat(5000), 'a browser'],
  ])('a browser that says %p is kept in few words', (said, words) =>
    expect(deviceInWords(said)).toContain(words),
  );
});

describe('who did what', () => {
  test('is told newest first, page after page without a gap, and of one person alone', async () => {
    for (let i = 0; i < 130; i++)
      await owner
        .post('/api/visits')
        .set(keyed())
        .send({ id: newId(), clientId: demo.clients[0]!.id, kind: 'trial', date: TODAY, startsAt: '15:00' })
        .expect(201);
    const first = (await owner.get('/api/audit')).body as AuditLine[];
    expect(first).toHaveLength(100);
    const second = (await owner.get(`/api/audit?before=${first.at(-1)!.id}`)).body as AuditLine[];
    const ids = [...first, ...second].map((line) => line.id);
    expect(new Set(ids).size).toBe(130);
    expect([...ids].sort().reverse()).toEqual(ids);
    expect(first[0]).toMatchObject({ route: 'createVisit', by: (await member(OWNER.email)).name });
    const { id } = await member(ARTIST.email);
    expect((await owner.get(`/api/audit?by=${id}`)).body).toEqual([]);
  });
});
