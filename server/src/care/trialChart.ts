import {
  hereWay,
  msg,
  nextVersion,
  otherWay,
  swapProduct,
  swapSchool,
  swapStep,
  term,
  withoutVariant,
  type Chart,
  type Swap,
  type Trial,
  type TrialChoice,
} from '@toile/core';
import type { TrialInput } from '@toile/contract';
import { announce } from '../charts/live';
import { chartVersion, insertVersion, newestVersion } from '../charts/queries';
import type { Tx } from '../db/connection';
import { oneAtATime } from '../db/locks';
import type { Caller } from '../http/caller';
import { found, wrong } from '../http/problem';
import { fromKit } from '../kit/substitutions';

/** What the other half does otherwise, with what stands for a product out of the studio's own kit. */
export async function swapAsked(tx: Tx, chart: Chart, ask: TrialInput['ask']): Promise<Swap | null> {
  switch (ask.aspect) {
    case 'product':
      return swapProduct(chart, ask.stepId, await fromKit(tx, { ...ask, parts: [...ask.parts] }));
    case 'tool':
      return swapStep(chart, ask.stepId, { tool: ask.tool });
    case 'technique':
      return swapStep(chart, ask.stepId, { technique: ask.technique });
    case 'step':
      return swapStep(chart, ask.stepId, 'left out');
    case 'school':
      return swapSchool(chart, ask.answers);
  }
}

/** Saves what is made of the newest version as the next; what core refuses is the caller's to mend. */
export async function keepVersion(
  tx: Tx,
  caller: Caller,
  now: Date,
  newest: Chart,
  reason: string,
  made: () => Chart,
): Promise<Chart> {
  let next: Chart;
  try {
    next = made();
  } catch (refused) {
    if (refused instanceof RangeError) throw wrong('ask', refused.message);
    throw refused;
  }
  const kept = await insertVersion(
    tx,
    caller.studioId,
    nextVersion(next, newest, { author: caller.name, at: now.toISOString(), reason: reason.slice(0, 4000) }),
  );
  await announce(tx, newest.id);
  return kept;
}

/** The chart as it was decided, whichever way it is done by now; in any case without its two halves. */
export async function intoChart(
  tx: Tx,
  caller: Caller,
  now: Date,
  trial: Trial,
  choice: TrialChoice,
): Promise<number> {
  await oneAtATime(tx, trial.chartId);
  const newest = found(await newestVersion(tx, trial.chartId));
  const tried = await chartVersion(tx, trial.chartId, trial.version);
  const way = choice === 'a' || choice === 'b' ? choice : null;
  const said = choice === 'a' || choice === 'b' ? trial.question[choice].words : term(choice);
  const kept = await keepVersion(
    tx,
    caller,
    now,
    newest,
    msg`Decided after a half-face trial: ${said}`,
    () => {
      const plain = withoutVariant(newest, trial.variant);
      if (way === null) return plain;
      return way === trial.chartHas ? hereWay(plain, tried, trial.swap) : otherWay(plain, trial.swap);
    },
  );
  return kept.version;
}
