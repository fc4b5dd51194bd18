import {
  compactNotes,
  msg,
  shadeName,
  toldDay,
  type Chart,
  type Compact,
  type CompactNotes,
  type Manner,
} from '@toile/core';
import { labelsPdf } from '../palettes/labelSheet';
import type { SheetPaper } from '../print/callSheetPdf';
import { cardPdf, type CardSide } from './card';

/**
 * A compact's labels, one for each pan and its lid: place, shade, what it is for, and a code that opens the
 * compact at `origin`.
 */
export function compactLabels(compact: Compact, chart: Chart, origin: string): Promise<Buffer> {
  const pans = handedOver(compactNotes(compact, chart));
  return labelsPdf(
    compact.name,
    inPlaceOrder(pans).map(({ called, product, steps }) => ({
      called,
      lines: [product.shade, product.line, steps.join(', ')].filter((line) => line !== ''),
      lab: product.lab,
      opens: `${origin}/charts/${chart.id}/compact?pan=${encodeURIComponent(called)}`,
    })),
  );
}

/**
 * What is said on a compact's card: each tin's pans by their places, then mixes, what stays beside it and
 * when to fill again.
 */
export function compactSides(compact: Compact, chart: Chart, days: Manner['days']): CardSide[] {
  const notes = compactNotes(compact, chart);
  const placed = inPlaceOrder(handedOver(notes));
  const tins = compact.tins.map((_, tin) => ({
    title: compact.tins.length === 1 ? compact.name : msg`Tin ${tin + 1}`,
    lines: placed
      .filter(({ place }) => place.tin === tin)
      .map(({ called, product, steps }) => `${called} ${shadeName(product)}: ${steps.join(', ')}`),
  }));
  const dated = placed.flatMap(({ called, refillOn }) =>
    refillOn ? [msg`${called} no later than ${toldDay(refillOn, days, true)}`] : [],
  );
  return [
    ...tins,
    {
      title: msg`Mixes, and what stays beside it`,
      lines: [
        ...notes.mixes,
        ...notes.beside.map(({ name, why }) => `${name}: ${why}`),
        ...(dated.length > 0 ? [msg`Fill again: ${dated.join(', ')}`] : []),
      ],
    },
  ];
}

/** The card for the lid. */
export const compactCard = (
  compact: Compact,
  chart: Chart,
  paper: SheetPaper,
  days: Manner['days'],
): Promise<Buffer> => cardPdf(msg`${compact.name}, card`, compactSides(compact, chart, days), paper);

/** Pans a client may have: of what is to be taken out there is no label and no line. */
const handedOver = ({ pans }: CompactNotes) => pans.filter(({ barred }) => barred === null);

type Placed = { readonly place: { readonly tin: number; readonly row: number; readonly column: number } };
const inPlaceOrder = <T extends Placed>(pans: readonly T[]): T[] =>
  [...pans].sort(({ place: a }, { place: b }) => a.tin - b.tin || a.row - b.row || a.column - b.column);
