import rateLimit from 'express-rate-limit';
import { chartSheet, sheetSvg, type Chart } from '@toile/core';
import { isUuid, type ShareAnswer } from '@toile/contract';
import { inStudio, type Tx } from '../db/connection';
import { hashOfSecret } from '../db/secrets';
import { found, ProblemError } from '../http/problem';
import { read, write, type Services } from '../http/register';
import { fontUrls, measureText } from '../print/fonts';
import { bareHeaders, endedPage, sharedPage } from './page';

/** A guess at a secret is hopeless; this keeps anyone from trying, per minute and address. */
const TRIES_A_MINUTE = 60;

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

  const limit = rateLimit({
    windowMs: 60_000,
    limit: TRIES_A_MINUTE,
    standardHeaders: true,
    legacyHeaders: false,
  });
  services.app.get('/s/:token', limit, async (req, res) => {
    const shown = await sharedChart(services, String(req.params.token));
    res.set(bareHeaders());
    if (!shown) return void res.status(404).type('html').send(endedPage());
    const sheet = chartSheet(shown.chart, {
      paper: 'phone',
      colour: true,
      cautions: shown.cautions,
      measure: measureText,
    });
    res.type('html').send(sharedPage(sheet.title, sheetSvg(sheet, fontUrls()), shown.expiresAt));
  });
}

type Shown = { readonly chart: Chart; readonly cautions: boolean; readonly expiresAt: Date };

/** What a link shows; null when it is unknown, has ended or was taken back, which look alike. */
async function sharedChart(services: Services, token: string): Promise<Shown | null> {
  const [studioId = '', secret = ''] = token.split('.');
  if (!isUuid(studioId) || secret === '') return null;
  return inStudio(services.db, studioId, async (tx: Tx) => {
    const share = await tx
      .selectFrom('shares')
      .selectAll()
      .where('secret_hash', '=', hashOfSecret(secret))
      .executeTakeFirst();
    if (!share || share.revoked_at !== null || share.expires_at <= services.clock()) return null;
    const { document } = found(
      await tx
        .selectFrom('chart_versions')
        .select('document')
        .where('chart_id', '=', share.chart_id)
        .where('version', '=', share.version)
        .executeTakeFirst(),
    );
    return { chart: document, cautions: share.cautions, expiresAt: share.expires_at };
  });
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
