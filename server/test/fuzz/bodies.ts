import { createHash } from 'node:crypto';
import { substituteRefused, writeLook } from '@toile/core';
import { newId, tokenOf, type WriteName } from '@toile/contract';
import { SIGN_INS } from '@toile/demo';
import { photographOf } from '../aPhotograph';
import { demo } from '../testServer';

/** A request that would be taken as it stands: what it names in its address, and its body. */
export type Sound = { readonly id?: string; readonly body: object; readonly revision?: number };

const secret = (): string => createHash('sha256').update(newId()).digest('hex').slice(0, 32);
const client = demo.clients[0]!;
const chart = demo.charts[0]!;
const unit = demo.units[0]!;
/** One that is worn and not judged yet, and its chart. */
const trial = demo.trials.at(-1)!;
const tried = demo.charts.find(({ id }) => id === trial.chartId)!;
const visit = demo.visits[0]!;
const party = demo.parties[0]!;
/** One whose day has a timetable. */
const pastParty = demo.parties.find(({ plan }) => plan?.timetable)!;
const patchTest = demo.patchTests[0]!;
const compact = demo.compacts[0]!;
/** Something the newest version of the chart uses. */
const newest = demo.charts.filter(({ id }) => id === chart.id).at(-1)!;
const used = newest.steps.flatMap(({ use }) => use).find((one) => one.unitId !== null)!;
const usedId = demo.units.find(({ id }) => id === used.unitId)!.productId;
/** A unit of something that may stand in for it there. */
const standIn = demo.units.find(({ productId }) => {
  const product = demo.products.find(({ id }) => id === productId)!;
  return (
    productId !== usedId &&
    product.kind === used.product.kind &&
    substituteRefused(newest, usedId, [{ product }], demo) === null
  );
})!;
const { name, features, measurements } = client;
const person = () => ({ id: newId(), name, notes: 'Left eye waters', features, measurements });
const plainVisit = () => ({
  id: newId(),
  clientId: client.id,
  kind: 'trial',
  date: '2031-06-02',
  startsAt: '09:20',
  readyBy: '11:30',
  place: 'Quay House',
});
const { clientId: _client, product: _product, readings, ...patch } = patchTest;

/** For every route that writes, a body it takes: a fuzzer that starts from less never gets past the door. */
export const SOUND: { readonly [N in WriteName]: () => Sound } = {
  signIn: () => ({ body: { email: SIGN_INS[0].email, password: SIGN_INS[0].password } }),
  setUp: () => ({
    body: {
      studio: 'Lantern Yard',
      zone: 'Europe/Lisbon',
      name: 'Ada Quill',
      email: 'ada@example.test',
      password: 'four plain words here',
    },
  }),
  changePassword: () => ({ body: { current: 'not the one', next: 'four plain words here' } }),
  endSessions: () => ({ body: { id: 'no such session' } }),
  openInvite: () => ({ body: { token: tokenOf(demo.studio.id, secret()) } }),
  takeInvite: () => ({
    body: { token: tokenOf(demo.studio.id, secret()), name: 'Ada', password: 'four plain words here' },
  }),
  createInvite: () => ({
    body: { id: newId(), email: `${newId()}@example.test`, name: 'Ada', role: 'artist', secret: secret() },
  }),
  revokeInvite: () => ({ id: newId(), body: {} }),
  updateMember: () => ({
    id: demo.people[2]!.id,
    body: { name: 'Orla', role: 'assistant', active: true },
    revision: 1,
  }),
  createReset: () => ({ id: demo.people[2]!.id, body: { id: newId(), secret: secret() } }),
  createClient: () => ({ body: person() }),
  updateClient: () => ({
    id: client.id,
    body: { ...person(), id: client.id, consult: { photos: 'may be shown' } },
    revision: 1,
  }),
  createEnquiry: () => ({
    body: {
      name: 'Ada Quill',
      phone: '',
      email: '',
      notes: '',
      date: '2031-07-02',
      startsAt: '08:00',
      place: 'Quay House',
      clientId: newId(),
      visitId: newId(),
      partyId: newId(),
      kind: 'wedding',
      people: 4,
      zone: 'Europe/Lisbon',
    },
  }),
  createReading: () => ({
    id: client.id,
    body: {
      id: newId(),
      at: '2031-05-14T07:00:00Z',
      source: 'typed',
      zones: { cheek: [[58, 12, 18]], neck: [[60, 11, 18]] },
      extras: [{ name: 'birthmark', beside: 'cheek', samples: [[50, 14, 17]] }],
    },
  }),
  createPatchTest: () => ({ id: client.id, body: { ...patch, id: newId(), readings: [] } }),
  updatePatchTest: () => ({
    id: patchTest.id,
    body: { ...patch, readings: readings.map(({ at, result, note }) => ({ at, result, note })) },
    revision: 1,
  }),
  createIncident: () => ({
    id: client.id,
    body: {
      id: newId(),
      on: '2031-05-13',
      seen: 'Red lids',
      done: 'Taken off',
      chartId: chart.id,
      suspected: [unit.productId],
    },
  }),
  createIntake: () => ({ id: client.id, body: { id: newId(), secret: secret() } }),
  revokeIntake: () => ({ id: newId(), body: {} }),
  settleIntake: () => ({ id: newId(), body: { key: 'usual', taken: true } }),
  openIntake: () => ({ body: { token: tokenOf(demo.studio.id, secret()) } }),
  sendIntake: () => ({
    body: {
      token: tokenOf(demo.studio.id, secret()),
      answers: { usual: 'Little', hours: 9, oily: ['nose'] },
    },
  }),
  eraseClient: () => ({ id: client.id, body: { name: 'Somebody else', charts: 'gone too' } }),
  renewFeed: () => ({ body: { secret: secret() } }),
  endFeed: () => ({ body: {} }),
  sample: () => ({ body: { clientId: client.id, zone: 'cheek' } }),
  createLook: () => ({ body: { look: { ...demo.looks[0]!, id: newId(), version: 1, parent: null } } }),
  importLooks: () => ({
    body: { files: [{ name: 'one.json', text: writeLook({ ...demo.looks[0]!, id: newId() }) }] },
  }),
  retireLook: () => ({ id: demo.looks[0]!.id, body: { retired: false } }),
  importKit: () => ({
    body: {
      text: 'Maker,Line,Shade,Kind\nHart & Yarrow,Veil,Oat,base\n',
      mapping: { maker: 'Maker', line: 'Line', shade: 'Shade', kind: 'Kind' },
      leaveOutWrong: true,
      owned: true,
    },
  }),
  createProduct: () => ({ body: { ...demo.products[0]!, id: newId() } }),
  updateProduct: () => ({ id: demo.products[0]!.id, body: demo.products[0]!, revision: 1 }),
  createUnit: () => ({ body: { ...unit, id: newId() } }),
  updateUnit: () => ({ id: unit.id, body: unit, revision: 1 }),
  countUnit: () => ({ id: unit.id, body: { id: newId(), remainingMg: 9000, note: '' } }),
  createPalette: () => ({ body: { palette: { ...demo.palettes![0]!, id: newId() } } }),
  updatePalette: () => ({
    id: demo.palettes![0]!.id,
    body: { palette: demo.palettes![0]! },
    revision: 1,
  }),
  createChart: () => ({
    body: { chart: { ...chart, id: newId(), version: 1, parent: null }, visitId: null },
  }),
  importChart: () => ({
    body: { text: JSON.stringify({ ...chart, id: newId(), version: 1, parent: null }) },
  }),
  createVersion: () => ({
    id: chart.id,
    body: { parent: newest.version, reason: '', chart: newest },
  }),
  createShare: () => ({
    id: chart.id,
    body: { id: newId(), version: 1, secret: secret(), days: 7, cautions: false },
  }),
  revokeShare: () => ({ id: newId(), body: {} }),
  createEvent: () => ({
    id: chart.id,
    body: {
      id: newId(),
      version: 1,
      stepId: chart.steps[0]!.id,
      kind: 'deviation',
      at: '2031-05-14T07:30:00Z',
      deviation: { kind: 'amount', measures: 2, note: 'Tapped, not swept' },
      device: 'Phone',
      seen: null,
      settles: [],
    },
  }),
  createVisit: () => ({ body: plainVisit() }),
  updateVisit: () => ({
    id: visit.id,
    body: { ...plainVisit(), id: visit.id, clientId: visit.clientId },
    revision: 1,
  }),
  tickRunUp: () => ({ id: visit.id, body: { task: 'brows', done: true } }),
  createParty: () => ({ body: { ...party, id: newId(), plan: party.plan ?? undefined } }),
  updateParty: () => ({ id: party.id, body: { ...party, plan: party.plan ?? undefined }, revision: 1 }),
  createPartyEvent: () => ({
    id: party.id,
    body: { id: newId(), kind: 'packed', item: 'once:wands', at: '2031-05-14T07:30:00Z', into: 'Roll' },
  }),
  createSheetLink: () => ({
    id: pastParty.id,
    body: { id: newId(), whom: 'whole', secret: secret(), days: 7 },
  }),
  revokeSheetLink: () => ({ id: newId(), body: {} }),
  createPhotograph: () => ({ id: chart.id, body: photographOf() }),
  dropPhotograph: () => ({ id: newId(), body: {} }),
  createWearCheck: () => ({
    id: chart.id,
    body: {
      id: newId(),
      version: 1,
      appliedAt: '2031-05-14T02:00:00Z',
      at: '2031-05-14T06:30:00Z',
      zones: { nose: 'starting', cheek: 'holds' },
      touched: ['mouth'],
      marks: ['meal'],
      stings: false,
    },
  }),
  createWearLink: () => ({
    id: chart.id,
    body: { id: newId(), version: 1, appliedAt: '2031-05-14T02:00:00Z', secret: secret() },
  }),
  revokeWearLink: () => ({ id: newId(), body: {} }),
  createTrial: () => ({
    id: tried.id,
    body: {
      id: newId(),
      version: demo.charts.filter(({ id }) => id === tried.id).at(-1)!.version,
      date: '2031-06-02',
      ask: { aspect: 'tool', stepId: tried.steps.find(({ role }) => role === 'base')!.id, tool: 'fan brush' },
      measure: 'shine',
      by: 'client',
      zones: ['nose'],
      hours: [2, 4],
    },
  }),
  createTrialEvent: () => ({
    id: trial.id,
    body: { event: { id: newId(), at: '2031-05-14T06:30:00Z', kind: 'opened' }, intoChart: false },
  }),
  sendTrial: () => ({
    body: {
      token: tokenOf(demo.studio.id, secret()),
      id: newId(),
      at: '2031-05-14T06:30:00Z',
      seen: [{ zone: 'nose', side: 'left', value: 1 }],
      touched: ['chin'],
      marks: ['meal'],
      stings: 'left',
    },
  }),
  createLessonLink: () => ({
    id: chart.id,
    body: {
      id: newId(),
      version: 1,
      minutes: 20,
      keep: [chart.steps[0]!.id],
      secret: secret(),
      days: 30,
    },
  }),
  createCompact: () => ({
    id: compact.chartId,
    body: {
      compact: {
        ...compact.compact,
        id: newId(),
        tins: compact.compact.tins.map((tin) => ({ ...tin, id: newId() })),
      },
      version: compact.version,
    },
  }),
  updateCompact: () => ({
    id: compact.compact.id,
    body: { compact: compact.compact, version: compact.version },
    revision: 1,
  }),
  renewLessonLink: () => ({ id: newId(), body: { version: 1 } }),
  revokeLessonLink: () => ({ id: newId(), body: {} }),
  tellPractice: () => ({
    body: {
      event: {
        id: newId(),
        at: '2031-05-14T06:30:00Z',
        kind: 'attempt',
        skill: 'contour',
        seed: 3,
        level: 0,
        score: 71,
        grade: 'near',
        miss: 2.4,
        first: '2 mm towards the hollow.',
      },
    },
  }),
  forgetPractice: () => ({ body: { skill: 'contour', sure: true } }),
  answerLearned: () => ({
    body: {
      answer: {
        id: newId(),
        key: 'nose | Veil | Hours',
        answer: 'not now',
        words: 'Hours for Veil',
        failed: 3,
        worn: 4,
        strength: 'hint',
      },
    },
  }),
  openWear: () => ({ body: { token: tokenOf(demo.studio.id, secret()) } }),
  sendWear: () => ({
    body: {
      token: tokenOf(demo.studio.id, secret()),
      id: newId(),
      at: '2031-05-14T06:30:00Z',
      zones: { nose: 'holds' },
    },
  }),
  updateStudioSettings: () => ({
    body: { ruleGrades: {}, schools: {}, zone: 'Europe/Lisbon', keepsPhotographs: true },
    revision: 1,
  }),
  // Last: it writes a next version of the chart.
  substituteProduct: () => ({
    id: usedId,
    body: {
      chartIds: [chart.id],
      parts: [{ productId: standIn.productId, unitId: standIn.id, pumps: 1 }],
      doseFactor: 1,
      reason: '',
    },
  }),
};
