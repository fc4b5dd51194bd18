import { newStep, PHASES, type Look, type LookStep } from '@toile/core';
import { idFor } from './ids';

type Guide = Extract<LookStep['placements'][number], { guide: unknown }>['guide'];
const odd = (
  title: string,
  role: Parameters<typeof newStep>[0],
  guides: readonly Guide[],
  more: Partial<LookStep>,
): LookStep => {
  const { use: _use, done: _done, ...plan } = newStep(role, idFor(title));
  return { ...plan, title, placements: guides.map((guide) => ({ guide, side: 'both' })), ...more };
};
const primer = (title: string, guide: Guide, finish: 'matte' | 'dewy') =>
  odd(title, 'base', [guide], {
    phase: 'prime',
    role: 'care',
    shade: null,
    wants: { kinds: ['primer'], finishes: [finish] },
    waitMinutes: 2,
    tool: 'finger',
  });
/**
 * Steps no look of the demo has, and any artist may: what primes, evens, sets and lights the lids, a base of
 * the neck, powder of smile lines, concealer of spots. With what each may raise all the same, and why.
 */
export const ODD: readonly { readonly step: LookStep; readonly may?: readonly string[] }[] = [
  // On the deepest skin any primer of the kit turns a little light in a flash.
  { step: primer('Dewy primer', 'zone.apple', 'dewy'), may: ['white-cast'] },
  { step: primer('Mattifier', 'zone.noseSide', 'matte'), may: ['white-cast'] },
  // None of the kit's is meant for the eyes.
  { step: primer('Prime the lids', 'zone.mobileLid', 'matte'), may: ['no-product'] },
  { step: odd('Even the lids', 'base', ['zone.mobileLid'], { phase: 'eyes', doseMgPerCm2: 0.3 }) },
  // The look's base is on the neck already, and may be of another family; a child's may be mixed with a full
  // one.
  {
    step: odd('Neck', 'base', ['zone.neck'], { doseMgPerCm2: 0.4 }),
    may: ['family-conflict', 'light-touch-for-children'],
  },
  { step: odd('Set the lids', 'powder', ['zone.mobileLid'], { phase: 'eyes' }) },
  { step: odd('Smile lines', 'powder', ['smilePowder'], {}) },
  { step: odd('Spots', 'conceal', ['zone.chin', 'zone.ala'], {}) },
  // Beside the eye it lies on what is powdered everywhere.
  {
    step: odd('Inner light', 'highlight', ['innerCornerLight'], { phase: 'eyes' }),
    may: ['cream-over-powder'],
  },
];
/** The look with a step at the end of its phase. */
export function withOdd(look: Look, step: LookStep): Look {
  const rank = ({ phase }: LookStep): number => PHASES.indexOf(phase);
  const at = look.steps.findIndex((one) => rank(one) > rank(step));
  const end = at < 0 ? look.steps.length : at;
  return { ...look, steps: [...look.steps.slice(0, end), step, ...look.steps.slice(end)] };
}
