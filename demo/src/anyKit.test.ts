import { Value } from '@sinclair/typebox/value';
import fc from 'fast-check';
import {
  ChartV2Schema,
  chartSheet,
  fitLook,
  inferLandmarks,
  lessonFrom,
  LINES,
  LookSchema,
  MOST_LOOK_STEPS,
  MOST_SENSITIVITIES,
  OCCASIONS,
  OILY_ZONES,
  PLAIN_FEATURES,
  refitChart,
  reviewChart,
  skinByZone,
  usualOccasion,
  type Chart,
  type ClientSnapshot,
  type Step,
} from '@toile/core';
import { client, FULL, kit, one, SEED } from './any.testing';
import { idFor } from './ids';
import { skinAt } from './products';
import { STARTER_LOOKS } from './starterLooks';

// Whatever may be entered can be fitted, judged, kept, repeated and printed: no number a kit can hold, no
// face and no look may end in a chart that is refused.
const wrong = (chart: Chart): string[] =>
  [...Value.Errors(ChartV2Schema, chart)].map(({ path, message, value }) => `${path} ${message}: ${value}`);
const UNSAID = /NaN|undefined|Infinity|\bnull\b|\[object/;

const stamp = (name: string) => ({
  id: idFor(name),
  author: 'Ada',
  at: '2031-05-01T09:00:00Z',
  reason: '',
});
const sheetOf = (chart: Chart) =>
  chartSheet(chart, { paper: 'a4', colour: true, measure: (text, size) => text.length * size * 0.5 });

test('any kit, anybody and any day end in a chart that can be kept, each fix of its review too', () => {
  fc.assert(
    fc.property(one(STARTER_LOOKS), client, kit, one(OCCASIONS), (look, who, kit, occasion) => {
      const { chart, gaps, notes } = fitLook(
        look,
        who,
        kit,
        usualOccasion(occasion, '2031-05-14'),
        stamp('any chart'),
      );
      expect(wrong(chart)).toEqual([]);
      const found = reviewChart(chart, kit);
      for (const words of [
        ...notes,
        ...Object.values(gaps).map((gap) => gap.words),
        ...found.map(({ message }) => message),
      ])
        expect(words).not.toMatch(UNSAID);
      for (const { fix } of found) if (fix) expect(wrong(fix.apply(chart))).toEqual([]);
    }),
    { numRuns: 40, seed: SEED },
  );
});

test('a product that is put in is the one that is named, also where the first would raise something else', () => {
  let otherwise = 0;
  fc.assert(
    fc.property(one(STARTER_LOOKS), client, client, kit, (look, who, later, kit) => {
      const worn = fitLook(look, who, FULL, usualOccasion('party', '2031-05-14'), stamp('any chart')).chart;
      const chart = { ...worn, client: later, occasion: usualOccasion('wedding', '2031-05-14') };
      for (const { fix, stepIds } of reviewChart(chart, kit)) {
        if (!fix) continue;
        const { chart: mended, done } = fix.mend(chart);
        if (done === fix.label) continue;
        otherwise++;
        const put = mended.steps.filter(({ id }) => stepIds.includes(id)).map(namesIn);
        expect(put).toContain(done);
        expect(put).not.toContain(fix.label);
      }
    }),
    { numRuns: 10, seed: SEED },
  );
  expect(otherwise).toBeGreaterThan(0);
});
const namesIn = ({ use }: Step): string =>
  `Take ${use.map(({ product }) => `${product.line} ${product.shade}`).join(' with ')}`;

test('repeated on whoever, with whatever the kit has become, taken home and printed it holds too', () => {
  fc.assert(
    fc.property(one(STARTER_LOOKS), client, client, kit, (look, who, later, kit) => {
      const occasion = usualOccasion('wedding', '2031-05-14');
      const { chart } = fitLook(look, who, FULL, occasion, stamp('any chart'));
      const again = refitChart(chart, later, kit, usualOccasion('gala', '2032-01-20'), {
        ...stamp('any repeat'),
        version: 2,
      });
      expect(wrong(again.base)).toEqual([]);
      expect(wrong(again.chart)).toEqual([]);
      for (const { title, why } of again.changes) expect(`${title} ${why}`).not.toMatch(UNSAID);
      // On paper every step of the plan stands in its turn.
      const plan = again.chart.steps.filter(({ variant }) => variant === undefined);
      const said = sheetOf(again.chart).ops.flatMap((op) => (op.op === 'part' ? (op.said.actual ?? []) : []));
      expect(
        said.filter((words) => /^\d+\. /.test(words)).map((words) => Number.parseInt(words, 10)),
      ).toEqual(plan.map((_, i) => i + 1));
    }),
    { numRuns: 15, seed: SEED },
  );
});

test('the fullest look on the fullest client: eighty steps, everything noted, as long as may be written', () => {
  const filled = (words: string, letters: number): string =>
    `${words} `.repeat(Math.ceil(letters / (words.length + 1))).slice(0, letters - 1) + 'x';
  const who: ClientSnapshot = {
    id: idFor('full client'),
    name: filled('Someone', 120),
    landmarks: inferLandmarks({ faceLength: 190, foreheadHeight: 42 }),
    features: {
      ...PLAIN_FEATURES,
      lids: { left: 'hooded', right: 'partly hooded' },
      eyes: 'deep-set',
      brows: 'sparse',
      lashes: 'sparse',
      lipEdge: 'blurred',
      age: 'mature',
      texture: 'textured',
      lines: [...LINES],
      oily: [...OILY_ZONES],
      dry: true,
      headTremor: true,
      lenses: true,
      cannotRecline: true,
      beard: true,
      narrowTemples: true,
    },
    skin: skinByZone(skinAt(12, 'neutral')),
    readingId: null,
    sensitivities: Array.from({ length: MOST_SENSITIVITIES }, (_, i) => filled(`thing ${i}`, 120)),
  };
  const ASK_MOST = ['Harbour Morning', 'First Ferry', 'Silver Screen'];
  for (const look of STARTER_LOOKS.filter(({ name }) => ASK_MOST.includes(name))) {
    const full = {
      ...look,
      steps: Array.from({ length: MOST_LOOK_STEPS }, (_step, i) => {
        const step = look.steps[i % look.steps.length]!;
        const { instead: _instead, ...plain } = step;
        return {
          ...plain,
          id: idFor(`full step ${i}`),
          title: filled(`${step.title} ${i}`, 200),
          note: filled(step.note || 'Note', 4000),
        };
      }),
    };
    expect([...Value.Errors(LookSchema, full)].map(({ path }) => path)).toEqual([]);
    const { chart } = fitLook(full, who, FULL, usualOccasion('wedding', '2031-05-14'), stamp('full chart'));
    expect([look.name, wrong(chart)]).toEqual([look.name, []]);
  }
});

test('a lesson can be made of any of it', () => {
  fc.assert(
    fc.property(
      one(STARTER_LOOKS),
      client,
      kit,
      fc.integer({ min: 5, max: 60 }),
      (look, who, kit, minutes) => {
        const { chart } = fitLook(look, who, kit, usualOccasion('other', '2031-05-14'), stamp('any chart'));
        const lesson = lessonFrom(chart, { minutes, tools: null });
        // Where the kit has nothing for a look nothing can be taught: what is left out is said.
        expect(lesson.steps.length + lesson.left.length).toBeGreaterThan(0);
        for (const { why } of lesson.left) expect(why.length).toBeGreaterThan(5);
        expect(JSON.stringify(lesson)).not.toMatch(/NaN|undefined|Infinity/);
      },
    ),
    { numRuns: 15, seed: SEED },
  );
});
