import type { Lab } from '../colour';
import type { Product, ProductKind } from '../kit';
import type { ShadeRole } from './skinRole';

/**
 * Kinds that always have a colour: one of them without has not been read. Clear are powders, gels for brows,
 * and gloss.
 */
const COLOURED_KINDS: ReadonlySet<ProductKind> = new Set<ProductKind>([
  'base',
  'corrector',
  'adjuster',
  'concealer',
  'contour',
  'bronzer',
  'blush',
  'highlight',
  'shadow',
  'lip liner',
  'lip colour',
]);
/** Laid as the skin itself: even the only one there is may be anybody's. */
const AS_SKIN: ReadonlySet<ShadeRole> = new Set<ShadeRole>([
  'base',
  'deeper edge',
  'lighter centre',
  'cover',
  'brighten',
]);

type Described = Pick<Product, 'kind' | 'lab' | 'coverage'>;

/** Whether a product has a colour that nobody has read yet. */
export const isUnread = ({ kind, lab, coverage }: Described): boolean =>
  lab === null && COLOURED_KINDS.has(kind) && !(kind === 'lip colour' && coverage === 'sheer');

/**
 * Whether to take one of these for a colour that is asked for would be a guess: none of them is read, and
 * there are several, or it is laid as skin. What is a guess is for an eye to choose, never bound by itself.
 */
export const wouldGuess = (
  unread: readonly Described[],
  target: Lab | null,
  role: ShadeRole | null,
): boolean =>
  target !== null && unread.length > 0 && (unread.length > 1 || (role !== null && AS_SKIN.has(role)));
