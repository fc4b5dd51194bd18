import { isNobodyYet } from './changes';
import { learnMinutes, type Timed } from './learnMinutes';
import { hairOf, type PartyPlan } from './party';
import { DAY_STRAYS, USUAL_STAYS, type Stays } from './simulate';
import type { Line } from './lines';

/** Fewer visits of a pair of hands are chance: then the trade's guess speaks. */
export const LEAST_TIMED = 3;
/** No hands are steadier from visit to visit. */
const LEAST_STRAY = 0.05;

export type OwnMinutes = Stays & {
  /** Of the hands of this plan, those whose own visits speak, by name, with how many. */
  readonly known: readonly { readonly name: string; readonly visits: number }[];
};

/**
 * How long a plan's visits really take by the studio's own timed visits: what is usual of planned minutes for
 * these hands (beside the pace their plan counts with already), and how far they stray, each with what is not
 * known yet. Of hands timed fewer than three times, and of all else, the trade's guess.
 */
export function ownMinutes(plan: PartyPlan, timed: readonly Timed[]): OwnMinutes {
  const learned = learnMinutes(timed);
  const guests = new Map(plan.guests.map((guest) => [guest.id, guest]));
  const hands = new Map(plan.hands.map((one) => [one.id, one]));
  const known = new Map<string, { readonly factor: number; readonly sd: number } | null>();
  const of = (line: Line): { readonly factor: number; readonly sd: number } | null => {
    const [who, guest] = [hands.get(line.worker.id), guests.get(line.of)];
    if (!who || !guest || isNobodyYet(who.name)) return null;
    const look = line.task.id === hairOf(guest) ? 'hair' : '';
    const key = JSON.stringify([who.id, look, guest.role]);
    const before = known.get(key);
    if (before !== undefined) return before;
    const { factor, sd, visits } = learned({ worker: who.name, look, kind: guest.role });
    const told = visits < LEAST_TIMED ? null : { factor: factor / (who.pace ?? 1), sd };
    known.set(key, told);
    return told;
  };
  return {
    // What the day shares is added to every morning by itself.
    strayOf: (line) => {
      const told = of(line);
      return told === null
        ? USUAL_STAYS.strayOf(line)
        : Math.sqrt(Math.max(LEAST_STRAY ** 2, told.sd ** 2 - DAY_STRAYS ** 2));
    },
    paceOf: (line) => of(line)?.factor ?? 1,
    known: plan.hands.flatMap(({ name }) => {
      if (isNobodyYet(name)) return [];
      const { visits } = learned({ worker: name, look: '', kind: '' });
      return visits < LEAST_TIMED ? [] : [{ name, visits }];
    }),
  };
}
