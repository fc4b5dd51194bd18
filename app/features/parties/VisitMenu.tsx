import { msg, type Visit } from '@toile/core';
import { Menu, type MenuItem } from '../../ui';

import type { DayWork } from './useDay';
import { hourInWords } from '../words/dates';

/** What can be done with one visit: earlier, later, by somebody else, in another chair, held. */
export function VisitMenu({
  visit,
  title,
  day,
}: {
  readonly visit: Visit;
  readonly title: string;
  readonly day: DayWork;
}) {
  return <Menu label={title} items={visitItems(visit, day)} />;
}

/** The same as a list of what can be chosen. */
export function visitItems(visit: Visit, day: DayWork): MenuItem[] {
  const { plan, pins, move, hold } = day;
  const task = day.day.people
    .find((one) => one.id === visit.of)
    ?.ways.flatMap((way) => way.tasks)
    .find((one) => one.id === visit.task);
  const others = Object.entries(task?.by ?? {}).filter(([id]) => id !== visit.worker);
  const kind = plan.chairs.find((chair) => chair.id === visit.chair)?.kind;
  const chairs = plan.chairs.filter((chair) => chair.kind === kind && chair.id !== visit.chair);
  const { grid } = plan;
  const heldNow = pins.some((pin) => pin.of === visit.of && pin.task === visit.task);
  return [
    {
      words: msg`Earlier, at ${hourInWords(visit.start - grid)}`,
      onPress: () => move(visit, { start: visit.start - grid }),
    },
    {
      words: msg`Later, at ${hourInWords(visit.start + grid)}`,
      onPress: () => move(visit, { start: visit.start + grid }),
    },
    ...others.map(([id, minutes]) => ({
      words: msg`By ${plan.hands.find((hands) => hands.id === id)?.name ?? id}, ${minutes} min`,
      onPress: () => move(visit, { worker: id, minutes }),
    })),
    ...chairs.map((chair) => ({
      words: msg`In ${chair.name}`,
      onPress: () => move(visit, { chair: chair.id }),
    })),
    { words: heldNow ? msg`Let go: it may be moved again` : msg`Hold here`, onPress: () => hold(visit) },
  ];
}
