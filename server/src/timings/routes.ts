import { ownTimings, workSamples, type ChairEvent, type Chart, type WorkSample } from '@toile/core';
import type { TimingsAnswer } from '@toile/contract';
import { read, type Services } from '../http/register';

/** Charts worked longest ago count no longer: hands get quicker. */
const MOST_CHARTS = 200;

/** How quick each pair of hands of the studio is, learned from the chair. */
export function registerTimings(services: Services): void {
  read(services, 'timings', async ({ tx }) => {
    const worked = await tx
      .selectFrom('chair_events')
      .select((eb) => ['chart_id', 'version', eb.fn.max('seq').as('last')])
      .groupBy(['chart_id', 'version'])
      .orderBy('last', 'desc')
      .limit(MOST_CHARTS)
      .execute();
    if (worked.length === 0) return { body: [] satisfies TimingsAnswer };
    const of = <T extends { chart_id: string; version: number }>(
      rows: readonly T[],
      one: { chart_id: string; version: number },
    ): T[] => rows.filter((r) => r.chart_id === one.chart_id && r.version === one.version);
    const ids = worked.map((w) => w.chart_id);
    const [versions, events] = [
      await tx
        .selectFrom('chart_versions')
        .select(['chart_id', 'version', 'document'])
        .where('chart_id', 'in', ids)
        .execute(),
      await tx
        .selectFrom('chair_events')
        .select(['chart_id', 'version', 'event'])
        .where('chart_id', 'in', ids)
        .orderBy('seq')
        .execute(),
    ];
    const samples = worked.flatMap((one): WorkSample[] => {
      const chart: Chart | undefined = of(versions, one)[0]?.document;
      const told: ChairEvent[] = of(events, one).map((e) => e.event);
      return chart ? workSamples(chart, told) : [];
    });
    const people = [...new Set(samples.map((s) => s.by))].sort();
    const answer: TimingsAnswer = people
      .map((by) => ({ by, timings: ownTimings(samples.filter((s) => s.by === by)) }))
      .filter(({ timings }) => timings.length > 0);
    return { body: answer };
  });
}
