import { act, renderHook, waitFor } from '@testing-library/react';
import { useWork } from './useWork';

type Jobs = { double: (request: { n: number }, progress: (share: number, soFar?: number) => void) => number };
type Asked = {
  readonly n: number;
  readonly say: (soFar: number) => void;
  readonly answer: (value: number) => void;
};

/** A worker whose answers are given by hand. */
function byHand() {
  const asked: Asked[] = [];
  const ask = (
    _kind: string,
    request: { n: number },
    options: { onProgress?: (share: number, soFar?: number) => void } = {},
  ) =>
    new Promise<number>((resolve) => {
      asked.push({ n: request.n, say: (soFar) => options.onProgress?.(0.5, soFar), answer: resolve });
    });
  return { asked, ask };
}

test('an answer to an earlier question is not taken for one to this', async () => {
  const { asked, ask } = byHand();
  const [one, two] = [{ n: 1 }, { n: 2 }];
  const { result, rerender } = renderHook(
    ({ request }: { request: { n: number } }) => useWork<Jobs, 'double'>(ask as never, 'double', request),
    { initialProps: { request: one } },
  );
  await waitFor(() => expect(asked.length).toBe(1));
  expect(result.current).toMatchObject({ answer: null, fresh: false });
  await act(async () => asked[0]!.answer(2));
  await waitFor(() => expect(result.current).toMatchObject({ answer: 2, fresh: true }));
  rerender({ request: two });
  // Kept in sight, and known for what it is, from the very first moment.
  expect(result.current).toMatchObject({ answer: 2, fresh: false });
  await waitFor(() => expect(asked.length).toBe(2));
  await act(async () => asked[1]!.say(3));
  expect(result.current).toMatchObject({ answer: 3, fresh: true, busy: true });
  await act(async () => asked[1]!.answer(4));
  await waitFor(() => expect(result.current).toMatchObject({ answer: 4, fresh: true, busy: false }));
});
