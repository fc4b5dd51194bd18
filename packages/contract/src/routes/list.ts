import type { Permission } from '../roles';

export type Method = 'GET' | 'POST' | 'PUT' | 'DELETE';
export type Route = {
  readonly method: Method;
  readonly path: string;
  /** null: open to anyone. */
  readonly needs: Permission | null;
  readonly does: string;
  /** What may be asked behind the ?. */
  readonly asks?: readonly string[];
};

/**
 * Every address the server answers: the app calls by these, the server registers these, the docs list these.
 */
export const ROUTES = {
  signIn: { method: 'POST', path: '/api/session', needs: null, does: 'Signs in with email and password.' },
  setUpState: {
    method: 'GET',
    path: '/api/setup',
    needs: null,
    does: 'Whether this installation waits to be set up.',
  },
  setUp: {
    method: 'POST',
    path: '/api/setup',
    needs: null,
    does: 'Sets up the studio and its owner, once.',
  },
  changePassword: {
    method: 'POST',
    path: '/api/session/password',
    needs: 'see',
    does: 'Changes one’s own password; everyone else signed in with it is signed out.',
  },
  session: {
    method: 'GET',
    path: '/api/session',
    needs: null,
    does: 'Says who is signed in; null when nobody is.',
  },
  signOut: { method: 'DELETE', path: '/api/session', needs: null, does: 'Signs out.' },
  devices: {
    method: 'GET',
    path: '/api/session/devices',
    needs: 'see',
    does: 'Where one is signed in, and when each was last used.',
  },
  endSessions: {
    method: 'POST',
    path: '/api/session/endings',
    needs: 'see',
    does: 'Signs oneself out on one device, or on all others.',
  },
  openInvite: {
    method: 'POST',
    path: '/api/invites/open',
    needs: null,
    does: 'Says what a link asks whoever holds it to; in the body, so that no log keeps it.',
  },
  takeInvite: {
    method: 'POST',
    path: '/api/invites/take',
    needs: null,
    does: 'Takes up an invitation, or chooses a new password by link, once.',
  },
  team: { method: 'GET', path: '/api/team', needs: 'manage', does: 'Who works here, and who was asked to.' },
  createInvite: {
    method: 'POST',
    path: '/api/team/invites',
    needs: 'manage',
    does: 'Asks somebody into the studio by a link that ends.',
  },
  revokeInvite: {
    method: 'POST',
    path: '/api/team/invites/:id/revocations',
    needs: 'manage',
    does: 'Takes a link back at once.',
  },
  updateMember: {
    method: 'PUT',
    path: '/api/team/:id',
    needs: 'manage',
    does: 'Changes somebody’s name or role, or lets them in no longer.',
  },
  createReset: {
    method: 'POST',
    path: '/api/team/:id/resets',
    needs: 'manage',
    does: 'Makes a link for somebody of the team to choose a new password by.',
  },
  audit: {
    method: 'GET',
    path: '/api/audit',
    needs: 'manage',
    does: 'Who did what, newest first; ?by= of one account, ?before= the id of the last line seen.',
    asks: ['by', 'before'],
  },
  today: {
    method: 'GET',
    path: '/api/today',
    needs: 'see',
    does: 'Next visits and what is due; ?zone= says whose day it is where the studio has none.',
    asks: ['zone'],
  },
  timings: {
    method: 'GET',
    path: '/api/timings',
    needs: 'see',
    does: 'How quick each pair of hands is against the plan, learned from the chair.',
  },
  listClients: {
    method: 'GET',
    path: '/api/clients',
    needs: 'see',
    does: 'Clients by name; ?query= forgives accents and slips.',
    asks: ['query', 'zone'],
  },
  createClient: { method: 'POST', path: '/api/clients', needs: 'edit', does: 'Adds a client.' },
  client: {
    method: 'GET',
    path: '/api/clients/:id',
    needs: 'see',
    does: 'One client with readings, charts and visits.',
  },
  updateClient: {
    method: 'PUT',
    path: '/api/clients/:id',
    needs: 'edit',
    does: 'Changes a client.',
  },
  createEnquiry: {
    method: 'POST',
    path: '/api/enquiries',
    needs: 'edit',
    does: 'Takes down an enquiry: a client, a visit that is asked for, a party where there are more people.',
  },
  createReading: {
    method: 'POST',
    path: '/api/clients/:id/readings',
    needs: 'edit',
    does: 'Keeps a skin reading.',
  },
  createPatchTest: {
    method: 'POST',
    path: '/api/clients/:id/patch-tests',
    needs: 'work',
    does: 'Plans or lays a patch test of a product on a client.',
  },
  updatePatchTest: {
    method: 'PUT',
    path: '/api/patch-tests/:id',
    needs: 'work',
    does: 'Lays a patch test or notes how it is read.',
  },
  createIncident: {
    method: 'POST',
    path: '/api/clients/:id/incidents',
    needs: 'work',
    does: 'Writes down that something went wrong, and which products are left alone from then on.',
  },
  listIntakes: {
    method: 'GET',
    path: '/api/clients/:id/intakes',
    needs: 'edit',
    does: 'Links a client answers by, and what was answered, newest first.',
  },
  createIntake: {
    method: 'POST',
    path: '/api/clients/:id/intakes',
    needs: 'edit',
    does: 'Makes a link for a client to answer by on a phone of their own, once.',
  },
  revokeIntake: {
    method: 'POST',
    path: '/api/intakes/:id/revocations',
    needs: 'edit',
    does: 'Takes a link back at once.',
  },
  settleIntake: {
    method: 'POST',
    path: '/api/intakes/:id/settlements',
    needs: 'edit',
    does: 'Takes one answer over into the client’s record, or sets it aside.',
  },
  openIntake: {
    method: 'POST',
    path: '/api/intake/open',
    needs: null,
    does: 'Says which studio asks, to whoever holds the link; in the body, so that no log keeps it.',
  },
  sendIntake: {
    method: 'POST',
    path: '/api/intake/send',
    needs: null,
    does: 'Gives a client’s answers, once.',
  },
  clientData: {
    method: 'GET',
    path: '/api/clients/:id/data',
    needs: 'seeContact',
    does: 'Everything kept of a client as a zip: JSON, charts, and each newest chart as PDF.',
  },
  erasure: {
    method: 'GET',
    path: '/api/clients/:id/erasures',
    needs: 'manage',
    does: 'What erasing a client would take.',
  },
  eraseClient: {
    method: 'POST',
    path: '/api/clients/:id/erasures',
    needs: 'manage',
    does: 'Erases a client: contact, words on health, face and skin; charts kept without the person, or gone too.',
  },
  calendarFeed: {
    method: 'GET',
    path: '/api/calendar',
    needs: 'see',
    does: 'Whether one has a calendar by a secret link.',
  },
  renewFeed: {
    method: 'POST',
    path: '/api/calendar',
    needs: 'see',
    does: 'Makes one’s calendar link, or a new one in its place.',
  },
  endFeed: {
    method: 'POST',
    path: '/api/calendar/endings',
    needs: 'see',
    does: 'Ends one’s calendar link at once.',
  },
  sample: {
    method: 'POST',
    path: '/api/reader/samples',
    needs: 'see',
    does: 'One sample of the simulated shade reader, of skin, a spot on it, or a pan.',
  },
  exportReading: {
    method: 'GET',
    path: '/api/readings/:id/export',
    needs: 'see',
    does: 'A reading as CGATS.17 text.',
  },
  listLooks: { method: 'GET', path: '/api/looks', needs: 'see', does: 'The library of looks.' },
  look: {
    method: 'GET',
    path: '/api/looks/:id',
    needs: 'see',
    does: 'One look, newest version or ?version=, with its versions.',
    asks: ['version'],
  },
  createLook: { method: 'POST', path: '/api/looks', needs: 'edit', does: 'Adds a look or its next version.' },
  exportLooks: {
    method: 'GET',
    path: '/api/looks/export',
    needs: 'see',
    does: 'The library as a zip of look files, the newest version of each.',
  },
  importLooks: {
    method: 'POST',
    path: '/api/looks/import',
    needs: 'edit',
    does: 'Takes in look files, all of them or none; what is here already stays or gets its next version.',
  },
  exportLook: {
    method: 'GET',
    path: '/api/looks/:id/export',
    needs: 'see',
    does: 'A look as its open JSON file; ?version= for an older one.',
    asks: ['version'],
  },
  retireLook: {
    method: 'POST',
    path: '/api/looks/:id/retirements',
    needs: 'edit',
    does: 'Says that a look is no longer proposed, or is again.',
  },
  kit: { method: 'GET', path: '/api/kit', needs: 'see', does: 'Products and units of the kit.' },
  importKit: {
    method: 'POST',
    path: '/api/kit/import',
    needs: 'edit',
    does: 'Takes in products and units from CSV text, all that was accepted or nothing.',
  },
  exportKit: {
    method: 'GET',
    path: '/api/kit/export',
    needs: 'see',
    does: 'The kit as a file; ?as=csv or ?as=gpl.',
    asks: ['as'],
  },
  createProduct: { method: 'POST', path: '/api/products', needs: 'edit', does: 'Adds a product.' },
  updateProduct: {
    method: 'PUT',
    path: '/api/products/:id',
    needs: 'edit',
    does: 'Changes a product.',
  },
  productUses: {
    method: 'GET',
    path: '/api/products/:id/uses',
    needs: 'see',
    does: 'Charts whose newest version uses a product.',
  },
  substituteProduct: {
    method: 'POST',
    path: '/api/products/:id/substitutions',
    needs: 'edit',
    does: 'Puts a substitute in its place in some charts, each as a new version; charts it must not be used in stay as they are.',
  },
  createUnit: { method: 'POST', path: '/api/units', needs: 'edit', does: 'Adds a unit of a product.' },
  updateUnit: {
    method: 'PUT',
    path: '/api/units/:id',
    needs: 'edit',
    does: 'Changes when a unit was opened and where it is.',
  },
  countUnit: {
    method: 'POST',
    path: '/api/units/:id/counts',
    needs: 'work',
    does: 'Corrects by hand how much of a unit is left.',
  },
  unitLedger: {
    method: 'GET',
    path: '/api/units/:id/ledger',
    needs: 'see',
    does: 'What was taken from a unit and put right, newest first.',
  },
  listPalettes: { method: 'GET', path: '/api/palettes', needs: 'see', does: 'Palettes with their pans.' },
  createPalette: { method: 'POST', path: '/api/palettes', needs: 'edit', does: 'Adds a palette.' },
  updatePalette: {
    method: 'PUT',
    path: '/api/palettes/:id',
    needs: 'edit',
    does: 'Changes a palette.',
  },
  paletteLabels: {
    method: 'GET',
    path: '/api/palettes/:id/labels',
    needs: 'see',
    does: 'A printable sheet of labels, each with a code that opens its pan.',
  },
  createChart: {
    method: 'POST',
    path: '/api/charts',
    needs: 'edit',
    does: 'Keeps the first version of a chart.',
  },
  importChart: {
    method: 'POST',
    path: '/api/charts/import',
    needs: 'edit',
    does: 'Takes in a chart file, whole or not at all.',
  },
  chart: {
    method: 'GET',
    path: '/api/charts/:id',
    needs: 'see',
    does: 'A chart; ?version= for an older one.',
    asks: ['version'],
  },
  exportChart: {
    method: 'GET',
    path: '/api/charts/:id/export',
    needs: 'see',
    does: 'The chart as its open JSON file.',
    asks: ['version'],
  },
  printChart: {
    method: 'GET',
    path: '/api/charts/:id/print',
    needs: 'see',
    does: 'A chart on one page; ?as=pdf or svg, ?paper=a4, letter or phone, ?colour=no, ?cautions=yes, ?version=.',
    asks: ['as', 'paper', 'colour', 'cautions', 'version'],
  },
  liveChart: {
    method: 'GET',
    path: '/api/charts/:id/live',
    needs: 'see',
    does: 'Server-sent events: says `changed` whenever something is recorded or saved.',
  },
  createVersion: {
    method: 'POST',
    path: '/api/charts/:id/versions',
    needs: 'edit',
    does: 'Keeps the next version of a chart.',
  },
  listShares: {
    method: 'GET',
    path: '/api/charts/:id/shares',
    needs: 'edit',
    does: 'Links to a chart, newest first.',
  },
  createShare: {
    method: 'POST',
    path: '/api/charts/:id/shares',
    needs: 'edit',
    does: 'Makes a link that shows one version to whoever has it, for some days.',
  },
  revokeShare: {
    method: 'POST',
    path: '/api/shares/:id/revocations',
    needs: 'edit',
    does: 'Takes a link back at once.',
  },
  createEvent: {
    method: 'POST',
    path: '/api/charts/:id/events',
    needs: 'work',
    does: 'Records what was done at the chair.',
  },
  chartWear: {
    method: 'GET',
    path: '/api/charts/:id/wear',
    needs: 'see',
    does: 'How a chart wore so far, the links to tell by, and the studio’s wears to judge it by.',
  },
  photographs: {
    method: 'GET',
    path: '/api/charts/:id/photographs',
    needs: 'see',
    does: 'Photographs of a chart as it was worn that the studio keeps, without the pictures.',
  },
  photograph: {
    method: 'GET',
    path: '/api/photographs/:id',
    needs: 'see',
    does: 'One picture, as a JPEG.',
  },
  createPhotograph: {
    method: 'POST',
    path: '/api/charts/:id/photographs',
    needs: 'work',
    does: 'Keeps a photograph, where the client agreed and the studio keeps them.',
  },
  dropPhotograph: {
    method: 'POST',
    path: '/api/photographs/:id/removals',
    needs: 'edit',
    does: 'Lets go of a photograph for good.',
  },
  createWearCheck: {
    method: 'POST',
    path: '/api/charts/:id/wear',
    needs: 'work',
    does: 'Tells how a face that is worn looks.',
  },
  createWearLink: {
    method: 'POST',
    path: '/api/charts/:id/wear-links',
    needs: 'work',
    does: 'Makes a link by which the client tells how it wears.',
  },
  revokeWearLink: {
    method: 'POST',
    path: '/api/wear-links/:id/revocations',
    needs: 'work',
    does: 'Takes such a link back at once.',
  },
  studioWear: {
    method: 'GET',
    path: '/api/wear',
    needs: 'see',
    does: 'Every first wear of the studio that was looked at.',
  },
  printLesson: {
    method: 'GET',
    path: '/api/charts/:id/lesson',
    needs: 'see',
    asks: ['steps', 'minutes', 'tools', 'as', 'paper'],
    does: 'A lesson for the client’s own hands as a PDF, or its card for a lid.',
  },
  listLessonLinks: {
    method: 'GET',
    path: '/api/charts/:id/lesson-links',
    needs: 'see',
    does: 'Links to lessons of a chart.',
  },
  createLessonLink: {
    method: 'POST',
    path: '/api/charts/:id/lesson-links',
    needs: 'edit',
    does: 'Makes a link to a lesson, for some days or until it is taken back.',
  },
  printEvidence: {
    method: 'GET',
    path: '/api/clients/:id/evidence',
    needs: 'see',
    asks: ['paper'],
    does: 'Everything of one client’s trials and wears on paper, as a PDF; what is sealed stays sealed.',
  },
  touchUpCard: {
    method: 'GET',
    path: '/api/charts/:id/touch-ups',
    needs: 'see',
    asks: ['paper'],
    does: 'A card for whoever wears a chart: when to touch up, where and with what, as a PDF.',
  },
  listCompacts: {
    method: 'GET',
    path: '/api/charts/:id/compacts',
    needs: 'see',
    does: 'Compacts put together from a chart.',
  },
  createCompact: {
    method: 'POST',
    path: '/api/charts/:id/compacts',
    needs: 'edit',
    does: 'Keeps a compact for some steps of a chart’s version.',
  },
  updateCompact: {
    method: 'PUT',
    path: '/api/compacts/:id',
    needs: 'edit',
    does: 'Changes a compact.',
  },
  printCompact: {
    method: 'GET',
    path: '/api/compacts/:id/print',
    needs: 'see',
    asks: ['as', 'paper'],
    does: 'A compact’s labels or its card for the lid, as a PDF.',
  },
  renewLessonLink: {
    method: 'POST',
    path: '/api/lesson-links/:id/renewals',
    needs: 'edit',
    does: 'Lets a link show its lesson by a newer version of the chart, and say what changed.',
  },
  revokeLessonLink: {
    method: 'POST',
    path: '/api/lesson-links/:id/revocations',
    needs: 'edit',
    does: 'Takes such a link back at once.',
  },
  practice: {
    method: 'GET',
    path: '/api/practice',
    needs: 'see',
    asks: ['zone'],
    does: 'One’s own practice, the team’s skill of the week, and what others share.',
  },
  tellPractice: {
    method: 'POST',
    path: '/api/practice',
    needs: 'see',
    does: 'An attempt, a skill shared or no longer, or, by whoever manages, the skill of the week.',
  },
  forgetPractice: {
    method: 'POST',
    path: '/api/practice/forgettings',
    needs: 'see',
    does: 'Lets go of one’s own attempts for good.',
  },
  learned: {
    method: 'GET',
    path: '/api/learned',
    needs: 'see',
    asks: ['client'],
    does: 'What the studio’s wears, decisions and refusals come to, to propose from at a fit.',
  },
  answerLearned: {
    method: 'POST',
    path: '/api/learned',
    needs: 'edit',
    does: 'Answers a proposal: not now, never, or let it speak again.',
  },
  openWear: {
    method: 'POST',
    path: '/api/wear/open',
    needs: null,
    does: 'Says who asks how it wears, and what was told; the token in the body, so that no log keeps it.',
  },
  sendWear: {
    method: 'POST',
    path: '/api/wear/send',
    needs: null,
    does: 'A client tells how it wears.',
  },
  chartTrials: {
    method: 'GET',
    path: '/api/charts/:id/trials',
    needs: 'see',
    does: 'The half-face trials of a chart, the newest first.',
  },
  createTrial: {
    method: 'POST',
    path: '/api/charts/:id/trials',
    needs: 'edit',
    does: 'Declares a half-face trial, draws its sides, and puts both halves into the chart’s next version.',
  },
  trial: {
    method: 'GET',
    path: '/api/trials/:id',
    needs: 'see',
    does: 'A trial and all that was told of it; which side is which only once it was judged.',
  },
  createTrialEvent: {
    method: 'POST',
    path: '/api/trials/:id/events',
    needs: 'work',
    does: 'Tells something of a trial: put on, looked at, opened, ended, judged, decided.',
  },
  exportTrial: {
    method: 'GET',
    path: '/api/trials/:id/export',
    needs: 'see',
    does: 'A judged trial as an open file.',
  },
  trialQuestions: {
    method: 'GET',
    path: '/api/trials',
    needs: 'see',
    does: 'The studio’s questions, with what their trials say so far.',
  },
  sendTrial: {
    method: 'POST',
    path: '/api/trials/send',
    needs: null,
    does: 'A client tells how both halves look.',
  },
  createVisit: { method: 'POST', path: '/api/visits', needs: 'edit', does: 'Books a visit.' },
  tickRunUp: {
    method: 'POST',
    path: '/api/visits/:id/run-up',
    needs: 'work',
    does: 'Says that a task of the run-up to a visit is done, or is not after all.',
  },
  updateVisit: {
    method: 'PUT',
    path: '/api/visits/:id',
    needs: 'edit',
    does: 'Moves, cancels or brings back a visit, or says what it asks.',
  },
  studioSettings: {
    method: 'GET',
    path: '/api/settings',
    needs: 'see',
    does: 'How the studio does things: its grading of the rules.',
  },
  updateStudioSettings: {
    method: 'PUT',
    path: '/api/settings',
    needs: 'manage',
    does: 'Changes how the studio does things.',
  },
  exportStudio: {
    method: 'GET',
    path: '/api/studio/export',
    needs: 'manage',
    does: 'The whole studio as its open JSON file, without passwords.',
  },
  backupStudio: {
    method: 'GET',
    path: '/api/studio/backup',
    needs: 'manage',
    does: 'The whole studio as a zip of open documents, as it is at one moment, to be restored from.',
  },
  listParties: { method: 'GET', path: '/api/parties', needs: 'see', does: 'Parties by date.' },
  createParty: { method: 'POST', path: '/api/parties', needs: 'edit', does: 'Adds a party.' },
  party: {
    method: 'GET',
    path: '/api/parties/:id',
    needs: 'see',
    does: 'One party with its visits and its plan.',
  },
  updateParty: {
    method: 'PUT',
    path: '/api/parties/:id',
    needs: 'edit',
    does: 'Changes a party and its plan.',
  },
  partyLog: {
    method: 'GET',
    path: '/api/parties/:id/log',
    needs: 'see',
    does: 'What was told of a party’s day and packing, and how far its charts have come.',
  },
  createPartyEvent: {
    method: 'POST',
    path: '/api/parties/:id/log',
    needs: 'work',
    does: 'Tells that a visit began or ended, or that something is packed.',
  },
  liveParty: {
    method: 'GET',
    path: '/api/parties/:id/live',
    needs: 'see',
    does: 'Server-sent events: says `changed` whenever something is told of the party or at its chairs.',
  },
  partySheet: {
    method: 'GET',
    path: '/api/parties/:id/sheets',
    needs: 'see',
    asks: ['for', 'paper'],
    does: 'A call sheet as PDF: of the whole day, one pair of hands or one person; A4 or Letter.',
  },
  listSheetLinks: {
    method: 'GET',
    path: '/api/parties/:id/sheet-links',
    needs: 'edit',
    does: 'Links to a party’s call sheets, newest first.',
  },
  createSheetLink: {
    method: 'POST',
    path: '/api/parties/:id/sheet-links',
    needs: 'edit',
    does: 'Makes a link that shows one call sheet to whoever has it, for some days.',
  },
  revokeSheetLink: {
    method: 'POST',
    path: '/api/sheet-links/:id/revocations',
    needs: 'edit',
    does: 'Takes a link to a call sheet back at once.',
  },
  visitMinutes: {
    method: 'GET',
    path: '/api/timings/visits',
    needs: 'see',
    asks: ['today'],
    does: 'Visits of past parties as planned and as they went, to learn minutes from.',
  },
  partyPacking: {
    method: 'GET',
    path: '/api/parties/:id/packing',
    needs: 'see',
    asks: ['today'],
    does: 'What to pack for a party: products, tools, what is used once, bags; what is short.',
  },
} as const satisfies Record<string, Route>;

export type RouteName = keyof typeof ROUTES;
type RouteOf<N extends RouteName> = (typeof ROUTES)[N];

/** Routes that take a body, each checked by its schema. */
export type WriteName = {
  [N in RouteName]: RouteOf<N>['method'] extends 'POST' | 'PUT' ? N : never;
}[RouteName];
/** Routes that only read. */
export type ReadName = { [N in RouteName]: RouteOf<N>['method'] extends 'GET' ? N : never }[RouteName];
/** Routes that change what is there: each starts from a revision, in If-Match. */
export type EditName = { [N in RouteName]: RouteOf<N>['method'] extends 'PUT' ? N : never }[RouteName];

type NamesIn<Path extends string> = Path extends `${string}:${infer Rest}`
  ? Rest extends `${infer Name}/${infer More}`
    ? Name | NamesIn<More>
    : Rest
  : never;
/** The ids in a route's address. */
export type ParamsOf<N extends RouteName> = Readonly<Record<NamesIn<RouteOf<N>['path']>, string>>;
/** What a route may be asked behind the ?. */
export type QueryOf<N extends RouteName> =
  RouteOf<N> extends { readonly asks: readonly (infer Q extends string)[] }
    ? { readonly [K in Q]?: string | undefined }
    : Readonly<Record<never, never>>;

/** The address of a route with its ids filled in. */
export function pathTo<N extends RouteName>(
  name: N,
  ...[params, query]: keyof ParamsOf<N> extends never
    ? [params?: ParamsOf<N>, query?: QueryOf<N>]
    : [params: ParamsOf<N>, query?: QueryOf<N>]
): string {
  return addressOf(ROUTES[name].path, params, query);
}

/**
 * A path with its ids filled in and what is asked behind it; what is undefined or empty is not asked. Throws
 * a RangeError for an id that is missing.
 */
export function addressOf(
  path: string,
  params: Readonly<Record<string, string>> = {},
  query: Readonly<Record<string, string | undefined>> = {},
): string {
  const filled = path.replace(/:(\w+)/g, (_, key: string) => {
    const value = params[key];
    if (value === undefined) throw new RangeError(`${path}: ${key} is missing`);
    return encodeURIComponent(value);
  });
  const search = new URLSearchParams(
    Object.entries(query).filter(
      (entry): entry is [string, string] => entry[1] !== undefined && entry[1] !== '',
    ),
  );
  // Not search.size: older browsers do not have it.
  const text = search.toString();
  return text === '' ? filled : `${filled}?${text}`;
}
