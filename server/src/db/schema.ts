import type { ColumnType, Generated } from 'kysely';
import type {
  ChairEvent,
  Chart,
  Consult,
  Features,
  Incident,
  Lab,
  Landmarks,
  Look,
  Measurements,
  Occasion,
  Compact,
  FaceTaps,
  Palette,
  PhotoLight,
  Point,
  PartyEvent,
  PartyPlan,
  PatchTest,
  Product,
  RunUpKind,
  SkinZone,
  Taps,
  Tool,
  Unit,
  Trial,
  TrialEvent,
  SkinGroup,
  TrialZone,
  WearClimate,
  LearnedAnswer,
  PracticeEvent,
  WearCheck,
} from '@toile/core';
import type {
  ExtraReading,
  IntakeAnswer,
  LedgerEntry,
  Role,
  StudioSettings,
  VisitState,
} from '@toile/contract';

/** A jsonb column: read as a value, written as JSON text. */
type Json<T> = ColumnType<T, string, string>;
/** A date column: read and written as YYYY-MM-DD. */
type Day = ColumnType<string, string, string>;
type Instant = ColumnType<Date, Date | string, Date | string>;
type Created = ColumnType<Date, Date | string | undefined, never>;

export type Database = {
  accounts: { id: string; email: string; password_hash: string };
  studios: { id: string; name: string };
  memberships: {
    studio_id: string;
    account_id: string;
    role: Role;
    name: string;
    revision: Generated<number>;
    deactivated_at: Instant | null;
  };
  invites: {
    studio_id: string;
    id: string;
    /** Whom a new password is for; null: somebody new. */
    account_id: string | null;
    email: string;
    name: string;
    role: Role;
    secret_hash: string;
    made_by: string;
    made_at: Created;
    expires_at: Instant;
    used_at: Instant | null;
    revoked_at: Instant | null;
  };
  clients: {
    studio_id: string;
    id: string;
    revision: Generated<number>;
    name: string;
    folded: ColumnType<string, never, never>;
    contact: Json<{ phone: string; email: string }>;
    birth_year: number | null;
    guardian_consent: string;
    sensitivities: Json<string[]>;
    notes: string;
    features: Json<Features>;
    measurements: Json<Measurements>;
    taps: ColumnType<Taps, string | undefined, string>;
    likeness: ColumnType<Landmarks | null, string | null | undefined, string | null>;
    consult: ColumnType<Consult, string | undefined, string>;
    created_at: Created;
    updated_at: Instant;
  };
  readings: {
    studio_id: string;
    id: string;
    client_id: string;
    at: Instant;
    by_name: string;
    source: 'reader' | 'typed' | 'import';
    zones: Json<{ readonly [zone in SkinZone]?: readonly Lab[] }>;
    extras: ColumnType<readonly ExtraReading[], string | undefined, string>;
  };
  shares: {
    studio_id: string;
    id: string;
    chart_id: string;
    version: number;
    secret_hash: string;
    cautions: boolean;
    made_by: string;
    made_at: Created;
    expires_at: Instant;
    revoked_at: ColumnType<Date | null, Date | null | undefined, Date>;
  };
  simulated_skins: {
    studio_id: string;
    client_id: string;
    skin: Json<{ readonly [zone in SkinZone]?: Lab }>;
  };
  products: { studio_id: string; id: string; revision: Generated<number>; document: Json<Product> };
  units: {
    studio_id: string;
    id: string;
    product_id: string;
    revision: Generated<number>;
    document: Json<Unit>;
  };
  unit_ledger: {
    studio_id: string;
    id: string;
    unit_id: string;
    at: Created;
    by_name: string;
    mg: number;
    reason: LedgerEntry['reason'];
    note: string;
    chart_id: string | null;
    version: number | null;
    step_id: string | null;
    seq: Generated<string>;
  };
  studio_settings: { studio_id: string; revision: Generated<number>; document: Json<StudioSettings> };
  palettes: { studio_id: string; id: string; revision: Generated<number>; document: Json<Palette> };
  look_versions: {
    studio_id: string;
    look_id: string;
    version: number;
    name: string;
    document: Json<Look>;
    created_at: Created;
  };
  retired_looks: { studio_id: string; look_id: string };
  /** Of each client's name, kept by the database itself: threes of letters by which it is found. */
  name_threes: { studio_id: string; three: string; client_id: string };
  parties: {
    studio_id: string;
    id: string;
    revision: Generated<number>;
    name: string;
    date: Day;
    place: string;
    notes: string;
    plan: Json<PartyPlan> | null;
  };
  party_events: {
    studio_id: string;
    id: string;
    party_id: string;
    event: Json<Omit<PartyEvent, 'id'>>;
    at: Instant;
    seq: Generated<string>;
  };
  sheet_links: {
    studio_id: string;
    id: string;
    party_id: string;
    whom: string;
    secret_hash: string;
    made_by: string;
    made_at: Created;
    expires_at: Instant;
    revoked_at: ColumnType<Date | null, Date | null | undefined, Date>;
  };
  visits: {
    studio_id: string;
    id: string;
    client_id: string;
    party_id: string | null;
    kind: Occasion['kind'];
    date: Day;
    starts_at: string;
    ready_by: string | null;
    place: string;
    chart_id: string | null;
    revision: Generated<number>;
    state: Generated<VisitState>;
    reason: Generated<string>;
    occasion: Json<Occasion> | null;
    booked_on: ColumnType<string, string | undefined, string>;
    run_up: Generated<RunUpKind[]>;
  };
  patch_tests: {
    studio_id: string;
    id: string;
    client_id: string;
    product_id: string;
    revision: Generated<number>;
    document: Json<PatchTest>;
  };
  incidents: { studio_id: string; id: string; client_id: string; document: Json<Incident>; at: Created };
  intakes: {
    studio_id: string;
    id: string;
    client_id: string;
    secret_hash: string;
    made_by: string;
    made_at: Created;
    expires_at: Instant;
    used_at: Instant | null;
    revoked_at: Instant | null;
    answers: Json<Consult> | null;
    settled: ColumnType<IntakeAnswer['settled'], string | undefined, string>;
  };
  wear_checks: {
    studio_id: string;
    id: string;
    client_id: string;
    chart_id: string;
    document: Json<WearCheck>;
    at: Instant;
    seq: Generated<string>;
  };
  trials: {
    studio_id: string;
    id: string;
    client_id: string;
    chart_id: string;
    question_key: string;
    document: Json<Trial>;
    at: Instant;
    seq: Generated<string>;
  };
  trial_events: {
    studio_id: string;
    id: string;
    trial_id: string;
    client_id: string;
    kind: TrialEvent['kind'];
    event: Json<TrialEvent>;
    at: Instant;
    seq: Generated<string>;
  };
  photographs: {
    studio_id: string;
    id: string;
    client_id: string;
    chart_id: string;
    taken_at: Instant;
    light: PhotoLight;
    taps: Json<FaceTaps>;
    bare: Json<Point> | null;
    picture: Buffer;
    kept_by: string;
    kept_at: Created;
  };
  zone_wears: {
    studio_id: string;
    chart_id: string;
    applied_at: Instant;
    zone: TrialZone;
    client_id: string;
    worn: string | null;
    skin: SkinGroup | null;
    climate: WearClimate | null;
    good: number;
    bad: number | null;
  };
  learned_answers: {
    studio_id: string;
    id: string;
    key: string;
    document: Json<LearnedAnswer>;
    at: Instant;
    seq: Generated<string>;
  };
  practice_events: {
    studio_id: string;
    id: string;
    account_id: string;
    kind: PracticeEvent['kind'];
    skill: string | null;
    event: Json<PracticeEvent>;
    at: Instant;
    seq: Generated<string>;
  };
  compacts: {
    studio_id: string;
    id: string;
    client_id: string;
    chart_id: string;
    version: number;
    revision: Generated<number>;
    document: Json<Compact>;
    made_by: string;
    made_at: ColumnType<Date, Date | string | undefined, never>;
  };
  lesson_links: {
    studio_id: string;
    id: string;
    chart_id: string;
    client_id: string;
    version: number;
    minutes: number;
    keep: Json<string[]>;
    tools: ColumnType<Tool[] | null, string | null, never>;
    was_version: ColumnType<number | null, number | null | undefined, number>;
    secret_hash: string;
    made_by: string;
    made_at: Created;
    expires_at: ColumnType<Date | null, Date | null, never>;
    revoked_at: ColumnType<Date | null, Date | null | undefined, Date>;
  };
  wear_links: {
    studio_id: string;
    id: string;
    chart_id: string;
    version: number;
    applied_at: Instant;
    trial_id: ColumnType<string | null, string | null | undefined, never>;
    secret_hash: string;
    made_by: string;
    made_at: Created;
    expires_at: Instant;
    revoked_at: ColumnType<Date | null, Date | null | undefined, Date>;
  };
  calendar_feeds: { studio_id: string; account_id: string; secret_hash: string; made_at: Instant };
  charts: { studio_id: string; id: string; client_id: string };
  chart_versions: {
    studio_id: string;
    chart_id: string;
    version: number;
    document: Json<Chart>;
    hash: string;
    author: string;
    reason: string;
    at: Instant;
  };
  chair_events: {
    studio_id: string;
    id: string;
    chart_id: string;
    version: number;
    step_id: string;
    event: Json<ChairEvent>;
    at: Instant;
    seq: Generated<string>;
  };
  audit: {
    studio_id: string;
    id: string;
    account_id: string | null;
    route: string;
    subject: string | null;
    at: Created;
  };
  idempotency: {
    studio_id: string;
    key: string;
    account_id: string;
    request_hash: string;
    status: number | null;
    body: Json<unknown> | null;
    at: Created;
  };
};

/** Tables every row of which belongs to one studio: all under row level security. */
export const STUDIO_TABLES = [
  'memberships',
  'invites',
  'clients',
  'readings',
  'simulated_skins',
  'products',
  'units',
  'unit_ledger',
  'palettes',
  'studio_settings',
  'look_versions',
  'retired_looks',
  'parties',
  'party_events',
  'sheet_links',
  'visits',
  'patch_tests',
  'incidents',
  'intakes',
  'wear_checks',
  'trials',
  'trial_events',
  'photographs',
  'zone_wears',
  'learned_answers',
  'practice_events',
  'lesson_links',
  'compacts',
  'wear_links',
  'calendar_feeds',
  'charts',
  'chart_versions',
  'chair_events',
  'shares',
  'name_threes',
  'audit',
  'idempotency',
] as const satisfies readonly (keyof Database)[];

/** Tables the app may add to and read but never change. */
export const APPEND_ONLY = [
  'readings',
  'unit_ledger',
  'incidents',
  'look_versions',
  'charts',
  'chart_versions',
  'chair_events',
  'party_events',
  'wear_checks',
  'trials',
  'trial_events',
  'learned_answers',
  'audit',
] as const satisfies readonly (typeof STUDIO_TABLES)[number][];
