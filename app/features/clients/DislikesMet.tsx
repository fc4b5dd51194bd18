import { dislikeInWords, dislikesMet, type Chart } from '@toile/core';
import { Body } from '../../ui';

type DislikesMetProps = { readonly chart: Chart; readonly disliked: string | undefined };

/**
 * What a chart has that its client never wants again, as they said it, and where; nothing where it has none
 * of it.
 */
export function DislikesMet({ chart, disliked }: DislikesMetProps) {
  return dislikesMet(chart, disliked).map((met) => (
    <Body key={met.kind} color="$weld">{`▲ ${dislikeInWords(met)}`}</Body>
  ));
}
