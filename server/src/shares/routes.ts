import { chartSheet, sheetSvg } from '@toile/core';
import { type ShareAnswer } from '@toile/contract';
import { chartNow } from '../care/chartNow';
import { chartVersion } from '../charts/queries';
import { hashOfSecret } from '../db/secrets';
import { registerLinkedPage } from './linkedPage';
import { found, ProblemError } from '../http/problem';
import { read, write, type Services } from '../http/register';
import { fontUrls, measureText } from '../print/fonts';
import { sharedPage } from './page';
import { daysTold } from '../studio/day';

/** Links that show a chart to someone without an account, and the page they lead to. */
export function registerShares(services: Services): void {
  read(services, 'listShares', async ({ tx, params }) => {
    found(await tx.selectFrom('charts').select('id').where('id', '=', params.id).executeTakeFirst());
    const rows = await tx
      .selectFrom('shares')
      .selectAll()
      .where('chart_id', '=', params.id)
      .orderBy('made_at', 'desc')
      .execute();
    return { body: rows.map(shareAnswer) };
  });

  write(services, 'createShare', async ({ tx, caller, body, params, now }) => {
    found(
      await tx
        .selectFrom('chart_versions')
        .select('version')
        .where('chart_id', '=', params.id)
        .where('version', '=', body.version)
        .executeTakeFirst(),
    );
    const row = await tx
      .insertInto('shares')
      .values({
        studio_id: caller.studioId,
        id: body.id,
        chart_id: params.id,
        version: body.version,
        secret_hash: hashOfSecret(body.secret),
        cautions: body.cautions,
        made_by: caller.name,
        expires_at: new Date(now.getTime() + body.days * 86_400_000),
      })
      .onConflict((c) => c.doNothing())
      .returningAll()
      .executeTakeFirst();
    if (!row) throw new ProblemError('already-there');
    return { status: 201, body: shareAnswer(row), subject: row.id };
  });

  write(services, 'revokeShare', async ({ tx, params, now }) => {
    const row = found(
      await tx
        .updateTable('shares')
        .set({ revoked_at: now })
        .where('id', '=', params.id)
        .returningAll()
        .executeTakeFirst(),
    );
    return { body: shareAnswer(row), subject: row.id };
  });

  registerLinkedPage(
    services,
    '/s',
    (tx, hash) => tx.selectFrom('shares').selectAll().where('secret_hash', '=', hash).executeTakeFirst(),
    async (tx, share) => {
      const written = await chartVersion(tx, share.chart_id, share.version);
      // Whoever works by it minds what is noted now, not only what was when it was written.
      const chart = share.cautions ? await chartNow(tx, written, services.clock()) : written;
      const told = await daysTold(tx);
      const sheet = chartSheet(chart, {
        days: told.days,
        paper: 'phone',
        colour: true,
        cautions: share.cautions,
        measure: measureText,
      });
      return sharedPage(sheet.title, sheetSvg(sheet, fontUrls()), share.expires_at, told);
    },
  );
}

type Row = {
  readonly id: string;
  readonly version: number;
  readonly cautions: boolean;
  readonly made_by: string;
  readonly made_at: Date;
  readonly expires_at: Date;
  readonly revoked_at: Date | null;
};

function shareAnswer(row: Row): ShareAnswer {
  return {
    id: row.id,
    version: row.version,
    cautions: row.cautions,
    madeBy: row.made_by,
    madeAt: row.made_at.toISOString(),
    expiresAt: row.expires_at.toISOString(),
    revokedAt: row.revoked_at?.toISOString() ?? null,
  };
}
