import { newId } from '@toile/contract';
import { ms, type Row } from './measure';
import { signIn } from './signedIn';

const CALLERS = 100;
const SECONDS = 60;
/** When what a process takes for its caches and its code has been taken, s: memory is compared with that of then. */
const WARM_SECONDS = 15;

type Measures = { readonly residentMb: number; readonly longestHoldMs: number; readonly usualHoldMs: number };

/** What a server process tells of itself since it was last asked. */
async function measuresAt(metricsUrl: string): Promise<Measures> {
  const text = await (await fetch(metricsUrl)).text();
  const value = (name: string): number => Number(new RegExp(`^${name} (\\S+)$`, 'm').exec(text)?.[1] ?? NaN);
  return {
    residentMb: value('process_resident_memory_bytes') / 1e6,
    longestHoldMs: value('nodejs_eventloop_lag_max_seconds') * 1000,
    usualHoldMs: value('nodejs_eventloop_lag_p99_seconds') * 1000,
  };
}

/** A hundred callers without a pause who read and write as a team does; what came of it, and what it took. */
export async function loadRows(url: string, metricsUrl: string): Promise<Row[]> {
  const cookie = await signIn(url);
  const get = async <T>(path: string): Promise<T> =>
    (await (await fetch(`${url}${path}`, { headers: { cookie } })).json()) as T;
  const clients = await get<readonly { id: string }[]>('/api/clients');
  const kit = await get<{ units: readonly { id: string }[] }>('/api/kit');
  const [one] = await get<readonly { id: string }[]>('/api/clients?query=Isaura');
  const { charts } = await get<{ charts: readonly { id: string; version: number }[] }>(
    `/api/clients/${one!.id}`,
  );
  const { chart } = await get<{ chart: { id: string; version: number; steps: readonly { id: string }[] } }>(
    `/api/charts/${charts[0]!.id}`,
  );
  const pick = <T>(from: readonly T[]): T => from[Math.floor(Math.random() * from.length)]!;
  const read = (path: string) => () => fetch(`${url}${path}`, { headers: { cookie } });
  const write = (path: string, body: () => object) => () =>
    fetch(`${url}${path}`, {
      method: 'POST',
      headers: { cookie, 'content-type': 'application/json', 'idempotency-key': newId() },
      body: JSON.stringify(body()),
    });
  /** What is asked, and how often of a hundred times. */
  const asked: readonly (readonly [number, () => Promise<Response>])[] = [
    [30, () => read(`/api/clients/${pick(clients).id}`)()],
    [20, read(`/api/charts/${chart.id}`)],
    [15, read('/api/today')],
    [10, read('/api/kit')],
    [10, read('/api/clients?query=isa')],
    [
      10,
      write(`/api/charts/${chart.id}/events`, () => ({
        id: newId(),
        version: chart.version,
        stepId: pick(chart.steps).id,
        kind: 'done',
        at: new Date().toISOString(),
      })),
    ],
    [5, () => write(`/api/units/${pick(kit.units).id}/counts`, () => ({ id: newId(), remainingMg: 900 }))()],
  ];
  const drawn = asked.flatMap(([times, ask]) => Array.from({ length: times }, () => ask));
  const took: number[] = [];
  const errors = new Map<string, number>();
  const until = performance.now() + SECONDS * 1000;
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
  await measuresAt(metricsUrl);
  const all = Promise.all(Array.from({ length: CALLERS }, caller));
  await new Promise((resolve) => setTimeout(resolve, WARM_SECONDS * 1000));
  const warm = await measuresAt(metricsUrl);
  await all;
  const end = await measuresAt(metricsUrl);
  took.sort((a, b) => a - b);
  const holds = Math.max(warm.longestHoldMs, end.longestHoldMs);
  const wrong = [...errors].map(([what, times]) => `${what} ${times} times`).join(', ');
  const what = `${CALLERS} callers for ${SECONDS} s, of ten answers one a tick, one half a count`;
  return [
    {
      what: `${what}: errors`,
      ours: wrong || 'none',
      peer: `${took.length.toLocaleString('en')} answers, ${Math.round(took.length / SECONDS)} a second`,
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
      ours: `${end.residentMb.toFixed(0)} MB`,
      peer: `after ${WARM_SECONDS} s ${warm.residentMb.toFixed(0)} MB`,
      ratio: `${(warm.residentMb / end.residentMb).toFixed(2)} x`,
    },
    {
      what: 'the same: longest hold of the event loop (of its 10 ms pulse)',
      ours: ms(holds),
      peer: `99 of 100 ${ms(Math.max(warm.usualHoldMs, end.usualHoldMs))}; limit 50.0 ms`,
      ratio: `${(50 / holds).toFixed(1)} x`,
    },
  ];
}
