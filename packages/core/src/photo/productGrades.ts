import type { Side } from '../face';
import { productName } from '../kit';
import type { Chart } from '../look';
import type { FlashGrade } from '../shade';
import { zonesCompared, type TrialZone } from '../trial';
import { gradeOfCast, type WhiteCast } from './whiteCast';

/** What a flash threw back in one half of a zone. */
export type ZoneCast = WhiteCast & {
  readonly zone: TrialZone;
  readonly side: Side;
  /** So much of either picture is burnt out there that nothing is told. */
  readonly burnt: boolean;
};

export type ProductGrade = {
  readonly productId: string;
  readonly name: string;
  readonly grade: FlashGrade;
  /** Where it lies and was measured. */
  readonly zones: readonly TrialZone[];
};

/** What can throw a flash back; what mostly does comes first. */
const THROWS = ['powder', 'base', 'concealer', 'primer', 'spray', 'highlight'] as const;
/** Under so much dose nothing can be said of a product, mg/cm2. */
const LEAST_DOSE = 0.05;

/**
 * The grade each product of a chart's plan would have if it alone threw back what was measured where it lies;
 * only from zones the pictures could tell of. Each product once, by the step that lays most of it.
 */
export function productGrades(chart: Chart, casts: readonly ZoneCast[]): ProductGrade[] {
  const told = casts.filter(({ burnt, cast }) => !burnt && cast !== null);
  const laid = chart.steps
    .filter(({ variant, placements }) => variant === undefined && placements.length > 0)
    .map((step) => ({ step, dose: step.doseMgPerCm2 * step.passes }))
    .filter(({ dose }) => dose >= LEAST_DOSE)
    .sort((one, other) => other.dose - one.dose);
  const found = laid.flatMap(({ step, dose }) => {
    const zones = zonesCompared(chart, [{ here: step, other: null }]);
    const here = told.filter(({ zone }) => zones.includes(zone));
    if (here.length === 0) return [];
    const added = here.reduce((sum, one) => sum + one.added, 0) / here.length;
    return step.use.map(({ product }) => ({
      kind: THROWS.findIndex((kind) => kind === product.kind),
      productId: product.id,
      name: productName(product),
      grade: gradeOfCast(added, dose),
      zones: [...new Set(here.map(({ zone }) => zone))],
    }));
  });
  return found
    .filter(({ kind }) => kind >= 0)
    .filter((one, i, all) => all.findIndex(({ productId }) => productId === one.productId) === i)
    .sort((one, other) => one.kind - other.kind)
    .map(({ kind: _kind, ...grade }) => grade);
}
