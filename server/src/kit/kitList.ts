import { readKitCsv, type ColumnMapping, type Kit, type KitCsvRow } from '@toile/core';

/** A list of products as somebody's file has it, and what is owned already, by which it is read. */
export type KitListJob = {
  readonly text: string;
  readonly mapping: ColumnMapping;
  readonly kit: Kit;
  readonly owned: boolean;
};

/** What a list holds: what can be taken in, and what of it cannot. */
export type KitList = {
  /** What is wrong with the whole of it. */
  readonly problems: readonly string[];
  readonly good: readonly KitCsvRow[];
  /** The first of the rows that are wrong, */
  readonly wrong: readonly KitCsvRow[];
  /** and how many they are. */
  readonly wrongCount: number;
};

/** More wrong rows than this nobody reads. */
const MOST_WRONG = 200;

/** Reads a list by the same rule as its preview: nothing is taken on trust. */
export function readKitList({ text, ...how }: KitListJob): KitList {
  const { problems, rows } = readKitCsv(text, how);
  const wrong = rows.filter((row) => row.product === null);
  return {
    problems,
    good: rows.filter((row) => row.product !== null),
    wrong: wrong.slice(0, MOST_WRONG),
    wrongCount: wrong.length,
  };
}
