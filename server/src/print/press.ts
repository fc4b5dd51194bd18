import { Piscina } from 'piscina';
import { ProblemError } from '../http/problem';
import { languageAsked } from '../http/language';
import { printed, type PrintJob } from './jobs';
import type { PressWork } from './pressWorker';

/** Where work on paper and files is done. */
export type Press = {
  readonly print: (job: PrintJob) => Promise<Buffer>;
  /** Pieces of work that wait. */ readonly waiting: () => number;
  readonly stop: () => Promise<void>;
};

/** In the caller's own thread: for commands and tests, where nobody else waits. */
export const PRESS_HERE: Press = { print: printed, waiting: () => 0, stop: () => Promise.resolve() };

export type PressLimits = {
  readonly threads: number;
  /** Beyond so many that wait, whoever comes is told to come again. */ readonly waiting: number;
  /** From when it is asked for, waiting included. */ readonly ms: number;
  readonly megabytes: number;
};
const LIMITS: PressLimits = { threads: 2, waiting: 24, ms: 20_000, megabytes: 256 };
const IDLE_MS = 60_000;

/**
 * In threads of their own, so that a request which prints holds up no other. `worker` is the built worker's
 * file. Throws a ProblemError `busy` where too much waits, or a piece of work takes too long or too much
 * memory.
 */
export function openPress(worker: string, limits: Partial<PressLimits> = {}): Press {
  const { threads, waiting, ms, megabytes } = { ...LIMITS, ...limits };
  const pool = new Piscina<PressWork, Uint8Array>({
    filename: worker,
    minThreads: 0,
    maxThreads: threads,
    idleTimeout: IDLE_MS,
    resourceLimits: { maxOldGenerationSizeMb: megabytes },
  });
  // Counted here: the pool's own limit does not hold for work that may be broken off.
  let taken = 0;
  return {
    print: async (job) => {
      if (taken >= threads + waiting) throw new ProblemError('busy');
      taken++;
      try {
        const made = await pool.run({ job, language: languageAsked() }, { signal: AbortSignal.timeout(ms) });
        return Buffer.from(made.buffer, made.byteOffset, made.byteLength);
      } catch (error) {
        if (isLimit(error)) throw new ProblemError('busy');
        throw error;
      } finally {
        taken--;
      }
    },
    waiting: () => Math.max(0, taken - threads),
    stop: () => pool.destroy(),
  };
}

/** Too slow, or out of memory: the next one may go well. */
function isLimit(error: unknown): boolean {
  if (error === null || typeof error !== 'object') return false;
  const code = 'code' in error ? error.code : null;
  return ('name' in error && error.name === 'AbortError') || code === 'ERR_WORKER_OUT_OF_MEMORY';
}
