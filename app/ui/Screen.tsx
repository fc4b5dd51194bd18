import type { ReactNode } from 'react';
import { Pressable, ScrollView } from 'react-native';
import { msg } from '@toile/core';
import { BackIcon } from './icons';
import { Column, Line, View } from './layout';
import { Heading, Label } from './Text';
import { useColours } from './theme';
import { usePlace } from './usePlace';

type ScreenProps = {
  readonly title: string;
  readonly above?: string;
  readonly onBack?: () => void;
  /** Small things at the end of the title line. */
  readonly aside?: ReactNode;
  /** The main action, kept under the thumb. */
  readonly foot?: ReactNode;
  readonly children: ReactNode;
  readonly widest?: number;
  /** What is in it has scrollers of its own and takes the whole height. */
  readonly fill?: boolean;
};

/** A place: its title, what is in it, and its main action at the bottom. */
export function Screen({
  title,
  above,
  onBack,
  aside,
  foot,
  children,
  widest = 1100,
  fill = false,
}: ScreenProps) {
  const c = useColours();
  const heading = usePlace(title);
  const head = (
    <Line marginBottom={fill ? '$1' : '$3'} flexWrap="nowrap" alignItems="flex-start">
      {onBack ? (
        <Pressable
          role="button"
          aria-label={msg`Back`}
          onPress={onBack}
          style={{
            width: 44,
            height: 44,
            marginLeft: -12,
            alignItems: 'center',
            justifyContent: 'center',
          }}
        >
          <BackIcon color={c.ink} size={24} />
        </Pressable>
      ) : null}
      <Column gap={0} flex={1} justifyContent="center" minHeight={44}>
        {above ? <Label>{above}</Label> : null}
        <Heading
          ref={heading}
          tabIndex={-1}
          outlineStyle="none"
          aria-level={1}
          fontSize="$5"
          lineHeight="$5"
          $wide={{ fontSize: '$6', lineHeight: '$6' }}
        >
          {title}
        </Heading>
      </Column>
      {aside}
    </Line>
  );
  return (
    <View flex={1} backgroundColor="$background" minHeight={0}>
      {fill ? (
        <View flex={1} minHeight={0} paddingHorizontal="$4" paddingTop="$2">
          {head}
          {children}
        </View>
      ) : (
        <ScrollView
          style={{ flex: 1 }}
          contentContainerStyle={{
            padding: 16,
            paddingBottom: 32,
            width: '100%',
            maxWidth: widest,
            alignSelf: 'center',
          }}
        >
          {head}
          {children}
        </ScrollView>
      )}
      {foot ? (
        <View
          borderTopWidth={1}
          borderTopColor="$line"
          backgroundColor="$background"
          paddingHorizontal="$4"
          paddingVertical="$2"
        >
          <View width="100%" maxWidth={widest} alignSelf="center">
            {foot}
          </View>
        </View>
      ) : null}
    </View>
  );
}
