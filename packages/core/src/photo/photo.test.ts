import fc from 'fast-check';
import {
  labToSrgb,
  linearChannel,
  lightnessAtDepth,
  labUnder,
  reconstructSpectrum,
  shiftDepth,
  type Lab,
} from '../colour';
import { inferLandmarks, SIDES, TEMPLATE, type Point } from '../face';
import { seededRandom, standardNormal } from '../math';
import { flashback, FLASHBACK_WARNING, type FlashGrade } from '../shade';
import { TRIAL_ZONES, trialZoneOutlines } from '../trial';
import {
  after,
  bareMean,
  blindResult,
  blindRound,
  faceInPicture,
  gradeOfCast,
  mapped,
  meanInside,
  pictureSize,
  questionPicture,
  toFrame,
  turnedRound,
  whiteCast,
  zoneMeans,
  type Affine,
  type LinearRgb,
  type Picture,
} from '.';

const near = (p: Point, q: Point, mm = 1e-6): void => {
  expect(p[0]).toBeCloseTo(q[0], -Math.log10(mm));
  expect(p[1]).toBeCloseTo(q[1], -Math.log10(mm));
};
const anyMap: fc.Arbitrary<Affine> = fc
  .record({
    scale: fc.double({ min: 2, max: 20, noNaN: true }),
    turn: fc.double({ min: -0.5, max: 0.5, noNaN: true }),
    bent: fc.double({ min: 0.8, max: 1.1, noNaN: true }),
    mirrored: fc.boolean(),
    x: fc.integer({ min: -500, max: 4000 }),
    y: fc.integer({ min: -500, max: 4000 }),
  })
  .map(({ scale, turn, bent, mirrored, x, y }): Affine => {
    const [c, s, m] = [Math.cos(turn), Math.sin(turn), mirrored ? -1 : 1];
    return [scale * c * m, scale * s * m, -scale * s * bent, scale * c * bent, x, y];
  });

describe('a face on a picture', () => {
  test('by three taps every place is where a camera that is turned, bent or mirrored puts it', () => {
    fc.assert(
      fc.property(anyMap, (camera) => {
        const face = faceInPicture(TEMPLATE, {
          pupil_right: mapped(camera, TEMPLATE.pupil_right),
          pupil_left: mapped(camera, TEMPLATE.pupil_left),
          gnathion: mapped(camera, TEMPLATE.gnathion),
        });
        for (const name of ['hairline_c', 'gonion_left', 'ala_right'] as const)
          near(mapped(face, TEMPLATE[name]), mapped(camera, TEMPLATE[name]), 1e-4);
      }),
    );
  });
  test('a map and the map turned round come back to where they began', () => {
    fc.assert(
      fc.property(anyMap, fc.tuple(fc.integer({ max: 900 }), fc.integer({ max: 900 })), (map, p) => {
        near(mapped(after(turnedRound(map), map), [p[0] % 900, p[1] % 900]), [p[0] % 900, p[1] % 900], 1e-4);
      }),
    );
  });
  test('taps in a line are refused with what to do', () => {
    const line = { pupil_right: [0, 0], pupil_left: [100, 4], gnathion: [210, 8] } as const;
    expect(() => faceInPicture(TEMPLATE, line)).toThrow(/Tap both pupils and the underside of the chin/);
    expect(() => faceInPicture(TEMPLATE, { ...line, pupil_left: [0, 0] })).toThrow(RangeError);
  });
  test('an upright frame holds the whole face; mirrored, the left half lies where the right one lay', () => {
    fc.assert(
      fc.property(anyMap, (camera) => {
        const plain = toFrame(camera, 900, false);
        const mirror = toFrame(camera, 900, true);
        const at = (frame: typeof plain, p: Point): Point => mapped(after(frame.map, camera), p);
        for (const name of ['zygion_left', 'zygion_right', 'hairline_c', 'gnathion'] as const) {
          const [x, y] = at(plain, TEMPLATE[name]);
          expect(x > 0 && x < plain.width && y > 0 && y < plain.height).toBe(true);
          const [mx, my] = at(mirror, TEMPLATE[name]);
          near([plain.width - mx, my], [x, y], 1e-4);
        }
        expect(at(plain, TEMPLATE.zygion_left)[0]).toBeGreaterThan(plain.midline);
      }),
    );
  });
});

describe('how large a picture is, before it is unpacked', () => {
  const png = (width: number, height: number): Uint8Array => {
    const bytes = new Uint8Array(33);
    const view = new DataView(bytes.buffer);
    view.setUint32(0, 0x89504e47);
    view.setUint32(4, 0x0d0a1a0a);
    view.setUint32(8, 13);
    view.setUint32(12, 0x49484452);
    view.setUint32(16, width);
    view.setUint32(20, height);
    return bytes;
  };
  const jpeg = (width: number, height: number, mark = 0xc0): Uint8Array =>
    Uint8Array.from([
      ...[0xff, 0xd8, 0xff, 0xe0, 0, 6, 1, 2, 3, 4, 0xff, 0xff, 0xc4, 0, 4, 9, 9],
      ...[0xff, mark, 0, 17, 8, height >> 8, height & 255, width >> 8, width & 255, 3, 1, 0, 0, 0],
    ]);
  test('JPEG and PNG say it; twelve megapixels are taken, eighty are refused, whatever their form', () => {
    for (const form of [png, jpeg, (w: number, h: number) => jpeg(w, h, 0xc2)]) {
      expect(pictureSize(form(4000, 3000))).toEqual({ width: 4000, height: 3000 });
      expect(questionPicture(form(4000, 3000))).toBeNull();
      expect(questionPicture(form(8000, 5000))).toBeNull();
      expect(questionPicture(form(10_000, 8000))).toMatch(/80 megapixels; up to 40/);
      expect(questionPicture(form(0, 3000))).toMatch(/choose a JPEG or a PNG/);
    }
  });
  test('anything else is told to be no photograph, and nothing makes it throw', () => {
    fc.assert(
      fc.property(fc.uint8Array({ maxLength: 200 }), (bytes) => {
        const known = pictureSize(bytes);
        if (!known) expect(questionPicture(bytes)).toMatch(/no photograph/);
      }),
    );
    for (let cut = 0; cut < jpeg(10, 10).length; cut++)
      expect(() => pictureSize(jpeg(10, 10).slice(0, cut))).not.toThrow();
    // Marks that lead back to themselves, and a picture that begins before it said its size.
    expect(
      pictureSize(Uint8Array.from([0xff, 0xd8, 0xff, 0xda, ...new Array<number>(20).fill(0)])),
    ).toBeNull();
  });
});

/** A picture of a face: each zone in one colour on a ground of another, with noise. */
function drawn(face: Affine, colours: (p: Point) => LinearRgb, random = seededRandom(7)): Picture {
  const [width, height] = [260, 320];
  const rgba = new Uint8ClampedArray(4 * width * height);
  const back = turnedRound(face);
  const coded = (v: number): number => {
    const x = Math.min(1, Math.max(0, v * (1 + 0.02 * standardNormal(random))));
    return 255 * (x <= 0.0031308 ? 12.92 * x : 1.055 * x ** (1 / 2.4) - 0.055);
  };
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const [r, g, b] = colours(mapped(back, [x, y]));
      rgba.set([coded(r), coded(g), coded(b), 255], 4 * (y * width + x));
    }
  return { width, height, rgba };
}
const CAMERA: Affine = [1.1, 0.05, -0.05, 1.1, 128, 125];

describe('the mean of a zone', () => {
  test('each zone, left and right, has the colour of its own half and nothing of the other', () => {
    for (const [i, lengths] of [{}, { faceLength: 205 }, { faceLength: 165 }].entries()) {
      const landmarks = inferLandmarks(lengths);
      const picture = drawn(CAMERA, ([x]) => (x > 0 ? [0.4, 0.2, 0.1] : [0.1, 0.3, 0.2]));
      const means = zoneMeans(picture, landmarks, CAMERA);
      expect([i, means.length]).toEqual([i, 14]);
      for (const { side, rgb } of means) {
        const want = side === 'left' ? [0.4, 0.2, 0.1] : [0.1, 0.3, 0.2];
        for (const c of [0, 1, 2] as const) expect(Math.abs(rgb[c] / want[c]! - 1)).toBeLessThan(0.03);
      }
    }
  });
  test('a highlight and a stray hair leave it alone; what is burnt out is counted', () => {
    const [cheek] = trialZoneOutlines('cheek', TEMPLATE, 'left');
    const polygon = cheek!.map((p) => mapped(CAMERA, p));
    const clean = drawn(CAMERA, () => [0.3, 0.2, 0.15]);
    const spoilt = drawn(CAMERA, ([x, y]) =>
      Math.round(x) % 9 === 0 ? [0.02, 0.02, 0.02] : Math.round(y) % 11 === 0 ? [1, 1, 1] : [0.3, 0.2, 0.15],
    );
    const [one, other] = [meanInside(clean, polygon)!, meanInside(spoilt, polygon)!];
    for (const c of [0, 1, 2] as const) expect(Math.abs(other.rgb[c] / one.rgb[c] - 1)).toBeLessThan(0.05);
    expect(one.burntShare).toBe(0);
    expect(other.burntShare).toBeGreaterThan(0.05);
  });
  test('what a picture does not show is missing, and a zone burnt out whole is too', () => {
    const away: Affine = [1.1, 0, 0, 1.1, 5000, 125];
    expect(
      zoneMeans(
        drawn(CAMERA, () => [0.3, 0.2, 0.1]),
        TEMPLATE,
        away,
      ),
    ).toEqual([]);
    expect(
      zoneMeans(
        drawn(CAMERA, () => [1, 1, 1]),
        TEMPLATE,
        CAMERA,
      ),
    ).toEqual([]);
    expect(
      bareMean(
        drawn(CAMERA, () => [0.3, 0.2, 0.1]),
        [-400, 5],
        CAMERA,
      ),
    ).toBeNull();
  });
});

describe('the white cast of a flash', () => {
  const linear = (lab: Lab): LinearRgb => {
    const [r, g, b] = labToSrgb(lab).map(linearChannel);
    return [r!, g!, b!];
  };
  /** What two cameras see of a skin, by the spectral model: the measurement knows nothing of spectra. */
  function pictures(
    depth: number,
    grade: FlashGrade,
    dose: number,
    { nearer = 1, noise = 0, seed = 1 }: { nearer?: number; noise?: number; seed?: number } = {},
  ) {
    const random = seededRandom(seed);
    const skin = shiftDepth([lightnessAtDepth(depth), 12, 19], 0, {});
    const bare = reconstructSpectrum(skin, 'D65', 'skin').spectrum;
    const made = reconstructSpectrum(shiftDepth(skin, 0.4), 'D65', 'skin').spectrum;
    const thrown = flashback(made, [{ grade, doseMgPerCm2: dose }]);
    // Another exposure and another white balance for each picture.
    const as = (spectrum: Float64Array, gains: readonly number[], by: number): LinearRgb => {
      const rgb = linear(labUnder(spectrum, 'D65'));
      const at = (i: 0 | 1 | 2): number => rgb[i] * gains[i]! * by * (1 + noise * standardNormal(random));
      return [at(0), at(1), at(2)];
    };
    const [dayGains, flashGains] = [
      [0.9, 0.7, 0.5],
      [0.6, 0.65, 0.8],
    ];
    return {
      truth: thrown.deltaL,
      asked: {
        skin,
        day: as(made, dayGains!, 1),
        bareDay: as(bare, dayGains!, 1),
        flash: as(thrown.spectrum, flashGains!, nearer),
        bareFlash: as(bare, flashGains!, 1),
      },
    };
  }
  const GRADES: readonly FlashGrade[] = [0, 1, 2, 3];
  test('on every depth of skin and at every distance it is what was laid on, by pictures without noise', () => {
    for (let depth = 4; depth <= 20; depth += 1)
      for (const grade of GRADES)
        for (const dose of [0.3, 0.6, 1.2])
          for (const nearer of [0.8, 1, 1.3]) {
            const { truth, asked } = pictures(depth, grade, dose, { nearer });
            const { deltaL, added } = whiteCast(asked);
            expect([depth, grade, Math.abs(deltaL - truth) < 0.35 + 0.12 * truth]).toEqual([
              depth,
              grade,
              true,
            ]);
            expect([depth, dose, gradeOfCast(added, dose)]).toEqual([depth, dose, grade]);
          }
  });
  test('with a camera’s noise it says it cannot tell rather than the wrong thing', () => {
    let [wrong, told, all] = [0, 0, 0];
    for (let depth = 4; depth <= 20; depth += 2)
      for (const grade of GRADES)
        for (let seed = 1; seed <= 25; seed++) {
          const { truth, asked } = pictures(depth, grade, 0.6, { noise: 0.012, nearer: 1.1, seed });
          const { cast } = whiteCast(asked);
          all++;
          if (cast === null) continue;
          told++;
          if (cast !== truth >= FLASHBACK_WARNING) wrong++;
        }
    expect(wrong / told).toBeLessThan(0.05);
    expect(told / all).toBeGreaterThan(0.5);
  });
  test('merely nearer to the flash is no cast', () => {
    for (let depth = 4; depth <= 20; depth += 2)
      for (const nearer of [0.7, 1.2, 1.6]) {
        const { cast, deltaL } = whiteCast(pictures(depth, 0, 0.6, { nearer }).asked);
        expect([depth, cast === true, deltaL < 0.5]).toEqual([depth, false, true]);
      }
  });
});

describe('a blind round', () => {
  const anyPhotos = fc.uniqueArray(fc.stringMatching(/^[a-z]{1,6}$/), { minLength: 1, maxLength: 9 });
  test('both halves of every photograph once, a third again and the other way round, none right after itself', () => {
    fc.assert(
      fc.property(anyPhotos, fc.string({ minLength: 1 }), (photos, seed) => {
        const round = blindRound(photos, seed);
        expect(blindRound(photos, seed)).toEqual(round);
        const once = round.filter(({ id }) => !id.endsWith(' again'));
        expect(once.map(({ id }) => id).sort()).toEqual(
          photos.flatMap((p) => SIDES.map((side) => `${p} ${side}`)).sort(),
        );
        expect(round.length).toBe(once.length + Math.ceil(once.length / 3));
        expect(new Set(round.map(({ id }) => id)).size).toBe(round.length);
        for (const again of round.filter(({ id }) => id.endsWith(' again'))) {
          const first = round.find(({ id }) => id === again.id.replace(/ again$/, ''))!;
          const [from, to] = [round.indexOf(first), round.indexOf(again)];
          expect(again.mirrored).toBe(!first.mirrored);
          expect(to).toBeGreaterThan(from);
          expect(to - from).toBeGreaterThan(1);
        }
      }),
    );
  });
  test('sides and mirrors are by lot: over many seeds neither comes first or is shown one way more', () => {
    let [leftFirst, mirrored, cards] = [0, 0, 0];
    for (let seed = 0; seed < 2000; seed++) {
      const round = blindRound(['a', 'b'], `seed ${seed}`);
      if (round[0]!.side === 'left') leftFirst++;
      for (const card of round.slice(0, 1)) {
        cards++;
        if (card.mirrored) mirrored++;
      }
    }
    // Four standard errors.
    expect(Math.abs(leftFirst / 2000 - 0.5)).toBeLessThan(0.045);
    expect(Math.abs(mirrored / cards - 0.5)).toBeLessThan(0.045);
  });
  test('what is judged twice counts once, as it was first; how alike it was is told only where there was enough of it', () => {
    const round = blindRound(['a', 'b', 'c', 'd', 'e', 'f', 'g', 'h'], 'x');
    const answered = (grade: (id: string) => number) =>
      Object.fromEntries(round.map(({ id }) => [id, { nose: grade(id), chin: 1 }]));
    const same = blindResult(
      round,
      answered(() => 2),
    );
    expect(same.seen).toHaveLength(32);
    expect(new Set(same.seen.map(({ value, zone }) => `${zone} ${value}`))).toEqual(
      new Set(['nose 2', 'chin 1']),
    );
    expect(same.reliable).toBe(true);
    const wavering = blindResult(
      round,
      answered((id) => (id.endsWith('again') ? 3 : 0)),
    );
    expect(wavering.repeats).toEqual({ alike: 6, of: 12 });
    expect(wavering.reliable).toBe(false);
    expect(wavering.seen.filter(({ zone }) => zone === 'nose').map(({ value }) => value)).toEqual(
      Array.from({ length: 16 }, () => 0),
    );
    const short = blindRound(['a', 'b'], 'x');
    expect(
      blindResult(short, Object.fromEntries(short.map(({ id }) => [id, { nose: 1 }]))).reliable,
    ).toBeNull();
    expect(blindResult(round, {}).seen).toEqual([]);
  });
});

test('the halves of a zone share nothing and make the whole of it', () => {
  for (const zone of TRIAL_ZONES) {
    const [left, right] = SIDES.map((side) => trialZoneOutlines(zone, TEMPLATE, side));
    for (const [outlines, sign] of [
      [left!, 1],
      [right!, -1],
    ] as const)
      for (const outline of outlines) for (const [x] of outline) expect(sign * x).toBeGreaterThan(-0.6);
    expect(left!.length).toBe(right!.length);
  }
});
