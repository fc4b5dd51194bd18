import type { PracticeTold } from '@toile/core';
import { usePractice, useSession } from '../../data/hooks';
import { post, type PracticeOutgoing } from '../../data/outbox';
import { useSending } from '../../data/useSending';

/** One's own practice with what this device has not sent yet: shown at once, kept, sent when it can be. */
export function usePracticeLog() {
  const answer = usePractice();
  const account = useSession().data?.email ?? '';
  const known = answer.data?.events;
  const sending = useSending(
    (item): item is PracticeOutgoing => item.practice === true && item.account === account,
    known,
  );
  return {
    answer,
    events: [...(known ?? []), ...sending.onTheWay.map(({ input }) => input)],
    unsentCount: sending.waiting.length,
    afterAllOfIt: sending.afterAllOfIt,
    tell: (input: PracticeTold): void => post({ practice: true, input, ...sending.who }),
  };
}
