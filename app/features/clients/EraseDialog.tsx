import { useRouter } from 'expo-router';
import { useState } from 'react';
import {
  CHARTS_OF_ERASED,
  eraseClientSchema,
  type ClientAnswer,
  type EraseClient,
  type ErasureAnswer,
} from '@toile/contract';
import { call } from '../../data/call';
import { dropDraftsOf } from '../../data/drafts';
import { useErasure, useRefresh } from '../../data/hooks';
import { forgetWhatWasRead } from '../../data/offline';
import { dropPhotosOf } from '../../data/photos';
import { useSaving } from '../../data/useSaving';
import { Body, Button, Choice, Dialog, Field, Label, Ready } from '../../ui';

const counted = (n: number, one: string, many = `${one}s`): string | null =>
  n === 0 ? null : `${n} ${n === 1 ? one : many}`;

/** What erasing takes, in words: '3 readings, 2 visits and 1 patch test'. */
export function takenInWords(take: ErasureAnswer): string {
  const parts = [
    counted(take.readings, 'reading'),
    counted(take.visits, 'visit'),
    counted(take.patchTests, 'patch test'),
    counted(take.incidents, 'incident'),
    counted(take.wearChecks, 'look at how it wore', 'looks at how it wore'),
    counted(take.trials, 'half-face trial'),
    counted(take.compacts, 'compact'),
    counted(take.photographs, 'photograph kept with the studio', 'photographs kept with the studio'),
    counted(take.intakes, 'first talk by link', 'first talks by link'),
  ].filter((part) => part !== null);
  const own = 'contact, notes, face and what is sensitive';
  return parts.length === 0 ? own : `${own}; ${parts.join(', ')}`;
}

/** Erases a client: what will happen is said first, and the name is typed again. */
export function EraseDialog({
  client,
  onClose,
}: {
  readonly client: ClientAnswer;
  readonly onClose: () => void;
}) {
  const router = useRouter();
  const refresh = useRefresh();
  const erasure = useErasure(client.id);
  const [name, setName] = useState('');
  const [charts, setCharts] = useState<EraseClient['charts']>('kept without the person');
  const { busy, failure, errors, save } = useSaving();
  const erase = (): Promise<unknown> =>
    save(async () => {
      const body = await eraseClientSchema.validate({ name, charts }, { abortEarly: false });
      await call('eraseClient', { params: { id: client.id }, body });
      // Neither a page that was read before nor a form that was begun keeps what was just erased.
      dropDraftsOf([client.id, client.name, ...client.charts.map(({ id }) => id)]);
      await forgetWhatWasRead();
      await dropPhotosOf(client.id);
      router.replace('/clients');
      await refresh();
    });
  return (
    <Dialog title={`Erase ${client.name}`} onClose={onClose}>
      <Ready remote={erasure}>
        {(take) => (
          <>
            <Body>{`Gone for good: ${takenInWords(take)}.`}</Body>
            {take.versions > 0 ? (
              <>
                <Choice
                  label={`What becomes of ${counted(take.charts, 'chart')} in ${counted(take.versions, 'version')}`}
                  options={CHARTS_OF_ERASED}
                  chosen={[charts]}
                  onChange={([one]) => one && setCharts(one)}
                />
                <Label>
                  {charts === 'kept without the person'
                    ? 'Kept: products, places, amounts and order, on a skin of that colour. Name, face, notes and reasons go.'
                    : 'With them goes what was learned from them of times and amounts.'}
                </Label>
              </>
            ) : null}
            {take.parties > 0 ? (
              <Label>{`In ${counted(take.parties, 'party', 'parties')} the name becomes Somebody.`}</Label>
            ) : null}
            {take.elsewhere.length > 0 ? (
              <Body color="$weld">{`▲ The name stands in the record of ${take.elsewhere.join(', ')} too, as a guardian or in a note. That record is theirs: change it there.`}</Body>
            ) : null}
            <Label>
              Photographs on this device go too; on another phone they stay until whoever is signed in there
              signs out. Files saved before, printed pages and other phones that have not been online since
              keep what they have. What the law asks to be kept, and how long, is the studio’s to know.
            </Label>
            <Field label={`Write ${client.name}`} value={name} onChange={setName} error={errors.name} />
            {failure && !errors.name ? <Body role="alert" color="$madder">{`▲ ${failure}`}</Body> : null}
            <Button kind="stop" disabled={busy} onPress={() => void erase()}>
              Erase for good
            </Button>
          </>
        )}
      </Ready>
    </Dialog>
  );
}
