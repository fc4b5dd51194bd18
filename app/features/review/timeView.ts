import { msg, plural, term, type Chart, type OwnTiming, type StepChoice, type WovenSteps } from '@toile/core';

/** '62 min as it stands; 55 with the waits filled, the shortest there is.' */
export function timeInWords({ given, woven }: Pick<WovenSteps, 'given' | 'woven'>): string {
  const [now, best] = [given.totalMinutes, woven.totalMinutes];
  if (now - best < 0.05)
    return msg`${now.toFixed(0)} min; ${woven.proven ? msg`no order is shorter` : msg`no other order is worth its moves`}.`;
  const proof = woven.proven
    ? msg`the shortest there is`
    : msg`at most ${(best - woven.boundMinutes).toFixed(1)} above the shortest`;
  return msg`${now.toFixed(0)} min as it stands; ${best.toFixed(0)} with the waits filled, ${proof}.`;
}

/** 'Take 3 min for 1 move'. */
export function choiceInWords({ savedMinutes, moves }: Pick<StepChoice, 'savedMinutes' | 'moves'>): string {
  const saved = Number(savedMinutes.toFixed(savedMinutes < 10 ? 1 : 0));
  return msg`Take ${saved} min for ${plural(moves)`${moves} move|${moves} moves`}`;
}

/** Which wait would save the most if it fell away. */
export function saversInWords(savers: WovenSteps['savers'], chart: Chart): string {
  const [first] = savers;
  if (!first) return msg`No wait holds anything up.`;
  const title = chart.steps.find((s) => s.id === first.stepId)?.title ?? msg`one step`;
  return msg`What saves the most: a quicker drying after ${title.toLowerCase()}, ${first.minutes.toFixed(1)} min.`;
}

/** 'eyes 1.4 × as long as planned (5 times), base as planned (3 times)'. */
export function timingsInWords(timings: readonly OwnTiming[]): string {
  return timings
    .map(({ work, factor, times }) => {
      const pace = Math.abs(factor - 1) < 0.05 ? msg`as planned` : msg`${factor.toFixed(1)} × the plan`;
      return msg`${term(work)} ${pace} (${times} times)`;
    })
    .join(', ');
}
