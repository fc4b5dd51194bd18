import { useState, type ReactNode } from 'react';
import { ScrollView } from 'react-native';
import { Column, View } from '../../ui';

type PhonePlaceProps = {
  readonly above: ReactNode;
  /** Null while it is tucked away. */
  readonly face: ReactNode;
  readonly tools: ReactNode;
  readonly tabs: ReactNode;
  /** Whether they stay while the rest goes by; a very short screen has no room for that. */
  readonly kept: boolean;
  readonly children: ReactNode;
};

/**
 * A phone: the face with its row of tools and the row of places stay at the top, what is chosen goes by under
 * them.
 */
export function PhonePlace({ above, face, tools, tabs, kept, children }: PhonePlaceProps) {
  return (
    <Column gap="$3">
      {above}
      <View
        testID="face and places"
        backgroundColor="$background"
        style={kept ? { position: 'sticky', top: -16, zIndex: 10 } : undefined}
      >
        {face}
        {tools}
        {tabs}
      </View>
      {children}
    </Column>
  );
}

type WidePlaceProps = {
  readonly list: ReactNode;
  /** The face at a height in px. */
  readonly face: (height: number) => ReactNode;
  readonly under: ReactNode;
  readonly tabs: ReactNode;
  readonly panel: ReactNode;
};

/** A wide screen: steps, face and inspector beside each other, each with a scroller of its own. */
export function WidePlace({ list, face, under, tabs, panel }: WidePlaceProps) {
  const [room, setRoom] = useState(0);
  return (
    <View flex={1} minHeight={0} flexDirection="row" gap="$4">
      <ScrollView style={{ width: 320, flexGrow: 0, flexShrink: 0 }}>
        <Column gap="$3" paddingBottom="$4" paddingRight="$2">
          {list}
        </Column>
      </ScrollView>
      <ScrollView style={{ flex: 1 }} contentContainerStyle={{ minHeight: '100%' }}>
        <Column gap="$2" paddingBottom="$4" flexGrow={1}>
          <View
            flexGrow={1}
            minHeight={320}
            onLayout={(event) => setRoom(Math.round(event.nativeEvent.layout.height))}
          >
            {room > 0 ? (
              <View position="absolute" left={0} right={0} top={0}>
                {face(room)}
              </View>
            ) : null}
          </View>
          {under}
        </Column>
      </ScrollView>
      <Column width={360} gap="$3" minHeight={0}>
        {tabs}
        <ScrollView style={{ flex: 1 }}>
          <Column gap="$3" paddingBottom="$4" paddingRight="$2">
            {panel}
          </Column>
        </ScrollView>
      </Column>
    </View>
  );
}
