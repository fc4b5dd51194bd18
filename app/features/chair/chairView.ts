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

/** After this long in the chair a break is due, minutes. */
const BREAK_AFTER = 60;

/** What is said to the client at a step: where to look, what to keep still, when to rest. */
export function comfortCues(step: Step, minutesIn: number): string[] {
  const guides = step.placements.flatMap((p) => ('guide' in p ? [p.guide as string] : []));
  const touches = (...names: string[]): boolean =>
    guides.some((guide) => names.some((name) => guide.toLowerCase().includes(name)));
  return [
    ...(step.tool === 'airbrush'
      ? [msg`Eyes and mouth closed, ear-rings off, a cape on; keep air moving.`]
      : []),
    ...(step.role === 'lash' ? [msg`Look down; the lid is lifted, never tugged.`] : []),
    ...(step.role !== 'lash' && touches('undereye', 'lowerline', 'comma')
      ? [msg`Look up and away from the brush.`]
      : []),
    ...(touches('innercorner') ? [msg`Look away from the brush.`] : []),
    ...(step.role === 'liner' ? [msg`Look straight ahead, then rest the lid; stop at stinging.`] : []),
    ...(step.role === 'eye' && touches('socket', 'outerlid')
      ? [msg`Eyes open and straight ahead while it is placed.`]
      : []),
    ...(step.role === 'lip' || step.role === 'lip line' ? [msg`Lips relaxed and a little apart.`] : []),
    ...(minutesIn >= BREAK_AFTER && step.role === 'care'
      ? [msg`A break is due: water, and a stretch.`]
      : minutesIn >= 90
        ? [msg`Long in the chair: offer a break.`]
        : []),
  ];
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
