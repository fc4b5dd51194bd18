import { act, renderHook } from '@testing-library/react';
import type { ReactNode } from 'react';
import { SWRConfig } from 'swr';
import type { SessionAnswer } from '@toile/contract';
import { leaving, useAskWhoIsIn, useHandOver, useOneAtATime } from '../../data/handOver';
import { useWhoIsIn } from '../../data/hooks';
import { INES, RUNA } from '../../data/session.testing';
import { useBackFromTheDoor } from './useBackFromTheDoor';

let mockWho: SessionAnswer | null = null;
const mockTold = new Set<() => void>();
const mockReplaced: string[] = [];
jest.mock('../../data/call', () => ({
  readAt: () => Promise.resolve(mockWho).then((one) => structuredClone(one)),
  onSignedOut: (tell: () => void) => {
    mockTold.add(tell);
    return () => void mockTold.delete(tell);
  },
}));
const mockRouter = { replace: (at: string) => void mockReplaced.push(at) };
jest.mock('expo-router', () => ({ useRouter: () => mockRouter }));

function useGate() {
  const { data } = useWhoIsIn();
  const handOver = useHandOver();
  useOneAtATime(data, handOver);
  const led = useBackFromTheDoor(data?.email);
  return { handOver, ask: useAskWhoIsIn(), at: data?.name ?? 'the door', led };
}
const settle = () => act(() => new Promise((resolve) => setTimeout(resolve, 20)));

/** Somebody is in, on an address of their own. */
async function opened() {
  mockWho = INES;
  window.history.replaceState(null, '', '/clients/perpetua?day=2031-05-14');
  mockReplaced.length = 0;
  leaving(false);
  const held = new Map<string, object>();
  const wrapper = ({ children }: { readonly children: ReactNode }) => (
    <SWRConfig value={{ provider: () => held }}>{children}</SWRConfig>
  );
  const { result } = renderHook(useGate, { wrapper });
  await settle();
  expect(result.current.at).toBe('Ines Marlow');
  const isNow = async (who: SessionAnswer | null): Promise<void> => {
    mockWho = who;
    act(result.current.ask);
    await settle();
  };
  const signsIn = async (who: SessionAnswer): Promise<void> => {
    mockWho = who;
    await act(() => result.current.handOver(who));
    await settle();
  };
  const goes = async (): Promise<void> => {
    leaving(true);
    mockWho = null;
    await act(() => result.current.handOver(null));
    await settle();
    window.history.replaceState(null, '', '/');
  };
  const refused = async (): Promise<void> => {
    mockWho = null;
    act(() => mockTold.forEach((tell) => tell()));
    await settle();
  };
  return { result, isNow, signsIn, goes, refused };
}
const BACK = ['/clients/perpetua?day=2031-05-14'];

test.each(['refused', 'come back to'] as const)(
  'a session that ended elsewhere, found as the page is %s, leads to the door and back',
  async (how) => {
    const { result, isNow, refused, signsIn } = await opened();
    await (how === 'refused' ? refused() : isNow(null));
    expect(result.current).toMatchObject({ at: 'the door', led: true });
    window.history.replaceState(null, '', '/');
    await signsIn(INES);
    expect(result.current.at).toBe('Ines Marlow');
    expect(mockReplaced).toEqual(BACK);
  },
);

test('whoever else comes in by that door does not go where the other was', async () => {
  const { result, isNow, signsIn } = await opened();
  await isNow(null);
  await signsIn(RUNA);
  expect(result.current.at).toBe('Runa Dell');
  expect(mockReplaced).toEqual([]);
});

test('who signs out was not led there, also where something is refused meanwhile, and begins anew', async () => {
  const { result, goes, refused, signsIn } = await opened();
  leaving(true);
  await refused();
  expect(result.current).toMatchObject({ at: 'the door', led: false });
  await goes();
  expect(result.current).toMatchObject({ at: 'the door', led: false });
  await signsIn(INES);
  expect(mockReplaced).toEqual([]);
});

test('who signed out once is led there the next time, wherever they came in', async () => {
  const { result, goes, isNow, signsIn } = await opened();
  await goes();
  // In another window of the browser.
  await isNow(INES);
  expect(result.current.at).toBe('Ines Marlow');
  await isNow(null);
  expect(result.current).toMatchObject({ at: 'the door', led: true });
  await signsIn(INES);
  await goes();
  expect(result.current).toMatchObject({ at: 'the door', led: false });
});

test('another person of another window is handed this one at its beginning', async () => {
  const { result, isNow } = await opened();
  await isNow(RUNA);
  expect(result.current.at).toBe('Runa Dell');
  expect(mockReplaced).toEqual([]);
});
