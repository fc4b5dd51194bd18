import {
  holdsCameraNotes,
  KEPT_PHOTOGRAPHS,
  msg,
  photographRefused,
  questionPicture,
  type Photograph,
} from '@toile/core';
import type { PhotographsAnswer } from '@toile/contract';
import type { Selectable } from 'kysely';
import type { Tx } from '../db/connection';
import { oneAtATime } from '../db/locks';
import type { Database } from '../db/schema';
import { found, ProblemError, wrong } from '../http/problem';
import { read, write, type Services } from '../http/register';
import { dayOfStudio } from '../studio/day';
import { settingsNow } from '../studio/settings';

/**
 * Photographs the studio keeps: only where it says so and the client agreed, and gone when that is taken
 * back.
 */
export function registerPhotographs(services: Services): void {
  read(services, 'photographs', async ({ tx, params }) => {
    await clientOf(tx, params.id);
    return { body: await photographsAnswer(tx, params.id) };
  });

  read(services, 'photograph', async ({ tx, params }) => {
    const { picture } = found(
      await tx.selectFrom('photographs').select('picture').where('id', '=', params.id).executeTakeFirst(),
    );
    return { body: picture, file: `${params.id}.jpg`, type: 'image/jpeg' };
  });

  write(services, 'createPhotograph', async ({ tx, caller, body, params, now }) => {
    const clientId = await clientOf(tx, params.id);
    const { settings } = await settingsNow(tx);
    if (settings.keepsPhotographs !== true)
      throw wrong('picture', msg`This studio keeps no photographs: its owner can say otherwise in Settings`);
    // Whoever takes the consent back waits for this, or comes first and is obeyed.
    const { consult, features, birth_year, guardian_consent } = found(
      await tx
        .selectFrom('clients')
        .select(['consult', 'features', 'birth_year', 'guardian_consent'])
        .where('id', '=', clientId)
        .forShare()
        .executeTakeFirst(),
    );
    const who = { consult, features, birthYear: birth_year, guardianConsent: guardian_consent };
    const refused = photographRefused(dayOfStudio(settings, now), who);
    if (refused === 'no guardian')
      throw wrong('picture', msg`Of a minor none is kept before a guardian’s consent is noted`);
    if (refused) throw wrong('picture', msg`The client has not agreed to photographs: ask in the first talk`);
    const picture = pictureIn(body.picture);
    await oneAtATime(tx, `photographs ${caller.studioId}`);
    await roomFor(tx, params.id);
    const { picture: _letters, id, at, light, taps, bare } = body;
    const inserted = await tx
      .insertInto('photographs')
      .values({
        studio_id: caller.studioId,
        id,
        client_id: clientId,
        chart_id: params.id,
        taken_at: at,
        light,
        taps: JSON.stringify(taps),
        bare: bare === null ? null : JSON.stringify(bare),
        picture,
        kept_by: caller.name,
        kept_at: now,
      })
      .onConflict((c) => c.doNothing())
      .returning('id')
      .executeTakeFirst();
    if (!inserted) throw new ProblemError('already-there');
    return { status: 201, body: await photographsAnswer(tx, params.id), subject: id };
  });

  write(services, 'dropPhotograph', async ({ tx, params }) => {
    const { chart_id } = found(
      await tx.deleteFrom('photographs').where('id', '=', params.id).returning('chart_id').executeTakeFirst(),
    );
    return { body: await photographsAnswer(tx, chart_id), subject: params.id };
  });
}

/** Called whenever what a client said is kept: who does not agree to photographs any more has none here. */
export async function dropWithoutConsent(tx: Tx, clientId: string): Promise<void> {
  const row = await tx.selectFrom('clients').select('consult').where('id', '=', clientId).executeTakeFirst();
  if (row && (row.consult.photos ?? 'none') === 'none')
    await tx.deleteFrom('photographs').where('client_id', '=', clientId).execute();
}

async function clientOf(tx: Tx, chartId: string): Promise<string> {
  return found(await tx.selectFrom('charts').select('client_id').where('id', '=', chartId).executeTakeFirst())
    .client_id;
}

/** The picture as it is kept, or why it is not. */
function pictureIn(letters: string): Buffer {
  const picture = Buffer.from(letters, 'base64');
  const isJpeg = picture[0] === 0xff && picture[1] === 0xd8;
  const problem = isJpeg ? questionPicture(picture) : msg`This is no JPEG`;
  if (problem) throw wrong('picture', problem);
  if (picture.length > KEPT_PHOTOGRAPHS.bytes)
    throw wrong('picture', msg`At most ${KEPT_PHOTOGRAPHS.bytes / 1000} kB: save it smaller`);
  if (holdsCameraNotes(picture))
    throw wrong('picture', msg`It still says where and when it was taken: save it anew without that`);
  return picture;
}

async function roomFor(tx: Tx, chartId: string): Promise<void> {
  const { of_chart, of_studio } = await tx
    .selectFrom('photographs')
    .select((eb) => [
      eb.fn.countAll<string>().as('of_studio'),
      eb.fn.countAll<string>().filterWhere('chart_id', '=', chartId).as('of_chart'),
    ])
    .executeTakeFirstOrThrow();
  if (Number(of_chart) >= KEPT_PHOTOGRAPHS.ofChart)
    throw wrong('picture', msg`${KEPT_PHOTOGRAPHS.ofChart} are kept of this chart: drop one first`);
  if (Number(of_studio) >= KEPT_PHOTOGRAPHS.ofStudio)
    throw wrong('picture', msg`${KEPT_PHOTOGRAPHS.ofStudio} are kept by the studio: drop some first`);
}

const WITHOUT_PICTURE = [
  'id',
  'client_id',
  'chart_id',
  'taken_at',
  'light',
  'taps',
  'bare',
  'kept_by',
  'kept_at',
] as const;

/** A row as it is told. */
export const photographOf = (
  row: Pick<Selectable<Database['photographs']>, (typeof WITHOUT_PICTURE)[number]>,
): Photograph => ({
  id: row.id,
  clientId: row.client_id,
  chartId: row.chart_id,
  at: row.taken_at.toISOString(),
  light: row.light,
  taps: row.taps,
  bare: row.bare,
  by: row.kept_by,
  keptAt: row.kept_at.toISOString(),
});

async function photographsAnswer(tx: Tx, chartId: string): Promise<PhotographsAnswer> {
  const { settings } = await settingsNow(tx);
  const rows = await tx
    .selectFrom('photographs')
    .select(WITHOUT_PICTURE)
    .where('chart_id', '=', chartId)
    .orderBy('taken_at', 'desc')
    .execute();
  return { keeps: settings.keepsPhotographs === true, photographs: rows.map(photographOf) };
}
