import { useMemo } from 'react';
import { lastWorn, withTaught, type Chart } from '@toile/core';
import type { ChartAnswer } from '@toile/contract';
import { useChart } from '../../data/hooks';
import { toldOf } from '../../data/told';

type Worked = {
  readonly chart: Pick<Chart, 'version'>;
  readonly events: readonly unknown[];
  readonly versions: readonly Pick<ChartAnswer['versions'][number], 'version' | 'worked'>[];
};

/** The version whose chair speaks of a chart nobody has worked by yet; null where its own does, or none. */
export function lastWorked({ chart, events, versions }: Worked): number | null {
  if (events.length > 0) return null;
  const before = versions.filter(({ version, worked }) => worked && version < chart.version);
  return before.length === 0 ? null : Math.max(...before.map(({ version }) => version));
}

/**
 * A chart as it was worn, with what was told of the version last worked by where nobody has worked by this
 * one; null while that is still read. Without a network it is what is known of this one alone.
 */
export function useWorn(answer: ChartAnswer): Chart | null {
  const version = lastWorked(answer);
  const earlier = useChart(version === null ? '' : answer.chart.id, String(version ?? ''));
  const { data, error } = earlier;
  return useMemo(() => {
    const own = lastWorn(answer.chart, toldOf(answer));
    if (version === null || (error && !data)) return own;
    return data ? withTaught(own, lastWorn(data.chart, toldOf(data))) : null;
  }, [answer, version, data, error]);
}
