import type { Chart } from '@toile/core';
import { newId } from '@toile/contract';
import { dropDraft, readDraft, writeDraft } from '../../data/drafts';

/** Changes to a saved version that are not saved yet; they outlive a reload. */
export type ChartDraft = { readonly chart: Chart; readonly reason: string; readonly key: string };

const nameOf = (saved: Pick<Chart, 'id' | 'version'>): string => `chart.${saved.id}.${saved.version}`;

export const readChartDraft = (saved: Chart): ChartDraft | null => readDraft<ChartDraft>(nameOf(saved));
export const writeChartDraft = (saved: Pick<Chart, 'id' | 'version'>, draft: ChartDraft): void =>
  writeDraft(nameOf(saved), draft);
export const dropChartDraft = (saved: Pick<Chart, 'id' | 'version'>): void => dropDraft(nameOf(saved));
export const newChartDraft = (chart: Chart, reason = ''): ChartDraft => ({ chart, reason, key: newId() });
