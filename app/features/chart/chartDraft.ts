import type { Chart } from '@toile/core';
import { newId } from '@toile/contract';
import { dropDraft, readDraft, writeDraft } from '../../data/drafts';

/** A chart as changed and not saved yet. */
export type ChartWork = {
  readonly chart: Chart;
  readonly reason: string;
  readonly key: string;
  /** The version its editor was opened at: what goes on while it is saved goes on in the same editor. */
  readonly openedAt: number;
};

/** The same with the version it began from; it outlives a reload, and whatever is saved meanwhile. */
export type ChartDraft = { readonly begun: Chart; readonly work: ChartWork };

const nameOf = (id: string): string => `chart.${id}`;

export const readChartDraft = (id: string): ChartDraft | null => readDraft<ChartDraft>(nameOf(id));
export const writeChartDraft = (draft: ChartDraft): void => writeDraft(nameOf(draft.begun.id), draft);
export const dropChartDraft = (id: string): void => dropDraft(nameOf(id));
export const newChartWork = (chart: Chart, reason = ''): ChartWork => ({
  chart,
  reason,
  key: newId(),
  openedAt: chart.version,
});

/**
 * What waits on the device once `sent` was saved as `kept`, whether its page is still open or was left
 * meanwhile: nothing, or, where it was changed since, that, on top of what was saved.
 */
export function chartDraftSaved(sent: ChartWork, kept: Chart): void {
  const there = readChartDraft(kept.id);
  if (!there) return;
  if (JSON.stringify(there.work) === JSON.stringify(sent)) dropChartDraft(kept.id);
  else writeChartDraft({ begun: kept, work: chartWorkOnto(there.work, kept) });
}

/**
 * Work that went on while its beginning was saved as `kept`: the next version of that, for a reason of its
 * own.
 */
export function chartWorkOnto({ chart, reason, openedAt }: ChartWork, kept: Chart): ChartWork {
  const { version, parent, author, at, reason: said, hash } = kept;
  const next = {
    ...chart,
    version,
    parent,
    author,
    at,
    reason: said,
    ...(hash === undefined ? {} : { hash }),
  };
  return { ...newChartWork(next, reason.trim() === said ? '' : reason), openedAt };
}
