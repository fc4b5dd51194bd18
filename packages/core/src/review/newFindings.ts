import type { Kit } from '../kit';
import type { Chart } from '../look';
import { reviewChart } from './reviewChart';

/** What a chart's findings are told apart by: rule and steps. */
export function findingKeys(chart: Chart, kit: Kit | null): Set<string> {
  return new Set(reviewChart(chart, kit).map((f) => `${f.rule} ${[...f.stepIds].sort().join()}`));
}
