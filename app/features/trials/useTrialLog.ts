import type { TrialEvent } from '@toile/core';
import { useTrial } from '../../data/hooks';
import { post, type ToldAway, type TrialOutgoing } from '../../data/outbox';
import { useSending } from '../../data/useSending';

/** A trial with what this device told of it: shown at once, kept on the device, sent until it has arrived. */
export function useTrialLog(trialId: string) {
  const answer = useTrial(trialId);
  const known = answer.data?.events;
  const sending = useSending((item): item is TrialOutgoing => item.trialId === trialId, known);
  return {
    answer,
    events: [...(known ?? []), ...sending.onTheWay.map(({ input, by }): TrialEvent => ({ ...input, by }))],
    unsentCount: sending.waiting.length,
    failure: sending.failure,
    refused: sending.refused,
    tell: (input: ToldAway): void => post({ trialId, input, ...sending.who }),
    sendAgain: sending.sendAgain,
    afterAllOfIt: sending.afterAllOfIt,
  };
}
