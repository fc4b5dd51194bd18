import { useEffect, useRef } from 'react';
import type { ChairTicks, PartyEvent, PartyEventKind } from '@toile/core';
import { newId } from '@toile/contract';
import { deviceName } from '../../data/device';
import { usePartyFollowed, usePartyLog as useLogOf, useRefresh, useSession } from '../../data/hooks';
import { flush, post, settleArrived, useOutbox, type Outgoing, type PartyOutgoing } from '../../data/outbox';

export type PartyLog = {
  /** Everything told so far, with what is on its way. */ readonly events: readonly PartyEvent[];
  readonly chairs: Readonly<Record<string, ChairTicks>>;
  readonly ready: boolean;
  readonly error: Error | undefined;
  readonly unsentCount: number;
  readonly failure: string | null;
  readonly refused: readonly string[];
  /** Tells something: as of now, or of an instant that was missed. */
  readonly tell: (kind: PartyEventKind, item: string, more?: { into?: string; at?: Date }) => void;
  readonly sendAgain: () => void;
};

/** What is told of a party: shown at once, kept on the device, sent until it has arrived; and what others tell. */
export function usePartyLog(partyId: string): PartyLog {
  const answer = useLogOf(partyId);
  const session = useSession();
  const refresh = useRefresh();
  const outbox = useOutbox();
  usePartyFollowed(partyId);
  const own = (item: Outgoing): item is PartyOutgoing => item.partyId === partyId;
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
    events: [
      ...(known ?? []),
      ...[...arrived, ...waiting]
        .filter((item) => !known?.some((event) => event.id === item.input.id))
        .map(({ input, by }): PartyEvent => ({ ...input, by })),
    ],
    chairs: answer.data?.chairs ?? {},
    ready: answer.data !== undefined && outbox.ready,
    error: answer.data ? undefined : answer.error,
    unsentCount: waiting.length,
    failure: waiting.length > 0 ? outbox.failure : null,
    refused: outbox.refused.filter(({ item }) => own(item)).map(({ why }) => why),
    tell: (kind, item, { into, at = new Date() } = {}) =>
      post({
        partyId,
        input: {
          id: newId(),
          kind,
          item,
          at: at.toISOString(),
          device: deviceName(),
          ...(into === undefined ? {} : { into }),
        },
        by: session.data?.name ?? '',
        account: session.data?.email ?? '',
      }),
    sendAgain: () => void flush(),
  };
}
