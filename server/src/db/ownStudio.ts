/**
 * Of a table only the rows of the studio that is set are seen or written; `grants` says what the app may do
 * with them.
 */
export function ownStudioSql(table: string, grants: string): string {
  const own = `(select nullif(current_setting('toile.studio_id', true), '')::uuid)`;
  return `alter table ${table} enable row level security;
    alter table ${table} force row level security;
    create policy own_studio on ${table} using (studio_id = ${own}) with check (studio_id = ${own});
    grant ${grants} on ${table} to toile_app`;
}
