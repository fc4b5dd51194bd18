import { OCCASIONS } from '@toile/core';
import { newId, visitInputSchema } from '@toile/contract';
import { call } from '../../data/call';
import { useRefresh } from '../../data/hooks';
import { useSaving } from '../../data/useSaving';
import { useDraft } from '../../data/useDraft';
import { Body, Button, Choice, Column, DraftNote, Field, Line, View } from '../../ui';

/** Books a visit: what for, when, where. */
export function BookVisit({
  clientId,
  onBooked,
}: {
  readonly clientId: string;
  readonly onBooked: () => void;
}) {
  const refresh = useRefresh();
  const draft = useDraft(`visit of ${clientId}`, () => ({
    id: newId(),
    clientId,
    kind: 'trial',
    date: '',
    startsAt: '',
    readyBy: '',
    place: '',
  }));
  const { value: form, set: setForm } = draft;
  const { busy, failure, errors, save } = useSaving();
  const set = (field: 'date' | 'startsAt' | 'readyBy' | 'place') => (value: string) =>
    setForm((f) => ({ ...f, [field]: value }));
  const book = async (): Promise<void> => {
    await save(async () => {
      const body = await visitInputSchema.validate(
        { ...form, readyBy: form.readyBy === '' ? null : form.readyBy },
        { abortEarly: false },
      );
      await call('createVisit', { body });
      draft.drop();
      await refresh();
      onBooked();
    });
  };
  return (
    <Column gap="$3" backgroundColor="$surface" padding="$3" borderTopWidth={2} borderTopColor="$ink">
      <DraftNote {...draft} />
      <Choice
        label="What for"
        options={OCCASIONS}
        chosen={OCCASIONS.filter((o) => o === form.kind)}
        onChange={([kind]) => kind && setForm((f) => ({ ...f, kind }))}
      />
      <Field label="Date" value={form.date} onChange={set('date')} keyboard="date" error={errors.date} />
      <Line flexWrap="nowrap" alignItems="flex-start">
        <View flex={1}>
          <Field
            label="Starts at"
            value={form.startsAt}
            onChange={set('startsAt')}
            keyboard="time"
            error={errors.startsAt}
          />
        </View>
        <View flex={1}>
          <Field
            label="Ready by"
            value={form.readyBy}
            onChange={set('readyBy')}
            keyboard="time"
            error={errors.readyBy}
          />
        </View>
      </Line>
      <Field label="Place" value={form.place} onChange={set('place')} error={errors.place} />
      {failure ? <Body role="alert" color="$madder">{`▲ ${failure}`}</Body> : null}
      <Button kind="main" disabled={busy} onPress={() => void book()}>
        Book
      </Button>
    </Column>
  );
}
