import type { Chart, LookStep, Step } from './document';

type Varied = Pick<LookStep, 'id' | 'role' | 'variant' | 'instead'>;

/**
 * The steps worked in one variant: the common ones, without those it does otherwise. A step of a variant
 * stands for the step it names; one that names none stands for every common step of its kind. Null is the
 * plan itself.
 */
export function stepsOfVariant<S extends Varied>(steps: readonly S[], variant: string | null): S[] {
  if (variant === null) return steps.filter((s) => s.variant === undefined);
  const own = steps.filter((s) => s.variant === variant);
  const replaced = new Set(own.flatMap((s) => s.instead ?? []));
  const roles = new Set(own.filter((s) => s.instead === undefined).map((s) => s.role));
  return steps.filter(
    (s) => s.variant === variant || (s.variant === undefined && !replaced.has(s.id) && !roles.has(s.role)),
  );
}

const TRIAL = 'trial-';
/** The variant in which a half-face trial has its two halves, by the trial's id. */
export const trialVariant = (trialId: string): string => `${TRIAL}${trialId.slice(-12)}`;
/** Whether a step is of a half of a trial: two halves of one face are nobody's look. */
export const isOfTrial = ({ variant }: Pick<Varied, 'variant'>): boolean =>
  variant?.startsWith(TRIAL) === true;

/**
 * The chart as it is worked in one variant: that variant's steps are its plan, so that what is asked of a
 * plan is asked of what is done. Null is the plan itself.
 */
export const workedIn = (chart: Chart, variant: string | null): Chart => ({
  ...chart,
  steps: stepsOfVariant(chart.steps, variant).map(
    ({ variant: _variant, instead: _instead, ...step }) => step,
  ),
});

/**
 * The chart with a variant added under a name of its own; unchanged when it has one so called or as many as
 * it can hold.
 */
export function withVariant(chart: Chart, id: string, name: string): Chart {
  const taken = chart.variants.some((v) => v.id === id || v.name.toLowerCase() === name.trim().toLowerCase());
  return taken || name.trim() === '' || chart.variants.length >= 12
    ? chart
    : { ...chart, variants: [...chart.variants, { id, name: name.trim() }] };
}

/** The chart without a variant and its steps; unchanged where no step would be left. */
export function withoutVariant(chart: Chart, id: string): Chart {
  const steps = chart.steps.filter((s) => s.variant !== id);
  return steps.length === 0
    ? chart
    : { ...chart, variants: chart.variants.filter((v) => v.id !== id), steps };
}

/**
 * The chart with one step of the plan done otherwise in a variant: a copy right after it, under a new id, to
 * be changed.
 */
export function variedStep(chart: Chart, stepId: string, variant: string, id: string): Chart {
  const steps = chart.steps.flatMap((step): Step[] => {
    if (step.id !== stepId || step.variant !== undefined) return [step];
    const { done: _done, ...plan } = step;
    return [step, { ...plan, id, variant, instead: step.id }];
  });
  return { ...chart, steps };
}
