import { useState } from 'react';
import type { ChairEvent, Deviation } from '@toile/core';
import { newId, type ChairEventInput, type ChartAnswer } from '@toile/contract';
import { call, CallError } from '../../data/call';
import { useChart, useRefresh, useSession } from '../../data/hooks';
import type { Remote } from '../../ui';

export type ChairWork = {
  readonly answer: Remote<ChartAnswer>;
  /** Everything recorded so far, with what is on its way. */
  readonly events: readonly ChairEvent[];
  readonly unsentCount: number;
  readonly failure: string | null;
  readonly tick: (stepId: string, done: boolean) => void;
  readonly deviate: (stepId: string, deviation: Deviation) => void;
  readonly sendAgain: () => void;
};

type Pending = { readonly input: ChairEventInput; readonly by: string };

/** Records what is done at the chair: shown at once, sent in order, kept until it has arrived. */
export function useChair(chartId: string): ChairWork {
  const answer = useChart(chartId);
  const session = useSession();
  const refresh = useRefresh();
  const [pending, setPending] = useState<readonly Pending[]>([]);
  const [failure, setFailure] = useState<string | null>(null);

  const send = async (queue: readonly Pending[]): Promise<void> => {
    setFailure(null);
    let left = queue;
    try {
      for (const item of queue) {
        await call('createEvent', { params: { id: chartId }, body: item.input, idempotencyKey: `event-${item.input.id}` });
        left = left.slice(1);
      }
      await refresh();
    } catch (error) {
      setFailure(error instanceof CallError ? error.message : 'Not sent. It is kept here.');
    }
    setPending((all) => all.filter((p) => left.includes(p) || !queue.includes(p)));
  };

  const record = (what: Pick<ChairEventInput, 'stepId' | 'kind' | 'deviation'>): void => {
    const version = answer.data?.chart.version;
    if (version === undefined) return;
    const item: Pending = { input: { id: newId(), version, at: new Date().toISOString(), ...what }, by: session.data?.name ?? '' };
    const queue = [...pending, item];
    setPending(queue);
    void send(queue);
  };

  return {
    answer,
    events: [...(answer.data?.events ?? []), ...pending.filter((p) => !answer.data?.events.some((e) => e.id === p.input.id)).map(eventOf)],
    unsentCount: pending.length,
    failure,
    tick: (stepId, done) => record({ stepId, kind: done ? 'done' : 'undone' }),
    deviate: (stepId, deviation) => record({ stepId, kind: 'deviation', deviation }),
    sendAgain: () => void send(pending),
  };
}

function eventOf({ input, by }: Pending): ChairEvent {
  const common = { stepId: input.stepId, at: input.at, by };
  return input.kind === 'deviation' && input.deviation
    ? { ...common, kind: 'deviation', deviation: input.deviation }
    : { ...common, kind: input.kind === 'undone' ? 'undone' : 'done' };
}
