import type { PartyPlan } from '@toile/core';
import type { PartyAnswer } from '@toile/contract';
import { call, currentOf } from '../../data/call';
import { useRefresh, useSession } from '../../data/hooks';
import { useSame } from '../../data/useSame';
import { useSaving, type Saving } from '../../data/useSaving';
import { zoneOfDays } from '../words/dates';
import { bodyOf, planOf } from './partyView';

export type PartyWork = {
  readonly party: PartyAnswer;
  readonly plan: PartyPlan;
  /** Keeps a changed plan; whether it was kept. A change of people or hands lets go of the timetable. */
  readonly keep: (plan: PartyPlan) => Promise<boolean>;
} & Pick<Saving, 'busy' | 'failure' | 'errors'>;

/** A party's plan and the way to change it. */
export function usePartyPlan(party: PartyAnswer): PartyWork {
  const session = useSession();
  const refresh = useRefresh();
  const { busy, failure, errors, save } = useSaving();
  const plan = useSame(planOf(party, session.data?.name ?? 'Artist', zoneOfDays()));
  const keep = async (next: PartyPlan): Promise<boolean> => {
    const done = await save(async () => {
      const params = { id: party.id };
      try {
        const body = bodyOf(party, next);
        const answer = await call('updateParty', { params, revision: party.revision, body });
        await refresh({ name: 'party', params, answer });
        return true;
      } catch (error) {
        // Somebody else was first: their plan is shown, what was being changed stays to be kept on top of it.
        const current = currentOf('updateParty', error);
        if (current) await refresh({ name: 'party', params, answer: current });
        throw error;
      }
    });
    return done === true;
  };
  return { party, plan, keep, busy, failure, errors };
}
