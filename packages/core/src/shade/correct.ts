import { deltaE2000, hueOf, labUnder, reconstructSpectrum, type Lab, type Spectrum } from '../colour';
import { familiesAgree, productName, type Product, type Unit } from '../kit';
import { msg } from '../messages';
import { isColoured, type Coloured } from './mixTables';
import { layOver, opticsOf, type Optics } from './optics';
import { unitToTake, unusableBecause, type ShadeContext } from './usable';

export const DISCOLOURATIONS = ['shadow', 'redness', 'brown', 'pale patch', 'none'] as const;
export type Discolouration = (typeof DISCOLOURATIONS)[number];

/** Colours a corrector can have, told by its reading, not by its label. */
export const CORRECTOR_HUES = ['peach', 'salmon', 'orange', 'yellow', 'green', 'violet', 'other'] as const;
export type CorrectorHue = (typeof CORRECTOR_HUES)[number];

export type SpotReading = {
  readonly kind: Discolouration;
  /** L*, a*, b* of the spot minus those of the skin round it. */
  readonly offset: Lab;
  readonly deltaE: number;
  readonly words: string;
};

/**
 * What makes a spot differ from the skin round it: darker and bluer, redder, or browner. A description of
 * colour, never a finding.
 */
export function readSpot(skin: Lab, spot: Lab): SpotReading {
  const offset: Lab = [spot[0] - skin[0], spot[1] - skin[1], spot[2] - skin[2]];
  const [dL, da, db] = offset;
  const deltaE = deltaE2000(skin, spot);
  const kind: Discolouration =
    deltaE < 1.5
      ? 'none'
      : da > 4
        ? 'redness'
        : dL > 1.5
          ? 'pale patch'
          : db < -1.8 && dL < 0
            ? 'shadow'
            : dL < -1.5
              ? 'brown'
              : da > 2
                ? 'redness'
                : 'none';
  const words: Record<Discolouration, string> = {
    shadow: msg`a blue-brown shadow: darker and less yellow than the skin round it`,
    redness: msg`redness: redder than the skin round it`,
    brown: msg`a brown mark: darker, of much the same hue`,
    'pale patch': msg`a paler patch than the skin round it`,
    none: msg`nothing a base would not cover`,
  };
  return { kind, offset, deltaE, words: words[kind] };
}

/** The colour of a corrector by hue and depth. */
export function correctorHue(lab: Lab): CorrectorHue {
  const hue = hueOf(lab);
  if (hue >= 100 && hue < 200) return 'green';
  if (hue >= 75 && hue < 100) return 'yellow';
  if (hue >= 260 && hue < 340) return 'violet';
  if (hue >= 340 || hue < 30) return 'other';
  return lab[0] >= 65 ? 'peach' : lab[0] >= 53 ? 'salmon' : 'orange';
}

/** Hues that answer a discolouration on skin of this lightness; light skin takes peach, deep skin orange. */
export function huesAgainst(kind: Discolouration, skinL: number): readonly CorrectorHue[] {
  const warm: readonly CorrectorHue[] =
    skinL > 64 ? ['peach', 'salmon'] : skinL > 48 ? ['peach', 'salmon', 'orange'] : ['salmon', 'orange'];
  switch (kind) {
    case 'shadow':
      return warm;
    case 'redness':
      return ['green', 'yellow'];
    case 'brown':
      return [...warm, 'yellow'];
    case 'pale patch':
    case 'none':
      return [];
  }
}

export type CorrectionLayer = {
  readonly product: Product;
  readonly unit: Unit | null;
  readonly doseMgPerCm2: number;
  readonly lab: Lab;
};

export type Correction = {
  /** What goes on in order, each with the colour seen after it; empty when nothing is laid. */
  readonly layers: readonly CorrectionLayer[];
  readonly lab: Lab;
  /** What is left to see, CIEDE2000 to the skin round it. */
  readonly deltaE: number;
  /** What it is ranked by: the difference and 1 per mg/cm2 laid. */
  readonly cost: number;
  /** As good as the best within what the model can tell. */
  readonly tie: boolean;
  readonly warnings: readonly string[];
};

export type CorrectorChoice = {
  readonly spot: SpotReading;
  readonly corrections: readonly Correction[];
  readonly tried: number;
  readonly words: string;
};

const CORRECTOR_DOSES = [0.1, 0.25, 0.5] as const;
const COVER_DOSES = [0.25, 0.5, 0.75] as const;
const TIE = 0.3;
/** Covers looked at: the nearest to the skin and the nearest two steps lighter. */
const COVERS = 12;

export type CorrectOptions = {
  readonly count?: number;
  /** What goes over it; the nearest concealers and bases by default. */ readonly over?: string;
};

/**
 * Corrector, dose and what goes over it for a spot, by the layer model: what is left to see plus a price for
 * every mg laid. Doing without is always among the answers. Constants are a model's; nothing was checked on
 * people.
 */
export function chooseCorrector(
  skin: Lab,
  spotLab: Lab,
  context: ShadeContext,
  options: CorrectOptions = {},
): CorrectorChoice {
  const { count = 6, over } = options;
  const spot = readSpot(skin, spotLab);
  const usable = context.kit.products
    .filter(isColoured)
    .filter((p) => unusableBecause(p, context) === null && unitToTake(p, context) !== null);
  const hues = huesAgainst(spot.kind, skin[0]);
  const correctors = usable.filter((p) => p.kind === 'corrector' && hues.includes(correctorHue(p.lab)));
  const lighter: Lab = [skin[0] + 6, skin[1], skin[2]];
  const nearest = (list: readonly Coloured[]): readonly Coloured[] =>
    [...list]
      .sort(
        (a, b) =>
          Math.min(deltaE2000(a.lab, skin), deltaE2000(a.lab, lighter) + 1) -
          Math.min(deltaE2000(b.lab, skin), deltaE2000(b.lab, lighter) + 1),
      )
      .slice(0, COVERS);
  const covers = over
    ? usable.filter((p) => p.id === over)
    : nearest(usable.filter((p) => p.kind === 'concealer' || p.kind === 'base'));
  const bare = reconstructSpectrum(spotLab, 'D65', 'skin').spectrum;
  const tried: Correction[] = [];
  const consider = (
    laid: readonly { readonly product: Coloured; readonly dose: number; readonly spectrum: Spectrum }[],
  ): void => {
    const layers = laid.map(({ product, dose, spectrum }) => ({
      product,
      unit: unitToTake(product, context),
      doseMgPerCm2: dose,
      lab: labUnder(spectrum, 'D65'),
    }));
    const lab = layers.at(-1)?.lab ?? spotLab;
    const deltaE = deltaE2000(lab, skin);
    const cost = deltaE + laid.reduce((sum, l) => sum + l.dose, 0);
    tried.push({ layers, lab, deltaE, cost, tie: false, warnings: warningsOf(lab, skin, layers, context) });
  };
  consider([]);
  const laidOver = (ground: Spectrum, product: Coloured, optics: Optics, doses: readonly number[]) =>
    doses.map((dose) => ({ product, dose, spectrum: layOver(ground, optics, dose) }));
  for (const cover of covers)
    for (const layer of laidOver(bare, cover, opticsOf(cover), COVER_DOSES)) consider([layer]);
  for (const corrector of correctors) {
    for (const under of laidOver(bare, corrector, opticsOf(corrector), CORRECTOR_DOSES)) {
      consider([under]);
      for (const cover of covers) {
        if (!familiesAgree(corrector.family, cover.family)) continue;
        for (const layer of laidOver(under.spectrum, cover, opticsOf(cover), COVER_DOSES))
          consider([under, layer]);
      }
    }
  }
  const corrections = bestOfEach(tried, count);
  return {
    spot,
    corrections,
    tried: tried.length,
    words: verdict(spot, corrections, correctors.length, skin),
  };
}

/**
 * The best way for each set of products, doing without always among them, those within reach of the best
 * marked as ties.
 */
function bestOfEach(tried: readonly Correction[], count: number): Correction[] {
  const sorted = [...tried].sort((a, b) => a.cost - b.cost);
  const seen = new Set<string>();
  const distinct = sorted.filter(({ layers }) => {
    const key = layers.map((l) => l.product.id).join();
    return !seen.has(key) && seen.add(key);
  });
  const without = distinct.find((c) => c.layers.length === 0)!;
  const shown = distinct.slice(0, count);
  if (!shown.includes(without)) shown.splice(count - 1, 1, without);
  return shown.map((c) => ({ ...c, tie: c !== shown[0] && c.cost - shown[0]!.cost <= TIE }));
}

function warningsOf(lab: Lab, skin: Lab, layers: Correction['layers'], { client }: ShadeContext): string[] {
  if (layers.length === 0) return [];
  const dL = lab[0] - skin[0];
  const dC = Math.hypot(lab[1], lab[2]) - Math.hypot(skin[1], skin[2]);
  const top = layers.at(-1)!.product.lab!;
  return [
    ...(dL > 1.5 && dC < -2 ? [msg`grey cast: lighter and duller than the skin`] : []),
    ...(skin[0] < 48 && top[0] - skin[0] > 14 ? [msg`turns ashy on deep skin`] : []),
    ...(client.features.age === 'mature' && dL > 3 ? [msg`lighter than mature skin likes round lines`] : []),
  ];
}

function verdict(
  spot: SpotReading,
  corrections: readonly Correction[],
  correctors: number,
  skin: Lab,
): string {
  const best = corrections[0]!;
  if (best.layers.length === 0)
    return spot.kind === 'none'
      ? msg`The spot hardly differs: nothing is needed.`
      : msg`Doing without is as good as anything here.`;
  const name = best.layers.map((l) => productName(l.product)).join(msg`, then `);
  const doubt =
    (spot.kind === 'brown' && skin[0] < 45) || (spot.kind === 'shadow' && Math.abs(spot.offset[2]) < 3)
      ? msg` The model is not convincing here: try two on the skin.`
      : '';
  const none =
    correctors === 0 && spot.kind !== 'pale patch' ? msg` The kit has no corrector of the right colour.` : '';
  return msg`${name} leaves ${best.deltaE.toFixed(1)} of ${spot.deltaE.toFixed(1)}.${none}${doubt}`;
}
