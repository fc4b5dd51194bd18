import type { Logger } from 'pino';
import { inStudioAsItIs, isDatabaseAway, type Db, type Tx } from './connection';
import { marksOf, stateOf, type MarkedTable } from './marks';

const codeOf = (error: unknown): string =>
  error instanceof Error && 'code' in error ? String(error.code) : typeof error;
const isReadOnly = (error: unknown): boolean => codeOf(error) === '25006';

/** After it could not be reached it is left alone so long, ms. */
const LEFT_ALONE_MS = 5000;

/** A copy of the database that reads are taken from where it is as new as the database itself. */
export type Standby = {
  /**
   * Runs work on the standby's rows of a studio if they are those of `state` (see `stateOf`); null where it
   * has not come so far, or cannot be reached: then the database itself is asked. What the work throws is
   * thrown.
   */
  readonly read: <T>(
    studioId: string,
    of: readonly MarkedTable[],
    state: string,
    work: (tx: Tx) => Promise<T>,
  ) => Promise<{ readonly value: T } | null>;
};

/**
 * Reads from a standby without ever reading what is old: the marks of the tables come with their rows, so
 * equal marks, seen in one snapshot with the rows, are equal rows.
 */
export function openStandby(db: Db, logger: Pick<Logger, 'warn'>, clock: () => number = Date.now): Standby {
  let awayUntil = 0;
  return {
    read: async (studioId, of, state, work) => {
      if (clock() < awayUntil) return null;
      let working = false;
      try {
        return await inStudioAsItIs(db, studioId, async (tx) => {
          if (stateOf(await marksOf(tx, studioId), of) !== state) return null;
          working = true;
          return { value: await work(tx) };
        });
      } catch (error) {
        // What the work finds wrong is wrong anywhere, and so is work that would write. All else is the
        // standby's: away, of another password, or none of ours at all.
        if (working && (!isDatabaseAway(error) || isReadOnly(error))) throw error;
        awayUntil = clock() + LEFT_ALONE_MS;
        logger.warn({ code: codeOf(error) }, 'standby not read');
        return null;
      }
    },
  };
}
