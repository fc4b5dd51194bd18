import type { FaceModel, HalfFace } from '../faceModel';
import type { Point, Polyline } from '../point';
import type { Region } from '../region';

/** The kinds of layer a chart holds; each has its own pattern, notch and words. */
export const LAYER_KINDS = ['correct', 'base', 'conceal', 'contour', 'bronze', 'blush', 'highlight', 'powder', 'brow', 'eye', 'liner', 'lash', 'lip'] as const;
export type LayerKind = (typeof LAYER_KINDS)[number];

export const GUIDE_PARAMETERS = {
  reach: {
    label: 'Reach',
    unit: '%',
    minimum: 30,
    maximum: 160,
    step: 5,
    initial: 100,
    meaning: 'how far along its line it goes; 100 ends where the limits are',
  },
  liftMm: { label: 'Lift', unit: 'mm', minimum: -12, maximum: 12, step: 0.5, initial: 0, meaning: 'moved up the face, or down below zero' },
  width: { label: 'Width', unit: '%', minimum: 40, maximum: 200, step: 5, initial: 100, meaning: 'how broad it is against the guide' },
} as const;
export type GuideParameter = keyof typeof GUIDE_PARAMETERS;
export const GUIDE_PARAMETER_NAMES = Object.keys(GUIDE_PARAMETERS) as readonly GuideParameter[];
export type GuideParams = { readonly [name in GuideParameter]: number };

export const INITIAL_PARAMS: GuideParams = { reach: 100, liftMm: 0, width: 100 };

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
