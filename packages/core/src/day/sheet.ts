import { toldHours, type Manner } from '../calendar';

/** Whom a sheet is for: everybody's day for whoever plans it, one pair of hands, or one person. */
export type SheetFor =
  | { readonly kind: 'whole' }
  | { readonly kind: 'hands'; readonly id: string }
  | { readonly kind: 'person'; readonly id: string };

export type SheetRow = { readonly time: string; readonly what: string; readonly detail: string };
export type SheetPart = { readonly title: string; readonly rows: readonly SheetRow[] };
/** What one sheet says: times first. Nothing of skin, health, contact or price is ever in it. */
export type CallSheet = {
  readonly title: string;
  readonly whom: string;
  readonly lead: readonly string[];
  readonly parts: readonly SheetPart[];
  readonly foot: readonly string[];
};

/** The sheet with every hour as a studio tells it. */
export function sheetInManner(sheet: CallSheet, by: Manner['clock']): CallSheet {
  const told = (words: string): string => toldHours(words, by);
  return {
    ...sheet,
    lead: sheet.lead.map(told),
    parts: sheet.parts.map((part) => ({
      ...part,
      rows: part.rows.map(({ time, what, detail }) => ({
        time: told(time),
        what: told(what),
        detail: told(detail),
      })),
    })),
    foot: sheet.foot.map(told),
  };
}
