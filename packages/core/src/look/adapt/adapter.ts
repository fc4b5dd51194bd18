import type { Lab, Undertone } from '../../colour';
import { sidesWhere, type Features, type Side } from '../../face';
import { msg, term } from '../../messages';
import type { Day } from '../../shade';
import type { ClientSnapshot, Look, LookStep } from '../document';

/** What a look is fitted to: the client, the day and the look’s own rules. */
export type AdaptTo = {
  readonly client: ClientSnapshot;
  readonly features: Features;
  readonly day: Day;
  readonly look: Pick<Look, 'name' | 'forbids' | 'schools'> & {
    readonly steps: readonly Pick<
      LookStep,
      'id' | 'role' | 'phase' | 'title' | 'wants' | 'placements' | 'shade' | 'variant' | 'instead'
    >[];
  };
  readonly skin: Lab | null;
  readonly undertone: Undertone | null;
};

/** One thing a client or a day changes of a step, with its reason. */
export type Change =
  | { readonly words: string; readonly why: string; readonly set: Partial<LookStep> }
  | { readonly words: string; readonly why: string; readonly leftOut: true };

/** A practice that changes steps, as data: it can be named, shown and refused. */
export type Adapter = {
  readonly id: string;
  readonly change: (step: LookStep, to: AdaptTo) => Change | null;
};

/** A practice that adds a step a client or a day asks for and the look has not got. */
export type Adder = {
  readonly id: string;
  readonly add: (
    steps: readonly LookStep[],
    to: AdaptTo,
  ) => readonly { readonly step: Omit<LookStep, 'id'>; readonly words: string; readonly why: string }[];
};

export type Guided = Extract<LookStep['placements'][number], { guide: unknown }>;
export type GuideName = Guided['guide'];

export const guidesOf = (step: Pick<LookStep, 'placements'>): readonly GuideName[] =>
  step.placements.flatMap((p) => ('guide' in p ? [p.guide] : []));
export const has = (step: Pick<LookStep, 'placements'>, ...guides: readonly GuideName[]): boolean =>
  guidesOf(step).some((g) => guides.includes(g));
const interned = new Map<string, LookStep['placements'][number]>();
const MOST_INTERNED = 4000;

/**
 * One object for one guided placement: what is worked out of a place is remembered by it, from one fit to the
 * next.
 */
export function oneOfEach(placement: LookStep['placements'][number]): LookStep['placements'][number] {
  if (!('guide' in placement)) return placement;
  const key = JSON.stringify(placement);
  let held = interned.get(key);
  if (!held) {
    if (interned.size >= MOST_INTERNED) interned.clear();
    interned.set(key, (held = placement));
  }
  return held;
}
/**
 * The first of some steps by when they were made, whatever order they are worked in: the same in a look and
 * in a chart of it.
 */
export const firstMade = <S extends Pick<LookStep, 'id'>>(steps: readonly S[]): S | undefined =>
  steps.reduce<S | undefined>((first, step) => (first && first.id <= step.id ? first : step), undefined);

export const both = (guide: GuideName): Guided => ({ guide, side: 'both' });
/** Guides on both sides, each once. */
export const placesAt = (guides: readonly GuideName[]): LookStep['placements'] =>
  [...new Set(guides)].map(both);

export const linedUnderEye = (features: Features): readonly Side[] =>
  sidesWhere(features, ({ lines }) => lines.includes('under eye'));
export const textured = (features: Features): boolean =>
  sidesWhere(features, ({ texture }) => texture === 'textured').length > 0;

/** The step's note with a sentence more; unchanged when it says so already. */
export function noted(step: Pick<LookStep, 'note'>, sentence: string): string {
  if (step.note.includes(sentence)) return step.note;
  return step.note === '' ? sentence : `${step.note} ${sentence}`;
}

export const rounded = (value: number): number => Math.round(value * 100) / 100;

export const sidesInWords = (sides: readonly Side[]): string =>
  sides.length === 2 ? msg`both sides` : msg`the client’s ${term(sides[0]!)}`;

/** A guide put in place of another on some sides, kept on the rest. */
export function exchanged(
  step: LookStep,
  from: readonly GuideName[],
  into: GuideName,
  sides: readonly Side[],
  params?: Guided['params'],
): LookStep['placements'] | null {
  let found = false;
  const placements = step.placements.flatMap((p): LookStep['placements'] => {
    if (!('guide' in p) || !from.includes(p.guide)) return [p];
    const here = sides.filter((side) => p.side === 'both' || p.side === side);
    if (here.length === 0) return [p];
    found = true;
    const put = here.length === 2 ? ('both' as const) : here[0]!;
    const rest =
      p.side === 'both' && here.length === 1
        ? [{ ...p, side: here[0] === 'left' ? ('right' as const) : ('left' as const) }]
        : [];
    return [{ guide: into, side: put, ...(params ? { params } : {}) }, ...rest];
  });
  return found ? placements : null;
}
