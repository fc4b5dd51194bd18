import { array, boolean, mixed, number, object, string, type InferType } from 'yup';
import {
  chartSchemaOf,
  DeviationSchema,
  EVENT_KINDS,
  isPlausibleSkin,
  LookSchema,
  msg,
  SKIN_ZONES,
  type Chart,
  type Deviation,
  type Lab,
  type Look,
  type SkinZone,
  type Told,
} from '@toile/core';
import { uuid } from './client';
import { documentPart, instant } from './shapes';
import { text } from './text';

/** CIELAB typed by hand: within what skin can be. */
export const labSchema = mixed<Lab>(
  (value): value is Lab =>
    Array.isArray(value) &&
    value.length === 3 &&
    value.every((v) => typeof v === 'number' && Number.isFinite(v)),
)
  .typeError(() => msg`Three numbers: L*, a* and b*`)
  .test(
    'skin',
    () => msg`No skin has this colour. L* is 12 to 90, a* and b* mostly 3 to 30`,
    (value) => value === undefined || isPlausibleSkin(value),
  );

const samples = array()
  .of(labSchema.required())
  .min(1, () => msg`At least one sample`)
  .max(40, () => msg`At most 40 samples`);

/** A skin reading: the raw samples of each zone, kept as they were taken. */
export const readingInputSchema = object({
  id: uuid().required(),
  at: instant().required(),
  source: string()
    .oneOf(['reader', 'typed', 'import'] as const)
    .required(),
  zones: object(Object.fromEntries(SKIN_ZONES.map((zone) => [zone, samples.default(undefined)])))
    .noUnknown('${unknown} is not a zone')
    .test(
      'some',
      () => msg`Read at least one zone`,
      (value) => Object.values(value ?? {}).some((v) => v !== undefined),
    ),
  extras: array()
    .of(
      object({
        name: text()
          .required(() => msg`Name the place`)
          .max(60, () => msg`At most 60 letters`),
        beside: string()
          .oneOf([...SKIN_ZONES], () => msg`Say which zone it lies in`)
          .required(() => msg`Say which zone it lies in`),
        samples: samples.required(),
      }).noUnknown('${unknown} is not known here'),
    )
    .max(20, () => msg`At most 20 places`)
    .default([]),
}).noUnknown('${unknown} is not known here');
export type ReadingInput = Omit<InferType<typeof readingInputSchema>, 'zones' | 'extras'> & {
  zones: { readonly [zone in SkinZone]?: readonly Lab[] };
  extras: readonly { readonly name: string; readonly beside: SkinZone; readonly samples: readonly Lab[] }[];
};

const place = number().integer().min(0).max(11);
/**
 * What the stand-in reader is held to: a zone of a client, a spot in it, a pan of a palette, or a product by
 * itself.
 */
export const sampleRequestSchema = object({
  clientId: uuid(),
  zone: string()
    .oneOf([...SKIN_ZONES])
    .when('clientId', ([clientId], schema) =>
      clientId === undefined ? schema : schema.required(() => msg`Choose a zone`),
    ),
  spot: boolean().default(false),
  pan: object({ paletteId: uuid().required(), row: place.required(), column: place.required() })
    .default(undefined)
    .noUnknown(),
  productId: uuid(),
})
  .noUnknown()
  .test(
    'one',
    () => msg`Hold the reader to skin, to a pan or to a product`,
    ({ clientId, pan, productId }) =>
      [clientId, pan, productId].filter((to) => to !== undefined).length === 1,
  );
export type SampleRequest =
  | {
      readonly clientId: string;
      readonly zone: SkinZone;
      readonly spot?: boolean;
      readonly pan?: undefined;
      readonly productId?: undefined;
    }
  | { readonly productId: string; readonly clientId?: undefined; readonly pan?: undefined }
  | {
      readonly clientId?: undefined;
      readonly productId?: undefined;
      readonly pan: { readonly paletteId: string; readonly row: number; readonly column: number };
    };

const chartPart = documentPart<Chart>(chartSchemaOf, () => msg`The chart`);
export const newChartSchema = object({
  chart: chartPart.required(),
  visitId: uuid().nullable().default(null),
}).noUnknown('${unknown} is not known here');
export type NewChart = { chart: Chart; visitId: string | null };

export const newVersionSchema = object({
  parent: number()
    .integer()
    .min(1)
    .required(() => msg`Say which version this starts from`),
  reason: text()
    .default('')
    .max(4000, () => msg`At most 4000 letters`),
  chart: chartPart.required(),
}).noUnknown('${unknown} is not known here');
export type NewVersion = { parent: number; reason: string; chart: Chart };

export const chairEventSchema = object({
  id: uuid().required(),
  version: number().integer().min(1).required(),
  stepId: uuid().required(),
  kind: string()
    .oneOf([...EVENT_KINDS])
    .required(),
  at: instant().required(),
  deviation: documentPart<Deviation>(DeviationSchema, () => msg`The deviation`).when(
    'kind',
    ([kind], schema) => (kind === 'deviation' ? schema.required(() => msg`Say what was different`) : schema),
  ),
  device: string().max(60, () => msg`At most 60 letters`),
  seen: uuid().nullable(),
  sitting: uuid(),
  settles: array()
    .of(uuid().required())
    .max(20, () => msg`At most 20 at once`),
}).noUnknown('${unknown} is not known here');
/** What a device tells of a step, with the version of the chart it was worked by. */
export type ChairEventInput = Told & { readonly version: number };

export const newLookSchema = object({
  look: documentPart<Look>(LookSchema, () => msg`The look`).required(),
}).noUnknown('${unknown} is not known here');
export type NewLook = { look: Look };

/** The most look files taken in at once. */
export const MOST_LOOK_FILES = 500;
export const importLooksSchema = object({
  files: array()
    .of(
      object({
        name: string()
          .required(() => msg`Say which file it is`)
          .max(200, () => msg`At most 200 letters`),
        text: string()
          .required(() => msg`The file is empty`)
          .max(2_000_000, () => msg`The file is too large to be a look`),
      }).noUnknown('${unknown} is not known here'),
    )
    .min(1, () => msg`Choose a file`)
    .max(MOST_LOOK_FILES, () => msg`At most ${MOST_LOOK_FILES} files at once`)
    .required(() => msg`Choose a file`),
}).noUnknown('${unknown} is not known here');
export type ImportLooks = { files: { name: string; text: string }[] };

export const retireLookSchema = object({
  retired: boolean().required(() => msg`Say whether it is retired`),
}).noUnknown('${unknown} is not known here');
export type RetireLook = { retired: boolean };

export const importChartSchema = object({
  text: string()
    .required(() => msg`Choose a file`)
    .max(2_000_000, () => msg`The file is too large to be a chart`),
}).noUnknown();
export type ImportChart = { text: string };
