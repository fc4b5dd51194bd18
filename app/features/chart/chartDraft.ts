import type { Chart } from '@toile/core';
import { newId } from '@toile/contract';
import { dropDraft, readDraft, writeDraft } from '../../data/drafts';

/** A chart as changed and not saved yet. */
export type ChartWork = { readonly chart: Chart; readonly reason: string; readonly key: string };

/** The same with the version it began from; it outlives a reload, and whatever is saved meanwhile. */
export type ChartDraft = { readonly begun: Chart; readonly work: ChartWork };

const nameOf = (id: string): string => `chart.${id}`;

export const readChartDraft = (id: string): ChartDraft | null => readDraft<ChartDraft>(nameOf(id));
export const writeChartDraft = (draft: ChartDraft): void => writeDraft(nameOf(draft.begun.id), draft);
export const dropChartDraft = (id: string): void => dropDraft(nameOf(id));
export const newChartWork = (chart: Chart, reason = ''): ChartWork => ({ chart, reason, key: newId() });
