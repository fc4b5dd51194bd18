import { useState } from 'react';
import { isAsked, msg, occasionInWords } from '@toile/core';
import { visitInputSchema, type VisitAnswer, type VisitInput } from '@toile/contract';
import { call, currentOf } from '../../data/call';
import { useRefresh } from '../../data/hooks';
import { useSaving } from '../../data/useSaving';
import { Body, Button, Column, Dialog, Label } from '../../ui';
import { OccasionDialog } from '../occasion/OccasionDialog';
import { occasionOfVisit } from '../occasion/occasionView';
import { VisitForm } from './VisitForm';
import { withHours } from '../words/dates';

const inputOf = ({
  chartId: _chart,
  clientName: _name,
  revision: _revision,
  bookedOn: _booked,
  runUp: _runUp,
  partyOccasion: _partys,
  ...visit
}: VisitAnswer): VisitInput => visit;

/** A visit moved, cancelled with why, brought back, done; and what its day asks. */
export function VisitDialog({
  visit,
  onClose,
}: {
  readonly visit: VisitAnswer;
  readonly onClose: () => void;
}) {
  const refresh = useRefresh();
  const [form, setForm] = useState(() => inputOf(visit));
  const [revision, setRevision] = useState(visit.revision);
  const [asking, setAsking] = useState(false);
  const { busy, failure, errors, save } = useSaving();
  const occasion = occasionOfVisit({ ...visit, ...form }, form.date);
  const keep = async (): Promise<void> => {
    const kept = await save(async () => {
      const body = await visitInputSchema.validate(form, { abortEarly: false });
      try {
        return await call('updateVisit', { params: { id: visit.id }, body, revision });
      } catch (error) {
        // What was typed stays; saved again it stands over what came in between.
        const current = currentOf('updateVisit', error);
        if (current) setRevision(current.revision);
        throw error;
      }
    });
    if (!kept) return;
    await refresh();
    onClose();
  };
  return (
    <Dialog title={msg`The visit`} onClose={onClose}>
      <VisitForm form={form} onChange={setForm} errors={errors} />
      <Column gap="$1" alignItems="flex-start">
        <Label>{msg`What the day asks`}</Label>
        <Body>{`${withHours(occasionInWords(occasion))}.`}</Body>
        <Label color={isAsked(occasion) ? '$inkSoft' : '$weld'}>
          {isAsked(occasion) ? msg`✓ Asked and noted.` : msg`▲ Nobody was asked yet: this is what is usual.`}
        </Label>
        <Button onPress={() => setAsking(true)}>{msg`Ask about the day`}</Button>
      </Column>
      {failure ? <Body role="alert" color="$madder">{`▲ ${failure}`}</Body> : null}
      <Button kind="main" disabled={busy} onPress={() => void keep()}>{msg`Save the visit`}</Button>
      {asking ? (
        <OccasionDialog
          start={occasion}
          booked
          onKeep={(said) =>
            setForm((f) => ({ ...f, occasion: { ...said, kind: occasion.kind, date: f.date } }))
          }
          onClose={() => setAsking(false)}
        />
      ) : null}
    </Dialog>
  );
}
