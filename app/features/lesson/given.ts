import type { Chart, Tool } from '@toile/core';

/** A lesson as it is put together: of which chart, in how long, which steps, with which tools. */
export type Given = {
  readonly chart: Chart;
  readonly minutes: number;
  readonly kept: readonly string[];
  readonly tools: readonly Tool[] | null;
};
