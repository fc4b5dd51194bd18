import { Slot } from 'expo-router';
import type { ReactNode } from 'react';
import { Empty, useWide, View } from '../../ui';

/**
 * On a wide screen a place's list stays beside what was opened from it; on a phone one replaces the other.
 * Without a list the whole width is given to what is open.
 */
export function SideBySide({ list }: { readonly list: ReactNode | null }) {
  const wide = useWide();
  return (
    <View flex={1} flexDirection="row" minHeight={0}>
      {wide && list ? (
        <View width={340} borderRightWidth={1} borderRightColor="$line" minHeight={0}>
          {list}
        </View>
      ) : null}
      <View flex={1} minWidth={0} minHeight={0}>
        <Slot />
      </View>
    </View>
  );
}

/** What a place's own address shows: its list on a phone, and beside the list a word on what opens here. */
export function PlaceIndex({
  list,
  title,
  words,
}: {
  readonly list: ReactNode;
  readonly title: string;
  readonly words: string;
}) {
  return useWide() ? <Empty title={title} words={words} /> : <>{list}</>;
}
