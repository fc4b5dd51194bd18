import { Pressable } from 'react-native';
import { msg, type RefitChange } from '@toile/core';
import { Body, Column, Label, Line, Rule, Swatch, useColours, View } from '../../ui';
import { isChoice, KIND_WORDS } from './repeatView';

type ChangeRowProps = {
  readonly change: RefitChange;
  readonly taken: boolean;
  readonly onToggle: () => void;
};

/** One change of a repeat: what, why, what it makes different, old beside new, and whether it is taken. */
export function ChangeRow({ change, taken, onToggle }: ChangeRowProps) {
  const c = useColours();
  const exchanged = change.before.words !== change.after.words;
  return (
    <Column gap="$1">
      <Line justifyContent="space-between" flexWrap="nowrap" alignItems="flex-start">
        <Column gap={0} flex={1}>
          <Body fontWeight="700">{`${change.title}: ${change.onlyIfAsked && !taken ? msg`offered` : KIND_WORDS[change.kind]}`}</Body>
          <Body>{change.why}</Body>
          {change.difference ? <Label>{msg`Makes: ${change.difference}`}</Label> : null}
        </Column>
        {isChoice(change) ? (
          <Pressable
            role="checkbox"
            aria-checked={taken}
            aria-label={msg`Take the change to ${change.title}, ${KIND_WORDS[change.kind]}`}
            onPress={onToggle}
            style={{
              minWidth: 96,
              minHeight: 44,
              borderWidth: 1,
              borderColor: c.inkSoft,
              alignItems: 'center',
              justifyContent: 'center',
              backgroundColor: taken ? c.ink : c.surface,
            }}
          >
            <Body color={taken ? '$onInk' : '$ink'}>{taken ? msg`✓ taken` : msg`keep old`}</Body>
          </Pressable>
        ) : null}
      </Line>
      {isChoice(change) && exchanged ? (
        <View flexDirection="row" gap="$3" flexWrap="wrap">
          <Line gap="$2">
            <Swatch lab={change.before.lab} size={36} />
            <Label maxWidth={220}>{msg`was ${change.before.words}`}</Label>
          </Line>
          <Line gap="$2">
            <Swatch lab={change.after.lab} size={36} />
            <Label maxWidth={220}>
              {taken ? msg`now ${change.after.words}` : msg`would be ${change.after.words}`}
            </Label>
          </Line>
        </View>
      ) : null}
      <Rule />
    </Column>
  );
}
