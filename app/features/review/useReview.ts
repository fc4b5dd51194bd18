import { useDeferredValue, useMemo } from 'react';
import { chartAsReviewed, type Chart, type Kit, type RuleGrades } from '@toile/core';
import { useLearned, useStudioSettings } from '../../data/hooks';
import { useSame } from '../../data/useSame';
import { askFitting, useWork } from '../../workers';
import { useMinded } from '../clients/useMinded';
import type { ReviewLine } from '../../workers/fittingJobs';

const NO_GRADES: RuleGrades = {};

/** The studio's own grades of the rules. */
export const useGrades = (): RuleGrades => useStudioSettings().data?.settings.ruleGrades ?? NO_GRADES;

/** What a worker finds in the chart as it stands; null until it has looked, or without a kit. */
export function useReview(chart: Chart, kit: Kit | undefined): readonly ReviewLine[] | null {
  const grades = useGrades();
  // Of a note only what rules look for: the rest changes nothing here.
  const minded = useMinded(chart);
  const drawn = useSame(useDeferredValue(useMemo(() => chartAsReviewed(minded), [minded])));
  const wears = useLearned(chart.client.id).data?.wears;
  const asked = useMemo(
    () => (kit ? { chart: drawn, kit, grades, ...(wears && { wears }) } : null),
    [drawn, kit, grades, wears],
  );
  return useWork(askFitting, 'review', asked).answer;
}
