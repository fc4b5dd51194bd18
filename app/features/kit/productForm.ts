import { type ProductKind, TOOLS, usualForm, type Product, type Tool } from '@toile/core';
import { newId } from '@toile/contract';

/** Yes, no, or nobody has said. */
export type Stated = '' | 'yes' | 'no';
const statedOf = (value: boolean | undefined): Stated => (value === undefined ? '' : value ? 'yes' : 'no');
const SHARES = ['1', '0.5', '0.25'] as const;

/** A product as it is typed: numbers are text until they are saved. */
export type ProductForm = Omit<
  Product,
  | 'lab'
  | 'ingredients'
  | 'mgPerMeasure'
  | 'tintingStrength'
  | 'monthsAfterOpening'
  | 'flashGrade'
  | 'wearHours'
  | 'waterproof'
  | 'transferProof'
  | 'smallestShare'
  | 'tool'
> & {
  readonly lab: readonly [string, string, string];
  readonly ingredients: string;
  readonly mgPerMeasure: string;
  readonly tintingStrength: string;
  readonly monthsAfterOpening: string;
  readonly flashGrade: '' | '0' | '1' | '2' | '3';
  /** Hours; empty where nobody has stated them. */
  readonly wearHours: string;
  readonly waterproof: Stated;
  readonly transferProof: Stated;
  readonly smallestShare: '' | '1' | '0.5' | '0.25';
  readonly tool: '' | Tool;
};

const numberOf = (text: string): number => (text.trim() === '' ? Number.NaN : Number(text.replace(',', '.')));

/** A form for a new product, begun as its kind usually comes, or for a copy of one. */
export function emptyForm(like: Product | null = null, kind: ProductKind = 'base'): ProductForm {
  const base: Product = like ?? {
    id: newId(),
    maker: '',
    line: '',
    shade: '',
    kind,
    lab: null,
    coverage: 'medium',
    finish: 'natural',
    ingredients: [],
    ...usualForm(kind),
    tintingStrength: 1,
    monthsAfterOpening: 12,
    withdrawn: false,
    singleUse: false,
  };
  return { ...formOf(base), id: newId() };
}

/**
 * The form for another kind: what was as the old kind usually comes is as the new one does, what was changed
 * stays.
 */
export function ofKind(form: ProductForm, kind: ProductKind): ProductForm {
  const old = usualForm(form.kind);
  const usual = usualForm(kind);
  return {
    ...form,
    kind,
    texture: form.texture === old.texture ? usual.texture : form.texture,
    family: form.family === old.family ? usual.family : form.family,
    measure: form.measure === old.measure ? usual.measure : form.measure,
    mgPerMeasure:
      form.mgPerMeasure === String(old.mgPerMeasure) ? String(usual.mgPerMeasure) : form.mgPerMeasure,
    eyeSafe: form.eyeSafe === old.eyeSafe ? usual.eyeSafe : form.eyeSafe,
  };
}

export function formOf(product: Product): ProductForm {
  const { lab, flashGrade, wearHours, waterproof, transferProof, smallestShare, tool } = product;
  return {
    ...product,
    wearHours: wearHours === undefined ? '' : String(wearHours),
    waterproof: statedOf(waterproof),
    transferProof: statedOf(transferProof),
    smallestShare: SHARES.find((share) => Number(share) === smallestShare) ?? '',
    tool: TOOLS.find((t) => t === tool) ?? '',
    lab: lab ? [String(lab[0]), String(lab[1]), String(lab[2])] : ['', '', ''],
    ingredients: product.ingredients.join(', '),
    mgPerMeasure: String(product.mgPerMeasure),
    tintingStrength: String(Number(product.tintingStrength.toFixed(3))),
    monthsAfterOpening: String(product.monthsAfterOpening),
    flashGrade: flashGrade === undefined ? '' : (String(flashGrade) as ProductForm['flashGrade']),
  };
}

/**
 * What is sent: the numbers as numbers (NaN where there is none, which the schema refuses with words), no
 * colour when all three are empty.
 */
export function productOf(form: ProductForm): Product {
  const { flashGrade, wearHours, waterproof, transferProof, smallestShare, tool, ...rest } = form;
  const empty = form.lab.every((v) => v.trim() === '');
  return {
    ...rest,
    lab: empty ? null : [numberOf(form.lab[0]), numberOf(form.lab[1]), numberOf(form.lab[2])],
    ingredients: form.ingredients
      .split(/[,;\n]/)
      .map((i) => i.trim())
      .filter(Boolean),
    mgPerMeasure: numberOf(form.mgPerMeasure),
    tintingStrength: numberOf(form.tintingStrength),
    monthsAfterOpening: numberOf(form.monthsAfterOpening),
    ...(wearHours.trim() === '' ? {} : { wearHours: numberOf(wearHours) }),
    ...(waterproof === '' ? {} : { waterproof: waterproof === 'yes' }),
    ...(transferProof === '' ? {} : { transferProof: transferProof === 'yes' }),
    ...(smallestShare === ''
      ? {}
      : { smallestShare: Number(smallestShare) as NonNullable<Product['smallestShare']> }),
    ...(tool === '' ? {} : { tool }),
    ...(flashGrade === '' ? {} : { flashGrade: Number(flashGrade) as NonNullable<Product['flashGrade']> }),
  };
}
