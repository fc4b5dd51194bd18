import { useCallback, useEffect, useRef, useState, useSyncExternalStore } from 'react';
import { driedBetween, type Drying, type DryingStep } from '@toile/core';

/** How often a running clock is looked at, ms. */
const BEAT_MS = 500;
/** The beat to come: never behind a moment that was taken just before, so that two minutes show as 2:00. */
const beat = (): number => Math.ceil(Date.now() / BEAT_MS) * BEAT_MS;

/**
 * The time, ms, going by twice a second until `untilMs` is over. Read anew whenever it is asked for: a clock
 * that stood still must not give an old time to the wait that starts now.
 */
export function useTimeUntil(untilMs: number): number {
  const subscribe = useCallback(
    (tell: () => void): (() => void) => {
      if (Date.now() >= untilMs) return () => undefined;
      const timer = setInterval(() => {
        tell();
        if (Date.now() >= untilMs) clearInterval(timer);
      }, BEAT_MS);
      return () => clearInterval(timer);
    },
    [untilMs],
  );
  return useSyncExternalStore(subscribe, beat);
}

/**
 * Keeps the screen awake where the device allows it; a device lets go when something else is looked at, so it
 * is asked again when one comes back.
 */
export function useWakeLock(): void {
  useEffect(() => {
    let lock: WakeLockSentinel | null = null;
    let gone = false;
    const hold = (): void => {
      if (document.visibilityState !== 'visible') return;
      navigator.wakeLock?.request('screen').then(
        (held) => (gone ? void held.release() : (lock = held)),
        () => undefined,
      );
    };
    hold();
    document.addEventListener('visibilitychange', hold);
    return () => {
      gone = true;
      document.removeEventListener('visibilitychange', hold);
      void lock?.release();
    };
  }, []);
}

/** What has dried is told for so long, ms. */
export const DRY_TOLD_MS = 30_000;

/** What ended its wait a moment ago, told also to a hand or a pocket where the device can. */
export function useDried(steps: readonly Drying[], now: number): readonly DryingStep[] {
  // What dried before the chair was opened is no news.
  const [openedAtMs] = useState(() => Date.now());
  const dried = driedBetween(steps, Math.max(openedAtMs, now - DRY_TOLD_MS), now);
  const last = dried.at(-1)?.untilMinutes;
  useEffect(() => {
    if (last !== undefined && 'vibrate' in navigator) navigator.vibrate([200, 100, 200]);
  }, [last]);
  return dried;
}

/** What takes Space, Enter or the arrows for itself while it has the focus. */
const OWN_KEYS =
  'button,a,input,textarea,select,summary,[role=button],[role=link],[role=radio],[role=checkbox],[role=switch],[role=tab],[role=slider]';

/**
 * What a key means at the chair, or null. A page-turner or pedal sends page keys, which work whatever was
 * touched last; Space and the arrows are left to what has the focus. While something is typed or a question
 * is open, nothing is meant.
 */
export function chairKeyOf(key: string, on: Element | null): 'done' | 'back' | 'on' | null {
  if (on?.closest('input,textarea,select,dialog')) return null;
  if (key === 'PageDown') return 'done';
  if (key === 'PageUp') return 'back';
  if (on?.closest(OWN_KEYS)) return null;
  if (key === ' ') return 'done';
  if (key === 'ArrowLeft') return 'back';
  return key === 'ArrowRight' ? 'on' : null;
}

/** Space or a pedal's page-down is done; arrows look about. */
export function useChairKeys(keys: {
  readonly done: () => void;
  readonly back: () => void;
  readonly on: () => void;
}): void {
  useEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      const meant = chairKeyOf(event.key, event.target instanceof Element ? event.target : null);
      if (meant === null) return;
      keys[meant]();
      event.preventDefault();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  });
}

/** A swipe is this far sideways, px, and twice as far as it is up or down. */
const SWIPE_PX = 60;

/** Whether a finger's way was a swipe, and which way: 1 to the next, -1 to the one before, 0 for none. */
export function swipeOf(dx: number, dy: number): -1 | 0 | 1 {
  if (Math.abs(dx) < SWIPE_PX || Math.abs(dx) < 2 * Math.abs(dy)) return 0;
  return dx < 0 ? 1 : -1;
}

type Place = { readonly pageX: number; readonly pageY: number };
type Touched = { readonly nativeEvent: { readonly changedTouches: { readonly [index: number]: Place } } };

/** Listeners for a swipe from step to step by one finger; a touch that scrolls is none. */
export function useSwipe(onSwipe: (by: -1 | 1) => void): {
  readonly onTouchStart: (event: Touched) => void;
  readonly onTouchEnd: (event: Touched) => void;
} {
  const from = useRef<Place | null>(null);
  return {
    onTouchStart: ({ nativeEvent: { changedTouches } }) => {
      from.current = changedTouches[0] ?? null;
    },
    onTouchEnd: ({ nativeEvent: { changedTouches } }) => {
      const [start, end] = [from.current, changedTouches[0]];
      from.current = null;
      const by = start && end ? swipeOf(end.pageX - start.pageX, end.pageY - start.pageY) : 0;
      if (by !== 0) onSwipe(by);
    },
  };
}
