import { useState } from 'react';

type BegunOptions<A, W> = {
  /** As saved now. */
  readonly newest: A;
  /** Its version or revision: it only grows. */
  readonly stampOf: (answer: A) => number;
  /** What is worked on, as it begins. */
  readonly workOf: (answer: A) => W;
  /** Whether the work says nothing but what it began from. */
  readonly same: (work: W, answer: A) => boolean;
  /**
   * Work that went on while it was being kept, on top of what that gave; the same work where nothing is said.
   */
  readonly onto?: (work: W, kept: A) => W;
  /** Work that waited on the device, with what it began from; looked for once. */
  readonly waiting?: () => { readonly begun: A; readonly work: W } | null;
};

export type Begun<A, W> = {
  readonly begun: A;
  readonly work: W;
  readonly setWork: (next: W | ((before: W) => W)) => void;
  readonly changed: boolean;
  /** Something was saved meanwhile that this work does not know of. */
  readonly behind: boolean;
  /** Gives the work up and begins from `answer`. */
  readonly begin: (answer: A) => void;
  /** The work that was sent is kept as `answer`; what was changed since it was sent goes on from there. */
  readonly kept: (sent: W, answer: A) => void;
};

/**
 * Work on something saved that others may save as well. While nothing was changed here it follows what they
 * save; once something was it stays on what it began from, so that no answer from the server takes anything
 * away, and `behind` says that there is a choice to make.
 */
export function useBegun<A, W>({
  newest,
  stampOf,
  workOf,
  same,
  onto = (work) => work,
  waiting,
}: BegunOptions<A, W>): Begun<A, W> {
  const start = (answer: A): { readonly begun: A; readonly work: W } => ({
    begun: answer,
    work: workOf(answer),
  });
  const [state, setState] = useState(() => waiting?.() ?? start(newest));
  const changed = !same(state.work, state.begun);
  const behind = stampOf(newest) > stampOf(state.begun);
  if (!changed && behind) setState(start(newest));
  return {
    ...state,
    setWork: (next) =>
      setState((before) => ({
        ...before,
        work: next instanceof Function ? next(before.work) : next,
      })),
    changed,
    behind: changed && behind,
    begin: (answer) => setState(start(answer)),
    kept: (sent, answer) =>
      setState(({ work }) => (work === sent ? start(answer) : { begun: answer, work: onto(work, answer) })),
  };
}
