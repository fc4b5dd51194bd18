import { yupResolver } from '@hookform/resolvers/yup';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { useState } from 'react';
import { useForm } from 'react-hook-form';
import { msg, PLAIN_FEATURES } from '@toile/core';
import { clientFormSchema, newId, type ClientForm } from '@toile/contract';
import { call, CallError, fieldErrors } from '../../data/call';
import { useRefresh } from '../../data/hooks';
import { useFormDraft } from '../../data/useDraft';
import { Body, Button, Column, DraftNote, Screen } from '../../ui';
import { AlreadyHere } from './AlreadyHere';
import { ClientFormFields } from './ClientFormFields';

const EMPTY: ClientForm = {
  name: '',
  phone: '',
  email: '',
  birthYear: null,
  guardianConsent: '',
  sensitivities: [],
  notes: '',
};

/** A short form; the face and the skin come after. */
export function NewClientScreen() {
  const router = useRouter();
  const refresh = useRefresh();
  const [id] = useState(newId);
  const [failure, setFailure] = useState<string | null>(null);
  const { name = '' } = useLocalSearchParams<{ name?: string }>();
  const form = useForm({ resolver: yupResolver(clientFormSchema), defaultValues: { ...EMPTY, name } });
  const { control, handleSubmit, setError, formState } = form;
  const draft = useFormDraft(name === '' ? 'new client' : `new client ${name}`, form);

  const save = handleSubmit(async (typed) => {
    setFailure(null);
    try {
      // The id makes a second sending harmless, whatever was changed in between.
      const answer = await call('createClient', {
        body: { ...typed, id, features: PLAIN_FEATURES, measurements: {}, taps: {}, likeness: null },
      });
      draft.drop();
      await refresh({ name: 'client', params: { id }, answer });
      router.replace(`/clients/${id}/trace`);
    } catch (error) {
      for (const [path, message] of Object.entries(fieldErrors(error)))
        setError(path as keyof ClientForm, { message });
      setFailure(error instanceof CallError ? error.message : msg`Something went wrong. Try again.`);
    }
  });

  return (
    <Screen
      title={msg`New client`}
      widest={640}
      onBack={() => router.navigate('/clients')}
      foot={
        <Column gap="$2">
          {failure ? <Body role="alert" color="$madder">{`▲ ${failure}`}</Body> : null}
          <Button
            kind="main"
            large
            onPress={() => void save()}
            disabled={formState.isSubmitting}
          >{msg`Save, then trace the face`}</Button>
        </Column>
      }
    >
      <DraftNote {...draft} />
      <ClientFormFields control={control} underName={(name) => <AlreadyHere name={name} />} />
    </Screen>
  );
}
