import { GUIDE_NAMES, guideNamed, type GuideName, type Placement } from '../face';
import {
  FORBIDDEN_PLACE_NAMES,
  FORBIDDEN_PLACES,
  SHAPE_NAMES,
  withinProhibitions,
  type ForbiddenPlace,
} from './prohibitions';

const at = (guide: GuideName, params?: Extract<Placement, { guide: unknown }>['params']): Placement => ({
  guide,
  side: 'both',
  ...(params ? { params } : {}),
});
const within = (placements: readonly Placement[], places: readonly ForbiddenPlace[]) =>
  withinProhibitions({ role: guideNamed('liner').kind, placements, kinds: [] }, { places });

test.each(FORBIDDEN_PLACE_NAMES)(
  '%s: broken by something, kept by what it leaves, and said in words',
  (place) => {
    const all = GUIDE_NAMES.map((guide) =>
      at(
        guide,
        guide === 'liner'
          ? { reach: 120, liftMm: 3 }
          : guide.startsWith('l')
            ? { upperMm: 1, lowerMm: 1 }
            : undefined,
      ),
    );
    const { placements, broken } = within(all, [place]);
    expect(broken).toEqual([FORBIDDEN_PLACES[place].words]);
    expect(within(placements, [place])).toEqual({ placements, broken: [] });
    // What it does not speak of is not touched.
    expect(
      placements.filter((p) => 'guide' in p && ['cheekContour', 'blushLifted'].includes(p.guide)),
    ).toHaveLength(2);
  },
);

test('a flick begins past the outer corner or above it: both sides of both borders', () => {
  const kept = [at('liner', { reach: 90 }), at('liner', { reach: 60, liftMm: -1 })];
  for (const p of kept) expect(within([p], ['liner flick']).broken).toEqual([]);
  for (const params of [{ reach: 95 }, { reach: 90, liftMm: 0.5 }, {}])
    expect(within([at('liner', params)], ['liner flick']).placements).toEqual([
      at('liner', { reach: 90, liftMm: 0 }),
    ]);
});

test('lips to their natural line are drawn in, never out, and what was inside stays inside', () => {
  const { placements } = within(
    [at('lips', { upperMm: 1, lowerMm: -0.5 }), at('lipLine', { upperMm: -1 })],
    ['over the lip line'],
  );
  expect(placements).toEqual([at('lips', { upperMm: 0, lowerMm: -0.5 }), at('lipLine', { upperMm: -1 })]);
});

test.each(SHAPE_NAMES)('%s is asked once and then kept', (shape) => {
  const placements = [at('brow'), at('blushLifted')];
  const step = { role: 'blush', placements, kinds: [] };
  const first = withinProhibitions(step, { shapes: [shape] });
  expect(first.broken).toHaveLength(1);
  expect(withinProhibitions({ ...step, placements: first.placements }, { shapes: [shape] }).broken).toEqual(
    [],
  );
});

test('blush asked on the apples moves blush alone', () => {
  const light = { role: 'highlight', placements: [at('blushLifted')], kinds: [] };
  expect(withinProhibitions(light, { shapes: ['blush on the apples'] })).toEqual({
    placements: light.placements,
    broken: [],
  });
});

test('nothing forbidden, nothing changed: the very same list', () => {
  const placements = GUIDE_NAMES.map((guide) => at(guide));
  expect(withinProhibitions({ role: 'eye', placements, kinds: [] }, {}).placements).toBe(placements);
});
