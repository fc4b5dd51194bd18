import type { Agent } from 'supertest';
import {
  chartOutlook,
  groupWears,
  snapshotOf,
  stepOnZone,
  touchUpPlan,
  wornByZone,
  zoneWears,
  type Chart,
  type WearGroup,
} from '@toile/core';
import {
  newId,
  newSecret,
  tokenOf,
  type ChartWearAnswer,
  type OpenWearAnswer,
  type Problem,
  type StudioWearAnswer,
} from '@toile/contract';
import { touchUpSides } from '../src/care/touchUpCard';
import { inStudio } from '../src/db/connection';
import { asBytes, demo, keyed, testServer, type TestServer } from './testServer';

let now = new Date('2031-05-14T18:00:00Z');
let server: TestServer;
let artist: Agent;
beforeAll(async () => {
  server = await testServer({ clock: () => now, signInLimit: { windowMs: 1000, tries: 1e6 } });
  artist = await server.signedIn('artist');
});
afterAll(() => server.stop());
afterEach(() => void (now = new Date('2031-05-14T18:00:00Z')));

const chart = demo.charts.find(({ client }) => client.name === 'Morwenna Penhallow')!;
const PUT_ON = '2031-05-14T08:00:00Z';
const check = (more: object = {}) => ({
  id: newId(),
  version: 1,
  appliedAt: PUT_ON,
  at: '2031-05-14T12:30:00Z',
  zones: { nose: 'starting', cheek: 'holds' },
  ...more,
});
const tell = (body: object) => artist.post(`/api/charts/${chart.id}/wear`).set(keyed()).send(body);
const wear = async (): Promise<ChartWearAnswer> =>
  (await artist.get(`/api/charts/${chart.id}/wear`).expect(200)).body as ChartWearAnswer;

test('what stood there is what was really used when it was put on, not what was planned', async () => {
  const base = stepOnZone(chart, 'nose')!;
  const other = demo.products.find(
    ({ kind, line, withdrawn }) =>
      kind === 'base' && !withdrawn && base.use.every(({ product }) => product.line !== line),
  )!;
  const use = [{ unitId: null, product: snapshotOf(other), parts: 1, measure: other.measure }];
  const at = '2031-05-14T07:40:00Z';
  const told = { version: 1, stepId: base.id, at };
  for (const more of [
    { kind: 'deviation', deviation: { kind: 'other product', use, note: '' } },
    { kind: 'done' },
  ])
    await artist
      .post(`/api/charts/${chart.id}/events`)
      .set(keyed())
      .send({ id: newId(), ...told, ...more })
      .expect(201);
  const wornAt = async (appliedAt: string, lookedAt: string) => {
    now = new Date(Date.parse(lookedAt) + 60_000);
    const body = check({ appliedAt, at: lookedAt });
    await tell(body).expect(201);
    return (await wear()).checks.find(({ id }) => id === body.id)!.worn;
  };
  const here = await wornAt(PUT_ON, '2031-05-14T12:30:00Z');
  expect(here.nose).toBe(`${other.maker} ${other.line}`);
  expect(here.mouth).toBe(wornByZone(chart).mouth);
  // Another day it was put on as planned.
  expect(await wornAt('2031-05-16T08:00:00Z', '2031-05-16T12:30:00Z')).toEqual(wornByZone(chart));
});

test('a look is kept with who, when, and what stood there; the studio’s wears have it at once', async () => {
  const before = await wear();
  const body = check({
    zones: { nose: 'needs a touch-up', cheek: 'holds' },
    touched: ['nose'],
    marks: ['meal'],
  });
  await tell(body).expect(201);
  const after = await wear();
  expect(after.checks).toHaveLength(before.checks.length + 1);
  expect(after.checks.at(-1)).toMatchObject({
    id: body.id,
    judge: 'artist',
    by: 'Teodor Marsh',
    clientId: chart.client.id,
    appliedAt: PUT_ON,
  });
  expect(after.checks.at(-1)!.worn.nose).toBeTruthy();
  // Counted by the database as core counts them.
  const { wears } = (await artist.get('/api/wear').expect(200)).body as StudioWearAnswer;
  expect(rounded(wears)).toEqual(rounded(groupWears(zoneWears(await allChecks()), null, now)));
  expect(rounded(after.history)).toEqual(
    rounded(groupWears(zoneWears(await allChecks()), chart.client.id, now)),
  );
  expect(
    after.history.some((one) => one.own && one.zone === 'nose' && one.good === 0 && one.bad === 4.5),
  ).toBe(true);
});
const rounded = (groups: readonly WearGroup[]) =>
  groups.map((group) => ({ ...group, weight: Math.round(group.weight * 1e6) / 1e6 }));
const allChecks = () =>
  inStudio(server.db, demo.studio.id, async (tx) =>
    (await tx.selectFrom('wear_checks').select('document').orderBy('seq').execute()).map(
      (row) => row.document,
    ),
  );

test('told by many at once, in any order, what it comes to is what core makes of it', async () => {
  const appliedAt = '2031-05-14T06:00:00Z';
  await Promise.all(
    ['needs a touch-up', 'holds', 'starting', 'holds', 'needs a touch-up', 'holds'].map((state, i) =>
      tell(
        check({
          appliedAt,
          at: `2031-05-14T${String(9 + i).padStart(2, '0')}:10:00Z`,
          zones: { nose: state, chin: 'holds' },
        }),
      ).expect(201),
    ),
  );
  const { wears } = (await artist.get('/api/wear').expect(200)).body as StudioWearAnswer;
  expect(rounded(wears)).toEqual(rounded(groupWears(zoneWears(await allChecks()), null, now)));
});

test.each([
  ['before it was put on', { at: '2031-05-14T07:59:59Z' }, 'at', 'before it was put on'],
  ['longer than anybody wears it', { at: '2031-05-15T14:01:00Z' }, 'at', 'more than 30 hours'],
  ['still to come', { at: '2031-05-14T18:11:00Z' }, 'at', 'still to come'],
  ['nothing seen', { zones: {} }, '', 'at least one place'],
  ['a zone there is none of', { zones: { elbow: 'holds' } }, 'zones', 'needs a touch-up'],
  ['a state there is none of', { zones: { nose: 'melts' } }, 'zones', 'needs a touch-up'],
  ['who looked, said by the sender', { by: 'Somebody' }, '', 'by is not known here'],
])('%s is refused', async (_, more, path, message) => {
  const length = (await wear()).checks.length;
  const answer = await tell(check(more)).expect(422);
  const { fields } = answer.body as Problem;
  expect(fields).toEqual([{ path, message: expect.stringContaining(message) }]);
  expect((await wear()).checks).toHaveLength(length);
});

test('of a version that never was there is nothing to tell', async () => {
  await tell(check({ version: 99 })).expect(404);
});

describe('by a link', () => {
  async function make(more: object = {}): Promise<{ id: string; token: string }> {
    const secret = newSecret();
    const id = newId();
    await artist
      .post(`/api/charts/${chart.id}/wear-links`)
      .set(keyed())
      .send({ id, version: 1, appliedAt: PUT_ON, secret, ...more })
      .expect(201);
    return { id, token: tokenOf(demo.studio.id, secret) };
  }
  const open = (token: string) => server.agent().post('/api/wear/open').send({ token });
  const send = (token: string, more: object = {}) =>
    server
      .agent()
      .post('/api/wear/send')
      .send({
        token,
        id: newId(),
        at: '2031-05-14T14:00:00Z',
        zones: { mouth: 'needs a touch-up' },
        ...more,
      });

  test('a client tells as often as wanted, is shown what was told by it and nothing else that is kept', async () => {
    const { token } = await make();
    const shown = (await open(token).expect(200)).body as OpenWearAnswer;
    expect(Object.keys(shown).sort()).toEqual(['appliedAt', 'expiresAt', 'halves', 'studio', 'told']);
    expect(shown.told).toEqual([]);
    await send(token, { at: '2031-05-14T11:00:00Z', zones: { mouth: 'holds' } }).expect(201);
    const again = (await send(token).expect(201)).body as OpenWearAnswer;
    expect(again.told.map(({ zones }) => zones)).toEqual([{ mouth: 'holds' }, { mouth: 'needs a touch-up' }]);
    const kept = (await wear()).checks.filter(({ judge }) => judge === 'client').slice(-2);
    expect(kept.map(({ by, appliedAt }) => [by, appliedAt])).toEqual([
      [chart.client.name, '2031-05-14T08:00:00.000Z'],
      [chart.client.name, '2031-05-14T08:00:00.000Z'],
    ]);
  });

  test('the same look sent six times at once over a bad network is one', async () => {
    const { token } = await make({ appliedAt: '2031-05-14T08:05:00Z' });
    const id = newId();
    const answers = await Promise.all(Array.from({ length: 6 }, () => send(token, { id })));
    expect(answers.every(({ status }) => status === 201 || status === 409)).toBe(true);
    expect(((await open(token)).body as OpenWearAnswer).told).toHaveLength(1);
  });

  test('it ends by itself, is taken back at once; forged, ended and taken back look alike', async () => {
    const one = await make();
    const other = await make();
    await artist.post(`/api/wear-links/${other.id}/revocations`).set(keyed()).send({}).expect(200);
    now = new Date('2031-05-16T18:00:01Z');
    const answers = [
      await open(one.token),
      await open(other.token),
      await open(tokenOf(demo.studio.id, newSecret())),
      await open('nothing'),
      await send(one.token),
    ];
    expect(answers.map(({ status }) => status)).toEqual([410, 410, 410, 410, 410]);
    expect(new Set(answers.map(({ text }) => text)).size).toBe(1);
  });

  test('before it was put on, or of nothing, it is refused and nothing is lost', async () => {
    const { token } = await make({ appliedAt: '2031-05-14T09:00:00Z' });
    await send(token, { at: '2031-05-14T08:59:00Z' }).expect(422);
    await send(token, { zones: {} }).expect(422);
    await send(token, { at: '2031-05-14T18:30:00Z' }).expect(422);
    expect(((await open(token)).body as OpenWearAnswer).told).toEqual([]);
  });
});

test('all of it is in the client’s own data, and gone with the client', async () => {
  const owner = await server.signedIn('owner');
  const clientId = chart.client.id;
  const zip = await asBytes(owner.get(`/api/clients/${clientId}/data`));
  expect((zip.body as Buffer).includes('wear.csv')).toBe(true);
  const name = chart.client.name;
  await owner
    .post(`/api/clients/${clientId}/erasures`)
    .set(keyed())
    .send({ name, charts: 'kept without the person' })
    .expect(200);
  const left = await inStudio(server.db, demo.studio.id, async (tx) => [
    ...(await tx.selectFrom('wear_checks').select('id').where('client_id', '=', clientId).execute()),
    ...(await tx.selectFrom('wear_links').select('id').where('chart_id', '=', chart.id).execute()),
  ]);
  expect(left).toEqual([]);
});

test('a card for whoever wears it: when, where, with what, in the studio’s hours; refused where nothing is worth it', async () => {
  for (const paper of ['a4', 'letter']) {
    const { body } = await asBytes(artist.get(`/api/charts/${chart.id}/touch-ups?paper=${paper}`)).expect(
      200,
    );
    expect((body as Buffer).subarray(0, 5).toString()).toBe('%PDF-');
  }
  const long: Chart = { ...chart, occasion: { ...chart.occasion, begins: '13:00', hoursToLast: 12 } };
  const plan = touchUpPlan(long, chartOutlook(long, []));
  const [front, back] = touchUpSides(plan, long, '12 hours');
  expect(front.lines[0]).toMatch(/^Touch up .*: \d{1,2}:\d\d (am|pm)/);
  expect(front.lines.join()).not.toMatch(/(?<!\d)(1[3-9]|2[0-3]):/);
  expect(back.lines).toEqual(expect.arrayContaining([...plan.bag]));
  const person = demo.clients.find(({ id }) => id === chart.client.id)!;
  for (const secret of [person.phone, person.email, person.notes, ...person.sensitivities])
    if (secret) expect([...front.lines, ...back.lines].join(' ')).not.toContain(secret);
  await artist.get(`/api/charts/${newId()}/touch-ups`).expect(404);
});

test('trials and wear of one client are put on paper; of nobody, or another studio’s, there is none', async () => {
  const owner = await server.signedIn('owner');
  const { clientId } = demo.wearChecks[0]!;
  for (const paper of ['a4', 'letter']) {
    const { body, headers } = await owner
      .get(`/api/clients/${clientId}/evidence?paper=${paper}`)
      .responseType('blob')
      .expect(200);
    expect(headers['content-type']).toBe('application/pdf');
    expect((body as Buffer).subarray(0, 5).toString()).toBe('%PDF-');
    expect((body as Buffer).length).toBeGreaterThan(2000);
  }
  await owner.get(`/api/clients/${newId()}/evidence`).expect(404);
  const stranger = await server.signedIn('stranger');
  await stranger.get(`/api/clients/${clientId}/evidence`).expect(404);
});
