import {
  BANDS_36,
  faceGround,
  filmOver,
  fitLook,
  frameOf,
  illuminantWeights,
  inferLandmarks,
  maskOfShape,
  mixedOptics,
  outlineOf,
  paintedSteps,
  paintFace,
  paintLayerOf,
  PLAIN_FEATURES,
  isColoured,
  reconstructSpectrum,
  skinByZone,
  type ClientSnapshot,
  type Mask,
  type Optics,
  type Product,
} from '@toile/core';
import { LOOKS, PRODUCTS, unitsOn } from '@toile/demo';

// Run in Chromium’s worker: the painted face at 600 x 800 with eight layers, whole and one local layer,
// against a 36-band reference.
const median = (work: () => void, rounds: number): number => {
  work();
  const times = Array.from({ length: rounds }, () => {
    const start = performance.now();
    work();
    return performance.now() - start;
  }).sort((a, b) => a - b);
  return times[Math.floor(rounds / 2)]!;
};

const client: ClientSnapshot = {
  id: '0190a000-0000-7000-8000-000000000001',
  name: 'Bench',
  landmarks: inferLandmarks({}),
  features: PLAIN_FEATURES,
  skin: skinByZone([62, 12, 19]),
  readingId: null,
  sensitivities: [],
};
const look = LOOKS.find((l) => l.name === 'Harbour Morning') ?? LOOKS[0]!;
const occasion = { kind: 'trial' as const, date: '2031-05-14', lights: [], hoursToLast: 6, camera: false };
const { chart } = fitLook(look, client, { products: PRODUCTS, units: unitsOn('2031-05-14') }, occasion, {
  id: client.id,
  author: 'Bench',
  at: '2031-05-14T09:00:00Z',
  reason: '',
});
const frame = frameOf([-100, -125, 200, 266.67], 600);
const steps = paintedSteps(chart).slice(0, 8);
const ground = faceGround(client, frame);
const layers = steps.map((step) => paintLayerOf(step, client, frame)!);
const rgba = new Uint8ClampedArray(4 * frame.width * frame.height);
const seen = { light: 'daylight' as const, eaten: 0 };

const fullMs = median(() => paintFace(ground, layers, seen, rgba), 9);
const local = layers.at(-1)!.masks[0]!;
const localMs = median(
  () =>
    paintFace(ground, layers, seen, rgba, {
      x: local.x,
      y: local.y,
      width: local.width,
      height: local.height,
    }),
  9,
);

/** The same picture from full spectra: every film worked out for every pixel and band. */
function reference(within: { x: number; y: number; width: number; height: number }): void {
  const skin = reconstructSpectrum(client.skin.cheek!, 'D65', 'skin').spectrum;
  const films = steps.map((step): { masks: Mask[]; optics: Optics; dose: number } => {
    const parts = step.use.flatMap((u) => {
      const product: Product = {
        tintingStrength: 1,
        monthsAfterOpening: 12,
        withdrawn: false,
        singleUse: false,
        eyeSafe: false,
        ...u.product,
      };
      return isColoured(product) ? [{ product, mg: u.parts * product.mgPerMeasure }] : [];
    });
    const masks = step.placements
      .flatMap((p) => outlineOf(p, client.landmarks, client.features))
      .flatMap((shape) => maskOfShape(shape, frame) ?? []);
    return { masks, optics: mixedOptics(parts), dose: step.doseMgPerCm2 * step.passes };
  });
  const { x: wx, y: wy, z: wz } = illuminantWeights('D65');
  const pixel = new Float64Array(BANDS_36);
  let sink = 0;
  for (let y = within.y; y < within.y + within.height; y++)
    for (let x = within.x; x < within.x + within.width; x++) {
      if (ground.skin[frame.width * y + x] === 0) continue;
      pixel.set(skin);
      for (const { masks, optics, dose } of films)
        for (const mask of masks) {
          const [col, row] = [x - mask.x, y - mask.y];
          if (col < 0 || row < 0 || col >= mask.width || row >= mask.height) continue;
          const cover = mask.cover[mask.width * row + col]!;
          if (cover < 1 / 512) continue;
          for (let i = 0; i < BANDS_36; i++)
            pixel[i] = filmOver(pixel[i]!, optics.masstone[i]!, optics.scattering * dose * cover);
        }
      let [X, Y, Z] = [0, 0, 0];
      for (let i = 0; i < BANDS_36; i++) {
        X += pixel[i]! * wx[i]!;
        Y += pixel[i]! * wy[i]!;
        Z += pixel[i]! * wz[i]!;
      }
      for (const linear of [
        3.24 * X - 1.54 * Y - 0.5 * Z,
        -0.97 * X + 1.88 * Y + 0.04 * Z,
        0.06 * X - 0.2 * Y + 1.06 * Z,
      ])
        sink += linear <= 0.0031308 ? 12.92 * linear : 1.055 * linear ** (1 / 2.4) - 0.055;
    }
  if (Number.isNaN(sink)) throw new Error('the reference is not a picture');
}
const fullReferenceMs = median(() => reference({ x: 0, y: 0, width: frame.width, height: frame.height }), 1);
const localReferenceMs = median(() => reference(local), 3);

self.postMessage({
  fullMs,
  localMs,
  fullReferenceMs,
  localReferenceMs,
  layers: layers.length,
  size: `${frame.width} x ${frame.height}`,
});
