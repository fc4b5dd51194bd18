import fc from 'fast-check';
import type { Step } from '../look';
import { linksOf } from '../order';
import { CHART as chart, stepLike as step, WHO as who, WHOLE as whole } from '../order/order.testing';
import { nextStep } from '.';

const primer = step(1, { phase: 'prime', role: 'care', placements: whole, waitMinutes: 5 });
const base = step(2, { phase: 'base', role: 'base', placements: whole, waitMinutes: 1 });
const brows = step(3, { phase: 'brows', role: 'brow', placements: [{ guide: 'brow', side: 'both' }] });
const STEPS = [primer, base, brows];
const ask = (settled: readonly Step[], waits: readonly { step: Step; left: number }[], steps = STEPS) =>
  nextStep(
    steps,
    new Set(settled.map((s) => s.id)),
    waits.map(({ step: s, left }) => ({ stepId: s.id, untilMinutes: 100 + left })),
    100,
    who,
    chart.schools,
  );

test('while the primer dries the brows are worked; when it is dry, the base', () => {
  expect(ask([], [])).toEqual({ index: 0, whileDrying: null, waitMinutes: 0 });
  expect(ask([primer], [{ step: primer, left: 3 }])).toEqual({
    index: 2,
    whileDrying: primer,
    waitMinutes: 0,
  });
  expect(ask([primer], [{ step: primer, left: 0 }])).toEqual({ index: 1, whileDrying: null, waitMinutes: 0 });
  expect(ask([primer], [])).toEqual({ index: 1, whileDrying: null, waitMinutes: 0 });
});

test('when nothing else is left the wait is told; when all is settled there is nothing', () => {
  expect(ask([primer, brows], [{ step: primer, left: 2 }])).toEqual({
    index: 1,
    whileDrying: null,
    waitMinutes: 2,
  });
  expect(ask(STEPS, [])).toBeNull();
});

test('followed to the end it works every step once and never one whose ground is undone or wet', () => {
  const arbitrary = fc.array(
    fc.record({ hands: fc.integer({ min: 1, max: 6 }), wait: fc.integer({ min: 0, max: 6 }) }),
    {
      minLength: chart.steps.length,
      maxLength: chart.steps.length,
    },
  );
  fc.assert(
    fc.property(arbitrary, (minutes) => {
      const steps = chart.steps.map((s, i): Step => ({
        ...s,
        handsOnMinutes: minutes[i]!.hands,
        waitMinutes: minutes[i]!.wait,
      }));
      const links = linksOf(steps, who, chart.schools);
      const dry = new Map<string, number>();
      const done = new Set<string>();
      let now = 0;
      for (let round = 0; round < 100; round++) {
        const waits = [...dry].map(([stepId, untilMinutes]) => ({ stepId, untilMinutes }));
        const next = nextStep(steps, done, waits, now, who, chart.schools);
        if (!next) break;
        now += next.waitMinutes;
        const worked = steps[next.index]!;
        for (const { from, lagMinutes } of links.filter((l) => l.to === next.index)) {
          expect(done.has(steps[from]!.id)).toBe(true);
          if (lagMinutes > 0) expect(dry.get(steps[from]!.id) ?? 0).toBeLessThanOrEqual(now + 1e-9);
        }
        expect(done.has(worked.id)).toBe(false);
        now += worked.handsOnMinutes;
        done.add(worked.id);
        if (worked.waitMinutes > 0) dry.set(worked.id, now + worked.waitMinutes);
      }
      expect(done.size).toBe(steps.length);
    }),
    { numRuns: 60, seed: 11 },
  );
});

test('at any moment it is what a minute by minute look would find', () => {
  const moment = fc.record({
    waits: fc.array(fc.integer({ min: 0, max: 6 }), { minLength: 8, maxLength: 8 }),
    settled: fc.array(fc.boolean(), { minLength: 8, maxLength: 8 }),
    left: fc.array(fc.integer({ min: -2, max: 6 }), { minLength: 8, maxLength: 8 }),
  });
  const made = [...STEPS, ...chart.steps.slice(0, 5)];
  const seen = new Set<string>();
  fc.assert(
    fc.property(moment, ({ waits, settled, left }) => {
      const steps = made.map((s, i): Step => ({ ...s, waitMinutes: waits[i]! }));
      const isDone = (i: number) => settled[i]!;
      const links = linksOf(steps, who, chart.schools);
      const found = nextStep(
        steps,
        new Set(steps.filter((_, i) => isDone(i)).map((s) => s.id)),
        steps.flatMap((s, i) => (isDone(i) ? [{ stepId: s.id, untilMinutes: 100 + left[i]! }] : [])),
        100,
        who,
        chart.schools,
      );
      const open = steps.flatMap((_, i) => (isDone(i) ? [] : [i]));
      const wet = (j: number, minutes: number) =>
        links.filter((l) => l.to === j && l.lagMinutes > 0 && isDone(l.from) && left[l.from]! > minutes);
      const workable = (j: number, minutes: number) =>
        links.every((l) => l.to !== j || isDone(l.from)) && wet(j, minutes).length === 0;
      if (open.length === 0) return expect(found).toBeNull();
      let minutes = 0;
      while (!open.some((j) => workable(j, minutes))) minutes++;
      const index = open.find((j) => workable(j, minutes))!;
      expect(found).toMatchObject({ index, waitMinutes: minutes });
      const [under] = minutes === 0 && index !== open[0] ? wet(open[0]!, 0) : [];
      expect(found!.whileDrying).toBe(under ? steps[under.from] : null);
      seen.add(minutes > 0 ? 'waits' : index === open[0] ? 'first' : 'woven in');
    }),
    { numRuns: 1500, seed: 4 },
  );
  expect([...seen].sort()).toEqual(['first', 'waits', 'woven in']);
});
