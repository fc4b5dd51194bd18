import { type LookAnswer, type LookSummary } from '@toile/contract';
import { readLook } from '@toile/core';
import type { Tx } from '../db/connection';
import { found, ProblemError } from '../http/problem';
import { read, write, type Services } from '../http/register';

/** The library of looks; versions are only ever added. */
export function registerLooks(services: Services): void {
  read(services, 'listLooks', async ({ tx }) => {
    const rows = await tx
      .selectFrom('look_versions')
      .distinctOn('look_id')
      .selectAll()
      .orderBy('look_id')
      .orderBy('version', 'desc')
      .execute();
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

  read(services, 'look', async ({ tx, params, query }) => ({
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
    await tx
      .insertInto('look_versions')
      .values({
        studio_id: caller.studioId,
        look_id: look.id,
        version: look.version,
        name: look.name,
        document: JSON.stringify(look),
      })
      .execute();
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
  return {
    look: row.document,
    versions: rows.map(({ document: look }) => ({
      version: look.version,
      author: look.author,
      at: look.at,
      reason: look.reason,
    })),
  };
}
