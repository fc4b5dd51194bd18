import { withinLimits, type Placement } from '../../face';
import { forbidsOf, type Step } from '../../look';
import { changed, found, isPowder, nameOf, placeOf, type Rule } from '../rule';

/** A placement as charts hold it: lists of its own. */
const own = (placement: Placement): Step['placements'][number] =>
  'guide' in placement
    ? { ...placement, ...(placement.params ? { params: { ...placement.params } } : {}) }
    : { ...placement, outline: placement.outline.map(([x, y]): [number, number] => [x, y]) };

export const RECIPE_RULES: readonly Rule[] = [
  {
    id: 'out-of-limits',
    name: 'A placement leaves its limits',
    severity: 'caution',
    why: 'Pupil line, smile line, mouth height, eye area, free triangle, bridge: what crosses them drags, widens or muddies.',
    find: (on) => {
      const { landmarks, features } = on.chart.client;
      return on.steps.flatMap((s) =>
        s.placements.flatMap((p, i) =>
          placeOf(p, on.chart.client)
            .breaches.slice(0, 1)
            .map((breach) =>
              found([s], `${s.title}, ${breach.limit}. ${breach.message}`, {
                label: 'Bring it back',
                apply: changed(s.id, (x) => ({ ...x, placements: x.placements.map((q, k) => (k === i ? own(withinLimits(q, landmarks, features)) : q)) })),
              }),
            ),
        ),
      );
    },
  },
  {
    id: 'forbidden-finish',
    name: 'A finish the look does not allow',
    severity: 'caution',
    why: 'Period and theme looks forbid things: all matte, no shimmer.',
    find: (on) =>
      on.steps.flatMap((s) =>
        on
          .products(s)
          .filter((p) => forbidsOf(on.chart).finishes.includes(p.finish))
          .map((p) => found([s], `${nameOf(p)} is ${p.finish}; ${on.chart.look.name} allows none.`)),
      ),
  },
  {
    id: 'forbidden-kind',
    name: 'A product the look does not allow',
    severity: 'caution',
    why: 'A look may forbid lashes, bronzer or contour altogether.',
    find: (on) =>
      on.steps.flatMap((s) =>
        on
          .products(s)
          .filter((p) => forbidsOf(on.chart).kinds.includes(p.kind))
          .map((p) => found([s], `${nameOf(p)} is a ${p.kind}; ${on.chart.look.name} allows none.`)),
      ),
  },
  {
    id: 'no-product',
    name: 'A step without a product',
    severity: 'caution',
    why: 'A step that lays something down says with what.',
    find: (on) => on.steps.filter((s) => s.wants.kinds.length > 0 && s.use.length === 0).map((s) => found([s], `${s.title} has no product yet.`)),
  },
  {
    id: 'no-place',
    name: 'A layer without a place',
    severity: 'note',
    why: 'The next pair of hands needs to know where.',
    find: (on) =>
      on.steps
        .filter((s) => s.role !== 'care' && s.use.length > 0 && s.placements.length === 0)
        .map((s) => found([s], `${s.title} is placed nowhere on the face.`)),
  },
  {
    id: 'no-dose',
    name: 'A layer without a dose',
    severity: 'note',
    why: 'The dose is what everyone forgets: without it amounts and what shows cannot be worked out.',
    find: (on) => on.steps.filter((s) => s.role !== 'care' && s.use.length > 0 && s.doseMgPerCm2 === 0).map((s) => found([s], `${s.title} has no dose.`)),
  },
  {
    id: 'narrow-temples',
    name: 'Forehead contour on narrow temples',
    severity: 'caution',
    why: 'It narrows them further: a small forehead gets light in the middle instead.',
    find: (on) =>
      on.chart.client.features.narrowTemples
        ? on.steps
            .filter((s) => s.placements.some((p) => 'guide' in p && p.guide === 'foreheadContour'))
            .map((s) => found([s], `${s.title} narrows temples that are narrow already.`))
        : [],
  },
  {
    id: 'eyes-first',
    name: 'Fallout on a finished base',
    severity: 'note',
    why: 'Dark or shimmering loose shadow falls: eyes first, or powder to catch it.',
    find: (on) => {
      const base = on.steps.findIndex((s) => s.role === 'base');
      const risky = on.steps.find(
        (s, i) =>
          s.role === 'eye' &&
          i > base &&
          base >= 0 &&
          on.products(s).some((p) => isPowder(p) && (p.texture === 'loose' || (p.finish === 'shimmer' && p.lab !== null && p.lab[0] < 35))),
      );
      return risky ? [found([risky], `${risky.title} may fall onto the base: do the eyes first, or shield with powder.`)] : [];
    },
  },
  {
    id: 'under-school-coverage',
    name: 'Too much base over a painted contour',
    severity: 'caution',
    why: 'Contour painted under the base only shows through a sheer one.',
    find: (on) =>
      on.chart.schools.contour !== 'under base'
        ? []
        : on.steps
            .filter((s) => s.role === 'base' && on.products(s).some((p) => ['medium', 'full', 'opaque'].includes(p.coverage)))
            .map((s) => found([s], `${s.title} covers what is painted beneath it.`)),
  },
  {
    id: 'mirror-check',
    name: 'One side only',
    severity: 'note',
    why: 'What is done on one side is done on the other, unless the face asks for it.',
    find: (on) =>
      on.steps
        .filter(
          (s) =>
            s.placements.length === 1 &&
            'guide' in s.placements[0]! &&
            s.placements[0].side !== 'both' &&
            ['contour', 'blush', 'highlight', 'brow', 'liner'].includes(s.role) &&
            !on.steps.some(
              (o) =>
                o !== s &&
                o.role === s.role &&
                o.placements.some((p) => 'guide' in p && p.side !== 'both' && p.guide === (s.placements[0] as { guide?: string }).guide),
            ),
        )
        .map((s) =>
          found([s], `${s.title} is on one side only.`, {
            label: 'Both sides',
            apply: changed(s.id, (x) => ({ ...x, placements: x.placements.map((p) => ({ ...p, side: 'both' })) })),
          }),
        ),
  },
  {
    id: 'long-in-the-chair',
    name: 'Long in the chair',
    severity: 'note',
    why: 'Over ninety minutes without a break is long for anyone; a trial may take it, with one.',
    find: (on) => {
      const minutes = on.steps.reduce((sum, s) => sum + s.handsOnMinutes + s.waitMinutes, 0);
      return minutes > 120 ? [found(on.steps.slice(0, 1), `${Math.round(minutes)} min as it stands: plan a break, or weave the waits.`)] : [];
    },
  },
];
