import { matchAllergens } from '../../care';
import { shelfLife } from '../../kit';
import { sensitivitiesOf } from '../../shade';
import { found, nameOf, type Rule } from '../rule';

const AT_EYES: readonly string[] = ['eye', 'liner', 'lash'];

export const CARE_RULES: readonly Rule[] = [
  {
    id: 'allergen',
    name: 'An ingredient she is sensitive to',
    severity: 'stop',
    why: 'What is noted as a sensitivity is looked up in the ingredient list. A list of words, no finding: the maker’s own list decides, and a patch test 24 to 48 hours before.',
    find: (on) =>
      on.steps.flatMap((s) =>
        on.products(s).flatMap((p) => {
          const [match] = matchAllergens(p.ingredients, sensitivitiesOf(on.chart.client));
          return match ? [found([s], `${nameOf(p)} contains ${match.ingredient}; ${match.sensitivity} is noted for her.`)] : [];
        }),
      ),
  },
  {
    id: 'not-for-eyes',
    name: 'Not meant for the eye area',
    severity: 'stop',
    why: 'At the eyes only products meant for them. Stop at any stinging.',
    find: (on) =>
      on.kit === null
        ? []
        : on.steps
            .filter((s) => AT_EYES.includes(s.role))
            .flatMap((s) =>
              on
                .products(s)
                .flatMap((p) =>
                  on.kit!.products.find((k) => k.id === p.id)?.eyeSafe === false ? [found([s], `${nameOf(p)} is not noted as meant for the eye area.`)] : [],
                ),
            ),
  },
  {
    id: 'lenses',
    name: 'Loose glitter or fibres with contact lenses',
    severity: 'caution',
    why: 'With lenses: no fibre mascara, no loose shimmer; stop at stinging.',
    find: (on) =>
      on.chart.client.features.lenses
        ? on.steps
            .filter(
              (s) =>
                AT_EYES.includes(s.role) &&
                on.products(s).some((p) => (p.texture === 'loose' && p.finish === 'shimmer') || p.ingredients.some((i) => /fib(re|er)/i.test(i))),
            )
            .map((s) => found([s], `${s.title} may shed into contact lenses.`))
        : [],
  },
  {
    id: 'past-its-date',
    name: 'Past its shelf life',
    severity: 'stop',
    why: 'Months after opening are the maker’s; liquids and mascara keep shortest.',
    find: (on) =>
      on.steps.flatMap((s) =>
        s.use.flatMap((u) => {
          const unit = on.kit?.units.find((x) => x.id === u.unitId);
          const product = on.kit?.products.find((x) => x.id === u.product.id);
          return unit && product && shelfLife(unit, product, on.chart.occasion.date).state === 'past'
            ? [found([s], `${nameOf(product)} is past its shelf life by the day.`)]
            : [];
        }),
      ),
  },
  {
    id: 'ends-soon',
    name: 'Ends soon after the day',
    severity: 'note',
    why: 'Worth a fresh one before a long day.',
    find: (on) =>
      on.steps.flatMap((s) =>
        s.use.flatMap((u) => {
          const unit = on.kit?.units.find((x) => x.id === u.unitId);
          const product = on.kit?.products.find((x) => x.id === u.product.id);
          return unit && product && product.kind === 'mascara' && shelfLife(unit, product, on.chart.occasion.date).state === 'soon'
            ? [found([s], `${nameOf(product)} ends within a month of the day.`)]
            : [];
        }),
      ),
  },
  {
    id: 'withdrawn',
    name: 'Withdrawn from the kit',
    severity: 'caution',
    why: 'A withdrawn product is replaced by its nearest, before the day.',
    find: (on) =>
      on.steps.flatMap((s) =>
        on
          .products(s)
          .flatMap((p) => (on.kit?.products.find((k) => k.id === p.id)?.withdrawn ? [found([s], `${nameOf(p)} is withdrawn. Find a substitute.`)] : [])),
      ),
  },
  {
    id: 'gone-from-kit',
    name: 'No longer in the kit',
    severity: 'caution',
    why: 'What the kit does not have has to be bought or replaced.',
    find: (on) =>
      on.kit === null
        ? []
        : on.steps.flatMap((s) =>
            s.use.flatMap((u) => (on.kit!.units.some((x) => x.productId === u.product.id) ? [] : [found([s], `${nameOf(u.product)} is in no case.`)])),
          ),
  },
  {
    id: 'not-enough',
    name: 'Not enough left',
    severity: 'caution',
    why: 'The ledger says how much is left; what is short is bought in time.',
    find: (on) =>
      on.steps.flatMap((s) =>
        s.use.flatMap((u) => {
          const unit = on.kit?.units.find((x) => x.id === u.unitId);
          const needs = u.parts * u.product.mgPerMeasure;
          return unit && unit.remainingMg < needs
            ? [found([s], `${nameOf(u.product)} has ${Math.round(unit.remainingMg)} mg left; ${Math.round(needs)} are needed.`)]
            : [];
        }),
      ),
  },
  {
    id: 'patch-test',
    name: 'Patch test with a new glue or new sensitivities',
    severity: 'caution',
    why: 'With any sensitivity noted, lash glue is tested on skin 24 to 48 hours before; a missing result shows on the day’s plan.',
    find: (on) =>
      on.chart.client.sensitivities.length === 0
        ? []
        : on.steps
            .filter((s) => on.products(s).some((p) => p.kind === 'lashes'))
            .map((s) => found([s], `${s.title} needs glue, and she is sensitive to ${on.chart.client.sensitivities.join(', ')}: ask for the patch test.`)),
  },
  {
    id: 'shared-tools',
    name: 'A wand or lip tool that is used again',
    severity: 'note',
    why: 'Single-use for mascara wands and lip tools; product is scooped out, never dipped into twice.',
    find: (on) =>
      on.steps
        .filter((s) => on.products(s).some((p) => p.kind === 'mascara') && s.tool !== 'spoolie' && s.tool !== 'none')
        .map((s) =>
          found([s], `${s.title}: a ${s.tool} goes back into the tube. Take a single-use wand.`, {
            label: 'Single-use wand',
            apply: (chart) => ({ ...chart, steps: chart.steps.map((x) => (x.id === s.id ? { ...x, tool: 'spoolie' } : x)) }),
          }),
        ),
  },
  {
    id: 'clean-first',
    name: 'Nothing is cleaned first',
    severity: 'caution',
    why: 'Residue off, hands and tools clean, before anything is laid.',
    find: (on) =>
      on.steps.length > 0 && on.steps[0]!.phase !== 'clean'
        ? [found([on.steps[0]!], `The chart starts with ${on.steps[0]!.title.toLowerCase()}: clean comes first.`)]
        : [],
  },
  {
    id: 'light-touch-for-children',
    name: 'More than a light touch on a child',
    severity: 'caution',
    why: 'A guardian’s consent, and a light touch: no contour, no lashes, no full base.',
    find: (on) =>
      on.chart.client.features.age !== 'child'
        ? []
        : on.steps
            .filter((s) => s.role === 'contour' || on.products(s).some((p) => p.kind === 'lashes' || (p.kind === 'base' && p.coverage === 'full')))
            .map((s) => found([s], `${s.title} is more than a light touch.`)),
  },
  {
    id: 'steady-hand',
    name: 'Fine lines with a head tremor',
    severity: 'note',
    why: 'Rest the hand, short strokes, breaks: a soft line instead of a fine one.',
    find: (on) =>
      on.chart.client.features.headTremor
        ? on.steps
            .filter((s) => s.role === 'liner' && s.technique === 'line')
            .map((s) =>
              found([s], `${s.title} is a fine line; with a tremor, stipple it softly.`, {
                label: 'Stipple it',
                apply: (chart) => ({ ...chart, steps: chart.steps.map((x) => (x.id === s.id ? { ...x, technique: 'stipple' } : x)) }),
              }),
            )
        : [],
  },
];
