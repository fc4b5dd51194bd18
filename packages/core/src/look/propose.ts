import { deltaE2000, differenceInWords, labUnder, matchBase, mixSpectra, reconstructSpectrum, shiftDepth, type Lab, type Mix } from '../colour';
import { placementArea } from '../face';
import { doseFor, measuresFor, productName, snapshotOf, type Finish, type Kit, type Product, type Unit } from '../kit';
import type { ClientSnapshot, Look, LookStep, Step, Use } from './document';
import { mixTableOf, skinTarget, unitToTake, unusableBecause } from '../shade';

/** Everything a proposal is judged against. */
export type FitContext = {
  readonly client: ClientSnapshot;
  readonly kit: Kit;
  /** The day of use as YYYY-MM-DD: what is past its shelf life then is left out. */
  readonly date: string;
  readonly forbids: Look['forbids'];
};

export type Proposal = {
  readonly use: readonly Use[];
  /** Predicted colour of the product or mix; null for what has none. */
  readonly lab: Lab | null;
  /** CIEDE2000 to what was asked, in daylight; null where no colour was asked. */
  readonly deltaE: number | null;
  /** What it is ranked by: the difference plus what speaks against it. Lower is better. */
  readonly cost: number;
  /** Why it stands where it does, in short phrases. */
  readonly reasons: readonly string[];
};

/** What missing a wish costs, in units of colour difference. */
const COST = { texture: 0.8, finish: 1.2, matureShine: 4, skinNeed: 0.5, unopened: 0.15, notOwned: 2.5, mix: 0.3, extraMeasure: 0.12 } as const;
const COUNT = 6;

/** Contrast is eased on mature skin by this share of the steps asked. */
const MATURE_EASE = 0.8;

/** The colour a step asks for on this skin; null when it asks for none or nothing has been read. */
export function wantedColour(step: Pick<LookStep, 'shade' | 'role'>, client: Pick<ClientSnapshot, 'skin' | 'features'>): Lab | null {
  const { shade } = step;
  if (shade === null) return null;
  const skin = skinTarget(client.skin);
  if ('lab' in shade) return step.role === 'blush' && skin ? blushFor(shade.lab, skin) : shade.lab;
  if (!skin) return null;
  const { depthSteps, undertone } = shade.relative;
  const ease = client.features.age === 'mature' && (step.role === 'contour' || step.role === 'highlight') ? MATURE_EASE : 1;
  return depthSteps === 0 && !undertone ? skin : shiftDepth(skin, depthSteps * ease, undertone ? { undertone } : {});
}

/** A pale blush turns to chalk on deep skin: there it goes deeper and redder with the skin. */
function blushFor([L, a, b]: Lab, [skinL]: Lab): Lab {
  const below = Math.max(0, 52 - skinL);
  return [Math.min(L, L - 0.6 * below), a + 0.25 * below, b + 0.15 * below];
}

/** Products of the kit for a step, best first; mixes too where the step allows them. Empty when nothing fits. */
export function proposeProducts(step: LookStep | Step, context: FitContext): Proposal[] {
  const candidates = context.kit.products.flatMap((product) => usable(product, step, context));
  const target = wantedColour(step, context.client);
  const area = areaOfStep(step, context.client);
  const singles = candidates.map((candidate) => single(candidate, target, step, area));
  const mixes = target && step.wants.mix ? mixed(candidates, target, step, area) : [];
  const byCost = (a: Proposal, b: Proposal): number => a.cost - b.cost;
  if (mixes.length === 0) return singles.sort(byCost).slice(0, COUNT);
  // The best of both kinds is always among them: a single bottle is quicker, a mix often nearer.
  return [...singles.sort(byCost).slice(0, COUNT / 2), ...mixes.sort(byCost).slice(0, COUNT / 2)].sort(byCost);
}

/** Skin area of a step's placements on this client in cm2. */
export function areaOfStep(step: Pick<LookStep, 'placements'>, client: Pick<ClientSnapshot, 'landmarks' | 'features'>): number {
  return step.placements.reduce((sum, placement) => sum + placementArea(placement, client.landmarks, client.features), 0);
}

type Candidate = { readonly product: Product; readonly unit: Unit | null; readonly penalty: number; readonly reasons: readonly string[] };

/** Why a product cannot be used for a step at all, or null when it can. */
export function excludedBecause(product: Product, step: Pick<LookStep, 'wants' | 'role'>, context: FitContext): string | null {
  if (!step.wants.kinds.includes(product.kind)) return `a ${product.kind} is not what this step asks for`;
  const unusable = unusableBecause(product, context);
  if (unusable) return unusable;
  if (context.forbids.kinds.includes(product.kind)) return `the look allows no ${product.kind}`;
  if (context.forbids.finishes.includes(product.finish)) return `the look allows nothing ${product.finish}`;
  if (step.role === 'contour' && product.finish === 'shimmer') return 'shine undoes a shadow';
  if ((step.role === 'eye' || step.role === 'liner' || step.role === 'lash') && !product.eyeSafe) return 'not meant for the eye area';
  return null;
}

/** The finish this skin asks of primer and spray: shine taken from oily skin, given to dry. */
function skinFinish({ features }: ClientSnapshot): Finish {
  if (features.dry) return 'dewy';
  return features.oily.length > 0 ? 'matte' : 'natural';
}

function usable(product: Product, step: LookStep, context: FitContext): Candidate[] {
  if (excludedBecause(product, step, context) !== null) return [];
  const unit = unitToTake(product, context);
  const reasons: string[] = [];
  let penalty = 0;
  const wish = (kept: boolean, cost: number, reason: string): void => {
    if (kept) return;
    penalty += cost;
    reasons.push(reason);
  };
  wish(
    !step.wants.textures || step.wants.textures.includes(product.texture),
    COST.texture,
    `${product.texture}, not ${step.wants.textures?.join(' or ') ?? ''}`,
  );
  wish(!step.wants.finishes || step.wants.finishes.includes(product.finish), COST.finish, `${product.finish}, not ${step.wants.finishes?.join(' or ') ?? ''}`);
  if (product.kind === 'primer' || product.kind === 'spray') {
    const finish = skinFinish(context.client);
    wish(product.finish === finish, COST.skinNeed, `${product.finish}, where this skin asks for ${finish}`);
  }
  wish(context.client.features.age !== 'mature' || product.finish !== 'shimmer', COST.matureShine, 'shimmer settles in lines');
  wish(unit !== null, COST.notOwned, 'not in the kit');
  if (unit) wish(unit.openedOn !== null, COST.unopened, 'would be opened');
  return [{ product, unit, penalty, reasons }];
}

function single(candidate: Candidate, target: Lab | null, step: LookStep, areaCm2: number): Proposal {
  const { product, unit } = candidate;
  const deltaE = target && product.lab ? deltaE2000(target, product.lab) : null;
  const parts = measuresFor(doseFor(step, areaCm2).takenMg, product.mgPerMeasure) || 1;
  return {
    use: [{ unitId: unit?.id ?? null, product: snapshotOf(product), parts, measure: product.measure }],
    lab: product.lab,
    deltaE,
    cost: (deltaE ?? 0) + candidate.penalty,
    reasons: [...difference(deltaE), ...candidate.reasons],
  };
}

const difference = (deltaE: number | null): string[] => (deltaE === null ? [] : [`${deltaE.toFixed(1)} off, ${differenceInWords(deltaE)}`]);

type Coloured = Candidate & { readonly product: Product & { lab: Lab } };

function mixed(all: readonly Candidate[], target: Lab, step: LookStep, areaCm2: number): Proposal[] {
  const coloured = all.filter((c): c is Coloured => c.product.lab !== null && c.unit !== null);
  if (coloured.length < 2) return [];
  const byId = new Map(coloured.map((c) => [c.product.id, c]));
  const table = mixTableOf(
    coloured.map((c) => c.product),
    2,
  );
  const { pairs } = matchBase(target, [], { table, count: COUNT });
  return pairs.map((mix) => mixProposal(mix, byId, step, areaCm2));
}

function mixProposal(mix: Mix, byId: ReadonlyMap<string, Candidate>, step: LookStep, areaCm2: number): Proposal {
  const members = mix.parts.map(({ id, pumps }) => ({ candidate: byId.get(id)!, pumps }));
  const perRound = members.reduce((sum, m) => sum + m.pumps * m.candidate.product.mgPerMeasure, 0);
  const rounds = Math.max(1, Math.round(doseFor(step, areaCm2).takenMg / perRound));
  const made = members.reduce((sum, m) => sum + m.pumps * rounds, 0);
  const needed = measuresFor(doseFor(step, areaCm2).takenMg, perRound / members.reduce((sum, m) => sum + m.pumps, 0));
  const extra = Math.max(0, made - needed);
  const sorted = [...members].sort((a, b) => b.pumps - a.pumps);
  return {
    use: sorted.map(({ candidate, pumps }) => ({
      unitId: candidate.unit?.id ?? null,
      product: snapshotOf(candidate.product),
      parts: pumps * rounds,
      measure: candidate.product.measure,
    })),
    lab: mix.lab,
    deltaE: mix.deltaE,
    cost: mix.deltaE + COST.mix + extra * COST.extraMeasure + Math.max(...members.map((m) => m.candidate.penalty)),
    reasons: [
      ...difference(mix.deltaE),
      `mix ${sorted.map((m) => m.pumps).join(' : ')}`,
      ...(extra > 0 ? [`makes ${made}, ${needed} needed`] : []),
      ...new Set(members.flatMap((m) => m.candidate.reasons)),
    ],
  };
}

/** The predicted colour of what a step uses, mixed if there are several; null for colourless products. */
export function colourOfUse(use: readonly Use[]): Lab | null {
  const coloured = use.filter((u): u is Use & { product: { lab: Lab } } => u.product.lab !== null);
  if (coloured.length === 0) return null;
  if (coloured.length === 1) return coloured[0]!.product.lab;
  const parts = coloured.map((u) => ({
    spectrum: reconstructSpectrum(u.product.lab, 'D65', 'oxide').spectrum,
    parts: u.parts * u.product.mgPerMeasure,
    tintingStrength: u.product.tintingStrength,
  }));
  return labUnder(mixSpectra(parts), 'D65');
}

/** 'Maker Line 3 : Maker Line 5, 2 : 1' or a single name. */
export function productsInWords(use: readonly Use[]): string {
  if (use.length === 0) return 'no product';
  const names = use.map((u) => productName(u.product)).join(' with ');
  return use.length === 1 ? names : `${names}, ${ratioInWords(use)}`;
}

/** '2 : 1' for mixes, in lowest whole terms where there are any. */
export function ratioInWords(use: readonly Use[]): string {
  const gcd = (a: number, b: number): number => (b === 0 ? a : gcd(b, a % b));
  const parts = use.map((u) => u.parts);
  const divisor = parts.every(Number.isInteger) ? parts.reduce(gcd) : 1;
  return parts.map((p) => Number((p / divisor).toFixed(2))).join(' : ');
}
