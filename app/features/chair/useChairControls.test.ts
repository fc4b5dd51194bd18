import { act, renderHook } from '@testing-library/react';
import { clockOf } from './chairView';
import { chairKeyOf, swipeOf, useTimeUntil } from './useChairControls';

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

describe('what a key means at the chair', () => {
  const on = (html: string): Element => {
    document.body.innerHTML = html;
    return document.querySelector('[data-on]')!;
  };
  const plain = () => on('<main data-on></main>');

  test.each([
    [' ', 'done'],
    ['PageDown', 'done'],
    ['PageUp', 'back'],
    ['ArrowLeft', 'back'],
    ['ArrowRight', 'on'],
    ['Enter', null],
    ['Home', null],
  ])('%j with nothing touched: %s', (key, meant) => {
    expect(chairKeyOf(key, plain())).toBe(meant);
    expect(chairKeyOf(key, null)).toBe(meant);
  });

  test.each(['radio', 'checkbox', 'button', 'link', 'switch', 'slider', 'tab'])(
    'a %s keeps Space and the arrows, and a page-turner goes on working',
    (role) => {
      const inside = () => on(`<div role="${role}"><span data-on>x</span></div>`);
      for (const key of [' ', 'ArrowLeft', 'ArrowRight']) expect(chairKeyOf(key, inside())).toBeNull();
      expect(chairKeyOf('PageDown', inside())).toBe('done');
      expect(chairKeyOf('PageUp', inside())).toBe('back');
    },
  );

  test.each(['<input data-on>', '<textarea data-on></textarea>', '<dialog><b data-on>x</b></dialog>'])(
    'nothing while something is typed or asked: %s',
    (html) => {
      for (const key of [' ', 'PageDown', 'PageUp', 'ArrowLeft', 'ArrowRight'])
        expect(chairKeyOf(key, on(html))).toBeNull();
    },
  );
});
