// The drill's callers in a thread of their own: what the drill does meanwhile holds none of them up, and is
// not measured as if it did.
import { Worker } from 'node:worker_threads';

/** Starts the callers' thread; each of its words is a promise of the answer. */
export function writers(options) {
  const worker = new Worker(new URL('./callers.mjs', import.meta.url), { workerData: options });
  const waiting = new Map();
  let next = 0;
  worker.on('message', ({ id, answer, wrong }) => {
    const { resolve, reject } = waiting.get(id);
    waiting.delete(id);
    if (wrong) reject(new Error(wrong));
    else resolve(answer);
  });
  const ask = (what) =>
    new Promise((resolve, reject) => {
      const id = next++;
      waiting.set(id, { resolve, reject });
      worker.postMessage({ id, ask: what });
    });
  return {
    start: () => ask('start'),
    /** The longest a write took since this was last asked, ms. */ takeLongest: () => ask('takeLongest'),
    /** How many writes were acknowledged so far. */ counted: () => ask('counted'),
    /**
     * Ends the callers; every write that was acknowledged by its id, and every answer that was none to
     * expect.
     */
    stop: async () => {
      const told = await ask('stop');
      await worker.terminate();
      return told;
    },
  };
}
