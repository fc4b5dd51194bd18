import type { Chart, OwnTiming, StepChoice, WovenSteps } from '@toile/core';

/** '62 min as it stands; 55 with the waits filled, the shortest there is.' */
export function timeInWords({ given, woven }: Pick<WovenSteps, 'given' | 'woven'>): string {
  const [now, best] = [given.totalMinutes, woven.totalMinutes];
  if (now - best < 0.05)
    return `${now.toFixed(0)} min; ${woven.proven ? 'no order is shorter' : 'no other order is worth its moves'}.`;
  const proof = woven.proven
    ? 'the shortest there is'
    : `at most ${(best - woven.boundMinutes).toFixed(1)} above the shortest`;
  return `${now.toFixed(0)} min as it stands; ${best.toFixed(0)} with the waits filled, ${proof}.`;
}

/** 'Take 3 min for 1 move'. */
export function choiceInWords({ savedMinutes, moves }: Pick<StepChoice, 'savedMinutes' | 'moves'>): string {
  const saved = Number(savedMinutes.toFixed(savedMinutes < 10 ? 1 : 0));
  return `Take ${saved} min for ${moves} ${moves === 1 ? 'move' : 'moves'}`;
}

/** Which wait would save the most if it fell away. */
export function saversInWords(savers: WovenSteps['savers'], chart: Chart): string {
  const [first] = savers;
  if (!first) return 'No wait holds anything up.';
  const title = chart.steps.find((s) => s.id === first.stepId)?.title ?? 'one step';
  return `What saves the most: a quicker drying after ${title.toLowerCase()}, ${first.minutes.toFixed(1)} min.`;
}

/** 'eyes 1.4 × as long as planned (5 times), base as planned (3 times)'. */
export function timingsInWords(timings: readonly OwnTiming[]): string {
  return timings
    .map(({ work, factor, times }) => {
      const pace = Math.abs(factor - 1) < 0.05 ? 'as planned' : `${factor.toFixed(1)} × the plan`;
      return `${work} ${pace} (${times} times)`;
    })
    .join(', ');
}
