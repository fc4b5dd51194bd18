import { readFileSync, writeFileSync } from 'node:fs';
import { newId } from '@toile/contract';
import { ms, type Row } from './measure';
import { signIn } from './signedIn';

const CALLERS = 100;
/**
 * When what a process takes for its caches and its code has been taken, s: memory is compared with that of
 * then.
 */
const WARM_SECONDS = 15;

type OpenChart = {
  readonly id: string;
  readonly version: number;
  readonly steps: readonly { readonly id: string }[];
};
/** What a server process takes of memory now, MB. */
async function residentMb(metricsUrl: string): Promise<number> {
  const text = await (await fetch(metricsUrl)).text();
  return Number(/^process_resident_memory_bytes (\S+)$/m.exec(text)?.[1] ?? NaN) / 1e6;
}

type Hold = { readonly clockMs: number; readonly workMs: number };
/** Where a process tells of itself: see `watched` of `startServer`. */
type Watched = { readonly metricsUrl: string; readonly holds: string };

/**
 * A hundred callers without a pause, for `seconds`, who read and write as a team does; what came of it, and
 * what it took.
 */
export async function loadRows(url: string, { metricsUrl, holds }: Watched, seconds = 60): Promise<Row[]> {
  const cookie = await signIn(url);
  const get = async <T>(path: string): Promise<T> =>
    (await (await fetch(`${url}${path}`, { headers: { cookie } })).json()) as T;
  const clients = await get<readonly { id: string }[]>('/api/clients');
  const kit = await get<{ units: readonly { id: string }[] }>('/api/kit');
  /** Every client’s latest chart: ticks pile up on none of them as they never would. */
  const charts = await Promise.all(
    clients.map(async ({ id }) => {
      const own = await get<{ charts: readonly { id: string }[] }>(`/api/clients/${id}`);
      return own.charts.slice(0, 1).map((chart) => chart.id);
    }),
  );
  const open = await Promise.all(
    charts.flat().map(async (id) => (await get<{ chart: OpenChart }>(`/api/charts/${id}`)).chart),
  );
  const pick = <T>(from: readonly T[]): T => from[Math.floor(Math.random() * from.length)]!;
  const read = (path: string) => () => fetch(`${url}${path}`, { headers: { cookie } });
  const write = (path: string, body: () => object) => () =>
    fetch(`${url}${path}`, {
      method: 'POST',
      headers: { cookie, 'content-type': 'application/json', 'idempotency-key': newId() },
      body: JSON.stringify(body()),
    });
  const tick = ({ id, version, steps }: OpenChart) =>
    write(`/api/charts/${id}/events`, () => ({
      id: newId(),
      version,
      stepId: pick(steps).id,
      kind: 'done',
      at: new Date().toISOString(),
    }));
  /** What is asked, and how often of a hundred times. */
  const asked: readonly (readonly [number, () => Promise<Response>])[] = [
    [30, () => read(`/api/clients/${pick(clients).id}`)()],
    [20, () => read(`/api/charts/${pick(open).id}`)()],
    [15, read('/api/today')],
    [10, read('/api/kit')],
    [10, read('/api/clients?query=isa')],
    [10, () => tick(pick(open))()],
    [5, () => write(`/api/units/${pick(kit.units).id}/counts`, () => ({ id: newId(), remainingMg: 900 }))()],
  ];
  const drawn = asked.flatMap(([times, ask]) => Array.from({ length: times }, () => ask));
  const took: number[] = [];
  const errors = new Map<string, number>();
  const until = performance.now() + seconds * 1000;
  const caller = async (): Promise<void> => {
    while (performance.now() < until) {
      const start = performance.now();
      const what = await pick(drawn)().then(
        async (answer) => (await answer.arrayBuffer(), answer.ok ? null : String(answer.status)),
        (error: unknown) => (error instanceof Error ? error.message : 'lost'),
      );
      took.push(performance.now() - start);
      if (what) errors.set(what, (errors.get(what) ?? 0) + 1);
    }
  };
  writeFileSync(holds, '');
  const all = Promise.all(Array.from({ length: CALLERS }, caller));
  await new Promise((resolve) => setTimeout(resolve, WARM_SECONDS * 1000));
  const warm = await residentMb(metricsUrl);
  await all;
  const end = await residentMb(metricsUrl);
  took.sort((a, b) => a - b);
  const held = readFileSync(holds, 'utf8')
    .split('\n')
    .filter(Boolean)
    .map((line) => JSON.parse(line) as Hold);
  const longest = (of: (hold: Hold) => number): number => Math.max(0, ...held.map(of));
  const work = longest((hold) => hold.workMs);
  const wrong = [...errors].map(([what, times]) => `${what} ${times} times`).join(', ');
  const what = `${CALLERS} callers for ${seconds} s, of ten answers one a tick, one half a count`;
  return [
    {
      what: `${what}: errors`,
      ours: wrong || 'none',
      peer: `${took.length.toLocaleString('en')} answers, ${Math.round(took.length / seconds)} a second`,
      ratio: '',
    },
    {
      what: 'the same: an answer, 95th percentile, with a hundred waiting at once',
      ours: ms(took[Math.floor(took.length * 0.95)]!),
      peer: `median ${ms(took[Math.floor(took.length / 2)]!)}`,
      ratio: '',
    },
    {
      what: 'the same: memory of the process at the end',
      ours: `${end.toFixed(0)} MB`,
      peer: `after ${WARM_SECONDS} s ${warm.toFixed(0)} MB`,
      ratio: `${(warm / end).toFixed(2)} x`,
    },
    {
      what: 'the same: longest that the event loop was held by work (of a 10 ms pulse)',
      ours: ms(work),
      peer: `limit 50.0 ms; by the clock, with its turns waited for, ${ms(longest((hold) => hold.clockMs))}`,
      ratio: `${(50 / work).toFixed(1)} x`,
    },
  ];
}
