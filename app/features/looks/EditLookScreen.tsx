import { useRouter } from 'expo-router';
import { useState } from 'react';
import type { Look } from '@toile/core';
import { call } from '../../data/call';
import { useLook, useRefresh } from '../../data/hooks';
import { useDraft } from '../../data/useDraft';
import { useSaving } from '../../data/useSaving';
import { Body, Button, Column, DraftNote, Field, Ready, Screen, Subheading, Switch } from '../../ui';
import { errorsOf, forbidsOfForm, formOf, tagsOf, type LookForm } from './lookForm';
import { LookFormFields } from './LookFormFields';

/** The next version of a look: its name, words, tags, prohibitions, and which steps may be left out. */
export function EditLookScreen({ id }: { readonly id: string }) {
  const answer = useLook(id);
  const router = useRouter();
  if (answer.data) return <Edit key={answer.data.look.version} look={answer.data.look} />;
  return (
    <Screen title="Edit the look" onBack={() => router.navigate(`/looks/${id}`)}>
      <Ready remote={answer}>{() => null}</Ready>
    </Screen>
  );
}

function Edit({ look }: { readonly look: Look }) {
  const router = useRouter();
  const refresh = useRefresh();
  const draft = useDraft<LookForm>(`look ${look.id} ${look.version}`, () => formOf(look));
  const { value: form, set: setForm } = draft;
  const [optional, setOptional] = useState<readonly string[]>(() =>
    look.steps.flatMap((s) => (s.optional ? [s.id] : [])),
  );
  const [reason, setReason] = useState('');
  const [tried, setTried] = useState(false);
  const { busy, failure, save: keep } = useSaving('Something went wrong. What you typed is kept; try again.');
  const errors = errorsOf(form);

  const save = async (): Promise<void> => {
    setTried(true);
    if (Object.keys(errors).length > 0) return;
    const next: Look = {
      ...look,
      version: look.version + 1,
      parent: look.version,
      reason: reason.trim(),
      name: form.name.trim(),
      description: form.description.trim(),
      tags: tagsOf(form),
      forbids: forbidsOfForm(form),
      steps: look.steps.map(({ optional: _was, ...step }) =>
        optional.includes(step.id) ? { ...step, optional: true } : step,
      ),
    };
    await keep(async () => {
      const kept = await call('createLook', {
        body: { look: next },
        idempotencyKey: `look-${look.id}-${next.version}-${reason}`,
      });
      draft.drop();
      await refresh({ name: 'look', params: { id: look.id }, answer: kept });
      router.navigate(`/looks/${look.id}`);
    });
  };

  return (
    <Screen
      title={look.name}
      above={`from version ${look.version}`}
      onBack={() => router.navigate(`/looks/${look.id}`)}
      widest={760}
      foot={
        <Column gap="$2">
          {failure ? <Body role="alert" color="$madder">{`▲ ${failure}`}</Body> : null}
          <Button kind="main" large disabled={busy} onPress={() => void save()}>
            {`Save version ${look.version + 1}`}
          </Button>
        </Column>
      }
    >
      <Column gap="$4">
        <DraftNote {...draft} />
        <LookFormFields form={form} onChange={setForm} errors={tried ? errors : {}} />
        <Field label="Why this version" value={reason} onChange={setReason} />
        <Column gap={0}>
          <Subheading>Steps that may be left out</Subheading>
          {look.steps.map((step) => (
            <Switch
              key={step.id}
              label={step.title}
              on={optional.includes(step.id)}
              onToggle={() =>
                setOptional((all) =>
                  all.includes(step.id) ? all.filter((s) => s !== step.id) : [...all, step.id],
                )
              }
            />
          ))}
        </Column>
      </Column>
    </Screen>
  );
}
