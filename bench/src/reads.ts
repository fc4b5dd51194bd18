import { inStudio, openDb, openPool, type Db } from '../../server/src/db/connection';
import { ms, row, type Row } from './measure';
import { signIn } from './signedIn';
import { superUrlOf } from './superUrl';

const ROUNDS = 200;
/** Charts printed at once while somebody else asks for little. */
const PRINTED = 8;

type Ids = { readonly studio: string; readonly client: string; readonly chart: string };

/**
 * What a phone waits for at a server, beside one row read behind row security: asked again while nothing was
 * written, and the first time after a write, when it is read anew; and while others print.
 */
export async function readRows(url: string, appUrl: string): Promise<Row[]> {
  const cookie = await signIn(url);
  const get = async (path: string, held?: string): Promise<unknown> => {
    const headers = { cookie, ...(held ? { 'if-none-match': held } : {}) };
    const answer = await fetch(`${url}${path}`, { headers });
    const body = await answer.arrayBuffer();
    if (held && answer.status === 304) return null;
    if (!answer.ok) throw new Error(`${path} was answered ${answer.status}`);
    return answer.headers.get('content-type')?.includes('json')
      ? JSON.parse(new TextDecoder().decode(body))
      : body;
  };
  const ids = await idsOf(get);
  const kit = (await fetch(`${url}/api/kit`, { headers: { cookie } })).headers.get('etag')!;
  const answers = [
    ['a client', `/api/clients/${ids.client}`],
    ['a chart', `/api/charts/${ids.chart}`],
    ['the kit', '/api/kit'],
    ['Today', '/api/today'],
  ] as const;
  const others = [
    ['the kit by whoever holds it as it is', '/api/kit', kit],
    ['the least: who is signed in', '/api/session'],
  ] as const;
  const rows: Row[] = [];
  const pool = openPool(appUrl, () => undefined, 1);
  const raw = rawRead(openDb(pool), ids);
  for (const [what, path, held] of [...answers, ...others]) {
    const [ours, peer] = await medians(() => get(path, held), raw);
    rows.push(row(`${what}, read by its address, median`, ours, 'one row behind row security', peer));
  }
  const superPool = openPool(superUrlOf(appUrl), () => undefined, 1);
  const written = (): Promise<unknown> =>
    superPool.query(
      `update studio_marks set marks =
         (select jsonb_object_agg(name, gen_random_uuid()) from jsonb_object_keys(marks) as name)`,
    );
  for (const [what, path] of answers) {
    const [ours, peer] = await medians(() => get(path), raw, written);
    rows.push(row(`${what}, the first time after a write`, ours, 'one row behind row security', peer));
  }
  await superPool.end();
  await pool.end();
  return [...rows, await whilePrinting(get, ids)];
}

async function idsOf(get: (path: string) => Promise<unknown>): Promise<Ids> {
  const { studio } = (await get('/api/session')) as { studio: { id: string } };
  const [client] = (await get('/api/clients?query=Isaura')) as { id: string }[];
  const { charts } = (await get(`/api/clients/${client!.id}`)) as { charts: { id: string }[] };
  return { studio: studio.id, client: client!.id, chart: charts[0]!.id };
}

type Work = () => Promise<unknown>;
/** Medians, taken turn and turn about, so that what else the machine does falls on both alike. */
async function medians(
  ours: Work,
  peer: Work,
  before: Work = () => Promise.resolve(),
): Promise<readonly [number, number]> {
  const timed = async (work: Work): Promise<number> => {
    const start = performance.now();
    await work();
    return performance.now() - start;
  };
  for (let i = 0; i < 20; i++) await Promise.all([ours(), peer()]);
  const times: [number, number][] = [];
  for (let i = 0; i < ROUNDS; i++) {
    await before();
    times.push([await timed(ours), await timed(peer)]);
  }
  const middle = (which: 0 | 1): number =>
    times.map((pair) => pair[which]).sort((a, b) => a - b)[ROUNDS / 2]!;
  return [middle(0), middle(1)];
}

/** One client's row, in a transaction of its studio, without a server between. */
const rawRead =
  (db: Db, { studio, client }: Ids) =>
  (): Promise<unknown> =>
    inStudio(db, studio, (tx) =>
      tx.selectFrom('clients').selectAll().where('id', '=', client).executeTakeFirstOrThrow(),
    );

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
