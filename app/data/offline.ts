import { useEffect, useSyncExternalStore } from 'react';
import type { TodayAnswer } from '@toile/contract';
import { call } from './call';
import { forgetEarly } from './early';
import { rememberSignedIn } from '../offline/page/signedIn';
import { forgetKept } from './useKept';

/** The cache of what was read, as the service worker names it. */
const READ = 'toile-read';
/** The cache of lessons that were opened here, as their worker names it. */
const LESSONS = 'toile-lessons';
/** How many of the next visits are made ready to work without a network. */
const VISITS_AHEAD = 8;
const PARTIES_AHEAD = 1;

/** So long a page has the network to itself before all the others are fetched to be kept, ms. */
const PAGE_FIRST_MS = 2_000;

/**
 * Lets the app open without a network, in the built app only: the service worker keeps its files and what was
 * read. Gives what calls it off.
 */
export function keepAppOnHand(): (() => void) | undefined {
  if (process.env.NODE_ENV !== 'production' || !('serviceWorker' in navigator)) return undefined;
  const timer = setTimeout(() => {
    navigator.serviceWorker.register('/sw.js').catch(() => undefined);
  }, PAGE_FIRST_MS);
  return () => clearTimeout(timer);
}

/** Drops what was read: it belongs to whoever was signed in. */
export async function forgetWhatWasRead(): Promise<void> {
  forgetKept();
  forgetEarly();
  rememberSignedIn(false);
  if (!('caches' in globalThis)) return;
  // A device that keeps nothing has nothing to drop. A lesson opened here by its link names its client.
  await Promise.allSettled([caches.delete(READ), caches.delete(LESSONS)]);
}

const subscribe = (listener: () => void): (() => void) => {
  window.addEventListener('online', listener);
  window.addEventListener('offline', listener);
  return () => {
    window.removeEventListener('online', listener);
    window.removeEventListener('offline', listener);
  };
};

/** Whether the device has a network at all. */
export function useOnline(): boolean {
  return useSyncExternalStore(
    subscribe,
    () => navigator.onLine,
    () => true,
  );
}

/** Reads the next visits, their charts, the next party and the kit, so that they open in a basement. */
export function useDayOnHand(today: TodayAnswer | undefined): void {
  useEffect(() => {
    if (!today || !('serviceWorker' in navigator) || !navigator.onLine) return;
    let current = true;
    void navigator.serviceWorker.ready.then(async () => {
      const visits = today.visits.slice(0, VISITS_AHEAD);
      const parties = (today.parties ?? []).slice(0, PARTIES_AHEAD);
      const reads = [
        () => call('kit'),
        () => call('studioSettings'),
        ...visits.map((visit) => () => call('client', { params: { id: visit.clientId } })),
        ...visits.flatMap(({ chartId }) =>
          chartId ? [() => call('chart', { params: { id: chartId } })] : [],
        ),
        ...parties.flatMap(({ id }) => [
          () => call('party', { params: { id } }),
          () => call('partyLog', { params: { id } }),
        ]),
      ];
      // One after the other: what is on screen comes first.
      for (const read of reads) if (current) await read().catch(() => undefined);
    });
    return () => {
      current = false;
    };
  }, [today]);
}
