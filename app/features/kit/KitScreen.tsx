import { useDeferredValue, useMemo, useState } from 'react';
import type { Kit } from '@toile/core';
import { useKit } from '../../data/hooks';
import { Body, Column, Empty, Field, Figure, Label, Line, Ready, Screen, Subheading, Swatch } from '../../ui';
import { todayText } from '../words/dates';
import { kitRows } from './kitView';

/** Everything in the cases: colour, what it is, where it is, until when. */
export function KitScreen() {
  const kit = useKit();
  return (
    <Screen title="Kit">
      <Ready remote={kit}>
        {(data) => (data.products.length === 0 ? <Empty title="The kit is empty" words="Products come with the studio’s file." /> : <KitView kit={data} />)}
      </Ready>
    </Screen>
  );
}

function KitView({ kit }: { readonly kit: Kit }) {
  const [typed, setTyped] = useState('');
  const query = useDeferredValue(typed);
  const groups = useMemo(() => kitRows(kit, query, todayText()), [kit, query]);
  const total = groups.reduce((sum, g) => sum + g.rows.length, 0);
  return (
    <Column gap="$4">
      <Field label="Find" value={typed} onChange={setTyped} placeholder="Maker, line, shade or kind" hint={`${total} of ${kit.products.length} products`} />
      {groups.length === 0 ? <Empty title="Nothing by that name" words="Try fewer letters." /> : null}
      {groups.map(({ kind, rows }) => (
        <Column key={kind} gap={0}>
          <Subheading>{`${kind.charAt(0).toUpperCase()}${kind.slice(1)} · ${rows.length}`}</Subheading>
          {rows.map(({ product, units, fact, past }) => (
            <Line key={product.id} flexWrap="nowrap" paddingVertical="$2" borderBottomWidth={1} borderBottomColor="$line" gap="$3">
              <Swatch lab={product.lab} label={product.lab ? 'product colour' : 'no colour of its own'} />
              <Column gap={0} flex={1}>
                <Body>{`${product.line} ${product.shade}`}</Body>
                <Label>{[product.maker, product.coverage, product.finish, product.texture, product.family].join(' · ')}</Label>
                <Label>{units.map((u) => u.place).join('; ') || 'not in a case'}</Label>
              </Column>
              <Figure width={100} textAlign="right" fontSize="$2" lineHeight="$2" color={past ? '$madder' : '$inkSoft'}>
                {fact}
              </Figure>
            </Line>
          ))}
        </Column>
      ))}
    </Column>
  );
}
