import { msg, numberTold, plural, type ColumnMapping, type KitColumn, type KitCsv } from '@toile/core';

/** Text of a file: UTF-8, and where that does not hold, the old Western encoding spreadsheets still write. */
export function decoded(bytes: ArrayBuffer): string {
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes);
  } catch {
    return new TextDecoder('windows-1252').decode(bytes);
  }
}

export type ImportSummary = {
  readonly good: number;
  readonly wrong: number;
  readonly words: string;
  readonly amounts: string | null;
};

/** What taking the file in would do, in words. */
export function importSummary(read: KitCsv): ImportSummary {
  const good = read.rows.filter((r) => r.product !== null);
  const wrong = read.rows.length - good.length;
  const fresh = new Set(
    good
      .filter((r) => !r.known)
      .map((r) =>
        `${r.product!.maker} ${r.product!.line} ${r.product!.shade} ${r.product!.kind}`.toLowerCase(),
      ),
  ).size;
  const count = (rows: typeof good): number => rows.reduce((sum, r) => sum + r.unitCount, 0);
  const units = count(good);
  const told = (n: number): string => numberTold(n);
  const rows = plural(read.rows.length)`${told(read.rows.length)} row|${told(read.rows.length)} rows`;
  const products = plural(fresh)`${told(fresh)} new product|${told(fresh)} new products`;
  const inUnits = plural(units)`${told(units)} unit|${told(units)} units`;
  const words = msg`${rows}: ${products}, ${inUnits}${wrong > 0 ? msg`, ${told(wrong)} wrong` : ''}. Nothing is written yet.`;
  const full = count(good.filter((r) => r.takenAsFull));
  const amounts =
    full === 0
      ? null
      : msg`What is left is not said of ${full === units ? plural(units)`the unit|the ${told(units)} units` : msg`${full} of them`}: taken as full. Count them when you can.`;
  return { good: good.length, wrong, words, amounts };
}

/** The mapping with one column held by another header, or by none. */
export function mapped(mapping: ColumnMapping, column: KitColumn, header: string | null): ColumnMapping {
  const { [column]: _old, ...rest } = mapping;
  return header === null ? rest : { ...rest, [column]: header };
}
