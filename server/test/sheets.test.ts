import type { Agent } from 'supertest';
import { faceOf } from '@toile/core';
import { newId, newSecret, sheetPath, type Problem, type SheetLinkAnswer } from '@toile/contract';
import { asBytes, demo, keyed, testServer, type TestServer } from './testServer';

let now = new Date('2031-05-14T08:00:00Z');
let server: TestServer;
let artist: Agent;
beforeAll(async () => {
  server = await testServer({ clock: () => now });
  artist = await server.signedIn('artist');
});
afterAll(() => server.stop());

const past = demo.parties.find(({ plan }) => plan?.timetable)!;
const plan = past.plan!;
const unplanned = demo.parties.find(({ plan: open }) => open && !open.timetable)!;
const guest = plan.guests[0]!;

describe('on paper', () => {
  test.each([
    ['whole', 'a4'],
    ['whole', 'letter'],
    [`hands:${plan.hands[0]!.id}`, 'a4'],
    [`person:${guest.id}`, 'letter'],
  ])('%s on %s is a PDF', async (whom, paper) => {
    const answer = await asBytes(artist.get(`/api/parties/${past.id}/sheets`).query({ for: whom, paper }));
    const pdf = (answer.body as Buffer).toString('latin1');
    expect(answer.type).toBe('application/pdf');
    expect(pdf.slice(0, 5)).toBe('%PDF-');
    expect(pdf).toContain(paper === 'a4' ? '[0 0 595.28 841.89]' : '[0 0 612 792]');
    expect(pdf.trimEnd().endsWith('%%EOF')).toBe(true);
  });

  test.each([
    ['nobody', 'person:nobody', past.id, 'Nobody of this party by that name'],
    ['what is none', 'everyone', past.id, 'Nobody of this party by that name'],
    ['a day nobody planned', 'whole', unplanned.id, 'Plan the day and keep its timetable first'],
  ])('%s is told what to do', async (_, whom, id, message) => {
    const answer = await artist.get(`/api/parties/${id}/sheets`).query({ for: whom }).expect(422);
    expect((answer.body as Problem).fields).toEqual([{ path: 'whom', message }]);
  });
});

describe('by a link', () => {
  const make = async (whom: string): Promise<{ made: SheetLinkAnswer; path: string }> => {
    const secret = newSecret();
    const { body } = await artist
      .post(`/api/parties/${past.id}/sheet-links`)
      .set(keyed())
      .send({ id: newId(), whom, secret, days: 7 })
      .expect(201);
    return { made: body as SheetLinkAnswer, path: sheetPath(demo.studio.id, secret) };
  };
  const open = (path: string) => server.agent().get(path);

  test('whoever has it sees the one sheet, nothing of skin, health, contact or of other people', async () => {
    const { path } = await make(`person:${guest.id}`);
    const { text, headers } = await open(path).expect(200);
    expect(text).toContain(guest.name);
    expect(text).toContain('Clean face, no oil');
    for (const other of plan.guests.slice(1)) expect(text).not.toContain(other.name);
    for (const client of demo.clients)
      for (const word of [client.phone, client.email, ...client.sensitivities])
        if (word !== '') expect(text).not.toContain(word);
    expect(headers['cache-control']).toBe('no-store');
    expect(headers['content-security-policy']).toContain("default-src 'none'");
  });

  test('it ends by itself, is taken back at once, and a forged one looks the same', async () => {
    const { made, path } = await make('whole');
    await open(path).expect(200);
    now = new Date('2031-05-21T08:00:01Z');
    const ended = await open(path).expect(404);
    now = new Date('2031-05-14T08:00:00Z');
    await artist.post(`/api/sheet-links/${made.id}/revocations`).set(keyed()).send({}).expect(200);
    const revoked = await open(path).expect(404);
    const forged = await open(sheetPath(demo.studio.id, newSecret())).expect(404);
    const broken = await open('/p/nothing').expect(404);
    expect(new Set([ended.text, revoked.text, forged.text, broken.text]).size).toBe(1);
    const { body } = await artist.get(`/api/parties/${past.id}/sheet-links`).expect(200);
    expect((body as SheetLinkAnswer[]).find((link) => link.id === made.id)?.revokedAt).not.toBeNull();
  });

  test('a link for somebody who is not there is not made', async () => {
    await artist
      .post(`/api/parties/${past.id}/sheet-links`)
      .set(keyed())
      .send({ id: newId(), whom: 'person:nobody', secret: newSecret(), days: 7 })
      .expect(422);
  });

  test('a round of touch-ups says what the faces ask by then, by the newest charts and the studio’s wears', async () => {
    const party = (await artist.get(`/api/parties/${past.id}`).expect(200)).body as {
      revision: number;
      place: string;
      notes: string;
      name: string;
    };
    const chart = demo.charts.find((one) =>
      one.steps.some((step) => step.role === 'base' && step.use.length > 0),
    )!;
    const face = plan.timetable!.visits.find(({ of, task }) => task === faceOf({ id: of }))!;
    const start = face.start + face.minutes + 240;
    const round = {
      id: 'later',
      place: plan.places[0]!.id,
      from: start,
      to: start + 60,
      minutes: 20,
      by: [face.worker],
    };
    await artist
      .put(`/api/parties/${past.id}`)
      .set({ ...keyed(), 'if-match': String(party.revision) })
      .send({
        id: past.id,
        name: party.name,
        date: past.date,
        place: party.place,
        notes: party.notes,
        plan: {
          ...plan,
          guests: plan.guests.map((one) =>
            one.id === face.of ? { ...one, clientId: chart.client.id, chartId: chart.id } : one,
          ),
          rounds: [round],
          timetable: {
            ...plan.timetable!,
            visits: [
              ...plan.timetable!.visits,
              { of: 'later', task: 'later', worker: face.worker, chair: null, start, minutes: 20 },
            ],
          },
        },
      })
      .expect(200);
    const own = await make(`hands:${face.worker}`);
    const { text } = await open(own.path).expect(200);
    expect(text).toMatch(/Touch-ups at \d\d:\d\d/);
    expect(text).toMatch(/(Nose|Forehead|Mouth|Chin|Cheeks|Under the eyes): /);
    const other = plan.hands.find(({ id }) => id !== face.worker);
    if (other) {
      const theirs = await open((await make(`hands:${other.id}`)).path).expect(200);
      expect(theirs.text).not.toContain('Touch-ups at');
    }
  });

  test('names are text and no markup', async () => {
    const party = (await artist.get(`/api/parties/${past.id}`).expect(200)).body as {
      revision: number;
      place: string;
      notes: string;
    };
    const guests = plan.guests.map((one, i) => (i === 0 ? { ...one, name: '<img src=x onerror=1>' } : one));
    await artist
      .put(`/api/parties/${past.id}`)
      .set({ ...keyed(), 'if-match': String(party.revision) })
      .send({
        id: past.id,
        name: '"><script>',
        date: past.date,
        place: party.place,
        notes: party.notes,
        plan: { ...plan, guests },
      })
      .expect(200);
    const { path } = await make(`person:${guest.id}`);
    const { text } = await open(path).expect(200);
    expect(text).not.toContain('<img');
    expect(text).not.toContain('<script');
    expect(text).toContain('&lt;img src=x onerror=1&gt;');
  });
});
