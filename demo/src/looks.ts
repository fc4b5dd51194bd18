import type { Look, LookStep, Shade } from '@toile/core';
import { idFor } from './ids';

type Plan = Omit<LookStep, 'id' | 'note' | 'passes' | 'waitMinutes'> & Partial<Pick<LookStep, 'note' | 'passes' | 'waitMinutes'>>;
const deeper = (depthSteps: number, undertone?: 'cool' | 'neutral' | 'warm'): Shade => ({ relative: { to: 'skin', depthSteps, ...(undertone ? { undertone } : {}) } });
const both = 'both' as const;

/** Steps that several looks share; each look picks and adjusts. */
const STEPS = {
  clean: { phase: 'clean', role: 'care', title: 'Clean and calm', shade: null, wants: { kinds: ['prep'] }, placements: [{ guide: 'zone.wholeFace', side: both }], doseMgPerCm2: 0.9, tool: 'finger', technique: 'press', handsOnMinutes: 6, waitMinutes: 3, note: 'Hands and tools clean; scoop onto the palette.' },
  prime: { phase: 'prime', role: 'care', title: 'Primer where it needs it', shade: null, wants: { kinds: ['primer'] }, placements: [{ guide: 'zone.foreheadCentre', side: both }, { guide: 'zone.noseBridge', side: both }, { guide: 'zone.chin', side: both }], doseMgPerCm2: 0.8, tool: 'finger', technique: 'press', handsOnMinutes: 2, waitMinutes: 2 },
  base: { phase: 'base', role: 'base', title: 'Base', shade: deeper(0), wants: { kinds: ['base'], mix: true }, placements: [{ guide: 'zone.wholeFace', side: both }, { guide: 'zone.neck', side: both }], doseMgPerCm2: 0.55, tool: 'damp sponge', technique: 'press', handsOnMinutes: 8, note: 'From the centre outwards, thin, then neck and ears.' },
  conceal: { phase: 'conceal', role: 'conceal', title: 'Conceal under the eye', shade: deeper(-1), wants: { kinds: ['concealer'] }, placements: [{ guide: 'underEyeLight', side: both }], doseMgPerCm2: 1.4, tool: 'small brush', technique: 'stipple', handsOnMinutes: 4 },
  contour: { phase: 'sculpt', role: 'contour', title: 'Contour the cheek', shade: deeper(2.5), wants: { kinds: ['contour'], finishes: ['matte'] }, placements: [{ guide: 'cheekContour', side: both }], doseMgPerCm2: 0.9, tool: 'dense brush', technique: 'stipple', handsOnMinutes: 4, note: 'Most at the ear, fading forwards.' },
  forehead: { phase: 'sculpt', role: 'contour', title: 'Contour the forehead', shade: deeper(2), wants: { kinds: ['contour'], finishes: ['matte'] }, placements: [{ guide: 'foreheadContour', side: both }], doseMgPerCm2: 0.6, tool: 'loose brush', technique: 'buff', handsOnMinutes: 2, note: 'Into the hair, no edge.' },
  nose: { phase: 'sculpt', role: 'contour', title: 'Slim the nose', shade: deeper(2), wants: { kinds: ['contour'], finishes: ['matte'] }, placements: [{ guide: 'noseContour', side: both }], doseMgPerCm2: 0.8, tool: 'small brush', technique: 'line', handsOnMinutes: 2 },
  jaw: { phase: 'sculpt', role: 'contour', title: 'Shade under the jaw', shade: deeper(2), wants: { kinds: ['contour'], finishes: ['matte'] }, placements: [{ guide: 'jawContour', side: both }], doseMgPerCm2: 0.6, tool: 'loose brush', technique: 'draw', handsOnMinutes: 2 },
  blushLifted: { phase: 'sculpt', role: 'blush', title: 'Blush, lifted', shade: { lab: [62, 34, 14] }, wants: { kinds: ['blush'] }, placements: [{ guide: 'blushLifted', side: both }], doseMgPerCm2: 0.6, tool: 'dense brush', technique: 'stipple', handsOnMinutes: 3, note: 'Judge again after the lip.' },
  blushFull: { phase: 'sculpt', role: 'blush', title: 'Blush on the apples', shade: { lab: [68, 28, 30] }, wants: { kinds: ['blush'] }, placements: [{ guide: 'blushFull', side: both }], doseMgPerCm2: 0.5, tool: 'finger', technique: 'press', handsOnMinutes: 2 },
  light: { phase: 'sculpt', role: 'highlight', title: 'Light on the high points', shade: deeper(-2.5), wants: { kinds: ['highlight'], finishes: ['satin'] }, placements: [{ guide: 'cheekboneLight', side: both }, { guide: 'bowLight', side: both }], doseMgPerCm2: 0.5, tool: 'finger', technique: 'press', handsOnMinutes: 2 },
  heart: { phase: 'sculpt', role: 'highlight', title: 'Light in the heart of the face', shade: deeper(-1.5), wants: { kinds: ['concealer', 'highlight'], finishes: ['satin'] }, placements: [{ guide: 'foreheadLight', side: both }, { guide: 'chinLight', side: both }], doseMgPerCm2: 0.6, tool: 'damp sponge', technique: 'press', handsOnMinutes: 3 },
  set: { phase: 'set', role: 'powder', title: 'Set where it moves', shade: deeper(0), wants: { kinds: ['powder'] }, placements: [{ guide: 'zone.noseSide', side: both }, { guide: 'zone.foreheadCentre', side: both }, { guide: 'zone.chin', side: both }], doseMgPerCm2: 0.35, tool: 'puff', technique: 'press', handsOnMinutes: 3 },
  brow: { phase: 'brows', role: 'brow', title: 'Brows', shade: { lab: [38, 7, 13] }, wants: { kinds: ['brow'] }, placements: [{ guide: 'brow', side: both }], doseMgPerCm2: 0.8, tool: 'angled brush', technique: 'flick', handsOnMinutes: 6, note: 'Brush up, fill tail and gaps, leave the front light.' },
  lid: { phase: 'eyes', role: 'eye', title: 'Lid', shade: { lab: [66, 9, 20] }, wants: { kinds: ['shadow'], finishes: ['matte'] }, placements: [{ guide: 'lid', side: both }], doseMgPerCm2: 1, tool: 'small brush', technique: 'press', handsOnMinutes: 3 },
  socket: { phase: 'eyes', role: 'eye', title: 'Socket and outer third', shade: { lab: [40, 10, 15] }, wants: { kinds: ['shadow'], finishes: ['matte'] }, placements: [{ guide: 'socket', side: both }, { guide: 'outerLid', side: both }], doseMgPerCm2: 1, tool: 'small brush', technique: 'buff', handsOnMinutes: 5, note: 'Placed with the eye open.' },
  liner: { phase: 'eyes', role: 'liner', title: 'Liner', shade: { lab: [28, 9, 11] }, wants: { kinds: ['liner'] }, placements: [{ guide: 'liner', side: both }], doseMgPerCm2: 2, tool: 'angled brush', technique: 'line', handsOnMinutes: 4 },
  mascara: { phase: 'lashes', role: 'lash', title: 'Curl and mascara', shade: { lab: [12, 0, 0] }, wants: { kinds: ['mascara'] }, placements: [{ guide: 'lashes', side: both }], doseMgPerCm2: 6, tool: 'spoolie', technique: 'flick', handsOnMinutes: 4, waitMinutes: 1, note: 'Single-use wand. Client looks down.' },
  lashes: { phase: 'lashes', role: 'lash', title: 'Lash band', shade: null, wants: { kinds: ['lashes'] }, placements: [{ guide: 'lashes', side: both }], doseMgPerCm2: 2, tool: 'none', technique: 'press', handsOnMinutes: 5, waitMinutes: 1, note: 'Glue tacky first; stop at any stinging.' },
  lip: { phase: 'lips', role: 'lip', title: 'Lip', shade: { lab: [56, 30, 16] }, wants: { kinds: ['lip colour'] }, placements: [{ guide: 'lips', side: both }], doseMgPerCm2: 2.5, tool: 'small brush', technique: 'press', handsOnMinutes: 4, note: 'Line, fill, blot, again.' },
  hold: { phase: 'finish', role: 'care', title: 'Spray, dry, check in daylight and with the flash', shade: null, wants: { kinds: ['spray'] }, placements: [{ guide: 'zone.wholeFace', side: both }], doseMgPerCm2: 0.6, tool: 'none', technique: 'spray', handsOnMinutes: 3, waitMinutes: 1, note: 'Compare left with right; look at the cheeks once more.' },
} as const satisfies Record<string, Plan>;

type StepName = keyof typeof STEPS;
type Pick_ = StepName | readonly [StepName, Partial<Plan>];

type Sketch = {
  readonly name: string;
  readonly description: string;
  readonly tags: readonly string[];
  readonly schools: Look['schools'];
  readonly forbids?: Look['forbids'];
  readonly variants?: Look['variants'];
  readonly steps: readonly Pick_[];
};

const soft: Look['schools'] = { eyesOrFace: 'face first', contour: 'over base', concealer: 'over base', contrast: 'soft' };

const SKETCHES: readonly Sketch[] = [
  {
    name: 'Harbour Morning',
    description: 'Soft bridal: skin that looks like skin, lifted cheek, rose lip, made to last through tears and dancing.',
    tags: ['bridal', 'soft'],
    schools: soft,
    variants: [{ id: 'evening', name: 'Evening lip' }],
    steps: ['clean', 'prime', ['base', { wants: { kinds: ['base'], finishes: ['natural', 'satin'], mix: true } }], 'conceal', ['contour', { shade: deeper(2) }], 'forehead', 'nose', 'jaw', 'blushLifted', 'light', 'set', 'brow', 'lid', 'socket', 'liner', 'mascara', 'lip', ['lip', { title: 'Evening lip', variant: 'evening', shade: { lab: [44, 38, 26] } }], 'hold'],
  },
  {
    name: 'Lamplight',
    description: 'For hot lamps and a long evening: sculpted, matte, a stronger eye, bold contrast.',
    tags: ['gala', 'evening'],
    schools: { ...soft, contrast: 'bold' },
    steps: ['clean', 'prime', ['base', { wants: { kinds: ['base'], finishes: ['matte', 'satin'], mix: true }, doseMgPerCm2: 0.65 }], 'conceal', ['contour', { shade: deeper(3) }], 'forehead', 'nose', 'jaw', ['blushLifted', { shade: { lab: [50, 42, 20] } }], 'heart', 'light', ['set', { doseMgPerCm2: 0.5 }], 'brow', ['lid', { shade: { lab: [48, 14, 28] }, wants: { kinds: ['shadow'], finishes: ['shimmer', 'matte'] } }], 'socket', ['liner', { shade: { lab: [14, 0, 0] } }], 'mascara', 'lashes', ['lip', { shade: { lab: [44, 38, 26] } }], 'hold'],
  },
  {
    name: 'Choir Loft',
    description: 'Portrait by window light: even, warm, nothing that announces itself.',
    tags: ['portrait', 'natural'],
    schools: soft,
    steps: ['clean', 'prime', 'base', 'conceal', ['contour', { shade: deeper(2), title: 'A little shadow on the cheek' }], 'blushLifted', 'light', 'set', 'brow', 'lid', 'mascara', ['lip', { shade: { lab: [62, 22, 16] } }], 'hold'],
  },
  {
    name: 'First Ferry',
    description: 'A light touch for the very young or the very tired: no contour, a breath of colour.',
    tags: ['light', 'child'],
    schools: { ...soft, contour: 'none' },
    forbids: { finishes: ['shimmer'], kinds: ['contour', 'lashes'] },
    steps: ['clean', ['blushFull', { shade: { lab: [74, 24, 12] } }], ['lip', { title: 'A little tint', shade: { lab: [62, 22, 16] }, doseMgPerCm2: 1 }]],
  },
  {
    name: 'Glasshouse',
    description: 'Metal on the lid, eyes first, a quiet mouth. For those who want to be seen across a room.',
    tags: ['gala', 'eyes first'],
    schools: { ...soft, eyesOrFace: 'eyes first', contrast: 'bold' },
    steps: ['clean', 'prime', 'brow', ['lid', { title: 'Bronze on the lid', shade: { lab: [48, 14, 28] }, wants: { kinds: ['shadow'], finishes: ['shimmer'] }, tool: 'finger' }], 'socket', ['liner', { shade: { lab: [14, 0, 0] } }], 'base', 'conceal', 'contour', 'jaw', ['blushLifted', { shade: { lab: [44, 38, 28] } }], 'light', 'set', 'mascara', 'lashes', ['lip', { shade: { lab: [66, 24, 14] } }], 'hold'],
  },
  {
    name: 'Plain Cloth',
    description: 'For those who wear none: even the skin, take the shine, tidy the brow.',
    tags: ['grooming', 'portrait'],
    schools: { ...soft, contour: 'none' },
    forbids: { finishes: ['shimmer', 'dewy'], kinds: ['lashes'] },
    steps: ['clean', 'prime', ['base', { title: 'Even the skin', doseMgPerCm2: 0.3, placements: [{ guide: 'zone.wholeFace', side: both }], wants: { kinds: ['base'], finishes: ['natural', 'matte'], mix: true } }], 'conceal', ['set', { title: 'Take the shine' }], ['brow', { handsOnMinutes: 3, doseMgPerCm2: 0.4 }], 'hold'],
  },
];

/** The six demo looks, all first versions by the owner. */
export const LOOKS: readonly Look[] = SKETCHES.map((sketch) => ({
  format: 'toile.look/1',
  id: idFor(`look ${sketch.name}`),
  version: 1,
  parent: null,
  author: 'Runa Castellane',
  at: '2026-01-12T09:00:00Z',
  reason: 'Cut for the season',
  name: sketch.name,
  description: sketch.description,
  tags: [...sketch.tags],
  schools: sketch.schools,
  forbids: sketch.forbids ?? { finishes: [], kinds: [] },
  variants: sketch.variants ?? [],
  steps: sketch.steps.map((pick, i): LookStep => {
    const [name, changes] = typeof pick === 'string' ? [pick, {}] : pick;
    const plan: Plan = { ...STEPS[name], ...changes };
    return { passes: 1, waitMinutes: 0, note: '', ...plan, id: idFor(`look ${sketch.name} step ${i} ${name}`) };
  }),
}));

export function lookNamed(name: string): Look {
  const look = LOOKS.find((l) => l.name === name);
  if (!look) throw new Error(`no demo look is called ${name}`);
  return look;
}
