import { useMemo, useState } from 'react';
import {
  atChair,
  conflictsOf,
  recordedBy,
  type Conflict,
  type Deviation,
  type RecordedEvent,
  type Sitting,
  type SittingChoice,
} from '@toile/core';
import { newId, type ChairEventInput, type ChartAnswer } from '@toile/contract';
import { useChart, useFollowed } from '../../data/hooks';
import { deviceName } from '../../data/device';
import { post, type ChairOutgoing } from '../../data/outbox';
import { toldOf } from '../../data/told';
import { useSending } from '../../data/useSending';
import type { Remote } from '../../ui';

export type ChairWork = {
  readonly answer: Remote<ChartAnswer>;
  /** Whether what this device kept of earlier visits is among the events. */
  readonly ready: boolean;
  /** Everything recorded so far at this sitting, with what is on its way. */
  readonly events: readonly RecordedEvent[];
  /** The sitting before, while nothing was recorded at this one. */
  readonly before: Sitting<RecordedEvent> | null;
  /** Goes on with the sitting before. */
  readonly goOnWithBefore: () => void;
  /** Begins a new sitting although this one still goes on. */
  readonly putOnAgain: () => void;
  /** Which sitting was chosen here, where the clock’s was not. */
  readonly choice: SittingChoice;
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
  const known = useMemo(() => (answer.data ? toldOf(answer.data) : undefined), [answer.data]);
  const [openedAtMs] = useState(() => Date.now());
  const [choice, setChoice] = useState<SittingChoice>({ goOnWith: null, left: null });
  const sending = useSending((item): item is ChairOutgoing => item.chartId === chartId, known);
  useFollowed(chartId);

  // What arrived with a version before this one, and is not told of it, was of work that was changed since.
  const onTheWay = sending.onTheWay.filter(
    (item) => item.input.version === answer.data?.chart.version || sending.waiting.includes(item),
  );
  const all = [...(known ?? []), ...onTheWay.map(({ input, by }) => recordedBy(by, input))];
  const { events, before, next } = atChair(all, openedAtMs, choice);

  const record = (what: Pick<ChairEventInput, 'stepId' | 'kind' | 'deviation' | 'settles'>): void => {
    const version = answer.data?.chart.version;
    if (version === undefined) return;
    const seen = known?.filter((e) => e.stepId === what.stepId).at(-1)?.id ?? null;
    const id = newId();
    const sitting = next === 'begins' ? id : next;
    post({
      chartId,
      input: {
        id,
        version,
        at: new Date().toISOString(),
        device: deviceName(),
        seen,
        ...(sitting === undefined ? {} : { sitting }),
        ...what,
      },
      ...sending.who,
    });
  };

  return {
    answer,
    ready: sending.ready,
    events,
    before,
    goOnWithBefore: () => setChoice({ goOnWith: before?.at(-1)?.id ?? null, left: null }),
    putOnAgain: () => setChoice({ goOnWith: null, left: events.at(-1)?.id ?? null }),
    choice,
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
