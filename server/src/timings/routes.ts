import { ownTimings, workSamples } from '@toile/core';
import type { TimingsAnswer } from '@toile/contract';
import { read, type Services } from '../http/register';
import { workedCharts } from './workedCharts';

/** Charts worked longest ago count no longer: hands get quicker. */
const MOST_CHARTS = 200;

/** How quick each pair of hands of the studio is, learned from the chair. */
export function registerTimings(services: Services): void {
  read(services, 'timings', async ({ tx }) => {
    const samples = (await workedCharts(tx, MOST_CHARTS)).flatMap(({ chart, told }) =>
      workSamples(chart, told),
    );
    const people = [...new Set(samples.map((s) => s.by))].sort();
    const answer: TimingsAnswer = people
      .map((by) => ({ by, timings: ownTimings(samples.filter((s) => s.by === by)) }))
      .filter(({ timings }) => timings.length > 0);
    return { body: answer };
  });
}
