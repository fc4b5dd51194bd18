import { mindedNow, notedBy, type Chart } from '@toile/core';
import type { Tx } from '../db/connection';
import { patchTestsOfRows, patchTestsQuery } from '../patchTests/queries';
import { dayOfStudio } from '../studio/day';
import { settingsNow } from '../studio/settings';
import { incidentsOfRows, incidentsQuery } from './incidents';

/** A chart with what is noted of its client by now; as it was written where the client was erased. */
export async function chartNow(tx: Tx, chart: Chart, now: Date): Promise<Chart> {
  const { id } = chart.client;
  const client = await tx
    .selectFrom('clients')
    .select(['sensitivities', 'features', 'birth_year'])
    .where('id', '=', id)
    .executeTakeFirst();
  if (!client) return chart;
  const patchTests = patchTestsOfRows(await patchTestsQuery(tx).where('client_id', '=', id).execute());
  const incidents = incidentsOfRows(await incidentsQuery(tx, id).execute());
  const today = dayOfStudio((await settingsNow(tx)).settings, now);
  const { sensitivities, features, birth_year: birthYear } = client;
  return mindedNow(chart, notedBy({ sensitivities, features, birthYear, patchTests, incidents }, today, now));
}
