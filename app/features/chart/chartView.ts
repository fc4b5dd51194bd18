import {
  GUIDE_PARAMETERS,
  measuresInWords,
  msg,
  type Chart,
  type GuideParameter,
  type Placement,
  type Step,
  type Use,
} from '@toile/core';
import { mannerNow } from '../words/dates';

const changed = (chart: Chart, stepId: string, change: (step: Step) => Step): Chart => ({
  ...chart,
  steps: chart.steps.map((s) => (s.id === stepId ? change(s) : s)),
});

export const withUse = (chart: Chart, stepId: string, use: readonly Use[]): Chart =>
  changed(chart, stepId, (s) => ({ ...s, use: [...use] }));
export const withStepChange = (chart: Chart, stepId: string, part: Partial<Step>): Chart =>
  changed(chart, stepId, (s) => ({ ...s, ...part }));
export const withNote = (chart: Chart, stepId: string, note: string): Chart =>
  changed(chart, stepId, (s) => ({ ...s, note }));
export const withPlacement = (chart: Chart, stepId: string, index: number, placement: Placement): Chart =>
  changed(chart, stepId, (s) => ({
    ...s,
    placements: s.placements.map((p, i) => (i === index ? placementForChart(placement) : p)),
  }));

/** The step with other placements. */
export const withPlacements = (chart: Chart, stepId: string, placements: readonly Placement[]): Chart =>
  changed(chart, stepId, (s) => ({ ...s, placements: placements.map(placementForChart) }));

/**
 * Placements as charts hold them: parameters rounded to what a hand can do, those of the guide itself left
 * out.
 */
function placementForChart(placement: Placement): Placement {
  if (!('guide' in placement)) return placement;
  const { params, ...rest } = placement;
  const kept = Object.entries(params ?? {}).flatMap(([name, value]): [string, number][] => {
    if (!isParameter(name) || value === undefined) return [];
    const { unit, initial } = GUIDE_PARAMETERS[name];
    const rounded = unit === '%' ? Math.round(value) : Math.round(value * 10) / 10;
    return rounded === initial ? [] : [[name, rounded]];
  });
  return kept.length === 0 ? rest : { ...rest, params: Object.fromEntries(kept) };
}

const isParameter = (name: string): name is GuideParameter => name in GUIDE_PARAMETERS;

/** '2 pumps', '1 swipe'; where the studio goes by volume, '0.8 ml, 2 pumps' of what runs. */
export function amountInWords(use: readonly Use[]): string {
  return use
    .map(({ parts, measure, product }) => {
      const measures = measuresInWords(parts, measure);
      const runs = mannerNow().amounts === 'millilitres' && RUNS.includes(product.texture);
      return runs ? `${volumeInWords(parts * product.mgPerMeasure)}, ${measures}` : measures;
    })
    .join(' + ');
}
/** What is poured and pumped is measured by volume; what is pressed or solid never is. */
const RUNS: readonly Use['product']['texture'][] = ['liquid', 'gel', 'cream'];
/** So much of something about as heavy as water. */
const volumeInWords = (mg: number): string => msg`${(mg / 1000).toFixed(mg < 100 ? 3 : 2)} ml`;

/** Minutes of a whole chart: hands on, and waiting. */
export function minutesOf(steps: readonly Step[]): { readonly handsOn: number; readonly waiting: number } {
  return {
    handsOn: steps.reduce((sum, s) => sum + s.handsOnMinutes, 0),
    waiting: steps.reduce((sum, s) => sum + s.waitMinutes, 0),
  };
}
