import { byGroup, quartersOf, zoneWears, type TrialZone, type WearGroup, type ZoneWear } from '@toile/core';
import { sql } from 'kysely';
import type { Tx } from '../db/connection';

/** A wear of a place as its row: hours in quarters. */
export function zoneWearRow(
  studioId: string,
  { zone, clientId, chartId, appliedAt, worn, setting, wear }: ZoneWear,
) {
  const { good, bad } = quartersOf(wear);
  return {
    studio_id: studioId,
    chart_id: chartId,
    applied_at: appliedAt,
    zone,
    client_id: clientId,
    worn,
    ...setting,
    good,
    bad,
  };
}

/** Reads one wearing out of its looks anew; whoever tells of it at the same time waits. */
export async function recountWearing(
  tx: Tx,
  studioId: string,
  of: { readonly chartId: string; readonly appliedAt: string },
): Promise<void> {
  const told = await tx
    .selectFrom('wear_checks')
    .select('document')
    .where('chart_id', '=', of.chartId)
    .where(sql<boolean>`(document ->> 'appliedAt')::timestamptz = ${of.appliedAt}::timestamptz`)
    .orderBy('seq')
    .execute();
  await tx
    .deleteFrom('zone_wears')
    .where('chart_id', '=', of.chartId)
    .where('applied_at', '=', new Date(of.appliedAt))
    .execute();
  const rows = zoneWears(told.map((row) => row.document)).map((wear) => zoneWearRow(studioId, wear));
  if (rows.length > 0) await tx.insertInto('zone_wears').values(rows).execute();
}

/**
 * The studio's wears counted together, as core's `groupWears` counts them; a client's own apart where one is
 * asked about.
 */
export async function wearGroups(tx: Tx, clientId: string | null, now: Date): Promise<WearGroup[]> {
  const { rows } = await sql<{
    zone: TrialZone;
    worn: string | null;
    own: boolean;
    skin: WearGroup['skin'];
    climate: WearGroup['climate'];
    good: number;
    bad: number | null;
    count: number;
    weight: number;
  }>`select zone, worn, client_id is not distinct from ${clientId}::uuid as own, skin, climate, good, bad, count(*)::int as count,
      sum(power(2::float8, -greatest(0, extract(epoch from (${now}::timestamptz - applied_at))::float8 / 86400) / 540)) as weight
    from zone_wears group by 1, 2, 3, 4, 5, 6, 7`.execute(tx);
  return rows
    .map((row): WearGroup => ({ ...row, good: row.good / 4, bad: row.bad === null ? null : row.bad / 4 }))
    .sort(byGroup);
}
