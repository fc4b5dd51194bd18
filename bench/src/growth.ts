import { openPool } from '../../server/src/db/connection';
import { row, type Row } from './measure';
import { signIn } from './signedIn';
import { superUrlOf } from './superUrl';

/** Requests of each kind whose 95th percentile is taken, and how often: the median of those is told, since one hiccup of the
    machine moves a single one by half. */
const ROUNDS = 80;
const BATCHES = 5;
/** Neighbours, and what each of them has: together as many clients and chart versions as a hundred thousand. */
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

/** What a studio reads, at the 95th percentile, as its neighbours and it itself grow. */
export async function growthRows(url: string, appUrl: string): Promise<Row[]> {
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
  const routes = [
    ['a client', `/api/clients/${one!.id}`],
    ['a chart', `/api/charts/${charts[0]!.id}`],
    ['the kit', '/api/kit'],
    ['Today', '/api/today'],
    ['clients by a part of a name', '/api/clients?query=isau'],
    // What does not grow: how much the machine itself strays.
    ['no database at all', '/healthz'],
  ] as const;
  const client = openPool(superUrlOf(appUrl), () => undefined, 1);
  const written = (): Promise<unknown> =>
    client.query(
      `update studio_marks set marks =
         (select jsonb_object_agg(name, gen_random_uuid()) from jsonb_object_keys(marks) as name)
       where studio_id = $1`,
      [studio.id],
    );
  /** Asked again, then read anew after a write; turn and turn about, so that what else the machine does falls on all alike. */
  const batch = async (): Promise<readonly (readonly number[])[]> => {
    const times = KINDS.map(() => routes.map((): number[] => []));
    for (let i = 0; i < ROUNDS; i++)
      for (const [n, [, path]] of routes.entries())
        for (const kind of KINDS.keys()) {
          await (kind === ANEW ? written() : get(path));
          const start = performance.now();
          await get(path);
          times[kind]![n]!.push(performance.now() - start);
        }
    return times.flat();
  };
  const p95 = async (): Promise<readonly number[]> => {
    // What was brought in is on the disk before anything is timed.
    await client.query('vacuum analyze');
    await client.query('checkpoint');
    const batches: (readonly number[])[] = [];
    for (let i = -1; i < BATCHES; i++) {
      const times = await batch();
      // The first warms up.
      if (i >= 0) batches.push(times.map((all) => at(all, 0.95)));
    }
    return batches[0]!.map((_, n) =>
      at(
        batches.map((one) => one[n]!),
        0.5,
      ),
    );
  };
  const rows: Row[] = [];
  const compare = (where: string, now: readonly number[], from: string, before: readonly number[]): void =>
    KINDS.forEach((kind, k) =>
      routes.forEach(([what], n) => {
        const i = k * routes.length + n;
        rows.push(row(`${what}, ${kind}, 95th percentile, ${where}`, now[i]!, from, before[i]!));
      }),
    );
  try {
    const alone = await p95();
    let from = 0;
    for (const studios of NEIGHBOURS) {
      const uuid = (kind: string, n = 'i'): string => `md5('${kind}' || ${n})::uuid`;
      const of = `${uuid('studio', `(i / ${EACH_HAS})`)}`;
      const range = [from * EACH_HAS, studios * EACH_HAS] as const;
      await copies(client, 'studios', [from, studios], { id: uuid('studio'), name: `'Neighbour ' || i` });
      await copies(client, 'clients', range, { studio_id: of, id: uuid('client'), name: `'Isaura ' || i` });
      await copies(client, 'charts', range, { studio_id: of, id: uuid('chart'), client_id: uuid('client') });
      await copies(client, 'chart_versions', range, {
        studio_id: of,
        chart_id: uuid('chart'),
        version: '1',
        document: SLIM,
      });
      await copies(client, 'readings', range, {
        studio_id: of,
        id: uuid('reading'),
        client_id: uuid('client'),
      });
      from = studios;
      compare(`among ${studios.toLocaleString('en')} studios`, await p95(), 'alone', alone);
    }
    let small: readonly number[] | null = null;
    let own = 0;
    for (const clients of OWN_CLIENTS) {
      const id = `md5('own' || i)::uuid`;
      const names = `(array['Ada','Bo','Cy','Dorothea','Emre','Farah'])[1 + i % 6] || ' ' || md5(i::text)`;
      await copies(client, 'clients', [own, clients], { studio_id: `'${studio.id}'::uuid`, id, name: names });
      own = clients;
      const now = await p95();
      if (small)
        compare(`with ${clients.toLocaleString('en')} clients`, now, `with ${OWN_CLIENTS[0]}`, small);
      small = now;
    }
    return rows;
  } finally {
    await client.end();
  }
}
