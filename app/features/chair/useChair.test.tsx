import { act, renderHook, waitFor } from '@testing-library/react';
import type { ReactNode } from 'react';
import { SWRConfig } from 'swr';
import { emptyOutbox } from '../../data/outbox';
import { useChair } from './useChair';

const CHART = '0190a000-0000-7000-8000-000000000001';
const STEP = '0190a000-0000-7000-8000-000000000002';
let events: object[];
let broken: boolean;
let posts: { body: { id: string; kind: string }; key: string }[];

beforeEach(() => {
  emptyOutbox();
  events = [];
  posts = [];
  broken = false;
  globalThis.fetch = jest.fn((url: string, init: RequestInit) => {
    if (init.method === 'POST') {
      if (broken) return Promise.reject(new TypeError('Failed to fetch'));
      const body = JSON.parse(String(init.body)) as { id: string; kind: string };
      posts.push({ body, key: (init.headers as Record<string, string>)['idempotency-key']! });
      if (!events.some((e) => (e as { id: string }).id === body.id)) events.push({ ...body, by: 'Ada' });
    }
    const data = url.includes('/session') ? { name: 'Ada', role: 'artist' } : { chart: { version: 3, steps: [] }, events: [...events], versions: [] };
    return Promise.resolve({ ok: true, status: 200, json: () => Promise.resolve(data) } as Response);
  }) as unknown as typeof fetch;
});

const wrapper = ({ children }: { children: ReactNode }) => (
  <SWRConfig value={{ provider: () => new Map(), dedupingInterval: 0, shouldRetryOnError: false }}>{children}</SWRConfig>
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
