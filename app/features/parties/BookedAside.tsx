import { minuteOfDay, msg } from '@toile/core';
import type { PartyAnswer, VisitAnswer } from '@toile/contract';
import { Button, Column, Label, Line } from '../../ui';

/** Visits booked for a party's day of people who are not on its list, one of each. */
export function notOnList(
  visits: PartyAnswer['visits'],
  onList: ReadonlySet<string>,
): readonly VisitAnswer[] {
  const standing = visits.filter(({ kind, state }) => kind !== 'trial' && state !== 'cancelled');
  return standing.filter(
    ({ clientId }, i) =>
      !onList.has(clientId) && standing.findIndex((visit) => visit.clientId === clientId) === i,
  );
}

/** When a visit says its face is to be ready, as a minute of the day. */
export const readyByOfVisit = ({ readyBy }: Pick<VisitAnswer, 'readyBy'>): number | null =>
  minuteOfDay(readyBy ?? '');

/** Who is booked for the party and not on its list, to be put there. */
export function BookedAside({
  visits,
  busy,
  onAdd,
}: {
  readonly visits: readonly VisitAnswer[];
  readonly busy: boolean;
  readonly onAdd: () => void;
}) {
  if (visits.length === 0) return null;
  return (
    <Column gap="$1">
      <Label>{msg`Booked for this party and not on its list: ${visits.map((visit) => visit.clientName).join(', ')}.`}</Label>
      <Line>
        <Button disabled={busy} onPress={onAdd}>{msg`Put them on the list`}</Button>
      </Line>
    </Column>
  );
}
