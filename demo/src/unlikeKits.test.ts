import {
  fitLook,
  inferLandmarks,
  isPowder,
  isWet,
  PLAIN_FEATURES,
  reviewChart,
  skinByZone,
  usualOccasion,
  type Chart,
  type ClientSnapshot,
  type Features,
  type Kit,
  type Occasion,
  type Step,
} from '@toile/core';
import { SKIN_NAMES, skinNamed } from './corpus/ground';
import { idFor } from './ids';
import { LOOKS } from './looks';
import { unlikeKits } from './unlikeKits.testing';

// What a kit could do the fit does: nothing is left for its own review to put right with a product of that
// kit or by another order. On kits unlike the demo's, every skin and what is noted of faces.

const STAMP = { id: idFor('unlike'), author: '', at: '2031-05-01T09:00:00Z', reason: '' };
const DAY = '2031-05-14';
/** One face for all, and one set of what is noted each: what is placed on them is worked out once. */
const FACE = inferLandmarks({});
const NOTED: readonly (readonly [Partial<Features>, Occasion])[] = [
  [{}, usualOccasion('wedding', DAY)],
  [{ age: 'mature', lines: ['under eye', 'forehead', 'lip', 'crow’s feet'] }, usualOccasion('wedding', DAY)],
  [
    { oily: ['forehead', 'nose', 'chin'] },
    { ...usualOccasion('gala', DAY), conditions: ['heat', 'humidity'], hoursToLast: 10 },
  ],
  [{ texture: 'textured', oily: ['cheeks'] }, usualOccasion('party', DAY)],
  [
    { lids: { left: 'hooded', right: 'hooded' }, lenses: true, lipEdge: 'blurred' },
    usualOccasion('trial', DAY),
  ],
];
const FEATURES = NOTED.map(([features]): Features => ({ ...PLAIN_FEATURES, ...features }));
/**
 * What is weighed against other things (colour before an hour more, say), or is the artist's own way, and so
 * is only told.
 */
const TOLD_ONLY = ['note'];

type Fitted = { readonly says: string; readonly chart: Chart; readonly kit: Kit };
const fits: Fitted[] = [3, 8].flatMap((seed) =>
  unlikeKits(seed).flatMap(([name, kit], k) =>
    SKIN_NAMES.flatMap((skin, s) =>
      LOOKS.flatMap((look, l) => {
        // Each skin meets every kit and every look, not every pair of them.
        if ((s + k + l + seed) % 5 !== 0) return [];
        const at = (s + 2 * k + l) % NOTED.length;
        const [features, occasion] = NOTED[at]!;
        const who: ClientSnapshot = {
          id: idFor('unlike client'),
          name: 'Someone',
          landmarks: FACE,
          features: FEATURES[at]!,
          skin: skinByZone(skinNamed(skin)),
          readingId: null,
          sensitivities: [],
        };
        const { chart } = fitLook(look, who, kit, occasion, STAMP);
        return [
          { says: `${look.name} on ${skin}, ${name} (${seed}), ${JSON.stringify(features)}`, chart, kit },
        ];
      }),
    ),
  ),
);

test('no caution is left that the same kit could mend', () => {
  const left = fits.flatMap(({ says, chart, kit }) => {
    const found = reviewChart(chart, kit);
    return found.flatMap(({ rule, severity, message, fix }) => {
      if (!fix || TOLD_ONLY.includes(severity)) return [];
      const after = reviewChart(fix.apply(chart), kit).filter((one) => !TOLD_ONLY.includes(one.severity));
      const before = found.filter((one) => !TOLD_ONLY.includes(one.severity));
      return after.length < before.length ? [`${says}: ${rule}: ${message} ${fix.label}`] : [];
    });
  });
  expect(left).toEqual([]);
});

const onFace = ({ role }: Step): boolean =>
  ['base', 'conceal', 'contour', 'bronze', 'blush', 'highlight'].includes(role);

test('nothing moist is laid on the face after a powder that covers it, whatever the base is made of', () => {
  const wrong = fits.flatMap(({ says, chart }) => {
    const plan = chart.steps.filter(({ variant }) => variant === undefined);
    const base = plan.findIndex(
      ({ role, use }) => role === 'base' && use.some(({ product }) => isPowder(product)),
    );
    const later = base < 0 ? [] : plan.slice(base + 1).filter(onFace);
    return later
      .filter(({ use }) => use.length > 0 && use.every(({ product }) => isWet(product)))
      .map(({ title }) => `${says}: ${title}`);
  });
  expect(wrong).toEqual([]);
  // And there are such bases among them.
  const powders = fits.filter(({ chart }) =>
    chart.steps.some(({ role, use }) => role === 'base' && use.some(({ product }) => isPowder(product))),
  );
  expect(powders.length).toBeGreaterThan(10);
});
