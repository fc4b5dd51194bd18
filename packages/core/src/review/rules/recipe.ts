import { forbidsOf } from '../../look';
import { found, isPowder, nameOf, type Rule } from '../rule';

export const RECIPE_RULES: readonly Rule[] = [
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
    id: 'no-dose',
    name: 'A layer without a dose',
    severity: 'note',
    why: 'The dose is what everyone forgets: without it amounts and what shows cannot be worked out.',
    find: (on) => on.steps.filter((s) => s.role !== 'care' && s.use.length > 0 && s.doseMgPerCm2 === 0).map((s) => found([s], `${s.title} has no dose.`)),
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
