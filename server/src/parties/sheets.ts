import {
  callSheet,
  chartOutlook,
  msg,
  sheetInManner,
  toldDay,
  touchUpDue,
  USUAL_MANNER,
  type CallSheet,
  type Chart,
  type PartyPlan,
  type TouchUpsOf,
} from '@toile/core';
import { readSheetFor, type SheetLinkAnswer } from '@toile/contract';
import { type Tx } from '../db/connection';
import { hashOfSecret } from '../db/secrets';
import { registerLinkedPage } from '../shares/linkedPage';
import { found, ProblemError } from '../http/problem';
import { read, write, type Services } from '../http/register';
import type { SheetPaper } from '../print/callSheetPdf';
import { sheetPage } from '../shares/page';
import { settingsNow } from '../studio/settings';
import { wearGroups } from '../care/zoneWears';
import { chartIdOf, newestChartsNow, partyRow, type PartyRow } from './charts';
import { daysTold } from '../studio/day';

/** Links of one party that are listed. */
const MOST_LINKS = 200;

/** Call sheets on paper, and by links that end. */
export function registerSheets(services: Services): void {
  read(services, 'partySheet', async ({ tx, params, query, now }) => {
    const { sheet, date, day } = await sheetOf(tx, params.id, query.for ?? 'whole', now);
    const paper: SheetPaper = query.paper === 'letter' ? 'letter' : 'a4';
    return {
      body: await services.print({ kind: 'call-sheet', sheet, day, paper }),
      file: `call-sheet-${date}.pdf`,
      type: 'application/pdf',
    };
  });

  read(services, 'listSheetLinks', async ({ tx, params }) => {
    await partyRow(tx, params.id);
    const rows = await tx
      .selectFrom('sheet_links')
      .selectAll()
      .where('party_id', '=', params.id)
      .orderBy('made_at', 'desc')
      .limit(MOST_LINKS)
      .execute();
    return { body: rows.map(linkAnswer) };
  });

  write(services, 'createSheetLink', async ({ tx, caller, body, params, now }) => {
    await sheetOf(tx, params.id, body.whom, now);
    const row = await tx
      .insertInto('sheet_links')
      .values({
        studio_id: caller.studioId,
        id: body.id,
        party_id: params.id,
        whom: body.whom,
        secret_hash: hashOfSecret(body.secret),
        made_by: caller.name,
        expires_at: new Date(now.getTime() + body.days * 86_400_000),
      })
      .onConflict((c) => c.doNothing())
      .returningAll()
      .executeTakeFirst();
    if (!row) throw new ProblemError('already-there');
    return { status: 201, body: linkAnswer(row), subject: row.id };
  });

  write(services, 'revokeSheetLink', async ({ tx, params, now }) => {
    const row = found(
      await tx
        .updateTable('sheet_links')
        .set({ revoked_at: now })
        .where('id', '=', params.id)
        .returningAll()
        .executeTakeFirst(),
    );
    return { body: linkAnswer(row), subject: row.id };
  });

  registerLinkedPage(
    services,
    '/p',
    (tx, hash) => tx.selectFrom('sheet_links').selectAll().where('secret_hash', '=', hash).executeTakeFirst(),
    async (tx, link) => {
      try {
        const { sheet, day } = await sheetOf(tx, link.party_id, link.whom, services.clock());
        return sheetPage(sheet, day, link.expires_at, await daysTold(tx));
      } catch (error) {
        // Whom it was for is no longer of the party.
        if (error instanceof ProblemError) return null;
        throw error;
      }
    },
  );
}

/** A party's sheet for somebody, as the studio tells hours and days; told by its field when there is none. */
async function sheetOf(
  tx: Tx,
  partyId: string,
  whom: string,
  now: Date,
): Promise<{ readonly sheet: CallSheet; readonly date: string; readonly day: string }> {
  const party = await partyRow(tx, partyId);
  const { name } = await tx
    .selectFrom('parties')
    .select('name')
    .where('id', '=', partyId)
    .executeTakeFirstOrThrow();
  const asked = readSheetFor(whom);
  const charts = await newestChartsNow(tx, party, now);
  const looks = new Map(
    (party.plan?.guests ?? []).flatMap((guest): [string, string][] => {
      const chart = charts.get(chartIdOf(party, guest) ?? '');
      return chart ? [[guest.id, chart.look.name]] : [];
    }),
  );
  const sheet =
    asked && party.plan
      ? callSheet(
          { name, date: party.date },
          party.plan,
          asked,
          looks,
          await touchUpsOf(tx, party, party.plan, charts, now),
        )
      : null;
  const { settings } = await settingsNow(tx);
  const manner = { ...USUAL_MANNER, ...settings.manner };
  if (sheet)
    return {
      sheet: sheetInManner(sheet, manner.clock),
      date: party.date,
      day: toldDay(party.date, manner.days, true),
    };
  const message = party.plan?.timetable
    ? msg`Nobody of this party by that name`
    : msg`Plan the day and keep its timetable first`;
  throw new ProblemError('bad-input', { fields: [{ path: 'whom', message }] });
}

/** What a round asks of each face, by the studio's own wears; nothing is read where no round is planned. */
async function touchUpsOf(
  tx: Tx,
  party: PartyRow,
  plan: PartyPlan,
  charts: ReadonlyMap<string, Chart>,
  now: Date,
): Promise<TouchUpsOf> {
  if (plan.rounds.length === 0) return () => [];
  const wears = await wearGroups(tx, null, now);
  return (guestId, hours) => {
    const guest = plan.guests.find((one) => one.id === guestId);
    const chart = guest && charts.get(chartIdOf(party, guest) ?? '');
    return chart ? touchUpDue(chart, chartOutlook(chart, wears), hours) : [];
  };
}

type Row = {
  readonly id: string;
  readonly whom: string;
  readonly made_by: string;
  readonly made_at: Date;
  readonly expires_at: Date;
  readonly revoked_at: Date | null;
};
function linkAnswer(row: Row): SheetLinkAnswer {
  return {
    id: row.id,
    whom: row.whom,
    madeBy: row.made_by,
    madeAt: row.made_at.toISOString(),
    expiresAt: row.expires_at.toISOString(),
    revokedAt: row.revoked_at?.toISOString() ?? null,
  };
}
