import { listed, msg, plural, shadeName, type Substitute } from '@toile/core';
import type { ChartSummary, SubstitutionAnswer } from '@toile/contract';

/** 'Veil V4', or '2 : 1 Veil V4 with Veil V6'. */
export function substituteName({ parts }: Substitute): string {
  const names = parts.map((p) => shadeName(p.product)).join(msg` with `);
  return parts.length === 1 ? names : `${parts.map((p) => p.pumps).join(' : ')} ${names}`;
}

export const substituteKey = ({ parts }: Substitute): string =>
  parts.map((p) => `${p.product.id.slice(-12)} ${p.pumps}`).join();

/** Charts a substitute may be put into together. */
export type Place = {
  readonly id: 'this' | 'to come' | 'all';
  readonly words: string;
  readonly chartIds: readonly string[];
};

/**
 * Where a substitute may be put: one chart, all whose day is still to come, all there are. What says the same
 * as one before it is left out; the one nobody has to think about comes second.
 */
export function placesFor(
  charts: readonly Pick<ChartSummary, 'id' | 'date'>[],
  chartId: string | null,
  today: string,
): readonly Place[] {
  const coming = charts.filter(({ date }) => date >= today).map(({ id }) => id);
  const all = charts.map(({ id }) => id);
  const places: Place[] =
    chartId === null ? [] : [{ id: 'this', words: msg`that chart`, chartIds: [chartId] }];
  if (coming.length > 1 || (coming.length === 1 && coming[0] !== chartId))
    places.push({
      id: 'to come',
      words: plural(coming.length)`the one still to come|all ${coming.length} still to come`,
      chartIds: coming,
    });
  if (all.length > Math.max(1, coming.length))
    places.push({
      id: 'all',
      words: coming.length === 0 ? msg`all ${all.length} that use it` : msg`all ${all.length}, past ones too`,
      chartIds: all,
    });
  return places;
}

/** What came of it: how many charts have it now, and which were left as they are and why. */
export function saidOf({ changed, left }: SubstitutionAnswer, name: string): string {
  const many = plural(changed.length)`${changed.length} chart has|${changed.length} charts have`;
  const done = msg`${many} a new version with ${name}.`;
  if (left.length === 0) return done;
  const kept = left.map(({ clientName, because }) => `${clientName} (${because})`);
  return msg`${done} Left as they are: ${listed(kept)}.`;
}

/** Charts that are offered without asking for more. */
const FEW = 4;

/**
 * The first few charts to choose from: those still to come, or the newest where none is; the chosen one
 * always among them.
 */
export function fewOf<C extends Pick<ChartSummary, 'id' | 'date'>>(
  charts: readonly C[],
  chartId: string | null,
  today: string,
): readonly C[] {
  if (charts.length <= FEW + 1) return charts;
  const coming = charts.filter(({ date }) => date >= today);
  const few = (coming.length > 0 ? coming : charts).slice(0, FEW);
  const chosen = charts.find(({ id }) => id === chartId);
  return chosen && !few.includes(chosen) ? [...few, chosen] : few;
}
