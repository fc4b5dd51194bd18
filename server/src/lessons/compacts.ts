import { sql, type Selectable } from 'kysely';
import { compactNotes, compactProblems, msg, type Chart, type Compact } from '@toile/core';
import type { CompactAnswer } from '@toile/contract';
import { chartNow } from '../care/chartNow';
import { chartVersion } from '../charts/queries';
import type { Tx } from '../db/connection';
import type { Database } from '../db/schema';
import { found, ProblemError, wrong } from '../http/problem';
import { read, write, type Services } from '../http/register';
import type { SheetPaper } from '../print/callSheetPdf';
import { daysTold } from '../studio/day';

const MOST = 100;

/** Compacts a client takes home: kept, moved about in, printed. */
export function registerCompacts(services: Services): void {
  read(services, 'listCompacts', async ({ tx, params }) => {
    found(await tx.selectFrom('charts').select('id').where('id', '=', params.id).executeTakeFirst());
    const rows = await tx
      .selectFrom('compacts')
      .selectAll()
      .where('chart_id', '=', params.id)
      .orderBy('made_at')
      .limit(MOST)
      .execute();
    return { body: rows.map(answerOf) };
  });

  write(services, 'createCompact', async ({ tx, caller, body: { compact, version }, params, now }) => {
    const chart = await chartNow(tx, await chartVersion(tx, params.id, version), now);
    check(compact, chart);
    for (const { called, name, barred } of compactNotes(compact, chart).pans)
      if (barred !== null) throw wrong('compact', msg`${called} holds ${name}: ${barred}. Take it out`);
    const row = await tx
      .insertInto('compacts')
      .values({
        studio_id: caller.studioId,
        id: compact.id,
        client_id: chart.client.id,
        chart_id: params.id,
        version,
        document: JSON.stringify(compact),
        made_by: caller.name,
      })
      .onConflict((c) => c.doNothing())
      .returningAll()
      .executeTakeFirst();
    if (!row) throw new ProblemError('already-there');
    return { status: 201, body: answerOf(row), subject: row.id, revision: row.revision };
  });

  write(services, 'updateCompact', async ({ tx, body: { compact, version }, params, revision, stale }) => {
    const current = found(await rowOf(tx, params.id));
    if (compact.id !== params.id) throw wrong('compact.id', msg`must be the id of the address`);
    check(compact, await chartVersion(tx, current.chart_id, version));
    const row = await tx
      .updateTable('compacts')
      .set({ document: JSON.stringify(compact), version, revision: sql<number>`revision + 1` })
      .where('id', '=', params.id)
      .where('revision', '=', revision)
      .returningAll()
      .executeTakeFirst();
    if (!row) throw stale(current.document, compact);
    return { body: answerOf(row), subject: row.id, revision: row.revision };
  });

  read(services, 'printCompact', async ({ tx, params, query, origin, now }) => {
    const row = found(await rowOf(tx, params.id));
    const chart = await chartNow(tx, await chartVersion(tx, row.chart_id, row.version), now);
    const as = query.as ?? 'card';
    if (as !== 'labels' && as !== 'card') throw wrong('as', msg`labels or card`);
    const paper: SheetPaper = query.paper === 'letter' ? 'letter' : 'a4';
    const { days } = await daysTold(tx);
    return {
      body: await services.print({ kind: 'compact', compact: row.document, chart, as, paper, origin, days }),
      file: `compact-${as}-${row.id}.pdf`,
      type: 'application/pdf',
    };
  });
}

const rowOf = (tx: Tx, id: string) =>
  tx.selectFrom('compacts').selectAll().where('id', '=', id).executeTakeFirst();

function check(compact: Compact, chart: Chart): void {
  const [first] = compactProblems(compact, chart);
  if (first) throw wrong('compact', first);
}

const answerOf = (row: Selectable<Database['compacts']>): CompactAnswer => ({
  compact: row.document,
  chartId: row.chart_id,
  version: row.version,
  revision: row.revision,
  madeBy: row.made_by,
  madeAt: row.made_at.toISOString(),
});
