import {
  chooseCorrector,
  matchShades,
  readKitCsv,
  sculptShades,
  shadeMap,
  shadesToBuy,
  substitute,
  whyNot,
  type ColumnMapping,
  type Kit,
  type Lab,
  type MatchWishes,
  type ProductSnapshot,
  type SculptKind,
  type ShadeContext,
  type SubstituteOptions,
} from '@toile/core';

type Wished = { readonly context: ShadeContext; readonly wishes: MatchWishes };
type Spot = { readonly context: ShadeContext; readonly skin: Lab; readonly spot: Lab };
type Sculpt = {
  readonly context: ShadeContext;
  readonly kind: SculptKind;
  readonly contrast: 'soft' | 'bold';
};
type Replaced = {
  readonly context: ShadeContext;
  readonly product: ProductSnapshot;
  readonly options: SubstituteOptions;
};

/** Everything that compares the kit with a skin. */
export const shadeJobs = {
  match: ({ context, wishes }: Wished, progress: (share: number) => void) =>
    matchShades(context, wishes, progress),
  whyNot: ({ context, wishes, productId }: Wished & { readonly productId: string }) =>
    whyNot(productId, context, wishes),
  correct: ({ context, skin, spot }: Spot) => chooseCorrector(skin, spot, context),
  sculpt: ({ context, kind, contrast }: Sculpt) => sculptShades(kind, context, { contrast }),
  substitute: ({ context, product, options }: Replaced) => substitute(product, context, options),
  shadeMap: ({ kit }: { readonly kit: Kit }) => shadeMap(kit.products),
  toBuy: ({ kit }: { readonly kit: Kit }) => shadesToBuy(kit.products),
  readKit: ({
    text,
    mapping,
    kit,
    owned,
  }: {
    readonly text: string;
    readonly mapping: ColumnMapping | null;
    readonly kit: Kit;
    readonly owned: boolean;
  }) => readKitCsv(text, { kit, owned, ...(mapping ? { mapping } : {}) }),
};
