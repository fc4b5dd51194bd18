import { familiesAgree, isPowder, isWet, type Family } from '../../kit';
import { FLOW_DOSE, SCULPTED, setsSkin, withoutStep, type Chart, type Step } from '../../look';
import { isDryAt, sidesWhere, SIDES } from '../../face';
import { listed } from '../../listed';
import { messagesIn, msg, plural, term } from '../../messages';
import { isUnderEye } from '../../shade';
import { deepest, NO_COVER, shared, united, type Cover } from '../cover';
import {
  changed,
  found,
  groupOf,
  guideCover,
  moved,
  nameOf,
  shareOn,
  type Fix,
  type Reviewed,
  type Rule,
} from '../rule';

const onFace = (step: Step): boolean => groupOf(step) === 'face';
const laid = (step: Step): boolean => step.use.length > 0;

/** A layer is met by the next when this share of what it lies under meets it, and nothing laid between. */
const MEETS = 0.12;

/**
 * The layers a step meets, nearest first: what is laid on the skin under it and is not covered there by
 * another; primers count, cleaning does not.
 */
function metBy(on: Reviewed, step: Step): Step[] {
  const own = on.cover(step);
  const met: Step[] = [];
  let between: Cover = NO_COVER;
  for (const s of on.steps.slice(0, on.steps.indexOf(step)).reverse()) {
    if (!laid(s) || s.phase === 'clean' || !onFace(s)) continue;
    const withIt = united([between, on.cover(s)]);
    if (shared(own, withIt) - shared(own, between) > MEETS * own.count) met.push(s);
    between = withIt;
  }
  return met;
}

/** A place is set by a powder over this share of it. */
const SETS_FROM = 0.25;

/** Minutes a step has to settle before another: its wait, and what is done meanwhile. */
const minutesBetween = (on: Reviewed, step: Step, then: Step): number =>
  on.steps
    .slice(on.steps.indexOf(step) + 1, on.steps.indexOf(then))
    .reduce((sum, s) => sum + s.handsOnMinutes + s.waitMinutes, step.waitMinutes);

/** Layers a place affords before they crack. */
const AFFORDS = { underEye: 3, elsewhere: 7 } as const;
/** A layer lies under the eye when it covers this share of the place there. */
const COVERS_THERE = 0.25;
/** Thin passes of an airbrush that make one layer. */
const THIN_PASSES = 6;
/**
 * Minutes a step wants to dry before the next: a moisturiser 3, a primer 2, a spray 1. What cleans, and a
 * balm for lips alone, comes off again.
 */
function driesIn(on: Reviewed, step: Step): number {
  const kinds = on.products(step).map((p) => p.kind);
  const cares =
    step.phase !== 'clean' &&
    kinds.includes('prep') &&
    !(step.placements.length > 0 && step.placements.every((p) => 'guide' in p && p.guide === 'lips'));
  return cares ? 3 : kinds.includes('primer') ? 2 : kinds.includes('spray') ? 1 : 0;
}
/** How many layers a step lays: its passes, an airbrush's thin ones taken together. */
const layersOf = (step: Step): number =>
  step.tool === 'airbrush' ? Math.ceil(step.passes / THIN_PASSES) : step.passes;

/** A layer of another family settles in so many minutes. */
const SETTLES_MINUTES = 2;

/** Families that part even after a wait: oil does not dry under water or silicone. */
const neverSettles = (under: Family, top: Family): boolean =>
  under === 'oil' && (top === 'water' || top === 'silicone');

export const LAYER_RULES: readonly Rule[] = messagesIn(
  ['name', 'why'],
  [
    {
      id: 'family-conflict',
      name: 'Families that disagree lie on each other',
      severity: 'caution',
      why: 'Under the base families must agree: silicone over water slides and pills until it has settled, oil under either whatever the wait. A wait helps the one, only another product the other.',
      find: (on) =>
        on.steps.flatMap((step) => {
          if (!laid(step) || !['prime', 'correct', 'base'].includes(step.phase) || !onFace(step)) return [];
          const below = metBy(on, step);
          const clashes = below.flatMap((layer) =>
            on.products(step).flatMap((top) =>
              on.products(layer).flatMap((under) => {
                if (familiesAgree(top.family, under.family)) return [];
                const never = neverSettles(under.family, top.family);
                return never || minutesBetween(on, layer, step) < SETTLES_MINUTES
                  ? [{ top, under, never, layer }]
                  : [];
              }),
            ),
          );
          const clash = clashes.find(({ never }) => never) ?? clashes[0];
          if (!clash) return [];
          const { never, layer } = clash;
          const message = msg`${nameOf(clash.top)} (${term(clash.top.family)}) goes on ${nameOf(clash.under)} (${term(clash.under.family)}): it ${never ? msg`slides and pills, also after a wait` : msg`may slide or pill`}.`;
          const agrees = () =>
            on.another(step, ({ use }) =>
              use.every((u) =>
                below.every((other) =>
                  on.products(other).every((p) => familiesAgree(u.product.family, p.family)),
                ),
              ),
            );
          return [
            found(
              [layer, step],
              message,
              never
                ? agrees()
                : {
                    label: msg`Let it settle 2 minutes`,
                    apply: changed(layer.id, (s) => ({ ...s, waitMinutes: SETTLES_MINUTES })),
                  },
            ),
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
          if (step.role === 'care' || !onFace(step) || !on.products(step).some(isWet)) return [];
          const powder = on.below(step).find((s) => on.products(s).some(isPowder));
          if (!powder) return [];
          return [
            found(
              [powder, step],
              msg`${step.title} is cream and goes over the powder of ${powder.title.toLowerCase()}.`,
              {
                label: msg`Do it before the powder`,
                apply: (chart) => ({
                  ...moved(step.id, 'before', powder.id)(chart),
                  steps: moved(
                    step.id,
                    'before',
                    powder.id,
                  )(chart).steps.map((s) => (s.id === step.id ? { ...s, phase: powder.phase } : s)),
                }),
              },
            ),
          ];
        }),
    },
    {
      id: 'powder-before-set',
      name: 'Colour in powder lies under the powder that sets',
      severity: 'caution',
      why: 'Powder grabs where skin is not set, and what sets it afterwards is pressed into the colour. Cream before setting, powder after.',
      find: (on) =>
        on.steps.flatMap((step, i) => {
          const powder = SCULPTED.includes(step.role) && laid(step) && on.products(step).every(isPowder);
          if (!powder) return [];
          const setsIt = (s: Step): boolean => setsSkin(s) && laid(s) && shareOn(on, step, s) >= SETS_FROM;
          const onMoist = metBy(on, step).some((s) => s.role !== 'care' && on.products(s).some(isWet));
          const set = on.steps.slice(i + 1).find(setsIt);
          if (!set || !onMoist || on.steps.slice(0, i).some(setsIt)) return [];
          return [
            found([step, set], msg`${step.title} is powder and goes on before ${set.title.toLowerCase()}.`, {
              label: msg`Do it after that`,
              apply: moved(step.id, 'after', set.id),
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
          const wants = driesIn(on, step);
          if (wants === 0 || step.waitMinutes >= wants) return [];
          const rest = on.steps.slice(i + 1);
          const at = rest.findIndex(
            (s) =>
              (step.placements.length === 0
                ? onFace(s) && s.phase !== 'clean'
                : shareOn(on, s, step) > 0.05 && onFace(s)) || s.phase === 'finish',
          );
          const next = rest[at];
          if (!next) return [];
          // What is done elsewhere meanwhile is a wait too.
          if (minutesBetween(on, step, next) >= wants) return [];
          return [
            found(
              [step, next],
              msg`${step.title} gets ${step.waitMinutes} min to dry before ${next.title.toLowerCase()}; it wants ${wants}.`,
              {
                label: msg`Wait ${wants} min`,
                apply: changed(step.id, (s) => ({ ...s, waitMinutes: wants })),
              },
            ),
          ];
        }),
    },
    {
      id: 'too-many-layers-under-eye',
      name: 'Too many layers under the eye',
      severity: 'caution',
      why: 'The under-eye affords three layers, passes counted; more of them crack and crease.',
      find: (on) => {
        const counted = SIDES.map((side) => {
          const place = guideCover(on, 'zone.underEye', side);
          const layers = on.steps.filter(
            (s) =>
              s.role !== 'care' &&
              laid(s) &&
              onFace(s) &&
              shared(on.cover(s), place) >= COVERS_THERE * place.count,
          );
          return { side, layers, count: layers.reduce((sum, s) => sum + layersOf(s), 0) };
        });
        const worst = counted.reduce((a, b) => (b.count > a.count ? b : a));
        if (worst.count <= AFFORDS.underEye) return [];
        const both = counted.every(({ count }) => count === worst.count);
        return [
          found(
            worst.layers,
            msg`${worst.count} layers lie under ${both ? msg`the eye` : msg`the client’s ${term(worst.side)} eye`}; it affords ${AFFORDS.underEye}. Stir two together, or leave one out there.`,
            fewerUnderEye(worst.layers),
          ),
        ];
      },
    },
    {
      id: 'too-many-layers',
      name: 'Too many layers on one place',
      severity: 'note',
      why: 'Thin layers last; stacked layers crack and look heavy. Passes count.',
      find: (on) => {
        const layers = on.steps.filter(
          (s) => onFace(s) && s.role !== 'care' && laid(s) && on.cover(s).count > 0,
        );
        if (layers.reduce((sum, s) => sum + layersOf(s), 0) <= AFFORDS.elsewhere) return [];
        const { total: worst, there: at } = deepest(
          layers.map((s) => ({ cover: on.cover(s), weight: layersOf(s) })),
        );
        if (worst <= AFFORDS.elsewhere) return [];
        const there = at.map((i) => layers[i]!);
        const most = there.reduce((a, b) => (layersOf(b) > layersOf(a) ? b : a));
        return [
          found(
            there,
            msg`${worst} layers meet at ${there.at(-1)!.title.toLowerCase()}; a place affords ${AFFORDS.elsewhere}.`,
            layersOf(most) > 1
              ? {
                  label: msg`${most.title} in one pass`,
                  apply: changed(most.id, (s) => ({ ...s, passes: 1 })),
                }
              : undefined,
          ),
        ];
      },
    },
    {
      id: 'heavy-base',
      name: 'The base is laid thick',
      severity: 'caution',
      why: 'Start with little and build where it is needed: over about 1.5 mg/cm² a base looks like a mask and cracks.',
      find: (on) => {
        const bases = on.steps.filter((s) => s.role === 'base');
        const alone = bases.filter((s) => doseOf(s) > MOST_BASE);
        if (alone.length > 0)
          return alone.map((s) =>
            found([s], msg`${s.title} lays ${doseOf(s).toFixed(1)} mg/cm² over the face.`, {
              label: msg`Halve it`,
              apply: changed(s.id, (x) => laying(x, Math.min(MOST_BASE / 2, doseOf(x) / 2))),
            }),
          );
        const { total, there } = deepest(bases.map((s) => ({ cover: on.cover(s), weight: doseOf(s) })));
        const stacked = there.map((i) => bases[i]!);
        // What is not more than a rounding over is no mask.
        if (total <= MOST_BASE + 1e-9) return [];
        return [
          found(
            stacked,
            msg`${listed(stacked.map((s) => s.title))} lay ${total.toFixed(1)} mg/cm² on one another.`,
            {
              label: msg`Thinner, each of them`,
              apply: (chart) => ({
                ...chart,
                steps: chart.steps.map((x) =>
                  stacked.some((s) => s.id === x.id) ? laying(x, (doseOf(x) * MOST_BASE) / (2 * total)) : x,
                ),
              }),
            },
          ),
        ];
      },
    },
    {
      id: 'thick-powder-on-lines',
      name: 'Powder left to sit on lined or dry skin',
      severity: 'caution',
      why: 'Settled powder brightens young oily skin; on lines and dry skin it ages. Each side for itself.',
      find: (on) => {
        const { features } = on.chart.client;
        return on.steps
          .filter((s) => s.role === 'powder' && (s.waitMinutes >= 2 || s.doseMgPerCm2 * s.passes > 0.8))
          .flatMap((s) => {
            const isDry = isDryAt(features, 'under the eyes');
            const lined = sidesWhere(features, ({ lines }) => isDry || lines.includes('under eye')).filter(
              (side) => shared(on.cover(s), guideCover(on, 'zone.underEye', side)) > 0,
            );
            const all = features.age === 'mature' || features.dry;
            if (!all && lined.length === 0) return [];
            const where = all || lined.length === 2 ? '' : msg` under the client’s ${term(lined[0]!)} eye`;
            return [
              found([s], msg`${s.title} leaves powder to sit${where}, which ages lined or dry skin.`, {
                label: msg`A thin veil instead`,
                apply: changed(s.id, (x) => ({
                  ...x,
                  doseMgPerCm2: Math.min(0.3, x.doseMgPerCm2),
                  passes: 1,
                  waitMinutes: 0,
                })),
              }),
            ];
          });
      },
    },
    {
      id: 'set-too-late',
      name: 'Concealer is set late',
      severity: 'note',
      why: 'Under the eye it creases while it waits: it is set, thinly, before anything else is done there.',
      find: (on) =>
        on.steps.flatMap((step, i) => {
          if (step.role !== 'conceal' || !isUnderEye(step) || !on.products(step).some(isWet)) return [];
          const at = on.steps.findIndex(
            (s, k) => k > i && setsSkin(s) && (s.use.length === 0 || on.products(s).some(isPowder)),
          );
          const last = on.steps.filter((s) => s.phase === 'set' || setsSkin(s)).at(-1);
          if (at < 0)
            return [
              found([step], msg`${step.title} is never set with powder.`, settingPowder(on, step, last)),
            ];
          const minutes = on.steps
            .slice(i + 1, at)
            .reduce((sum, s) => sum + s.handsOnMinutes + s.waitMinutes, 0);
          return minutes > 25
            ? [
                found(
                  [step, on.steps[at]!],
                  msg`${Math.round(minutes)} min go by before ${step.title.toLowerCase()} is set.`,
                  {
                    label: msg`Set it sooner`,
                    apply: moved(on.steps[at]!.id, 'after', step.id),
                    others: (chart) =>
                      on.steps
                        .slice(i + 1, at)
                        .map((s) => ({ chart: moved(on.steps[at]!.id, 'after', s.id)(chart) })),
                  },
                ),
              ]
            : [];
        }),
    },
    {
      id: 'rub-after-airbrush',
      name: 'Something rubs the airbrush',
      severity: 'caution',
      why: 'Nothing rubs an airbrushed base where it lies: powder goes on with a loose brush, concealer is tapped in.',
      find: (on) => {
        const sprayed = on.steps.filter((s) => s.tool === 'airbrush' && onFace(s));
        return on.steps.flatMap((s, i) => {
          const under = sprayed.find((a) => on.steps.indexOf(a) < i && shareOn(on, s, a) > 0.15);
          const rubs =
            (s.technique === 'buff' || s.technique === 'sweep') &&
            s.tool !== 'loose brush' &&
            s.tool !== 'fan brush' &&
            s.tool !== 'airbrush';
          if (!under || !rubs || !laid(s) || !onFace(s)) return [];
          return [
            found([under, s], msg`${s.title} would rub the airbrushed base.`, {
              label: msg`Press it in`,
              apply: changed(s.id, (x) => ({ ...x, technique: 'press' })),
            }),
          ];
        });
      },
    },
    {
      id: 'airbrush-passes',
      name: 'Passes of the airbrush',
      severity: 'note',
      why: 'Built like paint: three to six thin passes, one side, the other, the centre, down the neck; more only on spots.',
      find: (on) =>
        on.steps
          .filter((s) => s.tool === 'airbrush' && s.role === 'base' && (s.passes < 3 || s.passes > 6))
          .map((s) =>
            found(
              [s],
              msg`${s.title} has ${plural(s.passes)`${s.passes} pass|${s.passes} passes`}; three to six thin ones build evenly.`,
              {
                label: msg`Three thin passes`,
                apply: changed(s.id, (x) => ({
                  ...x,
                  passes: 3,
                  doseMgPerCm2: (x.doseMgPerCm2 * x.passes) / 3,
                })),
              },
            ),
          ),
    },
    {
      id: 'airbrush-contour-flow',
      name: 'Sprayed contour with the flow open',
      severity: 'note',
      why: 'Contour is sprayed in a deeper shade with the flow turned down: open, it spreads past the bone.',
      find: (on) =>
        on.steps
          .filter(
            (s) =>
              s.tool === 'airbrush' &&
              s.role === 'contour' &&
              s.flow !== undefined &&
              s.flow !== 'turned down',
          )
          .map((s) =>
            found([s], msg`${s.title} is sprayed ${term(s.flow ?? '')}.`, {
              label: msg`Turn the flow down`,
              apply: changed(s.id, (x) => ({
                ...x,
                flow: 'turned down',
                passes: passesFor(x.doseMgPerCm2 * x.passes),
                doseMgPerCm2: FLOW_DOSE['turned down'],
              })),
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
        const late = on.steps
          .slice(on.steps.indexOf(base) + 1)
          .filter((s) => s.phase === 'eyes' || s.phase === 'brows');
        return late.length > 0
          ? [
              found(
                [base, ...late],
                plural(
                  late.length,
                )`A step at eyes or brows comes after the airbrushed base.|${late.length} steps at eyes or brows come after the airbrushed base.`,
                {
                  label: msg`Eyes first`,
                  apply: (chart) =>
                    late.reduce<Chart>((next, s) => moved(s.id, 'before', base.id)(next), {
                      ...chart,
                      schools: { ...chart.schools, eyesOrFace: 'eyes first' },
                    }),
                },
              ),
            ]
          : [];
      },
    },
  ],
);

/** Over so much base, mg/cm2, a face looks like a mask. */
const MOST_BASE = 1.5;
const doseOf = ({ doseMgPerCm2, passes }: Pick<Step, 'doseMgPerCm2' | 'passes'>): number =>
  doseMgPerCm2 * passes;
/** A step that lays so much in all: in one pass, but an airbrush in its own. */
const laying = (step: Step, mgPerCm2: number): Step =>
  step.tool === 'airbrush'
    ? { ...step, doseMgPerCm2: mgPerCm2 / step.passes }
    : { ...step, passes: 1, doseMgPerCm2: mgPerCm2 };

/** Passes with the flow turned down that leave an amount, as many as a step can hold at most. */
const passesFor = (mgPerCm2: number): number =>
  Math.min(12, Math.max(1, Math.ceil(mgPerCm2 / FLOW_DOSE['turned down'])));

/**
 * Layers enough fewer under the eye: steps of many passes go on in one, then the last powder that also lies
 * elsewhere is left out there, then a corrector; undefined where all that is not enough.
 */
function fewerUnderEye(layers: readonly Step[]): Fix | undefined {
  const powder = [...layers]
    .reverse()
    .find(
      (s) =>
        s.role === 'powder' &&
        s.placements.length > 1 &&
        s.placements.some((p) => 'guide' in p && p.guide === 'zone.underEye'),
    );
  const corrector = layers.find((s) => s.role === 'correct');
  const ways = [
    ...layers
      .filter((s) => layersOf(s) > 1 && s.tool !== 'airbrush')
      .map((s) => ({
        saves: layersOf(s) - 1,
        label: msg`${s.title} in one pass`,
        apply: changed(s.id, (x) => ({ ...x, passes: 1 })),
      })),
    ...(powder
      ? [
          {
            saves: 1,
            label: msg`Leave ${powder.title.toLowerCase()} out there`,
            apply: changed(powder.id, (s) => ({
              ...s,
              placements: s.placements.filter((p) => !('guide' in p) || p.guide !== 'zone.underEye'),
            })),
          },
        ]
      : []),
    ...(corrector
      ? [
          {
            saves: 1,
            label: msg`Leave ${corrector.title.toLowerCase()} out`,
            apply: (chart: Chart): Chart => withoutStep(chart, corrector.id),
          },
        ]
      : []),
  ];
  const tooMany = layers.reduce((sum, s) => sum + layersOf(s), 0) - AFFORDS.underEye;
  const taken = enoughOf(ways, tooMany);
  return taken
    ? {
        label: taken.map(({ label }) => label).join('; '),
        apply: (chart) => taken.reduce((next, { apply }) => apply(next), chart),
      }
    : undefined;
}

/** The first ways that together save so many layers; null where all of them do not. */
function enoughOf<T extends { readonly saves: number }>(
  ways: readonly T[],
  layers: number,
): readonly T[] | null {
  let saved = 0;
  const taken: T[] = [];
  for (const way of ways) {
    if (saved >= layers) break;
    taken.push(way);
    saved += way.saves;
  }
  return saved >= layers ? taken : null;
}

/** The powder that is there already, laid over the concealer too: undefined where the chart has none. */
function settingPowder(on: Reviewed, step: Step, last: Step | undefined): Fix | undefined {
  if (!last || on.steps.indexOf(last) > on.steps.indexOf(step)) return undefined;
  return { label: msg`Set after it`, apply: moved(last.id, 'after', step.id) };
}
