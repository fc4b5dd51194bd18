import type { ColumnMapping, KitColumn, KitCsv } from '@toile/core';

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
  const units = good.filter((r) => r.unit !== null).length;
  const count = (n: number, what: string): string =>
    `${n.toLocaleString('en-GB')} ${what}${n === 1 ? '' : 's'}`;
  const words = `${count(read.rows.length, 'row')}: ${count(fresh, 'new product')}, ${count(units, 'unit')}${wrong > 0 ? `, ${wrong.toLocaleString('en-GB')} wrong` : ''}. Nothing is written yet.`;
  const full = good.filter((r) => r.takenAsFull).length;
  const amounts =
    full === 0
      ? null
      : `What is left is not said of ${full === units ? (full === 1 ? 'the unit' : `the ${count(full, 'unit')}`) : `${full} of them`}: taken as full. Count them when you can.`;
  return { good: good.length, wrong, words, amounts };
}

/** The mapping with one column held by another header, or by none. */
export function mapped(mapping: ColumnMapping, column: KitColumn, header: string | null): ColumnMapping {
  const { [column]: _old, ...rest } = mapping;
  return header === null ? rest : { ...rest, [column]: header };
}
