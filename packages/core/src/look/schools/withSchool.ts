import type { Tool } from '../../kit';
import { msg } from '../../messages';
import { amountAsked } from '../amountAsked';
import type { Chart, Step } from '../document';
import { hidesBeneath, setsSkin } from '../ofSkin';
import { inOrder } from '../phaseOrder';
import { SCHOOL_NAMES, type Answer, type School, type SchoolAnswers } from './questions';

type Changed = { readonly steps: readonly Step[]; readonly says: readonly string[] };

/**
 * A chart done the way of another school: its steps in that order, and what else changes, in sentences.
 * Answers the school allows only.
 */
export function withSchool<S extends School>(
  chart: Chart,
  school: S,
  answer: Answer<S>,
): { readonly chart: Chart; readonly says: readonly string[] } {
  if (chart.schools[school] === answer) return { chart, says: [] };
  const schools = { ...chart.schools, [school]: answer };
  const { steps, says } = CHANGES[school]({ ...chart, schools });
  return { chart: { ...chart, schools, steps: inOrder(steps, { schools }) }, says };
}

/**
 * A chart done the studio's way, question by question, where the studio has one; what that changes is said.
 */
export function inSchoolsOf(
  chart: Chart,
  studio: Partial<SchoolAnswers>,
): { readonly chart: Chart; readonly says: readonly string[] } {
  return SCHOOL_NAMES.reduce<{ readonly chart: Chart; readonly says: readonly string[] }>(
    (so, school) => {
      const answer = studio[school];
      if (answer === undefined) return so;
      const next = withSchool(so.chart, school, answer);
      return { chart: next.chart, says: [...so.says, ...next.says] };
    },
    { chart, says: [] },
  );
}

const titles = (steps: readonly Step[]): string => steps.map((s) => s.title).join(', ');

/**
 * What each school leaves out, eases or exchanges, before the order is made; the chart already names the new
 * school.
 */
const CHANGES: Readonly<Record<School, (chart: Chart) => Changed>> = {
  eyesOrFace: ({ schools, steps }) => ({
    steps,
    says: [
      schools.eyesOrFace === 'eyes first'
        ? msg`Fallout is cleaned before the base; brows and lids come before it.`
        : msg`Dark or loose shadow may fall on the base: shield it with powder.`,
    ],
  }),
  contour,
  contourTexture,
  concealer: ({ schools, steps }) => ({
    steps,
    says: [
      schools.concealer === 'under base'
        ? msg`The base covers part of it: count on more concealer.`
        : msg`Less concealer is needed once the base lies.`,
    ],
  }),
  applicator,
  powders,
  settledPowder,
  mist,
  contrast: ({ schools, steps }) => {
    const bold = schools.contrast === 'bold';
    const sculpted = (s: Step): boolean => s.role === 'contour' || s.role === 'highlight';
    return {
      steps: steps.map((s) => (sculpted(s) ? { ...s, shade: eased(s, bold ? 1 : -1) } : s)),
      says: [
        bold
          ? msg`Contour a step deeper, light a step lighter.`
          : msg`Contour a step lighter, light a step deeper.`,
      ],
    };
  },
};

function contour({ schools, steps }: Chart): Changed {
  const has = (role: Step['role']): boolean => steps.some((s) => s.role === role);
  if (schools.contour === 'none' || schools.contour === 'bronzer only') {
    const left = steps.filter((s) => s.role !== 'contour');
    if (left.length === steps.length || left.length === 0) return { steps, says: [] };
    const bronze =
      schools.contour === 'bronzer only' && !has('bronze')
        ? [msg`There is no bronze yet: add a layer of it.`]
        : [];
    return {
      steps: left,
      says: [msg`${titles(steps.filter((s) => s.role === 'contour'))} taken out.`, ...bronze],
    };
  }
  if (schools.contour !== 'under base') return { steps, says: [] };
  const [full] = steps.filter(hidesBeneath);
  return {
    steps,
    says: [
      ...(full ? [msg`${full.title} covers what is painted beneath: choose a sheer or light one.`] : []),
      ...(has('contour') ? [] : [msg`There is no contour yet: add a layer of it.`]),
    ],
  };
}

const POWDERS = ['pressed', 'loose'] as const;
const CREAMS = ['cream', 'stick', 'liquid'] as const;

/** Cream is laid while the skin is being built and powdered after; powder alone goes on when all is set. */
function contourTexture({ schools, steps }: Chart): Changed {
  const dry = schools.contourTexture === 'powder only';
  const textures = dry ? POWDERS : CREAMS;
  const misfits = (s: Step): boolean => s.use.some((u) => !textures.some((t) => t === u.product.texture));
  const sculpted = steps.filter((s) => s.role === 'contour');
  const emptied = sculpted.filter(misfits);
  return {
    steps: steps.map((s) =>
      s.role === 'contour'
        ? {
            ...s,
            phase: dry ? 'powder' : 'sculpt',
            wants: { ...s.wants, textures: [...textures] },
            use: misfits(s) ? [] : s.use,
          }
        : s,
    ),
    says: [
      ...(emptied.length > 0
        ? [msg`${titles(emptied)}: choose a ${dry ? msg`powder` : msg`cream`}, what was there is not one.`]
        : []),
      ...(sculpted.length > 0 && !dry ? [msg`Powder goes over it, to hold it.`] : []),
    ],
  };
}

/** The tool changes how much product reaches the skin: amounts follow. */
function applicator({ schools, steps, client }: Chart): Changed {
  const sponge = schools.applicator === 'damp sponge';
  const toolFor = (s: Step): Tool =>
    sponge ? 'damp sponge' : s.role === 'conceal' ? 'small brush' : 'dense brush';
  const exchanged = steps.filter(
    (s) => (s.role === 'base' || s.role === 'conceal') && s.tool !== 'airbrush' && s.tool !== toolFor(s),
  );
  return {
    steps: steps.map((s) => {
      if (!exchanged.includes(s)) return s;
      const tool = toolFor(s);
      const next: Step = {
        ...s,
        tool,
        technique: sponge ? 'press' : s.role === 'base' ? 'buff' : s.technique,
      };
      return { ...next, use: [...(amountAsked(next, client)?.use ?? s.use)] };
    }),
    says:
      exchanged.length === 0
        ? []
        : [
            sponge
              ? msg`${titles(exchanged)}: skin-like, and the sponge takes some product away, so a little more is planned.`
              : msg`${titles(exchanged)}: more coverage and brightness from a brush, so a little less is planned.`,
          ],
  };
}

const textureOf = (s: Step): 'loose' | 'pressed' | null => {
  const textures = s.use.length > 0 ? s.use.map((u) => u.product.texture) : (s.wants.textures ?? []);
  return textures.includes('loose') ? 'loose' : textures.includes('pressed') ? 'pressed' : null;
};

/** Powders change places with each other; everything between them stays. */
function powders({ schools, steps }: Chart): Changed {
  const first = schools.powders === 'loose, then pressed' ? 'loose' : 'pressed';
  const powdery = steps.filter((s) => setsSkin(s) && textureOf(s) !== null);
  const sorted = [
    ...powdery.filter((s) => textureOf(s) === first),
    ...powdery.filter((s) => textureOf(s) !== first),
  ];
  if (new Set(powdery.map(textureOf)).size < 2)
    return { steps, says: [msg`There is one kind of powder only: nothing changes yet.`] };
  // Each takes the phase of the place it comes to, so that the order by phases keeps it there.
  const placed = new Map(powdery.map((s, i) => [s.id, { ...sorted[i]!, phase: s.phase }]));
  return {
    steps: steps.map((s) => placed.get(s.id) ?? s),
    says: [msg`${sorted[0]!.title} comes before ${sorted.at(-1)!.title.toLowerCase()}.`],
  };
}

/** A powder left this long has settled thick, minutes. */
const SETTLING = 3;

function settledPowder({ schools, steps }: Chart): Changed {
  const under = (s: Step): boolean =>
    s.placements.some((p) => 'guide' in p && /underEye|comma/i.test(p.guide));
  if (schools.settledPowder === 'never') {
    const thick = steps.filter((s) => s.role === 'powder' && s.waitMinutes >= SETTLING);
    return {
      steps: steps.map((s) =>
        thick.includes(s) ? { ...s, waitMinutes: 0, doseMgPerCm2: s.doseMgPerCm2 / 2 } : s,
      ),
      says: thick.length > 0 ? [msg`${titles(thick)}: pressed on thinly instead of left to settle.`] : [],
    };
  }
  const thin = steps.filter((s) => s.role === 'powder' && under(s) && s.waitMinutes < SETTLING);
  return {
    steps: steps.map((s) =>
      thin.includes(s) ? { ...s, waitMinutes: SETTLING, doseMgPerCm2: s.doseMgPerCm2 * 2 } : s,
    ),
    says:
      thin.length > 0
        ? [
            msg`${titles(thin)}: twice as thick, left ${SETTLING} minutes and swept off. Not on lined or dry skin.`,
          ]
        : [msg`No powder lies under the eye yet.`],
  };
}

function mist({ schools, steps }: Chart): Changed {
  const early = schools.mist === 'spray, then powder';
  const sprays = steps.filter((s) => s.wants.kinds.includes('spray'));
  const others = steps.filter((s) => !sprays.includes(s));
  if (sprays.length === 0) return { steps, says: [msg`There is no spray yet: add one.`] };
  // Within a phase the given order holds: before the first powder, or after everything.
  const moved = sprays.map((s): Step => ({ ...s, phase: early ? 'set' : 'finish' }));
  const at = early ? others.findIndex((s) => s.phase === 'set' || setsSkin(s)) : others.length;
  const cut = at < 0 ? others.length : at;
  return {
    steps: [...others.slice(0, cut), ...moved, ...others.slice(cut)],
    says: [
      early
        ? msg`Let the spray dry before powder comes on it, or it turns patchy.`
        : msg`The spray melts the powders together; nothing is laid over it.`,
    ],
  };
}

/** A sculpting shade a step further from the skin or nearer to it. */
function eased(step: Step, by: 1 | -1): Step['shade'] {
  if (!step.shade || !('relative' in step.shade)) return step.shade;
  const { depthSteps } = step.shade.relative;
  const sign = Math.sign(depthSteps) || (step.role === 'contour' ? 1 : -1);
  return {
    relative: { ...step.shade.relative, depthSteps: Math.max(-6, Math.min(6, depthSteps + sign * by)) },
  };
}
