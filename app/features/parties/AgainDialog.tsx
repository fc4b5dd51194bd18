import { useRouter } from 'expo-router';
import { useState } from 'react';
import { isDay, msg, planAnew } from '@toile/core';
import { newId } from '@toile/contract';
import { call } from '../../data/call';
import { useRefresh } from '../../data/hooks';
import { useSaving } from '../../data/useSaving';
import { Body, Button, Dialog, Field, Label } from '../../ui';
import type { PartyWork } from './usePartyPlan';

/** The same party for another date: who, where and how long stay, the rest is begun anew. */
export function AgainDialog({ work, onClose }: { readonly work: PartyWork; readonly onClose: () => void }) {
  const { party, plan } = work;
  const router = useRouter();
  const refresh = useRefresh();
  const { busy, failure, save } = useSaving();
  const [id] = useState(newId);
  const [name, setName] = useState(party.name);
  const [date, setDate] = useState('');
  const [tried, setTried] = useState(false);
  const wrong = {
    name: name.trim() === '' ? msg`Name the party` : undefined,
    date: isDay(date) ? undefined : msg`Choose a date`,
  };
  const make = async (): Promise<void> => {
    setTried(true);
    if (wrong.name || wrong.date) return;
    await save(async () => {
      const { place, notes } = party;
      const body = { id, name: name.trim(), date, place, notes, plan: planAnew(plan, date) };
      const answer = await call('createParty', { body });
      await refresh({ name: 'party', params: { id }, answer });
      router.navigate(`/parties/${id}`);
    });
  };
  return (
    <Dialog title={msg`The same for another date`} onClose={onClose}>
      <Label>{msg`People, hands, chairs, places and minutes are taken over. Charts, timetable, run-up and what was told of the day stay with this one.`}</Label>
      <Field label={msg`Name`} value={name} onChange={setName} error={tried ? wrong.name : undefined} />
      <Field
        label={msg`Date`}
        keyboard="date"
        value={date}
        onChange={setDate}
        error={tried ? wrong.date : undefined}
      />
      {failure ? <Body role="alert" color="$madder">{`▲ ${failure}`}</Body> : null}
      <Button kind="main" disabled={busy} onPress={() => void make()}>{msg`Make it`}</Button>
    </Dialog>
  );
}
