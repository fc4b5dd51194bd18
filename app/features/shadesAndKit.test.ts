import {
  fitLook,
  inferLandmarks,
  landmarksOf,
  lineArt,
  matchShades,
  orderedSteps,
  PLAIN_FEATURES,
  readKitCsv,
  skinByZone,
  skinInks,
  skinSpots,
  type Kit,
  type Lab,
  type Look,
  type PanIdentification,
  type Product,
  type ShadeContext,
  type Step,
} from '@toile/core';
import type { ReadingAnswer } from '@toile/contract';
import { fittingJobs } from '../workers/fittingJobs';
import { shadeJobs } from '../workers/shadeJobs';
import { paintJobs, paintPicture } from '../workers/paintJobs';
import { decoded, importSummary, mapped } from './kit/importView';
import { verdictInWords } from './kit/identifyView';
import { PLAIN_PRODUCT } from './kit/product.testing';
import { kitRows, leftInWords, NO_FILTER, wishesIn } from './kit/kitView';
import { emptyForm, formOf, productOf } from './kit/productForm';
import { flashWarnings } from './light/lightView';
import {
  EMPTY_SESSION,
  extraSpot,
  heldName,
  howMeasured,
  samplesOf,
  spotIn,
  sureness,
  withFile,
  withSamples,
  type Session,
} from './reading/readingView';
import { acceptedLines, fixed, gathered, openLines, reviewInWords } from './review/reviewView';
import { saversInWords, timeInWords } from './review/timeView';
import {
  bestUnderLights,
  lightsInWords,
  matchReason,
  ratioOf,
  takenInWords,
  useOf,
  withMatch,
} from './shades/shadesView';
import { driftInWords, historyOf } from './skin/historyView';
import { substituteName } from './substitute/substituteView';

const id = (n: number): string => `0190a000-0000-7000-8000-${String(n).padStart(12, '0')}`;
const product = (n: number, lab: Lab | null, more: Partial<Product> = {}): Product => ({
  id: id(n),
  ...PLAIN_PRODUCT,
  shade: `S${n}`,
  lab: lab ? [...lab] : null,
  ...more,
});
const kitOf = (...products: Product[]): Kit => ({
  products,
  units: products.map((p, i) => ({
    id: id(500 + i),
    productId: p.id,
    openedOn: '2031-03-01',
    remainingMg: 9000,
    place: `case ${i}`,
  })),
});
const KIT = kitOf(product(10, [72, 10, 17]), product(11, [58, 12, 20]), product(12, [48, 13, 19]));
const client = {
  id: id(1),
  name: 'Ilse Moor',
  landmarks: inferLandmarks({}),
  features: PLAIN_FEATURES,
  skin: skinByZone([64, 12, 19]),
  readingId: null,
  sensitivities: [],
};
const context: ShadeContext = { client, kit: KIT, date: '2031-05-14' };
const look: Look = {
  format: 'toile.look/1',
  id: id(800),
  version: 1,
  parent: null,
  author: 'Ada',
  at: '2031-01-01T09:00:00Z',
  reason: '',
  name: 'Harbour',
  description: '',
  tags: [],
  schools: { eyesOrFace: 'face first', contour: 'over base', concealer: 'over base', contrast: 'soft' },
  forbids: { finishes: ['shimmer'], kinds: [] },
  variants: [],
  steps: [
    {
      id: id(2),
      phase: 'base',
      role: 'base',
      title: 'Base',
      shade: { relative: { to: 'skin', depthSteps: 0 } },
      wants: { kinds: ['base'], mix: true },
      placements: [{ guide: 'zone.wholeFace', side: 'both' }],
      doseMgPerCm2: 0.6,
      passes: 1,
      tool: 'damp sponge',
      technique: 'press',
      handsOnMinutes: 8,
      waitMinutes: 0,
      note: '',
    },
  ],
};
const stamp = { id: id(900), author: 'Ada', at: '2031-05-14T09:20:00Z', reason: '' };
const { chart } = fitLook(
  look,
  client,
  KIT,
  { kind: 'trial', date: '2031-05-14', lights: ['daylight'], hoursToLast: 6, camera: true },
  stamp,
);

describe('a match in words and in a chart', () => {
  const found = matchShades(context);
  const pair = found.pairs[0]!;

  test('ratio, amount and lights', () => {
    expect(ratioOf(pair)).toMatch(/^\d : \d$/);
    expect(ratioOf(found.singles[0]!)).toBe('');
    expect(takenInWords(pair)).toMatch(/^[\d½]+ pumps? \+ [\d½]+ pumps?, \d\.\d\d ml: \d+ mg, \d+ needed$/);
    const best = bestUnderLights([pair]);
    expect(lightsInWords(pair, best)).toBe('lamp as the best · flash as the best');
    expect(lightsInWords(pair, { indoor: best.indoor - 1, flash: best.flash })).toMatch(
      /^lamp 1\.0 behind · flash as the best$/,
    );
    expect(matchReason(pair)).toMatch(/^Base matched: Line S1\d with Line S1\d, \d : \d, \d\.\d off$/);
  });

  test('put into the base step and no other; a chart without a base takes none', () => {
    const changed = withMatch(chart, pair, null)!;
    expect(changed.steps[0]!.use).toEqual(useOf(pair));
    expect(
      withMatch({ ...chart, steps: chart.steps.map((s) => ({ ...s, role: 'lip' as const })) }, pair, null),
    ).toBeNull();
  });

  test('the worker answers the same', () => {
    expect(shadeJobs.match({ context, wishes: {} }, () => undefined)).toEqual(found);
    expect(shadeJobs.whyNot({ context, wishes: {}, productId: id(12) })).toMatch(/deeper/);
    expect(shadeJobs.shadeMap({ kit: KIT }).points).toHaveLength(3);
  });
});

describe('a reading being taken', () => {
  const file = [
    { line: 1, name: 'Cheek', zone: 'cheek' as const, lab: [62, 12, 18] as Lab },
    { line: 2, name: 'X', zone: null, lab: [60, 12, 18] as Lab },
  ];
  test('a file fills its zones; the rest goes where the reader is held', () => {
    const { session, words } = withFile(EMPTY_SESSION, file, 'chin');
    expect(session.zones).toEqual({ cheek: [[62, 12, 18]], chin: [[60, 12, 18]] });
    expect(words).toBe('2 samples taken in: cheek 1, chin 1.');
  });
  test.each([
    [{ illuminant: 'D65', observer: 2, stated: true, from: 'LAB' }, []],
    [{ illuminant: 'D50', observer: 10, stated: false, from: 'spectra' }, []],
    [
      { illuminant: 'D50', observer: 2, stated: true, from: 'XYZ' },
      ['Measured under D50 and brought to daylight.'],
    ],
    [
      { illuminant: 'D65', observer: 10, stated: true, from: 'LAB' },
      ['Measured under D65 for the observer of ten degrees and brought to daylight.'],
    ],
    [
      { illuminant: 'D50', observer: 2, stated: false, from: 'LAB' },
      ['The file names no light: taken as D50, as is usual, and brought to daylight.'],
    ],
  ] as const)('what a file of %j was brought from is said', (table, words) => {
    const tables = [table, table].map((one) => ({ ...one, samples: 1 }));
    expect(howMeasured({ ok: true, samples: [], tables, leftOut: [] })).toEqual(words);
  });
  test('tables without colours are told by their line', () => {
    const leftOut = [12, 30].map((line) => ({ line, message: '' }));
    const told = (n: number) =>
      howMeasured({ ok: true, samples: [], tables: [], leftOut: leftOut.slice(0, n) });
    expect([told(0), told(1), told(2)]).toEqual([
      [],
      ['A table without colours was left out (line 12).'],
      ['2 tables without colours were left out (the first at line 12).'],
    ]);
  });
  test('added places hold samples of their own and are compared with their zone', () => {
    const extra = { name: 'Flush', beside: 'cheek' as const, samples: [] };
    let session: Session = { ...EMPTY_SESSION, extras: [extra] };
    session = withSamples(session, 0, [[56, 21, 18]]);
    expect(samplesOf(session, 0)).toEqual([[56, 21, 18]]);
    expect(heldName(session, 0)).toBe('Flush');
    expect(spotIn(session, session.extras[0]!)).toBeNull();
    session = withSamples(session, 'cheek', [[62, 12, 18]]);
    expect(spotIn(session, session.extras[0]!)!.kind).toBe('redness');
    expect(extraSpot(extra, 0)).not.toEqual(extraSpot(extra, 1));
  });
  test('how sure', () => {
    const summary = {
      lab: [60, 12, 18] as Lab,
      keptCount: 5,
      dropped: [],
      spread: 0.4,
      uncertainty: 0.2,
      moreNeeded: 0,
    };
    expect([
      sureness(summary),
      sureness({ ...summary, uncertainty: 0.45 }),
      sureness({ ...summary, moreNeeded: 2 }),
    ]).toEqual(['very sure', 'sure', 'not yet sure']);
  });
});

describe('skin over time', () => {
  const reading = (at: string, L: number): ReadingAnswer => ({
    id: at,
    at,
    by: 'Ada',
    source: 'reader',
    zones: {},
    skin: { neck: [L, 11, 18] },
    extras: [],
  });
  test('oldest first, readings without the zone left out', () => {
    const points = historyOf(
      [
        reading('2031-05-01T09:00:00Z', 60),
        { ...reading('2031-03-01T09:00:00Z', 60), skin: {} },
        reading('2031-01-01T09:00:00Z', 64),
      ],
      'neck',
    );
    expect(points.map((p) => p.lab[0])).toEqual([64, 60]);
  });
  test.each<[Lab, Lab, RegExp]>([
    [[60, 12, 18], [60.1, 12, 18], /still hold/],
    [[64, 12, 18], [60.5, 12, 18], /shade steps deeper\. (Take the next shade|Mix a little)/],
    [[60, 12, 18], [60, 7, 22], /hue has moved: match again/],
  ])('%j to %j', (before, now, words) => expect(driftInWords(before, now, 'then')).toMatch(words));
});

describe('the kit', () => {
  test('found by name, state and wishes', () => {
    const kit = {
      ...KIT,
      products: [
        ...KIT.products,
        product(13, null, { kind: 'spray', withdrawn: true }),
        product(14, null, { kind: 'spray' }),
      ],
    };
    const shades = (filter = NO_FILTER, typed = '') =>
      kitRows(kit, typed, '2031-05-14', filter).flatMap((g) => g.rows.map((r) => r.product.shade));
    expect(shades()).toHaveLength(5);
    expect(shades({ ...NO_FILTER, kinds: ['spray'] })).toEqual(['S13', 'S14']);
    expect(shades({ ...NO_FILTER, states: ['not owned'] })).toEqual(['S14']);
    expect(shades({ ...NO_FILTER, states: ['past or withdrawn'] })).toEqual(['S13']);
    expect(shades(NO_FILTER, 's10')).toEqual(['S10']);
    expect(wishesIn({ ...NO_FILTER, kinds: ['base'], states: ['owned'] })).toBe(2);
    const few: Kit = { ...KIT, units: KIT.units.map((u) => ({ ...u, remainingMg: 300 })) };
    expect(kitRows(few, '', '2031-05-14')[0]!.rows[0]!.fact).toBe('▲ nearly out');
    // A full one that is past its date does not make up for it.
    const [first] = few.units;
    const old = { ...first!, id: 'old', remainingMg: 30_000, openedOn: '2028-01-01' };
    const withOld = kitRows({ ...few, units: [...few.units, old] }, '', '2031-05-14');
    expect(withOld[0]!.rows.find(({ product: { id } }) => id === first!.productId)!.fact).toBe(
      '▲ nearly out',
    );
    const fresh = { ...old, openedOn: '2031-05-01' };
    const withFresh = kitRows({ ...few, units: [...few.units, fresh] }, '', '2031-05-14');
    expect(withFresh[0]!.rows.find(({ product: { id } }) => id === first!.productId)!.fact).toMatch(/^until/);
  });
  test('what is left in measures and weight', () => {
    expect(leftInWords({ remainingMg: 4500 }, KIT.products[0]!)).toBe('30 pumps, 4.5 g');
    expect(leftInWords({ remainingMg: 160 }, KIT.products[0]!)).toBe('1 pump, 160 mg');
  });
  test('a product goes into the form and comes out the same', () => {
    const before = product(10, [72.5, 10, 17], {
      flashGrade: 2,
      tintingStrength: 1.25,
      ingredients: ['water', 'mica'],
    });
    expect(productOf(formOf(before))).toEqual(before);
    expect(productOf({ ...emptyForm(), lab: ['', '', ''] }).lab).toBeNull();
    expect(productOf({ ...emptyForm(), lab: ['64,5', '', '18'] }).lab![1]).toBeNaN();
    expect(emptyForm(before)).toMatchObject({ line: 'Line', shade: 'S10' });
    expect(emptyForm(before).id).not.toBe(before.id);
  });
  test('files in either encoding; what taking them in would do', () => {
    expect(decoded(new TextEncoder().encode('crème').buffer)).toBe('crème');
    expect(decoded(Uint8Array.from([0x63, 0x72, 0xe8, 0x6d, 0x65]).buffer)).toBe('crème');
    const read = readKitCsv(
      'maker,line,shade,kind,place\nA,B,C,base,case 1\nA,B,C,base,case 2\nA,B,D,nothing,',
    );
    expect(importSummary(read)).toEqual({
      good: 2,
      wrong: 1,
      words: '3 rows: 1 new product, 2 units, 1 wrong. Nothing is written yet.',
      amounts: 'What is left is not said of the 2 units: taken as full. Count them when you can.',
    });
    const some = readKitCsv('maker,line,shade,kind,place,left\nA,B,C,base,case 1,\nA,B,C,base,case 2,800');
    expect(importSummary(some).amounts).toBe(
      'What is left is not said of 1 of them: taken as full. Count them when you can.',
    );
    expect(importSummary(readKitCsv('maker,line,shade,kind,left\nA,B,C,base,0')).amounts).toBeNull();
    expect(mapped(mapped({}, 'maker', 'who'), 'maker', null)).toEqual({});
  });
  test('a pan is named, offered among a few, or none', () => {
    const guess = (certainty: number) => ({ product: KIT.products[0]!, deltaE: 0.5, certainty });
    const said = (verdict: PanIdentification['verdict'], n = 1) =>
      verdictInWords({ verdict, none: 0, guesses: Array.from({ length: n }, () => guess(0.5)) });
    expect([said('sure'), said('likely'), said('between', 2), said('none')]).toEqual([
      'Line S10, sure.',
      'Most likely Line S10.',
      'Too near to tell: Line S10 or Line S10.',
      'None of the kit’s: nothing has this colour.',
    ]);
  });
  test('a substitute is named with its ratio', () => {
    const [single] = shadeJobs.substitute({ context, product: KIT.products[0]!, options: {} });
    expect(substituteName(single!)).toMatch(/^(\d : \d )?Line S/);
  });
});

describe('under light', () => {
  test('the worker paints skin, and the same again from what it kept', () => {
    const request = {
      client,
      steps: chart.steps,
      view: [-90, -110, 180, 230] as const,
      width: 90,
      light: 'daylight' as const,
      eaten: 0,
    };
    const { rgba, frame } = paintPicture(request);
    const centre = 4 * (frame.width * Math.round(frame.height / 2) + Math.round(frame.width / 2));
    expect(rgba[centre + 3]).toBe(255);
    expect(Buffer.from(paintPicture(request).rgba.buffer).equals(Buffer.from(rgba.buffer))).toBe(true);
    expect(
      Buffer.from(paintPicture({ ...request, light: 'indoor' }).rgba.buffer).equals(Buffer.from(rgba.buffer)),
    ).toBe(false);
  });
  test('a face drawn in a worker is the one a page draws, on skin only once it was read', () => {
    const trace = { measurements: { cheekboneWidth: 142 } };
    const landmarks = landmarksOf(trace);
    const skin = skinByZone([34, 12, 16]);
    const drawn = paintJobs.face({ trace, features: PLAIN_FEATURES, skin });
    expect(drawn.art).toEqual(lineArt(landmarks, PLAIN_FEATURES, 'open'));
    expect(drawn.own?.inks).toEqual(skinInks(skin));
    expect(drawn.own?.spots).toEqual(skinSpots(skin, landmarks));
    expect(drawn.view[1]).toBeLessThan(landmarks.hairline_c[1]);
    expect(drawn.view[1] + drawn.view[3]).toBeGreaterThan(landmarks.gnathion[1]);
    expect(paintJobs.face({ trace, features: PLAIN_FEATURES, skin: {} }).own).toBeNull();
  });
  test('a scattering powder is warned of by name', () => {
    const powder = product(30, [90, 1, 4], {
      kind: 'powder',
      texture: 'loose',
      finish: 'shimmer',
      ingredients: ['silica'],
    });
    const step = {
      ...chart.steps[0]!,
      title: 'Set',
      use: [{ unitId: null, product: powder, parts: 1, measure: powder.measure }],
      doseMgPerCm2: 1,
    };
    expect(flashWarnings(chart, [step])[0]).toMatch(
      /^Set: Ordway Line S30 may throw the flash back, \d\.\d lighter/,
    );
    expect(flashWarnings(chart, chart.steps)).toEqual([]);
  });
});

describe('review and time', () => {
  const heavy: typeof chart = { ...chart, steps: chart.steps.map((s) => ({ ...s, doseMgPerCm2: 2 })) };
  const lines = fittingJobs.review({ chart: heavy, kit: KIT, grades: {} });
  const heavyBase = lines.find((l) => l.rule === 'heavy-base')!;

  test('findings come with their fix by name, and the fix is found again and applied', () => {
    expect(heavyBase.fix).toBe('Halve it');
    expect(fixed(heavy, KIT, {}, heavyBase)).toMatchObject({
      done: 'Halve it',
      chart: { steps: [{ doseMgPerCm2: 0.75 }] },
    });
    expect(fixed(heavy, KIT, {}, { rule: 'no-such-rule', stepIds: [] })).toBeNull();
    expect(
      fittingJobs
        .review({ chart: heavy, kit: KIT, grades: { 'heavy-base': 'off' } })
        .some((l) => l.rule === 'heavy-base'),
    ).toBe(false);
  });

  test('many findings of one rule are read as one where the first stands; stops and a few of a kind never', () => {
    const found = (rule: string, count: number, severity: 'caution' | 'stop' | 'note' = 'caution') =>
      Array.from({ length: count }, (_, i) => ({ ...heavyBase, rule, severity, stepIds: [`${rule} ${i}`] }));
    const lines = [
      ...found('allergen', 5, 'stop'),
      ...found('no-product', 2),
      ...found('not-enough', 3),
      ...found('no-product', 2),
      ...found('no-dose', 1, 'note'),
      ...found('no-product', 4, 'note'),
    ];
    expect(gathered(lines).map((alike) => `${alike[0]!.rule} ${alike[0]!.severity} ${alike.length}`)).toEqual(
      [
        ...Array.from({ length: 5 }, () => 'allergen stop 1'),
        'no-product caution 4',
        ...Array.from({ length: 3 }, () => 'not-enough caution 1'),
        'no-dose note 1',
        'no-product note 4',
      ],
    );
    // None is lost, none is said twice.
    expect(gathered(lines).flat()).toHaveLength(lines.length);
    expect(new Set(gathered(lines).flat()).size).toBe(lines.length);
    expect(gathered([])).toEqual([]);
  });

  test('counted in words; what was accepted is set apart', () => {
    expect(reviewInWords([])).toBe('nothing to look at again');
    expect(reviewInWords([heavyBase, heavyBase, { ...heavyBase, severity: 'stop' }])).toBe(
      '1 to stop at, 2 cautions',
    );
    const accepted = { ...heavyBase, accepted: 'Stage' };
    expect(openLines([heavyBase, accepted])).toEqual([heavyBase]);
    expect(acceptedLines([heavyBase, accepted])).toEqual([accepted]);
  });

  const order = (total: number, ids: string[]) => ({
    steps: ids.map((stepId, i) => ({ stepId, startMinutes: i, endMinutes: i + 1, dryMinutes: i + 1 })),
    totalMinutes: total,
    boundMinutes: total - 2,
    proven: true,
  });
  test('times in words, and the woven order taken with variants behind what they followed', () => {
    const [a, b, c] = [1, 2, 3].map((i) => ({ ...chart.steps[0]!, id: id(60 + i), title: `Step ${i}` })) as [
      Step,
      Step,
      Step,
    ];
    const three = { ...chart, steps: [a, { ...b, variant: 'evening' }, c] };
    expect(orderedSteps(three, [c.id, a.id]).steps.map((s) => s.id)).toEqual([c.id, a.id, b.id]);
    expect(timeInWords({ given: order(62, []), woven: order(55, []) })).toBe(
      '62 min as it stands; 55 with the waits filled, the shortest there is.',
    );
    expect(timeInWords({ given: order(62, []), woven: { ...order(55, []), proven: false } })).toContain(
      'at most 2.0 above the shortest',
    );
    expect(timeInWords({ given: order(62, []), woven: order(62, []) })).toBe('62 min; no order is shorter.');
    expect(saversInWords([{ stepId: a.id, minutes: 4 }], three)).toBe(
      'What saves the most: a quicker drying after step 1, 4.0 min.',
    );
    expect(saversInWords([], three)).toBe('No wait holds anything up.');
  });
});
