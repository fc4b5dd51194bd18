import { msg, type PartyPlan } from '@toile/core';
import type { PartyAnswer } from '@toile/contract';
import { call, currentOf } from '../../data/call';
import { useRefresh, useSession } from '../../data/hooks';
import { useAsChanged, type AsChanged } from '../../data/useAsChanged';
import { useSame } from '../../data/useSame';
import { zoneOfDays } from '../words/dates';
import { bodyOf, planOf } from './partyView';

export type PartyWork = {
  readonly party: PartyAnswer;
  /** As last changed here, on its way or kept. */
  readonly plan: PartyPlan;
  /** Keeps a changed plan; whether it was kept. A change of people or hands lets go of the timetable. */
  readonly keep: (plan: PartyPlan) => Promise<boolean>;
} & Pick<AsChanged<PartyPlan>, 'busy' | 'failure' | 'errors'>;

const revisionOf = ({ revision }: PartyAnswer): number => revision;

/**
 * A party's plan and the way to change it. Where somebody else was first, their plan is shown and it is told.
 */
export function usePartyPlan(party: PartyAnswer): PartyWork {
  const session = useSession();
  const refresh = useRefresh();
  const params = { id: party.id };
  const { value, keep, busy, failure, errors } = useAsChanged<PartyAnswer, PartyPlan>({
    newest: party,
    stampOf: revisionOf,
    valueOf: (answer) => planOf(answer, session.data?.name ?? msg`Artist`, zoneOfDays()),
    send: async (base, next) => {
      const answer = await call('updateParty', {
        params,
        revision: base.revision,
        body: bodyOf(base, next),
      });
      // What follows from it is asked again meanwhile: the next change need not wait for that.
      void refresh({ name: 'party', params, answer });
      return answer;
    },
    theirsIn: (error) => currentOf('updateParty', error) ?? null,
  });
  return { party, plan: useSame(value), keep, busy, failure, errors };
}
