import { useRouter } from 'expo-router';
import { useState } from 'react';
import { lookFromChart, msg, PARTS, stepsForLook, term, type Chart, type PartOfLook } from '@toile/core';
import { newId } from '@toile/contract';
import { call } from '../../data/call';
import { useChart, useKit, useRefresh, useSession } from '../../data/hooks';
import { useDraft } from '../../data/useDraft';
import { useSaving } from '../../data/useSaving';
import { Body, Button, Choice, Column, DraftNote, Label, Ready, Screen, Subheading } from '../../ui';
import { Notch } from '../face/Notch';
import { EMPTY_LOOK_FORM, errorsOf, forbidsOfForm, type LookForm, tagsOf } from './lookForm';
import { LookFormFields } from './LookFormFields';

/** Cuts a look from a chart: what makes it that look, what may be left out, what it never has. */
export function MakeLookScreen({ id }: { readonly id: string }) {
  const answer = useChart(id);
  const router = useRouter();
  if (answer.data) return <Make chart={answer.data.chart} />;
  return (
    <Screen title={msg`Make a look`} onBack={() => router.navigate(`/charts/${id}`)}>
      <Ready remote={answer}>{() => null}</Ready>
    </Screen>
  );
}

function Make({ chart }: { readonly chart: Chart }) {
  const router = useRouter();
  const refresh = useRefresh();
  const session = useSession();
  const kit = useKit().data ?? null;
  const draft = useDraft<LookForm>(`look of chart ${chart.id} ${chart.version}`, () => ({
    ...EMPTY_LOOK_FORM,
    description: msg`From ${chart.look.name}`,
    finishes: chart.forbids?.finishes ?? [],
    kinds: chart.forbids?.kinds ?? [],
    places: chart.forbids?.places ?? [],
    shapes: chart.forbids?.shapes ?? [],
  }));
  const { value: form, set: setForm } = draft;
  const [parts, setParts] = useState<Readonly<Record<string, PartOfLook>>>({});
  const [lookId] = useState(newId);
  const [tried, setTried] = useState(false);
  const { busy, failure, save: keep } = useSaving(msg`Something went wrong. Nothing is lost; try again.`);
  const errors = errorsOf(form);
  const steps = stepsForLook(chart);

  const save = async (): Promise<void> => {
    setTried(true);
    if (Object.keys(errors).length > 0) return;
    await keep(async () => {
      const stamp = {
        id: lookId,
        author: session.data?.name ?? '',
        at: new Date().toISOString(),
        reason: msg`Cut from a chart for a ${term(chart.occasion.kind)}.`,
      };
      const choices = {
        name: form.name.trim(),
        description: form.description.trim(),
        tags: tagsOf(form),
        parts,
        forbids: forbidsOfForm(form),
      };
      const kept = await call('createLook', {
        body: { look: lookFromChart(chart, choices, stamp, kit) },
        idempotencyKey: `look-${lookId}`,
      });
      draft.drop();
      await refresh({ name: 'look', params: { id: lookId }, answer: kept });
      router.replace(`/looks/${lookId}`);
    });
  };

  return (
    <Screen
      title={msg`Make a look`}
      above={msg`from ${chart.client.name}’s chart`}
      onBack={() => router.navigate(`/charts/${chart.id}`)}
      widest={760}
      foot={
        <Column gap="$2">
          {failure ? <Body role="alert" color="$madder">{`▲ ${failure}`}</Body> : null}
          <Button kind="main" large disabled={busy} onPress={() => void save()}>{msg`Keep the look`}</Button>
        </Column>
      }
    >
      <Column gap="$4">
        <DraftNote {...draft} />
        <LookFormFields form={form} onChange={setForm} errors={tried ? errors : {}} />
        <Column gap="$1">
          <Subheading>{msg`What makes it this look`}</Subheading>
          <Label>{msg`Essential steps keep texture and finish. Free ones may be left out. What is forbidden is never proposed. What was asked by this client or this day alone is not the look’s.`}</Label>
        </Column>
        {steps.map(({ step, part, why }, i) => (
          <Column key={step.id} gap="$1" borderTopWidth={1} borderTopColor="$line">
            <Column flexDirection="row" gap="$2" alignItems="flex-start">
              <Notch kind={step.role} number={i + 1} />
              <Column gap={0} flex={1} paddingTop="$2">
                <Body>{step.title}</Body>
                {why === null ? null : <Label>{why}</Label>}
              </Column>
            </Column>
            <Choice
              label={msg`${step.title} is`}
              options={PARTS}
              chosen={[parts[step.id] ?? part]}
              onChange={([chosen]) => chosen && setParts((all) => ({ ...all, [step.id]: chosen }))}
            />
          </Column>
        ))}
      </Column>
    </Screen>
  );
}
