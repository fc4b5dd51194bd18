import { BUNDLE_TABLES, emptyBundle, newId, StudioBundleSchema, type StudioBundle } from '@toile/contract';
import { canonicalJson, readDocument, type RecordedEvent } from '@toile/core';
import { SIGN_INS } from '@toile/demo';
import { inStudio, openDb, openPool } from '../src/db/connection';
import { STUDIO_TABLES } from '../src/db/schema';
import { exportStudio } from '../src/studio/exportStudio';
import { importStudio } from '../src/studio/importStudio';
import { demo, keyed, testServer, type TestServer } from './testServer';

// A studio out as a file and in again: nothing is lost, nothing is added, and no password is in it.
let server: TestServer;
let elsewhere: TestServer;
beforeAll(async () => {
  server = await testServer();
  elsewhere = await testServer();
});
afterAll(async () => {
  await server.stop();
  await elsewhere.stop();
});

const file = (from: TestServer, studioId = demo.studio.id): Promise<StudioBundle> =>
  inStudio(from.db, studioId, exportStudio);
/** Every id of a studio made another's, so that a copy can stand beside it. */
const renamed = (bundle: StudioBundle): StudioBundle => {
  const ids = new Map<string, string>();
  const text = JSON.stringify(bundle).replace(
    /[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}/g,
    (id) => {
      if (!ids.has(id)) ids.set(id, newId());
      return ids.get(id)!;
    },
  );
  return JSON.parse(
    text.replaceAll('@quayside.example', '@copied.example').replace(/"hash":"sha256:[0-9a-f]{64}",?/g, ''),
  ) as StudioBundle;
};
const unsealed = (bundle: StudioBundle): unknown =>
  JSON.parse(JSON.stringify(bundle).replace(/,?"hash":"sha256:[0-9a-f]{64}"/g, ''));
const byId = <T>(rows: readonly T[]): T[] =>
  [...rows].sort((a, b) => (canonicalJson(a) < canonicalJson(b) ? -1 : 1));

test('what the demo was written as is what comes out again', async () => {
  const out = await file(server);
  const plain = (rows: readonly unknown[]): unknown[] => byId(JSON.parse(JSON.stringify(rows)) as unknown[]);
  for (const table of [
    'people',
    'simulatedSkins',
    'products',
    'units',
    'palettes',
    'looks',
    'parties',
    'visits',
    'events',
  ] as const)
    expect([table, plain(out[table])]).toEqual([table, plain(demo[table])]);
  expect(out.clients.map((c) => c.name).sort()).toEqual(demo.clients.map((c) => c.name).sort());
  expect(out.charts).toHaveLength(demo.charts.length);
});

test('events keep the device, what it had been told of and what they settle', async () => {
  const agent = await server.signedIn('artist');
  const chart = demo.charts[0]!;
  const stepId = chart.steps[0]!.id;
  const [one, two, three] = [newId(), newId(), newId()];
  const tell = (id: string, more: object) =>
    agent
      .post(`/api/charts/${chart.id}/events`)
      .set(keyed())
      .send({ id, version: chart.version, stepId, at: '2031-05-14T10:00:00Z', ...more })
      .expect(201);
  await tell(one, { kind: 'done', device: 'phone a', seen: null });
  await tell(two, { kind: 'undone', device: 'phone b', seen: null });
  await tell(three, {
    kind: 'deviation',
    deviation: { kind: 'skipped', note: 'sore' },
    device: 'phone b',
    seen: two,
    settles: [one, two],
  });
  const { events } = await file(server);
  const told = (id: string): RecordedEvent => events.map((e) => e.event).find((e) => e.id === id)!;
  expect(told(one)).toEqual({
    id: one,
    stepId,
    at: '2031-05-14T10:00:00Z',
    by: 'Teodor Marsh',
    kind: 'done',
    device: 'phone a',
    seen: null,
  });
  expect(told(three)).toMatchObject({
    device: 'phone b',
    seen: two,
    settles: [one, two],
    deviation: { kind: 'skipped', note: 'sore' },
  });
});

test('out, in elsewhere, and out again is the same file, ledger and settings too', async () => {
  const owner = await server.signedIn('owner');
  const unit = demo.units[0]!;
  await owner
    .post(`/api/units/${unit.id}/counts`)
    .set(keyed())
    .send({ id: newId(), remainingMg: 1234, note: 'weighed' })
    .expect(201);
  await owner
    .put('/api/settings')
    .set({ ...keyed(), 'if-match': '0' })
    .send({ ruleGrades: {}, zone: 'Europe/Lisbon' })
    .expect(200);
  await owner
    .post(`/api/looks/${demo.looks[5]!.id}/retirements`)
    .set(keyed())
    .send({ retired: true })
    .expect(200);
  await owner
    .post(`/api/clients/${demo.clients[0]!.id}/incidents`)
    .set(keyed())
    .send({
      id: newId(),
      on: '2031-05-14',
      seen: 'Stinging lids',
      chartId: demo.charts.find((c) => c.client.id === demo.clients[0]!.id)?.id ?? null,
      suspected: [demo.products[0]!.id],
    })
    .expect(201);
  const copy = renamed(await file(server));
  // Pictures travel in a backup alone.
  for (const table of BUNDLE_TABLES)
    expect([table, copy[table].length > 0]).toEqual([table, table !== 'photographs']);
  expect(await importStudio(elsewhere.db, JSON.stringify(copy))).toEqual({
    ok: true,
    name: demo.studio.name,
  });
  const again = await file(elsewhere, copy.studio.id);
  for (const table of BUNDLE_TABLES)
    expect([table, byId(again[table].map((r) => unsealed(r as never)))]).toEqual([
      table,
      byId(copy[table].map((r) => unsealed(r as never))),
    ]);
});

test('whoever came in by a file without passwords cannot sign in by any', async () => {
  const copy = renamed(demo);
  expect(
    (
      await importStudio(
        elsewhere.db,
        JSON.stringify({
          ...copy,
          people: copy.people.map((p) => ({ ...p, email: p.email.replace('copied', 'unset') })),
        }),
      )
    ).ok,
  ).toBe(true);
  for (const password of ['none', '', 'lantern-quay'])
    await elsewhere
      .agent()
      .post('/api/session')
      .send({ email: SIGN_INS[0].email.replace('quayside', 'unset'), password })
      .expect(password === '' ? 422 : 401);
});

test('no password, hash, session, link or key is in the file, and only its owner gets it', async () => {
  const owner = await server.signedIn('owner');
  const answer = await owner.get('/api/studio/export').expect(200);
  expect(answer.headers['content-disposition']).toMatch(
    /filename="quayside-room-ostermouth-2031-05-14\.json"/,
  );
  for (const secret of ['argon2', 'password', 'secret', 'idempotency', ...SIGN_INS.map((p) => p.password)])
    expect(answer.text).not.toContain(secret);
  expect(readDocument(answer.text, StudioBundleSchema).ok).toBe(true);
});

test('a file that is broken anywhere comes in nowhere', async () => {
  const copy = renamed(demo);
  const wrong = {
    ...copy,
    visits: [...copy.visits.slice(0, -1), { ...copy.visits.at(-1)!, kind: 'picnic' }],
  };
  const refused = await importStudio(elsewhere.db, JSON.stringify(wrong));
  expect(refused.ok).toBe(false);
  // Sound by its schema, but a visit of someone who is not in it.
  const dangling = { ...copy, visits: [{ ...copy.visits[0]!, clientId: newId() }] };
  await expect(importStudio(elsewhere.db, JSON.stringify(dangling))).rejects.toThrow();
  const pool = openPool(elsewhere.appUrl, () => undefined);
  const rows = await inStudio(openDb(pool), copy.studio.id, (tx) =>
    tx.selectFrom('clients').select('id').execute(),
  );
  await pool.end();
  expect(rows).toEqual([]);
});

test('every table of a studio travels, but for what is only of this place', () => {
  const HERE_ONLY = [
    'shares',
    'sheet_links',
    'wear_links',
    'zone_wears',
    'lesson_links',
    'invites',
    'intakes',
    'calendar_feeds',
    'name_threes',
    'audit',
    'idempotency',
  ];
  const TRAVELS_AS: Readonly<Record<string, string>> = {
    memberships: 'people',
    simulated_skins: 'simulatedSkins',
    patch_tests: 'patchTests',
    unit_ledger: 'ledger',
    studio_settings: 'settings',
    look_versions: 'looks',
    retired_looks: 'retiredLooks',
    chart_versions: 'charts',
    chair_events: 'events',
    party_events: 'partyEvents',
    wear_checks: 'wearChecks',
    trial_events: 'trialEvents',
    learned_answers: 'learnedAnswers',
    practice_events: 'practiceEvents',
  };
  const travels = STUDIO_TABLES.filter((t) => !HERE_ONLY.includes(t)).map((t) => TRAVELS_AS[t] ?? t);
  expect([...new Set(travels)].sort()).toEqual([...BUNDLE_TABLES].sort());
});

test('an empty studio is one too', async () => {
  const bundle = emptyBundle({ id: newId(), name: 'New' });
  expect((await importStudio(elsewhere.db, JSON.stringify(bundle))).ok).toBe(true);
  expect(await file(elsewhere, bundle.studio.id)).toEqual(bundle);
});
