import { chromaOf, depthOf, hueOf, type Lab } from '../colour';
import { msg } from '../messages';
import { colourToBuy, type StepGap } from '../shade';
import { isLipColour } from './coloursApart';
import type { Step } from './document';
import {
  atHand,
  colourOfUse,
  matchAndPropose,
  productsInWords,
  type FitContext,
  type Proposal,
} from './propose';

/**
 * How far a liner may be from the lip it lines, in shade steps and turn of hue, chosen and judged: as deep or
 * a little deeper. Of what is nearly grey no hue is seen.
 */
const LIKE_THE_LIP = {
  propose: { lighter: 0.8, deeper: 2.6, turn: 34 },
  judge: { lighter: 1.2, deeper: 3, turn: 38 },
} as const;
const SEEN_CHROMA = 12;

/** How a liner is off the lip it lines, so that a ring shows: '1.4 steps lighter than'; null if it is not. */
export function offLip(liner: Lab, lip: Lab, how: keyof typeof LIKE_THE_LIP): string | null {
  const most = LIKE_THE_LIP[how];
  const deeper = depthOf(liner) - depthOf(lip);
  const turn = Math.abs(((hueOf(liner) - hueOf(lip) + 540) % 360) - 180);
  if (turn > most.turn && chromaOf(liner) > SEEN_CHROMA && chromaOf(lip) > SEEN_CHROMA)
    return msg`another hue than`;
  if (deeper < -most.lighter) return msg`${(-deeper).toFixed(1)} steps lighter than`;
  return deeper > most.deeper ? msg`${deeper.toFixed(1)} steps deeper than` : null;
}

/** Whether something is no ring round a lip of this colour; anything is round one that has none. */
export const noRingRound =
  (lip: Lab | null | undefined) =>
  ({ lab }: Pick<Proposal, 'lab'>): boolean =>
    !lip || (lab !== null && offLip(lab, lip, 'propose') === null);

/**
 * Whether a step may take something beside the lip it lines; a step that lines none may take anything.
 * Whoever does not believe every colour written says which colour a step has.
 */
export function besideItsLip(
  step: Step,
  steps: readonly Step[],
  colourOf: (step: Step) => Lab | null = ({ use }) => colourOfUse(use),
): (one: Pick<Proposal, 'lab'>) => boolean {
  const lip = step.role === 'lip line' ? lipOf(step, steps) : undefined;
  return noRingRound(lip && colourOf(lip));
}

const isLiner = ({ use }: Step): boolean => use.some(({ product }) => product.kind === 'lip liner');

type Lined = {
  readonly steps: Step[];
  readonly proposals: Readonly<Record<string, readonly Proposal[]>>;
  readonly gaps: Readonly<Record<string, StepGap>>;
  readonly notes: readonly string[];
};

/**
 * Steps whose liners are like the lip that was chosen: what a look asks of both may be far from what the kit
 * has of one. A liner that would show as a ring gives way to the nearest that does not; where the kit has
 * none its step stays without a product, and that is said.
 */
export function linedLikeLips(steps: readonly Step[], context: FitContext): Lined {
  const proposals: Record<string, readonly Proposal[]> = {};
  const gaps: Record<string, StepGap> = {};
  const notes: string[] = [];
  const lined = steps.map((step): Step => {
    const lip = isLiner(step) ? lipOf(step, steps) : undefined;
    const [own, worn] = [colourOfUse(step.use), lip && colourOfUse(lip.use)];
    if (!lip || !own || !worn || offLip(own, worn, 'judge') === null) return step;
    const asked: Step = { ...step, shade: { lab: [...worn] } };
    const ranked = matchAndPropose(asked, context).proposals;
    const like = atHand(ranked).filter(noRingRound(worn));
    const [first] = like;
    if (first) {
      proposals[step.id] = [first, ...ranked.filter((one) => one !== first)];
      const [taken, before] = [productsInWords(first.use), productsInWords(step.use)];
      notes.push(msg`${step.title}: ${taken} instead of ${before}, as deep as the lip it lines.`);
      return { ...asked, use: [...first.use] };
    }
    proposals[step.id] = [];
    gaps[step.id] = ringed(step, lip, own, worn);
    return { ...step, use: [] };
  });
  return { steps: lined, proposals, gaps, notes };
}

/** The lip a liner is round: of its own variant, else of the plan. */
function lipOf({ variant }: Pick<Step, 'variant'>, steps: readonly Step[]): Step | undefined {
  const lips = steps.filter((step) => isLipColour(step) && step.use.length > 0);
  return lips.find((lip) => lip.variant === variant) ?? lips.find((lip) => lip.variant === undefined);
}

function ringed({ title, use, role }: Step, lip: Step, liner: Lab, worn: Lab): StepGap {
  const off = offLip(liner, worn, 'judge')!;
  const why = msg`no liner of the kit is like the lip. ${productsInWords(use)} is ${off} ${lip.title.toLowerCase()}: a ring would show. Line with the lip colour itself and a fine brush, or leave it out.`;
  const buy = msg`a lip liner, ${colourToBuy(worn, role)}`;
  return { words: `${title}: ${why}`, why, nearest: null, mixNeeds: null, buy, unread: 0 };
}
