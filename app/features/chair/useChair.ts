import { useEffect, useRef } from 'react';
import { conflictsOf, recordedBy, type Conflict, type Deviation, type RecordedEvent } from '@toile/core';
import { newId, type ChairEventInput, type ChartAnswer } from '@toile/contract';
import { useChart, useFollowed, useRefresh, useSession } from '../../data/hooks';
import { deviceName } from '../../data/device';
import { flush, post, settleArrived, useOutbox, type ChairOutgoing, type Outgoing } from '../../data/outbox';
import type { Remote } from '../../ui';

export type ChairWork = {
  readonly answer: Remote<ChartAnswer>;
  /** Whether what this device kept of earlier visits is among the events. */
  readonly ready: boolean;
  /** Everything recorded so far, with what is on its way. */
  readonly events: readonly RecordedEvent[];
  /** What two devices recorded without knowing of each other, and that cannot both be so. */
  readonly conflicts: readonly Conflict[];
  readonly unsentCount: number;
  /** Of those, how many this device could not keep: they are lost with the page. */
  readonly onPageOnlyCount: number;
  readonly failure: string | null;
  /** What the studio would not take, with why. */
  readonly refused: readonly string[];
  readonly tick: (stepId: string, done: boolean) => void;
  readonly deviate: (stepId: string, deviation: Deviation) => void;
  /** Keeps one version of a conflict. */
  readonly settle: (conflict: Conflict, kept: RecordedEvent) => void;
  readonly sendAgain: () => void;
};

/**
 * Records what is done at the chair: shown at once, kept on the device, sent in order until it has arrived.
 */
export function useChair(chartId: string): ChairWork {
  const answer = useChart(chartId);
  const session = useSession();
  const refresh = useRefresh();
  const outbox = useOutbox();
  const own = (item: Outgoing): item is ChairOutgoing => item.chartId === chartId;
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

  const record = (what: Pick<ChairEventInput, 'stepId' | 'kind' | 'deviation' | 'settles'>): void => {
    const version = answer.data?.chart.version;
    if (version === undefined) return;
    const seen = known?.filter((e) => e.stepId === what.stepId).at(-1)?.id ?? null;
    post({
      chartId,
      input: { id: newId(), version, at: new Date().toISOString(), device: deviceName(), seen, ...what },
      by: session.data?.name ?? '',
      account: session.data?.email ?? '',
    });
  };

  const events = [
    ...(known ?? []),
    ...shown
      .filter((p) => !known?.some((e) => e.id === p.input.id))
      .map(({ input, by }) => recordedBy(by, input)),
  ];
  return {
    answer,
    ready: outbox.ready,
    events,
    conflicts: conflictsOf(events),
    unsentCount: waiting.length,
    onPageOnlyCount: waiting.filter((item) => outbox.onPageOnly.has(item.input.id)).length,
    failure: waiting.length > 0 ? outbox.failure : null,
    refused: outbox.refused.filter(({ item }) => own(item)).map(({ why }) => why),
    tick: (stepId, done) => record({ stepId, kind: done ? 'done' : 'undone' }),
    deviate: (stepId, deviation) => record({ stepId, kind: 'deviation', deviation }),
    settle: ({ stepId, one, other }, kept) =>
      record({
        stepId,
        kind: kept.kind,
        ...(kept.kind === 'deviation' && { deviation: kept.deviation }),
        settles: [one.id, other.id],
      }),
    sendAgain: () => void flush(),
  };
}
