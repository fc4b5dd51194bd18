import {
  chartOutlook,
  msg,
  toldHours,
  touchUpLines,
  touchUpPlan,
  touchUpWhen,
  USUAL_MANNER,
  type Chart,
  type Manner,
  type TouchUpPlan,
} from '@toile/core';
import { newestVersion } from '../charts/queries';
import { found, wrong } from '../http/problem';
import { read, type Services } from '../http/register';
import type { CardSide } from '../lessons/card';
import { settingsNow } from '../studio/settings';
import { chartNow } from './chartNow';
import { wearGroups } from './zoneWears';

/** What is said on a client's card: when, where and with what on one side, what to carry on the other. */
export function touchUpSides(
  plan: TouchUpPlan,
  { look }: Pick<Chart, 'look'>,
  hours: Manner['clock'],
): readonly [CardSide, CardSide] {
  const told = (words: string): string => toldHours(words, hours);
  return [
    { title: look.name, lines: [touchUpWhen(plan), ...touchUpLines(plan)].map(told) },
    {
      title: msg`In your bag`,
      lines: [
        ...plan.bag,
        msg`If anything stings, take it off with plenty of water and add nothing. If it does not pass, or an eye is hurt, see a doctor.`,
      ],
    },
  ];
}

/** A card for whoever wears a chart. */
export function registerTouchUps(services: Services): void {
  read(services, 'touchUpCard', async ({ tx, params, query, now }) => {
    const chart = await chartNow(tx, found(await newestVersion(tx, params.id)), now);
    const { settings } = await settingsNow(tx);
    const plan = touchUpPlan(chart, chartOutlook(chart, await wearGroups(tx, chart.client.id, now)));
    if (plan.visits.length === 0) throw wrong('id', msg`No touch-up is worth its minutes on this day`);
    const paper = query.paper === 'letter' ? 'letter' : 'a4';
    const sides = touchUpSides(plan, chart, { ...USUAL_MANNER, ...settings.manner }.clock);
    return {
      body: await services.print({ kind: 'card', title: msg`Touch-ups: ${chart.client.name}`, sides, paper }),
      file: `touch-ups-${chart.id}.pdf`,
      type: 'application/pdf',
    };
  });
}
