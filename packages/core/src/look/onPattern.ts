import { skinByZone, type Lab } from '../colour';
import { PLAIN_FEATURES, TEMPLATE } from '../face';
import { msg, term } from '../messages';
import {
  CHART_FORMAT,
  type Chart,
  type ClientSnapshot,
  type Look,
  type LookStep,
  type Occasion,
} from './document';
import { newCareStep } from './editSteps';
import type { Stamp } from './fitLook';
import { usualOccasion } from './occasion';

/** Skins a look is shown on where there is nobody: CIELAB, D65. Trade sense: the ends and the middle. */
export const PATTERN_SKINS = {
  'very fair': [82, 7, 13],
  medium: [62, 12, 20],
  'very deep': [31, 10, 12],
} as const satisfies Readonly<Record<string, Lab>>;
export type PatternSkin = keyof typeof PATTERN_SKINS;
export const PATTERN_SKIN_NAMES = ['very fair', 'medium', 'very deep'] as const satisfies PatternSkin[];

/** The pattern face with a skin: nobody, so it has neither id nor reading. */
export function patternClient(skin: PatternSkin): ClientSnapshot {
  return {
    id: '',
    name: msg`The pattern face`,
    landmarks: TEMPLATE,
    features: PLAIN_FEATURES,
    skin: skinByZone(PATTERN_SKINS[skin]),
    readingId: null,
    sensitivities: [],
  };
}

/** How a studio that has said nothing works. */
const USUAL_SCHOOLS: Look['schools'] = {
  eyesOrFace: 'face first',
  contour: 'over base',
  concealer: 'over base',
  contrast: 'soft',
};

/**
 * A look laid on the pattern face as a chart without products, so that all that is done to a chart's steps
 * can be done to a look's.
 */
export function lookOnPattern(look: Look, skin: PatternSkin = 'medium'): Chart {
  const { format: _format, name, description: _words, tags: _tags, steps, ...version } = look;
  return {
    ...version,
    format: CHART_FORMAT,
    look: { id: look.id, version: look.version, name },
    client: patternClient(skin),
    occasion: usualOccasion('other', look.at.slice(0, 10)),
    steps: steps.map((step) => ({ ...step, use: [] })),
    findings: [],
  };
}

/** The look with the steps, the ways of doing and the variants of a chart it was laid out as. */
export function lookFromPattern(chart: Chart, look: Look): Look {
  return {
    ...look,
    schools: chart.schools,
    variants: chart.variants,
    steps: chart.steps.map(({ use: _use, done: _done, ...step }): LookStep => step),
  };
}

/** A look of which nothing is decided but that the skin is prepared. */
export function blankLook(stamp: Stamp, stepId: string, schools: Partial<Look['schools']> = {}): Look {
  return {
    format: 'toile.look/1',
    ...stamp,
    version: 1,
    parent: null,
    name: '',
    description: '',
    tags: [],
    schools: { ...USUAL_SCHOOLS, ...schools },
    forbids: { finishes: [], kinds: [] },
    variants: [],
    steps: [planOf(stepId)],
  };
}

const planOf = (stepId: string): LookStep => {
  const { use: _use, ...plan } = newCareStep('prep', stepId);
  return plan;
};

/** What the look of a chart is called that was begun from nothing. */
export const FROM_NOTHING = 'From nothing';

/** A chart of a client of which nothing is decided but that the skin is prepared: no look is behind it. */
export function blankChart(
  client: ClientSnapshot,
  occasion: Occasion,
  stamp: Stamp,
  stepId: string,
  schools: Partial<Look['schools']> = {},
): Chart {
  const {
    name: _name,
    description: _words,
    tags: _tags,
    format: _format,
    ...look
  } = blankLook(stamp, stepId, schools);
  return {
    ...look,
    format: CHART_FORMAT,
    look: { id: stamp.id, version: 1, name: term(FROM_NOTHING) },
    client,
    occasion,
    steps: [newCareStep('prep', stepId)],
    findings: [],
  };
}
