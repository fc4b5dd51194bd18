import { Controller, type Control } from 'react-hook-form';
import { SENSITIVITIES } from '@toile/core';
import type { ClientForm } from '@toile/contract';
import { Choice, Column, Field, Label } from '../../ui';

/** What is noted beside the sensitivities known by name. */
const ownWords = (noted: readonly string[]): string[] => noted.filter((s) => !SENSITIVITIES.some((known) => known === s));
const splitWords = (text: string): string[] => text.split(',').map((word) => word.replace(/^\s+/, ''));

type TextName = 'name' | 'phone' | 'email' | 'birthYear' | 'guardianConsent' | 'notes';

/** The fields of a client, each with its error beside it; the same for a new client and a known one. */
export function ClientFormFields({ control }: { readonly control: Control<ClientForm> }) {
  const text = (name: TextName, label: string, more: Partial<Parameters<typeof Field>[0]> = {}) => (
    <Controller
      control={control}
      name={name}
      render={({ field, fieldState }) => (
        <Field label={label} value={String(field.value ?? '')} onChange={field.onChange} onBlur={field.onBlur} error={fieldState.error?.message} {...more} />
      )}
    />
  );
  return (
    <Column gap="$4">
      {text('name', 'Name')}
      {text('phone', 'Phone', { keyboard: 'tel' })}
      {text('email', 'Email', { keyboard: 'email' })}
      {text('birthYear', 'Year of birth', { keyboard: 'decimal', hint: 'Needed for minors; may stay empty' })}
      {text('guardianConsent', 'Guardian’s consent', { hint: 'For minors: who agreed, and how' })}
      <Controller
        control={control}
        name="sensitivities"
        render={({ field, fieldState }) => (
          <Column gap="$2">
            <Choice
              label="Sensitive to"
              several
              options={SENSITIVITIES}
              chosen={SENSITIVITIES.filter((s) => field.value.includes(s))}
              onChange={(known) => field.onChange([...known, ...ownWords(field.value)])}
            />
            <Field
              label="Also, in the client’s own words"
              value={ownWords(field.value).join(', ')}
              onChange={(words) => field.onChange([...SENSITIVITIES.filter((s) => field.value.includes(s)), ...splitWords(words)])}
              onBlur={() => field.onChange(field.value.map((s) => s.trim()).filter(Boolean))}
              error={fieldState.error?.message}
              hint="Divided by commas: almonds, tea tree, a certain glue. Each is looked for in ingredient lists."
            />
          </Column>
        )}
      />
      {text('notes', 'Notes', { lines: 3 })}
      <Label>We never diagnose: for skin under treatment, ask whoever treats it.</Label>
    </Column>
  );
}
