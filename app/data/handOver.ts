import { useCallback, useEffect, useRef } from 'react';
import { useSWRConfig } from 'swr';
import { pathTo, type SessionAnswer } from '@toile/contract';
import { forgetEarly } from './early';
import { isShown } from './shown';
import { forgetKept } from './useKept';

/*
 * A mounted hook of SWR 2.5 whose answer was dropped does not show again what it had when it was first drawn:
 * asked whether the two differ, it compares the new answer with that one. What stays mounted therefore goes
 * from one answer to the next, never by way of none.
 *
 * And it remembers what was asked for a moment ago, so as not to ask twice: whoever opens it then waits for
 * that answer. Dropped without being asked for again, it stays remembered and its answer is thrown away, also
 * for whoever waits for it. What is dropped is therefore let go as well.
 */

let onTheWayOut = false;
/** Notes that whoever is in goes by themselves, or stays. */
export const leaving = (byThemselves: boolean): void => void (onTheWayOut = byThemselves);
/** Whether whoever is in, or was last, goes by themselves: not because the session ended elsewhere. */
export const isLeaving = (): boolean => onTheWayOut;

/** Longer than it takes to draw what has changed. */
const drawn = (): Promise<void> => new Promise((resolve) => setTimeout(resolve));

/**
 * Hands the app to whoever is signed in now, or to nobody: what was shown to anybody before is taken down,
 * what was read for them dropped.
 */
export function useHandOver(): (who: SessionAnswer | null) => Promise<void> {
  const { mutate } = useSWRConfig();
  return useCallback(
    async (who) => {
      const session = pathTo('session');
      leaving(true);
      // In one go, before anything is drawn: what the door asks for is not dropped again.
      await Promise.all([
        mutate(session, null, { revalidate: false }),
        mutate((key) => key !== session, undefined, { revalidate: (_, key) => !isShown(key) }),
      ]);
      await drawn();
      // What was shown until now, and may be on its way, is let go for whoever comes next.
      await mutate((key) => key !== session && !isShown(key));
      if (!who) return;
      await mutate(session, who, { revalidate: false });
    },
    [mutate],
  );
}

/**
 * Hands this window to whoever signed in in another one of the same browser: they share what says who is in,
 * not what was read. By the door, which drops it, there is nothing more to do.
 */
export function useOneAtATime(
  who: SessionAnswer | null | undefined,
  handOver: ReturnType<typeof useHandOver>,
): void {
  const shownTo = useRef<string | null>(null);
  useEffect(() => {
    if (who === undefined) return;
    const before = shownTo.current;
    shownTo.current = who?.email ?? null;
    if (!who || before === null || before === who.email) return;
    forgetKept();
    forgetEarly();
    void handOver(who);
  }, [who, handOver]);
}

/** Asks whether somebody is still in. What a screen said of being refused stays until that is known. */
export function useAskWhoIsIn(): () => void {
  const { mutate } = useSWRConfig();
  return useCallback(() => void mutate(pathTo('session')), [mutate]);
}

/** Drops what was read and is not shown; what is shown stays until its answer is here. */
export function useReadAnew(): () => Promise<void> {
  const { mutate } = useSWRConfig();
  return async () => {
    await mutate((key) => !isShown(key), undefined);
    await mutate(isShown);
  };
}
