import * as fc from 'fast-check';
import { Value } from '@sinclair/typebox/value';
import { asWorn, type ChairEvent } from '../chair';
import { shiftDepth } from '../colour';
import { FAULTS } from '../faults';
import { snapshotOf } from '../kit';
import { ChartV2Schema, fitLook, NEXT_TIME, type Deviation } from '../look';
import { client, id, KIT, kitOf, LOOK, OCCASION, product, SKIN, STAMP } from '../look/look.testing';
import { acceptedRefit, refitChart } from '.';

const INGREDIENT = 'natural latex';
/** The kit twice: each product, and its like of another maker that holds what somebody may react to. */
const TWICE = KIT.products.flatMap((one, i) => [
  one,
  product(300 + i, one.kind, one.lab ?? null, {
    ...one,
    id: id(300 + i),
    line: 'Like it',
    ingredients: [INGREDIENT],
  }),
]);
const look = {
  ...LOOK,
  steps: [
    ...LOOK.steps,
    {
      ...LOOK.steps[0]!,
      id: id(180),
      phase: 'lips' as const,
      role: 'lip' as const,
      title: 'Lip',
      shade: { lab: [44, 46, 22] as [number, number, number] },
      wants: { kinds: ['lip colour' as const] },
      placements: [{ guide: 'lips' as const, side: 'both' as const }],
    },
  ],
};
const LIPS = [
  product(400, 'lip colour', [44, 46, 22], { texture: 'cream', ingredients: [INGREDIENT] }),
  product(401, 'lip colour', [52, 30, 14], { texture: 'cream' }),
];
const kit = kitOf(...TWICE, ...LIPS);
const chart = fitLook(look, client(), kit, OCCASION, STAMP).chart;
const causes = FAULTS.flatMap(({ id: seen, causes: of }) => of.map((cause) => ({ seen, cause: cause.id })));

const deviation: fc.Arbitrary<Deviation> = fc.oneof(
  fc.record({
    kind: fc.constant('amount' as const),
    measures: fc.double({ min: 0.05, max: 6, noNaN: true }),
    note: fc.constantFrom('', 'more at the jaw'),
  }),
  fc.record({
    kind: fc.constant('other product' as const),
    use: fc
      .constantFrom(...kit.products)
      .map((one) => [{ unitId: null, product: snapshotOf(one), parts: 1, measure: one.measure }]),
    note: fc.constant(''),
  }),
  fc.record({ kind: fc.constant('skipped' as const), note: fc.constant('') }),
  fc.record({ kind: fc.constant('note' as const), note: fc.string({ maxLength: 40 }) }),
  fc.record({
    kind: fc.constant('fault' as const),
    fault: fc.constantFrom(...causes),
    note: fc.constant(''),
  }),
  fc.record({
    kind: fc.constant('next time' as const),
    nextTime: fc.constantFrom(...NEXT_TIME),
    note: fc.constant(''),
  }),
) as fc.Arbitrary<Deviation>;

const story = fc.array(fc.tuple(fc.constantFrom(...chart.steps.map((s) => s.id)), deviation), {
  maxLength: 10,
});

test('whatever was said at the chair, a repeat is a chart that can be worked, without what the client reacts to', () => {
  fc.assert(
    fc.property(
      story,
      fc.boolean(),
      fc.constantFrom(-3, 0, 2.5),
      fc.subarray(
        kit.products.map((p) => p.id),
        { maxLength: 12 },
      ),
      fc.infiniteStream(fc.boolean()),
      (said, reacts, deeper, gone, taken) => {
        const worn = asWorn(
          chart,
          said.map(([stepId, one]): ChairEvent => ({
            kind: 'deviation',
            stepId,
            at: STAMP.at,
            by: 'Ada',
            deviation: one,
          })),
        );
        const who = client(shiftDepth(SKIN, deeper), { sensitivities: reacts ? ['latex'] : [] });
        const now = { ...kit, products: kit.products.filter((p) => !gone.includes(p.id)) };
        const refit = refitChart(
          worn,
          who,
          now,
          { ...OCCASION, date: '2031-11-20' },
          { ...STAMP, version: 2 },
        );
        const ids = refit.changes.map((c) => c.id);
        expect(new Set(ids).size).toBe(ids.length);
        expect(
          [...Value.Errors(ChartV2Schema, refit.chart)].map(({ path, message }) => `${path} ${message}`),
        ).toEqual([]);
        const decided = new Set(
          refit.changes.flatMap((c) => (/Decide at the chair/.test(c.why) && c.stepId ? [c.stepId] : [])),
        );
        for (const step of refit.chart.steps) {
          expect(step.doseMgPerCm2).toBeGreaterThan(0);
          for (const { product: of, parts } of step.use) {
            expect(parts).toBeGreaterThan(0);
            if (decided.has(step.id)) continue;
            if (reacts)
              expect({ step: step.title, holds: of.ingredients }).not.toMatchObject({ holds: [INGREDIENT] });
            expect(gone).not.toContain(of.id);
          }
        }
        // Whichever are refused, it can be worked; and what takes a product out is the same change that names
        // what is in its place.
        const flags = taken.take(ids.length);
        const refused = new Set(ids.filter(() => flags.next().value === true));
        const some = acceptedRefit(refit.base, refit.changes, refused);
        expect(Value.Check(ChartV2Schema, some)).toBe(true);
        for (const step of some.steps) {
          const changed = refit.changes.find((c) => c.id === `${step.id} product`);
          if (!reacts || !changed?.part || refused.has(changed.id) || decided.has(step.id)) continue;
          for (const { product: of } of step.use) expect(of.ingredients).not.toContain(INGREDIENT);
        }
      },
    ),
    { numRuns: 80 },
  );
});
