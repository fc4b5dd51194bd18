import { useMemo } from 'react';
import { contextOf, type Chart, type Kit, type Step } from '@toile/core';
import { askFitting, useWork } from '../../workers';
import type { MatchedStep } from '../../workers/fittingJobs';

export type Proposals = { readonly found: MatchedStep | null; readonly error: string | null };

/** Products of the kit for one step, and where nothing does it how far the nearest is: the one matcher, in the worker; null while it works. */
export function useProposals(step: Step | null, chart: Chart, kit: Kit | undefined): Proposals {
  const stepId = step?.id;
  const { client, occasion, forbids, schools } = chart;
  // Only another step, kit, face, day or school asks again: a note typed or a product picked does not.
  // eslint-disable-next-line react-hooks/exhaustive-deps
  const asked = useMemo(() => (step && kit ? { step, context: contextOf(chart, kit) } : null), [stepId, kit, client, occasion, forbids, schools]);
  const { answer, error } = useWork(askFitting, 'propose', asked);
  return { found: answer ?? null, error };
}
