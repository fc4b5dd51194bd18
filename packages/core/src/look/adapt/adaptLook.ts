import { undertoneOf } from '../../colour';
import { msg } from '../../messages';
import { dayOf, skinTarget } from '../../shade';
import type { Adaptation, ClientSnapshot, Look, LookStep, Occasion, Step } from '../document';
import { PHASES } from '../document';
import { withinProhibitions } from '../prohibitions';
import { oneOfEach, type Adapter, type AdaptTo } from './adapter';
import { ADDERS, DAY_ADAPTERS } from './day';
import { FACE_ADAPTERS } from './face';
import { LIP_ADAPTERS } from './lips';
import { POWDER_ADAPTERS } from './powder';
import { PRIME_ADAPTERS } from './prime';
import { SKIN_ADAPTERS } from './skin';

/** What the look itself forbids of places comes last, so that nothing brings it back. */
const PROHIBITIONS: Adapter = {
  id: 'the look’s prohibitions',
  change: (step, { look }) => {
    const { placements, broken } = withinProhibitions(
      { role: step.role, placements: step.placements, kinds: step.wants.kinds },
      look.forbids,
    );
    if (broken.length === 0) return null;
    const why = `${look.name}: ${broken.join(', ')}`;
    return placements.length === 0
      ? { words: msg`${step.title} left out`, why, leftOut: true }
      : { words: msg`${step.title} kept to the look`, why, set: { placements: [...placements] } };
  },
};
export const ADAPTERS: readonly Adapter[] = [
  ...PRIME_ADAPTERS,
  ...POWDER_ADAPTERS,
  ...SKIN_ADAPTERS,
  ...LIP_ADAPTERS,
  ...FACE_ADAPTERS,
  ...DAY_ADAPTERS,
  PROHIBITIONS,
];

export type AdaptedLook = {
  readonly steps: readonly LookStep[];
  readonly adaptations: readonly Adaptation[];
};

/**
 * A look's steps as this client and this day ask for them: every change a named piece of data with its reason
 * and what was before it. Those refused by id ('primer where oily') are left alone.
 */
export function adaptLook(
  look: Look,
  client: ClientSnapshot,
  occasion: Occasion,
  refused: readonly string[] = [],
): AdaptedLook {
  const to = adaptedTo(look, client, occasion);
  const adaptations: Adaptation[] = [];
  const given = withAdded(look, to, refused, adaptations);
  const steps = given.flatMap((step): LookStep[] => {
    const { step: now, made, out } = adaptedStep(step, to, (id) => !refused.includes(id));
    adaptations.push(...made, ...(out ? [out] : []));
    if (out) return [];
    return [now === step ? step : { ...now, placements: now.placements.map(oneOfEach) }];
  });
  return { steps, adaptations };
}

export type AdaptedStep<S extends LookStep> = {
  /** The step as it is asked; where it is left out, as it was until then. */
  readonly step: S;
  readonly made: readonly Adaptation[];
  /** What leaves the step out; null where it stays. */
  readonly out: Adaptation | null;
};

/** A step through the adapters that may, one after another; one that leaves it out ends it. */
export function adaptedStep<S extends LookStep>(
  step: S,
  to: AdaptTo,
  may: (id: string) => boolean,
): AdaptedStep<S> {
  const made: Adaptation[] = [];
  let now = step;
  for (const { id, change } of ADAPTERS) {
    const changed = may(id) ? change(now, to) : null;
    if (changed === null) continue;
    const told = { id, stepId: step.id, words: changed.words.slice(0, 200), why: changed.why };
    if ('leftOut' in changed)
      return { step: now, made, out: { ...told, change: 'left out', was: { ...now, use: [] } } };
    made.push({ ...told, change: 'changed', was: partOf(now, changed.set), now: changed.set });
    now = { ...now, ...changed.set };
  }
  return { step: now, made, out: null };
}

/** What a look is fitted to, as the adapters ask it. */
export function adaptedTo(look: AdaptTo['look'], client: ClientSnapshot, occasion: Occasion): AdaptTo {
  const skin = skinTarget(client.skin);
  return {
    client,
    features: client.features,
    day: dayOf(occasion),
    look,
    skin,
    undertone: skin ? undertoneOf(client.skin.neck ?? skin).undertone : null,
  };
}

function withAdded(
  look: Look,
  to: AdaptTo,
  refused: readonly string[],
  adaptations: Adaptation[],
): LookStep[] {
  let steps = [...look.steps];
  for (const adder of ADDERS) {
    if (refused.includes(adder.id)) continue;
    // What is added together stays in its order.
    const here = new Set<string>();
    adder.add(steps, to).forEach((added, n) => {
      const id = derivedId(look.id, `${adder.id} ${n}`);
      here.add(id);
      adaptations.push({ id: adder.id, stepId: id, change: 'added', words: added.words, why: added.why });
      const rank = PHASES.indexOf(added.step.phase);
      const after = steps.findIndex((s) => PHASES.indexOf(s.phase) >= rank && !here.has(s.id));
      // A liner comes before the lip it holds; a spray comes last.
      const at = after < 0 || added.step.phase === 'finish' ? steps.length : after;
      steps = [...steps.slice(0, at), { ...added.step, id }, ...steps.slice(at)];
    });
  }
  return steps;
}

/** The step's values under the keys that are changed: what brings it back. */
export function partOf(step: LookStep, set: Partial<LookStep>): Partial<Step> {
  return Object.fromEntries(Object.entries(step).filter(([key]) => key in set));
}

/** An id that is always the same for one look and one added step. */
export function derivedId(id: string, salt: string): string {
  let hash = 2166136261;
  for (const char of salt) hash = Math.imul(hash ^ char.charCodeAt(0), 16777619) >>> 0;
  return `${id.slice(0, 28)}${hash.toString(16).padStart(8, '0')}`;
}

/** An adaptation as it is told: 'Primer where it needs it: primer on forehead and nose: oily there.' */
export function adaptationInWords(
  { words, why }: Pick<Adaptation, 'words' | 'why'>,
  title: string | undefined,
): string {
  const said =
    title === undefined || words.toLowerCase().startsWith(title.toLowerCase())
      ? words
      : `${title}: ${words.charAt(0).toLowerCase()}${words.slice(1)}`;
  return `${said}: ${why}.`;
}
