import { conflictsOf, recordedBy, type Conflict, type Deviation, type RecordedEvent } from '@toile/core';
import { newId, type ChairEventInput, type ChartAnswer } from '@toile/contract';
import { useChart, useFollowed } from '../../data/hooks';
import { deviceName } from '../../data/device';
import { post, type ChairOutgoing } from '../../data/outbox';
import { useSending } from '../../data/useSending';
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
  const known = answer.data?.events;
  const sending = useSending((item): item is ChairOutgoing => item.chartId === chartId, known);
  useFollowed(chartId);

  const record = (what: Pick<ChairEventInput, 'stepId' | 'kind' | 'deviation' | 'settles'>): void => {
    const version = answer.data?.chart.version;
    if (version === undefined) return;
    const seen = known?.filter((e) => e.stepId === what.stepId).at(-1)?.id ?? null;
    post({
      chartId,
      input: { id: newId(), version, at: new Date().toISOString(), device: deviceName(), seen, ...what },
      ...sending.who,
    });
  };

  const events = [...(known ?? []), ...sending.onTheWay.map(({ input, by }) => recordedBy(by, input))];
  return {
    answer,
    ready: sending.ready,
    events,
    conflicts: conflictsOf(events),
    unsentCount: sending.waiting.length,
    onPageOnlyCount: sending.waiting.filter((item) => sending.onPageOnly.has(item.input.id)).length,
    failure: sending.failure,
    refused: sending.refused,
    tick: (stepId, done) => record({ stepId, kind: done ? 'done' : 'undone' }),
    deviate: (stepId, deviation) => record({ stepId, kind: 'deviation', deviation }),
    settle: ({ stepId, one, other }, kept) =>
      record({
        stepId,
        kind: kept.kind,
        ...(kept.kind === 'deviation' && { deviation: kept.deviation }),
        settles: [one.id, other.id],
      }),
    sendAgain: sending.sendAgain,
  };
}
