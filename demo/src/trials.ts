import {
  aSideAt,
  addDays,
  changedSteps,
  deltaE2000,
  differsBesides,
  documentHash,
  drawSides,
  instantAt,
  nextVersion,
  otherWay,
  questionOf,
  seededRandom,
  seedFromText,
  skinGroupOf,
  skinTarget,
  swapProduct,
  swapStep,
  trialNow,
  trialVariant,
  withHalves,
  withoutVariant,
  zonesCompared,
  type Chart,
  type Kit,
  type Product,
  type Side,
  type Swap,
  type Trial,
  type TrialEvent,
  type TrialMeasure,
  type TrialZone,
} from '@toile/core';
import type { StudioBundle } from '@toile/contract';
import { idFor } from './ids';
import { ZONE } from './parties';

type Tried = Pick<StudioBundle, 'charts' | 'trials' | 'trialEvents'>;
const BY = 'Runa Castellane';
const HOURS = [2, 4, 6, 8] as const;
/** The two bases of the year's question, by line. */
const [LONG, PLAIN] = ['Long Hours', 'Veil'] as const;

/**
 * A year of half-face trials on the company of players. Of two bases one really stays less shiny, three times
 * over so far, and the last three were worn and are not judged yet; powder under the eye only looks as if it
 * creased: twice, by luck.
 */
export function trialsOfAYear(studioId: string, charts: readonly Chart[], kit: Kit, today: string): Tried {
  const made: Tried[] = [];
  const sides = new Map<string, Side[]>();
  const run = (chart: Chart, n: number, daysAgo: number, plan: Plan): Chart => {
    const one = tried(studioId, chart, addDays(today, -daysAgo), n, plan, sides);
    made.push(one);
    return one.charts.at(-1) ?? chart;
  };
  charts.forEach((chart, i) => {
    const base = inLine(chart, kit, PLAIN);
    made.push({ charts: [base], trials: [], trialEvents: [] });
    const after = run(base, 1, 190 - 28 * i, {
      swap: (of) => swapBase(of, kit, LONG),
      measure: 'shine',
      zones: ['forehead', 'nose'],
      better: (way) => way.includes(LONG),
      judged: i < 3,
    });
    const powder = after.steps.find((step) => step.role === 'powder' && !step.variant);
    if (i >= 2 || !powder) return;
    run(after, 2, 60 - 20 * i, {
      swap: (of) => swapStep(of, powder.id, 'left out')!,
      measure: 'creasing',
      zones: null,
      better: (way) => way.startsWith('without'),
      judged: true,
    });
  });
  return {
    charts: made.flatMap((one) => one.charts),
    trials: made.flatMap((one) => one.trials),
    trialEvents: made.flatMap((one) => one.trialEvents),
  };
}

type Plan = {
  readonly swap: (chart: Chart) => Swap;
  readonly measure: TrialMeasure;
  /** Of those it can be judged in; null: all. */ readonly zones: readonly TrialZone[] | null;
  /** Which way really does better. */ readonly better: (way: string) => boolean;
  readonly judged: boolean;
};

function tried(
  studioId: string,
  chart: Chart,
  day: string,
  n: number,
  { swap: swapFor, measure, zones, better, judged }: Plan,
  sides: Map<string, Side[]>,
): Tried {
  const id = idFor(`trial ${chart.client.name} ${n}`);
  const swap = swapFor(chart);
  const changed = changedSteps(chart, swap);
  const possible = zonesCompared(chart, changed);
  const judgedIn = possible.filter((zone) => zones === null || zones.includes(zone));
  const { question, chartHas } = questionOf(chart, swap, measure);
  const earlier = sides.get(question.key) ?? [];
  const seed = `${studioId}/${id}`;
  const draw = drawSides(seed, earlier);
  sides.set(question.key, [...earlier, draw.aSide]);
  const at = (minute: number): string => instantAt(ZONE, day, minute).toISOString();
  const variant = trialVariant(id);
  let step = 0;
  const halves = nextVersion(
    withHalves(chart, swap, {
      variant,
      here: (chartHas === 'a') === (draw.aSide === 'left') ? 'left' : 'right',
      newId: () => idFor(`half ${id} ${step++}`),
    }),
    chart,
    { author: BY, at: at(9 * 60), reason: `Half-face trial: ${question.text}` },
  );
  const declared: Trial['declared'] = {
    measure,
    by: 'client',
    zones: judgedIn,
    hours: [...HOURS],
    margin: 0.5,
  };
  const trial: Trial = {
    format: 'toile.trial/1',
    id,
    clientId: chart.client.id,
    chartId: chart.id,
    version: halves.version,
    variant,
    date: day,
    question,
    chartHas,
    swap,
    declared,
    skin: skinGroupOf(chart.client.features, judgedIn),
    declaredHash: documentHash(declared),
    differs: differsBesides(changed, swap.aspect),
    draw: { seed, ...draw, at: at(9 * 60), by: BY },
  };
  const events = eventsOf(trial, chart.client.name, at, better, judged);
  const decided = trialNow(trial, events).decided;
  if (!decided) return { charts: [halves], trials: [trial], trialEvents: told(trial, events) };
  const plain = withoutVariant(halves, variant);
  const other = decided.choice !== chartHas && (decided.choice === 'a' || decided.choice === 'b');
  const after = nextVersion(other ? otherWay(plain, swap) : plain, halves, {
    author: BY,
    at: decided.at,
    reason: 'Decided after a half-face trial',
  });
  return { charts: [halves, after], trials: [trial], trialEvents: told(trial, events) };
}

const told = (trial: Trial, events: readonly TrialEvent[]): Tried['trialEvents'] =>
  events.map((event) => ({ trialId: trial.id, event }));

/** Put on at half past nine, looked at every two hours by whoever wore it, judged in the evening. */
function eventsOf(
  trial: Trial,
  client: string,
  at: (minute: number) => string,
  better: (way: string) => boolean,
  judged: boolean,
): TrialEvent[] {
  const random = seededRandom(seedFromText(trial.id));
  const wins = better(trial.question.a.words) ? 'a' : 'b';
  const good: Side =
    (wins === 'a') === (aSideAt(trial.draw, trial.declared.zones[0]!) === 'left') ? 'left' : 'right';
  const start = 9 * 60 + 30;
  const name = (of: string): string => idFor(`trial event ${trial.id} ${of}`);
  const grade = (side: Side, hour: number): number => {
    const worse = side === good ? 0 : 1;
    return Math.max(0, Math.min(3, Math.round(hour / 4 + worse * (hour / 4) * 0.9 + 0.4 * (random() - 0.5))));
  };
  const looks = HOURS.map((hour): TrialEvent => ({
    id: name(`look ${hour}`),
    at: at(start + hour * 60),
    by: client,
    kind: 'looked',
    judge: 'client',
    lookedAt: at(start + hour * 60),
    seen: trial.declared.zones.flatMap((zone) =>
      (['left', 'right'] as const).map((side) => ({
        zone,
        side,
        measure: trial.declared.measure,
        value: grade(side, hour),
      })),
    ),
    touched: [],
    marks: hour === 4 ? ['meal'] : hour === 8 ? ['heat'] : [],
  }));
  const applied: TrialEvent = {
    id: name('applied'),
    at: at(start),
    by: BY,
    kind: 'applied',
    appliedAt: at(start),
  };
  if (!judged) return [applied, ...looks];
  const evening = at(start + 11 * 60);
  return [
    applied,
    ...looks,
    { id: name('judged'), at: evening, by: BY, kind: 'judged', guess: random() < 0.5 ? 'left' : 'right' },
    {
      id: name('decided'),
      at: evening,
      by: BY,
      kind: 'decided',
      choice: wins,
      scope: 'client',
      follows: true,
      reason: '',
      neck: 'yes',
      camera: 'not looked at',
    },
  ];
}

/** The product of a line nearest to a skin. */
function nearest(chart: Chart, kit: Kit, line: string): Product {
  const skin = skinTarget(chart.client.skin)!;
  const far = (product: Product): number => (product.lab ? deltaE2000(product.lab, skin) : Infinity);
  const all = kit.products.filter(
    (p) => p.kind === 'base' && p.line === line && kit.units.some((u) => u.productId === p.id),
  );
  return all.reduce((best, one) => (far(one) < far(best) ? one : best), all[0]!);
}

function swapBase(chart: Chart, kit: Kit, line: string): Swap {
  const product = nearest(chart, kit, line);
  const unit = kit.units.find((one) => one.productId === product.id)!;
  const base = chart.steps.find((step) => step.role === 'base' && !step.variant)!;
  return swapProduct(chart, base.id, { parts: [{ product, unit, pumps: 1 }], doseFactor: 1 })!;
}
const inLine = (chart: Chart, kit: Kit, line: string): Chart => otherWay(chart, swapBase(chart, kit, line));
