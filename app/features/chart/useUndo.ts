import { useCallback, useEffect, useState } from 'react';

/** Back and forth through what was changed. */
export type UndoSteps = {
  readonly undo: () => void;
  readonly redo: () => void;
  readonly canUndo: boolean;
  readonly canRedo: boolean;
};

export type Undo<T> = UndoSteps & { readonly change: (next: T) => void };

/**
 * Every change of a value can be taken back and done again, without limit, by button and by Ctrl+Z and
 * Ctrl+Y. Values are shared, not copied.
 */
export function useUndo<T>(value: T, onChange: (value: T) => void): Undo<T> {
  const [past, setPast] = useState<readonly T[]>([]);
  const [future, setFuture] = useState<readonly T[]>([]);
  const change = useCallback(
    (next: T) => {
      setPast((p) => [...p, value]);
      setFuture([]);
      onChange(next);
    },
    [onChange, value],
  );
  const undo = useCallback(() => {
    const last = past[past.length - 1];
    if (last === undefined) return;
    setPast(past.slice(0, -1));
    setFuture([...future, value]);
    onChange(last);
  }, [past, future, onChange, value]);
  const redo = useCallback(() => {
    const next = future[future.length - 1];
    if (next === undefined) return;
    setFuture(future.slice(0, -1));
    setPast([...past, value]);
    onChange(next);
  }, [past, future, onChange, value]);
  useEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      if (!(event.ctrlKey || event.metaKey)) return;
      if (event.target instanceof HTMLElement && /^(INPUT|TEXTAREA)$/.test(event.target.tagName)) return;
      const key = event.key.toLowerCase();
      const back = key === 'z' && !event.shiftKey;
      if (!back && key !== 'y' && key !== 'z') return;
      event.preventDefault();
      if (back) undo();
      else redo();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [undo, redo]);
  return { change, undo, redo, canUndo: past.length > 0, canRedo: future.length > 0 };
}
