import { useRouter } from 'expo-router';
import { useState } from 'react';
import {
  CHARTS_OF_ERASED,
  eraseClientSchema,
  type ClientAnswer,
  type EraseClient,
  type ErasureAnswer,
} from '@toile/contract';
import { msg, plural } from '@toile/core';
import { call } from '../../data/call';
import { dropDraftsOf } from '../../data/drafts';
import { useErasure, useRefresh } from '../../data/hooks';
import { forgetWhatWasRead } from '../../data/offline';
import { dropPhotosOf } from '../../data/photos';
import { useSaving } from '../../data/useSaving';
import { Body, Button, Choice, Dialog, Field, Label, Ready } from '../../ui';

/** What erasing takes, in words: '3 readings, 2 visits and 1 patch test'. */
export function takenInWords(take: ErasureAnswer): string {
  const { readings, visits, patchTests, incidents, wearChecks, trials, compacts, photographs, intakes } =
    take;
  const parts = [
    [readings, plural(readings)`${readings} reading|${readings} readings`],
    [visits, plural(visits)`${visits} visit|${visits} visits`],
    [patchTests, plural(patchTests)`${patchTests} patch test|${patchTests} patch tests`],
    [incidents, plural(incidents)`${incidents} incident|${incidents} incidents`],
    [wearChecks, plural(wearChecks)`${wearChecks} look at how it wore|${wearChecks} looks at how it wore`],
    [trials, plural(trials)`${trials} half-face trial|${trials} half-face trials`],
    [compacts, plural(compacts)`${compacts} compact|${compacts} compacts`],
    [
      photographs,
      plural(
        photographs,
      )`${photographs} photograph kept with the studio|${photographs} photographs kept with the studio`,
    ],
    [intakes, plural(intakes)`${intakes} first talk by link|${intakes} first talks by link`],
  ].flatMap(([count, words]) => (count === 0 ? [] : [words!]));
  const own = msg`contact, notes, face and what is sensitive`;
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
    <Dialog title={msg`Erase ${client.name}`} onClose={onClose}>
      <Ready remote={erasure}>
        {(take) => (
          <>
            <Body>{msg`Gone for good: ${takenInWords(take)}.`}</Body>
            {take.versions > 0 ? (
              <>
                <Choice
                  label={msg`What becomes of ${plural(take.charts)`${take.charts} chart|${take.charts} charts`} in ${plural(take.versions)`${take.versions} version|${take.versions} versions`}`}
                  options={CHARTS_OF_ERASED}
                  chosen={[charts]}
                  onChange={([one]) => one && setCharts(one)}
                />
                <Label>
                  {charts === 'kept without the person'
                    ? msg`Kept: products, places, amounts and order, on a skin of that colour. Name, face, notes and reasons go.`
                    : msg`With them goes what was learned from them of times and amounts.`}
                </Label>
              </>
            ) : null}
            {take.parties > 0 ? (
              <Label>{msg`In ${plural(take.parties)`${take.parties} party|${take.parties} parties`} the name becomes Somebody.`}</Label>
            ) : null}
            {take.elsewhere.length > 0 ? (
              <Body color="$weld">{msg`▲ The name stands in the record of ${take.elsewhere.join(', ')} too, as a guardian or in a note. That record is theirs: change it there.`}</Body>
            ) : null}
            <Label>{msg`Photographs on this device go too; on another phone they stay until whoever is signed in there signs out. Files saved before, printed pages and other phones that have not been online since keep what they have. What the law asks to be kept, and how long, is the studio’s to know.`}</Label>
            <Field label={msg`Write ${client.name}`} value={name} onChange={setName} error={errors.name} />
            {failure && !errors.name ? <Body role="alert" color="$madder">{`▲ ${failure}`}</Body> : null}
            <Button kind="stop" disabled={busy} onPress={() => void erase()}>{msg`Erase for good`}</Button>
          </>
        )}
      </Ready>
    </Dialog>
  );
}
