import { clock } from '../calendar';
import { messages, msg } from '../messages';
import type { CallSheet } from './sheet';
import { WAIT_MINUTES } from './handsSheet';
import type { Visit } from './instance';
import { faceOf, type Guest } from './party';
import type { SheetWords } from './sheetWords';
import { COME_BEFORE_MINUTES } from './simulate';

/** What somebody is asked to mind, by what is done. */
const HOW_TO_COME = messages({
  face: 'Clean face, no oil, a top that opens in front, nothing to eat once the lips are done.',
  hair: 'A top that opens in front.',
});

/** A little before the first visit, but not before somebody can be there. */
const comesAt = ({ from }: Guest, { start }: Visit): number =>
  Math.max(start - COME_BEFORE_MINUTES, Math.min(from, start));

/** By when, as it was asked; where that cannot be kept, when it really is. */
function readyWords({ readyBy }: Guest, last: Visit): string {
  const done = last.start + last.minutes;
  return done > readyBy
    ? msg`Ready by ${clock(done)}: later than ${clock(readyBy)}, which was asked for.`
    : msg`Ready by ${clock(readyBy)}.`;
}

/** One person's own times: visits, what else there is, what is free between; and how to come. */
export function personSheet(
  guest: Guest,
  visits: readonly Visit[],
  say: SheetWords,
): Pick<CallSheet, 'lead' | 'parts' | 'foot'> {
  const mine = visits.filter((visit) => visit.of === guest.id);
  const [first, last] = [mine[0], mine.at(-1)];
  const times = [
    ...mine.map((visit) => ({
      from: visit.start,
      to: visit.start + visit.minutes,
      what: say.what(visit),
      detail: msg`${say.hands(visit)}, ${visit.minutes} min`,
    })),
    ...guest.busy.map(({ from, to, title }) => ({ from, to, what: title, detail: msg`until ${clock(to)}` })),
  ].sort((a, b) => a.from - b.from);
  return {
    lead: first
      ? [msg`Be at ${say.where(first)} at ${clock(comesAt(guest, first))}.`, readyWords(guest, last ?? first)]
      : [msg`Nothing is planned.`],
    parts: [
      {
        title: msg`Your times`,
        rows: times.flatMap(({ from, what, detail }, i) => {
          // Free is what lies between the visits and nothing else takes.
          const since = Math.max(...times.slice(0, i).map((one) => one.to));
          const between = first && last && since > first.start && from <= last.start;
          const free = between ? from - since : 0;
          const row = { time: clock(from), what, detail };
          return free >= WAIT_MINUTES
            ? [{ time: clock(since), what: msg`${free} minutes free`, detail: '' }, row]
            : [row];
        }),
      },
    ],
    foot: !first
      ? []
      : [mine.some((visit) => visit.task === faceOf(guest)) ? HOW_TO_COME.face : HOW_TO_COME.hair],
  };
}
