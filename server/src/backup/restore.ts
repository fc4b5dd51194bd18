import { INVITE_DAYS, joinPath, newId, newSecret, tokenOf, type StudioBundle } from '@toile/contract';
import { inStudio, type Db } from '../db/connection';
import { hashOfSecret } from '../db/secrets';
import { hasStudio, importBundle } from '../studio/importStudio';
import { readBackup, type BackupProblem } from './readBackup';

export type Restored =
  | {
      readonly ok: true;
      readonly studio: StudioBundle['studio'];
      /** For each owner a path to choose a password by: a backup holds none. */
      readonly links: readonly { readonly email: string; readonly path: string }[];
    }
  | { readonly ok: false; readonly problems: readonly BackupProblem[] };

/** Restores a studio from a backup into an installation that has none of that id, all or nothing. */
export async function restoreBackup(db: Db, bytes: Uint8Array, now: Date): Promise<Restored> {
  const read = readBackup(bytes);
  if (!read.ok) return read;
  const { bundle } = read;
  if (await hasStudio(db, bundle.studio.id))
    return {
      ok: false,
      problems: [{ file: null, message: `${bundle.studio.name} is here already; nothing was changed.` }],
    };
  await importBundle(db, bundle);
  const owners = bundle.people.filter(({ role, deactivatedAt }) => role === 'owner' && !deactivatedAt);
  const links = await inStudio(db, bundle.studio.id, async (tx) => {
    const made: { email: string; path: string }[] = [];
    for (const owner of owners) {
      const secret = newSecret();
      await tx
        .insertInto('invites')
        .values({
          studio_id: bundle.studio.id,
          id: newId(),
          account_id: owner.id,
          email: owner.email,
          name: owner.name,
          role: owner.role,
          secret_hash: hashOfSecret(secret),
          made_by: owner.name,
          made_at: now,
          expires_at: new Date(now.getTime() + INVITE_DAYS.reset * 86_400_000),
          used_at: null,
          revoked_at: null,
        })
        .execute();
      made.push({ email: owner.email, path: joinPath(tokenOf(bundle.studio.id, secret)) });
    }
    return made;
  });
  return { ok: true, studio: bundle.studio, links };
}
