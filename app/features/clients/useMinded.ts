import { useMemo } from 'react';
import { mindedNow, type Chart } from '@toile/core';
import { useClient } from '../../data/hooks';
import { notedNow } from './snapshot';

/** A chart as it is to be minded now: with what was noted of its client since it was written, once that is here. */
export function useMinded(chart: Chart): Chart {
  const client = useClient(chart.client.id).data;
  return useMemo(() => (client ? mindedNow(chart, notedNow(client)) : chart), [chart, client]);
}
