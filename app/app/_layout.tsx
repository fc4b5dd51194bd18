import { TamaguiProvider, Text } from '@tamagui/core';
import { Slot } from 'expo-router';
import { config } from '../ui/tamagui.config';

export default function Layout() {
  return (
    <TamaguiProvider config={config} defaultTheme="light">
      <Text>Toile</Text>
      <Slot />
    </TamaguiProvider>
  );
}
