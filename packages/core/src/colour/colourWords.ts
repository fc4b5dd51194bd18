import { deltaE2000 } from './deltaE2000';
import type { Lab } from './lab';

/**
 * Colours as they are called while somebody watches: near enough to be matched, and to be read again later.
 * CIELAB, D65.
 */
export const COLOUR_WORDS = {
  nude: [62, 18, 18],
  peach: [70, 24, 28],
  coral: [62, 42, 30],
  pink: [62, 38, 4],
  rose: [52, 36, 10],
  berry: [34, 36, 2],
  plum: [28, 24, -6],
  red: [42, 56, 32],
  brick: [40, 34, 26],
  terracotta: [50, 30, 30],
  bronze: [46, 16, 26],
  gold: [70, 8, 42],
  champagne: [82, 4, 16],
  brown: [34, 12, 16],
  taupe: [52, 6, 9],
  grey: [50, 0, 0],
  black: [14, 0, 0],
  navy: [20, 4, -22],
  teal: [42, -22, -10],
  green: [44, -20, 16],
  violet: [38, 28, -26],
} as const satisfies Readonly<Record<string, Lab>>;
export type ColourWord = keyof typeof COLOUR_WORDS;
export const COLOUR_WORD_NAMES: readonly ColourWord[] = [
  'nude',
  'peach',
  'coral',
  'pink',
  'rose',
  'berry',
  'plum',
  'red',
  'brick',
  'terracotta',
  'bronze',
  'gold',
  'champagne',
  'brown',
  'taupe',
  'grey',
  'black',
  'navy',
  'teal',
  'green',
  'violet',
];
/** What a colour is called: the word whose colour is nearest, CIEDE2000. */
export function nearestColourWord(lab: Lab): ColourWord {
  const off = (word: ColourWord): number => deltaE2000(lab, COLOUR_WORDS[word]);
  return COLOUR_WORD_NAMES.reduce((best, word) => (off(word) < off(best) ? word : best));
}
