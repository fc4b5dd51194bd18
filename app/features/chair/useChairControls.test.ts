import { act, renderHook } from '@testing-library/react';
import { clockOf } from './chairView';
import type { Drying } from '@toile/core';
import { chairKeyOf, DRY_TOLD_MS, swipeOf, useDried, useTimeUntil, useWakeLock } from './useChairControls';

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

describe('what has dried', () => {
  const START = Date.parse('2031-05-14T10:00:00Z');
  const vibrate = jest.fn();
  beforeEach(() => {
    jest.useFakeTimers({ now: START });
    vibrate.mockClear();
    Object.defineProperty(navigator, 'vibrate', { value: vibrate, configurable: true });
  });
  afterEach(() => {
    jest.useRealTimers();
    Reflect.deleteProperty(navigator, 'vibrate');
  });
  const dries = (title: string, tickedMs: number, waitMinutes: number): Drying => ({
    id: title,
    title,
    waitMinutes,
    done: { ticked: true, at: new Date(tickedMs).toISOString(), by: 'Ada', deviations: [] },
  });
  const MINUTE = 60_000;

  test('is told when its wait is over, for half a minute, and to the hand once', () => {
    const steps = [dries('Primer', START, 2)];
    const { result, rerender } = renderHook(({ now }) => useDried(steps, now), {
      initialProps: { now: START },
    });
    const at = (ms: number): readonly string[] => {
      rerender({ now: START + ms });
      return result.current.map(({ title }) => title);
    };
    expect(at(2 * MINUTE - 1)).toEqual([]);
    expect(vibrate).not.toHaveBeenCalled();
    expect(at(2 * MINUTE)).toEqual(['Primer']);
    expect(at(2 * MINUTE + DRY_TOLD_MS - 1)).toEqual(['Primer']);
    expect(vibrate).toHaveBeenCalledTimes(1);
    expect(at(2 * MINUTE + DRY_TOLD_MS)).toEqual([]);
    expect(vibrate).toHaveBeenCalledTimes(1);
  });

  test('each that dries is told; what was dry before the chair was opened is not', () => {
    const steps = [
      dries('Long ago', START - 5 * MINUTE, 5),
      dries('Cream', START, 1),
      dries('Base', START, 1.2),
    ];
    const { result, rerender } = renderHook(({ now }) => useDried(steps, now), {
      initialProps: { now: START },
    });
    expect(result.current).toEqual([]);
    rerender({ now: START + MINUTE });
    rerender({ now: START + 1.2 * MINUTE });
    expect(result.current.map(({ title }) => title)).toEqual(['Cream', 'Base']);
    expect(vibrate).toHaveBeenCalledTimes(2);
  });

  test('a device that cannot tell a hand shows it all the same', () => {
    Reflect.deleteProperty(navigator, 'vibrate');
    const { result } = renderHook(() => useDried([dries('Cream', START, 1)], START + MINUTE));
    expect(result.current).toHaveLength(1);
  });
});

describe('the screen is kept awake', () => {
  const release = jest.fn(() => Promise.resolve());
  const request = jest.fn(() => Promise.resolve({ release }));
  let visible: DocumentVisibilityState;
  beforeEach(() => {
    visible = 'visible';
    request.mockClear();
    release.mockClear();
    Object.defineProperty(navigator, 'wakeLock', { value: { request }, configurable: true });
    jest.spyOn(document, 'visibilityState', 'get').mockImplementation(() => visible);
  });
  afterEach(() => {
    Reflect.deleteProperty(navigator, 'wakeLock');
    jest.restoreAllMocks();
  });
  const seen = async (state: DocumentVisibilityState): Promise<void> => {
    visible = state;
    await act(async () => {
      document.dispatchEvent(new Event('visibilitychange'));
      await Promise.resolve();
    });
  };

  test('asked again when one comes back to it, and let go with the chair', async () => {
    const { unmount } = renderHook(() => useWakeLock());
    expect(request).toHaveBeenCalledTimes(1);
    await seen('hidden');
    expect(request).toHaveBeenCalledTimes(1);
    await seen('visible');
    expect(request).toHaveBeenCalledTimes(2);
    unmount();
    expect(release).toHaveBeenCalledTimes(1);
    await seen('visible');
    expect(request).toHaveBeenCalledTimes(2);
  });

  test('a device that refuses is no error, nor is one that cannot', async () => {
    request.mockImplementationOnce(() => Promise.reject(new Error('battery')));
    renderHook(() => useWakeLock()).unmount();
    await seen('hidden');
    Reflect.deleteProperty(navigator, 'wakeLock');
    expect(() => renderHook(() => useWakeLock())).not.toThrow();
  });
});
