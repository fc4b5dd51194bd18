import { AUDIT_PAGE, isUuid, type AuditLine } from '@toile/contract';
import { read, type Services } from '../http/register';

/** Who did what, for the owner: read, never changed. */
export function registerAudit(services: Services): void {
  read(services, 'audit', async ({ tx, query }) => {
    let rows = tx
      .selectFrom('audit as a')
      .leftJoin('memberships as m', 'm.account_id', 'a.account_id')
      .select(['a.id', 'a.at', 'a.account_id', 'a.route', 'a.subject', 'm.name'])
      .orderBy('a.at', 'desc')
      .orderBy('a.id', 'desc')
      .limit(AUDIT_PAGE);
    if (query.by && isUuid(query.by)) rows = rows.where('a.account_id', '=', query.by);
    if (query.before && isUuid(query.before)) {
      const last = await tx
        .selectFrom('audit')
        .select(['at', 'id'])
        .where('id', '=', query.before)
        .executeTakeFirst();
      if (last)
        rows = rows.where((eb) =>
          eb.or([eb('a.at', '<', last.at), eb.and([eb('a.at', '=', last.at), eb('a.id', '<', last.id)])]),
        );
    }
    return {
      body: (await rows.execute()).map((row): AuditLine => ({
        id: row.id,
        at: row.at.toISOString(),
        by: row.name,
        accountId: row.account_id,
        route: row.route,
        subject: row.subject,
      })),
    };
  });
}
