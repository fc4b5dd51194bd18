import { useEffect, useRef } from 'react';
import type { PracticeTold } from '@toile/core';
import { usePractice, useRefresh, useSession } from '../../data/hooks';
import {
  flush,
  post,
  settleArrived,
  useOutbox,
  type Outgoing,
  type PracticeOutgoing,
} from '../../data/outbox';
import { todayText } from '../words/dates';

/** One's own practice with what this device has not sent yet: shown at once, kept, sent when it can be. */
export function usePracticeLog() {
  const answer = usePractice(todayText());
  const session = useSession();
  const refresh = useRefresh();
  const outbox = useOutbox();
  const account = session.data?.email ?? '';
  const own = (item: Outgoing): item is PracticeOutgoing =>
    item.practice === true && item.account === account;
  const waiting = outbox.waiting.filter(own);
  const arrived = outbox.arrived.filter(own);
  const refreshing = useRef(refresh);
  useEffect(() => {
    refreshing.current = refresh;
  });
  useEffect(() => {
    if (arrived.length > 0 && waiting.length === 0) void refreshing.current();
  }, [arrived.length, waiting.length]);
  const known = answer.data?.events;
  useEffect(() => {
    if (known) settleArrived(known.map((event) => event.id));
  }, [known]);
  return {
    answer,
    events: [
      ...(known ?? []),
      ...[...arrived, ...waiting]
        .map(({ input }) => input)
        .filter((input) => !known?.some((event) => event.id === input.id)),
    ],
    unsentCount: waiting.length,
    tell: (input: PracticeTold): void =>
      post({ practice: true, input, by: session.data?.name ?? '', account }),
    sendAgain: (): void => void flush(),
  };
}
