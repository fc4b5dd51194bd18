import { toBeMinded } from '../care';
import {
  COVERAGES,
  deltaE2000,
  labUnder,
  matchBase,
  reconstructSpectrum,
  undertoneOf,
  type Coverage,
  type Lab,
} from '../colour';
import { familiesAgree, FINISHES, productName, type Product, type ProductSnapshot, type Unit } from '../kit';
import { listed } from '../listed';
import { msg, term } from '../messages';
import { isColoured, mixTableOf, nearestToStir, type Coloured } from './mixTables';
import { besideInWords, layOver, mixedOptics, opticsOf } from './optics';
import { skinTarget } from './skinTarget';
import { needsMissed } from './needs';
import { impossibleBecause } from './possibleColour';
import { missesOf, type Wearer } from './ranges';
import { shadeRoleOf, type ShadeAsk } from './skinRole';
import { excludedBecause, unitToTake, unusableBecause, type LaidWhere, type ShadeContext } from './usable';
import { worthStirring } from './worthStirring';

export type Substitute = {
  readonly parts: readonly { readonly product: Product; readonly unit: Unit; readonly pumps: number }[];
  readonly lab: Lab | null;
  /** CIEDE2000 to the product replaced; null for what has no colour. */
  readonly deltaE: number | null;
  /** What both would look like on her skin, the dose adjusted; null without a reading or a colour. */
  readonly onSkin: { readonly before: Lab; readonly after: Lab; readonly deltaE: number } | null;
  /** Take this times as much of it to cover as before. */
  readonly doseFactor: number;
  /** Colour difference and what else speaks against it; the list is in this order. */
  readonly cost: number;
  /** How it differs and what to adjust, in short phrases. */
  readonly reasons: readonly string[];
};

/** What being different from the product replaced costs, in units of colour difference. */
const COST = {
  finishStep: 0.8,
  textureStep: 0.7,
  coverageStep: 0.6,
  family: 1,
  mix: 0.3,
  unopened: 0.15,
  outOfRange: 4,
} as const;
/** Where a product of a kind goes, as far as that rules something out, where no step says it. */
const AT_EYES_BY_KIND: Readonly<Partial<Record<Product['kind'], ShadeAsk['role']>>> = {
  shadow: 'eye',
  liner: 'liner',
  mascara: 'lash',
  lashes: 'lash',
};
/** What a product of a kind is to the skin, where no step says it. */
const ASK_OF: Readonly<Partial<Record<Product['kind'], Pick<ShadeAsk, 'role' | 'shade'>>>> = {
  base: { role: 'base', shade: null },
  contour: { role: 'contour', shade: null },
  bronzer: { role: 'bronze', shade: null },
  blush: { role: 'blush', shade: null },
  highlight: { role: 'highlight', shade: null },
  powder: { role: 'powder', shade: null },
  'lip colour': { role: 'lip', shade: null },
  brow: { role: 'brow', shade: null },
};
/** Ratios of one pair among those looked at, of which the best stays. */
const RATIOS = 4;
const COVERAGE_ORDER = Object.keys(COVERAGES) as readonly Coverage[];
/** Textures in order from runny to dry: neighbours replace each other with ease. */
const TEXTURE_ORDER: readonly Product['texture'][] = [
  'liquid',
  'gel',
  'cream',
  'stick',
  'pencil',
  'pressed',
  'loose',
];

export type SubstituteOptions = {
  readonly count?: number;
  readonly doseMgPerCm2?: number;
  /** Products that are not at hand that day. */
  readonly notPacked?: readonly string[];
  /** Finishes and kinds the look does not allow. */
  readonly forbids?: ShadeContext['forbids'];
  /**
   * The steps that use it, by what they are and where they lie: what is not meant for one of them is not
   * offered. By its kind where nobody says.
   */
  readonly steps?: readonly LaidWhere[];
};

/**
 * The nearest of the kit to a product that cannot be used: by colour, finish, coverage, texture and family,
 * singles and for bases also mixes, with how far off each is, the dose that covers alike and the result on
 * her skin. A mix no nearer than what is in it alone is none.
 */
export function substitute(
  replaced: ProductSnapshot,
  context: ShadeContext,
  options: SubstituteOptions = {},
): Substitute[] {
  const { count = 5, notPacked = [] } = options;
  // A colour nothing can have says nothing of what is near it.
  const product =
    impossibleBecause(replaced.kind, replaced.lab) === null ? replaced : { ...replaced, lab: null };
  const forbids = options.forbids ?? context.forbids;
  const judged: ShadeContext = forbids ? { ...context, forbids } : context;
  const kinds: readonly Product['kind'][] = product.kind === 'base' ? ['base', 'adjuster'] : [product.kind];
  const usual = AT_EYES_BY_KIND[product.kind] ?? ASK_OF[product.kind]?.role ?? 'care';
  const asks = (options.steps?.length ? options.steps : [{ role: usual }]).map((step) => ({
    ...step,
    wants: { kinds: [...kinds] },
  }));
  const usable = context.kit.products.filter(
    (p) =>
      p.id !== product.id &&
      !notPacked.includes(p.id) &&
      asks.every((ask) => excludedBecause(p, ask, judged) === null) &&
      unitToTake(p, context) !== null,
  );
  const lookAt = scorer(product, context, options.doseMgPerCm2 ?? 1);
  if (product.lab === null)
    return usable
      .map((p) => lookAt([{ product: p, pumps: 1 }], p.lab))
      .sort((a, b) => a.cost - b.cost)
      .slice(0, count);
  const wanted = product.lab;
  const coloured = usable.filter(isColoured);
  const singles = coloured
    .filter((p) => p.kind === product.kind)
    .map((p) => lookAt([{ product: p, pumps: 1 }], p.lab));
  const byId = new Map(coloured.map((p) => [p.id, p]));
  const pairs =
    product.kind === 'base' && coloured.length > 1
      ? matchBase(wanted, [], {
          table: mixTableOf(nearestToStir(coloured, wanted), 2),
          count: RATIOS * count,
        }).pairs.map((mix) =>
          lookAt(
            mix.parts.map(({ id, pumps }) => ({ product: byId.get(id)!, pumps })),
            mix.lab,
          ),
        )
      : [];
  return [...singles, ...worthStirring(pairs, singles)].sort((a, b) => a.cost - b.cost).slice(0, count);
}

function scorer(product: ProductSnapshot, context: ShadeContext, dose: number) {
  const skin = skinTarget(context.client.skin);
  const ground = skin ? reconstructSpectrum(skin, 'D65', 'skin').spectrum : null;
  const role = ASK_OF[product.kind]
    ? shadeRoleOf({ ...ASK_OF[product.kind]!, placements: [], wants: { kinds: [product.kind] } })
    : null;
  const wearer: Wearer | null = skin
    ? {
        skin,
        undertone: undertoneOf(context.client.skin.neck ?? skin).undertone,
        features: context.client.features,
        contrast: context.contrast ?? 'soft',
      }
    : null;
  const colouredBefore = product.lab ? { lab: product.lab, coverage: product.coverage } : null;
  const opticsBefore = colouredBefore ? opticsOf(colouredBefore) : null;
  return (
    members: readonly { readonly product: Product; readonly pumps: number }[],
    lab: Lab | null,
  ): Substitute => {
    const lead = [...members].sort(
      (a, b) => b.pumps * b.product.mgPerMeasure - a.pumps * a.product.mgPerMeasure,
    )[0]!.product;
    const deltaE = product.lab && lab ? deltaE2000(product.lab, lab) : null;
    const coloured = members.flatMap(({ product: p, pumps }) =>
      isColoured(p) ? [{ product: p as Coloured, mg: pumps * p.mgPerMeasure }] : [],
    );
    const optics = lab && coloured.length > 0 ? mixedOptics(coloured) : null;
    const doseFactor =
      optics && opticsBefore ? clamp(opticsBefore.scattering / optics.scattering, 0.25, 4) : 1;
    const reasons: string[] = [];
    let cost = deltaE ?? 0;
    const against = (amount: number, words: string): void => {
      if (amount === 0) return;
      cost += amount;
      reasons.push(words);
    };
    if (deltaE !== null) reasons.push(msg`${deltaE.toFixed(1)} off, ${besideInWords(product.lab!, lab!)}`);
    against(
      COST.finishStep * stepsApart(FINISHES, product.finish, lead.finish),
      msg`${term(lead.finish)} instead of ${term(product.finish)}`,
    );
    against(
      COST.textureStep * Math.min(2, stepsApart(TEXTURE_ORDER, product.texture, lead.texture)),
      msg`${term(lead.texture)} instead of ${term(product.texture)}`,
    );
    against(
      COST.coverageStep * stepsApart(COVERAGE_ORDER, product.coverage, lead.coverage),
      msg`${term(lead.coverage)} coverage instead of ${term(product.coverage)}`,
    );
    against(
      familiesAgree(product.family, lead.family) ? 0 : COST.family,
      msg`${term(lead.family)} instead of ${term(product.family)}: look at what lies under and over it`,
    );
    against(members.length > 1 ? COST.mix : 0, msg`mix ${members.map((m) => m.pumps).join(' : ')}`);
    if (Math.abs(doseFactor - 1) > 0.15)
      reasons.push(msg`take ${doseFactor.toFixed(1)} times the dose to cover alike`);
    if (lab && wearer && role && optics && ground) {
      const shown = labUnder(layOver(ground, optics, dose * doseFactor), 'D65');
      // What has no colour of its own was in nobody's way.
      const was =
        product.lab && opticsBefore
          ? missesOf(
              role,
              {
                own: product.lab,
                shown: labUnder(layOver(ground, opticsBefore, dose), 'D65'),
                finish: product.finish,
              },
              wearer,
              'find',
            )
          : [];
      const [miss] = missesOf(role, { own: lab, shown, finish: lead.finish }, wearer, 'find');
      if (miss && was.length === 0) against(COST.outOfRange + 2 * miss.over, msg`here it ${miss.words}`);
    }
    for (const miss of product.kind === 'base' ? [] : needsMissed(lead, context))
      against(0.5 * miss.cost, miss.words);
    const unlisted = members.filter(({ product: p }) => p.ingredients.length === 0);
    if (unlisted.length > 0 && toBeMinded(context.client.sensitivities).length > 0)
      reasons.push(
        members.length === 1
          ? msg`its ingredients are not known: look at the maker’s list`
          : msg`the ingredients of ${listed(unlisted.map(({ product: p }) => productName(p)))} are not known: look at the maker’s list`,
      );
    const parts = members.map(({ product: p, pumps }) => ({
      product: p,
      pumps,
      unit: unitToTake(p, context)!,
    }));
    against(parts.some((p) => p.unit.openedOn === null) ? COST.unopened : 0, msg`would be opened`);
    return {
      parts,
      lab,
      deltaE,
      onSkin: ground && optics && opticsBefore ? onSkin() : null,
      doseFactor,
      cost,
      reasons,
    };

    function onSkin(): Substitute['onSkin'] {
      const before = labUnder(layOver(ground!, opticsBefore!, dose), 'D65');
      const after = labUnder(layOver(ground!, optics!, dose * doseFactor), 'D65');
      return { before, after, deltaE: deltaE2000(before, after) };
    }
  };
}

const clamp = (value: number, low: number, high: number): number => Math.min(high, Math.max(low, value));

function stepsApart<T>(order: readonly T[], one: T, other: T): number {
  return Math.abs(order.indexOf(one) - order.indexOf(other));
}

/**
 * Why a product has to be replaced for this client that day, in words; null when nothing speaks against it.
 */
export function needsSubstitute(
  product: ProductSnapshot,
  context: ShadeContext,
  notPacked: readonly string[] = [],
): string | null {
  const current = context.kit.products.find((p) => p.id === product.id);
  if (!current) return msg`${productName(product)} is no longer in the kit`;
  const why = unusableBecause(current, context);
  if (why) return `${productName(product)}: ${why}`;
  if (notPacked.includes(product.id)) return msg`${productName(product)} is not packed`;
  return unitToTake(current, context) ? null : msg`${productName(product)} is not in any case`;
}
