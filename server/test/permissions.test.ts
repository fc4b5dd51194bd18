import { newId, pathTo, ROUTES, type Problem, type RouteName } from '@toile/contract';
import type { Agent, Response } from 'supertest';
import { SIGN_INS } from '@toile/demo';
import { demo, testServer, type TestServer } from './testServer';

// Who may do what, written out: o(wner), a(rtist), s (assistant); * is anyone at all. A route that is not
// here fails the first test.
const TABLE: Readonly<Record<RouteName, string>> = {
  signIn: '*',
  setUpState: '*',
  setUp: '*',
  changePassword: 'oas',
  session: '*',
  signOut: '*',
  devices: 'oas',
  endSessions: 'oas',
  openInvite: '*',
  takeInvite: '*',
  team: 'o',
  createInvite: 'o',
  revokeInvite: 'o',
  updateMember: 'o',
  createReset: 'o',
  audit: 'o',
  today: 'oas',
  timings: 'oas',
  listClients: 'oas',
  createClient: 'oa',
  client: 'oas',
  updateClient: 'oa',
  createReading: 'oa',
  createEnquiry: 'oa',
  createPatchTest: 'oas',
  updatePatchTest: 'oas',
  createIncident: 'oas',
  listIntakes: 'oa',
  createIntake: 'oa',
  revokeIntake: 'oa',
  settleIntake: 'oa',
  openIntake: '*',
  sendIntake: '*',
  clientData: 'oa',
  erasure: 'o',
  eraseClient: 'o',
  calendarFeed: 'oas',
  renewFeed: 'oas',
  endFeed: 'oas',
  photographs: 'oas',
  photograph: 'oas',
  createPhotograph: 'oas',
  dropPhotograph: 'oa',
  chartWear: 'oas',
  createWearCheck: 'oas',
  createWearLink: 'oas',
  revokeWearLink: 'oas',
  studioWear: 'oas',
  chartTrials: 'oas',
  createTrial: 'oa',
  trial: 'oas',
  createTrialEvent: 'oas',
  exportTrial: 'oas',
  trialQuestions: 'oas',
  sendTrial: '*',
  printLesson: 'oas',
  listLessonLinks: 'oas',
  createLessonLink: 'oa',
  printEvidence: 'oas',
  touchUpCard: 'oas',
  listCompacts: 'oas',
  createCompact: 'oa',
  updateCompact: 'oa',
  printCompact: 'oas',
  renewLessonLink: 'oa',
  revokeLessonLink: 'oa',
  practice: 'oas',
  tellPractice: 'oas',
  forgetPractice: 'oas',
  learned: 'oas',
  answerLearned: 'oa',
  openWear: '*',
  sendWear: '*',
  sample: 'oas',
  exportReading: 'oas',
  listLooks: 'oas',
  look: 'oas',
  createLook: 'oa',
  exportLooks: 'oas',
  importLooks: 'oa',
  exportLook: 'oas',
  retireLook: 'oa',
  kit: 'oas',
  importKit: 'oa',
  exportKit: 'oas',
  createProduct: 'oa',
  updateProduct: 'oa',
  productUses: 'oas',
  substituteProduct: 'oa',
  createUnit: 'oa',
  updateUnit: 'oa',
  countUnit: 'oas',
  unitLedger: 'oas',
  listPalettes: 'oas',
  createPalette: 'oa',
  updatePalette: 'oa',
  paletteLabels: 'oas',
  createChart: 'oa',
  importChart: 'oa',
  chart: 'oas',
  exportChart: 'oas',
  printChart: 'oas',
  liveChart: 'oas',
  createVersion: 'oa',
  listShares: 'oa',
  createShare: 'oa',
  revokeShare: 'oa',
  createEvent: 'oas',
  createVisit: 'oa',
  updateVisit: 'oa',
  tickRunUp: 'oas',
  studioSettings: 'oas',
  updateStudioSettings: 'o',
  exportStudio: 'o',
  backupStudio: 'o',
  listParties: 'oas',
  createParty: 'oa',
  party: 'oas',
  updateParty: 'oa',
  partyLog: 'oas',
  createPartyEvent: 'oas',
  liveParty: 'oas',
  partyPacking: 'oas',
  visitMinutes: 'oas',
  partySheet: 'oas',
  listSheetLinks: 'oa',
  createSheetLink: 'oa',
  revokeSheetLink: 'oa',
};
const NAMES = Object.keys(ROUTES) as RouteName[];

let server: TestServer;
let agents: Readonly<Record<'o' | 'a' | 's', Agent>>;
beforeAll(async () => {
  server = await testServer();
  agents = {
    o: await server.signedIn('owner'),
    a: await server.signedIn('artist'),
    s: await server.signedIn('assistant'),
  };
});
afterAll(() => server.stop());

/** Asks a route with nothing in it: who may ask is answered by what is wrong with it, who may not by that. */
async function ask(agent: Agent, name: RouteName): Promise<Response> {
  const { method, path } = ROUTES[name];
  const address = path.replace(/:\w+/g, newId());
  const headers = { 'idempotency-key': newId(), 'if-match': '999' };
  switch (method) {
    case 'GET':
      return agent.get(address);
    case 'PUT':
      return agent.put(address).set(headers).send({ nonsense: true });
    case 'POST':
      return agent.post(address).set(headers).send({ nonsense: true });
    case 'DELETE':
      return agent.delete(address);
  }
}
const codeOf = (answer: Response): string | undefined => (answer.body as Partial<Problem> | null)?.code;

test('every route is in the table, and the table has no other', () =>
  expect(Object.keys(TABLE).sort()).toEqual([...NAMES].sort()));

test('every route is answered by a handler of its own', async () => {
  for (const name of NAMES.filter((n) => n !== 'signOut'))
    expect([name, codeOf(await ask(agents.o, name))]).not.toEqual([name, 'no-such-route']);
});

test.each(NAMES.filter((name) => name !== 'signOut'))('%s is for whom the table says', async (name) => {
  const stranger = await ask(server.agent(), name);
  if (TABLE[name] === '*') expect(codeOf(stranger)).not.toBe('signed-out');
  else expect([stranger.status, codeOf(stranger)]).toEqual([401, 'signed-out']);
  for (const role of ['o', 'a', 's'] as const) {
    const answer = await ask(agents[role], name);
    const isIn = TABLE[name] === '*' || TABLE[name].includes(role);
    if (isIn) expect([401, 403]).not.toContain(name === 'signIn' ? 0 : answer.status);
    else expect([role, answer.status, codeOf(answer)]).toEqual([role, 403, 'not-allowed']);
  }
});

test('contact data is for owner and artist', async () => {
  const { id } = demo.clients.find((c) => c.phone !== '')!;
  for (const [role, seen] of [
    ['o', true],
    ['a', true],
    ['s', false],
  ] as const) {
    const { body } = await agents[role].get(pathTo('client', { id })).expect(200);
    expect([role, (body as { contact: object | null }).contact !== null]).toEqual([role, seen]);
  }
});

test('no role is let in by a session that has ended', async () => {
  const agent = await server.signedIn('owner');
  await agent.delete('/api/session').expect(204);
  for (const name of ['kit', 'client', 'createClient', 'updateStudioSettings'] as const)
    expect((await ask(agent, name)).status).toBe(401);
});

describe('a session’s cookie', () => {
  const signIn = async (cookie?: string): Promise<string> => {
    const { email, password } = SIGN_INS[0];
    const asked = server.agent().post('/api/session');
    const answer = await (cookie ? asked.set('cookie', cookie) : asked).send({ email, password }).expect(200);
    return answer.headers['set-cookie']![0]!.split(';')[0]!;
  };
  const status = async (cookie: string): Promise<number> =>
    (await server.agent().get('/api/clients').set('cookie', cookie)).status;

  test('is new at each signing in, and the one before is worth nothing: none can be planted', async () => {
    const first = await signIn();
    expect(await status(first)).toBe(200);
    const second = await signIn(first);
    expect(second).not.toBe(first);
    expect([await status(first), await status(second)]).toEqual([401, 200]);
  });

  test('is worth nothing after signing out, whoever still has it', async () => {
    const cookie = await signIn();
    await server.agent().delete('/api/session').set('cookie', cookie).expect(204);
    expect(await status(cookie)).toBe(401);
  });

  test('is kept from scripts and from other sites', async () => {
    const { email, password } = SIGN_INS[0];
    const { headers } = await server.agent().post('/api/session').send({ email, password }).expect(200);
    expect(headers['set-cookie']![0]).toMatch(/HttpOnly/);
    expect(headers['set-cookie']![0]).toMatch(/SameSite=Lax/);
  });
});
