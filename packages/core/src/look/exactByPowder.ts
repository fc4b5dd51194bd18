import { deltaE2000, depthOf, labUnder, reconstructSpectrum, type Lab } from '../colour';
import { shadeName, snapshotOf, type Product } from '../kit';
import { msg } from '../messages';
import {
  BASE_WITHIN,
  excludedBecause,
  isColoured,
  layOver,
  measuresToCover,
  needOf,
  opticsOf,
  skinTarget,
  unitToTake,
  type StepGap,
} from '../shade';
import type { Adaptation, LookStep, Step } from './document';
import { basesFace, setsSkin, setsTheFace } from './ofSkin';
import { proposalOf, shownOfStep, type FitContext } from './propose';

/** What is recorded of a powder that was taken for the base's sake. */
export const EXACT_BY_POWDER = 'base made exact by powder';
/** A rounding more than it is chosen within. */
const STILL_EXACT = 2.2;

/** Whether a powder laid over a base brings it to a skin. */
export function bringsBaseTo(skin: Lab, base: Lab, powder: Parameters<typeof shownOfStep>[0]): boolean {
  const seen = shownOfStep(powder, base, 'oxide');
  return seen !== null && deltaE2000(seen, skin) <= STILL_EXACT;
}

/** A base further off than this is not saved by powder. */
const MOST_OFF = 4.5;
/** A powder deeper than this in the pan is a patch wherever it catches, shade steps. */
const MOST_DEEPER = 1.2;
/** Doses of powder over the whole face that are tried, mg a cm2, thinnest first. */
const DOSES = [0.3, 0.45, 0.6] as const;

type Made = { readonly steps: Step[]; readonly adaptations: Adaptation[] };

/**
 * An inexact base made exact by powder: where the kit has no base in range but one near it that a powder over
 * it brings there, both are taken.
 */
export function madeExactByPowder(
  steps: readonly Step[],
  gaps: Readonly<Record<string, StepGap>>,
  context: FitContext,
): Made {
  const target = skinTarget(context.client.skin);
  const base = steps.find(
    (s) =>
      basesFace(s) && s.variant === undefined && s.use.length === 0 && gaps[s.id]?.nearest?.deltaE != null,
  );
  const nearest = base ? gaps[base.id]!.nearest! : null;
  const powders = steps.filter((s) => setsSkin(s) && s.variant === undefined);
  const powder = powders.find(setsTheFace) ?? powders[0];
  if (!target || !base || !nearest?.lab || !powder || nearest.deltaE === null || nearest.deltaE > MOST_OFF)
    return { steps: [...steps], adaptations: [] };
  const found = bestPowder(nearest.lab, target, powder, context);
  if (!found) return { steps: [...steps], adaptations: [] };
  const { product, dose, deltaE } = found;
  const placed: Step = {
    ...powder,
    doseMgPerCm2: dose,
    passes: 1,
    placements: [{ guide: 'zone.wholeFace', side: 'both' }],
  };
  const parts = measuresToCover(product, needOf(placed, context.client).takenMg);
  const exact: Step = {
    ...placed,
    use: [
      {
        unitId: unitToTake(product, context)?.id ?? null,
        product: snapshotOf(product),
        parts,
        measure: product.measure,
      },
    ],
  };
  return {
    steps: steps.map((s) =>
      s.id === base.id ? { ...s, use: [...proposalOf(nearest).use] } : s.id === powder.id ? exact : s,
    ),
    adaptations: [
      {
        id: EXACT_BY_POWDER,
        stepId: powder.id,
        change: 'changed',
        words: msg`${powder.title} over the whole face with ${shadeName(product)}`.slice(0, 200),
        why: msg`no base is in range; the nearest is ${nearest.deltaE.toFixed(1)} off, and with this powder over it ${deltaE.toFixed(1)}`,
        was: {
          placements: powder.placements,
          doseMgPerCm2: powder.doseMgPerCm2,
          passes: powder.passes,
          use: powder.use,
        },
      },
    ],
  };
}

function bestPowder(
  base: Lab,
  target: Lab,
  step: LookStep | Step,
  context: FitContext,
): { readonly product: Product; readonly dose: number; readonly deltaE: number } | null {
  const ground = reconstructSpectrum(base, 'D65', 'oxide').spectrum;
  const tried = context.kit.products
    .filter(isColoured)
    .filter(
      (p) =>
        depthOf(p.lab) - depthOf(target) <= MOST_DEEPER &&
        excludedBecause(p, step, context) === null &&
        unitToTake(p, context) !== null,
    )
    .flatMap((product) =>
      DOSES.map((dose) => ({
        product,
        dose,
        deltaE: deltaE2000(labUnder(layOver(ground, opticsOf(product), dose), 'D65'), target),
      })),
    )
    .filter(({ deltaE }) => deltaE <= BASE_WITHIN)
    .sort((a, b) => a.dose - b.dose || a.deltaE - b.deltaE);
  return tried[0] ?? null;
}
