import { startTransition, useEffect, useState } from 'react';
import { Stopped, type Ask, type Jobs } from './rpc';

export type Work<T> = {
  /** The newest answer; the one before stays until the next is there. */
  readonly answer: T | null;
  /** Whether it answers what is asked now, if only so far. */
  readonly fresh: boolean;
  readonly error: string | null;
  readonly busy: boolean;
  /** How far it is, 0 to 1. */
  readonly share: number;
  /** Given up by hand: the answer is the best until then, if the work told one. */
  readonly stopped: boolean;
  readonly stop: () => void;
  readonly again: () => void;
};

/** Changes that come faster than this are worked out once, ms. */
const SETTLE_MS = 120;
type State<T> = {
  readonly answer: T | null;
  /** What it answers. */
  readonly to: unknown;
  readonly error: string | null;
  readonly busy: boolean;
  readonly share: number;
  readonly stopped: boolean;
};

/**
 * Asks a worker whenever the request changes (the same object is the same question); null asks nothing.
 * Work given up by hand ends the worker; work merely outdated runs out and is not heard.
 */
export function useWork<J extends Jobs, K extends keyof J & string>(
  ask: Ask<J>,
  kind: K,
  request: Parameters<J[K]>[0] | null,
): Work<Awaited<ReturnType<J[K]>>> {
  type Answer = Awaited<ReturnType<J[K]>>;
  const [state, setState] = useState<State<Answer>>({
    answer: null,
    to: null,
    error: null,
    busy: false,
    share: 0,
    stopped: false,
  });
  const [round, setRound] = useState(0);
  const [abort, setAbort] = useState<AbortController | null>(null);
  useEffect(() => {
    if (request === null) return;
    let current = true;
    const controller = new AbortController();
    const timer = setTimeout(() => {
      setAbort(controller);
      setState((s) => ({ ...s, busy: true, share: 0, stopped: false, error: null }));
      const onProgress = (share: number, soFar?: Answer): void =>
        void (
          current &&
          setState((s) => ({ ...s, share, ...(soFar === undefined ? {} : { answer: soFar, to: request }) }))
        );
      ask(kind, request, { onProgress, signal: controller.signal }).then(
        // Drawn when there is time for it: what is being done meanwhile is not held up.
        (answer) =>
          current &&
          startTransition(() =>
            setState({ answer, to: request, error: null, busy: false, share: 1, stopped: false }),
          ),
        (error: unknown) => {
          if (!current) return;
          const stopped = error instanceof Stopped;
          setState((s) => ({
            ...s,
            busy: false,
            stopped,
            error: stopped ? null : error instanceof Error ? error.message : String(error),
          }));
        },
      );
    }, SETTLE_MS);
    return () => {
      current = false;
      clearTimeout(timer);
    };
  }, [ask, kind, request, round]);
  const { to, ...told } = state;
  return {
    ...told,
    fresh: request !== null && to === request,
    stop: () => abort?.abort(),
    again: () => setRound((r) => r + 1),
  };
}
