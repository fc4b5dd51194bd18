import { doseFor, measuresFor } from '../kit';
import type { ClientSnapshot, Step, Use } from './document';
import { areaOfStep } from './propose';

export type AmountAsked = {
  /** Skin the step covers on this client. */
  readonly areaCm2: number;
  /** What has to be taken for its dose, with what the tool keeps. */
  readonly takenMg: number;
  /** The products in that amount: their ratio kept, in whole measures of the smallest part. */
  readonly use: readonly Use[];
};

/** How much a step's dose asks for on this client's face; null for a step without product or place. */
export function amountAsked(step: Pick<Step, 'placements' | 'use' | 'doseMgPerCm2' | 'passes' | 'tool'>, client: ClientSnapshot): AmountAsked | null {
  const [first, ...more] = step.use;
  const areaCm2 = areaOfStep(step, client);
  if (!first || areaCm2 === 0) return null;
  const { takenMg } = doseFor(step, areaCm2);
  if (more.length === 0) return { areaCm2, takenMg, use: [{ ...first, parts: Math.max(1, measuresFor(takenMg, first.product.mgPerMeasure)) }] };
  const smallest = Math.min(...step.use.map((u) => u.parts));
  const perRound = step.use.reduce((sum, u) => sum + (u.parts / smallest) * u.product.mgPerMeasure, 0);
  const rounds = Math.max(1, Math.round(takenMg / perRound));
  return { areaCm2, takenMg, use: step.use.map((u) => ({ ...u, parts: (u.parts / smallest) * rounds })) };
}
