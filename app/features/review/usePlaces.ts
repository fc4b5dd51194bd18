import { startTransition, useEffect, useMemo, useState } from 'react';
import { reviewPlaces, type Chart, type ReviewFinding, type RuleGrades } from '@toile/core';

/**
 * What is to be looked at on the face, as fast as a hand places; null until the chart has been drawn once:
 * a chart that is opened is there to be read before it is judged.
 */
export function usePlaces(chart: Chart, grades: RuleGrades): readonly ReviewFinding[] | null {
  const [drawn, setDrawn] = useState(false);
  useEffect(() => {
    // After the frame in which it is seen, not before it.
    let timer: ReturnType<typeof setTimeout> | undefined;
    const frame = requestAnimationFrame(() => {
      timer = setTimeout(() => startTransition(() => setDrawn(true)), 0);
    });
    return () => {
      cancelAnimationFrame(frame);
      clearTimeout(timer);
    };
  }, []);
  return useMemo(() => (drawn ? reviewPlaces(chart, grades) : null), [drawn, chart, grades]);
}
