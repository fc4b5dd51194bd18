import { TOOLS, type Tool } from '../kit';
import { fitLook, type Chart, type Step } from '../look';
import { client, kitOf, KIT, LOOK, OCCASION, product, STAMP } from '../look/look.testing';
import { lessonFrom, stepsCounted } from './lesson';
import { toolsAskedOf, withToolsOf } from './tools';

const CHART: Chart = fitLook(LOOK, client(), KIT, { ...OCCASION, date: '2031-05-14' }, STAMP).chart;
const [BASE, CONTOUR] = CHART.steps as [Step, Step];
const MASCARA = CHART.steps.at(-1)!;
const ANYBODY = { sensitivities: [] };
const chartOf = (...steps: Step[]): Chart => ({ ...CHART, steps });
const all = (chart: Chart, tools?: readonly Tool[]) =>
  lessonFrom(chart, { minutes: 60, keep: chart.steps.map(({ id }) => id), ...(tools ? { tools } : {}) });
const only = (chart: Chart) => all(chart).steps[0]!;

test.each([
  [7, 'a pinhead'],
  [8, 'half a grain of rice'],
  [19, 'half a grain of rice'],
  [20, 'a grain of rice'],
  [44, 'a grain of rice'],
  [45, 'a lentil'],
  [89, 'a lentil'],
  [90, 'a pea'],
  [219, 'a pea'],
  [220, 'a hazelnut'],
  [499, 'a hazelnut'],
  [500, 'a cherry'],
])('%d mg is as much as %s', (mg, words) => {
  const liquid = kitOf(product(71, 'base', [64, 12, 19], { texture: 'liquid', mgPerMeasure: mg }))
    .products[0]!;
  const step: Step = { ...BASE, use: [{ unitId: null, parts: 1, measure: 'pump', product: liquid }] };
  const said = only(chartOf(step));
  expect(said.amount).toBe(`as much as ${words}`);
  // A ball of about the weight of water: its volume is its weight.
  expect(Math.abs(((Math.PI / 6) * said.sizeMm! ** 3) / mg - 1)).toBeLessThan(0.05);
});

test.each([
  [1, 'one touch of it'],
  [2, '2 touches of it'],
  [9, '6 touches of it'],
])('of what is pressed %d measures are %s, and no drop is drawn', (parts, words) => {
  const pressed = kitOf(product(72, 'blush', [60, 30, 15], { texture: 'pressed' })).products[0]!;
  const step: Step = { ...BASE, use: [{ unitId: null, parts, measure: 'swipe', product: pressed }] };
  expect(only(chartOf(step))).toMatchObject({ amount: words, sizeMm: null });
});

test.each([
  ['spray', 1, 1, 'one spray'],
  ['spray', 3, 1, '3 sprays'],
  ['mascara', 1, 1, 'one thin coat'],
  ['mascara', 1, 2, '2 thin coats'],
] as const)(
  'of a %s %d measures in %d passes are %s: nothing that is weighed',
  (kind, parts, passes, words) => {
    const one = kitOf(product(74, kind, null, { texture: 'liquid', mgPerMeasure: 300 })).products[0]!;
    const step: Step = { ...BASE, passes, use: [{ unitId: null, parts, measure: 'pump', product: one }] };
    expect(only(chartOf(step))).toMatchObject({ amount: words, sizeMm: null });
  },
);

test('what is used is numbered in the order it is used, a thing once', () => {
  const again: Step = { ...CONTOUR, id: LOOK.id, use: BASE.use };
  const { things, steps } = all(chartOf(BASE, CONTOUR, again));
  expect(things.map(({ number }) => number)).toEqual(things.map((_, i) => i + 1));
  expect(new Set(things.map(({ name }) => name)).size).toBe(things.length);
  expect(steps.find(({ stepId }) => stepId === again.id)!.things).toEqual(
    steps.find(({ stepId }) => stepId === BASE.id)!.things,
  );
});

test('what is never done at home says why, and can be chosen by nobody', () => {
  const band = kitOf(product(73, 'lashes', null)).products[0]!;
  const steps: Step[] = [
    { ...BASE, id: '1', title: 'Gem', role: 'adornment' },
    { ...MASCARA, id: '2', title: 'Band', use: [{ unitId: null, parts: 1, measure: 'dot', product: band }] },
    { ...BASE, id: '3', title: 'Mist', tool: 'airbrush' },
    { ...BASE, id: '4', title: 'Gap', use: [] },
  ];
  const lesson = all(chartOf(...steps));
  expect(lesson.steps).toEqual([]);
  expect(Object.fromEntries(lesson.left.map(({ title, why }) => [title, why]))).toEqual({
    Gem: 'For the day itself.',
    Band: 'A band with glue is put on by the studio, after a patch test.',
    Mist: 'An airbrush is nothing for at home.',
    Gap: 'The chart has nothing chosen for it.',
  });
  expect(lesson.left.every(({ atHome }) => !atHome)).toBe(true);
});

test('a face is clean before it begins: that takes none of its minutes, unless it is chosen', () => {
  const clean: Step = {
    ...BASE,
    id: LOOK.id,
    phase: 'clean',
    role: 'care',
    title: 'Clean',
    handsOnMinutes: 1,
  };
  const proposed = lessonFrom(chartOf(clean, BASE), { minutes: 60 });
  expect(proposed.steps.map(({ title }) => title)).toEqual(['Base']);
  expect(proposed.left).toEqual([
    { stepId: clean.id, title: 'Clean', why: 'Said before the first step.', atHome: true },
  ]);
  expect(proposed.before).toMatch(/^Begin with clean hands/);
  expect(all(chartOf(clean, BASE)).steps.map(({ title }) => title)).toEqual(['Clean', 'Base']);
});

test('what is left for want of minutes says so, what is left by choice says that', () => {
  const one = lessonFrom(CHART, { minutes: 7 });
  expect(one.left.filter(({ atHome }) => atHome).map(({ why }) => why)).toContain('For days with more time.');
  const chosen = lessonFrom(CHART, { minutes: 7, keep: [BASE.id] });
  expect(chosen.left.map(({ why }) => why)).toContain('Left out by choice.');
  expect(stepsCounted(chosen)).toBe('one step');
  expect(stepsCounted(all(CHART))).toBe(`${all(CHART).steps.length} steps`);
});

test('the client is spoken to, in the mirror; a skin gets used to a base, the shades are of a month', () => {
  const { steps, minds } = all(CHART);
  const where = steps.flatMap((step) => step.where).join(' ');
  expect(where).not.toMatch(/client/);
  expect(minds.join(' ')).toContain('The shades are of May 2031.');
  expect(minds.join(' ')).toContain('two to four weeks');
  expect(all(chartOf(CONTOUR)).minds.join(' ')).not.toContain('two to four weeks');
});

describe('with the tools a client has', () => {
  test.each<[Tool, readonly Tool[], Tool | null]>([
    ['damp sponge', ['damp sponge'], 'damp sponge'],
    ['damp sponge', ['dense brush'], 'dense brush'],
    ['damp sponge', [], 'finger'],
    ['dense brush', ['damp sponge'], 'damp sponge'],
    ['loose brush', ['puff'], null],
    ['loose brush', [], null],
    ['puff', ['damp sponge'], null],
    ['angled brush', ['small brush'], 'small brush'],
    ['angled brush', [], null],
    ['spoolie', ['small brush'], null],
    ['spatula', [], 'finger'],
    ['finger', [], 'finger'],
    ['none', [], 'none'],
  ])('a step with the %s, having %p, is done with: %p', (tool, has, done) => {
    const step: Step = { ...BASE, tool, technique: 'buff' };
    const made = withToolsOf(step, has, ANYBODY);
    expect(made?.tool ?? null).toBe(done);
    if (made && made.tool !== tool)
      expect(made.technique).toBe(['finger', 'puff', 'damp sponge'].includes(made.tool) ? 'press' : 'buff');
  });

  test.each(['line', 'draw', 'flick'] as const)(
    'what is worked as a %s is not done with what presses',
    (technique) => {
      for (const tool of ['small brush', 'dense brush', 'loose brush'] as const) {
        const step: Step = { ...BASE, tool, technique };
        expect(withToolsOf(step, ['puff', 'damp sponge'], ANYBODY)).toBeNull();
        expect(withToolsOf(step, [tool], ANYBODY)).toBe(step);
      }
      expect(
        withToolsOf({ ...BASE, tool: 'small brush', technique }, ['angled brush'], ANYBODY),
      ).toMatchObject({
        tool: 'angled brush',
        technique,
      });
    },
  );

  test('mascara brings its own wand, a brow does not', () => {
    expect(withToolsOf({ ...MASCARA, tool: 'spoolie' }, [], ANYBODY)).not.toBeNull();
    expect(toolsAskedOf([{ ...MASCARA, tool: 'spoolie' }])).toEqual([]);
    expect(toolsAskedOf([{ ...BASE, tool: 'spoolie' }])).toEqual(['spoolie']);
  });

  const LAID = kitOf(
    product(75, 'blush', [60, 26, 14], { texture: 'pressed' }),
    product(76, 'brow', [35, 8, 14], { texture: 'pencil' }),
    product(77, 'blush', [60, 26, 14], { texture: 'cream' }),
  ).products;
  const laying = (step: Partial<Step>, n: 0 | 1 | 2): Step => ({
    ...BASE,
    ...step,
    use: [{ unitId: null, parts: 1, measure: 'swipe', product: LAID[n]! }],
  });

  test('a wand goes from the roots to the tips; a pencil draws by itself and wants no brush', () => {
    for (const technique of ['flick', 'sweep', 'draw'] as const)
      expect(only(chartOf({ ...MASCARA, role: 'lash', tool: 'spoolie', technique })).how).toBe(
        'With its own wand: from the roots to the tips.',
      );
    const brow = laying({ role: 'brow', tool: 'angled brush', technique: 'flick' }, 1);
    expect(all(chartOf(brow), []).steps[0]!.how).toBe(
      'With the pencil itself: short strokes, the way the hair grows.',
    );
    expect(toolsAskedOf([brow])).toEqual([]);
    // Worked out with a brush it is a brush's; so is a brow of another texture.
    const smudged: Step = { ...brow, tool: 'small brush', technique: 'buff' };
    expect(toolsAskedOf([smudged])).toEqual(['small brush']);
    expect(toolsAskedOf([laying({ ...brow }, 2)])).toEqual(['angled brush']);
    expect(all(chartOf({ ...BASE, tool: 'none', technique: 'press' })).steps[0]!.how).toBe(
      'Press it on, do not rub.',
    );
  });

  test.each<[Tool, readonly Tool[], 0 | 2, Tool | null]>([
    // A damp sponge makes a stain of powder, a finger too.
    ['dense brush', ['damp sponge'], 0, null],
    ['dense brush', ['damp sponge', 'loose brush'], 0, null],
    ['loose brush', ['damp sponge', 'dense brush'], 0, 'dense brush'],
    ['fan brush', ['loose brush'], 0, 'loose brush'],
    ['loose brush', ['puff'], 0, 'puff'],
    ['dense brush', ['damp sponge'], 2, 'damp sponge'],
    ['dense brush', [], 2, 'finger'],
    // A puff takes cream up.
    ['loose brush', ['puff'], 2, null],
    ['loose brush', ['puff', 'dense brush'], 2, 'dense brush'],
  ])('blush with the %s, having %j, as powder (0) or cream (2) %d: %p', (tool, has, n, done) => {
    const step = laying({ role: 'blush', tool, technique: 'stipple' }, n);
    expect(withToolsOf(step, has, ANYBODY)?.tool ?? null).toBe(done);
  });

  test.each([
    ['base', true, ['Over the whole face', 'Up to the beard, not into it']],
    ['powder', true, ['Over the whole face', 'Up to the beard, not into it']],
    ['care', true, ['Over the whole face']],
    ['base', false, ['Over the whole face']],
  ] as const)('%s over the whole face of somebody, a beard: %p', (role, beard, where) => {
    const face: Step = { ...BASE, role, placements: [{ guide: 'zone.wholeFace', side: 'both' }] };
    const chart = chartOf(face, {
      ...face,
      id: CONTOUR.id,
      placements: [{ guide: 'zone.neck', side: 'both' }],
    });
    const one = { ...chart, client: { ...chart.client, features: { ...chart.client.features, beard } } };
    const [whole, neck] = all(one).steps;
    expect(whole!.where).toEqual(where);
    expect(neck!.where).toEqual(['Over the neck']);
  });

  test('what is asked of is each tool once; never a finger, never an airbrush', () => {
    const steps = [...TOOLS, ...TOOLS].map((tool): Step => ({ ...BASE, tool }));
    expect(toolsAskedOf(steps)).toEqual(TOOLS.filter((t) => !['finger', 'none', 'airbrush'].includes(t)));
  });

  test('the lesson says what is used instead; what nothing stands in for is left, and why', () => {
    const powder: Step = { ...CONTOUR, title: 'Set', role: 'powder', tool: 'loose brush' };
    const { steps, left } = all(chartOf({ ...BASE, tool: 'damp sponge' }, powder), []);
    expect(steps.map(({ how }) => how)).toEqual(['With a finger: press it on, do not rub.']);
    expect(left).toEqual([
      {
        stepId: powder.id,
        title: 'Set',
        why: 'Nothing to do it with: it wants a loose brush.',
        atHome: false,
      },
    ]);
    const angled = all(chartOf({ ...BASE, tool: 'angled brush' }), []);
    expect(angled.left[0]!.why).toBe('Nothing to do it with: it wants an angled brush.');
    expect(all(chartOf({ ...BASE, tool: 'damp sponge' })).steps[0]!.how).toMatch(/damp sponge/);
  });
});
