import { useRouter } from 'expo-router';
import { useState } from 'react';
import {
  messages,
  msg,
  newPlan,
  OCCASION_OF_TEMPLATE,
  PARTY_TEMPLATES,
  type PartyTemplate,
} from '@toile/core';
import { newId, partyInputSchema } from '@toile/contract';
import { call } from '../../data/call';
import { useRefresh, useSession } from '../../data/hooks';
import { useDraft } from '../../data/useDraft';
import { useSaving } from '../../data/useSaving';
import { Body, Button, Choice, Column, DraftNote, Field, Screen } from '../../ui';
import { zoneOfDays } from '../words/dates';

const TEMPLATE_WORDS: Readonly<Record<PartyTemplate, string>> = messages({
  morning: 'a wedding morning, hair beside',
  evening: 'an evening',
  portraits: 'portraits, one after the other',
});

/** A party to begin with: what, when, where, and how such a day usually goes. */
export function NewPartyScreen() {
  const router = useRouter();
  const refresh = useRefresh();
  const session = useSession();
  const { busy, failure, errors, save } = useSaving();
  const [id] = useState(newId);
  const draft = useDraft('new party', () => ({
    name: '',
    date: '',
    place: '',
    notes: '',
    template: 'morning' as PartyTemplate,
  }));
  const { value: form, set: setForm } = draft;
  const set = (field: 'name' | 'date' | 'place' | 'notes') => (text: string) =>
    setForm((f) => ({ ...f, [field]: text }));
  const create = async (): Promise<void> => {
    const { template, ...rest } = form;
    const plan = newPlan(template, {
      place: form.place,
      zone: zoneOfDays(),
      artist: session.data?.name ?? msg`Artist`,
      kind: OCCASION_OF_TEMPLATE[template],
    });
    await save(async () => {
      const body = await partyInputSchema.validate({ id, ...rest, plan }, { abortEarly: false });
      const answer = await call('createParty', { body: { ...body, plan } });
      draft.drop();
      await refresh({ name: 'party', params: { id }, answer });
      router.replace(`/parties/${id}`);
    });
  };
  return (
    <Screen
      title={msg`New party`}
      widest={640}
      onBack={() => router.navigate('/parties')}
      foot={
        <Column gap="$2">
          {failure ? <Body role="alert" color="$madder">{`▲ ${failure}`}</Body> : null}
          <Button
            kind="main"
            large
            disabled={busy}
            onPress={() => void create()}
          >{msg`Save, then add the people`}</Button>
        </Column>
      }
    >
      <Column gap="$3">
        <DraftNote {...draft} />
        <Field
          label={msg`Name`}
          value={form.name}
          onChange={set('name')}
          error={errors.name}
          placeholder={msg`Penhallow wedding`}
        />
        <Field
          label={msg`Date`}
          keyboard="date"
          value={form.date}
          onChange={set('date')}
          error={errors.date}
        />
        <Field
          label={msg`Where people get ready`}
          value={form.place}
          onChange={set('place')}
          error={errors.place}
        />
        <Choice
          label={msg`Begin from`}
          options={PARTY_TEMPLATES}
          words={TEMPLATE_WORDS}
          chosen={[form.template]}
          onChange={([template]) => template && setForm((f) => ({ ...f, template }))}
        />
        <Field label={msg`Notes`} lines={3} value={form.notes} onChange={set('notes')} error={errors.notes} />
      </Column>
    </Screen>
  );
}
