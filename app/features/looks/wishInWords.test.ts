import type { LookStep } from '@toile/core';
import { wishInWords } from './wishInWords';

const ASKED: readonly (readonly [LookStep['wants'], LookStep['shade'], string])[] = [
  [{ kinds: [] }, null, 'no product'],
  [
    { kinds: ['blush'], finishes: ['satin', 'dewy'] },
    { relative: { to: 'skin', depthSteps: 1 } },
    'blush, satin or dewy · 1 step deeper than the skin',
  ],
  [
    { kinds: ['base'], textures: ['liquid'], coverages: ['sheer', 'light'], families: ['water'] },
    { relative: { to: 'skin', depthSteps: 0, undertone: 'olive' } },
    'base, liquid, sheer or light cover, water based · the skin’s own depth, olive',
  ],
  [{ kinds: ['shadow'], coverages: [] }, { lab: [40, 20, 10] }, 'shadow · a fixed colour, L* 40'],
];

test.each(ASKED)('%j with %j is said as %s', (wants, shade, words) => {
  expect(wishInWords({ wants, shade })).toBe(words);
});
