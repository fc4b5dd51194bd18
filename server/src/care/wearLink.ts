import type { WearCheck } from '@toile/core';
import { isUuid, type OpenWearAnswer } from '@toile/contract';
import { inStudio, type Tx } from '../db/connection';
import { hashOfSecret } from '../db/secrets';
import { ProblemError } from '../http/problem';
import type { Services } from '../http/register';
import { trialRecords } from './trialRows';

/** Links that fail, from one address. */
export const LINK_TRIES = { windowMs: 15 * 60_000, tries: 30 } as const;
/** Looks by one link at most: one every quarter of an hour for a whole day. */
export const MOST_BY_LINK = 96;

export type WearLinkRow = {
  readonly studio_id: string;
  readonly id: string;
  readonly chart_id: string;
  readonly version: number;
  readonly applied_at: Date;
  readonly trial_id: string | null;
  readonly made_by: string;
  readonly expires_at: Date;
  readonly revoked_at: Date | null;
};

/** Works with the open link a token stands for; unknown, taken back and over look alike. */
export async function withWearLink<T>(
  { db, clock }: Pick<Services, 'db' | 'clock'>,
  token: string,
  work: (tx: Tx, link: WearLinkRow) => Promise<T>,
): Promise<T> {
  const [studioId = '', secret = ''] = token.split('.');
  if (!isUuid(studioId) || secret === '') throw new ProblemError('link-ended');
  return inStudio(db, studioId, async (tx) => {
    const link = await tx
      .selectFrom('wear_links')
      .selectAll()
      .where('secret_hash', '=', hashOfSecret(secret))
      .executeTakeFirst();
    if (!link || link.revoked_at !== null || link.expires_at <= clock()) throw new ProblemError('link-ended');
    return work(tx, link);
  });
}

/** What was told of the wearing a link is for, by the client. */
export async function toldByLink(tx: Tx, link: WearLinkRow): Promise<WearCheck[]> {
  const rows = await tx
    .selectFrom('wear_checks')
    .select('document')
    .where('chart_id', '=', link.chart_id)
    .orderBy('seq')
    .execute();
  const appliedAt = link.applied_at.toISOString();
  return rows
    .map((row) => row.document)
    .filter((check) => check.judge === 'client' && check.appliedAt === appliedAt);
}

/** What whoever holds a link is shown. Of a trial never which half is which. */
export async function openWearAnswer(tx: Tx, link: WearLinkRow): Promise<OpenWearAnswer> {
  const studio = await tx.selectFrom('studios').select('name').executeTakeFirstOrThrow();
  const [record] = link.trial_id === null ? [] : await trialRecords(tx, { id: link.trial_id });
  const looks = record?.events.flatMap((event) =>
    event.kind === 'looked' && event.judge === 'client' ? [{ at: event.lookedAt, zones: {} }] : [],
  );
  return {
    studio: studio.name,
    appliedAt: link.applied_at.toISOString(),
    expiresAt: link.expires_at.toISOString(),
    told: looks ?? (await toldByLink(tx, link)).map(({ at, zones }) => ({ at, zones })),
    halves: record
      ? {
          measure: record.trial.declared.measure,
          zones: record.trial.declared.zones,
          hours: record.trial.declared.hours,
        }
      : null,
  };
}
