import { openPool } from '../../server/src/db/connection';
import { row, type Row } from './measure';
import { signIn } from './signedIn';
import { superUrlOf } from './superUrl';

/**
 * Requests of each kind whose 95th percentile is taken, and how often: the median of those is told, since one
 * hiccup of the machine moves a single one by half.
 */
const ROUNDS = 80;
const BATCHES = 5;
/**
 * Neighbours, and what each of them has: together as many clients and chart versions as a hundred thousand.
 */
const NEIGHBOURS = [100, 1000] as const;
const EACH_HAS = 100;
/** Clients of the one studio in the end; it begins with about twenty. */
const OWN_CLIENTS = [200, 20_000] as const;
/** How each is asked: while nothing was written, and when it must be read anew. */
const KINDS = ['asked again', 'after a write'] as const;
const ANEW = 1;

/** Of a neighbour’s chart nobody reads more than this; the whole of it would be gigabytes. */
const SLIM =
  "jsonb_build_object('look', one.document -> 'look', 'occasion', one.document -> 'occasion', 'at', one.document -> 'at')";

/** Of some numbers the one below which a share of them lies. */
const at = (all: readonly number[], share: number): number =>
  [...all].sort((a, b) => a - b)[Math.floor(all.length * share)]!;

type Connection = ReturnType<typeof openPool>;

/** Inserts copies of a table's first row, with some columns said by an expression over `i`. */
async function copies(
  client: Connection,
  table: string,
  [from, to]: readonly [number, number],
  said: Readonly<Record<string, string>>,
): Promise<void> {
  const { rows } = await client.query<{ name: string }>(
    `select column_name as name from information_schema.columns
     where table_schema = 'public' and table_name = $1 and is_generated = 'NEVER' and is_identity = 'NO'`,
    [table],
  );
  const names = rows.map(({ name }) => name);
  // Much is written at once here, as no request would.
  await client.query(
    `set statement_timeout = 0; insert into ${table} (${names.join(', ')})
     select ${names.map((name) => said[name] ?? `one.${name}`).join(', ')}
     from (select * from ${table} limit 1) one, generate_series(${from}, ${to - 1}) i
     on conflict do nothing`,
  );
}

/** A server, and its database. */
export type Served = { readonly url: string; readonly appUrl: string };

const ROUTES = [
  ['a client', ({ client }) => `/api/clients/${client}`],
  ['a chart', ({ chart }) => `/api/charts/${chart}`],
  ['the kit', () => '/api/kit'],
  ['Today', () => '/api/today'],
  ['clients by a part of a name', () => '/api/clients?query=isau'],
  // What does not grow: how much the machine itself strays.
  ['no database at all', () => '/healthz'],
] as const satisfies readonly (readonly [string, (ids: Ids) => string])[];
type Ids = { readonly client: string; readonly chart: string };

/** One studio of a server, asked as its owner, and written to as the superuser. */
async function openStudio({ url, appUrl }: Served) {
  const cookie = await signIn(url);
  const get = async (path: string): Promise<unknown> => {
    const answer = await fetch(`${url}${path}`, { headers: { cookie } });
    if (!answer.ok) throw new Error(`${path} was answered ${answer.status}`);
    const said = await answer.text();
    return path.startsWith('/api/') ? JSON.parse(said) : said;
  };
  const { studio } = (await get('/api/session')) as { studio: { id: string } };
  const [one] = (await get('/api/clients?query=Isaura')) as { id: string }[];
  const { charts } = (await get(`/api/clients/${one!.id}`)) as { charts: { id: string }[] };
  const ids: Ids = { client: one!.id, chart: charts[0]!.id };
  const connection = openPool(superUrlOf(appUrl), () => undefined, 1);
  let own = 0;
  return {
    connection,
    paths: ROUTES.map(([, pathOf]) => pathOf(ids)),
    get,
    /** As after a write: nothing that is held is as new any more. */
    written: (): Promise<unknown> =>
      connection.query(
        `update studio_marks set marks =
           (select jsonb_object_agg(name, gen_random_uuid()) from jsonb_object_keys(marks) as name)
         where studio_id = $1`,
        [studio.id],
      ),
    /** So many clients of its own, beside those it began with. */
    async grow(clients: number): Promise<void> {
      const id = `md5('own' || i)::uuid`;
      const names = `(array['Ada','Bo','Cy','Dorothea','Emre','Farah'])[1 + i % 6] || ' ' || md5(i::text)`;
      await copies(connection, 'clients', [own, clients], {
        studio_id: `'${studio.id}'::uuid`,
        id,
        name: names,
      });
      own = clients;
    },
  };
}
type Studio = Awaited<ReturnType<typeof openStudio>>;

/** Studios from one number to another, each with its clients, charts and readings. */
async function addNeighbours(connection: Connection, from: number, to: number): Promise<void> {
  const uuid = (kind: string, n = 'i'): string => `md5('${kind}' || ${n})::uuid`;
  const of = `${uuid('studio', `(i / ${EACH_HAS})`)}`;
  const range = [from * EACH_HAS, to * EACH_HAS] as const;
  await copies(connection, 'studios', [from, to], { id: uuid('studio'), name: `'Neighbour ' || i` });
  await copies(connection, 'clients', range, { studio_id: of, id: uuid('client'), name: `'Isaura ' || i` });
  await copies(connection, 'charts', range, {
    studio_id: of,
    id: uuid('chart'),
    client_id: uuid('client'),
  });
  await copies(connection, 'chart_versions', range, {
    studio_id: of,
    chart_id: uuid('chart'),
    version: '1',
    document: SLIM,
  });
  await copies(connection, 'readings', range, {
    studio_id: of,
    id: uuid('reading'),
    client_id: uuid('client'),
  });
}

/**
 * The 95th percentile of every route and kind, ms, of two studios asked turn and turn about: what else the
 * machine does meanwhile falls on both alike.
 */
async function besideEachOther(both: readonly [Studio, Studio]): Promise<readonly (readonly number[])[]> {
  for (const { connection } of both) {
    // What was brought in is on the disk before anything is timed.
    await connection.query('vacuum analyze');
    await connection.query('checkpoint');
  }
  const batch = async (): Promise<readonly (readonly (readonly number[])[])[]> => {
    const times = both.map(() => KINDS.flatMap(() => ROUTES.map((): number[] => [])));
    for (let i = 0; i < ROUNDS; i++)
      for (const n of ROUTES.keys())
        for (const kind of KINDS.keys())
          for (const turn of both.keys()) {
            const which = (turn + i) % both.length;
            const { get, written, paths } = both[which]!;
            await (kind === ANEW ? written() : get(paths[n]!));
            const start = performance.now();
            await get(paths[n]!);
            times[which]![kind * ROUTES.length + n]!.push(performance.now() - start);
          }
    return times;
  };
  const batches: (readonly (readonly number[])[])[] = [];
  for (let i = -1; i < BATCHES; i++) {
    const times = await batch();
    // The first warms up.
    if (i >= 0) batches.push(times.map((one) => one.map((all) => at(all, 0.95))));
  }
  return both.map((_, which) =>
    batches[0]![which]!.map((__, n) =>
      at(
        batches.map((one) => one[which]![n]!),
        0.5,
      ),
    ),
  );
}

/**
 * What a studio reads, at the 95th percentile, as its neighbours and it itself grow: each time beside the
 * same demo in a database of its own that stays as it is.
 */
export async function growthRows(growing: Served, still: Served): Promise<Row[]> {
  const [large, small] = await Promise.all([openStudio(growing), openStudio(still)]);
  const rows: Row[] = [];
  const compare = async (where: string, from: string): Promise<void> => {
    const [now, before] = await besideEachOther([large, small]);
    KINDS.forEach((kind, k) =>
      ROUTES.forEach(([what], n) => {
        const i = k * ROUTES.length + n;
        rows.push(row(`${what}, ${kind}, 95th percentile, ${where}`, now![i]!, from, before![i]!));
      }),
    );
  };
  try {
    await compare('nothing added', 'alone');
    let from = 0;
    for (const studios of NEIGHBOURS) {
      await addNeighbours(large.connection, from, studios);
      from = studios;
      await compare(`among ${studios.toLocaleString('en')} studios`, 'alone');
    }
    await small.grow(OWN_CLIENTS[0]);
    await large.grow(OWN_CLIENTS[1]);
    await compare(`with ${OWN_CLIENTS[1].toLocaleString('en')} clients`, `with ${OWN_CLIENTS[0]}`);
    return rows;
  } finally {
    for (const { connection } of [large, small]) await connection.end();
  }
}
