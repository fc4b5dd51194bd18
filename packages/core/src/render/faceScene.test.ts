import { deltaE2000, illuminantWeights, shiftDepth, xyzToLab, type Lab, type SkinZone } from '../colour';
import { skinByZone } from '../colour';
import { faceModel, type Point } from '../face';
import { fitLook, type ClientSnapshot, type Step } from '../look';
import { client, id, KIT, LOOK, OCCASION, product, SKIN, STAMP } from '../look/look.testing';
import {
  faceGround,
  frameOf,
  paintedSteps,
  paintFace,
  paintLayerOf,
  SIX,
  xyzRows,
  type FaceGround,
  type PaintLayer,
} from '.';

const frame = frameOf([-110, -130, 220, 360], 110);
const who = client();
const face = faceModel(who.landmarks, who.features);
const pixelOf = ([x, y]: Point): number =>
  frame.width * Math.round((y - frame.topMm) * frame.pixelsPerMm) +
  Math.round((x - frame.leftMm) * frame.pixelsPerMm);
const white = illuminantWeights('D65').white;
const rows = xyzRows('D65');
const labAtPixel = ({ surface: { bands } }: FaceGround, pixel: number): Lab => {
  const xyz = [0, 1, 2].map((c) => {
    let sum = 0;
    for (let i = 0; i < SIX; i++) sum += bands[SIX * pixel + i]! * rows[SIX * c + i]!;
    return sum;
  });
  return xyzToLab([xyz[0]!, xyz[1]!, xyz[2]!], white);
};
const labAt = (ground: FaceGround, at: Point): Lab => labAtPixel(ground, pixelOf(at));
const ground = faceGround(who, frame);
/** Places of the canonical face: forehead, cheek, under an eye, beside the mouth, chin, neck. */
const PLACES: Readonly<Record<Exclude<SkinZone, 'decollete'>, Point>> = {
  forehead: [0, -48],
  cheek: [42, 34],
  underEye: [31, 13],
  mouthSide: [33, 64],
  chin: [0, 95],
  neck: [0, 140],
};
const placeOf = (zone: keyof typeof PLACES, sign: 1 | -1): Point =>
  face.warp.toFace([sign * PLACES[zone][0], PLACES[zone][1]]);

describe('the bare face', () => {
  test('is of her skin where all of it is one, light or deep', () => {
    for (const skin of [SKIN, [30, 11, 13], [88, 4, 12]] as Lab[]) {
      const even = faceGround({ ...who, skin: { forehead: skin, cheek: skin, neck: skin } }, frame);
      for (const zone of Object.keys(PLACES) as (keyof typeof PLACES)[])
        expect(deltaE2000(labAt(even, placeOf(zone, 1)), skin)).toBeLessThan(1.2);
    }
  });

  test.each(Object.keys(PLACES) as (keyof typeof PLACES)[])(
    'what was read at the %s is seen there, on both sides, and not far from it',
    (zone) => {
      const even = Object.fromEntries(Object.keys(PLACES).map((z) => [z, SKIN])) as ClientSnapshot['skin'];
      const plain = faceGround({ ...who, skin: even }, frame);
      const other: Lab = [SKIN[0] - 12, SKIN[1] + 8, SKIN[2]];
      const marked = faceGround({ ...who, skin: { ...even, [zone]: other } }, frame);
      const moved = (at: Point): number => deltaE2000(labAt(marked, at), labAt(plain, at));
      const whole = deltaE2000(other, SKIN);
      const here = [moved(placeOf(zone, 1)), moved(placeOf(zone, -1))];
      expect(Math.min(...here)).toBeGreaterThan(0.5 * whole);
      expect(Math.abs(here[0]! - here[1]!)).toBeLessThan(0.2 * whole);
      for (const far of Object.keys(PLACES) as (keyof typeof PLACES)[]) {
        const apart = Math.hypot(PLACES[far][0] - PLACES[zone][0], PLACES[far][1] - PLACES[zone][1]);
        if (apart > 60) expect(moved(placeOf(far, 1))).toBeLessThan(0.2 * whole);
      }
    },
  );

  test('goes over from one colour to the next without an edge', () => {
    const skin: ClientSnapshot['skin'] = {
      forehead: [70, 8, 18],
      cheek: [52, 18, 18],
      chin: [60, 12, 20],
      neck: [74, 6, 16],
    };
    const mixed = faceGround({ ...who, skin }, frame);
    const lip = (x: number, y: number): boolean => Math.hypot((x - 55) / 2, y - 95) < 30;
    let most = 0;
    for (let y = 0; y < frame.height - 1; y++)
      for (let x = 0; x < frame.width - 1; x++) {
        if (lip(x, y)) continue;
        for (const beside of [1, frame.width])
          for (let i = 0; i < SIX; i++) {
            const at = frame.width * y + x;
            most = Math.max(
              most,
              Math.abs(mixed.surface.bands[SIX * at + i]! - mixed.surface.bands[SIX * (at + beside) + i]!),
            );
          }
      }
    expect(most).toBeGreaterThan(0.001);
    expect(most).toBeLessThan(0.02);
  });

  test('is there within its outline, its neck and its ears, and those only where hair leaves them', () => {
    const skinAt = (made: FaceGround, at: Point): number => made.skin[pixelOf(at)]!;
    expect(skinAt(ground, [0, 0])).toBe(1);
    expect(skinAt(ground, placeOf('neck', 1))).toBe(1);
    expect(skinAt(ground, [100, -100])).toBe(0);
    const middle = (points: readonly Point[]): Point => [
      points.reduce((sum, [x]) => sum + x, 0) / points.length,
      points.reduce((sum, [, y]) => sum + y, 0) / points.length,
    ];
    const outer = face.ears.map((ear) => {
      const [x, y] = middle(ear);
      const far = ear.reduce((best, p) => (Math.abs(p[0]) > Math.abs(best[0]) ? p : best));
      return [(x + far[0]) / 2, (y + far[1]) / 2] as Point;
    });
    expect(outer).toHaveLength(2);
    const covered = faceGround({ ...who, features: { ...who.features, hair: 'covered' } }, frame);
    for (const ear of outer) {
      expect(skinAt(ground, ear)).toBeGreaterThan(0.5);
      expect(skinAt(covered, ear)).toBeLessThan(0.1);
    }
  });

  test('lies in the light in its middle, turns away at its edge by a quarter at most, its neck by a tenth', () => {
    const shade = (at: Point): number => ground.shading[pixelOf(at)]!;
    expect(shade([0, 20])).toBeGreaterThan(0.97);
    expect(shade(placeOf('neck', 1))).toBeCloseTo(0.9, 2);
    expect(shade([100, -100])).toBe(1);
    expect(Math.min(...ground.shading)).toBeGreaterThan(0.74);
    // From the middle outward it only darkens.
    const y = 20;
    const widest = Math.max(...face.outline.filter(([, py]) => Math.abs(py - y) < 12).map(([x]) => x));
    const across = [0, 0.25, 0.5, 0.75, 0.85, 0.93].map((share) => shade([share * widest, y]));
    expect(across).toEqual([...across].sort((a, b) => b - a));
    expect(across.at(-1)!).toBeLessThan(0.9);
    expect(shade([-0.93 * widest, y])).toBeCloseTo(across.at(-1)!, 1);
  });

  test('has lips, redder and deeper than the skin they lie in, on any skin', () => {
    for (const skin of [SKIN, [32, 12, 14], [84, 5, 13]] as Lab[]) {
      const even = faceGround({ ...who, skin: skinByZone(skin) }, frame);
      const { landmarks } = who;
      const middle: Point = [0, (landmarks.stomion?.[1] ?? 70) + 5];
      const [L, a] = labAt(even, middle);
      const [sL, sa] = shiftDepth(skin, 0);
      expect(L).toBeLessThan(sL + 0.5);
      expect(a).toBeGreaterThan(sa + 4);
    }
  });
});

describe('a step as films', () => {
  const place = { guide: 'blushLifted', side: 'both' } as const;
  const made = (more: Partial<Step> = {}): Step => {
    const dark = product(61, 'blush', [40, 30, 15]);
    return {
      ...fitLook(LOOK, who, KIT, OCCASION, STAMP).chart.steps[0]!,
      id: id(420),
      role: 'blush',
      placements: [place],
      use: [{ product: dark, parts: 1, unitId: null, measure: dark.measure }],
      doseMgPerCm2: 0.6,
      passes: 1,
      ...more,
    };
  };
  const layer = (more: Partial<Step> = {}): PaintLayer => paintLayerOf(made(more), who, frame)!;
  const use = (
    lab: Lab | null,
    parts: number,
    more: Parameters<typeof product>[3] = {},
  ): Step['use'][number] => {
    const one = product(62, 'blush', lab, more);
    return { product: one, parts, unitId: null, measure: one.measure };
  };

  test('that leaves no colour is none: care, nothing coloured, no dose, no place, out of the picture', () => {
    expect(layer()).not.toBeNull();
    expect(layer({ role: 'care' })).toBeNull();
    expect(layer({ use: [] })).toBeNull();
    expect(layer({ use: [use(null, 1)] })).toBeNull();
    expect(layer({ doseMgPerCm2: 0 })).toBeNull();
    expect(layer({ placements: [] })).toBeNull();
    expect(paintLayerOf(made(), who, frameOf([300, 300, 20, 20], 20))).toBeNull();
    expect(layer({ use: [use(null, 3), use([40, 30, 15], 1)] }).film).toEqual(
      layer({ use: [use([40, 30, 15], 1)] }).film,
    );
  });

  test('twice worked is twice the dose; a product counts by its mg', () => {
    expect(layer({ passes: 2 }).film).toEqual(layer({ doseMgPerCm2: 1.2 }).film);
    expect(layer({ passes: 2 }).film).not.toEqual(layer().film);
    const [dark, light] = [
      [30, 25, 12],
      [80, 10, 12],
    ] as const;
    const mixed = (a: number, b: number, mg = 150) =>
      layer({ use: [use([...dark], a, { mgPerMeasure: mg }), use([...light], b)] }).film.maps;
    expect(mixed(1, 1, 300)).toEqual(mixed(2, 1, 150));
    expect(mixed(1, 1, 300)).not.toEqual(mixed(1, 1, 150));
  });

  test('throws a flash back as its strongest product does', () => {
    const thrown = (...grades: (0 | 1 | 2 | 3)[]): number =>
      layer({ use: grades.map((flashGrade) => use([60, 20, 15], 1, { flashGrade })) }).film.flash[255]!;
    expect(thrown(0)).toBe(0);
    expect(thrown(1, 3)).toBe(thrown(3));
    expect(thrown(3, 1)).toBe(thrown(3));
    expect(thrown(2)).toBeGreaterThan(thrown(1));
    expect(layer({ use: [use([60, 20, 15], 1, { flashGrade: 2 })] }).film.flash[0]).toBe(0);
  });

  test('is melted at its edge where that is how it is worked, and sharp where it is drawn', () => {
    const soft = (role: Step['role']): number => {
      const { masks } = layer({ role, placements: [{ guide: 'liner', side: 'left' }] });
      const covered = masks.flatMap(({ cover }) => [...cover]);
      return covered.filter((v) => v > 0.02 && v < 0.98).length / covered.filter((v) => v > 0.02).length;
    };
    const [blush, liner] = [masksArea(layer({ role: 'blush' })), masksArea(layer({ role: 'liner' }))];
    expect(blush).toBeGreaterThanOrEqual(liner);
    for (const role of [
      'correct',
      'base',
      'conceal',
      'contour',
      'bronze',
      'highlight',
      'powder',
      'blush',
    ] as const)
      expect([role, reach(layer({ role, placements: [{ guide: 'liner', side: 'left' }] }))]).toEqual([
        role,
        reach(layer({ role: 'blush', placements: [{ guide: 'liner', side: 'left' }] })),
      ]);
    for (const role of ['liner', 'brow', 'lip', 'lash'] as const)
      expect(reach(layer({ role, placements: [{ guide: 'liner', side: 'left' }] }))).toBeLessThan(
        reach(layer({ role: 'blush', placements: [{ guide: 'liner', side: 'left' }] })),
      );
    expect(soft('blush')).toBeGreaterThan(0.9);
  });
  const masksArea = ({ masks }: PaintLayer): number =>
    masks.reduce((sum, { width, height }) => sum + width * height, 0);
  const reach = ({ masks }: PaintLayer): number => Math.max(...masks.map(({ width }) => width));

  test('what a camera eats brings it back to the bare face, by as much', () => {
    const painted = (eaten: number, layers = [layer()]): Uint8ClampedArray => {
      const rgba = new Uint8ClampedArray(4 * frame.width * frame.height);
      paintFace(ground, layers, { light: 'daylight', eaten }, rgba);
      return rgba;
    };
    const at = pixelOf(face.warp.toFace([45, 30]));
    const green = (rgba: Uint8ClampedArray): number => rgba[4 * at + 1]!;
    const [none, half, all, bare] = [painted(0), painted(0.5), painted(1), painted(0, [])];
    expect(green(bare) - green(none)).toBeGreaterThan(15);
    expect(green(half)).toBeGreaterThan(green(none) + 4);
    expect(green(half)).toBeLessThan(green(bare) - 4);
    expect(Buffer.from(all).equals(Buffer.from(bare))).toBe(true);
  });

  test('painted steps are those that leave colour, of one variant', () => {
    const steps = [
      made(),
      made({ id: id(421), role: 'care' }),
      made({ id: id(422), use: [] }),
      made({ id: id(423), use: [use(null, 1)] }),
      made({ id: id(424), variant: 'night' }),
      made({ id: id(425), use: [use(null, 1), use([50, 10, 10], 1)] }),
    ];
    const ids = (variant: string | null) => paintedSteps({ steps }, variant).map((s) => s.id);
    expect(ids(null)).toEqual([id(420), id(425)]);
    expect(paintedSteps({ steps }).map((s) => s.id)).toEqual(ids(null));
    expect(ids('night')).toContain(id(424));
  });
});
