import { msg } from '@toile/core';
import { Body, Button, Column, Label, Line, Progress, Subheading } from '../../ui';
import type { Offered } from '../../workers/planJobs';
import { helperWords, withoutWords } from './partyView';
import type { DayWork } from './useDay';

type HelpersPanelProps = {
  readonly more: NonNullable<DayWork['more']>;
  readonly busy: boolean;
  readonly onTake: (way: Offered) => void;
};

/** What one more pair of hands would buy, each to be taken by a touch. */
export function HelpersPanel({ more, busy, onTake }: HelpersPanelProps) {
  const found = more.answer;
  return (
    <Column gap="$2" role="group" aria-label={msg`One more pair of hands`} aria-live="polite">
      <Subheading>{msg`One more pair of hands`}</Subheading>
      <Label>{msg`As quick as the slowest there is, with a chair of their own; planned anew with room for delay, and played on the same days.`}</Label>
      {more.busy ? (
        <Progress words={msg`Trying the day with one more`} share={more.share} onStop={more.stop} />
      ) : null}
      {found ? <Body>{withoutWords(found.without)}</Body> : null}
      {found?.helpers.map((one) => (
        <Line key={one.words} flexWrap="nowrap" gap="$3">
          <Body flex={1}>{helperWords(one)}</Body>
          <Button
            label={msg`Plan with ${one.words.toLowerCase()}`}
            disabled={busy}
            onPress={() => onTake(one)}
          >{msg`Plan with them`}</Button>
        </Line>
      ))}
      {more.error ? <Body role="alert" color="$madder">{`▲ ${more.error}`}</Body> : null}
    </Column>
  );
}
