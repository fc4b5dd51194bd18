import { CORPUS, judge, score } from '@toile/demo/src/corpus';
import { DEMO_PEOPLE, KITS, WEDDING } from '@toile/demo/src/corpus/ground';
import { LOOKS } from '@toile/demo';
import {
  deltaE2000,
  excludedBecause,
  fitLook,
  needOf,
  reviewChart,
  wantedColour,
  withinLimits,
  type ClientSnapshot,
  type FitContext,
  type Look,
} from '@toile/core';
import { medianMs, ms, row, type Row } from './measure';

const STAMP = {
  id: '0190a000-0000-7000-8000-000000000900',
  author: '',
  at: '2031-05-01T09:00:00Z',
  reason: '',
};
const kit = KITS.demo;
/**
 * Fitting as it is done without judgement: places inside their limits, every step the product nearest in
 * colour.
 */
function fitByColourAlone(look: Look, client: ClientSnapshot): number {
  const context: FitContext = { client, kit, date: WEDDING.date, occasion: WEDDING, forbids: look.forbids };
  return look.steps.reduce((count, step) => {
    const placed = {
      ...step,
      placements: step.placements.map((p) => withinLimits(p, client.landmarks, client.features, step.role)),
    };
    needOf(placed, client);
    const target = wantedColour(step, client);
    const nearest = kit.products
      .filter((p) => excludedBecause(p, step, context) === null)
      .map((p) => ({ p, off: target && p.lab ? deltaE2000(target, p.lab) : 0 }))
      .sort((a, b) => a.off - b.off)[0];
    return count + (nearest ? 1 : 0);
  }, 0);
}

/** What fitting and reviewing take, and how well the review judges the corpus. */
export function judgementRows(): Row[] {
  const all = DEMO_PEOPLE.flatMap((client) => LOOKS.map((look) => ({ client, look })));
  const charts = all.map(({ client, look }) => fitLook(look, client, kit, WEDDING, STAMP).chart);
  const fitMs =
    medianMs(() => all.forEach(({ client, look }) => void fitLook(look, client, kit, WEDDING, STAMP)), 3) /
    all.length;
  const plainMs =
    medianMs(() => all.forEach(({ client, look }) => void fitByColourAlone(look, client)), 3) / all.length;
  const reviewMs = charts
    .map((chart) => medianMs(() => void reviewChart(chart, kit), 3))
    .sort((a, b) => a - b);
  const total = score(CORPUS.map(judge)).at(-1)!;
  return [
    row(
      `one look fitted to one client, ${kit.products.length} products, mean of ${all.length}`,
      fitMs,
      'by colour alone, judging nothing',
      plainMs,
    ),
    {
      what: `a chart reviewed, median (worst ${ms(reviewMs.at(-1)!)})`,
      ours: ms(reviewMs[Math.floor(reviewMs.length / 2)]!),
      peer: 'limit 30 ms',
      ratio: `${(30 / reviewMs[Math.floor(reviewMs.length / 2)]!).toFixed(1)} x`,
    },
    {
      what: `corpus of ${total.cases} charts judged`,
      ours: `precision ${total.precision.toFixed(3)}`,
      peer: `recall ${total.recall.toFixed(3)}`,
      ratio: `${(Math.min(total.precision, total.recall) / 0.97).toFixed(2)} x`,
    },
  ];
}
