import type { Look } from '@toile/core';
import { both, cutLook, deeper, soft, type Sketch } from './lookSteps';
import { SKETCHES } from './looks';

const cream = ['cream', 'stick'] as const;
const powdered = ['pressed', 'loose'] as const;

/**
 * What an own studio begins with beside the demo's six: each school, and each kind of client the trade has.
 */
const MORE: readonly Sketch[] = [
  {
    name: 'Full Sail',
    description:
      'Full bridal: even and covered for the whole day and its photographs, sculpted, lashes, a lip that stays.',
    tags: ['bridal', 'full'],
    schools: soft,
    variants: [{ id: 'dance', name: 'For the dance' }],
    steps: [
      'clean',
      'prime',
      [
        'base',
        {
          wants: {
            kinds: ['base'],
            finishes: ['matte', 'natural', 'satin'],
            coverages: ['medium', 'full'],
            mix: true,
          },
          doseMgPerCm2: 0.7,
        },
      ],
      'conceal',
      'contour',
      'forehead',
      'nose',
      'jaw',
      'blushLifted',
      'heart',
      'light',
      ['set', { doseMgPerCm2: 0.45 }],
      'brow',
      'lid',
      'socket',
      'liner',
      'mascara',
      'lashes',
      'lip',
      ['lip', { title: 'A deeper lip', variant: 'dance', shade: { lab: [42, 40, 22] } }],
      'hold',
    ],
  },
  {
    name: 'Quiet Linen',
    description:
      'For lined skin: few thin layers, cream and satin, powder only where it shines, colour lifted.',
    tags: ['mature', 'soft'],
    schools: {
      ...soft,
      contourTexture: 'cream, then powder',
      settledPowder: 'never',
      applicator: 'damp sponge',
    },
    forbids: { finishes: ['shimmer'], kinds: [] },
    steps: [
      [
        'clean',
        { handsOnMinutes: 8, waitMinutes: 5, note: 'Let it sink in fully: dry lines drink the base.' },
      ],
      [
        'base',
        {
          doseMgPerCm2: 0.35,
          wants: {
            kinds: ['base'],
            finishes: ['satin', 'dewy', 'natural'],
            textures: ['liquid'],
            coverages: ['sheer', 'light'],
            mix: true,
          },
          note: 'Thin, pressed; nothing is laid twice under the eye.',
        },
      ],
      ['conceal', { doseMgPerCm2: 0.8, note: 'Only in the shadow, not on the lines beside it.' }],
      [
        'contour',
        { shade: deeper(1.5), wants: { kinds: ['contour'], textures: [...cream] }, doseMgPerCm2: 0.5 },
      ],
      [
        'blushLifted',
        { wants: { kinds: ['blush'], textures: [...cream] }, tool: 'finger', technique: 'press' },
      ],
      [
        'set',
        {
          title: 'Powder beside the nose only',
          placements: [{ guide: 'zone.noseSide', side: both }],
          doseMgPerCm2: 0.2,
          tool: 'small brush',
        },
      ],
      'brow',
      ['lid', { wants: { kinds: ['shadow'], finishes: ['satin', 'matte'] } }],
      ['socket', { doseMgPerCm2: 0.7 }],
      'mascara',
      ['lip', { note: 'Line just inside the edge, so that it does not run into the lines.' }],
    ],
  },
  {
    name: 'Mist Line',
    description:
      'Sprayed: eyes and brows first, base in thin passes, concealer under it, everything after it tapped.',
    tags: ['airbrush', 'bridal'],
    schools: { ...soft, eyesOrFace: 'eyes first', concealer: 'under base' },
    steps: [
      'clean',
      'prime',
      'brow',
      'lid',
      'socket',
      ['conceal', { doseMgPerCm2: 1 }],
      [
        'base',
        {
          title: 'Base, sprayed',
          tool: 'airbrush',
          technique: 'spray',
          flow: 'half open',
          passes: 4,
          doseMgPerCm2: 0.12,
          wants: { kinds: ['base'], textures: ['liquid'] },
          handsOnMinutes: 10,
          waitMinutes: 2,
          note: 'Tried on the hand; one side, the other, the centre, down the neck. Eyes and mouth closed, cape, moving air, no flame near.',
        },
      ],
      [
        'contour',
        { tool: 'loose brush', technique: 'sweep', wants: { kinds: ['contour'], textures: [...powdered] } },
      ],
      [
        'blushLifted',
        { tool: 'loose brush', technique: 'sweep', wants: { kinds: ['blush'], textures: [...powdered] } },
      ],
      ['light', { tool: 'fan brush', technique: 'sweep' }],
      ['set', { tool: 'loose brush', technique: 'sweep' }],
      'mascara',
      'lashes',
      'lip',
      'hold',
    ],
  },
  {
    name: 'Creams First',
    description:
      'Creams melted into the skin, a sheer base over them, so that shadow and colour look inborn.',
    tags: ['natural', 'bridal'],
    schools: {
      ...soft,
      contour: 'under base',
      contourTexture: 'cream, then powder',
      applicator: 'damp sponge',
    },
    steps: [
      'clean',
      'prime',
      [
        'contour',
        {
          wants: { kinds: ['contour'], textures: [...cream] },
          note: 'Bolder than it is to be seen: the base takes half of it.',
        },
      ],
      [
        'jaw',
        { wants: { kinds: ['contour'], textures: [...cream] }, tool: 'dense brush', technique: 'stipple' },
      ],
      ['blushLifted', { wants: { kinds: ['blush'], textures: [...cream] } }],
      [
        'base',
        {
          title: 'A sheer base over it',
          doseMgPerCm2: 0.35,
          wants: {
            kinds: ['base'],
            finishes: ['dewy', 'satin', 'natural'],
            textures: ['liquid'],
            coverages: ['sheer', 'light'],
            mix: true,
          },
        },
      ],
      'conceal',
      'light',
      ['set', { doseMgPerCm2: 0.25 }],
      'brow',
      'lid',
      'mascara',
      ['lip', { shade: { lab: [62, 22, 16] } }],
      'hold',
    ],
  },
  {
    name: 'Sun Slope',
    description:
      'No contour: bronzer where the sun falls, either way of laying it, freckles left to be seen.',
    tags: ['summer', 'natural'],
    schools: { ...soft, contour: 'bronzer only' },
    forbids: { finishes: [], kinds: ['contour'] },
    variants: [{ id: 'cream', name: 'In cream' }],
    steps: [
      'clean',
      'prime',
      [
        'base',
        { doseMgPerCm2: 0.3, wants: { kinds: ['base'], finishes: ['natural', 'satin', 'dewy'], mix: true } },
      ],
      'conceal',
      ['bronze', { wants: { kinds: ['bronzer'], textures: [...powdered] } }],
      [
        'bronze',
        {
          title: 'Where the sun falls, in cream',
          variant: 'cream',
          wants: { kinds: ['bronzer'], textures: [...cream] },
          tool: 'dense brush',
          technique: 'stipple',
        },
      ],
      'blushFull',
      'light',
      ['set', { doseMgPerCm2: 0.2 }],
      'brow',
      'lid',
      'mascara',
      ['lip', { shade: { lab: [64, 24, 18] }, doseMgPerCm2: 1.5 }],
    ],
  },
  {
    name: 'White Paper',
    description:
      'For very fair skin: half a step of shadow, greyed; colour thin, brows and lashes soft brown.',
    tags: ['very fair', 'soft'],
    schools: soft,
    steps: [
      'clean',
      'prime',
      ['base', { doseMgPerCm2: 0.4, wants: { kinds: ['base'], finishes: ['natural', 'satin'], mix: true } }],
      ['conceal', { shade: deeper(-0.5) }],
      ['contour', { shade: deeper(1.5), doseMgPerCm2: 0.5 }],
      ['blushLifted', { shade: { lab: [70, 24, 10] }, doseMgPerCm2: 0.35 }],
      ['light', { shade: deeper(-1), doseMgPerCm2: 0.3 }],
      'set',
      ['brow', { shade: { lab: [48, 8, 16] } }],
      ['lid', { shade: { lab: [70, 10, 16] } }],
      ['socket', { shade: { lab: [52, 10, 14] }, doseMgPerCm2: 0.6 }],
      'mascara',
      ['lip', { shade: { lab: [58, 28, 14] } }],
      'hold',
    ],
  },
  {
    name: 'Deep Water',
    description:
      'For very deep skin: light does the sculpting, warm and never white; colour strong enough to be seen.',
    tags: ['very deep', 'glow'],
    schools: { ...soft, contrast: 'bold' },
    steps: [
      'clean',
      'prime',
      ['base', { wants: { kinds: ['base'], finishes: ['satin', 'natural'], mix: true } }],
      ['conceal', { shade: deeper(-1.5, 'warm') }],
      ['heart', { shade: deeper(-1.5, 'warm') }],
      ['contour', { shade: deeper(1.5) }],
      ['blushLifted', { shade: { lab: [40, 44, 24] }, doseMgPerCm2: 0.8 }],
      [
        'light',
        { shade: deeper(-2, 'warm'), wants: { kinds: ['highlight'], finishes: ['satin', 'shimmer'] } },
      ],
      [
        'set',
        {
          shade: deeper(0),
          note: 'A powder as deep as the skin, or one without a colour: white turns grey in the flash.',
        },
      ],
      ['brow', { shade: { lab: [20, 4, 5] } }],
      [
        'lid',
        {
          shade: { lab: [46, 20, 34] },
          wants: { kinds: ['shadow'], finishes: ['shimmer', 'satin'] },
          tool: 'finger',
        },
      ],
      ['socket', { shade: { lab: [22, 8, 8] } }],
      'mascara',
      ['lip', { shade: { lab: [34, 36, 18] } }],
      'hold',
    ],
  },
  {
    name: 'Long Table',
    description: 'Festive and long: made to eat, dance and cry in, with what is touched up and when.',
    tags: ['party', 'long wear'],
    schools: { ...soft, contrast: 'bold', mist: 'spray, then powder', powders: 'loose, then pressed' },
    steps: [
      'clean',
      ['prime', { doseMgPerCm2: 1 }],
      [
        'base',
        {
          wants: {
            kinds: ['base'],
            finishes: ['matte', 'natural'],
            coverages: ['medium', 'full'],
            mix: true,
          },
          doseMgPerCm2: 0.6,
        },
      ],
      'conceal',
      'contour',
      ['blushLifted', { shade: { lab: [54, 40, 18] }, doseMgPerCm2: 0.8 }],
      'light',
      ['hold', { title: 'Spray and let dry', phase: 'set', handsOnMinutes: 1, waitMinutes: 2, note: '' }],
      ['set', { doseMgPerCm2: 0.5, note: 'Loose first; pressed over it an hour before the meal.' }],
      'brow',
      ['lid', { wants: { kinds: ['shadow'], finishes: ['matte', 'satin', 'shimmer'] } }],
      'socket',
      ['liner', { shade: { lab: [14, 0, 0] } }],
      'mascara',
      [
        'lip',
        {
          shade: { lab: [42, 42, 24] },
          wants: { kinds: ['lip colour'], finishes: ['matte', 'satin'] },
          note: 'Lined all over before it is filled: what is eaten off leaves the line.',
        },
      ],
      'hold',
    ],
  },
  {
    name: 'Silver Screen',
    description:
      'A period face: all matte, pointed brow, nothing under the eye’s edge, cheek on the apple, drawn mouth.',
    tags: ['period', 'theme'],
    schools: { ...soft, contour: 'none', eyesOrFace: 'eyes first', contrast: 'bold' },
    forbids: {
      finishes: ['shimmer', 'dewy'],
      kinds: ['bronzer'],
      places: ['lower lashes', 'lower lash line', 'brow bone light'],
      shapes: ['brow pointed', 'blush on the apples'],
    },
    steps: [
      'clean',
      'prime',
      'brow',
      ['lid', { wants: { kinds: ['shadow'], finishes: ['matte'] } }],
      'socket',
      ['liner', { shade: { lab: [14, 0, 0] } }],
      ['base', { wants: { kinds: ['base'], finishes: ['matte', 'natural'], mix: true } }],
      'conceal',
      [
        'blushFull',
        {
          shade: { lab: [62, 32, 14] },
          tool: 'loose brush',
          technique: 'press',
          wants: { kinds: ['blush'], finishes: ['matte'] },
        },
      ],
      ['set', { doseMgPerCm2: 0.6 }],
      'mascara',
      [
        'lip',
        { shade: { lab: [38, 46, 26] }, wants: { kinds: ['lip colour'], finishes: ['matte', 'satin'] } },
      ],
    ],
  },
];

/** The looks that ship with an empty installation. */
export const STARTER_LOOKS: readonly Look[] = [...SKETCHES, ...MORE].map((sketch) =>
  cutLook(sketch, 'Toile', 'Starter'),
);
