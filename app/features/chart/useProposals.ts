import { useMemo } from 'react';
import { contextOf, type Chart, type Kit, type Step } from '@toile/core';
import { askFitting, useWork } from '../../workers';
import { useMinded } from '../clients/useMinded';
import type { MatchedStep } from '../../workers/fittingJobs';

export type Proposals = { readonly found: MatchedStep | null; readonly error: string | null };

/**
 * Products of the kit for one step, and where nothing does it how far the nearest is: the one matcher, in the
 * worker; null while it works. Asked again when what is asked changes (place, dose, shade, kit, face, day,
 * school), not for a note typed or a product picked. What holds it is keyed by the step, so that one step's
 * products are never offered for another.
 */
export function useProposals(step: Step, chart: Chart, kit: Kit | undefined): Proposals {
  const { role, phase, title, shade, wants, placements, doseMgPerCm2, passes, tool } = step;
  const { client, occasion, forbids, schools } = useMinded(chart);
  const asked = useMemo(
    () =>
      kit
        ? {
            step: { role, phase, title, shade, wants, placements, doseMgPerCm2, passes, tool },
            context: contextOf({ client, occasion, forbids, schools }, kit),
          }
        : null,
    [
      role,
      phase,
      title,
      shade,
      wants,
      placements,
      doseMgPerCm2,
      passes,
      tool,
      client,
      occasion,
      forbids,
      schools,
      kit,
    ],
  );
  const { answer, error } = useWork(askFitting, 'propose', asked);
  return { found: answer, error };
}
