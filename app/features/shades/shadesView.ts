import {
  basesFace,
  measuresInWords,
  msg,
  productName,
  shadeName,
  snapshotOf,
  type Chart,
  type CorrectorChoice,
  type ShadeMatch,
  type Step,
  type Use,
} from '@toile/core';

/** '2 : 1', or nothing for a single product. */
export function ratioOf(match: ShadeMatch): string {
  return match.parts.length === 1 ? '' : match.parts.map((p) => p.pumps).join(' : ');
}

/** 'Veil V3 with Adjust yellow' */
export const namesOf = (match: ShadeMatch): string =>
  match.parts.map(({ product }) => shadeName(product)).join(msg` with `);

/** '4 pumps + 2 drops, 0.75 ml' */
export function takenInWords({ parts, amount }: ShadeMatch): string {
  const measures = parts.map(({ product }, i) => measuresInWords(amount.measures[i]!, product.measure));
  return msg`${measures.join(' + ')}, ${amount.ml.toFixed(2)} ml: ${Math.round(amount.takenMg)} mg, ${Math.round(amount.neededMg)} needed`;
}

/** The least difference of any match under lamp and flash: what the others are held against. */
export type LightBest = { readonly indoor: number; readonly flash: number };
export function bestUnderLights(matches: readonly ShadeMatch[]): LightBest {
  return {
    indoor: Math.min(...matches.map((m) => m.under.indoor)),
    flash: Math.min(...matches.map((m) => m.under.flash)),
  };
}

/**
 * How it stands under lamp and flash against the best there: one reading tells no more than which is nearer.
 */
export function lightsInWords({ under }: ShadeMatch, best: LightBest): string {
  const [lamp, flash] = [under.indoor - best.indoor, under.flash - best.flash];
  const behind = (more: number): string => (more < 0.15 ? msg`as the best` : msg`${more.toFixed(1)} behind`);
  return msg`lamp ${behind(lamp)} · flash ${behind(flash)}`;
}

export const keyOf = (match: ShadeMatch): string =>
  match.parts.map((p) => `${p.product.id} ${p.pumps}`).join();

/** What a step would use of a match. */
export function useOf(match: ShadeMatch): Use[] {
  return match.parts.map(({ product, unit }, i) => ({
    unitId: unit?.id ?? null,
    product: snapshotOf(product),
    parts: Math.min(60, match.amount.measures[i]!),
    measure: product.measure,
  }));
}

/**
 * The chart with a match in its base: in the step asked for, else in its first base of the face. Null when it
 * has none.
 */
export function withMatch(chart: Chart, match: ShadeMatch, stepId: string | null): Chart | null {
  const step: Step | undefined =
    chart.steps.find((s) => s.id === stepId) ??
    chart.steps.find((s) => basesFace(s) && s.variant === undefined) ??
    chart.steps.find((s) => s.role === 'base' && s.variant === undefined);
  if (!step) return null;
  return { ...chart, steps: chart.steps.map((s) => (s.id === step.id ? { ...s, use: useOf(match) } : s)) };
}

/** Why the version was made, when nothing else was written. */
export const matchReason = (match: ShadeMatch): string =>
  msg`Base matched: ${[namesOf(match), ratioOf(match)].filter(Boolean).join(', ')}, ${match.deltaE.toFixed(1)} off`;

/** '0.25 mg/cm² Quiet peach, then 0.5 mg/cm² Under U4' */
export function layersInWords(correction: CorrectorChoice['corrections'][number]): string {
  if (correction.layers.length === 0) return msg`Nothing: leave it to the base`;
  return correction.layers
    .map(({ product, doseMgPerCm2 }) => `${doseInWords(doseMgPerCm2)} ${productName(product)}`)
    .join(msg`, then `);
}

/** Doses as a hand knows them. */
export function doseInWords(doseMgPerCm2: number): string {
  if (doseMgPerCm2 <= 0.15) return msg`a breath of`;
  if (doseMgPerCm2 <= 0.3) return msg`a thin veil of`;
  return doseMgPerCm2 <= 0.55 ? msg`a thin layer of` : msg`a full layer of`;
}
