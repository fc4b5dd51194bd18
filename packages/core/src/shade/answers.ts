import type { Lab } from '../colour';
import type { Product, Unit } from '../kit';
import type { Need } from './portions';
import type { Miss } from './ranges';
import type { ShadeRole } from './skinRole';

/** The parts of the one cost, in units of colour difference. */
export const COST_PARTS = [
  'colour',
  'depth',
  'texture',
  'finish',
  'coverage',
  'family',
  'skin',
  'day',
  'face',
  'stock',
  'mix',
  'waste',
] as const;

export type CostPart = {
  readonly part: (typeof COST_PARTS)[number];
  readonly units: number;
  readonly words: string;
};

export type AnswerPart = {
  readonly product: Product;
  readonly unit: Unit | null;
  /** Measures, in its smallest shares. */ readonly measures: number;
};

/** A product or a mix as the answer to a step. */
export type ShadeAnswer = {
  readonly parts: readonly AnswerPart[];
  /** In the pan or the bowl; null for what has no colour. */
  readonly lab: Lab | null;
  /** Predicted on her skin at the planned dose. */
  readonly shown: Lab | null;
  /** CIEDE2000 of the pan's colour to what is asked, daylight. */
  readonly deltaE: number | null;
  /** Shade steps against her skin (positive deeper), in the pan and as it shows. */
  readonly steps: { readonly own: number; readonly shown: number } | null;
  readonly need: Need;
  readonly madeMg: number;
  /** What it is ranked by: the sum of its parts. Lower is better. */
  readonly cost: number;
  readonly costs: readonly CostPart[];
  /** How it leaves the range of its role; empty for what is proposed. */
  readonly misses: readonly Miss[];
};

/** What to do where the kit has nothing that does it. */
export type StepGap = {
  /** 'Lid: nothing in the kit does this. …', with how far the nearest is. */
  readonly words: string;
  /** The same without the step's name, which may be told of several. */
  readonly why: string;
  readonly nearest: ShadeAnswer | null;
  /** What stirred into the nearest would do it; null where no mix is thinkable. */
  readonly mixNeeds: string | null;
  /** What to buy. */
  readonly buy: string | null;
  /** How many at hand have no colour read, where that is why; 0 for any other reason. */
  readonly unread: number;
};

export type StepMatch = {
  readonly role: ShadeRole | null;
  readonly target: Lab | null;
  /** In range, best first. */
  readonly answers: readonly ShadeAnswer[];
  /** Usable but out of range, nearest first. */
  readonly outside: readonly ShadeAnswer[];
  readonly gap: StepGap | null;
  /** Products of the kinds asked that cannot be used at all, with why. */
  readonly ruledOut: readonly { readonly product: Product; readonly why: string }[];
};
