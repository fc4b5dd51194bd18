import { useState } from 'react';
import { msg, type Refit } from '@toile/core';
import { Button, Column, Empty, Line, Subheading } from '../../ui';
import { ChangeRow } from './ChangeRow';
import { isChoice, summaryOf } from './repeatView';

type ChangesProps = {
  readonly refit: Refit;
  readonly refused: ReadonlySet<string>;
  readonly onToggle: (id: string) => void;
  /** Takes every change, or none. */
  readonly onAll: (take: boolean) => void;
};

/** What a repeat changes, each to be taken or refused. */
export function Changes({ refit, refused, onToggle, onAll }: ChangesProps) {
  const told = refit.changes.filter((c) => c.kind !== 'keep');
  const [all, setAll] = useState(false);
  const shown = all ? refit.changes : told;
  const choices = refit.changes.filter(isChoice).length;
  return (
    <Column gap="$2">
      <Line justifyContent="space-between">
        <Subheading>{summaryOf(refit.changes)}</Subheading>
        <Button onPress={() => setAll((a) => !a)}>{all ? msg`Only changes` : msg`Show all`}</Button>
      </Line>
      {choices > 1 ? (
        <Line>
          <Button disabled={refused.size === 0} onPress={() => onAll(true)}>
            {msg`Take all ${choices}`}
          </Button>
          <Button
            disabled={refused.size === choices}
            onPress={() => onAll(false)}
          >{msg`Keep all as it was`}</Button>
        </Line>
      ) : null}
      {shown.length === 0 ? (
        <Empty
          title={msg`Nothing has to change`}
          words={msg`Skin, face, kit and products still agree with what was worn.`}
        />
      ) : null}
      {shown.map((change) => (
        <ChangeRow
          key={change.id}
          change={change}
          taken={!refused.has(change.id)}
          onToggle={() => onToggle(change.id)}
        />
      ))}
    </Column>
  );
}
