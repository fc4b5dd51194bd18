import { useMemo, useState } from 'react';
import {
  msg,
  productFinder,
  productName,
  shadeName,
  term,
  type MatchWishes,
  type ShadeContext,
} from '@toile/core';
import { Body, Column, Field, Label, Loading, Row, Subheading, Swatch } from '../../ui';
import { askShades, useWork } from '../../workers';

const SHOWN = 6;

/** "Why not this one?" for any product of the kit. */
export function WhyNot({
  context,
  wishes,
}: {
  readonly context: ShadeContext;
  readonly wishes: MatchWishes;
}) {
  const [typed, setTyped] = useState('');
  const [productId, setProductId] = useState<string | null>(null);
  const asked = useMemo(
    () => (productId ? { context, wishes, productId } : null),
    [context, wishes, productId],
  );
  const { answer, busy, error } = useWork(askShades, 'whyNot', asked);
  const found = typed.trim() === '' ? [] : context.kit.products.filter(productFinder(typed)).slice(0, SHOWN);
  return (
    <Column gap="$2">
      <Subheading>{msg`Why not another?`}</Subheading>
      <Field
        label={msg`A product`}
        value={typed}
        placeholder={msg`Line or shade`}
        onChange={(text) => {
          setTyped(text);
          setProductId(null);
        }}
      />
      {productId === null
        ? found.map((p) => (
            <Row
              key={p.id}
              title={shadeName(p)}
              detail={`${p.maker}, ${term(p.kind)}`}
              before={<Swatch lab={p.lab} size={28} />}
              label={msg`Why not ${productName(p)}`}
              onPress={() => setProductId(p.id)}
            />
          ))
        : null}
      {typed.trim() !== '' && found.length === 0 ? (
        <Label>{msg`Nothing by that name in the kit.`}</Label>
      ) : null}
      {productId !== null && busy ? <Loading words={msg`Working it out`} /> : null}
      {productId !== null && !busy && answer ? <Body aria-live="polite">{answer}</Body> : null}
      {error ? <Body color="$madder">{`▲ ${error}`}</Body> : null}
    </Column>
  );
}
