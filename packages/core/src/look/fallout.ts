import type { Lab } from '../colour';
import { isPowder, type ProductSnapshot } from '../kit';

/** Powder darker than this is much pigment: L*. */
const DARK_L = 35;
/** Specks so much darker than the cheek they fall on are seen: about four steps, L*. */
const SEEN_BELOW_SKIN_L = 15;

/**
 * What falls off a brush onto the cheek below, as far as it is seen there: much of what is loose or of a dark
 * shimmer, some of what is pressed dark against this skin (null: not read). On deep skin a brown shadow is no
 * darker than the cheek; cream and liquid do not fall.
 */
export function falloutOf(
  { texture, finish, lab }: Pick<ProductSnapshot, 'texture' | 'finish' | 'lab'>,
  skin: Lab | null,
): 'much' | 'some' | null {
  if (!isPowder({ texture })) return null;
  if (texture === 'loose') return 'much';
  if (lab === null || lab[0] >= DARK_L) return null;
  if (finish === 'shimmer') return 'much';
  return skin === null || skin[0] - lab[0] >= SEEN_BELOW_SKIN_L ? 'some' : null;
}
