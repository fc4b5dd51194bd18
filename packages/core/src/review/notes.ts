import { NOTED, says, type Chart, type Step } from '../look';

/**
 * A chart as far as it is looked over: of its notes only what rules look for, without the reason of its
 * version. Two charts that are the same here are judged the same, so that a word being typed asks for nothing
 * anew.
 */
export function chartAsReviewed(chart: Chart): Chart {
  return { ...chart, reason: '', steps: chart.steps.map(withWhatIsLookedFor) };
}

function withWhatIsLookedFor(step: Step): Step {
  const note = NOTED.filter((what) => says(step.note, what)).join('. ');
  return note === step.note ? step : { ...step, note };
}
