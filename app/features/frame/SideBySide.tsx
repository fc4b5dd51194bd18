import { Slot, usePathname } from 'expo-router';
import type { ReactNode } from 'react';
import { useWide, View } from '../../ui';

/** On a wide screen a place's list stays beside what was opened from it; on a phone one replaces the other. */
export function SideBySide({ list, root }: { readonly list: ReactNode; readonly root: string }) {
  const wide = useWide();
  const atRoot = usePathname() === root;
  if (!wide) return atRoot ? <>{list}</> : <Slot />;
  return (
    <View flex={1} flexDirection="row" minHeight={0}>
      <View width={340} borderRightWidth={1} borderRightColor="$line" minHeight={0}>
        {list}
      </View>
      <View flex={1} minWidth={0} minHeight={0}>
        <Slot />
      </View>
    </View>
  );
}
