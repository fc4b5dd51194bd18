import pg from 'pg';
import { ROUTES, type RouteName } from '@toile/contract';
import { STUDIO_TABLES } from '../src/db/schema';
import { keepOne, photographOf } from './aPhotograph';
import { demo, testServer, type TestServer } from './testServer';

// With a hundred studios in the tables no query of one of them may read a table from end to end.
const ROWS = 10_000;
const STUDIOS = 100;
let server: TestServer;
let superClient: pg.Client;
beforeAll(async () => {
  server = await testServer();
  await keepOne(server, chart, PHOTOGRAPH);
  const url = new URL(process.env.TOILE_TEST_SUPER_URL!);
  url.pathname = new URL(server.appUrl).pathname;
  superClient = new pg.Client({ connectionString: url.toString() });
  await superClient.connect();
  await growMany(superClient);
}, 180_000);
afterAll(async () => {
  await superClient.end();
  await server.stop();
});

type Column = { readonly name: string; readonly type: string };
/** Columns a row may be given: what the database makes itself is left to it. */
async function columnsOf(client: pg.Client, table: string): Promise<Column[]> {
  const { rows } = await client.query<Column>(
    `select column_name as name, data_type as type from information_schema.columns
     where table_schema = 'public' and table_name = $1 and is_generated = 'NEVER' and is_identity = 'NO'
       and coalesce(column_default, '') not like 'nextval%'`,
    [table],
  );
  return rows;
}

/** Parents before children: whose rows others name. */
const PARENTS = ['clients', 'products', 'units', 'charts', 'parties', 'trials'];
const REFERS: Readonly<Record<string, string>> = {
  client_id: 'clients',
  product_id: 'products',
  unit_id: 'units',
  chart_id: 'charts',
  party_id: 'parties',
  trial_id: 'trials',
};

const SOMEBODY = "md5('somebody')::uuid";
/** Copies of one row of each table, spread over studios of nobody; each names the rows of its own studio. */
async function growMany(client: pg.Client): Promise<void> {
  const named = (table: string, i = 'i'): string => `md5('${table}' || (${i} % ${ROWS}))::uuid`;
  await client.query(
    `insert into studios (id, name) select md5('studio' || i)::uuid, 'Studio ' || i from generate_series(0, ${STUDIOS - 1}) i`,
  );
  // One person works in all of them.
  await client.query(
    `insert into accounts (id, email, password_hash) values (${SOMEBODY}, 'somebody@many.example', '')`,
  );
  await client.query(
    `insert into memberships (studio_id, account_id, role, name)
     select md5('studio' || i)::uuid, ${SOMEBODY}, 'owner', 'Somebody' from generate_series(0, ${STUDIOS - 1}) i`,
  );
  const tables = [...PARENTS, ...STUDIO_TABLES.filter((table) => !PARENTS.includes(table))];
  for (const table of tables) {
    if (table === 'memberships' || table === 'studio_settings') continue;
    const columns = await columnsOf(client, table);
    const value = ({ name, type }: Column): string => {
      if (name === 'studio_id') return `md5('studio' || (i % ${STUDIOS}))::uuid`;
      const parent = REFERS[name];
      if (parent && parent !== table)
        return `case when r.${name} is null then null else ${named(parent)} end`;
      if (name === 'id' || name === 'look_id') return named(table);
      if (name === 'account_id') return `case when r.account_id is null then null else ${SOMEBODY} end`;
      if (name === 'secret_hash' || name === 'key' || name === 'hash') return `md5('${table}' || i)`;
      if (name === 'name') return `'Somebody ' || i`;
      if (type === 'jsonb')
        return `case when jsonb_typeof(r.${name}) = 'array' then '[]' else '{}' end::jsonb`;
      return `r.${name}`;
    };
    await client.query(
      `insert into ${table} (${columns.map(({ name }) => name).join(', ')})
       select ${columns.map(value).join(', ')} from (select * from ${table} limit 1) r, generate_series(0, ${ROWS - 1}) i
       on conflict do nothing`,
    );
  }
  await client.query('analyze');
}

/** Read by one studio as a whole, by its owner, now and then. */
const WHOLE: readonly RouteName[] = ['exportStudio', 'backupStudio'];
/** Lines that stay open. */
const LINES: readonly RouteName[] = ['liveChart', 'liveParty'];
const chart = demo.charts[0]!;
const PHOTOGRAPH = photographOf();
const IDS: Readonly<Record<string, string>> = {
  '/api/clients': demo.clients[0]!.id,
  '/api/readings': demo.readings[0]!.id,
  '/api/looks': demo.looks[0]!.id,
  '/api/products': demo.products[0]!.id,
  '/api/compacts': demo.compacts[0]!.compact.id,
  '/api/units': demo.units[0]!.id,
  '/api/palettes': demo.palettes![0]!.id,
  '/api/charts': chart.id,
  '/api/photographs': PHOTOGRAPH.id,
  '/api/trials': demo.trials[0]!.id,
  '/api/parties': demo.parties[0]!.id,
};
const reads = (Object.keys(ROUTES) as RouteName[]).filter(
  (name) => ROUTES[name].method === 'GET' && !WHOLE.includes(name) && !LINES.includes(name),
);
const addressOf = (name: RouteName): string => {
  // The party that has a timetable.
  if (name === 'partySheet') return ROUTES[name].path.replace(':id', demo.parties.at(-1)!.id);
  const { path } = ROUTES[name];
  const owner = Object.keys(IDS).find((one) => path.startsWith(`${one}/`));
  return path.replace(/:\w+/, owner ? IDS[owner]! : chart.id);
};

type Plan = {
  readonly 'Node Type': string;
  readonly 'Relation Name'?: string;
  readonly Plans?: readonly Plan[];
};
const nodesOf = (plan: Plan): Plan[] => [plan, ...(plan.Plans ?? []).flatMap(nodesOf)];

test('no route reads a large table from end to end, of a hundred studios for one', async () => {
  const owner = await server.signedIn('owner');
  const asked = new Map<string, { values: unknown[]; by: RouteName }>();
  const spy = jest.spyOn(pg.Client.prototype, 'query');
  const statuses: Partial<Record<RouteName, number>> = {};
  for (const name of reads) {
    spy.mockClear();
    statuses[name] = (await owner.get(addressOf(name)).query({ query: 'so' })).status;
    for (const [text, values] of spy.mock.calls as unknown as [unknown, unknown][])
      if (typeof text === 'string' && /^\s*(select|with)/i.test(text) && !text.includes('set_config'))
        asked.set(text, { values: Array.isArray(values) ? (values as unknown[]) : [], by: name });
  }
  spy.mockRestore();
  // Asked in earnest: every route answered, and of many tables.
  expect(Object.entries(statuses).filter(([, status]) => status >= 400)).toEqual([]);
  expect(asked.size).toBeGreaterThan(40);
  const large = new Map(
    (
      await superClient.query<{ name: string; rows: string }>(
        "select relname as name, reltuples as rows from pg_class where relkind = 'r' and relnamespace = 'public'::regnamespace",
      )
    ).rows.map(({ name, rows }) => [name, Number(rows)]),
  );
  expect([...large.values()].filter((rows) => rows >= ROWS).length).toBeGreaterThan(18);
  const scanned = async (
    client: Pick<pg.Client, 'query'>,
    text: string,
    values: unknown[],
  ): Promise<string[]> => {
    const { rows } = await client.query<{ 'QUERY PLAN': readonly { Plan: Plan }[] }>(
      `explain (format json) ${text}`,
      values,
    );
    return nodesOf(rows[0]!['QUERY PLAN'][0]!.Plan).flatMap((node) => {
      const table = node['Relation Name'] ?? '';
      return node['Node Type'] === 'Seq Scan' && (large.get(table) ?? 0) >= ROWS / 2 ? [table] : [];
    });
  };
  // A scan is seen where there is one.
  expect(await scanned(superClient, 'select from chart_versions where author = $1', ['nobody'])).toEqual([
    'chart_versions',
  ]);
  const client = await server.pool.connect();
  const wrong: string[] = [];
  try {
    for (const [text, { values, by }] of asked) {
      await client.query('begin');
      await client.query("select set_config('toile.studio_id', $1, true)", [demo.studio.id]);
      for (const table of await scanned(client, text, values))
        wrong.push(`${by}: ${table}: ${text.slice(0, 140)}`);
      await client.query('rollback');
    }
  } finally {
    client.release();
  }
  expect(wrong).toEqual([]);
}, 180_000);
