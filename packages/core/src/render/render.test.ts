import fc from 'fast-check';
import {
  deltaE2000,
  filmMap,
  filmOver,
  labUnder,
  layerOver,
  reconstructSpectrum,
  xyzToLab,
  illuminantWeights,
  type Illuminant,
  type Lab,
} from '../colour';
import { skinLab } from '../colour/skinLab.testing';
import { areaOf, inferLandmarks, PLAIN_FEATURES, uniteOutlines, type Point } from '../face';
import { client, LOOK, KIT, OCCASION, product, STAMP } from '../look/look.testing';
import { fitLook } from '../look';
import { opticsOf, type Coloured } from '../shade';
import {
  develop,
  faceGround,
  filmTable,
  frameOf,
  layFilm,
  maskOf,
  paintedSteps,
  paintFace,
  paintLayerOf,
  toSixBands,
  xyzRows,
  type Mask,
  type Surface,
} from '.';

const six = (spectrum: Float64Array): Surface => ({
  width: 1,
  height: 1,
  bands: Float32Array.from(toSixBands(spectrum)),
});
/** Far quicker than comparing element by element. */
const same = (a: Uint8ClampedArray, b: Uint8ClampedArray) =>
  Buffer.from(a.buffer).equals(Buffer.from(b.buffer));
const whole = { x: 0, y: 0, width: 1, height: 1 };
const full: Mask = { ...whole, cover: Float32Array.of(1) };
const labOfSix = (bands: Float32Array, light: Illuminant): Lab => {
  const m = xyzRows(light);
  const xyz = [0, 1, 2].map((c) => bands.reduce((sum, r, i) => sum + m[6 * c + i]! * r, 0));
  return xyzToLab([xyz[0]!, xyz[1]!, xyz[2]!], illuminantWeights(light).white);
};
const productLab = fc.tuple(
  fc.double({ min: 28, max: 86, noNaN: true }),
  fc.double({ min: 3, max: 34, noNaN: true }),
  fc.double({ min: 6, max: 26, noNaN: true }),
);

test('a film as a map is the film', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 0.01, max: 0.99, noNaN: true }),
      fc.double({ min: 0.02, max: 0.98, noNaN: true }),
      fc.double({ min: 0, max: 8, noNaN: true }),
      (ground, masstone, sx) => {
        const [al, be, ga] = filmMap(masstone, sx);
        expect((al * ground + be) / (ga * ground + 1)).toBeCloseTo(filmOver(ground, masstone, sx), 9);
      },
    ),
    { seed: 1 },
  );
});

test('six bands are within 0.3 of 36 for 95 of 100 painted colours, under every light', () => {
  const errors: Record<string, number[]> = { D65: [], A: [], D55: [], LED: [] };
  const scene = fc.sample(
    fc.tuple(
      skinLab,
      fc.array(
        fc.tuple(
          productLab,
          fc.constantFrom('sheer', 'light', 'medium', 'full'),
          fc.double({ min: 0.05, max: 1.2, noNaN: true }),
        ),
        {
          minLength: 1,
          maxLength: 4,
        },
      ),
    ),
    {
      numRuns: 400,
      seed: 7,
    },
  );
  for (const [skin, films] of scene) {
    let spectrum = reconstructSpectrum(skin, 'D65', 'skin').spectrum;
    const surface = six(spectrum);
    for (const [lab, coverage, dose] of films) {
      const optics = opticsOf({ lab: [...lab], coverage } as Pick<Coloured, 'lab' | 'coverage'>);
      spectrum = layerOver(spectrum, { masstone: optics.masstone, sx: optics.scattering * dose });
      layFilm(surface, { masks: [full], film: filmTable(optics, dose) }, whole);
    }
    for (const light of ['D65', 'A', 'D55', 'LED'] as const)
      errors[light]!.push(deltaE2000(labOfSix(surface.bands, light), labUnder(spectrum, light)));
  }
  for (const list of Object.values(errors)) {
    list.sort((a, b) => a - b);
    expect(list[Math.floor(0.95 * list.length)]!).toBeLessThan(0.3);
  }
});

describe('masks', () => {
  const frame = frameOf([0, 0, 100, 80], 300);
  const star: Point[] = Array.from({ length: 10 }, (_, i) => {
    const r = i % 2 ? 14 : 33;
    return [50 + r * Math.cos((i * Math.PI) / 5), 40 + r * Math.sin((i * Math.PI) / 5)];
  });
  const sum = (mask: Mask | null) => mask!.cover.reduce((total, v) => total + v, 0) / frame.pixelsPerMm ** 2;

  test('coverage adds up to the area, holes taken off, edges soft or not', () => {
    const hole: Point[] = [
      [46, 36],
      [46, 44],
      [54, 44],
      [54, 36],
    ];
    const region = uniteOutlines([star]);
    expect(sum(maskOf(region, 0, frame))).toBeCloseTo(areaOf(region), 1);
    expect(sum(maskOf([...region, hole], 0, frame))).toBeCloseTo(areaOf(region) - 64, 1);
    expect(Math.abs(sum(maskOf(region, 5, frame)) - areaOf(region))).toBeLessThan(0.01 * areaOf(region));
  });

  test('coverage is between 0 and 1, and what lies outside the picture is cut off', () => {
    const mask = maskOf(uniteOutlines([star.map(([x, y]): Point => [x - 45, y - 35])]), 4, frame)!;
    expect(mask.x).toBe(0);
    expect(Math.max(...mask.cover)).toBeLessThanOrEqual(1);
    expect(Math.min(...mask.cover)).toBeGreaterThanOrEqual(-1e-6);
    expect(maskOf([star.map(([x, y]): Point => [x + 500, y])], 2, frame)).toBeNull();
  });
});

describe('a painted face', () => {
  const frame = frameOf([-100, -110, 200, 260], 160);
  const who = client();
  const { chart } = fitLook(LOOK, who, KIT, OCCASION, STAMP);
  const ground = faceGround(who, frame);
  const layers = paintedSteps(chart).map((step) => paintLayerOf(step, who, frame)!);
  const painted = (list = layers, light: 'daylight' | 'flash' = 'daylight', eaten = 0) => {
    const rgba = new Uint8ClampedArray(4 * frame.width * frame.height);
    paintFace(ground, list, { light, eaten }, rgba);
    return rgba;
  };
  const at = (rgba: Uint8ClampedArray, [x, y]: Point) => {
    const p =
      4 *
      (frame.width * Math.round((y - frame.topMm) * frame.pixelsPerMm) +
        Math.round((x - frame.leftMm) * frame.pixelsPerMm));
    return Array.from(rgba.slice(p, p + 4));
  };

  test('skin where there is skin, nothing beside it', () => {
    const bare = painted([]);
    expect(at(bare, [0, -40])[3]).toBe(255);
    expect(at(bare, [96, -100])[3]).toBe(0);
    const [r, , b] = at(bare, [30, 40]);
    expect(r!).toBeGreaterThan(b! + 20);
  });

  test('layers change what they cover and leave the rest', () => {
    const [bare, made] = [painted([]), painted()];
    expect(layers.length).toBeGreaterThan(1);
    expect(at(made, [0, -40])).not.toEqual(at(bare, [0, -40]));
    const contoured = painted(
      paintedSteps(chart).flatMap((step) =>
        step.title === 'Contour' ? [paintLayerOf(step, who, frame)!] : [],
      ),
    );
    expect(same(contoured, bare)).toBe(false);
    expect(at(contoured, [0, -40])).toEqual(at(bare, [0, -40]));
  });

  test('a rectangle painted again equals the whole painted again', () => {
    const once = painted();
    const again = painted(layers.slice(0, 1));
    paintFace(ground, layers, { light: 'daylight', eaten: 0 }, again, {
      x: 0,
      y: 0,
      width: frame.width,
      height: frame.height,
    });
    expect(same(again, once)).toBe(true);
    const part = { x: 40, y: 60, width: 50, height: 40 };
    const local = painted(layers.slice(0, 1));
    paintFace(ground, layers, { light: 'daylight', eaten: 0 }, local, part);
    for (let y = part.y; y < part.y + part.height; y += 7)
      for (let x = part.x; x < part.x + part.width; x += 7)
        expect(local[4 * (frame.width * y + x)]).toBe(once[4 * (frame.width * y + x)]);
  });

  test('a camera that eats everything shows the bare face', () =>
    expect(same(painted(layers, 'daylight', 1), painted([]))).toBe(true));

  test('a scattering powder whitens the flash, not the day', () => {
    const powder = product(77, 'powder', [64, 12, 19], {
      texture: 'loose',
      finish: 'shimmer',
      ingredients: ['silica'],
      coverage: 'sheer',
    });
    const step = {
      ...chart.steps[0]!,
      use: [
        {
          unitId: null,
          product: { ...powder, lab: [64, 12, 19] as [number, number, number] },
          parts: 1,
          measure: powder.measure,
        },
      ],
      doseMgPerCm2: 1,
    };
    const dusted = paintLayerOf(step, who, frame)!;
    const lightness = (light: 'daylight' | 'flash', list: (typeof layers)[number][]) =>
      at(painted(list, light), [0, -40])
        .slice(0, 3)
        .reduce((s, v) => s + v, 0);
    expect(lightness('flash', [dusted])).toBeGreaterThan(lightness('flash', []) + 12);
    expect(Math.abs(lightness('daylight', [dusted]) - lightness('daylight', []))).toBeLessThan(12);
  });

  test('nothing read, nothing painted', () =>
    expect(() =>
      faceGround({ landmarks: inferLandmarks({}), features: PLAIN_FEATURES, skin: {} }, frame),
    ).toThrow('nothing of this skin'));
});

test('developing leaves alone what is outside its rectangle', () => {
  const surface: Surface = { width: 2, height: 1, bands: new Float32Array(12).fill(0.5) };
  const out = new Uint8ClampedArray(8);
  develop(surface, 'D65', { x: 1, y: 0, width: 1, height: 1 }, out, {
    skin: Float32Array.of(1, 1),
    shading: Float32Array.of(1, 1),
  });
  expect(Array.from(out.slice(0, 4))).toEqual([0, 0, 0, 0]);
  expect(out[7]).toBe(255);
  expect(Math.abs(out[4]! - out[5]!)).toBeLessThan(4);
});
