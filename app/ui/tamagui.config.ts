import { createAnimations } from '@tamagui/animations-css';
import { createFont, createTamagui, createTokens } from '@tamagui/core';

/** Surfaces are true neutrals: people judge skin colours on them. Four dyes, each with one meaning. */
const light = {
  background: '#f2f2f2',
  surface: '#ffffff',
  raised: '#e6e6e6',
  judged: '#c6c6c6',
  line: '#b4b4b4',
  ink: '#161616',
  inkSoft: '#4d4d4d',
  onInk: '#ffffff',
  woad: '#1f4e79',
  onWoad: '#ffffff',
  madder: '#94231f',
  weld: '#6f5200',
  moss: '#2f5e2a',
  chalk: '#3c6e9e',
  faceSkin: '#f6f6f6',
  faceShade: '#cfcfcf',
  faceInk: '#242424',
  faceLip: '#dcdcdc',
};

const dark: typeof light = {
  background: '#161616',
  surface: '#1f1f1f',
  raised: '#2b2b2b',
  judged: '#3b3b3b',
  line: '#565656',
  ink: '#f1f1f1',
  inkSoft: '#bdbdbd',
  onInk: '#161616',
  woad: '#9cc4ea',
  onWoad: '#10202f',
  madder: '#f19a94',
  weld: '#e2c069',
  moss: '#9fce96',
  chalk: '#8fb8de',
  faceSkin: '#d9d9d9',
  faceShade: '#b3b3b3',
  faceInk: '#1c1c1c',
  faceLip: '#bfbfbf',
};

const space = { true: 12, 0: 0, 1: 4, 2: 8, 3: 12, 4: 16, 5: 24, 6: 32, 7: 48 };
const tokens = createTokens({
  space,
  size: { ...space, target: 48 },
  radius: { 0: 0, true: 2, 1: 2 },
  zIndex: { 0: 0, true: 0, 1: 10, 2: 100 },
  color: { none: 'transparent' },
});

const sizes = { 1: 13, 2: 14, 3: 16, true: 16, 4: 18, 5: 22, 6: 28, 7: 34, 8: 40 };
const lineHeights = { 1: 18, 2: 20, 3: 23, true: 23, 4: 25, 5: 28, 6: 34, 7: 40, 8: 46 };
const body = createFont({
  family: 'Atkinson, sans-serif',
  size: sizes,
  lineHeight: lineHeights,
  weight: { true: '400' },
  letterSpacing: { true: 0 },
  face: { 400: { normal: 'Atkinson' }, 700: { normal: 'AtkinsonBold' } },
});
const heading = createFont({
  family: 'Fraunces, serif',
  size: sizes,
  lineHeight: lineHeights,
  weight: { true: '500' },
  letterSpacing: { true: 0 },
});

export const config = createTamagui({
  tokens,
  themes: { light, dark },
  fonts: { body, heading },
  defaultFont: 'body',
  animations: createAnimations({ quick: 'ease-out 150ms' }),
  media: { wide: { minWidth: 900 }, roomy: { minWidth: 1240 } },
  shorthands: {},
  settings: { onlyAllowShorthands: false },
});

export type Theme = typeof light;
type Config = typeof config;

declare module '@tamagui/core' {
  // eslint-disable-next-line @typescript-eslint/no-empty-object-type -- how Tamagui is told of its config
  interface TamaguiCustomConfig extends Config {}
}
