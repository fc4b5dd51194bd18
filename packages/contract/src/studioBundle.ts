import { VISIT_STATES } from './visit';
import { Type, type Static, type TSchema } from '@sinclair/typebox';
import {
  ChartSchema,
  CLIENT_RUN_UP,
  ConsultSchema,
  IncidentSchema,
  OccasionSchema,
  PatchTestSchema,
  PhotographSchema,
  FeaturesSchema,
  LandmarksSchema,
  LookSchema,
  OCCASIONS,
  CompactSchema,
  PaletteSchema,
  PartyEventSchema,
  PartyPlanSchema,
  ProductSchema,
  RecordedEventSchema,
  SKIN_ZONES,
  TapsSchema,
  UnitSchema,
  LearnedAnswerSchema,
  PracticeEventSchema,
  TrialEventSchema,
  TrialSchema,
  WearCheckSchema,
  type Lab,
  type SkinZone,
} from '@toile/core';
import { LEDGER_REASONS } from './answers';
import { ROLES } from './roles';
import type { StudioSettings } from './settings';

const id = Type.String({ pattern: '^[0-9a-f-]{36}$' });
const closed = { additionalProperties: false } as const;
const text = Type.String({ maxLength: 4000 });
const orNull = <T extends TSchema>(schema: T) => Type.Union([schema, Type.Null()]);
const words = <T extends string>(values: readonly T[]) => Type.Union(values.map((v) => Type.Literal(v)));
const lab = Type.Tuple([Type.Number(), Type.Number(), Type.Number()]);
const byZone = Type.Object(
  Object.fromEntries(SKIN_ZONES.map((zone) => [zone, Type.Optional(Type.Array(lab, { minItems: 1 }))])),
  closed,
);
const skinByZone = Type.Object(
  Object.fromEntries(SKIN_ZONES.map((zone) => [zone, Type.Optional(lab)])),
  closed,
);
const version = Type.Integer({ minimum: 1 });

/**
 * What a studio keeps, one entry a table: each table's rows travel by the schema that stands here and by no
 * other.
 */
const TABLES = {
  people: Type.Object(
    {
      id,
      name: text,
      email: text,
      role: words(ROLES),
      /** Let in no longer since. */
      deactivatedAt: Type.Optional(text),
    },
    closed,
  ),
  clients: Type.Object(
    {
      id,
      name: text,
      phone: text,
      email: text,
      birthYear: orNull(Type.Integer()),
      guardianConsent: text,
      sensitivities: Type.Array(text),
      notes: text,
      features: FeaturesSchema,
      measurements: Type.Record(Type.String(), Type.Number()),
      taps: Type.Optional(TapsSchema),
      likeness: Type.Optional(orNull(LandmarksSchema)),
      consult: Type.Optional(ConsultSchema),
    },
    closed,
  ),
  /** What the stand-in reader sees on made-up people. */
  simulatedSkins: Type.Object(
    { clientId: id, skin: Type.Unsafe<{ readonly [zone in SkinZone]?: Lab }>(skinByZone) },
    closed,
  ),
  readings: Type.Object(
    {
      id,
      clientId: id,
      at: text,
      by: text,
      source: words(['reader', 'typed', 'import'] as const),
      zones: Type.Unsafe<{ readonly [zone in SkinZone]?: readonly Lab[] }>(byZone),
      extras: Type.Optional(
        Type.Array(
          Type.Object(
            {
              name: text,
              beside: words(SKIN_ZONES),
              samples: Type.Unsafe<readonly Lab[]>(Type.Array(lab, { minItems: 1 })),
            },
            closed,
          ),
        ),
      ),
    },
    closed,
  ),
  products: ProductSchema,
  units: UnitSchema,
  /** What was put into and taken from units, oldest first. */
  ledger: Type.Object(
    {
      id,
      unitId: id,
      at: text,
      by: text,
      mg: Type.Number(),
      reason: words(LEDGER_REASONS),
      note: text,
      chartId: orNull(id),
      version: orNull(version),
      stepId: orNull(id),
    },
    closed,
  ),
  palettes: PaletteSchema,
  /** None where the studio has changed nothing. */
  settings: Type.Unsafe<StudioSettings>(Type.Object({}, { description: 'how the studio does things' })),
  looks: LookSchema,
  /** Looks that are no longer proposed. */
  retiredLooks: Type.Object({ lookId: id }, closed),
  parties: Type.Object(
    { id, name: text, date: text, place: text, notes: text, plan: Type.Optional(orNull(PartyPlanSchema)) },
    closed,
  ),
  /** Every version of every chart; of one chart the first comes first. */
  charts: ChartSchema,
  visits: Type.Object(
    {
      id,
      clientId: id,
      kind: words(OCCASIONS),
      date: text,
      startsAt: text,
      readyBy: orNull(text),
      place: text,
      partyId: orNull(id),
      chartId: orNull(id),
      state: Type.Optional(words(VISIT_STATES)),
      reason: Type.Optional(text),
      occasion: Type.Optional(orNull(OccasionSchema)),
      bookedOn: Type.Optional(text),
      runUp: Type.Optional(Type.Array(words(CLIENT_RUN_UP))),
    },
    closed,
  ),
  patchTests: PatchTestSchema,
  incidents: IncidentSchema,
  /** What happened at the chair, in the order it was recorded. */
  events: Type.Object({ chartId: id, version, event: RecordedEventSchema }, closed),
  /** How it wore: each look at a face, in the order it was told. */
  wearChecks: WearCheckSchema,
  /** Half-face trials, in the order they were drawn. */
  trials: TrialSchema,
  /** What was told of them, in the order it was recorded. */
  trialEvents: Type.Object({ trialId: id, event: TrialEventSchema }, closed),
  /** What was answered to what was proposed, in the order it was recorded. */
  learnedAnswers: LearnedAnswerSchema,
  /** What was practised, and whose hands it was, in the order it was recorded. */
  practiceEvents: Type.Object({ accountId: id, event: PracticeEventSchema }, closed),
  /** What clients took home to put a look on with. */
  compacts: Type.Object(
    { compact: CompactSchema, clientId: id, chartId: id, version, madeBy: text, madeAt: text },
    closed,
  ),
  /**
   * Photographs clients agreed to and the studio keeps. They travel in a backup alone: a single text file
   * would be too large for anybody to open.
   */
  photographs: Type.Object(
    { photograph: PhotographSchema, jpeg: Type.String({ description: 'the picture, base64' }) },
    closed,
  ),
  /** What was told of parties’ days and of their packing, in the order it was recorded. */
  partyEvents: Type.Object({ partyId: id, event: PartyEventSchema }, closed),
} as const;

/** Tables of a bundle, in an order in which each comes after what it points to. */
export const BUNDLE_TABLES = Object.keys(TABLES) as readonly BundleTable[];
export type BundleTable = keyof typeof TABLES;
/** One row of a table as it travels. */
export type BundleRow<T extends BundleTable> = Static<(typeof TABLES)[T]>;

/**
 * A whole studio as one document, `toile.studio/2`: what is saved and taken in again. It holds no password
 * and no session.
 */
export type StudioBundle = {
  readonly format: 'toile.studio/2';
  readonly studio: { readonly id: string; readonly name: string };
} & { readonly [T in BundleTable]: readonly BundleRow<T>[] };

/** Tables that came later: a file from before them is whole without. */
const LATER = [
  'patchTests',
  'retiredLooks',
  'incidents',
  'partyEvents',
  'wearChecks',
  'trials',
  'trialEvents',
  'learnedAnswers',
  'practiceEvents',
  'compacts',
  'photographs',
] as const satisfies readonly BundleTable[];
type LaterTable = (typeof LATER)[number];
/** A bundle as it stands in a file. */
export type StudioFile = Omit<StudioBundle, LaterTable> & Partial<Pick<StudioBundle, LaterTable>>;

const tableSchema = (table: BundleTable): TSchema => {
  const rows = Type.Array(TABLES[table]);
  return LATER.some((later) => later === table) ? Type.Optional(rows) : rows;
};
/** The rows of one table as they stand in a file of their own. */
export const rowsSchemaOf = (table: BundleTable): TSchema => Type.Array(TABLES[table]);

export const StudioBundleSchema = Type.Unsafe<StudioFile>(
  Type.Object(
    {
      format: Type.Literal('toile.studio/2'),
      studio: Type.Object({ id, name: text }, closed),
      ...Object.fromEntries(BUNDLE_TABLES.map((table) => [table, tableSchema(table)])),
    },
    closed,
  ),
);

/** A studio in which nothing is yet. */
export function emptyBundle(studio: StudioBundle['studio']): StudioBundle {
  return {
    format: 'toile.studio/2',
    studio,
    people: [],
    clients: [],
    simulatedSkins: [],
    readings: [],
    products: [],
    units: [],
    ledger: [],
    palettes: [],
    settings: [],
    looks: [],
    retiredLooks: [],
    parties: [],
    charts: [],
    visits: [],
    patchTests: [],
    incidents: [],
    events: [],
    partyEvents: [],
    wearChecks: [],
    trials: [],
    trialEvents: [],
    learnedAnswers: [],
    practiceEvents: [],
    compacts: [],
    photographs: [],
  };
}
