import { createContext, useContext, useEffect, useMemo, useState, type ReactNode } from 'react';
import { useColorScheme } from 'react-native';

export const THEME_CHOICES = ['as the device', 'light', 'dark'] as const;
export type ThemeChoice = (typeof THEME_CHOICES)[number];

type ThemeState = {
  readonly choice: ThemeChoice;
  readonly theme: 'light' | 'dark';
  readonly choose: (choice: ThemeChoice) => void;
};
const Context = createContext<ThemeState>({
  choice: 'as the device',
  theme: 'light',
  choose: () => undefined,
});
const KEY = 'toile.theme';

export function ThemeProvider({ children }: { readonly children: (theme: 'light' | 'dark') => ReactNode }) {
  const device = useColorScheme();
  const [choice, setChoice] = useState<ThemeChoice>(() => {
    const kept = globalThis.localStorage?.getItem(KEY);
    return THEME_CHOICES.find((c) => c === kept) ?? 'as the device';
  });
  useEffect(() => globalThis.localStorage?.setItem(KEY, choice), [choice]);
  const theme = choice === 'as the device' ? (device === 'dark' ? 'dark' : 'light') : choice;
  // What the browser draws itself, as pickers and scroll bars, goes with it.
  useEffect(() => void (document.documentElement.style.colorScheme = theme), [theme]);
  const state = useMemo(() => ({ choice, theme, choose: setChoice }) as const, [choice, theme]);
  return <Context.Provider value={state}>{children(theme)}</Context.Provider>;
}

export const useThemeChoice = (): ThemeState => useContext(Context);
