import { useState } from 'react';
import { sensitivitiesFromText, type Consult, type ConsultQuestion } from '@toile/core';
import { Choice, Field } from '../../ui';

type QuestionFieldProps = {
  readonly question: ConsultQuestion;
  readonly answers: Consult;
  readonly onChange: (answers: Consult) => void;
  readonly error?: string | undefined;
};

const YES_NO = ['yes', 'no'] as const;
/** An answer that is empty is none. */
const without = (answers: Consult, key: ConsultQuestion['key']): Consult => {
  const { [key]: _gone, ...rest } = answers;
  return rest;
};

/** One question of a first talk, the same at the table and on a client's own phone. */
export function QuestionField({ question, answers, onChange, error }: QuestionFieldProps) {
  const { key, asks, kind, hint } = question;
  const value = answers[key];
  const set = (next: unknown): void =>
    onChange(next === undefined ? without(answers, key) : ({ ...answers, [key]: next } as Consult));
  // What is typed of a list or a number is kept as typed: read back it would lose its last comma.
  const [typed, setTyped] = useState(() => (Array.isArray(value) ? value.join(', ') : String(value ?? '')));
  switch (kind) {
    case 'yes or no':
      return (
        <Choice
          label={asks}
          options={YES_NO}
          chosen={value === undefined ? [] : [value ? 'yes' : 'no']}
          onChange={([answer]) => set(answer === 'yes')}
        />
      );
    case 'one':
      return (
        <Choice
          label={asks}
          options={question.options}
          chosen={typeof value === 'string' ? [value] : []}
          onChange={([answer]) => set(answer)}
        />
      );
    case 'several':
      return (
        <Choice
          label={asks}
          several
          options={question.options}
          chosen={Array.isArray(value) ? value : []}
          // Taken away again to the last it is an answer too: none of them, which clears what was noted.
          onChange={set}
        />
      );
    case 'hours':
      return (
        <Field
          label={asks}
          keyboard="decimal"
          value={typed}
          error={error}
          onChange={(text) => {
            setTyped(text);
            const hours = Number(text.replace(',', '.'));
            set(text.trim() === '' || !Number.isFinite(hours) ? undefined : hours);
          }}
        />
      );
    case 'list':
      return (
        <Field
          label={asks}
          hint={hint}
          value={typed}
          error={error}
          onChange={(text) => {
            setTyped(text);
            const words = sensitivitiesFromText(text);
            set(words.length > 0 ? words : undefined);
          }}
        />
      );
    case 'words':
    case 'line':
      return (
        <Field
          label={asks}
          hint={hint}
          lines={kind === 'words' ? 2 : undefined}
          value={typeof value === 'string' ? value : ''}
          error={error}
          onChange={(text) => set(text === '' ? undefined : text)}
        />
      );
  }
}
