import { useMemo, type ReactNode } from 'react';
import { msg, shadeName, term } from '@toile/core';
import { Row, Subheading, Swatch, VirtualList } from '../../ui';
import { capital } from '../words/capital';
import type { kitRows, KitRow } from './kitView';

type ListLine = { readonly kind: string; readonly count: number } | { readonly row: KitRow };

/** The kit on a phone: kinds as they come at the chair, each product a row. */
export function KitList({
  groups,
  header,
}: {
  readonly groups: ReturnType<typeof kitRows>;
  readonly header: ReactNode;
}) {
  const lines = useMemo<readonly ListLine[]>(
    () => groups.flatMap(({ kind, rows }) => [{ kind, count: rows.length }, ...rows.map((row) => ({ row }))]),
    [groups],
  );
  return (
    <VirtualList
      label={msg`Products`}
      header={header}
      count={lines.length}
      rowPx={64}
      render={(i) => {
        const line = lines[i];
        if (!line) return null;
        if ('kind' in line)
          return <Subheading paddingTop="$3">{`${capital(term(line.kind))} · ${line.count}`}</Subheading>;
        return <ProductRow row={line.row} />;
      }}
    />
  );
}

function ProductRow({ row: { product, units, fact } }: { readonly row: KitRow }) {
  return (
    <Row
      title={shadeName(product)}
      detail={[
        product.maker,
        term(product.coverage),
        term(product.finish),
        term(product.texture),
        term(product.family),
        units.length === 0
          ? msg`in no case`
          : units
              .map((u) => u.place)
              .filter(Boolean)
              .join('; ') || msg`no place noted`,
      ].join(' · ')}
      fact={fact}
      before={
        <Swatch lab={product.lab} label={product.lab ? msg`product colour` : msg`no colour of its own`} />
      }
      href={`/kit/products/${product.id}`}
    />
  );
}
