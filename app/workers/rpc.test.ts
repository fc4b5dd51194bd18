import { Stopped, workerFor } from './rpc';

type Message = { id: number; kind: string; request: unknown };

/** A worker that keeps what it is asked and answers when told. */
class FakeWorker {
  static made: FakeWorker[] = [];
  onmessage: ((event: { data: unknown }) => void) | null = null;
  onerror: (() => void) | null = null;
  asked: Message[] = [];
  ended = false;
  constructor() {
    FakeWorker.made.push(this);
  }
  postMessage(message: Message): void {
    this.asked.push(message);
  }
  terminate(): void {
    this.ended = true;
  }
  say(data: unknown): void {
    this.onmessage?.({ data });
  }
}

type Doubling = { readonly double: (n: number) => number };
const started = () => workerFor<Doubling>(() => new FakeWorker() as unknown as Worker);
beforeEach(() => (FakeWorker.made = []));

test('answers come back to who asked, in any order, with progress on the way', async () => {
  const ask = started();
  const shares: number[] = [];
  const first = ask('double', 2, { onProgress: (s) => shares.push(s) });
  const second = ask('double', 3);
  const [worker] = FakeWorker.made;
  expect(FakeWorker.made).toHaveLength(1);
  worker!.say({ id: 2, answer: 6 });
  worker!.say({ id: 1, share: 0.5 });
  worker!.say({ id: 1, answer: 4 });
  expect([await first, await second, shares]).toEqual([4, 6, [0.5]]);
});

test('an error of the job is an error of the question', async () => {
  const ask = started();
  const answer = ask('double', 2);
  FakeWorker.made[0]!.say({ id: 1, error: 'nothing read' });
  await expect(answer).rejects.toThrow('nothing read');
});

test('stopping ends the worker, and the next question starts another', async () => {
  const ask = started();
  const stop = new AbortController();
  const answer = ask('double', 2, { signal: stop.signal });
  stop.abort();
  await expect(answer).rejects.toBeInstanceOf(Stopped);
  expect(FakeWorker.made[0]!.ended).toBe(true);
  void ask('double', 3);
  expect(FakeWorker.made).toHaveLength(2);
  await expect(ask('double', 4, { signal: stop.signal })).rejects.toBeInstanceOf(Stopped);
});

test('a worker that breaks tells everyone who waits', async () => {
  const ask = started();
  const waiting = [ask('double', 1), ask('double', 2)];
  FakeWorker.made[0]!.onerror!();
  for (const answer of waiting) await expect(answer).rejects.toThrow('Reload the page');
});
