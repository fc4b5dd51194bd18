import { causeNamed } from '../faults';
import { MOST_DOSE, type Chart, type Deviation, type Step } from '../look';
import { msg } from '../messages';
import { measuresInWords } from '../shade';

/**
 * A worn chart turned into a plan again: deviations become the recipe, skipped steps go, ticks are cleared.
 */
export function planFromWorn(worn: Chart): {
  readonly steps: Step[];
  readonly carried: readonly { stepId: string; what: string }[];
} {
  const carried: { stepId: string; what: string }[] = [];
  const steps = worn.steps.flatMap((step): Step[] => {
    const { done, ...plan } = step;
    let next: Step = plan;
    const mended = new Set<string>();
    let amounts = 1;
    for (const deviation of done?.deviations ?? []) {
      if (deviation.kind === 'skipped') {
        carried.push({ stepId: step.id, what: msg`${step.title} was skipped last time` });
        return [];
      }
      const { fault } = deviation;
      const again = fault !== undefined && mended.has(`${fault.seen} ${fault.cause}`);
      if (fault) mended.add(`${fault.seen} ${fault.cause}`);
      // What was told of another product's amount is no part of this one's dose.
      if (deviation.kind === 'other product' && deviation.use && deviation.use.length > 0) {
        next = { ...next, doseMgPerCm2: next.doseMgPerCm2 / amounts };
        amounts = 1;
      }
      const before = next.doseMgPerCm2;
      // Seen by two it is mended once; what the second says of it is kept.
      next = withDeviation(next, again ? { kind: 'note', note: deviation.note } : deviation, carried);
      if (deviation.kind === 'amount' && before > 0) amounts *= next.doseMgPerCm2 / before;
    }
    return [next];
  });
  return { steps, carried };
}

function withDeviation(step: Step, deviation: Deviation, carried: { stepId: string; what: string }[]): Step {
  const noted = (own: string): string =>
    deviation.note === '' ? own : [own, deviation.note].filter(Boolean).join('\n');
  const note = noted(step.note);
  const planned = step.use.reduce((sum, u) => sum + u.parts, 0);
  if (deviation.kind === 'amount' && deviation.measures !== undefined && planned > 0) {
    const factor = deviation.measures / planned;
    const { measure } = step.use[0]!;
    carried.push({
      stepId: step.id,
      what: msg`${step.title}: ${measuresInWords(deviation.measures, measure)} instead of ${Number(planned.toFixed(2))}, as worn`,
    });
    return {
      ...step,
      note,
      doseMgPerCm2: Math.min(MOST_DOSE, step.doseMgPerCm2 * factor),
      use: step.use.map((u) => ({ ...u, parts: u.parts * factor })),
    };
  }
  if (deviation.kind === 'other product' && deviation.use && deviation.use.length > 0) {
    carried.push({ stepId: step.id, what: msg`${step.title}: the product really used` });
    return { ...step, note, use: deviation.use };
  }
  const known = deviation.fault ? causeNamed(deviation.fault.seen, deviation.fault.cause) : null;
  if (deviation.kind === 'fault' && known) {
    carried.push({
      stepId: step.id,
      what: msg`${step.title}: ${known.fault.seen} last time, so ${known.cause.next}`,
    });
    const mended = known.cause.remedy(step);
    return { ...mended, note: noted(mended.note) };
  }
  // What was chosen for next time is a wish of its own: its sentence is shown with it.
  if (deviation.kind === 'next time') return step;
  if (deviation.note !== '')
    carried.push({ stepId: step.id, what: msg`${step.title}: noted “${deviation.note}”` });
  return { ...step, note };
}
