import { useEffect } from 'react';
import type { Step } from '@toile/core';

/** What takes the arrows for itself while it has the focus. */
const OWN_ARROWS = 'input,textarea,select,dialog,[role=slider],[role=tab],[role=radio],[aria-description]';

/** Arrows up and down go through the steps of an open chart. */
export function useStepKeys(
  steps: readonly Step[],
  selected: string | null,
  onSelect: (id: string | null) => void,
): void {
  useEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      const by = event.key === 'ArrowDown' ? 1 : event.key === 'ArrowUp' ? -1 : 0;
      if (by === 0 || (event.target instanceof Element && event.target.closest(OWN_ARROWS))) return;
      event.preventDefault();
      const at = steps.findIndex((s) => s.id === selected);
      onSelect(steps[Math.max(0, Math.min(steps.length - 1, at + by))]?.id ?? null);
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [steps, selected, onSelect]);
}
