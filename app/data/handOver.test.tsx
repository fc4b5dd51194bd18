import { act, renderHook, screen } from '@testing-library/react';
import type { ReactNode } from 'react';
import { SWRConfig } from 'swr';
import type { SessionAnswer } from '@toile/contract';
import { useAskWhoIsIn, useHandOver, useOneAtATime, useReadAnew } from './handOver';
import { INES, RUNA } from './session.testing';
import { useKept } from './useKept';
import { isShown } from './shown';
import { useLooks, useSetUpState, useStudioSettings, useWhoIsIn } from './hooks';

const mockAsked: string[] = [];
const mockAnswers: Record<string, unknown> = {};
jest.mock('./call', () => ({
  readAt: (name: string) => {
    mockAsked.push(name);
    // Each answer is an object of its own, as it comes from the network.
    return Promise.resolve(mockAnswers[name]).then((one) => structuredClone(one));
  },
}));
const zoneIs = (zone: string): void => void (mockAnswers.studioSettings = { settings: { zone } });
mockAnswers.setUpState = { needed: false };
beforeEach(() => zoneIs('Europe/Lisbon'));

/** As the gate shows it: who is in and how their studio tells days, the door, or that it waits. */
function useGate() {
  const { data } = useWhoIsIn();
  const handOver = useHandOver();
  useOneAtATime(data, handOver);
  const zone = useStudioSettings(!!data).data?.settings.zone ?? '…';
  return {
    handOver,
    readAnew: useReadAnew(),
    askWhoIsIn: useAskWhoIsIn(),
    shown: data === undefined ? 'One moment' : data === null ? 'The door' : `${data.name}, ${zone}`,
  };
}
/** What the door asks for before it opens: mounted only where nobody is in. */
function Asks() {
  return <>{useSetUpState().data ? 'which door' : 'it waits'}</>;
}
function Door() {
  return useWhoIsIn().data === null ? <Asks /> : null;
}
/** Longer than any of the steps below: what is asked again meanwhile is taken for the same question. */
const READING = { dedupingInterval: 60_000 };
const settle = () => act(() => new Promise((resolve) => setTimeout(resolve, 20)));

/** Drawn with what was answered before the scripts were there, or without. */
async function opened(
  early: SessionAnswer | null | undefined,
): Promise<{ readonly current: ReturnType<typeof useGate> }> {
  const held = new Map(early === undefined ? [] : [['/api/session', { data: early }]]);
  const { result } = renderHook(useGate, {
    wrapper: ({ children }: { readonly children: ReactNode }) => (
      <SWRConfig value={{ ...READING, provider: () => held }}>
        {children}
        <Door />
      </SWRConfig>
    ),
  });
  await settle();
  return result;
}

test.each([
  ['answered before the scripts were there', INES],
  ['asked for by them', undefined],
  ['at the door', null],
] as const)('whoever goes out may come in again: the page was %s', async (_, early) => {
  mockAnswers.session = early === undefined ? INES : early;
  const gate = await opened(early);
  const course = [null, INES, null, RUNA, null, INES, INES, null];
  for (const who of course.slice(early === null ? 1 : 0)) {
    mockAnswers.session = who;
    await act(() => gate.current.handOver(who));
    expect(gate.current.shown.split(',')[0]).toBe(who === null ? 'The door' : who.name);
    await settle();
    expect(screen.queryByText('which door') !== null).toBe(who === null);
    // What answers meanwhile changes nothing of it.
    expect(gate.current.shown).toBe(who === null ? 'The door' : `${who.name}, Europe/Lisbon`);
  }
});

test('what was read for one is asked for anew for the next, also where nobody went out between', async () => {
  mockAnswers.session = INES;
  const gate = await opened(INES);
  zoneIs('Asia/Makassar');
  await act(() => gate.current.handOver(RUNA));
  expect(gate.current.shown).toBe('Runa Dell, Asia/Makassar');
});

test('a session that ended elsewhere leads to the door, and back to where one was', async () => {
  mockAnswers.session = INES;
  const gate = await opened(INES);
  act(gate.current.askWhoIsIn);
  await settle();
  expect(gate.current.shown).toBe('Ines Marlow, Europe/Lisbon');
  mockAnswers.session = null;
  act(gate.current.askWhoIsIn);
  await settle();
  expect(gate.current.shown).toBe('The door');
  mockAnswers.session = INES;
  await act(() => gate.current.handOver(INES));
  await settle();
  expect(gate.current.shown).toBe('Ines Marlow, Europe/Lisbon');
});

test('whoever signed in in another window has this one too, with nothing of who was here', async () => {
  mockAnswers.session = INES;
  const gate = await opened(INES);
  mockAnswers.session = RUNA;
  // The next answer is not here yet: the last one would be shown in its place.
  mockAnswers.studioSettings = new Promise(() => undefined);
  const seen: string[] = [];
  const typed = renderHook(() => useKept('clients search', ''));
  act(() => typed.result.current[1]('Perpetua'));
  act(gate.current.askWhoIsIn);
  for (let i = 0; i < 5; i++) {
    await settle();
    seen.push(gate.current.shown);
  }
  expect(seen.at(-1)).toBe('Runa Dell, …');
  expect(renderHook(() => useKept('clients search', '')).result.current[0]).toBe('');
  zoneIs('Asia/Makassar');
  await act(() => gate.current.readAnew());
  await settle();
  expect(gate.current.shown).toBe('Runa Dell, Asia/Makassar');
});

test('reading anew asks again for what is shown, which stays meanwhile, and drops the rest', async () => {
  mockAnswers.session = INES;
  mockAnswers.listLooks = ['Harbour Morning'];
  const held = new Map<string, object>([['/api/session', { data: INES }]]);
  const wrapper = ({ children }: { readonly children: ReactNode }) => (
    <SWRConfig value={{ ...READING, provider: () => held }}>{children}</SWRConfig>
  );
  // Beside the screen that stumbled, as a list on a wide screen is.
  const beside = renderHook(() => ({ ...useGate(), looks: useLooks().data }), { wrapper });
  await settle();
  const before = beside.result.current.looks;
  held.set('/api/kit', { data: ['broken'] });
  mockAsked.length = 0;
  await act(() => beside.result.current.readAnew());
  expect(held.get('/api/kit')).not.toMatchObject({ data: ['broken'] });
  for (let i = 0; i < 3; i++) {
    expect(beside.result.current.looks).toEqual(before);
    expect(beside.result.current.shown).toBe('Ines Marlow, Europe/Lisbon');
    await settle();
  }
  expect([...mockAsked].sort()).toEqual(['listLooks', 'session', 'studioSettings']);
  beside.unmount();
  expect(isShown('/api/looks')).toBe(false);
});

test('what is opened again a moment after it was asked for is asked for again', async () => {
  mockAnswers.session = INES;
  mockAnswers.listLooks = ['broken'];
  const held = new Map<string, object>([['/api/session', { data: INES }]]);
  const wrapper = ({ children }: { readonly children: ReactNode }) => (
    <SWRConfig value={{ ...READING, provider: () => held }}>{children}</SWRConfig>
  );
  const frame = renderHook(useGate, { wrapper });
  const stumbled = renderHook(useLooks, { wrapper });
  await settle();
  expect(stumbled.result.current.data).toEqual(['broken']);
  stumbled.unmount();
  mockAnswers.listLooks = ['Harbour Morning'];
  await act(() => frame.result.current.readAnew());
  const again = renderHook(useLooks, { wrapper });
  await settle();
  expect(again.result.current.data).toEqual(['Harbour Morning']);
});

test('what was on its way for one is not waited for by the next', async () => {
  mockAnswers.session = INES;
  const gate = await opened(INES);
  // Asked again as the window came to the front, and not answered before the next one is in.
  let late: (answer: unknown) => void = () => undefined;
  mockAnswers.studioSettings = new Promise((resolve) => (late = resolve));
  await act(() => {
    void gate.current.readAnew();
    return Promise.resolve();
  });
  zoneIs('Asia/Makassar');
  await act(() => gate.current.handOver(RUNA));
  late({ settings: { zone: 'Europe/Lisbon' } });
  await settle();
  expect(gate.current.shown).toBe('Runa Dell, Asia/Makassar');
});
