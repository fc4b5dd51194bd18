import type { ChartAnswer } from '@toile/contract';

/** All that was told at the chair of the version of an answer: with it, and before it where that stands. */
export const toldOf = ({ carried = [], events }: Pick<ChartAnswer, 'carried' | 'events'>) => [
  ...carried,
  ...events,
];
