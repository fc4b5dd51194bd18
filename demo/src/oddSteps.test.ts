import { fitLook, OCCASIONS, reviewChart, usualOccasion, type Features, type Look } from '@toile/core';
import { clientOf, KITS, SKIN_NAMES } from './corpus/ground';
import { idFor } from './ids';
import { LOOKS } from './looks';
import { ODD, withOdd } from './odd.testing';

// Fitted to skins of every depth and to whatever is noted, no odd step may raise what the look without it
// does not.
const NOTED: readonly Partial<Features>[] = [
  {},
  { oily: ['forehead', 'nose'] },
  { oily: ['chin'] },
  { oily: ['cheeks', 'nose', 'forehead'], texture: 'textured' },
  { dry: true },
  { dryZones: ['cheeks', 'chin'] },
  { age: 'mature', lines: ['under eye', 'smile'] },
  { narrowTemples: true, beard: true },
  { lenses: true, lids: { left: 'hooded', right: 'hooded' } },
  { age: 'child' },
];

test.each(ODD.map(({ step, may }, i) => [step.title, step, may ?? [], i] as const))(
  'a look with “%s” raises nothing the look without it does not, whoever wears it',
  (_, step, may, i) => {
    const raised = NOTED.flatMap((features, k) => {
      const look = LOOKS[(i + k) % LOOKS.length]!;
      const skin = SKIN_NAMES[(3 * i + 5 * k) % SKIN_NAMES.length]!;
      const occasion = usualOccasion(OCCASIONS[k % OCCASIONS.length]!, '2031-05-14');
      const found = (worn: Look) => {
        const stamp = { id: idFor('odd'), author: '', at: '2031-05-01T09:00:00Z', reason: '' };
        const { chart } = fitLook(worn, clientOf({ skin, features }), KITS.demo, occasion, stamp);
        return reviewChart(chart, KITS.demo);
      };
      const plain = new Set(found(look).map(({ rule }) => rule));
      return found(withOdd(look, step))
        .filter(({ rule }) => !plain.has(rule) && !may.includes(rule))
        .map(
          ({ rule, message }) => `${look.name}, ${skin}, ${JSON.stringify(features)}: ${rule}: ${message}`,
        );
    });
    expect(raised).toEqual([]);
  },
);
