import { lightnessAtDepth, skinByZone, type Lab } from '../colour';
import { inferLandmarks, PLAIN_FEATURES, type Features } from '../face';
import type { Kit, Product, ProductKind } from '../kit';
import type { ClientSnapshot, Look, LookStep, Occasion } from './document';

/** A steady UUID for a test thing. */
export const id = (n: number): string => `0190a000-0000-7000-8000-${String(n).padStart(12, '0')}`;

export const STAMP = { id: id(900), author: 'Ada', at: '2031-05-14T09:20:00Z', reason: 'Trial' };
export const OCCASION: Occasion = {
  kind: 'trial',
  date: '2031-05-14',
  lights: ['daylight'],
  hoursToLast: 6,
  camera: false,
};
export const SKIN: Lab = [64, 12, 19];
/** One face for all clients: what is placed on it is worked out once. */
const FACE = inferLandmarks({ faceLength: 184, jawWidth: 106 });

export function client(
  skin: Lab = SKIN,
  more: { features?: Partial<Features>; sensitivities?: string[] } = {},
): ClientSnapshot {
  return {
    id: id(1),
    name: 'Ilse Moor',
    landmarks: FACE,
    features: more.features ? { ...PLAIN_FEATURES, ...more.features } : PLAIN_FEATURES,
    skin: skinByZone(skin),
    readingId: id(2),
    sensitivities: more.sensitivities ?? [],
  };
}

export function product(n: number, kind: ProductKind, lab: Lab | null, more: Partial<Product> = {}): Product {
  return {
    id: id(n),
    maker: 'Ordway',
    line: 'Line',
    shade: `S${n}`,
    kind,
    lab: lab ? [...lab] : null,
    coverage: 'medium',
    finish: 'natural',
    texture: 'liquid',
    family: 'silicone',
    ingredients: ['dimethicone'],
    measure: 'pump',
    mgPerMeasure: 150,
    tintingStrength: 1,
    monthsAfterOpening: 12,
    withdrawn: false,
    singleUse: false,
    eyeSafe: false,
    ...more,
  };
}

export function kitOf(...products: Product[]): Kit {
  return {
    products,
    units: products.map((p, i) => ({
      id: id(500 + i),
      productId: p.id,
      openedOn: '2031-03-01',
      remainingMg: 9000,
      place: `case 1, A${i + 1}`,
    })),
  };
}

export const BASES = [
  product(10, 'base', [76, 9, 17]),
  product(11, 'base', [64.5, 11.5, 20]),
  product(12, 'base', [54, 13, 20]),
  product(13, 'base', [42, 13, 17]),
];
export const KIT = kitOf(
  ...BASES,
  product(20, 'contour', [54, 10, 15], { finish: 'matte' }),
  product(23, 'contour', [51, 12, 17], { finish: 'matte' }),
  product(21, 'contour', [44, 10, 14], { finish: 'matte' }),
  product(22, 'contour', [54.5, 13, 18], { finish: 'shimmer' }),
  product(30, 'highlight', [78, 8, 20], { finish: 'satin' }),
  product(31, 'highlight', [80, 8, 18], { finish: 'shimmer' }),
  product(40, 'mascara', [12, 0, 0], { ingredients: ['nylon fibers'], eyeSafe: true }),
  product(41, 'mascara', [12, 0, 0], { eyeSafe: true, shade: 'tubing' }),
);

const step = (
  n: number,
  more: Partial<LookStep> & Pick<LookStep, 'phase' | 'role' | 'title' | 'wants'>,
): LookStep => ({
  id: id(n),
  shade: null,
  placements: [],
  doseMgPerCm2: 0.6,
  passes: 1,
  tool: 'damp sponge',
  technique: 'press',
  handsOnMinutes: 5,
  waitMinutes: 0,
  note: '',
  ...more,
});

export const LOOK: Look = {
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
  variants: [],
  steps: [
    step(101, {
      phase: 'base',
      role: 'base',
      title: 'Base',
      shade: { relative: { to: 'skin', depthSteps: 0 } },
      wants: { kinds: ['base'], mix: true },
      placements: [{ guide: 'zone.wholeFace', side: 'both' }],
    }),
    step(102, {
      phase: 'sculpt',
      role: 'contour',
      title: 'Contour',
      shade: { relative: { to: 'skin', depthSteps: 2.5 } },
      wants: { kinds: ['contour'], finishes: ['matte'] },
      placements: [{ guide: 'cheekContour', side: 'both' }],
    }),
    step(103, {
      phase: 'sculpt',
      role: 'contour',
      title: 'Forehead',
      shade: { relative: { to: 'skin', depthSteps: 2 } },
      wants: { kinds: ['contour'] },
      placements: [{ guide: 'foreheadContour', side: 'both' }],
    }),
    step(104, {
      phase: 'sculpt',
      role: 'highlight',
      title: 'Light',
      shade: { relative: { to: 'skin', depthSteps: -2.5 } },
      wants: { kinds: ['highlight'] },
      placements: [{ guide: 'cheekboneLight', side: 'both' }],
    }),
    step(105, {
      phase: 'eyes',
      role: 'eye',
      title: 'Lid',
      wants: { kinds: [] },
      placements: [{ guide: 'lid', side: 'both' }],
    }),
    step(106, {
      phase: 'lashes',
      role: 'lash',
      title: 'Mascara',
      wants: { kinds: ['mascara'] },
      placements: [{ guide: 'lashes', side: 'both' }],
    }),
  ],
};

/** A colour of a brown at a depth, shade steps. */
export const brownAt = (depth: number, a = 8, b = 14): Lab => [lightnessAtDepth(depth), a, b];

/** Besides its other steps a lid of depth 8 and a socket of depth 16, in whatever shadow. */
export const TWO_SHADOWS: Look = {
  ...LOOK,
  steps: [
    ...LOOK.steps.filter((s) => s.role !== 'eye'),
    ...(
      [
        ['Lid', 'lid', 8],
        ['Socket', 'socket', 16],
      ] as const
    ).map(([title, guide, depth], i) =>
      step(191 + i, {
        phase: 'eyes',
        role: 'eye',
        title,
        shade: { lab: [...brownAt(depth)] },
        wants: { kinds: ['shadow'] },
        placements: [{ guide, side: 'both' }],
      }),
    ),
  ],
};

/** The kit with shadows of these depths and no others, named by them: S8.2. */
export const kitWithShadows = (...depths: readonly number[]): Kit =>
  kitOf(
    ...KIT.products.filter((p) => p.kind !== 'shadow'),
    ...depths.map((depth, i) =>
      product(700 + i, 'shadow', brownAt(depth), { shade: `S${depth}`, eyeSafe: true }),
    ),
  );
