import { deltaE2000, depthOf, type Lab } from '../colour';
import type { Kit } from '../kit';
import { planFromWorn } from './asWorn';
import { forbidsOf } from './document';
import type { Chart, ClientSnapshot, Occasion, Step } from './document';
import type { Stamp } from './fitLook';
import { colourOfUse, excludedBecause, proposeProducts, productsInWords, wantedColour, type Proposal } from './propose';
import { skinTarget } from '../shade';

export type RefitChange = {
  readonly stepId: string;
  readonly title: string;
  readonly kind: 'keep' | 'remix' | 'substitute' | 'carried';
  /** Why, in a sentence. */
  readonly why: string;
  readonly before: { readonly words: string; readonly lab: Lab | null; readonly deltaE: number | null };
  readonly after: { readonly words: string; readonly lab: Lab | null; readonly deltaE: number | null };
};

export type Refit = {
  readonly chart: Chart;
  readonly changes: readonly RefitChange[];
  readonly proposals: Readonly<Record<string, readonly Proposal[]>>;
  /** How her skin has moved since the chart was made; null when either was never read. */
  readonly drift: { readonly deltaE: number; readonly stepsDeeper: number } | null;
};

/** A step is matched again only when that brings it closer by more than this: smaller is within reading noise. */
const WORTH_CHANGING = 0.5;

/**
 * The next version of a chart for a new date, from what was really worn: steps whose colour no longer
 * agrees with her newest reading are matched again, products that cannot be used are replaced, the rest is kept.
 */
export function refitChart(worn: Chart, client: ClientSnapshot, kit: Kit, occasion: Occasion, stamp: Stamp & { readonly version: number }): Refit {
  const { steps: planned, carried } = planFromWorn(worn);
  const context = { client, kit, date: occasion.date, forbids: forbidsOf(worn) };
  const changes: RefitChange[] = carried.map(({ stepId, what }) => ({
    stepId,
    title: worn.steps.find((s) => s.id === stepId)?.title ?? '',
    kind: 'carried',
    why: `${what}.`,
    before: nothing(worn.steps.find((s) => s.id === stepId)),
    after: nothing(planned.find((s) => s.id === stepId)),
  }));
  const proposals: Record<string, readonly Proposal[]> = {};
  const steps = planned.map((step): Step => {
    if (step.wants.kinds.length === 0 || step.use.length === 0) return step;
    const ranked = proposeProducts(step, context);
    proposals[step.id] = ranked;
    const change = judge(step, ranked, worn.client, client, kit, context);
    changes.push(change.change);
    return change.step;
  });
  const [before, now] = [skinTarget(worn.client.skin), skinTarget(client.skin)];
  return {
    chart: {
      ...worn,
      id: stamp.id,
      version: stamp.version,
      parent: stamp.version - 1,
      author: stamp.author,
      at: stamp.at,
      reason: stamp.reason,
      client,
      occasion,
      steps,
      findings: [],
    },
    changes,
    proposals,
    drift: before && now ? { deltaE: deltaE2000(before, now), stepsDeeper: depthOf(now) - depthOf(before) } : null,
  };
}

const nothing = (step: Step | undefined): RefitChange['before'] => ({
  words: step ? productsInWords(step.use) : 'left out',
  lab: step ? colourOfUse(step.use) : null,
  deltaE: null,
});

function judge(
  step: Step,
  ranked: readonly Proposal[],
  oldClient: ClientSnapshot,
  client: ClientSnapshot,
  kit: Kit,
  context: Parameters<typeof excludedBecause>[2],
): { step: Step; change: RefitChange } {
  const lab = colourOfUse(step.use);
  const wanted = wantedColour(step, client);
  const off = lab && wanted ? deltaE2000(lab, wanted) : null;
  const before = { words: productsInWords(step.use), lab, deltaE: off };
  const best = ranked[0];
  const blocked = step.use.map((u) => blockedBecause(u.product.id, step, kit, context)).find((reason) => reason !== null) ?? null;
  const change = (kind: RefitChange['kind'], why: string, after: RefitChange['after']): RefitChange => ({
    stepId: step.id,
    title: step.title,
    kind,
    why,
    before,
    after,
  });
  const take = (proposal: Proposal): Step => ({ ...step, use: [...proposal.use] });
  const after = (proposal: Proposal): RefitChange['after'] => ({ words: productsInWords(proposal.use), lab: proposal.lab, deltaE: proposal.deltaE });
  if (blocked) {
    if (!best) return { step, change: change('keep', `${blocked}, and the kit has nothing else for it. Decide at the chair.`, before) };
    return { step: take(best), change: change('substitute', `${blocked}.`, after(best)) };
  }
  const gain = best && off !== null && best.deltaE !== null ? off - best.deltaE : 0;
  if (!best || off === null || gain <= WORTH_CHANGING)
    return {
      step,
      change: change(
        'keep',
        off === null ? 'Nothing speaks against it.' : `Still ${off.toFixed(1)} off; nothing in the kit is closer by more than ${WORTH_CHANGING}.`,
        before,
      ),
    };
  const oldWanted = wantedColour(step, oldClient);
  const moved = oldWanted && wanted ? depthOf(wanted) - depthOf(oldWanted) : 0;
  const skin =
    Math.abs(moved) < 0.05
      ? 'The kit now has something closer'
      : `The skin is ${Math.abs(moved).toFixed(1)} steps ${moved > 0 ? 'deeper' : 'lighter'} than when this was chosen`;
  return {
    step: take(best),
    change: change(
      best.use.length > 1 || step.use.length > 1 ? 'remix' : 'substitute',
      `${skin}: ${off.toFixed(1)} off becomes ${best.deltaE!.toFixed(1)}.`,
      after(best),
    ),
  };
}

function blockedBecause(productId: string, step: Step, kit: Kit, context: Parameters<typeof excludedBecause>[2]): string | null {
  const product = kit.products.find((p) => p.id === productId);
  if (!product) return 'It is no longer in the kit';
  const reason = excludedBecause(product, step, context);
  return reason ? `${product.line} ${product.shade}: ${reason}` : null;
}
