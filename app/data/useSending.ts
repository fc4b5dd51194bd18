import { useEffect, useRef } from 'react';
import { msg } from '@toile/core';
import { CallError } from './call';
import { useRefresh, useSession } from './hooks';
import { allTaken, flush, settleArrived, useOutbox, type Outgoing } from './outbox';

export type Sending<T extends Outgoing> = {
  /** Whether what earlier visits left on the device has been read. */ readonly ready: boolean;
  /** Not sent yet, oldest first. */ readonly waiting: readonly T[];
  /** Of that, and of what has just arrived, what the studio's answer does not hold yet: shown with it. */
  readonly onTheWay: readonly T[];
  readonly onPageOnly: ReadonlySet<string>;
  /** Why nothing is sent just now. */ readonly failure: string | null;
  /** What the studio would not take, with why. */ readonly refused: readonly string[];
  /** Who is signed in, to be recorded with what is told. */ readonly who: {
    readonly by: string;
    readonly account: string;
  };
  readonly sendAgain: () => void;
  /**
   * Waits until what was told has arrived, so that what is told past the outbox does not come before it.
   * Throws a CallError that says so where it does not arrive.
   */
  readonly afterAllOfIt: () => Promise<void>;
};

/**
 * What this device has told of one thing and the studio has not answered with yet. Once all of it has arrived
 * the thing is asked for again; what arrived is shown until the answer, `known`, holds it.
 */
export function useSending<T extends Outgoing>(
  own: (item: Outgoing) => item is T,
  known: readonly { readonly id?: string }[] | undefined,
): Sending<T> {
  const session = useSession();
  const refresh = useRefresh();
  const outbox = useOutbox();
  const waiting = outbox.waiting.filter(own);
  const arrived = outbox.arrived.filter(own);
  const refreshing = useRef(refresh);
  useEffect(() => {
    refreshing.current = refresh;
  });
  useEffect(() => {
    if (arrived.length > 0 && waiting.length === 0) void refreshing.current();
  }, [arrived.length, waiting.length]);
  useEffect(() => {
    if (known) settleArrived(known.flatMap((event) => event.id ?? []));
  }, [known]);
  return {
    ready: outbox.ready,
    waiting,
    onTheWay: [...arrived, ...waiting].filter((item) => !known?.some((event) => event.id === item.input.id)),
    onPageOnly: outbox.onPageOnly,
    failure: waiting.length > 0 ? outbox.failure : null,
    refused: outbox.refused.filter(({ item }) => own(item)).map(({ why }) => why),
    who: { by: session.data?.name ?? '', account: session.data?.email ?? '' },
    sendAgain: () => void flush(),
    afterAllOfIt: async () => {
      if (await allTaken(own)) return;
      throw new CallError(msg`What was told before this has not arrived yet: try again once it has.`, null);
    },
  };
}
