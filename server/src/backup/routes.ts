import { ROUTES } from '@toile/contract';
import { allowed, type Services } from '../http/register';
import { backupFile } from './rotation';
import { writeBackup } from './writeBackup';
import { inStudio } from '../db/connection';

/** A backup for its owner to keep, made and sent piece by piece. */
export function registerBackup({ app, db, clock }: Services): void {
  app.get(ROUTES.backupStudio.path, async (req, res) => {
    const { studioId } = allowed(req, 'backupStudio');
    const now = clock();
    const studio = await inStudio(db, studioId, (tx) =>
      tx.selectFrom('studios').select(['id', 'name']).executeTakeFirstOrThrow(),
    );
    res
      .set(
        'content-disposition',
        `attachment; filename="${backupFile(studio, now.toISOString().slice(0, 10))}"`,
      )
      .type('application/zip');
    try {
      await writeBackup(db, studioId, now, (piece) => void res.write(piece));
    } catch (error) {
      // What was sent is no zip: cut off, it is told as broken instead of taken for whole.
      if (res.headersSent) return void res.destroy();
      throw error;
    }
    res.end();
  });
}
