import { reconstructSpectrum, type Lab } from '../colour';
import type { Product, ProductKind } from '../kit';
import { messagesIn, msg, term } from '../messages';
import { withArticle } from '../withArticle';

type Span = { readonly L: readonly [number, number]; readonly chroma: number; readonly words: string };

/** Skin tones from the palest base to the deepest, and colours that are worn on them. */
const SKIN_TONES: Span = messagesIn(['words'], {
  L: [8, 97],
  chroma: 60,
  words: 'L* 8 to 97 and a chroma of at most 60',
});
const COLOURS: Span = messagesIn(['words'], {
  L: [2, 98],
  chroma: 110,
  words: 'L* 2 to 98 and a chroma of at most 110',
});
const POSSIBLE: Readonly<Record<ProductKind, Span>> = messagesIn(['words'], {
  prep: COLOURS,
  primer: COLOURS,
  spray: COLOURS,
  corrector: COLOURS,
  adjuster: COLOURS,
  base: SKIN_TONES,
  concealer: SKIN_TONES,
  powder: { ...SKIN_TONES, L: [8, 99], words: 'L* 8 to 99 and a chroma of at most 60' },
  contour: { L: [4, 92], chroma: 55, words: 'L* 4 to 92 and a chroma of at most 55' },
  bronzer: { L: [6, 92], chroma: 70, words: 'L* 6 to 92 and a chroma of at most 70' },
  blush: COLOURS,
  highlight: COLOURS,
  brow: { L: [4, 85], chroma: 55, words: 'L* 4 to 85 and a chroma of at most 55' },
  shadow: COLOURS,
  liner: COLOURS,
  mascara: COLOURS,
  lashes: COLOURS,
  'lip liner': COLOURS,
  'lip colour': COLOURS,
});

const kept = new Map<string, boolean>();

/**
 * Whether any surface can have this colour at all: whether a reflectance between nothing and everything gives
 * it.
 */
function isSurface(lab: Lab): boolean {
  const key = lab.join();
  let possible = kept.get(key);
  if (possible === undefined) {
    try {
      reconstructSpectrum(lab, 'D65', 'oxide');
      possible = true;
    } catch {
      possible = false;
    }
    if (kept.size > 5000) kept.clear();
    kept.set(key, possible);
  }
  return possible;
}

const judgedLabs = new WeakMap<Lab, Map<ProductKind, string | null>>();

/** Why a product of a kind cannot have a colour, with what is possible, in a sentence; null when it can. */
export function impossibleBecause(kind: ProductKind, lab: Lab | null): string | null {
  if (lab === null) return null;
  let byKind = judgedLabs.get(lab);
  if (!byKind) judgedLabs.set(lab, (byKind = new Map()));
  let why = byKind.get(kind);
  if (why === undefined) byKind.set(kind, (why = impossibleColour(kind, lab)));
  return why;
}

function impossibleColour(kind: ProductKind, lab: Lab): string | null {
  if (!lab.every(Number.isFinite)) return msg`A colour has three numbers: L*, a* and b*.`;
  const { L, chroma, words } = POSSIBLE[kind];
  const within = lab[0] >= L[0] && lab[0] <= L[1] && Math.hypot(lab[1], lab[2]) <= chroma;
  if (within && isSurface(lab)) return null;
  const given = lab.map((v) => Number(v.toFixed(1))).join(' / ');
  return within
    ? msg`No surface has the colour ${given}: so light or dark it cannot be so strong. Read the swatch again.`
    : msg`${given} is no colour of ${withArticle(term(kind))}: one has ${words}. Read the swatch again.`;
}

/**
 * A kit without the products whose colour cannot be, and those by name with why: one wrong product stops
 * nothing.
 */
export function setAside(products: readonly Product[]): {
  readonly sound: readonly Product[];
  readonly aside: readonly { readonly product: Product; readonly why: string }[];
} {
  const judged = products.map((product) => ({ product, why: impossibleBecause(product.kind, product.lab) }));
  return {
    sound: judged.flatMap(({ product, why }) => (why === null ? [product] : [])),
    aside: judged.flatMap(({ product, why }) => (why === null ? [] : [{ product, why }])),
  };
}
