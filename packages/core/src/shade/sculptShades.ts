import { depthOf, undertoneOf, type Lab, type Undertone } from '../colour';
import { productName, type Product, type Unit } from '../kit';
import type { GuideName } from '../face';
import { msg, term } from '../messages';
import type { ShadeAnswer } from './answers';
import { matchStep } from './matchStep';
import { measuresInWords } from './portions';
import { isDeep, isLined, SCHOOL_STEPS } from './ranges';
import type { ShadeAsk } from './skinRole';
import { skinTarget } from './skinTarget';
import type { ShadeContext } from './usable';

export const SCULPT_KINDS = ['contour', 'bronzer', 'blush', 'highlight'] as const;
export type SculptKind = (typeof SCULPT_KINDS)[number];

export type SculptReason = {
  readonly words: string;
  /** Units of colour difference it costs; below zero speaks for it. */ readonly cost: number;
};

export type SculptCandidate = {
  readonly product: Product;
  readonly unit: Unit;
  /** Shade steps deeper than her skin (negative: lighter), in the pan. */
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
  /** The best mix, in words, where no single product does it. */
  readonly mix: string | null;
  /** Products of the kind that are not among them, with why. */
  readonly ruledOut: readonly { readonly product: Product; readonly why: string }[];
};

type Asking = { readonly role: ShadeAsk['role']; readonly guide: GuideName; readonly dose: number };
const ASKING: Readonly<Record<SculptKind, Asking>> = {
  contour: { role: 'contour', guide: 'cheekContour', dose: 0.9 },
  bronzer: { role: 'bronze', guide: 'bronzeSweep', dose: 0.5 },
  blush: { role: 'blush', guide: 'blushLifted', dose: 0.5 },
  highlight: { role: 'highlight', guide: 'cheekboneLight', dose: 0.5 },
};
/** A flush where no look says a colour: redder and stronger than her skin, as deep. */
const flush = ([L, a, b]: Lab): Lab => [L - 2, a + 18, b];

/** The step a kind of sculpting stands for where no chart says one. */
export function sculptAsk(kind: SculptKind, skin: Lab, contrast: 'soft' | 'bold'): ShadeAsk {
  const { role, guide, dose } = ASKING[kind];
  const steps = {
    contour: SCHOOL_STEPS[contrast].contour,
    bronzer: SCHOOL_STEPS[contrast].bronzer,
    highlight: SCHOOL_STEPS[contrast].light,
  };
  return {
    role,
    title: term(kind),
    shade:
      kind === 'blush' ? { lab: [...flush(skin)] } : { relative: { to: 'skin', depthSteps: steps[kind] } },
    wants: { kinds: [kind], ...(kind === 'contour' ? { finishes: ['matte'] } : {}) },
    placements: [{ guide, side: 'both' }],
    doseMgPerCm2: dose,
    passes: 1,
    tool: 'dense brush',
  };
}

/** Products for a sculpting step on this client: the one matcher asked for a step of this kind. */
export function sculptShades(
  kind: SculptKind,
  context: ShadeContext,
  options: { readonly contrast?: 'soft' | 'bold' } = {},
): SculptRanking {
  const skin = skinTarget(context.client.skin);
  if (!skin)
    return {
      wanted: null,
      words: msg`Nothing of the skin has been read yet.`,
      candidates: [],
      mix: null,
      ruledOut: [],
    };
  const contrast = options.contrast ?? context.contrast ?? 'soft';
  const match = matchStep(
    sculptAsk(kind, skin, contrast),
    { ...context, contrast },
    { count: 40, outside: true },
  );
  const alone = match.answers.filter((a) => a.parts.length === 1);
  const single = alone.filter((a) => a.lab !== null);
  const unread = alone
    .filter((a) => a.lab === null)
    .map((a) => ({ product: a.parts[0]!.product, why: msg`its colour is not read` }));
  const owned = single.flatMap((answer) =>
    answer.parts[0]!.unit ? [candidateOf(answer, answer.parts[0]!.unit)] : [],
  );
  const notOwned = single
    .filter((a) => a.parts[0]!.unit === null)
    .map((a) => ({ product: a.parts[0]!.product, why: msg`not in any case` }));
  const outside = match.outside.map((a) => ({ product: a.parts[0]!.product, why: a.misses[0]!.words }));
  return {
    wanted: kind === 'blush' ? null : match.target,
    words: [
      inWords(kind, skin, match.target, context),
      match.gap?.words,
      match.gap?.buy ? msg`Buy ${match.gap.buy}.` : null,
    ]
      .filter(Boolean)
      .join(' '),
    candidates: owned,
    mix: owned.length === 0 ? mixInWords(match.answers.find((a) => a.parts.length > 1)) : null,
    ruledOut: [...unread, ...match.ruledOut, ...outside, ...notOwned],
  };
}

function mixInWords(answer: ShadeAnswer | undefined): string | null {
  if (!answer) return null;
  const parts = answer.parts.map(
    ({ product, measures }) => `${measuresInWords(measures, product.measure)} ${productName(product)}`,
  );
  return msg`${parts.join(msg` with `)}, shows ${Math.abs(answer.steps?.shown ?? 0).toFixed(1)} steps ${(answer.steps?.shown ?? 0) > 0 ? msg`deeper` : msg`lighter`}`;
}

function candidateOf({ parts, steps, shown, cost, costs }: ShadeAnswer, unit: Unit): SculptCandidate {
  const { product } = parts[0]!;
  return {
    product,
    unit,
    steps: steps?.own ?? 0,
    undertone: undertoneOf(product.lab!).undertone,
    onSkin: shown!,
    cost,
    reasons: costs.map((c) => ({ words: c.words, cost: c.units })),
  };
}

function inWords(kind: SculptKind, skin: Lab, wanted: Lab | null, { client }: ShadeContext): string {
  const { undertone } = undertoneOf(client.skin.neck ?? skin);
  const eased =
    isLined(client.features) && (kind === 'contour' || kind === 'highlight')
      ? msg`, eased for lined skin`
      : '';
  if (kind === 'blush')
    return msg`A flush stronger than this ${term(undertone)} skin, not chalkier${isDeep(skin) ? msg`: red, plum or bright orange` : ''}.`;
  const steps = depthOf(wanted!) - depthOf(skin);
  return msg`${Math.abs(steps).toFixed(1)} steps ${steps > 0 ? msg`deeper` : msg`lighter`} than the skin, for a ${term(undertone)} undertone${eased}.`;
}
