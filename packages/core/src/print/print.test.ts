import fc from 'fast-check';
import { areaOf, inferLandmarks, LAYER_KINDS, LAYER_LOOKS, subtractRegion, type Point } from '../face';
import { fitLook, type Chart } from '../look';
import { client, KIT, LOOK, OCCASION, STAMP } from '../look/look.testing';
import { chartSheet, PAPERS, patternIn, sheetSvg, wrapped, type SheetOp, type SheetOptions } from '.';

const measure: SheetOptions['measure'] = (text, size) => text.length * size * 0.5;
const chart: Chart = fitLook(LOOK, client(), KIT, OCCASION, STAMP).chart;
const options = (more: Partial<SheetOptions> = {}): SheetOptions => ({
  paper: 'a4',
  colour: true,
  measure,
  ...more,
});
const texts = (ops: readonly SheetOp[]): Extract<SheetOp, { op: 'text' }>[] =>
  ops.flatMap((op) => (op.op === 'text' ? [op] : op.op === 'path' ? [] : texts(op.ops)));
const groups = (ops: readonly SheetOp[]): Extract<SheetOp, { op: 'group' }>[] =>
  ops.flatMap((op) => (op.op === 'group' ? [op] : op.op === 'part' ? groups(op.ops) : []));
const square: Point[] = [
  [0, 0],
  [20, 0],
  [20, 20],
  [0, 20],
];

test.each(LAYER_KINDS)(
  'the pattern of %s stays inside what it fills and leaves the colour to be seen',
  (kind) => {
    const marks = patternIn([square], LAYER_LOOKS[kind].pattern);
    const covered = areaOf(marks);
    if (LAYER_LOOKS[kind].pattern.form === 'plain') return expect(marks).toEqual([]);
    expect(covered).toBeGreaterThan(4);
    expect(covered).toBeLessThan(200);
    expect(areaOf(subtractRegion(marks, [square]))).toBeLessThan(0.01);
  },
);

test('no two kinds look alike in black and white', () => {
  const looks = LAYER_KINDS.map((kind) => JSON.stringify(LAYER_LOOKS[kind].pattern));
  const notches = LAYER_KINDS.map((kind) => LAYER_LOOKS[kind].notch);
  expect(new Set(notches).size).toBe(LAYER_KINDS.length);
  // Base is left open and liner is filled solid.
  expect(new Set(looks).size).toBe(LAYER_KINDS.length - 1);
});

test.each(Object.keys(PAPERS) as (keyof typeof PAPERS)[])(
  'everything of a chart is on one page of %s',
  (paper) => {
    const sheet = chartSheet(chart, options({ paper }));
    const words = texts(sheet.ops);
    for (const { x, y, text, size } of words) {
      expect(x).toBeGreaterThanOrEqual(0);
      expect(x + (text.length > 3 ? measure(text, size, false) : 0)).toBeLessThanOrEqual(sheet.width + 1);
      expect(y).toBeLessThanOrEqual(sheet.height);
    }
    const all = words.map((w) => w.text).join(' ');
    for (const step of chart.steps) expect(all).toContain(step.title);
    expect(all).toContain(chart.client.name);
  },
);

test('eighty long steps still fit on the page', () => {
  const long: Chart = {
    ...chart,
    steps: Array.from({ length: 40 }, (_, i) => ({
      ...chart.steps[i % chart.steps.length]!,
      title: `Step number ${i} with a long name to break`,
      note: 'a note that goes on for a while and then some more '.repeat(3),
    })),
  };
  const sheet = chartSheet(long, options());
  expect(Math.max(...texts(sheet.ops).map((t) => t.y))).toBeLessThanOrEqual(sheet.height);
});

test('steps are numbered on the face as in the list, beside it and not on it', () => {
  const sheet = chartSheet(chart, options());
  const numbers = texts(sheet.ops).filter((t) => t.middle);
  const placed = chart.steps.flatMap((s, i) =>
    s.role !== 'care' && s.role !== 'base' && s.role !== 'powder' && s.placements.length > 0
      ? [String(i + 1)]
      : [],
  );
  expect(numbers.map((n) => n.text).sort()).toEqual(placed.sort());
});

test('health is left out unless it is asked for', () => {
  const who = { ...chart, client: { ...chart.client, sensitivities: ['latex'] } };
  const words = (more: Partial<SheetOptions>) =>
    texts(chartSheet(who, options(more)).ops)
      .map((t) => t.text)
      .join(' ');
  expect(words({})).not.toContain('latex');
  expect(words({ cautions: true })).toContain('Mind: latex');
});

test.each(['a4', 'letter', 'phone'] as const)(
  'on %s every sensitivity stands on the page, or how many more there are',
  (paper) => {
    const minded = (sensitivities: string[]): string => {
      const who = { ...chart, client: { ...chart.client, sensitivities } };
      const sheet = chartSheet(who, options({ cautions: true, paper }));
      const all = texts(sheet.ops);
      const from = all.findIndex(({ text }) => text.startsWith('Mind: '));
      const lines = all.slice(from).filter(({ size, bold, x }) => size === 9 && bold && x === all[from]!.x);
      for (const { text, x, size, bold } of lines)
        expect(x + measure(text, size, bold)).toBeLessThanOrEqual(sheet.width);
      // What follows begins under them.
      const [face] = groups(sheet.ops);
      expect(face!.frame[1]).toBeGreaterThan(lines.at(-1)!.y);
      return lines.map(({ text }) => text).join(' ');
    };
    const some = Array.from({ length: 20 }, (_, i) => `something ${i}`);
    expect(minded(some)).toBe(`Mind: ${some.join(', ')}`);
    const many = Array.from({ length: 200 }, (_, i) => `something rather long to be written down ${i}`);
    const said = minded(many);
    const [, rest] = /and (\d+) more, noted on the client’s page$/.exec(said)!;
    const shown = many.slice(0, 200 - Number(rest));
    expect(shown.length).toBeGreaterThan(5);
    expect(said).toBe(`Mind: ${shown.join(', ')} and ${rest} more, noted on the client’s page`);
    expect(minded(['x'.repeat(2000)])).toBe('Mind: one thing, noted on the client’s page');
  },
);

test('where a line is cut it is a name, never the amount', () => {
  const step = chart.steps.find(({ use }) => use.length > 0)!;
  const named = (parts: number) => ({
    ...step.use[0]!,
    parts,
    product: { ...step.use[0]!.product, line: 'A line with a name that goes on and on '.repeat(4).trim() },
  });
  const one = { ...step, use: [named(2), named(1), named(3)] };
  // So many that there is no room to write each whole.
  const long = {
    ...chart,
    steps: Array.from({ length: 30 }, (_, i) => ({ ...one, id: `${one.id.slice(0, -2)}${10 + i}` })),
  };
  const said = texts(chartSheet(long, options()).ops).map(({ text }) => text);
  const at = said.findIndex((text) => text.includes('…') && !text.startsWith(step.title));
  expect(at).toBeGreaterThan(0);
  expect(said.join(' ')).toContain(
    `2 ${step.use[0]!.measure}s + 1 ${step.use[0]!.measure} + 3 ${step.use[0]!.measure}s of`,
  );
});

test('no line is wider than its room, whatever is written, and nothing of it is lost where there are lines enough', () => {
  fc.assert(
    fc.property(fc.string({ maxLength: 120 }), fc.integer({ min: 12, max: 80 }), (text, width) => {
      const lines = wrapped(text, width, 10, false, measure, 1000);
      for (const line of lines) expect(measure(line, 10, false)).toBeLessThanOrEqual(width);
      expect(lines.join('').replace(/\s/g, '')).toBe(text.replace(/\s/g, ''));
    }),
  );
});

test('without colour nothing is filled but ink, paper and greys', () => {
  const fills = (ops: readonly SheetOp[]): string[] =>
    ops.flatMap((op) => (op.op === 'path' ? (op.fill ?? []) : op.op === 'text' ? [] : fills(op.ops)));
  const grey = /^#([0-9a-f]{2})\1\1$/;
  const plain = {
    ...chart,
    client: {
      ...chart.client,
      landmarks: inferLandmarks({}),
      features: { ...chart.client.features, hairTone: 'grey' as const },
    },
  };
  for (const fill of fills(chartSheet(plain, options({ colour: false })).ops)) expect(fill).toMatch(grey);
});

test('a text is broken at words and cut with an ellipsis when there is no room', () => {
  expect(wrapped('one two three', 40, 10, false, measure)).toEqual(['one two', 'three']);
  expect(wrapped('one two three four five six', 40, 10, false, measure, 2)).toEqual(['one two', 'three f…']);
  expect(wrapped('', 40, 10, false, measure)).toEqual([]);
});

test('the SVG says what it is, escapes what it is told, and carries its fonts', () => {
  const svg = sheetSvg(
    {
      title: 'A & "B"',
      width: 10,
      height: 10,
      ops: [{ op: 'text', x: 1, y: 2, size: 3, bold: true, fill: '#000000', text: '<b>' }],
    },
    { plain: 'data:p', bold: 'data:b' },
  );
  expect(svg).toContain('<title>A &amp; &quot;B&quot;</title>');
  expect(svg).toContain('&lt;b&gt;');
  expect(svg).toContain('url(data:p)');
  expect(sheetSvg(chartSheet(chart, options()), { plain: '', bold: '' })).toMatch(/^<svg[^]*<\/svg>$/);
});

describe('read out', () => {
  const partsOf = (made: Chart, more: Partial<SheetOptions> = {}) =>
    chartSheet(made, options(more)).ops.flatMap((op) => (op.op === 'part' ? [op] : []));

  test.each(['a4', 'letter', 'phone'] as const)(
    'a sheet on %s is a title, the face, every step and the foot, in that order',
    (paper) => {
      const parts = partsOf(chart, { paper });
      expect(parts.map(({ tag }) => tag)).toEqual([
        'H1',
        'P',
        'Figure',
        ...chart.steps.map(() => 'P'),
        ...(paper === 'phone' ? [] : ['Note']),
      ]);
      // All that is written stands in a part; outside is only the paper.
      expect(chartSheet(chart, options({ paper })).ops.filter(({ op }) => op !== 'part')).toHaveLength(1);
      for (const part of parts) expect(part.ops.some(({ op }) => op === 'part')).toBe(false);
    },
  );

  test('what is cut on paper is said whole, and the face says which steps are drawn on it', () => {
    const note = 'A note that goes on and on. '.repeat(40).trim();
    const long = { ...chart, steps: chart.steps.map((s) => ({ ...s, note })) };
    const parts = partsOf(long);
    long.steps.forEach((step, i) => {
      const { said, ops } = parts[3 + i]!;
      expect(said.actual!.startsWith(`${i + 1}. ${step.title}`)).toBe(true);
      expect(said.actual).toContain(note);
      expect(texts(ops).some(({ text }) => text.endsWith('…'))).toBe(true);
    });
    const figure = parts.find(({ tag }) => tag === 'Figure')!;
    const numbers = texts(figure.ops).filter(({ middle }) => middle);
    expect(numbers.length).toBeGreaterThan(3);
    for (const { text } of numbers)
      expect(figure.said.alt).toContain(`${text} ${long.steps[Number(text) - 1]!.title}`);
    const bare = { ...chart, steps: chart.steps.map((s) => ({ ...s, placements: [] })) };
    expect(partsOf(bare)[2]!.said.alt).toContain('nothing is drawn on it');
  });

  test('in an SVG the face is a picture with words of its own, and the text is text', () => {
    const svg = sheetSvg(chartSheet(chart, options()), { plain: '', bold: '' });
    expect(svg.match(/<g role="img" aria-label="The face of [^"]+"/g)).toHaveLength(1);
    expect(svg).toContain('role="graphics-document document"');
  });
});
