import { msg, type Conflict, type RecordedEvent, type Step } from '@toile/core';
import { Body, Button, Column, Label, Subheading } from '../../ui';
import { deviationInWords } from './chairView';
import { instantInWords } from '../words/dates';

type ConflictPanelProps = {
  readonly conflict: Conflict;
  readonly step: Step;
  /** Keeps one of the two versions; the other no longer counts. */
  readonly onKeep: (kept: RecordedEvent) => void;
};

/** Two phones have recorded what cannot both be so: both versions, and which is kept. */
export function ConflictPanel({ conflict: { one, other }, step, onKeep }: ConflictPanelProps) {
  return (
    <Column
      margin="$3"
      padding="$3"
      gap="$2"
      borderWidth={2}
      borderColor="$madder"
      backgroundColor="$surface"
      role="alert"
    >
      <Subheading>{msg`▲ Two versions of ${step.title.toLowerCase()}`}</Subheading>
      <Body>{msg`Recorded on two devices, neither of which knew of the other. Which one is so?`}</Body>
      {[one, other].map((event) => (
        <Column key={event.id} gap="$1" borderTopWidth={1} borderTopColor="$line" paddingTop="$2">
          <Body fontWeight="700">{eventInWords(event)}</Body>
          <Label>{`${event.by}, ${instantInWords(event.at)}`}</Label>
          <Button
            label={msg`Keep: ${eventInWords(event)}, ${event.by}`}
            onPress={() => onKeep(event)}
          >{msg`Keep this one`}</Button>
        </Column>
      ))}
    </Column>
  );
}

function eventInWords(event: RecordedEvent): string {
  if (event.kind === 'deviation') return deviationInWords(event.deviation);
  return event.kind === 'done' ? msg`Done` : msg`Not done yet`;
}
