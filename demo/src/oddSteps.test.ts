import {
  fitLook,
  newStep,
  OCCASIONS,
  PHASES,
  reviewChart,
  usualOccasion,
  type Features,
  type Look,
  type LookStep,
} from '@toile/core';
import { clientOf, KITS, SKIN_NAMES } from './corpus/ground';
import { idFor } from './ids';
import { LOOKS } from './looks';

// Steps no look of the demo has, and any artist may: what primes, evens, sets and lights the lids, a base of
// the neck, powder of smile lines, concealer of spots. Fitted to skins of every depth and to whatever is
// noted, none may raise what the look without it does not.
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
/** With what each may raise all the same, and why. */
const ODD: readonly { readonly step: LookStep; readonly may?: readonly string[] }[] = [
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
const NOTED: readonly Partial<Features>[] = [
  {},
  { oily: ['forehead', 'nose'] },
  { oily: ['chin'] },
  { oily: ['cheeks', 'nose', 'forehead'], texture: 'textured' },
  { dry: true },
  { dryZones: ['cheeks', 'chin'] },
  { age: 'mature', lines: ['under eye', 'smile'] },
  { narrowTemples: true, beard: true },
  { lenses: true, lids: { left: 'hooded', right: 'hooded' } },
  { age: 'child' },
];

/** The look with a step at the end of its phase. */
function withOdd(look: Look, step: LookStep): Look {
  const rank = ({ phase }: LookStep): number => PHASES.indexOf(phase);
  const at = look.steps.findIndex((one) => rank(one) > rank(step));
  const end = at < 0 ? look.steps.length : at;
  return { ...look, steps: [...look.steps.slice(0, end), step, ...look.steps.slice(end)] };
}

test.each(ODD.map(({ step, may }, i) => [step.title, step, may ?? [], i] as const))(
  'a look with “%s” raises nothing the look without it does not, whoever wears it',
  (_, step, may, i) => {
    const raised = NOTED.flatMap((features, k) => {
      const look = LOOKS[(i + k) % LOOKS.length]!;
      const skin = SKIN_NAMES[(3 * i + 5 * k) % SKIN_NAMES.length]!;
      const occasion = usualOccasion(OCCASIONS[k % OCCASIONS.length]!, '2031-05-14');
      const found = (worn: Look) => {
        const stamp = { id: idFor('odd'), author: '', at: '2031-05-01T09:00:00Z', reason: '' };
        const { chart } = fitLook(worn, clientOf({ skin, features }), KITS.demo, occasion, stamp);
        return reviewChart(chart, KITS.demo);
      };
      const plain = new Set(found(look).map(({ rule }) => rule));
      return found(withOdd(look, step))
        .filter(({ rule }) => !plain.has(rule) && !may.includes(rule))
        .map(
          ({ rule, message }) => `${look.name}, ${skin}, ${JSON.stringify(features)}: ${rule}: ${message}`,
        );
    });
    expect(raised).toEqual([]);
  },
);
