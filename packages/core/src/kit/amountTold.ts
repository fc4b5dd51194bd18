/** How much is left, as a list says it: an amount, or a share of a full one. */
export type AmountTold = { readonly mg: number } | { readonly share: number };

/** A millilitre of what is laid on a face weighs about a gram: what a list says is no closer than that. */
const MG_OF: readonly (readonly [unit: RegExp, mg: number])[] = [
  [/^(mg|milligrams?)$/, 1],
  [/^(g|gr|gm|gms|grams?|grammes?)$/, 1000],
  [/^(ml|mls|millilit(er|re)s?|cc)$/, 1000],
  [/^cl$/, 10_000],
  [/^(fl\.? ?oz|fluid ounces?)\.?$/, 29_574],
  [/^(oz|ounces?)\.?$/, 28_350],
];
const SHARES: readonly (readonly [told: RegExp, share: number])[] = [
  [/^(full|new|brand new|unopened|sealed|unused|all|whole)$/, 1],
  [/^(three quarters?|3 quarters?|¾)( full| left)?$/, 3 / 4],
  [/^(two thirds?|2 thirds?|⅔)( full| left)?$/, 2 / 3],
  [/^(half|a half|½)( full| left| empty| used| gone)?$/, 1 / 2],
  [/^(a third|one third|third|⅓)( full| left)?$/, 1 / 3],
  [/^(a quarter|one quarter|quarter|¼)( full| left)?$/, 1 / 4],
  [/^(empty|none|used up|finished|gone|out)$/, 0],
];
const NUMBER = /^\d+(?:[.,]\d+)?$/;
const numberOf = (text: string): number => Number(text.replace(',', '.'));

/**
 * Reads how much is left from the words of a list: '12 g', '15ml', '0.5 fl oz', '50 %', '3/4', 'half',
 * 'full', 'empty'; a bare number is mg. Null where it says none of these, or a share above one.
 */
export function amountTold(words: string): AmountTold | null {
  const text = words
    .trim()
    .toLowerCase()
    .replace(/\s+/g, ' ')
    .replace(/^(about|approx\.?|ca\.?|~) ?/, '');
  // Thousands, however they are parted: nobody counts thousandths of a milligram.
  const bare = text.replace(/^(\d{1,3})[ .,](\d{3})$/, '$1$2');
  if (NUMBER.test(bare)) return { mg: numberOf(bare) };
  const shares = SHARES.find(([told]) => told.test(text));
  if (shares) return { share: shares[1] };
  const fraction = /^(\d{1,2}) ?\/ ?(\d{1,2})( full| left)?$/.exec(text);
  if (fraction) return shareOf(Number(fraction[1]) / Number(fraction[2]));
  const [, number = '', unit = ''] = /^([\d.,]+) ?(%|[a-z. ]+?)( left| full)?$/.exec(text) ?? [];
  if (!NUMBER.test(number)) return null;
  if (unit === '%' || unit === 'percent' || unit === 'per cent') return shareOf(numberOf(number) / 100);
  const mg = MG_OF.find(([told]) => told.test(unit))?.[1];
  return mg === undefined ? null : { mg: numberOf(number) * mg };
}

const shareOf = (share: number): AmountTold | null => (share >= 0 && share <= 1 ? { share } : null);
