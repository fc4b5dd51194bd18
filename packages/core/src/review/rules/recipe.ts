import { listed } from '../../listed';
import {
  amountAsked,
  basesFace,
  besideItsLip,
  falloutOf,
  forbidsOf,
  hidesBeneath,
  inOrder,
  toolInstead,
  withinProhibitions,
  withoutStep,
  type Step,
} from '../../look';
import { messagesIn, msg, term } from '../../messages';
import { isUnread, measuresInWords, MOST_TAKEN } from '../../shade';
import { withArticle } from '../../withArticle';
import { changed, found, nameOf, type Fix, type Rule } from '../rule';

const leftOut = (s: Step): Fix => ({ label: msg`Leave it out`, apply: (chart) => withoutStep(chart, s.id) });

/** What a layer is usually laid in, mg a cm2. */
const USUAL_DOSE: Readonly<Partial<Record<Step['role'], number>>> = {
  base: 0.55,
  conceal: 0.8,
  contour: 0.8,
  blush: 0.5,
  bronze: 0.5,
  highlight: 0.4,
  powder: 0.35,
  lip: 2,
  lash: 4,
  liner: 2,
  eye: 1,
};

/** Measures of one product that are still counted out for one step. */
const MOST_COUNTED = 40;

export const RECIPE_RULES: readonly Rule[] = messagesIn(
  ['name', 'why'],
  [
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
            .slice(0, 1)
            .map((p) =>
              found(
                [s],
                msg`${nameOf(p)} is ${term(p.finish)}; ${on.chart.look.name} allows none.`,
                on.another(s) ?? leftOut(s),
              ),
            ),
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
            .slice(0, 1)
            .map((p) =>
              found(
                [s],
                msg`${nameOf(p)} is ${withArticle(term(p.kind))}; ${on.chart.look.name} allows none.`,
                on.another(s) ?? leftOut(s),
              ),
            ),
        ),
    },
    {
      id: 'forbidden-place',
      name: 'A place or shape the look does not allow',
      severity: 'caution',
      why: 'Period and theme looks forbid places and ask for shapes: nothing on the lower lashes, no liner flick, brows pointed.',
      find: (on) =>
        on.steps.flatMap((s) => {
          const { placements, broken } = withinProhibitions(
            { role: s.role, placements: s.placements, kinds: s.wants.kinds },
            forbidsOf(on.chart),
          );
          if (broken.length === 0) return [];
          const fix =
            placements.length === 0
              ? leftOut(s)
              : {
                  label: msg`Keep to the look`,
                  apply: changed(s.id, (x) => ({ ...x, placements: [...placements] })),
                };
          return [found([s], msg`${s.title}: ${on.chart.look.name} asks for ${broken.join(', ')}.`, fix)];
        }),
    },
    {
      id: 'tool-off-product',
      name: 'A tool that does not suit what it lays',
      severity: 'note',
      why: 'Powder under a finger or a damp sponge is a stain, a puff takes up cream, a loose brush drags it; an airbrush sprays what is liquid.',
      find: (on) =>
        on.steps.flatMap((s) => {
          const solid = on.products(s).find(({ texture }) => texture !== 'liquid');
          if (s.tool === 'airbrush' && solid)
            return [
              found(
                [s],
                msg`${nameOf(solid)} is ${term(solid.texture)}: it cannot be sprayed.`,
                on.another(s),
              ),
            ];
          const instead = toolInstead(s, on.chart.client);
          if (!instead) return [];
          const { tool, technique, why } = instead;
          return [
            found([s], msg`${s.title}: ${why}.`, {
              label: msg`Take ${withArticle(term(tool))}`,
              apply: changed(s.id, (x) => ({ ...x, tool, technique })),
            }),
          ];
        }),
    },
    {
      id: 'no-product',
      name: 'A step without a product',
      severity: 'caution',
      why: 'A step that lays something down says with what.',
      find: (on) =>
        on.steps
          .filter((s) => s.wants.kinds.length > 0 && s.use.length === 0)
          .map((s) => {
            const fits = besideItsLip(s, on.chart.steps, on.colour);
            return found([s], msg`${s.title} has no product yet.`, on.another(s, fits));
          }),
    },
    {
      id: 'colour-not-read',
      name: 'A colour nobody has read',
      severity: 'note',
      why: 'What has no read colour was chosen by eye: how it shows, and whether it suits this skin, is not judged here. One touch of the reader in the kit says it.',
      find: (on) =>
        on.steps.flatMap((s) => {
          const unread = on.products(s).filter(isUnread);
          return unread.length === 0
            ? []
            : [
                found(
                  [s],
                  msg`${listed(unread.map(nameOf))} in ${s.title.toLowerCase()}: the colour is not read, so nothing is judged of how it shows. Look in daylight.`,
                  on.another(s, ({ use }) => !use.some(({ product }) => isUnread(product))),
                ),
              ];
        }),
    },
    {
      id: 'many-measures',
      name: 'More measures than anybody counts',
      severity: 'caution',
      why: 'So many pumps, drops or swipes of one product say that one measure holds more than is noted: lay ten of them on a scale and correct it in the kit, or take a larger measure.',
      find: (on) =>
        on.steps.flatMap((s) =>
          s.use.flatMap((u) =>
            u.parts > MOST_COUNTED
              ? [
                  found(
                    [s],
                    msg`${s.title} takes ${measuresInWords(Math.round(u.parts), u.measure)} of ${nameOf(u.product)}, noted as ${u.product.mgPerMeasure} mg each.`,
                    // Two instead of one are no fewer to count.
                    on.another(
                      s,
                      ({ use }) => use.reduce((sum, { parts }) => sum + parts, 0) <= MOST_COUNTED,
                    ),
                  ),
                ]
              : [],
          ),
        ),
    },
    {
      id: 'no-dose',
      name: 'A layer without a dose',
      severity: 'note',
      why: 'The dose is what everyone forgets: without it amounts and what shows cannot be worked out.',
      find: (on) =>
        on.steps
          .filter((s) => s.role !== 'care' && s.use.length > 0 && s.doseMgPerCm2 === 0)
          .map((s) =>
            found([s], msg`${s.title} has no dose.`, {
              label: msg`Take ${USUAL_DOSE[s.role] ?? 0.5} mg/cm²`,
              apply: changed(s.id, (x) => ({ ...x, doseMgPerCm2: USUAL_DOSE[x.role] ?? 0.5 })),
            }),
          ),
    },
    {
      id: 'more-than-needed',
      name: 'More is taken than is needed',
      severity: 'note',
      why: 'What is left on the palette is thrown away: the least whole measures that cover the need.',
      find: (on) =>
        on.steps.flatMap((s) => {
          // Of what is swiped or dotted the rest is simply left in the pan: it is the pumps that are thrown
          // away.
          const asked = s.role === 'base' ? amountAsked(s, on.chart.client) : null;
          if (!asked || asked.takenMg === 0) return [];
          const planned = s.use.reduce((sum, u) => sum + u.parts * u.product.mgPerMeasure, 0);
          return planned > MOST_TAKEN * asked.takenMg && planned > 1.4 * asked.madeMg
            ? [
                found(
                  [s],
                  msg`${s.title} takes ${Math.round(planned)} mg, ${Math.round(asked.takenMg)} are needed.`,
                  {
                    label: msg`Take what is needed`,
                    apply: changed(s.id, (x) => ({
                      ...x,
                      use: [...(amountAsked(x, on.chart.client)?.use ?? x.use)],
                    })),
                  },
                ),
              ]
            : [];
        }),
    },
    {
      id: 'eyes-first',
      name: 'Fallout on a finished base',
      severity: 'note',
      why: 'Dark or shimmering loose shadow falls: eyes first, or powder to catch it.',
      find: (on) => {
        const base = on.steps.findIndex(basesFace);
        const risky = on.steps.find(
          (s, i) =>
            s.role === 'eye' &&
            i > base &&
            base >= 0 &&
            on.products(s).some((p) => falloutOf(p, null) === 'much'),
        );
        return risky
          ? [
              found(
                [risky],
                msg`${risky.title} may fall onto the base: do the eyes first, or shield with powder.`,
                {
                  label: msg`Eyes first`,
                  apply: (chart) => ({
                    ...chart,
                    schools: { ...chart.schools, eyesOrFace: 'eyes first' },
                    steps: inOrder(chart.steps, { schools: { ...chart.schools, eyesOrFace: 'eyes first' } }),
                  }),
                },
              ),
            ]
          : [];
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
          : on.steps.filter(hidesBeneath).map((s) =>
              found(
                [s],
                msg`${s.title} covers what is painted beneath it.`,
                on.another(s, ({ use }) =>
                  use.every((u) => u.product.coverage === 'sheer' || u.product.coverage === 'light'),
                ),
              ),
            ),
    },
    {
      id: 'long-in-the-chair',
      name: 'Long in the chair',
      severity: 'note',
      why: 'Over two hours without a break is long for anyone; a trial may take it, with one.',
      find: (on) => {
        const minutes = on.steps.reduce((sum, s) => sum + s.handsOnMinutes + s.waitMinutes, 0);
        return minutes > 120
          ? [
              found(
                on.steps.slice(0, 1),
                msg`${Math.round(minutes)} min as it stands: plan a break, or weave the waits.`,
              ),
            ]
          : [];
      },
    },
  ],
);
