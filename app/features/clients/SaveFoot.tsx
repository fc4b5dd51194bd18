import type { ClientAnswer } from '@toile/contract';
import { msg } from '@toile/core';
import { Body, Button, Column, Line } from '../../ui';
import type { ClientSaving } from './useSaveClient';

type SaveFootProps = {
  readonly saving: ClientSaving;
  readonly words: string;
  readonly blocked?: boolean;
  readonly onSave: (over?: ClientAnswer) => void;
};

/** The main button of a client's edits; when someone else saved in between, both ways on. */
export function SaveFoot({ saving, words, blocked = false, onSave }: SaveFootProps) {
  const { failure, busy } = saving;
  const theirs = failure?.theirs ?? null;
  return (
    <Column gap="$2">
      {failure ? <Body role="alert" color={theirs ? '$weld' : '$madder'}>{`▲ ${failure.words}`}</Body> : null}
      {theirs ? (
        <Line flexWrap="nowrap">
          <Button grow onPress={saving.takeTheirs}>{msg`Take theirs`}</Button>
          <Button grow kind="main" onPress={() => onSave(theirs)}>{msg`Save mine over it`}</Button>
        </Line>
      ) : (
        <Button kind="main" large disabled={busy || blocked} onPress={() => onSave()}>
          {words}
        </Button>
      )}
    </Column>
  );
}
