import { useState } from 'react';
import { msg } from '@toile/core';
import { Body, Button, Column, Field, Label, Line } from '../../ui';
import type { ReviewLine } from '../../workers/fittingJobs';
import { SEVERITY_MARKS } from './reviewView';

type FindingRowProps = {
  readonly line: ReviewLine;
  readonly editable: boolean;
  readonly onFix: () => void;
  readonly onAccept: (why: string) => void;
  /** Leads to the step; left out where it is open. */
  readonly onSelect?: () => void;
  /** Its number on the face, where it has one. */
  readonly number?: number;
};

/** One finding: what and why, its fix where there is one, or why it stays. */
export function FindingRow({ line, editable, onFix, onAccept, onSelect, number }: FindingRowProps) {
  const [asking, setAsking] = useState(false);
  const [why, setWhy] = useState('');
  const [error, setError] = useState<string | undefined>();
  const accept = (): void => {
    if (why.trim() === '') return setError(msg`Say why it stays, for the next pair of hands`);
    onAccept(why.trim().slice(0, 400));
  };
  return (
    <Column gap="$1" paddingVertical="$2" borderBottomWidth={1} borderBottomColor="$line">
      <Body
        color={line.severity === 'stop' ? '$madder' : line.severity === 'caution' ? '$weld' : '$ink'}
      >{`${SEVERITY_MARKS[line.severity]}${number === undefined ? '' : ` ${number}`} ${line.message}`}</Body>
      <Label>{line.why}</Label>
      <Line>
        {line.fix && editable ? <Button onPress={onFix}>{line.fix}</Button> : null}
        {onSelect && line.stepIds.length > 0 ? (
          <Button onPress={onSelect}>{msg`Show the step`}</Button>
        ) : null}
        {editable ? (
          <Button onPress={() => setAsking((a) => !a)}>{asking ? msg`Not now` : msg`It stays`}</Button>
        ) : null}
      </Line>
      {asking ? (
        <Line flexWrap="nowrap" alignItems="flex-start">
          <Field label={msg`Why it stays`} value={why} onChange={setWhy} error={error} onSubmit={accept} />
          <Button kind="main" onPress={accept}>{msg`Accept`}</Button>
        </Line>
      ) : null}
    </Column>
  );
}
