import fc from 'fast-check';
import { skinByZone } from '../../colour';
import {
  AGES,
  BROWS,
  EYE_SHAPES,
  GUIDE_NAMES,
  HAIR_TONES,
  inferLandmarks,
  LIDS,
  LINES,
  measure,
  DRY_ZONES,
  OILY_ZONES,
  PLAIN_FEATURES,
  type Features,
} from '../../face';
import {
  adaptLook,
  ADAPTERS,
  fitLook,
  inOrder,
  lookFromChart,
  refuseAdaptation,
  SCHOOLS,
  type Look,
  type LookStep,
  type Occasion,
  says,
} from '..';
import { client, id, KIT, OCCASION, STAMP } from '../look.testing';
import { at, FULL, step } from './adapt.testing';

const WEDDING: Occasion = {
  kind: 'wedding',
  date: '2031-05-14',
  lights: ['daylight', 'flash'],
  hoursToLast: 9,
  camera: true,
};
const PORTRAIT: Occasion = {
  kind: 'portrait',
  date: '2031-05-14',
  lights: ['daylight'],
  hoursToLast: 1,
  camera: true,
};

type Sees = {
  readonly steps: readonly LookStep[];
  readonly ids: readonly string[];
  readonly words: (id: string) => string | undefined;
};
const see = (
  features: Partial<Features>,
  occasion = OCCASION,
  more: { landmarks?: ReturnType<typeof inferLandmarks>; sensitivities?: string[]; look?: Look } = {},
): Sees => {
  const who = {
    ...client(undefined, { features, sensitivities: more.sensitivities }),
    ...(more.landmarks ? { landmarks: more.landmarks } : {}),
  };
  const { steps, adaptations } = adaptLook(more.look ?? FULL, who, occasion);
  return {
    steps,
    ids: adaptations.map((a) => a.id),
    words: (named) => adaptations.find((a) => a.id === named)?.words,
  };
};
const named = ({ steps }: Sees, title: string) => steps.find((s) => s.title === title);
const guides = (s: LookStep | undefined) => (s?.placements ?? []).map((p) => ('guide' in p ? p.guide : ''));
const plain = see({});

test('a child’s base is sheer or light where it can be, of the face and of the neck', () => {
  const base = FULL.steps.find(({ role }) => role === 'base')!;
  const neck = { ...base, id: id(260), title: 'Neck', placements: at('zone.neck') };
  const seen = see({ age: 'child' }, OCCASION, { look: { ...FULL, steps: [...FULL.steps, neck] } });
  for (const title of [base.title, 'Neck'])
    expect(named(seen, title)!.wants).toMatchObject({ coverages: ['sheer', 'light'], finishes: ['natural'] });
  expect(named(see({}), base.title)!.wants).toEqual(base.wants);
});

test('of two sprays the last is sprayed twice, in whatever order they were made; a variant has its own last', () => {
  const spray = (n: number, phase: LookStep['phase'], variant?: string): LookStep => ({
    ...step(n, {
      phase,
      role: 'care',
      title: `Spray ${n}`,
      wants: { kinds: ['spray'] },
      placements: at('zone.wholeFace'),
    }),
    ...(variant ? { variant } : {}),
  });
  const bare = FULL.steps.filter(({ wants }) => !wants.kinds.includes('spray'));
  const twice = (...sprays: LookStep[]) =>
    see({}, WEDDING, { look: { ...FULL, steps: [...bare, ...sprays] } })
      .steps.filter(({ wants, passes }) => wants.kinds.includes('spray') && passes === 2)
      .map(({ title }) => title);
  const [set, finish] = [spray(280, 'set'), spray(281, 'finish')];
  expect(twice(set)).toEqual(['Spray 280']);
  expect(twice(set, finish)).toEqual(['Spray 281']);
  expect(twice(finish, set)).toEqual(['Spray 281']);
  expect(twice(set, spray(282, 'finish', 'evening'))).toEqual(['Spray 280', 'Spray 282']);
});

test('waterproof is asked for tears, but not of a child', () => {
  const lash = step(270, { phase: 'lashes', role: 'lash', title: 'Lash', wants: { kinds: ['mascara'] } });
  const look = { ...FULL, steps: [...FULL.steps, lash] };
  const tears: Occasion = { ...WEDDING, conditions: ['tears'] };
  expect(see({}, tears, { look }).ids).toContain('waterproof');
  expect(see({ age: 'young' }, tears, { look }).ids).toContain('waterproof');
  expect(see({ age: 'child' }, tears, { look }).ids).not.toContain('waterproof');
  expect(see({}, { ...PORTRAIT, conditions: [] }, { look }).ids).not.toContain('waterproof');
});

test('blush on cheeks that are red of themselves: less of it, and neither camera nor dim light asks for more', () => {
  const bold = { ...FULL, schools: { ...FULL.schools, contrast: 'bold' as const } };
  const dim: Occasion = { ...PORTRAIT, lights: ['candle'], camera: false, kind: 'party' };
  const adapted = (
    skin: ReturnType<typeof skinByZone>,
    occasion: Occasion,
    features: Partial<Features> = {},
  ) => {
    const { steps, adaptations } = adaptLook(bold, { ...client(undefined, { features }), skin }, occasion);
    const blush = steps.find((one) => one.role === 'blush')!;
    const own = bold.steps.find((one) => one.id === blush.id)!;
    return {
      ids: adaptations.filter(({ stepId }) => stepId === blush.id).map((one) => one.id),
      more: blush.doseMgPerCm2 / own.doseMgPerCm2,
      note: blush.note,
    };
  };
  for (const lab of [
    [78, 8, 15],
    [60, 12, 20],
    [36, 12, 15],
  ] as const) {
    const even = skinByZone(lab);
    const red = { ...even, cheek: [lab[0] - 3, lab[1] + 13, lab[2]] as const };
    for (const [occasion, asks] of [
      [WEDDING, 'more for the camera'],
      [dim, 'more in dim light'],
    ] as const) {
      expect(adapted(even, occasion).ids).toContain(asks);
      expect(adapted(even, occasion).more).toBeGreaterThan(1.1);
      const flushed = adapted(red, occasion);
      expect(flushed.ids).toContain('less colour on red cheeks');
      expect(flushed.ids).not.toContain(asks);
      expect(flushed.more).toBeCloseTo(0.8, 1);
      expect(flushed.note).toContain('After the base');
    }
  }
});

test.each<[string, Partial<Features>, (sees: Sees) => unknown, unknown]>([
  [
    'primer where oily',
    { oily: ['forehead', 'nose'] },
    (s) => guides(named(s, 'Prime')),
    ['zone.foreheadCentre', 'zone.noseSide', 'zone.noseBridge'],
  ],
  ['primer on dry skin', { dry: true }, (s) => named(s, 'Prime')!.wants.finishes, ['dewy', 'natural']],
  [
    'primer over texture',
    { texture: 'textured' },
    (s) => guides(named(s, 'Prime')),
    ['zone.apple', 'zone.noseSide'],
  ],
  [
    'set where oily',
    { oily: ['forehead', 'nose', 'cheeks'] },
    (s) => guides(named(s, 'Powder')),
    ['zone.wholeFace'],
  ],
  ['primer on dry patches', { dryZones: ['cheeks'] }, (s) => guides(named(s, 'Prime')), ['zone.apple']],
  [
    'primer where oily',
    { oily: ['nose'], dryZones: ['cheeks'] },
    (s) => guides(named(s, 'Prime')),
    ['zone.noseSide', 'zone.noseBridge'],
  ],
  [
    'moisture on dry patches',
    { dryZones: ['cheeks', 'chin'] },
    (s) => s.steps.find((step) => step.phase === 'clean')!.note.includes('Twice on cheeks and chin.'),
    true,
  ],
  ['little powder on dry patches', { dryZones: ['nose'] }, (s) => named(s, 'Powder')!.doseMgPerCm2, 0.51],
  [
    'little powder on dry patches',
    { oily: ['forehead'], dryZones: ['nose'] },
    (s) => named(s, 'Powder')!.note.includes('left on the brush: nose.'),
    true,
  ],
  [
    'no settled powder on lines',
    { dryZones: ['under the eyes'] },
    (s) => named(s, 'Under eye')!.waitMinutes,
    0,
  ],
  ['less powder', { dry: true }, (s) => named(s, 'Powder')!.doseMgPerCm2, 0.42],
  ['no settled powder on lines', { lines: ['under eye'] }, (s) => named(s, 'Under eye')!.waitMinutes, 0],
  [
    'no wedge on crow’s feet',
    { lines: ['crow’s feet'] },
    (s) => guides(named(s, 'Conceal')),
    ['underEyeLight'],
  ],
  [
    'inner corner only',
    { lines: ['under eye'] },
    (s) => guides(named(s, 'Conceal')),
    ['innerComma', 'outerWedge'],
  ],
  ['beard', { beard: true }, (s) => named(s, 'Jaw'), undefined],
  ['stipple over texture', { texture: 'textured' }, (s) => named(s, 'Blush')!.technique, 'stipple'],
  [
    'no light on an oily forehead or chin',
    { oily: ['forehead', 'chin'] },
    (s) => guides(named(s, 'Light')),
    ['cheekboneLight'],
  ],
  ['narrow temples', { narrowTemples: true }, (s) => named(s, 'Forehead'), undefined],
  ['lifted on mature cheeks', { age: 'mature' }, (s) => guides(named(s, 'Blush')), ['blushLifted']],
  [
    'open-eye placement',
    { lids: { left: 'hooded', right: 'hooded' } },
    (s) => guides(named(s, 'Lid')),
    ['openLid'],
  ],
  [
    'upwards from the lashes',
    { lids: { left: 'without a crease', right: 'without a crease' } },
    (s) => [
      guides(named(s, 'Lid')),
      s.ids.includes('open-eye placement'),
      s.ids.includes('line on hooded lids'),
    ],
    [['openLid'], false, false],
  ],
  [
    'line on lids without a crease',
    { lids: { left: 'without a crease', right: 'without a crease' } },
    (s) => named(s, 'Liner')!.placements.map((p) => ('guide' in p ? p.params?.['width'] : null)),
    [150],
  ],
  ['satin on lined lids', { age: 'mature' }, (s) => named(s, 'Lid')!.wants.finishes, ['satin', 'matte']],
  ['contact lenses', { lenses: true }, (s) => guides(named(s, 'Liner')), ['liner']],
  ['head tremor', { headTremor: true }, (s) => named(s, 'Liner')!.technique, 'stipple'],
  ['head tremor, lashes', { headTremor: true }, (s) => named(s, 'Band'), undefined],
  [
    'a child',
    { age: 'child' },
    (s) => [named(s, 'Liner'), named(s, 'Forehead'), named(s, 'Band')],
    [undefined, undefined, undefined],
  ],
  ['deep-set eyes', { eyes: 'deep-set' }, (s) => named(s, 'Socket')!.doseMgPerCm2, 0.42],
  ['tattooed brows', { brows: 'tattooed' }, (s) => named(s, 'Brows')!.technique, 'press'],
  ['sparse brows', { brows: 'sparse' }, (s) => named(s, 'Brows')!.wants.textures, ['pencil', 'gel']],
])('%s', (adapter, features, look, expected) => {
  const sees = see(features);
  expect(sees.ids).toContain(adapter);
  expect(look(sees)).toEqual(expected);
  expect(look(plain)).not.toEqual(expected);
  expect(plain.ids).not.toContain(adapter);
});

test('on lash extensions nothing is laid, the liner and the cleaning keep off them; all else stays', () => {
  const sees = see({ lashes: 'extensions' });
  expect(sees.ids.filter((id) => id === 'lash extensions').length).toBeGreaterThan(1);
  expect(sees.steps.filter(({ role }) => role === 'lash')).toEqual([]);
  expect(plain.steps.filter(({ role }) => role === 'lash').length).toBeGreaterThan(0);
  expect(sees.steps.map(({ title }) => title)).toEqual(
    plain.steps.filter(({ role }) => role !== 'lash').map(({ title }) => title),
  );
  expect(named(sees, 'Liner')!.note).toContain('Off the lash extensions');
  const again = see({ lashes: 'extensions' }, OCCASION, { look: { ...FULL, steps: [...sees.steps] } });
  expect(again.ids).not.toContain('lash extensions');
});

test('of a step that is left out only that is told; what else was asked of it is no news', () => {
  const wears = client(undefined, { features: { lashes: 'extensions', lenses: true } });
  const { notes } = fitLook(FULL, wears, KIT, OCCASION, STAMP);
  expect(notes.filter((note) => /^Mascara/.test(note))).toEqual([
    expect.stringMatching(/left out: lash extensions/),
  ]);
  const lenses = fitLook(FULL, client(undefined, { features: { lenses: true } }), KIT, OCCASION, STAMP).notes;
  expect(lenses.filter((note) => /^Mascara: worked for contact lenses/.test(note))).toHaveLength(1);
});

const lined = (sees: Sees, title = 'Liner', guide = 'liner'): Record<string, unknown> =>
  Object.fromEntries(
    named(sees, title)!.placements.flatMap((p) =>
      'guide' in p && p.guide === guide ? [[p.side, p.params ?? null]] : [],
    ),
  );
/** What is said holds for both sides, but where it is said how the right differs. */
const sided = (side: 'left' | 'right', eyes: Features['eyes']): Partial<Features> =>
  side === 'left' ? { eyes, right: { eyes: 'almond' } } : { eyes: 'almond', right: { eyes } };

test.each(['left', 'right'] as const)(
  'what one eye asks for is done on it, and not on the other: %s',
  (side) => {
    const other = side === 'left' ? 'right' : 'left';
    const hooded = see({
      lids: side === 'left' ? { left: 'hooded', right: 'open' } : { left: 'open', right: 'hooded' },
    });
    expect(lined(hooded)).toEqual({ [side]: { width: 70 }, [other]: null });
    expect(hooded.words('line on hooded lids')).toBe(`A thinner line, the client’s ${side}`);
    const turned = see(sided(side, 'down-turned'));
    expect(lined(turned)).toEqual({ [side]: { liftMm: 2, reach: 85 }, [other]: null });
    expect(turned.words('down-turned eyes')).toBe(`The line ends earlier and higher, the client’s ${side}`);
    const deep = see(sided(side, 'deep-set'));
    expect(lined(deep, 'Socket', 'socket')).toEqual({ [side]: { width: 80 }, [other]: null });
    // A dose is a step's, for both eyes.
    expect(named(deep, 'Socket')!.doseMgPerCm2).toBe(named(plain, 'Socket')!.doseMgPerCm2);
    expect(deep.words('deep-set eyes')).toBe(`A lighter hand in the socket, the client’s ${side}`);
  },
);

test('what both eyes ask for is asked once, of both', () => {
  expect(lined(see({ lids: { left: 'partly hooded', right: 'hooded' } }))).toEqual({ both: { width: 70 } });
  expect(lined(see({ eyes: 'down-turned' }))).toEqual({ both: { liftMm: 2, reach: 85 } });
  expect(lined(see({ eyes: 'deep-set' }), 'Socket', 'socket')).toEqual({ both: { width: 80 } });
});

test('each lid is worked as it is: one without a crease upwards from its lashes, a hooded one over its fold', () => {
  const sees = see({ lids: { left: 'without a crease', right: 'hooded' } });
  expect(sees.ids).toEqual(expect.arrayContaining(['upwards from the lashes', 'open-eye placement']));
  expect(guides(named(sees, 'Lid'))).not.toContain('lid');
  expect(named(sees, 'Lid')!.note).toContain('fading upwards');
  expect(named(sees, 'Lid')!.note).toContain('above the natural fold');
  // The line too: built up on one, thinner on the other.
  expect(sees.ids).toEqual(expect.arrayContaining(['line on hooded lids', 'line on lids without a crease']));
  expect(lined(sees)).toEqual({ left: { width: 150 }, right: { width: 70 } });
  expect(named(sees, 'Liner')!.note).toContain('A line built up with the eye open, the client’s left, until');
  const one = see({ lids: { left: 'open', right: 'without a crease' } });
  const lid = named(one, 'Lid')!.placements;
  expect(lid.map((p) => ('guide' in p ? `${p.guide} ${p.side}` : ''))).toEqual(
    expect.arrayContaining(['lid left', 'openLid right']),
  );
  expect(named(one, 'Socket')!.note).toContain('More depth on the client’s right');
  for (const lids of ['open', 'partly hooded', 'hooded'] as const)
    expect(see({ lids: { left: lids, right: lids } }).ids).not.toContain('upwards from the lashes');
});

test('one hooded eye is placed open, the other as it is, and the lower lid gets more depth', () => {
  const sees = see({ lids: { left: 'hooded', right: 'open' } });
  expect(named(sees, 'Lid')!.placements).toEqual([
    { guide: 'openLid', side: 'left' },
    { guide: 'lid', side: 'right' },
  ]);
  expect(named(sees, 'Socket')!.note).toContain('More depth on the client’s left');
});

test('a small forehead goes without contour, a high one gets it broader, an even one is left alone', () => {
  const small = inferLandmarks({ faceLength: 190, foreheadHeight: 42 });
  const high = inferLandmarks({ faceLength: 184, foreheadHeight: 68 });
  expect(named(see({}, OCCASION, { landmarks: small }), 'Forehead')).toBeUndefined();
  expect(named(see({}, OCCASION, { landmarks: high }), 'Forehead')!.placements).toEqual([
    { guide: 'foreheadContour', side: 'both', params: { width: 120 } },
  ]);
  expect(named(see({}, OCCASION, { landmarks: inferLandmarks({}) }), 'Forehead')!.placements).toEqual(
    at('foreheadContour'),
  );
});

test('nine hours of tears are not a one-hour portrait', () => {
  const [wedding, portrait] = [see({}, WEDDING), see({}, PORTRAIT)];
  expect(wedding.ids).toEqual(
    expect.arrayContaining(['thin layers for long wear', 'waterproof', 'lip through a meal', 'strong hold']),
  );
  expect(portrait.ids).toContain('lighter for a short hour');
  expect(portrait.ids).not.toContain('strong hold');
  expect(named(wedding, 'Base')!.doseMgPerCm2).toBeGreaterThan(named(portrait, 'Base')!.doseMgPerCm2);
  const quiet = see({}, { ...WEDDING, conditions: [], hoursToLast: 5 });
  expect(quiet.ids).not.toContain('waterproof');
});

test.each([
  ['tears', true, false],
  ['dancing', true, true],
  ['heat', true, true],
  ['humidity', true, true],
  ['rain', true, true],
  ['wind', true, false],
  ['meals', false, false],
] as const)('%s alone: waterproof %s, strong hold %s', (condition, waterproof, hold) => {
  const { ids } = see({}, { ...PORTRAIT, hoursToLast: 5, conditions: [condition] });
  expect(ids.includes('waterproof')).toBe(waterproof);
  expect(ids.includes('strong hold')).toBe(hold);
});

test('what a look lacks is added for this client and day: a spray, a primer, powder, a liner for each lip', () => {
  const bare: Look = {
    ...FULL,
    variants: [{ id: 'evening', name: 'Evening' }],
    steps: [
      ...FULL.steps.filter((s) => ['Base', 'Lip'].includes(s.title)),
      step(230, {
        phase: 'lips',
        role: 'lip',
        title: 'Evening lip',
        variant: 'evening',
        wants: { kinds: ['lip colour'] },
      }),
    ],
  };
  const sees = see({ oily: ['nose'], lines: ['lip'] }, WEDDING, { look: bare });
  expect(sees.steps.map((s) => s.title)).toEqual([
    'Primer where it needs it',
    'Base',
    'Set where it moves',
    'Line the lips',
    'Line the lips, evening lip',
    'Lip',
    'Evening lip',
    'Spray to hold it',
  ]);
  expect(see({}, OCCASION, { look: bare }).steps.map((s) => s.title)).toEqual(['Base', 'Lip', 'Evening lip']);
  const forbidding: Look = {
    ...bare,
    forbids: { finishes: [], kinds: ['spray', 'primer', 'powder', 'lip liner'] },
  };
  expect(
    see({ oily: ['nose'], lines: ['lip'] }, WEDDING, { look: forbidding }).steps.map((s) => s.title),
  ).toEqual(['Base', 'Lip', 'Evening lip']);
});

test('what a look forbids of places comes last and nothing brings it back', () => {
  const strict: Look = {
    ...FULL,
    forbids: {
      finishes: [],
      kinds: [],
      places: ['liner flick', 'nose contour', 'bridge light'],
      shapes: ['brow pointed', 'blush on the apples'],
    },
  };
  const sees = see({ age: 'mature' }, OCCASION, { look: strict });
  expect(named(sees, 'Liner')!.placements[0]).toMatchObject({ params: { reach: 90, liftMm: 0 } });
  expect(guides(named(sees, 'Light'))).toEqual(['cheekboneLight', 'chinLight']);
  expect(named(sees, 'Brows')!.placements).toEqual([{ guide: 'brow', side: 'both', params: { archMm: 2 } }]);
  expect(guides(named(sees, 'Blush'))).toEqual(['blushFull']);
});

test('every adaptation can be refused before fitting and after, and a refused one is the look’s own step again', () => {
  const who = client(undefined, {
    features: {
      oily: ['forehead'],
      lids: { left: 'hooded', right: 'hooded' },
      age: 'mature',
      dry: false,
      lines: ['crow’s feet', 'lip'],
      beard: true,
    },
  });
  const fitted = fitLook(FULL, who, KIT, WEDDING, STAMP);
  expect(fitted.adaptations.length).toBeGreaterThan(10);
  expect(fitted.chart.adaptations).toEqual(fitted.adaptations);
  for (const adaptation of fitted.adaptations) {
    expect(
      adaptLook(FULL, who, WEDDING, [adaptation.id]).adaptations.some((a) => a.id === adaptation.id),
    ).toBe(false);
    const chart = refuseAdaptation(fitted.chart, adaptation);
    expect(
      chart.adaptations!.find((a) => a.id === adaptation.id && a.stepId === adaptation.stepId)!.refused,
    ).toBe(true);
    const after = chart.steps.find((s) => s.id === adaptation.stepId);
    // The independent second way: the look fitted anew without it.
    const anew = adaptLook(FULL, who, WEDDING, [adaptation.id]).steps.find((s) => s.id === adaptation.stepId);
    if (adaptation.change === 'added') expect(after).toBeUndefined();
    else if (adaptation.change === 'changed') expect({ ...after!, use: [] }).toEqual({ ...anew!, use: [] });
    else expect(after!.title).toBe(adaptation.was!.title);
  }
});

describe('a step that was left out comes back where the school has it', () => {
  const ways = SCHOOLS.eyesOrFace.flatMap((eyesOrFace) =>
    SCHOOLS.contour.flatMap((contour) =>
      SCHOOLS.concealer.map((concealer) => ({ ...FULL.schools, eyesOrFace, contour, concealer })),
    ),
  );
  const people: readonly (readonly [string, Partial<Features>])[] = [
    ['narrow temples', { narrowTemples: true }],
    ['lash extensions', { lashes: 'extensions' }],
    ['a child', { age: 'child' }],
  ];
  test.each(people)('%s', (_, features) => {
    let back = 0;
    for (const schools of ways) {
      const { chart } = fitLook({ ...FULL, schools }, client(undefined, { features }), KIT, OCCASION, STAMP);
      for (const adaptation of chart.adaptations!.filter(({ change }) => change === 'left out')) {
        const { steps } = refuseAdaptation(chart, adaptation);
        expect(steps.map(({ id }) => id)).toContain(adaptation.stepId);
        expect(inOrder(steps, { schools })).toEqual(steps);
        back++;
      }
    }
    expect(back).toBeGreaterThanOrEqual(ways.length);
  });
});

test('one refused takes nothing back of the others, in whatever order, and what was written by hand stays', () => {
  const who = client(undefined, {
    features: {
      lenses: true,
      oily: ['lids', 'nose', 'forehead'],
      age: 'mature',
      lids: { left: 'hooded', right: 'open' },
    },
  });
  const fitted = fitLook(FULL, who, KIT, WEDDING, STAMP);
  const mine = fitted.adaptations.filter(
    (a) => fitted.chart.steps.find((s) => s.id === a.stepId)?.title === 'Lid' && a.change === 'changed',
  );
  expect(mine.map((a) => a.id)).toEqual(
    expect.arrayContaining(['oily lids', 'contact lenses', 'open-eye placement']),
  );
  fc.assert(
    fc.property(fc.shuffledSubarray(mine), (refused) => {
      const current = (chart: typeof fitted.chart, id: string) =>
        chart.adaptations!.find((a) => a.id === id && a.stepId === mine[0]!.stepId)!;
      const chart = refused.reduce((c, { id: name }) => refuseAdaptation(c, current(c, name)), fitted.chart);
      const anew = adaptLook(
        FULL,
        who,
        WEDDING,
        refused.map((a) => a.id),
      ).steps.find((s) => s.id === mine[0]!.stepId)!;
      expect({ ...chart.steps.find((s) => s.id === anew.id)!, use: [] }).toEqual({ ...anew, use: [] });
    }),
  );
  const lid = fitted.chart.steps.find((s) => s.title === 'Lid')!;
  const written = {
    ...fitted.chart,
    steps: fitted.chart.steps.map((s) =>
      s === lid ? { ...s, note: `${s.note} Hers: no grey.`, handsOnMinutes: 11, doseMgPerCm2: 0.9 } : s,
    ),
  };
  const after = refuseAdaptation(
    written,
    mine.find((a) => a.id === 'oily lids')!,
  ).steps.find((s) => s.id === lid.id)!;
  expect(after.note).toContain('Contact lenses: nothing loose');
  expect(after.note).toContain('Hers: no grey.');
  expect(after.note).not.toContain('primed');
  expect([after.handsOnMinutes, after.doseMgPerCm2]).toEqual([11, 0.9]);
});

test('a look cut from a chart is the look again: what one client asked for does not go into it', () => {
  const who = client(undefined, {
    features: { dry: true, age: 'mature', lids: { left: 'hooded', right: 'open' } },
  });
  const { chart } = fitLook(FULL, who, KIT, WEDDING, STAMP);
  const cut = lookFromChart(
    chart,
    { name: 'Again', description: '', tags: [], parts: {}, forbids: { finishes: [], kinds: [] } },
    STAMP,
  );
  for (const original of FULL.steps) {
    const again = cut.steps.find((s) => s.id === original.id);
    if (again)
      expect([again.title, again.doseMgPerCm2, again.handsOnMinutes, again.note, again.placements]).toEqual([
        original.title,
        original.doseMgPerCm2,
        original.handsOnMinutes,
        original.note,
        original.placements,
      ]);
  }
});

test('whoever she is: no dose under nothing, no step twice, every reason said, and the same again', () => {
  const anyone = fc.record({
    oily: fc.subarray([...OILY_ZONES]),
    dry: fc.boolean(),
    dryZones: fc.subarray([...DRY_ZONES]),
    lines: fc.subarray([...LINES]),
    age: fc.constantFrom(...AGES),
    brows: fc.constantFrom(...BROWS),
    eyes: fc.constantFrom(...EYE_SHAPES),
    hairTone: fc.constantFrom(...HAIR_TONES),
    beard: fc.boolean(),
    headTremor: fc.boolean(),
    lenses: fc.boolean(),
    narrowTemples: fc.boolean(),
    lids: fc.record({ left: fc.constantFrom(...LIDS), right: fc.constantFrom(...LIDS) }),
  });
  fc.assert(
    fc.property(anyone, fc.boolean(), (features, long) => {
      const who = client(undefined, { features: { ...PLAIN_FEATURES, ...features } });
      const adapted = adaptLook(FULL, who, long ? WEDDING : PORTRAIT);
      expect(new Set(adapted.steps.map((s) => s.id)).size).toBe(adapted.steps.length);
      for (const s of adapted.steps) {
        expect(s.doseMgPerCm2).toBeGreaterThan(0);
        expect(s.handsOnMinutes).toBeGreaterThan(0);
        expect(s.note.length).toBeLessThan(1000);
      }
      for (const a of adapted.adaptations) expect(a.why.length).toBeGreaterThan(3);
      expect(adaptLook(FULL, who, long ? WEDDING : PORTRAIT)).toEqual(adapted);
    }),
    { numRuns: 60, seed: 5 },
  );
});

test('a step that is all on the waterline is left out for contact lenses, not kept without a place', () => {
  const waterline: Look = {
    ...FULL,
    steps: FULL.steps.map((s) => (s.title === 'Liner' ? { ...s, placements: at('tightLine') } : s)),
  };
  expect(named(see({ lenses: true }, OCCASION, { look: waterline }), 'Liner')).toBeUndefined();
  expect(guides(named(see({ lenses: true }), 'Liner'))).toEqual(['liner']);
  expect(guides(named(see({}, OCCASION, { look: waterline }), 'Liner'))).toEqual(['tightLine']);
});

test('whoever she is, no step that had a place is left without one', () => {
  const someone = fc.record({
    lenses: fc.boolean(),
    beard: fc.boolean(),
    narrowTemples: fc.boolean(),
    oily: fc.subarray([...OILY_ZONES]),
    dryZones: fc.subarray([...DRY_ZONES]),
    lines: fc.subarray([...LINES]),
  });
  fc.assert(
    fc.property(
      someone,
      fc.constantFrom(...FULL.steps),
      fc.constantFrom(...GUIDE_NAMES),
      (features, step, guide) => {
        const look: Look = { ...FULL, steps: [{ ...step, placements: at(guide) }] };
        const { steps } = adaptLook(
          look,
          client(undefined, { features: { ...PLAIN_FEATURES, ...features } }),
          WEDDING,
        );
        expect(steps.filter((s) => s.placements.length === 0).map((s) => s.title)).toEqual([]);
      },
    ),
    { numRuns: 400 },
  );
});

test('every adapter has a name of its own', () =>
  expect(new Set(ADAPTERS.map((a) => a.id)).size).toBe(ADAPTERS.length));

describe('a face of more than one colour', () => {
  const on = (skin: ReturnType<typeof client>['skin']) =>
    adaptLook(FULL, { ...client(undefined, {}), skin }, OCCASION);
  const even = client(undefined, {}).skin;
  const ofBase = (fitted: ReturnType<typeof on>) =>
    fitted.adaptations.filter(({ id: which }) => which === 'a face of more than one colour');

  test('is said of the base, with what differs, and the step asks what is wished', () => {
    const [L, a, b] = even.cheek!;
    const fitted = on({ ...even, forehead: [L - 18, a, b - 3] });
    const [said, ...more] = ofBase(fitted);
    expect(more).toEqual([]);
    expect(said).toMatchObject({ words: 'One shade does not meet all of this face' });
    expect(said!.why).toMatch(/^the forehead is \d+\.\d deeper$/);
    const asked = fitted.steps.filter(({ note }) => /of another colour.*Ask which/.test(note ?? ''));
    expect(asked.map(({ role }) => role)).toEqual(['base']);
    // Fitted once more it says it once.
    const again = adaptLook(
      { ...FULL, steps: [...fitted.steps] },
      { ...client(undefined, {}), skin: { ...even, forehead: [L - 18, a, b - 3] } },
      OCCASION,
    );
    expect(again.steps.find(({ role }) => role === 'base')!.note).toBe(asked[0]!.note);
  });

  test('an even one is left alone, whatever its depth', () => {
    expect(ofBase(on(even))).toEqual([]);
    for (const L of [90, 70, 50, 35, 24]) expect(ofBase(on(skinByZone([L, 12, 16])))).toEqual([]);
  });
});

test.each([
  ['latex', 'damp sponge', 'A latex-free sponge.'],
  ['rubber latex', 'puff', 'A latex-free puff.'],
  ['nickel', 'spatula', 'A nickel-free spatula.'],
  ['nickel sulphate', 'spatula', 'A nickel-free spatula.'],
] as const)('%s: a %s is noted to be free of it, once, and of nothing else', (noted, tool, words) => {
  const withTool = (which: LookStep['tool']): Look => ({
    ...FULL,
    steps: FULL.steps.map((s) => (s.title === 'Prime' ? { ...s, tool: which, note: '' } : s)),
  });
  const primed = (look: Look, ...sensitivities: string[]): string =>
    named(see({}, OCCASION, { look, sensitivities }), 'Prime')!.note;
  expect(primed(withTool(tool), noted)).toBe(words);
  expect(primed(withTool(tool), noted, noted.toUpperCase())).toBe(words);
  expect(primed(withTool(tool), 'lanolin')).toBe('');
  expect(primed(withTool('finger'), noted)).toBe('');
  expect(primed(withTool(tool), noted.includes('latex') ? 'nickel' : 'latex')).toBe('');
  const again = withTool(tool);
  const kept = { ...again, steps: again.steps.map((s) => (s.title === 'Prime' ? { ...s, note: words } : s)) };
  expect(primed(kept, noted)).toBe(words);
});

describe('what primes or sets a lid is none of what the skin asks', () => {
  const own = {
    lid: step(290, {
      phase: 'eyes',
      role: 'care',
      title: 'Prime the lids',
      wants: { kinds: ['primer'] },
      placements: at('zone.mobileLid', 'lid'),
    }),
    lips: step(291, {
      phase: 'lips',
      role: 'care',
      title: 'Prime the lips',
      wants: { kinds: ['primer'] },
      placements: at('lips'),
    }),
    balm: step(293, {
      phase: 'clean',
      role: 'care',
      title: 'Balm the lips',
      wants: { kinds: ['prep'] },
      placements: at('lips'),
    }),
    powder: step(292, {
      phase: 'eyes',
      role: 'powder',
      title: 'Set the lids',
      wants: { kinds: ['powder'] },
      placements: at('zone.mobileLid'),
    }),
  };
  const TITLES = Object.values(own).map(({ title }) => title);
  const withLids: Look = { ...FULL, steps: [...FULL.steps, ...Object.values(own)] };
  const onlyLids: Look = {
    ...withLids,
    steps: withLids.steps.filter(
      (s) => TITLES.includes(s.title) || !(s.wants.kinds.includes('primer') || s.role === 'powder'),
    ),
  };

  test.each<[string, Partial<Features>]>([
    ['oily', { oily: ['forehead', 'nose'] }],
    ['oily all over', { oily: ['forehead', 'nose', 'chin', 'cheeks'] }],
    ['oily lids', { oily: ['lids'] }],
    ['dry', { dry: true }],
    ['dry in places', { dryZones: ['cheeks'] }],
    ['textured', { texture: 'textured' }],
    ['lined', { age: 'mature', lines: ['under eye'] }],
  ])('%s skin leaves them where and as they are', (_what, features) => {
    const seen = see(features, OCCASION, { look: withLids });
    for (const one of Object.values(own))
      expect(named(seen, one.title)).toMatchObject({
        placements: one.placements,
        wants: one.wants,
        doseMgPerCm2: one.doseMgPerCm2,
        waitMinutes: one.waitMinutes,
      });
  });

  test('oily skin gets a primer and a powder of its own beside them', () => {
    const { ids } = see({ oily: ['forehead'] }, OCCASION, { look: onlyLids });
    expect(ids).toEqual(expect.arrayContaining(['a primer for oil', 'powder for oil']));
    const plainly = see({}, OCCASION, { look: onlyLids });
    expect(plainly.ids).not.toEqual(expect.arrayContaining(['a primer for oil']));
    const both = see({ oily: ['forehead'] }, OCCASION, { look: withLids });
    expect(both.ids).not.toContain('a primer for oil');
    expect(both.ids).not.toContain('powder for oil');
  });
});

describe('balm for the lips', () => {
  const clean = FULL.steps.find(({ phase }) => phase === 'clean')!;
  const again = step(295, { phase: 'clean', role: 'care', title: 'Rinse', placements: [] });
  const told = (...before: LookStep[]) => {
    const rest = FULL.steps.filter(({ phase }) => phase !== 'clean');
    return see({}, OCCASION, { look: { ...FULL, steps: [...before, ...rest] } })
      .steps.filter(({ note }) => note.includes('Lip balm on now'))
      .map(({ title }) => title);
  };

  test('is noted at the first step that cleans, and at no other', () => {
    expect(told(clean, again)).toEqual([clean.title]);
    expect(told(again, clean)).toEqual([again.title]);
  });

  test('is not noted where the look lays it itself, by place, title or note', () => {
    const lips = step(296, { phase: 'prep', role: 'care', title: 'Soften', placements: at('lips') });
    expect(told(clean, lips)).toEqual([]);
    expect(told(clean, { ...lips, title: 'Lip balm', placements: [] })).toEqual([]);
    expect(told({ ...clean, note: 'Balm on the lips first.' })).toEqual([]);
    // A balm that cleanses is none.
    expect(told({ ...clean, title: 'Cleansing balm' })).toEqual(['Cleansing balm']);
  });
});

describe('what is asked of a part is asked of what lies there', () => {
  const noteOf = (features: Partial<Features>, one: LookStep, ...more: LookStep[]): string | undefined =>
    named(see(features, OCCASION, { look: { ...FULL, steps: [...FULL.steps, one, ...more] } }), one.title)
      ?.note;
  const base = FULL.steps.find(({ role }) => role === 'base')!;

  test('a beard, of a base on the face; neck and decollete have no hairs', () => {
    const on = (...guides: (typeof GUIDE_NAMES)[number][]) => ({
      ...base,
      id: id(297),
      title: 'Other base',
      note: '',
      placements: at(...guides),
    });
    expect(noteOf({ beard: true }, on('zone.wholeFace', 'zone.neck'))).toContain('above the beard');
    expect(noteOf({ beard: true }, on('zone.chin'))).toContain('above the beard');
    expect(noteOf({ beard: true }, on('zone.neck', 'zone.decollete'))).not.toContain('beard');
  });

  test('a beard, of what is sprayed: it is covered, and nothing is stippled', () => {
    const sprayed = { ...base, id: id(296), title: 'Other base', note: '', tool: 'airbrush' as const };
    const step = named(
      see({ beard: true }, OCCASION, { look: { ...FULL, steps: [...FULL.steps, sprayed] } }),
      'Other base',
    )!;
    expect(step.note).toContain('The beard is covered');
    expect(step.note).not.toContain('tippled');
    expect(step.technique).toBe(base.technique);
    expect(step.doseMgPerCm2).toBeLessThan(base.doseMgPerCm2);
  });

  test.each([
    ['a lip', 2.5, undefined, true],
    ['at its least', 1.5, undefined, true],
    ['a tint', 1.49, undefined, false],
    ['asked to shine', 2.5, ['dewy'], false],
    ['that may shine', 2.5, ['dewy', 'satin'], true],
    ['of any finish', 2.5, [], true],
  ] as const)('a meal, of a lip: %s of %f mg is blotted', (_, doseMgPerCm2, finishes, blotted) => {
    const lip = FULL.steps.find(({ role }) => role === 'lip')!;
    const one = {
      ...lip,
      note: '',
      doseMgPerCm2,
      wants: { kinds: lip.wants.kinds, ...(finishes && { finishes: [...finishes] }) },
    };
    const seen = see(
      {},
      { ...OCCASION, conditions: ['meals'] },
      { look: { ...FULL, steps: FULL.steps.map((s) => (s.id === lip.id ? one : s)) } },
    );
    const after = named(seen, lip.title)!;
    expect(seen.ids).toContain('lip through a meal');
    expect(/blot/i.test(after.note)).toBe(blotted);
    expect(/goes with what is eaten/.test(after.note)).toBe(!blotted);
    expect(says(after.note, 'touch-up')).toBe(true);
    expect(after.handsOnMinutes - one.handsOnMinutes).toBe(blotted ? 1 : 0);
  });

  test('lash extensions, of what cleans the face; a scrub of lips is nowhere near', () => {
    const scrub = step(298, { phase: 'clean', role: 'care', title: 'Scrub', wants: { kinds: ['prep'] } });
    const worn = { lashes: 'extensions' } as const;
    expect(noteOf(worn, { ...scrub, placements: at('zone.wholeFace') })).toContain('extensions');
    expect(noteOf(worn, scrub)).toContain('extensions');
    expect(noteOf(worn, { ...scrub, placements: at('lips') })).not.toContain('extensions');
  });

  test('oily lids, where the look does not prime them itself', () => {
    const lid = step(299, {
      phase: 'eyes',
      role: 'eye',
      title: 'Lid colour',
      wants: { kinds: ['shadow'] },
      placements: at('lid'),
    });
    const primer = (...guides: (typeof GUIDE_NAMES)[number][]) =>
      step(300, {
        phase: 'eyes',
        role: 'care',
        title: 'Primed',
        wants: { kinds: ['primer'] },
        placements: at(...guides),
      });
    const oily = { oily: ['lids'] } satisfies Partial<Features>;
    expect(noteOf(oily, lid)).toContain('Lid primed');
    expect(noteOf(oily, lid, primer('lips'))).toContain('Lid primed');
    expect(noteOf(oily, lid, primer('zone.noseBridge'))).toContain('Lid primed');
    for (const guide of ['lid', 'zone.mobileLid', 'openLid'] as const)
      expect(noteOf(oily, lid, primer(guide))).not.toContain('Lid primed');
  });

  test('narrow temples, of a contour by guide or by zone, on the side that is narrow', () => {
    const sides = (features: Partial<Features>, ...guides: (typeof GUIDE_NAMES)[number][]) => {
      const contour = step(301, {
        phase: 'sculpt',
        role: 'contour',
        title: 'Temples',
        wants: { kinds: ['contour'] },
        placements: at(...guides),
      });
      return named(
        see(features, OCCASION, { look: { ...FULL, steps: [...FULL.steps, contour] } }),
        'Temples',
      )?.placements.map((p) => ('guide' in p ? `${p.guide} ${p.side}` : ''));
    };
    expect(sides({}, 'zone.temple')).toEqual(['zone.temple both']);
    expect(sides({ narrowTemples: true }, 'zone.temple')).toBeUndefined();
    expect(sides({ narrowTemples: true }, 'zone.temple', 'cheekContour')).toEqual(['cheekContour both']);
    expect(sides({ right: { narrowTemples: true } }, 'zone.temple', 'foreheadContour')).toEqual([
      'zone.temple left',
      'foreheadContour left',
    ]);
  });
});

describe('where a measure decides', () => {
  const face = (share: number) => inferLandmarks({ faceLength: 190, foreheadHeight: 190 * share });
  const forehead = (share: number) =>
    see({}, OCCASION, { landmarks: face(share) }).ids.filter((one) => /forehead$/.test(one));

  test('a forehead is small below 26.2 % of the face and high above 31.8 %, and only those', () => {
    for (let share = 0.235; share < 0.35; share += 0.002) {
      // What is asked for and what the face comes to may differ by its shape: the face decides.
      const landmarks = face(share);
      const is = measure('foreheadHeight', landmarks) / measure('faceLength', landmarks);
      expect(forehead(share)).toEqual(is < 0.262 ? ['small forehead'] : is > 0.318 ? ['high forehead'] : []);
    }
    expect([forehead(0.245), forehead(0.29), forehead(0.34)].map((all) => all.length)).toEqual([1, 0, 1]);
  });

  const lower = (left: number, right: number, lids?: Features['lids']) => {
    const landmarks = inferLandmarks({ faceLength: 184, lidShowLeft: left, lidShowRight: right });
    const { note } = named(see(lids ? { lids } : {}, OCCASION, { landmarks }), 'Socket')!;
    return /More depth on the client’s (left|right)/.exec(note)?.[1] ?? null;
  };

  test('the eye whose lid shows less by more than a millimetre gets more depth', () => {
    expect(lower(4, 4)).toBeNull();
    expect([lower(4, 5.1), lower(5.1, 4)]).toEqual([null, null]);
    expect([lower(4, 5.3), lower(5.3, 4)]).toEqual(['left', 'right']);
  });

  test('of two lids the one that is hooded more is lower, whatever is measured', () => {
    const order = { open: 0, 'partly hooded': 1, hooded: 2, 'without a crease': 2 } as const;
    for (const left of LIDS)
      for (const right of LIDS) {
        const more = order[left] - order[right];
        expect(lower(4, 4, { left, right })).toBe(more === 0 ? null : more > 0 ? 'left' : 'right');
        if (more !== 0) expect(lower(6, 4, { left, right })).toBe(more > 0 ? 'left' : 'right');
        else expect(lower(6, 4, { left, right })).toBe('right');
      }
  });
});
