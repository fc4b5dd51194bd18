import type { Kit } from '../kit';
import { orderedSteps, stepsOfVariant, type Chart } from '../look';
import { weaveSteps } from '../order';
import { findingKeys } from './newFindings';

export type ChartOrderChoice = {
  readonly stepIds: readonly string[];
  readonly savedMinutes: number;
  readonly moves: number;
  readonly movedTitles: readonly string[];
};

/** Whether an order of a chart's steps raises no finding it did not have. */
export function acceptsOrder(chart: Chart, kit: Kit | null): (stepIds: readonly string[]) => boolean {
  const had = findingKeys(chart, kit);
  return (stepIds) => [...findingKeys(orderedSteps(chart, stepIds), kit)].every((key) => had.has(key));
}

/** Orders that fill the waits of a chart in few moves without a new finding: the most saving first. */
export function orderChoices(chart: Chart, kit: Kit | null): ChartOrderChoice[] {
  const steps = stepsOfVariant(chart.steps, null);
  const { choices } = weaveSteps(steps, chart.client, chart.schools, acceptsOrder(chart, kit));
  const titles = new Map(steps.map((s) => [s.id, s.title]));
  return choices
    .filter(({ savedMinutes }) => savedMinutes >= 2)
    .map((c) => ({
      stepIds: c.steps.map((s) => s.stepId),
      savedMinutes: c.savedMinutes,
      moves: c.moves,
      movedTitles: c.movedIds.map((id) => titles.get(id)!),
    }))
    .reverse();
}
