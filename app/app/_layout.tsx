import { AtkinsonHyperlegibleNext_400Regular } from '@expo-google-fonts/atkinson-hyperlegible-next/400Regular';
import { AtkinsonHyperlegibleNext_700Bold } from '@expo-google-fonts/atkinson-hyperlegible-next/700Bold';
import { Fraunces_500Medium } from '@expo-google-fonts/fraunces/500Medium';
import { TamaguiProvider, Theme } from '@tamagui/core';
import { useFonts } from 'expo-font';
import { Slot } from 'expo-router';
import { Suspense, type ReactNode } from 'react';
import { SWRConfig, type SWRConfiguration } from 'swr';
import { answeredEarly } from '../data/early';
import { useLanguage } from '../data/language';
import { Mishap } from '../features/frame/Mishap';
import { SessionGate } from '../features/session/SessionGate';
import { ThemeProvider } from '../features/settings/theme';
import { config } from '../ui/tamagui.config';
import { useSpacePresses, View } from '../ui';

/** A screen that stumbles is shut in where it stands. */
export const unstable_settings = { screenErrorBoundary: Mishap };

const READING: SWRConfiguration = {
  revalidateOnFocus: true,
  shouldRetryOnError: false,
  dedupingInterval: 1000,
  provider: () => new Map(answeredEarly()),
};

/** Draws what is inside once its words are here. */
function Spoken({ children }: { readonly children: ReactNode }) {
  useLanguage();
  return children;
}

export default function Layout() {
  useSpacePresses();
  useFonts({
    Atkinson: AtkinsonHyperlegibleNext_400Regular,
    AtkinsonBold: AtkinsonHyperlegibleNext_700Bold,
    Fraunces: Fraunces_500Medium,
  });
  return (
    <ThemeProvider>
      {(theme) => (
        <TamaguiProvider config={config} defaultTheme="light">
          {/* A theme of its own inside: it changes without anything below being made anew, so that nothing
              typed is lost. */}
          <Theme name={theme}>
            <SWRConfig value={READING}>
              <View flex={1} height="100%" backgroundColor="$background">
                <Suspense fallback={null}>
                  <Spoken>
                    <SessionGate>
                      <Slot />
                    </SessionGate>
                  </Spoken>
                </Suspense>
              </View>
            </SWRConfig>
          </Theme>
        </TamaguiProvider>
      )}
    </ThemeProvider>
  );
}
