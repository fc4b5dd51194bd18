import {
  inferLandmarks,
  LAYER_KINDS,
  LAYER_LOOKS,
  outlineOf,
  pathOf,
  PLAIN_FEATURES,
  type GuideName,
  type LayerKind,
  type Placement,
} from '../face';
import { labToHex } from '../colour';
import {
  AFTER_AIRBRUSH,
  airbrushInWords,
  colourDrawn,
  colourOfUse,
  fitLook,
  type Chart,
  type Step,
} from '../look';
import { client, id, KIT, LOOK, OCCASION, product, STAMP } from '../look/look.testing';
import { chartSheet, PAPERS, wrapped, type Paper, type SheetOp, type SheetOptions } from '.';

const measure: SheetOptions['measure'] = (text, size, bold) => text.length * size * (bold ? 0.56 : 0.5);
const base: Chart = fitLook(LOOK, client(), KIT, OCCASION, STAMP).chart;
const GUIDE: Readonly<Record<LayerKind, GuideName>> = {
  correct: 'correctUnderEye',
  base: 'zone.wholeFace',
  conceal: 'underEyeLight',
  contour: 'cheekContour',
  bronze: 'bronzeSweep',
  blush: 'blushLifted',
  highlight: 'cheekboneLight',
  powder: 'tZonePowder',
  brow: 'brow',
  eye: 'lid',
  liner: 'liner',
  lash: 'lashes',
  'lip line': 'lipLine',
  lip: 'lips',
  adornment: 'underDots',
};
const placedAt = (guide: GuideName, side: Placement['side'] = 'both'): Placement[] => [{ guide, side }];
const step = (n: number, more: Partial<Step>): Step => ({
  ...base.steps[0]!,
  id: id(400 + n),
  title: `Step ${n}`,
  note: '',
  use: [],
  wants: { kinds: [] },
  ...more,
});
/** A chart with one step of every kind of layer, and one of none. */
const all: Chart = {
  ...base,
  steps: [
    step(0, { role: 'care', placements: placedAt('zone.wholeFace') }),
    ...LAYER_KINDS.map((role, i) => step(i + 1, { role, placements: placedAt(GUIDE[role]) })),
  ],
};
const options = (more: Partial<SheetOptions> = {}): SheetOptions => ({
  paper: 'a4',
  colour: true,
  measure,
  ...more,
});
type Group = Extract<SheetOp, { op: 'group' }>;
type Words = Extract<SheetOp, { op: 'text' }>;
type Path = Extract<SheetOp, { op: 'path' }>;
const inside = (op: SheetOp): readonly SheetOp[] =>
  op.op === 'group' || op.op === 'part' ? [op, ...op.ops.flatMap(inside)] : [op];
const every = (ops: readonly SheetOp[]): readonly SheetOp[] => ops.flatMap(inside);
const groupsOf = (ops: readonly SheetOp[]): readonly Group[] => every(ops).filter((op) => op.op === 'group');
const wordsOf = (ops: readonly SheetOp[]): readonly Words[] => every(ops).filter((op) => op.op === 'text');
const pathsOf = (ops: readonly SheetOp[]): readonly Path[] => every(ops).filter((op) => op.op === 'path');
const partsOf = (made: Chart, more: Partial<SheetOptions> = {}) =>
  chartSheet(made, options(more)).ops.flatMap((op) => (op.op === 'part' ? [op] : []));
const figureOf = (made: Chart, more: Partial<SheetOptions> = {}) =>
  partsOf(made, more).find(({ tag }) => tag === 'Figure')!;
const faceOf = (made: Chart, more: Partial<SheetOptions> = {}): Group =>
  groupsOf(figureOf(made, more).ops)[0]!;
const bare = { true: new Set<string>(), false: new Set<string>() };
for (const colour of [true, false])
  for (const { d } of pathsOf(faceOf({ ...base, steps: [] }, { colour }).ops)) bare[`${colour}`].add(d);
/** What a step draws on a face by itself. */
const drawnBy = (one: Step, colour: boolean): readonly Path[] =>
  pathsOf(faceOf({ ...base, steps: [one] }, { colour }).ops).filter(({ d }) => !bare[`${colour}`].has(d));
const shapeOf = (one: Step): string[] =>
  one.placements
    .flatMap((p) => outlineOf(p, base.client.landmarks, base.client.features, 'open'))
    .map(({ region }) => pathOf(region, 2))
    .filter((d) => d !== '');

describe.each(LAYER_KINDS)('a layer of %s', (role) => {
  const one = step(1, { role, placements: placedAt(GUIDE[role]) });
  const look = LAYER_LOOKS[role];
  const wide = role === 'base' || role === 'powder';
  const plain = look.pattern.form === 'plain';

  test('in colour lies in its place in its colour, its pattern upon it but where it is wide', () => {
    const lab = colourDrawn(one, base.client);
    const paths = drawnBy(one, true);
    const shapes = shapeOf(one);
    expect(shapes.length).toBeGreaterThan(0);
    for (const d of shapes)
      expect(paths).toContainEqual({
        op: 'path',
        d,
        fill: lab ? labToHex(lab) : look.fallback,
        opacity: wide ? 0.16 : 0.6,
      });
    const marks = paths.filter(({ d }) => !shapes.includes(d));
    expect(marks).toHaveLength(wide || plain ? 0 : shapes.length);
    for (const { fill, opacity } of marks) expect([fill, opacity]).toEqual(['#161616', 0.55]);
  });

  test('without colour is told by its line and its pattern, or is solid', () => {
    const solid = role === 'liner' || role === 'lash';
    const paths = drawnBy(one, false);
    const shapes = shapeOf(one);
    for (const d of shapes)
      expect(paths).toContainEqual({
        op: 'path',
        d,
        fill: solid ? '#161616' : null,
        opacity: 1,
        stroke: '#161616',
        strokeWidth: wide ? 0.12 : 0.25,
      });
    const marks = paths.filter(({ d }) => !shapes.includes(d));
    expect(marks).toHaveLength(plain ? 0 : shapes.length);
    for (const { opacity } of marks) expect(opacity).toBe(0.9);
  });

  test('has its notch and its colour beside its number in the list', () => {
    const used = product(60, 'base', [50, 12, 18]);
    const named = { ...one, use: [{ product: used, parts: 1, unitId: null, measure: used.measure }] };
    const listed = (made: Step, colour: boolean) => {
      const ops = partsOf({ ...base, steps: [made] }, { colour }).find(
        ({ tag, said }) => tag === 'P' && said.actual?.startsWith('1. '),
      )!.ops;
      return {
        notches: groupsOf(ops).map(({ ops: [op] }) => (op?.op === 'path' ? op.d : '')),
        swatches: ops.filter((op): op is Path => op.op === 'path').map(({ fill }) => fill),
      };
    };
    const swatch = labToHex(colourOfUse(named.use)!);
    expect(listed(named, true)).toEqual({ notches: [look.notch], swatches: [swatch] });
    expect(listed(named, false)).toEqual({ notches: [look.notch], swatches: [] });
    expect(listed(one, true)).toEqual({ notches: [look.notch], swatches: [] });
    expect(listed({ ...named, role: 'care' }, true)).toEqual({ notches: [], swatches: [] });
  });
});

test('what is only care is drawn nowhere; close up is drawn what is small', () => {
  expect(drawnBy(step(1, { role: 'care', placements: placedAt('zone.wholeFace') }), true)).toEqual([]);
  const close = (role: LayerKind): boolean => {
    const [, ...insets] = groupsOf(
      figureOf({ ...base, steps: [step(1, { role, placements: placedAt('lid') })] }).ops,
    );
    const d = shapeOf(step(1, { role, placements: placedAt('lid') }))[0]!;
    return insets.some(({ ops }) => ops.some((op) => op.op === 'path' && op.d === d));
  };
  const small: readonly LayerKind[] = [
    'brow',
    'eye',
    'liner',
    'lash',
    'lip',
    'lip line',
    'highlight',
    'adornment',
    'conceal',
  ];
  for (const role of LAYER_KINDS) expect([role, close(role)]).toEqual([role, small.includes(role)]);
});

describe('numbers beside the face', () => {
  const numbersOf = (made: Chart) => wordsOf(figureOf(made).ops).filter(({ middle }) => middle);
  const leadersOf = (made: Chart) =>
    figureOf(made).ops.flatMap((op) =>
      op.op === 'path' && /^M[\d.]+ [\d.]+L/.test(op.d) ? [op.d.match(/[\d.]+/g)!.map(Number)] : [],
    );
  const [left, top, width] = faceOf(base).frame;

  test('a layer of one side stands on that side, of both where fewer stand', () => {
    const right = step(1, { role: 'blush', placements: placedAt('blushLifted', 'right') });
    const both = (n: number, role: LayerKind) => step(n, { role, placements: placedAt(GUIDE[role]) });
    const sides = (steps: readonly Step[]): Record<string, string> =>
      Object.fromEntries(
        numbersOf({ ...base, steps: [...steps] }).map(({ text, x }) => [
          text,
          x < left + width / 2 ? 'left' : 'right',
        ]),
      );
    // The client's right is to the left of whoever looks.
    expect(sides([right])).toEqual({ 1: 'left' });
    expect(sides([{ ...right, placements: placedAt('blushLifted', 'left') }])).toEqual({ 1: 'right' });
    expect(sides([both(1, 'blush'), both(2, 'contour'), both(3, 'eye')])).toEqual({
      1: 'left',
      2: 'right',
      3: 'left',
    });
    expect(sides([right, both(2, 'contour'), both(3, 'eye')])).toEqual({ 1: 'left', 2: 'right', 3: 'left' });
    expect(sides([both(1, 'base'), both(2, 'powder')])).toEqual({});
  });

  test('stand one under the other, none on another, each with a line that begins in its layer', () => {
    const many: Chart = {
      ...base,
      steps: Array.from({ length: 16 }, (_, i) =>
        step(i, { role: 'blush', placements: placedAt('blushLifted') }),
      ),
    };
    const numbers = numbersOf(many);
    expect(numbers).toHaveLength(16);
    for (const side of [left + 6, left + width - 6]) {
      const column = numbers.filter(({ x }) => Math.abs(x - side) < 0.01);
      expect(column).toHaveLength(8);
      const ys = column.map(({ y }) => y);
      expect(ys).toEqual([...ys].sort((a, b) => a - b));
      for (let i = 1; i < ys.length; i++) expect(ys[i]! - ys[i - 1]!).toBeGreaterThanOrEqual(11 - 1e-9);
    }
    const face = faceOf(many);
    const lines = leadersOf(many);
    expect(lines).toHaveLength(16);
    const [x, y] = shapeOf(many.steps[0]!)[0]!
      .match(/-?[\d.]+/g)!
      .map(Number) as [number, number];
    const near: readonly [number, number] = [
      face.frame[0] + (x - face.origin[0]) * face.scale,
      face.frame[1] + (y - face.origin[1]) * face.scale,
    ];
    // A blush is some 30 mm long: the line begins within its layer, not somewhere else on the page.
    expect(Math.min(...lines.map(([px, py]) => Math.hypot(px! - near[0], py! - near[1])))).toBeLessThan(
      25 * face.scale,
    );
    for (const [, , endX, endY] of lines) {
      expect([left + 11, left + width - 11].some((edge) => Math.abs(edge - endX!) < 0.1)).toBe(true);
      expect(numbers.some(({ y: at }) => Math.abs(at - 3 - endY!) < 0.1)).toBe(true);
    }
    expect(Math.min(...numbers.map(({ y: at }) => at))).toBeGreaterThanOrEqual(top + 11);
  });
});

describe.each(Object.keys(PAPERS) as Paper[])('on %s', (paper) => {
  const sheet = chartSheet(all, options({ paper, cautions: true }));
  const [pageWidth] = PAPERS[paper];
  const margin = paper === 'phone' ? 16 : 34;

  test('frames stand inside the margins and not on one another', () => {
    const [face, ...insets] = figureOf(all, { paper }).ops.filter(
      (op): op is Group => op.op === 'group' && op.frame[3] > 20,
    );
    const frames = [face!, ...insets].map(({ frame }) => frame);
    expect(frames).toHaveLength(paper === 'phone' ? 4 : 6);
    frames.forEach(([x, y, width, height], i) => {
      expect(x).toBeGreaterThanOrEqual(margin - 1e-9);
      expect(x + width).toBeLessThanOrEqual(pageWidth - margin + 1e-9);
      expect(y + height).toBeLessThanOrEqual(sheet.height - margin);
      for (const [x2, y2, w2, h2] of frames.slice(i + 1))
        expect(
          x + width <= x2 + 1e-9 || x2 + w2 <= x + 1e-9 || y + height <= y2 + 1e-9 || y2 + h2 <= y + 1e-9,
        ).toBe(true);
    });
    // The whole face is in its frame, in its middle, as large as it can be.
    const { landmarks } = all.client;
    const { frame, origin, scale } = face!;
    const at = (point: readonly [number, number]) =>
      [(point[0] - origin[0]) * scale, (point[1] - origin[1]) * scale] as const;
    const [over, under] = [at(landmarks.hairline_c)[1], frame[3] - at(landmarks.gnathion)[1]];
    expect(over).toBeCloseTo(26 * scale, 1);
    expect(under).toBeCloseTo(14 * scale, 1);
    expect(at([0, 0])[0]).toBeCloseTo(frame[2] / 2, 6);
  });

  test('insets are named by eye and lips, open and closed', () => {
    const names = wordsOf(figureOf(all, { paper }).ops)
      .filter(({ size }) => size === 7)
      .map(({ text }) => text);
    expect(names).toEqual(
      paper === 'phone'
        ? ['client’s right eye', 'client’s left eye', 'lips']
        : [
            'client’s right eye',
            'client’s left eye',
            'client’s right eye, closed',
            'client’s left eye, closed',
            'lips',
          ],
    );
  });

  test('the legend has every kind that is drawn, once, beside one another; a phone has none', () => {
    const legend = wordsOf(figureOf(all, { paper }).ops).filter(({ size }) => size === 7.5);
    if (paper === 'phone') return expect(legend).toEqual([]);
    expect(legend.map(({ text }) => text)).toEqual(LAYER_KINDS.map((kind) => LAYER_LOOKS[kind].name));
    const places = legend.map(({ x, y }) => `${x.toFixed(1)} ${y.toFixed(1)}`);
    expect(new Set(places).size).toBe(LAYER_KINDS.length);
    for (const { x, y, text } of legend) {
      expect(x + measure(text, 7.5, false)).toBeLessThan(margin + (pageWidth - 2 * margin) * 0.53);
      expect(y).toBeLessThan(sheet.height - margin);
    }
    const two = { ...all, steps: all.steps.slice(0, 3) };
    expect(
      wordsOf(figureOf(two, { paper }).ops)
        .filter(({ size }) => size === 7.5)
        .map(({ text }) => text),
    ).toEqual(
      [LAYER_LOOKS[all.steps[1]!.role as LayerKind], LAYER_LOOKS[all.steps[2]!.role as LayerKind]].map(
        ({ name }) => name,
      ),
    );
  });

  test('a name that goes on is cut at the margin', () => {
    const long = {
      ...all,
      client: { ...all.client, name: 'Maximiliana '.repeat(12).trim() },
      look: { ...all.look, name: 'Evening '.repeat(30).trim() },
    };
    const [title, under] = wordsOf(chartSheet(long, options({ paper })).ops);
    for (const line of [title!, under!]) {
      expect(line.text.endsWith('…')).toBe(true);
      expect(line.x).toBe(margin);
      expect(line.x + measure(line.text, line.size, line.bold)).toBeLessThanOrEqual(pageWidth - margin);
      // Not cut sooner than it must be.
      expect(line.x + measure(`${line.text}xx`, line.size, line.bold)).toBeGreaterThan(pageWidth - margin);
    }
    expect([title!.bold, under!.bold]).toEqual([true, false]);
  });
});

test.each(['a4', 'letter'] as const)(
  'on %s everything stands over the foot, however many kinds and whatever is minded',
  (paper) => {
    const things = Array.from({ length: 90 }, (_, i) => `thing number ${i}`);
    for (const sensitivities of [[], ['latex'], things])
      for (const kinds of [1, 15]) {
        const made = {
          ...all,
          client: { ...all.client, sensitivities },
          steps: all.steps.slice(0, kinds + 1),
        };
        const foot = chartSheet(made, options({ paper })).height - 34;
        const { ops } = figureOf(made, { paper, cautions: true });
        for (const { y } of wordsOf(ops)) expect(y).toBeLessThan(foot);
        for (const { frame } of groupsOf(ops)) expect(frame[1] + frame[3]).toBeLessThan(foot);
        // The face is still the largest of it, and no line of the legend lies on another.
        expect(faceOf(made, { paper, cautions: true }).frame[3]).toBeGreaterThan(190);
        const rows = wordsOf(ops).filter(({ size }) => size === 7.5);
        rows.slice(1).forEach(({ y }, i) => {
          expect(y - rows[i]!.y).toBeGreaterThanOrEqual(11.5 - 1e-9);
          expect(y - rows[i]!.y).toBeLessThanOrEqual(15);
        });
      }
  },
);

test('the legend’s boxes are as the layers: solid, empty or in colour', () => {
  const boxes = (colour: boolean): readonly Path[] =>
    groupsOf(figureOf(all, { colour }).ops)
      .filter(({ frame }) => frame[2] === 21)
      .map(({ ops }) => ops[0] as Path);
  boxes(false).forEach(({ fill, opacity }, i) => {
    const solid = ['liner', 'lash'].includes(LAYER_KINDS[i]!);
    expect([fill, opacity]).toEqual([solid ? '#161616' : null, 1]);
  });
  boxes(true).forEach(({ fill, opacity }, i) =>
    expect([fill, opacity]).toEqual([LAYER_LOOKS[LAYER_KINDS[i]!].fallback, 0.6]),
  );
});

test.each([3, 15, 40])('of %i steps no title stands on its number', (count) => {
  const steps = Array.from({ length: count }, (_, i) => step(i, { title: `Title ${i}` }));
  for (const paper of Object.keys(PAPERS) as Paper[])
    for (const { tag, said, ops } of partsOf({ ...base, steps }, { paper })) {
      if (tag !== 'P' || !said.actual?.includes('Title')) continue;
      const number = wordsOf(ops).find(({ text }) => /^\d+$/.test(text))!;
      const title = wordsOf(ops).find(({ text }) => text.startsWith('Title'))!;
      expect(title.x - number.x - measure(number.text, number.size, true)).toBeGreaterThanOrEqual(4);
    }
});

test('steps of a variant are another day’s; what is optional and what has no product says so', () => {
  const made: Chart = {
    ...base,
    steps: [
      step(1, { title: 'Glow', optional: true, wants: { kinds: ['highlight'] } }),
      step(2, { title: 'Wipe', role: 'care' }),
      step(3, { title: 'Night', variant: 'night' }),
    ],
  };
  const said = partsOf(made).flatMap(({ tag, said: { actual } }) => (tag === 'P' && actual ? [actual] : []));
  expect(said[0]).toMatch(/^1\. Glow \(if wanted\)\. no product chosen\. /);
  expect(said[1]).toMatch(/^2\. Wipe\. /);
  expect(said.join(' ')).not.toContain('no product chosen. no');
  expect(said.join(' ').match(/no product chosen/g)).toHaveLength(1);
  expect(said.join(' ')).not.toContain('Night');
  const [, under] = wordsOf(chartSheet(made, options()).ops);
  expect(under!.text).toContain('2 steps, 10 min at work');
});

test('the day stands as the studio tells days; as usual where it has said nothing', () => {
  const under = (more: Partial<SheetOptions>) => wordsOf(chartSheet(base, options(more)).ops)[1]!.text;
  expect(under({})).toContain('trial, Wed 14 May 2031 · version 1');
  expect(under({ days: 'day month' })).toBe(under({}));
  expect(under({ days: 'month day' })).toContain('trial, Wed May 14, 2031 · ');
  expect(under({ days: 'year month day' })).toContain('trial, Wed 2031-05-14 · ');
});

test('what is sprayed is told how, and what comes after it; nothing else is', () => {
  const said = (tool: Step['tool']) =>
    partsOf({ ...base, steps: [step(1, { tool, title: 'Veil' })] })
      .flatMap(({ said: { actual } }) => actual ?? [])
      .find((words) => words.startsWith('1. Veil'))!;
  const airbrush = airbrushInWords(step(1, { tool: 'airbrush' }));
  expect(said('airbrush')).toContain(`${airbrush} ${AFTER_AIRBRUSH}`);
  expect(said('small brush')).not.toContain(AFTER_AIRBRUSH);
  expect(said('small brush')).not.toContain(airbrush);
});

test('where care lies is written, since it is drawn nowhere; a layer has its number on the drawing', () => {
  const said = (role: Step['role'], ...guides: readonly GuideName[]) =>
    partsOf({
      ...base,
      steps: [step(1, { role, title: 'Ground', placements: guides.flatMap((one) => placedAt(one)) })],
    })
      .flatMap(({ said: { actual } }) => actual ?? [])
      .find((words) => words.startsWith('1. Ground'))!;
  expect(said('care', 'zone.noseBridge', 'zone.chin')).toMatch(/ · Bridge of the nose; chin$/);
  expect(said('care', 'zone.chin', 'zone.chin').match(/chin/gi)).toHaveLength(1);
  // All over is no place.
  expect(said('care', 'zone.wholeFace')).toBe(said('care'));
  expect(said('base', 'zone.noseBridge')).toBe(said('base'));
});

test.each(Object.keys(PAPERS) as Paper[])(
  'on %s the lines over the face stand one under the other in the ink',
  (paper) => {
    const made = chartSheet(base, options({ paper }));
    const [name, under] = wordsOf(made.ops);
    const margin = paper === 'phone' ? 16 : 34;
    expect([name!.x, name!.y, name!.fill, name!.bold]).toEqual([margin, margin + 10, '#161616', true]);
    expect([under!.x, under!.y, under!.bold]).toEqual([margin, margin + 24, false]);
    expect(faceOf(base, { paper }).frame.slice(0, 2)).toEqual([margin, margin + 34]);
    if (paper === 'phone') return;
    // The steps stand beside the face, eighteen points from it, as high as it.
    const [width] = PAPERS[paper];
    const steps = partsOf(base, { paper }).filter(({ said }) => said.actual?.startsWith('1. '));
    const number = wordsOf(steps[0]!.ops).find(({ text }) => text === '1')!;
    const left = margin + (width - 2 * margin) * 0.53 + 18;
    expect(number.x).toBeGreaterThanOrEqual(left);
    expect(number.x).toBeLessThan(left + 20);
    expect(number.y).toBeCloseTo(margin + 34 + number.size * 1.22, 6);
  },
);

test('letters grow smaller to five and a half before notes are cut, and then to two and a half', () => {
  const note = 'word '.repeat(60).trim();
  const sizeOf = (count: number) => {
    const steps = Array.from({ length: count }, (_, i) => step(i, { title: `Title ${i}`, note }));
    const words = wordsOf(chartSheet({ ...base, steps }, options()).ops);
    const size = words.find(({ text }) => text === 'Title 0')!.size;
    return { size, lines: words.filter(({ text }) => /^(word|.*word word)/.test(text)).length / count };
  };
  const sizes = [1, 4, 8, 12, 16, 20, 24, 30, 40, 60, 80].map(sizeOf);
  expect(sizes[0]!.size).toBe(9.5);
  sizes.forEach(({ size, lines }, i) => {
    if (i > 0) expect(size).toBeLessThanOrEqual(sizes[i - 1]!.size + (lines === sizes[i - 1]!.lines ? 0 : 4));
    // Whole notes need two lines; where they are cut one stands.
    if (lines > 1) expect(size).toBeGreaterThanOrEqual(5.5);
    expect(size).toBeGreaterThanOrEqual(2.5);
  });
  expect(sizes.some(({ lines, size }) => lines > 1 && size < 7)).toBe(true);
  expect(sizes.at(-1)!.lines).toBe(1);
});

test('notes are written whole where there is room for them in letters that are read with ease', () => {
  const note = Array.from({ length: 60 }, (_, i) => `word${i}`).join(' ');
  const written = (count: number, paper: Paper = 'a4') => {
    const steps = Array.from({ length: count }, (_, i) => step(i, { title: `Title ${i}`, note }));
    const words = wordsOf(chartSheet({ ...base, steps }, options({ paper })).ops);
    const size = words.find(({ text }) => text === 'Title 0')!.size;
    const all = words.map(({ text }) => text).join(' ');
    return { size, whole: all.split('word59').length - 1 === count, cut: all.includes('…') };
  };
  const counts = [1, 4, 8, 10, 12, 14, 16, 20, 30];
  const sheets = counts.map((count) => written(count));
  for (const { size, whole, cut } of sheets) {
    expect(cut).toBe(!whole);
    if (whole) expect(size).toBeGreaterThanOrEqual(7.5);
  }
  expect(sheets[0]).toMatchObject({ size: 9.5, whole: true });
  expect(sheets.at(-1)!.whole).toBe(false);
  // A screen has as much room as it takes.
  expect(written(30, 'phone').whole).toBe(true);
});

test('nothing is drawn that has no line, in colour or without', () => {
  for (const colour of [true, false])
    for (const { d } of pathsOf(chartSheet(all, options({ colour })).ops)) expect(d).toMatch(/^M/);
});

/** Where a path of straight lines goes, in its own units. */
function pointsOf(d: string): [number, number][] {
  let [x, y] = [0, 0];
  return (d.match(/[MLl][^MLlz]*/g) ?? []).flatMap((part): [number, number][] => {
    const numbers = (part.match(/-?\d*\.?\d+/g) ?? []).map(Number);
    return Array.from({ length: numbers.length / 2 }, (_, i): [number, number] => {
      const [a, b] = [numbers[2 * i]!, numbers[2 * i + 1]!];
      [x, y] = part.startsWith('l') ? [x + a, y + b] : [a, b];
      return [x, y];
    });
  });
}

test('a box of the legend is fourteen by seven, its pattern inside it', () => {
  const boxes = groupsOf(figureOf(all, { colour: true }).ops).filter(({ frame }) => frame[2] === 21);
  expect(boxes).toHaveLength(LAYER_KINDS.length);
  for (const { ops } of boxes) {
    const [box, marks] = ops as [Path, Path | undefined];
    const reach = (d: string) => {
      const points = pointsOf(d);
      const [xs, ys] = [points.map(([x]) => x), points.map(([, y]) => y)];
      return [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
    };
    expect(reach(box.d)).toEqual([0, 14, 0, 7]);
    if (!marks) continue;
    const [left, right, top, bottom] = reach(marks.d);
    expect(Math.min(left!, top!)).toBeGreaterThanOrEqual(-0.01);
    expect(right!).toBeLessThanOrEqual(14.01);
    expect(bottom!).toBeLessThanOrEqual(7.01);
  }
});

test('eight lines are minded whole, a ninth is counted; without any the face begins at once', () => {
  const minded = (n: number, paper: Paper = 'a4') => {
    const sensitivities = Array.from({ length: n }, (_, i) => `thing number ${String(i).padStart(3, '0')}`);
    const parts = partsOf(
      { ...base, steps: [], client: { ...base.client, sensitivities } },
      { cautions: true, paper },
    );
    const mind = parts.find(({ said }) => said.actual?.startsWith('Mind: '));
    return {
      lines: mind ? wordsOf(mind.ops) : [],
      face: groupsOf(parts.find(({ tag }) => tag === 'Figure')!.ops)[0]!.frame[1],
    };
  };
  const counts = Array.from({ length: 80 }, (_, i) => minded(i + 1).lines);
  const eight = counts.filter((lines) => lines.length === 8 && !lines.at(-1)!.text.includes('more, noted'));
  expect(eight.length).toBeGreaterThan(1);
  expect(Math.max(...counts.map((lines) => lines.length))).toBe(8);
  expect(counts.at(-1)!.at(-1)!.text).toMatch(/noted on the client’s page$/);
  const [none, one, two] = [minded(0), minded(1), minded(12)];
  expect(none.lines).toEqual([]);
  expect(one.face - none.face).toBeCloseTo(14, 6);
  expect(two.face - none.face).toBeCloseTo(2 + 12 * two.lines.length, 6);
  expect(two.lines[1]!.y - two.lines[0]!.y).toBeCloseTo(12, 6);
});

test('as many lines as may be are given whole; one more is cut as late as can be', () => {
  const three = 'aaaa bbbb cccc';
  const fit = (most: number) => wrapped(three, 20, 10, false, measure, most);
  expect(fit(3)).toEqual(['aaaa', 'bbbb', 'cccc']);
  expect(fit(2)).toEqual(['aaaa', 'bbb…']);
  expect(fit(1)).toEqual(['aaa…']);
  expect(wrapped('  aaaa\n bbbb ', 200, 10, false, measure)).toEqual(['aaaa bbbb']);
  // Exactly as wide as the room is no wider.
  expect(wrapped('aa bb', 25, 10, false, measure)).toEqual(['aa bb']);
  expect(wrapped('aa bb', 24.9, 10, false, measure)).toEqual(['aa', 'bb']);
  expect(wrapped('abcdefghij', 15, 10, false, measure, 9)).toEqual(['abc', 'def', 'ghi', 'j']);
});

test('hair is drawn in its own grey, whatever the skin', () => {
  const fills = (hairTone: Chart['client']['features']['hairTone']) =>
    new Set(
      pathsOf(
        faceOf({
          ...base,
          client: {
            ...base.client,
            landmarks: inferLandmarks({}),
            features: { ...PLAIN_FEATURES, hairTone },
          },
        }).ops,
      ).map(({ fill }) => fill),
    );
  const tones = {
    fair: '#d8d3c8',
    red: '#c9aea0',
    brown: '#a89f97',
    black: '#6a6764',
    grey: '#d4d4d4',
  } as const;
  for (const [tone, hex] of Object.entries(tones) as [keyof typeof tones, string][])
    expect([tone, fills(tone).has(hex)]).toEqual([tone, true]);
});
