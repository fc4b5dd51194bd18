import type {
  Chart,
  Consult,
  Features,
  Incident,
  Kit,
  Lab,
  Landmarks,
  Look,
  Measurements,
  Occasion,
  OwnTiming,
  Palette,
  PartyPlan,
  PatchTest,
  Product,
  RecordedEvent,
  RunUpKind,
  Skin,
  SkinZone,
  Taps,
  Unit,
} from '@toile/core';
import type { Role } from './roles';
import type { StudioSettings } from './settings';
import type { VisitState } from './visit';

export type SessionAnswer = {
  readonly name: string;
  readonly email: string;
  readonly role: Role;
  readonly studio: { readonly id: string; readonly name: string };
};

/** Whether nobody has set this installation up yet. */
export type SetUpAnswer = { readonly needed: boolean };

export type ClientSummary = {
  readonly id: string;
  readonly name: string;
  readonly skin: Lab | null;
  readonly lastRead: string | null;
  readonly nextVisit: string | null;
  readonly chartCount: number;
};

/** One reading as kept: raw samples and the means made of them. */
export type ReadingAnswer = {
  readonly id: string;
  readonly at: string;
  readonly by: string;
  readonly source: 'reader' | 'typed' | 'import';
  readonly zones: { readonly [zone in SkinZone]?: readonly Lab[] };
  readonly skin: Skin;
  /** Places beside the usual zones: a spot that differs, or any other. */
  readonly extras: readonly ExtraReading[];
};

export type ExtraReading = {
  readonly name: string;
  /** The zone it lies in: the skin it is compared with. */
  readonly beside: SkinZone;
  readonly samples: readonly Lab[];
};

export type ClientAnswer = {
  readonly id: string;
  readonly revision: number;
  readonly name: string;
  /** null for roles that may not see it. */
  readonly contact: { readonly phone: string; readonly email: string } | null;
  readonly birthYear: number | null;
  readonly guardianConsent: string;
  /** Known ones by name, and others in the client’s own words. */
  readonly sensitivities: readonly string[];
  readonly notes: string;
  readonly features: Features;
  readonly measurements: Measurements;
  /** Places tapped on a photo, in mm; the photo itself is never sent. */
  readonly taps: Taps;
  /** Another face this one was started from. */
  readonly likeness: Landmarks | null;
  readonly readings: readonly ReadingAnswer[];
  readonly charts: readonly ChartSummary[];
  readonly visits: readonly VisitAnswer[];
  readonly patchTests: readonly PatchTestAnswer[];
  /** What was said in a first talk. */
  readonly consult: Consult;
  readonly incidents: readonly Incident[];
};

/** A patch test, and the revision an edit of it starts from. */
export type PatchTestAnswer = PatchTest & { readonly revision: number };

export type ChartSummary = {
  readonly id: string;
  readonly clientId: string;
  readonly clientName: string;
  readonly lookName: string;
  readonly version: number;
  readonly date: string;
  readonly occasion: string;
  readonly at: string;
  readonly author: string;
};

export type ChartAnswer = {
  readonly chart: Chart;
  /** What happened at the chair with this version. */
  readonly events: readonly RecordedEvent[];
  /**
   * What was told earlier at the sitting in which this version was saved, of steps that are the same work in
   * it; left out where nothing was.
   */
  readonly carried?: readonly RecordedEvent[];
  readonly versions: readonly (VersionLine & {
    readonly hash: string;
    /** Whether anything was recorded at the chair with it. */ readonly worked: boolean;
  })[];
};

/** What was recorded at the chair, as it is kept. */
export type RecordedAnswer = RecordedEvent;

/** For each of the studio's people who were timed often enough. */
export type TimingsAnswer = readonly { readonly by: string; readonly timings: readonly OwnTiming[] }[];

export type VisitAnswer = {
  readonly id: string;
  readonly clientId: string;
  readonly clientName: string;
  readonly kind: Occasion['kind'];
  readonly date: string;
  readonly startsAt: string;
  readonly readyBy: string | null;
  readonly place: string;
  readonly partyId: string | null;
  readonly chartId: string | null;
  readonly revision: number;
  readonly state: VisitState;
  /** Why it was cancelled; empty otherwise. */
  readonly reason: string;
  /** What it asks, once somebody said. */
  readonly occasion: Occasion | null;
  /** What the party it belongs to asks of everybody, once somebody said. */
  readonly partyOccasion: Occasion | null;
  /** The day it was booked, where the studio is. */
  readonly bookedOn: string;
  /** Tasks of the run-up that are done. */
  readonly runUp: readonly RunUpKind[];
};

/** What is due, each with where it leads. */
export type DueItem = {
  readonly kind: 'barred' | 'consent' | 'patch test' | 're-read' | 'run-up' | 'expiring' | 'expired';
  readonly words: string;
  readonly clientId: string | null;
  /** Of a party, where it is about one. */
  readonly partyId?: string;
  /** Of a chart, where it is about one. */
  readonly chartId?: string;
};

export type TodayAnswer = {
  readonly date: string;
  readonly visits: readonly VisitAnswer[];
  /** In order of their days; an answer a device kept from before these were told has none. */
  readonly parties?: readonly TodayParty[];
  readonly due: readonly DueItem[];
};

export type PartySummary = {
  readonly id: string;
  readonly name: string;
  readonly date: string;
  readonly place: string;
  readonly peopleCount: number;
};
/** A party to come, and when the first pair of hands is there ('07:30'); null: nobody said. */
export type TodayParty = PartySummary & { readonly begins: string | null };
export type PartyChart = { readonly look: string; readonly minutes: number };
export type PartyAnswer = PartySummary & {
  readonly revision: number;
  readonly notes: string;
  readonly visits: readonly VisitAnswer[];
  /** How its day is to go; null until somebody says. */ readonly plan: PartyPlan | null;
  /** Its people’s charts: by whose look, and how long each takes as it stands. */
  readonly charts: Readonly<Record<string, PartyChart>>;
};

export type LookSummary = {
  readonly id: string;
  readonly name: string;
  readonly description: string;
  readonly version: number;
  readonly tags: readonly string[];
  readonly minutes: number;
  readonly stepCount: number;
  /** No longer proposed. */
  readonly retired: boolean;
};
export type LookAnswer = {
  readonly look: Look;
  readonly versions: readonly VersionLine[];
  readonly retired: boolean;
};
/** What came in of a library's files, and how many were here as they are. */
export type ImportLooksAnswer = {
  readonly taken: readonly { readonly id: string; readonly name: string; readonly version: number }[];
  readonly same: number;
};
/** One version of a chart or look, newest first in lists. */
export type VersionLine = {
  readonly version: number;
  readonly author: string;
  readonly at: string;
  readonly reason: string;
};
export type KitAnswer = Kit & {
  /** Revision of each product and unit by id: what an edit starts from. */
  readonly revisions: Readonly<Record<string, number>>;
};
export type ProductAnswer = { readonly product: Product; readonly revision: number };
export type UnitAnswer = { readonly unit: Unit; readonly revision: number };
export type StudioSettingsAnswer = { readonly settings: StudioSettings; readonly revision: number };
export type PaletteAnswer = { readonly palette: Palette; readonly revision: number };
/** Why a unit holds more or less than before. */
export const LEDGER_REASONS = ['bought', 'chart', 'count'] as const;
export type LedgerEntry = {
  readonly id: string;
  readonly at: string;
  readonly by: string;
  /** Mg put in (above zero) or taken out. */
  readonly mg: number;
  readonly reason: (typeof LEDGER_REASONS)[number];
  readonly note: string;
  readonly chartId: string | null;
};
export type LedgerAnswer = {
  readonly unitId: string;
  readonly remainingMg: number;
  readonly entries: readonly LedgerEntry[];
};
export type ImportKitAnswer = { readonly products: number; readonly units: number; readonly leftOut: number };
export type ProductUsesAnswer = { readonly charts: readonly ChartSummary[] };
export type SubstitutionAnswer = {
  readonly changed: readonly { readonly chartId: string; readonly version: number }[];
  /** Charts that stay as they are, since it must not be used in them, and why. */
  readonly left: readonly {
    readonly chartId: string;
    readonly clientName: string;
    readonly because: string;
  }[];
};
export type SampleAnswer = { readonly lab: Lab; readonly illuminant: 'D65'; readonly simulated: true };

/** A link to one version of a chart; its secret is known to whoever made it only. */
export type ShareAnswer = {
  readonly id: string;
  readonly version: number;
  /** Whether the client's sensitivities are shown. */
  readonly cautions: boolean;
  readonly madeBy: string;
  readonly madeAt: string;
  readonly expiresAt: string;
  readonly revokedAt: string | null;
};
