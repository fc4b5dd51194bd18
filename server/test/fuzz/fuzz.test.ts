import { request as ask, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import fc from 'fast-check';
import { sql } from 'kysely';
import { pino } from 'pino';
import { ERRORS, newId, ROUTES, type Problem, type RouteName, type WriteName } from '@toile/contract';
import { inStudio } from '../../src/db/connection';
import { STUDIO_TABLES } from '../../src/db/schema';
import { keepOne, photographOf } from '../aPhotograph';
import { demo, testServer, type TestServer } from '../testServer';
import { SOUND } from './bodies';
import { aHeader, anId, aQuery, RAW, spoiling, spoilt, waysOf } from './hostile';

/** How many requests are sent; `npm run fuzz` sends many more. */
const RUNS = Number(process.env.TOILE_FUZZ_RUNS ?? 3000);
const SEED = Number(process.env.TOILE_FUZZ_SEED ?? 20311127);
const UNHEARD: readonly number[] = [400, 431];
/** No error needs more, bytes. */
const LONGEST_ERROR = 64 * 1024;

/** What the server wrote of errors. */
const logged: string[] = [];
let server: TestServer;
let http: Server;
let cookie: string;
beforeAll(async () => {
  server = await testServer({
    signInLimit: { windowMs: 60_000, tries: 1e9 },
    logger: pino({ level: 'error' }, { write: (line: string) => void logged.push(line) }),
  });
  await keepOne(server, chart, PHOTOGRAPH);
  http = server.app.listen(0, '127.0.0.1');
  await new Promise((resolve) => http.once('listening', resolve));
  const answer = await send('POST', '/api/session', {}, JSON.stringify(SOUND.signIn().body));
  cookie = answer.cookie!.split(';')[0]!;
});
afterAll(async () => {
  http.closeAllConnections();
  await new Promise((resolve) => http.close(resolve));
  await server.stop();
});

type Answered = { status: number; type: string; text: string; cookie: string | undefined };

/** Sends bytes as they are; a stream of events is let go of as soon as it begins. */
function send(
  method: string,
  path: string,
  headers: Record<string, string>,
  body?: string,
): Promise<Answered> {
  return new Promise((resolve, reject) => {
    const sent = ask(
      {
        port: (http.address() as AddressInfo).port,
        method,
        path,
        headers: { 'content-type': 'application/json', ...(cookie ? { cookie } : {}), ...headers },
      },
      (res) => {
        const type = res.headers['content-type'] ?? '';
        const parts: Buffer[] = [];
        const done = (): void =>
          resolve({
            status: res.statusCode ?? 0,
            type,
            text: Buffer.concat(parts).toString('utf8'),
            cookie: res.headers['set-cookie']?.[0],
          });
        if (type.startsWith('text/event-stream')) {
          sent.destroy();
          done();
          return;
        }
        res.on('data', (part: Buffer) => parts.push(part));
        res.on('end', done);
      },
    );
    sent.on('error', reject);
    if (body !== undefined) sent.write(body);
    sent.end();
  });
}

/** How many rows each table of the studio has: whatever is refused leaves them as they were. */
async function rows(): Promise<string> {
  const counts = STUDIO_TABLES.map((table) => sql`(select count(*) from ${sql.table(table)})`);
  const { rows: found } = await inStudio(server.db, demo.studio.id, (tx) =>
    sql<Record<string, string>>`select concat_ws(',', ${sql.join(counts)}) as n`.execute(tx),
  );
  return found[0]!.n!;
}

const NAMES = Object.keys(ROUTES) as RouteName[];
const isWrite = (name: RouteName): name is WriteName => Object.hasOwn(SOUND, name);
/** Ends the session the requests are sent by, or needs none of what is tried. */
const LEFT_OUT: readonly RouteName[] = ['signOut', 'signIn'];
/** What gathers much for one answer: asked less often. */
const LARGE: readonly RouteName[] = [
  'exportStudio',
  'backupStudio',
  'printChart',
  'paletteLabels',
  'printCompact',
  'printEvidence',
  'touchUpCard',
  'exportLooks',
];
const addressOf = (name: RouteName, id: string): string => ROUTES[name].path.replace(/:\w+/g, id);

test('each sound body is taken, or turned away for what it names and not for its form', async () => {
  const refused: Record<string, string> = {};
  for (const name of (Object.keys(SOUND) as WriteName[]).filter((n) => !LEFT_OUT.includes(n))) {
    const { id, body, revision } = SOUND[name]();
    const headers = {
      'idempotency-key': newId(),
      ...(revision === undefined ? {} : { 'if-match': `"${revision}"` }),
    };
    const answer = await send(
      ROUTES[name].method,
      id === undefined ? ROUTES[name].path : addressOf(name, id),
      headers,
      JSON.stringify(body),
    );
    if (answer.status >= 300) refused[name] = (JSON.parse(answer.text) as Problem).code;
  }
  // What is asked for here is not there, ended, or already done.
  expect(refused).toEqual({
    setUp: 'set-up-already',
    changePassword: 'wrong-password',
    endSessions: 'not-found',
    openInvite: 'link-ended',
    takeInvite: 'link-ended',
    revokeInvite: 'not-found',
    openIntake: 'link-ended',
    openWear: 'link-ended',
    sendWear: 'link-ended',
    sendTrial: 'link-ended',
    renewLessonLink: 'not-found',
    revokeLessonLink: 'not-found',
    dropPhotograph: 'not-found',
    revokeWearLink: 'not-found',
    sendIntake: 'link-ended',
    revokeIntake: 'not-found',
    settleIntake: 'not-found',
    eraseClient: 'bad-input',
    revokeShare: 'not-found',
    revokeSheetLink: 'not-found',
  });
});

test(
  `${RUNS} requests nobody should send: never our fault, never half a write, never a long answer`,
  async () => {
    const request = fc.record({
      name: fc.oneof(
        {
          weight: 60,
          arbitrary: fc.constantFrom(
            ...NAMES.filter((name) => !LEFT_OUT.includes(name) && !LARGE.includes(name)),
          ),
        },
        { weight: 1, arbitrary: fc.constantFrom(...LARGE) },
      ),
      where: fc.integer({ min: 0, max: 399 }),
      how: spoiling,
      raw: fc.option(fc.constantFrom(...RAW), { freq: 12 }),
      id: fc.option(anId, { freq: 8 }),
      match: fc.option(aHeader, { freq: 6 }),
      key: fc.option(aHeader, { freq: 12 }),
      more: fc.option(
        fc.tuple(fc.constantFrom('range', 'accept-encoding', 'origin', 'if-none-match'), aHeader),
        {
          freq: 8,
        },
      ),
      query: fc.option(aQuery, { freq: 3 }),
    });
    const seen = new Map<number, number>();
    let before = await rows();
    await fc.assert(
      fc.asyncProperty(request, async ({ name, where, how, raw, id, match, key, more, query }) => {
        const sound = isWrite(name) ? SOUND[name]() : { body: {}, id: READ_IDS[name] ?? newId() };
        const ways = waysOf(sound.body);
        const body = raw ?? JSON.stringify(spoilt(sound.body, ways[where % ways.length]!, how)) ?? '';
        const asks = ('asks' in ROUTES[name] ? ROUTES[name].asks : []) as readonly string[];
        const behind = query === null ? '' : `?${[...asks, 'x'].map((ask_) => `${ask_}=${query}`).join('&')}`;
        const headers: Record<string, string> = {
          'idempotency-key': key ?? newId(),
          'if-match': match ?? `"${('revision' in sound ? sound.revision : undefined) ?? 1}"`,
          ...(more ? { [more[0]]: more[1] } : {}),
        };
        for (const [header, value] of Object.entries(headers))
          headers[header] = Buffer.from(value, 'utf8').toString('latin1');
        const answer = await send(
          ROUTES[name].method,
          `${addressOf(name, id ?? sound.id ?? newId())}${behind}`,
          headers,
          ROUTES[name].method === 'GET' || ROUTES[name].method === 'DELETE' ? undefined : body,
        );
        seen.set(answer.status, (seen.get(answer.status) ?? 0) + 1);
        if (answer.status < 400) {
          before = await rows();
          return;
        }
        if (answer.status >= 500)
          throw new Error(`${name}: ${answer.status} ${logged.at(-1)} ${body.slice(0, 2000)}`);
        // What is no HTTP at all, or has too much in its head, is turned away before Express.
        if (answer.type === '' && UNHEARD.includes(answer.status)) return;
        expect(answer.type).toMatch(/^application\/problem\+json/);
        const problem = JSON.parse(answer.text) as Problem;
        expect(Object.keys(ERRORS)).toContain(problem.code);
        expect(ERRORS[problem.code].status).toBe(answer.status);
        expect(answer.text.length).toBeLessThan(LONGEST_ERROR);
        expect(await rows()).toBe(before);
      }),
      { numRuns: RUNS, seed: SEED, endOnFailure: true },
    );
    // It got past the door both ways: some were taken, many were refused.
    expect(seen.get(422) ?? 0).toBeGreaterThan(RUNS / 10);
    expect((seen.get(200) ?? 0) + (seen.get(201) ?? 0)).toBeGreaterThan(RUNS / 20);
    // So many, one after the other: as long as a slow machine needs.
  },
  RUNS * 400,
);

const chart = demo.charts[0]!;
const PHOTOGRAPH = photographOf();
/** What is there to be read. */
const READ_IDS: Readonly<Partial<Record<RouteName, string>>> = {
  client: demo.clients[0]!.id,
  listIntakes: demo.clients[0]!.id,
  clientData: demo.clients[0]!.id,
  erasure: demo.clients[0]!.id,
  exportReading: demo.readings[0]!.id,
  look: demo.looks[0]!.id,
  exportLook: demo.looks[0]!.id,
  productUses: demo.products[0]!.id,
  unitLedger: demo.units[0]!.id,
  paletteLabels: demo.palettes![0]!.id,
  chart: chart.id,
  exportChart: chart.id,
  liveChart: chart.id,
  photographs: chart.id,
  photograph: PHOTOGRAPH.id,
  chartWear: chart.id,
  printLesson: chart.id,
  listLessonLinks: chart.id,
  printEvidence: demo.clients[0]!.id,
  touchUpCard: chart.id,
  listCompacts: demo.compacts[0]!.chartId,
  printCompact: demo.compacts[0]!.compact.id,
  chartTrials: demo.trials[0]!.chartId,
  trial: demo.trials[0]!.id,
  exportTrial: demo.trials[0]!.id,
  listShares: chart.id,
  party: demo.parties[0]!.id,
  partyLog: demo.parties[0]!.id,
  liveParty: demo.parties[0]!.id,
  partyPacking: demo.parties[0]!.id,
  partySheet: demo.parties.at(-1)!.id,
  listSheetLinks: demo.parties[0]!.id,
};
