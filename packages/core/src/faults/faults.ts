import { depthOf, lightnessAtDepth } from '../colour';
import type { Placement } from '../face';
import type { Shade, Step } from '../look/document';
import { propertiesOf, type ProductSnapshot } from '../kit';
import { messagesIn, msg } from '../messages';
import { flashGradeOf } from '../shade';

/** A likely cause of something seen, what to do at once and what to change for the next time. */
export type Cause = {
  readonly id: string;
  readonly words: string;
  /** Rules of the review that speak when this cause is in the chart. */
  readonly rules: readonly string[];
  /** Steps it sits in, when no rule points at one. */
  readonly roles: readonly Step['role'][];
  readonly now: string;
  readonly next: string;
  /** The step as it should be next time. */
  readonly remedy: (step: Step) => Step;
  /** What another product has to be, where the remedy takes out the one there was. */
  readonly another?: Another;
};
export type Another = {
  /** Which way its colour goes; 'nearer' is to what the step asks for. */
  readonly colour?: 'deeper' | 'warmer' | 'cooler' | 'nearer';
  readonly suits?: (next: ProductSnapshot, was: readonly ProductSnapshot[]) => boolean;
};

/** Something that is seen on the skin. */
export type Fault = { readonly id: string; readonly seen: string; readonly causes: readonly Cause[] };

const less =
  (share: number) =>
  (step: Step): Step => ({
    ...step,
    doseMgPerCm2: step.doseMgPerCm2 * share,
    use: step.use.map((u) => ({ ...u, parts: Math.max(0.25, Math.round(u.parts * share * 4) / 4) })),
  });
const LONGEST_WAIT_MINUTES = 60;
const waitLonger =
  (minutes: number) =>
  (step: Step): Step => ({
    ...step,
    waitMinutes: Math.min(LONGEST_WAIT_MINUTES, step.waitMinutes + minutes),
  });
const onePass = (step: Step): Step => ({ ...less(0.7)(step), passes: 1 });
const tool =
  (name: Step['tool'], technique: Step['technique']) =>
  (step: Step): Step => ({ ...step, tool: name, technique });
const noted =
  (words: () => string) =>
  (step: Step): Step => ({
    ...step,
    note: step.note.includes(words()) ? step.note : [step.note, words()].filter(Boolean).join(' '),
  });
/**
 * Another shade is asked for, so many steps deeper; what product has it is found when the chart is fitted.
 */
const shadeBy =
  (depthSteps: number) =>
  (step: Step): Step => ({ ...step, shade: deeper(step.shade, depthSteps), use: [] });
function deeper(shade: Shade, bySteps: number): Shade {
  if (!shade) return shade;
  if ('relative' in shade)
    return {
      relative: {
        ...shade.relative,
        depthSteps: Math.max(-6, Math.min(6, shade.relative.depthSteps + bySteps)),
      },
    };
  const [lightness, a, b] = shade.lab;
  return { lab: [lightnessAtDepth(depthOf([lightness, a, b]) + bySteps), a, b] };
}
/** What is to look like skin by half a step: a whole one is a mask. */
const oneDeeper = (step: Step): Step =>
  shadeBy(step.role === 'base' || step.role === 'powder' ? 0.5 : 1)(step);
const onGuide = (step: Step): Step => ({
  ...step,
  placements: step.placements.map((p) => ('guide' in p ? { guide: p.guide, side: p.side } : p)),
});
/** One side is the pattern of both: the left where there are two, whichever there is where there is one. */
const bothSides = (step: Step): Step => {
  const named = (p: Placement): string => ('guide' in p ? p.guide : 'drawn');
  const patterns = new Set(step.placements.filter((p) => p.side !== 'right').map(named));
  return {
    ...step,
    placements: step.placements
      .filter((p) => p.side !== 'right' || !patterns.has(named(p)))
      .map((p) => ({ ...p, side: 'both' as const })),
  };
};
const otherProduct = (step: Step): Step => ({ ...step, use: [] });

const BASES: readonly Step['role'][] = ['base', 'conceal', 'powder'];

/** What is seen, its causes most likely first, cures for now and for the next time. */
export const FAULTS: readonly Fault[] = messagesIn(
  ['seen', 'words', 'now', 'next'],
  [
    {
      id: 'cakey',
      seen: 'cakey, heavy',
      causes: [
        {
          id: 'layers',
          words: 'too many layers',
          rules: ['too-many-layers', 'too-many-layers-under-eye', 'heavy-base'],
          roles: BASES,
          now: 'Press with a damp sponge, then mist.',
          next: 'one thin layer less',
          remedy: onePass,
        },
        {
          id: 'powder-then-cream',
          words: 'cream over powder',
          rules: ['cream-over-powder'],
          roles: ['blush', 'contour', 'highlight'],
          now: 'Lift it with a damp sponge and lay base again there.',
          next: 'cream before powder',
          remedy: noted(() => msg`Before any powder.`),
        },
        {
          id: 'powder',
          words: 'too much powder',
          rules: ['thick-powder-on-lines', 'matte-on-dry'],
          roles: ['powder'],
          now: 'Press with a damp sponge, then mist.',
          next: 'half the powder',
          remedy: less(0.5),
        },
      ],
    },
    {
      id: 'creases',
      seen: 'creases under the eye',
      causes: [
        {
          id: 'too-much',
          words: 'too much product there',
          rules: ['too-many-layers-under-eye'],
          roles: ['conceal'],
          now: 'Tap it out with a finger, press a thin powder.',
          next: 'less, at the inner corner only',
          remedy: less(0.5),
        },
        {
          id: 'late',
          words: 'set too late',
          rules: ['set-too-late'],
          roles: ['conceal'],
          now: 'Tap it out with a finger, press a thin powder.',
          next: 'set before anything else is done there',
          remedy: noted(() => msg`Set at once.`),
        },
        {
          id: 'too-light',
          words: 'too light for the skin',
          rules: ['grey-cast'],
          roles: ['conceal'],
          now: 'Tap it out; a warm veil over it.',
          next: 'a step deeper',
          remedy: oneDeeper,
          another: { colour: 'deeper' },
        },
      ],
    },
    {
      id: 'slides',
      seen: 'slides or pills',
      causes: [
        {
          id: 'families',
          words: 'families disagree',
          rules: ['family-conflict'],
          roles: ['base'],
          now: 'Lift it, prepare the spot again.',
          next: 'another primer or base of the same family',
          remedy: otherProduct,
        },
        {
          id: 'wet',
          words: 'the layer before was still wet',
          rules: ['wet-on-wet'],
          roles: ['care'],
          now: 'Lift it, prepare the spot again, wait.',
          next: 'wait two minutes longer',
          remedy: waitLonger(2),
        },
        {
          id: 'residue',
          words: 'skin care left on top',
          rules: ['clean-first'],
          roles: ['care'],
          now: 'Blot, then press base on again.',
          next: 'blot the skin care before priming',
          remedy: noted(() => msg`Blot what has not sunk in.`),
        },
      ],
    },
    {
      id: 'lifts',
      seen: 'lifts off on the sponge',
      causes: [
        {
          id: 'pressing',
          words: 'pressing too hard',
          rules: [],
          roles: ['base'],
          now: 'A damp sponge and a lighter hand.',
          next: 'stipple lightly',
          remedy: tool('damp sponge', 'stipple'),
        },
        {
          id: 'dry-sponge',
          words: 'a dry sponge or brush pulls it off',
          rules: [],
          roles: ['base'],
          now: 'Damp and wring the sponge, press again.',
          next: 'damp the sponge, wring it well',
          remedy: (step) => noted(() => msg`Sponge damp, wrung well.`)(tool('damp sponge', 'press')(step)),
        },
        {
          id: 'too-light',
          words: 'a shade too light sits on top',
          rules: [],
          roles: ['base'],
          now: 'Take off what sits on top, tap in the nearer shade.',
          next: 'a shade nearer to the skin',
          remedy: otherProduct,
          another: { colour: 'nearer' },
        },
        {
          id: 'beneath',
          words: 'something beneath lets go',
          rules: ['family-conflict', 'wet-on-wet'],
          roles: ['care'],
          now: 'Lift it, prepare the spot again.',
          next: 'wait two minutes longer beneath',
          remedy: waitLonger(2),
        },
        {
          id: 'rubbed',
          words: 'rubbed after it was sprayed or misted',
          rules: ['rub-after-airbrush'],
          roles: ['base'],
          now: 'Let it dry, mend the spot with a finger, tapping.',
          next: 'tap and press over it, never rub',
          remedy: noted(() => msg`Nothing rubs over it.`),
        },
      ],
    },
    {
      id: 'patchy',
      seen: 'patchy powder or shadow',
      causes: [
        {
          id: 'damp',
          words: 'powder on damp cream',
          rules: ['wet-on-wet', 'not-set-on-oily', 'powder-before-set'],
          roles: ['powder', 'eye', 'blush', 'contour', 'bronze'],
          now: 'Blend, add a little base, set thinly.',
          next: 'set thinly first',
          remedy: noted(() => msg`Set thinly first.`),
        },
        {
          id: 'swirling',
          words: 'swirling instead of pressing',
          rules: [],
          roles: ['powder', 'eye', 'blush', 'contour', 'bronze'],
          now: 'Blend, then press.',
          next: 'press, do not sweep',
          remedy: (step) => ({ ...step, technique: 'press' }),
        },
      ],
    },
    {
      id: 'grey',
      seen: 'grey or ashy',
      causes: [
        {
          id: 'too-light',
          words: 'too light for the depth',
          rules: ['grey-cast', 'ashy-powder', 'chalky-blush'],
          roles: ['conceal', 'powder', 'base'],
          now: 'A warm veil, or a deeper powder over it.',
          next: 'a step deeper',
          remedy: oneDeeper,
          another: { colour: 'deeper' },
        },
        {
          id: 'too-cool',
          words: 'too cool for the depth',
          rules: ['cool-contour-on-deep', 'base-off-skin'],
          roles: ['contour', 'base'],
          now: 'A warm veil over it.',
          next: 'a warmer shade',
          remedy: otherProduct,
          another: { colour: 'warmer' },
        },
      ],
    },
    {
      id: 'orange',
      seen: 'orange',
      causes: [
        {
          id: 'too-warm',
          words: 'too warm for the skin',
          rules: ['orange-on-fair', 'bronzer-undertone', 'base-off-skin'],
          roles: ['contour', 'bronze', 'base'],
          now: 'Tone it with a neutral.',
          next: 'a more neutral shade',
          remedy: otherProduct,
          another: { colour: 'cooler' },
        },
        {
          id: 'oxidised',
          words: 'turned on the skin',
          rules: [],
          roles: ['base'],
          now: 'Press a neutral powder over it.',
          next: 'test it for an hour first',
          remedy: noted(() => msg`It turned last time: test it first.`),
        },
      ],
    },
    {
      id: 'muddy',
      seen: 'muddy cheeks',
      causes: [
        {
          id: 'forward',
          words: 'contour too far forward',
          rules: ['out-of-limits', 'far-from-guide'],
          roles: ['contour'],
          now: 'Clean the edge with base.',
          next: 'back to the guide',
          remedy: onGuide,
        },
        {
          id: 'overlap',
          words: 'blush on the contour',
          rules: ['blush-on-contour'],
          roles: ['blush'],
          now: 'Clean between them with base.',
          next: 'blush lifted off the contour',
          remedy: onGuide,
        },
      ],
    },
    {
      id: 'flat',
      seen: 'flat face',
      causes: [
        {
          id: 'one-tone',
          words: 'all one tone',
          rules: ['contour-does-nothing', 'blush-hardly-shows', 'light-does-nothing'],
          // Never the base: more of it is flatter still.
          roles: ['contour', 'blush', 'bronze', 'highlight'],
          now: 'Shape the edges again.',
          next: 'more between centre and edge',
          remedy: less(1.3),
        },
        {
          id: 'light-everywhere',
          words: 'light everywhere',
          rules: ['shine-everywhere', 'light-in-shadow'],
          roles: ['highlight'],
          now: 'Take the shine off with powder, leave the high points.',
          next: 'light on the high points only',
          remedy: less(0.6),
        },
      ],
    },
    {
      id: 'flash',
      seen: 'white in the flash',
      causes: [
        {
          id: 'scatter',
          words: 'a powder or filter that scatters',
          rules: ['white-cast', 'ashy-powder'],
          roles: ['powder'],
          now: 'Cover it with a tinted powder.',
          next: 'another powder',
          remedy: otherProduct,
          another: { suits: (next, was) => was.some((one) => flashGradeOf(next) < flashGradeOf(one)) },
        },
      ],
    },
    {
      id: 'shine',
      seen: 'shine comes through',
      causes: [
        {
          id: 'no-primer',
          words: 'nothing mattifying there',
          rules: ['no-primer-on-oily', 'oily-zone-left-out', 'not-set-on-oily', 'dewy-base-on-oily'],
          roles: ['powder', 'base'],
          now: 'Blot, then press powder.',
          next: 'a primer for that zone',
          remedy: noted(() => msg`Mattifying primer on the oily zones first.`),
        },
        {
          id: 'spray',
          words: 'a spray that hydrates',
          rules: ['hydrating-spray-for-long'],
          roles: ['care'],
          now: 'Blot, then press powder.',
          next: 'a matte spray',
          remedy: otherProduct,
          another: { suits: ({ finish }) => finish === 'matte' },
        },
      ],
    },
    {
      id: 'prints',
      seen: 'lower lashes print',
      causes: [
        {
          id: 'moist',
          words: 'an oily lid or moist under-eye',
          rules: ['not-set-on-oily'],
          roles: ['lash', 'conceal'],
          now: 'Clean with a dry bud, powder under the lashes.',
          next: 'powder under the lashes',
          remedy: noted(() => msg`Powder under the lashes first.`),
        },
        {
          id: 'mascara',
          words: 'a mascara that does not hold',
          rules: ['mascara-for-tears'],
          roles: ['lash'],
          now: 'Clean with a dry bud, powder under the lashes.',
          next: 'a waterproof or tubing mascara',
          remedy: otherProduct,
          another: {
            suits: (next) => propertiesOf(next).waterproof || propertiesOf(next).transferProof,
          },
        },
      ],
    },
    {
      id: 'bleeds',
      seen: 'lip bleeds',
      causes: [
        {
          id: 'no-edge',
          words: 'nothing holds the edge',
          rules: ['lip-bleeds', 'lip-for-long'],
          roles: ['lip', 'lip line'],
          now: 'A fine liner and powder at the edge.',
          next: 'a fine liner first, gloss kept inside',
          remedy: noted(() => msg`A fine liner and powder at the edge; gloss stays inside.`),
        },
      ],
    },
    {
      id: 'fallout',
      seen: 'fallout on the cheeks',
      causes: [
        {
          id: 'after-base',
          words: 'glitter or dark shadow after the base',
          rules: ['eyes-first'],
          roles: ['eye'],
          now: 'Sweep it off with the shield powder.',
          next: 'eyes before the face, or a shield of powder',
          remedy: noted(() => msg`Shield the cheeks with powder, or do the eyes first.`),
        },
      ],
    },
    {
      id: 'uneven',
      seen: 'sides differ',
      causes: [
        {
          id: 'by-eye',
          words: 'drawn by eye',
          rules: ['uneven-sides', 'mirror-check'],
          roles: ['contour', 'blush', 'brow', 'liner'],
          now: 'Step back, compare in the mirror, mend the fuller side.',
          next: 'the same on both sides',
          remedy: bothSides,
        },
      ],
    },
    {
      id: 'wide-nose',
      seen: 'nose looks wider',
      causes: [
        {
          id: 'sides',
          words: 'lines out on the sides of the nose',
          rules: ['out-of-limits'],
          roles: ['contour'],
          now: 'Base over it, draw it again on the bridge.',
          next: 'back to the guide',
          remedy: onGuide,
        },
      ],
    },
  ],
);

/** A cause by the fault and its own name; null when there is none. */
export function causeNamed(
  faultId: string,
  causeId: string,
): { readonly fault: Fault; readonly cause: Cause } | null {
  const fault = FAULTS.find((f) => f.id === faultId);
  const cause = fault?.causes.find((c) => c.id === causeId);
  return fault && cause ? { fault, cause } : null;
}
