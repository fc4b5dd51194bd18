import {
  asUsed,
  checkTimes,
  msg,
  term,
  wearSettingOf,
  wornByZone,
  type Chart,
  type WearCheck,
} from '@toile/core';
import {
  ROUTES,
  WEAR_LINK_DAYS,
  type ChartWearAnswer,
  type Look,
  type WearLinkAnswer,
} from '@toile/contract';
import { chartVersion } from '../charts/queries';
import { toldOf } from '../charts/told';
import type { Tx } from '../db/connection';
import { hashOfSecret } from '../db/secrets';
import { oneAtATime } from '../db/locks';
import { found, ProblemError } from '../http/problem';
import { checkedBody, read, write, type Services } from '../http/register';
import { limitTries } from '../http/tries';
import {
  LINK_TRIES,
  MOST_BY_LINK,
  openWearAnswer,
  toldByLink,
  withWearLink,
  type WearLinkRow,
} from './wearLink';
import { recountWearing, wearGroups } from './zoneWears';

/** Of a link for what nobody wears just now. */
const NOT_WORN_NOW = 'This is still to come, or longer ago than anybody wears it';
/** A phone's clock may be ahead by so much, ms. */
const AHEAD_MS = 10 * 60_000;

/**
 * How what was put on a client wore: told by whoever made it up, or by the client on a phone of their own.
 */
export function registerWear(services: Services): void {
  const { app, db, clock } = services;
  const limiter = limitTries(db, 'wear', LINK_TRIES);

  read(services, 'chartWear', async ({ tx, params, now }) => {
    await chartRow(tx, params.id);
    return { body: await wearAnswer(tx, params.id, now) };
  });

  write(services, 'createWearCheck', async ({ tx, caller, body, params, now }) => {
    const { id, version, appliedAt, at, ...look } = body;
    const { clientId, chart } = await versionOf(tx, params.id, version);
    const worn = await wornThen(tx, chart, appliedAt);
    await keep(tx, caller.studioId, now, {
      id,
      chartId: params.id,
      version,
      clientId,
      appliedAt,
      at,
      judge: 'artist',
      by: caller.name,
      worn,
      setting: wearSettingOf(chart),
      ...look,
    });
    return { status: 201, body: await wearAnswer(tx, params.id, now), subject: id };
  });

  write(services, 'createWearLink', async ({ tx, caller, body, params, now }) => {
    await versionOf(tx, params.id, body.version);
    const wrong = checkTimes({
      appliedAt: body.appliedAt,
      at: new Date(now.getTime() + AHEAD_MS).toISOString(),
    });
    if (wrong)
      throw new ProblemError('bad-input', { fields: [{ path: 'appliedAt', message: term(NOT_WORN_NOW) }] });
    if (body.trialId !== undefined)
      found(
        await tx
          .selectFrom('trials')
          .select('id')
          .where('id', '=', body.trialId)
          .where('chart_id', '=', params.id)
          .executeTakeFirst(),
      );
    const row = await tx
      .insertInto('wear_links')
      .values({
        studio_id: caller.studioId,
        id: body.id,
        chart_id: params.id,
        version: body.version,
        applied_at: body.appliedAt,
        trial_id: body.trialId ?? null,
        secret_hash: hashOfSecret(body.secret),
        made_by: caller.name,
        made_at: now,
        expires_at: new Date(now.getTime() + WEAR_LINK_DAYS * 86_400_000),
      })
      .onConflict((c) => c.doNothing())
      .returning('id')
      .executeTakeFirst();
    if (!row) throw new ProblemError('already-there');
    return { status: 201, body: await wearAnswer(tx, params.id, now), subject: body.id };
  });

  write(services, 'revokeWearLink', async ({ tx, params, now }) => {
    const row = found(
      await tx
        .updateTable('wear_links')
        .set({ revoked_at: now })
        .where('id', '=', params.id)
        .returning('chart_id')
        .executeTakeFirst(),
    );
    return { body: await wearAnswer(tx, row.chart_id, now), subject: params.id };
  });

  read(services, 'studioWear', async ({ tx, now }) => ({ body: { wears: await wearGroups(tx, null, now) } }));

  app.post(ROUTES.openWear.path, limiter, async (req, res) => {
    const { token } = await checkedBody('openWear', req.body);
    res.json(await withWearLink(services, token, openWearAnswer));
  });

  app.post(ROUTES.sendWear.path, limiter, async (req, res) => {
    const { token, id, at, ...look } = await checkedBody('sendWear', req.body);
    const answer = await withWearLink(services, token, async (tx, link) => {
      const appliedAt = link.applied_at.toISOString();
      const wrong = checkTimes({ appliedAt, at });
      if (wrong) throw new ProblemError('bad-input', { fields: [{ path: 'at', message: wrong }] });
      const told = await toldByLink(tx, link);
      if (told.length >= MOST_BY_LINK) throw new ProblemError('too-many-tries');
      // Sent again over a bad network it is the same look.
      if (told.some((one) => one.id === id)) return openWearAnswer(tx, link);
      const { clientId, chart } = await versionOf(tx, link.chart_id, link.version);
      await keep(tx, link.studio_id, clock(), {
        id,
        chartId: link.chart_id,
        version: link.version,
        clientId,
        appliedAt,
        at,
        judge: 'client',
        by: chart.client.name,
        worn: await wornThen(tx, chart, appliedAt),
        setting: wearSettingOf(chart),
        ...look,
      });
      return openWearAnswer(tx, link);
    });
    res.status(201).json(answer);
  });
}

async function chartRow(tx: Tx, id: string): Promise<{ readonly client_id: string }> {
  return found(await tx.selectFrom('charts').select('client_id').where('id', '=', id).executeTakeFirst());
}

async function versionOf(
  tx: Tx,
  chartId: string,
  version: number,
): Promise<{ readonly clientId: string; readonly chart: Chart }> {
  const { client_id } = await chartRow(tx, chartId);
  return { clientId: client_id, chart: await chartVersion(tx, chartId, version) };
}

/** What stood for each zone when a chart was put on: by what was told at the chair then, else as planned. */
async function wornThen(tx: Tx, chart: Chart, appliedAt: string): Promise<WearCheck['worn']> {
  return wornByZone(asUsed(chart, await toldOf(tx, chart), appliedAt));
}

/** Keeps a look as it was told; what was looked at in the future is refused. */
async function keep(
  tx: Tx,
  studioId: string,
  now: Date,
  check: Omit<WearCheck, keyof Look> & Look,
): Promise<void> {
  if (Date.parse(check.at) > now.getTime() + AHEAD_MS)
    throw new ProblemError('bad-input', {
      fields: [{ path: 'at', message: msg`This is still to come: tell it when it was looked at` }],
    });
  await oneAtATime(tx, `wear ${check.chartId} ${check.appliedAt}`);
  const inserted = await tx
    .insertInto('wear_checks')
    .values({
      studio_id: studioId,
      id: check.id,
      client_id: check.clientId,
      chart_id: check.chartId,
      document: JSON.stringify(check),
      at: check.at,
    })
    .onConflict((c) => c.doNothing())
    .returning('id')
    .executeTakeFirst();
  if (!inserted) throw new ProblemError('already-there');
  await recountWearing(tx, studioId, check);
}

async function wearAnswer(tx: Tx, chartId: string, now: Date): Promise<ChartWearAnswer> {
  const [checks, links, last] = [
    await tx
      .selectFrom('wear_checks')
      .select('document')
      .where('chart_id', '=', chartId)
      .orderBy('seq')
      .execute(),
    await tx
      .selectFrom('wear_links')
      .selectAll()
      .where('chart_id', '=', chartId)
      .orderBy('made_at', 'desc')
      .limit(50)
      .execute(),
    await tx
      .selectFrom('chair_events')
      .select((eb) => eb.fn.max('at').as('at'))
      .where('chart_id', '=', chartId)
      .executeTakeFirst(),
  ];
  return {
    checks: checks.map((row) => row.document),
    history: await wearGroups(tx, (await chartRow(tx, chartId)).client_id, now),
    links: links.map(linkAnswer),
    lastTickAt: last?.at ? new Date(last.at).toISOString() : null,
  };
}

const linkAnswer = (row: WearLinkRow): WearLinkAnswer => ({
  id: row.id,
  madeBy: row.made_by,
  appliedAt: row.applied_at.toISOString(),
  expiresAt: row.expires_at.toISOString(),
  revokedAt: row.revoked_at?.toISOString() ?? null,
});
