export const TOOLS = [
  'damp sponge',
  'dense brush',
  'loose brush',
  'small brush',
  'angled brush',
  'fan brush',
  'puff',
  'finger',
  'spatula',
  'spoolie',
  'airbrush',
  'none',
] as const;
export type Tool = (typeof TOOLS)[number];

/** Share of product that stays in the tool instead of on the face. */
export const TOOL_LOSS: Readonly<Record<Tool, number>> = {
  'damp sponge': 0.25,
  'dense brush': 0.1,
  'loose brush': 0.1,
  'small brush': 0.1,
  'angled brush': 0.1,
  'fan brush': 0.1,
  puff: 0.15,
  finger: 0.05,
  spatula: 0,
  spoolie: 0.05,
  airbrush: 0.3,
  none: 0,
};

export type Dose = {
  /** What is left on the face, in mg. */
  readonly onFaceMg: number;
  /** What has to be taken, in mg: more by what the tool keeps. */
  readonly takenMg: number;
};

/** How much product a step needs on an area of skin. Throws for areas or doses below zero. */
export function doseFor(
  step: { readonly doseMgPerCm2: number; readonly passes: number; readonly tool: Tool },
  areaCm2: number,
): Dose {
  if (!(areaCm2 >= 0) || !(step.doseMgPerCm2 >= 0)) {
    throw new RangeError(
      `doseFor: area ${areaCm2} cm2 and dose ${step.doseMgPerCm2} mg/cm2 must not be negative`,
    );
  }
  const onFaceMg = step.doseMgPerCm2 * areaCm2 * step.passes;
  return { onFaceMg, takenMg: onFaceMg / (1 - TOOL_LOSS[step.tool]) };
}

/** The whole number of measures (pumps, drops) that holds an amount; at least one when anything is needed. */
export function measuresFor(takenMg: number, mgPerMeasure: number): number {
  return takenMg <= 0 ? 0 : Math.max(1, Math.round(takenMg / mgPerMeasure));
}
