import { useRouter } from 'expo-router';
import { useState } from 'react';
import {
  LAYER_KINDS,
  LAYER_LOOKS,
  lookTakenDown,
  msg,
  usualTaken,
  type LayerKind,
  type TakenStep,
} from '@toile/core';
import { newId } from '@toile/contract';
import { call } from '../../data/call';
import { useRefresh, useSession } from '../../data/hooks';
import { useDraft } from '../../data/useDraft';
import { useSaving } from '../../data/useSaving';
import { Body, Button, Choice, Column, DraftNote, Field, Label, Line, Row, Screen } from '../../ui';
import { Notch } from '../face/Notch';
import { movedBy } from '../words/movedBy';
import { TakenStepPart } from './TakenStepPart';
import { takenWords } from './takeDownView';

type Taken = { readonly name: string; readonly steps: readonly TakenStep[] };

/** Somebody else’s look, taken down while watching: one touch a layer, then what was seen of it. */
export function TakeDownScreen() {
  const router = useRouter();
  const refresh = useRefresh();
  const session = useSession();
  const draft = useDraft<Taken>('look, taken down', () => ({ name: '', steps: [] }));
  const { value, set } = draft;
  const [open, setOpen] = useState<number | null>(null);
  const [lookId] = useState(newId);
  const [tried, setTried] = useState(false);
  const { busy, failure, save } = useSaving(msg`Something went wrong. Nothing is lost; try again.`);
  const { steps } = value;
  const withSteps = (next: readonly TakenStep[]): void => set((before) => ({ ...before, steps: next }));
  const add = (role: LayerKind): void => {
    withSteps([...steps, usualTaken(role)]);
    setOpen(steps.length);
  };
  const nameless = value.name.trim() === '';
  const keep = async (): Promise<void> => {
    setTried(true);
    if (nameless || steps.length === 0) return;
    await save(async () => {
      const stamp = {
        id: lookId,
        author: session.data?.name ?? '',
        at: new Date().toISOString(),
        reason: msg`Taken down while watching.`,
      };
      const look = lookTakenDown(value.name, steps, stamp, newId);
      const kept = await call('createLook', { body: { look }, idempotencyKey: `look-${lookId}` });
      draft.drop();
      await refresh({ name: 'look', params: { id: lookId }, answer: kept });
      router.replace(`/looks/${lookId}?ours=1`);
    });
  };
  return (
    <Screen
      title={msg`Take a look down`}
      widest={760}
      onBack={() => router.navigate('/looks')}
      foot={
        <Column gap="$2">
          {failure ? <Body role="alert" color="$madder">{`▲ ${failure}`}</Body> : null}
          {tried && steps.length === 0 ? (
            <Body
              role="alert"
              color="$madder"
            >{msg`▲ Take down at least one step: touch what is laid.`}</Body>
          ) : null}
          <Button kind="main" large disabled={busy} onPress={() => void keep()}>{msg`Keep the look`}</Button>
        </Column>
      }
    >
      <Column gap="$4">
        <DraftNote {...draft} />
        <Label>{msg`Touch what is laid, in the order it is laid. Where, which shade and with what is filled in as is usual; change what you see otherwise.`}</Label>
        <Choice
          label={msg`Now comes`}
          options={LAYER_KINDS}
          words={Object.fromEntries(LAYER_KINDS.map((kind) => [kind, LAYER_LOOKS[kind].name]))}
          chosen={[]}
          onChange={([kind]) => kind && add(kind)}
        />
        <Column gap={0} role="list" aria-label={msg`As it was done`}>
          {steps.map((step, i) => (
            <Column key={i} gap={0} role="listitem">
              <Row
                title={`${i + 1}. ${takenWords(step)}`}
                detail=""
                before={<Notch kind={step.role} number={i + 1} />}
                chosen={open === i}
                onPress={() => setOpen(open === i ? null : i)}
              />
              {open === i ? (
                <Column gap="$3" paddingVertical="$3">
                  <TakenStepPart
                    step={step}
                    onChange={(next) => withSteps(steps.map((one, k) => (k === i ? next : one)))}
                  />
                  <Line>
                    <Button
                      label={msg`Step ${i + 1} earlier`}
                      disabled={i === 0}
                      onPress={() => {
                        withSteps(movedBy(steps, i, -1));
                        setOpen(i - 1);
                      }}
                    >
                      ↑
                    </Button>
                    <Button
                      label={msg`Step ${i + 1} later`}
                      disabled={i === steps.length - 1}
                      onPress={() => {
                        withSteps(movedBy(steps, i, 1));
                        setOpen(i + 1);
                      }}
                    >
                      ↓
                    </Button>
                    <Button
                      onPress={() => {
                        withSteps(steps.filter((_, k) => k !== i));
                        setOpen(null);
                      }}
                    >{msg`Take it out`}</Button>
                  </Line>
                </Column>
              ) : null}
            </Column>
          ))}
        </Column>
        <Field
          label={msg`Name of the look`}
          value={value.name}
          onChange={(name) => set((before) => ({ ...before, name: name.slice(0, 200) }))}
          placeholder={msg`Whose, and where it was seen`}
          error={tried && nameless ? msg`Give the look a name` : undefined}
        />
      </Column>
    </Screen>
  );
}
