import { promisify } from 'node:util';
import { gzip } from 'node:zlib';
import { LRUCache } from 'lru-cache';

const compressed = promisify(gzip);
/** Answers a process holds at most, bytes of text and compressed together. */
const MOST_BYTES = 32 * 1024 * 1024;
/**
 * However often it is asked for, an answer is let go of so long after it was read: what was erased is then in
 * no memory, ms.
 */
const HELD_MS = 15 * 60_000;
/** Shorter answers are sent as they are. */
const WORTH_COMPRESSING = 1024;

/** An answer as it is sent, and the state of the rows it was read from. */
export type HeldAnswer = {
  readonly state: string;
  readonly etag: string;
  readonly text: Buffer;
  readonly gzip: Buffer | null;
};

/**
 * Answers that were given, by what was asked: whoever asks the same again while the rows are in the same
 * state is given the same, and nothing is read, put together or compressed for it. What was longest not asked
 * for goes first.
 */
export type HeldAnswers = {
  /** The answer held, if it is of this state. */
  readonly get: (asked: string, state: string) => HeldAnswer | null;
  readonly put: (asked: string, answer: Omit<HeldAnswer, 'gzip'>) => Promise<HeldAnswer>;
};

/** `clock` counts ms from anywhere. */
export function heldAnswers(
  mostBytes: number = MOST_BYTES,
  clock: { readonly now: () => number } = performance,
): HeldAnswers {
  const held = new LRUCache<string, HeldAnswer>({
    maxSize: mostBytes,
    ttl: HELD_MS,
    ttlAutopurge: true,
    ttlResolution: 0,
    perf: clock,
    sizeCalculation: ({ text, gzip: small, state }, asked) =>
      text.length + (small?.length ?? 0) + state.length + asked.length,
  });
  return {
    get: (asked, state) => {
      const one = held.get(asked);
      return one?.state === state ? one : null;
    },
    put: async (asked, answer) => {
      const gzipped = answer.text.length < WORTH_COMPRESSING ? null : await compressed(answer.text);
      const one = { ...answer, gzip: gzipped };
      held.set(asked, one);
      return one;
    },
  };
}
