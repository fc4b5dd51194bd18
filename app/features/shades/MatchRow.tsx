import { memo } from 'react';
import { Pressable } from 'react-native';
import { msg, type Lab, type ShadeMatch } from '@toile/core';
import { Body, Button, Column, Figure, Label, Line, Swatch, useColours, View } from '../../ui';
import { keyOf, lightsInWords, namesOf, ratioOf, takenInWords, type LightBest } from './shadesView';

type MatchRowProps = {
  readonly match: ShadeMatch;
  readonly target: Lab | null;
  readonly lights: LightBest;
  readonly chosen: boolean;
  readonly onChoose: (key: string) => void;
  readonly onPin: (productId: string) => void;
};

/** One answer: swatch beside the skin, how far off, how to mix it, how much to take. */
export const MatchRow = memo(function MatchRow({
  match,
  target,
  lights,
  chosen,
  onChoose,
  onPin,
}: MatchRowProps) {
  const c = useColours();
  const ratio = ratioOf(match);
  return (
    <View
      borderLeftWidth={4}
      borderLeftColor={chosen ? '$woad' : 'transparent'}
      borderBottomWidth={1}
      borderBottomColor="$line"
      paddingLeft="$2"
    >
      <Pressable
        role="radio"
        aria-checked={chosen}
        aria-label={msg`${namesOf(match)}${ratio ? `, ${ratio}` : ''}, ${match.deltaE.toFixed(1)} off`}
        onPress={() => onChoose(keyOf(match))}
        style={({ pressed }) => ({
          flexDirection: 'row',
          alignItems: 'flex-start',
          gap: 10,
          paddingVertical: 8,
          minHeight: 56,
          backgroundColor: pressed ? c.raised : 'transparent',
        })}
      >
        <Swatch lab={match.lab} beside={target} size={44} label={msg`predicted colour beside the skin`} />
        <Column gap={2} flex={1}>
          <Line flexWrap="nowrap" alignItems="flex-start" justifyContent="space-between">
            <Body
              flex={1}
              fontWeight={chosen ? '700' : '400'}
            >{`${chosen ? '✓ ' : ''}${ratio ? `${ratio}  ` : ''}${namesOf(match)}`}</Body>
            <Figure fontWeight="700">{match.deltaE.toFixed(1)}</Figure>
          </Line>
          <Label fontSize="$1" lineHeight="$1">
            {takenInWords(match)}
          </Label>
          <Label fontSize="$1" lineHeight="$1">
            {msg`${lightsInWords(match, lights)} (low confidence)`}
          </Label>
          {match.notes.map((note) => (
            <Label
              key={note}
              fontSize="$1"
              lineHeight="$1"
              color={/not enough|nearly out|heavy|not in/.test(note) ? '$weld' : '$inkSoft'}
            >
              {/not enough|nearly out|heavy|not in/.test(note) ? `▲ ${note}` : note}
            </Label>
          ))}
        </Column>
      </Pressable>
      {chosen ? (
        <Column gap="$2" paddingBottom="$2">
          <Line>
            <Swatch
              lab={match.onSkin}
              beside={target}
              size={32}
              label={msg`predicted on the skin, beside it`}
            />
            <Label>{msg`on the skin, beside it`}</Label>
          </Line>
          <Line>
            {match.parts.map(({ product }) => (
              <Button
                key={product.id}
                label={msg`Keep ${product.shade}, vary the rest: ${product.line}`}
                onPress={() => onPin(product.id)}
              >
                {msg`Keep ${product.shade}, vary the rest`}
              </Button>
            ))}
          </Line>
        </Column>
      ) : null}
    </View>
  );
});
