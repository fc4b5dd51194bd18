import { fitLook, reviewChart, RULES, type ReviewFinding } from '@toile/core';
import { CORPUS } from './corpus';
import { DEMO_PEOPLE, fitted, KITS, WEDDING } from './corpus/ground';
import { idFor } from './ids';
import { LOOKS } from './looks';

const keyOf = ({ rule, stepIds }: ReviewFinding): string => `${rule} ${[...stepIds].sort().join()}`;

/** Every finding of the corpus with its fix taken: what is left of it, and what is new. */
const taken = CORPUS.flatMap((one) => {
  const scene = one.by(fitted(one.setting));
  const before = reviewChart(scene.chart, scene.kit);
  const had = new Set(before.map(keyOf));
  return before.flatMap((finding) => {
    if (!finding.fix) return [];
    const after = reviewChart(finding.fix.apply(scene.chart), scene.kit);
    return [
      {
        says: `${one.says}: ${finding.rule}`,
        rule: finding.rule,
        left: after.some((f) => keyOf(f) === keyOf(finding)),
        raised: after.filter((f) => !had.has(keyOf(f))).map((f) => `${f.rule}: ${f.message}`),
      },
    ];
  });
});

test('a fix mends what it is for', () => expect(taken.filter((t) => t.left).map((t) => t.says)).toEqual([]));
test('a fix raises nothing new', () =>
  expect(
    taken.filter((t) => t.raised.length > 0).map((t) => `${t.says} raises ${t.raised.join('; ')}`),
  ).toEqual([]));
test('at least 55 rules offer a fix', () => {
  const fixable = new Set(taken.map((t) => t.rule));
  expect(RULES.length).toBeGreaterThanOrEqual(80);
  expect(fixable.size).toBeGreaterThanOrEqual(55);
});

test('every look fitted to every client of the demo raises nothing that the fit could have helped', () => {
  const raised = DEMO_PEOPLE.flatMap((client) =>
    LOOKS.flatMap((look) => {
      const { chart } = fitLook(look, client, KITS.demo, WEDDING, {
        id: idFor('fit'),
        author: '',
        at: '2031-05-01T09:00:00Z',
        reason: '',
      });
      return reviewChart(chart, KITS.demo).map((f) => `${look.name} on ${client.name}: ${f.message}`);
    }),
  );
  expect(raised).toEqual([]);
});
