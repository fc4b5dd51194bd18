import {
  addDays,
  fitLook,
  inferLandmarks,
  nextVersion,
  productName,
  recordedBy,
  seededRandom,
  seedFromText,
  shiftDepth,
  simulateSample,
  SKIN_ZONES,
  summariseReadings,
  type Chart,
  type ClientSnapshot,
  type Kit,
  type Lab,
  type Occasion,
  type SkinZone,
  type Told,
} from '@toile/core';
import { emptyBundle, type StudioBundle } from '@toile/contract';
import { CLIENTS, clientNamed, type DemoClient } from './clients';
import { idFor } from './ids';
import { lookNamed, LOOKS } from './looks';
import { compactFor } from './compacts';
import { PALETTES } from './palettes';
import { wearsOfAYear } from './wears';
import { practised } from './practised';
import { TROUPE } from './troupe';
import { trialsOfAYear } from './trials';
import { pastParties } from './pastParties';
import { choirPlan, ferryPlan, galaPlan } from './parties';
import { PRODUCTS, unitsOn } from './products';

/** Demo sign-ins, printed by the start command. They are no secret and open nothing but the demo. */
export const SIGN_INS = [
  { name: 'Runa Castellane', email: 'runa@quayside.example', password: 'lantern-quay', role: 'owner' },
  { name: 'Teodor Marsh', email: 'teodor@quayside.example', password: 'ferry-at-nine', role: 'artist' },
  { name: 'Wilhelmina Fry', email: 'mina@quayside.example', password: 'clean-brushes', role: 'assistant' },
] as const;

export const SECOND_SIGN_IN = {
  name: 'Odile Vantongeren',
  email: 'odile@millrace.example',
  password: 'upstream-again',
  role: 'owner',
} as const;

type Reading = StudioBundle['readings'][number];
type Zones = Record<SkinZone, Lab[]>;

/** Five samples a zone as the stand-in reader would give them. */
function sampled(skin: Record<SkinZone, Lab>, seed: string): Zones {
  const random = seededRandom(seedFromText(seed));
  const five = (zone: SkinZone): Lab[] =>
    Array.from({ length: 5 }, () => roundLab(simulateSample(skin[zone], random)));
  return {
    forehead: five('forehead'),
    cheek: five('cheek'),
    underEye: five('underEye'),
    mouthSide: five('mouthSide'),
    chin: five('chin'),
    neck: five('neck'),
    decollete: five('decollete'),
  };
}

const roundLab = (lab: Lab): Lab => [
  Math.round(lab[0] * 100) / 100,
  Math.round(lab[1] * 100) / 100,
  Math.round(lab[2] * 100) / 100,
];

function reading(client: DemoClient, date: string): Reading {
  return {
    id: idFor(`reading ${client.name} ${date}`),
    clientId: client.id,
    at: `${date}T10:00:00Z`,
    by: 'Runa Castellane',
    source: 'reader',
    zones: sampled(client.skin, `${client.name} first reading`),
  };
}

/**
 * Earlier readings: days before the newest, and how many shade steps deeper the skin was then. Summers and a
 * lamp-lit winter.
 */
const HISTORY: readonly {
  readonly name: string;
  readonly before: readonly (readonly [days: number, steps: number])[];
}[] = [
  {
    name: 'Thandeka Moor',
    before: [
      [310, 0.5],
      [205, -0.4],
      [96, 0.3],
    ],
  },
  {
    name: 'Isaura Penhallow',
    before: [
      [430, 0.2],
      [340, 1.1],
      [250, 1.6],
      [140, 0.6],
    ],
  },
];

function earlierReading(client: DemoClient, newest: Reading, days: number, steps: number): Reading {
  const then = Object.fromEntries(
    SKIN_ZONES.map((zone) => [zone, shiftDepth(client.skin[zone], steps)]),
  ) as Record<SkinZone, Lab>;
  const date = addDays(newest.at.slice(0, 10), -days);
  return {
    id: idFor(`reading ${client.name} ${days}`),
    clientId: client.id,
    at: `${date}T10:00:00Z`,
    by: 'Runa Castellane',
    source: 'reader',
    zones: sampled(then, `${client.name} ${days}`),
  };
}

/** Spots the bride’s reading names: a redness at the chin and a sun mark on the forehead. */
function withSpots(reading: Reading, skin: Record<SkinZone, Lab>): Reading {
  const beside = (zone: SkinZone, [dL, da, db]: Lab): [number, number, number][] =>
    [0, 0.3, -0.2].map((n) => [skin[zone][0] + dL + n, skin[zone][1] + da - n, skin[zone][2] + db + n]);
  return {
    ...reading,
    extras: [
      { name: 'Redness', beside: 'chin', samples: beside('chin', [-5, 7.5, 0.5]) },
      { name: 'Sun mark', beside: 'forehead', samples: beside('forehead', [-6, 1, 1.2]) },
    ],
  };
}

function snapshot(client: DemoClient, from: Reading): ClientSnapshot {
  const skin = Object.fromEntries(
    SKIN_ZONES.map((zone) => [zone, summariseReadings(from.zones[zone] ?? [])!.lab]),
  );
  return {
    id: client.id,
    name: client.name,
    landmarks: inferLandmarks(client.measurements),
    features: client.features,
    skin,
    readingId: from.id,
    sensitivities: [...client.sensitivities],
  };
}

function fitted(
  client: DemoClient,
  look: string,
  from: Reading,
  kit: Kit,
  occasion: Occasion,
  at: string,
  reason: string,
): Chart {
  return fitLook(lookNamed(look), snapshot(client, from), kit, occasion, {
    id: idFor(`chart ${client.name} ${look}`),
    author: 'Runa Castellane',
    at,
    reason,
  }).chart;
}

/**
 * The demo studio as one document, dated around a day (YYYY-MM-DD) so that there is always something next.
 */
export function demoStudio(today: string): StudioBundle {
  const kit: Kit = { products: PRODUCTS, units: unitsOn(today) };
  const wedding = addDays(today, 9);
  const gala = addDays(today, 4);
  const portraits = addDays(today, 2);
  const eightMonthsAgo = addDays(today, -243);

  const taken = (c: DemoClient, date: string): Reading =>
    c.name === 'Isaura Penhallow' ? withSpots(reading(c, date), c.skin) : reading(c, date);
  const readings = CLIENTS.filter((c) => c.name !== 'Beatrix Lindqvist').map((c) =>
    taken(c, c.driftSteps !== 0 ? eightMonthsAgo : addDays(today, -6 - (c.birthYear % 19))),
  );
  readings.push(
    ...HISTORY.flatMap(({ name, before }) =>
      before.map(([days, steps]) =>
        earlierReading(
          clientNamed(name),
          readings.find((r) => r.clientId === clientNamed(name).id)!,
          days,
          steps,
        ),
      ),
    ),
  );
  const players = TROUPE.map((member) => reading(member, addDays(today, -200)));
  const readingOf = (name: string): Reading => readings.find((r) => r.clientId === clientNamed(name).id)!;

  const bride = clientNamed('Isaura Penhallow');
  const occasion = (kind: Occasion['kind'], date: string, hoursToLast: number): Occasion => ({
    kind,
    date,
    lights: kind === 'gala' ? ['indoor', 'flash'] : ['daylight', 'flash'],
    hoursToLast,
    camera: true,
  });
  const trial = fitted(
    bride,
    'Harbour Morning',
    readingOf(bride.name),
    kit,
    occasion('trial', addDays(today, -21), 5),
    `${addDays(today, -21)}T10:30:00Z`,
    'Trial',
  );
  const calmer = nextVersion(
    {
      ...trial,
      occasion: occasion('wedding', wedding, 12),
      steps: trial.steps.map((s) =>
        s.role === 'lip' && !s.variant ? { ...s, note: `${s.note} One tone calmer than at the trial.` } : s,
      ),
    },
    trial,
    {
      author: 'Runa Castellane',
      at: `${addDays(today, -20)}T17:00:00Z`,
      reason: 'After the trial: a calmer lip, the rest stays',
    },
  );
  const mother = fitted(
    clientNamed('Morwenna Penhallow'),
    'Choir Loft',
    readingOf('Morwenna Penhallow'),
    kit,
    occasion('wedding', wedding, 10),
    `${addDays(today, -20)}T12:00:00Z`,
    'Soft, with the eyes placed open',
  );
  const gmaster = fitted(
    clientNamed('Ignace Dovrel'),
    'Plain Cloth',
    readingOf('Ignace Dovrel'),
    kit,
    occasion('gala', gala, 6),
    `${addDays(today, -3)}T09:00:00Z`,
    'For the lamps',
  );
  const attendant = fitted(
    clientNamed('Leocadia Brandt'),
    'Harbour Morning',
    readingOf('Leocadia Brandt'),
    kit,
    occasion('wedding', wedding, 12),
    `${addDays(today, -12)}T15:00:00Z`,
    'Fitted from the bride’s look',
  );
  const singer = clientNamed('Thandeka Moor');
  const worn = fitted(
    singer,
    'Lamplight',
    readingOf(singer.name),
    kit,
    occasion('gala', addDays(eightMonthsAgo, 1), 6),
    `${eightMonthsAgo}T11:00:00Z`,
    'Spring gala',
  );

  const step = (chart: Chart, role: string): string =>
    chart.steps.find((s) => s.role === role && !s.variant)!.id;
  const event = (
    chart: Chart,
    stepId: string,
    n: number,
    what: Pick<Told, 'kind' | 'deviation'>,
  ): StudioBundle['events'][number] => ({
    chartId: chart.id,
    version: chart.version,
    event: recordedBy('Teodor Marsh', {
      id: idFor(`event ${chart.id} ${stepId} ${n}`),
      stepId,
      at: new Date(Date.parse(`${addDays(eightMonthsAgo, 1)}T16:10:00Z`) + n * 60_000).toISOString(),
      ...what,
    }),
  });

  // Eyes take these hands longer than planned, sculpting goes quicker; each tick comes when the hands are
  // done.
  const pace = (s: Chart['steps'][number]): number =>
    s.phase === 'eyes' || s.phase === 'lashes' ? 1.4 : s.phase === 'sculpt' ? 0.8 : 1;
  const endOf = (chart: Chart, i: number): number =>
    chart.steps
      .slice(0, i)
      .reduce(
        (sum, s) => sum + s.handsOnMinutes * pace(s) + s.waitMinutes,
        chart.steps[i]!.handsOnMinutes * pace(chart.steps[i]!),
      );

  const visit = (
    name: string,
    kind: Occasion['kind'],
    date: string,
    startsAt: string,
    place: string,
    more: { readyBy?: string; party?: string; chart?: Chart; occasion?: Occasion } = {},
  ): StudioBundle['visits'][number] => ({
    id: idFor(`visit ${name} ${kind} ${place}`),
    clientId: clientNamed(name).id,
    kind,
    date,
    startsAt,
    readyBy: more.readyBy ?? null,
    place,
    partyId: more.party ? idFor(`party ${more.party}`) : null,
    chartId: more.chart?.id ?? null,
    ...(more.occasion ? { occasion: more.occasion } : {}),
    bookedOn: addDays(today, -12),
    // Of two the hair plan is still to be agreed on.
    ...(kind === 'wedding' && !['Nadira Quill', 'Zenobia Achterberg'].includes(name)
      ? { runUp: ['agree'] }
      : {}),
  });
  const tried = trialsOfAYear(
    idFor('studio Quayside'),
    TROUPE.map((member, i) =>
      fitted(
        member,
        'Choir Loft',
        players[i]!,
        kit,
        occasion('other', addDays(today, -190 + 28 * i), 9),
        `${addDays(today, -195 + 28 * i)}T10:00:00Z`,
        'For the boards',
      ),
    ),
    kit,
    today,
  );
  const past = pastParties(today);
  const band = PRODUCTS.find((p) => p.kind === 'lashes')!;
  const skerry = { party: 'Pell Skerry wedding' };
  const guild = { party: 'Glass-blowers’ guild gala' };
  const choir = { party: 'Choir anniversary portraits' };

  return {
    ...emptyBundle({ id: idFor('studio Quayside'), name: 'Quayside Room, Ostermouth' }),
    people: SIGN_INS.map(personOf),
    clients: [...CLIENTS, ...TROUPE].map((c, i) => ({
      id: c.id,
      name: c.name,
      phone: `+00 555 01${String(10 + i)}`,
      email: `${c.name
        .normalize('NFD')
        .replace(/[^A-Za-z ]/g, '')
        .toLowerCase()
        .replace(/ /g, '.')}@post.example`,
      birthYear: c.birthYear,
      guardianConsent: c.guardianConsent,
      sensitivities: [...c.sensitivities],
      notes: c.notes,
      features: c.features,
      measurements: { ...c.measurements },
    })),
    simulatedSkins: [...CLIENTS, ...TROUPE].map((c) => ({
      clientId: c.id,
      skin: Object.fromEntries(
        SKIN_ZONES.map((zone) => [zone, roundLab(shiftDepth(c.skin[zone], c.driftSteps))]),
      ),
    })),
    readings: [...readings, ...players],
    products: [...PRODUCTS],
    units: [...kit.units],
    palettes: [...PALETTES],
    looks: [...LOOKS],
    parties: [
      {
        id: idFor(`party ${skerry.party}`),
        name: skerry.party,
        date: wedding,
        place: 'Pell Skerry lighthouse',
        notes:
          'The ferry leaves the river quay at 06:40 and cannot cross again before 15:10. Ceremony at 13:00 on the lamp gallery, wind likely. No shop on the island: pack spares.',
        plan: ferryPlan(),
      },
      {
        id: idFor(`party ${guild.party}`),
        name: guild.party,
        date: gala,
        place: 'Furnace Hall, Ostermouth',
        notes: 'Speeches from 19:30 under hot lamps, photographs before.',
        plan: galaPlan(),
      },
      {
        id: idFor(`party ${choir.party}`),
        name: choir.party,
        date: portraits,
        place: 'St Orrin’s loft',
        notes: 'Window light from the north; portraits every twenty minutes from 10:00.',
        plan: choirPlan(),
      },
      ...past.parties,
    ],
    patchTests: [
      {
        id: idFor('patch test Leocadia lash band'),
        clientId: clientNamed('Leocadia Brandt').id,
        productId: band.id,
        product: productName(band),
        unitId: null,
        place: 'behind the ear',
        plannedFor: addDays(today, -2),
        laidAt: `${addDays(today, -2)}T09:00:00Z`,
        readings: [{ at: `${addDays(today, -1)}T09:30:00Z`, by: 'Teodor Marsh', result: 'clear', note: '' }],
        note: '',
      },
    ],
    visits: [
      visit('Thandeka Moor', 'portrait', portraits, '09:00', 'St Orrin’s loft', {
        ...choir,
        readyBy: '10:00',
      }),
      visit('Caspian Orrell', 'portrait', portraits, '10:00', 'St Orrin’s loft', {
        ...choir,
        readyBy: '10:40',
      }),
      visit('Beatrix Lindqvist', 'portrait', portraits, '10:40', 'St Orrin’s loft', {
        ...choir,
        readyBy: '11:20',
      }),
      visit('Renske Halloran', 'trial', addDays(today, 1), '14:00', 'Quayside Room'),
      visit('Ignace Dovrel', 'gala', gala, '17:00', 'Furnace Hall', {
        ...guild,
        readyBy: '18:00',
        chart: gmaster,
      }),
      visit('Philippa Renn', 'gala', gala, '17:30', 'Furnace Hall', { ...guild, readyBy: '18:45' }),
      visit('Ambrose Tull', 'gala', gala, '18:15', 'Furnace Hall', { ...guild, readyBy: '19:00' }),
      visit('Ottoline Grieve', 'wedding', wedding, '07:50', 'Pell Skerry', { ...skerry, readyBy: '11:30' }),
      visit('Morwenna Penhallow', 'wedding', wedding, '08:30', 'Pell Skerry', {
        ...skerry,
        readyBy: '11:45',
        chart: mother,
      }),
      visit('Zenobia Achterberg', 'wedding', wedding, '08:30', 'Pell Skerry', {
        ...skerry,
        readyBy: '11:45',
      }),
      visit('Leocadia Brandt', 'wedding', wedding, '09:20', 'Pell Skerry', {
        ...skerry,
        readyBy: '12:00',
        chart: attendant,
      }),
      visit('Søla Vestergård', 'wedding', wedding, '09:20', 'Pell Skerry', { ...skerry, readyBy: '12:00' }),
      visit('Nadira Quill', 'wedding', wedding, '10:10', 'Pell Skerry', { ...skerry, readyBy: '12:00' }),
      visit('Isaura Penhallow', 'wedding', wedding, '10:20', 'Pell Skerry', {
        ...skerry,
        readyBy: '12:20',
        chart: trial,
        occasion: {
          ...occasion('wedding', wedding, 12),
          asked: true,
          begins: '12:20',
          ends: '00:20',
          conditions: ['tears', 'dancing', 'meals', 'wind'],
          outfit: [{ name: 'ivory silk', lab: [93, 0, 8] }],
          metal: 'gold',
          place: 'Pell Skerry',
        },
      }),
      visit('Posy Penhallow', 'wedding', wedding, '12:00', 'Pell Skerry', { ...skerry, readyBy: '12:30' }),
    ],
    partyEvents: past.partyEvents,
    wearChecks: wearsOfAYear([trial, mother, gmaster, attendant, worn], today),
    charts: [trial, calmer, mother, gmaster, attendant, worn, ...tried.charts],
    trials: tried.trials,
    trialEvents: tried.trialEvents,
    practiceEvents: practised(today),
    compacts: [compactFor(mother, today)],
    // Offered once, and not wanted: silent until there is more to say.
    learnedAnswers: [
      {
        id: idFor('learned lip'),
        key: 'mouth | Tamsin Vale Mouth | Tamsin Vale Kept',
        answer: 'never',
        words: 'Tamsin Vale Kept for Tamsin Vale Mouth (mouth)',
        failed: 3,
        worn: 4,
        strength: 'hint',
        at: `${addDays(today, -80)}T17:00:00Z`,
        by: 'Runa Castellane',
      },
    ],
    events: [
      ...worn.steps.map((s, i) => event(worn, s.id, endOf(worn, i), { kind: 'done' })),
      event(worn, step(worn, 'base'), 140, {
        kind: 'deviation',
        deviation: {
          kind: 'amount',
          measures: worn.steps.find((s) => s.role === 'base')!.use.reduce((n, u) => n + u.parts, 0) + 1,
          note: 'Hot hall, she wanted it fuller.',
        },
      }),
      event(worn, step(worn, 'lip'), 141, {
        kind: 'deviation',
        deviation: { kind: 'note', note: 'Asked for a calmer lip by the end of the evening.' },
      }),
    ],
  };
}

/** A second, empty studio: to carry charts to, and to prove that studios do not see each other. */
export function secondStudio(): StudioBundle {
  return {
    ...emptyBundle({ id: idFor('studio Millrace'), name: 'Millrace, Upper Ostern' }),
    people: [personOf(SECOND_SIGN_IN)],
  };
}

const personOf = ({
  name,
  email,
  role,
}: (typeof SIGN_INS)[number] | typeof SECOND_SIGN_IN): StudioBundle['people'][number] => ({
  id: idFor(`account ${email}`),
  name,
  email,
  role,
});
