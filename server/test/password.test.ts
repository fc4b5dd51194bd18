import type { Problem } from '@toile/contract';
import { SIGN_INS } from '@toile/demo';
import { sql } from 'kysely';
import { testServer, type TestServer } from './testServer';

describe('one’s own password', () => {
  let server: TestServer;
  beforeAll(async () => {
    server = await testServer();
  });
  afterAll(() => server.stop());
  const { email, password } = SIGN_INS[1];
  const next = 'a river of small boats';

  test('is changed by whoever knows it, signs the others out, and leaves a line of audit', async () => {
    const here = await server.signedIn('artist');
    const there = await server.signedIn('artist');
    const someoneElse = await server.signedIn('owner');
    const wrong = await here.post('/api/session/password').send({ current: 'not this one', next });
    expect([wrong.status, (wrong.body as Problem).code]).toEqual([422, 'wrong-password']);
    expect((wrong.body as Problem).fields?.[0]?.path).toBe('current');
    const short = await here.post('/api/session/password').send({ current: password, next: 'too short' });
    expect(short.status).toBe(422);
    await here.post('/api/session/password').send({ current: password, next }).expect(200);
    expect((await here.get('/api/session')).body).toMatchObject({ email });
    expect((await there.get('/api/session')).body).toBeNull();
    expect((await there.get('/api/clients')).status).toBe(401);
    expect((await someoneElse.get('/api/session')).body).not.toBeNull();
    expect((await server.agent().post('/api/session').send({ email, password })).status).toBe(401);
    await server.agent().post('/api/session').send({ email, password: next }).expect(200);
    const { id } = await server.db
      .selectFrom('accounts')
      .select('id')
      .where('email', '=', email)
      .executeTakeFirstOrThrow();
    const lines = await server.db.transaction().execute(async (tx) => {
      await sql`select set_config('toile.account_id', ${id}, true)`.execute(tx);
      const member = await tx
        .selectFrom('memberships')
        .select('studio_id')
        .where('account_id', '=', id)
        .executeTakeFirstOrThrow();
      await sql`select set_config('toile.studio_id', ${member.studio_id}, true)`.execute(tx);
      return tx.selectFrom('audit').select('route').where('account_id', '=', id).execute();
    });
    expect(lines).toContainEqual({ route: 'changePassword' });
  });

  test('is nobody else’s to change', async () => {
    const answer = await server.agent().post('/api/session/password').send({ current: password, next });
    expect(answer.status).toBe(401);
  });
});
