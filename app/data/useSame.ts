import { useMemo, useState } from 'react';

/**
 * The value from before for as long as the new one says the same: what depends on it is not worked out again
 * for a copy.
 */
export function useSame<T>(value: T): T {
  const text = useMemo(() => JSON.stringify(value), [value]);
  const [kept, setKept] = useState({ value, text });
  if (kept.text === text) return kept.value;
  setKept({ value, text });
  return value;
}
