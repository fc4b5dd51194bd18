import type { PatchTestAnswer } from '@toile/contract';
import type { Tx } from '../db/connection';

/** The most tests of one answer: more than anyone is given. */
const MOST = 500;

/** Patch tests of some clients, or one by its id, by the day they are planned for. */
export async function patchTestsOf(
  tx: Tx,
  of: { readonly clientIds: readonly string[] } | { readonly id: string },
): Promise<PatchTestAnswer[]> {
  if ('clientIds' in of && of.clientIds.length === 0) return [];
  const rows = await tx
    .selectFrom('patch_tests')
    .select(['document', 'revision'])
    .$if('id' in of, (query) => query.where('id', '=', 'id' in of ? of.id : ''))
    .$if('clientIds' in of, (query) =>
      query.where('client_id', 'in', 'clientIds' in of ? [...of.clientIds] : []),
    )
    .limit(MOST)
    .execute();
  return rows
    .map(({ document, revision }) => ({ ...document, revision }))
    .sort((a, b) => a.plannedFor.localeCompare(b.plannedFor) || a.id.localeCompare(b.id));
}
