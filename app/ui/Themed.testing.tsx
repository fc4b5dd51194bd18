import { TamaguiProvider } from '@tamagui/core';
import type { ReactNode } from 'react';
import { config } from './tamagui.config';

/** What screens and components stand in, for tests: the light theme and nothing else. */
export function Themed({ children }: { readonly children: ReactNode }) {
  return (
    <TamaguiProvider config={config} defaultTheme="light">
      {children}
    </TamaguiProvider>
  );
}
