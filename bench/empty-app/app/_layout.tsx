import { createTamagui, TamaguiProvider } from '@tamagui/core';
import { Slot } from 'expo-router';

const config = createTamagui({
  themes: { light: { background: '#f2f2f2', color: '#161616' } },
  tokens: { color: {}, radius: { true: 0 }, size: { true: 0 }, space: { true: 0 }, zIndex: { true: 0 } },
});

/** The least a page of this platform can be: the router and Tamagui round one line of text. */
export default function Layout() {
  return (
    <TamaguiProvider config={config} defaultTheme="light">
      <Slot />
    </TamaguiProvider>
  );
}
