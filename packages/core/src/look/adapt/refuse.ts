import { forbidsOf, type Adaptation, type Chart, type Step } from '../document';
import { layingRank } from '../phaseOrder';
import { adaptedTo, ADAPTERS, partOf } from './adaptLook';

const same = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);

/**
 * A step of a chart as the look had it: what was changed for this client or day taken back, last first, where
 * nobody changed it by hand since.
 */
export function withoutAdaptations(step: Step, adaptations: readonly Adaptation[]): Step {
  return adaptations
    .filter((a) => a.stepId === step.id && a.change === 'changed' && !a.refused)
    .reduceRight<Step>((so, { was = {}, now = {} }) => {
      const untouched = Object.entries(was).filter(
        ([key]) =>
          key in so && JSON.stringify(Reflect.get(so, key)) === JSON.stringify(Reflect.get(now, key)),
      );
      return { ...so, ...Object.fromEntries(untouched) };
    }, step);
}

/**
 * The chart with one adaptation refused, and the refusal kept. What the others change of the same step stays
 * changed: they are worked out again without it, so that refusing a primer of the lid does not take back what
 * was said for contact lenses. What was changed by hand since is left alone.
 */
export function refuseAdaptation(chart: Chart, adaptation: Adaptation): Chart {
  const { stepId, change, was } = adaptation;
  const isIt = (a: Adaptation): boolean => a.id === adaptation.id && a.stepId === stepId;
  const all = (chart.adaptations ?? []).map((a) => (isIt(a) ? { ...a, refused: true } : a));
  if (change === 'added')
    return chart.steps.length === 1
      ? chart
      : { ...chart, adaptations: all, steps: chart.steps.filter((s) => s.id !== stepId) };
  if (!was) return { ...chart, adaptations: all };
  if (change === 'left out') return withStepBack({ ...chart, adaptations: all }, was);
  const step = chart.steps.find((s) => s.id === stepId);
  if (!step) return { ...chart, adaptations: all };
  const again = ADAPTERS.some((a) => a.id === adaptation.id)
    ? adaptedAgain(chart, step, adaptation)
    : { step: { ...step, ...was }, others: new Map<string, Adaptation>() };
  return {
    ...chart,
    adaptations: all.map((a) => (a.stepId === stepId ? (again.others.get(a.id) ?? a) : a)),
    steps: chart.steps.map((s) => (s === step ? again.step : s)),
  };
}

/** The step with every adaptation it had but one, each with what it changes now. */
function adaptedAgain(
  chart: Chart,
  step: Step,
  without: Adaptation,
): { readonly step: Step; readonly others: ReadonlyMap<string, Adaptation> } {
  const adaptations = chart.adaptations ?? [];
  const mine = adaptations.filter((a) => a.stepId === step.id && a.change === 'changed' && !a.refused);
  const last: Partial<Step> = Object.assign({}, ...mine.map((a) => a.now ?? {}));
  const touched = Object.keys(last).filter(
    (key) => key !== 'note' && !same(Reflect.get(step, key), Reflect.get(last, key)),
  );
  const to = adaptedTo(
    { name: chart.look.name, forbids: forbidsOf(chart), schools: chart.schools, steps: chart.steps },
    chart.client,
    chart.occasion,
  );
  const others = new Map<string, Adaptation>();
  let now = withoutAdaptations(step, adaptations);
  for (const { id, change } of ADAPTERS) {
    const had = id === without.id ? undefined : mine.find((a) => a.id === id);
    const made = had ? change(now, to) : null;
    if (!had || !made || 'leftOut' in made) continue;
    others.set(id, { ...had, was: partOf(now, made.set), now: made.set });
    now = { ...now, ...made.set };
  }
  const byHand = Object.fromEntries(touched.map((key) => [key, Reflect.get(step, key)]));
  const note = same(step.note, last.note ?? step.note) ? now.note : withoutSentence(step.note, without);
  return { step: { ...now, ...byHand, note }, others };
}

/** A note written on by hand, without what one adaptation had added to it. */
export function withoutSentence(note: string, { was, now }: Adaptation): string {
  const added = now?.note?.slice(was?.note?.length ?? 0).trim() ?? '';
  return added === '' ? note : note.replace(added, '').replace(/ {2,}/g, ' ').trim();
}

/** The chart with a step that was left out, where its phase comes. */
function withStepBack(chart: Chart, was: Partial<Step>): Chart {
  if (!isWholeStep(was) || chart.steps.some((s) => s.id === was.id)) return chart;
  const rank = layingRank(chart.schools);
  const at = chart.steps.findIndex((s) => rank(s) > rank(was));
  const steps = at < 0 ? [...chart.steps, was] : [...chart.steps.slice(0, at), was, ...chart.steps.slice(at)];
  return { ...chart, steps };
}

/** Whether what stands recorded of a step is all of it, so that it can be brought back. */
export const isWholeStep = (step: Partial<Step>): step is Step =>
  step.id !== undefined && step.phase !== undefined && step.use !== undefined && step.wants !== undefined;
