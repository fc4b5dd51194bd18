import { act, renderHook, waitFor } from '@testing-library/react';
import type { ReactNode } from 'react';
import { SWRConfig } from 'swr';
import { emptyOutbox } from '../../data/outbox';
import { useChair } from './useChair';

const CHART = '0190a000-0000-7000-8000-000000000001';
const STEP = '0190a000-0000-7000-8000-000000000002';
let events: object[];
let broken: boolean;
/** The version the studio has, and whether what is told with another stands in it. */
let newest: number;
let stands: boolean;
let posts: { body: { id: string; kind: string }; key: string }[];

beforeEach(async () => {
  await emptyOutbox();
  events = [];
  posts = [];
  broken = false;
  newest = 3;
  stands = true;
  globalThis.fetch = jest.fn((url: string, init: RequestInit) => {
    if (init.method === 'POST') {
      if (broken) return Promise.reject(new TypeError('Failed to fetch'));
      const body = JSON.parse(String(init.body)) as { id: string; kind: string };
      posts.push({ body, key: (init.headers as Record<string, string>)['idempotency-key']! });
      if (stands && !events.some((e) => (e as { id: string }).id === body.id))
        events.push({ ...body, by: 'Ada' });
    }
    const data = url.includes('/session')
      ? { name: 'Ada', role: 'artist' }
      : { chart: { version: newest, steps: [] }, events: [...events], versions: [] };
    return Promise.resolve({ ok: true, status: 200, json: () => Promise.resolve(data) } as Response);
  }) as unknown as typeof fetch;
});

const wrapper = ({ children }: { children: ReactNode }) => (
  <SWRConfig value={{ provider: () => new Map(), dedupingInterval: 0, shouldRetryOnError: false }}>
    {children}
  </SWRConfig>
);
const opened = async () => {
  const hook = renderHook(() => useChair(CHART), { wrapper });
  await waitFor(() => expect(hook.result.current.answer.data).toBeDefined());
  return hook;
};

test('a tick is shown at once and sent with the version it belongs to', async () => {
  const { result } = await opened();
  act(() => result.current.tick(STEP, true));
  expect(result.current.events).toHaveLength(1);
  await waitFor(() => expect(result.current.unsentCount).toBe(0));
  expect(posts).toHaveLength(1);
  expect(posts[0]!.body).toMatchObject({ kind: 'done', stepId: STEP, version: 3 });
  await waitFor(() => expect(result.current.events).toHaveLength(1));
});

test('two versions of one step are told, and the one kept is sent with what it settles', async () => {
  events.push({
    id: 'other',
    stepId: STEP,
    kind: 'deviation',
    deviation: { kind: 'skipped', note: '' },
    at: '2031-05-14T09:00:00Z',
    by: 'Bo',
    device: 'b',
    seen: null,
  });
  const { result } = await opened();
  // Recorded here before the other's was known.
  events.push({
    id: 'own',
    stepId: STEP,
    kind: 'done',
    at: '2031-05-14T09:01:00Z',
    by: 'Ada',
    device: 'a',
    seen: null,
  });
  act(() => result.current.tick('0190a000-0000-7000-8000-000000000003', true));
  await waitFor(() => expect(result.current.conflicts).toHaveLength(1));
  const [conflict] = result.current.conflicts;
  expect([conflict!.one.by, conflict!.other.by]).toEqual(['Bo', 'Ada']);
  act(() => result.current.settle(conflict!, conflict!.one));
  await waitFor(() => expect(result.current.conflicts).toEqual([]));
  await waitFor(() => expect(posts).toHaveLength(2));
  expect(posts[1]!.body).toMatchObject({
    kind: 'deviation',
    stepId: STEP,
    deviation: { kind: 'skipped' },
    settles: ['other', 'own'],
    seen: 'own',
  });
});

test('what is recorded says which device it was and what it had been told of', async () => {
  events.push({ id: 'before', stepId: STEP, kind: 'done', at: '2031-05-14T09:00:00Z', by: 'Bo' });
  const { result } = await opened();
  act(() => result.current.tick(STEP, false));
  act(() => result.current.tick('0190a000-0000-7000-8000-000000000003', true));
  await waitFor(() => expect(posts).toHaveLength(2));
  const [one, two] = posts.map(({ body }) => body as { device?: string; seen?: string | null });
  expect(one!.device).toBeDefined();
  expect(two!.device).toBe(one!.device);
  expect([one!.seen, two!.seen]).toEqual(['before', null]);
});

test('what cannot be sent is kept, shown, and sent again in order under the same keys', async () => {
  const { result } = await opened();
  broken = true;
  act(() => result.current.tick(STEP, true));
  await waitFor(() => expect(result.current.failure).toContain('cannot be reached'));
  act(() => result.current.deviate(STEP, { kind: 'note', note: 'dry' }));
  await waitFor(() => expect(result.current.unsentCount).toBe(2));
  expect(result.current.events.map((e) => e.kind)).toEqual(['done', 'deviation']);
  const kept = result.current.events.length;
  broken = false;
  act(() => result.current.sendAgain());
  await waitFor(() => expect(result.current.unsentCount).toBe(0));
  expect(posts.map((p) => p.body.kind)).toEqual(['done', 'deviation']);
  expect(posts.map((p) => p.key)).toEqual(posts.map((p) => `event-${p.body.id}`));
  expect(result.current.failure).toBeNull();
  await waitFor(() => expect(result.current.events).toHaveLength(kept));
});

test('what was told with a version that was changed since is no work of this one once it has arrived', async () => {
  const { result } = await opened();
  broken = true;
  act(() => result.current.tick(STEP, true));
  await waitFor(() => expect(result.current.failure).not.toBeNull());
  // Saved anew meanwhile, that step otherwise; until it is sent nobody can know.
  newest = 4;
  stands = false;
  act(() => result.current.answer.retry());
  await waitFor(() => expect(result.current.answer.data!.chart.version).toBe(4));
  expect(result.current.events).toHaveLength(1);
  broken = false;
  act(() => result.current.sendAgain());
  await waitFor(() => expect(result.current.unsentCount).toBe(0));
  expect(posts.map(({ body }) => body)).toMatchObject([{ version: 3, stepId: STEP }]);
  await waitFor(() => expect(result.current.events).toEqual([]));
});

describe('sittings', () => {
  const worked = (at: string, id = 'trial') => ({
    id,
    stepId: STEP,
    kind: 'done',
    at,
    by: 'Ada',
    device: 'x',
  });
  const sent = () => posts.map(({ body }) => body as { kind: string; sitting?: string });

  test('what was worked another day is no part of this one, until it is gone on with', async () => {
    events.push(worked('2020-05-14T09:00:00Z'));
    const { result } = await opened();
    expect(result.current.events).toEqual([]);
    expect(result.current.before!.map((e) => e.id)).toEqual(['trial']);
    act(() => result.current.tick(STEP, true));
    await waitFor(() => expect(sent()).toHaveLength(1));
    expect(sent()[0]).not.toHaveProperty('sitting');
    await waitFor(() => expect(result.current.events).toHaveLength(1));
    expect(result.current.before).toBeNull();
  });

  test('gone on with, what is told says so', async () => {
    events.push(worked('2020-05-14T09:00:00Z'));
    const { result } = await opened();
    act(() => result.current.goOnWithBefore());
    expect(result.current.events.map((e) => e.id)).toEqual(['trial']);
    expect(result.current.before).toBeNull();
    act(() => result.current.deviate(STEP, { kind: 'note', note: 'held' }));
    await waitFor(() => expect(sent()).toHaveLength(1));
    expect(sent()[0]!.sitting).toBe('trial');
    await waitFor(() => expect(result.current.events.map((e) => e.kind)).toEqual(['done', 'deviation']));
  });

  test('put on again while it goes on, the first that is told begins the new one', async () => {
    events.push(worked(new Date().toISOString(), 'morning'));
    const { result } = await opened();
    expect(result.current.events.map((e) => e.id)).toEqual(['morning']);
    act(() => result.current.putOnAgain());
    expect(result.current.events).toEqual([]);
    act(() => result.current.tick(STEP, true));
    await waitFor(() => expect(sent()).toHaveLength(1));
    expect(sent()[0]!.sitting).toBe(posts[0]!.body.id);
    await waitFor(() => expect(result.current.unsentCount).toBe(0));
    expect(result.current.events.map((e) => e.id)).toEqual([posts[0]!.body.id]);
    act(() => result.current.tick(STEP, false));
    await waitFor(() => expect(sent()).toHaveLength(2));
    expect(sent()[1]).not.toHaveProperty('sitting');
    expect(result.current.events).toHaveLength(2);
  });
});
