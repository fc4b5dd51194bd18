import { Type, type Static, type TSchema } from '@sinclair/typebox';
import type { Point } from '../face';
import { closed, InstantSchema, oneOf, TextSchema, UuidSchema } from '../schema';
import type { FaceTaps } from './faceInPicture';

export const PHOTO_LIGHTS = ['daylight', 'flash'] as const;
export type PhotoLight = (typeof PHOTO_LIGHTS)[number];

/**
 * What a studio keeps of photographs at most: enough to judge and to measure by, and little enough for a
 * nightly backup.
 */
export const KEPT_PHOTOGRAPHS = {
  longestPx: 1600,
  bytes: 1_000_000,
  ofChart: 24,
  ofStudio: 2000,
} as const;

const px = Type.Number({ minimum: -20_000, maximum: 20_000 });
const place = (description: string) =>
  Type.Unsafe<Point>(Type.Array(px, { minItems: 2, maxItems: 2, description }));
/** Where three places of a face lie on a picture, px. */
export const FaceTapsSchema = Type.Unsafe<FaceTaps>(
  Type.Object(
    {
      pupil_right: place('the client’s right'),
      pupil_left: place('the client’s left'),
      gnathion: place('the underside of the chin'),
    },
    closed,
  ),
);

const orNull = <T extends TSchema>(schema: T) => Type.Union([schema, Type.Null()]);
/** What is known of a photograph of a made-up face that the studio keeps; the picture goes beside it. */
export const PhotographSchema = Type.Object(
  {
    id: UuidSchema,
    clientId: UuidSchema,
    chartId: UuidSchema,
    at: { ...InstantSchema, description: 'when it was taken' },
    light: oneOf(PHOTO_LIGHTS),
    taps: FaceTapsSchema,
    bare: orNull(place('skin without make-up')),
    by: { ...TextSchema, description: 'who kept it' },
    keptAt: InstantSchema,
  },
  closed,
);
export type Photograph = Static<typeof PhotographSchema>;
