import type { Chart, Compact, Incident, Look, Palette, Product, Unit } from '@toile/core';
import type {
  ChartAnswer,
  ClientAnswer,
  ClientSummary,
  ImportKitAnswer,
  ImportLooksAnswer,
  KitAnswer,
  LedgerAnswer,
  LookAnswer,
  LookSummary,
  PaletteAnswer,
  PartyAnswer,
  PartySummary,
  PatchTestAnswer,
  ProductAnswer,
  ProductUsesAnswer,
  ReadingAnswer,
  RecordedAnswer,
  SampleAnswer,
  SessionAnswer,
  SetUpAnswer,
  ShareAnswer,
  StudioSettingsAnswer,
  SubstitutionAnswer,
  TimingsAnswer,
  TodayAnswer,
  UnitAnswer,
  VisitAnswer,
} from '../answers';
import type {
  EraseClient,
  ErasedAnswer,
  ErasureAnswer,
  FeedAnswer,
  FeedInput,
  IncidentInput,
  IntakeAnswer,
  IntakeInput,
  OpenIntake,
  OpenIntakeAnswer,
  SendIntake,
  SettleIntake,
} from '../care';
import type { ClientInput } from '../client';
import type { CountInput, ImportKit, PaletteInput, ProductInput, SubstitutionInput, UnitInput } from '../kit';
import type { Enquiry, EnquiryAnswer } from '../enquiry';
import type { PartyEvent } from '@toile/core';
import type {
  PackingAnswer,
  PartyEventInput,
  PartyInput,
  PartyLogAnswer,
  VisitMinutesAnswer,
} from '../party';
import type { PatchTestInput } from '../patchTest';
import type { PhotographInput, PhotographsAnswer } from '../photograph';
import type { StudioSettings } from '../settings';
import type { SheetLinkAnswer, SheetLinkInput } from '../sheet';
import type { ShareInput } from '../share';
import type {
  ChairEventInput,
  ImportChart,
  ImportLooks,
  NewChart,
  NewLook,
  NewVersion,
  ReadingInput,
  RetireLook,
  SampleRequest,
} from '../work';
import type { RunUpInput, VisitInput } from '../visit';
import type { NewPassword, SetUp } from '../setUp';
import type { CompactAnswer, CompactInput } from '../compact';
import type { LessonLinkAnswer, LessonLinkInput, LessonRenewal } from '../lesson';
import type { ForgetPractice, PracticeAnswer, PracticeInput } from '../practice';
import type {
  QuestionsAnswer,
  SendTrial,
  TrialAnswer,
  TrialEventInput,
  TrialInput,
  TrialToldAnswer,
} from '../trial';
import type {
  ChartWearAnswer,
  LearnedAnswerInput,
  LearnedEvidenceAnswer,
  OpenWear,
  OpenWearAnswer,
  SendWear,
  StudioWearAnswer,
  WearCheckInput,
  WearLinkInput,
} from '../wear';
import type { SignIn } from '../signIn';
import type {
  AuditLine,
  DeviceAnswer,
  EndSessions,
  InviteAnswer,
  InviteInput,
  MemberAnswer,
  MemberInput,
  OpenInvite,
  OpenInviteAnswer,
  ResetInput,
  TakeInvite,
  TeamAnswer,
} from '../team';
import type { RouteName, WriteName } from './list';

/** An answer that is a file, not JSON. */
export type FileAnswer = { readonly file: true };
/** Nothing to say beyond that it was done. */
export type Nothing = { readonly nothing: true };
/** A body without anything in it. */
export type EmptyBody = Readonly<Record<string, never>>;

/** What each route takes and answers; `current` is what a refused edit shows beside the one that was sent. */
type RouteTypes = {
  signIn: { takes: SignIn; answers: SessionAnswer };
  setUpState: { answers: SetUpAnswer };
  setUp: { takes: SetUp; answers: SessionAnswer };
  changePassword: { takes: NewPassword; answers: SessionAnswer };
  session: { answers: SessionAnswer | null };
  signOut: { answers: Nothing };
  devices: { answers: DeviceAnswer[] };
  endSessions: { takes: EndSessions; answers: DeviceAnswer[] };
  openInvite: { takes: OpenInvite; answers: OpenInviteAnswer };
  takeInvite: { takes: TakeInvite; answers: SessionAnswer };
  team: { answers: TeamAnswer };
  createInvite: { takes: InviteInput; answers: InviteAnswer };
  revokeInvite: { takes: EmptyBody; answers: InviteAnswer };
  updateMember: { takes: MemberInput; answers: MemberAnswer; current: MemberAnswer };
  createReset: { takes: ResetInput; answers: InviteAnswer };
  audit: { answers: AuditLine[] };
  today: { answers: TodayAnswer };
  timings: { answers: TimingsAnswer };
  listClients: { answers: ClientSummary[] };
  createClient: { takes: ClientInput; answers: ClientAnswer };
  client: { answers: ClientAnswer };
  updateClient: { takes: ClientInput; answers: ClientAnswer; current: ClientAnswer };
  createEnquiry: { takes: Enquiry; answers: EnquiryAnswer };
  createPatchTest: { takes: PatchTestInput; answers: PatchTestAnswer };
  updatePatchTest: { takes: PatchTestInput; answers: PatchTestAnswer; current: PatchTestAnswer };
  createReading: { takes: ReadingInput; answers: ReadingAnswer };
  createIncident: { takes: IncidentInput; answers: Incident };
  listIntakes: { answers: IntakeAnswer[] };
  createIntake: { takes: IntakeInput; answers: IntakeAnswer };
  revokeIntake: { takes: EmptyBody; answers: IntakeAnswer };
  settleIntake: { takes: SettleIntake; answers: IntakeAnswer };
  openIntake: { takes: OpenIntake; answers: OpenIntakeAnswer };
  sendIntake: { takes: SendIntake; answers: Nothing };
  clientData: { answers: FileAnswer };
  erasure: { answers: ErasureAnswer };
  eraseClient: { takes: EraseClient; answers: ErasedAnswer };
  calendarFeed: { answers: FeedAnswer };
  renewFeed: { takes: FeedInput; answers: FeedAnswer };
  endFeed: { takes: EmptyBody; answers: FeedAnswer };
  sample: { takes: SampleRequest; answers: SampleAnswer };
  exportReading: { answers: FileAnswer };
  listLooks: { answers: LookSummary[] };
  look: { answers: LookAnswer };
  createLook: { takes: NewLook; answers: LookAnswer; current: Look | null };
  exportLooks: { answers: FileAnswer };
  importLooks: { takes: ImportLooks; answers: ImportLooksAnswer };
  exportLook: { answers: FileAnswer };
  retireLook: { takes: RetireLook; answers: LookAnswer };
  kit: { answers: KitAnswer };
  importKit: { takes: ImportKit; answers: ImportKitAnswer };
  exportKit: { answers: FileAnswer };
  createProduct: { takes: ProductInput; answers: ProductAnswer };
  updateProduct: { takes: ProductInput; answers: ProductAnswer; current: Product };
  productUses: { answers: ProductUsesAnswer };
  substituteProduct: { takes: SubstitutionInput; answers: SubstitutionAnswer };
  createUnit: { takes: UnitInput; answers: UnitAnswer };
  updateUnit: { takes: UnitInput; answers: UnitAnswer; current: Unit };
  countUnit: { takes: CountInput; answers: LedgerAnswer };
  unitLedger: { answers: LedgerAnswer };
  listPalettes: { answers: PaletteAnswer[] };
  createPalette: { takes: PaletteInput; answers: PaletteAnswer };
  updatePalette: { takes: PaletteInput; answers: PaletteAnswer; current: Palette };
  paletteLabels: { answers: FileAnswer };
  createChart: { takes: NewChart; answers: ChartAnswer };
  importChart: { takes: ImportChart; answers: ChartAnswer };
  chart: { answers: ChartAnswer };
  exportChart: { answers: FileAnswer };
  printChart: { answers: FileAnswer };
  liveChart: { answers: FileAnswer };
  createVersion: { takes: NewVersion; answers: ChartAnswer; current: Chart };
  listShares: { answers: ShareAnswer[] };
  createShare: { takes: ShareInput; answers: ShareAnswer };
  revokeShare: { takes: EmptyBody; answers: ShareAnswer };
  createEvent: { takes: ChairEventInput; answers: RecordedAnswer };
  chartWear: { answers: ChartWearAnswer };
  photographs: { answers: PhotographsAnswer };
  photograph: { answers: FileAnswer };
  createPhotograph: { takes: PhotographInput; answers: PhotographsAnswer };
  dropPhotograph: { takes: EmptyBody; answers: PhotographsAnswer };
  createWearCheck: { takes: WearCheckInput; answers: ChartWearAnswer };
  createWearLink: { takes: WearLinkInput; answers: ChartWearAnswer };
  revokeWearLink: { takes: EmptyBody; answers: ChartWearAnswer };
  studioWear: { answers: StudioWearAnswer };
  printLesson: { answers: FileAnswer };
  listLessonLinks: { answers: LessonLinkAnswer[] };
  createLessonLink: { takes: LessonLinkInput; answers: LessonLinkAnswer };
  printEvidence: { answers: FileAnswer };
  touchUpCard: { answers: FileAnswer };
  listCompacts: { answers: CompactAnswer[] };
  createCompact: { takes: CompactInput; answers: CompactAnswer };
  updateCompact: { takes: CompactInput; answers: CompactAnswer; current: Compact };
  printCompact: { answers: FileAnswer };
  renewLessonLink: { takes: LessonRenewal; answers: LessonLinkAnswer };
  revokeLessonLink: { takes: EmptyBody; answers: LessonLinkAnswer };
  practice: { answers: PracticeAnswer };
  tellPractice: { takes: PracticeInput; answers: PracticeAnswer };
  forgetPractice: { takes: ForgetPractice; answers: PracticeAnswer };
  learned: { answers: LearnedEvidenceAnswer };
  answerLearned: { takes: LearnedAnswerInput; answers: LearnedEvidenceAnswer };
  openWear: { takes: OpenWear; answers: OpenWearAnswer };
  sendWear: { takes: SendWear; answers: OpenWearAnswer };
  chartTrials: { answers: TrialAnswer[] };
  createTrial: { takes: TrialInput; answers: TrialAnswer; current: Chart };
  trial: { answers: TrialAnswer };
  createTrialEvent: { takes: TrialEventInput; answers: TrialToldAnswer };
  exportTrial: { answers: FileAnswer };
  trialQuestions: { answers: QuestionsAnswer };
  sendTrial: { takes: SendTrial; answers: OpenWearAnswer };
  createVisit: { takes: VisitInput; answers: VisitAnswer };
  tickRunUp: { takes: RunUpInput; answers: VisitAnswer };
  updateVisit: { takes: VisitInput; answers: VisitAnswer; current: VisitAnswer };
  studioSettings: { answers: StudioSettingsAnswer };
  updateStudioSettings: { takes: StudioSettings; answers: StudioSettingsAnswer; current: StudioSettings };
  exportStudio: { answers: FileAnswer };
  backupStudio: { answers: FileAnswer };
  listParties: { answers: PartySummary[] };
  createParty: { takes: PartyInput; answers: PartyAnswer };
  party: { answers: PartyAnswer };
  updateParty: { takes: PartyInput; answers: PartyAnswer; current: PartyAnswer };
  partyLog: { answers: PartyLogAnswer };
  createPartyEvent: { takes: PartyEventInput; answers: PartyEvent };
  liveParty: { answers: FileAnswer };
  partySheet: { answers: FileAnswer };
  listSheetLinks: { answers: SheetLinkAnswer[] };
  createSheetLink: { takes: SheetLinkInput; answers: SheetLinkAnswer };
  revokeSheetLink: { takes: EmptyBody; answers: SheetLinkAnswer };
  visitMinutes: { answers: VisitMinutesAnswer };
  partyPacking: { answers: PackingAnswer };
};

/** The body a route takes. */
export type BodyOf<N extends WriteName> = RouteTypes[N]['takes'];
/** What a route answers when all goes well. */
export type AnswerOf<N extends RouteName> = RouteTypes[N]['answers'];
/** Writes that are refused with what is there when someone else was first. */
export type StaleName = {
  [N in WriteName]: RouteTypes[N] extends { current: unknown } ? N : never;
}[WriteName];
/** What is there, for a write that came second. */
export type CurrentOf<N extends StaleName> = RouteTypes[N]['current'];
