import { inStudio, openDb, openPool } from '../../server/src/db/connection';
import { ms, row, type Row } from './measure';
import { signIn } from './signedIn';

const ROUNDS = 200;
/** Charts printed at once while somebody else asks for little. */
const PRINTED = 8;

type Ids = { readonly studio: string; readonly client: string; readonly chart: string };

/** What a phone waits for at a server, beside one row read behind row security; and while others print. */
export async function readRows(url: string, appUrl: string): Promise<Row[]> {
  const cookie = await signIn(url);
  const get = async (path: string): Promise<unknown> => {
    const answer = await fetch(`${url}${path}`, { headers: { cookie } });
    const body = await answer.arrayBuffer();
    if (!answer.ok) throw new Error(`${path} was answered ${answer.status}`);
    return answer.headers.get('content-type')?.includes('json')
      ? JSON.parse(new TextDecoder().decode(body))
      : body;
  };
  const ids = await idsOf(get);
  const raw = await rawRead(appUrl, ids);
  const routes = [
    ['a client', `/api/clients/${ids.client}`],
    ['a chart', `/api/charts/${ids.chart}`],
    ['the kit', '/api/kit'],
    ['Today', '/api/today'],
    ['the least: who is signed in', '/api/session'],
  ] as const;
  const rows: Row[] = [];
  for (const [what, path] of routes)
    rows.push(
      row(
        `${what}, read by its address, median`,
        await median(() => get(path)),
        'one row behind row security',
        raw,
      ),
    );
  return [...rows, await whilePrinting(get, ids)];
}

async function idsOf(get: (path: string) => Promise<unknown>): Promise<Ids> {
  const { studio } = (await get('/api/session')) as { studio: { id: string } };
  const [client] = (await get('/api/clients?query=Isaura')) as { id: string }[];
  const { charts } = (await get(`/api/clients/${client!.id}`)) as { charts: { id: string }[] };
  return { studio: studio.id, client: client!.id, chart: charts[0]!.id };
}

async function median(work: () => Promise<unknown>): Promise<number> {
  for (let i = 0; i < 20; i++) await work();
  const times: number[] = [];
  for (let i = 0; i < ROUNDS; i++) {
    const start = performance.now();
    await work();
    times.push(performance.now() - start);
  }
  return times.sort((a, b) => a - b)[ROUNDS / 2]!;
}

/** One client's row, in a transaction of its studio, without a server between. */
async function rawRead(appUrl: string, { studio, client }: Ids): Promise<number> {
  const pool = openPool(appUrl, () => undefined, 1);
  const db = openDb(pool);
  try {
    return await median(() =>
      inStudio(db, studio, (tx) =>
        tx.selectFrom('clients').selectAll().where('id', '=', client).executeTakeFirstOrThrow(),
      ),
    );
  } finally {
    await pool.end();
  }
}

/** The longest somebody waits for the least there is while many charts are printed, beside one chart. */
async function whilePrinting(get: (path: string) => Promise<unknown>, { chart }: Ids): Promise<Row> {
  const print = (): Promise<unknown> => get(`/api/charts/${chart}/print?as=pdf`);
  await print();
  const start = performance.now();
  await print();
  const one = performance.now() - start;
  let printing = true;
  const all = Promise.all(Array.from({ length: PRINTED }, print)).finally(() => (printing = false));
  let longest = 0;
  while (printing) {
    const asked = performance.now();
    await get('/api/session');
    longest = Math.max(longest, performance.now() - asked);
  }
  await all;
  return {
    what: `the longest anybody waits for the least while ${PRINTED} charts are printed`,
    ours: ms(longest),
    peer: `one chart printed ${ms(one)}`,
    ratio: `${(one / longest).toFixed(1)} x`,
  };
}
