import type { TrialEvent, TrialTold } from '@toile/core';
import { useTrial } from '../../data/hooks';
import { post, type TrialOutgoing } from '../../data/outbox';
import { useSending } from '../../data/useSending';

/** What may be told without a network: what somebody saw, and when it was put on. */
export type ToldAway = Extract<TrialTold, { kind: 'applied' | 'looked' }>;

/** A trial with what this device told of it: shown at once, kept on the device, sent until it has arrived. */
export function useTrialLog(trialId: string) {
  const answer = useTrial(trialId);
  const known = answer.data?.events;
  const sending = useSending((item): item is TrialOutgoing => item.trialId === trialId, known);
  return {
    answer,
    events: [
      ...(known ?? []),
      ...sending.onTheWay.flatMap(({ input, by }): TrialEvent[] =>
        input.kind === 'decided' ? [] : [{ ...input, by }],
      ),
    ],
    unsentCount: sending.waiting.length,
    failure: sending.failure,
    refused: sending.refused,
    tell: (input: ToldAway): void => post({ trialId, input, ...sending.who }),
    sendAgain: sending.sendAgain,
  };
}
