import { reconstructSpectrum, shiftDepth, type Lab, type SkinZone } from '../colour';
import { faceModel, outlineOf, type FaceModel, type Point } from '../face';
import { stepsOfVariant, type Chart, type ClientSnapshot, type Step } from '../look';
import {
  faceColour,
  flashGradeOf,
  ILLUMINANT_OF,
  isColoured,
  mixedOptics,
  skinTarget,
  type LightName,
} from '../shade';
import type { Product } from '../kit';
import { maskOf, maskOfShape, type Frame, type Mask } from './mask';
import { develop, filmTable, layFilm, type PaintLayer, type Rectangle, type Surface } from './paint';
import { SIX, toSixBands } from './sixBands';

/** The bare face in a frame: her skin by zone, where skin is, and how it turns away from the light. */
export type FaceGround = {
  readonly surface: Surface;
  readonly skin: Float32Array;
  readonly shading: Float32Array;
};

/** Where each zone's reading stands on the canonical face, in mm; sides are mirrored. */
const ZONE_CENTRES: Readonly<Record<SkinZone, Point>> = {
  forehead: [0, -48],
  cheek: [42, 34],
  underEye: [31, 13],
  mouthSide: [33, 64],
  chin: [0, 95],
  neck: [0, 140],
  decollete: [0, 205],
};
/**
 * How far a zone's colour reaches before the next takes over, in mm; less draws edges, more blurs her face
 * into one.
 */
const REACH_MM = 20;
const UNDER_EYE_REACH_MM = 9;
/** Colours are worked out on a grid this coarse, in pixels, and smoothed between. */
const GRID = 6;

/**
 * Paints the bare face: zones read keep their colour, others take the face's. Throws when nothing has been
 * read.
 */
export function faceGround(
  client: Pick<ClientSnapshot, 'landmarks' | 'features' | 'skin'>,
  frame: Frame,
): FaceGround {
  const general = skinTarget(client.skin);
  if (!general) throw new RangeError('faceGround: nothing of this skin has been read');
  const face = faceModel(client.landmarks, client.features);
  const surface: Surface = {
    width: frame.width,
    height: frame.height,
    bands: new Float32Array(SIX * frame.width * frame.height),
  };
  fillSkin(surface, client.skin, general, face, frame);
  const skin = new Float32Array(frame.width * frame.height);
  const shading = new Float32Array(frame.width * frame.height).fill(1);
  const whole = maskOf([face.outline], 0, frame);
  const neck = maskOf([face.neck], 0, frame);
  for (const mask of [neck, ...earMasks(face, frame), whole])
    if (mask) put(mask, skin, frame, (old, cover) => Math.max(old, cover));
  // Form: the neck lies back, and a face darkens where it turns away at its edge.
  if (neck) put(neck, shading, frame, (old, cover) => old - 0.1 * cover);
  if (whole) put(whole, shading, frame, (old, cover) => old + (1 - old) * cover);
  const turned = maskOf([face.outline], 42, frame);
  if (turned && whole) {
    const edge = new Float32Array(frame.width * frame.height);
    put(turned, edge, frame, (_old, cover) => cover);
    put(whole, shading, frame, (old, cover, at) => old * (1 - 0.24 * cover * (1 - edge[at]!)));
  }
  tintLips(surface, general, face, frame);
  return { surface, skin, shading };
}

function put(
  mask: Mask,
  into: Float32Array,
  frame: Frame,
  mix: (old: number, cover: number, at: number) => number,
): void {
  for (let row = 0; row < mask.height; row++)
    for (let col = 0; col < mask.width; col++) {
      const at = frame.width * (mask.y + row) + mask.x + col;
      into[at] = mix(into[at]!, mask.cover[mask.width * row + col]!, at);
    }
}

function earMasks(face: FaceModel, frame: Frame): (Mask | null)[] {
  return face.features.hair === 'covered' ? [] : face.ears.map((ear) => maskOf([ear], 0, frame));
}

function fillSkin(
  { width, height, bands }: Surface,
  skin: ClientSnapshot['skin'],
  general: Lab,
  face: FaceModel,
  frame: Frame,
): void {
  const sixOf = (lab: Lab): Float64Array => toSixBands(reconstructSpectrum(lab, 'D65', 'skin').spectrum);
  const whole = sixOf(faceColour(skin) ?? general);
  const spots = (Object.keys(ZONE_CENTRES) as SkinZone[]).flatMap((zone) => {
    const lab = skin[zone];
    const six = lab ? sixOf(lab) : whole;
    const [x, y] = ZONE_CENTRES[zone];
    const reach =
      zone === 'underEye'
        ? UNDER_EYE_REACH_MM
        : zone === 'neck' || zone === 'decollete'
          ? 1.6 * REACH_MM
          : REACH_MM;
    return (x === 0 ? [1] : [1, -1]).map((sign) => ({ at: face.warp.toFace([sign * x, y]), six, reach }));
  });
  const columns = Math.ceil(width / GRID) + 1;
  const rows = Math.ceil(height / GRID) + 1;
  const grid = new Float32Array(SIX * columns * rows);
  for (let row = 0; row < rows; row++)
    for (let col = 0; col < columns; col++) {
      const x = (col * GRID) / frame.pixelsPerMm + frame.leftMm;
      const y = (row * GRID) / frame.pixelsPerMm + frame.topMm;
      let total = 1e-4;
      const sum = whole.map((v) => v * total);
      for (const { at, six, reach } of spots) {
        const weight = 1 / (1 + (((x - at[0]) ** 2 + (y - at[1]) ** 2) / (reach * reach)) ** 2);
        total += weight;
        for (let i = 0; i < SIX; i++) sum[i]! += weight * six[i]!;
      }
      for (let i = 0; i < SIX; i++) grid[SIX * (columns * row + col) + i] = sum[i]! / total;
    }
  for (let y = 0; y < height; y++) {
    const row = Math.floor(y / GRID);
    const v = y / GRID - row;
    for (let x = 0; x < width; x++) {
      const col = Math.floor(x / GRID);
      const u = x / GRID - col;
      const a = SIX * (columns * row + col);
      const b = a + SIX * columns;
      const to = SIX * (width * y + x);
      for (let i = 0; i < SIX; i++) {
        const top = grid[a + i]! + u * (grid[a + SIX + i]! - grid[a + i]!);
        const low = grid[b + i]! + u * (grid[b + SIX + i]! - grid[b + i]!);
        bands[to + i] = top + v * (low - top);
      }
    }
  }
}

/**
 * Bare lips: redder and a little deeper than the skin. No reading of them is taken; a guess that only has to
 * look like lips.
 */
function tintLips(surface: Surface, general: Lab, face: FaceModel, frame: Frame): void {
  const [L, a, b] = shiftDepth(general, 1.6);
  const lips = toSixBands(reconstructSpectrum([L, a + 9, b - 1], 'D65', 'oxide').spectrum);
  for (const shape of outlineOf({ guide: 'lips', side: 'both' }, face.landmarks, face.features)) {
    const mask = maskOf(shape.region, 1, frame);
    if (!mask) continue;
    for (let row = 0; row < mask.height; row++)
      for (let col = 0; col < mask.width; col++) {
        const cover = mask.cover[mask.width * row + col]!;
        const at = SIX * (surface.width * (mask.y + row) + mask.x + col);
        for (let i = 0; i < SIX; i++) surface.bands[at + i]! += cover * (lips[i]! - surface.bands[at + i]!);
      }
  }
}

/** What is always melted at its edges, and over how much. */
const BLENDED: readonly Step['role'][] = [
  'correct',
  'base',
  'conceal',
  'contour',
  'bronze',
  'blush',
  'highlight',
  'powder',
];
const BLENDED_EDGE_MM = 9;

/** A step as films to lay: its shapes softly edged, its mix and dose; null for steps that leave no colour. */
export function paintLayerOf(
  step: Step,
  client: Pick<ClientSnapshot, 'landmarks' | 'features'>,
  frame: Frame,
): PaintLayer | null {
  const coloured = step.use.flatMap((use) => {
    const product: Product = {
      tintingStrength: 1,
      monthsAfterOpening: 12,
      withdrawn: false,
      singleUse: false,
      eyeSafe: false,
      ...use.product,
    };
    return isColoured(product) ? [{ product, mg: use.parts * product.mgPerMeasure }] : [];
  });
  if (step.role === 'care' || coloured.length === 0 || step.doseMgPerCm2 <= 0) return null;
  const masks = step.placements
    .flatMap((placement) => outlineOf(placement, client.landmarks, client.features))
    .map((shape) =>
      maskOfShape(
        BLENDED.includes(step.role)
          ? { ...shape, featherMm: Math.max(shape.featherMm, BLENDED_EDGE_MM) }
          : shape,
        frame,
      ),
    )
    .filter((mask): mask is Mask => mask !== null);
  if (masks.length === 0) return null;
  const grade = Math.max(...coloured.map(({ product }) => flashGradeOf(product))) as ReturnType<
    typeof flashGradeOf
  >;
  return { masks, film: filmTable(mixedOptics(coloured), step.doseMgPerCm2 * step.passes, grade) };
}

export type Seen = {
  readonly light: LightName;
  /** Share of the colour that camera and distance eat, 0 to 1. */
  readonly eaten: number;
};

/**
 * The painted face as RGBA: ground, films in order, developed under a light. Only `within` is worked on when
 * it is given.
 */
export function paintFace(
  ground: FaceGround,
  layers: readonly PaintLayer[],
  seen: Seen,
  into: Uint8ClampedArray,
  within?: Rectangle,
): void {
  const { surface } = ground;
  const area = within ?? { x: 0, y: 0, width: surface.width, height: surface.height };
  const painted: Surface = { ...surface, bands: within ? copyOf(surface, area) : surface.bands.slice() };
  for (const layer of layers) layFilm(painted, layer, area, seen.light === 'flash');
  develop(painted, ILLUMINANT_OF[seen.light], area, into, {
    skin: ground.skin,
    shading: ground.shading,
    before: surface.bands,
    eaten: seen.eaten,
  });
}

function copyOf({ bands, width }: Surface, { x, y, width: columns, height }: Rectangle): Float32Array {
  const copy = new Float32Array(bands.length);
  for (let row = y; row < y + height; row++) {
    const from = SIX * (width * row + x);
    copy.set(bands.subarray(from, from + SIX * columns), from);
  }
  return copy;
}

/** Steps that leave a colour on the face, in order: what can be switched on and off under a light. */
export function paintedSteps(chart: Pick<Chart, 'steps'>, variant: string | null = null): Step[] {
  return stepsOfVariant(chart.steps, variant).filter(
    (s) => s.role !== 'care' && s.use.some((u) => u.product.lab !== null),
  );
}
