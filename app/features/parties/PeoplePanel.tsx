import { useState } from 'react';
import { clock, newGuest, type Guest, type PastedGuest } from '@toile/core';
import { newId } from '@toile/contract';
import { Body, Button, Column, Empty, Line, Row } from '../../ui';
import { GuestDialog, ROLE_WORDS } from './GuestDialog';
import { PasteDialog } from './PasteDialog';

import type { PartyWork } from './usePartyPlan';

/** Who is made up: by when, how long, and who still lacks a chart. */
export function PeoplePanel({ work }: { readonly work: PartyWork }) {
  const { plan, party, keep, busy, failure } = work;
  const [open, setOpen] = useState<Guest | null>(null);
  const [pasting, setPasting] = useState(false);
  const fresh = (): Guest =>
    newGuest(newId(), { name: '', role: 'guest', readyBy: null, faceMinutes: null, hairMinutes: null }, plan);
  /** The plan with these guests; what was held or accepted for others falls away with them. */
  const withGuests = (guests: readonly Guest[]): Promise<boolean> => {
    const stays = (id: string): boolean => guests.some((guest) => guest.id === id);
    const held = plan.held.filter((pin) => stays(pin.of) || plan.rounds.some((round) => round.id === pin.of));
    const relaxed = plan.relaxed.filter((way) => stays(way.split('/')[0]!));
    return keep({ ...plan, guests: [...guests], held, relaxed, timetable: null });
  };
  const keepOne = async (guest: Guest): Promise<void> => {
    const known = plan.guests.some((one) => one.id === guest.id);
    const list = known
      ? plan.guests.map((one) => (one.id === guest.id ? guest : one))
      : [...plan.guests, guest];
    if (await withGuests(list)) setOpen(null);
  };
  const add = (pasted: readonly PastedGuest[]): Promise<boolean> =>
    withGuests([...plan.guests, ...pasted.map((one) => newGuest(newId(), one, plan))]);
  const chartOf = (guest: Guest): string | null =>
    guest.chartId ?? party.visits.find((visit) => visit.clientId === guest.clientId)?.chartId ?? null;
  return (
    <Column gap="$3">
      {plan.guests.length === 0 ? (
        <Empty title="Nobody yet" words="Add the people one by one, or paste the list you were sent." />
      ) : (
        <Column gap={0}>
          {[...plan.guests]
            .sort((a, b) => a.readyBy - b.readyBy)
            .map((guest) => (
              <Row
                key={guest.id}
                title={guest.name}
                detail={[
                  ROLE_WORDS[guest.role],
                  guest.faceMinutes > 0 ? `face ${guest.faceMinutes} min` : 'no face',
                  guest.hairMinutes === null ? '' : `hair ${guest.hairMinutes} min`,
                  chartOf(guest) ? 'chart ready' : 'no chart yet',
                ]
                  .filter((word) => word !== '')
                  .join(' · ')}
                fact={`by ${clock(guest.readyBy)}`}
                onPress={() => setOpen(guest)}
              />
            ))}
        </Column>
      )}
      {failure && !open && !pasting ? <Body role="alert" color="$madder">{`▲ ${failure}`}</Body> : null}
      <Line>
        <Button onPress={() => setOpen(fresh())}>Add a person</Button>
        <Button onPress={() => setPasting(true)}>Paste a list</Button>
      </Line>
      {open ? (
        <GuestDialog
          guest={open}
          plan={plan}
          busy={busy}
          failure={failure}
          onKeep={(guest) => void keepOne(guest)}
          onRemove={() =>
            void withGuests(plan.guests.filter((one) => one.id !== open.id)).then(
              (done) => done && setOpen(null),
            )
          }
          onClose={() => setOpen(null)}
        />
      ) : null}
      {pasting ? (
        <PasteDialog
          onList={plan.guests.map((guest) => guest.name)}
          busy={busy}
          failure={failure}
          onAdd={add}
          onClose={() => setPasting(false)}
        />
      ) : null}
    </Column>
  );
}
