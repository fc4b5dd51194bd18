import { act, renderHook } from '@testing-library/react';
import { pathTo } from '@toile/contract';
import { usePartyFollowed } from './hooks';

const asked: string[] = [];
jest.mock('swr', () => ({
  __esModule: true,
  default: () => ({}),
  useSWRConfig: () => ({ mutate }),
}));
const mutate = (key: string): void => void asked.push(key);

class Line extends EventTarget {
  static last: Line;
  closed = false;
  constructor(readonly url: string) {
    super();
    Line.last = this;
  }
  close(): void {
    this.closed = true;
  }
}
const says = (name: string) => act(() => void Line.last.dispatchEvent(new Event(name)));

test('a line asks again when something changed and when it is back, not when it first opens; left, it is closed', () => {
  Object.assign(globalThis, { EventSource: Line });
  const id = '0190a000-0000-7000-8000-000000000001';
  const both = [pathTo('party', { id }), pathTo('partyLog', { id })];
  const { unmount } = renderHook(() => usePartyFollowed(id));
  expect(Line.last.url).toBe(pathTo('liveParty', { id }));
  says('open');
  expect(asked).toEqual([]);
  says('changed');
  expect(asked).toEqual(both);
  says('open');
  expect(asked).toEqual([...both, ...both]);
  unmount();
  expect(Line.last.closed).toBe(true);
});
