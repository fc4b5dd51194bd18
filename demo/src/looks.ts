import type { Look } from '@toile/core';
import { both, cutLook, deeper, soft, type Sketch } from './lookSteps';

export const SKETCHES: readonly Sketch[] = [
  {
    name: 'Harbour Morning',
    description:
      'Soft bridal: skin that looks like skin, lifted cheek, rose lip, made to last through tears and dancing.',
    tags: ['bridal', 'soft'],
    schools: soft,
    variants: [{ id: 'evening', name: 'Evening lip' }],
    steps: [
      'clean',
      'prime',
      ['base', { wants: { kinds: ['base'], finishes: ['natural', 'satin'], mix: true } }],
      'conceal',
      ['contour', { shade: deeper(2) }],
      'forehead',
      'nose',
      'jaw',
      'blushLifted',
      'light',
      'set',
      'brow',
      'lid',
      'socket',
      'liner',
      'mascara',
      'lip',
      ['lip', { title: 'Evening lip', variant: 'evening', shade: { lab: [44, 38, 26] } }],
      'hold',
    ],
  },
  {
    name: 'Lamplight',
    description: 'For hot lamps and a long evening: sculpted, matte, a stronger eye, bold contrast.',
    tags: ['gala', 'evening'],
    schools: { ...soft, contrast: 'bold' },
    steps: [
      'clean',
      'prime',
      ['base', { wants: { kinds: ['base'], finishes: ['matte', 'satin'], mix: true }, doseMgPerCm2: 0.65 }],
      'conceal',
      ['contour', { shade: deeper(3) }],
      'forehead',
      'nose',
      'jaw',
      ['blushLifted', { shade: { lab: [50, 42, 20] } }],
      'heart',
      'light',
      ['set', { doseMgPerCm2: 0.5 }],
      'brow',
      ['lid', { shade: { lab: [48, 14, 28] }, wants: { kinds: ['shadow'], finishes: ['shimmer', 'matte'] } }],
      'socket',
      ['liner', { shade: { lab: [14, 0, 0] } }],
      'mascara',
      'lashes',
      ['lip', { shade: { lab: [44, 38, 26] } }],
      'hold',
    ],
  },
  {
    name: 'Choir Loft',
    description: 'Portrait by window light: even, warm, nothing that announces itself.',
    tags: ['portrait', 'natural'],
    schools: soft,
    steps: [
      'clean',
      'prime',
      'base',
      'conceal',
      ['contour', { shade: deeper(2), title: 'A little shadow on the cheek' }],
      'blushLifted',
      'light',
      'set',
      'brow',
      'lid',
      'mascara',
      ['lip', { shade: { lab: [62, 22, 16] } }],
      'hold',
    ],
  },
  {
    name: 'First Ferry',
    description: 'A light touch for the very young or the very tired: no contour, a breath of colour.',
    tags: ['light', 'child'],
    schools: { ...soft, contour: 'none' },
    forbids: { finishes: ['shimmer'], kinds: ['contour', 'lashes'] },
    steps: [
      'clean',
      ['blushFull', { shade: { lab: [74, 24, 12] } }],
      [
        'lip',
        {
          title: 'A little tint',
          shade: { lab: [62, 22, 16] },
          doseMgPerCm2: 1,
          handsOnMinutes: 2,
          note: 'One thin coat, without a line.',
        },
      ],
    ],
  },
  {
    name: 'Glasshouse',
    description: 'Metal on the lid, eyes first, a quiet mouth. For those who want to be seen across a room.',
    tags: ['gala', 'eyes first'],
    schools: { ...soft, eyesOrFace: 'eyes first', contrast: 'bold' },
    steps: [
      'clean',
      'prime',
      'brow',
      [
        'lid',
        {
          title: 'Bronze on the lid',
          shade: { lab: [48, 14, 28] },
          wants: { kinds: ['shadow'], finishes: ['shimmer'] },
          tool: 'finger',
        },
      ],
      'socket',
      ['liner', { shade: { lab: [14, 0, 0] } }],
      'base',
      'conceal',
      'contour',
      'jaw',
      ['blushLifted', { shade: { lab: [44, 38, 28] } }],
      'light',
      'set',
      'mascara',
      'lashes',
      ['lip', { shade: { lab: [66, 24, 14] } }],
      'hold',
    ],
  },
  {
    name: 'Plain Cloth',
    description: 'For those who wear none: even the skin, take the shine, tidy the brow.',
    tags: ['grooming', 'portrait'],
    schools: { ...soft, contour: 'none' },
    forbids: { finishes: ['shimmer', 'dewy'], kinds: ['lashes'] },
    steps: [
      'clean',
      'prime',
      [
        'base',
        {
          title: 'Even the skin',
          doseMgPerCm2: 0.3,
          placements: [{ guide: 'zone.wholeFace', side: both }],
          wants: { kinds: ['base'], finishes: ['natural', 'matte'], mix: true },
        },
      ],
      'conceal',
      ['set', { title: 'Take the shine' }],
      ['brow', { handsOnMinutes: 3, doseMgPerCm2: 0.4 }],
      'hold',
    ],
  },
];

/** The six demo looks, all first versions by the owner. */
export const LOOKS: readonly Look[] = SKETCHES.map((sketch) =>
  cutLook(sketch, 'Runa Castellane', 'Cut for the season'),
);

export function lookNamed(name: string): Look {
  const look = LOOKS.find((l) => l.name === name);
  if (!look) throw new Error(`no demo look is called ${name}`);
  return look;
}
