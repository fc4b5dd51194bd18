import { familiesAgree } from '../../kit';
import { FLOW_DOSE, type Step } from '../../look';
import { changed, found, isPowder, isWet, moved, nameOf, type Reviewed, type Rule } from '../rule';

const EYES_AND_LIPS: readonly Step['role'][] = ['eye', 'liner', 'lash', 'lip line', 'lip', 'brow'];

/** Steps that lie directly on each other: each with the nearest one under it. What covers the face is led round brows, eyes and lips. */
const stacked = (on: Reviewed): { step: Step; below: Step }[] =>
  on.steps.flatMap((step, i) => {
    const below = on.steps
      .slice(0, i)
      .filter((s) => s.use.length > 0 && on.touch(s, step) && (EYES_AND_LIPS.includes(step.role) || !EYES_AND_LIPS.includes(s.role)))
      .at(-1);
    return step.use.length > 0 && below ? [{ step, below }] : [];
  });

/** Layers a zone affords before they crack. */
const AFFORDS = { underEye: 3, elsewhere: 6 } as const;
const covers = (step: Step, guide: string): boolean => step.placements.some((p) => 'guide' in p && p.guide === guide);

export const LAYER_RULES: readonly Rule[] = [
  {
    id: 'family-conflict',
    name: 'Families that disagree lie on each other',
    severity: 'caution',
    why: 'Under the base families must agree: silicone over water, or oil under either, slides and pills. A wait helps, a change of primer cures.',
    find: (on) =>
      stacked(on).flatMap(({ step, below }) => {
        const clash = on
          .products(step)
          .flatMap((top) => on.products(below).flatMap((under) => (familiesAgree(top.family, under.family) ? [] : [{ top, under }])))[0];
        if (!clash || !['prime', 'correct', 'base'].includes(step.phase) || below.waitMinutes >= 2) return [];
        return [
          found([below, step], `${nameOf(clash.top)} (${clash.top.family}) goes on ${nameOf(clash.under)} (${clash.under.family}): it may slide or pill.`, {
            label: 'Let it settle 2 minutes',
            apply: changed(below.id, (s) => ({ ...s, waitMinutes: 2 })),
          }),
        ];
      }),
  },
  {
    id: 'cream-over-powder',
    name: 'Cream goes over powder',
    severity: 'caution',
    why: 'Cream never goes on top of powder: it drags and turns patchy. Cream first, powder second.',
    find: (on) =>
      on.steps.flatMap((step) => {
        if (step.role === 'care' || EYES_AND_LIPS.includes(step.role) || !on.products(step).some(isWet)) return [];
        const powder = on.under(step).find((s) => !EYES_AND_LIPS.includes(s.role) && on.products(s).some(isPowder));
        if (!powder) return [];
        return [
          found([powder, step], `${step.title} is cream and goes over the powder of ${powder.title.toLowerCase()}.`, {
            label: 'Do it before the powder',
            apply: moved(step.id, 'before', powder.id),
          }),
        ];
      }),
  },
  {
    id: 'wet-on-wet',
    name: 'The next layer comes before the last has dried',
    severity: 'caution',
    why: 'Moisturiser wants about 3 minutes, primer 2, spray 1; what comes sooner lifts it.',
    find: (on) =>
      on.steps.flatMap((step, i) => {
        const wants = on.products(step).some((p) => p.kind === 'primer') ? 2 : on.products(step).some((p) => p.kind === 'spray') ? 1 : 0;
        if (step.waitMinutes >= wants) return [];
        const next = on.steps.slice(i + 1).find((s) => on.touch(s, step) || s.phase === 'finish');
        return next
          ? [
              found([step, next], `${step.title} gets ${step.waitMinutes} min to dry before ${next.title.toLowerCase()}; it wants ${wants}.`, {
                label: `Wait ${wants} min`,
                apply: changed(step.id, (s) => ({ ...s, waitMinutes: wants })),
              }),
            ]
          : [];
      }),
  },
  {
    id: 'too-many-layers-under-eye',
    name: 'Too many layers under the eye',
    severity: 'caution',
    why: 'The under-eye affords three layers; more of them crack and crease.',
    find: (on) => {
      const layers = on.steps.filter(
        (s) =>
          s.role !== 'care' &&
          s.use.length > 0 &&
          on.shapes(s).length > 0 &&
          (covers(s, 'zone.underEye') || covers(s, 'zone.wholeFace') || ['conceal', 'correct'].includes(s.role)),
      );
      return layers.length > AFFORDS.underEye
        ? [found(layers, `${layers.length} layers lie under the eye; it affords ${AFFORDS.underEye}. Stir two together, or leave one out there.`)]
        : [];
    },
  },
  {
    id: 'too-many-layers',
    name: 'Too many layers on one place',
    severity: 'note',
    why: 'Thin layers last; stacked layers crack and look heavy.',
    find: (on) =>
      on.steps.flatMap((step) => {
        if (EYES_AND_LIPS.includes(step.role) || step.role === 'care' || step.use.length === 0) return [];
        const below = on.under(step).filter((s) => s.use.length > 0 && !EYES_AND_LIPS.includes(s.role));
        return below.length + 1 > AFFORDS.elsewhere + 2 ? [found([...below, step], `${below.length + 1} layers meet at ${step.title.toLowerCase()}.`)] : [];
      }),
  },
  {
    id: 'heavy-base',
    name: 'The base is laid thick',
    severity: 'caution',
    why: 'Start with little and build where it is needed: over about 1.5 mg/cm² a base looks like a mask and cracks.',
    find: (on) =>
      on.steps
        .filter((s) => s.role === 'base' && s.doseMgPerCm2 * s.passes > 1.5)
        .map((s) =>
          found([s], `${s.title} lays ${(s.doseMgPerCm2 * s.passes).toFixed(1)} mg/cm² over the face.`, {
            label: 'Halve it',
            apply: changed(s.id, (x) => ({ ...x, doseMgPerCm2: x.doseMgPerCm2 / 2 })),
          }),
        ),
  },
  {
    id: 'thick-powder-on-lines',
    name: 'Powder left to sit on lined or dry skin',
    severity: 'caution',
    why: 'Settled powder brightens young oily skin; on lines and dry skin it ages.',
    find: (on) => {
      const { age, lines, dry } = on.chart.client.features;
      if (age !== 'mature' && !lines.includes('under eye') && !dry) return [];
      return on.steps
        .filter((s) => s.role === 'powder' && (s.waitMinutes >= 2 || s.doseMgPerCm2 * s.passes > 0.8))
        .map((s) =>
          found([s], `${s.title} leaves powder to sit, which ages lined or dry skin.`, {
            label: 'A thin veil instead',
            apply: changed(s.id, (x) => ({ ...x, doseMgPerCm2: Math.min(0.3, x.doseMgPerCm2), passes: 1, waitMinutes: 0 })),
          }),
        );
    },
  },
  {
    id: 'set-too-late',
    name: 'Concealer is set late',
    severity: 'note',
    why: 'Under the eye it creases while it waits: it is set before anything else is done there.',
    find: (on) =>
      on.steps.flatMap((step, i) => {
        if (step.role !== 'conceal' || !on.products(step).some(isWet)) return [];
        const at = on.steps.findIndex((s, k) => k > i && s.role === 'powder' && on.products(s).some(isPowder));
        if (at < 0) return [found([step], `${step.title} is never set with powder.`)];
        const minutes = on.steps.slice(i + 1, at).reduce((sum, s) => sum + s.handsOnMinutes + s.waitMinutes, 0);
        return minutes > 25
          ? [
              found([step, on.steps[at]!], `${Math.round(minutes)} min go by before ${step.title.toLowerCase()} is set.`, {
                label: 'Set it sooner',
                apply: moved(on.steps[at]!.id, 'after', step.id),
              }),
            ]
          : [];
      }),
  },
  {
    id: 'rub-after-airbrush',
    name: 'Something rubs after the airbrush',
    severity: 'caution',
    why: 'Nothing rubs an airbrushed base: powder goes on with a loose brush, concealer is tapped in.',
    find: (on) => {
      const at = on.steps.findIndex((s) => s.tool === 'airbrush');
      if (at < 0) return [];
      return on.steps
        .slice(at + 1)
        .filter(
          (s) =>
            s.use.length > 0 &&
            !EYES_AND_LIPS.includes(s.role) &&
            (s.technique === 'buff' || s.technique === 'sweep') &&
            s.tool !== 'loose brush' &&
            s.tool !== 'fan brush',
        )
        .map((s) =>
          found([on.steps[at]!, s], `${s.title} would rub the airbrushed base.`, {
            label: 'Press it in',
            apply: changed(s.id, (x) => ({ ...x, technique: 'press' })),
          }),
        );
    },
  },
  {
    id: 'airbrush-passes',
    name: 'Passes of the airbrush',
    severity: 'note',
    why: 'Built like paint: three to six thin passes, more only on spots.',
    find: (on) =>
      on.steps
        .filter((s) => s.tool === 'airbrush' && s.role === 'base' && (s.passes < 3 || s.passes > 6))
        .map((s) =>
          found([s], `${s.title} has ${s.passes} ${s.passes === 1 ? 'pass' : 'passes'}; three to six thin ones build evenly.`, {
            label: 'Three thin passes',
            apply: changed(s.id, (x) => ({ ...x, passes: 3, doseMgPerCm2: (x.doseMgPerCm2 * x.passes) / 3 })),
          }),
        ),
  },
  {
    id: 'airbrush-contour-flow',
    name: 'Sprayed contour with the flow open',
    severity: 'note',
    why: 'Contour is sprayed in a deeper shade with the flow turned down: open, it spreads past the bone.',
    find: (on) =>
      on.steps
        .filter((s) => s.tool === 'airbrush' && s.role === 'contour' && s.flow !== undefined && s.flow !== 'turned down')
        .map((s) =>
          found([s], `${s.title} is sprayed ${s.flow}.`, {
            label: 'Turn the flow down',
            apply: changed(s.id, (x) => ({ ...x, flow: 'turned down', doseMgPerCm2: FLOW_DOSE['turned down'] })),
          }),
        ),
  },
  {
    id: 'eyes-after-airbrush',
    name: 'Eyes come after the airbrush',
    severity: 'caution',
    why: 'Eyes and brows come before an airbrushed base: nothing may touch it afterwards.',
    find: (on) => {
      const base = on.steps.find((s) => s.tool === 'airbrush' && s.role === 'base');
      if (!base) return [];
      const late = on.steps.slice(on.steps.indexOf(base) + 1).filter((s) => s.phase === 'eyes' || s.phase === 'brows');
      return late.length > 0 ? [found([base, ...late], `${late.length} steps at eyes or brows come after the airbrushed base.`)] : [];
    },
  },
];
