import { CORPUS, judge, score } from '@toile/demo/src/corpus';
import { judgementRows } from './judgement';
import { print } from './measure';

/**
 * npm run judge: precision and recall of the review by topic, every case it gets wrong, and what fitting and
 * reviewing take.
 */
const verdicts = CORPUS.map(judge);
const percent = (share: number): string => `${(100 * share).toFixed(1)} %`;
const soundOnes = CORPUS.filter((c) => c.finds.length === 0).length;
const wrong = verdicts.flatMap(({ case: one, found, stray }) => [
  ...(found ? [] : [`missed  ${one.says}`]),
  ...stray.map((words) => `stray   ${one.says}: ${words}`),
]);
print([
  ...score(verdicts).map(({ topic, cases, precision, recall }) => ({
    what: `judged: ${topic}, ${cases} cases`,
    ours: `precision ${percent(precision)}`,
    peer: `recall ${percent(recall)}`,
    ratio: `${(Math.min(precision, recall) / 0.97).toFixed(2)} x the 0.97 asked`,
  })),
  ...judgementRows(),
]);
process.stdout.write(
  [
    `${soundOnes} sound and ${CORPUS.length - soundOnes} broken charts, ${new Set(CORPUS.map((c) => c.setting.skin)).size} skins, ${new Set(CORPUS.map((c) => c.setting.kit ?? 'full')).size} kits`,
    ...wrong,
    '',
  ].join('\n'),
);
process.exitCode = wrong.length > 0 ? 1 : 0;
