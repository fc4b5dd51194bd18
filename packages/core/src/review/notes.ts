import type { Chart, Step } from '../look';

/**
 * What rules look for in what is noted at a step, each by the word that stands for it, in every language
 * notes are written in.
 */
const LOOKED_FOR = {
  'touch-up': /touch-up/i,
  balm: /balm|pelembap bibir/i,
  'patch test': /patch test|uji tempel/i,
  'latex-free': /latex-free|nickel-free|plastic spatula|tanpa (lateks|nikel)|spatula plastik/i,
} as const satisfies Record<string, RegExp>;
type Noted = keyof typeof LOOKED_FOR;
const NOTED = Object.keys(LOOKED_FOR) as readonly Noted[];

/** Whether words say one of the things rules look for. */
export const says = (words: string, what: Noted): boolean => LOOKED_FOR[what].test(words);

/**
 * A chart as far as it is looked over: of its notes only what rules look for, without the reason of its
 * version. Two charts that are the same here are judged the same, so that a word being typed asks for nothing
 * anew.
 */
export function chartAsReviewed(chart: Chart): Chart {
  return { ...chart, reason: '', steps: chart.steps.map(withWhatIsLookedFor) };
}

function withWhatIsLookedFor(step: Step): Step {
  const note = NOTED.filter((what) => says(step.note, what)).join(' ');
  return note === step.note ? step : { ...step, note };
}
