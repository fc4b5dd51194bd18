import { checkLimits, colourOfUse, labToHex, outlineOf, withinLimits, type Chart, type LimitBreach, type Placement, type Step, type Use } from '@toile/core';
import type { PaintedLayer } from '../face/FaceView';

/** The steps of one variant: the common ones and, of those that come in variants, the chosen. */
export function stepsShown(chart: Chart, variant: string | null): Step[] {
  if (variant === null) return chart.steps.filter((s) => s.variant === undefined);
  const replaced = new Set(chart.steps.filter((s) => s.variant === variant).map((s) => s.role));
  return chart.steps.filter((s) => s.variant === variant || (s.variant === undefined && !replaced.has(s.role)));
}

/** The layers of a chart on the face, the selected step standing out. */
export function layersOf(chart: Chart, steps: readonly Step[], selected: string | null): PaintedLayer[] {
  const { landmarks, features } = chart.client;
  return steps.flatMap((step): PaintedLayer[] => {
    if (step.role === 'care' || step.placements.length === 0) return [];
    const lab = colourOfUse(step.use);
    return [
      {
        id: step.id,
        kind: step.role,
        shapes: step.placements.flatMap((placement) => outlineOf(placement, landmarks, features)),
        colour: lab ? labToHex(lab) : null,
        emphasis: selected === null ? 'plain' : selected === step.id ? 'lit' : 'faint',
      },
    ];
  });
}

export type ChartFinding = LimitBreach & { readonly step: Step; readonly placement: number };

/** Everything on this face that breaks a limit, by step. */
export function findingsOf(chart: Chart): ChartFinding[] {
  const { landmarks, features } = chart.client;
  return chart.steps.flatMap((step) =>
    step.placements.flatMap((placement, i) => checkLimits(placement, landmarks, features).map((breach) => ({ ...breach, step, placement: i }))),
  );
}

const changed = (chart: Chart, stepId: string, change: (step: Step) => Step): Chart => ({
  ...chart,
  steps: chart.steps.map((s) => (s.id === stepId ? change(s) : s)),
});

export const withUse = (chart: Chart, stepId: string, use: readonly Use[]): Chart => changed(chart, stepId, (s) => ({ ...s, use: [...use] }));
export const withNote = (chart: Chart, stepId: string, note: string): Chart => changed(chart, stepId, (s) => ({ ...s, note }));
export const withPlacement = (chart: Chart, stepId: string, index: number, placement: Placement): Chart =>
  changed(chart, stepId, (s) => ({ ...s, placements: s.placements.map((p, i) => (i === index ? placementForChart(placement) : p)) }));

/** Eases one placement back inside its limits. */
export function mended(chart: Chart, finding: ChartFinding): Chart {
  const { landmarks, features } = chart.client;
  const placement = finding.step.placements[finding.placement]!;
  return withPlacement(chart, finding.step.id, finding.placement, withinLimits(placement, landmarks, features));
}

/** Placements as charts hold them: parameters rounded to what a hand can do. */
function placementForChart(placement: Placement): Step['placements'][number] {
  if ('outline' in placement) return { ...placement, outline: placement.outline.map(([x, y]): [number, number] => [x, y]) };
  if (!placement.params) return { guide: placement.guide, side: placement.side };
  const { reach, liftMm, width } = placement.params;
  const params = {
    ...(reach === undefined ? {} : { reach: Math.round(reach) }),
    ...(liftMm === undefined ? {} : { liftMm: Math.round(liftMm * 10) / 10 }),
    ...(width === undefined ? {} : { width: Math.round(width) }),
  };
  return { guide: placement.guide, params, side: placement.side };
}

/** '2 pumps', '1 swipe'. */
export function amountInWords(use: readonly Use[]): string {
  return use.map((u) => `${Number(u.parts.toFixed(1))} ${u.measure}${u.parts === 1 ? '' : 's'}`).join(' + ');
}

/** Minutes of a whole chart: hands on, and waiting. */
export function minutesOf(steps: readonly Step[]): { readonly handsOn: number; readonly waiting: number } {
  return { handsOn: steps.reduce((sum, s) => sum + s.handsOnMinutes, 0), waiting: steps.reduce((sum, s) => sum + s.waitMinutes, 0) };
}
