import { act, renderHook } from '@testing-library/react';
import { clockOf } from './chairView';
import { swipeOf, useTimeUntil } from './useChairControls';

describe('the clock of waits', () => {
  const START = Date.parse('2031-05-14T10:00:00.120Z');
  beforeEach(() => jest.useFakeTimers({ now: START }));
  afterEach(() => jest.useRealTimers());
  const shown = (untilMs: number, now: number): string => clockOf((untilMs - now) / 1000);

  test('a wait that starts long after the chair was opened begins with its own length', () => {
    const { result, rerender } = renderHook(({ until }) => useTimeUntil(until), {
      initialProps: { until: 0 },
    });
    act(() => void jest.advanceTimersByTime(10 * 60_000));
    const until = Date.now() + 2 * 60_000;
    rerender({ until });
    expect(shown(until, result.current)).toBe('2:00');
  });

  test('goes by twice a second until the wait is over, then stands still', () => {
    const until = START + 3000;
    let renders = 0;
    const { result } = renderHook(() => (renders++, useTimeUntil(until)));
    const seen = [0, 1000, 1000, 1000, 1000].map((ms) => {
      act(() => void jest.advanceTimersByTime(ms));
      return shown(until, result.current);
    });
    expect(seen).toEqual(['0:03', '0:02', '0:01', '0:00', '0:00']);
    const after = renders;
    act(() => void jest.advanceTimersByTime(60_000));
    expect(renders).toBe(after);
    expect(jest.getTimerCount()).toBe(0);
  });

  test('a longer wait that joins keeps it going', () => {
    const { result, rerender } = renderHook(({ until }) => useTimeUntil(until), {
      initialProps: { until: START + 1000 },
    });
    rerender({ until: START + 5000 });
    act(() => void jest.advanceTimersByTime(3000));
    expect(shown(START + 5000, result.current)).toBe('0:02');
  });
});

test.each([
  [-60, 0, 1],
  [60, 0, -1],
  [-59, 0, 0],
  [59, 0, 0],
  [-100, 50, 1],
  [-100, 51, 0],
  [100, -50, -1],
  [100, -51, 0],
  [0, 200, 0],
])('a finger’s way of %d, %d is a swipe by %d', (dx, dy, by) => expect(swipeOf(dx, dy)).toBe(by));
