import { lightnessAtDepth, shiftDepth, type Family, type Finish, type Lab, type Measure, type Product, type ProductKind, type Texture, type Undertone, type Unit } from '@toile/core';
import { idFor } from './ids';

/** Colour of skin or base at a depth of our scale with an undertone. */
export function skinAt(depth: number, undertone: Undertone): Lab {
  const [L, a, b] = shiftDepth([lightnessAtDepth(depth), 12, 18], 0, { undertone });
  return rounded([L, a, b]);
}

const rounded = ([L, a, b]: Lab): Lab => [Math.round(L * 10) / 10, Math.round(a * 10) / 10, Math.round(b * 10) / 10];

type Line = {
  readonly maker: string;
  readonly line: string;
  readonly kind: ProductKind;
  readonly coverage: Product['coverage'];
  readonly finish: Finish;
  readonly texture: Texture;
  readonly family: Family;
  readonly ingredients: readonly string[];
  readonly measure: Measure;
  readonly mgPerMeasure: number;
  readonly months: number;
  readonly eyeSafe?: boolean;
  readonly singleUse?: boolean;
  readonly shades: readonly (readonly [shade: string, lab: Lab | null, more?: Partial<Product>])[];
};

const SILICONE = ['cyclopentasiloxane', 'dimethicone', 'iron oxides', 'titanium dioxide'];
const WATER = ['water', 'glycerin', 'iron oxides', 'titanium dioxide', 'phenoxyethanol'];
const WAX = ['caprylic triglyceride', 'candelilla wax', 'iron oxides', 'titanium dioxide'];
const PRESSED = ['mica', 'zinc stearate', 'iron oxides', 'silica'];

const bases = (depths: readonly number[], undertones: readonly Undertone[], prefix: string): Line['shades'] =>
  depths.map((depth, i) => {
    const undertone = undertones[i % undertones.length]!;
    return [`${prefix}${i + 1} ${undertone}`, skinAt(depth, undertone)] as const;
  });

/** The studio's products by line: invented makers, believable colours. */
const LINES: readonly Line[] = [
  { maker: 'Fennel & Rook', line: 'Veil', kind: 'base', coverage: 'light', finish: 'natural', texture: 'liquid', family: 'silicone', ingredients: SILICONE, measure: 'pump', mgPerMeasure: 170, months: 12, shades: bases([3.6, 5, 6.6, 8.2, 9.8, 11.6, 13.6, 15.8, 18.2, 20.6], ['cool', 'warm', 'neutral'], 'V') },
  { maker: 'Ordway', line: 'Second Cloth', kind: 'base', coverage: 'medium', finish: 'satin', texture: 'liquid', family: 'water', ingredients: WATER, measure: 'pump', mgPerMeasure: 190, months: 12, shades: bases([4.2, 5.6, 7.2, 8.8, 10.6, 12.4, 14.4, 16.6, 18.8, 21.2], ['neutral', 'olive', 'cool', 'warm'], 'S') },
  { maker: 'Ordway', line: 'Long Hours', kind: 'base', coverage: 'full', finish: 'matte', texture: 'liquid', family: 'silicone', ingredients: [...SILICONE, 'fragrance'], measure: 'pump', mgPerMeasure: 180, months: 12, shades: bases([4, 6, 8, 10.2, 12.6, 15, 17.6, 20], ['warm', 'neutral', 'cool', 'olive'], 'L') },
  { maker: 'Tamsin Vale', line: 'Stage Cream', kind: 'base', coverage: 'full', finish: 'matte', texture: 'cream', family: 'wax', ingredients: [...WAX, 'lanolin'], measure: 'dot', mgPerMeasure: 60, months: 24, shades: bases([4.6, 7.6, 10.8, 14, 17, 20.2], ['neutral', 'warm', 'olive'], 'T') },
  { maker: 'Fennel & Rook', line: 'Adjust', kind: 'adjuster', coverage: 'full', finish: 'natural', texture: 'liquid', family: 'silicone', ingredients: SILICONE, measure: 'drop', mgPerMeasure: 35, months: 12, shades: [['white', [94, -0.5, 2]], ['yellow', [82, 6, 58], { tintingStrength: 1.6 }], ['blue', [42, -4, -28], { tintingStrength: 2.4 }], ['red', [45, 42, 24], { tintingStrength: 2 }]] },
  { maker: 'Maren Oake', line: 'Quiet', kind: 'corrector', coverage: 'medium', finish: 'natural', texture: 'cream', family: 'wax', ingredients: WAX, measure: 'dot', mgPerMeasure: 25, months: 18, shades: [['light peach', [76, 18, 24]], ['peach', [68, 24, 32]], ['salmon', [58, 30, 32]], ['orange', [48, 36, 42]], ['green', [74, -16, 18]], ['lemon', [84, 2, 34]]] },
  { maker: 'Ordway', line: 'Under', kind: 'concealer', coverage: 'full', finish: 'satin', texture: 'liquid', family: 'water', ingredients: WATER, measure: 'dot', mgPerMeasure: 22, months: 12, eyeSafe: true, shades: bases([2.9, 4.4, 6.2, 8, 10, 12.4, 15, 18.4], ['neutral', 'warm'], 'U') },
  { maker: 'Saltern', line: 'Loose Chalk', kind: 'powder', coverage: 'sheer', finish: 'matte', texture: 'loose', family: 'powder', ingredients: PRESSED, measure: 'swipe', mgPerMeasure: 40, months: 24, shades: [['translucent', [90, 1, 4]], ['fair', skinAt(4.5, 'neutral')], ['light', skinAt(7, 'neutral')], ['medium', skinAt(10, 'warm')], ['tan', skinAt(13.5, 'warm')], ['deep', skinAt(17, 'neutral')], ['ebony', skinAt(20.4, 'neutral')]] },
  { maker: 'Maren Oake', line: 'Hollow', kind: 'contour', coverage: 'medium', finish: 'matte', texture: 'cream', family: 'wax', ingredients: WAX, measure: 'swipe', mgPerMeasure: 25, months: 18, shades: [['fawn', skinAt(7, 'cool')], ['taupe', skinAt(9.4, 'cool')], ['bark', skinAt(12.2, 'neutral')], ['umber', skinAt(15.6, 'neutral')], ['peat', skinAt(19, 'warm')], ['ink brown', skinAt(23, 'neutral')]] },
  { maker: 'Saltern', line: 'Dune', kind: 'bronzer', coverage: 'light', finish: 'satin', texture: 'pressed', family: 'powder', ingredients: [...PRESSED, 'carmine'], measure: 'swipe', mgPerMeasure: 20, months: 24, shades: [['rose', skinAt(8, 'cool')], ['sand', skinAt(10.4, 'warm')], ['copper', skinAt(14, 'warm')], ['russet', skinAt(18, 'warm')]] },
  { maker: 'Tamsin Vale', line: 'Flush', kind: 'blush', coverage: 'light', finish: 'natural', texture: 'cream', family: 'wax', ingredients: WAX, measure: 'swipe', mgPerMeasure: 18, months: 18, shades: [['shell', [74, 24, 12]], ['briar', [62, 34, 14]], ['apricot', [68, 28, 30]], ['rosehip', [50, 42, 20]], ['damson', [38, 34, 4]], ['clay red', [44, 38, 28]]] },
  { maker: 'Saltern', line: 'Glint', kind: 'highlight', coverage: 'sheer', finish: 'shimmer', texture: 'pressed', family: 'powder', ingredients: PRESSED, measure: 'swipe', mgPerMeasure: 12, months: 24, shades: [['pearl', [90, 2, 8]], ['champagne', [82, 5, 18]], ['gold', [70, 10, 36]], ['rose gold', [62, 20, 26]]] },
  { maker: 'Maren Oake', line: 'Lustre', kind: 'highlight', coverage: 'sheer', finish: 'satin', texture: 'cream', family: 'wax', ingredients: WAX, measure: 'swipe', mgPerMeasure: 14, months: 18, shades: [['moon', [88, 3, 9]], ['honey', [74, 9, 26]], ['amber', [58, 16, 32]]] },
  { maker: 'Saltern', line: 'Ground', kind: 'primer', coverage: 'sheer', finish: 'matte', texture: 'gel', family: 'silicone', ingredients: ['dimethicone', 'silica'], measure: 'pump', mgPerMeasure: 120, months: 12, shades: [['mattifying', null], ['smoothing', null, { finish: 'natural' }]] },
  { maker: 'Ordway', line: 'Dew Ground', kind: 'primer', coverage: 'sheer', finish: 'dewy', texture: 'gel', family: 'water', ingredients: ['water', 'glycerin', 'hyaluronic acid'], measure: 'pump', mgPerMeasure: 130, months: 12, shades: [['hydrating', null]] },
  { maker: 'Reedmark', line: 'Calm', kind: 'prep', coverage: 'sheer', finish: 'natural', texture: 'cream', family: 'water', ingredients: ['water', 'squalane', 'glycerin'], measure: 'pump', mgPerMeasure: 250, months: 12, shades: [['cream', null], ['rich cream', null, { ingredients: ['water', 'almond oil', 'glycerin'] }]] },
  { maker: 'Reedmark', line: 'Thatch', kind: 'brow', coverage: 'medium', finish: 'matte', texture: 'pencil', family: 'wax', ingredients: WAX, measure: 'swipe', mgPerMeasure: 4, months: 24, eyeSafe: true, shades: [['straw', [55, 6, 18]], ['oak', [38, 7, 13]], ['soot', [24, 3, 5]], ['slate', [46, 0, 2]]] },
  { maker: 'Saltern', line: 'Lid', kind: 'shadow', coverage: 'medium', finish: 'matte', texture: 'pressed', family: 'powder', ingredients: PRESSED, measure: 'swipe', mgPerMeasure: 8, months: 24, eyeSafe: true, shades: [['bone', [84, 3, 12]], ['biscuit', [66, 9, 20]], ['walnut', [40, 10, 15]], ['slate blue', [40, -2, -14]], ['bronze', [48, 14, 28], { finish: 'shimmer' }], ['plum', [34, 20, -6]]] },
  { maker: 'Reedmark', line: 'Line', kind: 'liner', coverage: 'opaque', finish: 'matte', texture: 'pencil', family: 'wax', ingredients: WAX, measure: 'swipe', mgPerMeasure: 3, months: 12, eyeSafe: true, shades: [['black', [14, 0, 0]], ['brown', [28, 9, 11]]] },
  { maker: 'Reedmark', line: 'Stand', kind: 'mascara', coverage: 'opaque', finish: 'matte', texture: 'cream', family: 'wax', ingredients: ['water', 'beeswax', 'iron oxides'], measure: 'swipe', mgPerMeasure: 10, months: 6, eyeSafe: true, shades: [['waterproof black', [12, 0, 0]], ['fibre black', [12, 0, 0], { ingredients: ['water', 'nylon fibers', 'iron oxides'] }]] },
  { maker: 'Reedmark', line: 'Band', kind: 'lashes', coverage: 'opaque', finish: 'matte', texture: 'gel', family: 'alcohol', ingredients: ['natural latex', 'water'], measure: 'dot', mgPerMeasure: 5, months: 6, eyeSafe: true, singleUse: true, shades: [['light, latex glue', [15, 0, 0]], ['light, clear glue', [15, 0, 0], { ingredients: ['water', 'acrylates copolymer'] }]] },
  { maker: 'Tamsin Vale', line: 'Edge', kind: 'lip liner', coverage: 'opaque', finish: 'matte', texture: 'pencil', family: 'wax', ingredients: WAX, measure: 'swipe', mgPerMeasure: 4, months: 24, shades: [['nude', [56, 20, 18]], ['rose', [46, 32, 14]], ['wine', [30, 32, 12]]] },
  { maker: 'Tamsin Vale', line: 'Mouth', kind: 'lip colour', coverage: 'full', finish: 'satin', texture: 'cream', family: 'wax', ingredients: [...WAX, 'carmine'], measure: 'swipe', mgPerMeasure: 12, months: 18, shades: [['petal', [66, 24, 14]], ['tea rose', [56, 30, 16]], ['brick', [44, 38, 26]], ['poppy', [46, 56, 34]], ['mulberry', [32, 34, 8]]] },
  { maker: 'Fennel & Rook', line: 'Tint', kind: 'lip colour', coverage: 'light', finish: 'natural', texture: 'liquid', family: 'oil', ingredients: ['squalane', 'red 7 lake'], measure: 'swipe', mgPerMeasure: 10, months: 12, shades: [['bare', [62, 22, 16]], ['cherry', [46, 40, 20]]] },
  { maker: 'Saltern', line: 'Hold', kind: 'spray', coverage: 'sheer', finish: 'matte', texture: 'liquid', family: 'alcohol', ingredients: ['water', 'alcohol', 'vp copolymer'], measure: 'pump', mgPerMeasure: 90, months: 12, shades: [['strong', null], ['soft', null, { finish: 'dewy', ingredients: ['water', 'glycerin'], family: 'water' }]] },
];

export const PRODUCTS: readonly Product[] = LINES.flatMap((line) =>
  line.shades.map(([shade, lab, more]): Product => ({
    id: idFor(`product ${line.maker} ${line.line} ${shade}`),
    maker: line.maker,
    line: line.line,
    shade,
    kind: line.kind,
    lab: lab ? [...lab] : null,
    coverage: line.coverage,
    finish: line.finish,
    texture: line.texture,
    family: line.family,
    ingredients: [...line.ingredients],
    measure: line.measure,
    mgPerMeasure: line.mgPerMeasure,
    tintingStrength: 1,
    monthsAfterOpening: line.months,
    withdrawn: false,
    singleUse: line.singleUse ?? false,
    eyeSafe: line.eyeSafe ?? false,
    ...more,
  })),
);

/** One unit of nearly every product, some fresh, some opened long ago; places are the studio's cases. */
export function unitsOn(today: string): Unit[] {
  return PRODUCTS.filter((_, i) => i % 17 !== 16).map((product, i): Unit => ({
    id: idFor(`unit ${product.id}`),
    productId: product.id,
    openedOn: i % 9 === 4 ? null : daysFrom(today, -((i * 23) % 150) - 5 - (i % 31 === 30 ? 700 : 0)),
    remainingMg: Math.round(product.mgPerMeasure * (12 + ((i * 37) % 90))),
    place: `case ${1 + (i % 3)}, ${'ABCDEF'[Math.floor(i / 3) % 6]}${1 + (i % 8)}`,
  }));
}

/** A date some days from another. */
export function daysFrom(date: string, days: number): string {
  return new Date(Date.parse(`${date}T00:00:00Z`) + days * 86_400_000).toISOString().slice(0, 10);
}
