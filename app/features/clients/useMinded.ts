import { useMemo } from 'react';
import { mindedNow, type Chart } from '@toile/core';
import { useClient } from '../../data/hooks';
import { notedNow } from './snapshot';

/**
 * A chart as it is to be minded now: with what was noted of its client since it was written, once that is
 * here. Its client stays the same object while neither changes, however often the chart does.
 */
export function useMinded(chart: Chart): Chart;
export function useMinded(chart: Chart | null): Chart | null;
export function useMinded(chart: Chart | null): Chart | null {
  const client = chart?.client ?? null;
  const noted = useClient(client?.id ?? '').data;
  const minded = useMemo(
    () => (noted && client ? mindedNow({ client }, notedNow(noted)).client : client),
    [client, noted],
  );
  return useMemo(
    () => (chart === null || minded === null || minded === client ? chart : { ...chart, client: minded }),
    [chart, client, minded],
  );
}
