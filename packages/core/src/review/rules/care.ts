import { familiesMeant, ingredientsKnown, matchAllergens, patchSpeaksAgainst, toBeMinded } from '../../care';
import { isSettled } from '../../chair';
import { isWet, shelfLife } from '../../kit';
import { listedFew } from '../../listed';
import { says, TOOLS_TO_MIND, withoutStep, type Step } from '../../look';
import { messagesIn, msg, term } from '../../messages';
import { impossibleBecause, mindsLenses, mustSuitEyes, shedsInWords } from '../../shade';
import { changed, found, nameOf, type Fix, type Reviewed, type Rule } from '../rule';

const noteAdded = (s: Step, sentence: string): Step => ({
  ...s,
  note: s.note === '' ? sentence : `${s.note} ${sentence}`,
});
/** A step taken out of the chart: a fix where nothing may stand in its place. */
const leftOut = (s: Step, label = msg`Leave it out`): Fix => ({
  label,
  apply: (chart) => withoutStep(chart, s.id),
});
/** Another product, or the step left out where the kit has none. */
const anotherOrOut = (on: Reviewed, s: Step): Fix => on.another(s) ?? leftOut(s);
/** What each step still to be done takes out of which unit, in the order they are worked. */
const takenBy = (steps: readonly Step[]) =>
  steps
    .filter((step) => !isSettled(step))
    .flatMap((step) =>
      step.use.map(({ unitId, product, parts }) => ({
        step,
        unitId,
        name: nameOf(product),
        mg: parts * product.mgPerMeasure,
      })),
    );
const sensitiveTo = (on: Reviewed): readonly string[] => toBeMinded(on.chart.client.sensitivities);

/** A first step that cleans, under an id made from the step it comes before. */
function cleaning(first: Step): Step {
  const id = `${first.id.slice(0, 34)}c1`;
  return {
    id,
    phase: 'clean',
    role: 'care',
    title: msg`Clean and calm`,
    shade: null,
    wants: { kinds: [] },
    placements: [],
    doseMgPerCm2: 0,
    passes: 1,
    tool: 'finger',
    technique: 'press',
    handsOnMinutes: 6,
    waitMinutes: 0,
    note: msg`Residue off, hands and tools clean.`,
    use: [],
  };
}

export const CARE_RULES: readonly Rule[] = messagesIn(
  ['name', 'why'],
  [
    {
      id: 'allergen',
      name: 'An ingredient the client is sensitive to',
      severity: 'stop',
      why: 'What is noted as a sensitivity is looked up in the ingredient list. A list of words, no finding: the maker’s own list decides, and a patch test 24 to 48 hours before.',
      find: (on) =>
        on.steps.flatMap((s) =>
          on.products(s).flatMap((p) => {
            const [match] = matchAllergens(p.ingredients, sensitiveTo(on));
            return match
              ? [
                  found(
                    [s],
                    msg`${nameOf(p)} contains ${match.ingredient}; ${match.sensitivity} is noted for this client.`,
                    anotherOrOut(on, s),
                  ),
                ]
              : [];
          }),
        ),
    },
    {
      id: 'patch-test-result',
      name: 'A patch test or an incident that speaks against it',
      severity: 'stop',
      why: 'A product that reacted, was not clear, or whose test has no result yet is not used; nor one that is left alone since an incident. What was seen is for whoever treats the client to judge; the maker’s directions and local rules decide.',
      find: (on) =>
        on.steps.flatMap((s) =>
          on.products(s).flatMap((p) => {
            const against = patchSpeaksAgainst(on.chart.client.patchTests, p.id);
            return against ? [found([s], `${nameOf(p)} ${against}.`, anotherOrOut(on, s))] : [];
          }),
        ),
    },
    {
      id: 'unknown-ingredients',
      name: 'Ingredients nobody has noted',
      severity: 'caution',
      why: 'Where something is noted for this client a product without a list is unknown, not safe. Read the maker’s list, or take one that is known.',
      find: (on) =>
        sensitiveTo(on).length === 0
          ? []
          : on.steps.flatMap((s) =>
              on
                .products(s)
                .filter((p) => !ingredientsKnown(p.ingredients))
                .slice(0, 1)
                .map((p) =>
                  found(
                    [s],
                    msg`${nameOf(p)} has no ingredients noted; ${listedFew(sensitiveTo(on).map((one) => term(one)))} is noted for this client.`,
                    on.another(s, ({ use }) => use.every((u) => ingredientsKnown(u.product.ingredients))),
                  ),
                ),
            ),
    },
    {
      id: 'tool-allergen',
      name: 'A tool of what the client is sensitive to',
      severity: 'caution',
      why: 'Sponges and puffs are often latex, spatulas and curlers often nickel-plated: take one that says it is free of it.',
      find: (on) => {
        const minded = new Set(sensitiveTo(on).flatMap((noted) => familiesMeant(noted)));
        return TOOLS_TO_MIND.filter(({ family }) => minded.has(family)).flatMap(({ family, tools, free }) => {
          const steps = on.steps.filter((s) => tools.some((tool) => tool === s.tool) && !says(s.note, free));
          if (steps.length === 0) return [];
          const named = [...new Set(steps.map((s) => term(s.tool)))].join(msg` and `);
          return [
            found(steps, msg`${named}: often ${term(family)}, which is noted for this client.`, {
              label: msg`Note it ${term(free)}`,
              apply: (chart) => ({
                ...chart,
                steps: chart.steps.map((x) =>
                  steps.some((s) => s.id === x.id)
                    ? noteAdded(x, msg`The ${term(x.tool)} ${term(free)}.`)
                    : x,
                ),
              }),
            }),
          ];
        });
      },
    },
    {
      id: 'set-aside',
      name: 'A colour that cannot be',
      severity: 'caution',
      why: 'A product whose colour no surface can have is set aside: nothing is predicted of it, and the rest of the chart works.',
      find: (on) =>
        on.steps.flatMap((s) =>
          on.products(s).flatMap((p) => {
            const why = impossibleBecause(p.kind, p.lab);
            return why ? [found([s], `${nameOf(p)}: ${why}`, on.another(s))] : [];
          }),
        ),
    },
    {
      id: 'not-for-eyes',
      name: 'Not meant for the eye area',
      severity: 'stop',
      why: 'At the eyes only products meant for them. Stop at any stinging.',
      find: (on) =>
        on.steps.flatMap((s) =>
          on
            .products(s)
            .filter((p) => mustSuitEyes(s, p.kind))
            .flatMap((p) =>
              (on.kit?.products.find((k) => k.id === p.id)?.eyeSafe ?? p.eyeSafe) === false
                ? [found([s], msg`${nameOf(p)} is not noted as meant for the eye area.`, anotherOrOut(on, s))]
                : [],
            ),
        ),
    },
    {
      id: 'lenses',
      name: 'Loose glitter or fibres with contact lenses',
      severity: 'caution',
      why: 'With lenses: no fibre mascara, no loose shimmer; stop at stinging.',
      find: (on) =>
        on.steps
          .filter(
            (s) => mindsLenses(on.chart.client, s) && on.products(s).some((p) => shedsInWords(p) !== null),
          )
          .map((s) => found([s], msg`${s.title} may shed into contact lenses.`, anotherOrOut(on, s))),
    },
    {
      id: 'lash-extensions',
      name: 'Mascara or a band on lash extensions',
      severity: 'caution',
      why: 'Mascara, curlers, bands and oil loosen extensions and have to be rubbed off them: whoever laid them says what they stand.',
      find: (on) =>
        on.chart.client.features.lashes === 'extensions'
          ? on.steps
              .filter((s) => on.products(s).some(({ kind }) => kind === 'mascara' || kind === 'lashes'))
              .map((s) => found([s], msg`${s.title}: lash extensions are worn.`, leftOut(s)))
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
              ? [found([s], msg`${nameOf(product)} is past its shelf life by the day.`, on.another(s))]
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
            return unit &&
              product &&
              product.kind === 'mascara' &&
              shelfLife(unit, product, on.chart.occasion.date).state === 'soon'
              ? [found([s], msg`${nameOf(product)} ends within a month of the day.`, on.another(s))]
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
            .flatMap((p) =>
              on.kit?.products.find((k) => k.id === p.id)?.withdrawn
                ? [found([s], msg`${nameOf(p)} is withdrawn. Find a substitute.`, on.another(s))]
                : [],
            ),
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
              s.use.flatMap((u) =>
                on.kit!.units.some((x) => x.productId === u.product.id)
                  ? []
                  : [found([s], msg`${nameOf(u.product)} is in no case.`, on.another(s))],
              ),
            ),
    },
    {
      id: 'not-enough',
      name: 'Not enough left',
      severity: 'caution',
      why: 'The ledger says how much is left; what is short is bought in time.',
      find: (on) => {
        const { kit } = on;
        if (!kit) return [];
        const taken = takenBy(on.steps);
        const leftFor = (s: Step, unitId: string | null): number =>
          (kit.units.find((unit) => unit.id === unitId)?.remainingMg ?? 0) -
          taken
            .filter((one) => one.unitId === unitId && one.step !== s)
            .reduce((sum, one) => sum + one.mg, 0);
        return taken.flatMap(({ step, unitId, mg, name }, i) => {
          const unit = kit.units.find((x) => x.id === unitId);
          const before = taken
            .slice(0, i)
            .filter((one) => one.unitId === unitId)
            .reduce((sum, one) => sum + one.mg, 0);
          if (!unit || unit.remainingMg >= before + mg) return [];
          const earlier = before > 0 ? msg`, after ${Math.round(before)} in earlier steps` : '';
          return [
            found(
              [step],
              msg`${name} has ${Math.round(unit.remainingMg)} mg left; ${Math.round(mg)} are needed${earlier}.`,
              on.another(step, ({ use }) =>
                use.every((u) => leftFor(step, u.unitId) >= u.parts * u.product.mgPerMeasure),
              ),
            ),
          ];
        });
      },
    },
    {
      id: 'patch-test',
      name: 'Patch test with a new glue or new sensitivities',
      severity: 'caution',
      why: 'With any sensitivity noted, lash glue is tested on skin 24 to 48 hours before; a missing result shows on the day’s plan.',
      find: (on) => {
        const isClear = (productId: string): boolean =>
          on.chart.client.patchTests?.some(
            (one) => one.productId === productId && one.verdict === 'clear',
          ) === true;
        return sensitiveTo(on).length === 0
          ? []
          : on.steps
              .filter((s) => on.products(s).some((p) => p.kind === 'lashes' && !isClear(p.id)))
              .filter((s) => !says(s.note, 'patch test'))
              .map((s) =>
                found(
                  [s],
                  msg`${s.title} needs glue, and the client is sensitive to ${listedFew(sensitiveTo(on).map((one) => term(one)))}: ask for the patch test.`,
                  {
                    label: msg`Note the patch test`,
                    apply: changed(s.id, (x) =>
                      noteAdded(
                        x,
                        msg`Patch test of the glue 24 to 48 hours before; without a result no band.`,
                      ),
                    ),
                  },
                ),
              );
      },
    },
    {
      id: 'shared-tools',
      name: 'A wand or lip tool that is used again',
      severity: 'note',
      why: 'Single-use for mascara wands and lip tools; product is scooped out, never dipped into twice.',
      find: (on) =>
        on.steps.flatMap((s) => {
          if (on.products(s).some((p) => p.kind === 'mascara') && s.tool !== 'spoolie')
            return [
              found(
                [s],
                s.tool === 'none'
                  ? msg`${s.title}: the tube’s own wand goes back into it. Take a single-use wand.`
                  : msg`${s.title}: a ${term(s.tool)} goes back into the tube. Take a single-use wand.`,
                { label: msg`Single-use wand`, apply: changed(s.id, (x) => ({ ...x, tool: 'spoolie' })) },
              ),
            ];
          if (s.tool === 'none' && on.products(s).some((p) => p.kind === 'lip colour' && isWet(p)))
            return [
              found(
                [s],
                msg`${s.title} goes on straight from the product. Scoop some out, and take a brush.`,
                {
                  label: msg`With a brush`,
                  apply: changed(s.id, (x) => ({ ...x, tool: 'small brush' })),
                },
              ),
            ];
          return [];
        }),
    },
    {
      id: 'clean-first',
      name: 'Nothing is cleaned first',
      severity: 'caution',
      why: 'Residue off, hands and tools clean, before anything is laid.',
      find: (on) =>
        on.steps.length > 0 && on.steps[0]!.phase !== 'clean'
          ? [
              found(
                [on.steps[0]!],
                msg`The chart starts with ${on.steps[0]!.title.toLowerCase()}: clean comes first.`,
                {
                  label: msg`Clean first`,
                  apply: (chart) => {
                    const own = chart.steps.find((s) => s.phase === 'clean');
                    const rest = chart.steps.filter((s) => s !== own);
                    return { ...chart, steps: [own ?? cleaning(chart.steps[0]!), ...rest] };
                  },
                },
              ),
            ]
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
              .filter(
                (s) =>
                  s.role === 'contour' ||
                  on
                    .products(s)
                    .some((p) => p.kind === 'lashes' || (p.kind === 'base' && p.coverage === 'full')),
              )
              .map((s) =>
                found(
                  [s],
                  msg`${s.title} is more than a light touch.`,
                  s.role === 'base'
                    ? on.another(s, ({ use }) =>
                        use.every((u) => u.product.coverage === 'sheer' || u.product.coverage === 'light'),
                      )
                    : leftOut(s),
                ),
              ),
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
                found([s], msg`${s.title} is a fine line; with a tremor, stipple it softly.`, {
                  label: msg`Stipple it`,
                  apply: (chart) => ({
                    ...chart,
                    steps: chart.steps.map((x) => (x.id === s.id ? { ...x, technique: 'stipple' } : x)),
                  }),
                }),
              )
          : [],
    },
  ],
);
