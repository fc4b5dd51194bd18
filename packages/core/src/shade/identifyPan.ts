import { deltaE2000, type Lab } from '../colour';
import type { Product, ProductKind } from '../kit';

/** What is known of a pan: more of it, if more is known. */
type PanProduct = Pick<Product, 'kind' | 'lab'>;

export type PanGuess<P extends PanProduct = Product> = {
  readonly product: P;
  readonly deltaE: number;
  /** 0 to 1; all guesses and "none of these" sum to 1. */ readonly certainty: number;
};
export type PanIdentification<P extends PanProduct = Product> = {
  readonly guesses: readonly PanGuess<P>[];
  /** The chance that it is nothing of the kit. */
  readonly none: number;
  /** What to say: one name, a few to choose from, or none. */
  readonly verdict: 'sure' | 'likely' | 'between' | 'none';
};

/**
 * One reading scatters by this much round the true colour: repeatability and placing of the reader, and a
 * worn surface.
 */
const SIGMA = 1.3;
/** A stranger is as likely as a product read this far off. */
const STRANGER = 3.6;
const LIKELIHOOD_OF_STRANGER = Math.exp(-(STRANGER * STRANGER) / (2 * SIGMA * SIGMA));

/**
 * Which product an unlabelled pan most likely is, from one reading: a normal spread of readings round each
 * product's colour against a flat chance of something unknown. Shades closer together than the reader can
 * tell stay a choice.
 */
export function identifyPan<P extends PanProduct>(
  reading: Lab,
  products: readonly P[],
  kinds: readonly ProductKind[] = [],
): PanIdentification<P> {
  const weighed = products
    .filter((p) => kinds.length === 0 || kinds.includes(p.kind))
    .flatMap((product) => {
      if (product.lab === null) return [];
      const deltaE = deltaE2000(reading, product.lab);
      return { product, deltaE, weight: Math.exp(-(deltaE * deltaE) / (2 * SIGMA * SIGMA)) };
    });
  const total = weighed.reduce((sum, w) => sum + w.weight, LIKELIHOOD_OF_STRANGER);
  const guesses = weighed
    .map(({ product, deltaE, weight }) => ({ product, deltaE, certainty: weight / total }))
    .sort((a, b) => b.certainty - a.certainty)
    .filter((g, i) => i < 5 && g.certainty > 0.02);
  const none = LIKELIHOOD_OF_STRANGER / total;
  const best = guesses[0]?.certainty ?? 0;
  const verdict = none > best ? 'none' : best >= 0.9 ? 'sure' : best >= 0.6 ? 'likely' : 'between';
  return { guesses, none, verdict };
}
