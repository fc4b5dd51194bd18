import { labUnder, mixSpectra, reconstructSpectrum, type Lab } from '../colour';
import { productName, snapshotOf } from '../kit';
import { msg } from '../messages';
import {
  impossibleBecause,
  isColoured,
  isUnread,
  layOver,
  matchStep,
  mixedOptics,
  ratioOfMeasures,
  type Coloured,
  type CostPart,
  type ShadeAnswer,
  type ShadeAsk,
  type ShadeContext,
  type StepMatch,
} from '../shade';
import type { ClientSnapshot, Step, Use } from './document';

/** Everything a proposal is judged against. */
export type FitContext = ShadeContext & { readonly client: ClientSnapshot };

export type Proposal = {
  readonly use: readonly Use[];
  /** Predicted colour of the product or mix; null for what has none. */
  readonly lab: Lab | null;
  /** Predicted on her skin at the planned dose. */
  readonly shown: Lab | null;
  /** CIEDE2000 to what was asked, in daylight; null where no colour was asked. */
  readonly deltaE: number | null;
  /** Shade steps against her skin, in the pan and as it shows. */
  readonly steps: ShadeAnswer['steps'];
  /** What it is ranked by, and its parts by name. Lower is better. */
  readonly cost: number;
  readonly costs: readonly CostPart[];
  /** Mg needed and mg in the measures. */
  readonly amount: { readonly neededMg: number; readonly madeMg: number };
  /** Why it stands where it does, in short phrases. */
  readonly reasons: readonly string[];
};

/**
 * Products of the kit for a step, best first; mixes too where the step allows them. Empty when nothing is in
 * range; what would be a guess, since nobody has read its colour, is not among them.
 */
export function proposeProducts(step: ShadeAsk, context: FitContext): Proposal[] {
  const { answers, gap } = matchStep(step, context);
  const sure = gap ? answers.filter(({ parts }) => !parts.some(({ product }) => isUnread(product))) : answers;
  return sure.map(proposalOf);
}

/** The one matcher's answer to a step, with the proposals for it. */
export function matchAndPropose(
  step: ShadeAsk,
  context: FitContext,
): { readonly match: StepMatch; readonly proposals: readonly Proposal[] } {
  const match = matchStep(step, context);
  return { match, proposals: match.answers.map(proposalOf) };
}

/** Of ranked proposals the best, and of the rest those all of whose parts are in a case. */
export const atHand = (ranked: readonly Proposal[]): Proposal[] =>
  ranked.filter(({ use }, i) => i === 0 || use.every(({ unitId }) => unitId !== null));

/** An answer of the matcher as a chart uses it. */
export function proposalOf(answer: ShadeAnswer): Proposal {
  const { parts, lab, shown, deltaE, steps, cost, costs, need, madeMg } = answer;
  return {
    use: parts.map(({ product, unit, measures }) => ({
      unitId: unit?.id ?? null,
      product: snapshotOf(product),
      parts: measures,
      measure: product.measure,
    })),
    lab,
    shown,
    deltaE,
    steps,
    cost,
    costs,
    amount: { neededMg: need.takenMg, madeMg },
    reasons: costs.map((c) => c.words),
  };
}

/**
 * The predicted colour of what a step uses, mixed if there are several; null for colourless products, and for
 * one no surface can have.
 */
export function colourOfUse(use: readonly Use[]): Lab | null {
  const coloured = use.filter((u): u is Use & { product: { lab: Lab } } => u.product.lab !== null);
  if (coloured.length === 0) return null;
  if (coloured.length === 1) return coloured[0]!.product.lab;
  const parts = coloured.map((u) => ({
    spectrum: reconstructSpectrum(u.product.lab, 'D65', 'oxide').spectrum,
    parts: u.parts * u.product.mgPerMeasure,
    tintingStrength: u.product.tintingStrength,
  }));
  return labUnder(mixSpectra(parts), 'D65');
}

/** What a step lays down, as the layer model takes it: coloured products with their mg. */
export function colouredParts(step: Pick<Step, 'use'>): { product: Coloured; mg: number }[] {
  return step.use.flatMap((u) => {
    const product = {
      tintingStrength: 1,
      monthsAfterOpening: 12,
      withdrawn: false,
      singleUse: false,
      eyeSafe: false,
      ...u.product,
    };
    return isColoured(product) ? [{ product, mg: u.parts * product.mgPerMeasure }] : [];
  });
}

/**
 * The colour of a step's product or mix laid on a ground at the step's dose; null for what has none, or no
 * dose. The ground is skin, or a layer of pigment.
 */
export function shownOfStep(
  step: Pick<Step, 'use' | 'doseMgPerCm2' | 'passes'>,
  ground: Lab,
  of: 'skin' | 'oxide' = 'skin',
): Lab | null {
  const parts = colouredParts(step).filter(
    ({ product }) => impossibleBecause(product.kind, product.lab) === null,
  );
  if (parts.length === 0 || step.doseMgPerCm2 === 0) return null;
  return labUnder(
    layOver(
      reconstructSpectrum(ground, 'D65', of).spectrum,
      mixedOptics(parts),
      step.doseMgPerCm2 * step.passes,
    ),
    'D65',
  );
}

/** 'Maker Line 3 : Maker Line 5, 2 : 1' or a single name. */
export function productsInWords(use: readonly Use[]): string {
  if (use.length === 0) return msg`no product`;
  const names = use.map((u) => productName(u.product)).join(msg` with `);
  return use.length === 1 ? names : `${names}, ${ratioInWords(use)}`;
}

/** '2 : 1' for mixes. */
export function ratioInWords(use: readonly Use[]): string {
  return ratioOfMeasures(use.map((u) => u.parts));
}
