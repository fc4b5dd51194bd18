import { readKitCsv, type Kit, type Product } from '@toile/core';
import { idFor } from './ids';
import { skinAt } from './products';

// Kits as others have them, read from lists like theirs: few of each, all powder, all cream, for deep or for
// fair skin alone. None of it is the demo's.

type Make = {
  /** So many bases over these depths of skin, of a texture. */
  readonly bases: {
    readonly count: number;
    readonly from: number;
    readonly to: number;
    readonly texture: string;
  };
  readonly concealers: number;
  /** Of what contour, blush and light are made; in turn where it is null. */
  readonly colour: 'pressed' | 'cream' | null;
  /** Depths of skin the contours are for. */
  readonly contours: readonly number[];
  readonly blushes: number;
  readonly lights: number;
  readonly shadows: number;
  readonly lips: number;
};

const MAKES: Readonly<Record<string, Make>> = {
  'all powder': {
    bases: { count: 8, from: 3, to: 20, texture: 'pressed' },
    concealers: 3,
    colour: 'pressed',
    contours: [6, 12, 18],
    blushes: 4,
    lights: 2,
    shadows: 8,
    lips: 4,
  },
  'all cream': {
    bases: { count: 8, from: 3, to: 20, texture: 'cream' },
    concealers: 4,
    colour: 'cream',
    contours: [7, 13, 19],
    blushes: 4,
    lights: 2,
    shadows: 6,
    lips: 5,
  },
  'a few of each': {
    bases: { count: 4, from: 3, to: 12, texture: 'liquid' },
    concealers: 2,
    colour: 'pressed',
    contours: [8],
    blushes: 2,
    lights: 1,
    shadows: 5,
    lips: 3,
  },
  'a great deal': {
    bases: { count: 20, from: 2, to: 22, texture: 'liquid' },
    concealers: 8,
    colour: null,
    contours: [4, 7, 10, 13, 16, 19, 22],
    blushes: 9,
    lights: 4,
    shadows: 18,
    lips: 12,
  },
  'for deep skin': {
    bases: { count: 10, from: 12, to: 22, texture: 'stick' },
    concealers: 5,
    colour: null,
    contours: [16, 19, 22],
    blushes: 5,
    lights: 3,
    shadows: 10,
    lips: 6,
  },
  'for fair skin': {
    bases: { count: 10, from: 1.5, to: 9, texture: 'liquid' },
    concealers: 5,
    colour: null,
    contours: [5, 7, 9],
    blushes: 5,
    lights: 3,
    shadows: 10,
    lips: 6,
  },
  'a beginner’s': {
    bases: { count: 3, from: 5, to: 16, texture: 'liquid' },
    concealers: 1,
    colour: 'pressed',
    contours: [12],
    blushes: 1,
    lights: 1,
    shadows: 4,
    lips: 2,
  },
};

type Row = readonly [
  line: string,
  shade: string,
  kind: string,
  lab: readonly [number, number, number] | null,
  finish?: string,
  texture?: string,
];
const UNDERTONES = ['cool', 'neutral', 'warm', 'olive'] as const;
const FINISHES = ['matte', 'natural', 'satin', 'dewy'];

/** `count` numbers from one to another, ends included. */
const spread = (count: number, from: number, to: number): number[] =>
  Array.from({ length: count }, (_, i) => from + ((to - from) * i) / Math.max(1, count - 1));

function rowsOf({ bases, concealers, colour, contours, ...counts }: Make, chance: () => number): Row[] {
  const about = (least: number, most: number): number => least + chance() * (most - least);
  const one = <T>(of: readonly T[]): T => of[Math.floor(chance() * of.length)]!;
  const texture = (): string => colour ?? one(['pressed', 'cream']);
  const { count, from, to, texture: baseTexture } = bases;
  return [
    ...spread(count, from, to).map((depth, i): Row => [
      'Skin',
      `S${i}`,
      'foundation',
      skinAt(depth + about(-0.3, 0.3), UNDERTONES[i % 4]!),
      one(FINISHES),
      baseTexture,
    ]),
    ...spread(concealers, from - 1, to - 1).map((depth, i): Row => [
      'Cover',
      `C${i}`,
      'concealer',
      skinAt(Math.max(1, depth), one(UNDERTONES)),
      'natural',
      one(['cream', 'liquid']),
    ]),
    ...contours.map((depth): Row => {
      const [L, a, b] = skinAt(depth, 'cool');
      return ['Shape', `K${depth}`, 'contour', [L, a - 1, b - 3], 'matte', texture()];
    }),
    ...spread(counts.blushes, 63, 30).map((L, i): Row => [
      'Flush',
      `B${i}`,
      'blush',
      [L, about(26, 38), about(6, 28)],
      one(['matte', 'satin', 'shimmer']),
      texture(),
    ]),
    ...spread(counts.lights, 86, 54).map((L, i): Row => [
      'Glow',
      `G${i}`,
      'highlighter',
      [L, 4 + 5 * i, 14 + 5 * i],
      one(['shimmer', 'satin']),
      texture(),
    ]),
    ...spread(counts.shadows, 88, 20).map((L, i): Row => [
      'Lid',
      `E${i}`,
      'eyeshadow',
      [L, about(3, 17), about(4, 24)],
      i % 3 === 2 ? 'metallic' : 'matte',
      colour ?? 'pressed',
    ]),
    ...spread(counts.lips, 62, 20).map((L, i): Row => [
      'Lip',
      `L${i}`,
      one(['lipstick', 'lip gloss', 'lip tint']),
      [L, about(20, 40), about(4, 22)],
      one(['matte', 'satin']),
    ]),
    ['Lip line', 'Nude', 'lip liner', [46, 20, 18]],
    ['Ink', 'Black', 'eyeliner', [14, 0, 0]],
    ['Lash', 'Black', 'waterproof mascara', [12, 0, 0]],
    ['Brow', 'Soft', 'brow pencil', [40, 8, 14]],
    ['Brow', 'Dark', 'brow pencil', [24, 4, 6]],
    ['Set', 'translucent', 'powder', null, 'matte'],
    ['Set', 'cocoa', 'powder', [38, 12, 17], 'matte'],
    ['Hold', '', 'primer', null],
    ['Milk', '', 'moisturiser', null],
    ['Lock', '', 'setting spray', null],
  ];
}

/** Numbers by chance, the same for the same seed. */
function chanceFrom(seed: number): () => number {
  let state = seed >>> 0;
  return () => (state = (Math.imul(state, 1664525) + 1013904223) >>> 0) / 2 ** 32;
}

function kitOfRows(rows: readonly Row[], name: string): Kit {
  const written = rows.map(([line, shade, kind, lab, finish = '', texture = '']) =>
    ['Corrie', line, shade, kind, ...(lab?.map((n) => n.toFixed(1)) ?? ['', '', '']), finish, texture].join(
      ';',
    ),
  );
  const read = readKitCsv(['Maker;Line;Shade;Kind;L*;a*;b*;Finish;Texture', ...written].join('\n'));
  const products = read.rows.map(({ product }, i): Product => {
    if (!product) throw new Error(`not read: ${written[i]}`);
    return { ...product, id: idFor(`${name} ${i}`) };
  });
  return {
    products,
    units: products.map(({ id, mgPerMeasure }) => ({
      id: idFor(`unit of ${id}`),
      productId: id,
      openedOn: '2031-03-01',
      remainingMg: 200 * mgPerMeasure,
      place: 'Case A',
    })),
  };
}

/** Kits unlike the demo's, by what they are; another seed has other colours in them. */
export const unlikeKits = (seed: number): readonly (readonly [name: string, kit: Kit])[] =>
  Object.entries(MAKES).map(([name, made], i) => [
    name,
    kitOfRows(rowsOf(made, chanceFrom(seed * 31 + i)), `${name} ${seed}`),
  ]);
