import { sql } from 'kysely';
import {
  isAsked,
  measure,
  MEASUREMENT_NAMES,
  msg,
  nextVersion,
  PAPERS,
  readChart,
  recordedBy,
  writeChart,
  type Chart,
  type Paper,
} from '@toile/core';
import { newId } from '@toile/contract';
import type { Tx } from '../db/connection';
import { oneAtATime } from '../db/locks';
import { found, ProblemError } from '../http/problem';
import type { Caller } from '../http/caller';
import { readHeld } from '../http/readHeld';
import { read, write, type Services } from '../http/register';
import { settleStep } from '../kit/ledger';
import { chartNow } from '../care/chartNow';
import { announce } from './live';
import { daysTold } from '../studio/day';
import { eventRow } from './events';
import { chartAnswer, insertVersion, newestVersion } from './queries';

/** Face charts: fitted, saved as versions, worked at the chair, carried to other studios. */
export function registerCharts(services: Services): void {
  readHeld(services, 'chart', ['chart_versions', 'chair_events'], async ({ tx, params, query }) => ({
    body: await chartAnswer(tx, params.id, versionAsked(query.version)),
  }));

  read(services, 'exportChart', async ({ tx, params, query }) => {
    const { chart } = await chartAnswer(tx, params.id, versionAsked(query.version));
    return { body: writeChart(chart), file: `chart-${chart.id}-v${chart.version}.json` };
  });

  read(services, 'printChart', async ({ tx, params, query, now }) => {
    const asked = printAsked(query);
    const { chart: written } = await chartAnswer(tx, params.id, versionAsked(query.version));
    // What is to be minded is what is noted now, of whichever version.
    const chart = asked.cautions ? await chartNow(tx, written, now) : written;
    return {
      body: await services.print({ kind: 'chart', chart, ...asked, days: (await daysTold(tx)).days }),
      file: `chart-${chart.id}-v${chart.version}.${asked.as}`,
      type: asked.as === 'pdf' ? 'application/pdf' : 'image/svg+xml',
    };
  });

  write(services, 'createChart', async ({ tx, caller, body, now }) => {
    found(
      await tx.selectFrom('clients').select('id').where('id', '=', body.chart.client.id).executeTakeFirst(),
    );
    const chart: Chart = {
      ...body.chart,
      version: 1,
      parent: null,
      author: caller.name,
      at: now.toISOString(),
    };
    await claimChart(tx, caller, chart);
    await insertVersion(tx, caller.studioId, chart);
    if (body.visitId) {
      const visit = await tx
        .updateTable('visits')
        // What was asked for the chart is what the visit asks.
        .set({
          chart_id: chart.id,
          ...(isAsked(chart.occasion)
            ? { occasion: JSON.stringify(chart.occasion), revision: sql<number>`revision + 1` }
            : {}),
        })
        .where('id', '=', body.visitId)
        .where('client_id', '=', chart.client.id)
        .returning('id')
        .executeTakeFirst();
      found(visit);
    }
    return { status: 201, body: await chartAnswer(tx, chart.id), subject: chart.id };
  });

  write(services, 'createVersion', async ({ tx, caller, body, params, now, stale }) => {
    found(await tx.selectFrom('charts').select('id').where('id', '=', params.id).executeTakeFirst());
    await oneAtATime(tx, params.id);
    const newest = found(await newestVersion(tx, params.id));
    if (newest.version !== body.parent) throw stale(newest, body.chart);
    if (body.chart.client.id !== newest.client.id)
      throw new ProblemError('bad-input', {
        fields: [{ path: 'chart.client.id', message: msg`A chart stays with its client` }],
      });
    const chart = nextVersion(body.chart, newest, {
      author: caller.name,
      at: now.toISOString(),
      reason: body.reason,
    });
    await insertVersion(tx, caller.studioId, chart);
    await announce(tx, chart.id);
    return { status: 201, body: await chartAnswer(tx, chart.id), subject: chart.id };
  });

  write(services, 'createEvent', async ({ tx, caller, body, params }) => {
    const version = found(
      await tx
        .selectFrom('chart_versions')
        .select('document')
        .where('chart_id', '=', params.id)
        .where('version', '=', body.version)
        .executeTakeFirst(),
    );
    if (!version.document.steps.some((step) => step.id === body.stepId))
      throw new ProblemError('bad-input', {
        fields: [{ path: 'stepId', message: msg`is not a step of this version` }],
      });
    // What two phones record of one step at once is counted one after the other: the second sees what the
    // first took.
    await oneAtATime(tx, `${params.id} ${body.stepId}`);
    if (body.settles && body.settles.length > 0) await mustBeOfStep(tx, params.id, body.stepId, body.settles);
    const event = recordedBy(caller.name, body);
    const inserted = await tx
      .insertInto('chair_events')
      .values(eventRow(caller.studioId, params.id, body.version, event))
      .onConflict((c) => c.columns(['studio_id', 'id']).doNothing())
      .returning('id')
      .executeTakeFirst();
    if (!inserted) throw new ProblemError('already-there');
    await settleStep(tx, caller, version.document, body.stepId);
    await announce(tx, params.id);
    return { status: 201, body: event, subject: event.id };
  });

  write(services, 'importChart', async ({ tx, caller, body, now }) => {
    const file = readChart(body.text);
    if (!file.ok) throw new ProblemError('bad-file', { fields: file.problems });
    const chart = await adopt(tx, caller, file.document, now);
    return { status: 201, body: await chartAnswer(tx, chart.id), subject: chart.id };
  });
}

/**
 * What is settled must have been recorded of this very step, of whichever version; it is told by its field
 * otherwise.
 */
async function mustBeOfStep(
  tx: Tx,
  chartId: string,
  stepId: string,
  eventIds: readonly string[],
): Promise<void> {
  const rows = await tx
    .selectFrom('chair_events')
    .select('id')
    .where('chart_id', '=', chartId)
    .where('step_id', '=', stepId)
    .where('id', 'in', eventIds)
    .execute();
  const strange = eventIds.find((id) => !rows.some((row) => row.id === id));
  if (strange)
    throw new ProblemError('bad-input', {
      fields: [{ path: 'settles', message: msg`${strange} was not recorded of this step` }],
    });
}

function versionAsked(text: string | undefined): number | undefined {
  if (text === undefined) return undefined;
  if (!/^[1-9]\d{0,8}$/.test(text)) throw new ProblemError('not-found');
  return Number(text);
}

async function claimChart(tx: Tx, caller: Caller, chart: Chart): Promise<void> {
  const inserted = await tx
    .insertInto('charts')
    .values({ studio_id: caller.studioId, id: chart.id, client_id: chart.client.id })
    .onConflict((c) => c.columns(['studio_id', 'id']).doNothing())
    .returning('id')
    .executeTakeFirst();
  if (!inserted)
    throw new ProblemError('already-there', { detail: msg`This chart is already in the studio.` });
}

/**
 * Takes a chart from elsewhere into this studio as its first version here, with the client it was made
 * for: found by id, or added with the face, features and sensitivities the file carries.
 */
async function adopt(tx: Tx, caller: Caller, foreign: Chart, now: Date): Promise<Chart> {
  const { client } = foreign;
  const known = await tx.selectFrom('clients').select('id').where('id', '=', client.id).executeTakeFirst();
  if (!known) {
    await tx
      .insertInto('clients')
      .values({
        studio_id: caller.studioId,
        id: client.id,
        name: client.name,
        contact: JSON.stringify({ phone: '', email: '' }),
        birth_year: null,
        guardian_consent: '',
        sensitivities: JSON.stringify(client.sensitivities),
        notes: '',
        features: JSON.stringify(client.features),
        measurements: JSON.stringify(measuredOn(foreign)),
        updated_at: now,
      })
      .execute();
    const zones = Object.fromEntries(Object.entries(client.skin).map(([zone, lab]) => [zone, [lab]]));
    if (Object.keys(zones).length > 0) {
      await tx
        .insertInto('readings')
        .values({
          studio_id: caller.studioId,
          id: newId(),
          client_id: client.id,
          at: foreign.at,
          by_name: foreign.author,
          source: 'import',
          zones: JSON.stringify(zones),
        })
        .execute();
    }
  }
  const reason = [msg`Imported from version ${foreign.version} by ${foreign.author}.`, foreign.reason]
    .filter(Boolean)
    .join(' ');
  const chart: Chart = {
    ...foreign,
    version: 1,
    parent: null,
    author: caller.name,
    at: now.toISOString(),
    reason: reason.slice(0, 4000),
  };
  await claimChart(tx, caller, chart);
  await insertVersion(tx, caller.studioId, chart);
  return chart;
}

/**
 * Every measurement, taken from the landmarks the file carries: the face comes along to within the tape's
 * error.
 */
function measuredOn({ client }: Chart): Record<string, number> {
  return Object.fromEntries(
    MEASUREMENT_NAMES.map((name) => [name, Math.round(measure(name, client.landmarks) * 10) / 10]),
  );
}

type PrintAsked = {
  readonly as: 'pdf' | 'svg';
  readonly paper: Paper;
  readonly colour: boolean;
  readonly cautions: boolean;
};

/** How a print was asked for; anything unknown is told by its field. */
function printAsked({
  as = 'pdf',
  paper = 'a4',
  colour = 'yes',
  cautions = 'no',
}: Readonly<Record<string, string | undefined>>): PrintAsked {
  const wrong = (path: string, message: string): never => {
    throw new ProblemError('bad-input', { fields: [{ path, message }] });
  };
  if (as !== 'pdf' && as !== 'svg') return wrong('as', msg`pdf or svg`);
  if (!isPaper(paper)) return wrong('paper', msg`one of ${Object.keys(PAPERS).join(', ')}`);
  return { as, paper, colour: colour !== 'no', cautions: cautions === 'yes' };
}

const isPaper = (text: string): text is Paper => text in PAPERS;
