import { doseFor, propertiesOf, smallestMg, type Measure, type ProductSnapshot } from '../kit';
import { placementArea } from '../face';
import { messages, msg, term } from '../messages';
import type { ShadeClient } from './usable';
import type { ShadeAsk } from './skinRole';

/** What a step needs on this face, before any product is chosen. */
export type Need = {
  readonly areaCm2: number;
  readonly onFaceMg: number;
  /** With what the tool keeps. */
  readonly takenMg: number;
};

/** Skin area of a step's placements on this client in cm2. */
export function areaOfStep(
  step: Pick<ShadeAsk, 'placements'>,
  client: Pick<ShadeClient, 'landmarks' | 'features'>,
): number {
  return step.placements.reduce(
    (sum, placement) => sum + placementArea(placement, client.landmarks, client.features),
    0,
  );
}

/** The amount a step needs, in mg: area, dose, passes and what the tool keeps. */
export function needOf(
  step: Pick<ShadeAsk, 'placements' | 'doseMgPerCm2' | 'passes' | 'tool'>,
  client: Pick<ShadeClient, 'landmarks' | 'features'>,
): Need {
  const areaCm2 = areaOfStep(step, client);
  return { areaCm2, ...doseFor(step, areaCm2) };
}

/** This share of the need counts as covering it: nobody measures a twentieth of a pump. */
export const COVERS = 0.95;
/** More than this times the need is waste that has to be explained. */
export const MOST_TAKEN = 1.5;

/** The most measures a chart notes of one product: beyond it what a measure holds is a slip of the pen. */
export const MOST_MEASURES = 10_000;
/** The same of a mix, whose largest part is at most twelve times its smallest. */
const MOST_ROUNDS = Math.floor(MOST_MEASURES / 12);

/** The fewest measures of one product that cover a need, in its smallest shares; at least one share. */
export function measuresToCover(product: ProductSnapshot, takenMg: number): number {
  const { smallestShare } = propertiesOf(product);
  const shares = Math.max(1, Math.ceil((COVERS * takenMg) / smallestMg(product) - 1e-9));
  return Math.min(MOST_MEASURES, smallestShare * shares);
}

/** How often a ratio of smallest shares has to be laid to cover a need. */
export function roundsToCover(perRoundMg: number, takenMg: number): number {
  return Math.min(MOST_ROUNDS, Math.max(1, Math.ceil((COVERS * takenMg) / perRoundMg - 1e-9)));
}

const PLURAL: Readonly<Record<Measure, string>> = messages({
  pump: 'pumps',
  drop: 'drops',
  dot: 'dots',
  swipe: 'swipes',
  'rice-grain': 'rice-grains',
});

/** The word for so many of a measure: 'pump', 'pumps'. */
export const measureWord = (parts: number, measure: Measure): string =>
  parts <= 1 ? term(measure) : PLURAL[measure];

/** '1½ pumps', 'half a pump', '3 drops'. */
export function measuresInWords(parts: number, measure: Measure): string {
  if (parts === 0.5) return msg`half a ${term(measure)}`;
  if (parts === 0.25) return msg`a quarter ${term(measure)}`;
  const whole = Math.floor(parts + 1e-9);
  const rest = parts - whole;
  const share =
    Math.abs(rest - 0.5) < 0.01
      ? '½'
      : Math.abs(rest - 0.25) < 0.01
        ? '¼'
        : Math.abs(rest - 0.75) < 0.01
          ? '¾'
          : null;
  const number =
    rest < 0.01
      ? String(whole)
      : share
        ? `${whole === 0 ? '' : whole}${share}`
        : String(Number(parts.toFixed(2)));
  return `${number} ${measureWord(parts, measure)}`;
}

/** '2 : 1', in lowest whole terms where there are any; half and quarter measures count. */
export function ratioOfMeasures(measures: readonly number[]): string {
  const gcd = (a: number, b: number): number => (b === 0 ? a : gcd(b, a % b));
  const quarters = measures.map((m) => m * 4);
  const whole = quarters.every((q) => Math.abs(q - Math.round(q)) < 1e-6);
  const divisor = whole ? quarters.map(Math.round).reduce(gcd) : 4;
  return quarters.map((q) => Number((q / divisor).toFixed(2))).join(' : ');
}
