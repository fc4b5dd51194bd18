import { useState } from 'react';
import {
  guestOfClient,
  listed,
  msg,
  newGuest,
  plural,
  minorWithoutPage,
  speaksOfCare,
  withFaceMinutes,
  type Guest,
  type PastedGuest,
} from '@toile/core';
import { newId, type ClientSummary, type PartyChart } from '@toile/contract';
import { Body, Button, Column, Empty, Label, Line, Row } from '../../ui';
import { BookedAside, notOnList, readyByOfVisit } from './BookedAside';
import { ClientsDialog } from './ClientsDialog';
import { GuestDialog, ROLE_WORDS } from './GuestDialog';
import { clientNamed, knownClient } from './knownClient';
import { LooksDialog } from './LooksDialog';
import { withCharts } from './nowView';
import { PasteDialog } from './PasteDialog';
import { RoundsPart } from './RoundsPart';

import type { PartyWork } from './usePartyPlan';
import { hourInWords } from '../words/dates';

/** Who is made up: by when, how long, and who still lacks a chart. */
export function PeoplePanel({ work }: { readonly work: PartyWork }) {
  const { plan, party, keep, failure } = work;
  // Who is a client is asked before anything is kept: pressed twice meanwhile, nobody is added twice.
  const [asked, setAsked] = useState(false);
  const busy = work.busy || asked;
  const whileAsked = async <T,>(answer: Promise<T>): Promise<T> => {
    setAsked(true);
    try {
      return await answer;
    } finally {
      setAsked(false);
    }
  };
  const [open, setOpen] = useState<Guest | null>(null);
  const [pasting, setPasting] = useState(false);
  const [choosing, setChoosing] = useState(false);
  const [picking, setPicking] = useState(false);
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
  const onList = new Set(plan.guests.flatMap((guest) => guest.clientId ?? []));
  const add = async (pasted: readonly PastedGuest[]): Promise<boolean> => {
    const clients = await whileAsked(Promise.all(pasted.map(({ name }) => clientNamed(name, onList))));
    const guests = pasted.map((one, i): Guest => {
      const client = clients[i];
      // Two lines may write one name two ways: the first of them is the client.
      const first = client ? clients.findIndex((other) => other?.id === client.id) === i : false;
      return client && first
        ? guestOfClient(newId(), client, plan, party.date, one)
        : newGuest(newId(), one, plan);
    });
    return withGuests([...plan.guests, ...guests]);
  };
  const charted = withCharts(party, plan);
  const chartOf = (guest: Guest): PartyChart | null => {
    const id = charted.guests.find((one) => one.id === guest.id)?.chartId;
    return id ? (party.charts[id] ?? null) : null;
  };
  const addClients = async (
    clients: readonly Pick<ClientSummary, 'id' | 'name'>[],
    readyBy: readonly (number | null)[] = [],
  ): Promise<boolean> => {
    const known = await whileAsked(Promise.all(clients.map(knownClient)));
    return withGuests([
      ...plan.guests,
      ...known.map((client, i) =>
        guestOfClient(newId(), client, plan, party.date, { readyBy: readyBy[i] ?? null }),
      ),
    ]);
  };
  const booked = notOnList(party.visits, onList);
  const minutesOf = (guest: Guest): number =>
    // Whose hair alone is done may have a chart of another day.
    guest.faceMinutes === 0 ? 0 : (chartOf(guest)?.minutes ?? guest.faceMinutes);
  const unlike = plan.guests.filter((guest) => minutesOf(guest) !== guest.faceMinutes);
  const takeMinutes = (): Promise<boolean> =>
    withGuests(plan.guests.map((guest) => withFaceMinutes(guest, minutesOf(guest))));
  const unminded = plan.guests.filter((guest) => speaksOfCare(guest.notes));
  const minors = plan.guests.filter(minorWithoutPage);
  const unread = plan.guests.filter((guest) => guest.clientId !== null && chartOf(guest) === null);
  return (
    <Column gap="$3">
      {plan.guests.length === 0 ? (
        <Empty
          title={msg`Nobody yet`}
          words={msg`Add the people one by one, or paste the list you were sent.`}
        />
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
                  guest.faceMinutes > 0 ? msg`face ${guest.faceMinutes} min` : msg`no face`,
                  guest.hairMinutes === null ? '' : msg`hair ${guest.hairMinutes} min`,
                  chartOf(guest)
                    ? msg`${chartOf(guest)!.look}, ${chartOf(guest)!.minutes} min`
                    : guest.clientId === null
                      ? msg`not a client yet`
                      : msg`no chart yet`,
                  guest.notes.trim() === '' ? '' : `“${guest.notes.trim()}”`,
                ]
                  .filter((word) => word !== '')
                  .join(' · ')}
                fact={msg`ready by ${hourInWords(guest.readyBy)}`}
                onPress={() => setOpen(guest)}
              />
            ))}
        </Column>
      )}
      {unminded.length > 0 ? (
        <Body color="$weld">{msg`▲ ${listed(unminded.map((guest) => guest.name))}: what is noted here of allergies, skin or eyes is minded only where it stands on their own page as a client.`}</Body>
      ) : null}
      {minors.length > 0 ? (
        <Body color="$weld">{msg`▲ ${listed(minors.map((guest) => guest.name))}: not of age by this list. A guardian is asked before any work, and the consent noted on their own page as a client; local rules come first.`}</Body>
      ) : null}
      {failure && !open && !pasting && !picking ? (
        <Body role="alert" color="$madder">{`▲ ${failure}`}</Body>
      ) : null}
      <Line>
        <Button onPress={() => setOpen(fresh())}>{msg`Add a person`}</Button>
        <Button onPress={() => setPicking(true)}>{msg`Add from clients`}</Button>
        <Button onPress={() => setPasting(true)}>{msg`Paste a list`}</Button>
      </Line>
      <BookedAside
        visits={booked}
        busy={busy}
        onAdd={() =>
          void addClients(
            booked.map(({ clientId, clientName }) => ({ id: clientId, name: clientName })),
            booked.map(readyByOfVisit),
          )
        }
      />
      {unlike.length > 0 ? (
        <Column gap="$1">
          <Label>{msg`${plural(unlike.length)`One chart takes|${unlike.length} charts take`} other minutes than are planned here.`}</Label>
          <Line>
            <Button
              disabled={busy}
              onPress={() => void takeMinutes()}
            >{msg`Take the minutes of the charts`}</Button>
          </Line>
        </Column>
      ) : null}
      {unread.length > 0 ? (
        <Column gap="$1">
          <Label>{msg`No chart yet: ${unread.map((guest) => guest.name).join(', ')}. One look can be fitted to all of them, each to their own face.`}</Label>
          <Line>
            <Button onPress={() => setChoosing(true)}>{msg`Choose a look for them`}</Button>
          </Line>
        </Column>
      ) : null}
      <RoundsPart
        plan={plan}
        busy={busy}
        failure={failure}
        onChange={(rounds) => keep({ ...plan, rounds, timetable: null })}
      />
      {open ? (
        <GuestDialog
          guest={open}
          plan={plan}
          day={party.date}
          chart={chartOf(open)}
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
      {choosing ? <LooksDialog partyId={party.id} onClose={() => setChoosing(false)} /> : null}
      {picking ? (
        <ClientsDialog
          onList={onList}
          busy={busy}
          failure={failure}
          onAdd={(clients) => void addClients(clients).then((done) => done && setPicking(false))}
          onClose={() => setPicking(false)}
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
