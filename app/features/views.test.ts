import {
  acceptedRefit,
  notAsked,
  fitLook,
  inferLandmarks,
  INITIAL_PARAMS,
  lastDryAt,
  nextAfter,
  progressOf,
  reviewPlaces,
  PLAIN_FEATURES,
  skinByZone,
  stepsOfVariant,
  waitsAt,
  type Chart,
  type ChairEvent,
  type Kit,
  type Look,
  type LookStep,
  type Product,
  LAYER_KINDS,
  LAYER_LOOKS,
} from '@toile/core';
import { clockOf, indexOfPlace, placeInSteps } from './chair/chairView';
import { rowAt } from './chart/StepList';
import { zoomFor } from './chart/zoom';
import {
  amountInWords,
  minutesOf,
  withNote,
  withPlacement,
  withPlacements,
  withUse,
} from './chart/chartView';
import { layerOfStep, layersOf } from './chart/layers';
import { zoomed } from './chart/DrawSurface';
import { insetsFor } from './chart/Insets';
import { dragged, spreadOut } from './chart/Handles';
import { featuresInWords } from './clients/featuresInWords';
import { placeOf } from './frame/places';
import { kitRows } from './kit/kitView';
import { adviceFor, EMPTY_SESSION, keptZones, nextZone, ZONE_SPOTS } from './reading/readingView';
import { isChoice, reasonFor, summaryOf } from './repeat/repeatView';
import { drawable, measurementsFrom, typedFrom } from './trace/traceView';
import { dayAndDistance, dayInWords, howFar, tellDaysIn, todayText } from './words/dates';
import { skinInWords, stepsInWords } from './words/colours';
import { fittingJobs } from '../workers/fittingJobs';

const id = (n: number): string => `0190a000-0000-7000-8000-${String(n).padStart(12, '0')}`;
const product = (n: number, kind: Product['kind'], lab: [number, number, number] | null): Product => ({
  id: id(n),
  maker: 'Ordway',
  line: 'Line',
  shade: `S${n}`,
  kind,
  lab,
  coverage: 'medium',
  finish: 'matte',
  texture: 'liquid',
  family: 'silicone',
  ingredients: [],
  measure: 'pump',
  mgPerMeasure: 150,
  tintingStrength: 1,
  monthsAfterOpening: 12,
  withdrawn: false,
  singleUse: false,
  eyeSafe: true,
});
const kit: Kit = {
  products: [
    product(10, 'base', [64, 11, 19]),
    product(11, 'contour', [52, 10, 15]),
    product(12, 'lip colour', [50, 30, 14]),
  ],
  units: [
    { id: id(20), productId: id(10), openedOn: '2031-01-01', remainingMg: 9000, place: 'case 1, A1' },
    { id: id(21), productId: id(11), openedOn: '2029-01-01', remainingMg: 9000, place: 'case 1, A2' },
  ],
};
const step = (
  n: number,
  more: Partial<LookStep> & Pick<LookStep, 'phase' | 'role' | 'title' | 'wants'>,
): LookStep => ({
  id: id(n),
  shade: { lab: [52, 12, 16] },
  placements: [],
  doseMgPerCm2: 0.5,
  passes: 1,
  tool: 'finger',
  technique: 'press',
  handsOnMinutes: 4,
  waitMinutes: 2,
  note: '',
  ...more,
});
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
  forbids: { finishes: [], kinds: [] },
  variants: [{ id: 'evening', name: 'Evening lip' }],
  steps: [
    step(1, {
      phase: 'base',
      role: 'base',
      title: 'Base',
      wants: { kinds: ['base'] },
      placements: [{ guide: 'zone.wholeFace', side: 'both' }],
    }),
    step(2, {
      phase: 'sculpt',
      role: 'contour',
      title: 'Contour',
      wants: { kinds: [] },
      placements: [{ guide: 'cheekContour', side: 'both' }],
    }),
    step(3, {
      phase: 'lips',
      role: 'lip',
      title: 'Lip',
      wants: { kinds: ['lip colour'] },
      placements: [{ guide: 'lips', side: 'both' }],
    }),
    step(4, {
      phase: 'lips',
      role: 'lip',
      title: 'Evening lip',
      variant: 'evening',
      wants: { kinds: ['lip colour'] },
      placements: [{ guide: 'lips', side: 'both' }],
    }),
  ],
};
const client = {
  id: id(1),
  name: 'Ilse Moor',
  landmarks: inferLandmarks({}),
  features: PLAIN_FEATURES,
  skin: skinByZone([64, 12, 19]),
  readingId: null,
  sensitivities: [],
};
const stamp = { id: id(900), author: 'Ada', at: '2031-05-14T09:00:00Z', reason: '' };
const occasion = { kind: 'trial' as const, date: '2031-05-14', lights: [], hoursToLast: 5, camera: false };
const chart: Chart = fitLook(look, client, kit, occasion, stamp).chart;

describe('chart', () => {
  test('a variant replaces the step of its role', () => {
    expect(stepsOfVariant(chart.steps, null).map((s) => s.title)).toEqual(['Base', 'Contour', 'Lip']);
    expect(stepsOfVariant(chart.steps, 'evening').map((s) => s.title)).toEqual([
      'Base',
      'Contour',
      'Evening lip',
    ]);
  });

  test('the selected layer stands out, the others step back', () => {
    const layers = layersOf(client, stepsOfVariant(chart.steps, null), id(2));
    expect(layers.map((l) => l.emphasis)).toEqual(['faint', 'lit', 'faint']);
    expect(layers[0]!.colour).toMatch(/^#[0-9a-f]{6}$/);
    // Without a product it is drawn as it is asked for on this skin; in the kind's own colour where none is
    // read.
    expect(layers[1]!.colour).toMatch(/^#[0-9a-f]{6}$/);
    const unread = { ...chart.client, skin: {} };
    const nothingAsked = stepsOfVariant(chart.steps, null).map((s) => ({ ...s, shade: null }));
    expect(layersOf(chart.client, nothingAsked, id(2))[1]!.colour).toMatch(/^#[0-9a-f]{6}$/);
    expect(layersOf(unread, nothingAsked, id(2))[1]!.colour).toBeNull();
  });

  test('a step that has not changed keeps the very layer it had', () => {
    const layers = layersOf(client, stepsOfVariant(chart.steps, null), null);
    const other = withNote(chart, id(2), 'softer');
    expect(layersOf(client, stepsOfVariant(other.steps, null), null)[0]).toBe(layers[0]);
  });

  test('care leaves nothing to be seen: only where it stands out its edge is shown', () => {
    const [first, ...others] = stepsOfVariant(chart.steps, null);
    const care = { ...first!, role: 'care' as const };
    for (const emphasis of ['plain', 'faint', 'outline'] as const)
      expect(layerOfStep(care, client, emphasis)).toBeNull();
    expect(layerOfStep(care, client, 'lit')).toMatchObject({ kind: 'care', emphasis: 'lit' });
    expect(layerOfStep(care, client, 'lit')!.shapes.length).toBeGreaterThan(0);
    expect(layerOfStep({ ...care, placements: [] }, client, 'lit')).toBeNull();
    expect(layersOf(client, [care, ...others], care.id).map(({ id: of }) => of)).toContain(care.id);
    expect(layersOf(client, [care, ...others], others[0]!.id).map(({ id: of }) => of)).not.toContain(care.id);
  });

  test('placements are kept rounded, and without what the guide has anyway', () => {
    const broken = withPlacement(chart, id(2), 0, {
      guide: 'cheekContour',
      side: 'both',
      params: { reach: 150.4, width: 100 },
    });
    expect(broken.steps[1]!.placements[0]).toEqual({
      guide: 'cheekContour',
      side: 'both',
      params: { reach: 150 },
    });
    const findings = reviewPlaces(broken);
    expect(findings[0]).toMatchObject({
      rule: 'out-of-limits',
      at: [expect.any(Number), expect.any(Number)],
    });
    expect(reviewPlaces(findings[0]!.fix!.apply(broken))).toEqual([]);
    expect(
      withPlacements(chart, id(2), [{ guide: 'blushFull', side: 'left', params: { liftMm: 1.04 } }]).steps[1]!
        .placements,
    ).toEqual([{ guide: 'blushFull', side: 'left', params: { liftMm: 1 } }]);
  });

  test('handles that would cover each other are moved apart', () => {
    const places = spreadOut(
      [
        [100, 100],
        [104, 102],
        [100, 100],
      ],
      40,
    );
    for (const [i, a] of places.entries())
      for (const b of places.slice(i + 1)) expect(Math.hypot(a[0] - b[0], a[1] - b[1])).toBeGreaterThan(36);
    expect(
      spreadOut(
        [
          [0, 0],
          [90, 0],
        ],
        40,
      ),
    ).toEqual([
      [0, 0],
      [90, 0],
    ]);
  });

  test('zooming keeps the place under the fingers, between an eye and the whole face', () => {
    const box = zoomed([-80, -90, 160, 180], [20, 0], 0.5);
    expect((20 - box[0]) / box[2]).toBeCloseTo((20 + 80) / 160, 9);
    expect(zoomed(box, [20, 0], 0.001)[2]).toBeCloseTo(18, 9);
    expect(zoomed(box, [20, 0], 1000)[2]).toBeCloseTo(190, 9);
  });

  test('insets follow what is open', () => {
    expect(insetsFor(null)).toHaveLength(3);
    expect(insetsFor({ ...chart.steps[0]!, role: 'liner' })).toEqual(['right eye', 'left eye']);
    expect(insetsFor({ ...chart.steps[0]!, role: 'blush' })).toEqual([]);
  });

  test('a handle follows the finger along what it means', () => {
    const placement = { guide: 'cheekContour' as const, side: 'both' as const };
    const params = INITIAL_PARAMS;
    expect(dragged(placement, params, client, 'reach', [-6, 8])).toBeGreaterThan(105);
    expect(dragged(placement, params, client, 'reach', [6, -8])).toBeLessThan(95);
    expect(dragged(placement, params, client, 'liftMm', [-3, -3])).toBeGreaterThan(1);
    expect(dragged(placement, params, client, 'liftMm', [-900, -900])).toBe(12);
    expect(dragged(placement, params, client, 'reach', [0, 0])).toBe(100);
  });

  test('products, notes, amounts and minutes', () => {
    const use = chart.steps[0]!.use;
    expect(withUse(chart, id(2), use).steps[1]!.use).toEqual(use);
    expect(withNote(chart, id(3), 'calmer').steps[2]!.note).toBe('calmer');
    expect(
      amountInWords([
        { ...use[0]!, parts: 2 },
        { ...use[0]!, parts: 1, measure: 'drop' },
      ]),
    ).toBe('2 pumps + 1 drop');
    expect(minutesOf(chart.steps)).toEqual({ handsOn: 16, waiting: 8 });
  });

  test('every layer kind has a notch and a pattern of its own', () => {
    const looks = LAYER_KINDS.map((k) => LAYER_LOOKS[k]);
    expect(new Set(looks.map((l) => l.notch)).size).toBe(looks.length);
    const patterns = looks.filter((l) => l.pattern.form !== 'plain').map((l) => JSON.stringify(l.pattern));
    expect(new Set(patterns).size).toBe(patterns.length);
  });
});

describe('chair', () => {
  const event = (n: number, kind: 'done' | 'undone'): ChairEvent => ({
    kind,
    stepId: id(n),
    at: '2031-05-14T10:00:00Z',
    by: 'Ada',
  });
  test('the next step is the first neither ticked nor skipped', () => {
    expect(progressOf(chart, [])).toMatchObject({ doneCount: 0, nextIndex: 0, minutesLeft: 16 });
    expect(progressOf(chart, [event(1, 'done')])).toMatchObject({
      doneCount: 1,
      nextIndex: 1,
      minutesLeft: 12,
    });
    expect(progressOf(chart, [event(1, 'done'), event(1, 'undone')]).nextIndex).toBe(0);
    const skipped: ChairEvent = {
      ...event(1, 'done'),
      kind: 'deviation',
      deviation: { kind: 'skipped', note: '' },
    };
    expect(progressOf(chart, [skipped]).nextIndex).toBe(1);
    const noted: ChairEvent = {
      ...event(1, 'done'),
      kind: 'deviation',
      deviation: { kind: 'note', note: 'dry' },
    };
    expect(progressOf(chart, [noted]).nextIndex).toBe(0);
  });

  test('waits are counted from when a step was ticked, and over when they are over', () => {
    const at = Date.parse('2031-05-14T10:00:00Z');
    const { worn } = progressOf(chart, [event(1, 'done')]);
    expect(waitsAt(worn.steps, at + 30_000)).toEqual([
      { stepId: id(1), title: 'Base', untilMinutes: at / 60_000 + 2 },
    ]);
    expect(waitsAt(worn.steps, at + 121_000)).toEqual([]);
    expect(lastDryAt(worn.steps)).toBe(at + 120_000);
    expect(lastDryAt(chart.steps)).toBe(0);
  });

  test('after the base, what does not lie on it is worked until it is dry', () => {
    const now = Date.parse('2031-05-14T10:00:00Z');
    expect(nextAfter(chart, null, now)).toMatchObject({ index: 0 });
    expect(nextAfter(chart, chart.steps[0]!, now)).toMatchObject({
      index: 2,
      whileDrying: { title: 'Base' },
      waitMinutes: 0,
    });
    const { worn } = progressOf(chart, [event(1, 'done')]);
    expect(nextAfter(worn, null, now + 180_000)).toMatchObject({ index: 1, whileDrying: null });
    expect(
      nextAfter(
        progressOf(
          chart,
          [1, 2, 3, 4].map((n) => event(n, 'done')),
        ).worn,
        null,
        now,
      ),
    ).toBeNull();
  });

  test('a newer version keeps the step that is worked, or the place in the list when it has gone', () => {
    const { steps } = chart;
    const last = placeInSteps(steps, steps.length - 1);
    expect(indexOfPlace(steps, last)).toBe(steps.length - 1);
    // The step has moved up, the list is shorter, the step is gone, and the list has shrunk to one.
    expect(indexOfPlace([steps.at(-1)!, ...steps.slice(0, -1)], last)).toBe(0);
    expect(indexOfPlace(steps.slice(2), placeInSteps(steps, 2))).toBe(0);
    expect(indexOfPlace(steps.slice(0, -2), last)).toBe(steps.length - 3);
    expect(indexOfPlace(steps.slice(0, 1), last)).toBe(0);
    expect(indexOfPlace(steps, placeInSteps(steps, 99))).toBe(steps.length - 1);
  });

  test('a drag over the list finds its row', () => {
    const rows = [0, 60, 120].map((top) => ({ top, bottom: top + 60 }));
    expect([rowAt(-5, rows), rowAt(59, rows), rowAt(60, rows), rowAt(400, rows)]).toEqual([0, 0, 1, 2]);
  });

  test('the zone fills the frame, wide steps show the face, clocks count minutes', () => {
    const box = zoomFor(chart.steps[2]!, client);
    expect(box).not.toBe('face');
    expect(box[2]).toBeLessThan(110);
    expect(zoomFor(chart.steps[0]!, client)).toBe('face');
    expect([clockOf(70), clockOf(0.2), clockOf(-4)]).toEqual(['1:10', '0:01', '0:00']);
  });
});

describe('repeat', () => {
  const refit = fittingJobs.refit({
    worn: chart,
    client: { ...client, skin: skinByZone([54, 13, 20]) },
    kit: { ...kit, products: [...kit.products, product(13, 'base', [54, 12, 20])] },
    occasion: { ...occasion, date: '2031-11-01' },
    stamp: { ...stamp, version: 2 },
  });

  test('a refused change keeps the old product; what is only offered is taken by whoever says so', () => {
    const change = refit.changes.find((c) => c.kind === 'remix' || c.kind === 'substitute')!;
    expect(summaryOf(refit.changes)).toMatch(/^\d changes?, \d kept$/);
    expect(isChoice(change)).toBe(true);
    // The look asks this base for one colour on any skin: nothing moved that it was chosen by.
    expect([...notAsked(refit.changes)]).toContain(change.id);
    expect(acceptedRefit(refit.base, refit.changes, notAsked(refit.changes)).steps).toEqual(
      refit.chart.steps,
    );
    const useOf = (refused: ReadonlySet<string>) =>
      acceptedRefit(refit.base, refit.changes, refused).steps.find((s) => s.id === change.stepId)!.use;
    const worn = chart.steps.find((s) => s.id === change.stepId)!.use;
    expect(useOf(new Set([change.id]))).toEqual(worn);
    expect(useOf(new Set()).map(({ product: of }) => of.id)).not.toEqual(
      worn.map(({ product: of }) => of.id),
    );
  });

  test('the reason says how the skin moved', () =>
    expect(reasonFor(refit, '2031-11-01')).toMatch(
      /^Repeated as worn for 2031-11-01; skin \d\.\d steps deeper$/,
    ));
});

describe('reading and tracing', () => {
  test('advice, next zone, kept zones, and targets that do not meet', () => {
    expect(adviceFor(null)).toContain('five times');
    expect(nextZone(EMPTY_SESSION)).toBe('forehead');
    expect(
      nextZone({
        ...EMPTY_SESSION,
        zones: {
          forehead: [
            [60, 12, 18],
            [60, 12, 18],
            [60, 12, 18],
          ],
        },
      }),
    ).toBe('cheek');
    expect(keptZones({ forehead: [], chin: [[60, 12, 18]] })).toEqual({ chin: [[60, 12, 18]] });
    const spots = Object.values(ZONE_SPOTS);
    for (const a of spots)
      for (const b of spots) if (a !== b) expect(Math.hypot(a[0] - b[0], a[1] - b[1])).toBeGreaterThan(36);
  });

  test('typed measurements: commas, empties, words and impossible numbers', () => {
    expect(measurementsFrom({ faceLength: '182,5', jawWidth: ' ' })).toEqual({
      measurements: { faceLength: 182.5 },
      errors: {},
    });
    expect(measurementsFrom({ faceLength: 'long', noseLength: '3' }).errors).toEqual({
      faceLength: 'Face length is a number in millimetres',
      noseLength: expect.stringContaining('30 to 70'),
    });
    expect(drawable({ faceLength: '180', noseLength: '3' })).toEqual({ faceLength: 180 });
    expect(typedFrom({ faceLength: 180 })).toEqual({ faceLength: '180' });
  });
});

describe('days where the studio is', () => {
  afterEach(() => tellDaysIn(null));
  // Half past ten in the evening in Lima, the next afternoon in Auckland.
  const now = new Date('2026-11-27T03:30:00Z');

  test.each([
    ['America/Lima', '2026-11-26', 'tomorrow', 'today'],
    ['Pacific/Auckland', '2026-11-27', 'today', 'yesterday'],
    ['UTC', '2026-11-27', 'today', 'yesterday'],
  ])('in %s it is %s', (zone, today, twentySeventh, twentySixth) => {
    tellDaysIn(zone);
    expect(todayText(now)).toBe(today);
    expect(howFar('2026-11-27', now)).toBe(twentySeventh);
    expect(howFar('2026-11-26', now)).toBe(twentySixth);
  });

  test('an instant is told by the day it had there, and the year by the reader’s', () => {
    tellDaysIn('America/Lima');
    expect(dayInWords('2026-11-27T02:00:00Z', now)).toBe('Thu 26 Nov');
    expect(howFar('2026-11-27T02:00:00Z', now)).toBe('today');
    tellDaysIn('Pacific/Auckland');
    expect(dayInWords('2026-11-27T02:00:00Z', now)).toBe('Fri 27 Nov');
    // New Year's Eve in Auckland is over while it is still the old year in UTC.
    expect(dayInWords('2027-01-02', new Date('2026-12-31T20:00:00Z'))).toBe('Sat 2 Jan');
    expect(dayAndDistance('2027-01-02')).toMatch(/^Sat 2 Jan/);
  });
});

describe('words', () => {
  const now = new Date('2031-05-14T07:00:00Z');
  test.each([
    ['2031-05-14', 'today'],
    ['2031-05-15', 'tomorrow'],
    ['2031-05-13', 'yesterday'],
    ['2031-05-23', 'in 9 days'],
    ['2031-04-20', '3 weeks ago'],
    ['2030-09-14', '8 months ago'],
  ])('%s is %s', (date, words) => expect(howFar(date, now)).toBe(words));

  test('days, steps, skin, features, places', () => {
    expect(dayInWords('2031-05-14', now)).toBe('Wed 14 May');
    expect(dayInWords('2030-05-14', now)).toContain('2030');
    expect(stepsInWords(0.1)).toBe('no visible change in depth');
    expect(stepsInWords(-1.24)).toBe('1.2 steps lighter');
    expect(skinInWords({})).toBeNull();
    expect(skinInWords(skinByZone([64, 12, 19]))).toMatch(/^light medium \(depth 9\.\d\), /);
    expect(featuresInWords({ ...PLAIN_FEATURES, lids: { left: 'hooded', right: 'open' } })).toContain(
      'client’s left hooded, right open',
    );
    expect([placeOf('/charts/x/chair'), placeOf('/looks/1'), placeOf('/')]).toEqual([
      '/clients',
      '/looks',
      '/',
    ]);
  });

  test('kit rows say the fact that decides', () => {
    const rows = kitRows(kit, '', '2031-05-14').flatMap((g) => g.rows);
    expect(rows.map((r) => r.fact)).toEqual(['until 2032-01', '▲ past its date', 'not owned']);
    expect(kitRows(kit, 'ordway s12', '2031-05-14').map((g) => g.kind)).toEqual(['lip colour']);
    expect(kitRows(kit, 'nothing', '2031-05-14')).toEqual([]);
  });
});
