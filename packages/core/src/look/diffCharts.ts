import { describePlacement, INITIAL_PARAMS, type Placement } from '../face';
import { measuresInWords } from '../shade';
import type { Chart, Step } from './document';
import { productsInWords } from './propose';

export type ChartDifference = {
  readonly stepId: string | null;
  readonly what:
    'added' | 'removed' | 'product' | 'amount' | 'place' | 'order' | 'tool' | 'note' | 'skin' | 'occasion';
  /** The difference in a sentence. */
  readonly words: string;
};

/**
 * What differs from chart a to chart b, in words, in the order of b's steps. Empty when nothing a reader
 * would see differs.
 */
export function diffCharts(a: Chart, b: Chart): ChartDifference[] {
  const old = new Map(a.steps.map((step) => [step.id, step]));
  const kept = new Set(b.steps.map((step) => step.id));
  return [
    ...(a.occasion.date === b.occasion.date && a.occasion.kind === b.occasion.kind
      ? []
      : [
          {
            stepId: null,
            what: 'occasion' as const,
            words: `For the ${b.occasion.kind} on ${b.occasion.date} instead of the ${a.occasion.kind} on ${a.occasion.date}.`,
          },
        ]),
    ...(a.client.readingId === b.client.readingId
      ? []
      : [{ stepId: null, what: 'skin' as const, words: 'A newer skin reading was used.' }]),
    ...a.steps
      .filter((step) => !kept.has(step.id))
      .map((step) => ({ stepId: step.id, what: 'removed' as const, words: `${step.title} was taken out.` })),
    ...b.steps.flatMap((step): ChartDifference[] => {
      const before = old.get(step.id);
      return before
        ? stepDifferences(before, step)
        : [{ stepId: step.id, what: 'added', words: `${step.title} was added.` }];
    }),
    ...orderDifference(a, b),
  ];
}

function stepDifferences(a: Step, b: Step): ChartDifference[] {
  const differences: ChartDifference[] = [];
  const note = (what: ChartDifference['what'], words: string): void =>
    void differences.push({ stepId: b.id, what, words });
  const ids = (step: Step): string => step.use.map((u) => u.product.id).join();
  const parts = (step: Step): string => step.use.map((u) => measuresInWords(u.parts, u.measure)).join(' + ');
  if (ids(a) !== ids(b))
    note('product', `${b.title}: ${productsInWords(b.use)} instead of ${productsInWords(a.use)}.`);
  else if (parts(a) !== parts(b)) note('amount', `${b.title}: ${parts(b)} instead of ${parts(a)}.`);
  if (a.tool !== b.tool || a.technique !== b.technique)
    note('tool', `${b.title}: ${b.tool}, ${b.technique} instead of ${a.tool}, ${a.technique}.`);
  b.placements.forEach((placement, i) => {
    const before = a.placements[i];
    if (!before || JSON.stringify(normal(before)) !== JSON.stringify(normal(placement)))
      note(
        'place',
        `${b.title}: ${describePlacement(placement)}, ${before ? `moved (${changesIn(before, placement)})` : 'new'}.`,
      );
  });
  if (a.placements.length > b.placements.length)
    note('place', `${b.title}: ${a.placements.length - b.placements.length} placement fewer.`);
  if (a.note !== b.note) note('note', `${b.title}: note “${b.note}”.`);
  return differences;
}

function normal(placement: Placement): Placement {
  return 'guide' in placement
    ? { ...placement, params: { ...INITIAL_PARAMS, ...placement.params } }
    : placement;
}

function changesIn(a: Placement, b: Placement): string {
  if (!('guide' in a) || !('guide' in b)) return 'redrawn';
  const [from, to] = [
    { ...INITIAL_PARAMS, ...a.params },
    { ...INITIAL_PARAMS, ...b.params },
  ];
  const changed = [
    from.reach !== to.reach ? `reach ${from.reach} to ${to.reach} %` : null,
    from.liftMm !== to.liftMm ? `lift ${from.liftMm} to ${to.liftMm} mm` : null,
    from.width !== to.width ? `width ${from.width} to ${to.width} %` : null,
    a.side !== b.side ? `side ${a.side} to ${b.side}` : null,
  ].filter((text) => text !== null);
  return changed.join(', ') || 'another guide';
}

function orderDifference(a: Chart, b: Chart): ChartDifference[] {
  const shared = (chart: Chart, other: Chart): string[] =>
    chart.steps.map((s) => s.id).filter((id) => other.steps.some((s) => s.id === id));
  return shared(a, b).join() === shared(b, a).join()
    ? []
    : [{ stepId: null, what: 'order', words: 'The steps are in another order.' }];
}
