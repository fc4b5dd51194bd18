import { dayIn, evidenceSheet, toldDay } from '@toile/core';
import { found } from '../http/problem';
import { read, type Services } from '../http/register';
import { daysTold } from '../studio/day';
import { trialRecords } from './trialRows';

/** More looks than one client is looked at. */
const MOST_LOOKS = 2000;

/** What was tried on one client and how it wore, on paper. */
export function registerEvidence(services: Services): void {
  read(services, 'printEvidence', async ({ tx, params, query, now }) => {
    const { name } = found(
      await tx.selectFrom('clients').select('name').where('id', '=', params.id).executeTakeFirst(),
    );
    const wears = await tx
      .selectFrom('wear_checks')
      .select('document')
      .where('client_id', '=', params.id)
      .orderBy('seq', 'desc')
      .limit(MOST_LOOKS)
      .execute();
    const { days, zone } = await daysTold(tx);
    const day = toldDay(dayIn(zone, now), days, true);
    const sheet = evidenceSheet({
      name,
      trials: await trialRecords(tx, { clientId: params.id }),
      wears: wears.map(({ document }) => document),
      dayOf: (instant) => dayIn(zone, new Date(instant)),
      days,
    });
    const paper = query.paper === 'letter' ? 'letter' : 'a4';
    return {
      body: await services.print({ kind: 'call-sheet', sheet, day, paper }),
      file: `trials-and-wear-${params.id}.pdf`,
      type: 'application/pdf',
    };
  });
}
