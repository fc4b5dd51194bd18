import { yupResolver } from '@hookform/resolvers/yup';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { Controller, useForm } from 'react-hook-form';
import { PLAIN_FEATURES, SENSITIVITIES } from '@toile/core';
import { clientFormSchema, newId, type ClientAnswer, type ClientForm } from '@toile/contract';
import { call, CallError, fieldErrors } from '../../data/call';
import { useRefresh } from '../../data/hooks';
import { Body, Button, Choice, Column, Field, Label, Screen } from '../../ui';

/** A short form; the face and the skin come after. */
export function NewClientScreen() {
  const router = useRouter();
  const refresh = useRefresh();
  const [id] = useState(newId);
  const [failure, setFailure] = useState<string | null>(null);
  const { control, handleSubmit, setError, formState } = useForm({
    resolver: yupResolver(clientFormSchema),
    defaultValues: { name: '', phone: '', email: '', birthYear: null, guardianConsent: '', sensitivities: [], notes: '' },
  });

  const save = handleSubmit(async (form) => {
    setFailure(null);
    try {
      const answer = await call<ClientAnswer>('createClient', {
        body: { ...form, id, features: PLAIN_FEATURES, measurements: {} },
        idempotencyKey: `create-${id}-${JSON.stringify(form).length}`,
      });
      await refresh({ name: 'client', params: { id }, answer });
      router.replace(`/clients/${id}/trace`);
    } catch (error) {
      for (const [path, message] of Object.entries(fieldErrors(error))) setError(path as keyof ClientForm, { message });
      setFailure(error instanceof CallError ? error.message : 'Something went wrong. Try again.');
    }
  });

  const text = (
    name: 'name' | 'phone' | 'email' | 'birthYear' | 'guardianConsent' | 'notes',
    label: string,
    more: Partial<Parameters<typeof Field>[0]> = {},
  ) => (
    <Controller
      control={control}
      name={name}
      render={({ field, fieldState }) => (
        <Field label={label} value={String(field.value ?? '')} onChange={field.onChange} onBlur={field.onBlur} error={fieldState.error?.message} {...more} />
      )}
    />
  );

  return (
    <Screen
      title="New client"
      widest={640}
      onBack={() => router.navigate('/clients')}
      foot={
        <Button kind="main" large onPress={() => void save()} disabled={formState.isSubmitting}>
          Save, then trace the face
        </Button>
      }
    >
      <Column gap="$4">
        {text('name', 'Name', { autoFocus: true })}
        {text('phone', 'Phone', { keyboard: 'tel' })}
        {text('email', 'Email', { keyboard: 'email' })}
        {text('birthYear', 'Year of birth', { keyboard: 'decimal', hint: 'Needed for minors; may stay empty' })}
        {text('guardianConsent', 'Guardian’s consent', { hint: 'For minors: who agreed, and how' })}
        <Controller
          control={control}
          name="sensitivities"
          render={({ field }) => (
            <Choice
              label="Sensitive to"
              several
              options={SENSITIVITIES}
              chosen={SENSITIVITIES.filter((s) => field.value.includes(s))}
              onChange={field.onChange}
            />
          )}
        />
        {text('notes', 'Notes', { lines: 3 })}
        <Label>We never diagnose: for skin under treatment, ask whoever treats it.</Label>
        {failure ? <Body role="alert" color="$madder">{`▲ ${failure}`}</Body> : null}
      </Column>
    </Screen>
  );
}
