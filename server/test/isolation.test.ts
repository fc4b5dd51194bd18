import { sql } from 'kysely';
import pg from 'pg';
import { newId, ROUTES, type RouteName } from '@toile/contract';
import { secondStudio } from '@toile/demo';
import { inStudio } from '../src/db/connection';
import { APPEND_ONLY, STUDIO_TABLES } from '../src/db/schema';
import { keepOne, photographOf } from './aPhotograph';
import { demo, keyed, testServer, type TestServer } from './testServer';

let server: TestServer;
beforeAll(async () => {
  server = await testServer();
  await keepOne(server, mine.chart, mine.photograph);
});
afterAll(() => server.stop());

/** A patch test as it is sent, without what the server says of it. */
const sentBack = ({ clientId: _client, product: _product, ...test }: (typeof demo.patchTests)[number]) => ({
  ...test,
  readings: [],
});
const SECOND_STUDIO = secondStudio().studio.id;
const mine = {
  client: demo.clients[0]!,
  chart: demo.charts[0]!,
  look: demo.looks[0]!,
  party: demo.parties[0]!,
  visit: demo.visits[0]!,
  patchTest: sentBack(demo.patchTests[0]!),
  member: demo.people[0]!,
  product: demo.products[0]!,
  unit: demo.units[0]!,
  palette: demo.palettes![0]!,
  compact: demo.compacts[0]!,
  photograph: photographOf(),
};

/** What a stranger could try on each route that names something of ours. */
const ATTEMPTS: Readonly<Partial<Record<RouteName, { id: string; body?: object }>>> = {
  client: { id: mine.client.id },
  updateClient: {
    id: mine.client.id,
    body: { id: mine.client.id, name: 'Taken', features: mine.client.features, measurements: {} },
  },
  createReading: {
    id: mine.client.id,
    body: {
      id: demo.readings[0]!.id.replace(/^0190/, '0191'),
      at: '2031-05-14T09:00:00Z',
      source: 'typed',
      zones: { cheek: [[60, 12, 18]] },
    },
  },
  exportReading: { id: demo.readings[0]!.id },
  updateProduct: { id: mine.product.id, body: mine.product },
  productUses: { id: mine.product.id },
  substituteProduct: {
    id: mine.product.id,
    body: {
      chartIds: [mine.chart.id],
      parts: [{ productId: demo.units[1]!.productId, unitId: demo.units[1]!.id, pumps: 1 }],
    },
  },
  updateUnit: { id: mine.unit.id, body: mine.unit },
  countUnit: {
    id: mine.unit.id,
    body: { id: demo.readings[0]!.id.replace(/^0190/, '0191'), remainingMg: 5 },
  },
  unitLedger: { id: mine.unit.id },
  updatePalette: { id: mine.palette.id, body: { palette: { ...mine.palette, pans: [] } } },
  paletteLabels: { id: mine.palette.id },
  look: { id: mine.look.id },
  exportLook: { id: mine.look.id },
  retireLook: { id: mine.look.id, body: { retired: true } },
  chart: { id: mine.chart.id },
  exportChart: { id: mine.chart.id },
  printChart: { id: mine.chart.id },
  liveChart: { id: mine.chart.id },
  createVersion: { id: mine.chart.id, body: { parent: 2, reason: '', chart: mine.chart } },
  createEvent: {
    id: mine.chart.id,
    body: {
      id: demo.events[0]!.event.id.replace(/^0190/, '0191'),
      version: 1,
      stepId: mine.chart.steps[0]!.id,
      kind: 'done',
      at: '2031-05-14T09:00:00Z',
    },
  },
  listShares: { id: mine.chart.id },
  createShare: {
    id: mine.chart.id,
    body: {
      id: demo.readings[0]!.id.replace(/^0190/, '0191'),
      version: 1,
      secret: 'a'.repeat(32),
      days: 7,
      cautions: false,
    },
  },
  revokeShare: { id: demo.readings[0]!.id, body: {} },
  tickRunUp: { id: mine.visit.id, body: { task: 'brows', done: true } },
  photographs: { id: mine.chart.id },
  photograph: { id: mine.photograph.id },
  createPhotograph: { id: mine.chart.id, body: photographOf() },
  dropPhotograph: { id: mine.photograph.id, body: {} },
  chartWear: { id: mine.chart.id },
  createWearCheck: {
    id: mine.chart.id,
    body: {
      id: demo.readings[0]!.id,
      version: 1,
      appliedAt: '2031-05-14T05:00:00Z',
      at: '2031-05-14T07:00:00Z',
      zones: { nose: 'holds' },
    },
  },
  createWearLink: {
    id: mine.chart.id,
    body: {
      id: demo.readings[0]!.id,
      version: 1,
      appliedAt: '2031-05-14T05:00:00Z',
      secret: 'i'.repeat(32),
    },
  },
  revokeWearLink: { id: demo.readings[0]!.id, body: {} },
  createPatchTest: { id: mine.client.id, body: { ...mine.patchTest, id: demo.readings[0]!.id } },
  updatePatchTest: { id: mine.patchTest.id, body: mine.patchTest },
  createIncident: {
    id: mine.client.id,
    body: { id: demo.readings[0]!.id, on: '2031-05-14', seen: 'Red lids', done: '', suspected: [] },
  },
  listIntakes: { id: mine.client.id },
  createIntake: { id: mine.client.id, body: { id: demo.readings[0]!.id, secret: 'e'.repeat(32) } },
  revokeIntake: { id: demo.readings[0]!.id, body: {} },
  settleIntake: { id: demo.readings[0]!.id, body: { key: 'usual', taken: true } },
  clientData: { id: mine.client.id },
  erasure: { id: mine.client.id },
  eraseClient: { id: mine.client.id, body: { name: mine.client.name, charts: 'gone too' } },
  updateVisit: {
    id: mine.visit.id,
    body: {
      ...mine.visit,
      chartId: undefined,
      bookedOn: undefined,
      runUp: undefined,
      partyId: null,
      place: 'Taken',
    },
  },
  updateMember: { id: mine.member.id, body: { name: 'Taken', role: 'assistant', active: false } },
  createReset: {
    id: mine.member.id,
    body: { id: demo.readings[0]!.id.replace(/^0190/, '0191'), secret: 'c'.repeat(32) },
  },
  revokeInvite: { id: demo.readings[0]!.id, body: {} },
  party: { id: mine.party.id },
  updateParty: { id: mine.party.id, body: { ...mine.party, plan: mine.party.plan ?? undefined } },
  partyLog: { id: mine.party.id },
  createPartyEvent: {
    id: mine.party.id,
    body: { id: demo.readings[0]!.id, kind: 'packed', item: 'once:wands', at: '2031-05-14T09:00:00Z' },
  },
  liveParty: { id: mine.party.id },
  partyPacking: { id: mine.party.id },
  partySheet: { id: mine.party.id },
  listSheetLinks: { id: mine.party.id },
  createSheetLink: {
    id: mine.party.id,
    body: { id: demo.readings[0]!.id, whom: 'whole', secret: 'h'.repeat(32), days: 7 },
  },
  revokeSheetLink: { id: demo.readings[0]!.id, body: {} },
  printLesson: { id: mine.chart.id },
  listLessonLinks: { id: mine.chart.id },
  createLessonLink: {
    id: mine.chart.id,
    body: {
      id: demo.readings[0]!.id,
      version: 1,
      minutes: 20,
      keep: [mine.chart.steps[0]!.id],
      secret: 'j'.repeat(32),
      days: 30,
    },
  },
  printEvidence: { id: mine.client.id },
  touchUpCard: { id: mine.chart.id },
  listCompacts: { id: mine.chart.id },
  createCompact: {
    id: mine.compact.chartId,
    body: {
      compact: { ...mine.compact.compact, id: demo.readings[0]!.id },
      version: mine.compact.version,
    },
  },
  updateCompact: {
    id: mine.compact.compact.id,
    body: { compact: { ...mine.compact.compact, name: 'Taken' }, version: mine.compact.version },
  },
  printCompact: { id: mine.compact.compact.id },
  renewLessonLink: { id: demo.readings[0]!.id, body: { version: 1 } },
  revokeLessonLink: { id: demo.readings[0]!.id, body: {} },
  chartTrials: { id: mine.chart.id },
  createTrial: {
    id: mine.chart.id,
    body: {
      id: demo.readings[0]!.id,
      version: 1,
      date: '2031-05-14',
      ask: { aspect: 'step', stepId: mine.chart.steps[0]!.id },
      measure: 'shine',
      by: 'client',
      zones: ['nose'],
      hours: [4],
    },
  },
  trial: { id: demo.trials[0]!.id },
  createTrialEvent: {
    id: demo.trials[0]!.id,
    body: { event: { id: demo.readings[0]!.id, at: '2031-05-14T09:00:00Z', kind: 'opened' } },
  },
  exportTrial: { id: demo.trials[0]!.id },
};

test('every route that takes an id is tried', () => {
  const withId = (Object.keys(ROUTES) as RouteName[]).filter((name) => ROUTES[name].path.includes(':id'));
  expect(Object.keys(ATTEMPTS).sort()).toEqual(withId.sort());
});

test.each(Object.entries(ATTEMPTS))(
  '%s answers a stranger with the 404 of an unknown id',
  async (name, { id, body }) => {
    const { method, path } = ROUTES[name as RouteName];
    const stranger = await server.signedIn('stranger');
    const ask = (target: string) => {
      const url = path.replace(':id', target);
      const sent = body === undefined ? undefined : JSON.parse(JSON.stringify(body).replaceAll(id, target));
      if (method === 'GET') return stranger.get(url);
      return stranger[method === 'PUT' ? 'put' : 'post'](url)
        .set({ ...keyed(), 'if-match': '1' })
        .send(sent);
    };
    const theirs = await ask(id);
    const unknown = await ask('01900000-0000-7000-8000-000000000000');
    expect(theirs.status).toBe(404);
    expect(theirs.body).toEqual(unknown.body);
  },
);

test('routes that name ours in their body answer 404 and write nothing', async () => {
  const stranger = await server.signedIn('stranger');
  await stranger.post('/api/reader/samples').send({ clientId: mine.client.id, zone: 'cheek' }).expect(404);
  const pan = { paletteId: mine.palette.id, row: 0, column: 0 };
  await stranger.post('/api/reader/samples').send({ pan }).expect(404);
  await stranger
    .post('/api/units')
    .set(keyed())
    .send({ ...mine.unit, id: demo.readings[0]!.id })
    .expect(404);
  await stranger.post('/api/charts').set(keyed()).send({ chart: mine.chart, visitId: null }).expect(404);
  await stranger
    .post('/api/visits')
    .set(keyed())
    .send({
      id: demo.visits[0]!.id.replace(/^0190/, '0191'),
      clientId: mine.client.id,
      kind: 'trial',
      date: '2031-06-01',
      startsAt: '09:00',
    })
    .expect(404);
  const written = await inStudio(server.db, SECOND_STUDIO, async (tx) => [
    ...(await tx.selectFrom('charts').select('id').execute()),
    ...(await tx.selectFrom('visits').select('id').execute()),
    ...(await tx.selectFrom('audit').select('id').execute()),
  ]);
  expect(written).toEqual([]);
});

test('lists of a stranger hold nothing of ours', async () => {
  const stranger = await server.signedIn('stranger');
  for (const url of ['/api/clients', '/api/clients?query=Isaura', '/api/looks', '/api/parties'])
    expect((await stranger.get(url).expect(200)).body).toEqual([]);
  expect((await stranger.get('/api/kit').expect(200)).body).toEqual({
    products: [],
    units: [],
    revisions: {},
  });
  expect((await stranger.get('/api/palettes').expect(200)).body).toEqual([]);
  expect((await stranger.get('/api/kit/export?as=csv').expect(200)).text.trim().split('\n')).toHaveLength(1);
  expect((await stranger.get('/api/today').expect(200)).body).toMatchObject({ visits: [], due: [] });
});

test('without a studio set, no table shows a row to the app’s role', async () => {
  for (const table of STUDIO_TABLES) {
    const { rows } = await server.pool.query(`select count(*)::int as n from ${table}`);
    expect({ table, n: rows[0].n }).toEqual({ table, n: 0 });
  }
});

test('with another studio set, a query without any WHERE still shows only that studio', async () => {
  const other = demo.studio.id.replace(/^0190/, '0191');
  for (const table of STUDIO_TABLES) {
    const rows = await inStudio(server.db, other, (tx) => tx.selectFrom(table).selectAll().execute());
    expect(rows).toEqual([]);
  }
  expect(
    await inStudio(server.db, demo.studio.id, (tx) => tx.selectFrom('clients').select('id').execute()),
  ).toHaveLength(demo.clients.length);
});

describe('a row of one studio cannot be written while another is set', () => {
  // One row of each table, as the database itself writes it.
  const rows = new Map<string, string>();
  beforeAll(async () => {
    const owner = await server.signedIn('owner');
    const put = (revision: number) => ({ 'idempotency-key': newId(), 'if-match': String(revision) });
    const share = { id: newId(), version: 1, secret: 'b'.repeat(32), days: 7, cautions: false };
    await owner.post(`/api/charts/${demo.charts[0]!.id}/shares`).set(put(0)).send(share).expect(201);
    await owner
      .post(`/api/charts/${demo.charts[0]!.id}/wear`)
      .set(put(0))
      .send({
        id: newId(),
        version: 1,
        appliedAt: '2031-05-14T05:00:00Z',
        at: '2031-05-14T07:00:00Z',
        zones: { nose: 'holds' },
      })
      .expect(201);
    await owner
      .post(`/api/charts/${demo.charts[0]!.id}/lesson-links`)
      .set(put(0))
      .send({
        id: newId(),
        version: 1,
        minutes: 20,
        keep: [demo.charts[0]!.steps[0]!.id],
        secret: 'k'.repeat(32),
        days: 0,
      })
      .expect(201);
    await owner
      .post(`/api/charts/${demo.charts[0]!.id}/wear-links`)
      .set(put(0))
      .send({ id: newId(), version: 1, appliedAt: '2031-05-14T05:00:00Z', secret: 'i'.repeat(32) })
      .expect(201);
    await owner
      .post(`/api/parties/${demo.parties.find(({ plan }) => plan?.timetable)!.id}/sheet-links`)
      .set(put(0))
      .send({ id: newId(), whom: 'whole', secret: 'h'.repeat(32), days: 7 })
      .expect(201);
    await owner
      .post(`/api/units/${demo.units[0]!.id}/counts`)
      .set(put(0))
      .send({ id: newId(), remainingMg: 5, note: '' })
      .expect(201);
    await owner
      .post(`/api/looks/${mine.look.id}/retirements`)
      .set(put(0))
      .send({ retired: true })
      .expect(200);
    await owner
      .post(`/api/clients/${mine.client.id}/intakes`)
      .set(put(0))
      .send({ id: newId(), secret: 'f'.repeat(32) })
      .expect(201);
    await owner
      .post(`/api/clients/${mine.client.id}/incidents`)
      .set(put(0))
      .send({ id: newId(), on: '2031-05-14', seen: 'Red lids' })
      .expect(201);
    await owner
      .post('/api/calendar')
      .set(put(0))
      .send({ secret: 'g'.repeat(32) })
      .expect(201);
    await owner
      .post('/api/team/invites')
      .set(put(0))
      .send({ id: newId(), email: 'new@studio.example', name: 'New', role: 'artist', secret: 'd'.repeat(32) })
      .expect(201);
    for (const table of STUDIO_TABLES) {
      const [row] = (
        await inStudio(server.db, demo.studio.id, (tx) =>
          sql<{ row: string }>`select row_to_json(t)::text as row from ${sql.table(table)} t limit 1`.execute(
            tx,
          ),
        )
      ).rows;
      if (row) rows.set(table, row.row);
    }
  });

  test.each(STUDIO_TABLES)('%s', async (table) => {
    const row = rows.get(table);
    expect(row).toBeDefined();
    const { rows: columns } = await server.pool.query<{ name: string }>(
      "select column_name as name from information_schema.columns where table_name = $1 and table_schema = 'public' and is_generated = 'NEVER'",
      [table],
    );
    const names = columns.map((c) => `"${c.name}"`).join(', ');
    const writing = inStudio(server.db, SECOND_STUDIO, (tx) =>
      sql`insert into ${sql.table(table)} (${sql.raw(names)}) overriding system value select ${sql.raw(names)} from json_populate_record(null::${sql.table(table)}, ${row}::json)`.execute(
        tx,
      ),
    );
    await expect(writing).rejects.toThrow('row-level security');
  });
});

test('every studio table is guarded and forced, and the app’s role owns nothing', async () => {
  const { rows } = await server.pool.query<{ relname: string }>(
    "select relname from pg_class join pg_namespace n on n.oid = relnamespace where n.nspname = 'public' and relkind = 'r' and relrowsecurity and relforcerowsecurity",
  );
  expect(rows.map((r) => r.relname).sort()).toEqual([...STUDIO_TABLES, 'studios'].sort());
  const role = await server.pool.query(
    'select rolsuper, rolbypassrls, (select count(*)::int from pg_class where relowner = r.oid) as owned from pg_roles r where rolname = current_user',
  );
  expect(role.rows).toEqual([{ rolsuper: false, rolbypassrls: false, owned: 0 }]);
});

test.each(APPEND_ONLY)('%s can be added to but never changed or taken from', async (table) => {
  const client = new pg.Client({ connectionString: server.appUrl });
  await client.connect();
  await expect(client.query(`update ${table} set studio_id = studio_id`)).rejects.toThrow(
    'permission denied',
  );
  await expect(client.query(`delete from ${table}`)).rejects.toThrow('permission denied');
  await client.end();
});
