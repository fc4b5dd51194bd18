import { documentHash, msg, readLook, type Look } from '@toile/core';
import { type FieldProblem, type ImportLooks, type ImportLooksAnswer } from '@toile/contract';
import type { Tx } from '../db/connection';
import { oneAtATime } from '../db/locks';
import type { Caller } from '../http/caller';
import { ProblemError } from '../http/problem';

/** The newest version of every look, by name. */
export async function newestLooks(tx: Tx): Promise<Look[]> {
  const rows = await tx
    .selectFrom('look_versions')
    .distinctOn('look_id')
    .select('document')
    .orderBy('look_id')
    .orderBy('version', 'desc')
    .execute();
  return rows.map((row) => row.document).sort((a, b) => a.name.localeCompare(b.name));
}

/** One version of a look, as the library keeps it. */
export async function insertLook(tx: Tx, studioId: string, look: Look): Promise<void> {
  await tx
    .insertInto('look_versions')
    .values({
      studio_id: studioId,
      look_id: look.id,
      version: look.version,
      name: look.name,
      document: JSON.stringify(look),
    })
    .execute();
}

/** What makes a look that look, whoever kept it and when. */
const sameness = ({ version: _v, parent: _p, author: _b, at: _at, reason: _r, ...look }: Look): string =>
  documentHash(look);

/**
 * Takes in look files, all or none. One that is here as it is in the file is left as it is; one that is here
 * otherwise gets the file as its next version. Throws what is wrong with which file, and where.
 */
export async function takeInLooks(
  tx: Tx,
  caller: Caller,
  { files }: ImportLooks,
  now: Date,
): Promise<ImportLooksAnswer> {
  const problems: FieldProblem[] = [];
  const looks = new Map<string, Look>();
  for (const { name, text } of files) {
    const read = readLook(text);
    if (!read.ok) problems.push(...read.problems.map((p) => ({ ...p, path: `${name}${p.path}` })));
    else if (looks.has(read.document.id))
      problems.push({ path: name, message: msg`This look stands in two of the files.` });
    else looks.set(read.document.id, read.document);
  }
  if (problems.length > 0) throw new ProblemError('bad-file', { fields: problems.slice(0, 40) });
  await oneAtATime(tx, 'looks taken in');
  const here = new Map((await newestLooks(tx)).map((look) => [look.id, look]));
  const taken: ImportLooksAnswer['taken'][number][] = [];
  for (const look of looks.values()) {
    const newest = here.get(look.id);
    if (newest && sameness(newest) === sameness(look)) continue;
    const version = (newest?.version ?? 0) + 1;
    await insertLook(tx, caller.studioId, {
      ...look,
      version,
      parent: newest?.version ?? null,
      author: newest ? caller.name : look.author,
      at: now.toISOString(),
      reason: msg`From a file${look.reason === '' ? '' : `: ${look.reason}`}`.slice(0, 4000),
    });
    taken.push({ id: look.id, name: look.name, version });
  }
  return { taken, same: looks.size - taken.length };
}
