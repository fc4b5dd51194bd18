import { messagesIn } from '../messages';
import type { LayerKind } from './guides';

/**
 * A pattern is lines at an angle, dots, crosses or plain; told apart in black and white and by colour-blind
 * eyes.
 */
export type PatternForm =
  | { readonly form: 'lines'; readonly angle: number; readonly gap: number; readonly width: number }
  | { readonly form: 'cross'; readonly angle: number; readonly gap: number; readonly width: number }
  | { readonly form: 'dots'; readonly gap: number; readonly radius: number }
  | { readonly form: 'plus'; readonly gap: number }
  | { readonly form: 'plain' };

export type LayerLook = {
  readonly name: string;
  readonly pattern: PatternForm;
  /** The notch cut into an edge, as a path in a 16 x 12 box whose upper side is the edge. */
  readonly notch: string;
  /** Fill when no product's colour is known. */
  readonly fallback: string;
};

const V = 'M0 0L8 11L16 0Z';
const NARROW = 'M4 0L8 12L12 0Z';
const SLOT = 'M6 0V12H10V0Z';
const SQUARE = 'M3 0V9H13V0Z';
const ROUND = 'M2 0A6 9 0 0 0 14 0Z';
const DIAMOND = 'M8 0L14 5.5L8 12L2 5.5Z';
const DOUBLE = 'M0 0L4 10L8 0L12 10L16 0Z';
const STEPPED = 'M1 0V5H5V10H11V5H15V0Z';
const HALF = 'M2 0V11L14 0Z';
const OTHER_HALF = 'M14 0V11L2 0Z';
const WAVE = 'M0 0Q4 12 8 4Q12 12 16 0Z';
const TWO_SLOTS = 'M3 0V11H6V0ZM10 0V11H13V0Z';
const BAR = 'M0 0V5H16V0Z';
const FRAME = 'M2 0V10H14V0H11V7H5V0Z';
const DROPS = 'M2.5 0A2.5 4 0 0 0 7.5 0ZM8.5 0A2.5 9 0 0 0 13.5 0Z';

/** Each kind of layer: its word, its pattern and its notch, chosen once for screen and print. */
export const LAYER_LOOKS: Readonly<Record<LayerKind, LayerLook>> = messagesIn(
  ['name'],
  {
    correct: {
      name: 'Correct',
      pattern: { form: 'cross', angle: 45, gap: 5, width: 0.35 },
      notch: DIAMOND,
      fallback: '#c9a27c',
    },
    base: { name: 'Base', pattern: { form: 'plain' }, notch: BAR, fallback: '#d8c2ac' },
    conceal: {
      name: 'Conceal',
      pattern: { form: 'lines', angle: 0, gap: 2.6, width: 0.4 },
      notch: SQUARE,
      fallback: '#e4d0b6',
    },
    contour: {
      name: 'Contour',
      pattern: { form: 'lines', angle: 45, gap: 2.6, width: 0.6 },
      notch: V,
      fallback: '#8a6a52',
    },
    bronze: {
      name: 'Bronze',
      pattern: { form: 'lines', angle: -45, gap: 4, width: 0.6 },
      notch: DOUBLE,
      fallback: '#a87c50',
    },
    blush: {
      name: 'Blush',
      pattern: { form: 'dots', gap: 3.2, radius: 0.55 },
      notch: ROUND,
      fallback: '#c26a72',
    },
    highlight: { name: 'Light', pattern: { form: 'plus', gap: 4.4 }, notch: NARROW, fallback: '#efe2c4' },
    powder: {
      name: 'Powder',
      pattern: { form: 'dots', gap: 4.6, radius: 0.3 },
      notch: WAVE,
      fallback: '#e3d3bf',
    },
    brow: {
      name: 'Brow',
      pattern: { form: 'lines', angle: 70, gap: 1.8, width: 0.4 },
      notch: HALF,
      fallback: '#5b4a3a',
    },
    eye: {
      name: 'Eye',
      pattern: { form: 'cross', angle: 0, gap: 2.2, width: 0.25 },
      notch: STEPPED,
      fallback: '#7c6a78',
    },
    liner: { name: 'Liner', pattern: { form: 'plain' }, notch: SLOT, fallback: '#2a2424' },
    lash: {
      name: 'Lash',
      pattern: { form: 'lines', angle: 90, gap: 1.4, width: 0.4 },
      notch: TWO_SLOTS,
      fallback: '#1e1e1e',
    },
    'lip line': {
      name: 'Lip line',
      pattern: { form: 'lines', angle: 30, gap: 1.6, width: 0.35 },
      notch: FRAME,
      fallback: '#8c4a48',
    },
    lip: {
      name: 'Lip',
      pattern: { form: 'lines', angle: 90, gap: 2.2, width: 0.3 },
      notch: OTHER_HALF,
      fallback: '#b0605c',
    },
    adornment: { name: 'Adornment', pattern: { form: 'plus', gap: 2 }, notch: DROPS, fallback: '#9a9a9a' },
  },
  'layer',
);
