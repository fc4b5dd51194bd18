import { Value } from '@sinclair/typebox/value';
import { linearChannel } from '../colour';
import { type Point } from '../face';
import { FLASHBACK_WARNING } from '../shade';
import {
  bareMean,
  blindRound,
  FaceTapsSchema,
  meanInside,
  PhotographSchema,
  whiteCast,
  type Affine,
  type Picture,
} from '.';

/** A picture by its pixels. */
function painted(width: number, height: number, of: (x: number, y: number) => readonly number[]): Picture {
  const rgba = new Uint8Array(4 * width * height);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) rgba.set([...of(x, y), 255], 4 * (y * width + x));
  return { width, height, rgba };
}
const grey = (value: number): readonly number[] => [value, value, value];
const box = (left: number, top: number, right: number, bottom: number): Point[] => [
  [left, top],
  [right, top],
  [right, bottom],
  [left, bottom],
];

describe('the mean inside a polygon', () => {
  test('is that of the middle six tenths by light, each pixel once', () => {
    // 20 rows of 20: a tenth of them black, a tenth nearly white, the rest in two greys by halves.
    const picture = painted(20, 20, (_, y) => grey(y < 2 ? 0 : y >= 18 ? 250 : y % 2 ? 100 : 120));
    const mean = meanInside(picture, box(-0.5, -0.5, 19.5, 19.5))!;
    const wanted = (linearChannel(100 / 255) + linearChannel(120 / 255)) / 2;
    expect(mean.rgb[0]).toBeCloseTo(wanted, 2);
    expect(mean.burntShare).toBe(0);
  });

  test('the last row and the last column are looked at, what lies beyond is not', () => {
    const edge = painted(30, 30, (x, y) => grey(x === 29 || y === 29 ? 255 : 90));
    const { burntShare } = meanInside(edge, box(-5, -5, 60, 60))!;
    expect(burntShare).toBeCloseTo(59 / 900, 3);
    const inner = meanInside(edge, box(-5, -5, 28.4, 28.4))!;
    expect(inner.burntShare).toBe(0);
    expect(inner.rgb[0]).toBeCloseTo(linearChannel(90 / 255), 6);
  });

  test('a channel alone burns out, from 251 on; its share is of all that was looked at', () => {
    for (const [value, share] of [
      [250, 0],
      [251, 0.5],
    ] as const) {
      const picture = painted(20, 20, (x) => (x < 10 ? [80, value, 60] : [80, 70, 60]));
      expect(meanInside(picture, box(-0.5, -0.5, 19.5, 19.5))!.burntShare).toBeCloseTo(share, 6);
    }
  });

  test('fewer than thirty pixels tell nothing, nor does what lies outside', () => {
    const picture = painted(20, 20, () => grey(90));
    expect(meanInside(picture, box(0, 0, 4.5, 4.5))).toBeNull();
    expect(meanInside(picture, box(0, 0, 5.5, 4.5))).not.toBeNull();
    expect(meanInside(picture, box(40, 40, 60, 60))).toBeNull();
    // As many are looked at, but most are burnt.
    const burnt = painted(20, 20, (x, y) => grey(y * 20 + x < 371 ? 255 : 90));
    expect(meanInside(burnt, box(-0.5, -0.5, 19.5, 19.5))).toBeNull();
  });

  test('of what is large every so many pixels are looked at, alike over all of it', () => {
    const picture = painted(400, 300, (x, y) => grey(x < 200 === y < 150 ? 60 : 160));
    const { rgb } = meanInside(picture, box(0, 0, 400, 300))!;
    const [dark, light] = [linearChannel(60 / 255), linearChannel(160 / 255)];
    expect(rgb[0]).toBeCloseTo((dark + light) / 2, 2);
  });
});

describe('bare skin that is tapped', () => {
  /** A camera turned by half a right angle, mirrored or not, at so many pixels a mm. */
  const turned = (scale: number, mirrored: boolean): Affine => {
    const c = scale * Math.SQRT1_2;
    return [mirrored ? -c : c, mirrored ? -c : c, -c, c, 0, 0];
  };
  test.each([
    [4, false],
    [4, true],
    [8, false],
  ])('at %d pixels a mm it is five mm round, turned, mirrored (%s)', (scale, mirrored) => {
    const ring = (radiusMm: number) =>
      painted(120, 120, (x, y) => grey(Math.hypot(x - 60, y - 60) <= radiusMm * scale ? 90 : 255));
    expect(bareMean(ring(5.2), [60, 60], turned(scale, mirrored))![0]).toBeCloseTo(
      linearChannel(90 / 255),
      6,
    );
    const seen = (radiusMm: number) => meanBurnt(ring(radiusMm), scale);
    expect(seen(5.2)).toBe(0);
    expect(seen(3.5)).toBeGreaterThan(0.4);
  });
  /** Of a circle five mm round so much is burnt: a second way to its size. */
  const meanBurnt = (picture: Picture, scale: number): number =>
    meanInside(
      picture,
      Array.from({ length: 24 }, (_, i): Point => [
        60 + 5 * scale * Math.cos((i * Math.PI) / 12),
        60 + 5 * scale * Math.sin((i * Math.PI) / 12),
      ]),
    )!.burntShare;
  test('of a face far away it is four pixels round', () => {
    const dot = painted(40, 40, (x, y) => grey(Math.hypot(x - 20, y - 20) <= 4.2 ? 90 : 200));
    expect(bareMean(dot, [20, 20], turned(0.2, false))![0]).toBeCloseTo(linearChannel(90 / 255), 6);
  });
});

describe('whether a cast shows', () => {
  const SKIN = [40, 12, 16] as const;
  const bare = [0.2, 0.12, 0.08] as const;
  /** A flash that adds so much to what is as the bare skin is. */
  const castOf = (added: number) => {
    const alone = whiteCast({ day: bare, flash: bare, bareDay: bare, bareFlash: bare, skin: [...SKIN] });
    expect(alone.added).toBeCloseTo(0, 9);
    // In the picture's own exposure, by the reflectance the skin was read with.
    const own = reflectance();
    const flash = bare.map((one, i) => (one / own[i]!) * (own[i]! + added * (1 - own[i]!) ** 2));
    return whiteCast({
      day: bare,
      flash: [flash[0]!, flash[1]!, flash[2]!],
      bareDay: bare,
      bareFlash: bare,
      skin: [...SKIN],
    });
  };
  /** The skin's own reflectance, by what is added to a body that throws back nothing else. */
  const reflectance = (): readonly number[] => {
    const [L, a, b] = SKIN;
    const fy = (L + 16) / 116;
    const f = (t: number): number => (t > 6 / 29 ? t ** 3 : 3 * (6 / 29) ** 2 * (t - 4 / 29));
    const [X, Y, Z] = [0.95047 * f(fy + a / 500), f(fy), 1.08883 * f(fy - b / 200)];
    return [
      3.2404542 * X - 1.5371385 * Y - 0.4985314 * Z,
      -0.969266 * X + 1.8760108 * Y + 0.041556 * Z,
      0.0556434 * X - 0.2040259 * Y + 1.0572252 * Z,
    ];
  };
  test('it is what was added, the more the more lightness; surely none, not to be told, surely some, in that order', () => {
    const casts = Array.from({ length: 120 }, (_, i) => castOf(i / 1000));
    casts.forEach(({ added, deltaL, error }, i) => {
      expect(added).toBeCloseTo(i / 1000, 2);
      expect(error).toBeGreaterThan(0);
      if (i > 0) expect(deltaL).toBeGreaterThan(casts[i - 1]!.deltaL);
    });
    const said = casts.map(({ cast }) => cast);
    const [firstUnsure, firstSure] = [said.indexOf(null), said.indexOf(true)];
    expect(said[0]).toBe(false);
    expect(firstUnsure).toBeGreaterThan(0);
    expect(firstSure).toBeGreaterThan(firstUnsure);
    expect(said).toEqual(said.map((_, i) => (i < firstUnsure ? false : i < firstSure ? null : true)));
    // What is warned of lies where it cannot be told, and nowhere else.
    const [last, first] = [casts[firstUnsure]!, casts[firstSure]!];
    expect(last.deltaL).toBeLessThan(FLASHBACK_WARNING);
    expect(first.deltaL).toBeGreaterThan(FLASHBACK_WARNING);
  });
});

test('where a photograph is shown again is by lot: anywhere behind the next, the end too', () => {
  const photos = ['a', 'b', 'c', 'd', 'e', 'f'];
  const gaps = new Map<number, number>();
  let [last, all] = [0, 0];
  for (let seed = 0; seed < 600; seed++) {
    const round = blindRound(photos, `seed ${seed}`);
    for (const [at, { id }] of round.entries()) {
      if (!id.endsWith(' again')) continue;
      all++;
      const gap = at - round.findIndex((one) => `${one.id} again` === id);
      gaps.set(gap, (gaps.get(gap) ?? 0) + 1);
      if (at === round.length - 1) last++;
    }
  }
  // Of sixteen cards the last is one of the four shown again more often than any other place, and not always.
  expect(last / 600).toBeGreaterThan(0.3);
  expect(last / 600).toBeLessThan(0.8);
  expect(gaps.get(2)! / all).toBeLessThan(0.35);
  expect([...gaps.keys()].filter((gap) => gap >= 8).length).toBeGreaterThan(3);
});

describe('what is kept of a photograph', () => {
  const taps = { pupil_right: [1, 2], pupil_left: [3, 4], gnathion: [5, 6] };
  test.each<[string, unknown, boolean]>([
    ['as it is', taps, true],
    ['far out', { ...taps, gnathion: [-20_000, 20_000] }, true],
    ['too far', { ...taps, gnathion: [0, 20_000.5] }, false],
    ['too far the other way', { ...taps, gnathion: [-20_000.5, 0] }, false],
    ['of one number', { ...taps, gnathion: [1] }, false],
    ['of three', { ...taps, gnathion: [1, 2, 3] }, false],
    ['more places', { ...taps, nose: [1, 2] }, false],
    ['fewer', { pupil_left: [1, 2], gnathion: [3, 4] }, false],
  ])('taps %s', (_, given, kept) => expect(Value.Check(FaceTapsSchema, given)).toBe(kept));

  const photograph = {
    id: '0190a000-0000-7000-8000-000000000001',
    clientId: '0190a000-0000-7000-8000-000000000002',
    chartId: '0190a000-0000-7000-8000-000000000003',
    at: '2031-05-14T07:30:00Z',
    light: 'daylight',
    taps,
    bare: null,
    by: 'Ada',
    keptAt: '2031-05-14T08:30:00Z',
  };
  test.each<[string, unknown, boolean]>([
    ['as it is', photograph, true],
    ['with bare skin', { ...photograph, bare: [1, 2] }, true],
    ['in no such light', { ...photograph, light: 'moon' }, false],
    ['with more', { ...photograph, place: 'the quay' }, false],
    ['by nobody', { ...photograph, by: '' }, false],
    ['taken at no time', { ...photograph, at: 'noon' }, false],
  ])('%s', (_, given, kept) => expect(Value.Check(PhotographSchema, given)).toBe(kept));
});
