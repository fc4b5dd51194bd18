import type { ShadeRole } from '../skinRole';
import { base, baseWithin, brighten, cover, powderOf } from './complexion';
import { brow, lid, lip, socket } from './features';
import type { Judge, Miss, SeenColour, Strictness, Wearer } from './judge';
import { blush, bronzer, contour, light } from './sculpt';

export {
  chromaShare,
  isDeep,
  isLined,
  isVeryFair,
  type Miss,
  type SeenColour,
  type Strictness,
  type Wearer,
} from './judge';
export { BASE_WITHIN } from './complexion';
export { bareLip, BOLD_LIGHTER, boldnessOfLip, BROW_HAIR, browHair } from './features';
export { LINED_EASE, SCHOOL_STEPS } from './sculpt';

/**
 * How a colour leaves the range of its role on this skin; empty when it keeps it. Depth in shade steps
 * against the skin, strength against the chroma that healthy skin of this undertone has at the lightness that
 * shows. Thresholds: the trade's ranges by role (docs/decisions/0010).
 */
export function missesOf(
  role: ShadeRole,
  seen: SeenColour,
  wearer: Wearer,
  how: Strictness,
  asked: number | null = null,
): Miss[] {
  return JUDGES[role](seen, wearer, how, asked);
}

const JUDGES: Readonly<Record<ShadeRole, Judge>> = {
  base,
  'deeper edge': baseWithin(1, 2.5),
  'lighter centre': baseWithin(-1.5, -0.5),
  cover,
  brighten,
  contour,
  bronzer,
  blush,
  light,
  powder: powderOf(-0.5, 0.5),
  'under-eye powder': powderOf(-1, 0.3),
  brow,
  lid,
  socket,
  lip,
};
