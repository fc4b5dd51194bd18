import { Type, type Static } from '@sinclair/typebox';
import { MOST_SENSITIVITIES, PatchMindedSchema } from '../care';
import { SKIN_ZONES, UNDERTONES } from '../colour';
import {
  FeaturesSchema,
  FeaturesV1Schema,
  GUIDE_NAMES,
  GUIDE_PARAMETER_NAMES,
  GUIDE_PARAMETERS,
  LANDMARKS,
  LAYER_KINDS,
  type GuideParams,
  type Landmarks,
  type Placement,
} from '../face';
import { FORBIDDEN_PLACE_NAMES, SHAPE_NAMES } from './prohibitions';
import {
  COVERAGE_WORDS,
  FAMILIES,
  FINISHES,
  MEASURES,
  PRODUCT_KINDS,
  ProductSnapshotSchema,
  TEXTURES,
  TOOLS,
} from '../kit';
import { CONDITIONS, METALS, MOST_MEASURES, OCCASION_LIGHTS, OCCASIONS, type Skin } from '../shade';
import {
  closed,
  DateSchema,
  InstantSchema,
  LabSchema,
  NoteSchema,
  oneOf,
  PointSchema,
  TextSchema,
  UuidSchema,
} from '../schema';

export const PHASES = [
  'clean',
  'prep',
  'prime',
  'correct',
  'base',
  'conceal',
  'sculpt',
  'set',
  'powder',
  'brows',
  'eyes',
  'lashes',
  'lips',
  'finish',
] as const;
export type Phase = (typeof PHASES)[number];

/** The ways of doing that differ between schools; a look takes one of each. */
export const SCHOOLS = {
  eyesOrFace: ['eyes first', 'face first'],
  contour: ['over base', 'under base', 'bronzer only', 'none'],
  contourTexture: ['cream, then powder', 'powder only'],
  concealer: ['over base', 'under base'],
  applicator: ['brush', 'damp sponge'],
  powders: ['loose, then pressed', 'pressed, then loose'],
  settledPowder: ['use', 'never'],
  mist: ['spray, then powder', 'powder, then spray'],
  contrast: ['soft', 'bold'],
} as const;

/** How far an airbrush is opened. */
export const FLOWS = ['turned down', 'half open', 'fully open'] as const;
export const TECHNIQUES = [
  'press',
  'stipple',
  'sweep',
  'buff',
  'flick',
  'draw',
  'spray',
  'dot and melt',
  'line',
] as const;

export const ShadeSchema = Type.Union(
  [
    Type.Object(
      {
        relative: Type.Object(
          {
            to: Type.Literal('skin'),
            depthSteps: Type.Number({ minimum: -6, maximum: 6 }),
            undertone: Type.Optional(oneOf(UNDERTONES)),
          },
          closed,
        ),
      },
      closed,
    ),
    Type.Object({ lab: LabSchema }, closed),
    Type.Null(),
  ],
  { description: 'relative to skin in shade steps (positive is deeper), a fixed colour, or none' },
);
export type Shade = Static<typeof ShadeSchema>;

/**
 * What a look may hold, and what a chart may: a fit adds steps, and changes each for more than one reason.
 */
export const MOST_LOOK_STEPS = 80;
export const MOST_STEPS = 2 * MOST_LOOK_STEPS;
const MOST_ADAPTATIONS = 2000;
/** Products one step can be made of, and places it can lie on. */
export const MOST_IN_A_STEP = {
  products: 12,
  places: 40,
  minutes: 120,
  measures: MOST_MEASURES,
  letters: 8000,
} as const;
/** A title in the room it has: what is made of others' titles may be longer. */
export const titleOf = (words: string): string => (words.length > 200 ? `${words.slice(0, 199)}…` : words);

const side = oneOf(['left', 'right', 'both'], 'the client’s side');
const outline = Type.Array(PointSchema, { minItems: 3, maxItems: 2000 });
const without = Type.Optional(
  Type.Array(outline, { maxItems: 200, description: 'wiped off: outlines on the canonical face, mm' }),
);
const params = Type.Unsafe<Partial<GuideParams>>(
  Type.Partial(
    Type.Object(
      Object.fromEntries(
        GUIDE_PARAMETER_NAMES.map((name) => {
          const { minimum, maximum, meaning } = GUIDE_PARAMETERS[name];
          return [name, Type.Number({ minimum, maximum, description: meaning })];
        }),
      ),
    ),
    closed,
  ),
);
/** Stated as core's own type: a schema built from a list of parameters cannot name them. */
export const PlacementSchema = Type.Unsafe<Placement>(
  Type.Union([
    Type.Object({ guide: oneOf(GUIDE_NAMES), params: Type.Optional(params), side, without }, closed),
    Type.Object(
      {
        outline,
        featherMm: Type.Number({ minimum: 0, maximum: 30 }),
        side,
        stroke: Type.Optional(
          Type.Array(Type.Tuple([Type.Number(), Type.Number(), Type.Number({ minimum: 0, maximum: 40 })]), {
            maxItems: 2000,
            description: 'centreline and radius it was drawn with, canonical mm',
          }),
        ),
        without,
      },
      closed,
    ),
  ]),
);

const wantsFirst = {
  kinds: Type.Array(oneOf(PRODUCT_KINDS), {
    description: 'kinds of product that can do this; none when no product is used',
  }),
  textures: Type.Optional(Type.Array(oneOf(TEXTURES))),
  finishes: Type.Optional(Type.Array(oneOf(FINISHES))),
  mix: Type.Optional(Type.Boolean({ description: 'two products may be mixed' })),
};

/** The dose a step can ask for at most, mg/cm². */
export const MOST_DOSE = 50;

const stepPlan = {
  id: UuidSchema,
  phase: oneOf(PHASES),
  role: oneOf([...LAYER_KINDS, 'care'], 'the kind of layer this lays down; care leaves none'),
  title: TextSchema,
  variant: Type.Optional(TextSchema),
  instead: Type.Optional(
    Type.String({
      pattern: UuidSchema.pattern,
      description: 'the common step this one stands for in its variant; every one of its kind when left out',
    }),
  ),
  optional: Type.Optional(Type.Boolean({ description: 'may be left out without changing what the look is' })),
  shade: ShadeSchema,
  wants: Type.Object(
    {
      ...wantsFirst,
      coverages: Type.Optional(Type.Array(oneOf(COVERAGE_WORDS))),
      families: Type.Optional(Type.Array(oneOf(FAMILIES), { description: 'what it is made of' })),
    },
    closed,
  ),
  placements: Type.Array(PlacementSchema, { maxItems: MOST_IN_A_STEP.places }),
  doseMgPerCm2: Type.Number({ minimum: 0, maximum: MOST_DOSE }),
  passes: Type.Integer({ minimum: 1, maximum: 12 }),
  tool: oneOf(TOOLS),
  flow: Type.Optional(oneOf(FLOWS, 'how far an airbrush is opened')),
  technique: oneOf(TECHNIQUES),
  handsOnMinutes: Type.Number({ minimum: 0, maximum: MOST_IN_A_STEP.minutes }),
  waitMinutes: Type.Number({ minimum: 0, maximum: 60 }),
  /** Longer than what is typed: a fit adds its sentences. */
  note: Type.String({ maxLength: MOST_IN_A_STEP.letters }),
};

/** A step of a look: what and where, for any face. */
export const LookStepSchema = Type.Object(stepPlan, closed);
export type LookStep = Static<typeof LookStepSchema>;

export const UseSchema = Type.Object(
  {
    unitId: Type.Union([UuidSchema, Type.Null()]),
    product: ProductSnapshotSchema,
    parts: Type.Number({
      exclusiveMinimum: 0,
      maximum: MOST_IN_A_STEP.measures,
      description: 'how many measures of it',
    }),
    measure: oneOf(MEASURES),
  },
  closed,
);
export type Use = Static<typeof UseSchema>;

export const DEVIATIONS = ['amount', 'other product', 'skipped', 'note', 'fault', 'next time'] as const;
/** What is to be different next time, chosen: nothing is ever read out of a sentence. */
export const NEXT_TIME = [
  'keep',
  'calmer',
  'bolder',
  'deeper',
  'lighter',
  'warmer',
  'cooler',
  'other product',
  'other place',
  'more',
  'less',
  'leave out',
] as const;
export type NextTime = (typeof NEXT_TIME)[number];
export const DeviationSchema = Type.Object(
  {
    kind: oneOf(DEVIATIONS),
    measures: Type.Optional(
      Type.Number({
        exclusiveMinimum: 0,
        maximum: MOST_MEASURES,
        description: 'measures really used in all',
      }),
    ),
    use: Type.Optional(Type.Array(UseSchema, { maxItems: MOST_IN_A_STEP.products })),
    nextTime: Type.Optional(oneOf(NEXT_TIME)),
    fault: Type.Optional(
      Type.Object(
        { seen: TextSchema, cause: TextSchema },
        { ...closed, description: 'what was seen and the cause held likeliest, by name' },
      ),
    ),
    note: NoteSchema,
  },
  closed,
);
export type Deviation = Static<typeof DeviationSchema>;

const bound = {
  use: Type.Array(UseSchema, { maxItems: MOST_IN_A_STEP.products }),
  done: Type.Optional(
    Type.Object(
      {
        ticked: Type.Boolean(),
        at: InstantSchema,
        by: TextSchema,
        deviations: Type.Array(DeviationSchema, { maxItems: 40 }),
      },
      closed,
    ),
  ),
};
/** A step of a chart: bound to real products and to this client. */
export const StepSchema = Type.Object({ ...stepPlan, ...bound }, closed);
const StepV1Schema = Type.Object({ ...stepPlan, wants: Type.Object(wantsFirst, closed), ...bound }, closed);
export type Step = Static<typeof StepSchema>;

const schools = Type.Object(
  {
    eyesOrFace: oneOf(SCHOOLS.eyesOrFace),
    contour: oneOf(SCHOOLS.contour),
    contourTexture: Type.Optional(oneOf(SCHOOLS.contourTexture)),
    concealer: oneOf(SCHOOLS.concealer),
    applicator: Type.Optional(oneOf(SCHOOLS.applicator)),
    powders: Type.Optional(oneOf(SCHOOLS.powders, 'which of two powders comes first')),
    settledPowder: Type.Optional(
      oneOf(SCHOOLS.settledPowder, 'powder laid thick and swept off when it has settled'),
    ),
    mist: Type.Optional(oneOf(SCHOOLS.mist)),
    contrast: oneOf(SCHOOLS.contrast),
  },
  closed,
);
const variants = Type.Array(Type.Object({ id: TextSchema, name: TextSchema }, closed), { maxItems: 12 });
const forbids = Type.Object(
  {
    finishes: Type.Array(oneOf(FINISHES)),
    kinds: Type.Array(oneOf(PRODUCT_KINDS)),
    places: Type.Optional(Type.Array(oneOf(FORBIDDEN_PLACE_NAMES), { description: 'where nothing may lie' })),
    shapes: Type.Optional(
      Type.Array(oneOf(SHAPE_NAMES), { description: 'what a look’s period or theme asks of a shape' }),
    ),
  },
  closed,
);
const version = {
  id: UuidSchema,
  version: Type.Integer({ minimum: 1 }),
  parent: Type.Union([Type.Integer({ minimum: 1 }), Type.Null()]),
  author: TextSchema,
  at: InstantSchema,
  reason: NoteSchema,
};

export const LookSchema = Type.Object(
  {
    format: Type.Literal('toile.look/1'),
    ...version,
    name: TextSchema,
    description: NoteSchema,
    tags: Type.Array(TextSchema, { maxItems: 20 }),
    schools,
    forbids,
    variants,
    steps: Type.Array(LookStepSchema, { minItems: 1, maxItems: MOST_LOOK_STEPS }),
  },
  closed,
);
export type Look = Static<typeof LookSchema>;

/**
 * Every landmark by name; stated as core's own type since a schema built from a list cannot name its keys.
 */
export const LandmarksSchema = Type.Unsafe<Landmarks>(
  Type.Object(Object.fromEntries(LANDMARKS.map((name) => [name, PointSchema])), closed),
);
/** CIELAB by zone, for the zones that were read. */
export const SkinSchema = Type.Unsafe<Skin>(
  Type.Partial(Type.Object(Object.fromEntries(SKIN_ZONES.map((zone) => [zone, LabSchema])), closed), closed),
);

const clientFirst = {
  id: UuidSchema,
  name: TextSchema,
  landmarks: LandmarksSchema,
  features: FeaturesSchema,
  skin: SkinSchema,
  readingId: Type.Union([UuidSchema, Type.Null()]),
  sensitivities: Type.Array(TextSchema, { maxItems: MOST_SENSITIVITIES }),
};
const ClientSnapshotV1Schema = Type.Object({ ...clientFirst, features: FeaturesV1Schema }, closed);
/** The client when the chart was made. */
export const ClientSnapshotSchema = Type.Object(
  {
    ...clientFirst,
    patchTests: Type.Optional(
      Type.Array(PatchMindedSchema, {
        maxItems: 200,
        description: 'what patch tests said of products by then',
      }),
    ),
  },
  closed,
);

const occasionFirst = {
  kind: oneOf(OCCASIONS),
  date: DateSchema,
  lights: Type.Array(oneOf(OCCASION_LIGHTS)),
  hoursToLast: Type.Number({ minimum: 0, maximum: 24 }),
  camera: Type.Boolean(),
};
const conditions = {
  description: 'what the day brings; where it is left out what is usual for its kind is taken',
};
const metal = Type.Optional(oneOf(METALS, 'of the jewellery, which the light and the eyes follow'));
const clock = (description: string) =>
  Type.Optional(Type.String({ pattern: '^([01][0-9]|2[0-3]):[0-5][0-9]$', description }));

const OccasionV1Schema = Type.Object(
  {
    ...occasionFirst,
    conditions: Type.Optional(
      Type.Array(oneOf(['heat', 'humidity', 'tears', 'dancing', 'meals'] as const), conditions),
    ),
    metal,
  },
  closed,
);

/** What a chart is made for, as it was asked about; what is left out nobody said. */
export const OccasionSchema = Type.Object(
  {
    ...occasionFirst,
    conditions: Type.Optional(Type.Array(oneOf(CONDITIONS), conditions)),
    metal,
    asked: Type.Optional(
      Type.Boolean({ description: 'somebody was asked and confirmed it; otherwise it is what is usual' }),
    ),
    begins: clock('when the face has to be ready, where it is'),
    ends: clock('when it may come off; before `begins` it is the day after'),
    outfit: Type.Optional(
      Type.Array(Type.Object({ name: TextSchema, lab: LabSchema }, closed), {
        maxItems: 6,
        description: 'colours worn',
      }),
    ),
    theme: Type.Optional(TextSchema),
    place: Type.Optional(TextSchema),
  },
  closed,
);
export type Occasion = Static<typeof OccasionSchema>;

/**
 * One thing that was changed of a look for this client or this day, why, and what was before it, so that it
 * can be refused.
 */
export const AdaptationSchema = Type.Object(
  {
    id: TextSchema,
    stepId: UuidSchema,
    change: oneOf(['changed', 'left out', 'added']),
    words: Type.String({ minLength: 1, maxLength: 1000 }),
    why: NoteSchema,
    refused: Type.Optional(Type.Boolean()),
    /** The step as it was, where it was changed or left out. */
    was: Type.Optional(
      Type.Unsafe<Partial<Step>>(
        Type.Object(
          {},
          {
            description:
              'what was before, to bring it back: the parts of the step that changed, or all of it',
          },
        ),
      ),
    ),
    now: Type.Optional(
      Type.Unsafe<Partial<Step>>(
        Type.Object(
          {},
          { description: 'what those parts were changed to: what was changed by hand since is left alone' },
        ),
      ),
    ),
  },
  closed,
);
export type Adaptation = Static<typeof AdaptationSchema>;

export const FindingSchema = Type.Object(
  {
    rule: TextSchema,
    severity: oneOf(['note', 'caution', 'stop']),
    stepIds: Type.Array(UuidSchema),
    answer: oneOf(['fixed', 'accepted']),
    why: NoteSchema,
  },
  closed,
);

const chartParts = {
  ...version,
  look: Type.Object({ id: UuidSchema, version: Type.Integer({ minimum: 1 }), name: TextSchema }, closed),
};
const chartRest = <S extends typeof StepSchema | typeof StepV1Schema>(step: S) => ({
  schools,
  forbids: Type.Optional(forbids),
  variants,
  steps: Type.Array(step, { minItems: 1, maxItems: MOST_STEPS }),
  findings: Type.Array(FindingSchema, { maxItems: 200 }),
  adaptations: Type.Optional(Type.Array(AdaptationSchema, { maxItems: MOST_ADAPTATIONS })),
  hash: Type.Optional(
    Type.String({
      pattern: '^sha256:[0-9a-f]{64}$',
      description: 'of the document without this field, keys sorted; checked when present',
    }),
  ),
});
/** The first form of a chart: its occasion and its wishes know less. Kept as it was written, hash and all. */
export const ChartV1Schema = Type.Object(
  {
    format: Type.Literal('toile.chart/1'),
    ...chartParts,
    client: ClientSnapshotV1Schema,
    occasion: OccasionV1Schema,
    ...chartRest(StepV1Schema),
  },
  closed,
);
export const ChartV2Schema = Type.Object(
  {
    format: Type.Literal('toile.chart/2'),
    ...chartParts,
    client: ClientSnapshotSchema,
    occasion: OccasionSchema,
    ...chartRest(StepSchema),
  },
  closed,
);
/**
 * A chart of either form. The second only adds to the first, so whoever reads a chart reads both alike; what
 * is made anew is of the second.
 */
export type Chart = Omit<Static<typeof ChartV2Schema>, 'format'> & {
  format: 'toile.chart/1' | 'toile.chart/2';
};
export const ChartSchema = Type.Unsafe<Chart>(Type.Union([ChartV1Schema, ChartV2Schema]));
/** The format of whatever is made anew. */
export const CHART_FORMAT = 'toile.chart/2';

/** The schema a value says it is written in; the newest where it does not say. */
export function chartSchemaOf(value: unknown): typeof ChartV1Schema | typeof ChartV2Schema {
  const format = typeof value === 'object' && value !== null && 'format' in value ? value.format : null;
  return format === 'toile.chart/1' ? ChartV1Schema : ChartV2Schema;
}

export type ClientSnapshot = Static<typeof ClientSnapshotSchema>;

/** What the chart's look does not allow; charts made before looks carried it allow everything. */
export function forbidsOf(chart: Pick<Chart, 'forbids'>): Look['forbids'] {
  return chart.forbids ?? { finishes: [], kinds: [] };
}
