import fc from 'fast-check';
import { fitLook } from '../look';
import { client, KIT, LOOK, OCCASION, STAMP } from '../look/look.testing';
import { chartAsReviewed, reviewChart } from '.';

const { chart } = fitLook(
  LOOK,
  { ...client(), sensitivities: ['latex', 'nickel', 'fragrance'] },
  KIT,
  { ...OCCASION, hoursToLast: 12 },
  STAMP,
);
const word = fc.oneof(
  fc.constantFrom(
    'touch-up',
    'Balm',
    'patch test',
    'latex-free',
    'nickel-free',
    'plastic spatula',
    'patch',
    'test',
  ),
  fc.string({ maxLength: 8 }),
);
const notes = fc.array(
  fc.array(word, { maxLength: 4 }).map((words) => words.join(' ')),
  {
    minLength: chart.steps.length,
    maxLength: chart.steps.length,
  },
);
const noted = (words: readonly string[]) => ({
  ...chart,
  steps: chart.steps.map((step, i) => ({ ...step, note: words[i]! })),
});
const plain = (findings: ReturnType<typeof reviewChart>) => findings.map(({ fix, ...f }) => [f, fix?.label]);

test('whatever is noted, the chart is judged as it is without the other words', () => {
  fc.assert(
    fc.property(notes, (words) => {
      const whole = noted(words);
      expect(plain(reviewChart(chartAsReviewed(whole), KIT))).toEqual(plain(reviewChart(whole, KIT)));
    }),
    { numRuns: 60 },
  );
});

test('words nobody looks for change nothing of it, and those that are looked for do', () => {
  const text = (words: string): string =>
    JSON.stringify(chartAsReviewed(noted(chart.steps.map(() => words))));
  expect(text('Softer than planned, she laughed')).toBe(text(''));
  for (const words of [
    'Packed for TOUCH-UPs',
    'lip balm on',
    'a patch test',
    'latex-free puff',
    'plastic spatula',
  ])
    expect([words, text(words) === text('')]).toEqual([words, false]);
});

test('the reason of a version is not looked over', () =>
  expect(chartAsReviewed({ ...chart, reason: 'a' })).toEqual(chartAsReviewed({ ...chart, reason: 'b' })));
