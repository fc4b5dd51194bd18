import { act, renderHook, waitFor } from '@testing-library/react';
import type { ChairEventInput } from '@toile/contract';
import { readDraft, writeDraft } from './drafts';
import { emptyOutbox, flush, post, settleArrived, useOutbox, watchNetwork, type Outgoing } from './outbox';

const CHART = '0190a000-0000-7000-8000-000000000001';
const item = (n: number): Outgoing => ({
  chartId: CHART,
  by: 'Ada',
  account: 'ada@post.example',
  input: {
    id: `0190a000-0000-7000-8000-${String(n).padStart(12, '0')}`,
    version: 1,
    stepId: CHART,
    kind: 'done',
    at: '2031-05-14T10:00:00Z',
  } satisfies ChairEventInput,
});
let answers: (Partial<Response> | Error)[];
let sent: string[];

beforeEach(() => {
  emptyOutbox();
  answers = [];
  sent = [];
  globalThis.fetch = jest.fn((_url: string, init: RequestInit) => {
    const answer = answers.shift() ?? { ok: true, status: 201, json: () => Promise.resolve({}) };
    if (answer instanceof Error) return Promise.reject(answer);
    sent.push((init.headers as Record<string, string>)['idempotency-key']!.slice(-1));
    return Promise.resolve(answer as Response);
  }) as unknown as typeof fetch;
});
const refusal = (status: number, code: string) => ({ ok: false, status, json: () => Promise.resolve({ code, title: 'No.' }) });
const box = () => renderHook(() => useOutbox()).result;

test('sent in order, one at a time, shown as arrived until the chart holds them', async () => {
  const result = box();
  act(() => [1, 2, 3].forEach((n) => post(item(n))));
  await waitFor(() => expect(result.current.waiting).toEqual([]));
  expect(sent).toEqual(['1', '2', '3']);
  expect(result.current.arrived).toHaveLength(3);
  act(() => settleArrived([item(1).input.id, item(3).input.id]));
  expect(result.current.arrived.map((a) => a.input.id)).toEqual([item(2).input.id]);
});

test('what cannot be sent is on the device, and what an earlier visit left is sent first', async () => {
  const result = box();
  answers = [new TypeError('Failed to fetch')];
  act(() => post(item(1)));
  await waitFor(() => expect(result.current.failure).toContain('cannot be reached'));
  expect(readDraft('outbox')).toEqual([item(1)]);
  // Another window of the same device has added something meanwhile.
  writeDraft('outbox', [item(1), item(2)]);
  let unwatch = (): void => undefined;
  act(() => void (unwatch = watchNetwork('ada@post.example')));
  await waitFor(() => expect(sent).toEqual(['1', '2']));
  await waitFor(() => expect(result.current.failure).toBeNull());
  expect(readDraft('outbox')).toEqual([]);
  unwatch();
});

test('what has arrived before counts as arrived; what will never be taken is set aside with its reason, and the rest goes on', async () => {
  const result = box();
  answers = [refusal(409, 'already-there'), refusal(422, 'bad-input')];
  act(() => [1, 2, 3].forEach((n) => post(item(n))));
  await waitFor(() => expect(result.current.waiting).toEqual([]));
  expect(result.current.arrived.map((a) => a.input.id)).toEqual([item(1).input.id, item(3).input.id]);
  expect(result.current.refused).toEqual([{ item: item(2), why: 'No.' }]);
});

test('signed out or busy is worth another try', async () => {
  const result = box();
  answers = [refusal(401, 'signed-out')];
  act(() => post(item(1)));
  await waitFor(() => expect(result.current.failure).toBe('No.'));
  expect(result.current.waiting).toHaveLength(1);
  await act(() => flush());
  expect(result.current.waiting).toEqual([]);
});

test('what one person recorded is never sent under another’s name', async () => {
  const result = box();
  writeDraft('outbox', [item(1)]);
  let unwatch = watchNetwork('someone.else@post.example');
  await act(() => flush());
  expect(sent).toEqual([]);
  expect(readDraft('outbox')).toEqual([item(1)]);
  unwatch();
  act(() => void (unwatch = watchNetwork('ada@post.example')));
  await waitFor(() => expect(sent).toEqual(['1']));
  await waitFor(() => expect(result.current.waiting).toEqual([]));
  unwatch();
});
