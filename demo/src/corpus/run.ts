import { CORPUS, judge, score } from '.';

/** Prints precision and recall of the review by topic, and every case it gets wrong. */
const verdicts = CORPUS.map(judge);
const percent = (share: number): string => `${(100 * share).toFixed(1).padStart(5)} %`;
for (const { topic, cases, precision, recall } of score(verdicts)) console.log(`${topic.padEnd(16)} ${String(cases).padStart(4)} cases   precision ${percent(precision)}   recall ${percent(recall)}`);
const sounds = CORPUS.filter((c) => c.finds.length === 0).length;
console.log(`${sounds} sound, ${CORPUS.length - sounds} broken, ${new Set(CORPUS.map((c) => c.setting.skin)).size} skins, ${new Set(CORPUS.map((c) => c.setting.kit ?? 'full')).size} kits`);
for (const { case: one, found, stray } of verdicts) {
  if (!found) console.log(`MISSED  ${one.says}`);
  for (const words of stray) console.log(`STRAY   ${one.says}\n        ${words}`);
}
