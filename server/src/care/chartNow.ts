import { mindedNow, notedBy, type Chart } from '@toile/core';
import type { Tx } from '../db/connection';
import { patchTestsOfRows, patchTestsQuery } from '../patchTests/queries';
import { dayOfStudio } from '../studio/day';
import { settingsNow } from '../studio/settings';

/** More of each than the people of any party have. */
const MOST_TESTS = 5000;
const MOST_INCIDENTS = 2000;

/** A chart with what is noted of its client by now; as it was written where the client was erased. */
export async function chartNow(tx: Tx, chart: Chart, now: Date): Promise<Chart> {
  const [minded] = await chartsNow(tx, [chart], now);
  return minded ?? chart;
}

/** The same of several, in their order, asked for together. */
export async function chartsNow(tx: Tx, charts: readonly Chart[], now: Date): Promise<readonly Chart[]> {
  const ids = [...new Set(charts.map(({ client }) => client.id))];
  if (ids.length === 0) return charts;
  const clients = await tx
    .selectFrom('clients')
    .select(['id', 'sensitivities', 'features', 'birth_year'])
    .where('id', 'in', ids)
    .execute();
  if (clients.length === 0) return charts;
  const tests = patchTestsOfRows(
    await patchTestsQuery(tx).where('client_id', 'in', ids).limit(MOST_TESTS).execute(),
  );
  const incidents = await tx
    .selectFrom('incidents')
    .select(['client_id', 'document'])
    .where('client_id', 'in', ids)
    .orderBy('at', 'desc')
    .limit(MOST_INCIDENTS)
    .execute();
  const today = dayOfStudio((await settingsNow(tx)).settings, now);
  return charts.map((chart) => {
    const client = clients.find(({ id }) => id === chart.client.id);
    if (!client) return chart;
    const noted = notedBy(
      {
        sensitivities: client.sensitivities,
        features: client.features,
        birthYear: client.birth_year,
        patchTests: tests.filter(({ clientId }) => clientId === client.id),
        incidents: incidents.flatMap((one) => (one.client_id === client.id ? [one.document] : [])),
      },
      today,
      now,
    );
    return mindedNow(chart, noted);
  });
}
