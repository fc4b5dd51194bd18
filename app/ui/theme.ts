import { useTheme as useTamaguiTheme } from '@tamagui/core';
import type { Theme } from './tamagui.config';

export type ColourName = keyof Theme;

/** The current theme's colours as plain strings, for what is not a Tamagui element (SVG, inputs). */
export function useColours(): Theme {
  const theme = useTamaguiTheme();
  const names = Object.keys(theme) as ColourName[];
  return Object.fromEntries(names.map((name) => [name, theme[name].val])) as Theme;
}
