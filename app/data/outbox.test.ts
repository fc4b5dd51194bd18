import { act, renderHook, waitFor } from '@testing-library/react';
import { array, assert, asyncProperty, constantFrom, integer } from 'fast-check';
import type { ChairEventInput } from '@toile/contract';
import { readDraft, writeDraft } from './drafts';
import {
  allTaken,
  emptyOutbox,
  flush,
  post,
  settleArrived,
  useOutbox,
  watchNetwork,
  type Outgoing,
} from './outbox';
import { openOutboxStore } from './outboxStore';

const CHART = '0190a000-0000-7000-8000-000000000001';
const item = (n: number, account = 'ada@post.example'): Outgoing => ({
  chartId: CHART,
  by: 'Ada',
  account,
  input: {
    id: `0190a000-0000-7000-8000-${String(n).padStart(12, '0')}`,
    version: 1,
    stepId: CHART,
    kind: 'done',
    at: '2031-05-14T10:00:00Z',
  } satisfies ChairEventInput,
});
const idOf = (n: number): string => item(n).input.id;
/** What the device keeps, by the last digits of the events. */
const onDevice = async (): Promise<string[]> =>
  (await (await openOutboxStore()).read()).waiting.map((w) => w.input.id.slice(-2));
let answers: (Partial<Response> | Error)[];
let sent: string[];
/** The next sends wait for this. */
let held: Promise<void> | null;

beforeEach(async () => {
  await emptyOutbox();
  answers = [];
  sent = [];
  held = null;
  globalThis.fetch = jest.fn(async (_url: string, init: RequestInit) => {
    await held;
    const answer = answers.shift() ?? { ok: true, status: 201, json: () => Promise.resolve({}) };
    if (answer instanceof Error) throw answer;
    sent.push((init.headers as Record<string, string>)['idempotency-key']!.slice(-2));
    return answer as Response;
  }) as unknown as typeof fetch;
});
const refusal = (status: number, code: string) => ({
  ok: false,
  status,
  json: () => Promise.resolve({ code, title: 'No.' }),
});
const noNetwork = () => new TypeError('Failed to fetch');
const box = () => renderHook(() => useOutbox()).result;
/** A device that keeps nothing more: every write of IndexedDB says that its quota is used up. */
function fullDevice(): () => void {
  const full = jest.spyOn(IDBObjectStore.prototype, 'add').mockImplementation(() => {
    throw new DOMException('full', 'QuotaExceededError');
  });
  return () => full.mockRestore();
}

test('sent in order, one at a time, shown as arrived until the chart holds them', async () => {
  const result = box();
  act(() => [1, 2, 3].forEach((n) => post(item(n))));
  expect(result.current.waiting).toHaveLength(3);
  await waitFor(() => expect(result.current.waiting).toEqual([]));
  expect(sent).toEqual(['01', '02', '03']);
  expect(result.current.arrived).toHaveLength(3);
  act(() => settleArrived([idOf(1), idOf(3)]));
  expect(result.current.arrived.map((a) => a.input.id)).toEqual([idOf(2)]);
  await waitFor(async () => expect(await onDevice()).toEqual([]));
});

test('what is told of a chart, a party, a trial and of practice goes where it belongs, in one order', async () => {
  const addresses: string[] = [];
  const bodies: unknown[] = [];
  globalThis.fetch = jest.fn(async (url: string, init: RequestInit) => {
    addresses.push(url);
    bodies.push(JSON.parse(String(init.body)));
    return { ok: true, status: 201, json: () => Promise.resolve({}) } as Response;
  }) as unknown as typeof fetch;
  const { by, account, input } = item(2);
  const look = { id: idOf(4), at: input.at, kind: 'applied' as const, appliedAt: input.at };
  const shared = { id: idOf(5), at: input.at, kind: 'shared' as const, skill: 'jaw', shared: true };
  box();
  await act(async () => {
    post(item(1));
    post({
      partyId: CHART,
      by,
      account,
      input: { id: input.id, kind: 'packed', item: 'once:wands', at: input.at },
    });
    post(item(3));
    post({ trialId: CHART, by, account, input: look });
    post({ practice: true, by, account, input: shared });
    await flush();
  });
  expect(bodies.slice(3)).toEqual([{ event: look, intoChart: false }, { event: shared }]);
  expect(addresses).toEqual([
    `/api/charts/${CHART}/events`,
    `/api/parties/${CHART}/log`,
    `/api/charts/${CHART}/events`,
    `/api/trials/${CHART}/events`,
    '/api/practice',
  ]);
});

test('what cannot be sent is on the device, and what another window left is sent too, oldest first', async () => {
  const result = box();
  answers = [noNetwork()];
  act(() => post(item(1)));
  await waitFor(() => expect(result.current.failure).toContain('cannot be reached'));
  expect(await onDevice()).toEqual(['01']);
  await (await openOutboxStore()).add(item(2));
  let unwatch = (): void => undefined;
  act(() => void (unwatch = watchNetwork('ada@post.example')));
  await waitFor(() => expect(sent).toEqual(['01', '02']));
  await waitFor(() => expect(result.current.failure).toBeNull());
  expect(await onDevice()).toEqual([]);
  unwatch();
});

test('what an earlier version of the app kept is taken over once, in its order, and sent', async () => {
  writeDraft('outbox', [item(7), item(5)]);
  writeDraft('outbox.refused', [{ item: item(6), why: 'Gone.' }]);
  const result = box();
  let unwatch = (): void => undefined;
  act(() => void (unwatch = watchNetwork('ada@post.example')));
  await waitFor(() => expect(sent).toEqual(['07', '05']));
  await waitFor(() => expect(result.current.refused).toEqual([{ item: item(6), why: 'Gone.' }]));
  expect([readDraft('outbox'), readDraft('outbox.refused')]).toEqual([null, null]);
  unwatch();
});

test('what has arrived before counts as arrived; what will never be taken is set aside with its reason, and the rest goes on', async () => {
  const result = box();
  answers = [refusal(409, 'already-there'), refusal(422, 'bad-input')];
  act(() => [1, 2, 3].forEach((n) => post(item(n))));
  await waitFor(() => expect(result.current.waiting).toEqual([]));
  expect(result.current.arrived.map((a) => a.input.id)).toEqual([idOf(1), idOf(3)]);
  expect(result.current.refused).toEqual([{ item: item(2), why: 'No.' }]);
  await waitFor(async () =>
    expect((await (await openOutboxStore()).read()).refused).toEqual([{ item: item(2), why: 'No.' }]),
  );
});

test.each([
  [400, 'bad-json', true],
  [401, 'signed-out', true],
  [403, 'wrong-origin', true],
  [403, 'not-allowed', false],
  [404, 'not-found', false],
  [404, 'bad-id', false],
  [422, 'bad-input', false],
  [409, 'judged-already', false],
  [422, 'key-reused', false],
  [429, 'too-many-tries', true],
  [500, 'unexpected', true],
  [503, 'busy', true],
])('%d %s is worth another try: %s', async (status, code, worth) => {
  const result = box();
  answers = [refusal(status, code)];
  act(() => post(item(1)));
  await waitFor(() => expect(worth ? result.current.failure : result.current.refused[0]?.why).toBe('No.'));
  expect(result.current.waiting).toHaveLength(worth ? 1 : 0);
  await act(() => flush());
  expect(sent).toHaveLength(worth ? 2 : 1);
  expect(result.current.waiting).toEqual([]);
});

test('an answer that is no answer of ours is worth another try', async () => {
  const result = box();
  answers = [{ ok: false, status: 502, json: () => Promise.reject(new Error('not JSON')) }];
  act(() => post(item(1)));
  await waitFor(() => expect(result.current.failure).toContain('did not answer'));
  expect(result.current.waiting).toHaveLength(1);
});

test('tried again by itself, soon at first and then less often', async () => {
  jest.useFakeTimers({ doNotFake: ['setImmediate', 'queueMicrotask', 'nextTick'] });
  try {
    const result = box();
    answers = Array.from({ length: 4 }, noNetwork);
    const tries = (): number => (globalThis.fetch as jest.Mock).mock.calls.length;
    const settled = () =>
      act(async () => {
        for (let i = 0; i < 60; i++) await new Promise((go) => setImmediate(go));
      });
    act(() => post(item(1)));
    await settled();
    expect(tries()).toBe(1);
    for (const [wait, so] of [
      [1400, 1],
      [200, 2],
      [3900, 2],
      [200, 3],
      [9900, 3],
      [200, 4],
      [29_900, 4],
      [200, 5],
    ] as const) {
      act(() => void jest.advanceTimersByTime(wait));
      await settled();
      expect(tries()).toBe(so);
    }
    expect(result.current.waiting).toEqual([]);
  } finally {
    jest.useRealTimers();
  }
});

test('what one person recorded is never sent under another’s name', async () => {
  const result = box();
  await (await openOutboxStore()).add(item(1));
  let unwatch = watchNetwork('someone.else@post.example');
  await act(() => flush());
  expect(sent).toEqual([]);
  expect(await onDevice()).toEqual(['01']);
  unwatch();
  act(() => void (unwatch = watchNetwork('ada@post.example')));
  await waitFor(() => expect(sent).toEqual(['01']));
  await waitFor(() => expect(result.current.waiting).toEqual([]));
  unwatch();
});

describe('what must not overtake what waits', () => {
  const ofChart = (one: Outgoing): boolean => one.chartId === CHART;

  test('waits for what was posted a moment ago, also while it is being kept and while others are sent', async () => {
    let go: () => void = () => undefined;
    held = new Promise((resolve) => (go = resolve));
    post(item(1));
    const first = allTaken(ofChart);
    post(item(2));
    const both = allTaken(ofChart);
    let over = false;
    void both.then(() => (over = true));
    await new Promise((resolve) => setTimeout(resolve, 30));
    expect(over).toBe(false);
    go();
    expect(await first).toBe(true);
    expect(await both).toBe(true);
    expect(sent).toEqual(['01', '02']);
  });

  test('is told where something does not arrive, and not by what is about something else', async () => {
    answers = [noNetwork()];
    post(item(1));
    expect(await allTaken(ofChart)).toBe(false);
    answers = [noNetwork()];
    expect(await allTaken((one) => one.chartId !== CHART)).toBe(true);
    expect(await allTaken(ofChart)).toBe(true);
    expect(sent).toEqual(['01']);
  });

  test('is told where something was refused since it asked, not of what was refused before', async () => {
    answers = [refusal(422, 'bad-input')];
    post(item(1));
    expect(await allTaken(ofChart)).toBe(false);
    expect(await allTaken(ofChart)).toBe(true);
  });
});

describe('a device that is full', () => {
  test('loses nothing while the page is open, says so, and keeps it as soon as there is room', async () => {
    const result = box();
    const room = fullDevice();
    answers = [noNetwork(), noNetwork(), noNetwork()];
    act(() => [1, 2].forEach((n) => post(item(n))));
    await waitFor(() => expect(result.current.failure).not.toBeNull());
    await waitFor(() => expect([...result.current.onPageOnly].sort()).toEqual([idOf(1), idOf(2)]));
    expect(result.current.waiting.map((w) => w.input.id)).toEqual([idOf(1), idOf(2)]);
    room();
    await act(() => flush());
    expect(result.current.onPageOnly.size).toBe(0);
    expect(await onDevice()).toEqual(['01', '02']);
    answers = [];
    await act(() => flush());
    expect(sent).toEqual(['01', '02']);
    expect(await onDevice()).toEqual([]);
  });

  test('sends what it cannot keep', async () => {
    const result = box();
    const room = fullDevice();
    act(() => [1, 2, 3].forEach((n) => post(item(n))));
    await waitFor(() => expect(result.current.waiting).toEqual([]));
    expect(sent).toEqual(['01', '02', '03']);
    expect(result.current.onPageOnly.size).toBe(0);
    room();
  });

  test('asks before the page is closed, only while something is on it alone', async () => {
    const result = box();
    const unwatch = watchNetwork('ada@post.example');
    const asks = (): boolean => !window.dispatchEvent(new Event('beforeunload', { cancelable: true }));
    expect(asks()).toBe(false);
    const room = fullDevice();
    answers = [noNetwork()];
    act(() => post(item(1)));
    await waitFor(() => expect(result.current.failure).not.toBeNull());
    expect(asks()).toBe(true);
    room();
    await act(() => flush());
    expect(asks()).toBe(false);
    unwatch();
  });

  test('a device without any store at all works as long as the page does', async () => {
    const result = box();
    const none = jest.spyOn(indexedDB, 'open').mockImplementation(() => {
      throw new DOMException('private', 'SecurityError');
    });
    await emptyOutbox();
    act(() => [1, 2].forEach((n) => post(item(n))));
    await waitFor(() => expect(sent).toEqual(['01', '02']));
    none.mockRestore();
    await waitFor(() => expect(result.current.waiting).toEqual([]));
  });
});

test('a store that never opens holds nobody up: it is sent, and the chair opens', async () => {
  const result = box();
  const hangs = jest.spyOn(indexedDB, 'open').mockImplementation(() => new EventTarget() as IDBOpenDBRequest);
  act(() => post(item(1)));
  await waitFor(() => expect(sent).toEqual(['01']), { timeout: 20_000 });
  await waitFor(() => expect(result.current.ready).toBe(true), { timeout: 20_000 });
  hangs.mockRestore();
  await waitFor(() => expect(result.current.waiting).toEqual([]), { timeout: 20_000 });
}, 60_000);

test('posted one after the other while others are being sent, each goes once and in order', async () => {
  const result = box();
  let release = (): void => undefined;
  held = new Promise<void>((go) => (release = go));
  act(() => post(item(1)));
  await waitFor(() => expect(globalThis.fetch).toHaveBeenCalledTimes(1));
  act(() => [2, 3].forEach((n) => post(item(n))));
  held = null;
  release();
  await waitFor(() => expect(result.current.waiting).toEqual([]));
  expect(sent).toEqual(['01', '02', '03']);
});

test('whatever fails on the way, everything arrives once and in the order it was recorded', async () => {
  await assert(
    asyncProperty(
      integer({ min: 1, max: 6 }),
      array(constantFrom('no network', 'busy', 'arrived before', 'fine'), { maxLength: 12 }),
      async (count, weather) => {
        await emptyOutbox();
        const taken: string[] = [];
        const coming = [...weather];
        globalThis.fetch = jest.fn((_url: string, init: RequestInit) => {
          const key = (init.headers as Record<string, string>)['idempotency-key']!.slice(-2);
          const now = coming.shift() ?? 'fine';
          if (now === 'no network') return Promise.reject(noNetwork());
          if (now === 'busy') return Promise.resolve(refusal(503, 'busy') as unknown as Response);
          taken.push(key);
          return Promise.resolve(
            (now === 'fine'
              ? { ok: true, status: 201, json: () => Promise.resolve({}) }
              : refusal(409, 'already-there')) as unknown as Response,
          );
        }) as unknown as typeof fetch;
        const { result, unmount } = renderHook(() => useOutbox());
        act(() => Array.from({ length: count }, (_, n) => n + 1).forEach((n) => post(item(n))));
        for (let tries = 0; tries < 40 && result.current.waiting.length > 0; tries++)
          await act(() => flush());
        expect(result.current.waiting).toEqual([]);
        expect(taken).toEqual(Array.from({ length: count }, (_, n) => String(n + 1).padStart(2, '0')));
        expect(await onDevice()).toEqual([]);
        unmount();
      },
    ),
    { numRuns: 40 },
  );
});
