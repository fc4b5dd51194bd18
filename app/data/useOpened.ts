import { useEffect, useRef, useState } from 'react';
import { msg } from '@toile/core';
import { CallError } from './call';

/** What stands behind the # of a link's address: no server and no log is ever sent it. */
export const tokenOfAddress = (): string => window.location.hash.slice(1);

export type Opened<T> = {
  /** What the link shows; null until it is there. */ readonly shown: T | null;
  /** Why it shows nothing. */ readonly ended: string | null;
  readonly show: (answer: T) => void;
};

/** Opens a link by its token, once; `onShown` is told what it shows. */
export function useOpened<T>(
  token: string,
  open: (token: string) => Promise<T>,
  onShown: (answer: T) => void = () => undefined,
): Opened<T> {
  const [shown, setShown] = useState<T | null>(null);
  const [ended, setEnded] = useState<string | null>(null);
  const asked = useRef({ open, onShown });
  useEffect(() => {
    let current = true;
    asked.current.open(token).then(
      (answer) => {
        if (!current) return;
        setShown(answer);
        asked.current.onShown(answer);
      },
      (error: unknown) =>
        current &&
        setEnded(error instanceof CallError ? error.message : msg`The link could not be opened. Try again.`),
    );
    return () => {
      current = false;
    };
  }, [token]);
  return { shown, ended, show: setShown };
}
