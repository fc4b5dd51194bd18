import { sql } from 'kysely';
import { type StudioSettings, type StudioSettingsAnswer } from '@toile/contract';
import type { Tx } from '../db/connection';
import { read, write, type Services } from '../http/register';

/** How the studio does things. A studio that has changed nothing is at revision 0. */
export function registerSettings(services: Services): void {
  read(services, 'studioSettings', async ({ tx }) => {
    const answer = await settingsNow(tx);
    return { body: answer, revision: answer.revision };
  });

  write(services, 'updateStudioSettings', async ({ tx, caller, body, revision, stale }) => {
    const document = JSON.stringify(body);
    const saved =
      revision === 0
        ? await tx
            .insertInto('studio_settings')
            .values({ studio_id: caller.studioId, document })
            .onConflict((c) => c.column('studio_id').doNothing())
            .returning('revision')
            .executeTakeFirst()
        : await tx
            .updateTable('studio_settings')
            .set({ document, revision: sql<number>`revision + 1` })
            .where('revision', '=', revision)
            .returning('revision')
            .executeTakeFirst();
    if (!saved) throw stale((await settingsNow(tx)).settings, body);
    return {
      body: { settings: body, revision: saved.revision } satisfies StudioSettingsAnswer,
      revision: saved.revision,
    };
  });
}

/** A studio's settings; those of one that has changed nothing are at revision 0. */
export async function settingsNow(tx: Tx): Promise<StudioSettingsAnswer> {
  return settingsOfRows(await settingsQuery(tx).execute());
}

/** The same, to be asked together with something else. */
export const settingsQuery = (tx: Tx) => tx.selectFrom('studio_settings').select(['document', 'revision']);

export function settingsOfRows([row]: readonly {
  readonly document: StudioSettings;
  readonly revision: number;
}[]): StudioSettingsAnswer {
  return row
    ? { settings: row.document, revision: row.revision }
    : { settings: { ruleGrades: {} }, revision: 0 };
}
