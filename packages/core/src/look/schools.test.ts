import { adviseSchools, fitLook, phaseOrder, SCHOOLS, withSchool, type Chart, type SchoolAnswers } from '.';
import { client, KIT, LOOK, OCCASION, STAMP } from './look.testing';

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

test('every answer of every school leaves the phases in its order', () => {
  for (const answer of SCHOOLS.eyesOrFace) expect(inPhase(withSchool(chart, 'eyesOrFace', answer).chart)).toBe(true);
  for (const answer of SCHOOLS.contour) expect(inPhase(withSchool(chart, 'contour', answer).chart)).toBe(true);
  for (const answer of SCHOOLS.concealer) expect(inPhase(withSchool(chart, 'concealer', answer).chart)).toBe(true);
});

test('contour under the base comes before it, and a full base is warned of', () => {
  const full: Chart = {
    ...chart,
    steps: chart.steps.map((s) => (s.role === 'base' ? { ...s, use: s.use.map((u) => ({ ...u, product: { ...u.product, coverage: 'full' as const } })) } : s)),
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
    c.steps.flatMap((s) => (s.shade && 'relative' in s.shade && (s.role === 'contour' || s.role === 'highlight') ? [s.shade.relative.depthSteps] : []));
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
  expect(advised({ brows: 'sparse' })[0]).toMatchObject({ answer: 'eyes first', why: expect.stringContaining('brows') });
  const sprayed = chart.steps.map((s) => (s.role === 'base' ? { ...s, tool: 'airbrush' as const } : s));
  expect(advised({}, sprayed).map((a) => a.answer)).toEqual(['eyes first', 'under base']);
  expect(advised({ age: 'mature' }, chart.steps, { contrast: 'bold', concealer: 'under base' }).map((a) => a.answer)).toEqual(['over base', 'soft']);
  expect(advised({}, chart.steps, { eyesOrFace: 'eyes first' })[0]!.answer).toBe('face first');
});
