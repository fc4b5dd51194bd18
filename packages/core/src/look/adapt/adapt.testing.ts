import type { Look, LookStep } from '..';
import { id, LOOK } from '../look.testing';

export const at = (
  ...guides: readonly Extract<LookStep['placements'][number], { guide: unknown }>['guide'][]
): LookStep['placements'] => guides.map((guide) => ({ guide, side: 'both' as const }));
export const step = (
  n: number,
  more: Partial<LookStep> & Pick<LookStep, 'phase' | 'role' | 'title'>,
): LookStep => ({
  ...LOOK.steps[0]!,
  id: id(n),
  wants: { kinds: [] },
  shade: null,
  placements: [],
  ...more,
});
/** A look with a step of every kind an adapter looks at. */
export const FULL: Look = {
  ...LOOK,
  steps: [
    step(201, {
      phase: 'clean',
      role: 'care',
      title: 'Clean',
      wants: { kinds: ['prep'] },
      placements: at('zone.wholeFace'),
    }),
    step(202, {
      phase: 'prime',
      role: 'care',
      title: 'Prime',
      wants: { kinds: ['primer'] },
      placements: at('zone.noseBridge'),
    }),
    { ...LOOK.steps[0]!, id: id(203) },
    step(204, {
      phase: 'conceal',
      role: 'conceal',
      title: 'Conceal',
      wants: { kinds: ['concealer'] },
      placements: at('underEyeLight', 'outerWedge'),
    }),
    step(205, {
      phase: 'sculpt',
      role: 'contour',
      title: 'Forehead',
      wants: { kinds: ['contour'] },
      placements: at('foreheadContour'),
    }),
    step(206, {
      phase: 'sculpt',
      role: 'contour',
      title: 'Jaw',
      wants: { kinds: ['contour'] },
      placements: at('jawContour'),
    }),
    step(207, {
      phase: 'sculpt',
      role: 'blush',
      title: 'Blush',
      wants: { kinds: ['blush'] },
      placements: at('blushFull'),
      technique: 'buff',
    }),
    step(208, {
      phase: 'sculpt',
      role: 'highlight',
      title: 'Light',
      wants: { kinds: ['highlight'] },
      placements: at('cheekboneLight', 'foreheadLight', 'chinLight'),
    }),
    step(209, {
      phase: 'set',
      role: 'powder',
      title: 'Powder',
      wants: { kinds: ['powder'] },
      placements: at('zone.noseSide'),
    }),
    step(210, {
      phase: 'set',
      role: 'powder',
      title: 'Under eye',
      wants: { kinds: ['powder'] },
      placements: at('zone.underEye'),
      waitMinutes: 3,
    }),
    step(211, {
      phase: 'brows',
      role: 'brow',
      title: 'Brows',
      wants: { kinds: ['brow'] },
      placements: at('brow'),
      technique: 'flick',
      doseMgPerCm2: 0.8,
    }),
    step(212, {
      phase: 'eyes',
      role: 'eye',
      title: 'Lid',
      wants: { kinds: ['shadow'] },
      placements: at('lid'),
    }),
    step(213, {
      phase: 'eyes',
      role: 'eye',
      title: 'Socket',
      wants: { kinds: ['shadow'] },
      placements: at('socket'),
    }),
    step(214, {
      phase: 'eyes',
      role: 'liner',
      title: 'Liner',
      wants: { kinds: ['liner'] },
      placements: at('liner', 'tightLine'),
      technique: 'line',
    }),
    step(215, {
      phase: 'lashes',
      role: 'lash',
      title: 'Mascara',
      wants: { kinds: ['mascara'] },
      placements: at('lashes'),
    }),
    step(216, {
      phase: 'lashes',
      role: 'lash',
      title: 'Band',
      wants: { kinds: ['lashes'] },
      placements: at('lashes'),
    }),
    step(217, {
      phase: 'lips',
      role: 'lip',
      title: 'Lip',
      wants: { kinds: ['lip colour'] },
      placements: at('lips'),
    }),
    step(218, {
      phase: 'finish',
      role: 'care',
      title: 'Spray',
      wants: { kinds: ['spray'] },
      placements: at('zone.wholeFace'),
    }),
  ],
};
