import type { Kysely, Migration } from 'kysely';
import { recountAllWears } from '../recountAllWears';

/** A mix is one mix whichever of its lines is named first. */
export const wornMixes: Migration = {
  up: (db: Kysely<unknown>): Promise<void> => recountAllWears(db, ['skin', 'climate']),
};
