// Loaded before a server (`node --import`): each hold of its event loop over 20 ms is written, as a line of
// JSON, to the file TOILE_HOLDS names. By the clock, and by the processor: a process that waits for its turn
// on a busy machine does no work.
import { appendFileSync, readFileSync } from 'node:fs';
import { isMainThread } from 'node:worker_threads';

const PULSE_MS = 10;
const WORTH_TELLING_MS = 20;

const file = process.env.TOILE_HOLDS;
if (file && isMainThread) {
  /** How long this thread has run, ms. */
  const ran = () =>
    Number(readFileSync(`/proc/self/task/${process.pid}/schedstat`, 'utf8').split(' ')[0]) / 1e6;
  let [clock, worked] = [performance.now(), ran()];
  setInterval(() => {
    const now = [performance.now(), ran()];
    const hold = { clockMs: now[0] - clock, workMs: now[1] - worked };
    if (hold.clockMs > WORTH_TELLING_MS) appendFileSync(file, `${JSON.stringify(hold)}\n`);
    [clock, worked] = now;
  }, PULSE_MS).unref();
}
