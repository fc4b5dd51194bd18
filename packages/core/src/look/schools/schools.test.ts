import { wantedColour } from '../../shade';
import {
  adviseSchools,
  amountAsked,
  fitInStudio,
  fitLook,
  inSchoolsOf,
  phaseOrder,
  SCHOOLS,
  schoolsInWords,
  TOOL_FOR_TEXTURE,
  withSchool,
  newStep,
  type Chart,
  type SchoolAnswers,
  type Step,
  withStep,
} from '..';
import type { Placement } from '../../face';
import { snapshotOf } from '../../kit';
import { client, KIT, kitOf, LOOK, OCCASION, product, STAMP } from '../look.testing';

type GuideName = Extract<Placement, { guide: unknown }>['guide'];
const chart: Chart = fitLook(LOOK, client(), KIT, OCCASION, STAMP).chart;
const titles = (c: Chart): string[] => c.steps.map((s) => s.title);
const inPhase = (c: Chart): boolean => {
  const order = phaseOrder(c.schools);
  const ranks = c.steps.map((s) => order.indexOf(s.phase));
  return ranks.every((r, i) => i === 0 || ranks[i - 1]! <= r);
};

test('eyes first puts the eyes before the base, face first puts them back', () => {
  const first = withSchool(chart, 'eyesOrFace', 'eyes first');
  expect(titles(first.chart).indexOf('Lid')).toBeLessThan(titles(first.chart).indexOf('Base'));
  expect(first.says.join()).toContain('before the base');
  expect(titles(withSchool(first.chart, 'eyesOrFace', 'face first').chart)).toEqual(titles(chart));
  expect(withSchool(chart, 'eyesOrFace', 'face first')).toEqual({ chart, says: [] });
});

describe('what shadow lies upon', () => {
  const at = (...guides: readonly GuideName[]): Step['placements'] =>
    guides.map((guide) => ({ guide, side: 'both' }));
  const shadow = newStep('eye', '0190a000-0000-7000-8000-0000000000e1', at('lid'));
  const layers = chart.steps.filter((s) => s.role !== 'eye');
  /** A step among the others, by both ways into a chart: sorted by a school, and added to one. */
  const orders = (step: Step): string[][] => {
    const before: Chart = { ...chart, steps: [...layers, step, shadow] };
    const first = withSchool({ ...before, schools: FACE_FIRST }, 'eyesOrFace', 'eyes first').chart;
    const added = withStep({ ...first, steps: first.steps.filter((s) => s.id !== step.id) }, step);
    return [first, added].map((c) => c.steps.map((s) => s.id));
  };
  const FACE_FIRST = { ...chart.schools, eyesOrFace: 'face first' as const };
  const step = (role: Step['role'], phase: Step['phase'], ...guides: readonly GuideName[]): Step => ({
    ...newStep('conceal', '0190a000-0000-7000-8000-0000000000e2', at(...guides)),
    role,
    phase,
  });

  test.each([
    ['conceal', 'conceal', 'zone.mobileLid'],
    ['conceal', 'conceal', 'lid'],
    ['correct', 'correct', 'openLid'],
    ['base', 'base', 'zone.mobileLid'],
    ['powder', 'set', 'zone.crease'],
    ['powder', 'powder', 'lid'],
    ['care', 'prime', 'zone.mobileLid'],
  ] as const)('%s (%s) of %s comes before the shadow when eyes come first', (role, phase, guide) => {
    const ground = step(role, phase, guide);
    for (const ids of orders(ground)) expect(ids.indexOf(ground.id)).toBeLessThan(ids.indexOf(shadow.id));
  });

  test.each([
    ['conceal', 'conceal', 'zone.underEye'],
    ['highlight', 'sculpt', 'innerLid'],
    ['care', 'finish', 'zone.mobileLid'],
    ['conceal', 'conceal', 'lips'],
    ['conceal', 'conceal', 'zone.browBone'],
    ['powder', 'set', 'tZonePowder'],
  ] as const)('%s (%s) of %s comes after it, as its phase does', (role, phase, guide) => {
    const other = step(role, phase, guide);
    for (const ids of orders(other)) expect(ids.indexOf(other.id)).toBeGreaterThan(ids.indexOf(shadow.id));
  });

  test('lids and under the eyes in one go stay with the face', () => {
    const both = step('conceal', 'conceal', 'zone.underEye', 'zone.mobileLid');
    for (const ids of orders(both)) expect(ids.indexOf(both.id)).toBeGreaterThan(ids.indexOf(shadow.id));
  });
});

test('every answer of every school leaves the phases in its order', () => {
  for (const answer of SCHOOLS.eyesOrFace)
    expect(inPhase(withSchool(chart, 'eyesOrFace', answer).chart)).toBe(true);
  for (const answer of SCHOOLS.contour)
    expect(inPhase(withSchool(chart, 'contour', answer).chart)).toBe(true);
  for (const answer of SCHOOLS.concealer)
    expect(inPhase(withSchool(chart, 'concealer', answer).chart)).toBe(true);
});

test('contour under the base comes before it, and a full base is warned of', () => {
  const full: Chart = {
    ...chart,
    steps: chart.steps.map((s) =>
      s.role === 'base'
        ? { ...s, use: s.use.map((u) => ({ ...u, product: { ...u.product, coverage: 'full' as const } })) }
        : s,
    ),
  };
  const { chart: next, says } = withSchool(full, 'contour', 'under base');
  expect(titles(next).indexOf('Contour')).toBeLessThan(titles(next).indexOf('Base'));
  expect(says.join()).toContain('covers what is painted beneath');
  expect(adviseSchools(next).map((a) => [a.school, a.answer])).toContainEqual(['contour', 'over base']);
});

test('no contour takes it out and says so; bronzer only asks for bronze', () => {
  const none = withSchool(chart, 'contour', 'none');
  expect(titles(none.chart)).not.toContain('Contour');
  expect(none.says).toEqual(['Contour, Forehead taken out.']);
  expect(withSchool(chart, 'contour', 'bronzer only').says.join()).toContain('add a layer');
});

test('bold contrast goes a step further from the skin both ways and soft comes back', () => {
  const steps = (c: Chart) =>
    c.steps.flatMap((s) =>
      s.shade && 'relative' in s.shade && (s.role === 'contour' || s.role === 'highlight')
        ? [s.shade.relative.depthSteps]
        : [],
    );
  const bold = withSchool(chart, 'contrast', 'bold').chart;
  expect(steps(bold)).toEqual([3.5, 3, -3.5]);
  expect(steps(withSchool(bold, 'contrast', 'soft').chart)).toEqual(steps(chart));
});

test('advice follows the client and the look, with its reason', () => {
  const advised = (features: object, steps = chart.steps, schools: Partial<SchoolAnswers> = {}) =>
    adviseSchools({
      ...chart,
      steps,
      schools: { ...chart.schools, ...schools },
      client: { ...chart.client, features: { ...chart.client.features, ...features } },
    });
  expect(advised({})).toEqual([]);
  expect(advised({ brows: 'sparse' })[0]).toMatchObject({
    answer: 'eyes first',
    why: expect.stringContaining('brows'),
  });
  const sprayed = chart.steps.map((s) => (s.role === 'base' ? { ...s, tool: 'airbrush' as const } : s));
  expect(advised({}, sprayed).map((a) => a.answer)).toEqual(['eyes first', 'under base']);
  expect(
    advised({ age: 'mature' }, chart.steps, { contrast: 'bold', concealer: 'under base' }).map(
      (a) => a.answer,
    ),
  ).toEqual(['over base', 'soft']);
  expect(advised({}, chart.steps, { eyesOrFace: 'eyes first' })[0]!.answer).toBe('face first');
});

test.each([
  [75, 'pressed', 'eyes first'],
  [55, 'pressed', 'eyes first'],
  // No darker than the cheek it falls on.
  [45, 'pressed', null],
  [38, 'pressed', null],
  [38, 'loose', 'eyes first'],
  [75, 'cream', null],
] as const)('a brown shadow on skin of L* %d, %s: %p', (L, texture, answer) => {
  const brown = snapshotOf(product(77, 'shadow', [33, 8, 12], { texture, finish: 'matte' }));
  const use: Step['use'] = [{ unitId: null, product: brown, parts: 1, measure: 'swipe' }];
  const steps = chart.steps.map((s) => (s.role === 'eye' ? { ...s, use } : s));
  const person = { ...chart.client, skin: client([L, 12, 18]).skin };
  const [advice] = adviseSchools({ ...chart, steps, client: person });
  expect(advice?.answer ?? null).toBe(answer);
  if (answer) expect(advice!.why).toContain('shadow falls');
});

const withProducts = (role: string, texture: 'cream' | 'pressed' | 'loose', at = chart): Chart => ({
  ...at,
  steps: at.steps.map((s) =>
    s.role === role ? { ...s, use: s.use.map((u) => ({ ...u, product: { ...u.product, texture } })) } : s,
  ),
});
const powder = (
  n: number,
  title: string,
  texture: 'pressed' | 'loose',
  more: object = {},
): Chart['steps'][number] => ({
  ...chart.steps[0]!,
  id: `0190a000-0000-7000-8000-0000000007${String(n).padStart(2, '0')}`,
  title,
  phase: 'set',
  role: 'powder',
  waitMinutes: 0,
  wants: { kinds: ['powder'], textures: [texture] },
  use: [],
  placements: [{ guide: 'zone.underEye', side: 'both' }],
  ...more,
});

test('a sponge takes more product for the same face, a brush gives it back', () => {
  const brushed = withSchool(chart, 'applicator', 'brush').chart;
  const base = (c: Chart) => c.steps.find((s) => s.role === 'base')!;
  expect(base(brushed).tool).toBe('dense brush');
  const sponged = withSchool(brushed, 'applicator', 'damp sponge');
  expect(base(sponged.chart).tool).toBe('damp sponge');
  const needed = (c: Chart) => amountAsked(base(c), c.client)!.takenMg;
  expect(needed(sponged.chart) / needed(brushed)).toBeCloseTo(0.9 / 0.75, 9);
  expect(Number.isInteger(2 * base(sponged.chart).use[0]!.parts)).toBe(true);
  expect(sponged.says.join()).toContain('takes some product away');
  expect(base(withSchool(sponged.chart, 'applicator', 'brush').chart).use[0]!.parts).toBe(
    base(brushed).use[0]!.parts,
  );
});

test('powder only puts contour after setting and asks for a powder where a cream was', () => {
  const cream = withProducts('contour', 'cream');
  const { chart: dry, says } = withSchool(cream, 'contourTexture', 'powder only');
  const contour = dry.steps.find((s) => s.title === 'Contour')!;
  expect(contour).toMatchObject({ phase: 'powder', use: [], wants: { textures: ['pressed', 'loose'] } });
  expect(says.join()).toContain('choose a powder');
  expect(inPhase(dry)).toBe(true);
  const kept = withSchool(withProducts('contour', 'pressed'), 'contourTexture', 'powder only').chart;
  expect(kept.steps.find((s) => s.title === 'Contour')!.use).toHaveLength(1);
});

test('loose and pressed change places by the school, and only they', () => {
  const both: Chart = {
    ...chart,
    steps: [
      ...chart.steps.slice(0, 2),
      powder(1, 'Loose', 'loose'),
      powder(2, 'Pressed', 'pressed'),
      ...chart.steps.slice(2),
    ],
  };
  const order = (c: Chart) => titles(c).filter((t) => t === 'Loose' || t === 'Pressed');
  const pressedFirst = withSchool(both, 'powders', 'pressed, then loose').chart;
  expect(order(pressedFirst)).toEqual(['Pressed', 'Loose']);
  expect(order(withSchool(pressedFirst, 'powders', 'loose, then pressed').chart)).toEqual([
    'Loose',
    'Pressed',
  ]);
  expect(withSchool(chart, 'powders', 'loose, then pressed').says.join()).toContain('nothing changes yet');
});

test('settled powder is left three minutes or pressed on thinly', () => {
  const under: Chart = {
    ...chart,
    steps: [...chart.steps, powder(3, 'Under the eye', 'loose', { doseMgPerCm2: 0.4 })],
  };
  const thick = withSchool(under, 'settledPowder', 'use');
  expect(thick.chart.steps.find((s) => s.title === 'Under the eye')).toMatchObject({
    waitMinutes: 3,
    doseMgPerCm2: 0.8,
  });
  expect(thick.says.join()).toContain('Not on lined or dry skin');
  expect(
    withSchool(thick.chart, 'settledPowder', 'never').chart.steps.find((s) => s.title === 'Under the eye'),
  ).toMatchObject({
    waitMinutes: 0,
    doseMgPerCm2: 0.4,
  });
});

test('spray comes before the first powder or at the very end', () => {
  const spray = powder(4, 'Spray', 'loose', {
    role: 'care',
    phase: 'finish',
    wants: { kinds: ['spray'] },
    placements: [],
  });
  const sprayed: Chart = { ...chart, steps: [...chart.steps, powder(5, 'Powder', 'loose'), spray] };
  const early = withSchool(sprayed, 'mist', 'spray, then powder');
  expect(titles(early.chart).indexOf('Spray')).toBeLessThan(titles(early.chart).indexOf('Powder'));
  expect(early.says.join()).toContain('dry before powder');
  const late = withSchool(early.chart, 'mist', 'powder, then spray').chart;
  expect(titles(late).at(-1)).toBe('Spray');
  expect([inPhase(early.chart), inPhase(late)]).toEqual([true, true]);
});

test('the studio’s way is taken over the look’s at fitting, said among the notes, and no step loses its product for good', () => {
  const plain = fitLook(LOOK, client(), KIT, OCCASION, STAMP);
  const fitted = fitInStudio(LOOK, client(), KIT, OCCASION, STAMP, {
    eyesOrFace: 'eyes first',
    contrast: 'bold',
  });
  expect(fitted.chart.schools).toMatchObject({
    eyesOrFace: 'eyes first',
    contrast: 'bold',
    concealer: 'over base',
  });
  expect(titles(fitted.chart).indexOf('Lid')).toBeLessThan(titles(fitted.chart).indexOf('Base'));
  expect(fitted.notes.filter((n) => n.startsWith('The studio’s way: '))).toHaveLength(2);
  expect(fitInStudio(LOOK, client(), KIT, OCCASION, STAMP, {})).toEqual(plain);
  expect(inSchoolsOf(chart, {}).chart).toBe(chart);
});

test('a studio of bold contrast is given the product for the bolder shade, not the one of the look', () => {
  const plan = LOOK.steps.find((s) => s.title === 'Contour')!;
  const at = (depthSteps: number) =>
    wantedColour({ ...plan, shade: { relative: { to: 'skin', depthSteps } } }, client())!;
  // So much of so dense a powder shows its pan: which shade is meant is not blurred by the film.
  const matte = { finish: 'matte' as const, coverage: 'full' as const };
  const look = {
    ...LOOK,
    steps: LOOK.steps.map((s) => (s.title === 'Contour' ? { ...s, doseMgPerCm2: 3 } : s)),
  };
  const kit = kitOf(
    ...KIT.products.filter((p) => p.kind !== 'contour'),
    product(71, 'contour', at(2.5), matte),
    product(70, 'contour', at(3.5), matte),
  );
  const contourOf = (fitted: ReturnType<typeof fitLook>) =>
    fitted.chart.steps.find((s) => s.title === 'Contour')!.use[0]!.product;
  const [soft, bold] = [
    fitInStudio(look, client(), kit, OCCASION, STAMP, {}),
    fitInStudio(look, client(), kit, OCCASION, STAMP, { contrast: 'bold' }),
  ];
  expect([contourOf(soft).shade, contourOf(bold).shade]).toEqual(['S71', 'S70']);
  const step = bold.chart.steps.find((s) => s.title === 'Contour')!;
  expect(step.use).toEqual(bold.proposals[step.id]![0]!.use);
});

test('a studio of powder alone lays it with what lays powder, and says so', () => {
  const at = wantedColour(
    LOOK.steps.find((s) => s.title === 'Contour')!,
    client(),
  )!;
  const kit = kitOf(
    ...KIT.products.filter((p) => p.kind !== 'contour'),
    product(72, 'contour', at, { finish: 'matte', texture: 'cream' }),
    product(73, 'contour', at, { finish: 'matte', texture: 'pressed' }),
  );
  const fitted = fitInStudio(LOOK, client(), kit, OCCASION, STAMP, { contourTexture: 'powder only' });
  const contours = fitted.chart.steps.filter((s) => s.role === 'contour' && s.use.length > 0);
  expect(contours.length).toBeGreaterThan(0);
  for (const { id: of, use, tool } of contours) {
    expect([use[0]!.product.shade, tool]).toEqual(['S73', 'loose brush']);
    expect(fitted.chart.adaptations).toContainEqual(
      expect.objectContaining({
        id: TOOL_FOR_TEXTURE,
        stepId: of,
        was: { tool: 'damp sponge', technique: 'press' },
      }),
    );
  }
  expect(fitted.adaptations).toEqual(fitted.chart.adaptations);
  expect(fitted.notes).toContain(
    'Contour with a loose brush: pressed powder: a damp sponge makes a stain of it.',
  );
});

test('a school is said in one line, what is left open is not', () => {
  expect(schoolsInWords(chart.schools)).toBe(
    'face first · contour over base · concealer over base · soft contrast',
  );
  expect(schoolsInWords({ ...chart.schools, contour: 'none', mist: 'powder, then spray' })).toContain(
    'no contour · concealer over base · powder, then spray',
  );
});

test('a powder of lids is none of those that change places, and no spray is laid before it', () => {
  const lids = powder(6, 'Lids', 'loose', {
    phase: 'eyes',
    placements: [{ guide: 'zone.mobileLid', side: 'both' }],
  });
  const both: Chart = {
    ...chart,
    schools: { ...chart.schools, eyesOrFace: 'eyes first' },
    steps: [lids, ...chart.steps, powder(7, 'Pressed', 'pressed')],
  };
  expect(withSchool(both, 'powders', 'pressed, then loose').says.join()).toContain('nothing changes yet');
  const spray = powder(8, 'Spray', 'loose', {
    role: 'care',
    phase: 'finish',
    wants: { kinds: ['spray'] },
    placements: [],
  });
  const early = titles(
    withSchool({ ...both, steps: [...both.steps, spray] }, 'mist', 'spray, then powder').chart,
  );
  expect(early.indexOf('Lids')).toBeLessThan(early.indexOf('Spray'));
  expect(early.indexOf('Spray')).toBeLessThan(early.indexOf('Pressed'));
});

test('a contour that is not there is not taken out, and one that is all there is stays', () => {
  const without = { ...chart, steps: chart.steps.filter((s) => s.role !== 'contour') };
  const alone = { ...chart, steps: chart.steps.filter((s) => s.role === 'contour') };
  for (const answer of ['none', 'bronzer only'] as const)
    for (const one of [without, alone]) {
      const { chart: next, says } = withSchool(one, 'contour', answer);
      expect(next.steps.map((s) => s.id)).toEqual(one.steps.map((s) => s.id));
      expect(says).toEqual([]);
    }
  const bronzed = chart.steps.map((s) =>
    s.role === 'blush' || s.role === 'highlight' ? { ...s, role: 'bronze' as const } : s,
  );
  expect(withSchool({ ...chart, steps: bronzed }, 'contour', 'bronzer only').says).toEqual([
    'Contour, Forehead taken out.',
  ]);
});

test('under the base a contour is asked for, and only a base that covers is warned of', () => {
  const covering = (coverage: 'sheer' | 'light' | 'medium' | 'full' | 'opaque'): Chart => ({
    ...chart,
    schools: { ...chart.schools, contour: 'over base' },
    steps: chart.steps.map((s) => ({
      ...s,
      use: s.use.map((u) => ({ ...u, product: { ...u.product, coverage } })),
    })),
  });
  const warned = (of: Chart) =>
    withSchool(of, 'contour', 'under base').says.filter((one) => one.includes('covers what'));
  const advised = (of: Chart) =>
    adviseSchools({ ...of, schools: { ...of.schools, contour: 'under base' } }).filter(
      ({ school }) => school === 'contour',
    );
  expect(
    (['sheer', 'light', 'medium', 'full', 'opaque'] as const).map((one) => warned(covering(one)).length),
  ).toEqual([0, 0, 1, 1, 1]);
  // Who works that way already is told by the same border.
  expect(
    (['sheer', 'light', 'medium', 'full', 'opaque'] as const).map((one) => advised(covering(one)).length),
  ).toEqual([0, 0, 1, 1, 1]);
  const without = { ...chart, steps: chart.steps.filter((s) => s.role !== 'contour') };
  const asks = (of: Chart) => withSchool(of, 'contour', 'under base').says.join().includes('no contour yet');
  expect([asks(without), asks(chart)]).toEqual([true, false]);
});
