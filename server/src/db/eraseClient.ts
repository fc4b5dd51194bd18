/** Tables with rows of a chart, and of a client, in an order in which each goes before what it points to. */
const OF_CHARTS = ['wear_links', 'shares', 'chair_events', 'chart_versions'] as const;
const OF_CLIENTS = [
  'wear_checks',
  'visits',
  'charts',
  'readings',
  'simulated_skins',
  'patch_tests',
  'incidents',
  'intakes',
] as const;

/**
 * The function by which the app, which may delete nothing, takes a client and all that is theirs out of the
 * studio's records. `more` are tables with a client of their own that came later; a migration that adds one
 * states it anew.
 */
export function eraseClientSql(more: readonly string[]): string {
  const ofChart = (table: string): string =>
    `delete from ${table} r using charts c where r.studio_id = c.studio_id and r.chart_id = c.id and c.client_id = erased;`;
  const ofClient = (table: string): string => `delete from ${table} where client_id = erased;`;
  return `create or replace function erase_client(erased uuid) returns void language plpgsql security definer set search_path = public, pg_temp as $$
    begin
      ${[...more.map(ofClient), ...OF_CHARTS.map(ofChart), ...OF_CLIENTS.map(ofClient)].join('\n      ')}
      delete from clients where id = erased;
    end $$;
    revoke all on function erase_client(uuid) from public;
    grant execute on function erase_client(uuid) to toile_app`;
}
