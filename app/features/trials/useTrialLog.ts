import { useEffect, useRef } from 'react';
import type { TrialEvent, TrialTold } from '@toile/core';
import { useRefresh, useSession, useTrial } from '../../data/hooks';
import { flush, post, settleArrived, useOutbox, type Outgoing, type TrialOutgoing } from '../../data/outbox';

/** What may be told without a network: what somebody saw, and when it was put on. */
export type ToldAway = Extract<TrialTold, { kind: 'applied' | 'looked' }>;

/** A trial with what this device told of it: shown at once, kept on the device, sent until it has arrived. */
export function useTrialLog(trialId: string) {
  const answer = useTrial(trialId);
  const session = useSession();
  const refresh = useRefresh();
  const outbox = useOutbox();
  const own = (item: Outgoing): item is TrialOutgoing => item.trialId === trialId;
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
  const onTheirWay = [...arrived, ...waiting].flatMap(({ input, by }): TrialEvent[] =>
    known?.some((event) => event.id === input.id) || input.kind === 'decided' ? [] : [{ ...input, by }],
  );
  return {
    answer,
    events: [...(known ?? []), ...onTheirWay],
    unsentCount: waiting.length,
    failure: waiting.length > 0 ? outbox.failure : null,
    refused: outbox.refused.filter(({ item }) => own(item)).map(({ why }) => why),
    tell: (input: ToldAway): void =>
      post({ trialId, input, by: session.data?.name ?? '', account: session.data?.email ?? '' }),
    sendAgain: (): void => void flush(),
  };
}
