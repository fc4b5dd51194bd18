import fc from 'fast-check';
import {
  ADAPTERS,
  fitLook,
  OCCASIONS,
  refitChart,
  TOOL_FOR_TEXTURE,
  usualOccasion,
  type Chart,
  type ClientSnapshot,
  type Kit,
  type Occasion,
} from '@toile/core';
import { client, FULL, kit, one, SEED, some } from './any.testing';
import { idFor } from './ids';
import { ODD, withOdd } from './odd.testing';
import { STARTER_LOOKS } from './starterLooks';

// A look repeated on somebody who has changed, for another day: what a fresh fit asks of its steps the repeat
// asks too, and nothing where nothing has changed. The fit knows nothing of the chart that was worn, the
// repeat nothing of the look.
const stamp = (name: string) => ({ id: idFor(name), author: 'Ada', at: '2031-05-01T09:00:00Z', reason: '' });
const day = one(OCCASIONS).map((kind) => usualOccasion(kind, '2031-05-14'));
/** A look as it ships, or with steps none of them has. */
const look = fc
  .tuple(one(STARTER_LOOKS), some(ODD.map(({ step }) => step)))
  .map(([plain, odd]) => odd.reduce(withOdd, plain));
const repeated = (worn: Chart, who: ClientSnapshot, from: Kit, occasion: Occasion) =>
  refitChart(worn, who, from, occasion, { ...stamp('again'), version: 2 });

test('on the same client, with the same kit, for the same day, nothing changes', () => {
  fc.assert(
    fc.property(look, client, kit, day, (look, who, kit, occasion) => {
      const { chart } = fitLook(look, who, kit, occasion, stamp('worn'));
      const { changes, chart: next } = repeated(chart, who, kit, occasion);
      expect(changes.filter(({ kind }) => kind !== 'keep' && kind !== 're-order')).toEqual([]);
      expect(next.steps).toEqual(chart.steps);
      expect(next.adaptations).toEqual(chart.adaptations);
    }),
    { numRuns: 16, seed: SEED },
  );
});

const ASKED = [
  'id',
  'role',
  'phase',
  'wants',
  'tool',
  'technique',
  'passes',
  'doseMgPerCm2',
  'waitMinutes',
  'placements',
] as const;
/** A tool goes with its product: it is asked alike where both charts lay the same with a tool of the look. */
const BY_PRODUCT: readonly string[] = ['tool', 'technique'];
const hasToolOfProduct = ({ adaptations = [] }: Chart, id: string): boolean =>
  adaptations.some((a) => a.stepId === id && a.id === TOOL_FOR_TEXTURE);
const laidIn = ({ steps }: Chart, id: string): string =>
  steps.flatMap((s) => (s.id === id ? s.use.map(({ product }) => product.id) : [])).join();
/** What a chart asks of its steps, whatever they are done with: sentences of a note in any order. */
const askedOf = (chart: Chart, other: Chart): readonly unknown[] =>
  [...chart.steps]
    .sort((a, b) => a.id.localeCompare(b.id))
    .map((step) => {
      const { id } = step;
      const alike = laidIn(chart, id) === laidIn(other, id);
      const ofLook = ![chart, other].some((one) => hasToolOfProduct(one, id));
      const asked = ASKED.filter((key) => (alike && ofLook) || !BY_PRODUCT.includes(key));
      return [...asked.map((key) => [key, step[key]]), step.note.split(/(?<=\.) /).sort()];
    });
const KNOWN = new Set(ADAPTERS.map(({ id }) => id));
/** What stands recorded; of a step that is left out only that. */
const recordedOf = ({ adaptations = [], steps }: Chart): readonly string[] =>
  adaptations
    .filter(
      ({ id, stepId, change }) =>
        change !== 'changed' || (KNOWN.has(id) && steps.some((step) => step.id === stepId)),
    )
    .map(({ id, stepId, change }) => `${change} ${id} ${stepId}`)
    .sort();

test('on somebody else, for another day, it asks what a fresh fit asks', () => {
  fc.assert(
    fc.property(look, client, client, day, day, (look, who, later, first, second) => {
      const { chart } = fitLook(look, who, FULL, first, stamp('worn'));
      const again = repeated(chart, later, FULL, second).chart;
      const fresh = fitLook(look, later, FULL, second, stamp('fresh')).chart;
      expect(recordedOf(again)).toEqual(recordedOf(fresh));
      expect(askedOf(again, fresh)).toEqual(askedOf(fresh, again));
    }),
    { numRuns: 24, seed: SEED },
  );
});
