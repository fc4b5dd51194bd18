import { canonicalJson } from '../canonicalJson';
import type { Chart, Step } from '../look';

/** What a step is done with, where and how: what is told at the chair is told of this. */
const recipe = ({ use, doseMgPerCm2, passes, tool, technique, placements, shade, wants }: Step): string =>
  canonicalJson({ use, doseMgPerCm2, passes, tool, technique, placements, shade, wants });

/** Whether a step may have been mended since: some cures are a longer wait, or a word. */
const isMended = (was: Step, step: Step): boolean =>
  was.waitMinutes !== step.waitMinutes ||
  was.handsOnMinutes !== step.handsOnMinutes ||
  was.note !== step.note;

/**
 * A chart nobody has worked by yet, with what was told at the chair of an earlier version: a step that is as
 * it was then keeps it; one that was changed since was decided, and a note that stands in it already is not
 * told twice. Both as they were worn.
 */
export function withTaught(newest: Chart, earlier: Chart): Chart {
  const then = new Map(earlier.steps.map((step) => [step.id, step]));
  return {
    ...newest,
    steps: newest.steps.map((step) => {
      const was = then.get(step.id);
      if (step.done || !was?.done || recipe(was) !== recipe(step)) return step;
      const deviations = was.done.deviations.filter(
        ({ kind, note }) =>
          (kind !== 'note' || !step.note.includes(note)) && (kind !== 'fault' || !isMended(was, step)),
      );
      return { ...step, done: { ...was.done, deviations } };
    }),
  };
}
