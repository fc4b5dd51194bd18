import type { ReactNode } from 'react';
import { Controller, useWatch, type Control } from 'react-hook-form';
import type { ClientForm } from '@toile/contract';
import { msg } from '@toile/core';
import { Column, Field, Label } from '../../ui';
import { SensitivitiesField } from './SensitivitiesField';

type TextName = 'name' | 'phone' | 'email' | 'birthYear' | 'guardianConsent' | 'notes';

/** The fields of a client, each with its error beside it; the same for a new client and a known one. */
export function ClientFormFields({
  control,
  underName,
}: {
  readonly control: Control<ClientForm>;
  /** What is said of the name while it is written. */ readonly underName?: (name: string) => ReactNode;
}) {
  const name = useWatch({ control, name: 'name' });
  const text = (name: TextName, label: string, more: Partial<Parameters<typeof Field>[0]> = {}) => (
    <Controller
      control={control}
      name={name}
      render={({ field, fieldState }) => (
        <Field
          label={label}
          value={String(field.value ?? '')}
          onChange={field.onChange}
          onBlur={field.onBlur}
          error={fieldState.error?.message}
          {...more}
        />
      )}
    />
  );
  return (
    <Column gap="$4">
      {text('name', msg`Name`)}
      {underName?.(name)}
      {text('phone', msg`Phone`, { keyboard: 'tel' })}
      {text('email', msg`Email`, { keyboard: 'email' })}
      {text('birthYear', msg`Year of birth`, {
        keyboard: 'decimal',
        hint: msg`Needed for minors; may stay empty`,
      })}
      {text('guardianConsent', msg`Guardian’s consent`, { hint: msg`For minors: who agreed, and how` })}
      <Controller
        control={control}
        name="sensitivities"
        render={({ field, fieldState }) => (
          <SensitivitiesField
            value={field.value}
            onChange={field.onChange}
            error={fieldState.error?.message}
          />
        )}
      />
      {text('notes', msg`Notes`, { lines: 3 })}
      <Label>{msg`We never diagnose: for skin under treatment, ask whoever treats it.`}</Label>
    </Column>
  );
}
