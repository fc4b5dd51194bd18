import { newLookSchema, type LookAnswer, type LookSummary, type NewLook } from '@toile/contract';
import { readLook } from '@toile/core';
import { found, ProblemError } from '../http/problem';
import { read, write, type Services } from '../http/register';

/** The library of looks; versions are only ever added. */
export function registerLooks(services: Services): void {
  read(services, 'listLooks', async ({ tx }) => {
    const rows = await tx.selectFrom('look_versions').distinctOn('look_id').selectAll().orderBy('look_id').orderBy('version', 'desc').execute();
    const looks = rows.map(({ document: look }): LookSummary => ({
      id: look.id,
      name: look.name,
      description: look.description,
      version: look.version,
      tags: look.tags,
      minutes: look.steps.reduce((sum, s) => sum + s.handsOnMinutes, 0),
      stepCount: look.steps.length,
    }));
    return { body: looks.sort((a, b) => a.name.localeCompare(b.name)) };
  });

  read(services, 'look', async ({ tx, params }) => {
    const row = found(
      await tx.selectFrom('look_versions').selectAll().where('look_id', '=', params.id!).orderBy('version', 'desc').limit(1).executeTakeFirst(),
    );
    const answer: LookAnswer = { look: row.document };
    return { body: answer };
  });

  write<NewLook>(services, 'createLook', newLookSchema, async ({ tx, caller, body, now }) => {
    const { look: sent } = body;
    const checked = readLook(JSON.stringify(sent));
    if (!checked.ok) throw new ProblemError('bad-input', { fields: checked.problems.map((p) => ({ ...p, path: `look${p.path}` })) });
    const newest = await tx
      .selectFrom('look_versions')
      .select(['version', 'document'])
      .where('look_id', '=', sent.id)
      .orderBy('version', 'desc')
      .limit(1)
      .executeTakeFirst();
    if (sent.version !== (newest?.version ?? 0) + 1) throw new ProblemError('stale', { current: newest?.document ?? null, yours: sent });
    const look = { ...sent, author: caller.name, at: now.toISOString() };
    await tx
      .insertInto('look_versions')
      .values({ studio_id: caller.studioId, look_id: look.id, version: look.version, name: look.name, document: JSON.stringify(look) })
      .execute();
    const answer: LookAnswer = { look };
    return { status: 201, body: answer, subject: look.id };
  });
}
