import { newId, type RouteName } from '@toile/contract';
import type { Tx } from '../db/connection';
import type { Caller } from './caller';

/** A line of who did what, beside what it tells of and in the same transaction. */
export async function tellAudit(
  tx: Tx,
  { studioId, accountId }: Pick<Caller, 'studioId' | 'accountId'>,
  route: RouteName,
  subject: string | null,
): Promise<void> {
  await tx
    .insertInto('audit')
    .values({ studio_id: studioId, id: newId(), account_id: accountId, route, subject })
    .execute();
}
