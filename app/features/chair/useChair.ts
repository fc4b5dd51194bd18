import { useEffect, useRef } from 'react';
import type { ChairEvent, Deviation } from '@toile/core';
import { newId, type ChairEventInput, type ChartAnswer } from '@toile/contract';
import { useChart, useFollowed, useRefresh, useSession } from '../../data/hooks';
import { flush, post, settleArrived, useOutbox, type Outgoing } from '../../data/outbox';
import type { Remote } from '../../ui';

export type ChairWork = {
  readonly answer: Remote<ChartAnswer>;
  /** Everything recorded so far, with what is on its way. */
  readonly events: readonly ChairEvent[];
  readonly unsentCount: number;
  readonly failure: string | null;
  /** What the studio would not take, with why. */
  readonly refused: readonly string[];
  readonly tick: (stepId: string, done: boolean) => void;
  readonly deviate: (stepId: string, deviation: Deviation) => void;
  readonly sendAgain: () => void;
};

/** Records what is done at the chair: shown at once, kept on the device, sent in order until it has arrived. */
export function useChair(chartId: string): ChairWork {
  const answer = useChart(chartId);
  const session = useSession();
  const refresh = useRefresh();
  const outbox = useOutbox();
  const own = (item: Outgoing): boolean => item.chartId === chartId;
  const waiting = outbox.waiting.filter(own);
  const shown = [...outbox.arrived.filter(own), ...waiting];
  const arrivedCount = outbox.arrived.filter(own).length;

  // Once all has arrived the chart is asked for again; what arrived is shown until its answer holds it.
  const refreshing = useRef(refresh);
  useEffect(() => {
    refreshing.current = refresh;
  });
  useEffect(() => {
    if (arrivedCount > 0 && waiting.length === 0) void refreshing.current();
  }, [arrivedCount, waiting.length]);
  useFollowed(chartId);
  const known = answer.data?.events;
  useEffect(() => {
    if (known) settleArrived(known.map((e) => e.id));
  }, [known]);

  const record = (what: Pick<ChairEventInput, 'stepId' | 'kind' | 'deviation'>): void => {
    const version = answer.data?.chart.version;
    if (version === undefined) return;
    post({ chartId, input: { id: newId(), version, at: new Date().toISOString(), ...what }, by: session.data?.name ?? '', account: session.data?.email ?? '' });
  };

  return {
    answer,
    events: [...(answer.data?.events ?? []), ...shown.filter((p) => !answer.data?.events.some((e) => e.id === p.input.id)).map(eventOf)],
    unsentCount: waiting.length,
    failure: waiting.length > 0 ? outbox.failure : null,
    refused: outbox.refused.filter(({ item }) => own(item)).map(({ why }) => why),
    tick: (stepId, done) => record({ stepId, kind: done ? 'done' : 'undone' }),
    deviate: (stepId, deviation) => record({ stepId, kind: 'deviation', deviation }),
    sendAgain: () => void flush(),
  };
}

function eventOf({ input, by }: Outgoing): ChairEvent {
  const common = { stepId: input.stepId, at: input.at, by };
  return input.kind === 'deviation' && input.deviation
    ? { ...common, kind: 'deviation', deviation: input.deviation }
    : { ...common, kind: input.kind === 'undone' ? 'undone' : 'done' };
}
