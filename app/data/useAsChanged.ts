import { useEffect, useRef, useState } from 'react';
import { msg } from '@toile/core';
import { toldOf, WELL, type Told } from './useSaving';

type AsChangedOptions<A, V> = {
  /** As the server has it, as far as is known here. */
  readonly newest: A;
  /**
   * Its revision: it only grows. The same for all where there is none: then `send` ends when `newest` says
   * it.
   */
  readonly stampOf: (answer: A) => number;
  readonly valueOf: (answer: A) => V;
  /** Keeps a value on top of what it changes. */
  readonly send: (base: A, next: V) => Promise<A>;
  /** What somebody else kept first, where that is why it was refused. */
  readonly theirsIn?: (error: unknown) => A | null;
};

export type AsChanged<V> = Told & {
  /** As it was last changed here, kept already or not. */
  readonly value: V;
  /** Changes it: whether that was kept, by itself or within what was changed after it. */
  readonly keep: (next: V) => Promise<boolean>;
  readonly busy: boolean;
};

type Queue<A, V> = {
  latest: A;
  next: { readonly value: V } | null;
  heard: ((kept: boolean) => void)[];
  running: boolean;
};

/**
 * Something that is kept as it is changed, without a button to save. A change shows at once; while one is on
 * its way the next waits for its turn, and of several that wait only the newest is sent, on the revision the
 * one before made. One that is refused takes with it what was changed on top of it: nothing goes over what
 * somebody else kept.
 */
export function useAsChanged<A, V>({
  newest,
  stampOf,
  valueOf,
  send,
  theirsIn,
}: AsChangedOptions<A, V>): AsChanged<V> {
  const [answered, setAnswered] = useState<A | null>(null);
  const [wanted, setWanted] = useState<{ readonly value: V } | null>(null);
  const [told, setTold] = useState(WELL);
  /** The newer one, of two that are as new the second. */
  const newer = (a: A, b: A): A => (stampOf(a) > stampOf(b) ? a : b);
  const known = answered === null ? newest : newer(answered, newest);
  const queue = useRef<Queue<A, V>>({ latest: known, next: null, heard: [], running: false });
  useEffect(() => {
    queue.current.latest = stampOf(queue.current.latest) > stampOf(known) ? queue.current.latest : known;
  }, [known, stampOf]);

  const adopt = (answer: A): void => {
    queue.current.latest = newer(queue.current.latest, answer);
    setAnswered((before) => (before === null ? answer : newer(before, answer)));
  };
  const run = async (): Promise<void> => {
    const q = queue.current;
    q.running = true;
    for (let next = q.next; next; next = q.next) {
      q.next = null;
      const heard = q.heard.splice(0);
      try {
        adopt(await send(q.latest, next.value));
        heard.forEach((hear) => hear(true));
      } catch (error) {
        const theirs = theirsIn?.(error);
        if (theirs) adopt(theirs);
        setTold(toldOf(error, msg`Something went wrong. Try again.`));
        q.next = null;
        [...heard, ...q.heard.splice(0)].forEach((hear) => hear(false));
      }
    }
    q.running = false;
    setWanted(null);
  };
  return {
    ...told,
    value: wanted === null ? valueOf(known) : wanted.value,
    busy: wanted !== null,
    keep: (next) =>
      new Promise((resolve) => {
        const q = queue.current;
        q.next = { value: next };
        q.heard.push(resolve);
        setWanted(q.next);
        if (q.running) return;
        setTold(WELL);
        void run();
      }),
  };
}
