import fc from 'fast-check';
import { CONDITIONS, OCCASIONS } from '../shade';
import { seededRandom } from '../math';
import { CHART } from './halfTrial.testing';
import { TRIAL_ZONES } from './measures';
import { isAlike, outlookWords, wearOutlook, type ZoneOutlook } from './outlook';
import { SKIN_GROUPS, type SkinGroup } from './skinGroup';
import type { WearGroup } from './wearGroups';
import { zoneWears, type WearCheck } from './wearCheck';
import {
  climateTold,
  settingWords,
  WEAR_CLIMATES,
  wearSettingOf,
  type PlaceSetting,
  type WearClimate,
} from './wearSetting';

describe('the setting of a chart', () => {
  const with_ = (conditions: readonly (typeof CONDITIONS)[number][] | undefined) =>
    wearSettingOf({
      client: CHART.client,
      occasion: { kind: 'wedding', ...(conditions ? { conditions: [...conditions] } : {}) },
    }).climate;

  test('heat is hot; humidity or rain is wet, hot or not; nothing else is weather', () => {
    fc.assert(
      fc.property(fc.subarray([...CONDITIONS]), (conditions) => {
        const wet = conditions.some((one) => one === 'humidity' || one === 'rain');
        expect(with_(conditions)).toBe(wet ? 'wet' : conditions.includes('heat') ? 'hot' : 'mild');
      }),
    );
  });
  test.each(OCCASIONS)('where nobody said, a %s is mild', (kind) =>
    expect(wearSettingOf({ client: CHART.client, occasion: { kind } }).climate).toBe('mild'),
  );
  test('skin is told place by place', () => {
    const features = {
      ...CHART.client.features,
      oily: ['nose' as const],
      dry: false,
      dryZones: ['cheeks' as const, 'nose' as const],
    };
    const { skin } = wearSettingOf({ client: { features }, occasion: { kind: 'trial' } });
    expect(skin).toEqual({
      forehead: 'normal',
      nose: 'mixed',
      cheek: 'dry',
      underEye: 'normal',
      mouth: 'normal',
      chin: 'normal',
      neck: 'normal',
    });
  });
  test('a day is as bad as it was expected, or as it was told to be', () => {
    for (const expected of WEAR_CLIMATES)
      for (const [marks, told] of [
        [[], 'mild'],
        [['meal', 'tears', 'dancing'], 'mild'],
        [['heat'], 'hot'],
        [['rain', 'heat'], 'wet'],
      ] as const) {
        const rank = (one: WearClimate): number => WEAR_CLIMATES.indexOf(one);
        expect(rank(climateTold(expected, marks))).toBe(Math.max(rank(expected), rank(told)));
      }
  });
});

describe('the setting of a wear', () => {
  const START = Date.parse('2031-05-14T08:00:00Z');
  const look = (
    hours: number,
    state: 'holds' | 'needs a touch-up',
    more: Partial<WearCheck> = {},
  ): WearCheck => ({
    id: `0190a000-0000-7000-8000-${String(hours * 100).padStart(12, '0')}`,
    chartId: 'chart',
    version: 1,
    clientId: 'ada',
    appliedAt: new Date(START).toISOString(),
    at: new Date(START + hours * 3_600_000).toISOString(),
    judge: 'artist',
    by: 'Runa',
    zones: { nose: state },
    touched: [],
    marks: [],
    stings: false,
    worn: { nose: 'Veil' },
    setting: { skin: { nose: 'oily' }, climate: 'mild' },
    ...more,
  });
  const of = (checks: readonly WearCheck[]) => zoneWears(checks)[0]!.setting;

  test.each([
    ['nothing told', [look(2, 'holds')], 'mild'],
    [
      'heat told with the failing',
      [look(2, 'holds'), look(4, 'needs a touch-up', { marks: ['heat'] })],
      'hot',
    ],
    [
      'heat told only after it had failed',
      [look(2, 'needs a touch-up'), look(4, 'holds', { marks: ['heat'] })],
      'mild',
    ],
    ['rain told of one that held', [look(2, 'holds'), look(9, 'holds', { marks: ['rain'] })], 'wet'],
  ] as const)('%s', (_, checks, climate) => expect(of(checks)).toEqual({ skin: 'oily', climate }));

  test('looks told before it was kept say nothing of it', () => {
    const { setting: _kept, ...old } = look(2, 'holds', { marks: ['heat'] });
    expect(of([old])).toEqual({ skin: null, climate: null });
  });
});

const group = (setting: PlaceSetting, failed: boolean, count: number, own = false): WearGroup => ({
  zone: 'nose',
  worn: 'Veil',
  own,
  ...setting,
  good: failed ? 2 : 10,
  bad: failed ? 4 : null,
  count,
  weight: count,
});
const asked = (wears: readonly WearGroup[], setting: PlaceSetting | null, hours = 8): ZoneOutlook =>
  wearOutlook(
    wears,
    {
      worn: { nose: 'Veil' },
      ...(setting
        ? { setting: { skin: setting.skin ? { nose: setting.skin } : {}, climate: setting.climate } }
        : {}),
    },
    hours,
  )[0]!;
const OILY_HOT = { skin: 'oily', climate: 'hot' } as const;
const DRY_MILD = { skin: 'dry', climate: 'mild' } as const;
const width = ({ holds }: ZoneOutlook): number => holds.high - holds.low;

describe('what is likely on such skin, on such a day', () => {
  const mixed = [group(DRY_MILD, false, 20), group(OILY_HOT, true, 6)];

  test('it holds where it held and fails where it failed, whatever both come to together', () => {
    const [dry, oily, any] = [asked(mixed, DRY_MILD), asked(mixed, OILY_HOT), asked(mixed, null)];
    expect(dry.holds.mean).toBeGreaterThan(0.8);
    expect(oily.holds.mean).toBeLessThan(0.4);
    expect(any.holds.mean).toBeGreaterThan(oily.holds.mean);
    expect(any.holds.mean).toBeLessThan(dry.holds.mean);
    expect([dry.alike, oily.alike, any.alike]).toEqual([20, 6, 26]);
  });

  test('where nobody saw it the rest speaks, never as surely as where it was seen', () => {
    const unseen = asked([group(DRY_MILD, false, 40)], OILY_HOT);
    const seen = asked([group(DRY_MILD, false, 40)], DRY_MILD);
    expect(unseen.alike).toBe(0);
    expect(width(unseen)).toBeGreaterThan(1.5 * width(seen));
    expect(unseen.holds.mean).toBeCloseTo(seen.holds.mean, 1);
    expect(outlookWords(unseen)).toContain('40 wears of it looked at, none on oily skin, hot days');
    expect(outlookWords(unseen)).toContain('roughly');
    expect(outlookWords(seen)).toContain('about');
    expect(outlookWords(seen)).not.toContain('skin');
  });

  test('looks of which nobody knows the day count as any other, never as such a day', () => {
    const told = asked([group({ skin: null, climate: null }, true, 9)], OILY_HOT);
    expect(told.alike).toBe(0);
    expect(told.holds.mean).toBeLessThan(asked([], OILY_HOT).holds.mean);
  });

  const aGroup = fc.record({
    skin: fc.constantFrom(...SKIN_GROUPS, null),
    climate: fc.constantFrom(...WEAR_CLIMATES, null),
    failed: fc.boolean(),
    count: fc.integer({ min: 1, max: 12 }),
    own: fc.boolean(),
  });
  const setting = fc.record({
    skin: fc.constantFrom(...SKIN_GROUPS),
    climate: fc.constantFrom(...WEAR_CLIMATES),
  });

  test('asked about nobody in particular, or where all wears were alike, it is the one plain count', () => {
    fc.assert(
      fc.property(fc.array(aGroup, { maxLength: 12 }), setting, (told, here) => {
        const wears = told.map((one) => group(one, one.failed, one.count, one.own));
        const alike = wears.map((one) => ({ ...one, ...here }));
        const plain = asked(wears, null);
        expect(asked(alike, here).holds).toEqual(plain.holds);
        expect(asked(wears, { skin: null, climate: null }).holds).toEqual(plain.holds);
        expect(plain.alike).toBe(plain.product);
      }),
      { numRuns: 60 },
    );
  });

  test('one more failing on such skin on such a day never makes holding likelier there, and counts are exact', () => {
    fc.assert(
      fc.property(fc.array(aGroup, { maxLength: 8 }), setting, (told, here) => {
        const wears = told.map((one) => group(one, one.failed, one.count));
        const before = asked(wears, here);
        const after = asked([...wears, group(here, true, 1)], here);
        expect(after.holds.mean).toBeLessThan(before.holds.mean + 1e-9);
        expect(after.alike).toBe(before.alike + 1);
        expect(before.alike).toBe(
          wears.filter((one) => isAlike(one, here)).reduce((sum, { count }) => sum + count, 0),
        );
      }),
      { numRuns: 60 },
    );
  });
});

/**
 * Studios nobody knows: what a line does depends on skin and air as much as is said, and few of all settings
 * were seen.
 */
function studiesOf(spread: number, seed: number) {
  const random = seededRandom(seed);
  const normal = (): number => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
  return Array.from({ length: 300 }, () => {
    const line = normal() * 0.35;
    const bySkin = new Map<SkinGroup, number>(SKIN_GROUPS.map((skin) => [skin, normal() * spread]));
    const byAir = new Map<WearClimate, number>(WEAR_CLIMATES.map((air) => [air, normal() * spread]));
    const median = ({ skin, climate }: { skin: SkinGroup; climate: WearClimate }): number =>
      8 * Math.exp(line + bySkin.get(skin)! + byAir.get(climate)!);
    const pick = <T>(all: readonly T[]): T => all[Math.floor(random() ** 1.6 * all.length)]!;
    const drawn = () => ({ skin: pick(SKIN_GROUPS), climate: pick(WEAR_CLIMATES) });
    const wears = Array.from({ length: 5 + Math.floor(random() * 40) }, (): WearGroup => {
      const here = drawn();
      const until = median(here) * (-Math.log(1 - random()) / Math.LN2) ** (1 / 1.6);
      const looks = [2, 4, 6, 8, 10];
      const bad = looks.find((hour) => hour >= until) ?? null;
      const good = looks.filter((hour) => hour < until).at(-1) ?? 0;
      return { zone: 'nose', worn: 'Veil', own: false, ...here, good, bad, count: 1, weight: 1 };
    });
    const here = drawn();
    return { wears, here, truth: 2 ** -((8 / median(here)) ** 1.6) };
  });
}

test.each([
  // Where skin and air matter much, asking about them is nearer the truth; where they matter nothing, it is
  // not much further.
  [0, 1.35, 0.85],
  [0.15, 1.15, 0.8],
  [0.3, 0.98, 0.7],
  [0.5, 0.9, 0.6],
])(
  'with settings that spread by %f, asking about them errs at most %f times as much as not asking, and its bands hold',
  (spread, most, holds) => {
    const studies = studiesOf(spread, 11);
    const rms = (of: (one: (typeof studies)[number]) => number): number =>
      Math.sqrt(studies.reduce((sum, one) => sum + (of(one) - one.truth) ** 2, 0) / studies.length);
    const such = rms(({ wears, here }) => asked(wears, here).holds.mean);
    const any = rms(({ wears }) => asked(wears, null).holds.mean);
    expect(such / any).toBeLessThan(most);
    const held = studies.filter(({ wears, here, truth }) => {
      const { low, high } = asked(wears, here).holds;
      return low <= truth && truth <= high;
    }).length;
    expect(held / studies.length).toBeGreaterThan(holds);
  },
);

test('every setting has words of its own, and none where nothing is asked', () => {
  const all = [null, ...SKIN_GROUPS].flatMap((skin) =>
    [null, ...WEAR_CLIMATES].map((climate) => settingWords({ skin, climate })),
  );
  expect(new Set(all).size).toBe(all.length);
  expect(all.filter((words) => words === '')).toHaveLength(1);
  expect(TRIAL_ZONES.length).toBe(7);
});
