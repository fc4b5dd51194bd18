import { CORPUS, judge, score, TOPICS } from '.';

const verdicts = CORPUS.map(judge);

test('at least 160 named cases, half of them sound, over twelve skins, five kits and all looks', () => {
  const soundOnes = CORPUS.filter((c) => c.finds.length === 0).length;
  expect(CORPUS.length).toBeGreaterThanOrEqual(160);
  expect(soundOnes / CORPUS.length).toBeGreaterThan(0.4);
  expect(soundOnes / CORPUS.length).toBeLessThan(0.6);
  expect(new Set(CORPUS.map((c) => c.says)).size).toBe(CORPUS.length);
  expect(new Set(CORPUS.map((c) => c.setting.skin)).size).toBeGreaterThanOrEqual(12);
  expect(new Set(CORPUS.map((c) => c.setting.kit ?? 'full')).size).toBeGreaterThanOrEqual(5);
  expect(new Set(CORPUS.map((c) => c.setting.look)).size).toBe(6);
});

test.each(verdicts.filter((v) => v.case.finds.length > 0))('found: $case.says', ({ found }) =>
  expect(found).toBe(true),
);
test.each(verdicts.filter((v) => v.case.finds.length === 0))('quiet: $case.says', ({ stray }) =>
  expect(stray).toEqual([]),
);

test('precision and recall are at least 0.97 in every topic', () => {
  const scores = score(verdicts);
  expect(scores.map((s) => s.topic)).toEqual([...TOPICS, 'all']);
  for (const { topic, precision, recall } of scores)
    expect({ topic, precise: precision >= 0.97, recalled: recall >= 0.97 }).toEqual({
      topic,
      precise: true,
      recalled: true,
    });
});

test('the score tells a review that is blind, or that cries at everything', () => {
  const blind = verdicts.map((v) => ({ ...v, found: v.case.finds.length === 0, stray: [] }));
  expect(score(blind).at(-1)!.recall).toBe(0);
  const shrill = verdicts.map((v) => ({ ...v, stray: ['anything', 'else'] }));
  expect(score(shrill).at(-1)!.precision).toBeLessThan(0.3);
});
