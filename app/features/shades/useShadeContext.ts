import { useMemo } from 'react';
import { contextOf, type Chart, type Kit, type ShadeContext } from '@toile/core';
import type { ClientAnswer } from '@toile/contract';
import { snapshotOfClient } from '../clients/snapshot';
import { todayText } from '../words/dates';

/**
 * Client and kit as the one matcher takes them; for a chart also its day, what its look forbids and its
 * school, so that every screen gives one answer. Another object only when one of them changes.
 */
export function useShadeContext(
  client: ClientAnswer,
  kit: Kit | undefined,
  chart: Chart | null,
): ShadeContext | null {
  return useMemo(() => {
    if (!kit) return null;
    return chart
      ? { ...contextOf(chart, kit), client: snapshotOfClient(client) }
      : { client: snapshotOfClient(client), kit, date: todayText() };
  }, [client, kit, chart]);
}
