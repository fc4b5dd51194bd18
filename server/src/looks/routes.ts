import { type LookAnswer, type LookSummary } from '@toile/contract';
import { readLook, stepsOfVariant, writeLook } from '@toile/core';
import type { Tx } from '../db/connection';
import { found, ProblemError } from '../http/problem';
import { readHeld } from '../http/readHeld';
import { read, write, type Services } from '../http/register';
import { insertLook, newestLooks, takeInLooks } from './library';
import { lookFile } from './libraryZip';

/** The library of looks; versions are only ever added. */
export function registerLooks(services: Services): void {
  readHeld(services, 'listLooks', ['look_versions', 'retired_looks'], async ({ tx }) => {
    const retired = new Set(
      (await tx.selectFrom('retired_looks').select('look_id').execute()).map((row) => row.look_id),
    );
    const looks = (await newestLooks(tx)).map((look): LookSummary => {
      const plan = stepsOfVariant(look.steps, null);
      return {
        id: look.id,
        name: look.name,
        description: look.description,
        version: look.version,
        tags: look.tags,
        minutes: plan.reduce((sum, s) => sum + s.handsOnMinutes, 0),
        stepCount: plan.length,
        retired: retired.has(look.id),
      };
    });
    return { body: looks };
  });

  // Before one look by its id: 'export' is none.
  read(services, 'exportLooks', async ({ tx, now }) => ({
    body: await services.print({ kind: 'library', looks: await newestLooks(tx) }),
    file: `looks-${now.toISOString().slice(0, 10)}.zip`,
    type: 'application/zip',
  }));

  read(services, 'exportLook', async ({ tx, params, query }) => {
    const { look } = await lookAnswer(tx, params.id, query.version);
    return { body: writeLook(look), file: lookFile(look) };
  });

  write(services, 'importLooks', async ({ tx, caller, body, now }) => ({
    status: 201,
    body: await takeInLooks(tx, caller, body, now),
  }));

  write(services, 'retireLook', async ({ tx, caller, body, params }) => {
    await lookAnswer(tx, params.id);
    if (body.retired)
      await tx
        .insertInto('retired_looks')
        .values({ studio_id: caller.studioId, look_id: params.id })
        .onConflict((c) => c.doNothing())
        .execute();
    else await tx.deleteFrom('retired_looks').where('look_id', '=', params.id).execute();
    return { body: await lookAnswer(tx, params.id), subject: params.id };
  });

  readHeld(services, 'look', ['look_versions', 'retired_looks'], async ({ tx, params, query }) => ({
    body: await lookAnswer(tx, params.id, query.version),
  }));

  write(services, 'createLook', async ({ tx, caller, body, now, stale }) => {
    const { look: sent } = body;
    const checked = readLook(JSON.stringify(sent));
    if (!checked.ok)
      throw new ProblemError('bad-input', {
        fields: checked.problems.map((p) => ({ ...p, path: `look${p.path}` })),
      });
    const newest = await tx
      .selectFrom('look_versions')
      .select(['version', 'document'])
      .where('look_id', '=', sent.id)
      .orderBy('version', 'desc')
      .limit(1)
      .executeTakeFirst();
    if (sent.version !== (newest?.version ?? 0) + 1) throw stale(newest?.document ?? null, sent);
    const look = { ...sent, author: caller.name, at: now.toISOString() };
    await insertLook(tx, caller.studioId, look);
    return { status: 201, body: await lookAnswer(tx, look.id), subject: look.id };
  });
}

/** A look in its newest or a given version, with all its versions. */
async function lookAnswer(tx: Tx, id: string, version?: string): Promise<LookAnswer> {
  const rows = await tx
    .selectFrom('look_versions')
    .select(['version', 'document'])
    .where('look_id', '=', id)
    .orderBy('version', 'desc')
    .execute();
  const row = found(version === undefined ? rows[0] : rows.find((r) => String(r.version) === version));
  const retired = await tx
    .selectFrom('retired_looks')
    .select('look_id')
    .where('look_id', '=', id)
    .executeTakeFirst();
  return {
    look: row.document,
    retired: retired !== undefined,
    versions: rows.map(({ document: look }) => ({
      version: look.version,
      author: look.author,
      at: look.at,
      reason: look.reason,
    })),
  };
}
