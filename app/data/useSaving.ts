import { useCallback, useState } from 'react';
import { ValidationError } from 'yup';
import { msg } from '@toile/core';
import { CallError, fieldErrors } from './call';
import { errorsByField } from './errorsByField';

export type Saving = {
  readonly busy: boolean;
  /** Why it was not saved, in words; null while all is well, and where the fields say it themselves. */
  readonly failure: string | null;
  /** What is wrong with each field, by its path. */
  readonly errors: Readonly<Record<string, string>>;
  /** Does the saving; what it gives, or null when it did not come off and is told. */
  readonly save: <T>(work: () => Promise<T>) => Promise<T | null>;
  readonly clear: () => void;
};

export type Told = Pick<Saving, 'failure' | 'errors'>;
export const WELL: Told = { failure: null, errors: {} };

/**
 * One way of saving for every form and button: busy meanwhile, fields that are wrong told beside them,
 * anything else in words. `unknown` is said where nobody knows why.
 */
export function useSaving(unknown = msg`Something went wrong. Try again.`): Saving {
  const [busy, setBusy] = useState(false);
  const [told, setTold] = useState(WELL);
  const save = useCallback(
    async <T>(work: () => Promise<T>): Promise<T | null> => {
      setBusy(true);
      setTold(WELL);
      try {
        return await work();
      } catch (error) {
        setTold(toldOf(error, unknown));
        return null;
      } finally {
        setBusy(false);
      }
    },
    [unknown],
  );
  return { ...told, busy, save, clear: useCallback(() => setTold(WELL), []) };
}

/** An error in words and by its fields. */
export function toldOf(error: unknown, unknown: string): Told {
  if (error instanceof ValidationError) return { failure: null, errors: errorsByField(error) };
  return { failure: error instanceof CallError ? error.message : unknown, errors: fieldErrors(error) };
}
