import {
  amountsInAll,
  measuresInWords,
  msg,
  plural,
  productName,
  term,
  toolsForFace,
  type Step,
} from '@toile/core';
import { Body, Column, Figure, Label, Line, Subheading, Swatch } from '../../ui';

/** What the whole chart takes of each product, for the palette and the bag. */
export function AmountsInAll({ steps }: { readonly steps: readonly Step[] }) {
  const amounts = amountsInAll(steps);
  if (amounts.length === 0) return null;
  return (
    <Column gap="$2" role="group" aria-label={msg`Amounts in all`}>
      <Subheading>{plural(
        amounts.length,
      )`What it takes in all, one product|What it takes in all, ${amounts.length} products`}</Subheading>
      {amounts.map(({ product, measure, parts, mg, stepIds }) => (
        <Line
          key={`${product.id} ${measure}`}
          flexWrap="nowrap"
          alignItems="flex-start"
          borderBottomWidth={1}
          borderBottomColor="$line"
          paddingBottom="$2"
        >
          {product.lab ? <Swatch lab={product.lab} size={28} /> : null}
          <Column gap={0} flex={1}>
            <Body>{productName(product)}</Body>
            <Label>{msg`step ${stepIds.map((id) => steps.findIndex((s) => s.id === id) + 1).join(', ')}`}</Label>
          </Column>
          <Column gap={0} alignItems="flex-end">
            <Figure fontWeight="700">{measuresInWords(parts, measure)}</Figure>
            <Label>
              {mg >= 1000 ? `${(mg / 1000).toFixed(2)} g` : msg`${mg.toFixed(mg < 10 ? 1 : 0)} mg`}
            </Label>
          </Column>
        </Line>
      ))}
      <Label>{msg`Clean tools for this face: ${toolsInWords(steps)}.`}</Label>
    </Column>
  );
}

/** '2 × small brush, damp sponge': what has to be clean for one face. */
function toolsInWords(steps: readonly Step[]): string {
  return toolsForFace(steps)
    .map(({ tool, count }) => (count > 1 ? `${count} × ${term(tool)}` : tool))
    .join(', ');
}
