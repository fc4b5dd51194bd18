import {
  comeOutAlike,
  depthOf,
  wornColourOf,
  pairsMeantApart,
  fitLook,
  inferLandmarks,
  matchShades,
  PLAIN_FEATURES,
  proposeProducts,
  reviewChart,
  skinByZone,
  skinTarget,
  toldApart,
  type ClientSnapshot,
  type FitContext,
  type Kit,
  type Lab,
  type Undertone,
} from '@toile/core';
import { KITS, WEDDING } from './corpus/ground';
import { idFor } from './ids';
import { LOOKS, lookNamed } from './looks';
import { skinAt } from './products';

const STAMP = { id: idFor('sweep'), author: '', at: '2031-05-01T09:00:00Z', reason: '' };
const DEPTHS = Array.from({ length: 35 }, (_, i) => 3.8 + 0.5 * i);
const UNDERTONES: readonly Undertone[] = ['cool', 'neutral', 'warm', 'olive'];
const someone = (depth: number, undertone: Undertone): ClientSnapshot => {
  const [L, a, b] = skinAt(depth, undertone);
  return {
    id: idFor('sweep client'),
    name: 'Someone',
    landmarks: FACE,
    features: PLAIN_FEATURES,
    skin: skinByZone([L, a + 2, b - 0.8] as Lab),
    readingId: null,
    sensitivities: [],
  };
};
const FACE = inferLandmarks({});
/**
 * What a fit may raise where its kit has gaps: the gap itself, and what no other product of the kit could do.
 */
const GAPS: readonly string[] = ['no-product', 'mascara-for-tears', 'eye-colours-alike', 'lips-alike'];

describe.each([
  ['demo', KITS.demo],
  ['tiny', KITS.tiny],
] as const)('every half step of depth by four undertones by all looks, %s kit', (name, kit: Kit) => {
  const fits = UNDERTONES.flatMap((undertone) =>
    DEPTHS.flatMap((depth) =>
      LOOKS.map((look) => ({
        says: `${look.name} on ${undertone} ${depth}`,
        skin: someone(depth, undertone),
        fitted: fitLook(look, someone(depth, undertone), kit, WEDDING, STAMP),
      })),
    ),
  );

  test('a contour goes deeper, by what was asked, or the gap is said with what to buy', () => {
    const wrong = fits.flatMap(({ says, skin, fitted }) =>
      fitted.chart.steps.flatMap((step) => {
        if (step.role !== 'contour') return [];
        const gap = fitted.gaps[step.id];
        if (step.use.length === 0)
          return gap?.buy && fitted.notes.some((n) => n.includes(gap.why))
            ? []
            : [`${says}: ${step.title} has nothing and says nothing`];
        const lab = fitted.proposals[step.id]![0]!.lab!;
        const by = depthOf(lab) - depthOf(skinTarget(skin.skin)!);
        const asked = step.shade && 'relative' in step.shade ? step.shade.relative.depthSteps : 2;
        return by >= 0.8 * asked - 1e-9 && by <= 4.5
          ? []
          : [`${says}: ${step.title} is ${by.toFixed(2)} deeper, ${asked} asked`];
      }),
    );
    expect(wrong).toEqual([]);
  });

  test('colours of an eye that are meant apart are, or the kit has none further apart and that is said', () => {
    const wrong = fits.flatMap(({ says, fitted }) =>
      pairsMeantApart(fitted.chart.steps).flatMap((pair) => {
        const owned = [pair.lighter, pair.deeper].map(({ id, use }) =>
          use.length === 0
            ? []
            : fitted.proposals[id]!.filter((p) => p.use.every(({ unitId }) => unitId !== null)),
        );
        if (!comeOutAlike(pair)) return [];
        const could = owned[0]!.some((a) =>
          owned[1]!.some((b) => toldApart(wornColourOf(a.use)!, wornColourOf(b.use)!)),
        );
        const said = fitted.notes.some((note) => note.includes('the kit has nothing further apart'));
        return could || !said ? [`${says}: ${pair.lighter.title} and ${pair.deeper.title}`] : [];
      }),
    );
    expect(wrong).toEqual([]);
  });

  test('a light goes lighter', () => {
    const wrong = fits.flatMap(({ says, skin, fitted }) =>
      fitted.chart.steps.flatMap((step) => {
        const lab =
          step.role === 'highlight' && step.use.length > 0 ? fitted.proposals[step.id]![0]!.lab : null;
        return lab && depthOf(lab) >= depthOf(skinTarget(skin.skin)!) ? [`${says}: ${step.title}`] : [];
      }),
    );
    expect(wrong).toEqual([]);
  });

  test('a base takes at most half as much again as is needed, or says why', () => {
    const wrong = fits.flatMap(({ says, fitted }) =>
      fitted.chart.steps.flatMap((step) => {
        const proposal =
          step.role === 'base' && step.use.length > 0 ? fitted.proposals[step.id]![0] : undefined;
        if (!proposal) return [];
        const { madeMg, neededMg } = proposal.amount;
        if (madeMg < 0.95 * neededMg - 1e-6) return [`${says}: ${madeMg} for ${neededMg}`];
        return madeMg <= 1.5 * neededMg || proposal.reasons.some((r) => r.includes('needed;'))
          ? []
          : [`${says}: ${madeMg} for ${neededMg}, and no reason`];
      }),
    );
    expect(wrong).toEqual([]);
  });

  test('the fit raises nothing itself', () => {
    const raised = fits.flatMap(({ says, fitted }) =>
      reviewChart(fitted.chart, kit).flatMap((f) => (GAPS.includes(f.rule) ? [] : [`${says}: ${f.message}`])),
    );
    expect(raised).toEqual([]);
  });

  if (name === 'demo')
    test('few skins of the demo’s range find a gap', () => {
      const gaps = fits.filter(({ fitted }) => Object.keys(fitted.gaps).length > 0).map((f) => f.says);
      expect(gaps.length / fits.length).toBeLessThan(0.02);
    });
});

test('fit and Match give one answer: the same base on every skin', () => {
  const look = lookNamed('Choir Loft');
  const base = look.steps.find((s) => s.role === 'base')!;
  const kit = KITS.demo;
  for (const undertone of UNDERTONES)
    for (const depth of [4.3, 7.8, 11.3, 15.3, 19.8]) {
      const context: FitContext = {
        client: someone(depth, undertone),
        kit,
        date: WEDDING.date,
        occasion: WEDDING,
        forbids: look.forbids,
        contrast: 'soft',
      };
      const fitted = proposeProducts(base, context)[0]!;
      const found = matchShades(context);
      const best = [...found.singles, ...found.pairs].sort((a, b) => a.cost - b.cost)[0]!;
      expect(best.parts.map((p) => p.product.id)).toEqual(fitted.use.map((u) => u.product.id));
      expect(best.amount.measures).toEqual(fitted.use.map((u) => u.parts));
    }
});
