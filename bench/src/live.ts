import { newId } from '@toile/contract';
import { ms, type Row } from './measure';
import { signIn } from './signedIn';

const ROUNDS = 15;
/** Nothing heard after this long is a failure, ms. */
const PATIENCE_MS = 5000;

type Told = { readonly heard: () => Promise<void>; readonly stop: () => void };

/** Follows a chart at one server: `heard` waits for the next word of a change. */
async function follow(url: string, cookie: string, chartId: string): Promise<Told> {
  const abort = new AbortController();
  const answer = await fetch(`${url}/api/charts/${chartId}/live`, {
    headers: { cookie },
    signal: abort.signal,
  });
  const reader = answer.body!.pipeThrough(new TextDecoderStream()).getReader();
  const until = async (word: string): Promise<void> => {
    for (let text = ''; !text.includes(word);) {
      const { value, done } = await reader.read();
      if (done) throw new Error('the line was closed');
      text += value;
    }
  };
  await until(': open');
  return { heard: () => until('changed'), stop: () => abort.abort() };
}

/** From a tick sent to one server process until another, over the same database, has told a phone of it. */
export async function liveRows(first: string, second: string): Promise<Row[]> {
  const [here, there] = [await signIn(first), await signIn(second)];
  const clients = (await (
    await fetch(`${first}/api/clients?query=Isaura`, { headers: { cookie: here } })
  ).json()) as { id: string }[];
  const { charts } = (await (
    await fetch(`${first}/api/clients/${clients[0]!.id}`, { headers: { cookie: here } })
  ).json()) as { charts: { id: string }[] };
  const chartId = charts[0]!.id;
  const { chart } = (await (
    await fetch(`${first}/api/charts/${chartId}`, { headers: { cookie: here } })
  ).json()) as {
    chart: { version: number; steps: { id: string }[] };
  };
  const told = await follow(second, there, chartId);
  const times: number[] = [];
  for (let i = 0; i < ROUNDS; i++) {
    const id = newId();
    const body = JSON.stringify({
      id,
      version: chart.version,
      stepId: chart.steps[0]!.id,
      kind: i % 2 === 0 ? 'done' : 'undone',
      at: new Date().toISOString(),
    });
    const heard = Promise.race([
      told.heard(),
      new Promise<never>((_, reject) =>
        setTimeout(() => reject(new Error('nothing was heard')), PATIENCE_MS).unref(),
      ),
    ]);
    const start = performance.now();
    const headers = { 'content-type': 'application/json', 'idempotency-key': id, cookie: here };
    const answer = await fetch(`${first}/api/charts/${chartId}/events`, { method: 'POST', headers, body });
    if (answer.status !== 201) throw new Error(`the tick was not taken: ${answer.status}`);
    await heard;
    times.push(performance.now() - start);
  }
  told.stop();
  times.sort((a, b) => a - b);
  const worst = times.at(-1)!;
  return [
    {
      what: 'a tick at one server process heard at another, median',
      ours: ms(times[Math.floor(ROUNDS / 2)]!),
      peer: 'limit 500 ms',
      ratio: `${(500 / times[Math.floor(ROUNDS / 2)]!).toFixed(0)} x`,
    },
    {
      what: `the same, worst of ${ROUNDS}`,
      ours: ms(worst),
      peer: 'limit 500 ms',
      ratio: `${(500 / worst).toFixed(0)} x`,
    },
  ];
}
