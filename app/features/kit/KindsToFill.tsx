import { msg, term, type Product, type ProductKind } from '@toile/core';
import { Button, Column, Label, Line } from '../../ui';

/** What a first kit usually holds: enough for a whole face from skin to spray. */
const FIRST_KIT: readonly ProductKind[] = [
  'prep',
  'primer',
  'base',
  'concealer',
  'powder',
  'contour',
  'blush',
  'highlight',
  'brow',
  'shadow',
  'liner',
  'mascara',
  'lip liner',
  'lip colour',
  'spray',
];
/** A kit of so many products knows what it is without. */
const STILL_SMALL = 20;

type Kinds = { readonly products: readonly Pick<Product, 'kind'>[] };

/** Kinds a first kit is still without; none once it is no first kit any more. */
export function kindsMissing({ products }: Kinds): readonly ProductKind[] {
  if (products.length >= STILL_SMALL) return [];
  const here = new Set(products.map(({ kind }) => kind));
  return FIRST_KIT.filter((kind) => !here.has(kind));
}

/** The kinds a first kit is still without, each a touch from its form. */
export function KindsToFill({ kit }: { readonly kit: Kinds }) {
  const missing = kindsMissing(kit);
  if (missing.length === 0) return null;
  return (
    <Column gap="$2" role="group" aria-label={msg`Kinds to fill in`}>
      <Label>{kit.products.length === 0 ? msg`Or one kind after the other:` : msg`Still without:`}</Label>
      <Line>
        {missing.map((kind) => (
          <Button key={kind} href={`/kit/new?kind=${encodeURIComponent(kind)}`}>
            {term(kind)}
          </Button>
        ))}
      </Line>
    </Column>
  );
}
