import { useEffect, useMemo, useState } from 'react';
import { forbidsOf, type Chart, type Kit, type Proposal, type Step } from '@toile/core';
import { askFitting } from '../../workers';

export type Proposals = { readonly list: readonly Proposal[] | null; readonly error: string | null };

type Found = Proposals & { readonly asked: object | null };

/** Products of the kit ranked for one step, worked out in the worker; null while it works. */
export function useProposals(step: Step | null, chart: Chart, kit: Kit | undefined): Proposals {
  const [found, setFound] = useState<Found>({ asked: null, list: null, error: null });
  const stepId = step?.id;
  const { client } = chart;
  const { date } = chart.occasion;
  // Only another step, kit, face or date asks again: a note typed or a product picked does not.
  // eslint-disable-next-line react-hooks/exhaustive-deps
  const asked = useMemo(() => (step && kit ? { step, context: { client, kit, date, forbids: forbidsOf(chart) } } : null), [stepId, kit, client, date]);
  useEffect(() => {
    if (!asked) return;
    let current = true;
    askFitting('propose', asked).then(
      (list) => current && setFound({ asked, list, error: null }),
      (error: unknown) => current && setFound({ asked, list: null, error: error instanceof Error ? error.message : String(error) }),
    );
    return () => {
      current = false;
    };
  }, [asked]);
  return found.asked === asked ? found : { list: null, error: null };
}
