import { messages, type Side, type TrialMeasure, type TrialZone } from '@toile/core';

/** Graded by eye: colour is read. */
export const GRADED = ['shine', 'creasing', 'coverage', 'transfer', 'comfort', 'camera', 'flash'] as const;
export type Graded = (typeof GRADED)[number];
export const isGraded = (measure: TrialMeasure): measure is Graded => GRADED.some((one) => one === measure);

/** What is asked of each half, of whoever stands before the mirror too. */
export const MEASURE_ASKS: Readonly<Record<Graded, string>> = messages({
  shine: 'How shiny is it?',
  creasing: 'How far has it creased?',
  coverage: 'How much of it still covers?',
  transfer: 'Blotted with one tissue: how much comes off?',
  comfort: 'How does it feel?',
  camera: 'How does it look to the camera?',
  flash: 'Under the flash: how white is it?',
});

/** One look at both halves as it is being told. */
export type HalfLook = {
  readonly grades: Readonly<Partial<Record<TrialZone, Readonly<Partial<Record<Side, number>>>>>>;
};
export const NO_HALVES: HalfLook = { grades: {} };
export function withGrade(look: HalfLook, zone: TrialZone, side: Side, value: number): HalfLook {
  return { grades: { ...look.grades, [zone]: { ...look.grades[zone], [side]: value } } };
}
/** What was said of both halves, zone by zone. */
export function seenOf(
  look: HalfLook,
  zones: readonly TrialZone[],
): { zone: TrialZone; side: Side; value: number }[] {
  return zones.flatMap((zone) =>
    (['left', 'right'] as const).flatMap((side) => {
      const value = look.grades[zone]?.[side];
      return value === undefined ? [] : [{ zone, side, value }];
    }),
  );
}
