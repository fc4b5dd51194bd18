import { chromaOf, deltaE2000, depthOf, hueOf, labUnder, reconstructSpectrum, shiftDepth, undertoneOf, type Lab, type Undertone } from '../colour';
import type { Product, Unit } from '../kit';
import { isColoured, type Coloured } from './mixTables';
import { layOver, opticsOf } from './optics';
import { skinTarget } from './skinTarget';
import { unitToTake, unusableBecause, type ShadeContext } from './usable';

export const SCULPT_KINDS = ['contour', 'bronzer', 'blush', 'highlight'] as const;
export type SculptKind = (typeof SCULPT_KINDS)[number];

export type SculptReason = { readonly words: string; /** Units of colour difference it costs; below zero speaks for it. */ readonly cost: number };

export type SculptCandidate = {
  readonly product: Product;
  readonly unit: Unit;
  /** Shade steps deeper than her skin (negative: lighter). */
  readonly steps: number;
  readonly undertone: Undertone;
  /** Predicted on her skin at a usual dose. */
  readonly onSkin: Lab;
  readonly cost: number;
  readonly reasons: readonly SculptReason[];
};

export type SculptRanking = {
  readonly wanted: Lab | null;
  readonly words: string;
  readonly candidates: readonly SculptCandidate[];
  /** Products of the kind that are not among them, with why. */
  readonly ruledOut: readonly { readonly product: Product; readonly why: string }[];
};

/** How many steps the schools ask for: contour deeper, highlight lighter, bronzer a little warmer. */
const STEPS: Readonly<Record<'soft' | 'bold', Readonly<Record<'contour' | 'bronzer' | 'highlight', number>>>> = {
  soft: { contour: 2, bronzer: 1.2, highlight: -2 },
  bold: { contour: 3, bronzer: 1.8, highlight: -3 },
};
const MATURE_EASE = 0.8;
const USUAL_DOSE: Readonly<Record<SculptKind, number>> = { contour: 0.35, bronzer: 0.3, blush: 0.3, highlight: 0.25 };
/** L* under which skin counts as deep, and above which as very fair. */
const DEEP = 46;
const VERY_FAIR = 72;

/** Products for a sculpting step on this client, ranked with reasons by steps, undertone, finish and what suits her depth. */
export function sculptShades(kind: SculptKind, context: ShadeContext, options: { readonly contrast?: 'soft' | 'bold' } = {}): SculptRanking {
  const skin = skinTarget(context.client.skin);
  if (!skin) return { wanted: null, words: 'Nothing of her skin has been read yet.', candidates: [], ruledOut: [] };
  const undertone = undertoneOf(context.client.skin.neck ?? skin).undertone;
  const wanted = wantedFor(kind, skin, undertone, context, options.contrast ?? 'soft');
  const ground = reconstructSpectrum(skin, 'D65', 'skin').spectrum;
  const candidates: SculptCandidate[] = [];
  const ruledOut: { product: Product; why: string }[] = [];
  for (const product of context.kit.products) {
    if (product.kind !== kind || !isColoured(product)) continue;
    const unit = unitToTake(product, context);
    const why = unusableBecause(product, context) ?? (unit ? neverFor(kind, product, context) : 'not in any case');
    if (why !== null || !unit) {
      ruledOut.push({ product, why: why ?? 'not in any case' });
      continue;
    }
    const reasons = [...byColour(kind, product, skin, wanted), ...byRule(kind, product, skin, undertone, context)];
    candidates.push({
      product,
      unit,
      steps: depthOf(product.lab) - depthOf(skin),
      undertone: undertoneOf(product.lab).undertone,
      onSkin: labUnder(layOver(ground, opticsOf(product), USUAL_DOSE[kind]), 'D65'),
      cost: reasons.reduce((sum, r) => sum + r.cost, 0),
      reasons,
    });
  }
  return { wanted, words: inWords(kind, skin, wanted, undertone, context), candidates: candidates.sort((a, b) => a.cost - b.cost), ruledOut };
}

function wantedFor(kind: SculptKind, skin: Lab, undertone: Undertone, { client }: ShadeContext, contrast: 'soft' | 'bold'): Lab | null {
  if (kind === 'blush') return null;
  const ease = client.features.age === 'mature' && kind !== 'bronzer' ? MATURE_EASE : 1;
  const steps = STEPS[contrast][kind] * ease;
  if (kind === 'contour') return shiftDepth(skin, steps, { undertone: skin[0] > VERY_FAIR ? 'cool' : 'neutral' });
  if (kind === 'bronzer') return shiftDepth(skin, steps, { undertone: undertone === 'cool' ? 'cool' : 'warm' });
  return shiftDepth(skin, steps, skin[0] < DEEP ? { undertone: 'warm' } : {});
}

/** What a product of this kind must never do on this client, or null. */
function neverFor(kind: SculptKind, product: Coloured, { client }: ShadeContext): string | null {
  const shiny = product.finish === 'shimmer' || product.finish === 'dewy';
  if (kind === 'contour' && shiny) return `${product.finish}: shine undoes a shadow`;
  if (kind === 'bronzer' && product.finish === 'shimmer' && client.features.texture === 'textured') return 'shimmer shows textured skin';
  return null;
}

const reason = (words: string, cost: number): SculptReason[] => (cost === 0 ? [] : [{ words, cost }]);

function byColour(kind: SculptKind, product: Coloured, skin: Lab, wanted: Lab | null): SculptReason[] {
  const steps = depthOf(product.lab) - depthOf(skin);
  if (kind === 'blush') {
    // A blush is a stronger, redder skin: it must be clearly more coloured and not much lighter.
    const chroma = chromaOf(product.lab) - chromaOf(skin);
    return [
      ...reason('hardly shows on her skin', chroma < 6 ? 3 : 0),
      ...reason(`${Math.abs(steps).toFixed(1)} steps lighter than her skin: chalky`, steps < -2 ? 0.9 * (-2 - steps) : 0),
      ...reason(`${steps.toFixed(1)} steps deeper than her skin: heavy`, steps > 4 ? 0.8 * (steps - 4) : 0),
    ];
  }
  const off = deltaE2000(product.lab, wanted!);
  const words = steps >= 0 ? `${steps.toFixed(1)} steps deeper than her skin` : `${(-steps).toFixed(1)} steps lighter than her skin`;
  const needless = kind === 'highlight' ? steps > -0.8 : steps < 0.8;
  return [...reason(`${words}, ${off.toFixed(1)} off what is asked`, off), ...reason('too near her skin to do anything', needless ? 4 : 0)];
}

function byRule(kind: SculptKind, product: Coloured, skin: Lab, undertone: Undertone, { client }: ShadeContext): SculptReason[] {
  const hue = hueOf(product.lab);
  const deep = skin[0] < DEEP;
  const warm = hue > 62;
  const red = hue < 45 || hue > 340;
  const lined = client.features.age === 'mature' || client.features.texture === 'textured';
  switch (kind) {
    case 'contour':
      return [
        ...reason(`${product.finish}: contour is matte`, product.finish === 'matte' ? 0 : 1.5),
        ...reason('cool and far deeper: reads grey on deep skin', deep && undertoneOf(product.lab).undertone === 'cool' ? 2 : 0),
        ...reason('a warm shadow turns orange on very fair skin', skin[0] > VERY_FAIR && hue > 66 ? 2 : 0),
      ];
    case 'bronzer':
      return [
        ...reason('rose-peach for pink undertones', undertone === 'cool' && !warm ? -0.5 : 0),
        ...reason('golden on a pink undertone looks orange', undertone === 'cool' && warm ? 1.5 : 0),
        ...reason('golden for olive and deep skin', (undertone === 'olive' || deep) && warm ? -0.5 : 0),
        ...reason('pink bronzer greys on olive', undertone === 'olive' && !warm ? 1.5 : 0),
        ...reason('shine on textured skin', lined && product.finish !== 'matte' && product.finish !== 'natural' ? 1.5 : 0),
      ];
    case 'blush':
      return [
        ...reason('deep red, plum and bright orange carry on deep skin', deep && chromaOf(product.lab) > 38 ? -1 : 0),
        ...reason('pale pink turns to chalk on deep skin', deep && product.lab[0] > 60 ? 2.5 : 0),
        ...reason('cool pink for very fair skin', skin[0] > VERY_FAIR && red ? -0.7 : 0),
        ...reason('orange comes out strong on very fair skin', skin[0] > VERY_FAIR && hue > 45 && hue < 75 ? 1.2 : 0),
        ...reason('with her undertone', (undertone === 'cool') === red ? -0.4 : 0),
        ...reason('shimmer on lines', lined && product.finish === 'shimmer' ? 3 : 0),
      ];
    case 'highlight':
      return [
        ...reason('satin instead of shimmer on lined or textured skin', lined && product.finish === 'shimmer' ? 4 : 0),
        ...reason('gold or rose-gold light for deep skin', deep && hue > 40 && hue < 90 && chromaOf(product.lab) > 14 ? -1 : 0),
        ...reason('pale and cool: ashy on deep skin', deep && (product.lab[0] > 82 || chromaOf(product.lab) < 10) ? 3 : 0),
        ...reason('a matte light hardly shows', product.finish === 'matte' ? 0.8 : 0),
      ];
  }
}

function inWords(kind: SculptKind, skin: Lab, wanted: Lab | null, undertone: Undertone, { client }: ShadeContext): string {
  const eased = client.features.age === 'mature' && (kind === 'contour' || kind === 'highlight') ? ', eased for mature skin' : '';
  if (kind === 'blush') return `A flush stronger than her ${undertone} skin, not chalkier${skin[0] < DEEP ? ': red, plum or bright orange' : ''}.`;
  const steps = depthOf(wanted!) - depthOf(skin);
  return `${Math.abs(steps).toFixed(1)} steps ${steps > 0 ? 'deeper' : 'lighter'} than her skin, for a ${undertone} undertone${eased}.`;
}
