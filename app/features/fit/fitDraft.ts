import type { Chart } from '@toile/core';

/** A fit that is not saved yet, kept on the device. */
export type FitDraft = {
  readonly chart: Chart;
  readonly notes: readonly string[];
  readonly visitId: string | null;
  readonly reason: string;
};
