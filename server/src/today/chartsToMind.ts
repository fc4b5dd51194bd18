import { sql, type SelectQueryBuilder } from 'kysely';
import { MINOR_UNDER } from '@toile/core';
import type { Tx } from '../db/connection';
import type { Database } from '../db/schema';

/** More than anyone makes up within the days ahead. */
const MOST = 200;

/**
 * Of some charts, given by a query of their ids, the newest versions of those whose client has anything noted
 * that a product may be barred for. `year` is the year it is.
 */
export function chartsToMind(
  tx: Tx,
  charts: SelectQueryBuilder<Database, 'visits', { chart_id: string | null }>,
  year: number,
) {
  return tx
    .selectFrom('charts as c')
    .innerJoin('clients as who', 'who.id', 'c.client_id')
    .innerJoin('chart_versions as v', 'v.chart_id', 'c.id')
    .select('v.document')
    .where('c.id', 'in', charts)
    .where((eb) =>
      eb.or([
        sql<boolean>`jsonb_array_length(who.sensitivities) > 0`,
        sql<boolean>`who.features ->> 'lashes' = 'extensions'`,
        sql<boolean>`(who.features ->> 'lenses')::boolean`,
        sql<boolean>`who.features ->> 'age' = 'child'`,
        eb('who.birth_year', '>=', year - MINOR_UNDER),
        eb.exists(eb.selectFrom('patch_tests as t').select('t.id').whereRef('t.client_id', '=', 'who.id')),
        eb.exists(eb.selectFrom('incidents as i').select('i.id').whereRef('i.client_id', '=', 'who.id')),
      ]),
    )
    .where('v.version', '=', (eb) =>
      eb
        .selectFrom('chart_versions as newest')
        .select((n) => n.fn.max('newest.version').as('version'))
        .whereRef('newest.chart_id', '=', 'c.id'),
    )
    .limit(MOST);
}
