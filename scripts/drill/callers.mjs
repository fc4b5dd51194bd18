// Run as a worker by writers.mjs. Callers that write all the time and tell each write until it is
// acknowledged, by one key: as the app's outbox does.
import { randomUUID } from 'node:crypto';
import { parentPort, workerData } from 'node:worker_threads';

const AGAIN_MS = 20;
const PATIENCE_MS = 4000;
const KEPT = [200, 201];
/** What says to come again; anything else is an answer, and a wrong one here. */
const AGAIN = [429, 502, 503, 504];

/**
 * Signs in and writes units of a product until stopped; one of the callers writes clients, and reads each
 * back at once.
 */
function callers({ url, email, password, many }) {
  const acknowledged = [];
  const strange = [];
  /** Clients that were acknowledged and read back, and those of which an older state was read. */
  const reads = { right: 0, old: 0 };
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

  /** The status of whatever answers, asked again while it says so. */
  async function asked(pathname, options) {
    for (;;) {
      const status = await told(pathname, options);
      if (status !== 0 && !AGAIN.includes(status)) return status;
      await new Promise((resolve) => setTimeout(resolve, AGAIN_MS));
    }
  }

  /** Writes until it is acknowledged; whether it was. */
  async function kept(pathname, cookie, id, body) {
    const headers = { cookie, 'idempotency-key': id };
    const status = await asked(pathname, { method: 'POST', body: JSON.stringify(body), headers });
    if (!KEPT.includes(status)) strange.push(status);
    return KEPT.includes(status);
  }

  async function write(cookie, productId) {
    const id = randomUUID();
    const since = performance.now();
    const unit = { id, productId, openedOn: null, remainingMg: 1000, place: 'drill' };
    if (!(await kept('/api/units', cookie, id, unit))) return;
    acknowledged.push(id);
    longestMs = Math.max(longestMs, performance.now() - since);
  }

  /** What was acknowledged is there for whoever reads, wherever the answer is taken from. */
  async function writeAndRead(cookie, { features, measurements }) {
    const id = randomUUID();
    const client = { id, name: 'Drill', notes: '', features, measurements };
    if (!(await kept('/api/clients', cookie, id, client))) return;
    const status = await asked(`/api/clients/${id}`, { headers: { cookie } });
    if (status === 200) reads.right++;
    else reads.old++;
  }

  const run = async () => {
    const cookie = await signIn();
    const kit = await (await send('/api/kit', { headers: { cookie } })).json();
    const productId = kit.products[0].product?.id ?? kit.products[0].id;
    const clients = await (await send('/api/clients', { headers: { cookie } })).json();
    const client = await (await send(`/api/clients/${clients[0].id}`, { headers: { cookie } })).json();
    return Array.from({ length: many }, async (_, i) => {
      while (!stopping) await (i === 0 ? writeAndRead(cookie, client) : write(cookie, productId));
    });
  };
  let all = null;
  return {
    acknowledged,
    strange,
    reads,
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
    return { acknowledged: calling.acknowledged, strange: calling.strange, reads: calling.reads };
  },
};
parentPort.on('message', async ({ id, ask }) => {
  try {
    parentPort.postMessage({ id, answer: await ASKED[ask]() });
  } catch (error) {
    parentPort.postMessage({ id, wrong: error.message });
  }
});
