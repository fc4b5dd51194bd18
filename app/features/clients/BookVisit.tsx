import { newId, visitInputSchema, type VisitInput } from '@toile/contract';
import { msg } from '@toile/core';
import { call } from '../../data/call';
import { useRefresh } from '../../data/hooks';
import { useSaving } from '../../data/useSaving';
import { useDraft } from '../../data/useDraft';
import { Body, Button, Column, DraftNote } from '../../ui';
import { VisitForm } from './VisitForm';

/** Books a visit: what for, when, where. */
export function BookVisit({
  clientId,
  onBooked,
}: {
  readonly clientId: string;
  readonly onBooked: () => void;
}) {
  const refresh = useRefresh();
  const draft = useDraft(`visit of ${clientId}`, (): VisitInput => ({
    id: newId(),
    clientId,
    kind: 'trial',
    date: '',
    startsAt: '',
    readyBy: null,
    place: '',
    partyId: null,
    state: 'booked',
    reason: '',
    occasion: null,
  }));
  const { busy, failure, errors, save } = useSaving();
  const book = async (): Promise<void> => {
    await save(async () => {
      const body = await visitInputSchema.validate(draft.value, { abortEarly: false });
      await call('createVisit', { body });
      draft.drop();
      await refresh();
      onBooked();
    });
  };
  return (
    <Column gap="$3" backgroundColor="$surface" padding="$3" borderTopWidth={2} borderTopColor="$ink">
      <DraftNote {...draft} />
      <VisitForm form={draft.value} onChange={draft.set} errors={errors} />
      {failure ? <Body role="alert" color="$madder">{`▲ ${failure}`}</Body> : null}
      <Button kind="main" disabled={busy} onPress={() => void book()}>{msg`Book`}</Button>
    </Column>
  );
}
