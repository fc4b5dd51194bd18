import type { ChairTicks, PartyEvent, PartyEventKind } from '@toile/core';
import { newId } from '@toile/contract';
import { deviceName } from '../../data/device';
import { usePartyFollowed, usePartyLog as useLogOf } from '../../data/hooks';
import { post, type PartyOutgoing } from '../../data/outbox';
import { useSending } from '../../data/useSending';

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

/**
 * What is told of a party: shown at once, kept on the device, sent until it has arrived; and what others
 * tell.
 */
export function usePartyLog(partyId: string): PartyLog {
  const answer = useLogOf(partyId);
  const known = answer.data?.events;
  const sending = useSending((item): item is PartyOutgoing => item.partyId === partyId, known);
  usePartyFollowed(partyId);

  return {
    events: [...(known ?? []), ...sending.onTheWay.map(({ input, by }): PartyEvent => ({ ...input, by }))],
    chairs: answer.data?.chairs ?? {},
    ready: answer.data !== undefined && sending.ready,
    error: answer.data ? undefined : answer.error,
    unsentCount: sending.waiting.length,
    failure: sending.failure,
    refused: sending.refused,
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
        ...sending.who,
      }),
    sendAgain: sending.sendAgain,
  };
}
