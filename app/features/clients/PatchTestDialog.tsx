import { useState } from 'react';
import {
  messages,
  msg,
  PATCH_PLACES,
  PATCH_RESULTS,
  productFinder,
  productName,
  term,
  type PatchResult,
  type PatchTest,
} from '@toile/core';
import { newId, patchTestInputSchema, type PatchTestAnswer, type PatchTestInput } from '@toile/contract';
import { call } from '../../data/call';
import { useKit, useRefresh } from '../../data/hooks';
import { useSaving } from '../../data/useSaving';
import { Body, Button, Choice, Column, Dialog, Field, Label, Ready, Row } from '../../ui';
import { instantInWords, todayText } from '../words/dates';
import { patchTestInWords } from './patchTestView';

const RESULT_WORDS: Readonly<Record<PatchResult, string>> = messages({
  clear: 'nothing to see',
  reacted: 'it reacted',
  unsure: 'not sure',
});
/** Products shown at once: the rest is found by typing. */
const SHOWN = 6;

type PatchTestDialogProps = {
  readonly clientId: string;
  /** null: one is planned anew. */
  readonly test: PatchTestAnswer | null;
  readonly onClose: () => void;
};

/**
 * A patch test planned, laid, read. It never says what something is: that is for whoever treats the client.
 */
export function PatchTestDialog({ clientId, test, onClose }: PatchTestDialogProps) {
  return (
    <Dialog title={test ? test.product : msg`Plan a patch test`} onClose={onClose}>
      {test ? <Reading test={test} onClose={onClose} /> : <Planning clientId={clientId} onClose={onClose} />}
      <Label>{msg`A test says what was seen on this skin, no more. Follow the maker’s directions and local rules; where something was seen, leave the product out and ask whoever treats the client.`}</Label>
    </Dialog>
  );
}

function Planning({ clientId, onClose }: { readonly clientId: string; readonly onClose: () => void }) {
  const kit = useKit();
  const refresh = useRefresh();
  const [find, setFind] = useState('');
  const [form, setForm] = useState({
    productId: '',
    place: PATCH_PLACES[0] as PatchTest['place'],
    plannedFor: todayText(),
    note: '',
  });
  const { busy, failure, errors, save } = useSaving();
  const set = (change: Partial<typeof form>): void => setForm((f) => ({ ...f, ...change }));
  const plan = async (laid: boolean): Promise<void> => {
    const kept = await save(async () => {
      const laidAt = laid ? new Date().toISOString() : null;
      const sent = { id: newId(), ...form, productId: form.productId || undefined, laidAt };
      const body = await patchTestInputSchema.validate(sent, { abortEarly: false });
      return call('createPatchTest', { params: { id: clientId }, body });
    });
    if (!kept) return;
    await refresh();
    onClose();
  };
  return (
    <>
      <Ready remote={kit}>
        {({ products }) => {
          const chosen = products.find((p) => p.id === form.productId);
          const shown = products
            .filter((p) => !p.withdrawn)
            .filter(productFinder(find))
            .slice(0, SHOWN);
          return (
            <Column gap="$1">
              {chosen ? (
                <Row
                  title={productName(chosen)}
                  detail={msg`Touch to choose another`}
                  chosen
                  onPress={() => set({ productId: '' })}
                />
              ) : (
                <>
                  <Field
                    label={msg`Which product`}
                    value={find}
                    onChange={setFind}
                    error={errors.productId}
                    hint={msg`Part of its name`}
                  />
                  {find.trim() === ''
                    ? null
                    : shown.map((p) => (
                        <Row
                          key={p.id}
                          title={productName(p)}
                          detail={term(p.kind)}
                          onPress={() => set({ productId: p.id })}
                        />
                      ))}
                </>
              )}
            </Column>
          );
        }}
      </Ready>
      <Choice
        label={msg`Where it is laid`}
        options={PATCH_PLACES}
        chosen={[form.place]}
        onChange={([place]) => place && set({ place })}
      />
      <Field
        label={msg`Day`}
        keyboard="date"
        value={form.plannedFor}
        onChange={(plannedFor) => set({ plannedFor })}
        error={errors.plannedFor}
      />
      <Field label={msg`Note`} value={form.note} onChange={(note) => set({ note })} lines={2} />
      {failure ? <Body role="alert" color="$madder">{`▲ ${failure}`}</Body> : null}
      <Button kind="main" disabled={busy} onPress={() => void plan(false)}>{msg`Plan it`}</Button>
      <Button disabled={busy} onPress={() => void plan(true)}>{msg`It is laid now`}</Button>
    </>
  );
}

function Reading({ test, onClose }: { readonly test: PatchTestAnswer; readonly onClose: () => void }) {
  const refresh = useRefresh();
  const [result, setResult] = useState<PatchResult | null>(null);
  const [note, setNote] = useState('');
  const { busy, failure, save } = useSaving();
  const { clientId: _client, product: _product, revision, readings, ...plan } = test;
  const seen = readings.map(({ by: _by, ...reading }) => reading);
  const put = async (change: Partial<PatchTestInput>): Promise<void> => {
    const kept = await save(async () => {
      const body = await patchTestInputSchema.validate(
        { ...plan, readings: seen, ...change },
        { abortEarly: false },
      );
      return call('updatePatchTest', { params: { id: test.id }, body, revision });
    });
    await refresh();
    if (kept) onClose();
  };
  return (
    <>
      <Body>{patchTestInWords(test, new Date(), todayText())}</Body>
      {test.laidAt ? <Label>{msg`Laid ${instantInWords(test.laidAt)}`}</Label> : null}
      {test.note ? <Label>{test.note}</Label> : null}
      {readings.map((reading) => (
        <Label key={reading.at}>
          {`${instantInWords(reading.at)}, ${reading.by}: ${RESULT_WORDS[reading.result]}${reading.note ? `. ${reading.note}` : ''}`}
        </Label>
      ))}
      {failure ? <Body role="alert" color="$madder">{`▲ ${failure}`}</Body> : null}
      {test.laidAt === null ? (
        <Button
          kind="main"
          disabled={busy}
          onPress={() => void put({ laidAt: new Date().toISOString() })}
        >{msg`It is laid now`}</Button>
      ) : (
        <>
          <Choice
            label={msg`What is seen now`}
            options={PATCH_RESULTS}
            words={RESULT_WORDS}
            chosen={result ? [result] : []}
            onChange={([seenNow]) => setResult(seenNow ?? null)}
          />
          <Field label={msg`Note on it`} value={note} onChange={setNote} lines={2} />
          <Button
            kind="main"
            disabled={busy || result === null}
            onPress={() =>
              result && void put({ readings: [...seen, { at: new Date().toISOString(), result, note }] })
            }
          >{msg`Note what was seen`}</Button>
          <Label>{msg`What was noted stays; another reading is added to it.`}</Label>
        </>
      )}
    </>
  );
}
