import type { PatchTestAnswer } from '@toile/contract';
import type { InferResult } from 'kysely';
import type { Tx } from '../db/connection';

/** The most tests of one answer: more than anyone is given. */
const MOST = 500;

/** Patch tests, for whoever asks to say of whom. */
export const patchTestsQuery = (tx: Tx) =>
  tx.selectFrom('patch_tests').select(['document', 'revision']).limit(MOST);

/** By the day they are planned for. */
export const patchTestsOfRows = (
  rows: readonly InferResult<ReturnType<typeof patchTestsQuery>>[number][],
): PatchTestAnswer[] =>
  rows
    .map(({ document, revision }) => ({ ...document, revision }))
    .sort((a, b) => a.plannedFor.localeCompare(b.plannedFor) || a.id.localeCompare(b.id));
