import fc from 'fast-check';
import {
  diffCharts,
  fitLook,
  lessonFrom,
  OCCASIONS,
  orderChoices,
  refitChart,
  reviewChart,
  tellIn,
  usualOccasion,
  type Chart,
} from '@toile/core';
import { INDONESIAN } from '@toile/languages/translator';
import { client, kit, one, SEED } from './any.testing';
import { idFor } from './ids';
import { STARTER_LOOKS } from './starterLooks';

// What is judged does not hang on the language it is told in: the same in both but for its words.
afterEach(() => tellIn(() => null));
const inIndonesian = <T>(work: () => T): T => {
  tellIn(() => INDONESIAN);
  try {
    return structuredClone(work());
  } finally {
    tellIn(() => null);
  }
};

const isWords = (key: string): boolean =>
  /^(title|note|why|words|reasons?|label|message|name|detail|text|says|said|limits?|notes|lead|what|offer|difference|was|now|made|whole|how|check|seen|cure|where|amount|before|minds|alone|left|advice|because|shown|meaning|buy|mixNeeds|notes?)$/i.test(
    key,
  );
/** Where two values differ otherwise than in the words somebody reads. */
function differing(a: unknown, b: unknown, at: readonly string[] = []): string[] {
  if (typeof a === 'string' && typeof b === 'string') {
    const key = [...at].reverse().find((part) => !/^\d+$/.test(part)) ?? '';
    return a === b || isWords(key) ? [] : [`${at.join('.')}: ${a} | ${b}`];
  }
  if (a === null || b === null || typeof a !== 'object' || typeof b !== 'object')
    return Object.is(a, b) ? [] : [`${at.join('.')}: ${String(a)} | ${String(b)}`];
  const keys = [...new Set([...Object.keys(a), ...Object.keys(b)])];
  return keys.flatMap((key) =>
    differing((a as Record<string, unknown>)[key], (b as Record<string, unknown>)[key], [...at, key]),
  );
}

const stamp = (name: string) => ({ id: idFor(name), author: 'Ada', at: '2031-05-01T09:00:00Z', reason: '' });
const day = one(OCCASIONS).map((kind) => usualOccasion(kind, '2031-05-14'));
/** A finding without its fix: what it mends is compared as what it mends it to. */
const judged = (chart: Chart, kitOf: Parameters<typeof reviewChart>[1]) =>
  reviewChart(chart, kitOf).map(({ fix, ...finding }) => ({
    ...finding,
    mended: fix ? fix.apply(chart) : null,
  }));

test('a fit, its review with every fix, its orders, its repeat and its lesson', () => {
  fc.assert(
    fc.property(one(STARTER_LOOKS), client, kit, day, day, (look, who, from, occasion, later) => {
      const all = () => {
        const fitted = fitLook(look, who, from, occasion, stamp('told'));
        const { chart } = fitted;
        const again = refitChart(chart, who, from, later, { ...stamp('again'), version: 2 });
        return {
          fitted,
          judged: judged(chart, from),
          orders: orderChoices(chart, from).map(({ stepIds }) => stepIds),
          changes: again.changes.map(({ id, kind, stepId }) => ({ id, kind, stepId })),
          again: again.chart,
          differences: diffCharts(chart, again.chart).map(({ what: of, stepId }) => ({ of, stepId })),
          lesson: lessonFrom(chart, { minutes: 15, tools: ['finger', 'loose brush'] }),
        };
      };
      expect(differing(structuredClone(all()), inIndonesian(all))).toEqual([]);
    }),
    { numRuns: 5, seed: SEED, endOnFailure: true },
  );
});

test('a chart that was written in one language is repeated in the other as it was', () => {
  fc.assert(
    fc.property(one(STARTER_LOOKS), client, kit, day, (look, who, from, occasion) => {
      const { chart } = fitLook(look, who, from, occasion, stamp('told'));
      const again = inIndonesian(
        () => refitChart(chart, who, from, occasion, { ...stamp('again'), version: 2 }).chart,
      );
      expect(again.steps).toEqual(chart.steps);
      expect(again.adaptations).toEqual(chart.adaptations);
    }),
    { numRuns: 8, seed: SEED, endOnFailure: true },
  );
});
