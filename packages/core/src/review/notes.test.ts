import fc from 'fast-check';
import { fitLook, says } from '../look';
import { client, KIT, LOOK, OCCASION, STAMP } from '../look/look.testing';
import { chartAsReviewed, reviewChart } from '.';
import { added, extra, other, PRODUCTS, QUIET, scene, STEPS, withStep, type Scene } from './review.testing';

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

test.each([
  [
    'touch-up',
    [
      'touch-up',
      'Packed for touch-ups.',
      'touch up after dinner',
      'Touchup at 8',
      'touched up twice',
      'retouch it',
      're-touched',
      'top up the gloss',
      'reapply after the toast',
      'reapplied',
    ],
    [
      'no touch-ups',
      'No time for touch ups',
      'never retouched',
      'cannot reach it',
      'touch the lip lightly',
      'stop upwards',
      'tanpa touch-up',
    ],
  ],
  [
    'lip balm',
    ['Balm', 'lip balm on now', 'balm first, off later', 'a balm for the lips', 'pelembap bibir'],
    [
      'Cleansing balm',
      'cleanse with cleansing balm',
      'removing balm, rinsed',
      'a day balm',
      'moisturising balm',
      'beard balm',
      'no balm',
      'embalmed',
      'balmy evening',
    ],
  ],
  [
    'patch test',
    [
      'Patch test of the glue 24 to 48 hours before',
      'patch-tested on the 4th',
      'skin test clear',
      'tested the glue',
      'uji tempel lem',
    ],
    [
      'no patch test',
      'patch test not done',
      'refused the patch test',
      'never patch tested',
      'patch test missing',
      'a patch of powder, tested',
      'tanpa uji tempel',
    ],
  ],
  [
    'latex-free',
    [
      'A latex-free sponge',
      'latex free',
      'free of latex',
      'free from latex',
      'non-latex',
      'no latex',
      'without latex',
      'tanpa lateks',
      'bebas lateks',
    ],
    ['latex sponge', 'nickel-free', 'plastic spatula', 'latex', 'fragrance-free, latex puff'],
  ],
  [
    'nickel-free',
    [
      'The spatula nickel-free.',
      'free of nickel',
      'no nickel',
      'a plastic spatula',
      'tanpa nikel',
      'spatula plastik',
    ],
    ['nickel spatula', 'latex-free', 'a plastic sponge', 'steel'],
  ],
] as const)('what says %s, and what sounds like it', (what, yes, no) => {
  expect(yes.filter((words) => !says(words, what))).toEqual([]);
  expect(no.filter((words) => says(words, what))).toEqual([]);
  expect([...yes, ...no].filter((words) => says(words, what) !== says(words.toUpperCase(), what))).toEqual(
    [],
  );
});

describe('what is noted silences its own rule, and no other', () => {
  const findings = (rule: string, { chart: looked, kit }: Scene) =>
    reviewChart(looked, kit).filter((f) => f.rule === rule);
  const sensitive = (from: typeof QUIET, ...sensitivities: string[]) => ({
    ...from,
    client: { ...from.client, sensitivities },
  });

  test.each([
    ['latex', 'damp sponge', 'latex-free', 'nickel-free'],
    ['latex', 'puff', 'latex-free', 'nickel-free'],
    ['nickel', 'spatula', 'nickel-free', 'latex-free'],
  ] as const)('%s of a %s: only %s', (family, tool, free, other) => {
    const speaks = (note: string, ...noted: string[]) =>
      findings('tool-allergen', scene(sensitive(withStep('base', { tool, note }), ...noted)));
    expect(speaks('', family)).toHaveLength(1);
    expect(speaks(other, family)).toHaveLength(1);
    expect(speaks(free, family)).toHaveLength(0);
    expect(speaks('', family === 'latex' ? 'nickel' : 'latex')).toHaveLength(0);
    expect(speaks('')).toHaveLength(0);
    // Noted in two words, it is one thing to mind, and its fix ends it.
    const [both] = speaks('', family, family === 'latex' ? 'rubber latex' : 'nickel sulphate');
    const mended = both!.fix!.apply(sensitive(withStep('base', { tool }), family));
    expect(mended.steps.find(({ id }) => id === STEPS.base.id)!.note).toContain(free);
    expect(findings('tool-allergen', scene(mended))).toEqual([]);
  });

  test('a matte lip wants balm for lips: cleansing balm is none', () => {
    const { chart: matte, kit } = other('lip', { finish: 'matte' });
    const speaks = (title: string, note = '') =>
      findings('matte-lip-unprepared', {
        kit,
        chart: {
          ...matte,
          steps: matte.steps.map((s) => (s.id === STEPS.clean.id ? { ...s, title, note } : s)),
        },
      }).length;
    expect(speaks('Clean')).toBe(1);
    expect(speaks('Cleansing balm, rinsed')).toBe(1);
    expect(speaks('Clean', 'No balm: she dislikes it')).toBe(1);
    expect(speaks('Clean', 'Lip balm on, blotted later')).toBe(0);
    expect(speaks('Cleansing balm', 'then balm on the lips')).toBe(0);
  });

  test('a band of lashes is quiet by a test that was clear, of that product, or by a note of one', () => {
    const lashed = (
      note: string,
      verdict: 'clear' | 'clear so far' | 'missing' | null,
      productId = PRODUCTS.lashes.id,
    ) => {
      const from = added(extra('Band', 'lashes', 'lash', PRODUCTS.lashes, ['lashes'], { note }), 'liner');
      const patchTests = verdict ? [{ productId, product: 'Band', verdict, on: '2031-05-01' }] : [];
      const { client: of, ...rest } = sensitive(from, 'latex');
      return findings('patch-test', scene({ ...rest, client: { ...of, patchTests } })).length;
    };
    expect(lashed('', null)).toBe(1);
    expect(lashed('', 'clear')).toBe(0);
    expect(lashed('', 'clear', PRODUCTS.lip.id)).toBe(1);
    expect(lashed('', 'clear so far')).toBe(1);
    expect(lashed('', 'missing')).toBe(1);
    expect(lashed('patch test clear', null)).toBe(0);
    expect(lashed('no patch test done', null)).toBe(1);
  });
});
