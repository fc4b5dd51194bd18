import { Pressable } from 'react-native';
import { msg, type Product, type Substitute } from '@toile/core';
import { Body, Column, Figure, Judged, Label, Line, Subheading, Swatch, useColours } from '../../ui';
import { substituteKey, substituteName } from './substituteView';

type SubstituteListProps = {
  readonly list: readonly Substitute[];
  readonly product: Product;
  readonly picked: Substitute | null;
  readonly onPick: (substitute: Substitute) => void;
};

/** What would stand in for a product, nearest first, each with how it differs; one is picked. */
export function SubstituteList({ list, product, picked, onPick }: SubstituteListProps) {
  const c = useColours();
  if (list.length === 0)
    return (
      <Body color="$weld">{msg`▲ The kit has nothing of its kind that can be used. It has to be bought, or the step left out.`}</Body>
    );
  return (
    <Column gap={0} role="radiogroup" aria-label={msg`Substitutes`}>
      <Subheading>{msg`Nearest first`}</Subheading>
      {list.map((s) => {
        const on = picked !== null && substituteKey(s) === substituteKey(picked);
        return (
          <Pressable
            key={substituteKey(s)}
            role="radio"
            aria-checked={on}
            aria-label={`${substituteName(s)}, ${s.reasons.join(', ')}`}
            onPress={() => onPick(s)}
            style={{
              flexDirection: 'row',
              alignItems: 'flex-start',
              gap: 10,
              paddingVertical: 8,
              minHeight: 56,
              borderBottomWidth: 1,
              borderBottomColor: c.line,
              borderLeftWidth: 4,
              borderLeftColor: on ? c.woad : 'transparent',
              paddingLeft: 8,
            }}
          >
            {s.lab ? (
              <Swatch
                lab={s.lab}
                beside={product.lab}
                size={40}
                label={msg`substitute beside the old product`}
              />
            ) : null}
            <Column gap={2} flex={1}>
              <Line flexWrap="nowrap" justifyContent="space-between" alignItems="flex-start">
                <Body
                  flex={1}
                  fontWeight={on ? '700' : '400'}
                >{`${on ? '✓ ' : ''}${substituteName(s)}`}</Body>
                {s.deltaE === null ? null : <Figure fontWeight="700">{s.deltaE.toFixed(1)}</Figure>}
              </Line>
              {s.reasons.map((r) => (
                <Label key={r} fontSize="$1" lineHeight="$1">
                  {r}
                </Label>
              ))}
              {s.onSkin ? (
                <Line>
                  <Judged padding="$1">
                    <Swatch
                      lab={s.onSkin.after}
                      beside={s.onSkin.before}
                      size={28}
                      label={msg`on the skin now, beside before`}
                    />
                  </Judged>
                  <Label
                    fontSize="$1"
                    lineHeight="$1"
                  >{msg`on the skin ${s.onSkin.deltaE.toFixed(1)} from before`}</Label>
                </Line>
              ) : null}
            </Column>
          </Pressable>
        );
      })}
    </Column>
  );
}
