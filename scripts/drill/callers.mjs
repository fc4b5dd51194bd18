// Run as a worker by writers.mjs. Callers that write all the time and tell each write until it is acknowledged, by one key: as the app's outbox does.
import { randomUUID } from 'node:crypto';
import { parentPort, workerData } from 'node:worker_threads';

const AGAIN_MS = 20;
const PATIENCE_MS = 4000;
const KEPT = [200, 201];
/** What says to come again; anything else is an answer, and a wrong one here. */
const AGAIN = [429, 502, 503, 504];

/** Signs in and writes units of a product until stopped. */
function callers({ url, email, password, many }) {
  const acknowledged = [];
  const strange = [];
  /** The longest a write took to be acknowledged, told again or held, since it was last asked. */
  let longestMs = 0;
  let stopping = false;
  const send = (pathname, { headers = {}, ...options } = {}) =>
    fetch(`${url}${pathname}`, {
      ...options,
      headers: { 'content-type': 'application/json', ...headers },
      signal: AbortSignal.timeout(PATIENCE_MS),
    });

  /** The status of an answer that came whole; 0 where none did. */
  async function told(pathname, options) {
    try {
      const answer = await send(pathname, options);
      await answer.arrayBuffer();
      return answer.status;
    } catch {
      return 0;
    }
  }

  async function signIn() {
    const answer = await send('/api/session', { method: 'POST', body: JSON.stringify({ email, password }) });
    if (!answer.ok) throw new Error(`signing in was answered ${answer.status}`);
    return answer.headers.getSetCookie()[0].split(';')[0];
  }

  async function write(cookie, productId) {
    const id = randomUUID();
    const body = JSON.stringify({ id, productId, openedOn: null, remainingMg: 1000, place: 'drill' });
    const since = performance.now();
    for (;;) {
      const status = await told('/api/units', {
        method: 'POST',
        body,
        headers: { cookie, 'idempotency-key': id },
      });
      if (KEPT.includes(status)) {
        acknowledged.push(id);
        longestMs = Math.max(longestMs, performance.now() - since);
        return;
      }
      if (status !== 0 && !AGAIN.includes(status)) {
        strange.push(status);
        return;
      }
      await new Promise((resolve) => setTimeout(resolve, AGAIN_MS));
    }
  }

  const run = async () => {
    const cookie = await signIn();
    const kit = await (await send('/api/kit', { headers: { cookie } })).json();
    const productId = kit.products[0].product?.id ?? kit.products[0].id;
    const all = Array.from({ length: many }, async () => {
      while (!stopping) await write(cookie, productId);
    });
    return all;
  };
  let all = null;
  return {
    acknowledged,
    strange,
    start: async () => void (all = await run()),
    /** The longest a write took since this was last asked, ms. */
    takeLongest: () => {
      const longest = longestMs;
      longestMs = 0;
      return longest;
    },
    stop: async () => {
      stopping = true;
      await Promise.all(all ?? []);
    },
  };
}

const calling = callers(workerData);
/** What is asked from outside, and what is answered. */
const ASKED = {
  start: () => calling.start(),
  takeLongest: () => calling.takeLongest(),
  counted: () => calling.acknowledged.length,
  stop: async () => {
    await calling.stop();
    return { acknowledged: calling.acknowledged, strange: calling.strange };
  },
};
parentPort.on('message', async ({ id, ask }) => {
  try {
    parentPort.postMessage({ id, answer: await ASKED[ask]() });
  } catch (error) {
    parentPort.postMessage({ id, wrong: error.message });
  }
});
