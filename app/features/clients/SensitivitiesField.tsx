import { useState } from 'react';
import { msg, SENSITIVITIES } from '@toile/core';
import { Choice, Column, Field, Label } from '../../ui';
import { inOwnWords, knownByName, noted, onlyAsWritten } from './sensitivities';

type SensitivitiesFieldProps = {
  readonly value: readonly string[];
  readonly error: string | undefined;
  readonly onChange: (sensitivities: string[]) => void;
};

/**
 * Sensitivities known by name, and whatever else she names. The words stay as they are typed: 'latex glue' is
 * not 'latex' on the way.
 */
export function SensitivitiesField({ value, error, onChange }: SensitivitiesFieldProps) {
  const [known, setKnown] = useState(() => knownByName(value));
  const [words, setWords] = useState(() => inOwnWords(value));
  const unknown = onlyAsWritten(words);
  return (
    <Column gap="$2">
      <Choice
        label={msg`Sensitive to`}
        several
        options={SENSITIVITIES}
        chosen={known}
        onChange={(chosen) => {
          setKnown(chosen);
          onChange(noted(chosen, words));
        }}
      />
      <Field
        label={msg`Also, in the client’s own words`}
        value={words}
        onChange={(typed) => {
          setWords(typed);
          onChange(noted(known, typed));
        }}
        error={error}
        hint={msg`Divided by commas: almonds, tea tree, a certain glue. Each is looked for in ingredient lists.`}
      />
      {unknown.length > 0 ? (
        <Label role="status">
          {msg`Only looked for as written: ${unknown.join(', ')}. Lists may call it otherwise; read the maker’s own.`}
        </Label>
      ) : null}
    </Column>
  );
}
