import { useState } from 'react';
import { isAsked, msg, occasionInWords, term, type Occasion } from '@toile/core';
import { Body, Button, Column, Field, Label, Line } from '../../ui';
import { capital } from '../words/capital';
import { OccasionDialog } from './OccasionDialog';
import { occasionErrors } from './occasionView';
import { withHours } from '../words/dates';

type OccasionCardProps = {
  readonly value: Occasion;
  readonly onChange: (occasion: Occasion) => void;
  /** Its day is set elsewhere. */
  readonly dayIsSet?: boolean;
};

/**
 * The day a look is fitted for, in two lines: what is only usual says so, and is taken by one touch or
 * changed.
 */
export function OccasionCard({ value, onChange, dayIsSet = false }: OccasionCardProps) {
  const [open, setOpen] = useState(false);
  const asked = isAsked(value);
  const dateError = occasionErrors(value).date;
  return (
    <Column gap="$2" backgroundColor="$surface" padding="$3" borderWidth={1} borderColor="$line">
      {dayIsSet ? null : (
        <Field
          label={msg`Date`}
          keyboard="date"
          value={value.date}
          onChange={(date) => onChange({ ...value, date })}
          error={dateError}
        />
      )}
      <Body fontWeight="700">{[capital(term(value.kind)), value.place].filter(Boolean).join(', ')}</Body>
      <Body>{`${withHours(occasionInWords(value))}.`}</Body>
      <Label color={asked ? '$inkSoft' : '$weld'}>
        {asked
          ? msg`✓ Asked and noted.`
          : msg`▲ Nobody was asked yet: this is what is usual. It decides what has to hold.`}
      </Label>
      <Line>
        {asked || dateError ? null : (
          <Button onPress={() => onChange({ ...value, asked: true })}>{msg`That is so`}</Button>
        )}
        <Button label={msg`Change the occasion`} onPress={() => setOpen(true)}>{msg`Change`}</Button>
      </Line>
      {open ? (
        <OccasionDialog start={value} dayIsSet={dayIsSet} onClose={() => setOpen(false)} onKeep={onChange} />
      ) : null}
    </Column>
  );
}
