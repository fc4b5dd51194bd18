import {
  lessonChanges,
  lessonFrom,
  msg,
  stepsOfVariant,
  term,
  TOOLS,
  type Lesson,
  type Tool,
} from '@toile/core';
import { type LessonLinkAnswer } from '@toile/contract';
import { chartNow } from '../care/chartNow';
import { chartVersion, newestVersion } from '../charts/queries';
import { hashOfSecret } from '../db/secrets';
import { isOver, registerLinkedPage } from '../shares/linkedPage';
import { found, ProblemError, wrong } from '../http/problem';
import { read, write, type Services } from '../http/register';
import type { SheetPaper } from '../print/callSheetPdf';
import { lessonPage } from './page';
import { daysTold } from '../studio/day';

const MOST_LINKS = 200;
const USUAL_MINUTES = 20;

/** Lessons for a client's own hands: on paper, and by links. */
export function registerLessons(services: Services): void {
  read(services, 'printLesson', async ({ tx, params, query, now }) => {
    const chart = await chartNow(tx, found(await newestVersion(tx, params.id)), now);
    const keep = (query.steps ?? '').split(',').filter((id) => id !== '');
    const minutes = Number(query.minutes ?? USUAL_MINUTES);
    if (!Number.isInteger(minutes) || minutes < 1 || minutes > 180)
      throw wrong('minutes', msg`Whole minutes, 1 to 180`);
    const tools = toolsAsked(query.tools);
    const lesson = lessonFrom(chart, { minutes, tools, ...(keep.length > 0 ? { keep } : {}) });
    if (lesson.steps.length === 0) throw wrong('steps', msg`None of these is a step of this chart`);
    const paper: SheetPaper = query.paper === 'letter' ? 'letter' : 'a4';
    const as = query.as ?? 'sheet';
    if (as !== 'sheet' && as !== 'card') throw wrong('as', msg`sheet or card`);
    return {
      body: await services.print({ kind: 'lesson', lesson, as, paper }),
      file: `lesson-${as === 'card' ? 'card-' : ''}${chart.id}.pdf`,
      type: 'application/pdf',
    };
  });

  read(services, 'listLessonLinks', async ({ tx, params }) => {
    found(await tx.selectFrom('charts').select('id').where('id', '=', params.id).executeTakeFirst());
    const rows = await tx
      .selectFrom('lesson_links')
      .selectAll()
      .where('chart_id', '=', params.id)
      .orderBy('made_at', 'desc')
      .limit(MOST_LINKS)
      .execute();
    return { body: rows.map(linkAnswer) };
  });

  write(services, 'createLessonLink', async ({ tx, caller, body, params, now }) => {
    const chart = await chartNow(tx, await chartVersion(tx, params.id, body.version), now);
    const plan = new Set(stepsOfVariant(chart.steps, null).map(({ id }) => id));
    const strange = body.keep.findIndex((id) => !plan.has(id));
    if (strange >= 0) throw wrong(`keep[${strange}]`, msg`is not a step of this version`);
    if (lessonFrom(chart, body).steps.length === 0)
      throw wrong('keep', msg`None of these can be done at home with these tools`);
    const row = await tx
      .insertInto('lesson_links')
      .values({
        studio_id: caller.studioId,
        id: body.id,
        chart_id: params.id,
        client_id: chart.client.id,
        version: body.version,
        minutes: body.minutes,
        keep: JSON.stringify(body.keep),
        tools: body.tools ? JSON.stringify(body.tools) : null,
        secret_hash: hashOfSecret(body.secret),
        made_by: caller.name,
        expires_at: body.days === 0 ? null : new Date(now.getTime() + body.days * 86_400_000),
      })
      .onConflict((c) => c.doNothing())
      .returningAll()
      .executeTakeFirst();
    if (!row) throw new ProblemError('already-there');
    return { status: 201, body: linkAnswer(row), subject: row.id };
  });

  write(services, 'renewLessonLink', async ({ tx, params, body: { version }, now }) => {
    const row = found(
      await tx
        .selectFrom('lesson_links')
        .selectAll()
        .where('id', '=', params.id)
        .forUpdate()
        .executeTakeFirst(),
    );
    if (isOver(row, now)) throw new ProblemError('link-ended');
    const chart = await chartNow(tx, await chartVersion(tx, row.chart_id, version), now);
    if (version <= row.version) throw wrong('version', msg`Not newer than what the link shows`);
    if (lessonFrom(chart, lessonAsk(row)).steps.length === 0)
      throw wrong('version', msg`None of the lesson’s steps is in that version`);
    const renewed = await tx
      .updateTable('lesson_links')
      .set({ version, was_version: row.version })
      .where('id', '=', params.id)
      .returningAll()
      .executeTakeFirstOrThrow();
    return { body: linkAnswer(renewed), subject: row.id };
  });

  write(services, 'revokeLessonLink', async ({ tx, params, now }) => {
    const row = found(
      await tx
        .updateTable('lesson_links')
        .set({ revoked_at: now })
        .where('id', '=', params.id)
        .returningAll()
        .executeTakeFirst(),
    );
    return { body: linkAnswer(row), subject: row.id };
  });

  registerLinkedPage(
    services,
    '/l',
    (tx, hash) =>
      tx.selectFrom('lesson_links').selectAll().where('secret_hash', '=', hash).executeTakeFirst(),
    async (tx, link) => {
      const lessonOf = async (version: number): Promise<Lesson> =>
        lessonFrom(
          await chartNow(tx, await chartVersion(tx, link.chart_id, version), services.clock()),
          lessonAsk(link),
        );
      const lesson = await lessonOf(link.version);
      const before = link.was_version === null ? null : await lessonOf(link.was_version);
      const told = await daysTold(tx);
      return lessonPage(lesson, link.expires_at, told, before ? lessonChanges(before, lesson) : []);
    },
  );
}

const lessonAsk = ({ minutes, keep, tools }: Pick<Row, 'minutes' | 'keep' | 'tools'>) => ({
  minutes,
  keep,
  tools,
});

/** Tools behind the ?: none said is nobody asked, an empty list is a finger. */
function toolsAsked(list: string | undefined): Tool[] | null {
  if (list === undefined) return null;
  const names = list.split(',').filter((name) => name !== '');
  return names.map((name) => TOOLS.find((tool) => tool === name) ?? wrongTool());
}
const wrongTool = (): never => {
  throw wrong('tools', msg`Some of ${TOOLS.map((one) => term(one)).join(', ')}`);
};

type Row = {
  readonly id: string;
  readonly version: number;
  readonly keep: readonly string[];
  readonly minutes: number;
  readonly tools: readonly Tool[] | null;
  readonly was_version: number | null;
  readonly made_by: string;
  readonly made_at: Date;
  readonly expires_at: Date | null;
  readonly revoked_at: Date | null;
};
function linkAnswer(row: Row): LessonLinkAnswer {
  return {
    id: row.id,
    version: row.version,
    wasVersion: row.was_version,
    steps: row.keep.length,
    madeBy: row.made_by,
    madeAt: row.made_at.toISOString(),
    expiresAt: row.expires_at?.toISOString() ?? null,
    revokedAt: row.revoked_at?.toISOString() ?? null,
  };
}
