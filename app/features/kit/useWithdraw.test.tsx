import { act, renderHook } from '@testing-library/react';
import type { ReactNode } from 'react';
import { SWRConfig } from 'swr';
import type { Product } from '@toile/core';
import { useWithdraw } from './useWithdraw';

const kit = { products: [], units: [], revisions: { a: 3, b: 1, c: 7 } };
const product = (id: string): Product => ({ id, line: 'Veil', withdrawn: false }) as Product;
const wrapper = ({ children }: { readonly children: ReactNode }) => (
  <SWRConfig value={{ provider: () => new Map(), dedupingInterval: 0 }}>{children}</SWRConfig>
);

/** What was sent, in order; one product's write is refused. */
function serve(
  refused: string | null,
): { readonly id: string; readonly over: string; readonly body: unknown }[] {
  const sent: { id: string; over: string; body: unknown }[] = [];
  globalThis.fetch = jest.fn(async (address: unknown, init: RequestInit = {}) => {
    const id = String(address).split('/').pop() ?? '';
    if (init.method === 'PUT')
      sent.push({
        id,
        over: new Headers(init.headers).get('if-match') ?? '',
        body: JSON.parse(String(init.body)) as unknown,
      });
    const bad = id === refused;
    const answer = bad ? { code: 'stale', status: 412, title: 'Someone else changed it.' } : {};
    return {
      ok: !bad,
      status: bad ? 412 : 200,
      headers: new Headers({ 'content-type': bad ? 'application/problem+json' : 'application/json' }),
      json: async () => answer,
      text: async () => JSON.stringify(answer),
    } as Response;
  });
  return sent;
}

test('every product is withdrawn over the revision it was seen at', async () => {
  const sent = serve(null);
  const { result } = renderHook(() => useWithdraw(kit), { wrapper });
  let done: boolean | null = null;
  await act(async () => void (done = await result.current.withdraw(['a', 'c'].map(product), true)));
  expect(done).toBe(true);
  expect(sent.map(({ id, over }) => `${id} ${over.replace(/"/g, '')}`)).toEqual(['a 3', 'c 7']);
  expect(sent.map(({ body }) => body)).toEqual(
    ['a', 'c'].map((id) => ({ id, line: 'Veil', withdrawn: true })),
  );
  expect(result.current.failure).toBeNull();
});

test('one that is refused is told, nothing after it is sent, and the choice may stay', async () => {
  const sent = serve('b');
  const { result } = renderHook(() => useWithdraw(kit), { wrapper });
  let done: boolean | null = null;
  await act(async () => void (done = await result.current.withdraw(['a', 'b', 'c'].map(product), true)));
  expect(done).toBe(false);
  expect(sent.map(({ id }) => id)).toEqual(['a', 'b']);
  expect(result.current.failure).not.toBeNull();
  expect(result.current.busy).toBe(false);
});
