import { zoneWears, type WearCheck } from '@toile/core';
import { sql, type Kysely } from 'kysely';
import { zoneWearRow } from '../care/zoneWears';

const FIRST = ['studio_id', 'chart_id', 'applied_at', 'zone', 'client_id', 'worn', 'good', 'bad'] as const;

/**
 * Counts all looks of all studios anew, for a migration; `later` names columns the table has come to have by
 * then. Whoever owns the tables sees no row of a studio while its rows are guarded from them too.
 */
export async function recountAllWears(
  db: Kysely<unknown>,
  later: readonly ('skin' | 'climate')[] = [],
): Promise<void> {
  const guarded = ['wear_checks', 'zone_wears'] as const;
  for (const table of guarded) await sql.raw(`alter table ${table} no force row level security`).execute(db);
  await sql.raw('delete from zone_wears').execute(db);
  const told = await sql<{ studio_id: string; document: WearCheck }>`
    select studio_id, document from wear_checks order by seq`.execute(db);
  const studios = new Map<string, WearCheck[]>();
  for (const { studio_id, document } of told.rows)
    studios.set(studio_id, [...(studios.get(studio_id) ?? []), document]);
  const columns = [...FIRST, ...later];
  for (const [studioId, checks] of studios)
    for (const wear of zoneWears(checks)) {
      const row = zoneWearRow(studioId, wear);
      await sql`insert into zone_wears (${sql.join(columns.map((name) => sql.ref(name)))})
        values (${sql.join(columns.map((name) => row[name]))})`.execute(db);
    }
  // Marks of what changed wait for the end of the transaction: a table they wait on cannot be altered.
  await sql.raw('set constraints all immediate').execute(db);
  for (const table of guarded) await sql.raw(`alter table ${table} force row level security`).execute(db);
}
