import { dislikesOf, type Dislike, type DislikeKind } from '../care';
import { chromaOf, depthOf, hueOf, type Lab } from '../colour';
import { listedFew } from '../listed';
import { msg } from '../messages';
import { skinTarget } from '../shade';
import type { Chart, Step } from './document';
import { colourOfUse } from './propose';

/** A dislike that a chart has all the same, and where. */
export type DislikeMet = Dislike & {
  readonly stepIds: readonly string[];
  readonly titles: readonly string[];
};

/** A lip that is called red: its hue, degrees, and how strong it is. */
const RED = { from: 5, to: 50, chroma: 38 } as const;
/** Shade steps under the skin from which a lip or a lid is called dark. */
const DARK_STEPS = { lip: 5, lid: 6 } as const;

const shows = (step: Step, ...finishes: readonly string[]): boolean =>
  step.use.length > 0
    ? step.use.some(({ product }) => finishes.includes(product.finish))
    : step.wants.finishes !== undefined && step.wants.finishes.every((finish) => finishes.includes(finish));
const isKind = (step: Step, kind: Step['wants']['kinds'][number]): boolean => step.wants.kinds.includes(kind);
const colour = (step: Step): Lab | null => colourOfUse(step.use);
const isDark = (step: Step, skin: Lab | null, steps: number): boolean => {
  const lab = colour(step);
  return lab !== null && skin !== null && depthOf(lab) - depthOf(skin) >= steps;
};

/** Whether a step is what is disliked, on this skin. */
const HAS: Readonly<Record<DislikeKind, (step: Step, skin: Lab | null) => boolean>> = {
  shimmer: (step) => shows(step, 'shimmer'),
  shine: (step) => step.role === 'highlight' || (step.role !== 'care' && shows(step, 'dewy')),
  matte: (step) => ['base', 'lip', 'eye'].includes(step.role) && shows(step, 'matte'),
  'much base': (step) =>
    ['base', 'conceal'].includes(step.role) &&
    step.use.some(({ product }) => product.coverage === 'full' || product.coverage === 'opaque'),
  base: (step) => step.role === 'base',
  concealer: (step) => step.role === 'conceal',
  lashes: (step) => isKind(step, 'lashes'),
  mascara: (step) => isKind(step, 'mascara'),
  liner: (step) => step.role === 'liner',
  contour: (step) => step.role === 'contour',
  highlight: (step) => step.role === 'highlight',
  blush: (step) => step.role === 'blush',
  bronze: (step) => step.role === 'bronze',
  'red lip': (step) => {
    const lab = step.role === 'lip' ? colour(step) : null;
    return lab !== null && chromaOf(lab) >= RED.chroma && hueOf(lab) >= RED.from && hueOf(lab) <= RED.to;
  },
  'dark lip': (step, skin) => step.role === 'lip' && isDark(step, skin, DARK_STEPS.lip),
  gloss: (step) => step.role === 'lip' && shows(step, 'dewy', 'shimmer'),
  'lip line': (step) => step.role === 'lip line',
  'lip colour': (step) => step.role === 'lip' || step.role === 'lip line',
  'dark lid': (step, skin) => step.role === 'eye' && isDark(step, skin, DARK_STEPS.lid),
  'eye colour': (step) => step.role === 'eye',
  'drawn brows': (step) => step.role === 'brow',
  powder: (step) => step.role === 'powder',
  spray: (step) => isKind(step, 'spray'),
  gems: (step) => step.role === 'adornment',
};

/**
 * What of a chart the client has said they never want again, each with the steps that have it; in the order
 * of the chart's steps. It is told, and changes nothing: why it was said, and whether it holds for this day,
 * is asked.
 */
export function dislikesMet(chart: Pick<Chart, 'steps' | 'client'>, text: string | undefined): DislikeMet[] {
  const skin = skinTarget(chart.client.skin);
  return dislikesOf(text).flatMap((dislike) => {
    const steps = chart.steps.filter((step) => HAS[dislike.kind](step, skin));
    return steps.length === 0
      ? []
      : [{ ...dislike, stepIds: steps.map(({ id }) => id), titles: steps.map(({ title }) => title) }];
  });
}

/** As one line: 'Never again, as said: “glitter”. It is in lid and socket. Ask before it is laid.' */
export const dislikeInWords = ({ said, titles }: DislikeMet): string =>
  msg`Never again, as said: “${said}”. It is in ${listedFew(titles.map((title) => title.toLowerCase()))}. Ask, or choose otherwise.`;
