import { useCallback, useEffect, useState } from 'react';
import type { FieldValues, UseFormReturn } from 'react-hook-form';
import { dropDraft, formDraft, readDraft, writeDraft } from './drafts';

export type FormDraft = {
  /** Whether what was typed before was taken up. */
  readonly taken: boolean;
  /** Forgets the draft: it was saved, */
  readonly drop: () => void;
  /** or it is not wanted; the form is as at first. */
  readonly anew: () => void;
};

// A form may have more fields than when its draft was kept: those begin as they would.
const over = <T>(initial: T, kept: T | null): T =>
  kept !== null && typeof initial === 'object' ? { ...initial, ...kept } : (kept ?? initial);

/**
 * What is typed into a form, kept on the device until it is saved; `name` says which form and what it is
 * about.
 */
export function useDraft<T>(
  name: string,
  initial: () => T,
): FormDraft & { readonly value: T; readonly set: (next: T | ((before: T) => T)) => void } {
  const key = formDraft(name);
  const [state, setState] = useState(() => {
    const kept = readDraft<T>(key);
    return { value: over(initial(), kept), taken: kept !== null };
  });
  const set = useCallback(
    (next: T | ((before: T) => T)) =>
      setState((before) => {
        const value = next instanceof Function ? next(before.value) : next;
        writeDraft(key, value);
        return { ...before, value };
      }),
    [key],
  );
  return {
    ...state,
    set,
    drop: () => dropDraft(key),
    anew: () => {
      dropDraft(key);
      setState({ value: initial(), taken: false });
    },
  };
}

/**
 * The same for a form of react-hook-form: what is typed into it is kept, and taken up when it is opened
 * again.
 */
export function useFormDraft<F extends FieldValues>(
  name: string,
  { reset, watch, getValues, formState }: UseFormReturn<F>,
): FormDraft {
  const key = formDraft(name);
  const [taken, setTaken] = useState(() => readDraft<F>(key) !== null);
  useEffect(() => {
    const kept = readDraft<F>(key);
    if (kept) reset({ ...getValues(), ...kept }, { keepDefaultValues: true });
    const { unsubscribe } = watch((values) => writeDraft(key, values));
    return unsubscribe;
    // Once, when the form is opened: a form's functions stay the same.
  }, [key, reset, watch, getValues]);
  return {
    taken,
    drop: () => dropDraft(key),
    anew: () => {
      reset(formState.defaultValues as F);
      dropDraft(key);
      setTaken(false);
    },
  };
}
