import { causeNamed, msg, productsInWords, term, type Deviation, type Kit, type Step } from '@toile/core';

/** Where the chair stands: a step, and how far down the list it was when it was opened. */
export type PlaceInSteps = { readonly stepId: string | undefined; readonly index: number };

/** The place of a step in a list. */
export const placeInSteps = (steps: readonly Step[], index: number): PlaceInSteps => ({
  stepId: steps[index]?.id,
  index,
});

/**
 * Where that place is now: at the same step wherever a newer version has it, else as far down as there are
 * steps.
 */
export function indexOfPlace(steps: readonly Step[], { stepId, index }: PlaceInSteps): number {
  const same = steps.findIndex((s) => s.id === stepId);
  return same >= 0 ? same : Math.max(0, Math.min(steps.length - 1, index));
}

/** Where a product is in the cases: 'case 2, C4'. */
export function placeInKit(step: Step, kit: Kit | undefined): string | null {
  const places = step.use.flatMap((u) => kit?.units.find((unit) => unit.id === u.unitId)?.place ?? []);
  return places.length > 0 ? places.join(msg` and `) : null;
}

/** '1:10' of seconds. */
export function clockOf(seconds: number): string {
  const s = Math.max(0, Math.ceil(seconds));
  return `${Math.floor(s / 60)}:${String(s % 60).padStart(2, '0')}`;
}

/** A deviation as it is told below its step. */
export function deviationInWords(d: Deviation): string {
  const note = d.note ? `: ${d.note}` : '';
  switch (d.kind) {
    case 'amount':
      return msg`Really used ${d.measures!}${note}`;
    case 'other product':
      return msg`Really used ${productsInWords(d.use ?? [])}${note}`;
    case 'skipped':
      return msg`Skipped${note}`;
    case 'note':
      return msg`Noted${note}`;
    case 'next time':
      return msg`Next time: ${term(d.nextTime ?? 'keep')}${note}`;
    case 'fault': {
      const known = d.fault ? causeNamed(d.fault.seen, d.fault.cause) : null;
      return known
        ? msg`Seen: ${known.fault.seen}, likely ${known.cause.words}. Next time ${known.cause.next}${note}`
        : msg`Seen${note}`;
    }
  }
}
