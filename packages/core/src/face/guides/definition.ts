import { messagesIn } from '../../messages';
import type { FaceModel, HalfFace } from '../faceModel';
import type { Point, Polyline } from '../point';
import type { Region } from '../region';

/** The kinds of layer a chart holds; each has its own pattern, notch and words. */
export const LAYER_KINDS = [
  'correct',
  'base',
  'conceal',
  'contour',
  'bronze',
  'blush',
  'highlight',
  'powder',
  'brow',
  'eye',
  'liner',
  'lash',
  'lip line',
  'lip',
  'adornment',
] as const;
export type LayerKind = (typeof LAYER_KINDS)[number];

export const GUIDE_PARAMETERS = messagesIn(['label'], {
  reach: {
    label: 'Reach',
    unit: '%',
    minimum: 30,
    maximum: 160,
    step: 5,
    initial: 100,
    meaning: 'how far along its line it goes; 100 ends where the limits are',
  },
  liftMm: {
    label: 'Lift',
    unit: 'mm',
    minimum: -12,
    maximum: 12,
    step: 0.5,
    initial: 0,
    meaning: 'moved up the face, or down below zero',
  },
  width: {
    label: 'Width',
    unit: '%',
    minimum: 40,
    maximum: 200,
    step: 5,
    initial: 100,
    meaning: 'how broad it is against the guide',
  },
  start: {
    label: 'Start',
    unit: '%',
    minimum: -45,
    maximum: 60,
    step: 5,
    initial: 0,
    meaning: 'how far along its line it begins; 0 is the guide’s own',
  },
  fade: {
    label: 'Fade',
    unit: '%',
    minimum: 0,
    maximum: 200,
    step: 10,
    initial: 100,
    meaning: 'how much it thins along its line; 0 is even, 100 the guide’s own',
  },
  upperMm: {
    label: 'Over the upper line',
    unit: 'mm',
    minimum: -1.5,
    maximum: 2,
    step: 0.25,
    initial: 0,
    meaning: 'over the upper lip’s line at the bow, or inside it',
  },
  lowerMm: {
    label: 'Over the lower line',
    unit: 'mm',
    minimum: -1.5,
    maximum: 2,
    step: 0.25,
    initial: 0,
    meaning: 'over the lower lip’s line, or inside it',
  },
  frontMm: {
    label: 'Fronts apart',
    unit: 'mm',
    minimum: -4,
    maximum: 5,
    step: 0.5,
    initial: 0,
    meaning: 'how much further from the middle the brow begins',
  },
  archMm: {
    label: 'Arch',
    unit: 'mm',
    minimum: -2,
    maximum: 4,
    step: 0.5,
    initial: 0,
    meaning: 'raised or flattened at its highest point',
  },
  tailMm: {
    label: 'Tail',
    unit: 'mm',
    minimum: -8,
    maximum: 6,
    step: 0.5,
    initial: 0,
    meaning: 'longer or shorter than the brow itself',
  },
  innerMm: {
    label: 'Inner lashes',
    unit: 'mm',
    minimum: 4,
    maximum: 15,
    step: 0.5,
    initial: 8,
    meaning: 'lash length at the inner corner',
  },
  middleMm: {
    label: 'Middle lashes',
    unit: 'mm',
    minimum: 4,
    maximum: 15,
    step: 0.5,
    initial: 10,
    meaning: 'lash length over the pupil',
  },
  outerMm: {
    label: 'Outer lashes',
    unit: 'mm',
    minimum: 4,
    maximum: 15,
    step: 0.5,
    initial: 11,
    meaning: 'lash length at the outer corner',
  },
} as const);
export type GuideParameter = keyof typeof GUIDE_PARAMETERS;
export const GUIDE_PARAMETER_NAMES = Object.keys(GUIDE_PARAMETERS) as readonly GuideParameter[];
export type GuideParams = { readonly [name in GuideParameter]: number };

/** Every guide as it is with nothing adjusted. */
export const INITIAL_PARAMS: GuideParams = Object.fromEntries(
  GUIDE_PARAMETER_NAMES.map((name) => [name, GUIDE_PARAMETERS[name].initial]),
) as Record<GuideParameter, number>;

/**
 * A fade's two strengths with the fade parameter applied: 0 makes it even, 100 leaves it, 200 doubles what it
 * loses.
 */
export function faded([start, end]: readonly [number, number], percent: number): readonly [number, number] {
  const strongest = Math.max(start, end);
  const lose = (own: number): number => Math.max(0, strongest - ((strongest - own) * percent) / 100);
  return [lose(start), lose(end)];
}

/** What a guide gives on one half of a face, in that half's own frame. */
export type GuideShape = {
  readonly region: Region;
  /** The line it is drawn along, from where most product lies; null for patches. */
  readonly line: Polyline | null;
  /** Where the handles sit: the end of the line, its middle and its edge. */
  readonly handles: { readonly [name in GuideParameter]?: Point };
  /** How soft the edge is, in mm. */
  readonly featherMm: number;
  /** Strength at the start and at the end of the line, 0 to 1. */
  readonly fade: readonly [start: number, end: number];
};

export type GuideDefinition = {
  readonly kind: LayerKind;
  readonly label: string;
  /** Where it lies, in words, for a spoken description. */
  readonly where: string;
  /** Central guides are built once, on the left half, and mirrored into one region. */
  readonly central: boolean;
  /** Which handles mean something here. */
  readonly adjustable: readonly GuideParameter[];
  readonly build: (half: HalfFace, face: FaceModel, params: GuideParams) => GuideShape;
};

/** A shape without a line of its own. */
export const patch = (
  region: GuideShape['region'],
  featherMm: number,
  fade: GuideShape['fade'] = [1, 1],
  handles: GuideShape['handles'] = {},
): GuideShape => ({
  region,
  line: null,
  handles,
  featherMm,
  fade,
});
